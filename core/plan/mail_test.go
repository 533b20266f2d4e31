package plan_test

import (
	"strings"
	"testing"

	"yellowparcel/core/blank"
	"yellowparcel/core/job"
	"yellowparcel/core/mail"
	"yellowparcel/core/measure"
	"yellowparcel/core/plan"
	"yellowparcel/demo"
)

func TestPostSentences(t *testing.T) {
	for _, tt := range []struct {
		name   string
		w, h   measure.Length
		thick  measure.Length
		short  string
		phrase string
	}{
		{"plain", 7 * in, 5 * in, in / 24, "Goes as a letter", "Goes as a letter"},
		{"square", 5 * in, 5 * in, in / 24, "Goes as a letter with a surcharge", "Square: goes as a letter"},
		{"nearly square", 5*in + in/2, 5 * in, in / 24, "Goes as a letter with a surcharge", "Nearly square"},
		{"slim", 9 * in, 3*in + in/4, in / 24, "Goes as a letter with a surcharge", "Long and slim"},
		{"square over the ceiling", 5*in + 13*in/16, 5*in + 13*in/16, in / 24, "Goes as a letter with a surcharge", "of the right shape would be over the limit"},
		{"thick", 7 * in, 5 * in, in / 3, "Goes as a large envelope", "too thick by"},
		{"tiny", 2 * in, 2 * in, in / 24, "Does not go", "Too small for any mail"},
		{"tiny and thick", 2 * in, 2 * in, in / 2, "Ask first", "Ask at the counter"},
		{"huge", 20 * in, 16 * in, in / 24, "Goes as a parcel", "too high by"},
	} {
		t.Run(tt.name, func(t *testing.T) {
			j, shop := sample()
			j.Card.Width, j.Card.Height, j.Card.Thickness = tt.w, tt.h, &tt.thick
			p := plan.Make(j, shop).Mail
			if p.Short != tt.short || !strings.Contains(p.Sentence.Text, tt.phrase) {
				t.Errorf("%s: %s: %s", tt.name, p.Short, p.Sentence.Text)
			}
		})
	}
}

// The same square card elsewhere: plain in the United Kingdom, large in Germany.
func TestPostElsewhere(t *testing.T) {
	for _, tt := range []struct{ to, short, says string }{
		{"uk-inland", "Goes as a letter", "Goes as a letter."},
		{"germany-home", "Goes as a large letter", "Goes as a large letter: too high by "},
		{job.ByHand, "By hand", "Given by hand"},
	} {
		t.Run(tt.to, func(t *testing.T) {
			j, shop := sample()
			shop.Unit = measure.Millimetres
			j.Mail.Destination = tt.to
			p := plan.Make(j, shop).Mail
			if p.Short != tt.short || !strings.Contains(p.Sentence.Text, tt.says) {
				t.Errorf("%s: %s: %s", tt.to, p.Short, p.Sentence.Text)
			}
		})
	}
}

// Guidance is no rule: what only guidance says costs a surcharge perhaps, and no
// rectangle is offered against it.
func TestGuidanceIsNoRule(t *testing.T) {
	j, shop := moon(t)
	j.Parts = append(j.Parts[:4:4], j.Parts[5:]...) // without the knot
	p := plan.Make(j, shop)
	if p.Mail.Short != "Ask first: letter, surcharge?" || !strings.Contains(p.Mail.Sentence.Text, "it may pay a surcharge. Too lumpy by") || p.Envelope.Comparison.Rectangle != "" {
		t.Errorf("%s: %s %s", p.Mail.Short, p.Mail.Sentence.Text, p.Envelope.Comparison.Rectangle)
	}
	j = demo.Jobs()[1]
	j.Mail.Closure = "clasp"
	if p := plan.Make(j, shop); p.Mail.Short != "Goes as a letter with a surcharge" || !strings.Contains(p.Mail.Sentence.Text, "closed by clasp, string or button") {
		t.Errorf("with a clasp: %s %s", p.Mail.Short, p.Mail.Sentence.Text)
	}
}

// The plain rectangle is one size wherever it is told, and what is made of it
// posts as promised, in light paper and in heavy.
func TestOneRectangleEverywhere(t *testing.T) {
	for _, stock := range []string{"copy-80", "kraft-120", "pattern-200"} {
		for _, id := range []blank.ID{blank.DiamondID, blank.PocketID} {
			j, shop := demo.Jobs()[0], demo.Shop()
			j.Envelope.Stock, j.Envelope.Construction = stock, id
			p := plan.Make(j, shop)
			r, ok := remedyOf(p, "rectangle")
			size := p.Mail.Rectangle
			if !ok || size == nil {
				t.Fatalf("%s, %s: no rectangle", id, stock)
			}
			text := size.Width.Text + " × " + size.Height.Text
			if !strings.Contains(r.Title, text) || !strings.Contains(p.Envelope.Comparison.Rectangle, text) {
				t.Errorf("%s, %s: %s; %s; %s", id, stock, text, r.Title, p.Envelope.Comparison.Rectangle)
			}
			j.Envelope.Mailable = true
			if made := plan.Make(j, shop); made.Mail.Short != "Goes as a letter" || made.Envelope.Blank.Closed.Width.Nm < size.Width.Nm-in/16 {
				t.Errorf("%s, %s: made it goes as %s, %s wide", id, stock, made.Mail.Short, made.Envelope.Blank.Closed.Width.Text)
			}
		}
	}
}

// Why no class takes a piece is always said, also where the last class is for
// larger ones only.
func TestWhyNoClassTakesIt(t *testing.T) {
	j, shop := demo.Jobs()[3], demo.Shop() // slim and flat
	j.Mail.Bare, j.Mail.Destination = true, "us-abroad"
	j.Card.Width, j.Card.Height, j.Card.Outline = 6*in, 4*in, blank.Polygon{{X: 0, Y: 0}, {X: 150, Y: 0}, {X: 75, Y: 100}}
	p := plan.Make(j, shop)
	if want := "Goes as a parcel: not a rectangle for a letter."; p.Mail.Sentence.Text != want {
		t.Errorf("%s", p.Mail.Sentence.Text)
	}
	j.Card.Outline, j.Card.Width, j.Mail.Destination = nil, 20*in, "uk-inland"
	p = plan.Make(j, shop)
	if want := "Does not go as a letter: too long by 155 mm (6.102 in) even for a large letter. Ask for a parcel."; p.Mail.Sentence.Text != want {
		t.Errorf("%s", p.Mail.Sentence.Text)
	}
	j.Card.Width, j.Card.Outline = 6*in, blank.Polygon{{X: 0, Y: 0}, {X: 150, Y: 0}, {X: 75, Y: 100}}
	own, err := mail.ReadFile([]byte(`{"id": "own", "region": "Hilltop", "service": "home mail", "source": "", "confidence": "made up", "classes": [
		{"id": "slip", "name": "slip", "limits": [{"measure": "weight", "max": "1 kg"}, {"measure": "odd", "max": "no"}]},
		{"id": "ocean", "name": "ocean bag", "over": "slip", "limits": [{"measure": "length", "max": "20 in"}]}]}`))
	if err != nil {
		t.Fatal(err)
	}
	shop.Rulebooks, j.Mail.Destination = []job.OwnRulebook{{File: own}}, "own"
	p = plan.Make(j, shop)
	if want := "Does not go as a letter: not a rectangle for a slip, and too small or light for an ocean bag. Ask for a parcel."; p.Mail.Sentence.Text != want {
		t.Errorf("%s", p.Mail.Sentence.Text)
	}
	// Too thin for any mail, a larger envelope is no help.
	thin := in / 200
	j.Card.Outline, j.Card.Thickness, j.Mail.Destination = nil, &thin, "us-domestic"
	if p = plan.Make(j, shop); !strings.Contains(p.Mail.Sentence.Text, "A heavier paper would do") {
		t.Errorf("%s", p.Mail.Sentence.Text)
	}
}
