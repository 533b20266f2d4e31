package store

import (
	"errors"
	"os"
	"path/filepath"
	"testing"

	"yellowparcel/demo"
)

// Where the shelf alone is not whole and there is no backup, the jobs are gone on with, under
// a new shelf.
func TestJobsWithoutAShelf(t *testing.T) {
	dir := t.TempDir()
	s := seeded(t, dir)
	if _, err := s.db.Exec("UPDATE shop SET version = version + 1"); err != nil {
		t.Fatal(err)
	}
	if err := s.Close(); err != nil {
		t.Fatal(err)
	}
	d := openDamaged(t, dir)
	fixed, err := d.Repair(ctx, WhatIsLeft, "")
	if err != nil {
		t.Fatal(err)
	}
	if err := fixed.Seed(ctx, demo.Shop(), nil); err != nil || count(t, fixed) != len(demo.Jobs()) {
		t.Errorf("%d jobs, %v", count(t, fixed), err)
	}
	if err := fixed.Close(); err != nil {
		t.Error(err)
	}
	open(t, dir)
}

// A history that cannot be read takes no job with it.
func TestDamagedHistory(t *testing.T) {
	dir, of, _ := toDamage(t)
	path := filepath.Join(dir, fileName)
	db, err := connect(path, "")
	if err != nil {
		t.Fatal(err)
	}
	var root int
	err = db.Get(&root, "SELECT rootpage FROM sqlite_master WHERE name = 'history'")
	body, err2 := os.ReadFile(path)
	if err := errors.Join(err, err2, db.Close()); err != nil {
		t.Fatal(err)
	}
	clear(body[(root-1)*4096 : root*4096])
	if err := os.WriteFile(path, body, 0o600); err != nil {
		t.Fatal(err)
	}
	d := openDamaged(t, dir)
	if d.Whole != len(of.stored) || d.Broken != 0 {
		t.Errorf("%d jobs are whole, %d are not", d.Whole, d.Broken)
	}
	if err := d.Close(); err != nil {
		t.Error(err)
	}
}
