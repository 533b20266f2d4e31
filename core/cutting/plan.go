package cutting

import (
	"cmp"

	"yellowparcel/core/measure"
)

// Rect is a rectangle on a sheet, from its top left corner.
type Rect struct {
	X      measure.Length `json:"x"`
	Y      measure.Length `json:"y"`
	Width  measure.Length `json:"width"`
	Height measure.Length `json:"height"`
}

func (r Rect) area() float64 { return float64(r.Width) * float64(r.Height) }

// Placed is one piece where it lies on the sheet.
type Placed struct {
	Rect
	// Piece is the line of the order.
	Piece  int  `json:"piece"`
	Turned bool `json:"turned"`
}

// Cut is one cut from edge to edge of a rectangle.
type Cut struct {
	// Number is its place in the whole plan, from one.
	Number int `json:"number"`
	// From is the rectangle that is cut.
	From Rect `json:"from"`
	// Down is set when the cut runs from top to bottom.
	Down bool `json:"down"`
	// At is where it runs, from the rectangle's left or top edge.
	At measure.Length `json:"at"`
	// Rest is what the part is that the guide does not measure, where pieces are made of it.
	Rest Rest `json:"rest,omitempty"`
}

// Length is how long the cut is.
func (c Cut) Length() measure.Length {
	if c.Down {
		return c.From.Height
	}
	return c.From.Width
}

// Parts are the two rectangles that the cut makes, left or top first.
func (c Cut) Parts() (Rect, Rect) {
	f := c.From
	if c.Down {
		return Rect{f.X, f.Y, c.At, f.Height}, Rect{f.X + c.At, f.Y, f.Width - c.At, f.Height}
	}
	return Rect{f.X, f.Y, f.Width, c.At}, Rect{f.X, f.Y + c.At, f.Width, f.Height - c.At}
}

// Layout is one way of cutting a sheet, and how many sheets are cut so.
type Layout struct {
	Times   int      `json:"times"`
	Pieces  []Placed `json:"pieces"`
	Offcuts []Rect   `json:"offcuts"`
	Cuts    []Cut    `json:"cuts"`
}

// Step is one setting of the guide with all cuts that are made before it moves.
type Step struct {
	Setting measure.Length `json:"setting"`
	// Cuts are numbers of cuts, each made on every sheet of its layout.
	Cuts []int `json:"cuts"`
}

// Plan is how an order is cut.
type Plan struct {
	Sheets  int      `json:"sheets"`
	Layouts []Layout `json:"layouts"`
	Steps   []Step   `json:"steps"`
	// Offcut is the largest rectangle that is left over.
	Offcut Rect `json:"offcut"`
	// Bound is a number of sheets that no plan can stay under.
	Bound int `json:"bound"`
	// ByCount is set when the number of pieces asks for so many sheets, and not
	// their area.
	ByCount bool `json:"byCount"`
	// Unfit are the lines of the order that this sheet cannot give.
	Unfit []int `json:"unfit"`
	// Unfinished is set when the search was stopped before its steps were used.
	Unfinished bool `json:"unfinished"`
	// Searched is how many steps the search took.
	Searched int `json:"-"`
}

// Proven reports that no plan takes fewer sheets.
func (p Plan) Proven() bool { return p.Sheets <= p.Bound }

// better compares by what a maker wants: fewest sheets, then fewest settings,
// then the largest offcut, then the fewest cuts.
func (p Plan) better(q Plan) bool {
	return cmp.Or(cmp.Compare(p.Sheets, q.Sheets), cmp.Compare(len(p.Steps), len(q.Steps)), cmp.Compare(q.Offcut.area(), p.Offcut.area()), cmp.Compare(p.cuts(), q.cuts())) < 0
}

// cuts is how many cuts are made, stacks of sheets counted once.
func (p Plan) cuts() (n int) {
	for _, s := range p.Steps {
		n += len(s.Cuts)
	}
	return n
}
