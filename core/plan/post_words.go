package plan

import (
	"fmt"

	"yellowparcel/core/mail"
)

func allPass(checks []mail.Check) bool {
	for _, c := range checks {
		if !c.OK {
			return false
		}
	}
	return true
}

// verdict puts the verdict in words: what it goes as, why, and what would be
// better.
func (m maker) verdict(p *PostPlan, v mail.Verdict, e closed, piece mail.Piece) {
	r, taken := v.Result()
	switch {
	case !v.Mailable:
		p.Sentence = say("Too small for any mail: %s. A larger envelope with holding strips would do.", m.broken(v.Floor, false))
	case !taken && v.AskFirst:
		p.Sentence = say("Small but thick: the published rules do not say what becomes of it. Ask at the counter first.")
	case !taken:
		last := v.Results[len(v.Results)-1]
		p.Sentence = say("No class of letter takes it: %s even for a %s. Ask for a parcel.", m.whyNot(last), last.Class.Name)
	case r.Outcome == mail.Surcharged:
		p.Sentence = m.surcharged(p, r, e, piece)
	case r.Outcome == mail.Doubtful:
		p.Sentence = say("It may go as a [%s], but ask first: %s.", r.Class.Name, m.broken(doubts(r.Checks), false))
	default:
		p.Sentence = say("By the published limits it goes as a [%s].", r.Class.Name)
		first := v.Rulebook.Enveloped()
		for _, c := range v.Results {
			if c.Class.ID == first.ID && c.Outcome == mail.Refused {
				p.Sentence = say("By the published limits it goes as a [%s]: %s for a %s.", r.Class.Name, m.whyNot(c), c.Class.Name)
			}
		}
	}
	if taken {
		for _, c := range r.Checks {
			if c.OK && c.Worst < 0 {
				p.Notes = append(p.Notes, Note{Care, fmt.Sprintf("Its %s passes, but by less than it may be off.", measureNames[c.Measure])})
			}
		}
	}
	if m.job.Post.HandCancel {
		p.Notes = append(p.Notes, Note{Fine, "To be cancelled by hand: ask for it at the counter; not every counter offers it."})
	}
	p.Notes = append(p.Notes, Note{Fine, "Rules change and offices differ: this is advice, no promise. Ask your own post office."})
}

// doubts are the guidance that a piece breaks.
func doubts(checks []mail.Check) (list []mail.Check) {
	for _, c := range checks {
		if c.Guidance && !c.OK {
			list = append(list, c)
		}
	}
	return list
}

// whyNot says why a class does not take the piece: by what it is too much, or
// else too little.
func (m maker) whyNot(r mail.ClassResult) string {
	if list := over(r.Checks); len(list) > 0 {
		return m.broken(list, false)
	}
	return m.broken(r.Checks, false)
}

// over keeps the checks whose greatest limit is broken.
func over(checks []mail.Check) []mail.Check {
	var list []mail.Check
	for _, c := range checks {
		if c.Max != nil && c.Measured > float64(*c.Max) {
			list = append(list, c)
		}
	}
	return list
}

// surcharged says why a surcharge falls due and in what envelope it would not.
func (m maker) surcharged(p *PostPlan, r mail.ClassResult, e closed, piece mail.Piece) Sentence {
	for _, c := range r.Checks {
		if c.OK || c.Measure != mail.Aspect && c.Measure != mail.AddressAspect {
			continue
		}
		shape := "Nearly square"
		switch {
		case piece.AddressShort && c.Measure == mail.AddressAspect:
			return say("With the address along its short edge it pays the surcharge as a %s: write it along the long one.", r.Class.Name)
		case piece.Width == piece.Height:
			shape = "Square"
		case c.Max != nil && c.Measured > float64(*c.Max):
			shape = "Long and slim"
		}
		s := fmt.Sprintf("%s, so as a %s it pays the surcharge", shape, r.Class.Name)
		need := m.thick.Used + m.job.Envelope.Ease + e.wider()
		rect := r.Class.PlainRectangle(m.outer().Width+need, m.outer().Height+need, piece.Thickness, piece.SizeError, m.style.Tick)
		if rect.OK {
			p.Rectangle = &RectanglePlan{m.shown(rect.Width), m.shown(rect.Height)}
			return say("%s; in a [%s %s] envelope it would not.", s, m.by(rect.Width, rect.Height), m.style.Unit)
		}
		return say("%s. No envelope saves it: one of the right shape would be over the limit for %s.", s, measureNames[rect.Why])
	}
	if onlyGuidance(r.Checks) {
		return say("As a [%s] it may pay the surcharge: %s. Ask first.", r.Class.Name, m.broken(r.Checks, true))
	}
	return say("As a %s it pays the surcharge: %s.", r.Class.Name, m.broken(r.Checks, true))
}
