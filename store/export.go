package store

import (
	"archive/zip"
	"bytes"
	"context"
	"encoding/json"
	"io"
	"os"
	"time"
)

// The open file of everything is a zip of JSON: about.json, shop.json, and a file for each
// job with its history. A job alone is one of those files.
const (
	aboutFile = "about.json"
	shopFile  = "shop.json"
	jobsDir   = "jobs/"
)

// The kinds of files, as they say themselves.
const (
	everythingFile = "everything"
	oneJobFile     = "job"
)

// about says what a file is.
type about struct {
	// File is the kind, of Yellow Parcel.
	File string `json:"yellowParcel"`
	// Form is that of the database it comes from: an older one is brought up to date when
	// it is read.
	Form int64  `json:"form"`
	Made string `json:"made,omitempty"`
	Jobs int    `json:"jobs,omitempty"`
}

// jobFile is a job in a file of its own.
type jobFile struct {
	about
	KeptJob
}

// Exchange is what goes out of a store as open files, and comes in.
type Exchange struct{ of *Store }

// Exchange is that of the store.
func (s *Store) Exchange() Exchange { return Exchange{s} }

// Export writes everything as one open file: a zip of JSON.
func (e Exchange) Export(ctx context.Context, w io.Writer) error {
	s := e.of
	form, err := knownForm()
	if err != nil {
		return err
	}
	// From one moment, while writers go on.
	from, err := s.place.openCopyOf(ctx, s.db)
	if err != nil {
		return err
	}
	defer func() { _ = from.close() }()
	contents, err := contentsOf(ctx, from.db)
	if err != nil {
		return err
	}
	out := zip.NewWriter(w)
	put := func(name string, v any) error {
		// Written without a time of its own: the same contents are the same file.
		f, err := out.CreateHeader(&zip.FileHeader{Name: name, Method: zip.Deflate})
		if err != nil {
			return err
		}
		return write(f, v)
	}
	of := about{File: everythingFile, Form: form, Made: s.now().UTC().Format(time.RFC3339)}
	if err := from.db.GetContext(ctx, &of.Jobs, "SELECT count(*) FROM jobs"); err != nil {
		return err
	}
	if err := put(aboutFile, of); err != nil {
		return err
	}
	if contents.Shop != nil {
		if err := put(shopFile, contents.Shop); err != nil {
			return err
		}
	}
	for j, err := range contents.Jobs {
		if err != nil {
			return err
		}
		if err := put(jobsDir+j.ID+".json", j); err != nil {
			return err
		}
	}
	return out.Close()
}

// ExportFile is Export into a file that goes when it is closed: beside the data, or where there is no
// room in the temporary directory.
func (e Exchange) ExportFile(ctx context.Context) (f *os.File, err error) {
	s := e.of
	for _, dir := range []string{s.place.dir, os.TempDir()} {
		if f, err = os.CreateTemp(dir, ".writing-"); err != nil {
			continue
		}
		_ = os.Remove(f.Name()) // it stays for as long as it is open
		if err = e.Export(ctx, f); err == nil {
			if _, err = f.Seek(0, io.SeekStart); err == nil {
				return f, nil
			}
		}
		_ = f.Close()
	}
	return nil, trouble(err)
}

// write writes a value as JSON that people can read, with every body as it is stored.
func write(w io.Writer, v any) error {
	out := json.NewEncoder(w)
	out.SetEscapeHTML(false)
	out.SetIndent("", " ")
	return out.Encode(v)
}

// ExportJob is one job as a file of its own: JSON, with its history.
func (e Exchange) ExportJob(ctx context.Context, id string) ([]byte, error) {
	s := e.of
	j, err := keptJob(ctx, s.db, "id = ?", id)
	if err != nil {
		return nil, missing(err)
	}
	form, err := knownForm()
	if err != nil {
		return nil, err
	}
	var out bytes.Buffer
	err = write(&out, jobFile{about{File: oneJobFile, Form: form}, j})
	return out.Bytes(), err
}

// compact is JSON without its spaces, as bodies are stored.
func compact(body []byte) json.RawMessage {
	var out bytes.Buffer
	if err := json.Compact(&out, body); err != nil {
		return body
	}
	return out.Bytes()
}
