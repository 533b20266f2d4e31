package offer

import (
	"yellowparcel/core/blank"
	"yellowparcel/core/card"
	"yellowparcel/core/compare"
	"yellowparcel/core/envelope"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
)

// WouldID names what would bring a blank onto a sheet that there is.
type WouldID string

// What would.
const (
	OtherSide WouldID = "side" // its throat on the short side
	LessEase  WouldID = "ease"
	LessSeam  WouldID = "seam"
	LessBoth  WouldID = "both"
	OtherKind WouldID = "kind" // another construction
	LessCard  WouldID = "card"
	TwoPieces WouldID = "joint"
	Larger    WouldID = "larger" // a larger sheet alone: two joined would not do
)

// WouldIDs lists them.
func WouldIDs() []WouldID {
	return []WouldID{OtherSide, LessEase, LessSeam, LessBoth, OtherKind, LessCard, TwoPieces, Larger}
}

// Would is one thing that would bring a blank onto a sheet.
type Would struct {
	ID WouldID
	// Ease, Seam and Width by Height are what they would have to be.
	Ease, Seam, Width, Height measure.Length
	Kind                      *blank.Construction
	Joint                     compare.Joint
}

// WhatWould is what would bring a blank onto a sheet that there is; nothing where one
// gives it already, or none is needed.
func (m Offers) WhatWould(c compare.Candidate, all func() []compare.Candidate) (list []Would) {
	if c.Found || c.Kind.Bought {
		return nil
	}
	const ease = measure.Inch / 8
	a, _ := m.Shop().Adhesive(m.Job().Envelope.Adhesive)
	try := func(w Would) {
		j := m.Job().Clone()
		if w.ID == OtherSide {
			j.Envelope.Opens = envelope.ShortSide
		}
		if w.Ease > 0 {
			j.Envelope.Ease = w.Ease
		}
		if w.Seam > 0 {
			j.Envelope.Seam = w.Seam
		}
		if m.with(j).foundFor(c.Kind) {
			list = append(list, w)
		}
	}
	if c.Opens == envelope.LongSide && c.Why == compare.AsAsked {
		try(Would{ID: OtherSide})
	}
	try(Would{ID: LessEase, Ease: ease})
	try(Would{ID: LessSeam, Seam: a.Width})
	if len(list) == 0 {
		try(Would{ID: LessBoth, Ease: ease, Seam: a.Width})
	}
	for _, k := range all() {
		if k.Kind != c.Kind && !k.Kind.Bought && k.OK && k.Found && k.Made.Depth == c.Made.Depth {
			list = append(list, Would{ID: OtherKind, Kind: k.Kind})
		}
	}
	if size, ok := m.LargestServed(c.Kind); ok {
		list = append(list, Would{ID: LessCard, Width: size.Width, Height: size.Height})
	}
	if two, ok := m.Joined(c); ok {
		return append(list, Would{ID: TwoPieces, Joint: two})
	}
	return append(list, Would{ID: Larger})
}

// foundFor reports whether a sheet gives the blank of a construction.
func (m Offers) foundFor(k *blank.Construction) bool {
	m.SizeOnly = true
	return m.Candidate(k).Found
}

// LargestServed is the largest card of this shape that the sheets serve in a
// construction, to the tick of its longer side.
func (m Offers) LargestServed(k *blank.Construction) (size card.Size, ok bool) {
	long := max(m.Job().Card.Width, m.Job().Card.Height)
	low, high := measure.Length(0), long/m.Style().Tick+1
	for high-low > 1 {
		middle := (low + high) / 2
		j := m.Job()
		j.Card.Width, j.Card.Height = m.scaled(middle*m.Style().Tick, long)
		if min(j.Card.Width, j.Card.Height) >= job.LeastCard && m.with(j).foundFor(k) {
			low = middle
		} else {
			high = middle
		}
	}
	w, h := m.scaled(low*m.Style().Tick, long)
	return card.Size{Width: w, Height: h}, low > 0
}

// scaled is the card's size with its longer side made so long.
func (m Offers) scaled(to, long measure.Length) (w, h measure.Length) {
	side := func(l measure.Length) measure.Length {
		return measure.Round(float64(l) * float64(to) / float64(long)).Down(m.Style().Tick)
	}
	return side(m.Job().Card.Width), side(m.Job().Card.Height)
}
