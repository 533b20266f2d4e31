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
	if n := p.Blank.Notes[0]; n.Tone != say.Trouble || !strings.HasPrefix(n.Text, "Do not cut this one: folded, it does not come out right (the closed width is 150.000 mm") {
		t.Errorf("it says %v", n)
	}
	for _, r := range p.Comparison.Rows {
		if r.ID == string(blank.DiamondID) && r.Recommended {
			t.Error("it is proposed all the same")
		}
	}
}
