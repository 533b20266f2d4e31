// Package device reads a caliper and a postal scale, or whatever else measures
// one number, and ships a simulated one of each.
//
// A device speaks plain text lines. It is asked with the line "read" and answers
// with as many readings as it takes to settle, one a line: a number, its unit,
// "stable" or "moving", and "tared" when it was set to zero with something on it.
//
//	6.15 mm moving
//	6.12 mm stable
//	22.4 g stable tared
//
// "tare" sets it to zero. A line that begins with "error" says in words what is
// wrong. Lengths come in mm or in, weights in g or oz.
package device

import (
	"fmt"
	"math"
	"strconv"
	"strings"
)

// Reading is what a device says.
type Reading struct {
	Value float64
	Unit  string
	// Stable readings have settled; tared ones count from what lay on it.
	Stable, Tared bool
}

// Text is the reading as a field takes it: "6.12 mm".
func (r Reading) Text() string {
	return strconv.FormatFloat(r.Value, 'f', -1, 64) + " " + r.Unit
}

// Line is the reading as a device sends it.
func (r Reading) Line() string {
	line := r.Text() + " moving"
	if r.Stable {
		line = r.Text() + " stable"
	}
	if r.Tared {
		line += " tared"
	}
	return line
}

// mostLine is how long a line may be that is a reading.
const mostLine = 80

// ParseLine reads a line of a device. Its error says what the line was.
func ParseLine(line string) (Reading, error) {
	line = strings.TrimSpace(line)
	rubbish := fmt.Errorf("“%s” is no reading", clip(line))
	words := strings.Fields(line)
	if len(line) > mostLine || len(words) < 3 || len(words) > 4 {
		return Reading{}, rubbish
	}
	if words[0] == "error" {
		return Reading{}, fmt.Errorf("it says “%s”", clip(strings.Join(words[1:], " ")))
	}
	v, err := strconv.ParseFloat(words[0], 64)
	if err != nil || math.IsNaN(v) || math.IsInf(v, 0) || math.Abs(v) > 1e6 {
		return Reading{}, rubbish
	}
	r := Reading{Value: v, Unit: words[1], Stable: words[2] == "stable", Tared: len(words) == 4}
	unit := r.Unit == "mm" || r.Unit == "in" || r.Unit == "g" || r.Unit == "oz"
	if !unit || !r.Stable && words[2] != "moving" || r.Tared && words[3] != "tared" {
		return Reading{}, rubbish
	}
	return r, nil
}

func clip(s string) string {
	if r := []rune(s); len(r) > 30 {
		return string(r[:30]) + "…"
	}
	return s
}
