package store

import (
	"errors"
	"fmt"
	"math/rand/v2"
	"slices"
	"testing"
	"time"

	"yellowparcel/core/field"
	"yellowparcel/core/measure"
	"yellowparcel/core/paper"
	"yellowparcel/internal/race"
)

type (
	Edit  = field.Edit
	Stock = paper.Stock
)

// What is typed in one field within a minute is one state; another field, or a pause, is
// another one.
func TestTypingIsOneState(t *testing.T) {
	s := seeded(t, t.TempDir())
	at := time.Date(2026, 11, 28, 9, 0, 0, 0, time.UTC)
	s.now = func() time.Time { return at }
	j := first(t, s)
	save := func(after time.Duration, change func(*Job)) {
		at = at.Add(after)
		change(&j)
		var err error
		if j, err = s.SaveJob(ctx, j.ID, j.Version, j.Job, Line{}); err != nil {
			t.Fatal(err)
		}
	}
	wide := func(l measure.Length) func(*Job) { return func(j *Job) { j.Job.Card.Width = l } }
	save(time.Hour, wide(5*measure.Inch))
	save(time.Second, wide(5*measure.Inch+measure.Inch/2))
	save(time.Second, wide(5*measure.Inch+measure.Inch/4))
	save(time.Second, func(j *Job) { j.Job.Count = 7 })
	save(2*time.Minute, func(j *Job) { j.Job.Count = 8 })
	save(time.Second, func(j *Job) {}) // nothing was changed
	list, err := s.History(ctx, j.ID)
	if err != nil {
		t.Fatal(err)
	}
	got := ""
	for _, h := range list {
		got += fmt.Sprintf("%v x %d; ", h.Job.Card.Width.Inches(), h.Job.Count)
	}
	was := list[0].Job
	want := fmt.Sprintf("%v x %d; 5.25 x %[2]d; 5.25 x 7; 5.25 x 8; ", was.Card.Width.Inches(), was.Count)
	if got != want {
		t.Errorf("%s\nwant %s", got, want)
	}
}

// However long a job is worked on, its history stays within its bound, begins where it began
// and ends where it is, and lies the closer the newer it is.
func TestHistoryIsBounded(t *testing.T) {
	race.Alone(t)
	s := seeded(t, t.TempDir())
	at := time.Date(2026, 1, 1, 9, 0, 0, 0, time.UTC)
	s.now = func() time.Time { return at }
	j := first(t, s)
	began := j.Job.Name
	r := rand.New(rand.NewPCG(1, 2))
	for i := range 400 {
		at = at.Add(time.Hour)
		for k := range j.Job.Parts { // so that it compresses badly
			j.Job.Parts[k].Border = measure.Length(r.Int64N(1e6) + 1e5)
		}
		j = renamed(t, s, j, fmt.Sprintf("name %d %d", i, r.Uint64()))
	}
	rows, err := states(ctx, s.db, j.ID)
	if err != nil {
		t.Fatal(err)
	}
	total := 0
	for _, r := range rows {
		total += len(r.Body)
	}
	list, err := s.History(ctx, j.ID)
	if err != nil || total > MostHistory || total < MostHistory/2 || len(list) != len(rows) || len(list) < 20 {
		t.Fatalf("%d bytes in %d states, %v", total, len(list), err)
	}
	if list[0].Job.Name != began || list[len(list)-1].Job.Name != j.Job.Name {
		t.Errorf("it goes from %q to %q", list[0].Job.Name, list[len(list)-1].Job.Name)
	}
	hour := func(i int) time.Time { t, _ := time.Parse(time.RFC3339Nano, list[i].Changed); return t }
	n := len(list)
	for i := n - newestKept; i < n; i++ {
		if d := hour(i).Sub(hour(i - 1)); d != time.Hour {
			t.Errorf("%v before the newest but %d", d, n-1-i)
		}
	}
	if old, fresh := hour(5).Sub(hour(1)), hour(n-1).Sub(hour(n-5)); old < 2*fresh {
		t.Errorf("the old ones lie %v apart, the new ones %v", old, fresh)
	}
}

// A job from before there was a history keeps what it was as the first state.
func TestHistoryBeginsWithWhatWas(t *testing.T) {
	s := seeded(t, t.TempDir())
	j := first(t, s)
	if _, err := s.db.Exec("DELETE FROM history"); err != nil {
		t.Fatal(err)
	}
	renamed(t, s, j, "later")
	list, err := s.History(ctx, j.ID)
	if err != nil || len(list) != 2 || list[0].Job.Name != j.Job.Name || list[1].Job.Name != "later" {
		t.Errorf("%+v, %v", list, err)
	}
}

func TestBringBack(t *testing.T) {
	s := seeded(t, t.TempDir())
	j := first(t, s)
	if _, err := s.db.Exec("UPDATE jobs SET version = version + 1, seal = '', body = json_set(body, '$.fromTomorrow', 5) WHERE id = ?", j.ID); err != nil {
		t.Fatal(err)
	}
	j.Version++
	later := renamed(t, s, j, "later")
	states, err := s.History(ctx, j.ID)
	if err != nil || len(states) != 2 {
		t.Fatal(states, err)
	}
	if now, err := s.BringBack(ctx, j.ID, later.Version-1, states[0].Version); !errors.Is(err, ErrChanged) || now.Job.Name != "later" {
		t.Errorf("from an old version: %+v, %v", now.Job.Name, err)
	}
	if _, err := s.BringBack(ctx, j.ID, later.Version, 999); !errors.Is(err, ErrNoState) {
		t.Errorf("a state that is not there: %v", err)
	}
	if _, err := s.db.Exec("UPDATE history SET body = x'00', seal = '' WHERE version = ? AND job = ?", later.Version, j.ID); err != nil {
		t.Fatal(err)
	}
	if _, err := s.BringBack(ctx, j.ID, later.Version, later.Version); !errors.Is(err, ErrNoState) {
		t.Errorf("a state that cannot be read: %v", err)
	}
	back, err := s.BringBack(ctx, j.ID, later.Version, states[0].Version)
	if err != nil || back.Job.Name != j.Job.Name || back.Version != later.Version+1 {
		t.Errorf("%+v, %v", back, err)
	}
	// The state that cannot be read is left out, and holds up nothing.
	if states, err = s.History(ctx, j.ID); err != nil || len(states) != 2 || states[1].How != Back {
		t.Errorf("%+v, %v", states, err)
	}
	list, err := s.List(ctx, InHand)
	if err != nil || !slices.ContainsFunc(list, func(l ListedJob) bool { return l.ID == j.ID && l.Name == j.Job.Name && l.Of == "" }) {
		t.Errorf("%+v, %v", list, err)
	}
	if err := sealRest(ctx, s.db, statesSealedSince); err != nil {
		t.Fatal(err)
	}
	if err := check(ctx, s.db, statesSealedSince); err != nil {
		t.Error(err)
	}
}
