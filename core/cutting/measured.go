package cutting

import (
	"cmp"
	"slices"

	"yellowparcel/core/measure"
)

// Rest is what is left of a strip when others have been cut off it, where a piece is made
// of it: nothing measured it.
type Rest string

// The rests; the empty one is measured when its turn comes, or falls off.
const (
	NoRest    Rest = ""
	EqualRest Rest = "equal" // an equal part of the sheet's own edge
	LeftRest  Rest = "left"  // it carries the errors of all that was cut off before it
)

// Rests lists those that are told.
func Rests() []Rest { return []Rest{EqualRest, LeftRest} }

// part is a rectangle of a sheet by how it is divided: into strips that lie side by side,
// each a part again, and what is left over behind them.
type part struct {
	width, height measure.Length
	piece         int // -1 for none
	turned        bool
	down          bool
	strips        []*part
	waste         measure.Length
}

// side is the measure across which a part is divided.
func (p *part) side(down bool) *measure.Length {
	if down {
		return &p.width
	}
	return &p.height
}

// exact reports whether strips fill a part, so that the last is what the others leave.
func (p *part) exact() bool { return len(p.strips) > 1 && p.waste == 0 && p.last().spans(p.down) }

func (p *part) last() *part { return p.strips[len(p.strips)-1] }

// spans reports whether a piece of a part is as large as the part is, so that what is wrong
// with the part's side is wrong with the piece's.
func (p *part) spans(down bool) bool {
	switch {
	case len(p.strips) == 0:
		return true
	case p.down == down:
		return p.waste == 0 && p.last().spans(down)
	}
	return slices.ContainsFunc(p.strips, func(s *part) bool { return s.spans(down) })
}

// partOf is a node of a tree of cuts as a part; nil for what holds no piece. Strips that are
// cut off one after the other in one direction stand side by side, what falls off behind
// them.
func (p pattern) partOf(at int32, keeps []bool) *part {
	n := &p.nodes[at]
	if !keeps[at] {
		return nil
	}
	q := &part{width: n.Width, height: n.Height, piece: n.piece, turned: n.turned}
	if n.leaf() {
		return q
	}
	q.piece, q.down = -1, n.down
	q.waste = *q.side(n.down)
	var gather func(at int32)
	gather = func(at int32) {
		m := &p.nodes[at]
		if !m.leaf() && keeps[at] && m.down == n.down {
			gather(m.first)
			gather(m.second)
			return
		}
		if strip := p.partOf(at, keeps); strip != nil {
			q.strips = append(q.strips, strip)
			q.waste -= *strip.side(n.down)
		}
	}
	gather(n.first)
	gather(n.second)
	// Widest first, so that equal strips follow each other and the same settings come in
	// the same order on every sheet.
	slices.SortStableFunc(q.strips, func(a, b *part) int { return cmp.Compare(*b.side(n.down), *a.side(n.down)) })
	return q
}

// measurable turns a strip that is trimmed first and then filled exactly: it lies beside what
// falls off, its rows are cut through both, and each piece of a row is cut at its own
// setting, so that the rest falls.
func (p *part) measurable(limit measure.Length) {
	fills := func(k *part) bool {
		return len(k.strips) > 0 && k.down != p.down && *k.side(p.down)+p.waste <= limit &&
			slices.ContainsFunc(k.strips, func(row *part) bool { return row.down == p.down && row.exact() })
	}
	if i := slices.IndexFunc(p.strips, fills); i >= 0 && p.waste > 0 {
		k := p.strips[i]
		wide := &part{width: k.width, height: k.height, piece: -1, down: k.down, waste: k.waste}
		*wide.side(p.down) += p.waste
		for _, row := range k.strips {
			r := &part{width: row.width, height: row.height, piece: -1, down: p.down, strips: []*part{row}, waste: p.waste}
			if row.down == p.down && len(row.strips) > 0 {
				r.strips, r.waste = row.strips, row.waste+p.waste
			}
			*r.side(p.down) += p.waste
			wide.strips = append(wide.strips, r)
		}
		p.strips = append(slices.Delete(slices.Clone(p.strips), i, i+1), wide)
		p.waste = 0
	}
	for _, s := range p.strips {
		s.measurable(limit)
	}
}

// measured is the pattern with its cuts so ordered that the guide measures every piece on
// both its sides wherever it can.
func (p pattern) measured(limit measure.Length) pattern {
	keeps := p.keeps()
	root := p.partOf(0, keeps)
	if root == nil {
		return p
	}
	root.measurable(limit)
	q := pattern{nodes: make([]node, 1, len(p.nodes)), used: p.used, fill: p.fill}
	q.nodes[0] = node{Rect: p.nodes[0].Rect, piece: -1}
	q.lay(0, root)
	return q
}

// lay cuts a leaf as a part says.
func (p *pattern) lay(at int32, q *part) {
	if len(q.strips) == 0 {
		p.nodes[at].piece, p.nodes[at].turned = q.piece, q.turned
		return
	}
	sheet := p.nodes[0].Rect
	whole := sheet.Height
	if q.down {
		whole = sheet.Width
	}
	equal := *q.side(q.down) == whole && !slices.ContainsFunc(q.strips, func(s *part) bool { return *s.side(q.down) != *q.strips[0].side(q.down) })
	for i, s := range q.strips {
		if i == len(q.strips)-1 && q.waste == 0 {
			p.lay(at, s) // what the others left
			return
		}
		first, second := p.cut(at, q.down, *s.side(q.down))
		if n := &p.nodes[at]; i == len(q.strips)-2 && q.exact() {
			if n.rest = LeftRest; equal {
				n.rest = EqualRest
			}
		}
		p.lay(first, s)
		at = second
	}
}
