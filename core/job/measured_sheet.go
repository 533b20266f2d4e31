package job

import (
	"strings"

	"yellowparcel/core/field"
	"yellowparcel/core/measure"
	"yellowparcel/core/paper"
)

// betweenSides parts the two sides of a sheet that was measured: what nobody types.
const betweenSides = "|"

// newSheet is a sheet to be filled in, or, where two sides were measured, one of that size.
func newSheet(s Shop, id, sides string) (paper.Sheet, error) {
	sheet := paper.Sheet{ID: id, Name: "Sheets of mine", Width: 8*measure.Inch + measure.Inch/2, Height: 11 * measure.Inch}
	wide, high, measured := strings.Cut(sides, betweenSides)
	if !measured {
		return sheet, nil
	}
	for _, side := range []struct {
		at         *measure.Length
		text, name string
	}{{&sheet.Width, wide, "sheet's width"}, {&sheet.Height, high, "sheet's height"}} {
		l := field.Length{At: side.at, Least: 2 * LeastCard, Most: mostSide}
		if err := l.Type(side.text, side.name, s.Style()); err != nil {
			return sheet, err
		}
	}
	sheet.Name = "Measured, " + s.Style().Show(sheet.Width) + " × " + s.Style().Show(sheet.Height)
	return sheet, nil
}
