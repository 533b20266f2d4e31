package mail

import (
	"math"
	"math/rand/v2"
	"testing"
)

// What makes a piece stiffer makes its pull larger, and nothing that is taken
// off does.
func TestPullGrowsWithWhatIsAdded(t *testing.T) {
	rng := rand.New(rand.NewPCG(81, 82))
	for range 60 {
		parts := randomParts(rng, 1+rng.IntN(6), true)
		for i := range parts {
			parts[i].Modulus = []float64{0.3, 3, 5, 70}[rng.IntN(4)]
			parts[i].Loose = i > 0 && rng.IntN(3) == 0
		}
		wide := rng.IntN(2) == 0
		less := NewBeam(NewRelief(parts[:len(parts)-1]), nil, 70, wide, 1).Pull()
		more := NewBeam(NewRelief(parts), nil, 70, wide, 1).Pull()
		if more < less*(1-1e-9) {
			t.Fatalf("with a part more it pulls %v, without %v: %+v", more, less, parts)
		}
		enveloped := NewBeam(NewRelief(parts), []Sheet{{0, 70, 70, 0.1, 5, 4}}, 70, wide, 1).Pull()
		if enveloped <= more {
			t.Fatalf("in an envelope it pulls %v, bare %v", enveloped, more)
		}
	}
}

// Scaling the whole card by k scales EI by k⁴ and the pull by k².
func TestPullScales(t *testing.T) {
	card := func(k float64) float64 {
		base := rect(0, 0, 100*k, 70*k, 0.4*k)
		panel := rect(20*k, 10*k, 80*k, 60*k, 0.3*k)
		return NewBeam(NewRelief([]Part{base, panel}), nil, 100*k, true, 1).Pull()
	}
	for _, k := range []float64{0.5, 2, 3} {
		near(t, "scaled", card(k)/card(1), k*k, 1e-9)
	}
}

// A glued stack is never softer than the same loose, and never stiffer than as
// one plate of its stiffest stuff.
func TestGluedBetweenLooseAndSolid(t *testing.T) {
	rng := rand.New(rand.NewPCG(83, 84))
	for range 100 {
		var plies []ply
		low, stiff, loose := 0.0, 0.0, 0.0
		for range 1 + rng.IntN(5) {
			p := ply{100, low, 0.1 + rng.Float64(), 1 + 9*rng.Float64(), true}
			low += p.thick
			stiff = math.Max(stiff, p.modulus)
			alone, _, _ := group{plies: []ply{p}}.axis()
			loose += alone
			plies = append(plies, p)
		}
		glued, _, at := group{plies: plies}.axis()
		solid := 1e3 * stiff * 100 * low * low * low / 12
		if glued < loose-1e-6 || glued > solid+1e-6 || at < 0 || at > low {
			t.Fatalf("glued %v, loose %v, solid %v, axis at %v of %v", glued, loose, solid, at, low)
		}
	}
}

// Foam between two faces: the more of it holds, the stiffer; the longer the
// piece, the more the faces act as one.
func TestSandwichGrows(t *testing.T) {
	was := 0.0
	for _, cover := range []float64{0.05, 0.25, 0.5, 1} {
		got := Sandwich(1000, 5e4, 1000, 5e4, 3, 3, 100, 180, cover)
		if got <= was {
			t.Errorf("with %v of foam %v, with less %v", cover, got, was)
		}
		was = got
	}
	was = 0
	for _, l := range []float64{50, 100, 200, 1000, 1e5} {
		got := Sandwich(1000, 5e4, 1000, 5e4, 3, 3, 100, l, 0.25)
		if got <= was {
			t.Errorf("%v long: %v, shorter %v", l, got, was)
		}
		was = got
	}
	near(t, "very long", was, 2000+5e4/2*9, 1)
	near(t, "nothing to stretch", Sandwich(7, 0, 8, 0, 3, 3, 100, 100, 1), 15, 1e-12)
}

// The relief does not mind how the card is turned or moved about.
func TestReliefTurned(t *testing.T) {
	rng := rand.New(rand.NewPCG(85, 86))
	for range 60 {
		parts := randomParts(rng, 1+rng.IntN(9), true)
		r := NewRelief(parts)
		turned, moved := make([]Part, len(parts)), make([]Part, len(parts))
		for i, p := range parts {
			turned[i] = p.turned()
			moved[i] = p
			moved[i].X0, moved[i].X1, moved[i].Y0, moved[i].Y1 = p.X0+13, p.X1+13, p.Y0-7, p.Y1-7
		}
		q, m := NewRelief(turned), NewRelief(moved)
		for _, other := range []Relief{q, m} {
			near(t, "greatest", other.Max, r.Max, 1e-9)
			near(t, "least", other.Min, r.Min, 1e-9)
			a, _ := r.Lump(25.4)
			b, _ := other.Lump(25.4)
			near(t, "lump", b, a, 1e-6)
		}
		near(t, "girth turned", q.Girths(true).Worst.Girth, r.Girths(false).Worst.Girth, 1e-4)
		near(t, "end-on turned", q.EndOn(true).Girth, r.EndOn(false).Girth, 1e-9)
		near(t, "pull turned", NewBeam(q, nil, 60, true, 1).Pull(), NewBeam(r, nil, 60, false, 1).Pull(), 1e-6*NewBeam(r, nil, 60, false, 1).Pull()+1e-9)
		if t.Failed() {
			return
		}
	}
}

// The part that costs most of the envelope is the one without which it takes
// least: all are tried.
func TestCostlyPart(t *testing.T) {
	rng := rand.New(rand.NewPCG(87, 88))
	for range 60 {
		parts := randomParts(rng, 2+rng.IntN(7), true)
		r := NewRelief(parts)
		for _, wide := range []bool{true, false} {
			whole := r.EndOn(wide)
			got, saved := r.Costly(wide, whole)
			best, most := -1, 0.0
			for i := range parts[1:] {
				kept := append(append([]Part(nil), parts[:i+1]...), parts[i+2:]...)
				// The face stays where it is, so that only what lies on it changes.
				if s := (whole.Girth - NewRelief(kept).EndOn(wide).Girth) / 2; s > most+1e-6 {
					best, most = i+1, s
				}
			}
			if math.Abs(saved-most) > 1e-5 {
				t.Fatalf("part %d saves %v, part %d would save %v", got, saved, best, most)
			}
		}
	}
}

// A piece that goes somewhere goes there as well when it is a little lighter.
func TestLighterNeverGoesWorse(t *testing.T) {
	rng := rand.New(rand.NewPCG(89, 90))
	rank := func(v Verdict) int {
		for i, r := range v.Results {
			if r.Class.ID == v.Class && v.Class != "" {
				return i
			}
		}
		return len(v.Results)
	}
	for range 300 {
		p := Piece{Width: in * 4 * 2, Height: in * 5, Thickness: mil * 40, Weight: 600 * rng.Float64(), SizeError: in / 16}
		lighter := p
		lighter.Weight *= rng.Float64()
		for _, b := range Rulebooks() {
			if was, now := rank(b.Judge(p)), rank(b.Judge(lighter)); now > was {
				t.Fatalf("%s: %.0f g goes as class %d, %.0f g as %d", b.ID, p.Weight, was, lighter.Weight, now)
			}
		}
	}
}

// Every check tells the truth about its own numbers.
func TestChecksAgreeWithTheirNumbers(t *testing.T) {
	rng := rand.New(rand.NewPCG(91, 92))
	for range 200 {
		p := Piece{
			Width: in * 3 * 3, Height: in * 2 * 2, Thickness: mil * 300, Weight: 300 * rng.Float64(), SizeError: in / 32, ThicknessError: mil * 5, WeightError: 3,
			Pull: 200 * rng.Float64(), Strain: 0.01 * rng.Float64(), Lump: mil * 200, Clasp: rng.IntN(2) == 0, AddressShort: rng.IntN(2) == 0, Odd: rng.IntN(2) == 0,
		}
		p.Width, p.Height = p.Width+in*3/2, p.Height+in/3
		p.PullAtMost = p.Pull * PullAtMost
		for _, b := range Rulebooks() {
			v := b.Judge(p)
			for _, r := range v.Results {
				refused := false
				for _, c := range r.Checks {
					within := (c.Min == nil || c.Measured >= float64(*c.Min)) && (c.Max == nil || c.Measured <= float64(*c.Max))
					if c.OK != (c.Margin >= 0) || c.OK != within || c.Worst > c.Margin {
						t.Fatalf("%s, %s: %+v", b.ID, r.Class.ID, c)
					}
					refused = refused || !c.OK && !c.Surcharge && !c.Guidance
				}
				if refused != (r.Outcome == Refused) {
					t.Fatalf("%s, %s is %s", b.ID, r.Class.ID, r.Outcome)
				}
			}
			if r, taken := v.Result(); taken && !r.Outcome.taken() {
				t.Fatalf("%s goes as %s, which is %s", b.ID, r.Class.ID, r.Outcome)
			}
		}
	}
}

// A bare card is as long as all that lies on it: what sticks out bends with it, and
// nothing beyond is asked to.
func TestBareCardWithWhatSticksOut(t *testing.T) {
	card := Part{X1: 150, Y1: 100, Caliper: .34, Modulus: 5, Bends: true}
	tag := Part{X0: 140, Y0: 40, X1: 170, Y1: 60, Caliper: .3, Modulus: 5, Bends: true}
	plain, tagged := NewBeam(NewRelief([]Part{card}), nil, 0, true, 1), NewBeam(NewRelief([]Part{card, tag}), nil, 0, true, 1)
	if plain.Length != 150 || tagged.Length != 170 || tagged.From != 0 {
		t.Errorf("%v and %v long, from %v", plain.Length, tagged.Length, tagged.From)
	}
	left := tag
	left.X0, left.X1 = -20, 10
	if b := NewBeam(NewRelief([]Part{card, left}), nil, 0, true, 1); b.Length != 170 || b.From != -20 {
		t.Errorf("%v long, from %v", b.Length, b.From)
	}
	for name, b := range map[string]Beam{"plain": plain, "tagged": tagged} {
		t.Run(name, func(t *testing.T) {
			for i, ei := range b.EI {
				if ei <= 0 {
					t.Errorf("%s: nothing bends at station %d", name, i)
				}
			}
			if sag := b.Sag(b.Length*0.99, 50); b.Pull() <= 0 || !(sag > 0) || math.IsInf(sag, 1) {
				t.Errorf("%s: a pull of %v, a sag of %v", name, b.Pull(), sag)
			}
		})
	}
}

// Four sheets of .34 mm glued to a stack, 7 1/4 in long: the outermost fibre lies .68 mm
// from the middle, half less an inch is 66.675 mm, an inch of bend strains it 1.166 %. Ten
// inches long and holding a slice of wood it has to bend two: 3 x 50.8 x .68 / 101.6².
func TestBentOverATable(t *testing.T) {
	stack := func(long float64, more ...Part) Beam {
		card := rect(0, 0, long, 100, 4*0.34)
		card.Bends, card.Modulus = true, 5
		return NewBeam(NewRelief(append([]Part{card}, more...)), nil, 0, true, 1)
	}
	if got := stack(7.25 * 25.4).TableStrain(); math.Abs(got-0.011656) > 1e-5 {
		t.Errorf("a stack of four: %.6f", got)
	}
	slice := rect(60, 30, 110, 80, 3)
	slice.Modulus, slice.Bends = 70, false
	if got := stack(10*25.4, slice).TableStrain(); math.Abs(got-3*50.8*0.68/(101.6*101.6)) > 1e-5 {
		t.Errorf("with something rigid, 10 long: %.6f", got)
	}
	// Four loose sheets bend each for itself: a quarter of the strain.
	loose := rect(0, 0, 7.25*25.4, 100, 4*0.34)
	loose.Bends, loose.Modulus = true, 5
	if got := NewBeam(NewRelief([]Part{loose}), nil, 0, true, 4).TableStrain(); math.Abs(got-0.011656/4) > 1e-5 {
		t.Errorf("four loose sheets: %.6f", got)
	}
}
