package compare_test

import (
	"context"
	"math/rand/v2"
	"testing"

	"yellowparcel/core/blank"
	"yellowparcel/core/compare"
	"yellowparcel/core/cutting"
	"yellowparcel/core/envelope"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/paper"
	"yellowparcel/core/piece"
	"yellowparcel/internal/anyjob"
	"yellowparcel/internal/race"
	"yellowparcel/internal/soak"
)

// maker is a maker with the effort of one plan.
func maker(j job.Job, shop job.Shop) compare.Maker {
	return compare.New(j, shop, cutting.NewEffort(context.Background(), 1_000_000))
}

// Two pieces of a blank that is too large each lie on the sheet, overlap by the
// adhesive, and are as high together as the blank and the overlap; the joint of a
// pocket is as near to the middle of its back as that allows.
func TestJointsHold(t *testing.T) {
	rng := rand.New(rand.NewPCG(95, 96))
	shop := job.DefaultShop()
	shop.Sheets = nil
	for _, id := range []string{"letter", "12x12", "a4"} {
		s, _ := paper.SheetByID(id)
		shop.Sheets = append(shop.Sheets, s)
	}
	held, across := 0, 0
	for range 250 {
		side := func() measure.Length { return (3*measure.Inch + measure.Length(rng.IntN(7*16))*measure.Inch/16) }
		id := []blank.ID{blank.PocketID, blank.TuckID, blank.GussetID, blank.DiamondID, blank.BoxID}[rng.IntN(5)]
		m := maker(anyjob.Star(side(), side(), id), shop)
		c := m.Candidate(blank.ByID(id))
		if c.Found {
			continue
		}
		j, ok := m.Joined(c)
		if !ok {
			// Then no sheet is long enough for the blank's width at all, or two are not
			// enough for its height.
			for _, s := range shop.Sheets {
				for _, side := range [][2]measure.Length{{s.Width, s.Height}, {s.Height, s.Width}} {
					if c.Made.SheetWidth <= side[0] && c.Made.SheetHeight+m.Style().Tick+measure.Inch/2 <= 2*side[1] {
						t.Errorf("%s of %v x %v: two of %s would do", id, c.Made.SheetWidth, c.Made.SheetHeight, s.Name)
					}
				}
			}
			continue
		}
		held++
		first, second := j.At, c.Made.SheetHeight-j.At+j.Lap
		if first+second != c.Made.SheetHeight+j.Lap || j.Lap < measure.Inch/2 || min(first, second) < j.Lap || j.At%m.Style().Tick != 0 {
			t.Errorf("pieces %v and %v of %v with %v overlapping", first, second, c.Made.SheetHeight, j.Lap)
		}
		on := cutting.Sheet{Width: j.Sheet.Width, Height: j.Sheet.Height}
		for _, h := range []measure.Length{first, second} {
			if on.Possible(cutting.Piece{Width: c.Made.SheetWidth, Height: h, Count: 1, Turn: true}) != cutting.Possible {
				t.Errorf("%v x %v does not lie on %s", c.Made.SheetWidth, h, j.Sheet.Name)
			}
		}
		if y, back := compare.BackMiddle(c.Made); back && (j.At-j.Lap/2-y).Abs() < 2*measure.Inch {
			across++
		}
	}
	if held < 40 || across < 15 {
		t.Errorf("only %d joints, %d of them across a back", held, across)
	}
}

// A pattern with a top keeps a blank the one way round, so that it may need a
// larger sheet than the same plain.
func TestPatternTurnsNothing(t *testing.T) {
	shop := job.DefaultShop()
	letter, _ := paper.SheetByID("letter")
	shop.Sheets = []paper.Sheet{letter}
	j := anyjob.Star(6*measure.Inch+measure.Inch/2, 3*measure.Inch, blank.PocketID)
	plain := maker(j, shop).Candidate(blank.ByID(blank.PocketID))
	for i := range shop.Stocks {
		if shop.Stocks[i].ID == "copy-80" {
			shop.Stocks[i].Pattern = paper.AlongShort
		}
	}
	patterned := maker(j, shop).Candidate(blank.ByID(blank.PocketID))
	if !plain.Found {
		t.Fatalf("%v x %v does not lie on letter", plain.Made.SheetWidth, plain.Made.SheetHeight)
	}
	upright := plain.Made.SheetWidth <= letter.Height && plain.Made.SheetHeight <= letter.Width
	if patterned.Found != upright {
		t.Errorf("%v x %v with its pattern along the short side: found %v", patterned.Made.SheetWidth, patterned.Made.SheetHeight, patterned.Found)
	}
	j.Envelope.Construction = blank.DiamondID
	if d := maker(j, shop).Candidate(blank.ByID(blank.DiamondID)); !d.Found {
		t.Errorf("a square of %v may be turned as one likes", d.Made.SheetWidth)
	}
}

// diamondWays are the ways of scoring a diamond.
var diamondWays = []blank.WayID{blank.PairWay, blank.CornerWay, blank.CentreWay, blank.EdgeWay, blank.RoundWay, blank.NotchWay}

// Whatever is wished for an envelope, the engine finds in its drawing what the
// sums promise: none of them is refused.
func TestEveryWishIsAccepted(t *testing.T) {
	race.Alone(t)
	t.Parallel()
	r := rand.New(rand.NewPCG(1, 2))
	tick := measure.Inch / 16
	upTo := func(n int, l measure.Length) measure.Length { return measure.Length(r.IntN(n)) * l }
	made := 0
	for range soak.Of(1600) {
		shop := job.DefaultShop()
		shop.Unit = []measure.Unit{measure.Inches, measure.Millimetres}[r.IntN(2)]
		shop.Tools.Groove = []measure.Length{0, 0, 2 * tick, 5 * measure.Millimetre}[r.IntN(4)]
		thick := upTo(60, measure.Inch/64)
		j := anyjob.Star(3*measure.Inch/2+upTo(200, tick), 3*measure.Inch/2+upTo(200, tick), blank.DiamondID)
		j.Card.Thickness = &thick
		e := &j.Envelope
		e.Ease, e.Seam, e.ThumbGap = upTo(10, tick), upTo(20, tick), upTo(14, tick)
		e.School, e.Pocket, e.FlapShape = blank.Schools()[r.IntN(3)], blank.PocketSchools()[r.IntN(3)], blank.FlapShapes()[r.IntN(4)]
		e.Mailable, e.OneSide, e.TabsOnBack, e.Double, e.FoldTips = r.IntN(3) == 0, r.IntN(2) == 0, r.IntN(2) == 0, r.IntN(2) == 0, r.IntN(2) == 0
		e.Corner, e.Flap, e.Notch, e.Sliver, e.Depth = upTo(12, 2*tick), upTo(20, 4*tick), upTo(3, 8*tick), upTo(8, tick/2), upTo(20, 2*tick)*measure.Length(r.IntN(2))
		e.Low, e.Opens = r.IntN(3) == 0, []envelope.Side{"", envelope.LongSide, envelope.ShortSide}[r.IntN(3)]
		e.Way, e.Box, e.Walls = diamondWays[r.IntN(6)], blank.BoxSchools()[r.IntN(2)], blank.WallSchools()[r.IntN(2)]
		e.Stock, e.Adhesive = shop.Stocks[r.IntN(len(shop.Stocks))].ID, shop.Adhesives[r.IntN(3)].ID
		if len(j.Check(shop)) > 0 || piece.Of(j, shop).Block() {
			continue
		}
		m := maker(j, shop)
		for _, c := range m.Candidates() {
			if !c.OK {
				continue
			}
			made++
			if c.Refused != nil {
				t.Errorf("%s of %v x %v, %v thick, %+v: %v", c.Kind.ID, j.Card.Width, j.Card.Height, thick, *e, c.Refused)
			}
			if err := c.Made.Prove(); (err == nil) != (c.Refused == nil) {
				t.Errorf("%s: accepted with %v, folded anew %v", c.Kind.ID, c.Refused, err)
			}
		}
	}
	if made < 500 {
		t.Errorf("only %d were made", made)
	}
}
