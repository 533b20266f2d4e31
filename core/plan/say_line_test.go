package plan_test

import (
	"strings"
	"testing"

	"yellowparcel/core/job"
	"yellowparcel/core/plan"
	"yellowparcel/demo"
)

// What was understood is told in short words, what was not where it stands.
func TestSayingInWords(t *testing.T) {
	shop := demo.Shop()
	for _, tt := range []struct{ text, chips, unread string }{
		{"5 3/8 square, 3 layers, 12 cards, to the UK", "Card 5 3⁄8 × 5 3⁄8|3 layers|12 cards|United States, abroad", ""},
		{"what fits A7", "You have A7", ""},
		{"card 14 x 10 cm, 6 mm thick, by hand", "Card 140 mm × 100 mm|Thickness, closed 6 mm|By hand", ""},
		{"from letter, top fold", "From Letter|Top fold", ""},
		{"8 3/4 square, score 3 and 8 3/8", "8 3/4: sheet|square: square|3: score|8 3/8: score", ""},
		{"6 x 8 envelope, kraft, a liner, a layer, border 1/8, 2 gems 3 mm", "Your envelope, 6 × 8|Kraft 120 gsm|A liner|1 layer|Borders 1⁄8|Gem, small, 2 pieces, 3 mm thick", ""},
		{"5 x 7 in an A7 envelope, pocket, without envelope, “Dome day”", "Card 5 × 7|In A7|Tabbed pocket|Without envelope|Named “Dome day”", ""},
		{"kraft envelope, 6 panels, add a layer, remove a brad, seam 5/8", "Envelope of Kraft 120 gsm|6 panels|Add 1 layer|Remove brass star brad|Seam wanted 5⁄8", ""},
		{"no layers, without a liner", "No layers|Remove a liner", ""},
		{"5 x 7, acordion, 9", "Card 5 × 7", "acordion (accordion)|9 Say what it is: thick, seam, border, cards."},
		{"5 x 7, from legal", "Card 5 × 7", "legal It is not on your shelf: add that sheet there."},
		{"5 x 7, 6 x 8", "Card 5 × 7", "6 x 8 The line says “5 x 7” already."},
		{"", "", ""},
	} {
		t.Run(tt.text, func(t *testing.T) {
			s := plan.Say(tt.text, job.NewJob(shop), shop, false)
			var chips, unread []string
			whole := ""
			for _, c := range s.Chips {
				chips = append(chips, c.Text)
			}
			for _, part := range s.Text {
				if whole += part.Text; part.Unread {
					text := part.Text
					if part.Near != "" {
						text += " (" + part.Near + ")"
					}
					unread = append(unread, strings.TrimSpace(text+" "+part.Why))
				}
			}
			if got := strings.Join(chips, "|"); got != tt.chips {
				t.Errorf("understood %s", got)
			}
			if got := strings.Join(unread, "|"); got != tt.unread {
				t.Errorf("not understood %s", got)
			}
			if whole != tt.text {
				t.Errorf("the stretches make %q", whole)
			}
		})
	}
}

// What cannot be done is told at the very thing, and the rest can be done.
func TestSayingWhatCannotBeDone(t *testing.T) {
	shop := demo.Shop()
	if s := plan.Say("border 1/8, 1 layer, 5 x 7", job.NewJob(shop), shop, false); !s.Whole {
		t.Errorf("said in another order: %+v", s.Chips)
	}
	s := plan.Say("5 x 7, border 4, 12 cards, 1 layer", job.NewJob(shop), shop, false)
	if s.Whole || !strings.Contains(s.Chips[1].Why, "leaves nothing") || s.Chips[0].Why != "" || s.Chips[2].Why != "" {
		t.Errorf("%+v", s.Chips)
	}
	j, problems := plan.Begin("5 x 7, border 4, 12 cards, 1 layer", shop)
	if len(problems) != 1 || j.Count != 12 {
		t.Errorf("%+v, %v", j, problems)
	}
	if s := plan.Say("border 1/8", job.NewJob(shop), shop, true); s.Whole || len(s.Chips) > 0 || !strings.Contains(s.Text[0].Why, "There is no layer yet") {
		t.Errorf("a border of nothing: %+v", s)
	}
	long := plan.Say(strings.Repeat("12 gems ", 60), job.NewJob(shop), shop, true)
	if n := len(long.Edits); n > 300 {
		t.Errorf("%d edits", n)
	}
}
