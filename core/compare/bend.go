package compare

import "yellowparcel/core/mail"

// Beam is the piece as it is bent along its length, scaled to what was measured
// of its stiffness at home.
func (m Posted) Beam(e Closed, grams float64) (b mail.Beam, scaled bool) {
	b = m.Bare(e)
	factor := m.Job().Mail.Measured.Stiffer
	if factor == 0 {
		factor, _ = m.Stiffer(b, grams)
	}
	if factor == 0 {
		return b, false
	}
	return b.Scaled(factor, 1), true
}

// Bare is the piece as it is bent along its length, by the sums alone.
func (m Posted) Bare(e Closed) mail.Beam {
	wide := e.Width >= e.Height
	panels := 1
	if !m.Job().Card.Fold.Kind().Unfolded {
		panels = m.Job().Spec(m.Job().Card.Fold, m.Shop()).Layers()
	}
	length := max(e.Width, e.Height).Millimetres()
	if e.Bare {
		length = 0
	}
	return mail.NewBeam(m.Relief(), m.sheets(e, wide), length, wide, panels)
}

// Stiffer is by how much the piece came out stiffer than the sums have it, when it
// was bent at home; false where it was not, or not so that it tells anything.
func (m Posted) Stiffer(b mail.Beam, grams float64) (float64, bool) {
	t := m.Job().Mail.Measured
	if t.Grams > 0 {
		grams = t.Grams
	}
	switch {
	case t.Apart > 0 && t.Sag > 0 && t.Load > 0 && t.Apart.Millimetres() < b.Length:
		return b.Sag(t.Apart.Millimetres(), t.Load) / t.Sag.Millimetres(), true
	case t.Overhang > 0 && DroopOK(t, b.Length):
		return b.Droop(t.Overhang.Millimetres(), grams) / t.Droop.Millimetres(), true
	}
	return 0, false
}

// PullMeasured is how far the pull may be off when the stiffness was measured.
const PullMeasured = 1.25

// envelopeModulus is that of envelope paper, in GPa: along the grain or across it
// nobody knows, so the stiffer counts.
const envelopeModulus = 5
