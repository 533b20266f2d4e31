package plan_test

import (
	"bufio"
	"encoding/json"
	"math/rand/v2"
	"os"
	"testing"

	"yellowparcel/core/plan"
	"yellowparcel/internal/anyjob"
)

// TestPlansOfRandomJobs writes the plans of 2 000 random jobs to the file that
// PLANS names, one a line, so that the numbers of two programs can be compared.
func TestPlansOfRandomJobs(t *testing.T) {
	path := os.Getenv("PLANS")
	if path == "" {
		t.Skip("PLANS names no file to write to")
	}
	f, err := os.Create(path)
	if err != nil {
		t.Fatal(err)
	}
	w := bufio.NewWriter(f)
	for i, made := uint64(0), 0; made < 2000; i++ {
		r := rand.New(rand.NewPCG(2027, i))
		shop := anyjob.Shop(r)
		j := anyjob.Job(r, shop)
		if len(plan.Check(j, shop)) > 0 {
			continue
		}
		made++
		raw, err := json.Marshal(map[string]any{"seed": i, "plan": plan.Make(j, shop)})
		if err != nil {
			t.Fatal(err)
		}
		_, _ = w.Write(append(raw, '\n'))
	}
	if err := w.Flush(); err != nil {
		t.Fatal(err)
	}
	if err := f.Close(); err != nil {
		t.Fatal(err)
	}
}
