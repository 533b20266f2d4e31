package offer

import (
	"cmp"
	"fmt"
	"slices"

	"yellowparcel/core/card"
	"yellowparcel/core/compare"
	"yellowparcel/core/envelope"
	"yellowparcel/core/job"
	"yellowparcel/core/mail"
	"yellowparcel/core/measure"
	"yellowparcel/core/paper"
)

// FoldsFor are the folds that a table compares: the usual ones, and the job's own.
func (m Offers) FoldsFor() (list []card.Fold) {
	for _, f := range card.Folds() {
		if f.Kind().Usual {
			list = append(list, f)
		}
	}
	if !slices.Contains(list, m.Job().Card.Fold) {
		list = append(list, m.Job().Card.Fold)
	}
	return list
}

// FoldThatGoes is the first usual fold in which a sheet of the shelf gives the base, where none gives it in the one that
// a job begins with and the maker has no usual one; else the job's own. What is said of the fold comes later.
func (m Offers) FoldThatGoes() card.Fold {
	j := m.Job()
	if m.Shop().Usual.Fold != "" || j.Card.Made {
		return j.Card.Fold
	}
	stock, _ := m.Shop().Stock(j.Parts[0].Stock)
	goes := func(fold card.Fold) bool {
		return slices.ContainsFunc(m.Shop().OnShelf(), func(sheet paper.Sheet) bool {
			on, piece := m.BaseOn(j, stock, sheet, fold)
			return m.Effort.Yield(on, piece) > 0
		})
	}
	if goes(j.Card.Fold) {
		return j.Card.Fold
	}
	for _, fold := range card.Folds() {
		if fold.Kind().Usual && goes(fold) {
			return fold
		}
	}
	return j.Card.Fold
}

// SheetCard is one card size in one fold from a sheet.
type SheetCard struct {
	Size card.Size
	Fold card.Fold
	// Flat is its base, Each how many a sheet gives, Waste the share of the sheet that
	// is left.
	Flat  card.Size
	Each  int
	Waste float64
	// Format is the envelope that it goes into; none for the largest that a sheet gives.
	Format envelope.Format
	// Mail is the forecast for the card alone in it, where any is cut.
	Mail compare.Forecast
	// Twin is the same base turned a quarter: a side fold for a top fold. None where there
	// is no such card.
	Twin *SheetCard
}

// twins reports whether two cards have the same base, turned a quarter.
func (c SheetCard) twins(d SheetCard) bool {
	return c.Size.Width == d.Size.Height && c.Size.Height == d.Size.Width && c.Flat.Width == d.Flat.Height && c.Flat.Height == d.Flat.Width && c.Each == d.Each && c.Format.ID == d.Format.ID
}

// ID names the card among those that a sheet gives.
func (c SheetCard) ID() string {
	return fmt.Sprintf("%d:%d:%s", c.Size.Width, c.Size.Height, c.Fold)
}

// Take is the job with that card.
func (c SheetCard) Take(j job.Job) job.Job { return ofSheet(j, c.Size, c.Fold) }

// Is reports whether the job's card is this one.
func (c SheetCard) Is(j job.Job) bool { return c.Size == j.Face() && c.Fold == j.Card.Fold }

func ofSheet(j job.Job, size card.Size, fold card.Fold) job.Job {
	j.Card.Width, j.Card.Height, j.Card.Fold = size.Width, size.Height, fold
	return j
}

// SheetCards ranks what can be made of a sheet: every card of the trade in every fold, one
// for a base and for the same one turned. Usual folds stand first and what no post takes
// last; then most a sheet first, and the largest cards that the sheet gives. What a thing would lie
// off the face of is left out.
func (m Offers) SheetCards(sheet paper.Sheet) (list, largest []SheetCard) {
	largest = m.largest(sheet)
	type made struct {
		size string
		fold card.Fold
	}
	seen := map[made]bool{}
	for _, f := range m.Shop().Formats() {
		for _, size := range m.cardsOf(f) {
			if m.Job().Holds(size) != nil {
				continue
			}
			// Sizes that are shown alike are one.
			shown := m.Style().Show(size.Width) + " " + m.Style().Show(size.Height)
			for _, fold := range card.Folds() {
				c := m.sheetCard(sheet, f, size, fold)
				if c.Each == 0 || seen[made{shown, fold}] {
					continue
				}
				seen[made{shown, fold}] = true
				if i := slices.IndexFunc(list, func(d SheetCard) bool { return d.Twin == nil && d.twins(c) }); i >= 0 {
					list[i].Twin = &c
					continue
				}
				list = append(list, c)
			}
		}
	}
	slices.SortStableFunc(list, func(a, b SheetCard) int {
		owned := map[bool]int{true: 0, false: 1}
		last := func(c SheetCard) int { return owned[!c.Mail.Refused()] } // what no post takes
		return cmp.Or(cmp.Compare(last(a), last(b)), cmp.Compare(owned[a.Fold.Kind().Usual], owned[b.Fold.Kind().Usual]), cmp.Compare(b.Each, a.Each), cmp.Compare(a.Waste, b.Waste), cmp.Compare(owned[a.Format.Owned], owned[b.Format.Owned]))
	})
	return list, largest
}

// cardsOf are the cards that an envelope is sold for, else those of the unit's usual school,
// both ways round.
func (m Offers) cardsOf(f envelope.Format) (list []card.Size) {
	cards := f.Cards
	if len(cards) == 0 {
		if c, ok := envelope.CardFor(envelope.Usual(m.Style().Unit), f, 0, 0, m.Style().Tick); ok {
			cards = []envelope.Size{c}
		}
	}
	for _, c := range cards {
		list = append(list, card.Size{Width: c.Width, Height: c.Height})
		if c.Width != c.Height {
			list = append(list, card.Size{Width: c.Height, Height: c.Width})
		}
	}
	return list
}

func (m Offers) sheetCard(sheet paper.Sheet, f envelope.Format, size card.Size, fold card.Fold) SheetCard {
	made := ofSheet(m.Job(), size, fold)
	stock, _ := m.Shop().Stock(m.Job().Parts[0].Stock)
	on, piece := m.BaseOn(made, stock, sheet, fold)
	base := card.NewBase(made.Spec(fold, m.Shop()))
	c := SheetCard{Size: size, Fold: fold, Flat: card.Size{Width: base.Width, Height: base.Height}, Each: m.Effort.Yield(on, piece), Format: f}
	c.Waste = 1 - float64(c.Each)*piece.Width.Inches()*piece.Height.Inches()/(sheet.Width.Inches()*sheet.Height.Inches())
	if c.Each > 0 {
		c.Mail = m.postIn(made, f)
	}
	return c
}

// What an envelope is of its front: front, back and flaps; and how many layers of it lie
// on each other.
const (
	envelopePaper  = 2.3
	envelopeLayers = 3
)

// postIn is the forecast for the card alone in a bought envelope.
func (m Offers) postIn(j job.Job, f envelope.Format) compare.Forecast {
	book, ok := m.Book()
	if !ok {
		return compare.Forecast{Ending: compare.ByHand}
	}
	stock, _ := m.Shop().Stock(compare.SoldPaper)
	grams := envelopePaper * stock.Weight(f.Width, f.Height)
	base, _ := m.Shop().Stock(j.Parts[0].Stock)
	layers := j.Spec(j.Card.Fold, m.Shop()).Layers()
	grams += base.Weight(j.Card.Width, j.Card.Height) * float64(layers)
	return compare.ForecastOf(book.Judge(mail.Piece{
		Width: f.Width, Height: f.Height, Thickness: base.Caliper*measure.Length(layers) + envelopeLayers*stock.Caliper,
		Weight: grams * (1 + compare.GlueShare), SizeError: m.Style().Tick,
	}))
}

// LargestOf is the largest card of the job's shape whose base in a fold goes on a sheet.
func (m Offers) LargestOf(sheet card.Size, fold card.Fold) card.Size {
	b := m.Base(fold)
	long, short := max(b.Width, b.Height), min(b.Width, b.Height)
	factor := min(max(sheet.Width, sheet.Height).Inches()/long.Inches(), min(sheet.Width, sheet.Height).Inches()/short.Inches())
	side := func(l measure.Length) measure.Length {
		return measure.Round(float64(l) * factor).Down(m.Style().Tick)
	}
	return card.Size{Width: side(m.Job().Card.Width), Height: side(m.Job().Card.Height)}
}

// The shapes of a card that one calls large: square, or from so long to so long.
const leastShape, mostShape = 1.25, 1.6

// Largest is the card with one fold of the greatest area that a sheet gives in one piece, square or of a usual
// shape, down to a tick; false where a sheet gives none that can be folded.
func (m Offers) Largest(sheet paper.Sheet) (card.Size, bool) {
	var best card.Size
	area := func(s card.Size) float64 { return s.Width.Inches() * s.Height.Inches() }
	down := func(l measure.Length) measure.Length { return l.Down(m.Style().Tick) }
	times := func(l measure.Length, by float64) measure.Length { return measure.Round(float64(l) * by) }
	try := func(w, h measure.Length) {
		s := card.Size{Width: down(w), Height: down(h)}
		if min(s.Width, s.Height) >= job.LeastCard && m.Job().Holds(s) == nil && area(s) > area(best) {
			best = s
		}
	}
	for _, turn := range []bool{false, true} {
		w, half := sheet.Width, sheet.Height/2 // the fold runs across
		if turn {
			w, half = sheet.Height, sheet.Width/2
		}
		long, short := max(w, half), min(w, half)
		try(short, short)
		if long > times(short, mostShape) {
			long = times(short, mostShape)
		}
		if long >= times(short, leastShape) {
			try(long, short)
		} else if s := times(long, 1/leastShape); s < short {
			try(long, s)
		}
	}
	return best, best.Width > 0
}

// usualShape reports whether a card is square, or of a shape that is usual.
func usualShape(s card.Size) bool {
	shape := float64(max(s.Width, s.Height)) / float64(min(s.Width, s.Height))
	return shape == 1 || shape >= leastShape && shape <= mostShape
}

// largest are the largest cards with one fold that the sheet gives one, two and
// four at a time: those of a usual shape first.
func (m Offers) largest(sheet paper.Sheet) (list []SheetCard) {
	down := func(l measure.Length) measure.Length { return l.Down(m.Style().Tick) }
	for _, n := range []struct{ across, down measure.Length }{{1, 1}, {1, 2}, {2, 1}, {2, 2}} {
		w, h := down(sheet.Width/n.across), down(sheet.Height/n.down)
		for _, c := range []SheetCard{{Size: card.Size{Width: down(w / 2), Height: h}, Fold: card.SideFold}, {Size: card.Size{Width: w, Height: down(h / 2)}, Fold: card.TopFold}} {
			if m.Job().Holds(c.Size) != nil {
				continue // something would lie off its face
			}
			c.Flat, c.Each = card.Size{Width: w, Height: h}, int(n.across*n.down)
			list = append(list, c)
		}
	}
	slices.SortStableFunc(list, func(a, b SheetCard) int {
		last := map[bool]int{true: 0, false: 1}
		return cmp.Compare(last[usualShape(a.Size)], last[usualShape(b.Size)])
	})
	return list
}
