package plan

import "yellowparcel/core/measure"

// postFields are the lengths of the station Post that are typed; an empty text
// takes what was measured away.
var postFields = []lengthField{
	measured("post.thickness", "measured thickness", 4*measure.Inch, func(m *Measured) *measure.Length { return &m.Thickness }),
	measured("post.overhang", "overhang", mostCard, func(m *Measured) *measure.Length { return &m.Overhang }),
	measured("post.droop", "droop", mostCard, func(m *Measured) *measure.Length { return &m.Droop }),
	measured("post.apart", "distance of the supports", mostCard, func(m *Measured) *measure.Length { return &m.Apart }),
	measured("post.sag", "sag", mostCard, func(m *Measured) *measure.Length { return &m.Sag }),
	{path: "post.radius", name: "radius of the corners", most: 3 * measure.Inch, at: func(j *Job) *measure.Length { return &j.Post.Radius }},
	{path: "post.gaugeWidth", name: "length of the piece of card", most: mostCard, at: func(j *Job) *measure.Length { return &j.Post.GaugeWidth }, empty: true},
	{path: "post.gaugeHeight", name: "width of the piece of card", most: mostCard, at: func(j *Job) *measure.Length { return &j.Post.GaugeHeight }, empty: true},
}

func measured(path, name string, most measure.Length, of func(*Measured) *measure.Length) lengthField {
	return lengthField{path: path, name: name, most: most, at: func(j *Job) *measure.Length { return of(&j.Post.Measured) }, fine: true, empty: true}
}
