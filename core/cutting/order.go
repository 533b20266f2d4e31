// Package cutting plans how sheets are cut into pieces on a trimmer that cuts
// from edge to edge.
//
// Lengths are measure.Length; cutting takes no kerf. A plan uses the fewest
// sheets that the search finds, then the fewest settings of the trimmer's
// guide, then leaves the largest offcut. The search is counted in steps, not in
// seconds, and draws its chances from a fixed seed, so that the same order and
// the same number of steps always give the same plan. Check proves a plan
// without knowing how it was made. It carries out "Cutting sheets" of
// docs/sums.md.
//
//	order := cutting.Order{Sheet: letter, Pieces: []cutting.Piece{{Name: "base", Width: w, Height: h, Count: 12, Turn: true}}}
//	plan := cutting.Search(ctx, order, 100_000, nil)
package cutting

import (
	"math"
	"slices"

	"yellowparcel/core/measure"
)

// Sheet is what is cut, with the longest cut that the trimmer makes.
type Sheet struct {
	Width, Height measure.Length
	// Cut is the trimmer's cut length; zero for no limit.
	Cut measure.Length
}

// Piece is one line of an order: so many rectangles of one size.
type Piece struct {
	Name          string
	Width, Height measure.Length
	Count         int
	// Turn says that the piece may lie a quarter turn round.
	Turn bool
}

// Order is what is to be cut from sheets of one size.
type Order struct {
	Sheet  Sheet
	Pieces []Piece
}

// MostPieces is how many pieces an order may have in all.
const MostPieces = 100_000

// Reason says why a piece cannot be cut from a sheet.
type Reason int

// The reasons.
const (
	Possible      Reason = iota
	TooLarge             // larger than the sheet either way round
	OnlyTurned           // it would go a quarter turn round, which it may not
	BeyondTrimmer        // one of the cuts it needs is longer than the trimmer cuts
)

// Reasons lists why a piece cannot be cut.
func Reasons() []Reason { return []Reason{TooLarge, OnlyTurned, BeyondTrimmer} }

// Possible says whether one piece can be cut from the sheet, and if not why.
func (s Sheet) Possible(p Piece) Reason {
	if s.takes(p.Width, p.Height) || p.Turn && s.takes(p.Height, p.Width) {
		return Possible
	}
	as, turned := s.holds(p.Width, p.Height), s.holds(p.Height, p.Width)
	switch {
	case as || p.Turn && turned:
		return BeyondTrimmer
	case turned:
		return OnlyTurned
	}
	return TooLarge
}

func (s Sheet) holds(w, h measure.Length) bool { return w <= s.Width && h <= s.Height }

// grid is how many pieces lie side by side on the sheet, all the same way.
func (s Sheet) grid(w, h measure.Length) int { return int(s.Width/w) * int(s.Height/h) }

func (s Sheet) takes(w, h measure.Length) bool {
	return s.holds(w, h) && s.splits(s.Width, s.Height, w, h) != 0
}

// The ways to cut a piece out of the corner of a rectangle.
const (
	downFirst = 1 << iota
	acrossFirst
)

// splits tells in which order of cuts a piece w x h can be cut from the corner
// of a rectangle rw x rh that holds it, within the trimmer's length.
func (s Sheet) splits(rw, rh, w, h measure.Length) (ways int) {
	cut := s.limit()
	switch {
	case w == rw && h == rh:
		return downFirst
	case w == rw:
		if rw <= cut {
			return acrossFirst
		}
	case h == rh:
		if rh <= cut {
			return downFirst
		}
	default:
		if rh <= cut && w <= cut {
			ways |= downFirst
		}
		if rw <= cut && h <= cut {
			ways |= acrossFirst
		}
	}
	return ways
}

func (s Sheet) limit() measure.Length {
	if s.Cut <= 0 {
		return math.MaxInt64
	}
	return s.Cut
}

func (s Sheet) area() float64 { return float64(s.Width) * float64(s.Height) }

func (p Piece) area() float64 { return float64(p.Width) * float64(p.Height) }

// Bound returns a number of sheets that no plan can stay under: by area, by the pieces of
// which no two go on one sheet, and by how many pieces a sheet holds at most.
func (o Order) Bound() int {
	n, _ := o.leastSheets()
	return n
}

// leastSheets is the bound, and whether the number of pieces sets it rather than
// their area.
func (o Order) leastSheets() (n int, byCount bool) {
	area, alone := 0.0, 0
	for _, p := range o.Pieces {
		area += p.area() * float64(p.Count)
		if o.alone(p) {
			alone += p.Count
		}
	}
	const rounding = 1e-9 // areas are floats; a sheet filled to the brim is one sheet
	by := int(math.Ceil(area/o.Sheet.area() - rounding))
	n = max(alone, by, o.mostHeld())
	return n, n > by
}

// heldSteps is what finding how many pieces of one size a sheet holds may use: large pieces ask for
// little, and small ones are told well by their area.
const heldSteps = 600

// mostHeld is the bound that the number of pieces sets: of all that are as large as a piece, both ways,
// a sheet holds no more than it holds of that one.
func (o Order) mostHeld() (n int) {
	bare := o.Sheet
	bare.Cut = 0 // whatever a trimmer cuts, a knife does
	for i, p := range o.Pieces {
		long, short := max(p.Width, p.Height), min(p.Width, p.Height)
		if p.Count == 0 || short <= 0 || slices.IndexFunc(o.Pieces, func(q Piece) bool {
			return q.Count > 0 && q.Width == p.Width && q.Height == p.Height && q.Turn == p.Turn
		}) < i {
			continue
		}
		asLarge, turns := 0, false
		for _, q := range o.Pieces {
			upright := q.Width >= p.Width && q.Height >= p.Height
			switch {
			case !p.Turn && !q.Turn && upright:
				asLarge += q.Count
			case max(q.Width, q.Height) >= long && min(q.Width, q.Height) >= short:
				asLarge, turns = asLarge+q.Count, true
			}
		}
		p.Turn = p.Turn || turns
		held, exact, _ := bare.most(p, heldSteps)
		if !exact {
			held = int(bare.area()/p.area() + 1e-9)
		}
		if held > 0 {
			n = max(n, (asLarge+held-1)/held)
		}
	}
	return n
}

// alone reports whether a piece is over half the sheet both ways, however it
// lies, so that no two such pieces share a sheet.
func (o Order) alone(p Piece) bool {
	over := func(w, h measure.Length) bool { return 2*w > o.Sheet.Width && 2*h > o.Sheet.Height }
	switch {
	case !p.Turn:
		return over(p.Width, p.Height)
	case !o.Sheet.holds(p.Height, p.Width):
		return over(p.Width, p.Height)
	case !o.Sheet.holds(p.Width, p.Height):
		return over(p.Height, p.Width)
	}
	return over(p.Width, p.Height) && over(p.Height, p.Width)
}
