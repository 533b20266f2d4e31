package job

import (
	"yellowparcel/core/blank"
	"yellowparcel/core/field"
	"yellowparcel/core/measure"
)

// scoreBoard scores along its fence, or from a corner that lies on its diagonal guide.
var scoreBoard = Tool{ID: blank.ScoreBoard, Name: "Score board", Calibration: &byCornerPlate, Fields: func(t *Tools) []field.Field {
	return []field.Field{
		have(t, blank.ScoreBoard),
		own("cornerPlate", "It has a corner plate", "a corner lies in it while one scores across it", &t.CornerPlate, field.Yes),
		{
			Path: "tools.cornerAt", Label: "Corner reading", Note: "what your plate's ruler reads where the sheet's corner sits; a minus when it lies before zero",
			Value: &field.Length{At: &t.CornerAt, Least: -4 * measure.Inch, Most: 4 * measure.Inch, Signed: true, Fine: true, Told: "The guide's corner reads more than 4 in from zero: measure again where the sheet's corner sits."},
		},
		{
			Path: "tools.reach", Label: "Score board reaches", Note: "its furthest reading; 0 when it does not matter",
			Value: &field.Length{At: &t.Reach, Least: 2 * measure.Inch, Most: mostSide, Zero: true, Told: "A score board reaches from 2 in to 5 m: type its furthest reading, or 0 when it does not matter."},
		},
		{
			Path: "tools.groove", Label: "Grooves every", Note: "for a board that scores in its grooves alone: sizes are chosen to fall in them; 0 for one that scores anywhere",
			Value: &field.Length{At: &t.Groove, Least: measure.Millimetre, Most: measure.Inch, Zero: true, Told: "Grooves of a score board are from 1 mm to 1 in apart. Measure again, or type 0 for a board that scores anywhere."},
		},
	}
}}
