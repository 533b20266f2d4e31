package blank

import (
	"yellowparcel/core/measure"
	"yellowparcel/core/say"
)

var pocket = Construction{
	ID: PocketID, HasTop: true,
	Words: Words{
		Name: "Tabbed pocket", Sentence: []say.Clause{say.Always("Cut [{sheet size}].")}, Drawing: lyingFlat, Overlap: flapOverlap, Roles: pocketRoles,
		First: "Cut off the corner pieces, drawn dotted, before the first fold.", Seal: "To mail it, seal both edges.", Thick: "or take a construction with walls", Flap: "Closing flap", FlapNote: "0 for the usual",
	},
	Wishes:  func(s Spec) []string { return append(s.pocketWishes(), sliverWish) },
	Options: []string{"pocket", opensOption, stockOption, adhesiveOption, shapeOption, cornerOption, "notch", "tabsOnBack", doubleOption, linerOption, patternOption},
	Ways:    []WayKind{nextEdgeWay, oneEdgeWay},
	Make:    func(s Spec) (Made, bool) { s.Gusset = 0; return NewPocket(s), true },
}

// flapOverlap is what a closing flap covers of the back.
var flapOverlap = []say.Clause{sealsOnSides, say.Unless("short", "of the closing flap")}

// The scores of a pocket.
const (
	LeftTab, RightTab, FlapScore, BackScore         Role = "left tab", "right tab", "flap", "back"
	leftWall, rightWall, throatWall, bottomWallRole Role = "left wall", "right wall", "throat wall", "bottom wall"
)

var pocketRoles = map[Role]string{
	LeftTab: "left tab", RightTab: "right tab", FlapScore: "flap", BackScore: "back",
	leftWall: "left wall", rightWall: "right wall", throatWall: "throat wall", bottomWallRole: "bottom wall",
}

// The ways of setting the scores of a blank with straight edges.
const (
	NextEdge WayID = "next" // each from the edge that it is next to
	OneEdge  WayID = "one"  // all from one edge a direction
)

var nextEdgeWay = WayKind{
	ID: NextEdge, Name: "each from its edge", Tool: ScoreBoard, Asks: []string{"groove"}, InGrooves: edgesInGrooves, Beyond: edgesBeyond,
	Sentence: []say.Clause{
		say.Always(" Score [{left tab}] from both sides, [{flap}] from the flap's end and [{back}] from the other"),
		say.When("depth", ". Score each again [{depth}] further in."), say.Unless("depth", "."),
	},
	Steps: []say.Clause{
		say.Always("With the left edge at the fence score at {left tab}. Turn the sheet half round and score at {right tab}."),
		say.Always("With the flap's end at the fence score at {flap}. Turn it half round and score at {back}."),
		say.When("depth", "Score each again {depth} further in."),
	},
}

var oneEdgeWay = WayKind{
	ID: OneEdge, Name: "all from one edge", Tool: ScoreBoard, Asks: []string{"groove"}, InGrooves: edgesInGrooves, Beyond: edgesBeyond,
	Sentence: []say.Clause{
		say.Always(" Score from the left at [{left tab}] and [{right tab}], from the flap's end at [{flap}] and [{back}]"),
		say.When("depth", ". Score each again [{depth}] further in."), say.Unless("depth", "."),
	},
	Steps: []say.Clause{
		say.Always("With the left edge at the fence score at {left tab} and {right tab}."),
		say.Always("With the flap's end at the fence score at {flap} and {back}."),
		say.When("depth", "Score each again {depth} further in: {left wall} and {right wall} from the left, {throat wall} and {bottom wall} from the flap."),
	},
}

var (
	edgesInGrooves = []say.Clause{say.Always("Every score falls in a groove of your board, every {groove}.")}
	edgesBeyond    = []say.Clause{say.Always("The {role}, at {at}, is past your board's reach, {reach}. Measure it from the other edge, or score along a ruler.")}
)

// pocketWishes are the lengths that count for a pocket; what its school sets by
// itself is not asked for.
func (s Spec) pocketWishes() []string {
	if s.Pocket != ExactPocket {
		return []string{flapWish}
	}
	return []string{easeWish, seamWish, gapWish, flapWish}
}

// PocketSchool is a way of sizing a tabbed pocket.
type PocketSchool string

// The schools of the pocket.
const (
	ThumbGapPocket PocketSchool = "thumb" // 1/4 ease, tabs 1/2, the back 1/2 lower than the front
	ClosePocket    PocketSchool = "close" // 1/8 ease, tabs 1, flap what the sheet leaves
	ExactPocket    PocketSchool = "exact" // ease, seam and thumb gap as wished
)

// PocketSchools lists the schools of the pocket.
func PocketSchools() []PocketSchool {
	return []PocketSchool{ThumbGapPocket, ClosePocket, ExactPocket}
}

// pocketSizes are the measures of a pocket before it is drawn; uneven is what
// its right tab is wider than the left one, in somebody's recipe.
type pocketSizes struct {
	width, front, back, tab, uneven, flap, wall measure.Length
	// raised is set when the flap is higher than wished, to cover its glue.
	raised bool
}

// flapClear is what a closing flap covers beyond its adhesive.
const flapClear = measure.Inch / 8

// pocketSizes follows the school; the sheet is whole ticks, and what the board
// scores lies in its grooves. The gusset is the depth of walls between front and
// back; zero for none.
func (s Spec) pocketSizes() (p pocketSizes) {
	up := func(l measure.Length) measure.Length { return l.Up(s.step()) }
	thick := max(0, s.Thickness-s.Gusset)
	p.wall = up(s.Gusset)
	eighth := measure.Inch / 8
	switch s.Pocket {
	case ThumbGapPocket:
		p.width, p.tab = s.Width+thick+2*eighth, measure.Inch/2
		p.front, p.back = s.Height+thick+2*eighth, s.Height+thick-2*eighth
		p.flap = s.usualFlap()
	case ClosePocket:
		p.width, p.tab = s.Width+thick+eighth, measure.Inch
		p.back, p.front = s.Height+thick, s.Height+thick+eighth
		p.flap = 3 * measure.Inch / 2
	default:
		w, h := s.interior(s.Gusset)
		p.width, p.front, p.tab = w, h, s.Seam
		p.back = h - s.ThumbGap
		p.flap = s.usualFlap()
	}
	gap := p.front - p.back
	p.width, p.front = (max(p.width, s.LeastWidth) + s.wider()).Up(s.Style.Tick), (max(p.front, s.LeastHeight) + s.wider()).Up(s.Style.Tick)
	if least := s.leastWidthAt(p.front); least > 0 { // the width follows the height that is made
		p.width = max(p.width, (least + s.wider()).Up(s.Style.Tick))
	}
	p.back, p.tab = (p.front - gap).Up(s.Style.Tick), up(p.tab)
	if s.Board.Groove > 0 {
		// Down, so that the back never stands over the throat for it.
		p.back = p.back.Down(s.Board.Groove)
		gap = max(gap, p.front-p.back)
	}
	defer func() {
		p.double(s)
		p.toTicks(s.Style.Tick)
	}()
	if s.Flap > 0 {
		p.flap = s.Flap
	}
	least := max(0, gap) + s.Adhesive + flapClear
	p.raised = s.Flap > 0 && s.Flap < least
	p.flap = up(max(p.flap, least))
	if length := 2*p.wall + p.front + p.back + p.flap; s.Pocket == ClosePocket && s.Flap == 0 && s.SheetLength > length {
		// The flap takes what the sheet leaves, as long as it stays on the back.
		p.flap = min(p.flap+s.SheetLength-length, p.front).Down(s.step())
	}
	return p
}

// usualFlap is two fifths of the card, to the nearest quarter inch or half a centimetre.
func (s Spec) usualFlap() measure.Length {
	step := measure.Inch / 4
	if s.Style.Unit == measure.Millimetres {
		step = 5 * measure.Millimetre
	}
	return measure.Round(0.4 * float64(s.Height)).Near(step)
}

// double moves half the card's thickness from both sides of every crease into a
// wall between two creases.
func (p *pocketSizes) double(s Spec) {
	if !s.Double || p.wall > 0 || s.Thickness == 0 {
		return
	}
	// Down to a tick: what the walls do not take of the thickness comes off the
	// ease as before.
	half := (s.Thickness / 2).Down(s.step())
	if half == 0 || half >= min(p.tab, p.back, p.flap) {
		return // there is nothing left to fold
	}
	p.wall = 2 * half
	p.width, p.front = p.width-2*half, p.front-2*half
	// The back ends at the throat at the latest.
	p.back, p.flap, p.tab = min(p.back-half, p.front).Down(s.step()), p.flap-half, p.tab-half
}

// toTicks lets width and front take what is missing to a sheet of whole ticks,
// where grooves are of another unit than the cuts.
func (p *pocketSizes) toTicks(tick measure.Length) {
	beside := 2*p.tab + 2*p.wall
	p.width = (p.width + beside).Up(tick) - beside
	beyond := p.flap + p.back + 2*p.wall
	p.front = (p.front + beyond).Up(tick) - beyond
}

// NewPocket works out a tabbed pocket: from the top the flap, the front with a
// tab on either side, and the back.
func NewPocket(s Spec) Made {
	p := s.pocketSizes()
	// A flap or a tab that is longer than the front sticks out, tabs at either side,
	// and makes the closed envelope as much larger.
	m := Made{ID: PocketID, Width: p.width + 2*max(0, p.tab-p.width), Height: max(p.front, p.flap), Depth: p.wall, Flap: p.flap}
	m.SheetWidth, m.SheetHeight = p.width+2*p.tab+2*p.wall, p.flap+p.front+p.back+2*p.wall
	thick := max(0, s.Thickness-p.wall)
	m.EaseWidth, m.EaseHeight = p.width-2*s.Caliper-s.Width-thick, p.front-2*s.Caliper-s.Height-thick
	m.Seam, m.Overlap = p.tab-s.Sliver, p.flap-max(0, p.front-p.back)
	if most := min(p.back/2, (p.width-2*s.Sliver)/3).Down(s.Style.Tick); s.Notch > most {
		m.fault(NotchTooDeep, s.Notch, most)
		s.Notch = most
	}
	if p.raised {
		m.fault(FlapRaised, s.Flap, p.flap)
	}
	m.Net = pocketNet(p, s)
	scores := []Setting{edgeScore(LeftTab, FromLeft, p.tab), edgeScore(RightTab, FromRight, p.tab), edgeScore(FlapScore, FromTop, p.flap), edgeScore(BackScore, FromBottom, p.back)}
	if s.Double && s.Thickness > 0 && p.wall == 0 {
		m.fault(SingleCrease, s.Thickness, 0)
	}
	if p.wall > 0 && s.Gusset > 0 {
		m.fault(SlitCorners, p.wall, 0)
	}
	if p.wall > 0 {
		scores = append(scores, edgeScore(leftWall, FromLeft, p.tab+p.wall), edgeScore(rightWall, FromRight, p.tab+p.wall),
			edgeScore(throatWall, FromTop, p.flap+p.wall), edgeScore(bottomWallRole, FromBottom, p.back+p.wall))
	}
	m.Cuts, m.Folds = 4+8, len(scores) // the rectangle, two cuts to each corner
	if m.inside = s.TabsOnBack && p.wall == 0; m.inside {
		m.Seam = p.tab
	}
	m.choose(s, m.edgeWays(s, scores)...)
	m.pocketFaults(s, p)
	return m.Finished(s)
}

func (m *Made) pocketFaults(s Spec, p pocketSizes) {
	if p.tab < s.Adhesive {
		m.fault(SeamUnderAdhesive, p.tab, s.Adhesive)
	}
	if 2*p.tab > p.width {
		m.fault(TabsMeet, 2*p.tab, p.width)
	}
	// A flap that covers no more than the thumb notch holds nothing.
	if want := s.Adhesive + flapClear; m.Overlap-s.Notch < want {
		m.fault(FlapShort, m.Overlap-s.Notch, want)
	}
	if p.flap > p.front {
		m.fault(FlapTooLong, p.flap, p.front)
	}
}

// edgeWays are the two ways to set the scores of a pocket: each from the edge
// that it is next to, or all from one edge a direction, which spares the ease
// the error of the sheet's own size and puts it into the far tab. On a board with
// grooves the second is left out where its scores would fall between them.
func (m Made) edgeWays(s Spec, scores []Setting) []Way {
	t := s.Style.Tick / 2
	opposite := map[From]From{FromRight: FromLeft, FromBottom: FromTop}
	size := map[From]measure.Length{FromRight: m.SheetWidth, FromBottom: m.SheetHeight}
	one := make([]Setting, len(scores))
	for i, l := range scores {
		if edge, far := opposite[l.From]; far {
			l = edgeScore(l.Role, edge, size[l.From]-l.At)
		}
		one[i] = l
	}
	flap := SeamOf{m.Overlap, Loss{5 * t, 3 * t}}
	next := m.way(NextEdge, scores, Loss{3 * t, root(3, t)}, Loss{t, t})
	next.Overlap = flap
	list := []Way{next}
	for _, l := range one {
		if s.Board.Groove > 0 && l.At%s.Board.Groove != 0 {
			return list
		}
	}
	from := m.way(OneEdge, one, Loss{2 * t, root(2, t)}, Loss{2 * t, root(2, t)})
	from.Seams, from.Overlap = []SeamOf{{m.Seam, Loss{t, t}}, {m.Seam, from.SeamLoss}}, flap
	return append(list, from)
}
