package bench_test

import (
	"cmp"
	"math"
	"slices"
	"testing"

	"yellowparcel/core/blank"
	"yellowparcel/core/field"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/paper"
	"yellowparcel/core/plan"
	"yellowparcel/core/worksheet"
	"yellowparcel/core/worksheet/bench"
	"yellowparcel/demo"
)

// finished holds what was put together against the job: what lies on what, on which side, on what
// foam, pressed in and made round; and the envelope, closed with what the job says.
func finished(t *complaints, table plan.Table, b *bench.Bench) {
	j := table.Job
	base := j.Parts[0].ID
	switch {
	case !job.MakesBase(j) && job.MakesLayers(j): // ready to be glued elsewhere
		if b.Pieces[base] != nil {
			t.Errorf("there is a card")
		}
		return
	case !job.MakesBase(j): // it was finished before
		j = j.Clone()
		j.Parts = j.Parts[:1]
		j.Parts[0].Embossed = false
	case !job.MakesLayers(j):
		if p := b.Pieces[base]; p == nil || len(p.Creases) > 0 && !p.Folded || b.Pieces[plan.BlankPiece] != nil {
			t.Errorf("the base alone is not made: %+v", p)
		}
		return
	}
	below := base
	var things []string
	stacked := len(j.Stacked()) - 1
	for i, at := range j.LayerParts() {
		if part := j.Parts[at]; i < stacked {
			if p := b.Pieces[part.ID]; p == nil || p.On != below || p.Side != worksheet.Shown || p.Foam != part.Foam {
				t.Errorf("%s is not on %s, outside up, on foam of %v: %+v", part.Name, below, part.Foam, p)
			}
			below = part.ID
		}
	}
	sizes := j.PartSizes()
	for i, part := range j.Parts {
		p := b.Pieces[part.ID]
		unused := part.Kind == job.LinerPart && j.Card.Fold.Kind().Unfolded
		switch {
		case part.Thing != nil:
			things = append(things, part.ID)
		case unused || p == nil:
		case p.Embossed != part.Embossed:
			t.Errorf("%s is embossed: %v", part.Name, p.Embossed)
		case part.Kind != job.BasePart && (math.Abs(p.Width-sizes[i].Width.Millimetres()) > 0.02 || math.Abs(p.Height-sizes[i].Height.Millimetres()) > 0.02):
			t.Errorf("%s is %.2f × %.2f, want %v", part.Name, p.Width, p.Height, sizes[i])
		case part.Kind == job.LinerPart && (p.On != base || p.Side != worksheet.Under):
			t.Errorf("%s is on %s, its %s up", part.Name, p.On, p.Side)
		}
	}
	p := b.Pieces[base]
	switch {
	case p == nil:
		t.Errorf("there is no card")
		return
	case !slices.Equal(p.Things, things):
		t.Errorf("%v are on it, in the order of %v", p.Things, things)
	case len(p.Creases) > 0 && !p.Folded:
		t.Errorf("it is not folded")
	case !b.Closed().Addressed:
		t.Errorf("it is not addressed")
	case p.Wet > 0:
		t.Errorf("it is not dry")
	}
	if !table.Enveloped {
		if p.Round != j.Mail.Radius {
			t.Errorf("its corners are of %v, want %v", p.Round, j.Mail.Radius)
		}
		return
	}
	if liner := b.Pieces[plan.LinerPiece]; liner != nil && liner.Count > 0 && liner.On != plan.BlankPiece {
		t.Errorf("the liner is on %q", liner.On)
	}
	if p.On != plan.BlankPiece || !b.Closed().Done {
		t.Errorf("it is not closed at the end")
	}
	by, _ := paper.ClosureByID(j.Mail.Closure)
	posted := j.Mail.Destination != job.ByHand
	if c := b.Closed(); c.With != cmp.Or(j.Mail.Closure, "gum") || c.Stuck != (by.ID != "tape" && (posted || by.ID == "gum")) {
		t.Errorf("closed with %q, stuck down: %v", c.With, c.Stuck)
	}
	if g := b.Pieces[plan.GaugePiece]; g != nil && !b.Closed().Slid {
		t.Errorf("a gauge was cut for nothing")
	}
}

// steps are those of an act, of a worksheet that was followed to its end.
func steps(t *testing.T, j job.Job, shop job.Shop, act worksheet.Act) (list []worksheet.Step) {
	t.Helper()
	for _, s := range prove(t, plan.TableOf(j, shop)).Steps {
		if s.Act == act {
			list = append(list, s)
		}
	}
	return list
}

// A punch board that is used only to notch takes the corners out where scores cross that another tool made; one
// that is less deep than they are leaves them to the scissors.
func TestPunchOnlyToNotch(t *testing.T) {
	j, shop := demo.Jobs()[0], demo.Shop()
	j.Envelope.Construction, j.Envelope.Way, j.Envelope.School = blank.DiamondID, blank.CornerWay, blank.ExactSeam
	shop.Tools.Owned.Punch, shop.Tools.NotchesOnly = field.Yes, field.Yes
	for _, tt := range []struct {
		deep measure.Length
		with blank.ToolID
	}{{2 * measure.Inch, blank.PunchBoard}, {measure.Inch / 16, job.ScissorsTool}} {
		shop.Tools.NotchDepth = tt.deep
		snips := steps(t, j, shop, worksheet.Snip)
		if len(snips) != 1 || snips[0].Tool != tt.with || len(snips[0].Lines) != 4 {
			t.Errorf("a punch of %v: %+v", tt.deep, snips)
		}
		if punched := steps(t, j, shop, worksheet.Punch); len(punched) > 0 {
			t.Errorf("it scores too: %+v", punched)
		}
	}
}

// A punch board whose notch lies beside its zero is set by so much more, on the bench as in the plan; and a sheet larger
// than it takes is not punched.
func TestPunchReading(t *testing.T) {
	j, shop := demo.Jobs()[0], demo.Shop()
	j.Envelope.Construction, j.Envelope.Way, j.Envelope.School = blank.DiamondID, blank.NotchWay, blank.NotchBoard
	before := steps(t, j, shop, worksheet.Punch)
	shop.Tools.PunchAt = measure.Inch / 4
	after := steps(t, j, shop, worksheet.Punch)
	if len(before) != 4 || len(after) != 4 {
		t.Fatalf("%d punches, then %d", len(before), len(after))
	}
	for i := range after {
		if after[i].At-before[i].At != measure.Inch/4 {
			t.Errorf("punch %d at %v, before at %v", i, after[i].At, before[i].At)
		}
	}
	if way := plan.TableOf(j, shop).Made.Way(); way.ID != blank.NotchWay || way.Scores[0].At != after[0].At && way.Scores[1].At != after[0].At {
		t.Errorf("the plan says %+v, the bench %v", way.Scores, after[0].At)
	}
	shop.Tools.PunchLargest = 6 * measure.Inch
	if list := steps(t, j, shop, worksheet.Punch); len(list) > 0 {
		t.Errorf("a sheet that does not go in is punched: %+v", list)
	}
}

// Bases are folded edge to edge where that is the shop's way, or where nothing scores and the card is light; never
// where the fold is not in the middle.
func TestFoldedEdgeToEdge(t *testing.T) {
	j, shop := demo.Jobs()[0], demo.Shop()
	none := job.Owned{Board: field.No}
	light := ""
	for _, s := range shop.Stocks {
		if s.GSM < 200 && s.Pattern == "" && s.Sheet == "" {
			light = s.ID
		}
	}
	for _, tt := range []struct {
		name  string
		owned job.Owned
		way   job.BaseFold
		stock string
		want  int
	}{
		{"scored", job.Owned{}, "", light, 0}, {"asked for", job.Owned{}, job.EdgeBases, light, 1}, {"nothing scores", none, "", light, 1}, {"heavy", none, "", j.Parts[0].Stock, 0},
	} {
		t.Run(tt.name, func(t *testing.T) {
			shop, j := shop.Clone(), j.Clone()
			shop.Tools.Owned, shop.Tools.Bases, j.Parts[0].Stock = tt.owned, tt.way, tt.stock
			list := steps(t, j, shop, worksheet.Halve)
			if len(list) != tt.want {
				t.Errorf("%+v", list)
			}
		})
	}
	shop.Tools.Bases = job.EdgeBases
	for _, s := range steps(t, demo.Jobs()[5], shop, worksheet.Halve) {
		if s.Piece != demo.Jobs()[5].Parts[0].ID {
			t.Errorf("%s is folded", s.Piece)
		}
	}
}

// A thick card's gauge is cut before it is made, and it is slid through when it is closed.
func TestGaugeInTheWorksheet(t *testing.T) {
	thick, thin := 0, 0
	for _, j := range demo.Jobs() {
		table := plan.TableOf(j, demo.Shop())
		takes, slides := 0, 0
		for _, s := range prove(t, table).Steps {
			if s.Act == worksheet.Take && s.Piece == plan.GaugePiece {
				takes++
			}
			if s.Act == worksheet.Try && s.Onto == plan.GaugePiece {
				slides++
			}
		}
		if takes != slides {
			t.Errorf("%s: %d gauges, slid through %d", j.Name, takes, slides)
		}
		if takes > 0 {
			thick++
		} else {
			thin++
		}
	}
	if thick == 0 || thin == 0 {
		t.Errorf("%d cards with a gauge, %d without", thick, thin)
	}
}

// Without a board, and where no way is asked for, a square on its point is folded round the card; with one, or where
// another way is asked for, it is scored.
func TestWithoutABoard(t *testing.T) {
	j, shop := demo.Jobs()[0], demo.Shop()
	j.Envelope.Construction, j.Envelope.Way, j.Envelope.School = blank.DiamondID, "", blank.ExactSeam
	if list := steps(t, j, shop, worksheet.Round); len(list) > 0 {
		t.Errorf("with a board: %+v", list)
	}
	shop.Tools.Owned.Board = field.No
	if list := steps(t, j, shop, worksheet.Round); len(list) != 1 {
		t.Errorf("without a board: %+v", list)
	}
	j.Envelope.Way = blank.EdgeWay
	if list := steps(t, j, shop, worksheet.Round); len(list) > 0 {
		t.Errorf("asked for edge marks: %+v", list)
	}
	if !plan.GoesBy(demo.Jobs()[0], "tools.owned.board") && demo.Jobs()[0].Envelope.Way == "" {
		t.Error("nobody is told that the numbers go by it")
	}
}
