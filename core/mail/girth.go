package mail

import (
	"cmp"
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
	var g Girths
	var all []Step
	for _, s := range slabs {
		for _, at := range []float64{s.from + touch, (s.from + s.to) / 2, s.to - touch} {
			steps := r.steps(at, wide)
			if len(steps) == 0 {
				continue
			}
			all = append(all, steps...)
			sec := section(at, steps, low, high, base)
			if sec.Girth > g.Worst.Girth {
				g.Worst = sec
			}
		}
	}
	g.EndOn = section(0, all, low, high, base)
	return g
}

// steps are the heights along a line.
func (r Relief) steps(at float64, wide bool) (list []Step) {
	slabs := r.across
	if wide {
		slabs = r.down
	}
	for _, s := range slabs {
		if at <= s.from || at >= s.to {
			continue
		}
		// Between the same edges as along the middle, each moved to where its part
		// ends here.
		for _, n := range s.runs {
			c := r.cells[n.cell]
			if c.height == 0 {
				continue
			}
			from, to := math.Inf(-1), math.Inf(1)
			for k, p := range r.Parts {
				low, high, ok := p.span(at, wide)
				if !ok {
					continue
				}
				in := c.parts&(1<<k) != 0
				switch {
				case in:
					from, to = math.Max(from, low), math.Min(to, high)
				case high <= n.from+touch || high < (n.from+n.to)/2:
					from = math.Max(from, high)
				case low >= n.to-touch || low > (n.from+n.to)/2:
					to = math.Min(to, low)
				}
			}
			if to > from {
				list = append(list, Step{from, to, c.height})
			}
		}
	}
	return list
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
	slices.SortFunc(points, func(a, b Spot) int { return cmp.Or(cmp.Compare(a.X, b.X), cmp.Compare(a.Y, b.Y)) })
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
