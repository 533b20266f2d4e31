package store

import (
	"errors"
	"testing"

	"yellowparcel/demo"
)

// How far a job is at the bench is kept over a restart, for each job its own.
func TestProgress(t *testing.T) {
	t.Parallel()
	dir := t.TempDir()
	s := open(t, dir)
	a, err := s.AddJob(ctx, NewID(), demo.Jobs()[0], Line{})
	b, other := s.AddJob(ctx, NewID(), demo.Jobs()[1], Line{})
	if err != nil || other != nil {
		t.Fatal(err, other)
	}
	if step, err := Progress(ctx, s, a.ID); err != nil || step != 0 {
		t.Errorf("at first step %d, %v", step, err)
	}
	for _, step := range []int{3, 7, 2} {
		if err := SetProgress(ctx, s, a.ID, step); err != nil {
			t.Fatal(err)
		}
	}
	if err := SetProgress(ctx, s, "nobody", 1); !errors.Is(err, ErrMissing) {
		t.Errorf("of a job that is not there: %v", err)
	}
	for _, step := range []int{-1, 1 << 40} {
		if err := SetProgress(ctx, s, a.ID, step); !errors.Is(err, ErrNoStep) {
			t.Errorf("step %d: %v", step, err)
		}
	}
	before, _ := s.Job(ctx, a.ID)
	_ = s.Close()
	s = open(t, dir)
	if step, err := Progress(ctx, s, a.ID); err != nil || step != 2 {
		t.Errorf("after a restart step %d, %v", step, err)
	}
	if step, _ := Progress(ctx, s, b.ID); step != 0 {
		t.Errorf("the other job is at step %d", step)
	}
	// It is no change of the job.
	if now, _ := s.Job(ctx, a.ID); now.Version != before.Version || now.Changed != before.Changed {
		t.Errorf("the job became version %d, changed %s", now.Version, now.Changed)
	}
}
