package plan_test

import (
	"encoding/json"
	"fmt"
	"math/rand/v2"
	"strings"
	"testing"

	"yellowparcel/core/blank"
	"yellowparcel/core/envelope"
	"yellowparcel/core/job"
	"yellowparcel/core/plan"
	"yellowparcel/core/say"
	"yellowparcel/demo"
	"yellowparcel/internal/anyjob"
)

// Whatever the job and the shop, there is a plan of it: with words in every
// sentence, no slip of the pen in them, no number that is none, the same each
// time, and made while somebody types.
func TestAnythingHasAPlan(t *testing.T) {
	t.Parallel()
	r := rand.New(rand.NewPCG(51, 52))
	made := 0
	for i := range 100 {
		shop := anyjob.Shop(r)
		j := anyjob.Job(r, shop)
		if i >= 70 {
			anyjob.Narrow(r, &j)
		}
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
		for name, s := range map[string]say.Sentence{"card": p.Card.Sentence, "layers": p.Layers.Sentence, "blank": p.Envelope.Blank.Sentence, "post": p.Mail.Sentence, "paper": p.Paper.Sentence} {
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
		blank.DiamondID: "1 Fold the 2 sides. | 2 Fold the bottom. Glue the bottom onto the 2 sides. | 3 Fold the closing flap. Glue the closing flap onto the 2 sides and the bottom.",
		blank.PocketID:  "1 Fold the 2 tabs. | 2 Fold the back. Glue the 2 tabs onto the back. | 3 Fold the closing flap. Glue the closing flap onto the back.",
		blank.BoxID:     "1 Fold the 4 corner squares. | 2 Fold the 4 walls. Glue the 4 corner squares onto the 4 walls. | 3 Fold the 2 flaps. | 4 Fold the flap. Glue the flap onto the 2 flaps. | 5 Fold the flap. Glue the flap onto the 3 flaps.",
		blank.TuckID:    "1 Fold the 4 tabs. | 2 Fold the 4 walls. Glue the 4 tabs onto the 2 walls. | 3 Fold the tuck. | 4 Fold the lid.",
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
