package plan

import (
	"fmt"
	"math"
	"slices"
	"strings"

	"yellowparcel/core/blank"
	"yellowparcel/core/compare"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/say"
)

// HowLine is one sum as a maker would write it down: its terms, and what they come to.
type HowLine struct {
	ID     string    `json:"id"`
	Name   string    `json:"name"`
	Terms  []HowTerm `json:"terms"`
	Result string    `json:"result"`
	// Note says what becomes of it; empty for nothing.
	Note string `json:"note,omitempty"`

	result float64 // in millimetres
}

// HowTerm is a term of a sum: how it is joined, what it is, and its value.
type HowTerm struct {
	Op   string `json:"op,omitempty"`
	Text string `json:"text"`
	Name string `json:"name"`

	value float64 // in millimetres, with its sign
}

// Off is by how much the terms of a sum miss what it comes to, in millimetres.
func (l HowLine) Off() float64 {
	sum := 0.0
	for _, t := range l.Terms {
		sum += t.value
	}
	return math.Abs(sum - l.result)
}

// furthestSum is what a sum of whole nanometres may be off, in millimetres.
const furthestSum = 1e-4

// sums gathers sums; one that does not come out is not shown.
type sums struct {
	maker
	list []HowLine
}

// add puts a sum on the list.
func (s *sums) add(id, name, note string, result measure.Length, terms ...HowTerm) {
	if len(terms) > 0 {
		terms[0].Op = ""
	}
	l := HowLine{ID: id, Name: name, Terms: terms, Result: s.written(result), Note: note, result: result.Millimetres()}
	if l.Off() <= furthestSum {
		s.list = append(s.list, l)
	}
}

// written is a length to a tick, or in decimals where it is none.
func (s *sums) written(l measure.Length) string {
	if s.Style().Rounds(l) {
		return s.decimal(l)
	}
	return s.Style().Show(l)
}

func (s *sums) plus(name string, l measure.Length) HowTerm {
	return HowTerm{"+", s.written(l), name, l.Millimetres()}
}

func (s *sums) minus(name string, l measure.Length) HowTerm {
	return HowTerm{"−", s.written(l), name, -l.Millimetres()}
}

// how is how the base is worked out.
func (m cardStation) how() []HowLine {
	s := &sums{maker: m.maker, list: []HowLine{}}
	base, plan := m.base(m.Job().Card.Fold)
	along, name := base.Width, "Flat width"
	if base.Across {
		along, name = base.Height, "Flat height"
	}
	panels, at := []HowTerm{}, measure.Length(0)
	for i, p := range plan.Panels {
		panels = append(panels, s.plus(say.Lower(p.Name), p.Size.Nm))
		if at += p.Size.Nm; i > 0 && i < len(plan.Panels)-1 {
			s.add(fmt.Sprintf("score-%d", i), "Score", "", at, slices.Clone(panels)...)
		}
	}
	s.add("flat", name, "", along, panels...)
	layers := []HowTerm{}
	for i, size := range m.Job().PartSizes() {
		if p := m.Job().Parts[i]; size.Width > 0 && (p.Thing == nil || !p.Thing.Inside) {
			layers = append(layers, s.plus(p.Name, m.thicknessOf(p)))
		}
	}
	s.add("thickness", "Thickness, closed", "", m.Thick().Predicted, layers...)
	return s.list
}

// thicknessOf is what a part adds to the thickness of the closed card.
func (m cardStation) thicknessOf(p job.Part) measure.Length {
	if p.Thing != nil {
		return p.Thing.Caliper
	}
	stock, _ := m.Shop().Stock(p.Stock)
	return stock.Caliper*measure.Length(job.LayersOf(m.Job(), p)) + p.Foam
}

// how is how the envelope is worked out.
func (m envelopeStation) how(c compare.Candidate) []HowLine {
	s := &sums{maker: m.maker, list: []HowLine{}}
	made, card, thick := c.Made, m.lies(c), m.Thick().Used
	cut := fmt.Sprintf("Cut %s, the next tick up.", m.Style().Show(made.SheetWidth))
	switch {
	case c.Kind.Bought:
	case len(made.Terms) > 0:
		terms := []HowTerm{}
		for _, t := range made.Terms {
			terms = append(terms, s.plus(strings.TrimSpace(say.Slots{"a": ""}.Text(termWords[t.ID])), t.Length))
		}
		s.add("square", "Square", cut, made.Exact, terms...)
	case c.Kind.ID == blank.DiamondID:
		w, h := s.creases("width", card.Width), s.creases("height", card.Height)
		both := float64(w+h) / math.Sqrt2
		seam := s.plus("seam", m.Job().Envelope.Seam)
		if m.Job().Envelope.School == blank.NotchBoard {
			seam = s.plus("two notches", 2*m.Shop().Tools.NotchDepth)
		}
		s.add("square", "Square", cut, made.Exact, HowTerm{"", s.decimal(measure.Round(both)), "both ÷ √2", both / float64(measure.Millimetre)}, seam)
	default:
		s.straight(c)
	}
	if made.Depth > 0 {
		thick = 0 // the walls take it
	}
	// What folds eat comes off the inside.
	fold := measure.Length(0)
	if stock, _ := m.Shop().Stock(m.Job().Envelope.Stock); !c.Kind.Bought {
		fold = 2 * stock.Caliper
	}
	for _, side := range []struct {
		id, name           string
		inside, card, ease measure.Length
	}{{"ease-width", "Ease, width", made.Width, card.Width, made.EaseWidth}, {"ease-height", "Ease, height", made.Height, card.Height, made.EaseHeight}} {
		terms := []HowTerm{s.plus("between scores", side.inside), s.minus("card", side.card)}
		if thick > 0 {
			terms = append(terms, s.minus("thickness", thick))
		}
		if fold > 0 {
			terms = append(terms, s.minus("folds", fold))
		}
		s.add(side.id, side.name, "", side.ease, terms...)
	}
	return s.list
}

// littleGain is up to what the folds may eat before the creases are set wider for it.
const littleGain = 200 * measure.Micrometre

// creases are how far apart a diamond's creases are wanted round one side of the card.
func (s *sums) creases(id string, side measure.Length) measure.Length {
	thick, ease := s.Thick().Used, s.Job().Envelope.Ease
	terms, sum := []HowTerm{s.plus("card", side), s.plus("thickness", thick), s.plus("ease", ease)}, side+thick+ease
	if stock, _ := s.Shop().Stock(s.Job().Envelope.Stock); 2*stock.Caliper > littleGain {
		terms, sum = append(terms, s.plus("folds", 2*stock.Caliper)), sum+2*stock.Caliper
	}
	s.add(id, "Creases, "+id, "", sum, terms...)
	return sum
}

// straight are the sums of a sheet with straight edges: what lies between its scores.
func (s *sums) straight(c compare.Candidate) {
	net := c.Made.Seen()
	for _, side := range []struct {
		upright  bool
		id, name string
		length   measure.Length
	}{{true, "sheet-width", "Sheet, width", c.Made.SheetWidth}, {false, "sheet-height", "Sheet, height", c.Made.SheetHeight}} {
		var at []measure.Length
		for _, k := range net.Creases {
			if from, to := k.From, k.To; side.upright && abs(to.X-from.X) < 0.01 {
				at = append(at, measure.Round(from.X*float64(measure.Millimetre)))
			} else if !side.upright && abs(to.Y-from.Y) < 0.01 {
				at = append(at, measure.Round(from.Y*float64(measure.Millimetre)))
			}
		}
		slices.Sort(at)
		terms, last := []HowTerm{}, measure.Length(0)
		for _, l := range append(slices.Compact(at), side.length) {
			if l-last > furthestTaper {
				terms, last = append(terms, s.plus("", l-last)), l
			}
		}
		if len(terms) > 1 {
			s.add(side.id, side.name, "Each is the distance to the next score.", side.length, terms...)
		}
	}
}

// furthestTaper is less than any two scores lie apart.
const furthestTaper = measure.Millimetre
