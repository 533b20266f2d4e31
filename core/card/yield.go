package card

import "yellowparcel/core/measure"

// Piece is one rectangle placed on a sheet, from the sheet's top left corner.
type Piece struct {
	X      measure.Length `json:"x"`
	Y      measure.Length `json:"y"`
	Width  measure.Length `json:"width"`
	Height measure.Length `json:"height"`
}

// Yield is what one sheet gives of one rectangle by guillotine cuts.
type Yield struct {
	Pieces []Piece `json:"pieces"`
	// Turned counts the pieces that lie a quarter turn round.
	Turned int `json:"turned"`
}

// Count is the number of pieces.
func (y Yield) Count() int { return len(y.Pieces) }

// Sheets returns how many sheets n pieces take; zero when the sheet gives none.
func (y Yield) Sheets(n int) int {
	if y.Count() == 0 {
		return 0
	}
	return (n + y.Count() - 1) / y.Count()
}

// splits says how often a sheet is divided into blocks before each block is cut
// as a plain grid. Two levels serve every base that a maker cuts by hand; a
// sheet of many small pieces gains nothing worth the search.
func splits(w, h, sw, sh measure.Length) int {
	switch fill := sw.Inches() * sh.Inches() / (w.Inches() * h.Inches()); {
	case fill < 16:
		return 2
	case fill < 64:
		return 1
	}
	return 0
}

// PerSheet returns the most pieces w x h that guillotine cuts take from a sheet
// of sw x sh, each in either orientation, preferring plans with nothing turned.
// Cutting takes no kerf. Sizes that are not positive give nothing.
func PerSheet(w, h, sw, sh measure.Length) Yield {
	if w <= 0 || h <= 0 {
		return Yield{}
	}
	return divide(w, h, sw, sh, splits(w, h, sw, sh))
}

func divide(w, h, sw, sh measure.Length, depth int) Yield {
	best := grid(w, h, sw, sh, false)
	if turned := grid(h, w, sw, sh, true); turned.Count() > best.Count() {
		best = turned
	}
	if depth == 0 || best.Count() == 0 {
		return best
	}
	try := func(first, second Yield, dx, dy measure.Length) {
		if first.Count()+second.Count() <= best.Count() {
			return
		}
		joined := Yield{Pieces: append([]Piece(nil), first.Pieces...), Turned: first.Turned + second.Turned}
		for _, p := range second.Pieces {
			p.X, p.Y = p.X+dx, p.Y+dy
			joined.Pieces = append(joined.Pieces, p)
		}
		best = joined
	}
	for _, step := range []measure.Length{w, h} {
		for x := step; x < sw; x += step {
			try(divide(w, h, x, sh, depth-1), divide(w, h, sw-x, sh, depth-1), x, 0)
		}
		for y := step; y < sh; y += step {
			try(divide(w, h, sw, y, depth-1), divide(w, h, sw, sh-y, depth-1), 0, y)
		}
	}
	return best
}

// maxGrid keeps a drawing of confetti from growing without bound; nobody counts
// more than this many bases from a sheet.
const maxGrid = 400

func grid(w, h, sw, sh measure.Length, turned bool) Yield {
	cols, rows := int(sw/w), int(sh/h)
	if cols*rows > maxGrid {
		rows = max(1, maxGrid/cols)
		cols = min(cols, maxGrid)
	}
	var y Yield
	for r := range rows {
		for c := range cols {
			y.Pieces = append(y.Pieces, Piece{measure.Length(c) * w, measure.Length(r) * h, w, h})
		}
	}
	if turned {
		y.Turned = len(y.Pieces)
	}
	return y
}
