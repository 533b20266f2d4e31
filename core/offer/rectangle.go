package offer

import "yellowparcel/core/mail"

// NoRectangle is the measure over whose limit every rectangle round the card would be
// that spared it the surcharge for its shape; false where one serves, or nothing is to
// be spared.
func (m Offers) NoRectangle(v mail.Verdict) (mail.Measure, bool) {
	r, taken := v.Result()
	if !taken || m.Job().Envelope.Mailable || m.Job().Mail.AddressShort {
		return "", false
	}
	if !breaks(r, func(k *mail.MeasureKind) bool { return k.Shape }) {
		return "", false
	}
	need := m.Thick().Used + m.Job().Envelope.Ease
	rect := v.Rulebook.Enveloped().PlainRectangle(m.Outer().Width+need, m.Outer().Height+need, m.Thick().Used, m.Style().Tick, m.Style().Tick)
	return rect.Why, !rect.OK
}
