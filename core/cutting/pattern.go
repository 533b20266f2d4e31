package cutting

import "yellowparcel/core/measure"

// node is a rectangle in the tree of cuts of one sheet: cut in two, a piece, or
// what is left over.
type node struct {
	Rect
	piece  int // line of the order; -1 when it is none
	turned bool
	down   bool
	at     measure.Length
	// first and second are the two parts; zero when it is not cut.
	first, second int32
	rest          Rest // what one of them is, when the other has been measured
}

func (n *node) leaf() bool { return n.first == 0 }

// pattern is one sheet as a tree of cuts; the root stands first.
type pattern struct {
	nodes []node
	used  []int // pieces of each line of the order
	fill  float64
}

func blankPattern(s Sheet, lines int) pattern {
	p := pattern{nodes: make([]node, 1, 16), used: make([]int, lines)}
	p.nodes[0] = node{Rect: Rect{Width: s.Width, Height: s.Height}, piece: -1}
	return p
}

// cut divides a leaf and returns its parts.
func (p *pattern) cut(at int32, down bool, size measure.Length) (first, second int32) {
	a, b := Cut{From: p.nodes[at].Rect, Down: down, At: size}.Parts()
	first, second = int32(len(p.nodes)), int32(len(p.nodes)+1)
	p.nodes = append(p.nodes, node{Rect: a, piece: -1}, node{Rect: b, piece: -1})
	n := &p.nodes[at]
	n.down, n.at, n.first, n.second = down, size, first, second
	return first, second
}

// put cuts a piece out of the corner of a leaf, across first or down first, and
// returns the leaves that are left of it.
func (p *pattern) put(at int32, line int, w, h measure.Length, turned, acrossBefore bool) (rest []int32) {
	r := p.nodes[at].Rect
	across := func() {
		if h < r.Height {
			var below int32
			at, below = p.cut(at, false, h)
			rest = append(rest, below)
			r.Height = h
		}
	}
	if acrossBefore {
		across()
	}
	if w < r.Width {
		var beside int32
		at, beside = p.cut(at, true, w)
		rest = append(rest, beside)
		r.Width = w
	}
	across()
	n := &p.nodes[at]
	n.piece, n.turned = line, turned
	p.used[line]++
	p.fill += float64(w) * float64(h)
	return rest
}

// times is how often the pattern can be cut before a line of the order runs out.
func (p pattern) times(left []int) int {
	most := -1
	for i, u := range p.used {
		if u > 0 && (most < 0 || left[i]/u < most) {
			most = left[i] / u
		}
	}
	return max(most, 0)
}

// repeated is a pattern with how many sheets are cut so.
type repeated struct {
	pattern
	n int
}
