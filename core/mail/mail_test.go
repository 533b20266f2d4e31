package mail

import (
	"math"
	"strings"
	"testing"

	"yellowparcel/core/measure"
)

const (
	in  = measure.Inch
	mil = measure.Inch / 1000
)

func us(t *testing.T) Rulebook {
	t.Helper()
	b, ok := RulebookByID("us-domestic")
	if !ok {
		t.Fatal("no rulebook us-domestic")
	}
	return b
}

func TestRulebooksAreSound(t *testing.T) {
	for _, b := range Rulebooks() {
		if b.ID == "" || b.Region == "" || b.Service == "" || b.Source == "" || b.Confidence == "" {
			t.Errorf("%+v lacks something that a reader needs", b)
		}
		ids := map[string]bool{"": true}
		for _, c := range b.Classes {
			if ids[c.ID] || c.Name == "" || len(c.Limits) == 0 {
				t.Errorf("%s: class %q repeats an ID or has no name or limits", b.ID, c.ID)
			}
			if !ids[c.BeyondClass] {
				t.Errorf("%s: class %s goes beyond %q, which does not stand before it", b.ID, c.ID, c.BeyondClass)
			}
			if (c.Surcharge == "") != (len(c.SurchargeLimits) == 0) {
				t.Errorf("%s: class %s has a surcharge without limits or limits without a name", b.ID, c.ID)
			}
			ids[c.ID] = true
		}
	}
}

// Pieces at, just inside and just outside every limit of the letter and of the
// large envelope.
func TestUSLimits(t *testing.T) {
	letter := Piece{Width: 7 * in, Height: 5 * in, Thickness: in / 16, Weight: 20}
	with := func(change func(*Piece)) Piece {
		p := letter
		change(&p)
		return p
	}
	const hair = measure.Micrometre
	size := func(w, h measure.Length) Piece {
		return with(func(p *Piece) { p.Width, p.Height = w, h })
	}
	for _, tt := range []struct {
		name    string
		piece   Piece
		class   string
		outcome Outcome
	}{
		{"a plain letter", letter, "letter", Goes},
		{"the same, on its short edge", size(5*in, 7*in), "letter", Goes},
		{"least length, filled", size(5*in+in/16, 3*in+3*in/4), "letter", Goes},
		{"under the least length", size(5*in+in/16-hair, 3*in+3*in/4), "", Refused},
		{"least height, filled", size(5*in+in/2, 3*in+in/2+in/16), "letter", Goes},
		{"under the least height", size(5*in+in/2, 3*in+in/2+in/16-hair), "", Refused},
		{"greatest length", size(11*in+in/2, 5*in), "letter", Goes},
		{"over the greatest length", size(11*in+in/2+hair, 5*in), "large-envelope", Goes},
		{"greatest height", size(8*in, 6*in+in/8), "letter", Goes},
		{"over the greatest height", size(8*in, 6*in+in/8+hair), "large-envelope", Goes},
		{"greatest thickness", with(func(p *Piece) { p.Thickness = in / 4 }), "letter", Goes},
		{"over the greatest thickness", with(func(p *Piece) { p.Thickness = in/4 + hair }), "large-envelope", Goes},
		{"greatest weight", with(func(p *Piece) { p.Weight = 3.5 * ounce }), "letter", Goes},
		{"over the greatest weight", with(func(p *Piece) { p.Weight = 3.5*ounce + .01 }), "large-envelope", Goes},
		{"square", size(5*in+5*in/8, 5*in+5*in/8), "letter", Surcharged},
		{"least aspect", size(6*in+in/2, 5*in), "letter", Goes},
		{"under the least aspect", size(6*in+in/2-hair, 5*in), "letter", Surcharged},
		{"greatest aspect", size(10*in, 4*in), "letter", Goes},
		{"over the greatest aspect", size(10*in+hair, 4*in), "letter", Surcharged},
		{"thin and large", with(func(p *Piece) { p.Thickness = 9*mil - hair }), "letter", Surcharged},
		{"just thick enough and large", with(func(p *Piece) { p.Thickness = 9 * mil }), "letter", Goes},
		{"thin and small", Piece{Width: 6 * in, Height: 4*in + in/4, Thickness: 7 * mil, Weight: 5}, "letter", Goes},
		{"too thin for anything", Piece{Width: 6 * in, Height: 4*in + in/4, Thickness: 7*mil - hair, Weight: 5}, "", Refused},
		{"greatest large envelope", Piece{Width: 15 * in, Height: 12 * in, Thickness: 3 * in / 4, Weight: 13 * ounce}, "large-envelope", Goes},
		{"over the large envelope", Piece{Width: 15*in + hair, Height: 12 * in, Thickness: 3 * in / 4, Weight: 13 * ounce}, "", Refused},
		{"too thick for any", with(func(p *Piece) { p.Thickness = 3*in/4 + hair }), "", Refused},
	} {
		v := us(t).Judge(tt.piece)
		r, _ := v.Result()
		if tt.outcome == Refused {
			r.Outcome = Refused
		}
		if v.Class != tt.class || r.Outcome != tt.outcome {
			t.Errorf("%s: class %q, %s; want %q, %s", tt.name, v.Class, r.Outcome, tt.class, tt.outcome)
		}
	}
}

// Every limit of every class of every rulebook: a piece at the limit is taken,
// one a hair outside is not, with all other measures well inside.
func TestEveryLimitOfEveryClass(t *testing.T) {
	for _, book := range Rulebooks() {
		for i, class := range book.Classes {
			for _, l := range class.Limits {
				for _, bound := range []struct {
					q    *Quantity
					sign float64
				}{{l.Min, -1}, {l.Max, 1}} {
					if bound.q == nil {
						continue
					}
					at, outside := pieceAt(class, l.Measure, float64(*bound.q)), pieceAt(class, l.Measure, float64(*bound.q)+bound.sign*hairOf(l.Measure))
					if r := book.Judge(at).Results[i]; r.Outcome == Refused {
						t.Errorf("%s, %s: %s at its limit of %v is refused: %+v", book.ID, class.ID, l.Measure, *bound.q, r.Checks)
					}
					r := book.Judge(outside).Results[i]
					if r.Outcome != Refused {
						t.Errorf("%s, %s: %s just outside %v is %s", book.ID, class.ID, l.Measure, *bound.q, r.Outcome)
					}
					for _, c := range r.Checks {
						if !c.OK && !c.Surcharge && c.Measure != l.Measure {
							t.Errorf("%s, %s: moving %s breaks %s", book.ID, class.ID, l.Measure, c.Measure)
						}
					}
				}
			}
		}
	}
}

func hairOf(m Measure) float64 {
	switch m {
	case Weight:
		return 0.01
	case Aspect:
		return 0.001
	}
	return float64(measure.Micrometre)
}

// pieceAt is a piece in the middle of a class with one measure at a value. It
// is so thin that filled and flat are alike, but for the limits of thickness.
func pieceAt(c Class, m Measure, v float64) Piece {
	mm := measure.Millimetre
	p := Piece{Width: 180 * mm, Height: 115 * mm, Thickness: measure.Inch / 100, Weight: 10}
	if c.BeyondClass != "" {
		p.Width, p.Height = 350*mm, 200*mm
	}
	switch m {
	case Thickness:
		p.Thickness = measure.Round(v)
		p.Width, p.Height = p.Width+p.Thickness, p.Height+p.Thickness/2
	case Weight:
		p.Weight = v
	case Length:
		p.Width = measure.Round(v)
		if v < float64(160*mm) { // least: held against the filled piece
			p.Width += p.Thickness
		}
		p.Height = min(p.Height, p.Width*5/7)
	case Height:
		p.Height = measure.Round(v)
		if v < float64(100*mm) {
			p.Height += p.Thickness
		}
		p.Width = max(p.Width, p.Height*71/50)
		if v > float64(170*mm) { // classes this large do not mind the shape
			p.Width = p.Height * 9 / 8
		}
	case Aspect:
		p.Width = measure.Round(v * float64(p.Height))
	}
	return p
}

func TestUnderTheFloor(t *testing.T) {
	v := us(t).Judge(Piece{Width: 4*in + in/2, Height: 4 * in, Thickness: in / 16, Weight: 10})
	if v.Mailable || v.AskFirst || v.Class != "" {
		t.Errorf("a piece under the floor: %+v", v)
	}
	v = us(t).Judge(Piece{Width: 4*in + in/2, Height: 4 * in, Thickness: in / 3, Weight: 10})
	if !v.Mailable || !v.AskFirst {
		t.Errorf("a thick piece under the floor: mailable %v, ask %v", v.Mailable, v.AskFirst)
	}
}

func TestChecksCarryMarginAndError(t *testing.T) {
	p := Piece{Width: 6*in + in/2, Height: 5 * in, Thickness: in / 16, Weight: 20, SizeError: in / 16}
	r, ok := us(t).Judge(p).Result()
	if !ok {
		t.Fatal("no class")
	}
	for _, c := range r.Checks {
		switch c.Measure {
		case Length:
			if want := float64(6*in + in/2 - in/16 - 5*in); c.Margin != want || c.Worst != want-float64(in/16) {
				t.Errorf("length: margin %v, worst %v; want %v less 1/16", c.Margin, c.Worst, want)
			}
		case Height:
			if want := float64(6*in + in/8 - 5*in); c.Margin != want {
				t.Errorf("height: margin %v, want %v", c.Margin, want)
			}
		case Aspect:
			if c.Margin > 1e-12 || !c.OK || c.Worst >= 0 {
				t.Errorf("aspect at its limit: %+v", c)
			}
			if want := (6.5625/4.9375 - 1.3) * 0.95; -c.Worst < want {
				t.Errorf("aspect error is %v, want about %v", -c.Worst, want)
			}
		}
	}
}

func TestPlainRectangle(t *testing.T) {
	letter := us(t).Classes[0]
	side := 5*in + 5*in/8
	if got := letter.PlainRectangle(side, side, 0, 0, in/8); !got.OK || got.Width != 7*in+3*in/8 || got.Height != side {
		t.Errorf("without error: %+v", got)
	}
	if got := letter.PlainRectangle(side, side, 0, in/32, in/8); !got.OK || got.Width != 7*in+in/2 || got.Height != side {
		t.Errorf("5 3/8 square, ease 1/4: %+v, want 7 1/2 x 5 5/8", got)
	}
	if got := letter.PlainRectangle(6*in+in/4, 6*in+in/4, 0, in/32, in/16); got.OK || got.Why != Height {
		t.Errorf("above the ceiling: %+v", got)
	}
	if got := letter.PlainRectangle(2*in, 2*in, in/16, in/32, in/16); !got.OK || got.Height < 3*in+in/2+in/16 || got.Width < 5*in+in/16 {
		t.Errorf("a tiny card: %+v", got)
	}
	if got := letter.PlainRectangle(10*in, 3*in, 0, 0, in/16); !got.OK || got.Height != 4*in {
		t.Errorf("a long card: %+v", got)
	}
	if got := letter.PlainRectangle(12*in, 3*in, 0, 0, in/16); got.OK || got.Why != Length {
		t.Errorf("a card longer than any letter: %+v", got)
	}
	// Whatever the rectangle, the class takes it without a surcharge.
	for s := 2 * in; s < 7*in; s += in / 7 {
		got := letter.PlainRectangle(s, s, in/16, in/32, in/16)
		if !got.OK {
			continue
		}
		for _, off := range []measure.Length{-in / 32, 0, in / 32} {
			r, _ := us(t).Judge(Piece{Width: got.Width + off, Height: got.Height - off, Thickness: in / 16, Weight: 20}).Result()
			if r.Class.ID != "letter" || r.Outcome != Goes {
				t.Errorf("%v square in %v x %v, off by %v: %s %s", s, got.Width, got.Height, off, r.Class.ID, r.Outcome)
			}
		}
	}
}

func TestBrokenRulebooksAreRefused(t *testing.T) {
	for _, tt := range []struct{ file, says string }{
		{`{`, "unexpected end"},
		{`{"id": "x"}`, "no class"},
		{`{"classes": [{"id": "l", "limits": [{"measure": "length", "min": "9 in", "max": "5 in"}]}]}`, "is more than the most"},
		{`{"classes": [{"id": "l", "limits": [{"measure": "length", "min": "9"}]}]}`, "no unit"},
		{`{"classes": [{"id": "l", "limits": [{"measure": "weight", "max": "3 stone"}]}]}`, "g, kg or oz"},
		{`{"classes": [{"id": "l", "limits": [{"measure": "aspect", "max": "tall"}]}]}`, "not a number"},
		{`{"classes": [{"id": "l", "limits": [{"measure": "smell", "max": "3"}]}]}`, "not something that is measured"},
		{`{"classes": [{"id": "l", "limits": [{"measure": "aspect"}]}]}`, "no limit"},
		{`{"classes": [{"id": "l", "limits": [{"measure": "aspect", "max": "2", "when": [{"measure": "height", "over": "x"}]}]}]}`, "when height"},
		{`{"floor": {"limits": [{"measure": "aspect"}]}, "classes": [{"id": "l"}]}`, "floor"},
	} {
		if _, err := readRulebook([]byte(tt.file)); err == nil || !strings.Contains(err.Error(), tt.says) {
			t.Errorf("%s: %v, want it to speak of %q", tt.file, err, tt.says)
		}
	}
	q, err := quantity(Weight, "2 kg")
	if err != nil || q != 2000 {
		t.Errorf("2 kg = %v, %v", q, err)
	}
	if q, _ := quantity(Weight, "1 oz"); math.Abs(float64(q)-28.35) > .01 {
		t.Errorf("1 oz = %v g", q)
	}
}
