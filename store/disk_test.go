package store

import (
	"bytes"
	"errors"
	"fmt"
	"os"
	"path/filepath"
	"reflect"
	"slices"
	"strings"
	"testing"

	"yellowparcel/core/job"
)

func TestSecondProgramLeaves(t *testing.T) {
	dir := t.TempDir()
	s := seeded(t, dir)
	if err := s.Advertise("http://127.0.0.1:8417"); err != nil {
		t.Fatal(err)
	}
	if _, err := Open(dir); !errors.Is(err, ErrRunning) || !strings.Contains(err.Error(), "http://127.0.0.1:8417") {
		t.Error(err)
	}
	if err := s.Close(); err != nil {
		t.Fatal(err)
	}
	open(t, dir)
}

// A directory that is moved away is noticed at the next act, and forgiven when it is back.
func TestDirectoryThatIsGone(t *testing.T) {
	dir := filepath.Join(t.TempDir(), "data")
	s := seeded(t, dir)
	j := first(t, s)
	if err := os.Rename(dir, dir+"-moved"); err != nil {
		t.Fatal(err)
	}
	if _, err := s.SaveJob(ctx, j.ID, j.Version, j.Job, Line{}); !errors.Is(err, ErrGone) {
		t.Error(err)
	}
	var out bytes.Buffer
	if err := s.Exchange().Export(ctx, &out); err != nil || out.Len() == 0 {
		t.Errorf("what is still known cannot be written out: %v", err)
	}
	if err := os.Rename(dir+"-moved", dir); err != nil {
		t.Fatal(err)
	}
	renamed(t, s, j, "it is back")
}

// What a deleted directory held is still known to the program: it is saved beside it when
// the program ends, and is a backup that can be restored.
func TestDirectoryThatIsDeleted(t *testing.T) {
	dir := filepath.Join(t.TempDir(), "data")
	s := seeded(t, dir)
	renamed(t, s, first(t, s), "the last change")
	if err := os.RemoveAll(dir); err != nil {
		t.Fatal(err)
	}
	if err := s.CheckPresent(); !errors.Is(err, ErrGone) {
		t.Error(err)
	}
	err := s.Close()
	saved, _ := filepath.Glob(dir + "-rescued-*.db")
	if !errors.Is(err, ErrGone) || len(saved) != 1 || !strings.Contains(err.Error(), saved[0]) {
		t.Fatalf("%v, %v", saved, err)
	}
	// It is not begun anew in silence: a note beside it says that there was data in it.
	if s, err := Open(dir); err == nil || !strings.Contains(err.Error(), besideOf(dir)) || fileExists(dir) {
		t.Fatalf("%v, %v", s, err)
	}
	if err := os.Remove(besideOf(dir)); err != nil {
		t.Fatal(err)
	}
	again := seeded(t, dir)
	if _, err := again.Backups().RestoreFile(ctx, saved[0]); err != nil {
		t.Fatal(err)
	}
	jobs, err := all(again)
	if err != nil || !slices.ContainsFunc(jobs, func(j Job) bool { return j.Job.Name == "the last change" }) {
		t.Errorf("%v, %v", jobs, err)
	}
}

// A disk that is full refuses an act, loses nothing, and is forgiven when there is room.
func TestFullDisk(t *testing.T) {
	s := seeded(t, t.TempDir())
	j := first(t, s)
	var pages int
	if err := s.db.Get(&pages, "PRAGMA page_count"); err != nil {
		t.Fatal(err)
	}
	if _, err := s.db.Exec(fmt.Sprintf("PRAGMA max_page_count = %d", pages)); err != nil {
		t.Fatal(err)
	}
	big := j.Job
	big.Parts = append([]job.Part(nil), big.Parts...)
	big.Parts[0].Name = strings.Repeat("x", 60_000)
	if _, err := s.SaveJob(ctx, j.ID, j.Version, big, Line{}); !errors.Is(err, ErrFull) {
		t.Error(err)
	}
	if now, err := s.Job(ctx, j.ID); err != nil || now.Version != j.Version || !reflect.DeepEqual(now.Job, j.Job) {
		t.Errorf("%+v, %v", now, err)
	}
	if _, err := s.db.Exec("PRAGMA max_page_count = 1000000"); err != nil {
		t.Fatal(err)
	}
	if _, err := s.SaveJob(ctx, j.ID, j.Version, big, Line{}); err != nil {
		t.Error(err)
	}
}
