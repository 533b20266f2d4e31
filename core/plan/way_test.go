package plan_test

import (
	"slices"
	"strings"
	"testing"

	"yellowparcel/core/blank"
	"yellowparcel/core/drawing"
	"yellowparcel/core/field"
	"yellowparcel/core/job"
	"yellowparcel/core/plan"
	"yellowparcel/core/say"
	"yellowparcel/demo"
)

func wayOf(t *testing.T, p plan.Plan, id blank.WayID) plan.WayPlan {
	t.Helper()
	for _, w := range p.Envelope.Blank.Ways {
		if w.ID == id {
			return w
		}
	}
	t.Fatalf("no way %q among %d", id, len(p.Envelope.Blank.Ways))
	return plan.WayPlan{}
}

// One way of scoring the diamond is the safer one: its scarcest margin is the most times
// its usual loss. Where none is safer than another, none is marked.
func TestSaferWayOfScoring(t *testing.T) {
	j, shop := demo.Jobs()[0], demo.Shop()
	for _, w := range plan.Make(j, shop).Envelope.Blank.Ways {
		if w.Safer {
			t.Errorf("with seam to spare %s is no safer than from the centre", w.ID)
		}
	}
	j.Envelope.Seam = 5 * in / 8
	p := plan.Make(j, shop)
	tape := in / 2
	var safer []plan.WayPlan
	left := func(w plan.WayPlan) float64 {
		return min(float64(w.Ease.Nm)/float64(w.Ease.Nm-w.EaseRSS.Nm), float64(w.Seam.Nm-tape)/float64(w.Seam.Nm-w.SeamRSS.Nm))
	}
	for _, w := range p.Envelope.Blank.Ways {
		if w.Safer {
			safer = append(safer, w)
		}
	}
	if len(safer) != 1 {
		t.Fatalf("%d ways are the safer one", len(safer))
	}
	for _, w := range p.Envelope.Blank.Ways {
		if left(w) > left(safer[0]) {
			t.Errorf("%s leaves %v, the safer one, %s, %v", w.ID, left(w), safer[0].ID, left(safer[0]))
		}
	}
	// With hardly any ease a worse way is warned of, and the safer one named.
	j.Envelope.Ease, j.Envelope.Way = 0, blank.CornerWay
	p = plan.Make(j, shop)
	if n := notes(p.Envelope.Blank.Notes); !strings.Contains(n, ", or score by “") || !strings.Contains(n, "which is safer") {
		t.Errorf("no other way is named: %s", n)
	}
}

// On a board with grooves every reading to set is a groove, for the diamond, a
// pocket and boxes; a base's score that misses them gets a strip at the fence.
func TestBoardWithGrooves(t *testing.T) {
	j, shop := demo.Jobs()[0], demo.Shop() // 5 3/8 square
	shop, problems, _ := job.ApplyToShop(shop, []field.Edit{{Act: field.Type, Path: "tools.groove", Text: "1/8"}})
	if len(problems) > 0 || shop.Tools.Groove != in/8 {
		t.Fatalf("%v, %v", problems, shop.Tools.Groove)
	}
	j.Card.Width = 5*in + 7*in/16
	p := plan.Make(j, shop)
	for _, id := range []blank.WayID{blank.PairWay, blank.CornerWay} {
		for _, s := range wayOf(t, p, id).Settings {
			if !strings.Contains(s.Label, "read") && s.At.Nm%(in/8) != 0 {
				t.Errorf("%s: %s at %s is no groove", id, s.Label, s.At.Text)
			}
		}
	}
	n := notes(p.Envelope.Blank.Notes)
	if !strings.Contains(n, "Every score falls in a groove of your board, every 1⁄8. So ease is ") {
		t.Errorf("nothing is said of the grooves: %s", n)
	}
	// The sheet of the chosen way is the one to cut.
	if p.Envelope.Blank.Sheet.Nm != wayOf(t, p, j.Envelope.Way).Sheet.Nm {
		t.Errorf("cut %s, but the way wants %s", p.Envelope.Blank.Sheet.Text, wayOf(t, p, j.Envelope.Way).Sheet.Text)
	}
	// A side fold at 5 7/16: 1/16 to the next groove is too thin a strip, so 3/16.
	if n := notes(p.Card.Notes); !strings.Contains(n, "For 5 7⁄16 lay a strip of 3⁄16 at the fence and score at 5 5⁄8") {
		t.Errorf("base: %s", n)
	}
	thick := in / 2
	j.Card.Thickness = &thick
	for _, id := range []blank.ID{blank.PocketID, blank.GussetID, blank.BoxID, blank.TuckID} {
		j.Envelope.Construction, j.Envelope.Walls = id, blank.HemmedWalls
		b := plan.Make(j, shop).Envelope.Blank
		for _, s := range b.Ways[0].Settings {
			if s.At.Nm%(in/8) != 0 {
				t.Errorf("%s: %s at %s is no groove", id, s.Label, s.At.Text)
			}
		}
		if !strings.Contains(notes(b.Notes), "Every score falls in a groove") {
			t.Errorf("%s says nothing of the grooves", id)
		}
		if id == blank.TuckID && !strings.Contains(b.Sentence.Text, "for the hems. From the bottom") {
			t.Errorf("hems: %s", b.Sentence.Text)
		}
	}
	// Grooves too coarse for the card are said to be, with what needs none.
	shop.Tools.Groove, j.Envelope.Construction = in, blank.DiamondID
	list := plan.Make(j, shop).Envelope.Blank.Notes
	rank := map[say.Tone]int{say.Trouble: 0, say.Care: 1, say.Fine: 2}
	if !slices.IsSortedFunc(list, func(a, b say.Note) int { return rank[a.Tone] - rank[b.Tone] }) {
		t.Errorf("the worst does not come first: %+v", list)
	}
	if n := notes(list); !strings.Contains(n, "Grooves 1 apart leave an ease of") {
		t.Errorf("coarse grooves: %s", n)
	}
	for _, bad := range []string{"1/64", "2"} {
		if _, problems, _ := job.ApplyToShop(shop, []field.Edit{{Act: field.Type, Path: "tools.groove", Text: bad}}); len(problems) != 1 || !strings.Contains(problems[0].Message, "from 1 mm to 1 in apart") {
			t.Errorf("grooves of %s: %v", bad, problems)
		}
	}
}

// Folded round scrap: its size is set, no score is, and how to lie it in the
// middle is said.
func TestFoldedRoundTheCard(t *testing.T) {
	j, shop := demo.Jobs()[0], demo.Shop()
	j.Envelope.Way = blank.RoundWay
	p := plan.Make(j, shop)
	if s := p.Envelope.Blank.Sentence.Text; s != "Cut 8 13⁄16 square. Lay scrap of 5 11⁄16 × 5 11⁄16 in its middle and fold the flaps over it." {
		t.Error(s)
	}
	w := wayOf(t, p, blank.RoundWay)
	// D 12.463 less 5.6875, halved, is 3.388.
	if len(w.Settings) != 2 || w.Settings[1].At.Text != "3 3⁄8" || w.Settings[1].Exact != "3.388" || !strings.Contains(w.Steps[1], "All four points stand out by 3 3⁄8") {
		t.Errorf("%+v", w)
	}
	if w.EaseWorst.Nm <= wayOf(t, p, blank.CornerWay).EaseWorst.Nm {
		t.Error("scrap keeps the ease better than scores from every corner")
	}
}

// Each fold comes with what the hand should know just then.
func TestAdviceAtEachFold(t *testing.T) {
	j, shop := demo.Jobs()[0], demo.Shop()
	last := func(p plan.Plan) string {
		folds := p.Envelope.Blank.Folds
		return folds[len(folds)-1].Advice
	}
	p := plan.Make(j, shop)
	if f := p.Envelope.Blank.Folds; !strings.Contains(f[0].Advice, "on one line") || !strings.Contains(f[1].Advice, "Glue thinly") || strings.Contains(f[1].Advice, "face down") || !strings.Contains(last(p), "seal both edges") {
		t.Errorf("%+v", f)
	}
	thick := in / 8
	j.Card.Thickness, j.Mail.Destination = &thick, job.ByHand
	p = plan.Make(j, shop)
	if f := p.Envelope.Blank.Folds; !strings.Contains(f[0].Advice, "Try the card in after this fold") || !strings.Contains(f[1].Advice, "face down") || !strings.Contains(last(p), "a dot at its tip") {
		t.Errorf("raised: %+v", f)
	}
	j.Envelope.Construction, j.Mail.Destination = blank.TuckID, "us-domestic"
	if got := last(plan.Make(j, shop)); !strings.Contains(got, "tape the lid shut") {
		t.Errorf("box: %s", got)
	}
}

// Both schools of each box, and what is not known refused at its field.
func TestBoxSchools(t *testing.T) {
	j, shop := demo.Jobs()[0], demo.Shop()
	thick := 5 * in / 8
	j.Card.Thickness, j.Envelope.Construction = &thick, blank.BoxID
	full := plan.Make(j, shop).Envelope.Blank
	j.Envelope.Box = blank.LeastSquares
	least := plan.Make(j, shop).Envelope.Blank
	if least.Sheet.Nm >= full.Sheet.Nm || !strings.Contains(notes(least.Notes), "The corner squares are") {
		t.Errorf("least %s, full %s; %s", least.Sheet.Text, full.Sheet.Text, notes(least.Notes))
	}
	j.Envelope.Box, j.Envelope.Walls = "wide", "soft"
	if list := plan.Check(j, shop); len(list) != 2 || list[0].Path != "envelope.box" || list[1].Path != "envelope.walls" {
		t.Errorf("%v", list)
	}
}

// A hole is told of with its place, and drawn there.
func TestHolesHaveAPlace(t *testing.T) {
	j, shop := demo.Jobs()[0], demo.Shop()
	if holes := plan.Make(j, shop).Envelope.Blank.Flat.Of(drawing.Hole); len(holes) > 0 {
		t.Fatalf("a sound blank has holes: %v", holes)
	}
	j.Envelope.Flap = in
	b := plan.Make(j, shop).Envelope.Blank
	if holes := b.Flat.Of(drawing.Hole); len(holes) != 1 || !strings.Contains(notes(b.Notes), "The back stays open at the throat: ") {
		t.Fatalf("%d holes; %s", len(holes), notes(b.Notes))
	}
	// It lies between the tip of the bottom flap and the throat, in the middle across.
	span := func(p blank.Polygon) (low, high float64) {
		low, high = p[0].X, p[0].X
		for _, q := range p {
			low, high = min(low, q.X), max(high, q.X)
		}
		return low, high
	}
	faceLow, faceHigh := span(b.Net.Panels[0].Outline)
	low, high := span(b.Flat.Of(drawing.Hole)[0].Corners)
	left, right := low-faceLow, faceHigh-high
	if left < 1 || right < 1 || left-right > 2 || right-left > 2 {
		t.Errorf("the hole is %.1f mm from the left and %.1f from the right", left, right)
	}
	// A pocket that is too short at both its tabs has one at the throat.
	j.Envelope.Flap, j.Envelope.Construction, j.Envelope.ThumbGap, j.Envelope.Notch = in/2, blank.PocketID, 2*in, in/2
	for _, h := range plan.Make(j, shop).Envelope.Blank.Flat.Of(drawing.Hole) {
		if h.Corners.Area() < 0.5 {
			t.Errorf("a slit of %.2f mm² is drawn as a hole", h.Corners.Area())
		}
	}
}

// Only what a construction and its school leave free is asked for.
func TestWishesThatCount(t *testing.T) {
	j, shop := demo.Jobs()[0], demo.Shop()
	for _, tt := range []struct {
		id     blank.ID
		school blank.School
		pocket blank.PocketSchool
		paths  string
	}{
		{blank.DiamondID, blank.ExactSeam, "", "ease seam thumbGap flap"},
		{blank.DiamondID, blank.NotchBoard, "", "ease thumbGap flap"},
		{blank.PocketID, blank.ExactSeam, "", "ease seam thumbGap flap sliver"},
		{blank.PocketID, blank.ExactSeam, blank.ThumbGapPocket, "flap sliver"},
		{blank.GussetID, blank.ExactSeam, blank.ClosePocket, "flap depth sliver"},
		{blank.BoxID, blank.ExactSeam, "", "ease seam thumbGap flap depth"},
		{blank.TuckID, blank.ExactSeam, "", "ease depth flap"},
		{blank.CutDownID, blank.ExactSeam, "", "ease seam"},
	} {
		j.Envelope.Construction, j.Envelope.School, j.Envelope.Pocket = tt.id, tt.school, tt.pocket
		if j.Envelope.Depth = 0; tt.id == blank.TuckID {
			j.Envelope.Depth = 2 * in // a tuck is no longer than the walls are high
		}
		p := plan.Make(j, shop)
		var got []string
		for _, w := range p.Envelope.Blank.Wishes {
			got = append(got, strings.TrimPrefix(w, "envelope."))
			// Each one counts: a change of it changes the blank.
			changed, problems := plan.Apply(j, shop, []field.Edit{{Act: field.Type, Path: w, Text: map[string]string{"envelope.ease": "3/8", "envelope.seam": "1", "envelope.thumbGap": "2 1/2", "envelope.flap": "2 3/4", "envelope.depth": "1", "envelope.sliver": "1/16"}[w]}})
			if len(problems) > 0 {
				t.Fatalf("%s: %v", w, problems)
			}
			if tt.id == blank.CutDownID {
				continue // another envelope may be cut down to the same blank
			}
			was, is := p.Envelope.Blank, plan.Make(changed, shop).Envelope.Blank
			if slices.Equal(was.Net.Outline, is.Net.Outline) {
				t.Errorf("%s %s: %s changes nothing", tt.id, tt.pocket, w)
			}
		}
		if strings.Join(got, " ") != tt.paths {
			t.Errorf("%s %s %s: %v, want %s", tt.id, tt.school, tt.pocket, got, tt.paths)
		}
	}
}

// A score beyond the board is told of, and a square that the punch board does not
// take; what needs no board is not.
func TestBeyondTheBoard(t *testing.T) {
	j, shop := demo.Jobs()[0], demo.Shop() // scores at 3 3/8 and 9 1/16
	shop, problems, _ := job.ApplyToShop(shop, []field.Edit{{Act: field.Type, Path: "tools.reach", Text: "9"}})
	if len(problems) > 0 || shop.Tools.Reach != 9*in {
		t.Fatalf("%v, %v", problems, shop.Tools.Reach)
	}
	for _, tt := range []struct {
		name, want string
		change     func(*job.Job)
	}{
		{"both of a pair from one corner", "The score at 9 1⁄16 is past your board's reach, 9.", func(*job.Job) {}},
		{"each from its own", "", func(j *job.Job) { j.Envelope.Way = blank.CornerWay }},
		{"on the edges", "", func(j *job.Job) { j.Envelope.Way = blank.EdgeWay }},
		{"punched", "is larger than your punch board takes, 9.", func(j *job.Job) { j.Envelope.School, j.Card.Width = blank.NotchBoard, 7*in }},
		{"a long flap", "The flap, at 9 1⁄2, is past your board's reach", func(j *job.Job) { j.Envelope.Construction, j.Envelope.Flap = blank.PocketID, 9*in+in/2 }},
	} {
		t.Run(tt.name, func(t *testing.T) {
			k := j
			tt.change(&k)
			n := notes(plan.Make(k, shop).Envelope.Blank.Notes)
			if said := strings.Contains(n, "board's reach") || strings.Contains(n, "board takes"); said != (tt.want != "") || !strings.Contains(n, tt.want) {
				t.Errorf("%s: %s", tt.name, n)
			}
		})
	}
	if _, problems, _ := job.ApplyToShop(shop, []field.Edit{{Act: field.Type, Path: "tools.reach", Text: "1"}}); len(problems) != 1 || !strings.Contains(problems[0].Message, "from 2 in to 5 m") {
		t.Errorf("%v", problems)
	}
}

// A maker with a ruler expects the card's diagonal and an inch: what the thickness adds
// stands by itself. 5 3/4 x 3 3/4: 6.865 and 1, and 1 1/2 times 1/8.
func TestDiagonalPlusShowsItsThickness(t *testing.T) {
	j, shop := demo.Jobs()[0], demo.Shop()
	thick := in / 8
	j.Card.Width, j.Card.Height, j.Card.Thickness, j.Envelope.School = 5*in+3*in/4, 3*in+3*in/4, &thick, blank.DiagonalPlus
	if r := reading(t, plan.Make(j, shop).Envelope.Blank, "sum"); r.Value != "8.052" || r.Note != "the card's diagonal 6.865 + 1 + 3⁄16, which is 1 1⁄2 times its thickness, cut up to a tick" {
		t.Errorf("%+v", r)
	}
}
