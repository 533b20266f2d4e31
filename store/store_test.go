package store

import (
	"context"
	"errors"
	"fmt"
	"os"
	"path/filepath"
	"reflect"
	"strings"
	"sync"
	"testing"
	"testing/fstest"

	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/demo"
)

var ctx = context.Background()

func open(t *testing.T, dir string) *Store {
	t.Helper()
	s, err := Open(dir)
	if err != nil {
		t.Fatal(err)
	}
	t.Cleanup(func() { _ = s.Close() })
	return s
}

// all are the jobs of the list, each read whole.
func all(s *Store) (jobs []Job, err error) {
	list, err := s.List(ctx, InHand)
	for _, l := range list {
		j, err := s.Job(ctx, l.ID)
		if err != nil {
			return nil, err
		}
		jobs = append(jobs, j)
	}
	return jobs, err
}

func TestJobsOutliveTheProgram(t *testing.T) {
	dir := t.TempDir()
	s := open(t, dir)
	if err := s.Seed(ctx, demo.Shop(), demo.Jobs()); err != nil {
		t.Fatal(err)
	}
	before, err := all(s)
	if err != nil || len(before) != len(demo.Jobs()) {
		t.Fatalf("%d jobs, %v", len(before), err)
	}
	job := before[0].Job
	job.Card.Width = 6 * measure.Inch
	if _, err := s.SaveJob(ctx, before[0].ID, 1, job, Line{}); err != nil {
		t.Fatal(err)
	}
	if err := s.Close(); err != nil {
		t.Fatal(err)
	}
	s = open(t, dir)
	if err := s.Seed(ctx, demo.Shop(), demo.Jobs()); err != nil {
		t.Fatal(err)
	}
	after, err := all(s)
	if err != nil || len(after) != len(before) {
		t.Fatalf("%d jobs after a second start, %v", len(after), err)
	}
	if after[0].Version != 2 || !reflect.DeepEqual(after[0].Job, job) {
		t.Errorf("the job came back as %+v", after[0])
	}
	if shop, err := s.Shop(ctx); err != nil || !reflect.DeepEqual(shop.Shop, demo.Shop()) {
		t.Errorf("the shop came back as %+v, %v", shop, err)
	}
}

func TestSaveNeverOverwritesSilently(t *testing.T) {
	s := open(t, t.TempDir())
	added, err := s.AddJob(ctx, NewID(), demo.Jobs()[0], Line{})
	if err != nil {
		t.Fatal(err)
	}
	mine, theirs := added.Job, added.Job
	mine.Name, theirs.Name = "mine", "theirs"
	if _, err := s.SaveJob(ctx, added.ID, 1, theirs, Line{}); err != nil {
		t.Fatal(err)
	}
	now, err := s.SaveJob(ctx, added.ID, 1, mine, Line{})
	if !errors.Is(err, ErrChanged) || now.Job.Name != "theirs" || now.Version != 2 {
		t.Errorf("an old version is saved: %v, %+v", err, now)
	}
	if _, err := s.SaveJob(ctx, "0000000000000000", 1, mine, Line{}); !errors.Is(err, ErrMissing) {
		t.Errorf("a job that does not exist: %v", err)
	}
}

// Many writers from one version: exactly one wins.
func TestOneWriterWins(t *testing.T) {
	s := open(t, t.TempDir())
	added, err := s.AddJob(ctx, NewID(), demo.Jobs()[0], Line{})
	if err != nil {
		t.Fatal(err)
	}
	var wg sync.WaitGroup
	results := make([]error, 12)
	for i := range results {
		wg.Go(func() { _, results[i] = s.SaveJob(ctx, added.ID, 1, added.Job, Line{}) })
	}
	wg.Wait()
	won := 0
	for _, err := range results {
		switch {
		case err == nil:
			won++
		case !errors.Is(err, ErrChanged):
			t.Error(err)
		}
	}
	if won != 1 {
		t.Errorf("%d writers won", won)
	}
}

func TestRemoveAndPutBack(t *testing.T) {
	s := open(t, t.TempDir())
	added, err := s.AddJob(ctx, NewID(), demo.Jobs()[0], Line{})
	if err != nil {
		t.Fatal(err)
	}
	gone, err := s.SetRemoved(ctx, added.ID, 1, true)
	if err != nil || !gone.Removed {
		t.Fatal(gone, err)
	}
	if list, _ := s.List(ctx, InHand); len(list) != 0 {
		t.Errorf("%d jobs are listed", len(list))
	}
	back, err := s.SetRemoved(ctx, added.ID, gone.Version, false)
	if err != nil || back.Removed || !reflect.DeepEqual(back.Job, added.Job) {
		t.Errorf("%+v, %v", back, err)
	}
}

func TestNewerDatabaseIsLeftAlone(t *testing.T) {
	dir := t.TempDir()
	s := open(t, dir)
	if _, err := s.db.Exec("INSERT INTO goose_db_version (version_id, is_applied) VALUES (999, 1)"); err != nil {
		t.Fatal(err)
	}
	if err := s.Close(); err != nil {
		t.Fatal(err)
	}
	_, err := Open(dir)
	if err == nil || !strings.Contains(err.Error(), "newer Yellow Parcel") || !strings.Contains(err.Error(), dir) {
		t.Errorf("a newer database: %v", err)
	}
}

func TestUpgradeKeepsACopyAndTheRows(t *testing.T) {
	dir := t.TempDir()
	s := open(t, dir)
	added, err := s.AddJob(ctx, NewID(), demo.Jobs()[0], Line{})
	if err != nil {
		t.Fatal(err)
	}
	if err := s.Close(); err != nil {
		t.Fatal(err)
	}
	steps := fstest.MapFS{
		"99999_colour.sql": {Data: []byte("-- +goose Up\nALTER TABLE jobs ADD COLUMN colour TEXT;\n")},
	}
	entries, err := migrations.ReadDir("migrations")
	if err != nil {
		t.Fatal(err)
	}
	for _, e := range entries {
		step, err := migrations.ReadFile("migrations/" + e.Name())
		if err != nil {
			t.Fatal(err)
		}
		steps[e.Name()] = &fstest.MapFile{Data: step}
	}
	s, err = openWith(dir, steps)
	if err != nil {
		t.Fatal(err)
	}
	if got, err := s.Job(ctx, added.ID); err != nil || !reflect.DeepEqual(got.Job, added.Job) {
		t.Errorf("after the upgrade: %+v, %v", got, err)
	}
	if err := s.Close(); err != nil {
		t.Fatal(err)
	}
	old := t.TempDir()
	copies, err := filepath.Glob(filepath.Join(dir, backupsName, "*-upgrade.db"))
	if err != nil || len(copies) != 1 {
		t.Fatal(copies, err)
	}
	body, err := os.ReadFile(copies[0])
	if err != nil {
		t.Fatal(err)
	}
	if err := os.WriteFile(filepath.Join(old, fileName), body, 0o600); err != nil {
		t.Fatal(err)
	}
	if got, err := open(t, old).Job(ctx, added.ID); err != nil || !reflect.DeepEqual(got.Job, added.Job) {
		t.Errorf("the copy: %+v, %v", got, err)
	}

	steps["99999_colour.sql"] = &fstest.MapFile{Data: []byte("-- +goose Up\nALTER TABLE nowhere ADD COLUMN x TEXT;\n")}
	broken := t.TempDir()
	if err := os.WriteFile(filepath.Join(broken, fileName), body, 0o600); err != nil {
		t.Fatal(err)
	}
	if _, err := openWith(broken, steps); err == nil || !strings.Contains(err.Error(), "could not be brought up to date") {
		t.Errorf("a broken upgrade: %v", err)
	}
	if got, err := open(t, broken).Job(ctx, added.ID); err != nil || got.ID != added.ID {
		t.Errorf("after a broken upgrade: %v", err)
	}
}

func TestPlacesThatCannotHoldADatabase(t *testing.T) {
	file := filepath.Join(t.TempDir(), "a file")
	if err := os.WriteFile(file, []byte("no database"), 0o600); err != nil {
		t.Fatal(err)
	}
	if _, err := Open(filepath.Join(file, "below")); err == nil || !strings.Contains(err.Error(), "--data") {
		t.Errorf("below a file: %v", err)
	}
	dir := t.TempDir()
	if err := os.WriteFile(filepath.Join(dir, fileName), []byte(strings.Repeat("this is no database\n", 100)), 0o600); err != nil {
		t.Fatal(err)
	}
	var damage *Damage
	if _, err := Open(dir); !errors.As(err, &damage) || !strings.Contains(err.Error(), "cannot be used") {
		t.Errorf("a damaged database: %v", err)
	} else if err := damage.Close(); err != nil {
		t.Error(err)
	}
}

// A directory name with characters that mean something in a URL is just a name.
func TestOddDirectoryNames(t *testing.T) {
	for _, name := range []string{"with space", "100% kraft?", "a#b&c=d"} {
		dir := filepath.Join(t.TempDir(), name)
		s := open(t, dir)
		if _, err := s.AddJob(ctx, NewID(), demo.Jobs()[0], Line{}); err != nil {
			t.Error(err)
		}
		if _, err := os.Stat(filepath.Join(dir, fileName)); err != nil {
			t.Errorf("%q: the database is not where it was put: %v", name, err)
		}
	}
}

// The shop is read once a version: as long as nobody saves it, the same one is handed
// out, and a save is seen at once.
func TestShopIsReadOnceAVersion(t *testing.T) {
	s := open(t, t.TempDir())
	ctx := t.Context()
	if err := s.Seed(ctx, demo.Shop(), nil); err != nil {
		t.Fatal(err)
	}
	read := func() Shop {
		t.Helper()
		shop, err := s.Shop(ctx)
		if err != nil {
			t.Fatal(err)
		}
		return shop
	}
	first, again := read(), read()
	if &first.Shop.Stocks[0] != &again.Shop.Stocks[0] {
		t.Error("it is read anew though nobody saved it")
	}
	if _, err := s.ChangeShop(ctx, "", func(now Shop) (job.Shop, error) {
		now.Shop = now.Shop.Clone()
		now.Shop.Stocks[0].Have = 7
		return now.Shop, nil
	}); err != nil {
		t.Fatal(err)
	}
	if now := read(); now.Version != first.Version+1 || now.Shop.Stocks[0].Have != 7 || first.Shop.Stocks[0].Have == 7 {
		t.Errorf("version %d, %d sheets", now.Version, now.Shop.Stocks[0].Have)
	}
}

// What an envelope was cut down from is the bought envelope; a job that began with an
// envelope has that one; how it is sent is kept.
func TestBoughtEnvelopesMoveOn(t *testing.T) {
	dir, steps := t.TempDir(), fstest.MapFS{}
	for _, name := range []string{"00001_jobs_and_shop.sql", "00002_lines.sql"} {
		step, err := migrations.ReadFile("migrations/" + name)
		if err != nil {
			t.Fatal(err)
		}
		steps[name] = &fstest.MapFile{Data: step}
	}
	s, err := openWith(dir, steps)
	if err != nil {
		t.Fatal(err)
	}
	for id, body := range map[string]string{
		"aaaaaaaaaaaaaaaa": `{"name":"cut","card":{"width":1,"height":1},"envelope":{"construction":"cutdown","cutFrom":"a7","sort":"post"},"post":{"destination":"uk-inland"}}`,
		"bbbbbbbbbbbbbbbb": `{"name":"began","card":{"width":1,"height":1},"envelope":{},"post":{},"start":{"format":"own","width":190000000,"height":140000000}}`,
		"cccccccccccccccc": `{"name":"plain","card":{"width":1,"height":1},"envelope":{},"post":{}}`,
	} {
		if _, err := s.db.Exec("INSERT INTO jobs (id, place, version, name, body, created, changed) VALUES (?, 1, 1, 'x', ?, 'x', 'x')", id, body); err != nil {
			t.Fatal(err)
		}
	}
	if err := s.Close(); err != nil {
		t.Fatal(err)
	}
	s = open(t, dir)
	for id, want := range map[string]string{"aaaaaaaaaaaaaaaa": "cutdown a7 0 mm", "bbbbbbbbbbbbbbbb": "bought own 190 mm", "cccccccccccccccc": "  0 mm"} {
		j, err := s.Job(ctx, id)
		if err != nil {
			t.Fatal(err)
		}
		if e := j.Job.Envelope; fmt.Sprintf("%s %s %v", e.Construction, e.From, e.OwnWidth) != want {
			t.Errorf("%s is %s %s %v, want %s", id, e.Construction, e.From, e.OwnWidth, want)
		}
		if to, sort := j.Job.Mail.Destination, j.Job.Envelope.Sort; id[0] == 'a' && (to != "uk-inland" || sort != job.Cheapest) {
			t.Errorf("%s is sent to %q, sorted by %q", id, to, sort)
		}
	}
}
