package cutting

import (
	"container/heap"
	"slices"

	"yellowparcel/core/measure"
)

// Where an order leaves no room to waste, placing piece after piece misses the
// plan that uses every scrap. So here pieces with a side in common are joined to
// blocks without waste, blocks to larger ones, up to whole sheets; then sheets
// are chosen that share no piece.

// members says which pieces are in a block.
type members [4]uint64

const mostMembers = 256

func (m members) meets(o members) bool {
	return m[0]&o[0]|m[1]&o[1]|m[2]&o[2]|m[3]&o[3] != 0
}

func (m members) with(o members) members {
	return members{m[0] | o[0], m[1] | o[1], m[2] | o[2], m[3] | o[3]}
}

func (m members) without(o members) members {
	return members{m[0] &^ o[0], m[1] &^ o[1], m[2] &^ o[2], m[3] &^ o[3]}
}

func (m members) has(i int) bool { return m[i/64]>>(i%64)&1 != 0 }

// block is a rectangle of pieces without waste.
type block struct {
	w, h   measure.Length
	set    members
	line   int // of a single piece
	turned bool
	down   bool  // joined beside each other
	a, b   int32 // what it is joined of; -1 for a single piece
}

// matcher joins blocks of one order.
type matcher struct {
	s      *searcher
	lines  []int // the line of each piece
	blocks []block
	known  map[block]bool
	queue  blockQueue
	wide   map[measure.Length][]int32
	high   map[measure.Length][]int32
	sheets []int32 // blocks that are whole sheets
}

// mostBlocks bounds the memory of a search.
const mostBlocks = 120_000

// match looks for plans without waste, where the best so far is not proven.
func (s *searcher) match() {
	total := 0
	for _, n := range s.want {
		total += n
	}
	if s.best.Sheets <= s.bound || total > mostMembers {
		return
	}
	m := &matcher{s: s, known: map[block]bool{}, wide: map[measure.Length][]int32{}, high: map[measure.Length][]int32{}}
	for line, n := range s.want {
		for range n {
			m.lines = append(m.lines, line)
		}
	}
	m.join(s.steps + (s.budget-s.steps)/2)
	m.cover()
}

func (m *matcher) join(until int) {
	m.queue.blocks = &m.blocks
	for i, line := range m.lines {
		p := m.s.order.Pieces[line]
		single := block{w: p.Width, h: p.Height, line: line, a: -1, b: -1}
		single.set[i/64] |= 1 << (i % 64)
		m.add(single)
		if p.Turn && p.Width != p.Height {
			single.w, single.h, single.turned = p.Height, p.Width, true
			m.add(single)
		}
	}
	sheet := m.s.order.Sheet
	for m.queue.Len() > 0 && m.s.steps < until && !m.s.over() && len(m.blocks) < mostBlocks {
		i := heap.Pop(&m.queue).(int32)
		b := m.blocks[i]
		if b.w <= sheet.limit() {
			for _, j := range m.wide[b.w] {
				m.s.steps++
				if o := &m.blocks[j]; b.h+o.h <= sheet.Height && !b.set.meets(o.set) {
					m.add(block{w: b.w, h: b.h + o.h, set: b.set.with(o.set), a: i, b: j})
				}
			}
		}
		if b.h <= sheet.limit() {
			for _, j := range m.high[b.h] {
				m.s.steps++
				if o := &m.blocks[j]; b.w+o.w <= sheet.Width && !b.set.meets(o.set) {
					m.add(block{w: b.w + o.w, h: b.h, set: b.set.with(o.set), down: true, a: i, b: j})
				}
			}
		}
		m.wide[b.w] = append(m.wide[b.w], i)
		m.high[b.h] = append(m.high[b.h], i)
	}
}

// add notes a block unless the same pieces make the same rectangle already.
func (m *matcher) add(b block) {
	sheet := m.s.order.Sheet
	if b.w > sheet.Width || b.h > sheet.Height {
		return
	}
	key := block{w: b.w, h: b.h, set: b.set}
	if m.known[key] {
		return
	}
	m.known[key] = true
	m.s.steps += 10
	i := int32(len(m.blocks))
	m.blocks = append(m.blocks, b)
	if b.w == sheet.Width && b.h == sheet.Height {
		m.sheets = append(m.sheets, i)
		return
	}
	heap.Push(&m.queue, i)
}

// blockQueue gives out the smallest block first.
type blockQueue struct {
	blocks *[]block
	ids    []int32
}

func (q *blockQueue) Len() int      { return len(q.ids) }
func (q *blockQueue) Swap(i, j int) { q.ids[i], q.ids[j] = q.ids[j], q.ids[i] }
func (q *blockQueue) Push(x any)    { q.ids = append(q.ids, x.(int32)) }

func (q *blockQueue) Less(i, j int) bool {
	a, b := (*q.blocks)[q.ids[i]], (*q.blocks)[q.ids[j]]
	if x, y := a.w.Inches()*a.h.Inches(), b.w.Inches()*b.h.Inches(); x != y {
		return x < y
	}
	return q.ids[i] < q.ids[j]
}

func (q *blockQueue) Pop() any {
	last := q.ids[len(q.ids)-1]
	q.ids = q.ids[:len(q.ids)-1]
	return last
}

// cover chooses whole sheets that share no piece, as many as it finds, and cuts
// the rest as it comes.
func (m *matcher) cover() {
	if len(m.sheets) == 0 {
		return
	}
	var free members
	for i := range m.lines {
		free[i/64] |= 1 << (i % 64)
	}
	c := coverer{m: m, until: m.s.steps + (m.s.budget-m.s.steps)/2}
	c.choose(free, m.sheets, nil)
	if len(c.best) > 0 {
		m.take(c.best)
	}
}

type coverer struct {
	m     *matcher
	until int
	best  []int32
	whole bool
}

// choose goes on with the piece that the fewest of the remaining sheets hold.
func (c *coverer) choose(free members, sheets, chosen []int32) {
	if len(chosen) > len(c.best) {
		c.best = slices.Clone(chosen)
	}
	if free == (members{}) {
		c.whole = true
	}
	if c.whole || c.m.s.steps > c.until || len(sheets) == 0 {
		return
	}
	held := make([]int, len(c.m.lines))
	for _, s := range sheets {
		set := c.m.blocks[s].set
		c.m.s.steps += 1 + len(held)/2
		for i := range held {
			if set.has(i) {
				held[i]++
			}
		}
	}
	rarest := -1
	for i, n := range held {
		if n > 0 && free.has(i) && (rarest < 0 || n < held[rarest]) {
			rarest = i
		}
	}
	for _, s := range sheets {
		b := c.m.blocks[s]
		if !b.set.has(rarest) {
			continue
		}
		var rest []int32
		for _, o := range sheets {
			if c.m.s.steps++; !b.set.meets(c.m.blocks[o].set) {
				rest = append(rest, o)
			}
		}
		c.choose(free.without(b.set), rest, append(chosen, s))
		if c.whole || c.m.s.steps > c.until {
			return
		}
	}
}

// take offers the chosen sheets with the best that is found for the rest.
func (m *matcher) take(chosen []int32) {
	left := slices.Clone(m.s.want)
	var list []repeated
	for _, s := range chosen {
		p := blankPattern(m.s.order.Sheet, len(left))
		m.build(&p, 0, s)
		for line, u := range p.used {
			left[line] -= u
		}
		list = append(list, repeated{p, 1})
	}
	if slices.Max(left) == 0 {
		m.s.offer(list)
		return
	}
	for _, by := range sorts {
		for split := range chanceRest {
			if rest := m.s.all(left, rule{m.s.sorted(by), true, split}); rest != nil {
				m.s.offer(append(slices.Clone(list), rest...))
			}
		}
	}
}

func (m *matcher) build(p *pattern, at, from int32) {
	b := m.blocks[from]
	if b.a < 0 {
		p.put(at, b.line, b.w, b.h, b.turned, false)
		return
	}
	size := m.blocks[b.a].h
	if b.down {
		size = m.blocks[b.a].w
	}
	first, second := p.cut(at, b.down, size)
	m.build(p, first, b.a)
	m.build(p, second, b.b)
}
