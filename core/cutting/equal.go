package cutting

import (
	"slices"

	"yellowparcel/core/measure"
)

// Equal returns how a sheet is cut into the most pieces of one size: the true
// most that cuts from edge to edge give, as long as the sheet holds no more than
// some hundreds and it is found in so many steps. Of two ways with the same number
// the one with nothing turned is preferred.
func Equal(s Sheet, p Piece, steps int) Layout {
	pattern, _ := equal(s, p, 0, 1, false, steps)
	return pattern.layout(1)
}

// Most returns how many pieces of one size a sheet gives, as Equal cuts it,
// without cutting it, and the steps that this took.
func Most(s Sheet, p Piece, steps int) (n, used int) {
	n, _, used = s.most(p, steps)
	return n, used
}

// most is Most, and whether it is proven to be the true most: every way that can
// matter was looked at, unless the pieces are tiny, the trimmer cannot cut every
// way, or the steps ran out.
func (s Sheet) most(p Piece, steps int) (n int, exact bool, used int) {
	if p.Width <= 0 || p.Height <= 0 {
		return 0, false, 0
	}
	e := newEquals(s, p, 0, false, steps)
	n = e.best(s.Width, s.Height).count
	return n, e.used <= e.steps && !e.limited && s.area() <= mostExact*p.area(), e.used
}

// equal fills a sheet with pieces of one line of an order of so many lines; grids
// are cut in strips that run down, or across.
func equal(s Sheet, p Piece, line, lines int, down bool, steps int) (pattern, int) {
	pat := blankPattern(s, lines)
	if p.Width <= 0 || p.Height <= 0 {
		return pat, 0
	}
	e := newEquals(s, p, line, down, steps)
	e.build(&pat, 0)
	return pat, e.used
}

// mostExact is how many pieces a rectangle may hold for every way of cutting it
// to be looked at; beyond that a plain grid loses less than can be seen.
const mostExact = 400

// halved is the best way to cut a rectangle: as a grid, or in two.
type halved struct {
	count, turned int
	down          bool
	at            measure.Length // zero for a grid
	gridTurned    bool
}

func (h halved) over(g halved) bool {
	return h.count > g.count || h.count == g.count && h.turned < g.turned
}

type equals struct {
	s    Sheet
	p    Piece
	line int
	down bool
	// steps is how many cuts may be looked at, used how many were; when they have
	// run out, what is left is cut as a grid.
	steps, used int
	// most is how many pieces are cut at most; zero for all that the sheet gives.
	most int
	// limited is set when the trimmer cannot cut every way.
	limited bool
	// sums are the lengths that pieces side by side add up to, up to the sheet's
	// longer side; a rectangle is known by the sums that it holds, so that only
	// few have to be looked at.
	sums []measure.Length
	memo map[[2]measure.Length]halved
}

func newEquals(s Sheet, p Piece, line int, down bool, steps int) *equals {
	return &equals{s: s, p: p, line: line, down: down, steps: steps, limited: s.limit() < max(s.Width, s.Height), memo: map[[2]measure.Length]halved{}}
}

// affords reports whether there are steps left to look at more than grids: to list
// the sums alone costs a step each.
func (e *equals) affords() bool {
	longest := max(e.s.Width, e.s.Height)
	if e.sums == nil && !e.limited && int(longest/e.p.Width+1)*int(longest/e.p.Height+1) > e.steps {
		e.used = e.steps + 1 // what comes of it is not proven
	}
	return e.used <= e.steps && e.steps > 0
}

// holds is the largest sum of the piece's sides that goes into a length. It gives
// as many pieces as the length itself, as long as the trimmer cuts both.
func (e *equals) holds(l measure.Length) measure.Length {
	if e.limited {
		return l
	}
	if e.sums == nil {
		longest := max(e.s.Width, e.s.Height)
		e.sums = []measure.Length{0}
		for a := measure.Length(0); a <= longest; a += e.p.Width {
			for x := a; x <= longest; x += e.p.Height {
				e.sums = append(e.sums, x)
			}
		}
		slices.Sort(e.sums)
		e.sums = slices.Compact(e.sums)
		e.used += len(e.sums)
	}
	i, found := slices.BinarySearch(e.sums, l)
	if !found {
		i--
	}
	return e.sums[i]
}

// grid counts rows and columns of pieces that lie the same way.
func (e *equals) grid(w, h measure.Length, turned bool) halved {
	pw, ph := e.p.Width, e.p.Height
	if turned {
		pw, ph = ph, pw
	}
	if pw > w || ph > h || e.s.splits(w, h, pw, ph) == 0 {
		return halved{}
	}
	count := int(w/pw) * int(h/ph)
	g := halved{count: count, gridTurned: turned}
	if turned {
		g.turned = count
	}
	return g
}

func (e *equals) best(w, h measure.Length) halved {
	best := e.grid(w, h, false)
	if e.p.Turn {
		if t := e.grid(w, h, true); t.over(best) {
			best = t
		}
	}
	ceiling := int(float64(w) * float64(h) / e.p.area() * (1 + 1e-12))
	if best.count >= ceiling || ceiling > mostExact || !e.p.Turn || !e.affords() {
		return best
	}
	w, h = e.holds(w), e.holds(h)
	key := [2]measure.Length{w, h}
	if known, ok := e.memo[key]; ok {
		return known
	}
	for _, down := range [2]bool{true, false} {
		best = e.divide(w, h, down, ceiling, best)
	}
	e.memo[key] = best
	return best
}

// looking is what trying one cut of a rectangle costs in steps: both parts are
// looked up.
const looking = 8

// divide tries every cut in one direction at sums of the piece's sides; the
// smaller part may always be pushed to such a sum.
func (e *equals) divide(w, h measure.Length, down bool, ceiling int, best halved) halved {
	long, length := w, h
	if !down {
		long, length = h, w
	}
	if length > e.s.limit() {
		return best
	}
	for a := measure.Length(0); a <= long/2; a += e.p.Width {
		for x := a; x <= long/2; x += e.p.Height {
			if x == 0 {
				continue
			}
			if best.count >= ceiling || e.used > e.steps {
				return best
			}
			e.used += looking
			first, second := e.part(w, h, down, x)
			if try := (halved{count: first.count + second.count, turned: first.turned + second.turned, down: down, at: x}); try.over(best) {
				best = try
			}
		}
	}
	return best
}

func (e *equals) part(w, h measure.Length, down bool, x measure.Length) (first, second halved) {
	if down {
		return e.best(x, h), e.best(w-x, h)
	}
	return e.best(w, x), e.best(w, h-x)
}

// build carries the best way out on a leaf.
func (e *equals) build(p *pattern, at int32) {
	r := p.nodes[at].Rect
	b := e.best(r.Width, r.Height)
	if b.count == 0 || e.enough(p) {
		return
	}
	if b.at > 0 {
		first, second := p.cut(at, b.down, b.at)
		e.build(p, first)
		e.build(p, second)
		return
	}
	e.rows(p, at, b.gridTurned)
}

// enough reports whether as many pieces are cut as are wanted.
func (e *equals) enough(p *pattern) bool { return e.most > 0 && p.used[e.line] >= e.most }

// rows cuts a leaf into strips and each strip into pieces.
func (e *equals) rows(p *pattern, at int32, turned bool) {
	w, h := e.p.Width, e.p.Height
	if turned {
		w, h = h, w
	}
	prefer := acrossFirst
	if e.down {
		prefer = downFirst
	}
	for leaves := []int32{at}; len(leaves) > 0 && !e.enough(p); {
		next := leaves[len(leaves)-1]
		leaves = leaves[:len(leaves)-1]
		r := p.nodes[next].Rect
		if w > r.Width || h > r.Height {
			continue
		}
		ways := e.s.splits(r.Width, r.Height, w, h)
		if ways&prefer != 0 {
			ways = prefer
		}
		if ways != 0 {
			leaves = append(leaves, p.put(next, e.line, w, h, turned, ways&acrossFirst != 0)...)
		}
	}
}
