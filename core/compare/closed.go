package compare

import (
	"yellowparcel/core/blank"
	"yellowparcel/core/measure"
	"yellowparcel/core/paper"
)

// Closed is a construction closed, with the card in it; the bare card where there is no
// envelope.
func (m Posted) Closed(c Candidate) Closed {
	if m.Job().Mail.WithoutEnvelope() {
		size := m.Outer()
		return Closed{Width: size.Width, Height: size.Height, Thickness: m.Thick().Used, Bare: true}
	}
	id := m.Job().Envelope.Stock
	if c.Kind.Bought {
		id = SoldPaper
	}
	stock, _ := m.Shop().Stock(id)
	w, h := c.Made.Width, c.Made.Height
	if c.Turned {
		w, h = h, w
	}
	return Closed{
		Width: w, Height: h, Turned: c.Turned, Layers: c.Made.Folded.Layers, Area: c.Made.Net.Area(), Stock: stock,
		Thickness: max(m.Thick().Used, c.Made.Depth) + stock.Caliper*measure.Length(c.Made.Folded.Layers) + m.Closure().Caliper,
		Depth:     c.Made.Depth, Twice: c.Made.Depth > 0 && c.Kind.Doubles(), Net: c.Made.Net, Box: c.Kind.Box,
	}
}

// Wider is what its creases are set apart because a folded crease eats paper.
func (c Closed) Wider() measure.Length { return blank.Wider(c.Stock.Caliper) }

// Closed is a filled envelope as the post sees it, or a bare card: its width lies along
// the card's, Turned set where its throat does not.
type Closed struct {
	Width, Height, Thickness measure.Length
	Turned                   bool
	Layers                   int
	// Area of the envelope's paper in mm², and its stock.
	Area  float64
	Stock paper.Stock
	// Depth is that of its walls; zero for none. Twice is set where they lie between two creases in
	// place of each.
	Depth measure.Length
	Twice bool
	// Bare is set when there is no envelope, Box when it is one with a lid.
	Bare, Box bool
	Net       blank.Net
}

// Whole is a bought envelope before it is cut down.
func (m Posted) Whole(c Candidate) Closed {
	e, from := m.Closed(c), c.Made.From
	if c.Turned {
		from.Width, from.Height = from.Height, from.Width
	}
	return Closed{Width: from.Width, Height: from.Height, Turned: c.Turned, Thickness: e.Thickness, Stock: e.Stock, Area: c.Made.Net.Sheet.Area()}
}

// Closure is what closes the envelope; nothing on a bare card.
func (m Posted) Closure() paper.Closure {
	if m.Job().Mail.WithoutEnvelope() {
		return paper.Closure{}
	}
	c, _ := paper.ClosureByID(m.Job().Mail.Closure)
	return c
}

// holds is how much of its thickness does not come off its sides when it is filled: the envelope's own
// layers and what closes it, which lie flat, and as much of the card as its walls are deep; all of it
// where there is no envelope.
func (m Posted) holds(e Closed, thickness measure.Length) measure.Length {
	if e.Bare || e.Depth >= m.Thick().Used {
		return thickness
	}
	flat := e.Thickness - max(m.Thick().Used, e.Depth)
	return min(thickness, flat+e.Depth)
}
