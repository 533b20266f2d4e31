package blank

import (
	"math"

	"yellowparcel/core/measure"
	"yellowparcel/core/say"
)

var box = Construction{
	ID: BoxID, OnPoint: true, Walled: true, Box: true,
	Words: Words{
		Name: "Box from a square", Sentence: []say.Clause{say.Always("Cut [{sheet}] square.")}, Drawing: lyingFlat, Overlap: flapOverlap,
		Roles: map[Role]string{
			SidesWall: "sides, wall", SidesFloor: "sides, floor", EndsWall: "top & bottom, wall", EndsFloor: "top & bottom, floor",
			cornersCheck: "other corners read",
			farSidesWall: "sides, wall", farSidesFloor: "sides, floor", farEndsWall: "top & bottom, wall", farEndsFloor: "top & bottom, floor",
		},
		First: "Cut away what is drawn dotted. Then slit each corner square along one side, as drawn, always turning the same way.",
		Seal:  "To mail it, seal both edges.", Thick: "or take a construction with walls", Flap: "Closing flap", FlapNote: "0 for the usual",
	},
	Wishes:  always(easeWish, seamWish, gapWish, flapWish, depthWish),
	Options: []string{"box", opensOption, stockOption, adhesiveOption, shapeOption, cornerOption, linerOption, patternOption},
	Ways: []WayKind{
		{
			ID: boxCorners, Name: "each corner", Tool: ScoreBoard, Asks: []string{"cornerAt", "groove"}, InGrooves: edgesInGrooves, Beyond: edgesBeyond,
			Sentence: []say.Clause{say.Always(" From every corner of the sides score at [{sides wall}] and [{sides floor}]. From top and bottom score at [{ends wall}] and [{ends floor}].")},
			Steps: []say.Clause{
				say.Always("Left and right corner on the diagonal guide in turn: score at {sides wall} and {sides floor}."),
				say.Always("Top and bottom corner in turn: score at {ends wall} and {ends floor}."),
				boxSlits,
			},
		},
		{
			ID: boxPair, Name: "one corner a pair", Tool: ScoreBoard, Asks: []string{"cornerAt"}, InGrooves: edgesInGrooves, Beyond: edgesBeyond,
			Sentence: []say.Clause{say.Always(" From one corner score at [{sides wall}], [{sides floor}], [{far sides floor}] and [{far sides wall}]. Turn a quarter and score at [{ends wall}], [{ends floor}], [{far ends floor}] and [{far ends wall}].")},
			Steps: []say.Clause{
				say.Always("Left corner on the diagonal guide: score at {sides wall}, {sides floor}, {far sides floor} and {far sides wall}."),
				say.Always("Turn a quarter: score at {ends wall}, {ends floor}, {far ends floor} and {far ends wall}."),
				say.Always("Check while it is set up: the two other corners read {corners check}."),
				boxSlits,
			},
		},
		{
			ID: boxCentre, Name: "from the centre",
			Sentence: []say.Clause{say.Always(" From its centre score [{sides floor}] and [{sides wall}] either side, [{ends floor}] and [{ends wall}] above and below.")},
			Steps: []say.Clause{
				say.Always("Draw both diagonals lightly; they cross at the centre."),
				say.Always("Score square to one diagonal, {sides floor} and {sides wall} either side of the centre."),
				say.Always("Score square to the other, {ends floor} and {ends wall} either side."),
				boxSlits,
			},
		},
		{
			ID: boxEdges, Name: "edge marks",
			Sentence: []say.Clause{say.Always(" Mark the edges [{sides wall}] and [{sides floor}] from the side corners, [{ends wall}] and [{ends floor}] from the others. Join the marks.")},
			Steps: []say.Clause{
				say.Always("From the left and from the right corner, mark both edges at {sides wall} and {sides floor}."),
				say.Always("From the top and from the bottom corner, mark both edges at {ends wall} and {ends floor}."),
				say.Always("Join each pair of marks across its corner and score along the ruler."),
				boxSlits,
			},
		},
	},
	Make: func(s Spec) (Made, bool) { return NewSquareBox(s), true },
}

// boxSlits says what is cut when the scores are made.
var boxSlits = say.Always("Cut away the corners outside the four corner squares. Slit each square {depth} along one side, always turning the same way.")

// The ways of setting the scores of a box from a square, as those of a diamond.
const (
	boxCorners WayID = "box-corners"
	boxPair    WayID = "box-pair"
	boxCentre  WayID = "box-centre"
	boxEdges   WayID = "box-edges"
)

// Its scores: where the wall ends, and where the floor does; far ones lie beyond the
// middle.
const (
	SidesWall, SidesFloor, EndsWall, EndsFloor             Role = "sides wall", "sides floor", "ends wall", "ends floor"
	farSidesWall, farSidesFloor, farEndsWall, farEndsFloor Role = "far sides wall", "far sides floor", "far ends wall", "far ends floor"
)

// BoxSchool is a way of sizing the square for a box.
type BoxSchool string

// The schools of the box from a square.
const (
	FullSquares  BoxSchool = "full"  // glue squares as large as the walls: S = (w + h + 4d)/√2
	LeastSquares BoxSchool = "least" // what the back needs to close: S = (w + h + 2d)/√2 and the seam
)

// BoxSchools lists the schools of the box, the default first.
func BoxSchools() []BoxSchool { return []BoxSchool{FullSquares, LeastSquares} }

// NewSquareBox works out a box mailer from a square on its point: a floor with
// four walls, four flaps that close over it, and a glue square in each corner
// that belongs to one of the two walls, all in the same rotation.
func NewSquareBox(s Spec) Made {
	d := s.Wall()
	w, h := s.interior(d)
	w, h = (w + s.wider()).Up(s.Style.Tick), (h + s.wider()).Up(s.Style.Tick)
	side := (measure.Round(float64(w+h+2*d)/math.Sqrt2) + s.Seam).Up(s.Style.Tick)
	// Scores are set from the corners, in ticks or grooves: down, so that the floor
	// is never smaller than wanted. A floor that grows by it may ask for a larger
	// square; with grooves a somewhat larger one may let it grow less.
	var sides, fw, fh measure.Length
	for last := measure.Length(math.MaxInt64); side <= last; side += s.Style.Tick {
		diag := float64(side) * math.Sqrt2
		across, down := s.floor(diag, w), s.floor(diag, h)
		seam := side - measure.Round(float64(across+down+2*d)/math.Sqrt2)
		if s.Box != LeastSquares && float64(across+down+4*d) > diag || seam < s.Seam {
			continue
		}
		if sides == 0 {
			last = side + 2*s.Board.Groove
		}
		if sides == 0 || across+down < fw+fh {
			sides, fw, fh = side, across, down
		}
	}
	return squareBox(s, sides, fw, fh, d).Finished(s)
}

// floor is what is left of a diagonal between two scores that are set, each from
// its own corner, so that at least so much is left.
func (s Spec) floor(diag float64, least measure.Length) measure.Length {
	at := s.Board.CornerAt
	a := (measure.Round((diag-float64(least))/2) + at).Down(s.step()) - at
	return measure.Round(diag - 2*float64(a))
}

func squareBox(s Spec, side, w, h, d measure.Length) Made {
	m := Made{ID: BoxID, floor: true, SheetWidth: side, SheetHeight: side, Width: w, Height: h, Depth: d}
	thick := max(0, s.Thickness-d)
	m.EaseWidth, m.EaseHeight = w-2*s.Caliper-s.Width-thick, h-2*s.Caliper-s.Height-thick
	m.Seam = side - measure.Round(float64(w+h+2*d)/math.Sqrt2)
	diag := float64(side) * math.Sqrt2
	a, b := (diag-float64(w))/2, (diag-float64(h))/2
	n := measure.Round((diag - float64(w) - float64(h)) / 2)
	flaps := Flaps{a - float64(d), a - float64(d), b - float64(d), b - float64(d)}
	limit := func(panel string, flap float64, across measure.Length) float64 {
		if most := across - s.Style.Tick; flap > float64(most) {
			m.Blunts = append(m.Blunts, Blunt{Panel: panel, Full: measure.Round(flap), To: most})
			m.Faults = append(m.Faults, Fault{Blunted, measure.Round(flap), most, panel})
			return float64(most)
		}
		return flap
	}
	cut := Flaps{Left: limit("left", flaps.Left, w), Right: limit("right", flaps.Right, w), Bottom: limit("bottom", flaps.Bottom, h-s.ThumbGap)}
	shortest := shortestFlap(diag-2*float64(d), float64(w), float64(h), cut.Bottom)
	cut.Top = limit("top", s.flapLimit(flaps.Top, flaps.Top, shortest), h)
	m.Flap, m.Shortest = measure.Round(cut.Top), measure.Round(shortest)
	m.Overlap = measure.Round(cut.Top+cut.Bottom) - h
	m.Cuts, m.Folds = 4+4*2+4, 8+4
	m.choose(s, s.boxWays(m, diag, a, b)...)
	if m.Seam < s.Adhesive {
		m.fault(SeamUnderAdhesive, m.Seam, s.Adhesive)
	}
	if n < 2*d {
		m.fault(GlueCorners, 2*d-n, d)
	}
	m.Net = squareBoxNet(diag, w, h, d, cut, s)
	return m
}

// boxWays are the ways to set the scores of a box from a square, as those of a
// diamond; a and b are the distances of the floor's creases from the corners in
// nanometres. Only those from each corner are ticks by design: elsewhere a score
// is set to the nearest tick, up to t off, which the losses count.
func (s Spec) boxWays(m Made, diag, a, b float64) []Way {
	d, at, t := float64(m.Depth), float64(s.Board.CornerAt), float64(s.Style.Tick)/2
	lines := func(from From, roles [4]Role, floor func(score float64) (mark, wall float64), off float64) (list []Setting) {
		for i, score := range []float64{a, b} {
			mark, wall := floor(score)
			list = append(list, edgeScore(roles[2*i], from, measure.Round(wall+off)), edgeScore(roles[2*i+1], from, measure.Round(mark+off)))
		}
		return list
	}
	loss := func(worst, rss, rounding float64) Loss {
		return Loss{measure.Round((worst + 2*rounding) * t), measure.Round(math.Hypot(rss, rounding*math.Sqrt2) * t)}
	}
	own, beyond := [4]Role{SidesWall, SidesFloor, EndsWall, EndsFloor}, [4]Role{farSidesWall, farSidesFloor, farEndsWall, farEndsFloor}
	near := lines(FromCorner, own, func(x float64) (float64, float64) { return x, x - d }, at)
	far := lines(FromFar, beyond, func(x float64) (float64, float64) { return diag - x, diag - x + d }, at)
	list := []Way{m.way(boxCorners, near, loss(2+math.Sqrt2, math.Sqrt(3), 0), loss(1+2*math.Sqrt2, math.Sqrt(5), 0))}
	check := check(cornersCheck, measure.Round(diag/2)+s.Board.CornerAt, s.Style.Tick)
	if s.Board.Groove == 0 { // the far ones would fall between grooves
		list = append(list, m.way(boxPair, append(append(near[:len(near):len(near)], far...), check), loss(2, math.Sqrt2, 1), loss(3+2*math.Sqrt2, 3, 1)))
	}
	centre := lines(FromCentre, own, func(x float64) (float64, float64) { return diag/2 - x, diag/2 - x + d }, 0)
	edges := lines(FromEdgeMarks, own, func(x float64) (float64, float64) { return x * math.Sqrt2, (x - d) * math.Sqrt2 }, 0)
	return append(list,
		m.way(boxCentre, centre, loss(2, math.Sqrt2, 1), loss(1+2*math.Sqrt2, math.Sqrt(5), 1)),
		m.way(boxEdges, edges, loss(2*math.Sqrt2, math.Sqrt(1.5), 1), loss(3, math.Sqrt(3), 1)))
}
