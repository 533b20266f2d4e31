package plan

import (
	"encoding/json"
	"math/rand/v2"
	"strings"
	"testing"

	"yellowparcel/core/blank"
	"yellowparcel/core/card"
	"yellowparcel/core/cutting"
	"yellowparcel/core/field"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/paper"
)

func bigJob(w, h measure.Length, id blank.ID) job.Job {
	return job.Job{
		Name: "Star chart", Count: 3, Card: job.Card{Width: w, Height: h, Fold: card.SideFold},
		Parts: []job.Part{{ID: "base", Name: "Card base", Kind: job.BasePart, Stock: "cover-80"}},
		Envelope: job.EnvelopeWish{
			School: blank.ExactSeam, Way: blank.PairWay, Ease: measure.Inch / 4, Seam: 3 * measure.Inch / 4, ThumbGap: measure.Inch / 2,
			Stock: "copy-80", Adhesive: "tape-1-2", Construction: id,
		},
		Post: job.PostWish{Destination: "us-domestic"},
	}
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
		m := newMaker(bigJob(side(), side(), id), shop)
		c := m.candidate(blank.ByID(id))
		if c.found {
			continue
		}
		j, ok := m.joined(c)
		if !ok {
			// Then no sheet is long enough for the blank's width at all, or two are not
			// enough for its height.
			for _, s := range shop.Sheets {
				for _, side := range [][2]measure.Length{{s.Width, s.Height}, {s.Height, s.Width}} {
					if c.made.SheetWidth <= side[0] && c.made.SheetHeight+m.Style().Tick+measure.Inch/2 <= 2*side[1] {
						t.Errorf("%s of %v x %v: two of %s would do", id, c.made.SheetWidth, c.made.SheetHeight, s.Name)
					}
				}
			}
			continue
		}
		held++
		first, second := j.at, c.made.SheetHeight-j.at+j.lap
		if first+second != c.made.SheetHeight+j.lap || j.lap < measure.Inch/2 || min(first, second) < j.lap || j.at%m.Style().Tick != 0 {
			t.Errorf("pieces %v and %v of %v with %v overlapping", first, second, c.made.SheetHeight, j.lap)
		}
		on := cutting.Sheet{Width: j.sheet.Width, Height: j.sheet.Height}
		for _, h := range []measure.Length{first, second} {
			if on.Possible(cutting.Piece{Width: c.made.SheetWidth, Height: h, Count: 1, Turn: true}) != cutting.Possible {
				t.Errorf("%v x %v does not lie on %s", c.made.SheetWidth, h, j.sheet.Name)
			}
		}
		words := m.jointWords(c, j)
		if blank.ByID(id).OnPoint != strings.Contains(words, "slantwise over the front") {
			t.Errorf("%s: %s", id, words)
		}
		if strings.Contains(words, "over the back") || strings.Contains(words, "over the lid") {
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
	j := bigJob(6*measure.Inch+measure.Inch/2, 3*measure.Inch, blank.PocketID)
	plain := newMaker(j, shop).candidate(blank.ByID(blank.PocketID))
	for i := range shop.Stocks {
		if shop.Stocks[i].ID == "copy-80" {
			shop.Stocks[i].Pattern = paper.AlongShort
		}
	}
	patterned := newMaker(j, shop).candidate(blank.ByID(blank.PocketID))
	if !plain.found {
		t.Fatalf("%v x %v does not lie on letter", plain.made.SheetWidth, plain.made.SheetHeight)
	}
	upright := plain.made.SheetWidth <= letter.Height && plain.made.SheetHeight <= letter.Width
	if patterned.found != upright {
		t.Errorf("%v x %v with its pattern along the short side: found %v", patterned.made.SheetWidth, patterned.made.SheetHeight, patterned.found)
	}
	j.Envelope.Construction = blank.DiamondID
	if d := newMaker(j, shop).candidate(blank.ByID(blank.DiamondID)); !d.found {
		t.Errorf("a square of %v may be turned as one likes", d.made.SheetWidth)
	}
}

// A remedy changes a copy: the job that it was worked out for stays as it was.
func TestRemediesChangeCopies(t *testing.T) {
	shop := job.DefaultShop()
	j := bigJob(7*measure.Inch, 5*measure.Inch, blank.DiamondID)
	j.Parts = append(j.Parts, job.Part{ID: "panel", Name: "Panel", Kind: job.LayerPart, Stock: "cover-100", Border: measure.Inch / 4, Foam: measure.Inch / 8})
	for _, id := range []string{"knot", "brad", "gem-4"} {
		var err error
		if j, err = j.Apply(shop, field.Edit{Act: field.Add, Path: "parts", Text: id}); err != nil {
			t.Fatal(err)
		}
	}
	before := plainJob(j)
	m := newMaker(j, shop)
	all := m.candidates()
	c := m.choose(all)
	book, _ := m.book()
	list := m.remedies(c, all, m.verdictOf(book, m.piece(m.closed(c))))
	if len(list) < 3 {
		t.Fatalf("%d remedies", len(list))
	}
	for _, r := range list {
		other := j.Clone()
		r.change(&other)
		if plainJob(j) != before {
			t.Fatalf("%s changed the job that it was worked out for", r.id)
		}
		if plainJob(other) == before {
			t.Errorf("%s changes nothing", r.id)
		}
		if problems := other.Check(shop); len(problems) > 0 {
			t.Errorf("%s leads to a job that cannot be: %v", r.id, problems)
		}
	}
	for i := 1; i < len(list); i++ {
		now := m.judge(m.closed(c))
		a, b := list[i-1], list[i]
		if helps := func(r remedy) bool { return r.post.compare(now) < 0 }; helps(a) == helps(b) && (a.touched > b.touched || a.touched == b.touched && a.area > b.area) {
			t.Errorf("%s (%d parts, %.0f mm²) stands before %s (%d, %.0f)", a.id, a.touched, a.area, b.id, b.touched, b.area)
		}
	}
}

// plainJob is a job as text, to be compared.
func plainJob(j job.Job) string {
	text, err := json.Marshal(j)
	if err != nil {
		panic(err)
	}
	return string(text)
}

// The largest card that a sheet serves is served, and one a tick longer is not.
func TestLargestServed(t *testing.T) {
	shop := job.DefaultShop()
	shop.Sheets = shop.Sheets[:1]
	tried := 0
	for _, size := range [][2]measure.Length{{7 * measure.Inch, 5 * measure.Inch}, {10 * measure.Inch, 10 * measure.Inch}, {9 * measure.Inch, 14 * measure.Inch}} {
		for _, id := range []blank.ID{blank.DiamondID, blank.PocketID, blank.GussetID, blank.BoxID, blank.TuckID} {
			m := newMaker(bigJob(size[0], size[1], id), shop)
			if m.candidate(blank.ByID(id)).found {
				continue
			}
			served, ok := m.largestServed(blank.ByID(id))
			if !ok {
				t.Errorf("%s: no card of %v is served at all", id, size)
				continue
			}
			tried++
			for more, want := range map[measure.Length]bool{0: true, m.Style().Tick: false} {
				j := m.Job()
				j.Card.Width, j.Card.Height = m.scaled(max(served.Width, served.Height)+more, max(size[0], size[1]))
				if got := m.with(j).candidate(blank.ByID(id)).found; got != want {
					t.Errorf("%s: a card of %v x %v is found: %v", id, j.Card.Width, j.Card.Height, got)
				}
			}
		}
	}
	if tried < 8 {
		t.Errorf("only %d were tried", tried)
	}
}
