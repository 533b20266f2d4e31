package job

import "yellowparcel/core/field"

// trimmer cuts sheets up.
var trimmer = Tool{ID: "trimmer", Name: "Trimmer", Fields: func(t *Tools) []field.Field {
	return []field.Field{{
		Path: "tools.trimmerLength", Label: "Trimmer cuts", Note: "the longest cut that it makes", Name: "trimmer's cut",
		Value: &field.Length{At: &t.TrimmerLength, Least: something, Most: mostSide, Told: "The trimmer needs a cut length between nothing and 5 m."},
	}}
}}
