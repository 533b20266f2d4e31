package plan

import (
	"strings"
	"testing"

	"yellowparcel/core/blank"
	"yellowparcel/core/compare"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/say"
	"yellowparcel/internal/anyjob"
)

// A blank that the engine refuses is never proposed, and says so before anything
// else.
func TestRefusedIsSaid(t *testing.T) {
	m := newMaker(anyjob.Star(6*measure.Inch, 4*measure.Inch, blank.DiamondID), job.DefaultShop())
	all := m.Candidates()
	if !m.Sound(all[0]) {
		t.Fatal("a plain diamond does not serve")
	}
	all[0].Refused = &blank.Doubt{ID: blank.WidthOff, Got: 150, Want: 160}
	p := envelopeStation{m}.envelope(all[0], func() []compare.Candidate { return all })
	if n := p.Blank.Notes[0]; n.Tone != say.Trouble || !strings.HasPrefix(n.Text, "Do not cut this one: folded, it does not come out right (the closed width is 5.906 in") {
		t.Errorf("it says %v", n)
	}
	for _, r := range p.Comparison.Rows {
		if r.ID == string(blank.DiamondID) && r.Recommended {
			t.Error("it is proposed all the same")
		}
	}
}

// The proposal is called the least only where no smaller one serves.
func TestTheLeastIsTheLeast(t *testing.T) {
	surely := 0
	for w := 4 * measure.Inch; w <= 8*measure.Inch; w += measure.Inch / 2 {
		for _, short := range []measure.Length{w, w * 3 / 4, w / 2} {
			m := newMaker(anyjob.Star(w, short.Near(measure.Inch/16), blank.DiamondID), job.DefaultShop())
			sorted := m.Order(m.Candidates())
			text := envelopeStation{m}.reason(sorted)
			if strings.Contains(text, "even if all is off") {
				surely++
				continue
			}
			for _, c := range sorted {
				if strings.Contains(text, "the least of") && m.Sound(c) && c.PaperUsed() < sorted[0].PaperUsed() {
					t.Errorf("%s x %s: %s, and %s takes %.1f", w, short, text, c.Kind.Words.Name, c.PaperUsed())
				}
			}
		}
	}
	if surely == 0 {
		t.Error("nowhere does a smaller one come after it")
	}
}
