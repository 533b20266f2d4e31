package store

import (
	"bytes"
	"encoding/binary"
	"errors"
	"fmt"
	"os"
	"path/filepath"
	"strings"
	"syscall"
	"testing"
	"time"

	"yellowparcel/core/plan"
	"yellowparcel/demo"
	"yellowparcel/internal/race"
)

// Nothing makes another directory in the place of one that was moved away; put back it is gone on with.
// An empty one where jobs were is noticed at the next start, and so is none at all.
func TestNothingTakesThePlaceOfADirectory(t *testing.T) {
	race.Alone(t)
	dir := filepath.Join(t.TempDir(), "data")
	s := seeded(t, dir)
	j := first(t, s)
	file := exported(t, s)
	if err := os.Rename(dir, dir+"-moved"); err != nil {
		t.Fatal(err)
	}
	for what, do := range map[string]func() error{
		"a backup":       func() error { _, err := s.Backups().Make(ctx, Asked); return err },
		"the daily look": func() error { _, err := s.Backups().MakeIfDue(ctx); return err },
		"progress":       func() error { return SetProgress(ctx, s, j.ID, 3) },
		"a line":         func() error { return s.SetLine(ctx, j.ID, j.Version, Line{Of: "now", Line: plan.JobLine{}}) },
		"a file":         func() error { _, err := imported(s, file, false); return err },
		"the shelf":      func() error { _, err := s.ChangeShop(ctx, "", nil); return err },
	} {
		if err := do(); !errors.Is(err, ErrGone) {
			t.Errorf("%s: %v", what, err)
		}
		if fileExists(dir) {
			t.Fatalf("%s makes the directory anew", what)
		}
	}
	if err := os.Rename(dir+"-moved", dir); err != nil {
		t.Fatal(err)
	}
	if err := errors.Join(SetProgress(ctx, s, j.ID, 3), s.Close()); err != nil {
		t.Fatal(err)
	}
	if err := os.Rename(dir, dir+"-moved"); err != nil {
		t.Fatal(err)
	}
	if s, err := Open(dir); err == nil || !strings.Contains(err.Error(), "put it back") || fileExists(dir) {
		t.Fatalf("without a directory: %v, %v", s, err)
	}
	if err := os.Mkdir(dir, 0o700); err != nil {
		t.Fatal(err)
	}
	d := openDamaged(t, dir)
	if !d.Missing || !strings.Contains(d.What, "disk") {
		t.Errorf("an empty one: %+v", d)
	}
	if err := d.Close(); err != nil {
		t.Fatal(err)
	}
	if err := errors.Join(os.RemoveAll(dir), os.Rename(dir+"-moved", dir)); err != nil {
		t.Fatal(err)
	}
	if step, err := Progress(ctx, open(t, dir), j.ID); step != 3 || err != nil {
		t.Errorf("put back it is at step %d, %v", step, err)
	}
}

// Where somebody chose to begin anew nothing is missed any more.
func TestBegunAnewInAnEmptyPlace(t *testing.T) {
	dir := filepath.Join(t.TempDir(), "data")
	if err := seeded(t, dir).Close(); err != nil {
		t.Fatal(err)
	}
	if err := errors.Join(os.RemoveAll(dir), os.Mkdir(dir, 0o700)); err != nil {
		t.Fatal(err)
	}
	s, err := openDamaged(t, dir).Repair(ctx, Anew, "")
	if err != nil {
		t.Fatal(err)
	}
	if err := s.Close(); err != nil {
		t.Fatal(err)
	}
	open(t, dir)
}

// A lock file that is deleted lets no second program in.
func TestDeletedLock(t *testing.T) {
	dir := t.TempDir()
	s := seeded(t, dir)
	if err := os.Remove(filepath.Join(dir, lockName)); err != nil {
		t.Fatal(err)
	}
	if other, err := Open(dir); !errors.Is(err, ErrRunning) {
		t.Fatalf("%v, %v", other, err)
	}
	renamed(t, s, first(t, s), "still mine")
}

// A state of a history, or how far one is at the bench, that is not as it was stored is noticed, also
// where it can still be read; what the backup has of it comes from there, and what nobody has is counted.
func TestStatesAndProgressCarrySeals(t *testing.T) {
	race.Alone(t)
	for what, spoil := range map[string]string{
		"a state":    "UPDATE history SET changed = '2020-01-01T00:00:00Z' WHERE rowid = 1",
		"its body":   "UPDATE history SET body = (SELECT body FROM history WHERE rowid = 2) WHERE rowid = 1",
		"a new one":  "UPDATE history SET how = 'read in' WHERE rowid = (SELECT max(rowid) FROM history)",
		"a progress": "UPDATE progress SET step = 9",
	} {
		dir := t.TempDir()
		s := seeded(t, dir)
		j := first(t, s)
		if err := SetProgress(ctx, s, j.ID, 4); err != nil {
			t.Fatal(err)
		}
		b, err := s.Backups().Make(ctx, Asked)
		if err != nil {
			t.Fatal(err)
		}
		renamed(t, s, j, "a later state")
		states := 0
		if err := s.db.Get(&states, "SELECT count(*) FROM history"); err != nil {
			t.Fatal(err)
		}
		if _, err := s.db.Exec(spoil); err != nil {
			t.Fatal(err)
		}
		if err := s.Close(); err != nil {
			t.Fatal(err)
		}
		d := openDamaged(t, dir)
		if d.Broken != 0 || d.Whole != len(demo.Jobs()) || (d.States != 1) != (what == "a progress") {
			t.Errorf("%s: %d jobs broken, %d whole, %d states lost", what, d.Broken, d.Whole, d.States)
		}
		s, err = d.Repair(ctx, Together, b.Name)
		if err != nil {
			t.Fatal(err)
		}
		var now int
		if err := s.db.Get(&now, "SELECT count(*) FROM history"); err != nil {
			t.Fatal(err)
		}
		if missing := states - now; missing != map[bool]int{true: 1, false: 0}[what == "a new one"] {
			t.Errorf("%s: %d states of %d are there then", what, now, states)
		}
		if step, err := Progress(ctx, s, j.ID); step != 4 || err != nil {
			t.Errorf("%s: at step %d, %v", what, step, err)
		}
		if err := s.Close(); err != nil {
			t.Fatal(err)
		}
	}
}

// How far one is at the bench comes back with a backup that is restored.
func TestProgressIsRestored(t *testing.T) {
	s := seeded(t, t.TempDir())
	j := first(t, s)
	if err := SetProgress(ctx, s, j.ID, 4); err != nil {
		t.Fatal(err)
	}
	b, err := s.Backups().Make(ctx, Asked)
	if err != nil {
		t.Fatal(err)
	}
	renamed(t, s, j, "changed since")
	if err := SetProgress(ctx, s, j.ID, 7); err != nil {
		t.Fatal(err)
	}
	if _, err := s.Backups().Restore(ctx, b.Name); err != nil {
		t.Fatal(err)
	}
	if step, err := Progress(ctx, s, j.ID); step != 4 || err != nil {
		t.Errorf("at step %d, %v", step, err)
	}
}

// A frame of SQLite's log whose mark (its salt) is spoiled is noticed, whichever it is: SQLite would
// take it for the end of the log.
func TestSpoiledMarkInTheLog(t *testing.T) {
	dir, _ := killed(t, 12)
	path := filepath.Join(dir, fileName+"-wal")
	clean, err := os.ReadFile(path)
	if err != nil {
		t.Fatal(err)
	}
	page := int(binary.BigEndian.Uint32(clean[8:]))
	frames := (len(clean) - walHead) / (walFrame + page)
	if frames < 12 {
		t.Fatalf("only %d frames", frames)
	}
	for i := range frames {
		body := bytes.Clone(clean)
		body[walHead+i*(walFrame+page)+8+i%8] ^= 1 << (i % 8)
		if err := os.WriteFile(path, body, 0o600); err != nil {
			t.Fatal(err)
		}
		if err := checkLog(path); !errors.Is(err, ErrDamaged) {
			t.Errorf("frame %d of %d: %v", i, frames, err)
		}
	}
}

// smallDisk is a disk of its own, where the system lets tests have one.
func smallDisk(t *testing.T, size string) string {
	t.Helper()
	dir := t.TempDir()
	if err := syscall.Mount("tmpfs", dir, "tmpfs", 0, "size="+size); err != nil {
		t.Skipf("a disk of its own cannot be had here (%v): run as root", err)
	}
	t.Cleanup(func() { _ = syscall.Unmount(dir, 0) })
	return dir
}

// Where the disk is full everything can still be written to a file, by way of the temporary directory.
func TestEverythingFromAFullDisk(t *testing.T) {
	disk := smallDisk(t, "2m")
	s := seeded(t, filepath.Join(disk, "data"))
	for {
		if err := os.WriteFile(filepath.Join(disk, fmt.Sprint("ballast", time.Now().UnixNano())), make([]byte, 64<<10), 0o600); err != nil {
			break
		}
	}
	f, err := s.Exchange().ExportFile(ctx)
	if err != nil {
		t.Fatal(err)
	}
	info, err := f.Stat()
	if err != nil {
		t.Fatal(err)
	}
	in, err := openZip(f, info.Size())
	if err != nil || len(in.jobs) != len(demo.Jobs()) {
		t.Errorf("%+v, %v", in, err)
	}
	// And where that is full too it says so, and gives no half file.
	t.Setenv("TMPDIR", disk)
	if f, err := s.Exchange().ExportFile(ctx); !errors.Is(err, ErrFull) || f != nil {
		t.Errorf("%v, %v", f, err)
	}
	_ = s.Close()
}

// Data on a disk that can only be read can be backed up to another place, with what is still in its log.
func TestBackUpFromAReadOnlyDisk(t *testing.T) {
	disk := smallDisk(t, "8m")
	from, last := killed(t, 5)
	dir := filepath.Join(disk, "data")
	if err := os.CopyFS(dir, os.DirFS(from)); err != nil {
		t.Fatal(err)
	}
	if err := syscall.Mount("", disk, "", syscall.MS_REMOUNT|syscall.MS_RDONLY, ""); err != nil {
		t.Fatal(err)
	}
	file := filepath.Join(t.TempDir(), "copy.db")
	b, err := BackUpTo(ctx, dir, file)
	if err != nil || !b.Whole || b.Jobs != len(demo.Jobs()) {
		t.Fatalf("%+v, %v", b, err)
	}
	s := seeded(t, t.TempDir())
	if _, err := s.Backups().RestoreFile(ctx, file); err != nil {
		t.Fatal(err)
	}
	var found int
	if err := s.db.Get(&found, "SELECT count(*) FROM jobs WHERE name = ?", last); err != nil || found != 1 {
		t.Errorf("the last change before the kill: %d, %v", found, err)
	}
}

// Data of a newer program is called newer, by whatever reads it, and never damaged.
func TestNewerIsNotDamaged(t *testing.T) {
	dir := t.TempDir()
	s := seeded(t, dir)
	if _, err := s.Backups().Make(ctx, Asked); err != nil {
		t.Fatal(err)
	}
	newer := func(path string) {
		t.Helper()
		db, err := connect(path, mustExist)
		if err != nil {
			t.Fatal(err)
		}
		_, err = db.Exec("INSERT INTO goose_db_version (version_id, is_applied) VALUES (77, 1)")
		_, err2 := db.Exec("UPDATE jobs SET version = version + 1, seal = 'of tomorrow'")
		if err := errors.Join(err, err2, db.Close()); err != nil {
			t.Fatal(err)
		}
	}
	list, err := s.Backups().List(ctx)
	if err != nil || len(list) != 1 {
		t.Fatal(list, err)
	}
	newer(filepath.Join(dir, backupsName, list[0].Name))
	if list, err = s.Backups().List(ctx); err != nil || list[0].Whole || !strings.Contains(list[0].Trouble, "newer") {
		t.Errorf("a backup: %+v, %v", list, err)
	}
	if err := s.Close(); err != nil {
		t.Fatal(err)
	}
	newer(filepath.Join(dir, fileName))
	if _, err := Open(dir); !errors.Is(err, ErrNewer) || errors.Is(err, ErrDamaged) {
		t.Errorf("at the start: %v", err)
	}
	if _, err := BackUpTo(ctx, dir, filepath.Join(t.TempDir(), "copy.db")); !errors.Is(err, ErrNewer) || errors.Is(err, ErrDamaged) {
		t.Errorf("backed up: %v", err)
	}
}

// A backup that is dated after today does not cause another one at each look.
func TestBackupFromTheFuture(t *testing.T) {
	s := seeded(t, t.TempDir())
	day := time.Date(2026, 12, 1, 9, 0, 0, 0, time.Local)
	s.now = func() time.Time { return day.AddDate(0, 3, 0) } // the clock was wrong
	if _, err := s.Backups().Make(ctx, Daily); err != nil {
		t.Fatal(err)
	}
	s.now = func() time.Time { return day }
	renamed(t, s, first(t, s), "changed since")
	made := 0
	for range 5 {
		if one, err := s.Backups().MakeIfDue(ctx); err != nil {
			t.Fatal(err)
		} else if one {
			made++
		}
	}
	if made != 1 {
		t.Errorf("%d backups are made", made)
	}
}

// What was asked for by hand stays, and so does what was just restored; the rule of days and bytes does
// without others.
func TestAskedForAndRestoredStay(t *testing.T) {
	now := time.Date(2026, 12, 1, 12, 0, 0, 0, time.UTC)
	var list []Backup
	for i := range 400 {
		why := Daily
		if i%50 == 30 {
			why = Asked
		}
		list = append(list, Backup{Name: fmt.Sprint(i), Made: now.AddDate(0, 0, -i), Why: why, Whole: true, Bytes: 100 << 20})
	}
	for _, b := range spare(list, now, MostBackups) {
		if b.Why == Asked {
			t.Errorf("the one of %v that was asked for goes", b.Made)
		}
	}
	// The oldest of twelve months is restored in the thirteenth.
	s := seeded(t, t.TempDir())
	var old Backup
	for i := 11; i >= 0; i-- {
		s.now = func() time.Time { return now.AddDate(0, -i, 0) }
		b, err := s.Backups().Make(ctx, Daily)
		if err != nil {
			t.Fatal(err)
		}
		if i == 11 {
			old = b
		}
	}
	s.now = func() time.Time { return now.AddDate(0, 1, 0) }
	has := func() bool { return fileExists(filepath.Join(s.Backups().dir(), old.Name)) }
	if !has() {
		t.Fatal("the rule does without it before it is restored")
	}
	if _, err := s.Backups().Restore(ctx, old.Name); err != nil || !has() {
		t.Errorf("the one that was restored is gone, %v", err)
	}
}
