package compare

import (
	"yellowparcel/core/blank"
	"yellowparcel/core/measure"
	"yellowparcel/core/paper"
)

// Closed is a construction closed, with the card in it; the bare card where there is no
// envelope.
func (m Maker) Closed(c Candidate) Closed {
	if m.Job().Post.Bare {
		size := m.Outer()
		return Closed{Width: size.Width, Height: size.Height, Thickness: m.Thick().Used, Bare: true}
	}
	id := m.Job().Envelope.Stock
	if c.Kind.Bought {
		id = SoldPaper
	}
	stock, _ := m.Shop().Stock(id)
	return Closed{
		Width: c.Made.Width, Height: c.Made.Height, Layers: c.Made.Folded.Layers, Area: c.Made.Net.Area(), Stock: stock,
		Thickness: max(m.Thick().Used, c.Made.Depth) + stock.Caliper*measure.Length(c.Made.Folded.Layers) + m.Closure().Caliper,
		Depth:     c.Made.Depth, Net: c.Made.Net,
	}
}

// Wider is what its creases are set apart because a folded crease eats paper.
func (c Closed) Wider() measure.Length { return blank.Wider(c.Stock.Caliper) }

// closed is a filled envelope as the post sees it, or a bare card.
type Closed struct {
	Width, Height, Thickness measure.Length
	Layers                   int
	// Area of the envelope's paper in mm², and its stock.
	Area  float64
	Stock paper.Stock
	// Depth is that of its walls; zero for none.
	Depth measure.Length
	// Bare is set when there is no envelope.
	Bare bool
	Net  blank.Net
}

// Whole is a bought envelope before it is cut down.
func (m Maker) Whole(c Candidate) Closed {
	e, from := m.Closed(c), c.Made.From
	return Closed{Width: from.Width, Height: from.Height, Thickness: e.Thickness, Stock: e.Stock, Area: c.Made.Net.Sheet.Area()}
}

// Closure is what closes the envelope; nothing on a bare card.
func (m Maker) Closure() paper.Closure {
	if m.Job().Post.Bare {
		return paper.Closure{}
	}
	c, _ := paper.ClosureByID(m.Job().Post.Closure)
	return c
}

// holds is how much of its thickness does not come off its sides when it is filled: all
// of it where its walls are as deep as the card, or where there is no envelope.
func (m Maker) holds(e Closed, thickness measure.Length) measure.Length {
	if e.Bare || e.Depth >= m.Thick().Used {
		return thickness
	}
	return e.Depth
}
