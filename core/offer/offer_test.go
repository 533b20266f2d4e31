package offer

import (
	"context"
	"encoding/json"
	"testing"

	"yellowparcel/core/blank"
	"yellowparcel/core/compare"
	"yellowparcel/core/cutting"
	"yellowparcel/core/field"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/internal/anyjob"
)

// offersTo are the offers to a job, found with the effort of one plan.
func offersTo(j job.Job, shop job.Shop) Offers {
	return To(compare.New(j, shop, cutting.NewEffort(context.Background(), 1_000_000)))
}

// A remedy changes a copy: the job that it was worked out for stays as it was.
func TestRemediesChangeCopies(t *testing.T) {
	shop := job.DefaultShop()
	j := anyjob.Star(7*measure.Inch, 5*measure.Inch, blank.DiamondID)
	j.Parts = append(j.Parts, job.Part{ID: "panel", Name: "Panel", Kind: job.LayerPart, Stock: "cover-100", Border: measure.Inch / 4, Foam: measure.Inch / 8})
	for _, id := range []string{"knot", "brad", "gem-4"} {
		var err error
		if j, err = j.Apply(shop, field.Edit{Act: field.Add, Path: "parts", Text: id}); err != nil {
			t.Fatal(err)
		}
	}
	before := plainJob(j)
	m := offersTo(j, shop)
	all := m.Candidates()
	c := m.Choose(all)
	book, _ := m.Book()
	list := m.Remedies(c, all, m.VerdictOf(book, m.Mailed(m.Closed(c))))
	if len(list) < 3 {
		t.Fatalf("%d remedies", len(list))
	}
	for _, r := range list {
		other := r.Take(j)
		if plainJob(j) != before {
			t.Fatalf("%s changed the job that it was worked out for", r.ID())
		}
		if plainJob(other) == before {
			t.Errorf("%s changes nothing", r.ID())
		}
		if problems := other.Check(shop); len(problems) > 0 {
			t.Errorf("%s leads to a job that cannot be: %v", r.ID(), problems)
		}
	}
	for i := 1; i < len(list); i++ {
		now := m.Judge(m.Closed(c))
		a, b := list[i-1], list[i]
		if helps := func(r Remedy) bool { return r.Mail.Compare(now) < 0 }; helps(a) == helps(b) && (a.touched > b.touched || a.touched == b.touched && a.area > b.area) {
			t.Errorf("%s (%d parts, %.0f mm²) stands before %s (%d, %.0f)", a.ID(), a.touched, a.area, b.ID(), b.touched, b.area)
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
			m := offersTo(anyjob.Star(size[0], size[1], id), shop)
			if m.Candidate(blank.ByID(id)).Found {
				continue
			}
			served, ok := m.LargestServed(blank.ByID(id))
			if !ok {
				t.Errorf("%s: no card of %v is served at all", id, size)
				continue
			}
			tried++
			for more, want := range map[measure.Length]bool{0: true, m.Style().Tick: false} {
				j := m.Job()
				j.Card.Width, j.Card.Height = m.scaled(max(served.Width, served.Height)+more, max(size[0], size[1]))
				if got := m.with(j).Candidate(blank.ByID(id)).Found; got != want {
					t.Errorf("%s: a card of %v x %v is found: %v", id, j.Card.Width, j.Card.Height, got)
				}
			}
		}
	}
	if tried < 8 {
		t.Errorf("only %d were tried", tried)
	}
}
