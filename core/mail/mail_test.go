package mail

import (
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
		{"under the least length filled, not flat", size(5*in+in/16-hair, 3*in+3*in/4), "letter", Doubtful},
		{"least length, flat", size(5*in, 3*in+3*in/4), "letter", Doubtful},
		{"under the least length", size(5*in-hair, 3*in+3*in/4), "", Refused},
		{"least height, filled", size(5*in+in/2, 3*in+in/2+in/16), "letter", Goes},
		{"under the least height filled, not flat", size(5*in+in/2, 3*in+in/2+in/16-hair), "letter", Doubtful},
		{"under the least height", size(5*in+in/2, 3*in+in/2-hair), "", Refused},
		{"greatest length", size(11*in+in/2, 5*in), "letter", Goes},
		{"over the greatest length", size(11*in+in/2+hair, 5*in), "large-envelope", Goes},
		{"greatest height", size(8*in, 6*in+in/8), "letter", Goes},
		{"over the greatest height", size(8*in, 6*in+in/8+hair), "large-envelope", Goes},
		{"greatest thickness", with(func(p *Piece) { p.Thickness = in / 4 }), "letter", Goes},
		{"over the greatest thickness", with(func(p *Piece) { p.Thickness = in/4 + hair }), "large-envelope", Goes},
		{"greatest weight", with(func(p *Piece) { p.Weight = 3.5 * Ounce }), "letter", Goes},
		{"over the greatest weight", with(func(p *Piece) { p.Weight = 3.5*Ounce + .01 }), "large-envelope", Goes},
		{"square", size(5*in+5*in/8, 5*in+5*in/8), "letter", Surcharged},
		{"least aspect", size(6*in+in/2, 5*in), "letter", Goes},
		{"under the least aspect", size(6*in+in/2-hair, 5*in), "letter", Surcharged},
		{"greatest aspect, filled", size(9*in+29*in/32, 4*in), "letter", Goes}, // 2.5 x (4 - 1/16) and 1/16
		{"over the greatest aspect filled, not flat", size(10*in, 4*in), "letter", Surcharged},
		{"over the greatest aspect", size(10*in+hair, 4*in), "letter", Surcharged},
		{"thin and large", with(func(p *Piece) { p.Thickness = 9*mil - hair }), "letter", Surcharged},
		{"just thick enough and large", with(func(p *Piece) { p.Thickness = 9 * mil }), "letter", Goes},
		{"thin and small", Piece{Width: 6 * in, Height: 4*in + in/4, Thickness: 7 * mil, Weight: 5}, "letter", Goes},
		{"too thin for anything", Piece{Width: 6 * in, Height: 4*in + in/4, Thickness: 7*mil - hair, Weight: 5}, "", Refused},
		{"greatest large envelope", Piece{Width: 15 * in, Height: 12 * in, Thickness: 3 * in / 4, Weight: 13 * Ounce}, "large-envelope", Goes},
		{"over the large envelope", Piece{Width: 15*in + hair, Height: 12 * in, Thickness: 3 * in / 4, Weight: 13 * Ounce}, "parcel", Goes},
		{"too thick for an envelope", with(func(p *Piece) { p.Thickness = 3*in/4 + hair }), "parcel", Goes},
		{"a thin box", with(func(p *Piece) { p.Box = true }), "parcel", Goes},
		{"rigid and thick", with(func(p *Piece) { p.Thickness, p.TableStrain = in/2, 0.0051 }), "parcel", Goes},
		{"bends over a table", with(func(p *Piece) { p.Thickness, p.TableStrain = in/2, 0.005 }), "large-envelope", Goes},
		{"too stiff for the drum", with(func(p *Piece) { p.Thickness, p.Pull, p.PullAtMost = in/2, 41*PoundForce, 41*PoundForce }), "large-envelope", Doubtful},
		{"length and girth", Piece{Width: 48 * in, Height: 20 * in, Thickness: 10 * in, Weight: 900}, "parcel", Goes},
		{"over length and girth", Piece{Width: 48*in + hair, Height: 20 * in, Thickness: 10 * in, Weight: 900}, "", Refused},
	} {
		t.Run(tt.name, func(t *testing.T) {
			v := us(t).Judge(tt.piece)
			r, _ := v.Result()
			if tt.outcome == Refused {
				r.Outcome = Refused
			}
			if v.Class != tt.class || r.Outcome != tt.outcome {
				t.Errorf("%s: class %q, %s; want %q, %s", tt.name, v.Class, r.Outcome, tt.class, tt.outcome)
			}
		})
	}
}

func TestUnderTheFloor(t *testing.T) {
	v := us(t).Judge(Piece{Width: 4*in + in/2, Height: 4 * in, Thickness: in / 16, Weight: 10})
	if v.Mailable || v.AskFirst || v.Class != "" {
		t.Errorf("a piece under the floor: %+v", v)
	}
	// A box is a parcel, and so is what is too long for an envelope: none is called unmailable.
	for _, p := range []Piece{{Width: 4*in + in/2, Height: 4 * in, Thickness: in / 5, Weight: 40, Box: true}, {Width: 16 * in, Height: 3 * in, Thickness: in / 8, Weight: 60}} {
		if v := us(t).Judge(p); !v.Mailable || !v.AskFirst || v.Class != "" {
			t.Errorf("a small parcel: mailable %v, ask %v, %q", v.Mailable, v.AskFirst, v.Class)
		}
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
		case AddressAspect:
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
	letter := us(t).Classes[1]
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

// A slim card's rectangle holds its aspect flat and filled, off by what a size may be.
func TestSlimRectangles(t *testing.T) {
	letter := us(t).Classes[1]
	tried := 0
	for long := 7 * in; long < 11*in; long += in / 7 {
		for _, thick := range []measure.Length{in / 32, in / 8, 3 * in / 16} {
			got := letter.PlainRectangle(long, 2*in, thick, in/32, in/16)
			if !got.OK {
				continue
			}
			tried++
			for _, off := range []measure.Length{-in / 32, 0, in / 32} {
				r, _ := us(t).Judge(Piece{Width: got.Width + off, Height: got.Height - off, Thickness: thick, Weight: 20}).Result()
				if r.Class.ID != "letter" || r.Outcome != Goes {
					t.Errorf("%v x 2, %v thick, in %v x %v, off by %v: %s %s", long, thick, got.Width, got.Height, off, r.Class.ID, r.Outcome)
				}
			}
		}
	}
	if tried < 60 {
		t.Errorf("only %d rectangles", tried)
	}
}

// What holds its size measures filled as it does flat: walls as deep as the card, a bare
// card; shallower walls lose what they are short.
func TestWhatHoldsItsSize(t *testing.T) {
	book := us(t)
	of := func(p Piece) (length, height float64) {
		l, _ := Length.Known()
		h, _ := Height.Known()
		_, length = l.Of(p)
		_, height = h.Of(p)
		return length, height
	}
	soft := Piece{Width: 6 * in, Height: 4 * in, Thickness: in / 2}
	for _, tt := range []struct {
		name  string
		holds measure.Length
		lost  measure.Length
	}{{"no walls", 0, in / 2}, {"walls half as deep", in / 4, in / 4}, {"walls as deep", in / 2, 0}, {"deeper walls", in, 0}} {
		t.Run(tt.name, func(t *testing.T) {
			p := soft
			p.Holds = tt.holds
			if l, h := of(p); l != float64(6*in-tt.lost) || h != float64(4*in-tt.lost) {
				t.Errorf("filled it is %v long and %v high", measure.Length(l), measure.Length(h))
			}
		})
	}
	// The least card of a home letter, without an envelope and a hair under 1/100 thick.
	bare := Piece{Width: 5 * in, Height: 3*in + in/2, Thickness: 10 * mil, Weight: 4, Bare: true, Holds: 10 * mil}
	if v := book.Judge(bare); !v.Mailable || v.Class == "" {
		t.Errorf("5 x 3 1/2 bare: mailable %v, class %q", v.Mailable, v.Class)
	}
}
