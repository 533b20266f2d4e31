package mat

import (
	"math"

	"yellowparcel/core/blank"
	"yellowparcel/core/cutting"
	"yellowparcel/core/measure"
)

// Gap is what is left between two pieces, so that the paper between them holds.
const Gap = 2 * measure.Millimetre

// Piece is what is cut: its outline lying as it is drawn, from the origin.
type Piece struct {
	Outline blank.Polygon
	Count   int
	Turns   Turns
}

// Placed is a piece on a mat: turned by an angle, the corner of the box round it at a point of the mat in
// millimetres.
type Placed struct {
	Piece int
	At    blank.Point
	Angle float64
}

// Load is one mat full, so many times.
type Load struct {
	Times  int
	Placed []Placed
}

// Misfit is a piece that does not go on the mat or its paper, whatever way it is turned: Needs is the side of
// the box round it that is too long, Has what there is for it.
type Misfit struct {
	Piece      int
	Needs, Has measure.Length
}

// Laid is everything laid on mats.
type Laid struct {
	Mat     Mat
	Paper   Paper
	Loads   []Load
	Misfits []Misfit
}

// Sheets are how many of them it takes.
func (l Laid) Sheets() (n int) {
	for _, load := range l.Loads {
		n += load.Times
	}
	return n
}

// Short is how much is missing for what does not go on it, all together.
func (l Laid) Short() (sum measure.Length) {
	for _, m := range l.Misfits {
		sum += m.Needs - m.Has
	}
	return sum
}

// Goes reports whether an outline goes on a mat that is all paper; where it does not, what is too long.
func (m Mat) Goes(p blank.Polygon, turns Turns) (Misfit, bool) {
	w, h := m.Usable()
	angle, over := Angle(p, turns, w, h)
	bw, bh := turned(p, angle)
	return misfit(0, bw, bh, w, h), over == 0
}

// steps is what laying one order of pieces may use of the effort.
const steps = 20_000

// Lay lays pieces on a mat that carries sheets of a size, in as few loads as the search for cuts finds:
// side by side in their boxes, with a gap between them.
func Lay(e *cutting.Effort, m Mat, width, height measure.Length, pieces []Piece) Laid {
	laid := Laid{Mat: m, Paper: m.Lies(width, height)}
	x, y, w, h := m.area(laid.Paper)
	order := cutting.Order{Sheet: cutting.Sheet{Width: w + Gap, Height: h + Gap}}
	var lines []int
	angles := make([]float64, len(pieces))
	for i, p := range pieces {
		angle, over := Angle(p.Outline, p.Turns, w, h)
		bw, bh := turned(p.Outline, angle)
		if angles[i] = angle; over > 0 {
			laid.Misfits = append(laid.Misfits, misfit(i, bw, bh, w, h))
			continue
		}
		lines = append(lines, i)
		order.Pieces = append(order.Pieces, cutting.Piece{Width: up(bw, w) + Gap, Height: up(bh, h) + Gap, Count: p.Count, Turn: p.Turns == Any})
	}
	if len(lines) == 0 {
		return laid
	}
	plan := e.Search(order, steps, nil)
	for _, layout := range plan.Layouts {
		load := Load{Times: layout.Times}
		for _, q := range layout.Pieces {
			at := lines[q.Piece]
			angle := angles[at]
			if q.Turned {
				angle += 90
			}
			load.Placed = append(load.Placed, Placed{at, blank.Point{X: (x + q.X).Millimetres(), Y: (y + q.Y).Millimetres()}, angle})
		}
		laid.Loads = append(laid.Loads, load)
	}
	return laid
}

// up is a length in nanometres that holds so many millimetres, and no more than there is room for.
func up(mm float64, room measure.Length) measure.Length {
	return min(measure.Length(math.Ceil(mm*float64(measure.Millimetre)-1e-3)), max(room, 1))
}

// misfit tells which side is too long, the worse of the two.
func misfit(piece int, bw, bh float64, w, h measure.Length) Misfit {
	wide, high := measure.Round(bw*float64(measure.Millimetre)), measure.Round(bh*float64(measure.Millimetre))
	if wide-w >= high-h {
		return Misfit{piece, wide, w}
	}
	return Misfit{piece, high, h}
}
