package plan

import (
	"fmt"
	"strings"

	"yellowparcel/core/mail"
)

// mostRemedies is how many are told.
const mostRemedies = 8

func (m maker) remedyPlans(c candidate, all []candidate, v mail.Verdict) []RemedyPlan {
	list := []RemedyPlan{}
	for _, r := range m.remedies(c, all, v) {
		if len(list) == mostRemedies {
			break
		}
		list = append(list, RemedyPlan{ID: r.id, Title: r.title, Text: r.text, Short: r.post.short, Tone: r.post.tone, Proven: !r.unproven, Possible: true})
	}
	if why := m.noRectangle(v); why != "" {
		list = append(list, RemedyPlan{ID: "no-rectangle", Title: "No rectangle helps", Text: why, Short: m.forecast(v).short, Tone: Care})
	}
	return list
}

// noRectangle says why no rectangle saves the surcharge for the shape.
func (m maker) noRectangle(v mail.Verdict) string {
	r, taken := v.Result()
	if !taken || m.job.Envelope.Mailable || m.job.Post.AddressShort {
		return ""
	}
	broken := brokenMeasures(r)
	_, a := broken[mail.AddressAspect]
	if _, b := broken[mail.Aspect]; !a && !b {
		return ""
	}
	need := m.thick.Used + m.job.Envelope.Ease
	rect := v.Rulebook.Enveloped().PlainRectangle(m.outer().Width+need, m.outer().Height+need, m.thick.Used, m.style.Tick, m.style.Tick)
	if rect.OK {
		return ""
	}
	return fmt.Sprintf("One of the right shape round this card would be over the limit for %s: the surcharge stays, or the card gets smaller.", measureNames[rect.Why])
}

// applyRemedy changes the job as one of its remedies says.
func applyRemedy(j Job, shop Shop, e Edit) (Job, error) {
	if e.Text == nil {
		return j, refuse("There is no remedy to apply: choose one of the list.")
	}
	m := newMaker(j, shop)
	book, ok := m.book()
	if !ok {
		return j, refuse("Given by hand it needs no remedy.")
	}
	_, made := m.diamond()
	all := m.candidates(made)
	c := m.choose(all)
	for _, r := range m.remedies(c, all, m.verdictOf(book, m.piece(m.closed(c)))) {
		if r.id == *e.Text {
			j = j.Clone()
			r.change(&j)
			return j, nil
		}
	}
	return j, refuse("The remedy “%s” no longer belongs to this piece: look at the list again.", clip(strings.TrimSpace(*e.Text)))
}
