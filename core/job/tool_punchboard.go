package job

import (
	"yellowparcel/core/blank"
	"yellowparcel/core/field"
	"yellowparcel/core/measure"
)

// punchBoard notches the edges of a square at its own stops.
var punchBoard = Tool{ID: blank.PunchBoard, Name: "Punch board", Calibration: &byPunch, Fields: func(t *Tools) []field.Field {
	return []field.Field{have(t, blank.PunchBoard), own("notchesOnly", "Only to notch", "what is scored already on a score board", &t.NotchesOnly, field.No), {
		Path: "tools.notchDepth", Label: "Punch board's notch", Note: "punch a scrap and measure how deep it notches",
		Value: &field.Length{At: &t.NotchDepth, Least: something, Most: 2 * measure.Inch, Told: "A punch board notches more than nothing and at most 2 in deep: punch a scrap and measure the notch."},
	}, {
		Path: "tools.punchAt", Label: "Punch reading", Note: "what its ruler reads where the notch's point would come on the sheet's end; a minus before zero",
		Value: &field.Length{At: &t.PunchAt, Least: -2 * measure.Inch, Most: 2 * measure.Inch, Signed: true, Told: "A punch board's notch lies at most 2 in from its zero: punch a scrap and measure."},
	}, {
		Path: "tools.punchLargest", Label: "Largest sheet", Note: "the longest edge that it notches; 0 when it does not matter",
		Value: &field.Length{At: &t.PunchLargest, Least: 2 * measure.Inch, Most: mostSide, Zero: true, Told: "A punch board takes sheets from 2 in to 5 m: type the longest edge, or 0 when it does not matter."},
	}}
}}
