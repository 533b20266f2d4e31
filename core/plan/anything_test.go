package plan_test

import (
	"encoding/json"
	"fmt"
	"math/rand/v2"
	"strings"
	"testing"

	"yellowparcel/core/blank"
	"yellowparcel/core/card"
	"yellowparcel/core/envelope"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/paper"
	"yellowparcel/core/plan"
	"yellowparcel/core/say"
	"yellowparcel/demo"
)

func pick[T any](r *rand.Rand, list ...T) T { return list[r.IntN(len(list))] }

// anyShop is the sample shop with papers turned and taken off, tools changed,
// and its unit drawn by lot.
func anyShop(r *rand.Rand) job.Shop {
	s := demo.Shop()
	s.Unit = pick(r, measure.Inches, measure.Millimetres)
	s.TickInches = pick(r, measure.Ticks(measure.Inches)...)
	s.TickMillimetres = pick(r, measure.Ticks(measure.Millimetres)...)
	s.Tools.TrimmerLength = pick(r, 12*in, 8*in, 24*in)
	s.Tools.Groove = pick(r, 0, 0, in/8, 5*measure.Millimetre)
	for i := range s.Stocks {
		k := &s.Stocks[i]
		k.Grain, k.Pattern = pick(r, paper.Unknown, paper.AlongLong, paper.AlongShort), pick(r, paper.Unknown, paper.Unknown, paper.AlongLong)
		k.Sheet, k.Have, k.Off = pick(r, "", "letter", "12x12", "a4"), r.IntN(30), r.IntN(4) == 0
	}
	if r.IntN(6) == 0 {
		s.Sheets[r.IntN(len(s.Sheets))].Off = true
	}
	return s
}

// anyJob is a job that nobody would think of, and that passes Check.
func anyJob(r *rand.Rand, shop job.Shop) job.Job {
	j := pick(r, demo.Jobs()...)
	side := func() measure.Length { return measure.Length(24+r.IntN(200)) * in / 16 }
	j.Count = pick(r, 1, 2, 12, 37, 500)
	j.Card.Width, j.Card.Height, j.Card.Fold = side(), side(), pick(r, card.Folds()...)
	if r.IntN(3) == 0 {
		t := measure.Length(1+r.IntN(40)) * in / 64
		j.Card.Thickness = &t
	}
	if r.IntN(4) == 0 {
		j.Card.OverWidth, j.Card.Room, j.Card.Towards = in/4, job.AsHeap, true
	}
	stock := func() string { return shop.Stocks[r.IntN(len(shop.Stocks))].ID }
	for i := range r.IntN(4) {
		p := job.Part{ID: fmt.Sprint("extra", i), Name: fmt.Sprint("Extra % ", i), Kind: pick(r, job.LayerPart, job.LinerPart), Stock: stock(), Border: measure.Length(r.IntN(12)) * in / 16, Window: r.IntN(2) == 0, Ready: r.IntN(3)}
		switch r.IntN(4) {
		case 0:
			p.Edges = &card.Edges{Top: in / 8, Right: in / 4, Bottom: in / 2, Left: in / 16}
		case 1:
			p.Own = &card.Size{Width: side(), Height: side()}
		}
		j.Parts = append(j.Parts, p)
	}
	for i := range r.IntN(5) {
		kind := pick(r, paper.Things()...)
		x, y := measure.Length(r.IntN(60)-10)*in/8, measure.Length(r.IntN(40)-10)*in/8
		j.Parts = append(j.Parts, job.Part{ID: fmt.Sprint("thing", i), Name: kind.Name, Kind: job.ThingPart, Thing: &job.Thing{
			Type: kind.ID, Disc: kind.Disc, X: x, Y: y, Width: kind.Width, Height: kind.Height, Caliper: kind.Caliper, Grams: kind.Grams,
			Draping: kind.Draping, Crushable: kind.Crushable, Inside: kind.Inside, Over: kind.Over, Keep: r.IntN(3) == 0,
		}})
	}
	p := &j.Post
	p.Closure, p.AddressShort, p.Bare, p.HandCancel, p.Radius = pick(r, paper.Closures()...).ID, r.IntN(3) == 0, r.IntN(5) == 0, r.IntN(4) == 0, measure.Length(r.IntN(4))*in/8
	if r.IntN(3) == 0 {
		p.Measured = job.Measured{Thickness: measure.Length(r.IntN(9)) * measure.Millimetre, Grams: float64(r.IntN(90)), Overhang: side(), Droop: measure.Length(r.IntN(40)) * measure.Millimetre, Apart: side(), Load: float64(r.IntN(200)), Sag: measure.Length(r.IntN(9)) * measure.Millimetre}
	}
	for i := range r.IntN(4) {
		j.Items = append(j.Items, job.Item{ID: fmt.Sprint(i), Name: "Thing", Width: measure.Length(r.IntN(80)) * in / 16, Height: side() / 4})
	}
	e := &j.Envelope
	e.Construction, e.School, e.Pocket, e.FlapShape = pick(r, blank.IDs()...), pick(r, blank.Schools()...), pick(r, blank.PocketSchools()...), pick(r, blank.FlapShapes()...)
	e.Sort, e.Mailable, e.OneSide, e.TabsOnBack, e.Double = pick(r, job.LeastPaper, job.Quickest, job.Neatest, job.Cheapest), r.IntN(3) == 0, r.IntN(2) == 0, r.IntN(2) == 0, r.IntN(2) == 0
	e.FoldTips, e.PatternInside, e.Corner, e.Flap = r.IntN(2) == 0, r.IntN(2) == 0, measure.Length(r.IntN(8))*in/8, measure.Length(r.IntN(12))*in/4
	e.Stock, e.Liner, e.Adhesive = stock(), pick(r, "", stock()), pick(r, "tape-1-2", "tape-1-4", "glue")
	e.Way, e.Box, e.Walls = pick(r, diamondWays...), pick(r, blank.BoxSchools()...), pick(r, blank.WallSchools()...)
	j.Post.Destination = pick(r, "us-domestic", "us-abroad", "uk-inland", "germany-home", "canada-home", "australia-home", "universal", job.ByHand)
	j.Paper.AlongGrain, j.Paper.Have = r.IntN(2) == 0, pick(r, "", "letter", "a4")
	if r.IntN(4) == 0 {
		j.Start = &job.Start{Format: pick(r, "a7", "own-1", job.OwnEnvelope), Width: side() + 2*in, Height: side() + 2*in}
	}
	if r.IntN(4) == 0 {
		j.Recipe = &job.Recipe{Side1: side(), Side2: side(), Paired: r.IntN(2) == 0, Left: side() / 3, Right: side(), Top: side() / 3, Bottom: side(), Pocket: r.IntN(2) == 0, Quoted: side()}
	}
	return j
}

// Whatever the job and the shop, there is a plan of it: with words in every
// sentence, no slip of the pen in them, no number that is none, the same each
// time, and made while somebody types.
func TestAnythingHasAPlan(t *testing.T) {
	r := rand.New(rand.NewPCG(51, 52))
	made := 0
	for range 70 {
		shop := anyShop(r)
		j := anyJob(r, shop)
		if len(shop.Check()) > 0 {
			t.Fatalf("the shop does not pass: %v", shop.Check())
		}
		if len(plan.Check(j, shop)) > 0 {
			continue // thicker than wide, say
		}
		made++
		p := plan.Make(j, shop)
		raw, err := json.Marshal(p)
		if err != nil {
			t.Fatalf("%+v: %v", j, err) // NaN and infinity cannot be written
		}
		for _, slip := range []string{"%!", "NaN", ":null", "<nil>", "“”", "  "} {
			if at := strings.Index(string(raw), slip); at >= 0 {
				t.Errorf("%+v: the plan says %q: …%s…", j, slip, raw[max(0, at-80):min(len(raw), at+60)])
			}
		}
		for name, s := range map[string]say.Sentence{"card": p.Card.Sentence, "layers": p.Layers.Sentence, "blank": p.Envelope.Blank.Sentence, "post": p.Post.Sentence, "paper": p.Paper.Sentence} {
			if s.Text == "" || len(s.Spans) == 0 {
				t.Errorf("%+v: nothing is said of %s", j, name)
			}
		}
		checkCutting(t, p)
		if again, _ := json.Marshal(plan.Make(j, shop)); string(again) != string(raw) {
			t.Errorf("%+v: planned again it is another plan", j)
		}
	}
	if made < 30 {
		t.Errorf("only %d of the jobs pass, which proves little", made)
	}
}

// checkCutting holds the cutting as it is shown against itself: every cut of a
// drawing is told of once, and what is drawn makes up what was ordered.
func checkCutting(t *testing.T, p plan.Plan) {
	t.Helper()
	for _, s := range p.Paper.Stocks {
		told := 0
		for _, step := range s.Steps {
			told += len(step.Cuts)
		}
		drawn, sheets, got := 0, 0, make([]int, len(s.Pieces))
		for _, l := range s.Layouts {
			drawn, sheets = drawn+len(l.Cuts), sheets+l.Times
			for _, q := range l.Pieces {
				got[q.Piece] += l.Times
			}
			for _, o := range l.Offcuts {
				if o.Makes == "" || o.Size == "" {
					t.Errorf("%s: nothing is said of an offcut %+v", s.Name, o)
				}
			}
		}
		if told != drawn || sheets != s.Sheets || len(s.Steps) != s.Settings {
			t.Errorf("%s: %d cuts told, %d drawn; %d sheets, %d drawn", s.Name, told, drawn, s.Sheets, sheets)
		}
		for i, n := range got {
			if n != 0 && n != s.Pieces[i].Count {
				t.Errorf("%s: %d of %d “%s” are drawn", s.Name, n, s.Pieces[i].Count, s.Pieces[i].Name)
			}
		}
	}
}

// Every fold of every construction is told of, and its seams are told of once.
func TestFoldsAreTold(t *testing.T) {
	j, shop := demo.Jobs()[0], demo.Shop()
	want := map[blank.ID]string{
		blank.DiamondID: "1 Fold the 2 sides. | 2 Fold the bottom. Glue bottom onto side. | 3 Fold the closing flap. Glue closing flap onto side and bottom.",
		blank.PocketID:  "1 Fold the 2 tabs. | 2 Fold the back. Glue tab onto back. | 3 Fold the closing flap. Glue closing flap onto back.",
		blank.TuckID:    "1 Fold the 4 tabs. | 2 Fold the 4 walls. Glue tab onto wall. | 3 Fold the tuck. | 4 Fold the lid.",
	}
	for id, told := range want {
		j.Envelope.Construction, j.Envelope.Depth = id, in/2 // high enough for a tuck
		var list []string
		for _, f := range plan.Make(j, shop).Envelope.Blank.Folds {
			list = append(list, strings.TrimSpace(fmt.Sprintf("%d %s %s", f.Order, f.Text, f.Glue)))
		}
		if got := strings.Join(list, " | "); !strings.HasPrefix(got, told) {
			t.Errorf("%s:\n%s\nwant\n%s", id, got, told)
		}
	}
}

// An envelope of the shelf stands before one of the same size that is sold, and
// one taken off the shelf is offered no more.
func TestShelfComesFirst(t *testing.T) {
	j, shop := demo.Jobs()[1], demo.Shop() // 7 x 5; the cream ones are 7 1/4 x 5 1/4
	first := plan.Make(j, shop).Envelope.Fits[0]
	if first.ID != "own-1" || !first.Owned || first.Have != 34 || first.Verdict != envelope.Right {
		t.Errorf("first comes %+v", first)
	}
	shop.Envelopes[0].Off = true
	if first = plan.Make(j, shop).Envelope.Fits[0]; first.Owned {
		t.Errorf("taken off the shelf, %s is offered still", first.Name)
	}
	j.Start = &job.Start{Format: "own-1"}
	if len(plan.Check(j, shop)) > 0 || plan.Make(j, shop).Start == nil {
		t.Error("an old job does not know its envelope any more")
	}
}
