package plan

import (
	"fmt"

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
	if !taken || m.Job().Envelope.Mailable || m.Job().Post.AddressShort {
		return ""
	}
	if !breaks(r, func(k *mail.MeasureKind) bool { return k.Shape }) {
		return ""
	}
	need := m.Thick().Used + m.Job().Envelope.Ease
	rect := v.Rulebook.Enveloped().PlainRectangle(m.Outer().Width+need, m.Outer().Height+need, m.Thick().Used, m.Style().Tick, m.Style().Tick)
	if rect.OK {
		return ""
	}
	return fmt.Sprintf("One of the right shape round this card would be over the limit for %s: the surcharge stays, or the card gets smaller.", rect.Why.Words().Name)
}
