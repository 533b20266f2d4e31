package plan

import (
	"sync"

	"yellowparcel/core/blank"
	"yellowparcel/core/cutting"
	"yellowparcel/core/envelope"
	"yellowparcel/core/mail"
	"yellowparcel/core/measure"
	"yellowparcel/core/paper"
)

// Construction is one of the ways to make an envelope that are compared.
type Construction string

// The constructions that are offered.
const (
	Diamond Construction = "diamond"
	Pocket  Construction = "pocket"
	Gusset  Construction = "gusset"
	Box     Construction = "box"
	Tuck    Construction = "tuck"
	CutDown Construction = "cutdown"
)

// Constructions lists them in the order they are offered.
func Constructions() []Construction {
	return []Construction{Diamond, Pocket, Gusset, Box, Tuck, CutDown}
}

// hasTop reports whether a pattern runs upright on the face only when the blank
// lies one way on the sheet; on a square that stands on its point it runs
// slantwise whichever way it is turned.
func (c Construction) hasTop() bool { return c == Pocket || c == Gusset || c == Tuck }

// construction is the one that the job chose.
func (j Job) Construction() Construction {
	if j.Envelope.Construction == "" {
		return Diamond
	}
	return j.Envelope.Construction
}

// spec is what an envelope is made for.
func (m maker) blankSpec() blank.Spec {
	j := m.job
	stock, _ := m.shop.Stock(j.Envelope.Stock)
	adhesive, _ := m.shop.Adhesive(j.Envelope.Adhesive)
	s := blank.Spec{
		Width: m.outer().Width, Height: m.outer().Height, Thickness: m.thick.Used,
		Ease: j.Envelope.Ease, Seam: j.Envelope.Seam, ThumbGap: j.Envelope.ThumbGap, Caliper: stock.Caliper,
		Style: m.style, School: j.Envelope.School, Way: j.Envelope.Way,
		Board: blank.Board{CornerAt: m.shop.Tools.CornerAt, Groove: m.shop.Tools.Groove, NotchDepth: m.shop.Tools.NotchDepth},
		Box:   j.Envelope.Box, Walls: j.Envelope.Walls,
		Adhesive: adhesive.Width, Depth: j.Envelope.Depth, Pocket: j.Envelope.Pocket, Flap: j.Envelope.Flap, Sliver: j.Envelope.Sliver,
		SizeOnly:  m.sizeOnly,
		FlapShape: j.Envelope.FlapShape, Corner: j.Envelope.Corner, Notch: j.Envelope.Notch, TabsOnBack: j.Envelope.TabsOnBack, Double: j.Envelope.Double, FoldTips: j.Envelope.FoldTips,
	}
	if s.Pocket == "" {
		s.Pocket = blank.ExactPocket
	}
	if s.Sliver == 0 {
		s.Sliver = UsualSliver
	}
	for _, sheet := range m.sheetsFor(stock) {
		s.SheetLength = max(s.SheetLength, sheet.Width, sheet.Height)
	}
	if j.Envelope.Mailable {
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
	stock, _ := m.shop.Stock(m.job.Envelope.Stock)
	need := m.thick.Used + m.job.Envelope.Ease + blank.Wider(stock.Caliper)
	return m.rectangleFor(m.outer().Width+need, m.outer().Height+need, stock.Caliper)
}

// rectangleFor is the plain rectangle round an interior.
func (m maker) rectangleFor(w, h, caliper measure.Length) (mail.Rectangle, bool) {
	book, ok := m.book()
	if !ok || len(book.Classes) == 0 {
		return mail.Rectangle{}, false
	}
	r := book.Enveloped().PlainRectangle(w, h, m.thick.Used+4*caliper, m.style.Tick, m.style.Tick)
	return r, r.OK
}

// candidate is one construction made for the card.
type candidate struct {
	id   Construction
	made blank.Made
	ok   bool // false when it cannot be made at all
	// refused is where the folded net is not what the formulas promise; such a net
	// is drawn for nobody to cut.
	refused error
	strip   bool // the card is held by strips
	// from is the bought envelope that is cut down.
	from FitPlan
	post posted
	// fits is the smallest sheet that gives it, with spare to cut off at the tighter
	// side; short by how much the largest fails when none does.
	fits         paper.Sheet
	found        bool
	spare, short measure.Length
}

// candidates makes every construction for the card, side by side.
func (m maker) candidates(diamond blank.Made) []candidate {
	list := make([]candidate, len(Constructions()))
	var made sync.WaitGroup
	for i, id := range Constructions() {
		made.Go(func() {
			c := m.candidate(id, diamond)
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
func (m maker) candidate(id Construction, diamond blank.Made) candidate {
	s := m.blankSpec()
	c := candidate{id: id, ok: true}
	switch id {
	case Diamond:
		c.made = diamond
	case Pocket:
		c.made = blank.NewPocket(s)
	case Gusset:
		s.Gusset = s.Wall()
		c.made = blank.NewPocket(s)
	case Box:
		c.made = blank.NewSquareBox(s)
	case Tuck:
		c.made = blank.NewTuckBox(s)
	case CutDown:
		c.made, c.from, c.ok = m.cutDown(s)
	}
	if !c.ok {
		return c
	}
	if j := m.job.Envelope; j.Mailable && !m.sizeOnly && (id == CutDown || s.LeastWidth > 0) {
		c.strip = c.made.HoldingStrips(s)
	}
	m.onSheet(&c)
	return c
}

// chosen is the construction that the job chose; the diamond where that cannot
// be made.
func (m maker) chosen() candidate {
	_, made := m.diamond()
	return m.choose(m.candidates(made))
}

func (m maker) choose(list []candidate) candidate {
	for _, c := range list {
		if c.ok && c.id == m.job.Construction() {
			return c
		}
	}
	return list[0]
}

// cutDown finds the bought envelope that is cut down with the least to spare:
// one on the shelf before one to buy.
func (m maker) cutDown(s blank.Spec) (best blank.Made, from FitPlan, ok bool) {
	caliper, _ := m.shop.Stock(soldPaper)
	s.Caliper, s.LeastWidth, s.LeastHeight = caliper.Caliper, 0, 0
	wide := func(height measure.Length) measure.Length {
		if r, ok := m.rectangleFor(s.Width+s.Thickness+s.Ease, height, s.Caliper); m.job.Envelope.Mailable && ok && r.Height == height {
			return r.Width
		}
		return 0
	}
	var chosen blank.Bought
	for _, f := range m.shop.Formats() {
		if id := m.job.Envelope.CutFrom; id != "" && id != f.ID {
			continue
		}
		s.LeastWidth = wide(f.Height)
		made, can := blank.MeasureCutDown(s, bought(f), m.job.Envelope.OneSide)
		if !can {
			continue
		}
		if !ok || f.Owned && !from.Owned || f.Owned == from.Owned && made.EaseHeight+(f.Width-made.Width) < best.EaseHeight+(from.Outer.Width-best.Width) {
			best, ok = made, true
			from = FitPlan{ID: f.ID, Name: f.Name, Size: m.by(f.Width, f.Height), Owned: f.Owned}
			from.Outer.Width, from.Outer.Height = f.Width, f.Height
			chosen = bought(f)
		}
	}
	if ok {
		s.LeastWidth = wide(chosen.Height)
		best, ok = blank.NewCutDown(s, chosen, m.job.Envelope.OneSide)
	}
	return best, from, ok
}

func bought(f envelope.Format) blank.Bought {
	return blank.Bought{Width: f.Width, Height: f.Height, Pointed: f.Family == "baronial"}
}

// onSheet finds the smallest sheet that gives a blank.
func (m maker) onSheet(c *candidate) {
	if c.id == CutDown {
		c.found = true
		return
	}
	stock, _ := m.shop.Stock(m.job.Envelope.Stock)
	for _, s := range m.sheetsFor(stock) {
		piece := cutting.Piece{Width: c.made.SheetWidth, Height: c.made.SheetHeight, Count: 1, Turn: true}
		if stock.Pattern != paper.Unknown && c.id.hasTop() {
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
