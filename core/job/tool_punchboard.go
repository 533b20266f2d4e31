package job

import (
	"yellowparcel/core/blank"
	"yellowparcel/core/field"
	"yellowparcel/core/measure"
)

// punchBoard notches the edges of a square at its own stops.
var punchBoard = Tool{ID: blank.PunchBoard, Name: "Punch board", Fields: func(t *Tools) []field.Field {
	return []field.Field{have(t, blank.PunchBoard), {
		Path: "tools.notchDepth", Label: "Punch board's notch", Note: "punch a scrap and measure how deep it notches",
		Value: &field.Length{At: &t.NotchDepth, Least: something, Most: 2 * measure.Inch, Told: "A punch board notches more than nothing and at most 2 in deep: punch a scrap and measure the notch."},
	}}
}}
