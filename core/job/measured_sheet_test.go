package job

import (
	"testing"

	"yellowparcel/core/field"
	"yellowparcel/core/measure"
)

// A sheet that was measured is added whole, or not at all.
func TestMeasuredSheet(t *testing.T) {
	shop := DefaultShop()
	for text, want := range map[string][2]measure.Length{
		"9|12": {9 * measure.Inch, 12 * measure.Inch}, "30 cm|21 cm": {300 * measure.Millimetre, 210 * measure.Millimetre},
		"": {17 * measure.Inch / 2, 11 * measure.Inch}, "9|": {}, "9|wide": {}, "1|12": {}, "|": {}, "0|9": {}, "9|12|3": {},
	} {
		got, problems, _ := ApplyToShop(shop, []field.Edit{{Act: field.Add, Path: "sheets", Text: text}})
		n := len(got.Sheets) - len(shop.Sheets)
		if want[0] == 0 {
			if n != 0 || len(problems) != 1 {
				t.Errorf("%q is a sheet: %v", text, problems)
			}
			continue
		}
		if n != 1 || len(problems) > 0 {
			t.Errorf("%q: %v", text, problems)
		} else if s := got.Sheets[len(got.Sheets)-1]; s.Width != want[0] || s.Height != want[1] {
			t.Errorf("%q is %v × %v", text, s.Width, s.Height)
		}
	}
}
