package compare

import (
	"math"

	"yellowparcel/core/job"
	"yellowparcel/core/measure"
)

// Noting is the job of a closed piece with what the sums say of the piece as it is, beside every
// reading of it that has none: so that a reading is never forgotten when the piece
// changes, but counted on from.
func (m Posted) Noting(e Closed) job.Job {
	j := m.Job()
	if j.Card.Thickness != nil && j.Card.ThicknessOf == 0 {
		j.Card.ThicknessOf = m.Thick().Predicted
	}
	t := &j.Mail.Measured
	if *t == (job.Measured{}) {
		return j
	}
	_, grams := m.Weights(e)
	if t.Thickness > 0 && t.ThicknessOf == 0 {
		t.ThicknessOf, t.ThicknessOn = e.Thickness, m.Shop().Today
	}
	if t.Through != "" && t.GaugeOf == 0 {
		t.GaugeOf, t.For, t.TriedOn = e.Thickness, j.Mail.Destination, m.Shop().Today
	}
	if t.Through != "" && t.Slot == 0 {
		t.Slot = m.slotAsCut()
	}
	if t.Grams > 0 && t.GramsOf == 0 {
		t.GramsOf, t.GramsOn = grams, m.Shop().Today
	}
	if t.Stiffer == 0 {
		t.Stiffer, _ = m.Stiffer(m.Bare(e), grams)
	}
	return j
}

// Reads reports whether anything that was measured counts for a closed piece.
func (m Posted) Reads(e Closed) bool {
	_, gauged := m.gauged(e.Thickness)
	_, grams := m.Weights(e)
	_, scaled := m.Beam(e, grams)
	return gauged || scaled || m.Job().Card.Thickness != nil || m.Job().Mail.Measured.Thickness > 0 || m.Job().Mail.Measured.Grams > 0
}

// OtherPiece reports whether the thickness or the weight was read of a piece that has
// changed since.
func OtherPiece(t job.Measured, thickness measure.Length, grams float64) (thick, weight bool) {
	thick = t.Thickness > 0 && t.ThicknessOf > 0 && (t.ThicknessOf-thickness).Abs() > OtherThickness
	weight = t.Grams > 0 && t.GramsOf > 0 && math.Abs(t.GramsOf-grams) > otherWeight*grams
	return thick, weight
}

// What the sums may differ by before a reading is one of another piece: OtherThickness of its
// thickness.
const (
	OtherThickness = 30 * measure.Micrometre
	otherWeight    = 0.02 // of it
)
