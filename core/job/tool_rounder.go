package job

import (
	"yellowparcel/core/field"
	"yellowparcel/core/measure"
)

// rounder punches round corners.
var rounder = Tool{ID: RounderTool, Name: "Corner rounder", Fields: func(t *Tools) []field.Field {
	return []field.Field{have(t, RounderTool), {
		Path: "tools.roundRadius", Label: "Its radius", Note: "punch a scrap and measure",
		Value: &field.Length{At: &t.RoundRadius, Least: measure.Millimetre, Most: 2 * measure.Inch, Empty: true, Told: "A corner rounder has a radius from 1 mm to 2 in: punch a scrap and measure."},
	}}
}}
