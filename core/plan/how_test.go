package plan_test

import (
	"math/rand/v2"
	"testing"

	"yellowparcel/core/blank"
	"yellowparcel/core/plan"
	"yellowparcel/demo"
	"yellowparcel/internal/anyjob"
)

// Every sum that is shown comes out, and the main ones are shown: those of the base and, of a
// diamond, its creases, its square and its ease.
func TestSumsComeOut(t *testing.T) {
	jobs := demo.Jobs()
	r := rand.New(rand.NewPCG(14, 15))
	for range 40 {
		jobs = append(jobs, anyjob.Job(r, demo.Shop()))
	}
	shown := map[string]int{}
	for i, j := range jobs {
		if len(plan.Check(j, demo.Shop())) > 0 {
			continue
		}
		p := plan.Make(j, demo.Shop())
		for _, l := range append(p.Card.How, p.Envelope.How...) {
			if shown[l.ID]++; l.Off() > 1e-4 || l.Result == "" || l.Name == "" || len(l.Terms) == 0 || l.Terms[0].Op != "" {
				t.Errorf("%s: %+v is off by %v", j.Name, l, l.Off())
			}
		}
		if i >= len(demo.Jobs()) {
			continue
		}
		has := map[string]bool{}
		for _, l := range append(p.Card.How, p.Envelope.How...) {
			has[l.ID] = true
		}
		for _, id := range []string{"flat", "square", "width", "height", "ease-width", "ease-height"} {
			if !has[id] {
				t.Errorf("%s: how the %s comes out is not shown", j.Name, id)
			}
		}
	}
	for _, id := range []string{"flat", "thickness", "square", "sheet-width", "sheet-height", "ease-width"} {
		if shown[id] < 5 {
			t.Errorf("%s is shown %d times", id, shown[id])
		}
	}
	// 5 3/8, two of cover 100 and a light paper, 1/4: by pencil.
	j := demo.Jobs()[0]
	how := plan.Make(j, demo.Shop()).Envelope.How
	if l := how[0]; l.Name != "Creases, width" || l.Terms[0].Text != "5 3⁄8" || l.Terms[2].Text != "1⁄4" || l.Terms[2].Op != "+" {
		t.Errorf("%+v", l)
	}
	j.Envelope.Construction = blank.PocketID
	for _, l := range plan.Make(j, demo.Shop()).Envelope.How {
		if l.ID == "sheet-width" && (len(l.Terms) != 3 || l.Terms[0].Text != "3⁄4" || l.Terms[1].Text != "5 11⁄16") {
			t.Errorf("%+v", l)
		}
	}
}
