package cutting

import (
	"slices"

	"yellowparcel/core/measure"
)

// pending is a cut that can be made now.
type pending struct {
	layout int
	node   int32
}

// sequencer puts the cuts of several patterns into one order that moves the
// guide as seldom as it can see: whatever can be cut at the present setting is
// cut before it moves, then it goes where most cuts wait.
type sequencer struct {
	patterns []repeated
	keeps    [][]bool // which nodes hold a piece at all
	ready    []pending
	layouts  []Layout
	number   int
	// open counts the cuts not yet made that can be made at a setting.
	open map[measure.Length]int
}

func sequence(patterns []repeated) ([]Layout, []Step) {
	q := sequencer{patterns: patterns, layouts: make([]Layout, len(patterns)), open: map[measure.Length]int{}}
	for i, p := range patterns {
		q.keeps = append(q.keeps, p.keeps())
		q.layouts[i] = Layout{Times: p.n, Pieces: []Placed{}, Offcuts: []Rect{}, Cuts: []Cut{}}
		for at := range p.nodes {
			if cut := (pending{i, int32(at)}); !p.nodes[at].leaf() && q.keeps[i][at] {
				q.note(cut, 1)
			}
		}
		q.reach(pending{i, 0})
	}
	var steps []Step
	for len(q.ready) > 0 {
		steps = append(steps, q.set(q.next()))
	}
	return q.layouts, steps
}

// keeps tells for every node whether there is a piece in it; what holds none is
// left whole, as an offcut.
func (p pattern) keeps() []bool {
	keeps := make([]bool, len(p.nodes))
	for i := len(p.nodes) - 1; i >= 0; i-- { // parts stand behind what they are cut from
		n := &p.nodes[i]
		keeps[i] = n.piece >= 0 || !n.leaf() && (keeps[n.first] || keeps[n.second])
	}
	return keeps
}

// reach notes a rectangle that has come loose: a piece, an offcut, or one to cut.
func (q *sequencer) reach(at pending) {
	n := &q.patterns[at.layout].nodes[at.node]
	l := &q.layouts[at.layout]
	switch {
	case !q.keeps[at.layout][at.node]:
		if n.Width > 0 && n.Height > 0 {
			l.Offcuts = append(l.Offcuts, n.Rect)
		}
	case n.leaf():
		l.Pieces = append(l.Pieces, Placed{n.Rect, n.piece, n.turned})
	default:
		q.ready = append(q.ready, at)
	}
}

// settings are the widths that the guide may stand at for a cut: of the strip that is cut
// off, or of either of two of which the other is what is left.
func (q *sequencer) settings(at pending) (list [2]measure.Length, n int) {
	node := &q.patterns[at.layout].nodes[at.node]
	whole := node.Height
	if node.down {
		whole = node.Width
	}
	list[0] = node.at
	if node.rest != NoRest && whole-node.at != node.at {
		list[1] = whole - node.at
		return list, 2
	}
	return list, 1
}

// note counts a cut in or out of those that are open.
func (q *sequencer) note(at pending, n int) {
	list, settings := q.settings(at)
	for _, s := range list[:settings] {
		q.open[s] += n
	}
}

// next is a setting that need not come again, where there is one; else that at
// which most cuts can be made now. Of equal ones it is the one that most cuts will
// ask for, then the widest.
func (q *sequencer) next() measure.Length {
	now := make(map[measure.Length]int, len(q.ready))
	for _, at := range q.ready {
		list, n := q.settings(at)
		for _, s := range list[:n] {
			now[s] += q.freed(at, s)
		}
	}
	best := measure.Length(0)
	for s := range now {
		if q.over(now, s, best) {
			best = s
		}
	}
	return best
}

func (q *sequencer) over(now map[measure.Length]int, s, t measure.Length) bool {
	if done, other := now[s] == q.open[s], now[t] == q.open[t] && t > 0; done != other {
		return done
	}
	if now[s] != now[t] {
		return now[s] > now[t]
	}
	if q.open[s] != q.open[t] {
		return q.open[s] > q.open[t]
	}
	return s > t
}

// freed counts the cuts that can be made at a setting from a rectangle on.
func (q *sequencer) freed(at pending, s measure.Length) int {
	n := &q.patterns[at.layout].nodes[at.node]
	if n.leaf() || !q.keeps[at.layout][at.node] {
		return 0
	}
	if list, settings := q.settings(at); !slices.Contains(list[:settings], s) {
		return 0
	}
	return 1 + q.freed(pending{at.layout, n.first}, s) + q.freed(pending{at.layout, n.second}, s)
}

// set makes every cut that can be made at a setting, and those that it frees.
func (q *sequencer) set(s measure.Length) Step {
	step := Step{Setting: s}
	for again := true; again; {
		again = false
		ready := q.ready
		q.ready = nil
		for _, at := range ready {
			list, n := q.settings(at)
			if !slices.Contains(list[:n], s) {
				q.ready = append(q.ready, at)
				continue
			}
			again = true
			q.note(at, -1)
			node := &q.patterns[at.layout].nodes[at.node]
			q.number++
			q.layouts[at.layout].Cuts = append(q.layouts[at.layout].Cuts, Cut{q.number, node.Rect, node.down, node.at, node.rest})
			step.Cuts = append(step.Cuts, q.number)
			q.reach(pending{at.layout, node.first})
			q.reach(pending{at.layout, node.second})
		}
	}
	return step
}

// layout is the pattern alone with its cuts in order.
func (p pattern) layout(times int) Layout {
	l, _ := sequence([]repeated{{p, times}})
	return l[0]
}

// planOf turns patterns into a plan.
func planOf(patterns []repeated, limit measure.Length) Plan {
	p := Plan{Unfit: []int{}}
	measured := make([]repeated, len(patterns))
	for i, r := range patterns {
		measured[i] = repeated{r.measured(limit), r.n}
	}
	patterns = measured
	p.Layouts, p.Steps = sequence(patterns)
	if p.Steps == nil {
		p.Steps = []Step{}
	}
	for _, l := range p.Layouts {
		p.Sheets += l.Times
		for _, r := range l.Offcuts {
			if r.area() > p.Offcut.area() {
				p.Offcut = r
			}
		}
	}
	return p
}
