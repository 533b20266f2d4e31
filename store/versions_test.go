package store

import (
	"compress/gzip"
	"encoding/json"
	"fmt"
	"io"
	"os"
	"path/filepath"
	"testing"

	"yellowparcel/core/measure"
	"yellowparcel/internal/race"
)

// madeBy is a directory with a database that the program of a form made, with its sample
// jobs.
func madeBy(t *testing.T, form int) string {
	t.Helper()
	f, err := os.Open(fmt.Sprintf("testdata/made-by-form-%d.db.gz", form))
	if err != nil {
		t.Fatal(err)
	}
	defer func() { _ = f.Close() }()
	z, err := gzip.NewReader(f)
	if err != nil {
		t.Fatal(err)
	}
	body, err := io.ReadAll(z)
	if err != nil {
		t.Fatal(err)
	}
	dir := t.TempDir()
	if err := os.WriteFile(filepath.Join(dir, fileName), body, 0o644); err != nil {
		t.Fatal(err)
	}
	return dir
}

// A database of every form that ever was is brought up to date, after a backup; every job
// and paper is there, what it says of the card and the envelope paper is the same, and what
// no program knows is kept.
func TestEveryFormThatEverWas(t *testing.T) {
	race.Alone(t)
	knows, err := knownForm()
	if err != nil {
		t.Fatal(err)
	}
	for form := 1; form < int(knows); form++ {
		t.Run(fmt.Sprint("form ", form), func(t *testing.T) {
			dir := madeBy(t, form)
			before := readOld(t, dir)
			s := open(t, dir)
			list, err := s.Backups().List(ctx)
			if err != nil || len(list) != 1 || list[0].Why != BeforeUpgrade || !list[0].Whole || list[0].Jobs != len(before) {
				t.Fatalf("%+v, %v", list, err)
			}
			for id, old := range before {
				now, err := s.Job(ctx, id)
				if err != nil {
					t.Fatal(err)
				}
				if now.Version != old.Version || now.Job.Name != old.Name || now.Job.Count != old.Count || now.Job.Card.Width != old.Card.Width || len(now.Job.Parts) != len(old.Parts) || now.Job.Envelope.Stock != old.Envelope.Stock {
					t.Errorf("%s came back as %+v", old.Name, now)
				}
				if to := old.Post.Destination + old.Mail.Destination; now.Job.Mail.Destination != to {
					t.Errorf("%s goes to %q, not %q", old.Name, now.Job.Mail.Destination, to)
				}
				// What a newer program added is kept, whatever is saved here.
				if _, err := s.db.Exec("UPDATE jobs SET body = json_set(body, '$.fromTomorrow', json('{\"a\":[1]}')) WHERE id = ?", id); err != nil {
					t.Fatal(err)
				}
				renamed(t, s, now, now.Job.Name+"!")
				var kept string
				if err := s.db.Get(&kept, "SELECT json_extract(body, '$.fromTomorrow') FROM jobs WHERE id = ?", id); err != nil || kept != `{"a":[1]}` {
					t.Errorf("%q, %v", kept, err)
				}
			}
			if shop, err := s.Shop(ctx); err != nil || len(shop.Shop.Stocks) == 0 {
				t.Error(err)
			}
			// The backup is of the old form; it is read all the same.
			if _, err := s.Backups().Restore(ctx, list[0].Name); err != nil {
				t.Error(err)
			}
			for id, old := range before {
				if now, err := s.Job(ctx, id); err != nil || now.Job.Name != old.Name {
					t.Errorf("%+v, %v", now, err)
				}
			}
			if err := s.Close(); err != nil {
				t.Fatal(err)
			}
			if err := check(ctx, open(t, dir).db, statesSealedSince); err != nil {
				t.Error(err)
			}
		})
	}
}

// oldJob is what of a job is called the same since the first form, but for the mail.
type oldJob struct {
	Name     string
	Count    int
	Version  int64
	Card     struct{ Width measure.Length }
	Parts    []any
	Envelope struct{ Stock string }
	Post     struct{ Destination string }
	Mail     struct{ Destination string }
}

// readOld reads the jobs of a database as they are stored.
func readOld(t *testing.T, dir string) map[string]oldJob {
	t.Helper()
	db, err := connect(filepath.Join(dir, fileName), "&mode=ro&immutable=1")
	if err != nil {
		t.Fatal(err)
	}
	defer func() { _ = db.Close() }()
	var rows []jobRow
	if err := db.Select(&rows, "SELECT id, version, changed, removed, body FROM jobs"); err != nil {
		t.Fatal(err)
	}
	jobs := map[string]oldJob{}
	for _, r := range rows {
		var j oldJob
		if err := json.Unmarshal([]byte(r.Body), &j); err != nil {
			t.Fatal(err)
		}
		j.Version = r.Version
		jobs[r.ID] = j
	}
	if len(jobs) < 6 {
		t.Fatalf("%d jobs", len(jobs))
	}
	return jobs
}
