package plan_test

import (
	"encoding/json"
	"math/rand/v2"
	"reflect"
	"testing"

	"yellowparcel/core/job"
	"yellowparcel/core/plan"
	"yellowparcel/demo"
	"yellowparcel/internal/anyjob"
)

// What the bench draws besides its own.
var ladder = []string{"Layers", "Ladder", "Flat"}

// atBench is what every drawer of the bench shows.
var atBench = [][]string{{"Bench", "Sentence"}, {"Bench", "Pieces"}, {"Bench", "Cutter"}, {"Bench", "Notes"}, {"Mail", "Gauge"}, ladder}

// shownBy is what each drawer shows that is worked out for it alone, by its path in a plan.
var shownBy = map[plan.Open][][]string{
	"card/from-envelope": {{"Start"}}, "card/from-paper": {{"Paper", "Have"}},
	"envelope/choose": {{"Envelope", "Comparison"}, {"Envelope", "Fits"}, {"Envelope", "Misses"}}, "envelope/sizes": {{"Envelope", "Sizes"}}, "envelope/recipe": {{"Recipe"}},
	"card/sums": {{"Card", "How"}}, "envelope/sums": {{"Envelope", "How"}},
	"mail/checks": {{"Mail", "Classes"}}, "mail/fixes": {{"Mail", "Remedies"}, {"Mail", "FixesNote"}}, "mail/destinations": {{"Mail", "Everywhere"}}, "mail/bending": {{"Mail", "Beam"}}, "mail/gauge": {{"Mail", "Gauge"}},
	"layers/panel": {ladder},
	"bench/steps":  atBench, "bench/pieces": atBench, "bench/tools": atBench, "bench/cutter": atBench,
	"bench/mats": append([][]string{{"Bench", "Mats"}}, atBench...),
}

// A plan for one drawer says what the whole plan says, and leaves out only what another
// drawer shows.
func TestPlanForADrawer(t *testing.T) {
	jobs := demo.Jobs()
	r := rand.New(rand.NewPCG(14, 14))
	for range 8 {
		jobs = append(jobs, anyjob.Job(r, demo.Shop()))
	}
	every := map[string][]string{}
	for _, paths := range shownBy {
		for _, path := range paths {
			raw, _ := json.Marshal(path)
			every[string(raw)] = path
		}
	}
	for _, j := range jobs {
		if len(plan.Check(j, demo.Shop())) > 0 {
			continue
		}
		whole := plan.Make(j, demo.Shop())
		// The mats are worked out for their own drawer alone.
		whole.Bench.Mats = mats(j, demo.Shop())
		for _, s := range job.Stations() {
			for _, d := range s.Drawers {
				open := plan.OpenAt(s.ID + "/" + d.ID)
				p, err := plan.MakeFor(t.Context(), j, demo.Shop(), open)
				if err != nil || p.Open != open {
					t.Fatal(err, p.Open)
				}
				want := whole
				want.Open = open
				for raw, path := range every {
					shown := false
					for _, own := range shownBy[open] {
						mine, _ := json.Marshal(own)
						shown = shown || string(mine) == raw
					}
					if got := at(&p, path); !shown {
						at(&want, path).Set(got) // left out
					} else if !reflect.DeepEqual(got.Interface(), at(&whole, path).Interface()) {
						t.Errorf("%s: %v is another at %s", j.Name, path, open)
					}
				}
				if !reflect.DeepEqual(p, want) {
					t.Errorf("%s: the plan is another at %s", j.Name, open)
				}
			}
		}
	}
}

// at is the field of a plan at a path.
func at(p *plan.Plan, path []string) reflect.Value {
	v := reflect.ValueOf(p).Elem()
	for _, name := range path {
		v = v.FieldByName(name)
	}
	return v
}

// An address that is none opens what is next to it.
func TestOpenAt(t *testing.T) {
	for address, want := range map[string]plan.Open{"mail/fixes": "mail/fixes", "mail": "mail/checks", "mail/": "mail/checks", "card/nothing": "card/base", "": "", "attic/chest": ""} {
		if got := plan.OpenAt(address); got != want {
			t.Errorf("%q opens %q", address, got)
		}
	}
}
