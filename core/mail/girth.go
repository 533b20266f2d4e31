package mail

import (
	"math"
	"slices"
)

// Section is a cut through a card square to one of its edges, with the paper
// that goes round it.
type Section struct {
	// At is where it is cut, in millimetres along the other edge.
	At float64
	// Steps are the heights along the cut.
	Steps []Step
	// Hull is what a paper round it touches, from left to right over the top.
	Hull []Spot
	// Girth is the way round it; half of it is the envelope needed.
	Girth float64
}

// Step is a stretch of a section with one height.
type Step struct {
	From   float64 `json:"from"`
	To     float64 `json:"to"`
	Height float64 `json:"height"`
}

// Girths are what the sections of one direction ask for.
type Girths struct {
	// Worst is the section with the largest girth.
	Worst Section
	// EndOn is the outline of all sections together, as the card is seen from its
	// end: paper spans from heap to heap, so this is what the envelope must give.
	EndOn Section
}

// Room is what the thickness takes of the envelope: half the girth less the
// size of the card over all that sticks out.
func (s Section) Room() float64 {
	low, high := s.Hull[0].X, s.Hull[0].X
	for _, p := range s.Hull {
		low, high = math.Min(low, p.X), math.Max(high, p.X)
	}
	return s.Girth/2 - (high - low)
}

// Girths cuts the card across its width when wide is set, else across its
// height. What is cut along the middle of a strip holds for all of it but where
// discs bend, so the strip's ends are cut too.
func (r Relief) Girths(wide bool) Girths {
	slabs, low, high := r.across, r.Parts[0].Y0, r.Parts[0].Y1
	if wide {
		slabs, low, high = r.down, r.Parts[0].X0, r.Parts[0].X1
	}
	base := r.Tops[0]
	g := Girths{EndOn: r.EndOn(wide)}
	for _, s := range slabs {
		middle := (s.from + s.to) / 2
		places := []float64{middle}
		if _, round := r.under(middle, !wide); round {
			places = []float64{s.from + touch, middle, s.to - touch}
		}
		for _, at := range places {
			steps := r.steps(s, at, wide)
			if len(steps) == 0 {
				continue
			}
			sec := section(at, steps, low, high, base)
			if sec.Girth > g.Worst.Girth {
				g.Worst = sec
			}
		}
	}
	return g
}

// EndOn is the card as it is seen from its end: every place of one height ends
// where its box does.
func (r Relief) EndOn(wide bool) Section {
	low, high := r.Parts[0].Y0, r.Parts[0].Y1
	if wide {
		low, high = r.Parts[0].X0, r.Parts[0].X1
	}
	var steps []Step
	for _, c := range r.cells {
		from, to := c.y0, c.y1
		if wide {
			from, to = c.x0, c.x1
		}
		if c.height > 0 && to > from {
			steps = append(steps, Step{from, to, c.height})
		}
	}
	return section(0, steps, low, high, r.Tops[0])
}

// steps are the heights along a line in a slab: between the same edges as along
// its middle, each moved to where its part ends here.
func (r Relief) steps(s slab, at float64, wide bool) (list []Step) {
	type stretch struct {
		low, high float64
		bit       uint64
	}
	var here []stretch
	for k := range r.Parts {
		if low, high, ok := r.Parts[k].span(at, wide); ok {
			here = append(here, stretch{low, high, 1 << k})
		}
	}
	for _, n := range s.runs {
		c := r.cells[n.cell]
		if c.height == 0 {
			continue
		}
		from, to, lies := math.Inf(-1), math.Inf(1), false
		for _, p := range here {
			switch {
			case c.parts&p.bit != 0:
				from, to, lies = math.Max(from, p.low), math.Min(to, p.high), true
			case p.high < (n.from+n.to)/2:
				from = math.Max(from, p.high)
			case p.low > (n.from+n.to)/2:
				to = math.Min(to, p.low)
			}
		}
		// A disc may end between this line and the middle of its strip.
		if lies && to > from {
			list = append(list, Step{from, to, c.height})
		}
	}
	return list
}

// Costly is the part without which the card, as it is seen from its end, takes
// least of the envelope, and how much it saves in millimetres; -1 when none does.
// Only parts that the hull touches, and those that carry them, can.
func (r Relief) Costly(wide bool, whole Section) (part int, saved float64) {
	part = -1
	look := map[int]bool{}
	for _, p := range whole.Hull {
		for _, c := range r.cells {
			if math.Abs(c.height-p.Y) < touch {
				for _, i := range set(c.chain) {
					look[i] = i > 0
				}
			}
		}
	}
	less := Relief{Parts: r.Parts, cells: slices.Clone(r.cells), on: r.on, across: r.across, down: r.down}
	for i := range r.Parts {
		if !look[i] {
			continue
		}
		less.lay(allParts &^ (1 << i))
		if s := (whole.Girth - less.EndOn(wide).Girth) / 2; s > saved+touch {
			part, saved = i, s
		}
	}
	return part, saved
}

// section finds the hull of the base with steps on it.
func section(at float64, steps []Step, low, high, base float64) Section {
	points := []Spot{{low, 0}, {low, base}, {high, base}, {high, 0}}
	for _, s := range steps {
		points = append(points, Spot{s.From, s.Height}, Spot{s.To, s.Height})
	}
	s := Section{At: at, Steps: steps, Hull: hull(points)}
	for i, p := range s.Hull {
		q := s.Hull[(i+1)%len(s.Hull)]
		s.Girth += math.Hypot(q.X-p.X, q.Y-p.Y)
	}
	return s
}

// hull is the convex hull of points (Andrew's monotone chain).
func hull(points []Spot) []Spot {
	slices.SortFunc(points, func(a, b Spot) int {
		switch {
		case a.X < b.X || a.X == b.X && a.Y < b.Y:
			return -1
		case a == b:
			return 0
		}
		return 1
	})
	var out []Spot
	for pass := range 2 {
		start := len(out)
		for i := range points {
			p := points[i]
			if pass == 1 {
				p = points[len(points)-1-i]
			}
			for len(out) >= start+2 && turn(out[len(out)-2], out[len(out)-1], p) <= 0 {
				out = out[:len(out)-1]
			}
			out = append(out, p)
		}
		out = out[:len(out)-1]
	}
	return out
}

func turn(a, b, c Spot) float64 { return (b.X-a.X)*(c.Y-a.Y) - (b.Y-a.Y)*(c.X-a.X) }
