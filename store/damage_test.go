package store

import (
	"bytes"
	"errors"
	"fmt"
	"math/rand/v2"
	"os"
	"path/filepath"
	"reflect"
	"slices"
	"strconv"
	"strings"
	"testing"

	"yellowparcel/core/job"
	"yellowparcel/demo"
	"yellowparcel/internal/race"
)

// openDamaged opens a directory whose database is damaged or lost.
func openDamaged(t *testing.T, dir string) *Damage {
	t.Helper()
	var d *Damage
	s, err := Open(dir)
	if !errors.As(err, &d) {
		if s != nil {
			_ = s.Close()
		}
		t.Fatalf("it opens, or fails otherwise: %v", err)
	}
	return d
}

// rounds is a tenth of a long run, or all of it in make soak.
func rounds(all int) int {
	if n, err := strconv.Atoi(os.Getenv("SOAK")); err == nil && n > 0 {
		return all
	}
	return all / 10
}

// truth is what was acknowledged of every job, and what the backup has of it; of every state of its
// history as of the job itself, and how far one is with it.
type truth struct {
	stored, backedUp map[string]Job
	states           map[string][]State
	steps            map[string]int
}

// missed are the states and steps that are not there as they were acknowledged.
func (of truth) missed(s *Store) (states, steps int) {
	for id, want := range of.states {
		got, _ := s.History(ctx, id)
		for _, w := range want {
			if !slices.ContainsFunc(got, func(g State) bool { return reflect.DeepEqual(g, w) }) {
				states++
			}
		}
		if step, err := Progress(ctx, s, id); err != nil || step != of.steps[id] {
			steps++
		}
	}
	return states, steps
}

// toDamage is a directory with a backup, and with jobs that were changed since.
func toDamage(t *testing.T) (dir string, of truth, backup string) {
	t.Helper()
	dir = t.TempDir()
	s := seeded(t, dir)
	for range 30 { // so that the tables have pages within pages
		if _, err := s.AddJob(ctx, NewID(), demo.Jobs()[2], Line{}); err != nil {
			t.Fatal(err)
		}
	}
	b, err := s.Backups().Make(ctx, Asked)
	if err != nil {
		t.Fatal(err)
	}
	jobs, err := all(s)
	if err != nil {
		t.Fatal(err)
	}
	of = truth{map[string]Job{}, map[string]Job{}, map[string][]State{}, map[string]int{}}
	for i, j := range jobs {
		of.backedUp[j.ID], of.stored[j.ID] = j, j
		if i%3 == 0 {
			of.stored[j.ID] = renamed(t, s, j, fmt.Sprint("changed since ", i))
		}
		of.steps[j.ID] = i
		if err := SetProgress(ctx, s, j.ID, i); err != nil {
			t.Fatal(err)
		}
		if of.states[j.ID], err = s.History(ctx, j.ID); err != nil {
			t.Fatal(err)
		}
	}
	if err := s.Close(); err != nil {
		t.Fatal(err)
	}
	return dir, of, b.Name
}

// spoil damages a file in one of the ways in which disks and people do.
func spoil(r *rand.Rand, body []byte) (_ []byte, how string) {
	body = bytes.Clone(body)
	at := r.IntN(len(body))
	page := at / 4096 * 4096
	switch r.IntN(7) {
	case 0:
		body[at] ^= 1 << r.IntN(8)
		return body, fmt.Sprintf("a bit at %d", at)
	case 1:
		for range 20 {
			body[r.IntN(len(body))] ^= byte(1 + r.IntN(255))
		}
		return body, "twenty bytes"
	case 2:
		clear(body[page:min(len(body), page+4096)])
		return body, fmt.Sprintf("a page of zeros at %d", page)
	case 3:
		for i := page; i < min(len(body), page+4096); i++ {
			body[i] = byte(r.Uint32())
		}
		return body, fmt.Sprintf("a page of rubbish at %d", page)
	case 4:
		return body[:at], fmt.Sprintf("cut off at %d", at)
	case 5:
		copy(body[r.IntN(len(body)/4096)*4096:], body[page:min(len(body), page+4096)])
		return body, fmt.Sprintf("the page at %d written elsewhere", page)
	}
	copy(body[r.IntN(100):], []byte("<html>not found</html>"))
	return body, "a text over its head"
}

// A damaged database either opens and says of every job what was acknowledged, or is said to
// be damaged. What is told to be whole is what was acknowledged, the damaged file is kept,
// and together with the backup every job is there.
func TestDamagedFiles(t *testing.T) {
	race.Alone(t)
	dir, of, backup := toDamage(t)
	clean, err := os.ReadFile(filepath.Join(dir, fileName))
	if err != nil {
		t.Fatal(err)
	}
	noticed, rescued := 0, 0
	for i := range rounds(200) {
		r := rand.New(rand.NewPCG(7, uint64(i)))
		body, how := spoil(r, clean)
		if bytes.Equal(body, clean) {
			continue
		}
		if err := os.WriteFile(filepath.Join(dir, fileName), body, 0o600); err != nil {
			t.Fatal(err)
		}
		s, err := Open(dir)
		var d *Damage
		switch {
		case errors.As(err, &d):
			noticed++
			if s, err = d.Repair(ctx, Together, backup); err != nil {
				t.Fatalf("%d, %s: the repair fails: %v", i, how, err)
			}
			kept, _ := filepath.Glob(filepath.Join(dir, "yellow-parcel.damaged-*.db"))
			if len(kept) != 1 {
				t.Fatalf("%d, %s: the damaged file is not kept: %v", i, how, kept)
			}
			if now, err := os.ReadFile(kept[0]); err != nil || !d.Missing && len(now) == 0 {
				t.Errorf("%d, %s: %v", i, how, err)
			}
		case err != nil:
			t.Fatalf("%d, %s: %v", i, how, err)
		}
		fresh := 0
		for id, want := range of.stored {
			got, err := s.Job(ctx, id)
			switch {
			case err != nil:
				t.Errorf("%d, %s: a job is not there: %v", i, how, err)
			case reflect.DeepEqual(got.Job, want.Job):
				fresh++
			case d == nil || !reflect.DeepEqual(got.Job, of.backedUp[id].Job):
				t.Errorf("%d, %s: a job is neither as it was stored nor as it was in the backup", i, how)
			}
		}
		if states, steps := of.missed(s); d == nil && states+steps > 0 {
			t.Errorf("%d, %s: %d states and %d steps are lost without a word", i, how, states, steps)
		} else if states > 0 && d.States == 0 && !d.Uncounted && !d.Missing && d.Broken == 0 && d.Whole == len(of.stored) {
			t.Errorf("%d, %s: %d states are not there, and none is said to be lost", i, how, states)
		}
		if d != nil {
			rescued += d.Whole
			if fresh < d.Whole {
				t.Errorf("%d, %s: %d are said to be whole, %d are", i, how, d.Whole, fresh)
			}
		}
		if err := s.Close(); err != nil {
			t.Error(err)
		}
		for _, left := range []string{"yellow-parcel.damaged-*", "yellow-parcel.db*"} {
			list, _ := filepath.Glob(filepath.Join(dir, left))
			for _, path := range list {
				_ = os.Remove(path)
			}
		}
	}
	t.Logf("%d of %d were noticed, %d jobs read out of them", noticed, rounds(200), rescued)
	if noticed < rounds(200)/2 || rescued == 0 {
		t.Error("too few to say anything")
	}
}

func TestWhatIsLeftAndTheBackupAlone(t *testing.T) {
	race.Alone(t)
	dir, of, backup := toDamage(t)
	path := filepath.Join(dir, fileName)
	clean, err := os.ReadFile(path)
	if err != nil {
		t.Fatal(err)
	}
	at := bytes.LastIndex(clean, []byte("changed since 3"))
	clean[at+14] = '7'
	for choice, check := range map[Choice]func(s *Store, d *Damage){
		WhatIsLeft: func(s *Store, d *Damage) {
			if n := count(t, s); n != len(of.stored)-1 || d.Whole != n || d.Broken != 1 {
				t.Errorf("%d jobs, %d whole, %d broken", n, d.Whole, d.Broken)
			}
		},
		TheBackup: func(s *Store, _ *Damage) {
			for id, want := range of.backedUp {
				if got, err := s.Job(ctx, id); err != nil || !reflect.DeepEqual(got.Job, want.Job) {
					t.Errorf("%+v, %v", got, err)
				}
			}
		},
		Anew: func(s *Store, _ *Damage) {
			if n := count(t, s); n != 0 {
				t.Errorf("%d jobs", n)
			}
			if err := s.Seed(ctx, demo.Shop(), nil); err != nil {
				t.Error(err)
			}
		},
	} {
		if err := os.WriteFile(path, clean, 0o600); err != nil {
			t.Fatal(err)
		}
		d := openDamaged(t, dir)
		if !strings.Contains(d.Error(), "damaged") || !strings.Contains(d.Error(), backup) || !strings.Contains(d.Error(), "nothing was changed") {
			t.Errorf("%v", d)
		}
		if _, err := d.Repair(ctx, TheBackup, "none"); !errors.Is(err, ErrNoBackup) {
			t.Error(err)
		}
		s, err := d.Repair(ctx, choice, backup)
		if err != nil {
			t.Fatalf("%s: %v", choice, err)
		}
		check(s, d)
		if err := s.Close(); err != nil {
			t.Error(err)
		}
		// What was chosen stays chosen.
		if err := open(t, dir).Close(); err != nil {
			t.Error(err)
		}
	}
}

func count(t *testing.T, s *Store) (n int) {
	t.Helper()
	if err := s.db.Get(&n, "SELECT count(*) FROM jobs"); err != nil {
		t.Fatal(err)
	}
	return n
}

// A database that was there and is not any more, or is empty, is said, and not begun anew
// in silence.
func TestLostDatabase(t *testing.T) {
	race.Alone(t)
	for name, lose := range map[string]func(path string) error{
		"missing": os.Remove,
		"empty":   func(path string) error { return os.Truncate(path, 0) },
		"begun anew elsewhere": func(path string) error {
			other, err := Open(filepath.Join(filepath.Dir(path), "other"))
			if err != nil {
				return err
			}
			if err := other.Close(); err != nil {
				return err
			}
			return os.Rename(other.place.db(), path)
		},
	} {
		dir, of, backup := toDamage(t)
		if err := lose(filepath.Join(dir, fileName)); err != nil {
			t.Fatal(err)
		}
		d := openDamaged(t, dir)
		s, err := d.Repair(ctx, Together, backup)
		if err != nil || count(t, s) != len(of.backedUp) {
			t.Errorf("%s: %v", name, err)
		}
		if err := s.Close(); err != nil {
			t.Error(err)
		}
	}
}

// A kill in the middle of a repair leaves the damaged database or the new one.
func TestRepairThatIsBrokenOff(t *testing.T) {
	dir, of, backup := toDamage(t)
	path := filepath.Join(dir, fileName)
	if err := os.Truncate(path, 5000); err != nil {
		t.Fatal(err)
	}
	// Before the damaged one is put aside: it is damaged still.
	d := openDamaged(t, dir)
	contents, done, err := d.chosen(ctx, Together, backup)
	if err := errors.Join(err, d.rebuild(ctx, contents), done(), d.Close()); err != nil {
		t.Fatal(err)
	}
	d = openDamaged(t, dir)
	// After it, before the new one is in its place: the new one is.
	contents, done, err = d.chosen(ctx, Together, backup)
	if err := errors.Join(err, d.rebuild(ctx, contents), done(), d.Close(), os.Rename(path, path+".gone")); err != nil {
		t.Fatal(err)
	}
	if err := os.WriteFile(path+"-wal", []byte("of the other one"), 0o600); err != nil {
		t.Fatal(err)
	}
	s := open(t, dir)
	if n := count(t, s); n != len(of.backedUp) {
		t.Errorf("%d jobs", n)
	}
}

// A shelf that is whole is salvaged with the jobs; one that is not comes from the backup.
func TestShelfOfADamagedFile(t *testing.T) {
	race.Alone(t)
	for _, whole := range []bool{true, false} {
		dir, _, backup := toDamage(t)
		s := open(t, dir)
		if _, err := s.ChangeShop(ctx, "", func(now Shop) (job.Shop, error) {
			shop := now.Shop.Clone()
			shop.Stocks[0].Have = 4321
			return shop, nil
		}); err != nil {
			t.Fatal(err)
		}
		spoil := "UPDATE jobs SET version = version + 1, name = 'spoiled' WHERE id = (SELECT max(id) FROM jobs)"
		if !whole {
			spoil = "UPDATE shop SET version = version + 1"
		}
		if _, err := s.db.Exec(spoil); err != nil {
			t.Fatal(err)
		}
		if err := s.Close(); err != nil {
			t.Fatal(err)
		}
		d := openDamaged(t, dir)
		fixed, err := d.Repair(ctx, Together, backup)
		if err != nil {
			t.Fatal(err)
		}
		shop, err := fixed.Shop(ctx)
		if err != nil || (shop.Shop.Stocks[0].Have == 4321) != whole {
			t.Errorf("whole %v: %d sheets, %v", whole, shop.Shop.Stocks[0].Have, err)
		}
		if err := fixed.Close(); err != nil {
			t.Error(err)
		}
	}
}
