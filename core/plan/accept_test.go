package plan

import (
	"errors"
	"math/rand/v2"
	"strings"
	"testing"

	"yellowparcel/core/blank"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
)

// diamondWays are the ways of scoring a diamond.
var diamondWays = []blank.WayID{blank.PairWay, blank.CornerWay, blank.CentreWay, blank.EdgeWay, blank.RoundWay, blank.NotchWay}

// Whatever is wished for an envelope, the engine finds in its drawing what the
// sums promise: none of them is refused.
func TestEveryWishIsAccepted(t *testing.T) {
	r := rand.New(rand.NewPCG(1, 2))
	tick := measure.Inch / 16
	upTo := func(n int, l measure.Length) measure.Length { return measure.Length(r.IntN(n)) * l }
	made := 0
	for range 250 {
		shop := job.DefaultShop()
		shop.Unit = []measure.Unit{measure.Inches, measure.Millimetres}[r.IntN(2)]
		shop.Tools.Groove = []measure.Length{0, 0, 2 * tick, 5 * measure.Millimetre}[r.IntN(4)]
		thick := upTo(60, measure.Inch/64)
		j := bigJob(3*measure.Inch/2+upTo(200, tick), 3*measure.Inch/2+upTo(200, tick), blank.DiamondID)
		j.Card.Thickness = &thick
		e := &j.Envelope
		e.Ease, e.Seam, e.ThumbGap = upTo(10, tick), upTo(20, tick), upTo(14, tick)
		e.School, e.Pocket, e.FlapShape = blank.Schools()[r.IntN(3)], blank.PocketSchools()[r.IntN(3)], blank.FlapShapes()[r.IntN(4)]
		e.Mailable, e.OneSide, e.TabsOnBack, e.Double, e.FoldTips = r.IntN(3) == 0, r.IntN(2) == 0, r.IntN(2) == 0, r.IntN(2) == 0, r.IntN(2) == 0
		e.Corner, e.Flap, e.Notch, e.Sliver, e.Depth = upTo(12, 2*tick), upTo(20, 4*tick), upTo(3, 8*tick), upTo(8, tick/2), upTo(20, 2*tick)*measure.Length(r.IntN(2))
		e.Way, e.Box, e.Walls = diamondWays[r.IntN(6)], blank.BoxSchools()[r.IntN(2)], blank.WallSchools()[r.IntN(2)]
		e.Stock, e.Adhesive = shop.Stocks[r.IntN(len(shop.Stocks))].ID, shop.Adhesives[r.IntN(3)].ID
		if len(Check(j, shop)) > 0 {
			continue
		}
		m := newMaker(j, shop)
		for _, c := range m.candidates() {
			if !c.ok {
				continue
			}
			made++
			if c.refused != nil {
				t.Errorf("%s of %v x %v, %v thick, %+v: %v", c.kind.ID, j.Card.Width, j.Card.Height, thick, *e, c.refused)
			}
			if err := c.made.Prove(); (err == nil) != (c.refused == nil) {
				t.Errorf("%s: accepted with %v, folded anew %v", c.kind.ID, c.refused, err)
			}
		}
	}
	if made < 500 {
		t.Errorf("only %d were made", made)
	}
}

// A blank that the engine refuses is never proposed, and says so before anything
// else.
func TestRefusedIsSaid(t *testing.T) {
	m := newMaker(bigJob(6*measure.Inch, 4*measure.Inch, blank.DiamondID), job.DefaultShop())
	all := m.candidates()
	if !m.sound(all[0]) {
		t.Fatal("a plain diamond does not serve")
	}
	all[0].refused = errors.New("the closed width is 150 mm, promised 160")
	p := m.envelope(all[0], all)
	if n := p.Blank.Notes[0]; n.Tone != Trouble || !strings.HasPrefix(n.Text, "Do not cut this one: folded from its drawing it is not what the sums say (the closed width is 150 mm") {
		t.Errorf("it says %v", n)
	}
	for _, r := range p.Comparison.Rows {
		if r.ID == blank.DiamondID && r.Recommended {
			t.Error("it is proposed all the same")
		}
	}
}
