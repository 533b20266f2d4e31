// Package mail judges whether a finished piece posts: it holds the limits of a
// post as data, maps how thick the piece is where, how heavy and how stiff,
// measures it against every limit, and finds what to leave off. A verdict is
// advice, never a promise.
//
// Lengths are nanometres (measure.Length), those of the relief and of stiffness
// millimetres; weights grams, forces newtons, moduli GPa. Limits are data files
// beside this one; see "Mail" and "Stiffness" in docs/sums.md.
//
//	book, _ := mail.RulebookByID("us-domestic")
//	verdict := book.Judge(mail.Piece{Width: w, Height: h, Thickness: t, Weight: 20})
//	verdict.Class // "letter"
package mail

import (
	"embed"
	"fmt"
	"io/fs"
	"path"
	"time"

	"yellowparcel/core/measure"
)

// Limit bounds one measure. A bound that is nil is not known or not set.
type Limit struct {
	Measure  Measure
	Min, Max *Quantity
	// Unit is the one that it is published in: "in", "mm", "oz", "g"; empty for what has
	// none.
	Unit string
	// Guidance is set where the post does not say the number.
	Guidance bool
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
var embedded embed.FS

var (
	shipped   = must(readAll(embedded))
	rulebooks = must(compileAll(shipped))
)

// must stops the program at its start when an embedded rulebook is broken, which
// the tests of this package rule out.
func must[T any](v T, err error) T {
	if err != nil {
		panic(err)
	}
	return v
}

// Enveloped is the cheapest class that takes closed envelopes.
func (b Rulebook) Enveloped() Class {
	for _, c := range b.Classes {
		bare := false
		for _, l := range c.Limits {
			bare = bare || l.Measure == Bare && l.Min != nil
		}
		if !bare {
			return c
		}
	}
	return b.Classes[0]
}

// Rulebooks lists the rulebooks that ship.
func Rulebooks() []Rulebook { return append([]Rulebook(nil), rulebooks...) }

// Files lists the files of the rulebooks that ship.
func Files() []File { return append([]File(nil), shipped...) }

// RulebookByID finds a rulebook that ships.
func RulebookByID(id string) (Rulebook, bool) {
	for _, r := range rulebooks {
		if r.ID == id {
			return r, true
		}
	}
	return Rulebook{}, false
}

func readAll(dir fs.FS) ([]File, error) {
	names, err := fs.Glob(dir, "*.json")
	if err != nil {
		return nil, err
	}
	var list []File
	for _, name := range names {
		text, err := fs.ReadFile(dir, name)
		if err != nil {
			return nil, err
		}
		f, err := ReadFile(text)
		if err != nil {
			return nil, fmt.Errorf("%s: %w", path.Base(name), err)
		}
		list = append(list, f)
	}
	return list, nil
}

func compileAll(files []File) ([]Rulebook, error) {
	var list []Rulebook
	for _, f := range files {
		b, err := f.Rulebook()
		if err != nil {
			return nil, err
		}
		list = append(list, b)
	}
	return list, nil
}

func day(s string) bool {
	_, err := time.Parse(time.DateOnly, s)
	return err == nil
}

// YearOld reports whether a day lies more than a year before another; false
// when either is not known.
func YearOld(then, today string) bool {
	a, err := time.Parse(time.DateOnly, then)
	if err != nil {
		return false
	}
	b, err := time.Parse(time.DateOnly, today)
	return err == nil && a.AddDate(1, 0, 0).Before(b)
}
