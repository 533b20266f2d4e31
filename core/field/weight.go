package field

import (
	"errors"
	"math"
	"strconv"
	"strings"

	"yellowparcel/core/measure"
	"yellowparcel/core/say"
)

// Ounce is one in grams.
const Ounce = 28.349523125

// Weight is a weight in grams.
type Weight struct {
	untyped
	At *float64
	// Most is the greatest that is believed.
	Most float64
	// Ounces is set where a bare number is meant in ounces in a shop that works in
	// inches.
	Ounces bool
	// Empty ones show nothing when they are zero.
	Empty bool
}

// Kind of the field.
func (*Weight) Kind() Kind { return WeightKind }

func (w *Weight) of() (string, bool) { return "", w.Empty }

// Show writes the weight with its unit.
func (w *Weight) Show(s measure.Style) (text, exact string) {
	g := *w.At
	switch {
	case g == 0 && w.Empty:
		return "", ""
	case w.Ounces && s.Unit == measure.Inches:
		return decimal(g/Ounce) + " oz", ""
	}
	return decimal(g) + " g", ""
}

func decimal(v float64) string { return strconv.FormatFloat(math.Round(v*100)/100, 'f', -1, 64) }

// Type reads a weight: "22", "22,5 g", "0.8 oz".
func (w *Weight) Type(text, _ string, s measure.Style) error {
	if strings.TrimSpace(text) == "" && w.Empty {
		*w.At = 0
		return nil
	}
	bare := "g"
	if w.Ounces && s.Unit == measure.Inches {
		bare = "oz"
	}
	g, err := w.parse(text, bare)
	if err == nil {
		*w.At = g
	}
	return err
}

// grams is what the units that are typed are worth.
var grams = map[string]float64{"g": 1, "gram": 1, "grams": 1, "kg": 1000, "oz": Ounce, "ounce": Ounce, "ounces": Ounce, "lb": 16 * Ounce}

func (w *Weight) parse(text, bare string) (float64, error) {
	text = strings.ToLower(strings.TrimSpace(text))
	if strings.HasPrefix(text, "-") || strings.HasPrefix(text, "−") {
		return 0, say.Refuse("A weight cannot be below nothing: type it as 22.5 g or 0.8 oz.")
	}
	v, unit, err := measure.ReadNumber(text)
	if unit = strings.TrimSuffix(unit, "."); unit == "" {
		unit = bare
	}
	factor, ok := grams[unit]
	var read *measure.ParseError
	switch {
	case err != nil || !ok:
		more := errors.As(err, &read) && read.Unfinished || err == nil && begins(unit)
		return 0, &measure.ParseError{Text: text, Advice: "“" + say.Clip(text) + "” is not a weight: type it as 22.5 g, 0.8 oz or 1 1/2 oz.", Unfinished: more}
	case v*factor > w.Most:
		return 0, say.Refuse("%s is more than anything here weighs: type at most %s kg.", say.Clip(text), decimal(w.Most/1000))
	}
	return v * factor, nil
}

// begins reports whether a unit begins so.
func begins(word string) bool {
	for unit := range grams {
		if strings.HasPrefix(unit, word) {
			return true
		}
	}
	return false
}

// Step moves it by grams.
func (w *Weight) Step(n int, _ string, _ measure.Style) error {
	*w.At = min(w.Most, max(0, *w.At+float64(n)))
	return nil
}

// Check holds it against its bounds.
func (w *Weight) Check(name string, _ measure.Style) error {
	if g := *w.At; !(g >= 0 && g <= w.Most) {
		return say.Refuse("The %s cannot be %g g: type a weight from 0 to %s g.", name, g, decimal(w.Most))
	}
	return nil
}

// Grammage is the weight of a paper in grams per square metre.
type Grammage struct {
	untyped
	At   *float64
	Most float64
}

// Kind of the field.
func (*Grammage) Kind() Kind { return GrammageKind }

// Show writes the number as it is.
func (g *Grammage) Show(measure.Style) (text, exact string) {
	return strconv.FormatFloat(*g.At, 'f', -1, 64), ""
}

// Type reads the number of grams.
func (g *Grammage) Type(text, _ string, _ measure.Style) error {
	text = strings.TrimSpace(strings.TrimSuffix(strings.ToLower(strings.TrimSpace(text)), "gsm"))
	v, err := strconv.ParseFloat(strings.Replace(text, ",", ".", 1), 64)
	if err != nil || !(v > 0 && v <= g.Most) {
		return say.Refuse("“%s” is not a weight of paper: type its grams a square metre, as 120.", say.Clip(text))
	}
	*g.At = v
	return nil
}

// Check holds it against its bounds.
func (g *Grammage) Check(name string, _ measure.Style) error {
	if v := *g.At; !(v > 0 && v <= g.Most) {
		return say.Refuse("The %s cannot be %g: type its grams a square metre, as 120.", name, v)
	}
	return nil
}
