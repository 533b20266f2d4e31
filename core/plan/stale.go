package plan

import (
	"fmt"

	"yellowparcel/core/compare"
	"yellowparcel/core/measure"
	"yellowparcel/core/say"
)

// stale says that readings are of a piece that has changed since.
func (m mailStation) stale(thickness measure.Length, grams float64) (notes []say.Note) {
	t := m.Job().Mail.Measured
	tell := func(what, then, now string) {
		notes = append(notes, say.Care.Says(fmt.Sprintf("The %s was measured when %s was predicted, and now %s is. Measure it again, or empty the field.", what, then, now)))
	}
	thick, weight := compare.OtherPiece(t, thickness, grams)
	if t.Through != "" && t.GaugeOf > 0 && t.Thickness == 0 && (t.GaugeOf-thickness).Abs() > compare.OtherThickness {
		notes = append(notes, say.Care.Says("The piece has changed since it was tried in the gauge: try it again. Until then its thickness is predicted."))
	}
	if thick {
		tell("thickness", m.decimal(t.ThicknessOf)+" "+string(m.Style().Unit), m.decimal(thickness)+" "+string(m.Style().Unit))
	}
	if weight {
		tell("weight", m.fineWeight(t.GramsOf), m.fineWeight(grams))
	}
	return notes
}
