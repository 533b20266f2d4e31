package measure

import "fmt"

// Written is a length as the trade's data files write it: text with its unit,
// "5 1/4 in" or "162 mm". It exists so that a table can be checked against a
// ruler by eye; once read it is a Length.
type Written Length

// UnmarshalText reads a length whose unit is spelled out; a bare number is
// refused, because a data file belongs to no shop.
func (w *Written) UnmarshalText(text []byte) error {
	in, err := Parse(string(text), Inches)
	if err != nil {
		return err
	}
	if mm, _ := Parse(string(text), Millimetres); mm != in {
		return fmt.Errorf("the length %q has no unit: write in, mm or cm after it", text)
	}
	*w = Written(in)
	return nil
}
