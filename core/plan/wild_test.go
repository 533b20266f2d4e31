package plan_test

import (
	"encoding/json"
	"maps"
	"math/rand/v2"
	"slices"
	"strings"
	"testing"

	"yellowparcel/core/blank"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/plan"
	"yellowparcel/demo"
	"yellowparcel/internal/anyjob"
)

// extremes are lengths and counts at and past the edges of what anybody types.
var extremes = []float64{
	0, 1, -1, 2, 3, 7, 60, 999, 10_000, 99_999, 500_000, 1_000_000, 1_587_500, 3_175_000, 25_400_000, 68_200_000, 68_262_499, 76_999_000,
	203_200_000, 305_000_000, 999_999_999, 1_000_000_000, 5_000_000_000, -25_400_000, 1e15, -1e15,
}

// wildJob is a job of which some numbers and words are at the edges of what can
// be typed, or past them. It need not pass Check.
func wildJob(r *rand.Rand, shop job.Shop) job.Job {
	j := anyjob.Job(r, shop)
	if r.IntN(4) == 0 {
		anyjob.Narrow(r, &j)
	}
	raw, err := json.Marshal(j)
	if err != nil {
		return j
	}
	var tree any
	if json.Unmarshal(raw, &tree) != nil {
		return j
	}
	for range 1 + r.IntN(2) {
		tree = spoil(r, tree)
	}
	raw, _ = json.Marshal(tree)
	var spoilt job.Job
	if json.Unmarshal(raw, &spoilt) != nil {
		return j // a fraction where a whole number stands
	}
	return spoilt
}

// spoil changes one leaf of a tree of JSON, or empties a list.
func spoil(r *rand.Rand, tree any) any {
	switch v := tree.(type) {
	case map[string]any:
		if key := anyKey(r, v); key != "" {
			v[key] = spoil(r, v[key])
		}
		return v
	case []any:
		switch {
		case len(v) == 0 || r.IntN(30) == 0:
			return []any{}
		case r.IntN(30) == 0:
			for range r.IntN(40) {
				v = append(v, v[len(v)-1])
			}
			return v
		}
		at := r.IntN(len(v))
		v[at] = spoil(r, v[at])
		return v
	case float64:
		return anyjob.Pick(r, extremes...)
	case string:
		return anyjob.Pick(r, v, v, "", "x", strings.Repeat("long ", 7))
	case bool:
		return !v
	}
	return tree
}

// anyKey draws a key; maps have no order of their own, so they are given one.
func anyKey(r *rand.Rand, m map[string]any) string {
	keys := slices.Sorted(maps.Keys(m))
	if len(keys) == 0 {
		return ""
	}
	return keys[r.IntN(len(keys))]
}

// wildShop is a shop at the edges of what its check lets through.
func wildShop(r *rand.Rand) job.Shop {
	s := anyjob.Shop(r)
	for range r.IntN(3) {
		switch r.IntN(6) {
		case 0:
			at := r.IntN(len(s.Sheets))
			s.Sheets[at].Width, s.Sheets[at].Height = measure.Length(anyjob.Pick(r, extremes...)), measure.Length(anyjob.Pick(r, extremes...))
		case 1:
			s.Tools.TrimmerLength = measure.Length(anyjob.Pick(r, extremes...))
		case 2:
			s.Stocks[r.IntN(len(s.Stocks))].Caliper = measure.Length(anyjob.Pick(r, extremes...))
		case 3:
			s.Tools.Groove, s.Tools.NotchDepth = measure.Length(anyjob.Pick(r, extremes...)), measure.Length(anyjob.Pick(r, extremes...))
		case 4:
			s.Stocks[r.IntN(len(s.Stocks))].GSM = anyjob.Pick(r, extremes...)
		case 5:
			s.Adhesives[r.IntN(len(s.Adhesives))].Width = measure.Length(anyjob.Pick(r, extremes...))
		}
	}
	if len(s.Check()) > 0 {
		return anyjob.Shop(r)
	}
	return s
}

// A card as narrow as a ribbon, with a finger gap that is larger than it, has a plan, which says what is wrong.
func TestGapLargerThanTheCard(t *testing.T) {
	j := anyjob.Star(measure.Inch, 18*measure.Inch, blank.DiamondID)
	j.Envelope.ThumbGap = 2 * measure.Inch
	if list := plan.Check(j, demo.Shop()); len(list) > 0 {
		t.Fatal(list)
	}
	if text := notes(plan.Make(j, demo.Shop()).Envelope.Blank.Notes); !strings.Contains(text, "The back stays open at the bottom") {
		t.Error(text)
	}
}
