package plan

import (
	"fmt"
	"math"
	"slices"

	"yellowparcel/core/job"
	"yellowparcel/core/mail"
	"yellowparcel/core/measure"
	"yellowparcel/core/piece"
)

// leaveOff finds, for every class that would be cheaper, the smallest set of
// things without which the piece goes as it.
func (m maker) leaveOff(c candidate, v mail.Verdict, now posted) (list []remedy) {
	e := m.closed(c)
	// What was measured says nothing of the parts one by one: the sums do, and by as
	// much as they said too little, more has to go.
	_, grams := m.weights(e)
	more, heavier := max(0, m.Thick().Used-m.Thick().Predicted), 0.0
	if t := m.Job().Post.Measured; t.Thickness > 0 {
		more += max(0, t.Thickness-e.thickness)
	}
	if t := m.Job().Post.Measured; t.Grams > 0 {
		heavier = max(0, t.Grams-grams)
	}
	fixed := (e.thickness - m.Thick().Used + more).Millimetres()
	type removal struct {
		id string
		mail.Allowed
		off mail.Removal
		ok  bool
	}
	var tries []removal
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
		// What makes it thin and light enough, then what makes it even as well.
		allowed := mail.Allowed{Thick: thick, Grams: parts, Rise: math.Inf(1), Within: piece.LumpWithin}
		even := allowed
		if lumpy {
			even.Rise = measure.Length(*broken[mail.Lump].Max).Millimetres()
		}
		if tooThick || tooHeavy {
			tries = append(tries, removal{id: "leave:" + r.Class.ID, Allowed: allowed})
		}
		if lumpy {
			tries = append(tries, removal{id: "leave-even:" + r.Class.ID, Allowed: even})
		}
	}
	// One after the other: each uses what those before it left.
	until := m.effort.Used() + m.effort.Share(leaveSteps)
	for i := range tries {
		tries[i].off, tries[i].ok = m.Relief().LeaveOffIn(tries[i].Allowed, max(0, until-m.effort.Used())/nodeSteps)
		m.effort.Use(tries[i].off.Nodes * nodeSteps)
	}
	seen := map[string]bool{}
	for _, t := range tries {
		if key := fmt.Sprint(t.off.Parts); t.ok && len(t.off.Parts) > 0 && !seen[key] {
			seen[key] = true
			list = append(list, m.without(t.id, t.off))
		}
	}
	return list
}

// without is the remedy of leaving some things off.
func (m maker) without(id string, off mail.Removal) remedy {
	names, weight := []string{}, 0.0
	gone, times := map[string]bool{}, map[string]int{}
	for _, i := range off.Parts {
		name := "“" + m.Relief().Parts[i].Name + "”"
		if times[name]++; times[name] == 1 {
			names = append(names, name)
		}
		gone[m.Job().Parts[m.Laid()[i]].ID] = true
		weight += m.Relief().Parts[i].Grams
	}
	for i, name := range names {
		if n := times[name]; n > 1 {
			names[i] = fmt.Sprintf("%d × %s", n, name)
		}
	}
	left := m.Relief().Without(off.Parts)
	text := fmt.Sprintf("Saves %s of thickness and %s.", m.fine().Show(max(0, nm(m.Relief().Max-left))), m.fineWeight(weight))
	if !off.Proven {
		text += " Not proven to be the least that does."
	}
	return remedy{
		id: id, title: "Leave off " + joinAnd(names), text: text, touched: len(off.Parts), area: off.Area, unproven: !off.Proven,
		change: func(j *job.Job) {
			j.Parts = slices.DeleteFunc(j.Parts, func(p job.Part) bool { return p.Thing != nil && gone[p.ID] })
		},
	}
}

// partGrams is what the parts of the relief weigh together.
func (m maker) partGrams() (sum float64) {
	for _, p := range m.Relief().Parts {
		sum += p.Grams
	}
	return sum
}
