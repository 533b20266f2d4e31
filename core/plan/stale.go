package plan

import (
	"fmt"
	"math"

	"yellowparcel/core/job"
	"yellowparcel/core/measure"
)

// What the sums may differ by before a reading is one of another piece.
const (
	otherThickness = 30 * measure.Micrometre
	otherWeight    = 0.02 // of it
)

// noting is the job of a closed piece with what the sums say of the piece as it is, beside every
// reading of it that has none: so that a reading is never forgotten when the piece
// changes, but counted on from.
func (m maker) noting(e closed) job.Job {
	j := m.Job()
	if j.Card.Thickness != nil && j.Card.ThicknessOf == 0 {
		j.Card.ThicknessOf = m.Thick().Predicted
	}
	t := &j.Post.Measured
	if *t == (job.Measured{}) {
		return j
	}
	_, grams := m.weights(e)
	if t.Thickness > 0 && t.ThicknessOf == 0 {
		t.ThicknessOf = e.thickness
	}
	if t.Grams > 0 && t.GramsOf == 0 {
		t.GramsOf = grams
	}
	if t.Stiffer == 0 {
		t.Stiffer, _ = m.stiffer(m.bare(e), grams)
	}
	return j
}

// otherPiece reports whether the thickness or the weight was read of a piece that has
// changed since.
func otherPiece(t job.Measured, thickness measure.Length, grams float64) (thick, weight bool) {
	thick = t.Thickness > 0 && t.ThicknessOf > 0 && (t.ThicknessOf-thickness).Abs() > otherThickness
	weight = t.Grams > 0 && t.GramsOf > 0 && math.Abs(t.GramsOf-grams) > otherWeight*grams
	return thick, weight
}

// stale says that readings are of a piece that has changed since.
func (m maker) stale(thickness measure.Length, grams float64) (notes []Note) {
	t := m.Job().Post.Measured
	tell := func(what, then, now string) {
		notes = append(notes, Note{Care, fmt.Sprintf("The %s was measured when the sums said %s; now they say %s, so the piece has changed, and what it changed by is counted on. Measure it again, or empty the field.", what, then, now)})
	}
	thick, weight := otherPiece(t, thickness, grams)
	if thick {
		tell("thickness", m.decimal(t.ThicknessOf), m.decimal(thickness)+" "+string(m.Style().Unit))
	}
	if weight {
		tell("weight", m.fineWeight(t.GramsOf), m.fineWeight(grams))
	}
	return notes
}
