package mail

import (
	"math"
	"slices"

	"yellowparcel/core/measure"
)

// Piece is a closed envelope ready for the post, or a bare card.
type Piece struct {
	// Width and Height are the closed outer size lying flat.
	Width, Height measure.Length
	// Thickness over everything, the envelope's own layers included.
	Thickness measure.Length
	// Failed is a slot that it did not go through: it is thicker than that, and by how much nobody
	// knows; zero where there is none.
	Failed measure.Length
	// Holds is how much of that does not come off its sides when it is filled: as deep as
	// its walls are, and all of a bare card's.
	Holds measure.Length
	// Weight in grams.
	Weight float64
	// SizeError is how far each outer size may be off, ThicknessError and
	// WeightError what was predicted or measured of the others.
	SizeError, ThicknessError measure.Length
	WeightError               float64
	// AddressShort is set when the address runs along the shorter edge.
	AddressShort bool
	// Lump is the greatest rise within an inch, Uneven the thickest less the
	// thinnest an inch in from the edges.
	Lump, Uneven measure.Length
	// Pull is that of a belt round a drum in newtons, with what it may be at most;
	// Strain that of the outermost fibre.
	Pull, PullAtMost, Strain float64
	// Odd is set when it is no rectangle, Clasp when a clasp, a string or a button
	// closes it, Plastic when its outside is not paper, Bare when there is no
	// envelope, Folded when a bare card is folded.
	Odd, Clasp, Plastic, Bare, Folded bool
	// TableStrain is that of the outermost fibre when half of it is bent over the edge of a
	// table, TableBend how far it has to. Box is set for one with a lid.
	TableStrain float64
	TableBend   measure.Length
	Box         bool
	// Radius is that of the corners of a bare card.
	Radius measure.Length
}

// Check is one measure of a piece held against one limit.
type Check struct {
	Measure  Measure
	Measured float64
	Min, Max *Quantity
	// Unit is the one that the limit is published in.
	Unit string
	// Margin is the room to the nearer limit in the measure's base unit;
	// negative when the limit is broken.
	Margin float64
	// Worst is the margin when every measuring error goes the wrong way.
	Worst float64
	OK    bool
	// Filled is set when the filled piece was measured, not the flat one. Unsure is set
	// where one of the two breaks the limit and the other keeps it: whoever measures it may
	// find either, so ask.
	Filled, Unsure bool
	// Surcharge is set when breaking the limit costs a surcharge but does not
	// refuse the class.
	Surcharge bool
	// Guidance is set where the post does not say the number: breaking it makes
	// the class doubtful.
	Guidance bool
	// Open is set where only that it is more than so much is known of what was measured: by how
	// much it is over is not.
	Open bool
	// Asked is what the post asks for, in nanometres, where the limit is the program's way to it; zero
	// where the limit is the post's own.
	Asked float64
}

// Outcome is what a class says of a piece.
type Outcome string

// The outcomes of one class.
const (
	Goes       Outcome = "goes"
	Surcharged Outcome = "surcharged"
	Doubtful   Outcome = "ask" // it breaks guidance only: ask first
	Refused    Outcome = "refused"
	NotNeeded  Outcome = "not needed" // a smaller class takes the piece
)

// ClassResult is one class with every check.
type ClassResult struct {
	Class   Class
	Outcome Outcome
	Checks  []Check
}

// Due are the limits whose breaking costs a surcharge for certain, whatever else is doubtful of the piece.
func (r ClassResult) Due() (list []Check) {
	for _, c := range r.Checks {
		if !c.OK && c.Surcharge && !c.Guidance && !c.Unsure {
			list = append(list, c)
		}
	}
	return list
}

// Verdict is what a rulebook says of a piece.
type Verdict struct {
	Rulebook Rulebook
	// Class is the ID of the cheapest class that takes the piece, or empty.
	Class string
	// Mailable is false when the piece is under the floor for all mail.
	Mailable bool
	// AskFirst is set where the rules are silent: a piece under the least size that is
	// thick, or that a class without a least size would take.
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

// Judge holds a piece against every class, cheapest first. Sizes are held against the
// flat envelope; a filled one measures up to its thickness less, so that a least size
// that it keeps flat and breaks filled makes it doubtful.
func (b Rulebook) Judge(p Piece) Verdict {
	v := Verdict{Rulebook: b, Mailable: true}
	v.Floor = p.checks(b.Floor, false)
	var unsure []Check
	for _, c := range v.Floor {
		if c.Unsure {
			unsure = append(unsure, c)
		}
	}
	if !keeps(v.Floor) {
		if p.Thickness > b.FloorThickness {
			v.AskFirst = true
		} else {
			v.Mailable = false
		}
	}
	refused := map[string]bool{}
	for _, c := range b.Classes {
		r := ClassResult{Class: c, Checks: append(p.checks(c.Limits, false), p.checks(c.SurchargeLimits, true)...)}
		for _, f := range unsure {
			if !slices.ContainsFunc(r.Checks, func(c Check) bool { return c.Measure == f.Measure && c.Unsure }) {
				r.Checks = append(r.Checks, f)
			}
		}
		r.Outcome = outcome(r.Checks)
		if c.BeyondClass != "" && r.Outcome != Refused && !refused[c.BeyondClass] {
			r.Outcome = NotNeeded
		}
		refused[c.ID] = exceeds(r.Checks)
		if v.Class == "" && v.Mailable && !v.AskFirst && r.Outcome.taken() {
			v.Class = c.ID
		}
		if !v.Mailable && r.Outcome.taken() && c.anySmall() && (p.Box || refused[b.Enveloped().ID]) {
			v.Mailable, v.AskFirst = true, true // it is no letter anyway
		}
		v.Results = append(v.Results, r)
	}
	for i, r := range v.Results { // none takes what is under the floor for all
		if !v.Mailable && r.Outcome != Refused {
			r.Outcome, r.Checks = Refused, append(r.Checks, v.Floor...)
			v.Results[i] = r
		}
	}
	return v
}

// anySmall reports whether a class sets no least size: a parcel.
func (c Class) anySmall() bool {
	return !slices.ContainsFunc(c.Limits, func(l Limit) bool {
		k, _ := l.Measure.Known()
		return l.Min != nil && k.Exceeds
	})
}

func (o Outcome) taken() bool { return o == Goes || o == Surcharged || o == Doubtful }

// outcome puts what refuses before what makes doubtful, and that before what
// costs more.
func outcome(checks []Check) Outcome {
	o := Goes
	for _, c := range checks {
		switch {
		case c.OK:
		case !c.Surcharge && !c.Guidance && !c.Unsure:
			return Refused
		case !c.Surcharge:
			o = Doubtful
		case o == Goes:
			o = Surcharged
		}
	}
	return o
}

// exceeds reports whether a piece is over a class's limit in size, thickness or
// weight.
func exceeds(checks []Check) bool {
	for _, c := range checks {
		if k, _ := c.Measure.Known(); k.Exceeds && !c.Surcharge && c.Max != nil && (c.Measured > float64(*c.Max) || c.Open && !c.OK && !c.Unsure) {
			return true
		}
	}
	return false
}

// keeps reports whether every limit is kept, for sure or not.
func keeps(checks []Check) bool {
	for _, c := range checks {
		if !c.OK && !c.Unsure {
			return false
		}
	}
	return true
}

func (p Piece) checks(limits []Limit, surcharge bool) []Check {
	var list []Check
	for _, l := range limits {
		if !p.concerns(l) {
			continue
		}
		k, _ := l.Measure.Known()
		flat, filled := k.Of(p)
		c := Check{Measure: l.Measure, Measured: flat, Min: l.Min, Max: l.Max, Unit: l.Unit, Margin: math.Inf(1), Surcharge: surcharge, Guidance: l.Guidance}
		if l.Min != nil {
			c.hold(filled-float64(*l.Min), filled, filled != flat)
			c.Unsure = c.Margin < 0 && flat >= float64(*l.Min)
			if k.Both {
				c.hold(flat-float64(*l.Min), flat, false)
				c.Unsure = c.Margin < 0 && math.Max(flat, filled) >= float64(*l.Min)
			}
		}
		if l.Max != nil {
			c.hold(float64(*l.Max)-flat, flat, false)
			if k.Both {
				c.hold(float64(*l.Max)-filled, filled, filled != flat)
				c.Unsure = c.Unsure || c.Margin < 0 && c.Measured > float64(*l.Max) && math.Min(flat, filled) <= float64(*l.Max)
			} else if flat > float64(*l.Max) {
				c.Unsure = false
			}
		}
		c.OK = c.Margin >= 0
		if k.Over != nil && l.Max != nil {
			c.atLeast(k.Over(p), float64(*l.Max))
		}
		if k.Asked != nil {
			c.Asked = k.Asked(p)
		}
		c.Worst = c.Margin
		if k.Error != nil {
			c.Worst -= k.Error(p)
		}
		list = append(list, c)
	}
	return list
}

// hold takes what leaves less room to a limit.
func (c *Check) hold(margin, measured float64, filled bool) {
	if margin < c.Margin {
		c.Margin, c.Measured, c.Filled = margin, measured, filled
	}
}

// slotStep is the coarsest step that a slot is cut down to where ticks are a sixteenth or finer: a
// piece that fails a slot so little under a limit fails the limit. On coarser ticks it is only unsure.
const slotStep = measure.Inch / 64

// atLeast takes what is known only to be more than so much: over a limit of that, by how much is
// not known, and not sure to be under any other.
func (c *Check) atLeast(least, limit float64) {
	if least <= 0 {
		return
	}
	c.Open, c.Measured = true, least
	if limit-least < float64(slotStep) {
		c.OK, c.Unsure, c.Margin = false, false, math.Min(c.Margin, 0)
	} else if c.OK {
		c.OK, c.Unsure = false, true
	}
}

func (p Piece) concerns(l Limit) bool {
	if len(l.When) == 0 {
		return true
	}
	for _, w := range l.When {
		k, _ := w.Measure.Known()
		if flat, _ := k.Of(p); flat > float64(w.More) {
			return true
		}
	}
	return false
}
