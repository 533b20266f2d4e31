package plan

import (
	"cmp"
	"fmt"
	"slices"
	"strings"

	"yellowparcel/core/card"
	"yellowparcel/core/cutting"
	"yellowparcel/core/drawing"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/say"
)

// ItemsPlan says where stamps, greeting and ribbon go.
type ItemsPlan struct {
	Sentence string `json:"sentence"`
	// Row is the place in the rows of the paper that takes them all, or takes
	// most of them; -1 when there is nothing to lay.
	Row    int          `json:"row"`
	Placed []ItemPlaced `json:"placed"`
	Rungs  []ItemRung   `json:"rungs"`
}

// ItemPlaced is one thing where it lies on the face, in millimetres.
type ItemPlaced struct {
	ID     string  `json:"id"`
	Name   string  `json:"name"`
	X      float64 `json:"x"`
	Y      float64 `json:"y"`
	Width  float64 `json:"width"`
	Height float64 `json:"height"`
}

// ItemRung says what one paper takes of them.
type ItemRung struct {
	Name string `json:"name"`
	Size string `json:"size"`
	Text string `json:"text"`
	All  bool   `json:"all"`
}

// itemClear is what stays clear round each thing on the panel.
const itemClear = measure.Inch / 8

// items lays what is to go on the panel on the topmost paper that takes all of
// it, and says of each paper which of them fit on it together.
func (m layersStation) items() ItemsPlan {
	p := ItemsPlan{Row: -1, Placed: []ItemPlaced{}, Rungs: []ItemRung{}}
	things := m.Job().Items
	if len(things) == 0 {
		return p
	}
	rows := m.Job().Stacked()
	most, places := 0, append([]int{0}, m.Job().LayerParts()...)
	var got itemsLaid
	for i := len(rows) - 1; i >= 0; i-- {
		// The papers get larger from the top down: what one takes the next takes too.
		if above := i + 1; above < len(rows) && (rows[i].Width < rows[above].Width || rows[i].Height < rows[above].Height) {
			got = itemsLaid{}
		}
		if len(got.in) < len(things) {
			got = m.together(rows[i].Size, things, got, itemSteps/len(rows))
		}
		in, placed := got.in, got.placed
		rung := ItemRung{m.Job().Parts[places[i]].Name, m.by(rows[i].Width, rows[i].Height), namesOf(things, in), len(in) == len(things)}
		p.Rungs = append(p.Rungs, rung)
		if len(in) > most {
			most, p.Row = len(in), i
			p.Placed = onFace(rows[i], placed)
		}
	}
	switch {
	case p.Row < 0:
		p.Sentence = fmt.Sprintf("None of them fits with %s clear all round.", m.Style().ShowUnit(itemClear))
	case most < len(things):
		p.Sentence = fmt.Sprintf("No paper takes them all with %s clear; “%s” takes %s.", m.Style().ShowUnit(itemClear), m.Job().Parts[places[p.Row]].Name, namesOfPlaced(p.Placed))
	default:
		p.Sentence = fmt.Sprintf("They go together on “%s”, with %s clear.", m.Job().Parts[places[p.Row]].Name, m.Style().ShowUnit(itemClear))
	}
	return p
}

// laid is a thing with its place on a paper, clear space off.
type laid struct {
	job.Item
	x, y measure.Length
}

// careful is how many steps a set of things gets: with eight at most this looks at
// every order that matters.
const careful = 8000

// together returns the most things that lie side by side on a paper, upright,
// with the clear space round each; of as many, those that fill more of it. At least
// it returns those that go on one after the other, the largest first, or what a
// smaller paper took; then it looks for more as long as the steps last.
func (m layersStation) together(paper card.Size, things []job.Item, least itemsLaid, steps int) itemsLaid {
	room := cutting.Sheet{Width: paper.Width - itemClear, Height: paper.Height - itemClear}
	if room.Width <= 0 || room.Height <= 0 {
		return itemsLaid{}
	}
	until := m.Effort.Used() + m.Effort.Share(steps)
	sets := itemSets(room, things)
	if len(least.in) == 0 {
		least = m.oneAfterOther(room, things)
	}
	better := func(set itemSet) bool { return set.compare(newItemSet(room, things, least.in)) < 0 }
	// One more at a time: where no set of so many goes on it, none of more does. Each
	// size is looked through quickly first, then with care.
	for size := max(1, len(least.in)); size <= len(things); size++ {
		found := false
		for _, each := range []int{0, careful} {
			for _, set := range sets {
				if len(set.members) != size || !better(set) || m.Effort.Used() >= until {
					continue
				}
				if laid, ok := m.layItems(set, things, min(each, max(0, until-m.Effort.Used()))); ok {
					least, found = laid, true
				}
			}
			if found {
				break
			}
		}
		if len(least.in) < size {
			break
		}
	}
	return least
}

// oneAfterOther lays things in turn, the largest first, each where there is room
// for it with those that lie already.
func (m layersStation) oneAfterOther(room cutting.Sheet, things []job.Item) (best itemsLaid) {
	order := make([]int, len(things))
	for i := range order {
		order[i] = i
	}
	slices.SortStableFunc(order, func(a, b int) int {
		return cmp.Compare(newItemSet(room, things, []int{b}).area, newItemSet(room, things, []int{a}).area)
	})
	for _, i := range order {
		in := append(slices.Clone(best.in), i)
		slices.Sort(in)
		if laid, ok := m.layItems(newItemSet(room, things, in), things, 0); ok {
			best = laid
		}
	}
	return best
}

// layItems lays a set of things on a paper; false when it does not go on it.
func (m layersStation) layItems(set itemSet, things []job.Item, steps int) (itemsLaid, bool) {
	if set.order.Bound() > 1 {
		return itemsLaid{}, false
	}
	plan := m.Effort.Search(set.order, steps, nil)
	if plan.Sheets != 1 || len(plan.Unfit) > 0 {
		return itemsLaid{}, false
	}
	l := itemsLaid{in: set.members}
	for _, q := range plan.Layouts[0].Pieces {
		t := things[set.members[q.Piece]]
		t.Width = q.Width - itemClear
		l.placed = append(l.placed, laid{t, q.X + itemClear, q.Y + itemClear})
	}
	return l, true
}

// itemsLaid are the things that a paper takes, by their places in the list, and
// where they lie.
type itemsLaid struct {
	in     []int
	placed []laid
}

// itemSet is some of the things, as pieces with the clear space round each.
type itemSet struct {
	members []int
	order   cutting.Order
	area    float64
}

func newItemSet(room cutting.Sheet, things []job.Item, members []int) itemSet {
	s := itemSet{members: members, order: cutting.Order{Sheet: room}}
	for _, i := range members {
		t := things[i]
		w := t.Width + itemClear
		if t.Width == 0 {
			w = room.Width // right across
		}
		s.area += w.Millimetres() * t.Height.Millimetres()
		s.order.Pieces = append(s.order.Pieces, cutting.Piece{Width: w, Height: t.Height + itemClear, Count: 1})
	}
	return s
}

// compare puts more things first, and of as many those that fill more of a paper.
func (s itemSet) compare(t itemSet) int {
	return cmp.Or(cmp.Compare(len(t.members), len(s.members)), cmp.Compare(t.area, s.area))
}

// itemSets are all sets of things, the best to have first.
func itemSets(room cutting.Sheet, things []job.Item) (list []itemSet) {
	for bits := 1; bits < 1<<len(things); bits++ {
		var members []int
		for i := range things {
			if bits>>i&1 != 0 {
				members = append(members, i)
			}
		}
		list = append(list, newItemSet(room, things, members))
	}
	slices.SortStableFunc(list, itemSet.compare)
	return list
}

// onFace moves what was laid in a paper's corner to the paper's middle.
func onFace(paper card.Layer, placed []laid) (list []ItemPlaced) {
	right, below := measure.Length(0), measure.Length(0)
	for _, l := range placed {
		right, below = max(right, l.x+l.Width+itemClear), max(below, l.y+l.Height+itemClear)
	}
	dx, dy := paper.X+(paper.Width-right)/2, paper.Y+(paper.Height-below)/2
	for _, l := range placed {
		list = append(list, ItemPlaced{l.ID, l.Name, (dx + l.x).Millimetres(), (dy + l.y).Millimetres(), l.Width.Millimetres(), l.Height.Millimetres()})
	}
	return list
}

func namesOf(things []job.Item, in []int) string {
	switch len(in) {
	case 0:
		return "takes none"
	case len(things):
		return "takes all"
	}
	var names []string
	for _, i := range in {
		names = append(names, things[i].Name)
	}
	return "takes " + strings.Join(names, ", ")
}

func namesOfPlaced(placed []ItemPlaced) string {
	var names []string
	for _, p := range placed {
		names = append(names, p.Name)
	}
	return strings.Join(names, ", ")
}

// LadderPlan is the ladder of swatches for this card size: one for each rung, to
// cut once and try on.
type LadderPlan struct {
	Swatches []Swatch `json:"swatches"`
	Drawing  string   `json:"drawing"`
	// Flat are the outlines, one inside the other.
	Flat drawing.Drawing `json:"flat"`
}

// Swatch is one rung of the ladder.
type Swatch struct {
	Size   string `json:"size"`
	Width  Shown  `json:"width"`
	Height Shown  `json:"height"`
	Border Shown  `json:"border"`
	Share  string `json:"share"`
}

func (m layersStation) ladder() LadderPlan {
	face := m.Job().Face()
	p := LadderPlan{Swatches: []Swatch{}}
	var sizes []card.Size
	var names []string
	for _, b := range card.Rungs(face, m.Style().Unit) {
		s := card.Size{Width: face.Width - 2*b, Height: face.Height - 2*b}
		share := card.Shares(face, []card.Layer{{Size: s}})[1]
		p.Swatches = append(p.Swatches, Swatch{m.by(s.Width, s.Height), m.shown(s.Width), m.shown(s.Height), m.shown(b), percent(share)})
		sizes, names = append(sizes, s), append(names, m.by(s.Width, s.Height))
	}
	if p.Flat = nothing; m.open.shows(append(atBench, "layers/panel")...) {
		p.Flat = drawing.Ladder(sizes, names).Drawn()
	}
	p.Drawing = fmt.Sprintf("%s for a card of %s %s, one inside the other, sharing the lower left corner.", say.Plural(len(p.Swatches), "swatch outline"), m.by(face.Width, face.Height), m.Style().Unit)
	return p
}
