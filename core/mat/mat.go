// Package mat lays what is cut on the mat of an electronic cutter: what goes on it, how it is
// turned, and how many loads that takes.
//
// Lengths are measure.Length, outlines in millimetres, angles in degrees clockwise. A cutter works
// on all of its mat but a margin on every side. It carries out "The mat" of docs/sums.md:
//
//	w, h := m.Usable()
//	laid := mat.Lay(effort, m, letter, pieces)
package mat

import (
	"yellowparcel/core/measure"
)

// Mat is a mat that carries paper through a cutter.
type Mat struct {
	ID     string         `json:"id" maxLength:"40"`
	Name   string         `json:"name" maxLength:"80"`
	Width  measure.Length `json:"width"`
	Height measure.Length `json:"height"`
	// Margin is what the cutter leaves on every side.
	Margin measure.Length `json:"margin,omitempty"`
	Off    bool           `json:"off,omitempty"`
	// OffSince is the day on which it was put away.
	OffSince string `json:"offSince,omitempty" maxLength:"10"`
}

// Usual are the mats that most cutters come with.
func Usual() []Mat {
	const margin = 3 * measure.Inch / 8
	return []Mat{
		{ID: "mat", Name: "Mat", Width: 12 * measure.Inch, Height: 12 * measure.Inch, Margin: margin},
		{ID: "long-mat", Name: "Long mat", Width: 12 * measure.Inch, Height: 24 * measure.Inch, Margin: margin},
	}
}

// Usable is what of it can be cut.
func (m Mat) Usable() (width, height measure.Length) {
	return max(0, m.Width-2*m.Margin), max(0, m.Height-2*m.Margin)
}

// Paper is a sheet as it lies on a mat.
type Paper struct {
	// X and Y are its top left corner on the mat, Width and Height its size there.
	X, Y, Width, Height measure.Length
	// CutDown is set where it is cut to the mat's size before it is laid on.
	CutDown bool
}

// Lies is how a sheet lies on the mat: with a corner where the cutter begins where all of it can be
// worked on, else in the middle. What is larger than the mat is cut down to it first.
func (m Mat) Lies(width, height measure.Length) Paper {
	along := func(sheet, mat measure.Length) (at, size measure.Length, cut bool) {
		switch {
		case sheet > mat:
			return 0, mat, true
		case sheet > mat-2*m.Margin:
			return (mat - sheet) / 2, sheet, false
		}
		return m.Margin, sheet, false
	}
	var p Paper
	var one, other bool
	p.X, p.Width, one = along(width, m.Width)
	p.Y, p.Height, other = along(height, m.Height)
	p.CutDown = one || other
	return p
}

// area is what of a sheet on the mat can be worked on, from its corner.
func (m Mat) area(p Paper) (x, y, width, height measure.Length) {
	part := func(at, size, mat measure.Length) (from, length measure.Length) {
		from = max(at, m.Margin)
		return from, max(0, min(at+size, mat-m.Margin)-from)
	}
	x, width = part(p.X, p.Width, m.Width)
	y, height = part(p.Y, p.Height, m.Height)
	return x, y, width, height
}
