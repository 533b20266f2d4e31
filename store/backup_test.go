package store

import (
	"bytes"
	"errors"
	"os"
	"path/filepath"
	"reflect"
	"slices"
	"strings"
	"testing"
	"time"

	"yellowparcel/core/job"
	"yellowparcel/demo"
)

// seeded is a store with the sample shop and jobs.
func seeded(t *testing.T, dir string) *Store {
	t.Helper()
	s := open(t, dir)
	if err := s.Seed(ctx, demo.Shop(), demo.Jobs()); err != nil {
		t.Fatal(err)
	}
	return s
}

// first is the first job of the list.
func first(t *testing.T, s *Store) Job {
	t.Helper()
	jobs, err := all(s)
	if err != nil || len(jobs) == 0 {
		t.Fatal(jobs, err)
	}
	return jobs[0]
}

// renamed saves a job under another name.
func renamed(t *testing.T, s *Store, j Job, name string) Job {
	t.Helper()
	now := j.Job
	now.Name = name
	saved, err := s.SaveJob(ctx, j.ID, j.Version, now, Line{})
	if err != nil {
		t.Fatal(err)
	}
	return saved
}

func TestBackupIsWholeWhileWritersGoOn(t *testing.T) {
	s := seeded(t, t.TempDir())
	j := first(t, s)
	stop, done := make(chan struct{}), make(chan int)
	go func() {
		n := 0
		for {
			select {
			case <-stop:
				done <- n
				return
			default:
				n++
				j = renamed(t, s, j, strings.Repeat("x", n%40+1))
			}
		}
	}()
	for range 5 {
		b, err := s.Backups().Make(ctx, Asked)
		if err != nil || !b.Whole || b.Jobs != len(demo.Jobs()) || b.Papers == 0 {
			t.Errorf("%+v, %v", b, err)
		}
	}
	close(stop)
	if <-done == 0 {
		t.Error("nothing was written meanwhile")
	}
	if info, err := os.Stat(filepath.Join(s.Backups().dir(), newest(s.Backups().List(ctx)).Name)); err != nil || info.Mode().Perm() != 0o600 {
		t.Error(info, err)
	}
}

func newest(list []Backup, _ error) Backup { return list[0] }

// A backup is restored; what was made or changed since is not lost.
func TestRestore(t *testing.T) {
	s := seeded(t, t.TempDir())
	before := first(t, s)
	b, err := s.Backups().Make(ctx, Asked)
	if err != nil {
		t.Fatal(err)
	}
	changed := renamed(t, s, before, "changed since")
	added, err := s.AddJob(ctx, NewID(), demo.Jobs()[1], Line{})
	if err != nil {
		t.Fatal(err)
	}
	if _, err := s.ChangeShop(ctx, "", func(now Shop) (job.Shop, error) {
		shop, problems, _ := job.ApplyToShop(now.Shop, []Edit{{Act: "add", Path: "stocks"}, {Act: "type", Path: "stocks.stocks-own-1.name", Text: "since"}})
		if len(problems) > 0 {
			t.Error(problems)
		}
		return shop, nil
	}); err != nil {
		t.Fatal(err)
	}
	came, err := s.Backups().Restore(ctx, b.Name)
	if err != nil || came.Changed != 1 || came.Gone != 1 || came.Added != 0 {
		t.Fatalf("%+v, %v", came, err)
	}
	now, err := s.Job(ctx, before.ID)
	if err != nil || !reflect.DeepEqual(now.Job, before.Job) || now.Version <= changed.Version {
		t.Errorf("%+v, %v", now, err)
	}
	if gone, err := s.Job(ctx, added.ID); err != nil || !gone.Removed {
		t.Errorf("a job that was made since: %+v, %v", gone, err)
	}
	history, err := s.History(ctx, before.ID)
	if err != nil || len(history) != 3 || history[1].Job.Name != "changed since" || history[2].How != Restored {
		t.Errorf("%+v, %v", history, err)
	}
	shop, err := s.Shop(ctx)
	if err != nil || !slices.ContainsFunc(shop.Shop.Stocks, func(k Stock) bool { return k.Name == "since" && k.Off }) {
		t.Errorf("the paper that was entered since is not kept: %v", err)
	}
	// What it was before the restore is a backup of its own.
	list, err := s.Backups().List(ctx)
	if err != nil || len(list) != 2 || list[0].Why != BeforeRestore {
		t.Fatalf("%+v, %v", list, err)
	}
	if _, err := s.Backups().Restore(ctx, list[0].Name); err != nil {
		t.Fatal(err)
	}
	if again, err := s.Job(ctx, before.ID); err != nil || again.Job.Name != "changed since" {
		t.Errorf("%+v, %v", again, err)
	}
	if _, err := s.Backups().Restore(ctx, "yellow-parcel-2020-01-01-000000-daily.db"); !errors.Is(err, ErrNoBackup) {
		t.Error(err)
	}
}

func TestOneJobOfABackup(t *testing.T) {
	s := seeded(t, t.TempDir())
	before := first(t, s)
	b, err := s.Backups().Make(ctx, Asked)
	if err != nil {
		t.Fatal(err)
	}
	other := renamed(t, s, before, "other")
	if _, err := s.SetRemoved(ctx, other.ID, other.Version, true); err != nil {
		t.Fatal(err)
	}
	got, err := s.Backups().RestoreJob(ctx, b.Name, before.ID)
	if err != nil || got.Removed || got.Job.Name != before.Job.Name {
		t.Errorf("%+v, %v", got, err)
	}
	if _, err := s.Backups().RestoreJob(ctx, b.Name, "0000000000000000"); !errors.Is(err, ErrMissing) {
		t.Error(err)
	}
}

// A backup that is damaged is said to be, and is not restored.
func TestDamagedBackup(t *testing.T) {
	s := seeded(t, t.TempDir())
	b, err := s.Backups().Make(ctx, Asked)
	if err != nil {
		t.Fatal(err)
	}
	path := filepath.Join(s.Backups().dir(), b.Name)
	body, err := os.ReadFile(path)
	if err != nil {
		t.Fatal(err)
	}
	at := bytes.Index(body, []byte(demo.Jobs()[0].Name))
	body[at] ^= 1
	if err := os.WriteFile(path, body, 0o600); err != nil {
		t.Fatal(err)
	}
	list, err := s.Backups().List(ctx)
	if err != nil || len(list) != 1 || list[0].Whole || list[0].Trouble == "" {
		t.Errorf("%+v, %v", list, err)
	}
	if _, err := s.Backups().Restore(ctx, b.Name); err == nil {
		t.Error("it is restored")
	}
}

func TestDailyBackup(t *testing.T) {
	s := seeded(t, t.TempDir())
	day := time.Date(2026, 11, 28, 9, 0, 0, 0, time.Local)
	s.now = func() time.Time { return day }
	due := func(want bool, when string) {
		t.Helper()
		if made, err := s.Backups().MakeIfDue(ctx); made != want || err != nil {
			t.Errorf("%s: %v, %v", when, made, err)
		}
	}
	due(true, "there is none")
	due(false, "there is one of today")
	day = day.AddDate(0, 0, 1)
	due(false, "nothing was changed since")
	renamed(t, s, first(t, s), "another")
	due(true, "another day, and something changed")
	due(false, "twice")
}

// The rule, day by day for two years: what it keeps is never more than it says, and never
// less than it promises.
func TestRetention(t *testing.T) {
	var list []Backup
	start := time.Date(2025, 1, 1, 12, 0, 0, 0, time.UTC)
	for d := range 730 {
		now := start.AddDate(0, 0, d)
		for i := range 2 {
			b := Backup{Name: now.Format(time.DateOnly) + string(rune('a'+i)), Made: now.Add(time.Duration(i) * time.Minute), Whole: true, Bytes: 10}
			list = append([]Backup{b}, list...)
		}
		for _, gone := range spare(list, now, 1000) {
			list = slices.DeleteFunc(list, func(b Backup) bool { return b.Name == gone.Name })
		}
	}
	now := list[0].Made
	within := func(from, to int) (n int) {
		for _, b := range list {
			if age := int(now.Sub(b.Made).Hours() / 24); age >= from && age < to {
				n++
			}
		}
		return n
	}
	if n := within(0, 1); n != 2 {
		t.Errorf("%d of today", n)
	}
	if n := within(1, 7); n != 6 {
		t.Errorf("%d of the days before", n)
	}
	if n := within(7, 56); n < 6 || n > 8 {
		t.Errorf("%d of the weeks before", n)
	}
	if n := within(56, 366); n < 9 || n > 11 {
		t.Errorf("%d of the months before", n)
	}
	if n := len(list); n > 2+DaysKept+WeeksKept+MonthsKept {
		t.Errorf("%d in all", n)
	}
	// Bounded in bytes, the oldest go first; the newest whole one stays however large.
	gone := spare(list, now, 35)
	if len(list)-len(gone) != 3 || slices.ContainsFunc(gone, func(b Backup) bool { return b.Name == list[0].Name }) {
		t.Errorf("%d are kept", len(list)-len(gone))
	}
	if gone := spare(list, now, 1); len(gone) != len(list)-1 {
		t.Errorf("%d go", len(gone))
	}
	list[0].Whole = false
	if gone := spare(list, now, 1); slices.ContainsFunc(gone, func(b Backup) bool { return b.Name == list[1].Name }) {
		t.Error("the newest whole one goes")
	}
}

// A copy of the database file alone, taken a moment after a write, is what was written.
func TestTheFileAloneIsWhole(t *testing.T) {
	s := seeded(t, t.TempDir())
	renamed(t, s, first(t, s), "written just now")
	deadline := time.Now().Add(20 * time.Second)
	for {
		body, err := os.ReadFile(s.place.db())
		if err != nil {
			t.Fatal(err)
		}
		if bytes.Contains(body, []byte("written just now")) {
			dir := t.TempDir()
			if err := os.WriteFile(filepath.Join(dir, fileName), body, 0o600); err != nil {
				t.Fatal(err)
			}
			if got := first(t, open(t, dir)); got.Job.Name != "written just now" {
				t.Errorf("%q", got.Job.Name)
			}
			return
		}
		if time.Now().After(deadline) {
			t.Fatal("it never comes into the file")
		}
		time.Sleep(20 * time.Millisecond)
	}
}

func TestFilesAreTheirOwnersAlone(t *testing.T) {
	dir := t.TempDir()
	s := seeded(t, dir)
	if _, err := s.Backups().Make(ctx, Asked); err != nil {
		t.Fatal(err)
	}
	err := filepath.WalkDir(dir, func(path string, e os.DirEntry, err error) error {
		info, _ := e.Info()
		if path != dir && info.Mode().Perm()&0o077 != 0 {
			t.Errorf("%s is %v", path, info.Mode())
		}
		return err
	})
	if err != nil {
		t.Fatal(err)
	}
	if err := s.Close(); err != nil {
		t.Fatal(err)
	}
	if err := os.Chmod(filepath.Join(dir, fileName), 0o644); err != nil {
		t.Fatal(err)
	}
	open(t, dir)
	if info, err := os.Stat(filepath.Join(dir, fileName)); err != nil || info.Mode().Perm() != 0o600 {
		t.Error(info, err)
	}
}

// A backup may be made beside a program that runs, into a file or among the backups; nothing
// is written over.
func TestBackUpBesideAProgram(t *testing.T) {
	dir := t.TempDir()
	s := seeded(t, dir)
	renamed(t, s, first(t, s), "just now")
	file := filepath.Join(t.TempDir(), "copy.db")
	for range 2 {
		if b, err := BackUpTo(ctx, dir, ""); err != nil || !b.Whole || b.Why != Asked || b.Jobs != len(demo.Jobs()) {
			t.Errorf("%+v, %v", b, err)
		}
	}
	if b, err := BackUpTo(ctx, dir, file); err != nil || !b.Whole || b.Name != "copy.db" {
		t.Errorf("%+v, %v", b, err)
	}
	if _, err := BackUpTo(ctx, dir, file); err == nil || !strings.Contains(err.Error(), "is there already") {
		t.Error(err)
	}
	if _, err := BackUpTo(ctx, t.TempDir(), ""); err == nil || !strings.Contains(err.Error(), "no database") {
		t.Error(err)
	}
	if list, err := s.Backups().List(ctx); err != nil || len(list) != 2 {
		t.Errorf("%+v, %v", list, err)
	}
	// A restore of what is the same changes nothing of the shelf.
	before, err := s.Shop(ctx)
	if err != nil {
		t.Fatal(err)
	}
	came, err := s.Backups().RestoreFile(ctx, file)
	if err != nil || !reflect.DeepEqual(came, Came{Same: len(demo.Jobs())}) {
		t.Errorf("%+v, %v", came, err)
	}
	if now, err := s.Shop(ctx); err != nil || now.Version != before.Version {
		t.Errorf("the shelf has version %d, and had %d: %v", now.Version, before.Version, err)
	}
	if _, err := s.Backups().RestoreFile(ctx, filepath.Join(dir, "nothing.db")); err == nil {
		t.Error("what is not there is restored")
	}
}

// What a killed program left half done is removed at the next start; a backup that is in the
// making beside it is not.
func TestLeftoversAreRemoved(t *testing.T) {
	dir := t.TempDir()
	seeded(t, dir)
	left := map[string]bool{".reading-1": false, ".writing-1": false, ".write-test-1": false, backupsName + "/.copying-old": false, backupsName + "/.copying-young": true, "mine.txt": true}
	for name := range left {
		if err := os.MkdirAll(filepath.Join(dir, name), 0o700); err != nil {
			t.Fatal(err)
		}
	}
	old := time.Now().Add(-2 * time.Hour)
	if err := os.Chtimes(filepath.Join(dir, backupsName, ".copying-old"), old, old); err != nil {
		t.Fatal(err)
	}
	p := &place{dir: dir}
	p.tidy()
	for name, stays := range left {
		if _, err := os.Stat(filepath.Join(dir, name)); (err == nil) != stays {
			t.Errorf("%s: %v", name, err)
		}
	}
}
