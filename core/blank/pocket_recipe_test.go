package blank

import "testing"

// A pocket worked out from a card and read back as a recipe is the same one.
func TestPocketRecipe(t *testing.T) {
	s := Spec{Width: 6*in + in/4, Height: 4*in + in/2, Style: sixteenth, Pocket: ThumbGapPocket, Adhesive: in / 2}
	m := NewPocket(s)
	r := PocketRecipe{m.SheetWidth, m.SheetHeight, m.Way().Scores[0].At, m.Way().Scores[1].At, m.Way().Scores[2].At, m.Way().Scores[3].At, 0, false}
	if f := r.Fault(); f != "" {
		t.Fatal(f)
	}
	got := r.Make()
	if got.Width != m.Width || got.Height != m.Height || got.Tab != m.Seam || got.Overlap != m.Overlap || got.Gap != in/2 {
		t.Errorf("%+v, made %v x %v", got, m.Width, m.Height)
	}
	if err := got.Net.Check(); err != nil {
		t.Error(err)
	}
	near(t, "folded width", got.Folded.Width, m.Width.Millimetres(), 1e-3)
	r.Right += in / 4
	if got := r.Make(); got.Width != m.Width-in/4 || got.Tab != in/2 || got.Net.Check() != nil {
		t.Errorf("an uneven tab: %+v", got)
	}
	r.Left = 7 * in
	if r.Fault() == "" {
		t.Error("tabs that cross are taken")
	}
	r.Left, r.Flap = in/2, 9*in
	if r.Fault() == "" {
		t.Error("a flap over the whole sheet is taken")
	}
	r.Flap = 0
	if r.Fault() == "" {
		t.Error("a score on the edge is taken")
	}
}
