package field

import (
	"strings"

	"yellowparcel/core/measure"
	"yellowparcel/core/say"
)

// Lengths is a list of lengths that is typed as one: "5, 5, 4 1/2". Their sum may
// stand behind an equals sign, and has to be right to a tick then. An empty text is
// no list.
type Lengths struct {
	untyped
	At *[]measure.Length
	// Fits refuses a list that makes no sense; an empty one always does.
	Fits func(list []measure.Length) error
}

// Kind of the field.
func (*Lengths) Kind() Kind { return LengthsKind }

func (*Lengths) of() (string, bool) { return "", true }

// Show writes them parted by commas.
func (l *Lengths) Show(s measure.Style) (text, exact string) {
	list := make([]string, len(*l.At))
	for i, v := range *l.At {
		list[i] = s.Show(v)
	}
	return strings.Join(list, ", "), ""
}

// Type reads the lengths one by one.
func (l *Lengths) Type(text, _ string, s measure.Style) error {
	if strings.TrimSpace(text) == "" {
		*l.At = nil
		return nil
	}
	parts, total, summed := strings.Cut(text, "=")
	var list []measure.Length
	sum := measure.Length(0)
	for _, part := range strings.FieldsFunc(parts, func(r rune) bool { return r == ',' || r == ';' || r == '+' }) {
		v, err := measure.Parse(part, s.Unit)
		if err != nil {
			return err
		}
		list, sum = append(list, v), sum+v
	}
	if summed {
		t, err := measure.Parse(total, s.Unit)
		if err != nil {
			return err
		}
		if (t - sum).Abs() > s.Tick {
			return say.Refuse("The panels do not add up: together they are %s, not %s. Look which one is wrong.", s.ShowUnit(sum), s.ShowUnit(t))
		}
	}
	if err := l.Fits(list); err != nil {
		return err
	}
	*l.At = list
	return nil
}

// Check holds them against what makes sense.
func (l *Lengths) Check(string, measure.Style) error {
	if len(*l.At) == 0 {
		return nil
	}
	return l.Fits(*l.At)
}
