package plan

import (
	"fmt"
	"slices"

	"yellowparcel/core/mail"
	"yellowparcel/core/measure"
)

// leaveOff finds, for every class that would be cheaper, the smallest set of
// things without which the piece goes as it.
func (m maker) leaveOff(c candidate, v mail.Verdict, now posted) (list []remedy) {
	e := m.closed(c)
	// What was measured says nothing of the parts one by one: the sums do, and by as
	// much as they said too little, more has to go.
	_, grams := m.weights(e)
	more, heavier := max(0, m.thick.Used-m.thick.Predicted), 0.0
	if t := m.job.Post.Measured; t.Thickness > 0 {
		more += max(0, t.Thickness-e.thickness)
	}
	if t := m.job.Post.Measured; t.Grams > 0 {
		heavier = max(0, t.Grams-grams)
	}
	fixed := (e.thickness - m.thick.Used + more).Millimetres()
	seen := map[string]bool{}
	for _, r := range m.upTo(v, now) {
		broken := brokenMeasures(r)
		thick, parts := 1e9, 1e9
		for _, l := range r.Checks {
			if l.Max == nil {
				continue
			}
			switch l.Measure {
			case mail.Thickness:
				thick = measure.Length(*l.Max).Millimetres() - fixed
			case mail.Weight:
				// What the parts may weigh, without envelope and closure, and the adhesive
				// that goes with them.
				parts = float64(*l.Max)/(1+glueShare) - (grams/(1+glueShare) - m.partGrams()) - m.closure().Grams - heavier
			}
		}
		_, tooThick := broken[mail.Thickness]
		_, tooHeavy := broken[mail.Weight]
		_, lumpy := broken[mail.Lump]
		var off mail.Removal
		ok := false
		switch {
		case tooThick || tooHeavy:
			off, ok = m.relief.LeaveOff(thick, parts)
		case lumpy:
			off, ok = m.smoothed(measure.Length(*broken[mail.Lump].Max).Millimetres())
		}
		if !ok || len(off.Parts) == 0 {
			continue
		}
		names, key := []string{}, fmt.Sprint(off.Parts)
		var places []int
		weight := 0.0
		for _, i := range off.Parts {
			names = append(names, "“"+m.relief.Parts[i].Name+"”")
			places = append(places, m.pieces[i])
			weight += m.relief.Parts[i].Grams
		}
		if seen[key] {
			continue
		}
		seen[key] = true
		left := m.relief.Without(off.Parts)
		text := fmt.Sprintf("Saves %s of thickness and %s.", m.fine().Show(max(0, nm(m.relief.Max-left))), m.fineWeight(weight))
		if !off.Proven {
			text += " Not proven to be the least that does."
		}
		list = append(list, remedy{
			id: "leave:" + r.Class.ID, title: "Leave off " + joinAnd(names), text: text, touched: len(places), area: off.Area, unproven: !off.Proven,
			change: func(j *Job) {
				j.Card.Thickness = nil
				j.Parts = slices.DeleteFunc(j.Parts, func(p Part) bool {
					return slices.ContainsFunc(places, func(i int) bool { return m.job.Parts[i].ID == p.ID && p.Thing != nil })
				})
			},
		})
	}
	return list
}

// partGrams is what the parts of the relief weigh together.
func (m maker) partGrams() (sum float64) {
	for _, p := range m.relief.Parts {
		sum += p.Grams
	}
	return sum
}

// smoothed leaves off what rises most, one thing after the other, until nothing
// rises more than a limit within an inch.
func (m maker) smoothed(limit float64) (off mail.Removal, ok bool) {
	r, places := m.relief, make([]int, len(m.relief.Parts))
	for i := range places {
		places[i] = i
	}
	for {
		rise, part := r.Lump(lumpWithin)
		if rise <= limit+1e-9 {
			// One thing alone is the least that can be left off.
			off.Proven = len(off.Parts) == 1
			return off, true
		}
		if !r.Parts[part].Free {
			return off, false
		}
		p := r.Parts[part]
		off.Parts = append(off.Parts, places[part])
		off.Area += (p.X1 - p.X0) * (p.Y1 - p.Y0)
		places = slices.Delete(slices.Clone(places), part, part+1)
		r = mail.NewRelief(slices.Concat(r.Parts[:part], r.Parts[part+1:]))
	}
}
