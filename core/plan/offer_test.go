//go:build !race

package plan_test

import (
	"math/rand/v2"
	"testing"

	"yellowparcel/core/field"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/plan"
	"yellowparcel/internal/anyjob"
	"yellowparcel/internal/soak"
)

// taken is the plan of the job that one has after taking an offer.
func taken(t *testing.T, j job.Job, shop job.Shop, path, id string) (job.Job, plan.Plan, bool) {
	t.Helper()
	got, problems := plan.Apply(j, shop, []field.Edit{{Act: field.Take, Path: path, Text: id}})
	if len(problems) > 0 {
		t.Logf("%s: %s", path, problems[0].Message)
		return got, plan.Plan{}, false
	}
	return got, plan.Make(got, shop), true
}

// What is offered is what one has after taking it: cards for an envelope, cards of a
// sheet, remedies, borders and recipes, of random jobs in both units.
func TestOffersAreKept(t *testing.T) {
	t.Parallel()
	r := rand.New(rand.NewPCG(71, 72))
	rows := map[string]int{}
	refused := map[string]int{}
	units := map[measure.Unit]int{}
	for range soak.Of(200) {
		shop := anyjob.Shop(r)
		j := anyjob.Job(r, shop)
		formats := shop.Formats()
		j.Start = &job.Start{Format: formats[r.IntN(len(formats))].ID}
		j.Paper.Have = shop.OnShelf()[r.IntN(len(shop.OnShelf()))].ID
		if len(plan.Check(j, shop)) > 0 {
			continue
		}
		units[shop.Unit]++
		if r.IntN(2) == 0 { // one that makes an envelope
			j.Recipe = &job.Recipe{Form: anyjob.Pick(r, job.PairRecipe, job.CornersRecipe, job.BoxRecipe), Side1: 9 * in, Left: 3 * in, Right: anyjob.Pick(r, 7*in/2, 9*in), Top: 3 * in, Bottom: 7 * in / 2}
		}
		if r.IntN(2) == 0 {
			j, _ = plan.Apply(j, shop, []field.Edit{{Act: field.Add, Path: "recipe", Text: anyjob.Pick(r, "pair", "corners", "pocket")}})
		}
		p := plan.Make(j, shop)
		for _, s := range p.Start.Schools {
			if s.Size == "" {
				continue
			}
			_, after, ok := taken(t, j, shop, "start.schools", string(s.ID))
			if !ok {
				refused["school"]++
				continue
			}
			rows["school"]++
			for _, now := range after.Start.Schools {
				if now.ID == s.ID && (now.Size != s.Size || now.Verdict != s.Verdict || now.Why != s.Why || now.Flat != s.Flat || !now.Current) {
					t.Errorf("%s: offered %s, %s (%s, %s), is %s, %s (%s, %s)", s.ID, s.Size, s.Flat, s.Verdict, s.Why, now.Size, now.Flat, now.Verdict, now.Why)
				}
			}
		}
		have := append(p.Paper.Have.Rows[:min(len(p.Paper.Have.Rows), 8)], p.Paper.Have.Largest...)
		for _, row := range have {
			_, after, ok := taken(t, j, shop, "paper.have", row.ID)
			if !ok {
				refused["sheet"]++
				continue
			}
			rows["sheet"]++
			found := false
			for _, now := range append(after.Paper.Have.Rows, after.Paper.Have.Largest...) {
				if now.ID == row.ID || now.TwinID == row.ID {
					found = true
					if now.ID == row.ID && (now.Size != row.Size || now.Flat != row.Flat) || now.Each != row.Each && row.Waste != "" || !now.Current {
						t.Errorf("of the sheet: offered %+v, is %+v", row, now)
					}
					break
				}
			}
			if !found {
				t.Errorf("the card %s of the sheet is gone when it is taken", row.Size)
			}
		}
		for _, rem := range p.Mail.Remedies {
			if !rem.Possible {
				continue
			}
			got, after, ok := taken(t, j, shop, "mail.remedies", rem.ID)
			if !ok {
				t.Errorf("%s is refused", rem.ID)
				continue
			}
			rows["remedy"]++
			if after.Mail.Short != rem.Short {
				t.Errorf("%s: promised %s, is %s", rem.ID, rem.Short, after.Mail.Short)
			}
			m, n := j.Mail.Measured, got.Mail.Measured
			// What the sums said of the piece that was measured may be noted.
			n.ThicknessOf, n.GramsOf, n.Stiffer = m.ThicknessOf, m.GramsOf, m.Stiffer
			if n != m {
				t.Errorf("%s forgets what was measured: %+v becomes %+v", rem.ID, m, n)
			}
			if th := j.Card.Thickness; th != nil && (got.Card.Thickness == nil || *got.Card.Thickness != *th) {
				t.Errorf("%s forgets the thickness that was typed, %v", rem.ID, *th)
			}
		}
		for _, row := range p.Layers.Rows {
			for i, g := range row.Rungs {
				_, after, ok := taken(t, j, shop, "layers.rungs", g.ID)
				if !ok {
					refused["rung"]++
					continue
				}
				rows["rung"]++
				for _, now := range after.Layers.Rows {
					if now.Part == row.Part && (now.Rung != i || !now.OnRung || now.Share != g.Share) {
						t.Errorf("rung %s shows %s: offered %s", g.ID, now.Share, g.Share)
					}
				}
			}
		}
		if p.Recipe != nil && p.Recipe.Rescaled != "" {
			_, after, ok := taken(t, j, shop, "recipe", "")
			if ok {
				rows["recipe"]++
			}
			if ok && after.Recipe.Rescaled != p.Recipe.Rescaled {
				t.Errorf("a recipe made mine is %q, was %q", after.Recipe.Rescaled, p.Recipe.Rescaled)
			}
		}
	}
	t.Logf("%v kept, %v", rows, units)
	if len(refused) > 0 {
		t.Errorf("offered and then refused: %v", refused)
	}
	for _, kind := range []string{"school", "sheet", "remedy", "rung", "recipe"} {
		if rows[kind] < 3 {
			t.Errorf("only %d offers of the kind %s", rows[kind], kind)
		}
	}
	if len(units) != 2 {
		t.Errorf("jobs in %v", units)
	}
}
