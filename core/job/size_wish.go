package job

import (
	"yellowparcel/core/blank"
	"yellowparcel/core/measure"
)

// SizeWish is what of an envelope's wishes its size follows from.
type SizeWish struct {
	School blank.School       `json:"school" enum:"exact,diagonal,notch"`
	Ease   measure.Length     `json:"ease"`
	Seam   measure.Length     `json:"seam"`
	Pocket blank.PocketSchool `json:"pocket,omitempty" maxLength:"40"`
	Box    blank.BoxSchool    `json:"box,omitempty" maxLength:"40"`
}

// SizeWish is what its size follows from now.
func (e EnvelopeWish) SizeWish() SizeWish {
	return SizeWish{e.School, e.Ease, e.Seam, e.Pocket, e.Box}
}

// AsWished is the wish as it was before a smaller or a roomier size was taken.
func (e EnvelopeWish) AsWished() EnvelopeWish {
	if w := e.Wished; w != nil {
		e.School, e.Ease, e.Seam, e.Pocket, e.Box = w.School, w.Ease, w.Seam, w.Pocket, w.Box
	}
	return e
}
