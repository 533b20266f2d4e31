package offer

import (
	"fmt"
	"math"
	"slices"

	"yellowparcel/core/compare"
	"yellowparcel/core/job"
	"yellowparcel/core/mail"
	"yellowparcel/core/measure"
	"yellowparcel/core/piece"
)

// leaveOff finds, for every class that would be cheaper, the smallest set of
// things without which the piece goes as it.
func (m Offers) leaveOff(c compare.Candidate, v mail.Verdict, now compare.Forecast) (list []Remedy) {
	e := m.Closed(c)
	// What was measured says nothing of the parts one by one: the sums do, and by as
	// much as they said too little, more has to go.
	_, grams := m.Weights(e)
	found := m.Mailed(e)
	more := max(0, m.Thick().Used-m.Thick().Predicted) + max(0, found.Thickness-e.Thickness)
	heavier := max(0, found.Weight-grams)
	fixed := (e.Thickness - m.Thick().Used + more).Millimetres()
	type removal struct {
		kind  RemedyID
		class string
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
				parts = float64(*l.Max)/(1+compare.GlueShare) - (grams/(1+compare.GlueShare) - m.partGrams()) - m.Closure().Grams - heavier
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
			tries = append(tries, removal{kind: LeaveOff, class: r.Class.ID, Allowed: allowed})
		}
		if lumpy {
			tries = append(tries, removal{kind: LeaveEven, class: r.Class.ID, Allowed: even})
		}
	}
	// One after the other: each uses what those before it left.
	until := m.Effort.Used() + m.Effort.Share(leaveSteps)
	for i := range tries {
		tries[i].off, tries[i].ok = m.Relief().LeaveOffIn(tries[i].Allowed, max(0, until-m.Effort.Used())/nodeSteps)
		m.Effort.Use(tries[i].off.Nodes * nodeSteps)
	}
	seen := map[string]bool{}
	for _, t := range tries {
		if key := fmt.Sprint(t.off.Parts); t.ok && len(t.off.Parts) > 0 && !seen[key] {
			seen[key] = true
			list = append(list, m.without(t.kind, t.class, t.off))
		}
	}
	return list
}

// without is the remedy of leaving some things off.
func (m Offers) without(kind RemedyID, class string, off mail.Removal) Remedy {
	r := Remedy{Kind: kind, Of: class, touched: len(off.Parts), area: off.Area, Unproven: !off.Proven}
	gone, place := map[string]bool{}, map[string]int{}
	for _, i := range off.Parts {
		part := m.Relief().Parts[i]
		if _, known := place[part.Name]; !known {
			place[part.Name] = len(r.Left)
			r.Left = append(r.Left, Left{Name: part.Name})
		}
		r.Left[place[part.Name]].Times++
		gone[m.Job().Parts[m.Laid()[i]].ID] = true
		r.Lighter += part.Grams
	}
	r.Thinner = max(0, measure.OfMillimetres(m.Relief().Max-m.Relief().Without(off.Parts)))
	r.change = func(j *job.Job) {
		j.Parts = slices.DeleteFunc(j.Parts, func(p job.Part) bool { return p.Thing != nil && gone[p.ID] })
	}
	return r
}

// partGrams is what the parts of the relief weigh together.
func (m Offers) partGrams() (sum float64) {
	for _, p := range m.Relief().Parts {
		sum += p.Grams
	}
	return sum
}

// leaveSteps is what looking for things to leave off may use of the searches' effort,
// nodeSteps what looking at one set of them costs.
const (
	leaveSteps = 480_000
	nodeSteps  = 40
)
