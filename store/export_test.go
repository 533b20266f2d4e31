package store

import (
	"archive/zip"
	"bytes"
	"encoding/json"
	"errors"
	"fmt"
	"io"
	"reflect"
	"regexp"
	"strings"
	"testing"
	"time"

	"yellowparcel/core/job"
	"yellowparcel/demo"
	"yellowparcel/internal/race"
)

// busy is a store with jobs that are removed, archived, of odd names, with a history, and
// with what no program knows.
func busy(t *testing.T) *Store {
	t.Helper()
	s := seeded(t, t.TempDir())
	j := renamed(t, s, first(t, s), "Moon & <stars> “⅛”")
	if _, err := s.SetRemoved(ctx, j.ID, j.Version, true); err != nil {
		t.Fatal(err)
	}
	j = first(t, s)
	if _, err := s.SetArchived(ctx, j.ID, j.Version, true); err != nil {
		t.Fatal(err)
	}
	if _, err := s.db.Exec(`UPDATE jobs SET version = version + 1, body = json_set(body, '$.fromTomorrow', json('{"n":1.50}'))`); err != nil {
		t.Fatal(err)
	}
	if _, err := s.db.Exec("UPDATE jobs SET seal = ''"); err != nil {
		t.Fatal(err)
	}
	if err := sealRest(ctx, s.db, statesSealedSince); err != nil {
		t.Fatal(err)
	}
	now := time.Date(2090, 11, 28, 9, 0, 0, 0, time.UTC) // later than any clock
	s.now = func() time.Time { return now }
	return s
}

func exported(t *testing.T, s *Store) []byte {
	t.Helper()
	var out bytes.Buffer
	if err := s.Exchange().Export(ctx, &out); err != nil {
		t.Fatal(err)
	}
	return out.Bytes()
}

func imported(s *Store, body []byte, replace bool) (Came, error) {
	return s.Exchange().Import(ctx, bytes.NewReader(body), replace)
}

// Everything goes out in one open file and comes in on another machine without a loss: what
// that one writes is the same file, to the byte.
func TestEverythingInOneFile(t *testing.T) {
	race.Alone(t)
	here := busy(t)
	file := exported(t, here)
	for _, with := range []struct {
		name string
		jobs []job.Job
	}{{"an empty one", nil}, {"one with jobs of its own", demo.Jobs()[:1]}} {
		there := open(t, t.TempDir())
		if err := there.Seed(ctx, demo.Shop(), with.jobs); err != nil {
			t.Fatal(err)
		}
		there.now = here.now
		came, err := imported(there, file, true)
		if err != nil || came.Added != len(demo.Jobs()) || came.Gone != len(with.jobs) {
			t.Fatalf("%s: %+v, %v", with.name, came, err)
		}
		if with.jobs == nil && !bytes.Equal(exported(t, there), file) {
			t.Error("what the other machine writes is another file")
		}
		again, err := imported(there, file, false)
		if err != nil || !reflect.DeepEqual(again, Came{Same: len(demo.Jobs())}) {
			t.Errorf("%s, read once more: %+v, %v", with.name, again, err)
		}
	}
}

// Only what is missing or older here is taken, and what a job was before is a step back.
func TestReadInWhatIsMissing(t *testing.T) {
	race.Alone(t)
	here := busy(t)
	file := exported(t, here)
	later := here.now().Add(time.Hour)
	here.now = func() time.Time { return later }
	mine := renamed(t, here, first(t, here), "changed later here")
	if came, err := imported(here, file, false); err != nil || came.Changed != 0 || came.Same != len(demo.Jobs()) {
		t.Errorf("%+v, %v", came, err)
	}
	if now, err := here.Job(ctx, mine.ID); err != nil || now.Job.Name != "changed later here" {
		t.Errorf("%+v, %v", now, err)
	}
	newer := exported(t, here)
	there := open(t, t.TempDir())
	if err := there.Seed(ctx, demo.Shop(), nil); err != nil {
		t.Fatal(err)
	}
	if _, err := imported(there, file, false); err != nil {
		t.Fatal(err)
	}
	came, err := imported(there, newer, false)
	if err != nil || came.Changed != 1 || came.Added != 0 {
		t.Errorf("%+v, %v", came, err)
	}
	history, err := there.History(ctx, mine.ID)
	if n := len(history); err != nil || n < 2 || history[n-1].How != ReadIn || history[n-1].Job.Name != "changed later here" || history[n-2].Job.Name == "changed later here" {
		t.Errorf("%+v, %v", history, err)
	}
	list, err := there.Backups().List(ctx)
	if err != nil || len(list) == 0 || list[0].Why != BeforeImport {
		t.Errorf("%+v, %v", list, err)
	}
}

func TestOneJobAsAFile(t *testing.T) {
	here, there := busy(t), seeded(t, t.TempDir())
	j := first(t, here)
	file, err := here.Exchange().ExportJob(ctx, j.ID)
	if err != nil {
		t.Fatal(err)
	}
	got, err := there.Exchange().ImportJob(ctx, file)
	if err != nil || got.ID != j.ID || !reflect.DeepEqual(got.Job, j.Job) {
		t.Fatalf("%+v, %v", got, err)
	}
	again, err := there.Exchange().ImportJob(ctx, file)
	if err != nil || again.ID == j.ID || !reflect.DeepEqual(again.Job, j.Job) {
		t.Errorf("%+v, %v", again, err)
	}
	if _, err := here.Exchange().ExportJob(ctx, "0000000000000000"); !errors.Is(err, ErrMissing) {
		t.Error(err)
	}
	for _, bad := range []string{"", "{}", `{"yellowParcel":"job","form":7}`, strings.Replace(string(file), formNow(t), `"form": 99`, 1), strings.Replace(string(file), `"name":`, `"nome": 5, "name": [`, 1)} {
		var wrong *FileError
		if _, err := there.Exchange().ImportJob(ctx, []byte(bad)); !errors.As(err, &wrong) {
			t.Errorf("%.60q: %v", bad, err)
		}
	}
}

// rewritten is a zip with one of its files made another.
func rewritten(t *testing.T, file []byte, change func(name string, body []byte) (string, []byte)) []byte {
	t.Helper()
	in, err := zip.NewReader(bytes.NewReader(file), int64(len(file)))
	if err != nil {
		t.Fatal(err)
	}
	var out bytes.Buffer
	z := zip.NewWriter(&out)
	for _, f := range in.File {
		r, err := f.Open()
		if err != nil {
			t.Fatal(err)
		}
		body, err := io.ReadAll(r)
		if err != nil {
			t.Fatal(err)
		}
		name, body := change(f.Name, body)
		w, err := z.Create(name)
		if err == nil {
			_, err = w.Write(body)
		}
		if err != nil {
			t.Fatal(err)
		}
	}
	if err := z.Close(); err != nil {
		t.Fatal(err)
	}
	return out.Bytes()
}

// What cannot be read in is refused with where and why, and changes nothing.
func TestFilesThatCannotBeReadIn(t *testing.T) {
	race.Alone(t)
	s := busy(t)
	file := exported(t, s)
	edit := func(of string, change func([]byte) []byte) []byte {
		done := false
		return rewritten(t, file, func(name string, body []byte) (string, []byte) {
			if !done && strings.HasPrefix(name, of) {
				done = true
				return name, change(body)
			}
			return name, body
		})
	}
	swap := func(old, fresh string) func([]byte) []byte {
		return func(body []byte) []byte {
			if !bytes.Contains(body, []byte(old)) {
				t.Errorf("there is no %q", old)
			}
			return bytes.Replace(body, []byte(old), []byte(fresh), 1)
		}
	}
	cases := map[string]struct {
		file []byte
		says string
	}{
		"nothing":             {nil, "not a zip file"},
		"cut off":             {file[:len(file)/2], "not a zip file"},
		"another zip":         {edit("about", func([]byte) []byte { return []byte(`{"hello":1}`) }), "about.json"},
		"a newer one":         {edit("about", swap(formNow(t), `"form": 8000`)), "newer Yellow Parcel"},
		"a job is missing":    {edit("about", swap(`"jobs": 6`, `"jobs": 7`)), "there are 6"},
		"no JSON":             {edit("jobs/", func([]byte) []byte { return []byte("<script>") }), "jobs/"},
		"an odd ID":           {edit("jobs/", swap(`"id": "`, `"id": "../`)), "no ID"},
		"no job in it":        {edit("jobs/", swap(`"job": {`, `"jab": {`)), "no job in it"},
		"an odd moment":       {edit("jobs/", swap(`"changed": "`, `"changed": "yesterday `)), "no moment"},
		"a broken shop":       {edit("shop", func([]byte) []byte { return []byte(`{"sheets": 5}`) }), "shop.json"},
		"too large":           {edit("jobs/", func([]byte) []byte { return bytes.Repeat([]byte(" "), mostEntry+1) }), "too large"},
		"a name out of place": {rewritten(t, file, func(name string, body []byte) (string, []byte) { return "../" + name, body }), "about.json"},
	}
	// What somebody added to it is left alone.
	added := rewritten(t, file, func(name string, body []byte) (string, []byte) {
		if name == shopFile {
			return "notes/readme.txt", []byte("my notes")
		}
		return name, body
	})
	if came, err := imported(s, added, false); err != nil || came.Same != len(demo.Jobs()) {
		t.Errorf("%+v, %v", came, err)
	}
	before := exported(t, s)
	for name, c := range cases {
		if _, err := imported(s, c.file, true); err == nil || !strings.Contains(err.Error(), c.says) {
			t.Errorf("%s: %v", name, err)
		}
	}
	if !bytes.Equal(before, exported(t, s)) {
		t.Error("something was changed")
	}
}

// A file that is read in cannot lock the shop: every number in it is bounded as in a job that is typed. A job
// that could not be opened is left out and named, and never takes the place of one that can; what is
// read in holds nothing that cannot be seen.
func TestFileCannotLockTheShop(t *testing.T) {
	race.Alone(t)
	s := busy(t)
	j := first(t, s)
	file, err := s.Exchange().ExportJob(ctx, j.ID)
	if err != nil {
		t.Fatal(err)
	}
	all := exported(t, s)
	before := s.now
	later := func(body []byte) []byte { // so that it would be taken
		return regexp.MustCompile(`"changed": "[^"]*"`).ReplaceAll(body, []byte(`"changed": "2099-01-01T00:00:00Z"`))
	}
	job := regexp.MustCompile(`"job": \{`)
	for name, c := range map[string]struct {
		change func([]byte) []byte
		// refused says that the file of everything is refused as a whole, too.
		refused bool
	}{
		"a place at the end":     {func(b []byte) []byte { return setNumber(b, "place", "9223372036854775807") }, true},
		"a version at the end":   {func(b []byte) []byte { return setNumber(b, "version", "9223372036854775806") }, true},
		"a version below none":   {func(b []byte) []byte { return setNumber(b, "version", "-4") }, true},
		"a count below none":     {func(b []byte) []byte { return setNumber(b, "count", "-1") }, false},
		"a count without an end": {func(b []byte) []byte { return setNumber(b, "count", "1e999") }, false},
		"a huge width":           {func(b []byte) []byte { return setNumber(b, "width", "9223372036854775807") }, false},
		"no parts": {func(b []byte) []byte {
			return regexp.MustCompile(`(?s)"parts": \[.*?\n  \],`).ReplaceAll(b, []byte(`"parts": [],`))
		}, false},
		"no job": {func(b []byte) []byte {
			at := job.FindIndex(b)
			return append(bytes.Clone(b[:at[0]]), []byte("\"job\": null}")...)
		}, true},
	} {
		spoilt := c.change(bytes.Clone(file))
		if bytes.Equal(spoilt, file) {
			t.Fatalf("%s: nothing is spoilt", name)
		}
		var wrong *FileError
		if _, err := s.Exchange().ImportJob(ctx, spoilt); !errors.As(err, &wrong) && !(strings.Contains(name, "place") && err == nil) {
			t.Errorf("%s, alone: %v", name, err)
		}
		for _, replace := range []bool{false, true} {
			everything := rewritten(t, all, func(of string, body []byte) (string, []byte) {
				if of == jobsDir+j.ID+".json" {
					return of, later(c.change(body))
				}
				return of, body
			})
			came, err := imported(s, everything, replace)
			if (err != nil) != c.refused || err == nil && (len(came.LeftOut) != 1 || !strings.Contains(came.LeftOut[0], j.Job.Name)) {
				t.Errorf("%s, in everything, replaced %v: %+v, %v", name, replace, came, err)
			}
			if now := first(t, s); now.ID != j.ID || now.Removed || !reflect.DeepEqual(now.Job, j.Job) {
				t.Fatalf("%s, in everything: the job here is another", name)
			}
		}
	}
	s.now = before
	// After all of that a job can still be made, saved and removed.
	fresh, err := s.AddJob(ctx, NewID(), j.Job, Line{})
	if err != nil {
		t.Fatal(err)
	}
	if _, err := s.SetRemoved(ctx, fresh.ID, renamed(t, s, fresh, "after").Version, true); err != nil {
		t.Error(err)
	}
	// Names hold nothing that cannot be seen or that turns what stands round it.
	odd := regexp.MustCompile(`"name": "[^"]*"`).ReplaceAll(file, []byte(`"name": "a\u0007b\u202ec\u2066d\u200fe\nf"`))
	got, err := s.Exchange().ImportJob(ctx, odd)
	if err != nil || got.Job.Name != "abcde f" || got.Job.Parts[0].Name != "abcde f" {
		t.Errorf("it is called %q, its base %q: %v", got.Job.Name, got.Job.Parts[0].Name, err)
	}
}

// setNumber makes the first number of a name another one.
func setNumber(body []byte, name, to string) []byte {
	at := regexp.MustCompile(`"` + name + `": -?[0-9.e+]+`).FindIndex(body)
	if at == nil {
		return body
	}
	return append(append(bytes.Clone(body[:at[0]]), []byte(`"`+name+`": `+to)...), body[at[1]:]...)
}

func FuzzImportJob(f *testing.F) {
	f.Add([]byte(`{"yellowParcel":"job","form":7,"id":"aaaaaaaaaaaaaaaa","created":"2026-11-28T08:00:00Z","changed":"2026-11-28T08:00:00Z","job":{"name":"x"}}`))
	dir := f.TempDir()
	s, err := Open(dir)
	if err != nil {
		f.Fatal(err)
	}
	defer func() { _ = s.Close() }()
	f.Fuzz(func(t *testing.T, body []byte) {
		j, err := s.Exchange().ImportJob(ctx, body)
		if err != nil {
			return
		}
		file, err := s.Exchange().ExportJob(ctx, j.ID)
		if err != nil || !json.Valid(file) {
			t.Errorf("%q: %v", file, err)
		}
	})
}

// formNow is how a file names the form that it is written in.
func formNow(t *testing.T) string {
	t.Helper()
	form, err := knownForm()
	if err != nil {
		t.Fatal(err)
	}
	return fmt.Sprintf(`"form": %d`, form)
}
