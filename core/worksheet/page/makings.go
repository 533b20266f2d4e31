package page

import (
	"fmt"
	"math"
	"math/rand/v2"

	"yellowparcel/core/blank"
	"yellowparcel/core/drawing"
	"yellowparcel/core/measure"
	"yellowparcel/core/plan"
	"yellowparcel/core/worksheet"
	"yellowparcel/core/worksheet/bench"
)

// Making is one envelope with its card as a hand makes it that is a little off, in millimetres.
type Making struct {
	EaseWidth, EaseHeight float64
	// Seams are what of each seam the errors leave.
	Seams []float64
}

// Makings are many of them.
type Makings struct {
	Of int `json:"of"`
	// In is how many cards go in, Hold how many envelopes hold at every seam.
	In   int    `json:"in"`
	Hold int    `json:"hold"`
	Text string `json:"text"`
	// Each are the makings themselves.
	Each []Making `json:"-"`
}

// MakeMany follows a job's worksheet so many times with errors: every cut and every setting is off
// by a normal error of half its tolerance, which repeats where one setting serves more scores. See
// "Tolerance" in docs/sums.md. The same seed gives the same makings.
func MakeMany(t plan.Table, n int, seed uint64) (m Makings) {
	if t.Plan.Waits != nil {
		return m
	}
	w := worksheet.Write(t)
	r := rand.New(rand.NewPCG(seed, 5))
	sigma := (t.Shop.Style().Tick / 2).Millimetres() / 2
	adhesive := measure.Length(0)
	if a, ok := t.Shop.Adhesive(t.Job.Envelope.Adhesive); ok {
		adhesive = a.Width
	}
	for m.Of < n {
		b := benchOf(t)
		b.Wrong = func() float64 { return sigma * r.NormFloat64() }
		for _, s := range w.Steps {
			if b.Follow(s) != nil {
				return m // what cannot be made is told of elsewhere
			}
		}
		one := measured(t, b)
		m.Of++
		m.Each = append(m.Each, one)
		if one.EaseWidth > 0 && one.EaseHeight > 0 {
			m.In++
		}
		holds := true
		for _, s := range one.Seams {
			holds = holds && s >= adhesive.Millimetres()
		}
		if holds {
			m.Hold++
		}
	}
	m.Text = fmt.Sprintf("Of a hundred made so, the card goes into %d and the seams of %d hold, where cuts and scores are usually a quarter tick off.", hundredth(m.In, m.Of), hundredth(m.Hold, m.Of))
	return m
}

// measured is what an envelope and its card come out as on a bench.
func measured(t plan.Table, b *bench.Bench) Making {
	one := Making{EaseWidth: t.Made.EaseWidth.Millimetres(), EaseHeight: t.Made.EaseHeight.Millimetres()}
	x, made := t.Piece(plan.BlankPiece)
	base, _ := t.Piece(t.Job.Parts[0].ID)
	wide, high := grown(base.Flat, b.Pieces[base.ID])
	if p := b.Pieces[plan.BlankPiece]; made && p != nil {
		dw, dh := opened(t, x, p)
		one.EaseWidth, one.EaseHeight, one.Seams = one.EaseWidth+dw, one.EaseHeight+dh, seams(t, x, p)
	}
	// The card may lie turned in its envelope.
	if lies, outer := t.Plan.Envelope.Blank.Lies, t.Plan.Card.Room.OuterSize; lies.Width != outer.Width && lies.Width == outer.Height {
		wide, high = high, wide
	}
	one.EaseWidth, one.EaseHeight = one.EaseWidth-wide, one.EaseHeight-high
	return one
}

func hundredth(n, of int) int { return int(math.Round(100 * float64(n) / float64(max(1, of)))) }

// grown is by how much a card comes out larger than it was to be: the larger of its panels counts.
func grown(want drawing.Drawing, p *bench.Piece) (wide, high float64) {
	if p == nil {
		return 0, 0
	}
	wide, high = p.Width-want.Width, p.Height-want.Height
	scores := want.Of(drawing.Score)
	if len(scores) != 1 {
		return wide, high
	}
	c := nearest(p, scores[0])
	if a := scores[0].Corners; a[0].X == a[1].X {
		return math.Max(c.From.X, p.Width-c.From.X) - math.Max(a[0].X, want.Width-a[0].X), high
	}
	a := scores[0].Corners
	return wide, math.Max(c.From.Y, p.Height-c.From.Y) - math.Max(a[0].Y, want.Height-a[0].Y)
}

// nearest is the crease that was made for a score.
func nearest(p *bench.Piece, s drawing.Shape) (best bench.Crease) {
	least := math.Inf(1)
	for _, list := range p.Creases {
		for _, c := range list {
			if d := apart(s, c); d < least {
				best, least = c, d
			}
		}
	}
	return best
}

// apart is how far a crease lies from a score, and endless where it runs another way.
func apart(s drawing.Shape, c bench.Crease) float64 {
	a, b := s.Corners[0], s.Corners[1]
	dx, dy, long := b.X-a.X, b.Y-a.Y, s.Length()
	if math.Abs(dx*(c.To.Y-c.From.Y)-dy*(c.To.X-c.From.X)) > 0.01*long*math.Hypot(c.To.X-c.From.X, c.To.Y-c.From.Y) {
		return math.Inf(1)
	}
	return math.Abs(dx*(c.From.Y-a.Y)-dy*(c.From.X-a.X)) / long
}

// between is how far two parallel lines lie apart.
func between(a, b bench.Crease) float64 {
	dx, dy := a.To.X-a.From.X, a.To.Y-a.From.Y
	return math.Abs(dx*(b.From.Y-a.From.Y)-dy*(b.From.X-a.From.X)) / math.Hypot(dx, dy)
}

// side is the score of the face on a side: of its wall, where it has one.
func side(d drawing.Drawing, name string) (drawing.Shape, bool) {
	for _, part := range []string{name + " wall", name} {
		for _, s := range d.Of(drawing.Score) {
			if s.Part == part {
				return s, true
			}
		}
	}
	return drawing.Shape{}, false
}

// opened is by how much an envelope comes out wider and higher than it was to be.
func opened(t plan.Table, x plan.BenchPiece, p *bench.Piece) (wide, high float64) {
	if t.Kind.Bought {
		return p.Width - t.Made.Width.Millimetres(), p.Height - t.Made.From.Height.Millimetres()
	}
	grown := func(one, other string) float64 {
		a, there := side(x.Flat, one)
		b, too := side(x.Flat, other)
		if !there || !too {
			return 0
		}
		was := between(bench.Crease{From: a.Corners[0], To: a.Corners[1]}, bench.Crease{From: b.Corners[0], To: b.Corners[1]})
		return between(nearest(p, a), nearest(p, b)) - was
	}
	return grown("left", "right"), grown("top", "bottom")
}

// seams are what is left of the seams: of a blank on its point √2 times what its flaps reach over
// the middle, less the edge; of a pocket its tabs.
func seams(t plan.Table, x plan.BenchPiece, p *bench.Piece) []float64 {
	if t.Kind.Bought || t.Kind.Box {
		return nil
	}
	if !t.Kind.OnPoint {
		var list []float64
		for _, tab := range []struct {
			part string
			edge float64
		}{{"left", 0}, {"right", p.Width}} {
			for _, s := range x.Flat.Of(drawing.Score) {
				if s.Part == tab.part && s.Corners[0].X == s.Corners[1].X {
					list = append(list, math.Abs(nearest(p, s).From.X-tab.edge))
				}
			}
		}
		return list
	}
	corners := [4]blank.Point{{}, {X: p.Width}, {X: p.Width, Y: p.Height}, {Y: p.Height}}
	far := [4]float64{}
	for i, c := range corners {
		far[i] = math.Inf(1)
		for _, list := range p.Creases {
			for _, k := range list {
				// Square to the diagonal of this corner, and nearest to it.
				dx, dy := k.To.X-k.From.X, k.To.Y-k.From.Y
				if falling := dx*dy < 0; falling == (i%2 == 0) {
					far[i] = math.Min(far[i], math.Abs(dx*(c.Y-k.From.Y)-dy*(c.X-k.From.X))/math.Hypot(dx, dy))
				}
			}
		}
	}
	edges := [4]float64{p.Width, p.Height, p.Width, p.Height}
	list := make([]float64, 4)
	for i := range list {
		list[i] = math.Sqrt2*(far[i]+far[(i+1)%4]) - edges[i] - t.Made.Taken.Millimetres()
	}
	return list
}
