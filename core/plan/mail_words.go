package plan

import (
	"fmt"
	"slices"
	"strings"

	"yellowparcel/core/compare"
	"yellowparcel/core/mail"
	"yellowparcel/core/say"
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
func (m mailStation) verdict(p *MailPlan, v mail.Verdict, e compare.Closed, piece mail.Piece) {
	r, taken := v.Result()
	switch {
	case !v.Mailable:
		would := "A larger envelope with holding strips would do"
		if thin := brokenChecks(v.Floor); len(thin) == 1 && thin[0].Measure == mail.Thickness {
			would = "A heavier paper would do, or an envelope round it"
		}
		p.Sentence = say.That("Too small for any mail: %s. %s.", m.broken(v.Floor, false), would)
	case !taken && v.AskFirst && piece.Thickness <= v.Rulebook.FloorThickness:
		p.Sentence = say.That("Under the least size for mail: %s. As a parcel it may go. Ask at the counter first.", m.broken(v.Floor, false))
	case !taken && v.AskFirst:
		p.Sentence = say.That("Small but thick: the published rules do not say what becomes of it. Ask at the counter first.")
	case !taken:
		p.Sentence = say.That("Does not go as a letter: %s. Ask for a parcel.", m.noClass(v))
	case r.Outcome == mail.Surcharged:
		p.Sentence = m.surcharged(p, r, e, piece)
	case r.Outcome == mail.Doubtful:
		p.Sentence = say.That("Ask first: perhaps %s[%s].", article(r.Class.Name), r.Class.Name)
		if why := m.broken(doubts(r.Checks), false); !onlyOpen(doubts(r.Checks)) {
			p.Sentence = say.That("Ask first: perhaps %s[%s]. %s.", article(r.Class.Name), r.Class.Name, say.Capital(why))
		}
		if due := r.Due(); len(due) > 0 {
			p.Sentence = say.That("Ask first: perhaps %s[%s]. %s. A surcharge is due in any case: %s.", article(r.Class.Name), r.Class.Name, say.Capital(m.broken(doubts(r.Checks), false)), m.broken(due, true))
		}
	default:
		p.Sentence = say.That("Goes as %s[%s].", article(r.Class.Name), r.Class.Name)
		first := v.Rulebook.Enveloped()
		for _, c := range v.Results {
			if c.Class.ID == first.ID && c.Outcome == mail.Refused {
				p.Sentence = say.That("Goes as %s[%s]: %s for %s.", article(r.Class.Name), r.Class.Name, m.whyNot(c), one(c.Class.Name))
			}
		}
	}
	if open(v) {
		p.Sentence = p.Sentence.And(say.That(" It is over %s, by how much is not known: measure it.", m.fine().ShowUnit(piece.Failed)))
	}
	if taken {
		for _, c := range r.Checks {
			if c.OK && c.Worst < 0 {
				p.Notes = append(p.Notes, say.Care.Says(fmt.Sprintf("Its %s passes, but by less than it may be off.", c.Measure.Words().Name)))
			}
		}
	}
	if m.Job().Mail.HandCancel {
		p.Notes = append(p.Notes, say.Fine.Says("To be cancelled by hand: ask for it at the counter. Not every counter offers it."))
	}
	p.Notes = append(p.Notes, say.Fine.Says("Rules change and offices differ: this is advice, no promise. Ask your own post office."))
}

// article is the one before a name, with its space; one is the name with it.
func article(name string) string {
	if name == "" {
		return ""
	}
	if strings.ContainsAny(name[:1], "aeioAEIO") {
		return "an "
	}
	return "a "
}

func one(name string) string { return article(name) + name }

func brokenChecks(checks []mail.Check) []mail.Check {
	return slices.DeleteFunc(slices.Clone(checks), func(c mail.Check) bool { return c.OK })
}

// doubts are the guidance that a piece breaks, and what may be found broken.
func doubts(checks []mail.Check) (list []mail.Check) {
	for _, c := range checks {
		if (c.Guidance || c.Unsure) && !c.OK {
			list = append(list, c)
		}
	}
	return list
}

// onlyOpen reports whether nothing is doubtful but what was found to be more than so much.
func onlyOpen(checks []mail.Check) bool {
	return len(checks) > 0 && !slices.ContainsFunc(checks, func(c mail.Check) bool { return !c.Open })
}

// open reports whether a class goes by what is known only to be more than so much.
func open(v mail.Verdict) bool {
	return slices.ContainsFunc(v.Results, func(r mail.ClassResult) bool {
		return slices.ContainsFunc(r.Checks, func(c mail.Check) bool { return c.Open && !c.OK })
	})
}

// whyNot says why a class does not take the piece: by what it is too much, or
// else too little.
func (m mailStation) whyNot(r mail.ClassResult) string {
	refusing := slices.DeleteFunc(brokenChecks(r.Checks), func(c mail.Check) bool { return c.Surcharge })
	if list := over(refusing); len(list) > 0 {
		return m.broken(worst(list), false)
	}
	return m.broken(worst(refusing), false)
}

// noClass says why no class takes the piece: what even the last one refuses, or,
// where that is for larger pieces only, what the one before it does.
func (m mailStation) noClass(v mail.Verdict) string {
	last := v.Results[len(v.Results)-1]
	if why := m.whyNot(last); why != "" {
		return fmt.Sprintf("%s even for %s", why, one(last.Class.Name))
	}
	for i := len(v.Results) - 1; i >= 0; i-- {
		r := v.Results[i]
		if why := m.whyNot(r); r.Class.ID == last.Class.BeyondClass && why != "" {
			return fmt.Sprintf("%s for %s, and too small or light for %s", why, one(r.Class.Name), one(last.Class.Name))
		}
	}
	return "each refuses it"
}

// worst keeps the check that is broken by most, as a share of its limit: the one reason
// that decides.
func worst(checks []mail.Check) []mail.Check {
	share := func(c mail.Check) float64 {
		if c.Max == nil || *c.Max <= 0 {
			return 0
		}
		return c.Measured / float64(*c.Max)
	}
	best := checks[:min(1, len(checks))]
	for i, c := range checks {
		if share(c) > share(best[0]) {
			best = checks[i : i+1]
		}
	}
	return best
}

// over keeps the checks whose greatest limit is broken.
func over(checks []mail.Check) []mail.Check {
	var list []mail.Check
	for _, c := range checks {
		if !c.Unsure && c.Max != nil && (c.Measured > float64(*c.Max) || c.Open) {
			list = append(list, c)
		}
	}
	return list
}

// turnedPays reports whether the shape of a piece costs a surcharge of a class for nothing
// but the edge that its address runs along.
func (m mailStation) turnedPays(piece mail.Piece, of mail.Class) bool {
	book, posted := m.Book()
	if !posted || !piece.AddressShort {
		return false
	}
	piece.AddressShort = false
	r, taken := book.Judge(piece).Result()
	return taken && r.Class.ID == of.ID && !slices.ContainsFunc(brokenChecks(r.Checks), func(c mail.Check) bool {
		k, _ := c.Measure.Known()
		return k.Shape
	})
}

// sparing says what changes besides the envelope's shape.
func sparing(with compare.Sparing) (text string) {
	if with.Gummed {
		text = ", glued shut"
	}
	if with.Turned {
		text += ", addressed along its long edge"
	}
	return text
}

// unshaped are the broken limits that another shape would not mend.
func (m mailStation) unshaped(r mail.ClassResult) []mail.Check {
	return slices.DeleteFunc(brokenChecks(r.Checks), func(c mail.Check) bool {
		k, _ := c.Measure.Known()
		return k.Shape
	})
}

// paysAnyway says what of a piece pays in a rectangle as well.
func (m mailStation) paysAnyway(s string, r mail.ClassResult) say.Sentence {
	other := m.unshaped(r)
	if len(other) == 0 {
		return say.That("%s.", s)
	}
	pays := "pays"
	if compare.OnlyGuidance(other) {
		pays = "may pay"
	}
	return say.That("%s. A rectangle %s too: %s.", s, pays, m.broken(other, true))
}

// surcharged says why a surcharge falls due and in what envelope it would not.
func (m mailStation) surcharged(p *MailPlan, r mail.ClassResult, e compare.Closed, piece mail.Piece) say.Sentence {
	for _, c := range r.Checks {
		if k, _ := c.Measure.Known(); c.OK || !k.Shape {
			continue
		}
		shape := "Nearly square"
		switch {
		case m.turnedPays(piece, r.Class):
			s := fmt.Sprintf("Goes as %s with a surcharge: the address runs along its short edge", one(r.Class.Name))
			if other := m.unshaped(r); len(other) > 0 { // the long edge alone spares nothing
				return say.That("%s, and besides %s. Both have to change.", s, m.broken(other, true))
			}
			return say.That("%s. Write it along the long one.", s)
		case piece.Width == piece.Height:
			shape = "Square"
		case c.Max != nil && c.Measured > float64(*c.Max):
			shape = "Long and slim"
		}
		s := fmt.Sprintf("%s: goes as %s with a surcharge", shape, one(r.Class.Name))
		need := m.Thick().Used + m.Job().Envelope.Ease + e.Wider()
		rect := r.Class.PlainRectangle(m.Outer().Width+need, m.Outer().Height+need, piece.Thickness, piece.SizeError, m.Style().Tick)
		if rect.OK {
			with, spares := m.Spares(piece, r.Class, rect.Width, rect.Height)
			if !spares {
				return m.paysAnyway(s, r)
			}
			p.Rectangle = &RectanglePlan{m.shown(rect.Width), m.shown(rect.Height)}
			changed := sparing(with)
			if changed != "" {
				changed += ","
			}
			return say.That("%s. In a [%s %s] envelope%s it does not.", s, m.by(rect.Width, rect.Height), m.Style().Unit, changed)
		}
		return say.That("%s. An envelope of the right shape would be over the limit for %s.", s, rect.Why.Words().Name)
	}
	if compare.OnlyGuidance(r.Checks) {
		return say.That("Ask first: as %s[%s] it may pay a surcharge. %s.", article(r.Class.Name), r.Class.Name, say.Capital(m.broken(r.Checks, true)))
	}
	return say.That("Goes as %s with a surcharge: %s.", one(r.Class.Name), m.broken(r.Checks, true))
}
