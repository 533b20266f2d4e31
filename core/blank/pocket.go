package blank

import (
	"math"

	"yellowparcel/core/measure"
)

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
		p.flap = measure.Round(0.4 * float64(s.Height)).Near(measure.Inch / 4)
	case ClosePocket:
		p.width, p.tab = s.Width+thick+eighth, measure.Inch
		p.back, p.front = s.Height+thick, s.Height+thick+eighth
		p.flap = 3 * measure.Inch / 2
	default:
		w, h := s.interior(s.Gusset)
		p.width, p.front, p.tab = w, h, s.Seam
		p.back = h - s.ThumbGap
		p.flap = measure.Round(0.4 * float64(s.Height)).Near(measure.Inch / 4)
	}
	gap := p.front - p.back
	p.width, p.front = (max(p.width, s.LeastWidth) + s.wider()).Up(s.Style.Tick), (max(p.front, s.LeastHeight) + s.wider()).Up(s.Style.Tick)
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
	m := Made{Kind: PocketKind, Width: p.width + 2*max(0, p.tab-p.width), Height: max(p.front, p.flap), Depth: p.wall, Flap: p.flap}
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
	m.Scores = []ScoreLine{{"left tab", "left", p.tab}, {"right tab", "right", p.tab}, {"flap", "top", p.flap}, {"back", "bottom", p.back}}
	if s.Double && s.Thickness > 0 && p.wall == 0 {
		m.fault(SingleCrease, s.Thickness, 0)
	}
	if p.wall > 0 && s.Gusset > 0 {
		m.fault(SlitCorners, p.wall, 0)
	}
	if p.wall > 0 {
		m.Scores = append(m.Scores, ScoreLine{"left wall", "left", p.tab + p.wall}, ScoreLine{"right wall", "right", p.tab + p.wall},
			ScoreLine{"throat wall", "top", p.flap + p.wall}, ScoreLine{"bottom wall", "bottom", p.back + p.wall})
	}
	m.Cuts, m.Folds = 4+8, len(m.Scores) // the rectangle, two cuts to each corner
	t := s.Style.Tick / 2
	m.EaseError, m.SeamError = Loss{3*t + t, root(3, t)}, Loss{t, t}
	m.Ways = m.edgeWays(s)
	if s.TabsOnBack && p.wall == 0 {
		m.Seam = p.tab
	}
	m.pocketFaults(s, p)
	return m.folded(s)
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
func (m Made) edgeWays(s Spec) []ScoreWay {
	t := s.Style.Tick / 2
	opposite := map[string]string{"right": "left", "bottom": "top"}
	size := map[string]measure.Length{"right": m.SheetWidth, "bottom": m.SheetHeight}
	one := make([]ScoreLine, len(m.Scores))
	for i, l := range m.Scores {
		if edge, far := opposite[l.Edge]; far {
			l.At, l.Edge = size[l.Edge]-l.At, edge
		}
		one[i] = l
	}
	// One more t off the ease at worst is the card's own cut.
	list := []ScoreWay{{"each from the edge next to it", m.Scores, Loss{3*t + t, root(3, t)}, Loss{t, t}}}
	for _, l := range one {
		if s.Board.Groove > 0 && l.At%s.Board.Groove != 0 {
			return list
		}
	}
	return append(list, ScoreWay{"all from one edge", one, Loss{2*t + t, root(2, t)}, Loss{2 * t, root(2, t)}})
}

func root(n float64, t measure.Length) measure.Length {
	return measure.Round(math.Sqrt(n) * float64(t))
}

// pocketNet draws the net; tabs, back and flap taper by a sliver at the free
// edge, so that nothing peeks out.
func pocketNet(p pocketSizes, s Spec) Net {
	mm := measure.Length.Millimetres
	tab, wall, w, sl := mm(p.tab), mm(p.wall), mm(p.width), mm(s.Sliver)
	x0 := tab + wall
	x1, far := x0+w, 2*tab+2*wall+w+mm(p.uneven)
	y0 := mm(p.flap) + wall
	y1 := y0 + mm(p.front)
	end := y1 + wall + mm(p.back)
	n := Net{Sheet: rectangle(0, 0, far, end)}
	n.Panels = []Panel{{"front", "front", rectangle(x0, y0, x1, y1)}}
	hang := func(id, name, on string, outline Polygon, from, to Point, order int) {
		angle := 180.0
		if wall > 0 {
			angle = 90
		}
		n.Panels = append(n.Panels, Panel{id, name, outline})
		n.Creases = append(n.Creases, Crease{Panel: id, On: on, From: from, To: to, Angle: angle, Order: order})
	}
	left, right, top, bottom := "front", "front", "front", "front"
	if wall > 0 {
		left, right, top, bottom = "left wall", "right wall", "throat wall", "bottom wall"
		hang(left, "wall", "front", rectangle(x0-wall, y0, x0, y1), Point{x0, y0}, Point{x0, y1}, 1)
		hang(right, "wall", "front", rectangle(x1, y0, x1+wall, y1), Point{x1, y0}, Point{x1, y1}, 1)
		hang(bottom, "wall", "front", rectangle(x0, y1, x1, y1+wall), Point{x0, y1}, Point{x1, y1}, 3)
		hang(top, "wall", "front", rectangle(x0, y0-wall, x1, y0), Point{x0, y0}, Point{x1, y0}, 5)
	}
	lx, rx, ty, by := x0-wall, x1+wall, y0-wall, y1+wall
	back := Polygon{{x0, by}, {x1, by}, {x1 - sl, end}, {x0 + sl, end}}
	if s.TabsOnBack && wall == 0 {
		// The tabs fold in first, then the back brings them down on the front.
		back = rectangle(x0, by, x1, end)
		hang("back", "back", bottom, back.notched(mm(s.Notch), 2), Point{x0, by}, Point{x1, by}, 4)
		hang("left", "tab", "back", Polygon{{lx, by}, {lx, end}, {0, end - sl}, {0, by + sl}}, Point{lx, by}, Point{lx, end}, 2)
		hang("right", "tab", "back", Polygon{{rx, by}, {far, by + sl}, {far, end - sl}, {rx, end}}, Point{rx, by}, Point{rx, end}, 2)
	} else {
		hang("left", "tab", left, Polygon{{lx, y0}, {lx, y1}, {0, y1 - sl}, {0, y0 + sl}}, Point{lx, y0}, Point{lx, y1}, 2)
		hang("right", "tab", right, Polygon{{rx, y0}, {far, y0 + sl}, {far, y1 - sl}, {rx, y1}}, Point{rx, y0}, Point{rx, y1}, 2)
		hang("back", "back", bottom, back.notched(mm(s.Notch), 2).rounded(mm(s.Corner), freeCorners(back, s)...), Point{x0, by}, Point{x1, by}, 4)
	}
	hang("top", "closing flap", top, s.FlapShape.outline(x0, x1, ty, 0, sl, mm(s.Corner)), Point{x0, ty}, Point{x1, ty}, 6)
	n.cutOut()
	onto := "back"
	if s.TabsOnBack && wall == 0 {
		onto = "front"
	}
	n.Glue = n.glued([2]string{"left", onto}, [2]string{"right", onto}, [2]string{"top", "back"})
	return n
}

// freeCorners are the corners of the back at the throat, by their place once it
// has its notch.
func freeCorners(back Polygon, s Spec) []int {
	n := len(back.notched(s.Notch.Millimetres(), 2))
	return []int{2, n - 1}
}
