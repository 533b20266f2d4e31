package blank

import (
	"math"
	"math/rand/v2"
	"testing"

	"yellowparcel/core/measure"
)

func apart(a, b Vec) float64 { d := a.minus(b); return math.Sqrt(d.dot(d)) }

// At any stage panels are rigid, hang together at their creases, rise to the
// inside, and at stage nothing lie as they were cut.
func TestPosesAreRigid(t *testing.T) {
	rng := rand.New(rand.NewPCG(71, 72))
	for range 8 {
		for name, m := range everyMade(boxSpec(rng)) {
			n := m.Net
			place := map[string]int{}
			last := 0
			for i, p := range n.Panels {
				place[p.ID] = i
			}
			for _, c := range n.Creases {
				last = max(last, c.Order)
			}
			stage := rng.Float64() * float64(last)
			for _, at := range []float64{0, stage, float64(last)} {
				poses := n.poses(at)
				for i, p := range n.Panels {
					a, b := p.Outline[0], p.Outline[len(p.Outline)/2]
					near(t, name+": a panel's length", apart(poses[i].at(a), poses[i].at(b)), math.Hypot(a.X-b.X, a.Y-b.Y), 1e-7)
					if at == 0 && apart(poses[i].at(a), Vec{a.X, a.Y, 0}) > 1e-9 {
						t.Fatalf("%s: the %s does not lie as it was cut", name, p.ID)
					}
				}
				for _, c := range n.Creases {
					for _, q := range []Point{c.From, c.To} {
						if d := apart(poses[place[c.Panel]].at(q), poses[place[c.On]].at(q)); d > 1e-7 {
							t.Fatalf("%s: the %s is torn off by %.6f mm", name, c.Panel, d)
						}
					}
				}
			}
			// A little after its fold began, a panel on the face has risen.
			for _, c := range n.Creases {
				if place[c.On] == 0 {
					begun := n.poses(float64(c.Order-1) + 0.1)
					if v := begun[place[c.Panel]].at(n.panel(c.Panel).centre()); v.Z <= 0 {
						t.Fatalf("%s: the %s goes down to %.3f mm", name, c.Panel, v.Z)
					}
				}
			}
		}
	}
}

// Turning about any axis and back again is no turn.
func TestTurnAndBack(t *testing.T) {
	rng := rand.New(rand.NewPCG(73, 74))
	some := func() Vec { return Vec{rng.Float64() * 9, rng.Float64() * 9, rng.Float64() * 9} }
	for range 200 {
		from, to, angle := some(), some(), rng.Float64()*6
		p := flat.turned(from, to, angle).turned(from, to, -angle)
		q := Point{rng.Float64() * 50, rng.Float64() * 50}
		if d := apart(p.at(q), Vec{q.X, q.Y, 0}); d > 1e-9 {
			t.Fatalf("off by %g", d)
		}
		turned := flat.turned(from, to, angle)
		back, off := turned.back(turned.at(q))
		if math.Hypot(back.X-q.X, back.Y-q.Y) > 1e-9 || math.Abs(off) > 1e-9 {
			t.Fatalf("the way back misses by %v, %g", back, off)
		}
	}
}

// Strips of a known width at any angle measure what they are.
func TestSeamWidths(t *testing.T) {
	rng := rand.New(rand.NewPCG(75, 76))
	for range 200 {
		long, wide, slant, angle := 60+rng.Float64()*60, 5+rng.Float64()*15, rng.Float64()*8, rng.Float64()*6
		p := Polygon{{0, 0}, {long, 0}, {long - slant, wide}, {slant, wide}}.Laid(angle * 180 / math.Pi)
		least, most, length := p.widths()
		near(t, "least width", least, wide, 1e-6)
		near(t, "most width", most, wide, 1e-6)
		near(t, "length", length, long, 1e-6)
	}
	// One that narrows is as narrow as it gets in its middle part.
	least, most, _ := Polygon{{0, 0}, {100, 0}, {100, 10}, {0, 20}}.widths()
	near(t, "least of a wedge", least, 13, 0.2)
	near(t, "most of a wedge", most, 17, 0.2)
}

// The outline round panels is as large as they are together, and has no corner
// inside.
func TestOutlineRoundPanels(t *testing.T) {
	rng := rand.New(rand.NewPCG(77, 78))
	for range 10 {
		for name, m := range everyMade(boxSpec(rng)) {
			if name == "square box" || m.Faulty(GlueCorners) {
				continue // cuts between glue square and wall may meet at a corner
			}
			if got, want := m.Net.Cut().Outline.Area(), m.Net.Area(); math.Abs(got-want) > 0.5 {
				t.Fatalf("%s: the outline holds %.2f mm², its panels %.2f", name, got, want)
			}
		}
	}
}

// Every length of a made envelope is a whole number of nanometres that its own
// drawing keeps, whatever the unit.
func TestThroatTakesTheCard(t *testing.T) {
	rng := rand.New(rand.NewPCG(79, 80))
	for range 15 {
		s := boxSpec(rng)
		for name, m := range everyMade(s) {
			if name == "diamond diagonal" || m.EaseWidth < 0 {
				continue // has no room for thickness by itself
			}
			if got, need := m.Throat(), s.Width+max(0, s.Thickness-m.Depth); got < need-measure.Micrometre {
				t.Fatalf("%s: %v clear at the throat, the card needs %v", name, got, need)
			}
		}
	}
}
