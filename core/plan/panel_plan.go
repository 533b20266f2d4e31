package plan

import (
	"cmp"
	"fmt"
	"slices"
	"strings"

	"yellowparcel/core/card"
	"yellowparcel/core/cutting"
	"yellowparcel/core/measure"
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

// mostItems is how many things may be laid on a panel: every set of them is looked
// at.
const mostItems = 8

// itemClear is what stays clear round each thing on the panel.
const itemClear = measure.Inch / 8

// items lays what is to go on the panel on the topmost paper that takes all of
// it, and says of each paper which of them fit on it together.
func (m maker) items() ItemsPlan {
	p := ItemsPlan{Row: -1, Placed: []ItemPlaced{}, Rungs: []ItemRung{}}
	things := m.job.Items
	if len(things) == 0 {
		return p
	}
	rows := m.job.stacked()
	most, places := 0, append([]int{0}, m.job.layerParts()...)
	var in []int
	var placed []laid
	for i := len(rows) - 1; i >= 0; i-- {
		// The papers get larger from the top down: what one takes the next takes too.
		if above := i + 1; len(in) < len(things) || rows[i].Width < rows[above].Width || rows[i].Height < rows[above].Height {
			in, placed = m.together(rows[i].Size, things, itemSteps/len(rows))
		}
		rung := ItemRung{m.job.Parts[places[i]].Name, m.by(rows[i].Width, rows[i].Height), namesOf(things, in), len(in) == len(things)}
		p.Rungs = append(p.Rungs, rung)
		if len(in) > most {
			most, p.Row = len(in), i
			p.Placed = onFace(rows[i], placed)
		}
	}
	switch {
	case p.Row < 0:
		p.Sentence = fmt.Sprintf("None of them fits with %s clear all round.", m.style.ShowUnit(itemClear))
	case most < len(things):
		p.Sentence = fmt.Sprintf("No paper takes them all with %s clear; “%s” takes %s.", m.style.ShowUnit(itemClear), m.job.Parts[places[p.Row]].Name, namesOfPlaced(p.Placed))
	default:
		p.Sentence = fmt.Sprintf("They go together on “%s”, with %s clear.", m.job.Parts[places[p.Row]].Name, m.style.ShowUnit(itemClear))
	}
	return p
}

// laid is a thing with its place on a paper, clear space off.
type laid struct {
	Item
	x, y measure.Length
}

// together returns the most things that lie side by side on a paper, upright,
// with the clear space round each; of as many, those that fill more of it. It
// looks as long as the steps last, at the most things first.
func (m maker) together(paper card.Size, things []Item, steps int) (in []int, placed []laid) {
	room := cutting.Sheet{Width: paper.Width - itemClear, Height: paper.Height - itemClear}
	if room.Width <= 0 || room.Height <= 0 {
		return nil, nil
	}
	until := m.effort.used + m.effort.share(steps)
	for _, set := range itemSets(room, things) {
		if set.order.Bound() > 1 {
			continue
		}
		if m.effort.used >= until {
			break
		}
		// Eight things at most: this looks at every order that matters.
		const steps, least = 20_000, 2000
		before := m.effort.used
		plan := m.effort.cut(set.order, min(steps, until-before), nil)
		m.effort.used = max(m.effort.used, before+least)
		if plan.Sheets != 1 || len(plan.Unfit) > 0 {
			continue
		}
		for _, q := range plan.Layouts[0].Pieces {
			t := things[set.members[q.Piece]]
			t.Width = q.Width - itemClear
			placed = append(placed, laid{t, q.X + itemClear, q.Y + itemClear})
		}
		return set.members, placed
	}
	return nil, nil
}

// itemSet is some of the things, as pieces with the clear space round each.
type itemSet struct {
	members []int
	order   cutting.Order
	area    float64
}

// itemSets are all sets of things: those of most things first, and of as many
// those that fill more of a paper.
func itemSets(room cutting.Sheet, things []Item) (list []itemSet) {
	for bits := 1; bits < 1<<len(things); bits++ {
		s := itemSet{order: cutting.Order{Sheet: room}}
		for i, t := range things {
			if bits>>i&1 == 0 {
				continue
			}
			s.members = append(s.members, i)
			w := t.Width + itemClear
			if t.Width == 0 {
				w = room.Width // right across
			}
			s.area += w.Millimetres() * t.Height.Millimetres()
			s.order.Pieces = append(s.order.Pieces, cutting.Piece{Width: w, Height: t.Height + itemClear, Count: 1})
		}
		list = append(list, s)
	}
	slices.SortStableFunc(list, func(a, b itemSet) int {
		return cmp.Or(cmp.Compare(len(b.members), len(a.members)), cmp.Compare(b.area, a.area))
	})
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

func namesOf(things []Item, in []int) string {
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
}

// Swatch is one rung of the ladder.
type Swatch struct {
	Size   string `json:"size"`
	Width  Shown  `json:"width"`
	Height Shown  `json:"height"`
	Border Shown  `json:"border"`
	Share  string `json:"share"`
}

func (m maker) ladder() LadderPlan {
	face := m.job.face()
	p := LadderPlan{Swatches: []Swatch{}}
	for _, b := range card.Rungs(face, m.style.Unit) {
		s := card.Size{Width: face.Width - 2*b, Height: face.Height - 2*b}
		share := card.Shares(face, []card.Layer{{Size: s}})[1]
		p.Swatches = append(p.Swatches, Swatch{m.by(s.Width, s.Height), m.shown(s.Width), m.shown(s.Height), m.shown(b), percent(share)})
	}
	p.Drawing = fmt.Sprintf("%s for a card of %s %s, one inside the other, sharing the lower left corner.", plural(len(p.Swatches), "swatch outline"), m.by(face.Width, face.Height), m.style.Unit)
	return p
}
