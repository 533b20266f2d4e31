package bench_test

import (
	"testing"

	"yellowparcel/core/blank"
	"yellowparcel/core/field"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/plan"
	"yellowparcel/core/worksheet"
	"yellowparcel/core/worksheet/bench"
	"yellowparcel/demo"
)

// finished holds what is pressed in, made round, and slid through a gauge against the job.
func finished(t *testing.T, table plan.Table, b *bench.Bench, missing map[string]bool) {
	t.Helper()
	if missing[table.Job.Parts[0].ID] {
		return
	}
	for _, part := range table.Job.Parts {
		p := b.Pieces[part.ID]
		if p != nil && p.Count > 0 && !missing[part.ID] && p.Embossed != part.Embossed && part.Thing == nil && (part.Kind != job.LinerPart || !table.Job.Card.Fold.Kind().Unfolded) {
			t.Errorf("%s: %s is embossed: %v", table.Job.Name, part.Name, p.Embossed)
		}
	}
	if p := b.Pieces[table.Job.Parts[0].ID]; !table.Enveloped && p != nil && p.Round != table.Job.Mail.Radius {
		t.Errorf("%s: its corners are of %v, want %v", table.Job.Name, p.Round, table.Job.Mail.Radius)
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
