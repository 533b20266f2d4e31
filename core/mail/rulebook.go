// Package mail judges whether a finished piece posts: it holds the limits of a
// post as data, measures a piece against every one of them, and says what a
// measuring error would change. A verdict is advice, never a promise.
//
// Lengths are nanometres, weights grams, aspect is length over height. Limits
// are data files beside this one; see "Post" in docs/sums.md.
//
//	book, _ := mail.RulebookByID("us-domestic")
//	verdict := book.Judge(mail.Piece{Length: l, Height: h, Thickness: t, Weight: 20})
//	verdict.Class // "letter"
package mail

import (
	"embed"
	"encoding/json"
	"fmt"
	"io/fs"
	"path"
	"strconv"
	"strings"

	"yellowparcel/core/measure"
)

// Measure is something of a piece that a rule limits.
type Measure string

// The measures that rules speak of.
const (
	Length    Measure = "length"    // the longest edge
	Height    Measure = "height"    // the other edge
	Thickness Measure = "thickness" // over everything
	Weight    Measure = "weight"
	Aspect    Measure = "aspect" // length over height
)

// Quantity is a limit as a rulebook writes it ("6 1/8 in", "3.5 oz", "1.3") in
// the base unit of its measure: nanometres, grams or a plain ratio.
type Quantity float64

// Gram weights of the units a rulebook may use.
const (
	ounce    = 28.349523125
	kilogram = 1000
)

func quantity(m Measure, text string) (Quantity, error) {
	switch m {
	case Length, Height, Thickness:
		var w measure.Written
		if err := w.UnmarshalText([]byte(text)); err != nil {
			return 0, err
		}
		return Quantity(w), nil
	case Weight:
		number, unit, _ := strings.Cut(text, " ")
		v, err := strconv.ParseFloat(number, 64)
		grams, ok := map[string]float64{"g": 1, "kg": kilogram, "oz": ounce}[unit]
		if err != nil || !ok {
			return 0, fmt.Errorf("the weight %q is not a number with g, kg or oz", text)
		}
		return Quantity(v * grams), nil
	case Aspect:
		v, err := strconv.ParseFloat(text, 64)
		if err != nil {
			return 0, fmt.Errorf("the aspect %q is not a number", text)
		}
		return Quantity(v), nil
	}
	return 0, fmt.Errorf("%q is not something that is measured of a piece", m)
}

// Limit bounds one measure. A bound that is nil is not known or not set.
type Limit struct {
	Measure  Measure
	Min, Max *Quantity
	// When lists conditions of which one must hold for the limit to count.
	When []Over
}

// Over is the condition that a measure is more than a quantity.
type Over struct {
	Measure Measure
	More    Quantity
}

// Class is a class of mail.
type Class struct {
	ID, Name string
	Limits   []Limit
	// Surcharge names what a piece pays that breaks one of SurchargeLimits but
	// none of Limits.
	Surcharge       string
	SurchargeLimits []Limit
	// BeyondClass is the class whose limits a piece must exceed in size,
	// thickness or weight to be taken in this one; empty for no such rule.
	BeyondClass string
}

// Rulebook is what one post publishes for one service.
type Rulebook struct {
	ID, Region, Service                        string
	Source, Published, LastChecked, Confidence string
	// Floor is the least that is mailable at all; it holds for pieces up to
	// FloorThickness thick.
	Floor          []Limit
	FloorThickness measure.Length
	Classes        []Class
}

//go:embed *.json
var files embed.FS

var rulebooks = func() []Rulebook {
	list, err := readAll(files)
	if err != nil {
		panic(err) // ruled out by the tests of this package
	}
	return list
}()

// Rulebooks lists the rulebooks that ship.
func Rulebooks() []Rulebook { return append([]Rulebook(nil), rulebooks...) }

// RulebookByID finds a rulebook that ships.
func RulebookByID(id string) (Rulebook, bool) {
	for _, r := range rulebooks {
		if r.ID == id {
			return r, true
		}
	}
	return Rulebook{}, false
}

func readAll(dir fs.FS) ([]Rulebook, error) {
	names, err := fs.Glob(dir, "*.json")
	if err != nil {
		return nil, err
	}
	var list []Rulebook
	for _, name := range names {
		file, err := fs.ReadFile(dir, name)
		if err != nil {
			return nil, err
		}
		book, err := readRulebook(file)
		if err != nil {
			return nil, fmt.Errorf("%s: %w", path.Base(name), err)
		}
		list = append(list, book)
	}
	return list, nil
}

type limitRow struct {
	Measure  Measure
	Min, Max string
	When     []struct {
		Measure Measure
		Over    string
	}
}

func readRulebook(file []byte) (Rulebook, error) {
	var row struct {
		ID, Region, Service, Source, Published, LastChecked, Confidence string
		Floor                                                           struct {
			UpToThickness measure.Written
			Limits        []limitRow
		}
		Classes []struct {
			ID, Name, Over string
			Limits         []limitRow
			Surcharge      struct {
				Name   string
				Limits []limitRow
			}
		}
	}
	if err := json.Unmarshal(file, &row); err != nil {
		return Rulebook{}, err
	}
	book := Rulebook{
		ID: row.ID, Region: row.Region, Service: row.Service, Source: row.Source,
		Published: row.Published, LastChecked: row.LastChecked, Confidence: row.Confidence,
		FloorThickness: measure.Length(row.Floor.UpToThickness),
	}
	if len(row.Classes) == 0 {
		return Rulebook{}, fmt.Errorf("the rulebook %q has no class", row.ID)
	}
	var err error
	if book.Floor, err = readLimits("floor", row.Floor.Limits); err != nil {
		return Rulebook{}, err
	}
	for _, c := range row.Classes {
		class := Class{ID: c.ID, Name: c.Name, BeyondClass: c.Over, Surcharge: c.Surcharge.Name}
		if class.Limits, err = readLimits(c.ID, c.Limits); err != nil {
			return Rulebook{}, err
		}
		if class.SurchargeLimits, err = readLimits(c.ID+", surcharge", c.Surcharge.Limits); err != nil {
			return Rulebook{}, err
		}
		book.Classes = append(book.Classes, class)
	}
	return book, nil
}

func readLimits(where string, rows []limitRow) ([]Limit, error) {
	var list []Limit
	for _, r := range rows {
		l := Limit{Measure: r.Measure}
		for _, bound := range []struct {
			text string
			into **Quantity
		}{{r.Min, &l.Min}, {r.Max, &l.Max}} {
			if bound.text == "" {
				continue
			}
			q, err := quantity(r.Measure, bound.text)
			if err != nil {
				return nil, fmt.Errorf("%s, %s: %w", where, r.Measure, err)
			}
			*bound.into = &q
		}
		if l.Min == nil && l.Max == nil {
			return nil, fmt.Errorf("%s, %s: there is no limit", where, r.Measure)
		}
		if l.Min != nil && l.Max != nil && *l.Min > *l.Max {
			return nil, fmt.Errorf("%s, %s: the least, %s, is more than the most, %s", where, r.Measure, r.Min, r.Max)
		}
		for _, w := range r.When {
			q, err := quantity(w.Measure, w.Over)
			if err != nil {
				return nil, fmt.Errorf("%s, %s, when %s: %w", where, r.Measure, w.Measure, err)
			}
			l.When = append(l.When, Over{w.Measure, q})
		}
		list = append(list, l)
	}
	return list, nil
}
