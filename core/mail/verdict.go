package mail

import (
	"math"

	"yellowparcel/core/measure"
)

// Piece is a closed envelope ready for the post.
type Piece struct {
	// Width and Height are the closed outer size lying flat, width along the
	// address.
	Width, Height measure.Length
	// Thickness over everything, the envelope's own layers included.
	Thickness measure.Length
	// Weight in grams.
	Weight float64
	// SizeError is how far each outer size may be off.
	SizeError measure.Length
}

// Check is one measure of a piece held against one limit.
type Check struct {
	Measure  Measure
	Measured float64
	Min, Max *Quantity
	// Margin is the room to the nearer limit in the measure's base unit;
	// negative when the limit is broken.
	Margin float64
	// Worst is the margin when every measuring error goes the wrong way.
	Worst float64
	OK    bool
	// Filled is set when the filled piece was measured, not the flat one.
	Filled bool
	// Surcharge is set when breaking the limit costs a surcharge but does not
	// refuse the class.
	Surcharge bool
}

// Outcome is what a class says of a piece.
type Outcome string

// The outcomes of one class.
const (
	Goes       Outcome = "goes"
	Surcharged Outcome = "surcharged"
	Refused    Outcome = "refused"
	NotNeeded  Outcome = "not needed" // a smaller class takes the piece
)

// ClassResult is one class with every check.
type ClassResult struct {
	Class   Class
	Outcome Outcome
	Checks  []Check
}

// Verdict is what a rulebook says of a piece.
type Verdict struct {
	Rulebook Rulebook
	// Class is the ID of the cheapest class that takes the piece, or empty.
	Class string
	// Mailable is false when the piece is under the floor for all mail.
	Mailable bool
	// AskFirst is set where the rules are silent: a thick piece under the
	// least size.
	AskFirst bool
	Floor    []Check
	Results  []ClassResult
}

// Result returns the result of the class that takes the piece.
func (v Verdict) Result() (ClassResult, bool) {
	for _, r := range v.Results {
		if r.Class.ID == v.Class && v.Class != "" {
			return r, true
		}
	}
	return ClassResult{}, false
}

// Judge holds a piece against every class, cheapest first. Least sizes are held
// against the filled envelope, which measures up to its thickness less than
// flat; greatest sizes against the flat one.
func (b Rulebook) Judge(p Piece) Verdict {
	v := Verdict{Rulebook: b, Mailable: true}
	v.Floor = p.checks(b.Floor, false)
	if !allOK(v.Floor) {
		if p.Thickness > b.FloorThickness {
			v.AskFirst = true
		} else {
			v.Mailable = false
		}
	}
	refused := map[string]bool{}
	for _, c := range b.Classes {
		r := ClassResult{Class: c, Checks: append(p.checks(c.Limits, false), p.checks(c.SurchargeLimits, true)...)}
		r.Outcome = outcome(r.Checks)
		if c.BeyondClass != "" && r.Outcome != Refused && !refused[c.BeyondClass] {
			r.Outcome = NotNeeded
		}
		refused[c.ID] = exceeds(r.Checks)
		if v.Class == "" && v.Mailable && !v.AskFirst && (r.Outcome == Goes || r.Outcome == Surcharged) {
			v.Class = c.ID
		}
		v.Results = append(v.Results, r)
	}
	return v
}

func outcome(checks []Check) Outcome {
	o := Goes
	for _, c := range checks {
		switch {
		case !c.OK && !c.Surcharge:
			return Refused
		case !c.OK:
			o = Surcharged
		}
	}
	return o
}

// exceeds reports whether a class is refused because the piece is over a limit.
func exceeds(checks []Check) bool {
	for _, c := range checks {
		if !c.Surcharge && c.Max != nil && c.Measured > float64(*c.Max) {
			return true
		}
	}
	return false
}

func allOK(checks []Check) bool {
	for _, c := range checks {
		if !c.OK {
			return false
		}
	}
	return true
}

// of returns a measure of the flat piece and of the filled one. Aspect is held
// against both ends with each in the state that is worse for it.
func (p Piece) of(m Measure) (flat, filled float64) {
	long, short := float64(max(p.Width, p.Height)), float64(min(p.Width, p.Height))
	t := float64(p.Thickness)
	switch m {
	case Length:
		return long, math.Max(0, long-t)
	case Height:
		return short, math.Max(0, short-t)
	case Thickness:
		return t, t
	case Weight:
		return p.Weight, p.Weight
	}
	return long / short, long / short
}

// errorOf is how far a measure may be off because the outer sizes may be.
func (p Piece) errorOf(m Measure) float64 {
	e := float64(p.SizeError)
	switch m {
	case Length, Height:
		return e
	case Aspect:
		long, short := float64(max(p.Width, p.Height)), float64(min(p.Width, p.Height))
		return e * (1 + long/short) / short
	}
	return 0
}

func (p Piece) checks(limits []Limit, surcharge bool) []Check {
	var list []Check
	for _, l := range limits {
		if !p.concerns(l) {
			continue
		}
		flat, filled := p.of(l.Measure)
		c := Check{Measure: l.Measure, Measured: flat, Min: l.Min, Max: l.Max, Margin: math.Inf(1), Surcharge: surcharge}
		if l.Min != nil {
			if low := filled - float64(*l.Min); low < c.Margin {
				c.Margin, c.Measured, c.Filled = low, filled, filled != flat
			}
		}
		if l.Max != nil {
			if high := float64(*l.Max) - flat; high < c.Margin {
				c.Margin, c.Measured, c.Filled = high, flat, false
			}
		}
		c.OK = c.Margin >= 0
		c.Worst = c.Margin - p.errorOf(l.Measure)
		list = append(list, c)
	}
	return list
}

func (p Piece) concerns(l Limit) bool {
	if len(l.When) == 0 {
		return true
	}
	for _, w := range l.When {
		if flat, _ := p.of(w.Measure); flat > float64(w.More) {
			return true
		}
	}
	return false
}
