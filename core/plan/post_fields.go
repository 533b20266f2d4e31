package plan

import (
	"fmt"
	"math"

	"yellowparcel/core/measure"
)

// postFields are the lengths of the station Post that are typed; an empty text
// takes what was measured away.
var postFields = []lengthField{
	measured("post.thickness", "measured thickness", 4*measure.Inch, func(m *Measured) *measure.Length { return &m.Thickness }),
	measured("post.overhang", "overhang", MostCard, func(m *Measured) *measure.Length { return &m.Overhang }),
	measured("post.droop", "droop", MostCard, func(m *Measured) *measure.Length { return &m.Droop }),
	measured("post.apart", "distance of the supports", MostCard, func(m *Measured) *measure.Length { return &m.Apart }),
	measured("post.sag", "sag", MostCard, func(m *Measured) *measure.Length { return &m.Sag }),
	{path: "post.radius", name: "radius of the corners", most: 3 * measure.Inch, at: func(j *Job) *measure.Length { return &j.Post.Radius }},
	{path: "post.gaugeWidth", name: "length of the piece of card", most: MostCard, at: func(j *Job) *measure.Length { return &j.Post.GaugeWidth }, empty: true},
	{path: "post.gaugeHeight", name: "width of the piece of card", most: MostCard, at: func(j *Job) *measure.Length { return &j.Post.GaugeHeight }, empty: true},
}

func measured(path, name string, most measure.Length, of func(*Measured) *measure.Length) lengthField {
	return lengthField{path: path, name: name, most: most, at: func(j *Job) *measure.Length { return of(&j.Post.Measured) }, fine: true, empty: true}
}

// taken notes what the sums say of the piece that a reading is of.
func (j Job) taken(shop Shop, path string) Job {
	t := &j.Post.Measured
	switch path {
	case "post.thickness":
		if t.ThicknessOf = 0; t.Thickness > 0 {
			t.ThicknessOf, _ = Predicted(j, shop)
		}
	case "post.grams":
		if t.GramsOf = 0; t.Grams > 0 {
			_, t.GramsOf = Predicted(j, shop)
		}
	}
	return j
}

// What the sums may differ by before a reading is one of another piece.
const (
	otherThickness = 30 * measure.Micrometre
	otherWeight    = 0.02 // of it
)

// stale says that readings are of a piece that has changed since.
func (m maker) stale(thickness measure.Length, grams float64) (notes []Note) {
	t := m.job.Post.Measured
	say := func(what, then, now string) {
		notes = append(notes, Note{Care, fmt.Sprintf("The %s was measured when the sums said %s; now they say %s, so the piece has changed. Measure it again, or empty the field.", what, then, now)})
	}
	if t.Thickness > 0 && t.ThicknessOf > 0 && (t.ThicknessOf-thickness).Abs() > otherThickness {
		say("thickness", m.decimal(t.ThicknessOf), m.decimal(thickness)+" "+string(m.style.Unit))
	}
	if t.Grams > 0 && t.GramsOf > 0 && math.Abs(t.GramsOf-grams) > otherWeight*grams {
		say("weight", m.fineWeight(t.GramsOf), m.fineWeight(grams))
	}
	return notes
}
