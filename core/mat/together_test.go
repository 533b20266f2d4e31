package mat

import (
	"math/rand/v2"
	"testing"
)

// Sheets put together on mats are as many as there are, never more kinds of mat than ways of cutting a sheet, and in
// no more mats than one sheet a mat would take.
func TestSheetsTogether(t *testing.T) {
	for _, tt := range []struct {
		times       []int
		most        int
		mats, kinds int
	}{
		{[]int{4}, 2, 2, 1}, {[]int{3}, 2, 3, 1}, {[]int{3, 3}, 2, 3, 1}, {[]int{2, 2, 1}, 2, 3, 2}, {[]int{5, 1}, 2, 3, 2}, {[]int{1, 1, 1}, 3, 1, 1}, {nil, 2, 0, 0},
	} {
		got := together(tt.times, tt.most)
		n := 0
		for _, g := range got {
			n += g.times
		}
		if n != tt.mats || len(got) != tt.kinds {
			t.Errorf("%v by %d: %d mats of %d kinds: %v", tt.times, tt.most, n, len(got), got)
		}
	}
	r := rand.New(rand.NewPCG(3, 30))
	for range 2000 {
		most, sum := 1+r.IntN(6), 0
		times := make([]int, r.IntN(6))
		for i := range times {
			times[i] = 1 + r.IntN(9)
			sum += times[i]
		}
		got, mats, of := together(times, most), 0, make([]int, len(times))
		for _, g := range got {
			if mats += g.times; len(g.of) == 0 || len(g.of) > most || g.times < 1 {
				t.Fatalf("%v by %d: %v", times, most, got)
			}
			for _, i := range g.of {
				of[i] += g.times
			}
		}
		for i := range times {
			if of[i] != times[i] {
				t.Fatalf("%v by %d: %v of each: %v", times, most, of, got)
			}
		}
		if mats > sum || len(got) > len(times) {
			t.Fatalf("%v by %d: %d mats of %d kinds", times, most, mats, len(got))
		}
	}
}
