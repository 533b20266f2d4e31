package e2e

import "testing"

// Every fold, chosen and drawn: the panels measure what they say.
func TestFolds(t *testing.T) {
	t.Parallel()
	p := start(t, t.TempDir(), "127.0.0.1:0")
	w := open(t, p, "/")
	w.openJob("Meteor-night invitation")
	const in = 25.4
	for _, tt := range []struct {
		fold, says string
		panel      string
		inches     float64
	}{
		{"gate", "Cut 13 7/8 × 5. Outside up, score at 3 7/16 and 10 7/16", "panel-1", 7},
		{"roll", "Cut 20 15/16 × 5", "panel-0", 6.9375},
		{"accordion", "Cut 28 × 5. Outside up, score at 7 and 21", "panel-3", 7},
		{"side", "Cut 14 × 5", "panel-0", 7},
	} {
		w.pick("fold-" + tt.fold)
		w.see(test("headline"), tt.says)
		if got := w.measured("[data-size="+tt.panel+"]", "across", in); got < tt.inches*in-.2 || got > tt.inches*in+.2 {
			t.Errorf("%s: %s measures %.2f mm, want %.2f", tt.fold, tt.panel, got, tt.inches*in)
		}
	}
	w.fill("field-card.spine", "3/8")
	w.see(test("headline"), "Cut 14 3/8 × 5. Outside up, score at 7 and 7 3/8 from the left")
	w.pick("fold-accordion")
	w.fill("field-card.panels", "2")
	w.see(test("field-card.panels"), "From 3 to 12 panels")
	w.fill("field-card.panels", "3")
	w.see(test("headline"), "Cut 21 × 5")
	w.drawer("papers")
	w.see(test("sheet-12x12"), "too small: this base needs 21 × 5")
	w.drawer("base")
	w.fill("field-card.own", "7, 7, 6 = 21")
	w.see(test("field-card.own"), "The panels do not add up: together they are 20 in, not 21 in")
	w.fill("field-card.own", "7, 7, 6 = 20")
	w.see(test("headline"), "Cut 20 × 5. Outside up, score at 7 from the left. Turn it over and score at 14 from the same edge")
	w.quiet()
}
