package blank

import (
	"yellowparcel/core/measure"
	"yellowparcel/core/say"
)

var tuck = Construction{
	ID: TuckID, HasTop: true, Walled: true, Box: true,
	Words: Words{
		Name: "Box with lid and tuck", Drawing: lyingFlat,
		Sentence: []say.Clause{say.Always("Cut [{sheet size}].")},
		Overlap:  []say.Clause{say.When("no overlap", "no tuck: tape the lid"), say.Unless("no overlap", "of the tuck, behind the front wall")},
		Roles: map[Role]string{
			leftWall: "left wall", rightWall: "right wall", frontWall: "front wall", floorScore: "floor, lower wall", lidScore: "lid", tuckScore: "tuck",
			leftHem: "left hem", rightHem: "right hem",
		},
		First: "Cut away what lies beside the tabs, drawn dotted, before the first fold.", Seal: "To mail it, glue or tape the lid shut.", Thick: "or take a construction with walls", Flap: "Tuck", FlapNote: "as far as the walls are high; 0 for half an inch",
		Tabs: []say.Clause{say.Always("The glue tabs, {a}, are narrower than the {adhesive}, {b}. Make the walls deeper, or choose a narrower adhesive.")},
	},
	Wishes:  always(easeWish, depthWish, flapWish),
	Options: []string{"walls", opensOption, stockOption, adhesiveOption, cornerOption, linerOption, patternOption},
	Ways: []WayKind{{
		ID: NextEdge, Name: "sides, then all from the bottom", Tool: ScoreBoard, Asks: []string{"groove"}, InGrooves: edgesInGrooves, Beyond: edgesBeyond,
		Sentence: []say.Clause{
			say.Always(" Score [{left wall}] from both sides"), say.Always(" and [{right hem}] for the hems"),
			say.Always(". From the bottom score [{front wall}], [{floor}] and [{lid}]"), say.Always(", and [{tuck}] for the tuck"), say.Always("."),
		},
		Steps: []say.Clause{
			say.Always("With the left edge at the fence score at {left wall}. Turn the sheet half round and score at {right wall}."),
			say.Always("Score both sides again at {right hem}, for the hems."),
			say.Always("With the bottom at the fence score at {front wall}, {floor} and {lid}."),
			say.Always("Go on to {tuck}, for the tuck."),
		},
	}},
	Make: func(s Spec) (Made, bool) { return NewTuckBox(s), true },
}

// The scores of a box with lid and tuck.
const (
	frontWall, floorScore, lidScore, tuckScore Role = "front wall", "floor", "lid", "tuck"
	leftHem, rightHem                          Role = "left hem", "right hem"
)

// WallSchool is how the side walls of a box with lid and tuck are held.
type WallSchool string

// The schools of its walls.
const (
	TabbedWalls WallSchool = "tabs" // tabs in the corners, glued to the side walls
	HemmedWalls WallSchool = "hems" // a hem folded over the tabs makes the side walls double
)

// WallSchools lists the schools of the walls, the default first.
func WallSchools() []WallSchool { return []WallSchool{TabbedWalls, HemmedWalls} }

// lidLess is how much narrower a lid is than its box, and tabs and hems are lower
// than the walls they stand against.
const lidLess = measure.Inch / 32

// leastFold is the narrowest strip, a hem or a tuck, that folds over cleanly.
const leastFold = measure.Inch / 4

// NewTuckBox works out a box mailer from a rectangle: from the top tuck, lid,
// wall, floor and wall, with walls at the sides and glue tabs in the corners. A
// hem lies on the inside of its wall and of the tabs, 1/16 below the rim.
func NewTuckBox(s Spec) Made {
	d, hem := s.Wall(), measure.Length(0)
	w, h := s.interior(d)
	if low := (d - WallOver).Down(s.step()); s.Walls == HemmedWalls && low >= leastFold {
		hem = low
		w += 4 * s.Caliper // hem and tab at either side
	}
	w, h = (w + s.wider()).Up(s.Style.Tick), (h + s.wider()).Up(s.step())
	tab := max(s.Adhesive, min(measure.Inch/2, h/3)).Up(s.step())
	side := max(d, tab)
	if hem > 0 {
		side = d + hem
		tab = min(tab, side)
	}
	w = (w + 2*side).Up(s.Style.Tick) - 2*side
	length := 2*h + 2*d
	wish := measure.Inch / 2
	if s.Flap > 0 {
		wish = s.Flap
	}
	tuck := (length + min(d-WallOver, wish)).Down(s.Style.Tick) - length
	if tuck < leastFold {
		tuck = 0
	}
	m := Made{ID: TuckID, floor: true, Width: w, Height: h, Depth: d, Gap: lidLess, Seam: min(tab, d-lidLess), Flap: h, Overlap: tuck}
	thick := max(0, s.Thickness-d)
	m.EaseWidth, m.EaseHeight = w-2*s.Caliper-s.Width-thick, h-2*s.Caliper-s.Height-thick
	if hem > 0 {
		m.EaseWidth -= 4 * s.Caliper
		m.Seam = min(m.Seam, hem)
	}
	if s.Walls == HemmedWalls && hem == 0 {
		m.fault(NoHem, d, leastFold)
	}
	if tuck == 0 {
		m.fault(NoTuck, d, leastFold)
	}
	m.SheetWidth, m.SheetHeight = w+2*side, (length + tuck).Up(s.Style.Tick)
	if m.Seam < s.Adhesive {
		m.fault(SeamUnderAdhesive, m.Seam, s.Adhesive)
	}
	scores := []Setting{
		edgeScore(leftWall, FromLeft, side), edgeScore(rightWall, FromRight, side),
		edgeScore(frontWall, FromBottom, d), edgeScore(floorScore, FromBottom, d+h), edgeScore(lidScore, FromBottom, 2*d+h),
	}
	if tuck > 0 {
		scores = append(scores, edgeScore(tuckScore, FromBottom, length))
	}
	if hem > 0 {
		scores = append(scores, edgeScore(leftHem, FromLeft, hem), edgeScore(rightHem, FromRight, hem))
	}
	m.Cuts, m.Folds = 4+4*3+4, len(scores)+4
	t := s.Style.Tick / 2
	m.choose(s, m.way(NextEdge, scores, Loss{3 * t, root(3, t)}, Loss{t, t}))
	m.Net = tuckNet(tuckSizes{w, h, d, tab, hem, tuck, side}, m.SheetHeight, s.Corner)
	return m.Finished(s)
}

// tuckSizes are the measures of a box with lid and tuck; side is what the sheet
// has beside the floor.
type tuckSizes struct{ width, height, depth, tab, hem, tuck, side measure.Length }

func tuckNet(z tuckSizes, length, corner measure.Length) Net {
	mm := measure.Length.Millimetres
	w, h, d, tab, hem, edge := mm(z.width), mm(z.height), mm(z.depth), mm(z.tab), mm(z.hem), mm(z.side)
	x0, x1 := edge, edge+w
	end := mm(length)
	y1 := end - d // the floor's lower edge
	y0 := y1 - h
	lid := y0 - d - h // the lid's upper edge
	in := mm(lidLess) / 2
	n := Net{Sheet: rectangle(0, 0, w+2*edge, end), Panels: []Panel{{"face", "floor", rectangle(x0, y0, x1, y1)}}}
	hang := func(id, name, on string, outline Polygon, from, to Point, angle float64, order int) {
		if outline.Area() < sliver {
			return
		}
		n.Panels = append(n.Panels, Panel{id, name, outline})
		n.Creases = append(n.Creases, Crease{Panel: id, On: on, From: from, To: to, Angle: angle, Order: order})
	}
	hang("left wall", "wall", "face", rectangle(x0-d, y0, x0, y1), Point{x0, y0}, Point{x0, y1}, 90, 2)
	hang("right wall", "wall", "face", rectangle(x1, y0, x1+d, y1), Point{x1, y0}, Point{x1, y1}, 90, 2)
	for _, wall := range []struct {
		id       string
		top, low float64
	}{{"front wall", y1, y1 + d}, {"back wall", y0 - d, y0}} {
		from, to := Point{x0, wall.top}, Point{x1, wall.top}
		if wall.id == "back wall" {
			from, to = Point{x0, wall.low}, Point{x1, wall.low}
		}
		hang(wall.id, "wall", "face", rectangle(x0, wall.top, x1, wall.low), from, to, 90, 2)
		// Tabs are a sliver lower than the wall, so that they do not stand up.
		top, low := wall.top+in, wall.low-in
		hang(wall.id+" left", "tab", wall.id, rectangle(x0-tab, top, x0, low), Point{x0, top}, Point{x0, low}, 90, 1)
		hang(wall.id+" right", "tab", wall.id, rectangle(x1, top, x1+tab, low), Point{x1, top}, Point{x1, low}, 90, 1)
	}
	// A hem is as much shorter than its wall, so that it goes in between the others.
	hang("left hem", "hem", "left wall", rectangle(x0-d-hem, y0+in, x0-d, y1-in), Point{x0 - d, y0 + in}, Point{x0 - d, y1 - in}, 180, 3)
	hang("right hem", "hem", "right wall", rectangle(x1+d, y0+in, x1+d+hem, y1-in), Point{x1 + d, y0 + in}, Point{x1 + d, y1 - in}, 180, 3)
	// The tuck is folded first and goes in behind the front wall with the lid.
	hang("lid", "lid", "back wall", rectangle(x0+in, lid, x1-in, lid+h), Point{x0 + in, lid + h}, Point{x1 - in, lid + h}, 90, 5)
	hang("tuck", "tuck", "lid", Polygon{{x0 + in, lid}, {x1 - in, lid}, {x1 - in - lid/2, 0}, {x0 + in + lid/2, 0}}.rounded(mm(corner), 2, 3), Point{x0 + in, lid}, Point{x1 - in, lid}, 90, 4)
	pairs := [][2]string{{"front wall left", "left wall"}, {"front wall right", "right wall"}, {"back wall left", "left wall"}, {"back wall right", "right wall"}}
	if hem > 0 {
		pairs = append(pairs, [2]string{"left hem", "left wall"}, [2]string{"right hem", "right wall"})
	}
	n.Glue = n.glued(pairs...)
	return n
}
