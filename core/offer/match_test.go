package offer

import (
	"testing"

	"yellowparcel/core/blank"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/paper"
	"yellowparcel/internal/anyjob"
)

// A layer, the liner and the envelope come of one sheet of the layer's paper where it
// suffices, the liner and the layer else, and nothing where there is nothing to match.
func TestWhatMatches(t *testing.T) {
	// A pocket round 4 x 3 1/2 takes about 5 1/2 x 8 of it, the liner and a layer of 3 3/4 x 3
	// lie beside: 12 x 12 suffices for all, 8 x 8 for liner and layer, 4 x 4 for neither.
	sheet := func(side measure.Length) func(*job.Job, *job.Shop) {
		return func(_ *job.Job, s *job.Shop) {
			s.Sheets = []paper.Sheet{{ID: "letter", Name: "Letter", Width: 17 * inch / 2, Height: 11 * inch}, {ID: "pad", Name: "Pad", Width: side * inch, Height: side * inch}}
			for i := range s.Stocks {
				if s.Stocks[i].ID == "pattern-130" {
					s.Stocks[i].Sheet = "pad"
				}
			}
		}
	}
	and := func(list ...func(*job.Job, *job.Shop)) func(*job.Job, *job.Shop) {
		return func(j *job.Job, s *job.Shop) {
			for _, f := range list {
				f(j, s)
			}
		}
	}
	gsm := func(g float64) func(*job.Job, *job.Shop) {
		return func(_ *job.Job, s *job.Shop) {
			for i := range s.Stocks {
				if s.Stocks[i].ID == "pattern-130" {
					s.Stocks[i].GSM = g
				}
			}
		}
	}
	second := func(stock string) func(*job.Job, *job.Shop) {
		return func(j *job.Job, _ *job.Shop) {
			j.Parts = append(j.Parts, job.Part{ID: "b", Name: "Second", Kind: job.LayerPart, Stock: stock, Border: inch / 8})
		}
	}
	of := func(change func(*job.Job)) func(*job.Job, *job.Shop) {
		return func(j *job.Job, _ *job.Shop) { change(j) }
	}
	for name, tt := range map[string]struct {
		change func(*job.Job, *job.Shop)
		want   string
	}{
		"all of one sheet":           {sheet(12), "pattern-130 of First on pad"},
		"liner and layer":            {sheet(8), "pattern-130:liner of First on pad"},
		"neither":                    {sheet(4), ""},
		"too heavy for an envelope":  {and(sheet(12), gsm(171)), "pattern-130:liner of First on pad"},
		"heavy":                      {and(sheet(12), gsm(170)), "pattern-130 of First on pad"},
		"two layers of it":           {and(sheet(12), second("pattern-130")), "pattern-130 of First on pad"},
		"another that is the base's": {and(sheet(12), second("cover-80")), "pattern-130 of First on pad"},
		"envelope matches already":   {and(sheet(12), of(func(j *job.Job) { j.Envelope.Stock = "pattern-130" })), "pattern-130 of First on pad"},
		"liner matches already":      {and(sheet(8), of(func(j *job.Job) { j.Envelope.Liner = "pattern-130" })), ""},
		"all matches already":        {and(sheet(12), of(func(j *job.Job) { j.Envelope.Stock, j.Envelope.Liner = "pattern-130", "pattern-130" })), ""},
		"a bought envelope":          {and(sheet(12), of(func(j *job.Job) { j.Envelope.Construction, j.Envelope.From = blank.BoughtID, "a7" })), ""},
		"bare":                       {and(sheet(12), of(func(j *job.Job) { j.Mail.Bare = true })), ""},
		"no layer":                   {and(sheet(12), of(func(j *job.Job) { j.Parts = j.Parts[:1] })), ""},
	} {
		t.Run(name, func(t *testing.T) {
			j, shop := anyjob.Star(4*inch, 7*inch/2, blank.PocketID), job.DefaultShop()
			j.Parts = append(j.Parts, job.Part{ID: "a", Name: "First", Kind: job.LayerPart, Stock: "pattern-130", Border: inch / 8})
			tt.change(&j, &shop)
			o := offersTo(j, shop)
			got := ""
			for _, m := range o.Matches(o.Choose(o.Candidates())) {
				if got != "" {
					got += ", "
				}
				got += m.ID() + " of " + m.Layer + " on " + m.Sheet.ID
				taken := m.Take(j.Clone())
				if taken.Envelope.Liner != m.Stock.ID || (taken.Envelope.Stock == m.Stock.ID) != (m.Whole || j.Envelope.Stock == m.Stock.ID) {
					t.Errorf("%s makes it %+v", m.ID(), taken.Envelope)
				}
			}
			if got != tt.want {
				t.Errorf("offers %q, want %q", got, tt.want)
			}
		})
	}
}
