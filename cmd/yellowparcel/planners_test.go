package main

import (
	"fmt"
	"os"
	"slices"
	"sync"
	"testing"
	"time"
	"yellowparcel/internal/running"
)

// TestFiftyPlanners measures how long fifty windows that plan at once wait; it runs only
// when FIGURES is set, since the machines that test are noisy.
func TestFiftyPlanners(t *testing.T) {
	if os.Getenv("FIGURES") == "" {
		t.Skip("FIGURES is not set")
	}
	p := running.Demo(t, t.TempDir(), "127.0.0.1:0")
	c := &running.Client{URL: p.URL}
	var list running.Jobs
	if _, err := c.Ask("GET", "/api/jobs", nil, &list); err != nil {
		t.Fatal(err)
	}
	jobs := make([]running.Job, len(list.Jobs))
	for i, l := range list.Jobs {
		if _, err := c.Ask("GET", "/api/jobs/"+l.ID, nil, &jobs[i]); err != nil {
			t.Fatal(err)
		}
	}
	drawers := []string{"card/base", "layers/layers", "envelope/choose", "mail/measure", "paper/cuts"}
	const planners, plans = 50, 20
	took := make([][]time.Duration, planners)
	var work sync.WaitGroup
	for i := range planners {
		work.Go(func() {
			c := &running.Client{URL: p.URL}
			for n := range plans {
				began := time.Now()
				ask := map[string]any{"job": jobs[(i+n)%len(jobs)].Of, "open": drawers[(i/len(jobs)+n)%len(drawers)], "edits": []map[string]any{{"act": "step", "path": "card.width", "steps": n % 7}}}
				if status, err := c.Ask("POST", "/api/plan", ask, nil); err != nil || status != 200 {
					t.Error(status, err)
				}
				took[i] = append(took[i], time.Since(began))
			}
		})
	}
	work.Wait()
	all, means := slices.Concat(took...), make([]time.Duration, planners)
	for i, one := range took {
		for _, d := range one {
			means[i] += d / plans
		}
	}
	slices.Sort(all)
	slices.Sort(means)
	p95 := all[len(all)*95/100]
	fmt.Printf("fifty planners at once: median %v, 95th percentile %v; mean of the luckiest %v, of the unluckiest %v\n", all[len(all)/2].Round(time.Millisecond), p95.Round(time.Millisecond), means[0].Round(time.Millisecond), means[planners-1].Round(time.Millisecond))
	if p95 > 400*time.Millisecond {
		t.Errorf("95th percentile of fifty planners: %v", p95)
	}
	if means[planners-1] > 2*means[0] {
		t.Errorf("one waits %v, another %v", means[planners-1], means[0])
	}
}
