package compare

import (
	"slices"
	"sync"

	"yellowparcel/core/blank"
	"yellowparcel/core/cutting"
	"yellowparcel/core/measure"
	"yellowparcel/core/paper"
)

// Candidate makes one construction for the card.
func (m Maker) Candidate(k *blank.Construction) Candidate {
	s := m.BlankSpec()
	if k.Bought {
		s = m.withBought(s)
	}
	c := Candidate{Kind: k}
	if c.Made, c.OK = k.Make(s); !c.OK {
		return c
	}
	if j := m.Job().Envelope; j.Mailable && !m.SizeOnly && (k.Bought || s.LeastWidth > 0) {
		c.Strip = c.Made.HoldingStrips(s)
	}
	m.onSheet(&c)
	return c
}

// Has reports whether something goes wrong with it.
func (c Candidate) Has(id blank.FaultID) bool {
	return slices.ContainsFunc(c.Made.Faults, func(f blank.Fault) bool { return f.ID == id })
}

// Candidates makes every construction for the card, side by side.
func (m Maker) Candidates() []Candidate {
	list := make([]Candidate, len(blank.Constructions()))
	var made sync.WaitGroup
	for i, k := range blank.Constructions() {
		made.Go(func() {
			c := m.Candidate(k)
			if c.OK {
				c.Refused = c.Made.Accept()
				c.Post = m.Judge(m.Closed(c))
			}
			list[i] = c
		})
	}
	made.Wait()
	return list
}

// Candidate is one construction made for the card.
type Candidate struct {
	Kind *blank.Construction
	Made blank.Made
	OK   bool // false when it cannot be made at all
	// Refused is where the folded net is not what the formulas promise; such a net
	// is drawn for nobody to cut.
	Refused error
	Strip   bool // the card is held by strips
	Post    Forecast
	// Fits is the smallest sheet that gives it, Found set where there is one, with Spare
	// to cut off at the tighter side; Short by how much the largest fails when none does.
	Fits         paper.Sheet
	Found        bool
	Spare, Short measure.Length
}

// Chosen is the construction that the job chose; the diamond where that cannot
// be made.
func (m Maker) Chosen() Candidate { return m.Choose(m.Candidates()) }

// Choose is Chosen of those that were made.
func (m Maker) Choose(list []Candidate) Candidate {
	for _, c := range list {
		if c.OK && c.Kind.ID == m.Job().Construction() {
			return c
		}
	}
	return list[0]
}

// onSheet finds the smallest sheet that gives a blank.
func (m Maker) onSheet(c *Candidate) {
	if c.Kind.Bought {
		c.Found = true
		return
	}
	stock, _ := m.Shop().Stock(m.Job().Envelope.Stock)
	for _, s := range m.Shop().SheetsFor(stock) {
		piece := cutting.Piece{Width: c.Made.SheetWidth, Height: c.Made.SheetHeight, Count: 1, Turn: true}
		if stock.Pattern != paper.Unknown && c.Kind.HasTop {
			piece.Turn = false
			if !stock.Pattern.Upright(s) {
				piece.Width, piece.Height = piece.Height, piece.Width
			}
		}
		if (cutting.Sheet{Width: s.Width, Height: s.Height}).Possible(piece) == cutting.Possible {
			if !c.Found || s.Width.Inches()*s.Height.Inches() < c.Fits.Width.Inches()*c.Fits.Height.Inches() {
				c.Fits, c.Found, c.Spare = s, true, min(s.Width-piece.Width, s.Height-piece.Height)
				if piece.Turn {
					c.Spare = max(c.Spare, min(s.Width-piece.Height, s.Height-piece.Width))
				}
			}
			continue
		}
		long := max(piece.Width, piece.Height) - max(s.Width, s.Height)
		wide := min(piece.Width, piece.Height) - min(s.Width, s.Height)
		if short := max(long, wide); !c.Found && (c.Short == 0 || short < c.Short) {
			c.Short = short
			c.Fits = s
		}
	}
}
