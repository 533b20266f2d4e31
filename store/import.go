package store

import (
	"archive/zip"
	"bytes"
	"cmp"
	"context"
	"encoding/json"
	"errors"
	"fmt"
	"io"
	"os"
	"path"
	"strings"
	"time"

	"github.com/jmoiron/sqlx"

	"yellowparcel/core/job"
	"yellowparcel/core/plan"
)

// The bounds of what is read in: bytes of the zip, of one file in it, of all of them, and
// how many there are. What a hundred thousand jobs with all their history take is within.
const (
	MostZip      = 1 << 30
	mostEntry    = 4 << 20
	mostUnzipped = 16 << 30
	mostEntries  = 200_000
	mostStates   = 2000
	// mostCounted bounds places and versions: more than a program ever counts to, and far from where
	// counting on would fail.
	mostCounted = 1 << 40
)

// FileError says what is wrong with a file that is read in, and where in it.
type FileError struct {
	Where, Why string
}

func (e *FileError) Error() string {
	if e.Where == "" {
		return e.Why
	}
	return e.Where + ": " + e.Why
}

func wrongFile(where, why string, args ...any) error {
	return &FileError{where, fmt.Sprintf(why, args...)}
}

// zipIn is a file of everything that is read in. Its jobs are read one by one, as they are
// asked for.
type zipIn struct {
	about    about
	shop     json.RawMessage
	jobs     []*zip.File
	unzipped int64
}

// openZip opens a file of everything and reads what it says of itself.
func openZip(r io.ReaderAt, size int64) (*zipIn, error) {
	if size > MostZip {
		return nil, wrongFile("", "it is larger than %d MB", MostZip>>20)
	}
	z, err := zip.NewReader(r, size)
	if err != nil {
		return nil, wrongFile("", "it is not a zip file, or was cut off: choose a file that this program wrote")
	}
	if len(z.File) > mostEntries {
		return nil, wrongFile("", "there are more than %d files in it", mostEntries)
	}
	in := &zipIn{}
	for _, f := range z.File {
		switch name := path.Clean(f.Name); {
		case name == aboutFile:
			body, err := in.read(f)
			if err != nil {
				return nil, err
			}
			if err := json.Unmarshal(body, &in.about); err != nil {
				return nil, wrongFile(name, "it is no JSON that this program wrote")
			}
		case name == shopFile:
			body, err := in.read(f)
			if err != nil {
				return nil, err
			}
			if !json.Valid(body) {
				return nil, wrongFile(name, "it is no JSON")
			}
			in.shop = plain(compact(body))
		case path.Dir(name)+"/" == jobsDir && strings.HasSuffix(name, ".json"):
			in.jobs = append(in.jobs, f)
		}
		// What somebody added is none of ours.
	}
	if in.about.File != everythingFile {
		return nil, wrongFile(aboutFile, "it is missing or says something else: choose a file that this program wrote")
	}
	if in.about.Jobs != len(in.jobs) {
		return nil, wrongFile("", "it says that there are %d jobs in it, and there are %d", in.about.Jobs, len(in.jobs))
	}
	return in, formFits(in.about)
}

// read reads one file of a zip; what the zip says of its size is not relied on.
func (in *zipIn) read(f *zip.File) ([]byte, error) {
	r, err := f.Open()
	if err != nil {
		return nil, wrongFile(f.Name, "it cannot be read")
	}
	defer func() { _ = r.Close() }()
	body, err := io.ReadAll(io.LimitReader(r, mostEntry+1))
	if err != nil {
		return nil, wrongFile(f.Name, "it is damaged")
	}
	if in.unzipped += int64(len(body)); len(body) > mostEntry || in.unzipped > mostUnzipped {
		return nil, wrongFile(f.Name, "it is too large: a file may have %d MB, all of them %d MB", mostEntry>>20, mostUnzipped>>20)
	}
	return body, nil
}

// contents are what is in it; the first job that cannot be used ends them.
func (in *zipIn) contents() Contents {
	return Contents{Shop: in.shop, Jobs: func(yield func(KeptJob, error) bool) {
		ids := map[string]bool{}
		for _, f := range in.jobs {
			body, err := in.read(f)
			var j KeptJob
			if err == nil {
				j, err = readKept(f.Name, body)
			}
			if err == nil && ids[j.ID] {
				err = wrongFile(f.Name, "there are two jobs with the ID %s", j.ID)
			}
			ids[j.ID] = true
			if !yield(j, err) || err != nil {
				return
			}
		}
	}}
}

func formFits(of about) error {
	knows, err := knownForm()
	switch {
	case err != nil:
		return err
	case of.Form > knows:
		return wrongFile("", "it was written by a newer Yellow Parcel (its form is %d, this program knows %d): start the newer program", of.Form, knows)
	case of.Form < sealedSince:
		return wrongFile("", "it names no form that files ever had")
	}
	return nil
}

// readKept reads a job of a file.
func readKept(where string, body []byte) (j KeptJob, err error) {
	if err := json.Unmarshal(body, &j); err != nil {
		return j, wrongFile(where, "it is no job that this program wrote (%v)", err)
	}
	if !ValidID(j.ID) {
		return j, wrongFile(where, "“%.20s” is no ID of a job", j.ID)
	}
	var named struct {
		Name string `json:"name"`
	}
	if !isObject(j.Job) || json.Unmarshal(j.Job, &named) != nil {
		return j, wrongFile(where, "there is no job in it")
	}
	if j.Place < 0 || j.Place > mostCounted || j.Version < 0 || j.Version > mostCounted {
		return j, wrongFile(where, "its place or its version is no number that this program counts to")
	}
	for what, at := range map[string]*string{"created": &j.Created, "changed": &j.Changed, "removed": j.Removed, "archived": j.Archived} {
		if at == nil {
			continue
		}
		if _, err := time.Parse(time.RFC3339Nano, *at); err != nil {
			return j, wrongFile(where, "“%s” is no moment, as 2026-11-28T08:00:00Z", what)
		}
	}
	if len(j.History) > mostStates {
		return j, wrongFile(where, "its history has more than %d states", mostStates)
	}
	taken := map[int64]bool{}
	for i, h := range j.History {
		if _, err := time.Parse(time.RFC3339Nano, h.Changed); err != nil || h.Version <= 0 || h.Version > mostCounted || taken[h.Version] || !isObject(h.Job) {
			return j, wrongFile(where, "state %d of its history cannot be used", i+1)
		}
		taken[h.Version] = true
		j.History[i].Job = plain(compact(h.Job))
	}
	j.Job = plain(compact(j.Job))
	j.Name, j.Version, j.Body = job.Plain(named.Name), max(1, j.Version), string(j.Job)
	return j, nil
}

func isObject(body json.RawMessage) bool { return bytes.HasPrefix(bytes.TrimSpace(body), []byte("{")) }

// severalLines is the one text of a job that may have more than one line: a recipe as it was pasted.
const severalLines = "text"

// plain is a body whose texts hold nothing that cannot be seen; the very same where there is nothing
// of the kind.
func plain(body json.RawMessage) json.RawMessage {
	v, err := tree(body)
	if err != nil {
		return body
	}
	changed := false
	var clean func(v any, key string) any
	clean = func(v any, key string) any {
		switch v := v.(type) {
		case map[string]any:
			for k, inner := range v {
				v[k] = clean(inner, k)
			}
		case []any:
			for i, inner := range v {
				v[i] = clean(inner, key)
			}
		case string:
			if fresh := plainText(v, key); fresh != v {
				changed = true
				return fresh
			}
		}
		return v
	}
	v = clean(v, "")
	if !changed {
		return body
	}
	fresh, err := json.Marshal(v)
	if err != nil {
		return body
	}
	return fresh
}

func plainText(text, key string) string {
	if key != severalLines {
		return job.Plain(text)
	}
	lines := strings.Split(text, "\n")
	for i, line := range lines {
		lines[i] = job.Plain(line)
	}
	return strings.Join(lines, "\n")
}

// usable are contents without the jobs that could not be opened here: each number is bounded as in a job
// that is typed. What is left out is named in came, and what is here by its ID stays as it is.
func (c Contents) usable(shop job.Shop, came *Came) Contents {
	jobs := c.Jobs
	c.Jobs = func(yield func(KeptJob, error) bool) {
		for j, err := range jobs {
			if err == nil {
				if why := j.unusable(shop); why != "" {
					came.LeftOut = append(came.LeftOut, fmt.Sprintf("%s (%s)", cmp.Or(j.Name, j.ID), why))
					j.leftOut = true
				}
			}
			if !yield(j, err) || err != nil {
				return
			}
		}
	}
	return c
}

// unusable is why a job could not be opened in a shop; empty where it can be.
func (j KeptJob) unusable(shop job.Shop) string {
	read, err := j.Read()
	if err != nil {
		return "it is no job that can be read"
	}
	if problems := plan.Check(read, shop); len(problems) > 0 {
		return strings.TrimSuffix(problems[0].Path+": "+problems[0].Message, ".")
	}
	return ""
}

// Import reads a file of everything and takes it over, after a backup of what is here:
// everything as it is in the file, or only what is missing or older here. All of it is read
// and checked before anything is changed.
func (e Exchange) Import(ctx context.Context, r io.Reader, replace bool) (came Came, err error) {
	s := e.of
	if err := s.CheckPresent(); err != nil {
		return came, err
	}
	f, err := os.CreateTemp(s.place.dir, ".reading-")
	if err != nil {
		return came, trouble(err)
	}
	defer func() { err = errors.Join(err, f.Close(), os.Remove(f.Name())) }()
	size, err := io.Copy(f, io.LimitReader(r, MostZip+1))
	if err != nil {
		return came, trouble(err)
	}
	in, err := openZip(f, size)
	if err != nil {
		return came, err
	}
	from, err := s.place.openContents(ctx, in.about.Form, in.contents())
	if err != nil {
		return came, err
	}
	defer func() { err = errors.Join(err, from.close()) }()
	contents, err := contentsOf(ctx, from.db)
	if err != nil {
		return came, wrongFile(shopFile, "%v", err)
	}
	shop, err := e.shopOf(ctx, contents.Shop)
	if err != nil {
		return came, err
	}
	var left Came
	contents = contents.usable(shop, &left)
	defer func() { came.LeftOut = left.LeftOut }()
	if _, err := s.Backups().Make(ctx, BeforeImport); err != nil {
		return came, fmt.Errorf("nothing was read in, since no backup could be made of what is here now: %w", err)
	}
	if replace {
		return s.Replace(ctx, contents, ReadIn)
	}
	return s.Add(ctx, contents, ReadIn)
}

// shopOf is the shop that a file brings along, else the one that is here.
func (e Exchange) shopOf(ctx context.Context, body json.RawMessage) (shop job.Shop, err error) {
	s := e.of
	if body == nil {
		here, err := s.Shop(ctx)
		return here.Shop, err
	}
	if !isObject(body) || json.Unmarshal(body, &shop) != nil {
		return shop, wrongFile(shopFile, "there is no shelf in it")
	}
	if problems := shop.Check(); len(problems) > 0 {
		return shop, wrongFile(shopFile, "%s: %s", problems[0].Path, strings.TrimSuffix(problems[0].Message, "."))
	}
	return shop, nil
}

// ImportJob reads the file of one job. It is a new job here, also where there is one by its
// ID.
func (e Exchange) ImportJob(ctx context.Context, body []byte) (_ Job, err error) {
	s := e.of
	var f jobFile
	if err := json.Unmarshal(body, &f.about); err != nil || f.File != oneJobFile {
		return Job{}, wrongFile("", "it is not the file of a job: choose one that this program wrote")
	}
	if err := formFits(f.about); err != nil {
		return Job{}, err
	}
	if f.KeptJob, err = readKept("", body); err != nil {
		return Job{}, err
	}
	f.Removed, f.Archived, f.Place = nil, nil, 0
	from, err := s.place.openContents(ctx, f.Form, Contents{Jobs: listOf([]KeptJob{f.KeptJob})})
	if err != nil {
		return Job{}, err
	}
	defer func() { err = errors.Join(err, from.close()) }()
	j, err := keptJob(ctx, from.db, "id = ?", f.ID)
	if err != nil {
		return Job{}, err
	}
	shop, err := e.shopOf(ctx, nil)
	if err != nil && !errors.Is(err, ErrMissing) {
		return Job{}, err
	}
	if why := j.unusable(shop); why != "" {
		return Job{}, wrongFile("", "%s", why)
	}
	err = s.within(ctx, func(tx *sqlx.Tx) error {
		if _, err := rowOf(ctx, tx, j.ID); !errors.Is(err, ErrMissing) {
			j.ID = NewID()
		}
		if err := tx.GetContext(ctx, &j.Place, "SELECT coalesce(max(place), 0) + 1 FROM jobs"); err != nil {
			return err
		}
		j.Changed = s.stamp()
		return insertKept(ctx, tx, j, statesSealedSince)
	})
	if err != nil {
		return Job{}, err
	}
	return s.Job(ctx, j.ID)
}
