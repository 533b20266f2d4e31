package mat

import (
	"cmp"
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

// Load is one mat full, so many times: the sheets that lie on it, edge on edge, and what is cut of them.
type Load struct {
	Times  int
	Papers []Paper
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
		n += load.Times * len(load.Papers)
	}
	return n
}

// Times are how many mats full it takes.
func (l Laid) Times() (n int) {
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

// Best is how an outline lies best on a mat that is all paper, in the corner where the cutter begins.
func (m Mat) Best(p blank.Polygon, turns Turns) Placed {
	w, h := m.Usable()
	angle, _ := Angle(p, turns, w, h)
	return Placed{0, blank.Point{X: m.Margin.Millimetres(), Y: m.Margin.Millimetres()}, angle}
}

// Box is the room that an outline takes as it lies best on a mat.
func (m Mat) Box(p blank.Polygon, turns Turns) (width, height measure.Length) {
	bw, bh := turned(p, m.Best(p, turns).Angle)
	return measure.OfMillimetres(bw), measure.OfMillimetres(bh)
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
// side by side in their boxes, with a gap between them. Where several sheets lie on the mat, each is cut
// as the others are, and as many as may be lie on it at a time.
func Lay(e *cutting.Effort, m Mat, width, height measure.Length, pieces []Piece) Laid {
	best := m.layOn(e, []Paper{m.Lies(width, height)}, pieces)
	if papers := m.sideBySide(width, height); len(papers) > 1 {
		if several := m.layOn(e, papers, pieces); several.over(best) {
			best = several
		}
	}
	return best
}

// Fewer reports whether less does not go on than of another way to lay the same.
func (l Laid) Fewer(k Laid) bool {
	return cmp.Or(cmp.Compare(len(l.Misfits), len(k.Misfits)), cmp.Compare(l.Short(), k.Short())) < 0
}

// over compares ways to lay the same on the same mat: all pieces first, then the fewest loads, kinds of load
// and sheets.
func (l Laid) over(k Laid) bool {
	if l.Fewer(k) || k.Fewer(l) {
		return l.Fewer(k)
	}
	return cmp.Or(cmp.Compare(l.Times(), k.Times()), cmp.Compare(len(l.Loads), len(k.Loads)), cmp.Compare(l.Sheets(), k.Sheets())) < 0
}

// layOn lays pieces on sheets that lie on a mat, each within what the smallest of them gives.
func (m Mat) layOn(e *cutting.Effort, papers []Paper, pieces []Piece) Laid {
	laid := Laid{Mat: m, Paper: papers[0]}
	at := make([][2]measure.Length, len(papers))
	w, h := m.Width, m.Height
	for i, p := range papers {
		x, y, pw, ph := m.area(p)
		// Half a gap stays to each sheet that lies beside it.
		for _, q := range papers {
			switch {
			case q.Y == p.Y && q.X+q.Width == p.X:
				x, pw = x+Gap/2, pw-Gap/2
			case q.Y == p.Y && p.X+p.Width == q.X:
				pw -= Gap / 2
			case q.X == p.X && q.Y+q.Height == p.Y:
				y, ph = y+Gap/2, ph-Gap/2
			case q.X == p.X && p.Y+p.Height == q.Y:
				ph -= Gap / 2
			}
		}
		at[i] = [2]measure.Length{x, y}
		w, h = min(w, pw), min(h, ph)
	}
	w, h = max(0, w), max(0, h)
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
	layouts := e.Search(order, steps, nil).Layouts
	times := make([]int, len(layouts))
	for i, layout := range layouts {
		times[i] = layout.Times
	}
	for _, g := range together(times, len(papers)) {
		load := Load{Times: g.times, Papers: papers[:len(g.of)]}
		for k, of := range g.of {
			for _, q := range layouts[of].Pieces {
				line := lines[q.Piece]
				angle := angles[line]
				if q.Turned {
					angle += 90
				}
				load.Placed = append(load.Placed, Placed{line, blank.Point{X: (at[k][0] + q.X).Millimetres(), Y: (at[k][1] + q.Y).Millimetres()}, angle})
			}
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
