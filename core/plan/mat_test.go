package plan_test

import (
	"context"
	"fmt"
	"math"
	"strings"
	"testing"

	"yellowparcel/core/blank"
	"yellowparcel/core/drawing"
	"yellowparcel/core/field"
	"yellowparcel/core/job"
	"yellowparcel/core/mat"
	"yellowparcel/core/measure"
	"yellowparcel/core/plan"
	"yellowparcel/demo"
)

// mats is a job laid on its mats.
func mats(j job.Job, shop job.Shop) *plan.MatPlan {
	p, _ := plan.MakeFor(context.Background(), j, shop, "bench/mats")
	return p.Bench.Mats
}

// tooLarge is a job whose blank is 1/8 too large for what the usual mat cuts.
func tooLarge(t *testing.T) (job.Job, job.Shop, plan.MatPlan) {
	t.Helper()
	shop := job.DefaultShop()
	j := job.NewJob(shop)
	for side := 5 * measure.Inch; side < 11*measure.Inch; side += measure.Inch / 16 {
		j.Card.Width, j.Card.Height = side, 4*measure.Inch
		j.Envelope.Construction, j.Envelope.Seam = blank.PocketID, measure.Inch
		p := mats(j, shop)
		for _, m := range p.Misfits {
			if m.ID == plan.BlankPiece && strings.Contains(m.Text, "11 3⁄8 does not fit the 11 1⁄4 that your mat can cut") {
				return j, shop, *p
			}
		}
	}
	t.Fatal("no card asks for a blank of 11 3/8")
	return j, shop, plan.MatPlan{}
}

// What does not go on the mat is told with both numbers, and with what would bring it there: each, taken, does.
func TestWhatDoesNotGoOnTheMat(t *testing.T) {
	j, shop, p := tooLarge(t)
	var offers []plan.MatOffer
	for _, m := range p.Misfits {
		if m.ID == plan.BlankPiece {
			offers = m.Offers
		}
	}
	titles := map[string]bool{}
	for _, o := range offers {
		titles[o.Title] = true
		if o.Text == "" {
			t.Errorf("%s: nothing says what it costs", o.Title)
		}
		taken, problems := plan.Apply(j, shop, []field.Edit{{Act: field.Take, Path: "bench.mats", Text: o.ID}})
		if len(problems) > 0 {
			t.Errorf("%s: %v", o.Title, problems)
		}
		for _, m := range mats(taken, shop).Misfits {
			if m.ID == plan.BlankPiece {
				t.Errorf("%s: after taking it, %s", o.Title, m.Text)
			}
		}
	}
	if !titles["Take the long mat"] || len(titles) < 3 {
		t.Errorf("offered: %v", titles)
	}
	var least measure.Length
	for _, o := range offers {
		if strings.HasSuffix(o.Title, "less seam") {
			taken, _ := plan.Apply(j, shop, []field.Edit{{Act: field.Take, Path: "bench.mats", Text: o.ID}})
			least = taken.Envelope.Seam
		}
	}
	if least == 0 {
		t.Fatalf("no seam is offered: %v", titles)
	}
	// One tick more would not do.
	more := j.Clone()
	more.Envelope.Seam = least + measure.Inch/16
	found := false
	for _, m := range mats(more, shop).Misfits {
		found = found || m.ID == plan.BlankPiece
	}
	if !found && more.Envelope.Seam != j.Envelope.Seam {
		t.Errorf("a seam of %v goes as well, and %v is offered", more.Envelope.Seam, least)
	}
	if _, problems := plan.Apply(j, shop, []field.Edit{{Act: field.Take, Path: "bench.mats", Text: "mat:nowhere"}}); len(problems) == 0 {
		t.Error("a mat that is not there is taken")
	}
	shop.Mats = nil
	if p := mats(j, shop); len(p.Loads) > 0 || !strings.Contains(p.Says, "no mat on your shelf") {
		t.Errorf("without a mat: %+v", p)
	}
}

// Every demo job is laid on its mats whole, on each usual mat and a metric one: every load holds paper within what
// the cutter can work on, and as many pieces as are cut.
func TestDemoJobsOnMats(t *testing.T) {
	mm := measure.Millimetre
	for _, m := range append(mat.Usual(), mat.Mat{ID: "metric", Name: "Metric mat", Width: 300 * mm, Height: 600 * mm, Margin: 8 * mm}) {
		shop := demo.Shop()
		shop.Mats = []mat.Mat{m}
		for _, j := range demo.Jobs() {
			b, _ := plan.MakeFor(context.Background(), j, shop, "bench/mats")
			counts := map[string]int{}
			for _, l := range b.Bench.Mats.Loads {
				for _, s := range l.Flat.Shapes {
					for _, q := range s.Corners {
						if over := max(m.Margin.Millimetres()-q.X, q.X-(m.Width-m.Margin).Millimetres(), q.Y-(m.Height-m.Margin).Millimetres()); over > 0.01 && (s.Kind == drawing.Cut || s.Kind == drawing.Score) {
							t.Errorf("%s, %s: a line lies %.3f outside", j.Name, l.Name, over)
						}
					}
					if s.Paper {
						counts[s.Part] += l.Times
					}
				}
				for _, n := range l.Flat.Labels {
					if line := across(l.Flat, n); line != "" || n.Room <= 0 || n.High < 5.9 {
						t.Errorf("%s, %s: %s with room for %.1f lies on %s", j.Name, l.Name, n.Text, n.Room, line)
					}
				}
				if x, ok := plan.PieceOf(j, shop, l.ID); !ok || len(x.Flat.Shapes) != len(l.Flat.Shapes) {
					t.Errorf("%s: there is no file of %s", j.Name, l.Name)
				}
			}
			for _, miss := range b.Bench.Mats.Misfits {
				delete(counts, miss.ID)
			}
			for id, n := range counts {
				for _, x := range b.Bench.Pieces {
					if x.ID == id && x.Count > n {
						t.Errorf("%s: %d of %s on mats, of %d", j.Name, n, x.Name, x.Count)
					}
				}
			}
		}
	}
}

// across is a line that is cut or scored across the room of a name, if there is one.
func across(d drawing.Drawing, n drawing.Label) string {
	for _, s := range d.Shapes {
		if s.Kind != drawing.Cut && s.Kind != drawing.Score {
			continue
		}
		for i, a := range s.Corners {
			b := s.Corners[(i+1)%len(s.Corners)]
			if i == len(s.Corners)-1 && !s.Closed {
				break
			}
			const steps = 400
			for k := range steps + 1 {
				x, y := a.X+(b.X-a.X)*float64(k)/steps-n.At.X, a.Y+(b.Y-a.Y)*float64(k)/steps-n.At.Y
				if math.Abs(x) < n.Room-0.01 && math.Abs(y) < n.High-0.01 {
					return fmt.Sprintf("%s of %s", s.Kind, s.Part)
				}
			}
		}
	}
	return ""
}

// What came off is held against the drawing: the same lines agree, one left out, one too many and one a tenth of a
// millimetre off are told.
func TestCameOff(t *testing.T) {
	shop := demo.Shop()
	x, ok := plan.PieceOf(demo.Jobs()[0], shop, "mat-1")
	if !ok {
		t.Fatal("there is no mat")
	}
	made := func() (list []drawing.Made) {
		passes := x.Flat.Passes(plan.Scoring(shop))
		for _, s := range append(passes.Scores, passes.Cuts...) {
			m := drawing.Made{Kind: s.Kind, Corners: append(blank.Polygon{}, s.Corners...)}
			if s.Closed {
				m.Corners = append(m.Corners, m.Corners[0])
			}
			list = append(list, m)
		}
		return list
	}
	if p := plan.CameOff(x, shop, made(), 100, 30); p.Says.Text != "2 pieces come off as drawn, to 0.01 mm." {
		t.Errorf("%+v, %v", p.Says, p.Passes)
	}
	if p := plan.CameOff(x, shop, made()[1:], 100, 30); !strings.Contains(p.Says.Text, "is not made") {
		t.Errorf("one left out: %+v", p.Says)
	}
	off := made()
	off[len(off)-1].Corners[1].X += 0.1
	if p := plan.CameOff(x, shop, off, 100, 30); !strings.Contains(p.Says.Text, "0.10 mm from the drawing") {
		t.Errorf("one corner off: %+v", p.Says)
	}
	more := append(made(), drawing.Made{Kind: drawing.Cut, Corners: blank.Polygon{{X: 3, Y: 3}, {X: 5, Y: 3}}})
	if p := plan.CameOff(x, shop, more, 100, 30); p.Says.Tone != "trouble" {
		t.Errorf("one too many: %+v", p.Says)
	}
}

// The longer mat never asks for more loads than the shorter one, or for more different ones: two sheets of
// its width lie on it.
func TestTheLongerMatTakesNoMore(t *testing.T) {
	shop := demo.Shop()
	usual := mat.Usual()
	less := 0
	for _, j := range demo.Jobs() {
		for _, count := range []int{1, 6, 11, 25} {
			j := j.Clone()
			j.Count = count
			took := map[string][2]int{}
			for _, m := range usual {
				j.Paper.Mat = m.ID
				s := shop.Clone()
				s.Mats = usual
				for _, l := range mats(j, s).Loads {
					took[m.ID] = [2]int{took[m.ID][0] + l.Times, took[m.ID][1] + 1}
				}
			}
			short, long := took[usual[0].ID], took[usual[1].ID]
			if long[0] < short[0] {
				less++
			}
			if on := mats(j, shop); len(on.Misfits) == 0 && (long[0] > short[0] || long[1] > short[1]) {
				t.Errorf("%s, %d cards: %d loads and %d kinds on the long mat, %d and %d on the short one", j.Name, count, long[0], long[1], short[0], short[1])
			}
		}
	}
	if less < 8 {
		t.Errorf("fewer loads %d times alone", less)
	}
	t.Logf("fewer loads on the long mat %d times", less)
}
