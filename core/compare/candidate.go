package compare

import (
	"slices"
	"sync"

	"yellowparcel/core/blank"
	"yellowparcel/core/cutting"
	"yellowparcel/core/envelope"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/paper"
)

// Candidate is one construction made for the card, or one bought envelope with it.
type Candidate struct {
	Kind *blank.Construction
	Made blank.Made
	OK   bool // false when it cannot be made at all
	// Turned is set where the card lies a quarter turn round, its height across the
	// throat. Opens is the side that the throat lies on, Why what it is proposed for.
	Turned bool
	Opens  envelope.Side
	Why    Opening
	// Usual is the sheet by which the long side fails, and how much too large it would be.
	Usual      paper.Sheet
	UsualShort measure.Length
	// Fit is how the card sits in an envelope that is bought and taken whole.
	Fit envelope.Fit
	// Refused is where the folded net is not what the formulas promise; such a net
	// is drawn for nobody to cut.
	Refused error
	Strip   bool // the card is held by strips
	Mail    Forecast
	// Fits is the smallest sheet that gives it, Found set where there is one, with Spare
	// to cut off at the tighter side; Short by how much the largest fails when none does.
	Fits         paper.Sheet
	Found        bool
	Spare, Short measure.Length
}

// Opening is why an envelope opens on the side that it does.
type Opening string

// The reasons.
const (
	AsUsual   Opening = ""       // on the long side
	AsAsked   Opening = "asked"  // as the maker chose
	ForSheet  Opening = "sheet"  // opening on the long side no sheet gives it
	ForChecks Opening = "checks" // opening on the long side something is wrong with it
)

// Openings lists them.
func Openings() []Opening { return []Opening{AsUsual, AsAsked, ForSheet, ForChecks} }

// ID names a candidate among those of a piece: its construction, and the format of one
// that is bought.
func (c Candidate) ID() string {
	if c.Kind.Whole && c.OK {
		return string(c.Kind.ID) + ":" + c.Made.From.ID
	}
	return string(c.Kind.ID)
}

// Take is the job with the candidate as its envelope.
func (c Candidate) Take(j job.Job) job.Job {
	j.Envelope.Construction = c.Kind.ID
	if c.Kind.Whole {
		j.Envelope.From = c.Made.From.ID
	}
	return j
}

// Candidate makes one construction for the card, opening on the side that the job asks
// for. Where it asks for none the long one is the usual; the short one is taken where
// the long one fits no sheet, or fails a check that the short one passes.
func (m Maker) Candidate(k *blank.Construction) Candidate {
	if k.Whole {
		return m.bought(k, m.taken())
	}
	asked := m.Job().Envelope.Opens
	if k.Bought {
		asked = "" // its throat is where it is; how the card lies in it is what is tried
	}
	outer := m.Outer()
	if asked != "" || outer.Width == outer.Height {
		c := m.opening(k, asked == envelope.ShortSide)
		if c.Why = AsAsked; asked == "" {
			c.Why = AsUsual
		}
		return c
	}
	long := m.opening(k, false)
	if long.OK && long.Found && m.closes(long) {
		return long
	}
	short := m.opening(k, true)
	switch {
	case !short.OK || !short.Found:
		return long
	case !long.OK || !long.Found:
		short.Why, short.Usual, short.UsualShort = ForSheet, long.Fits, long.Short
		return short
	case m.closes(short):
		short.Why = ForChecks
		return short
	}
	return long
}

// opening makes a construction with its throat along the long side of the card, or along
// the short one.
func (m Maker) opening(k *blank.Construction, short bool) Candidate {
	s := m.BlankSpec()
	if k.Bought {
		s = m.withBought(s)
	}
	outer := m.Outer()
	c := Candidate{Kind: k, Opens: envelope.LongSide, Turned: (outer.Height > outer.Width) != short && outer.Width != outer.Height}
	if short {
		c.Opens = envelope.ShortSide
	}
	if c.Turned {
		s = s.Turned()
	}
	if c.Made, c.OK = k.Make(s); !c.OK {
		return c
	}
	if j := m.Job().Envelope; j.Mailable && !m.SizeOnly && (k.Bought || s.LeastWidth > 0) {
		c.Strip = c.Made.HoldingStrips(s)
	}
	m.onSheet(&c)
	return c
}

// closes reports whether the card goes in and the envelope closes: what decides between
// its two sides.
func (m Maker) closes(c Candidate) bool {
	return m.SizeOnly || c.Made.Ease() >= 0 && !slices.ContainsFunc(c.Made.Faults, func(f blank.Fault) bool { return slices.Contains(spoiling, f.ID) })
}

// mostBought is how many bought envelopes stand in the comparison, beside the one that
// the job takes.
const mostBought = 3

// taken is the bought envelope that the job takes: the one that it names, else the
// fittest.
func (m Maker) taken() envelope.Fit {
	fits, misses := m.Bought()
	return m.takenOf(fits, misses)
}

func (m Maker) takenOf(fits, misses []envelope.Fit) envelope.Fit {
	if f, ok := m.Job().Envelope.Bought(m.Shop()); ok {
		return m.Fit(m.opened(f))
	}
	for _, f := range slices.Concat(fits, misses) {
		return f
	}
	return envelope.Fit{}
}

// bought is a whole envelope with the card in it.
func (m Maker) bought(k *blank.Construction, fit envelope.Fit) Candidate {
	c := Candidate{Kind: k, Found: true, Fit: fit, Opens: fit.Format.Opens}
	if c.Opens == "" {
		c.Opens = envelope.LongSide
	}
	if fit.Format.ID == "" {
		return c
	}
	// The fit turns the card against the format's long side, the throat may lie on its
	// short one.
	c.Turned = fit.Turned != (c.Opens == envelope.ShortSide)
	s, b := m.BlankSpec(), soldAs(fit.Format)
	takes := m.GoesIn(m.Room()).Room()
	b.Takes = blank.Rectangle(takes)
	if c.Turned {
		s, b.Takes = s.Turned(), blank.Rectangle{Width: takes.Height, Height: takes.Width}
	}
	s.SoldCaliper, s.Bought = m.SoldCaliper(), []blank.Bought{b}
	if c.Made, c.OK = k.Make(s); c.OK && m.Job().Envelope.Mailable && !m.SizeOnly {
		c.Strip = c.Made.HoldingStrips(s)
	}
	return c
}

// Has reports whether something goes wrong with it.
func (c Candidate) Has(id blank.FaultID) bool {
	return slices.ContainsFunc(c.Made.Faults, func(f blank.Fault) bool { return f.ID == id })
}

// Candidates are every construction for the card and the fittest envelopes that are
// bought, side by side; the one that the job takes is always among them.
func (m Maker) Candidates() []Candidate {
	var makes []func() Candidate
	for _, k := range blank.Constructions() {
		if !k.Whole {
			makes = append(makes, func() Candidate { return m.Candidate(k) })
			continue
		}
		fits, misses := m.Bought()
		taken := m.takenOf(fits, misses)
		makes = append(makes, func() Candidate { return m.bought(k, taken) })
		for i, f := range fits {
			if i < mostBought && f.Format.ID != taken.Format.ID {
				makes = append(makes, func() Candidate { return m.bought(k, f) })
			}
		}
	}
	list := make([]Candidate, len(makes))
	var made sync.WaitGroup
	for i, make := range makes {
		made.Go(func() {
			list[i] = m.whole(make())
		})
	}
	made.Wait()
	return list
}

// whole adds to a candidate what follows from how it is made.
func (m Maker) whole(c Candidate) Candidate {
	if c.OK {
		if !c.Kind.Whole { // nobody cuts that
			c.Refused = c.Made.Accept()
		}
		c.Mail = m.Judge(m.Closed(c))
	}
	return c
}

// Chosen is the construction that the job chose; the diamond where that cannot
// be made. It is the one that Choose finds among the Candidates, without the others.
func (m Maker) Chosen() Candidate {
	make := func(k *blank.Construction) Candidate {
		if k.Whole {
			return m.whole(m.bought(k, m.taken()))
		}
		return m.whole(m.Candidate(k))
	}
	if c := make(blank.ByID(m.Job().Construction())); c.OK && c.Kind.ID == m.Job().Construction() {
		return c
	}
	return make(blank.Constructions()[0])
}

// Choose is Chosen of those that were made; of bought envelopes the first is the one
// that the job takes.
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
