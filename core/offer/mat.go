package offer

import (
	"yellowparcel/core/blank"
	"yellowparcel/core/compare"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
)

// Onto is one change of the envelope that brings its blank onto a cutter's mat.
type Onto struct {
	ID WouldID // LessEase, LessSeam or OtherKind
	// To is the ease or the seam that it takes, Less how much that is less.
	To, Less measure.Length
	Kind     *blank.Construction
	// Made is the envelope that it leads to.
	Made compare.Candidate
}

const (
	leastRoom = measure.Inch / 8 // the least ease that is offered
	mostKinds = 3                // how many other constructions are named
)

// OntoMat is what would bring the blank onto a mat, each by itself: the least seam less and the least
// ease less, to the tick, and constructions whose blank goes on it as it is.
func (m Offers) OntoMat(c compare.Candidate, all []compare.Candidate, goes func(compare.Candidate) bool) (list []Onto) {
	if c.Kind.Bought {
		return nil
	}
	a, _ := m.Shop().Adhesive(m.Job().Envelope.Adhesive)
	e, tick := m.Job().Envelope, m.Style().Tick
	less := func(id WouldID, now, least measure.Length, set func(*job.Job, measure.Length)) {
		try := func(ticks measure.Length) (compare.Candidate, bool) {
			j := m.Job().Clone()
			set(&j, now-ticks*tick)
			made := m.with(j).Candidate(c.Kind)
			return made, made.OK && goes(made)
		}
		// The least that does: what is less by more goes as well.
		low, high := measure.Length(0), (now-max(least, tick))/tick
		best, ok := try(high)
		if high <= 0 || !ok {
			return
		}
		for high-low > 1 {
			middle := (low + high) / 2
			if made, ok := try(middle); ok {
				best, high = made, middle
			} else {
				low = middle
			}
		}
		list = append(list, Onto{ID: id, To: now - high*tick, Less: high * tick, Made: best})
	}
	less(LessSeam, e.Seam, a.Width, func(j *job.Job, to measure.Length) { j.Envelope.Seam = to })
	less(LessEase, e.Ease, leastRoom, func(j *job.Job, to measure.Length) { j.Envelope.Ease = to })
	kinds := 0
	for _, k := range all {
		if kinds < mostKinds && k.Kind != c.Kind && !k.Kind.Bought && k.OK && goes(k) {
			list, kinds = append(list, Onto{ID: OtherKind, Kind: k.Kind, Made: k}), kinds+1
		}
	}
	return list
}

// Take is the job with that change.
func (o Onto) Take(j job.Job) job.Job {
	j = j.Clone()
	switch o.ID {
	case LessSeam:
		j.Envelope.Seam = o.To
	case LessEase:
		j.Envelope.Ease = o.To
	case OtherKind:
		j.Envelope.Construction = o.Kind.ID
	}
	return j
}
