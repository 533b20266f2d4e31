package mail

import (
	"fmt"
	"math"
	"math/rand/v2"
	"testing"

	"yellowparcel/core/measure"
	"yellowparcel/internal/golden"
)

// randomCard is a card with papers, foam, things and an insert on it, some of them
// sticking out, loose, draping or stiff.
func randomCard(r *rand.Rand) []Part {
	w, h := 60+float64(r.IntN(160)), 60+float64(r.IntN(120))
	var parts []Part
	for i := range 1 + r.IntN(3) {
		p := rect(0, 0, w, h, 0.2+float64(r.IntN(6))/10)
		p.Loose, p.Bends, p.Grams = i > 0 && r.IntN(2) == 0, true, 5+float64(r.IntN(9))
		p.Modulus = []float64{2, 3.5, 5}[r.IntN(3)]
		parts = append(parts, p)
	}
	for range r.IntN(7) {
		x, y := float64(r.IntN(int(w)))-4, float64(r.IntN(int(h)))-4
		p := rect(x, y, x+3+float64(r.IntN(70)), y+3+float64(r.IntN(50)), 0.1+float64(r.IntN(40))/10)
		if r.IntN(3) == 0 {
			p = disc(x+8, y+8, 2+float64(r.IntN(14)), p.Caliper)
		}
		if r.IntN(3) == 0 {
			p.Foam = p.Caliper * 0.8
		}
		p.Draping, p.Free, p.Bends, p.Loose = r.IntN(4) == 0, r.IntN(4) > 0, r.IntN(2) == 0, r.IntN(5) == 0
		p.Modulus, p.Grams = []float64{0, 0.5, 3, 70}[r.IntN(4)], float64(r.IntN(60))/10
		parts = append(parts, p)
	}
	return parts
}

// What is found of a card, how it bends, and what is to be left off, is what it was on
// the day that it was written down.
func TestReliefsAreTheSame(t *testing.T) {
	r := rand.New(rand.NewPCG(12, 2))
	var lines []string
	for range 150 {
		c := NewRelief(randomCard(r))
		rise, part := c.Lump(25.4)
		near, nearest := c.Lump(4 + 20*r.Float64())
		x0, y0, x1, y1 := c.Outer()
		lines = append(lines, fmt.Sprintf("%d parts: %s high at %s, chain %v; rise %s of %d, %s of %d; outer %s; uneven %s, here %s", len(c.Parts),
			golden.Numbers(c.Max, c.Min), golden.Numbers(c.At.X, c.At.Y), c.Chain, golden.Number(rise), part, golden.Number(near), nearest,
			golden.Numbers(x0, y0, x1, y1), golden.Number(c.Uneven(10, 12, 50, 44)), golden.Number(c.Height(20, 30))))
		for _, wide := range []bool{true, false} {
			g := c.Girths(wide)
			costly, saved := c.Costly(wide, g.EndOn)
			lines = append(lines, fmt.Sprintf("  girths %s at %s in %d steps and %d corners, the costly %d saves %s", golden.Numbers(g.EndOn.Room(), g.Worst.Room()), golden.Number(g.Worst.At),
				len(g.Worst.Steps), len(g.Worst.Hull), costly, golden.Number(saved)))
			length := 0.0
			if r.IntN(2) == 0 {
				length = x1 - x0 + 30
			}
			sheets := []Sheet{{From: 0, To: 40, Breadth: 60, Caliper: 0.11, Modulus: 5, Times: 2}, {From: 10, To: 160, Breadth: 90, Caliper: 0.1, Modulus: 4, Times: 1}}
			b := NewBeam(c, sheets[:r.IntN(3)], length, wide, 1+r.IntN(3))
			at, most := b.Stiffest()
			sum := 0.0
			for _, ei := range b.EI {
				sum += ei
			}
			k := b.Scaled(2, 3)
			lines = append(lines, "  beam "+golden.Numbers(b.Length, b.From, sum, b.Strain, b.Pull(), at, most, b.Lift(), b.RigidLength, float64(b.Rigid), b.Droop(b.Length/3, 30), b.Sag(b.Length/2, 20), k.Pull()))
		}
		grams := 0.0
		for _, p := range c.Parts {
			grams += p.Grams
		}
		for _, a := range []Allowed{{c.Max * 0.6, grams, math.Inf(1), 25.4}, {c.Max * 0.8, grams * 0.7, math.Inf(1), 25.4}, {c.Max, grams, rise * 0.5, 25.4}} {
			off, ok := c.LeaveOff(a)
			lines = append(lines, fmt.Sprintf("  leave off %v (%v): covers %s, proven %v, left %s", off.Parts, ok, golden.Number(off.Area), off.Proven, golden.Number(c.Without(off.Parts))))
			few, ok := c.LeaveOffIn(a, 3)
			lines = append(lines, fmt.Sprintf("  in three looks %v (%v), proven %v", few.Parts, ok, few.Proven))
		}
	}
	golden.Check(t, "reliefs", lines)
}

// Every shipped rulebook says of a piece what it said.
func TestVerdictsAreTheSame(t *testing.T) {
	r := rand.New(rand.NewPCG(12, 3))
	var lines []string
	for range 260 {
		length := func(least, most int) measure.Length {
			return measure.Length(least+r.IntN(most-least)) * measure.Millimetre / 2
		}
		p := Piece{
			Width: length(150, 560), Height: length(100, 420), Thickness: length(1, 60) / 3, Weight: float64(r.IntN(900)) / 5, SizeError: measure.Millimetre, ThicknessError: measure.Millimetre / 4,
			WeightError: 2, Lump: length(0, 16), Uneven: length(0, 16), Pull: float64(r.IntN(260)), Strain: float64(r.IntN(9)) / 1000, Radius: length(0, 20),
			AddressShort: r.IntN(4) == 0, Odd: r.IntN(9) == 0, Clasp: r.IntN(9) == 0, Plastic: r.IntN(9) == 0, Bare: r.IntN(6) == 0, Folded: r.IntN(2) == 0,
		}
		if r.IntN(5) == 0 {
			p.Height = p.Width + length(0, 4)
		}
		p.PullAtMost = p.Pull * 1.5
		books := Rulebooks()
		b := books[r.IntN(len(books))]
		v := b.Judge(p)
		line := fmt.Sprintf("%s: “%s” mailable %v, ask %v:", b.ID, v.Class, v.Mailable, v.AskFirst)
		for _, k := range append([]ClassResult{{Checks: v.Floor}}, v.Results...) {
			line += fmt.Sprintf(" [%s", k.Outcome)
			for _, c := range k.Checks {
				line += " " + golden.Numbers(c.Measured, c.Margin, c.Worst)
				if c.Filled {
					line += "f"
				}
			}
			line += "]"
		}
		need := length(40, 300)
		q := v.Rulebook.Enveloped().PlainRectangle(need, length(40, 260), p.Thickness, p.SizeError, measure.Millimetre/2)
		lines = append(lines, line+fmt.Sprintf(" rectangle %v x %v %v %s", q.Width, q.Height, q.OK, q.Why))
	}
	golden.Check(t, "verdicts", lines)
}
