package field

import (
	"strings"

	"yellowparcel/core/measure"
	"yellowparcel/core/say"
)

// Length is a length with its bounds.
type Length struct {
	At          *measure.Length
	Least, Most measure.Length
	// Signed ones take a minus, for what lies before a zero.
	Signed bool
	// Zero ones may be nothing, whatever the least.
	Zero bool
	// Fine ones are shown at the finest tick of the unit.
	Fine bool
	// Caliper ones are shown in decimals of a millimetre, as papers are sold.
	Caliper bool
	// Empty ones show nothing, and are nothing, when they are zero; Or is what zero
	// stands for elsewhere.
	Empty bool
	Or    measure.Length
	// Absent is set where there may be none at all: it is what At points to is kept
	// in, or nil.
	Absent **measure.Length
	// Usual values are chosen from the list that is named.
	List  string
	Usual []UsualLength
	// Told is what is said of what lies out of bounds, where there is more to say than
	// that.
	Told string
	// Read makes one text of what a note gives twice; nil for what is typed plainly.
	Read func(text string, s measure.Style) (string, error)
}

// UsualLength is a value that is often taken.
type UsualLength struct {
	ID     string
	Length measure.Length
}

// Kind of the field.
func (*Length) Kind() Kind { return LengthKind }

func (l *Length) of() (string, bool) { return l.List, l.Empty || l.Absent != nil }

// value is the length, and false where there is none.
func (l *Length) value() (measure.Length, bool) {
	if l.Absent != nil {
		if *l.Absent == nil {
			return 0, false
		}
		return **l.Absent, true
	}
	if *l.At == 0 && l.Or != 0 {
		return l.Or, true
	}
	return *l.At, !l.Empty || *l.At != 0
}

func (l *Length) put(to measure.Length) {
	if l.Absent != nil {
		*l.Absent = &to
		return
	}
	*l.At = to
}

// Show writes it in the unit and tick of the shop.
func (l *Length) Show(s measure.Style) (text, exact string) {
	v, ok := l.value()
	switch {
	case !ok:
		return "", ""
	case l.Caliper:
		return measure.Decimal(v, measure.Millimetre) + " mm", ""
	case l.Fine:
		s = s.Finest()
	}
	text = s.Show(v)
	if s.Rounds(v) {
		exact = s.Other(v)
	}
	return text, exact
}

// Type reads a length; an empty text takes it away where that is allowed.
func (l *Length) Type(text, name string, s measure.Style) error {
	if strings.TrimSpace(text) == "" && (l.Absent != nil || l.Empty) {
		if l.Absent != nil {
			*l.Absent = nil
		} else {
			*l.At = 0
		}
		return nil
	}
	if l.Read != nil {
		var err error
		if text, err = l.Read(text, s); err != nil {
			return err
		}
	}
	v, err := parseLength(text, s.Unit, l.Signed)
	if err != nil {
		return err
	}
	return l.within(v, name, s)
}

// Step moves it by ticks; a step lands on a tick.
func (l *Length) Step(n int, name string, s measure.Style) error {
	now, _ := l.value()
	by := measure.Length(n) * s.Tick
	to := now.Up(s.Tick) + by
	if n >= 0 {
		to = now.Down(s.Tick) + by
	}
	if !l.Signed {
		to = max(0, to)
	}
	return l.within(to, name, s)
}

// Choose takes a usual value.
func (l *Length) Choose(id, name string, s measure.Style) error {
	for _, u := range l.Usual {
		if u.ID == id {
			return l.within(u.Length, name, s)
		}
	}
	return say.Refuse("“%s” is no usual %s: choose one of the list, or type it.", say.Clip(id), name)
}

func (l *Length) usual() string {
	for _, u := range l.Usual {
		if v, ok := l.value(); ok && v == u.Length {
			return u.ID
		}
	}
	return ""
}

// within puts a length that the bounds allow.
func (l *Length) within(v measure.Length, name string, s measure.Style) error {
	if err := l.bounds(v, name, s); err != nil {
		return err
	}
	l.put(v)
	return nil
}

func (l *Length) bounds(v measure.Length, name string, s measure.Style) error {
	switch {
	case v >= l.Least && v <= l.Most, v == 0 && l.Zero:
		return nil
	case l.Told != "":
		return say.Refusal(l.Told)
	case v == 0 && l.Least > 0:
		return say.Refuse("The %s cannot be nothing: type at least %s.", name, s.ShowUnit(l.Least.Up(s.Tick)))
	case v < l.Least:
		return say.Refuse("The %s of %s is too small to work with: type at least %s.", name, s.ShowUnit(v), s.ShowUnit(l.Least.Up(s.Tick)))
	default:
		return say.Refuse("The %s of %s is larger than any sheet here allows: check the unit, or type at most %s.", name, s.ShowUnit(v), s.ShowUnit(l.Most.Down(s.Tick)))
	}
}

// Check holds it against its bounds.
func (l *Length) Check(name string, s measure.Style) error {
	if v, ok := l.value(); ok {
		return l.bounds(v, name, s)
	}
	return nil
}

// parseLength reads a length, before which a minus may stand where it is signed.
func parseLength(text string, unit measure.Unit, signed bool) (measure.Length, error) {
	if !signed {
		return measure.Parse(text, unit)
	}
	bare, negative := strings.CutPrefix(strings.TrimSpace(strings.NewReplacer("−", "-", "–", "-").Replace(text)), "-")
	v, err := measure.Parse(bare, unit)
	if negative {
		v = -v
	}
	return v, err
}

// BothUnits reads a value that a note gives twice, as "5 1/2 (140 mm)": the two must
// agree to a tick. It returns the text to read.
func BothUnits(text string, s measure.Style) (string, error) {
	first, second, found := strings.Cut(text, "(")
	if !found {
		return text, nil
	}
	second = strings.TrimSuffix(strings.TrimSpace(second), ")")
	a, err := measure.Parse(first, s.Unit)
	if err != nil {
		return first, nil // told when it is read
	}
	b, err := measure.Parse(second, s.Unit)
	if err != nil {
		return "", err
	}
	if (a - b).Abs() > s.Tick {
		return "", say.Refuse("The note says %s and %s, which is not the same: the second is %s %s. Find out which one it means, and type that.", strings.TrimSpace(first), second, s.Show(b), s.Unit)
	}
	return first, nil
}

// Noted reads a value as notes give it: twice, as "5 1/2 (140 mm)", or as a difference,
// "11 - 9 1/8". It returns the text to read.
func Noted(text string, s measure.Style) (string, error) {
	dash := strings.NewReplacer("−", "-", "–", "-").Replace(text)
	if from, less, found := strings.Cut(dash, " - "); found && !strings.Contains(less, " - ") {
		a, errA := measure.Parse(from, s.Unit)
		b, errB := measure.Parse(less, s.Unit)
		if errA == nil && errB == nil {
			if b >= a {
				return "", say.Refuse("“%s” leaves nothing: type the length itself.", say.Clip(text))
			}
			return measure.Decimal(a-b, measure.Millimetre) + " mm", nil
		}
	}
	return BothUnits(text, s)
}
