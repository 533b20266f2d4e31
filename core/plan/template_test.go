package plan_test

import (
	"strings"
	"testing"

	"yellowparcel/core/blank"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/plan"
)

// pocket is a template by the pencil: a front of 7 × 5, tabs of 3/4 at its sides, a back of 4 1/2 and a flap of 2 1/2.
func pocket() (outline blank.Polygon, folds []blank.Line) {
	const in = 25.4
	at := func(x, y float64) blank.Point { return blank.Point{X: x * in, Y: y * in} }
	outline = blank.Polygon{at(.75, 0), at(7.75, 0), at(7.75, 2.5), at(8.5, 2.5), at(8.5, 7.5), at(7.75, 7.5), at(7.75, 12), at(.75, 12), at(.75, 7.5), at(0, 7.5), at(0, 2.5), at(.75, 2.5)}
	for _, l := range [][4]float64{{.75, 2.5, 7.75, 2.5}, {.75, 7.5, 7.75, 7.5}, {.75, 2.5, .75, 7.5}, {7.75, 2.5, 7.75, 7.5}} {
		folds = append(folds, blank.Line{From: at(l[0], l[1]), To: at(l[2], l[3])})
	}
	return outline, folds
}

// A ready-made pocket is held against cards that go in, that go in only turned, and that do not; stretched to a larger one its seams
// are as many times as wide.
func TestTemplates(t *testing.T) {
	t.Parallel()
	shop := job.DefaultShop()
	outline, folds := pocket()
	plain := job.NewJob(shop)
	plain.Envelope.Adhesive = "tape-1-4"
	look := func(w, h measure.Length) plan.TemplatePlan {
		t.Helper()
		j := plain.Clone()
		j.Card.Width, j.Card.Height = w, h
		p, err := plan.PlanTemplate(outline, folds, nil, true, j, shop)
		if err != nil {
			t.Fatal(err)
		}
		return p
	}
	in := measure.Inch
	for _, size := range [][2]measure.Length{{6*in + in/2, 4*in + in/2}, {4*in + in/2, 6*in + in/2}} {
		p := look(size[0], size[1])
		if !p.Suits || p.Sentence.Text != "Your card goes in with 1⁄2 in to spare, and it closes." || p.Creases != "4 fold lines, 5 panels." || !strings.HasPrefix(p.Inside, "Inside 7 × 5: ease") && !strings.HasPrefix(p.Inside, "Inside 5 × 7: ease") || p.Seam != "The narrowest seam is 3⁄4." {
			t.Errorf("%v: %+v", size, p)
		}
	}
	p := look(8*in, 5*in)
	if p.Suits || !strings.Contains(p.Sentence.Text, "does not go in: it is 1 1⁄16 in too large") {
		t.Errorf("a card too large: %q", p.Sentence.Text)
	}
	// To 8 + 1/32 + 1/4 wide it is pulled by 1.183: the tabs of 3/4 become 7/8, all over and each way.
	if len(p.Stretched) != 2 || !strings.Contains(p.Stretched[0].Text, "118 %") || !strings.Contains(p.Stretched[0].Text, "seam is 7⁄8") {
		t.Errorf("stretched: %+v", p.Stretched)
	}
	small := look(3*in, 2*in)
	if len(small.Stretched) == 0 || !strings.Contains(small.Stretched[0].Text, "narrowest seam is 3⁄8") && !strings.Contains(small.Stretched[0].Text, "narrowest seam is 5⁄16") {
		t.Errorf("made smaller: %+v", small.Stretched)
	}
	if !strings.Contains(p.Instead, "Made for this card") {
		t.Errorf("instead: %q", p.Instead)
	}
	// Tabs too narrow for the adhesive.
	narrow := plain.Clone()
	narrow.Envelope.Adhesive, narrow.Card.Width, narrow.Card.Height = "tape-1-2", 6*in, 4*in
	thin := append(blank.Polygon{}, outline...)
	for i := range thin {
		if thin[i].X == 0 {
			thin[i].X = .4 * 25.4
		}
	}
	if p, err := plan.PlanTemplate(thin, folds, nil, false, narrow, shop); err != nil || p.Suits || !strings.Contains(p.Seam, "too narrow for your adhesive of 1⁄2") || !strings.Contains(p.Creases, "names no fold lines") {
		t.Errorf("%+v, %v", p, err)
	}
	for want, lines := range map[string][]blank.Line{"no fold line": nil, "no rectangle": folds[:0:0]} {
		if want == "no rectangle" {
			lines = []blank.Line{{From: blank.Point{X: 60, Y: 40}, To: blank.Point{X: 60, Y: 90}}}
		}
		if _, err := plan.PlanTemplate(outline, lines, nil, true, plain, shop); err == nil || !strings.Contains(err.Error(), want) {
			t.Errorf("%s: %v", want, err)
		}
	}
}
