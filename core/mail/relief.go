package mail

import (
	"math"
	"math/bits"
	"slices"
)

// Part is one thing that a piece is made of, as it lies on the face: a rectangle
// or a disc. Lengths are millimetres from the top left of the card's face, x to
// the right, y down.
type Part struct {
	Name string
	// X0, Y0, X1 and Y1 are the box round it; a disc is as wide as high.
	X0, Y0, X1, Y1 float64
	Disc           bool
	// Caliper is its thickness with the foam that it stands on, Foam that of the
	// foam alone.
	Caliper, Foam float64
	// Draping parts follow what lies under them; stiff ones lie level on its highest
	// point.
	Draping bool
	// Loose parts are not glued to what they lie on.
	Loose bool
	// Modulus is that of its material along the length of the piece, in GPa.
	Modulus float64
	// Free parts may be left off.
	Free bool
	// Bends is set on sheets that have to bend with the piece, whose outer fibres
	// are strained; soft or small things are not.
	Bends bool
	// Grams is what it weighs.
	Grams float64
}

// MostParts is how many parts a relief takes.
const MostParts = 64

// Relief is a map of how thick a card is where: its parts laid on each other in
// their order, the first on the table.
//
// Level is a convention: a panel on one block near its end would tilt.
type Relief struct {
	Parts []Part
	// Tops are the heights of the parts' upper faces; for a draping part the
	// highest place of it.
	Tops []float64
	// Max is the greatest height, past the edge of the face too, At a place that has
	// it, and Chain the parts that stand on each other there.
	Max   float64
	At    Spot
	Chain []int
	// Min is the least height over the face.
	Min float64

	across, down []slab
	cells        []cell
	on           [][]int32 // the cells of each part
}

// Spot is a place on the face in millimetres.
type Spot struct {
	X float64 `json:"x"`
	Y float64 `json:"y"`
}

// cell is a part of the face on which the same parts lie everywhere.
type cell struct {
	parts  uint64 // a bit for each part
	at     Spot   // a place in it
	height float64
	chain  uint64
	// x0, y0, x1 and y1 are the box round it.
	x0, y0, x1, y1 float64
}

// slab is a strip of the face between two places at which the order of edges
// changes, with the runs of parts along its middle.
type slab struct {
	from, to float64
	runs     []run
}

// run is a stretch along the middle of a slab on which the same parts lie.
type run struct {
	from, to float64
	cell     int
}

// touch is how far parts may overlap, in millimetres, and still only touch.
const touch = 1e-6

// NewRelief lays parts on each other. The first one is the card's base, whose
// box is the face. There must be one part at least, and MostParts at most.
func NewRelief(parts []Part) Relief {
	r := Relief{Parts: parts}
	byParts := map[uint64]int{}
	r.across = r.slabs(byParts, false)
	r.down = r.slabs(byParts, true)
	for i := range r.cells {
		c := &r.cells[i]
		c.x0, c.y0, c.x1, c.y1 = math.Inf(1), math.Inf(1), math.Inf(-1), math.Inf(-1)
	}
	for _, s := range r.across {
		for _, n := range s.runs {
			c := &r.cells[n.cell]
			c.x0, c.x1 = math.Min(c.x0, s.from), math.Max(c.x1, s.to)
		}
	}
	for _, s := range r.down {
		for _, n := range s.runs {
			c := &r.cells[n.cell]
			c.y0, c.y1 = math.Min(c.y0, s.from), math.Max(c.y1, s.to)
		}
	}
	r.boxThin()
	r.on = make([][]int32, len(parts))
	for k, c := range r.cells {
		for b := c.parts; b != 0; b &= b - 1 {
			i := bits.TrailingZeros64(b)
			r.on[i] = append(r.on[i], int32(k))
		}
	}
	r.lay(allParts)
	return r
}

// boxThin gives a cell its box that is so thin that only the strips in one
// direction know of it: there its runs are as good.
func (r *Relief) boxThin() {
	fill := func(slabs []slab, side func(*cell) (low, high *float64)) {
		thin := map[int]bool{}
		for i := range r.cells {
			if low, high := side(&r.cells[i]); *low > *high {
				thin[i] = true
			}
		}
		for _, s := range slabs {
			for _, n := range s.runs {
				if thin[n.cell] {
					low, high := side(&r.cells[n.cell])
					*low, *high = math.Min(*low, n.from), math.Max(*high, n.to)
				}
			}
		}
	}
	fill(r.across, func(c *cell) (*float64, *float64) { return &c.y0, &c.y1 })
	fill(r.down, func(c *cell) (*float64, *float64) { return &c.x0, &c.x1 })
}

const allParts = ^uint64(0)

// lay works out the heights with some of the parts, kept, and leaves them in the
// cells.
func (r *Relief) lay(kept uint64) {
	if r.Tops == nil {
		r.Tops = make([]float64, len(r.Parts))
	}
	clear(r.Tops)
	for i := range r.cells {
		r.cells[i].height, r.cells[i].chain = 0, 0
	}
	for i, p := range r.Parts {
		bit := uint64(1) << i
		if kept&bit == 0 {
			continue
		}
		under, chain := -1.0, uint64(0)
		for _, k := range r.on[i] {
			c := &r.cells[k]
			if c.height > under {
				under, chain = c.height, c.chain
			}
			if p.Draping {
				c.height += p.Caliper
				c.chain |= bit
			}
		}
		if under < 0 {
			continue // under another part that only touches it: nothing of it is there
		}
		r.Tops[i] = under + p.Caliper
		if !p.Draping {
			for _, k := range r.on[i] {
				r.cells[k].height, r.cells[k].chain = r.Tops[i], chain|bit
			}
		}
	}
	r.Max, r.Min, r.Chain = 0, math.Inf(1), r.Chain[:0]
	top := uint64(0)
	for _, c := range r.cells {
		if c.height > r.Max {
			r.Max, r.At, top = c.height, c.at, c.chain
		}
		if c.parts&1 != 0 {
			r.Min = math.Min(r.Min, c.height)
		}
	}
	for ; top != 0; top &= top - 1 {
		r.Chain = append(r.Chain, bits.TrailingZeros64(top))
	}
}

// within reports whether a line at u meets a part.
func (p *Part) within(u float64, turned bool) bool {
	if turned {
		return u > p.Y0 && u < p.Y1
	}
	return u > p.X0 && u < p.X1
}

// span is the stretch of a part along a line at u, in the direction of v.
func (p *Part) span(u float64, turned bool) (low, high float64, ok bool) {
	u0, u1, v0, v1 := p.X0, p.X1, p.Y0, p.Y1
	if turned {
		u0, u1, v0, v1 = v0, v1, u0, u1
	}
	if u <= u0 || u >= u1 {
		return 0, 0, false
	}
	if !p.Disc {
		return v0, v1, true
	}
	r, c := (u1-u0)/2, (v0+v1)/2
	d := u - (u0+u1)/2
	half := math.Sqrt(math.Max(0, r*r-d*d))
	return c - half, c + half, true
}

// slabs divides the face into strips at every place where edges begin, end or
// cross, so that along a strip the order of the edges never changes.
func (r *Relief) slabs(byParts map[uint64]int, turned bool) []slab {
	var at []float64
	for i, p := range r.Parts {
		u0, u1 := p.X0, p.X1
		if turned {
			u0, u1 = p.Y0, p.Y1
		}
		at = append(at, u0, u1)
		if p.Disc {
			at = append(at, (u0+u1)/2)
		}
		for k := range i {
			if q := &r.Parts[k]; (p.Disc || q.Disc) && p.X1 > q.X0 && q.X1 > p.X0 && p.Y1 > q.Y0 && q.Y1 > p.Y0 {
				at = append(at, crossings(p, *q, turned)...)
			}
		}
	}
	slices.Sort(at)
	var list []slab
	type edge struct {
		v   float64
		bit uint64
	}
	var edges []edge
	for i := 1; i < len(at); i++ {
		if at[i]-at[i-1] < touch {
			continue
		}
		s := slab{from: at[i-1], to: at[i]}
		middle := (s.from + s.to) / 2
		edges = edges[:0]
		for k := range r.Parts {
			if low, high, ok := r.Parts[k].span(middle, turned); ok {
				edges = append(edges, edge{low, 1 << k}, edge{high, 1 << k})
			}
		}
		slices.SortFunc(edges, func(a, b edge) int {
			switch {
			case a.v < b.v:
				return -1
			case a.v > b.v:
				return 1
			}
			return 0
		})
		parts := uint64(0)
		for k, e := range edges {
			if wide := k > 0 && e.v-edges[k-1].v > touch; wide && parts != 0 {
				id, known := byParts[parts]
				if !known {
					id = len(r.cells)
					byParts[parts] = id
					spot := Spot{middle, (e.v + edges[k-1].v) / 2}
					if turned {
						spot = Spot{spot.Y, spot.X}
					}
					r.cells = append(r.cells, cell{parts: parts, at: spot})
				}
				s.runs = append(s.runs, run{edges[k-1].v, e.v, id})
			}
			parts ^= e.bit
		}
		list = append(list, s)
	}
	return list
}

// crossings are the places along u at which the edges of two parts cross, one of
// them a disc; two rectangles cross only where one of them begins or ends.
func crossings(p, q Part, turned bool) (at []float64) {
	if turned {
		p, q = p.turned(), q.turned()
	}
	if !p.Disc {
		p, q = q, p
	}
	cx, cy, r := (p.X0+p.X1)/2, (p.Y0+p.Y1)/2, (p.X1-p.X0)/2
	if !q.Disc {
		for _, y := range []float64{q.Y0, q.Y1} {
			if d := r*r - (y-cy)*(y-cy); d > 0 {
				at = append(at, cx-math.Sqrt(d), cx+math.Sqrt(d))
			}
		}
		return at
	}
	dx, dy, s := (q.X0+q.X1)/2-cx, (q.Y0+q.Y1)/2-cy, (q.X1-q.X0)/2
	d2 := dx*dx + dy*dy
	if d2 == 0 {
		return nil
	}
	along := (d2 + r*r - s*s) / (2 * d2)
	if h := r*r/d2 - along*along; h > 0 {
		at = append(at, cx+along*dx-math.Sqrt(h)*dy, cx+along*dx+math.Sqrt(h)*dy)
	}
	return at
}

func (p Part) turned() Part {
	p.X0, p.Y0, p.X1, p.Y1 = p.Y0, p.X0, p.Y1, p.X1
	return p
}

// Height is how high the card is at a place; zero where nothing lies.
func (r Relief) Height(x, y float64) float64 {
	for _, s := range r.across {
		if x <= s.from || x >= s.to {
			continue
		}
		// The strips' runs were taken along their middle; discs bend within them, so
		// the parts are asked anew.
		parts := uint64(0)
		for k, p := range r.Parts {
			if low, high, ok := p.span(x, false); ok && low < y && y < high {
				parts |= 1 << k
			}
		}
		for _, c := range r.cells {
			if c.parts == parts {
				return c.height
			}
		}
	}
	return 0
}

// Outer is the box round everything, the face included.
func (r Relief) Outer() (x0, y0, x1, y1 float64) {
	x0, y0, x1, y1 = r.Parts[0].X0, r.Parts[0].Y0, r.Parts[0].X1, r.Parts[0].Y1
	for _, p := range r.Parts[1:] {
		x0, y0, x1, y1 = math.Min(x0, p.X0), math.Min(y0, p.Y0), math.Max(x1, p.X1), math.Max(y1, p.Y1)
	}
	return x0, y0, x1, y1
}
