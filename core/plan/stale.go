package plan

import (
	"fmt"
	"math"

	"yellowparcel/core/measure"
)

// What the sums may differ by before a reading is one of another piece.
const (
	otherThickness = 30 * measure.Micrometre
	otherWeight    = 0.02 // of it
)

// stale says that readings are of a piece that has changed since.
func (m maker) stale(thickness measure.Length, grams float64) (notes []Note) {
	t := m.Job().Post.Measured
	tell := func(what, then, now string) {
		notes = append(notes, Note{Care, fmt.Sprintf("The %s was measured when the sums said %s; now they say %s, so the piece has changed. Measure it again, or empty the field.", what, then, now)})
	}
	if t.Thickness > 0 && t.ThicknessOf > 0 && (t.ThicknessOf-thickness).Abs() > otherThickness {
		tell("thickness", m.decimal(t.ThicknessOf), m.decimal(thickness)+" "+string(m.Style().Unit))
	}
	if t.Grams > 0 && t.GramsOf > 0 && math.Abs(t.GramsOf-grams) > otherWeight*grams {
		tell("weight", m.fineWeight(t.GramsOf), m.fineWeight(grams))
	}
	return notes
}
