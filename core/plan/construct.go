package plan

import (
	"slices"
	"sync"

	"yellowparcel/core/blank"
	"yellowparcel/core/cutting"
	"yellowparcel/core/envelope"
	"yellowparcel/core/job"
	"yellowparcel/core/mail"
	"yellowparcel/core/measure"
	"yellowparcel/core/paper"
)

// spec is what an envelope is made for.
func (m maker) blankSpec() blank.Spec {
	j := m.Job()
	stock, _ := m.Shop().Stock(j.Envelope.Stock)
	adhesive, _ := m.Shop().Adhesive(j.Envelope.Adhesive)
	s := blank.Spec{
		Width: m.Outer().Width, Height: m.Outer().Height, Thickness: m.Thick().Used,
		Ease: j.Envelope.Ease, Seam: j.Envelope.Seam, ThumbGap: j.Envelope.ThumbGap, Caliper: stock.Caliper,
		Style: m.Style(), School: j.Envelope.School, Way: j.Envelope.Way, OneSide: j.Envelope.OneSide, Asked: j.Envelope.Asked,
		Board: blank.Board{CornerAt: m.Shop().Tools.CornerAt, Groove: m.Shop().Tools.Groove, NotchDepth: m.Shop().Tools.NotchDepth},
		Box:   j.Envelope.Box, Walls: j.Envelope.Walls,
		Adhesive: adhesive.Width, Depth: j.Envelope.Depth, Pocket: j.Envelope.Pocket, Flap: j.Envelope.Flap, Sliver: j.Envelope.Sliver,
		SizeOnly:  m.sizeOnly,
		FlapShape: j.Envelope.FlapShape, Corner: j.Envelope.Corner, Notch: j.Envelope.Notch, TabsOnBack: j.Envelope.TabsOnBack, Double: j.Envelope.Double, FoldTips: j.Envelope.FoldTips,
	}
	if s.Pocket == "" {
		s.Pocket = blank.ExactPocket
	}
	if s.Sliver == 0 {
		s.Sliver = job.UsualSliver
	}
	for _, sheet := range m.Shop().SheetsFor(stock) {
		s.SheetLength = max(s.SheetLength, sheet.Width, sheet.Height)
	}
	sold, _ := m.Shop().Stock(soldPaper)
	s.SoldCaliper = sold.Caliper
	for _, f := range m.Shop().Formats() {
		if id := j.Envelope.CutFrom; id == "" || id == f.ID {
			s.Bought = append(s.Bought, blank.Bought{ID: f.ID, Owned: f.Owned, Width: f.Width, Height: f.Height, Pointed: f.Family == "baronial"})
		}
	}
	if j.Envelope.Mailable {
		s.LeastWidthAt = func(interior, height measure.Length) measure.Length {
			if r, ok := m.rectangleFor(interior, height, s.SoldCaliper); ok && r.Height == height {
				return r.Width
			}
			return 0
		}
		if r, ok := m.plainRectangle(); ok {
			// What a fold eats of the paper is added again when the creases are set.
			wider := blank.Wider(s.Caliper)
			s.LeastWidth, s.LeastHeight = r.Width-wider, r.Height-wider
			if s.Height > s.Width {
				s.LeastWidth, s.LeastHeight = s.LeastHeight, s.LeastWidth
			}
		}
	}
	return s
}

// plainRectangle is the closed envelope in which the card's shape costs nothing,
// in the cheapest class of the destination.
func (m maker) plainRectangle() (mail.Rectangle, bool) {
	stock, _ := m.Shop().Stock(m.Job().Envelope.Stock)
	need := m.Thick().Used + m.Job().Envelope.Ease + blank.Wider(stock.Caliper)
	return m.rectangleFor(m.Outer().Width+need, m.Outer().Height+need, stock.Caliper)
}

// rectangleFor is the plain rectangle round an interior.
func (m maker) rectangleFor(w, h, caliper measure.Length) (mail.Rectangle, bool) {
	book, ok := m.book()
	if !ok || len(book.Classes) == 0 {
		return mail.Rectangle{}, false
	}
	r := book.Enveloped().PlainRectangle(w, h, m.Thick().Used+4*caliper, m.Style().Tick, m.Style().Tick)
	return r, r.OK
}

// candidate is one construction made for the card.
type candidate struct {
	kind *blank.Construction
	made blank.Made
	ok   bool // false when it cannot be made at all
	// refused is where the folded net is not what the formulas promise; such a net
	// is drawn for nobody to cut.
	refused error
	strip   bool // the card is held by strips
	post    posted
	// fits is the smallest sheet that gives it, with spare to cut off at the tighter
	// side; short by how much the largest fails when none does.
	fits         paper.Sheet
	found        bool
	spare, short measure.Length
}

// has reports whether something goes wrong with it.
func (c candidate) has(id blank.FaultID) bool {
	return slices.ContainsFunc(c.made.Faults, func(f blank.Fault) bool { return f.ID == id })
}

// candidates makes every construction for the card, side by side.
func (m maker) candidates() []candidate {
	list := make([]candidate, len(blank.Constructions()))
	var made sync.WaitGroup
	for i, k := range blank.Constructions() {
		made.Go(func() {
			c := m.candidate(k)
			if c.ok {
				c.refused = c.made.Accept()
				c.post = m.judge(m.closed(c))
			}
			list[i] = c
		})
	}
	made.Wait()
	return list
}

// candidate makes one construction for the card.
func (m maker) candidate(k *blank.Construction) candidate {
	s := m.blankSpec()
	c := candidate{kind: k}
	if c.made, c.ok = k.Make(s); !c.ok {
		return c
	}
	if j := m.Job().Envelope; j.Mailable && !m.sizeOnly && (k.Bought || s.LeastWidth > 0) {
		c.strip = c.made.HoldingStrips(s)
	}
	m.onSheet(&c)
	return c
}

// chosen is the construction that the job chose; the diamond where that cannot
// be made.
func (m maker) chosen() candidate { return m.choose(m.candidates()) }

func (m maker) choose(list []candidate) candidate {
	for _, c := range list {
		if c.ok && c.kind.ID == m.Job().Construction() {
			return c
		}
	}
	return list[0]
}

// format is an envelope that is sold or on the shelf.
func (m maker) format(id string) envelope.Format {
	for _, f := range m.Shop().Formats() {
		if f.ID == id {
			return f
		}
	}
	return envelope.Format{}
}

// onSheet finds the smallest sheet that gives a blank.
func (m maker) onSheet(c *candidate) {
	if c.kind.Bought {
		c.found = true
		return
	}
	stock, _ := m.Shop().Stock(m.Job().Envelope.Stock)
	for _, s := range m.Shop().SheetsFor(stock) {
		piece := cutting.Piece{Width: c.made.SheetWidth, Height: c.made.SheetHeight, Count: 1, Turn: true}
		if stock.Pattern != paper.Unknown && c.kind.HasTop {
			piece.Turn = false
			if !stock.Pattern.Upright(s) {
				piece.Width, piece.Height = piece.Height, piece.Width
			}
		}
		if (cutting.Sheet{Width: s.Width, Height: s.Height}).Possible(piece) == cutting.Possible {
			if !c.found || s.Width.Inches()*s.Height.Inches() < c.fits.Width.Inches()*c.fits.Height.Inches() {
				c.fits, c.found, c.spare = s, true, min(s.Width-piece.Width, s.Height-piece.Height)
				if piece.Turn {
					c.spare = max(c.spare, min(s.Width-piece.Height, s.Height-piece.Width))
				}
			}
			continue
		}
		long := max(piece.Width, piece.Height) - max(s.Width, s.Height)
		wide := min(piece.Width, piece.Height) - min(s.Width, s.Height)
		if short := max(long, wide); !c.found && (c.short == 0 || short < c.short) {
			c.short = short
			c.fits = s
		}
	}
}
