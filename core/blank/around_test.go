package blank

import (
	"math"
	"math/rand/v2"
	"strings"
	"testing"
)

// Round a thick card nothing passes through it at any stage of folding, in the
// end every panel lies level on it, and what lies on what is the same as without
// it: the seams do not change.
func TestFoldingRoundACard(t *testing.T) {
	t.Parallel()
	rng := rand.New(rand.NewPCG(81, 82))
	round := 0
	for range 20 {
		s := boxSpec(rng)
		for name, m := range everyMade(s) {
			flat, thick := m.Net, (s.Thickness - m.Depth).Millimetres()
			n := flat.Around(thick)
			if len(n.Panels) == len(flat.Panels) {
				continue // it has walls, or there is nothing to go round
			}
			round++
			x0, y0, x1, y1 := flat.Panels[0].Outline.Box()
			card := [2]Vec{
				{(x0 + x1 - s.Width.Millimetres()) / 2, (y0 + y1 - s.Height.Millimetres()) / 2, 0},
				{(x0 + x1 + s.Width.Millimetres()) / 2, (y0 + y1 + s.Height.Millimetres()) / 2, thick},
			}
			last := 0
			for _, c := range n.Creases {
				last = max(last, c.Order)
			}
			// Tabs on the back are glued before the card is put in.
			loose := min(m.EaseWidth, m.EaseHeight) > 0 && !flat.glues("left", flat.Panels[0].ID)
			for k := 0; k <= 12; k++ {
				stage := float64(last) * float64(k) / 12
				if p, at, ok := n.inside(card, stage); loose && ok {
					t.Fatalf("%s, stage %.2f: the %s passes through the card at %.2f, %.2f, %.2f", name, stage, p, at.X, at.Y, at.Z)
				}
			}
			poses := n.poses(all)
			for i, p := range n.Panels {
				if i == 0 || strings.HasSuffix(p.ID, roundWall) {
					continue
				}
				level := thick
				for _, c := range flat.Creases {
					if c.Panel == p.ID && c.On == "back" && flat.glues(p.ID, flat.Panels[0].ID) {
						level = 0 // a tab that the back brings down
					}
				}
				for _, q := range p.Outline {
					near(t, name+": height of the "+p.ID, poses[i].at(q).Z, level, 1e-6)
				}
			}
			for _, g := range flat.Glue {
				if g.Joins {
					continue
				}
				was, is := areas(flat.overlap(g.Panel, g.Onto, flat.poses(all))), areas(n.overlap(g.Panel, g.Onto, poses))
				// No more is lost than the strips that became walls.
				if is > was+sliver || is < was-thick*2*math.Max(x1-x0, y1-y0) || is == 0 {
					t.Errorf("%s: the %s lies with %.1f mm² on the %s, %.1f round the card", name, g.Panel, was, g.Onto, is)
				}
			}
			walls := float64(len(n.Panels) - len(flat.Panels))
			if lost := flat.Area() - n.Area(); lost < -sliver || lost > walls*thick*thick+2*(x1-x0+y1-y0)*thick {
				t.Errorf("%s: %.2f mm² of paper are lost", name, lost)
			}
		}
		if t.Failed() {
			return
		}
	}
	if round < 100 {
		t.Errorf("only %d nets were folded round a card", round)
	}
}

// inside finds a place of a panel that lies inside a box, at a stage of folding.
func (n Net) inside(box [2]Vec, stage float64) (panel string, at Vec, ok bool) {
	const skin = 1e-6
	poses := n.poses(stage)
	for i, p := range n.Panels[1:] {
		c := p.Outline.centre()
		for k, a := range p.Outline {
			b := p.Outline[(k+1)%len(p.Outline)]
			for j := range 8 {
				for _, in := range []float64{1, 0.7, 0.3} {
					q := Point{a.X + (b.X-a.X)*float64(j)/8, a.Y + (b.Y-a.Y)*float64(j)/8}
					v := poses[i+1].at(Point{c.X + (q.X-c.X)*in, c.Y + (q.Y-c.Y)*in})
					if v.X > box[0].X+skin && v.X < box[1].X-skin && v.Y > box[0].Y+skin && v.Y < box[1].Y-skin && v.Z > box[0].Z+skin && v.Z < box[1].Z-skin {
						return p.ID, v, true
					}
				}
			}
		}
	}
	return "", Vec{}, false
}

// A flat card, and one that the net has walls for, need nothing more.
func TestNothingToGoRound(t *testing.T) {
	s := boxSpec(rand.New(rand.NewPCG(83, 84)))
	for _, m := range []Made{NewTuckBox(s), NewSquareBox(s)} {
		if n := m.Net.Around(2); len(n.Panels) != len(m.Net.Panels) {
			t.Errorf("%s: walls are put beside walls", m.ID)
		}
	}
	m := NewDiamond(s).Made()
	for _, thick := range []float64{0, -1, 1e6} {
		if n := m.Net.Around(thick); len(n.Panels) != len(m.Net.Panels) {
			t.Errorf("round %v mm it has %d panels", thick, len(n.Panels))
		}
	}
}
