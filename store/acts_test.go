package store

import (
	"errors"
	"fmt"
	"reflect"
	"testing"

	"yellowparcel/core/job"
	"yellowparcel/internal/race"
)

// An act on the shelf is done once by its name: also where the program was killed between storing it
// and answering, so that only the database knows of it.
func TestShelfActIsDoneOnce(t *testing.T) {
	dir := t.TempDir()
	s := seeded(t, dir)
	more := func(now Shop) (job.Shop, error) {
		shop := now.Shop.Clone()
		shop.Stocks[0].Have++
		return shop, nil
	}
	once, err := s.ChangeShop(ctx, "one", more)
	if err != nil {
		t.Fatal(err)
	}
	for round := range 3 {
		if now, err := s.ChangeShop(ctx, "one", more); !errors.Is(err, ErrDone) || now.Version != once.Version {
			t.Errorf("round %d: version %d, %v", round, now.Version, err)
		}
		if err := s.Close(); err != nil {
			t.Fatal(err)
		}
		s = open(t, dir)
	}
	if now, err := s.ChangeShop(ctx, "two", more); err != nil || now.Shop.Stocks[0].Have != once.Shop.Stocks[0].Have+1 {
		t.Errorf("another act: %+v, %v", now.Shop.Stocks[0], err)
	}
	// What is refused was not done.
	refused := errors.New("no")
	for range 2 {
		if _, err := s.ChangeShop(ctx, "three", func(Shop) (job.Shop, error) { return job.Shop{}, refused }); !errors.Is(err, refused) {
			t.Error(err)
		}
	}
}

// A save whose answer was lost, done or not, is never a change of another window; one that another
// window made in between is.
func TestSaveWithoutAnAnswer(t *testing.T) {
	race.Alone(t)
	s := seeded(t, t.TempDir())
	for i := range 50 {
		j := first(t, s)
		named := func(name string) job.Job {
			one := j.Job.Clone()
			one.Name = fmt.Sprint(name, " ", i)
			return one
		}
		act := func(name string) string { return fmt.Sprint(name, i) }
		lost := Save{ID: j.ID, From: j.Version, Job: named("lost"), Act: act("lost")}
		done := i%3 > 0
		if done { // only its answer is lost
			if _, err := s.Save(ctx, lost); err != nil {
				t.Fatal(err)
			}
		}
		if i%3 == 2 { // sent again as it was
			again, err := s.Save(ctx, lost)
			if err != nil || again.Version != j.Version+1 || !reflect.DeepEqual(again.Job, lost.Job) {
				t.Errorf("%d: sent again it is version %d, %v", i, again.Version, err)
			}
		}
		// What is typed next goes on from it.
		next, err := s.Save(ctx, Save{ID: j.ID, From: j.Version, Job: named("next"), Act: act("next"), After: []string{act("lost"), act("never sent")}})
		if err != nil || next.Job.Name != fmt.Sprint("next ", i) {
			t.Errorf("%d, done %v: %v", i, done, err)
		}
		// Another window saves upon it: that is asked about.
		other := renamed(t, s, next, "another window")
		if now, err := s.Save(ctx, Save{ID: j.ID, From: next.Version, Job: named("mine"), Act: act("mine"), After: []string{act("next")}}); !errors.Is(err, ErrChanged) || now.Version != other.Version {
			t.Errorf("%d: over another window's it is %v", i, err)
		}
		// The save that was answered long ago says what it came to, and changes nothing.
		if again, err := s.Save(ctx, Save{ID: j.ID, From: j.Version, Job: named("next"), Act: act("next")}); err != nil || again.Version != next.Version {
			t.Errorf("%d: %d, %v", i, again.Version, err)
		}
		if now := first(t, s); now.Version != other.Version {
			t.Errorf("%d: it is version %d then, and was %d", i, now.Version, other.Version)
		}
	}
	// A new card whose first save had no answer.
	id := NewID()
	j := first(t, s).Job
	if _, err := s.Save(ctx, Save{ID: id, Job: j, Act: "new"}); err != nil {
		t.Fatal(err)
	}
	if next, err := s.Save(ctx, Save{ID: id, Job: j, Act: "then", After: []string{"new"}}); err != nil || next.Version != 2 {
		t.Errorf("%d, %v", next.Version, err)
	}
}

// Acts are remembered for a long while, and not for ever.
func TestActsAreForgotten(t *testing.T) {
	s := seeded(t, t.TempDir())
	for i := range 20 {
		if err := remember(ctx, s.db, fmt.Sprint("old ", i), "shop", 1, s.stamp()); err != nil {
			t.Fatal(err)
		}
	}
	if _, err := s.db.Exec("UPDATE acts SET rowid = rowid + ? WHERE name = 'old 19'", mostActs); err != nil {
		t.Fatal(err)
	}
	if err := remember(ctx, s.db, "new", "shop", 2, s.stamp()); err != nil {
		t.Fatal(err)
	}
	var left int
	if err := s.db.Get(&left, "SELECT count(*) FROM acts"); err != nil || left != 2 {
		t.Errorf("%d acts are left, %v", left, err)
	}
}
