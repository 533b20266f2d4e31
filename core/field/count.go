package field

import (
	"fmt"
	"strconv"
	"strings"

	"yellowparcel/core/measure"
	"yellowparcel/core/say"
)

// Count is a whole number of things.
type Count struct {
	untyped
	At          *int
	Least, Most int
	// Things is what is counted: "cards".
	Things string
	// Empty ones show nothing when nobody counted.
	Empty bool
	// Or is what zero stands for.
	Or int
}

// Kind of the field.
func (*Count) Kind() Kind { return CountKind }

func (c *Count) of() (string, bool) { return "", c.Empty }

func (c *Count) value() int {
	if *c.At == 0 {
		return c.Or
	}
	return *c.At
}

// Show writes the number.
func (c *Count) Show(measure.Style) (text, exact string) {
	if c.value() == 0 && c.Empty {
		return "", ""
	}
	return strconv.Itoa(c.value()), ""
}

// Type reads a whole number; an empty text is none counted where that is allowed.
func (c *Count) Type(text, _ string, _ measure.Style) error {
	text = strings.TrimSpace(text)
	if text == "" && c.Empty {
		*c.At = 0
		return nil
	}
	if text == "" {
		return &measure.ParseError{Text: text, Advice: fmt.Sprintf("There is no number of %s here yet: type a whole number from %d to %d.", c.Things, c.Least, c.Most), Unfinished: true}
	}
	n, err := strconv.Atoi(text)
	if err != nil {
		return say.Refuse("“%s” is not a number of %s: type a whole number from %d to %d.", say.Clip(text), c.Things, c.Least, c.Most)
	}
	return c.put(n)
}

// Step counts on or back.
func (c *Count) Step(n int, _ string, _ measure.Style) error { return c.put(c.value() + n) }

func (c *Count) put(n int) error {
	if n < c.Least || n > c.Most {
		return say.Refuse("From %d to %d %s can be planned: type a number between.", c.Least, c.Most, c.Things)
	}
	*c.At = n
	return nil
}

// Check holds it against its bounds.
func (c *Count) Check(string, measure.Style) error {
	n := c.value()
	if n == 0 && c.Empty {
		return nil
	}
	if n < c.Least || n > c.Most {
		return say.Refuse("From %d to %d %s can be planned: type a number between.", c.Least, c.Most, c.Things)
	}
	return nil
}
