package mail

import (
	"math"
	"testing"
)

// sheets of card, 7 x 5 in and 0.34 mm thick, glued or loose.
func pack(n int, loose bool) Relief {
	var parts []Part
	for i := range n {
		p := rect(0, 0, 7*25.4, 5*25.4, 0.34)
		p.Loose = loose && i > 0
		parts = append(parts, p)
	}
	return NewRelief(parts)
}

// One to four sheets glued: .142, 1.14, 3.83, 9.09 lb; glued EI goes with the
// cube, loose with the number.
func TestPullOfUniformBeams(t *testing.T) {
	for i, want := range []float64{.142, 1.14, 3.83, 9.09} {
		n := i + 1
		b := NewBeam(pack(n, false), nil, 7*25.4, true, 1)
		near(t, "glued", b.Pull()/PoundForce, want, want*0.005)
		thick := 0.34 * float64(n)
		ei := 5e3 * 127 * thick * thick * thick / 12
		near(t, "closed form", b.Pull(), 9.6*ei/(177.8*177.8), 1e-6*ei)
		near(t, "strain", b.Strain, thick/2/DrumRadius, 1e-9)
		loose := NewBeam(pack(n, true), nil, 7*25.4, true, 1)
		near(t, "loose", loose.Pull()/PoundForce, .142*float64(n), .001*float64(n))
	}
	// A folded card's two panels lie loosely on each other.
	folded := NewRelief([]Part{rect(0, 0, 177.8, 127, 0.68)})
	near(t, "folded", NewBeam(folded, nil, 177.8, true, 2).Pull()/PoundForce, 2*.142, .001)
	// Solid board over 1.4 mm strains its fibres by more than half a percent.
	board := NewRelief([]Part{rect(0, 0, 177.8, 127, 1.4)})
	near(t, "board", NewBeam(board, nil, 177.8, true, 1).Strain, .005, .0001)
}

// Layers of different stuffs and breadths bend about one axis.
func TestGluedPlies(t *testing.T) {
	g := group{plies: []ply{{100, 0, 1, 2, true}, {50, 1, 2, 8, false}}}
	ei, ea, at := g.axis()
	a1, a2 := 2e3*100*1.0, 8e3*50*2.0
	axis := (a1*0.5 + a2*2) / (a1 + a2)
	want := 2e3*100*(1.0/12+math.Pow(axis-.5, 2)) + 8e3*50*2*(4.0/12+math.Pow(axis-2, 2))
	near(t, "axis", at, axis, 1e-12)
	near(t, "EA", ea, a1+a2, 1e-6)
	near(t, "EI", ei, want, 1e-6)
	// What need not bend strains nothing.
	near(t, "outer fibre", g.outer(), 0.5, 1e-12)
}

// Foam that does not give makes one plate of two faces, foam that gives nothing
// leaves them as they are, and the default lies between.
func TestSandwich(t *testing.T) {
	const ei, ea, d = 1000.0, 5e4, 3.0
	whole := 2*ei + ea/2*d*d
	near(t, "stiff foam", Sandwich(ei, ea, ei, ea, d, 0, 100, 180, 1), whole, 1e-9)
	near(t, "soft foam", Sandwich(ei, ea, ei, ea, d, 3, 100, 180, 1e-12), 2*ei, 0.01)
	got := Sandwich(ei, ea, ei, ea, d, 3, 100, 180, FoamCover)
	s := FoamCover * foamShear * 1e3 * 100 * d * d / 3
	eta := 1 / (1 + 9.6*(ea/2*d*d)/(s*180*180))
	near(t, "foam", got, 2*ei+eta*(ea/2*d*d), 1e-9)
	if got <= 2*ei || got >= whole {
		t.Errorf("%v lies not between %v and %v", got, 2*ei, whole)
	}
	// On the card: a panel on foam is stiffer than loose and less than glued flat.
	base := rect(0, 0, 177.8, 127, 0.34)
	panel := func(foam float64, loose bool) float64 {
		p := rect(0, 0, 177.8, 127, 0.34+foam)
		p.Foam, p.Loose = foam, loose
		return NewBeam(NewRelief([]Part{base, p}), nil, 177.8, true, 1).Pull()
	}
	if loose, foam := panel(0, true), panel(1.6, false); foam <= loose || foam >= 40*loose {
		t.Errorf("loose %v, on foam %v", loose, foam)
	}
}

// The pull of a stepped beam converges to that of its closed form: a stiff half
// in the middle.
func TestPullConverges(t *testing.T) {
	const l, soft, stiff = 180.0, 1000.0, 8000.0
	// ∫ x²(l−x)/4 dx over a stretch.
	part := func(a, b float64) float64 {
		f := func(x float64) float64 { return l*x*x*x/12 - x*x*x*x/16 }
		return f(b) - f(a)
	}
	bow := 2*part(0, l/4)/soft + 2*part(l/4, l/2)/stiff
	want := l * l / 8 / bow
	for _, n := range []int{20, 120, 1200} {
		b := Beam{Length: l}
		for i := range n {
			x := l * (float64(i) + 0.5) / float64(n)
			ei := soft
			if x > l/4 && x < l*3/4 {
				ei = stiff
			}
			b.EI = append(b.EI, ei)
		}
		near(t, "stepped", b.Pull(), want, want*1e-9)
	}
	// Where the stiffness changes all along, as under a disc, stations converge.
	pull := func(n int) float64 {
		b := Beam{Length: l}
		for i := range n {
			x := l * (float64(i) + 0.5) / float64(n)
			half := math.Sqrt(math.Max(0, 40*40-(x-90)*(x-90)))
			b.EI = append(b.EI, soft+half*200)
		}
		return b.Pull()
	}
	fine := pull(20_000)
	if a, b := math.Abs(pull(30)-fine), math.Abs(pull(stations)-fine); b > a || b > fine*0.02 {
		t.Errorf("off by %v with 30 stations, %v with %d, of %v", a, b, stations, fine)
	}
}

func TestHomeTests(t *testing.T) {
	b := NewBeam(pack(2, false), nil, 177.8, true, 1)
	const grams = 12.0
	uniform := b.EI[0]
	delta := b.Droop(100, grams)
	near(t, "droop", delta, grams/177.8/1e3*Gravity*math.Pow(100, 4)/(8*uniform), delta*1e-3)
	near(t, "EI from a droop", DroopEI(grams/177.8, 100, delta), uniform, uniform*1e-3)
	sag := b.Sag(150, 200)
	near(t, "EI from a sag", SagEI(150, 200, sag), uniform, uniform*1e-3)
	// Measured twice as limp, it is half as stiff everywhere and pulls half.
	limp := b.Scaled(delta, 2*delta)
	near(t, "scaled", limp.Pull(), b.Pull()/2, 1e-9)
	near(t, "its droop", limp.Droop(100, grams), 2*delta, 1e-9)
}

func TestRigidPartsLiftAndStiffestIsMarked(t *testing.T) {
	charm := disc(60, 60, 12, 2)
	charm.Modulus = 70
	b := NewBeam(NewRelief([]Part{rect(0, 0, 177.8, 127, 0.34), charm}), nil, 180, true, 1)
	if b.Rigid != 1 || b.RigidLength != 24 {
		t.Errorf("part %d, %v mm long", b.Rigid, b.RigidLength)
	}
	near(t, "lift", b.Lift(), 24*24/(8*DrumRadius), 1e-9)
	if at, _ := b.Stiffest(); math.Abs(at-61.1) > 3 {
		t.Errorf("stiffest at %v", at)
	}
	plain := NewBeam(pack(1, false), []Sheet{{0, 180, 130, 0.1, 4, 4}}, 180, true, 1)
	if bare := NewBeam(pack(1, false), nil, 177.8, true, 1); plain.Rigid != 0 || plain.Pull() <= bare.Pull()*.9 {
		t.Errorf("in an envelope it pulls %v, bare %v", plain.Pull(), bare.Pull())
	}
}
