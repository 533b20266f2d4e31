package blank

import (
	"math"

	"yellowparcel/core/measure"
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
	return squareBox(s, sides, fw, fh, d).folded(s)
}

// floor is what is left of a diagonal between two scores that are set, each from
// its own corner, so that at least so much is left.
func (s Spec) floor(diag float64, least measure.Length) measure.Length {
	at := s.Board.CornerAt
	a := (measure.Round((diag-float64(least))/2) + at).Down(s.step()) - at
	return measure.Round(diag - 2*float64(a))
}

func squareBox(s Spec, side, w, h, d measure.Length) Made {
	m := Made{Kind: SquareBoxKind, SheetWidth: side, SheetHeight: side, Width: w, Height: h, Depth: d}
	thick := max(0, s.Thickness-d)
	m.EaseWidth, m.EaseHeight = w-2*s.Caliper-s.Width-thick, h-2*s.Caliper-s.Height-thick
	m.Seam = side - measure.Round(float64(w+h+2*d)/math.Sqrt2)
	diag := float64(side) * math.Sqrt2
	a, b := (diag-float64(w))/2, (diag-float64(h))/2
	n := measure.Round((diag - float64(w) - float64(h)) / 2)
	flaps := Flaps{a - float64(d), a - float64(d), b - float64(d), b - float64(d)}
	limit := func(flap float64, across measure.Length) float64 {
		if most := across - s.Style.Tick; flap > float64(most) {
			m.fault(Blunted, measure.Round(flap), most)
			return float64(most)
		}
		return flap
	}
	cut := Flaps{Left: limit(flaps.Left, w), Right: limit(flaps.Right, w), Bottom: limit(flaps.Bottom, h-s.ThumbGap)}
	shortest := shortestFlap(diag-2*float64(d), float64(w), float64(h), cut.Bottom)
	cut.Top = limit(s.flapLimit(flaps.Top, flaps.Top, shortest), h)
	m.Flap, m.Shortest = measure.Round(cut.Top), measure.Round(shortest)
	m.Overlap = measure.Round(cut.Top+cut.Bottom) - h
	m.Cuts, m.Folds = 4+4*2+4, 8+4
	t := s.Style.Tick / 2
	m.EaseError, m.SeamError = Loss{measure.Round(float64(t) * (2 + math.Sqrt2)), root(3, t)}, Loss{measure.Round(float64(t) * (1 + 2*math.Sqrt2)), root(5, t)}
	m.Ways = s.boxWays(m, diag, a, b)
	m.Scores = m.Ways[0].Scores
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
func (s Spec) boxWays(m Made, diag, a, b float64) []ScoreWay {
	d, at, t := float64(m.Depth), float64(s.Board.CornerAt), float64(s.Style.Tick)/2
	lines := func(edge string, floor func(score float64) (mark, wall float64), off float64) (list []ScoreLine) {
		for _, pair := range []struct {
			name  string
			score float64
		}{{"sides", a}, {"top and bottom", b}} {
			mark, wall := floor(pair.score)
			list = append(list, ScoreLine{pair.name + ", wall", edge, measure.Round(wall + off)}, ScoreLine{pair.name + ", floor", edge, measure.Round(mark + off)})
		}
		return list
	}
	loss := func(worst, rss, rounding float64) Loss {
		return Loss{measure.Round((worst + 2*rounding) * t), measure.Round(math.Hypot(rss, rounding*math.Sqrt2) * t)}
	}
	near := lines("corner", func(x float64) (float64, float64) { return x, x - d }, at)
	far := lines("same corner, far", func(x float64) (float64, float64) { return diag - x, diag - x + d }, at)
	list := []ScoreWay{{"each corner", near, loss(3+math.Sqrt2, 2, 0), loss(1+2*math.Sqrt2, math.Sqrt(5), 0)}}
	if s.Board.Groove == 0 { // the far ones would fall between grooves
		list = append(list, ScoreWay{"one corner a pair", append(near, far...), loss(3, math.Sqrt(3), 1), loss(3+2*math.Sqrt2, 3, 1)})
	}
	return append(list, []ScoreWay{
		{"from the centre", lines("centre", func(x float64) (float64, float64) { return diag/2 - x, diag/2 - x + d }, 0), loss(3, math.Sqrt(3), 1), loss(1+2*math.Sqrt2, math.Sqrt(5), 1)},
		{"edge marks", lines("corner, on the edges", func(x float64) (float64, float64) { return x * math.Sqrt2, (x - d) * math.Sqrt2 }, 0), loss(1+2*math.Sqrt2, math.Sqrt(2.5), 1), loss(3, math.Sqrt(3), 1)},
	}...)
}

func squareBoxNet(diag float64, w, h, depth measure.Length, cut Flaps, s Spec) Net {
	mm := func(nm float64) float64 { return nm / float64(measure.Millimetre) }
	d, wall := mm(diag), depth.Millimetres()
	x0, x1 := (d-w.Millimetres())/2, (d+w.Millimetres())/2
	y0, y1 := (d-h.Millimetres())/2, (d+h.Millimetres())/2
	sheet := Polygon{{d / 2, 0}, {d, d / 2}, {d / 2, d}, {0, d / 2}}
	n := Net{Sheet: sheet, Panels: []Panel{{"face", "floor", rectangle(x0, y0, x1, y1)}}}
	hang := func(id, name, on string, outline Polygon, from, to Point, order int) {
		if outline.Area() < sliver {
			return
		}
		n.Panels = append(n.Panels, Panel{id, name, outline})
		n.Creases = append(n.Creases, Crease{Panel: id, On: on, From: from, To: to, Angle: 90, Order: order})
	}
	// A glue square is no longer than the wall that it is glued to.
	along, upright := math.Min(wall, x1-x0), math.Min(wall, y1-y0)
	between, stacked := []line{rightOf(x0), leftOf(x1)}, []line{below(y0), above(y1)}
	for _, f := range []struct {
		id        string
		wall      Polygon
		from, to  Point // the floor's crease
		out       Point // from the floor's crease to the wall's
		beyond    line
		between   []line
		stop      line
		order     int
		square    Polygon // the glue square at the end of the wall, going round
		sqFrom    Point
		sqTo      Point
		closeWith int
	}{
		{"left", rectangle(x0-wall, y0, x0, y1), Point{x0, y0}, Point{x0, y1}, Point{-wall, 0}, leftOf(x0 - wall), stacked, rightOf(x0 - wall - mm(cut.Left)), 2, rectangle(x0-wall, y1, x0, y1+along), Point{x0 - wall, y1}, Point{x0, y1}, 3},
		{"bottom", rectangle(x0, y1, x1, y1+wall), Point{x0, y1}, Point{x1, y1}, Point{0, wall}, below(y1 + wall), between, above(y1 + wall + mm(cut.Bottom)), 2, rectangle(x1, y1, x1+upright, y1+wall), Point{x1, y1}, Point{x1, y1 + wall}, 4},
		{"right", rectangle(x1, y0, x1+wall, y1), Point{x1, y0}, Point{x1, y1}, Point{wall, 0}, rightOf(x1 + wall), stacked, leftOf(x1 + wall + mm(cut.Right)), 2, rectangle(x1, y0-along, x1+wall, y0), Point{x1, y0}, Point{x1 + wall, y0}, 3},
		{"top", rectangle(x0, y0-wall, x1, y0), Point{x0, y0}, Point{x1, y0}, Point{0, -wall}, above(y0 - wall), between, below(y0 - wall - mm(cut.Top)), 2, rectangle(x0-upright, y0-wall, x0, y0), Point{x0, y0 - wall}, Point{x0, y0}, 5},
	} {
		hang(f.id+" wall", "wall", "face", f.wall.meet(sheet), f.from, f.to, f.order)
		flap := sheet.keep(f.beyond).keep(f.between...).keep(f.stop)
		if rim := f.beyond; flap != nil {
			radius := s.Corner.Millimetres()
			if f.id == "top" && s.FlapShape == RoundFlap {
				radius = math.Max(radius, w.Millimetres()/4)
			}
			flap = flap.rounded(radius, flap.farthest(rim)...)
		}
		hang(f.id, "flap", f.id+" wall", flap, Point{f.from.X + f.out.X, f.from.Y + f.out.Y}, Point{f.to.X + f.out.X, f.to.Y + f.out.Y}, f.closeWith)
		hang(f.id+" square", "glue square", f.id+" wall", f.square.meet(sheet), f.sqFrom, f.sqTo, 1)
	}
	n.cutOut()
	n.Glue = n.glued([2]string{"bottom", "left"}, [2]string{"bottom", "right"}, [2]string{"top", "left"}, [2]string{"top", "right"}, [2]string{"top", "bottom"},
		[2]string{"left square", "bottom wall"}, [2]string{"bottom square", "right wall"}, [2]string{"right square", "top wall"}, [2]string{"top square", "left wall"})
	return n
}
