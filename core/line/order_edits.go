package line

import (
	"fmt"
	"slices"
	"strconv"

	"yellowparcel/core/field"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/paper"
)

// edits gives everything that was understood its edits, in the order in which they are
// carried out: what is put on is known by its ID before it is given its sizes.
func (r *order) edits() {
	j := r.from
	for _, s := range r.InOrder() {
		if s.Sense == Recipe {
			continue
		}
		s.Edits = nil
		do := func(list ...field.Edit) {
			for _, e := range list {
				s.Edits = append(s.Edits, e)
				if place, err := j.Place(e.Path); err == nil {
					e.Path = place
				}
				if next, err := j.Apply(r.shop, e); err == nil {
					j = next
				}
			}
		}
		r.editsOf(s, func() job.Job { return j }, do)
	}
	r.Said = slices.DeleteFunc(r.Said, func(s Said) bool { return s.Sense == Border && s.Edits == nil })
}

// editsOf are the edits of one thing that was understood, on the job as it is then.
func (r *order) editsOf(s *Said, now func() job.Job, do func(...field.Edit)) {
	set := func(path, id string) field.Edit { return field.Edit{Act: field.Set, Path: path, Text: id} }
	switch s.Sense {
	case CardSize:
		do(fieldOf("card.width", r.written(s.Lengths[0])), fieldOf("card.height", r.written(s.Lengths[1])))
	case CardFold:
		do(set("card.fold", s.ID))
	case BasePaper:
		do(set("parts."+now().Parts[0].ID+".stock", s.ID))
	case BlankPaper:
		do(set("envelope.stock", s.ID))
	case Layers:
		if n := s.Count - len(now().LayerParts()); n > 0 {
			r.put(n, string(job.LayerPart), now, do)
		}
		for n := len(now().LayerParts()); n > s.Count; n-- {
			do(r.without(job.LayerPart, "", now()))
		}
	case MoreLayers:
		r.put(s.Count, string(job.LayerPart), now, do)
	case Border:
		for _, i := range now().LayerParts() {
			do(fieldOf("parts."+now().Parts[i].ID+".border", r.written(s.Lengths[0])))
		}
		if len(now().LayerParts()) == 0 {
			r.odd(s.From, s.To, noLayer{})
		}
	case Liner:
		do(field.Edit{Act: field.Add, Path: "parts", Text: string(job.LinerPart)})
	case Things:
		before := len(now().Parts)
		r.put(s.Count, r.kindOf(s), now, do)
		for _, p := range now().Parts[before:] { // things lie on top of everything
			if s.Lengths != nil {
				do(fieldOf("parts."+p.ID+".thing.caliper", r.written(s.Lengths[0])))
			}
		}
	case WithoutIt:
		do(r.without(job.PartKind(s.ID), s.ID, now()))
	case HaveOne:
		do(field.Edit{Act: field.Add, Path: "start", Text: s.ID})
		if s.Lengths != nil {
			do(fieldOf("start.width", r.written(s.Lengths[0])), fieldOf("start.height", r.written(s.Lengths[1])))
		}
	case HaveSheet:
		do(set("paper.have", s.ID))
	case TypeOf:
		do(set("envelope.construction", s.ID))
	case Bought:
		do(field.Edit{Act: field.Take, Path: "envelope", Text: "bought:" + s.ID})
	case OneLength:
		text := strconv.Itoa(s.Count)
		if s.Lengths != nil {
			text = r.written(s.Lengths[0])
		}
		do(fieldOf(s.ID, text))
	case Destination:
		do(set("mail.destination", s.ID))
	case Bare:
		do(set("mail.bare", field.Yes))
	case HowMany:
		do(fieldOf("count", strconv.Itoa(s.Count)))
	case Name:
		do(fieldOf("name", s.ID))
	}
}

// put puts so many of something on the card; where no more can be put on, the first that is
// refused says why.
func (r *order) put(n int, what string, now func() job.Job, do func(...field.Edit)) {
	for range n {
		before := len(now().Parts)
		if do(field.Edit{Act: field.Add, Path: "parts", Text: what}); len(now().Parts) == before {
			return
		}
	}
}

// kindOf is the thing of the table that is meant: of those of one name the one whose
// thickness is the nearest to what is said.
func (r *order) kindOf(s *Said) string {
	meant, ok := paper.ThingByID(s.ID)
	if !ok || s.Lengths == nil {
		return s.ID
	}
	best := meant
	for _, k := range paper.Things() {
		if split1(k.Name)[0] == split1(meant.Name)[0] && (k.Caliper-s.Lengths[0]).Abs() < (best.Caliper-s.Lengths[0]).Abs() {
			best = k
		}
	}
	return best.ID
}

// without takes the last part of a kind off: a layer, a liner, or a thing of the table.
func (r *order) without(kind job.PartKind, thing string, j job.Job) field.Edit {
	for i := len(j.Parts) - 1; i >= 0; i-- {
		if p := j.Parts[i]; p.Kind == kind || p.Thing != nil && thing != "" && split1(p.Thing.Type)[0] == split1(thing)[0] {
			return field.Edit{Act: field.Remove, Path: "parts." + p.ID}
		}
	}
	return field.Edit{Act: field.Remove, Path: fmt.Sprintf("parts.%d", len(j.Parts))} // is refused: there is none
}

// written is a length as it is typed: exactly, in the unit that suits it.
func (r *order) written(l measure.Length) string {
	for _, t := range r.list {
		if t.number && t.length == l {
			if own, err := measure.Parse(t.text, r.style.Unit); err == nil && own == l {
				return t.text
			}
		}
	}
	if l%measure.Micrometre == 0 {
		return measure.Decimal(l, measure.Millimetre) + " mm"
	}
	return measure.Decimal(l, measure.Inch) + " in"
}
