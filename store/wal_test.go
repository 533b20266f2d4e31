package store

import (
	"errors"
	"fmt"
	"math/rand/v2"
	"os"
	"path/filepath"
	"testing"

	"yellowparcel/internal/race"
)

// killed is a copy of the files of a store that is at work: what a kill leaves. Its log holds
// so many changes of a job.
func killed(t *testing.T, changes int) (dir string, last string) {
	t.Helper()
	s := seeded(t, t.TempDir())
	j := first(t, s)
	if _, err := s.db.Exec("PRAGMA wal_checkpoint(TRUNCATE)"); err != nil {
		t.Fatal(err)
	}
	for i := range changes {
		last = fmt.Sprint("change ", i)
		j = renamed(t, s, j, last)
	}
	dir = t.TempDir()
	for _, end := range []string{"", "-wal"} {
		if err := copyFile(s.place.db()+end, filepath.Join(dir, fileName+end)); err != nil {
			t.Fatal(err)
		}
	}
	if err := os.WriteFile(filepath.Join(dir, begunName), nil, 0o600); err != nil {
		t.Fatal(err)
	}
	return dir, last
}

// What a kill leaves is whole, and all that was acknowledged is in it.
func TestLogOfAKill(t *testing.T) {
	dir, last := killed(t, 12)
	if err := checkLog(filepath.Join(dir, fileName+"-wal")); err != nil {
		t.Error(err)
	}
	if got := first(t, open(t, dir)); got.Job.Name != last {
		t.Errorf("%q, want %q", got.Job.Name, last)
	}
}

// A log that was damaged after the kill is said to be: SQLite would go on without the
// changes in it. Only what is damaged in the very last change looks like one that was never
// finished.
func TestDamagedLog(t *testing.T) {
	race.Alone(t)
	dir, last := killed(t, 12)
	path := filepath.Join(dir, fileName+"-wal")
	clean, err := os.ReadFile(path)
	if err != nil {
		t.Fatal(err)
	}
	noticed := 0
	for i := range rounds(400) {
		r := rand.New(rand.NewPCG(9, uint64(i)))
		body := append([]byte(nil), clean...)
		at := r.IntN(len(body) * 3 / 4)
		body[at] ^= 1 << r.IntN(8)
		if err := os.WriteFile(path, body, 0o600); err != nil {
			t.Fatal(err)
		}
		if err := checkLog(path); errors.Is(err, ErrDamaged) {
			noticed++
			continue
		}
		t.Errorf("a bit at %d of %d goes unnoticed", at, len(body))
	}
	if noticed == 0 {
		t.Error("nothing was noticed")
	}
	d := openDamaged(t, dir)
	s, err := d.Repair(ctx, WhatIsLeft, "")
	if err != nil {
		t.Fatal(err)
	}
	if got := first(t, s); got.Job.Name == last {
		t.Error("nothing was lost after all")
	}
	if err := s.Close(); err != nil {
		t.Error(err)
	}
	// Half a last change, as a power cut leaves it, is none.
	for _, cut := range []int{1, 100, 4000} {
		dir, _ := killed(t, 3)
		path := filepath.Join(dir, fileName+"-wal")
		body, err := os.ReadFile(path)
		if err != nil {
			t.Fatal(err)
		}
		if err := os.WriteFile(path, body[:len(body)-cut], 0o600); err != nil {
			t.Fatal(err)
		}
		if err := checkLog(path); err != nil {
			t.Error(err)
		}
		if got := first(t, open(t, dir)); got.Job.Name != "change 1" {
			t.Errorf("%q", got.Job.Name)
		}
	}
	for _, odd := range [][]byte{nil, []byte("x"), make([]byte, 32)} {
		if err := os.WriteFile(path, odd, 0o600); err != nil {
			t.Fatal(err)
		}
		if err := checkLog(path); err != nil {
			t.Errorf("%d bytes: %v", len(odd), err)
		}
	}
}
