package store

import (
	"context"
	"crypto/rand"
	"database/sql"
	"encoding/hex"
	"encoding/json"
	"errors"
	"fmt"
	"reflect"

	"github.com/jmoiron/sqlx"

	"yellowparcel/core/job"
)

// Job is a stored job with its version.
type Job struct {
	ID      string
	Version int64
	Changed string
	Removed bool
	Job     job.Job
}

type jobRow struct {
	ID      string         `db:"id"`
	Version int64          `db:"version"`
	Changed string         `db:"changed"`
	Removed sql.NullString `db:"removed"`
	Body    string         `db:"body"`
}

func (r jobRow) job() (Job, error) {
	j := Job{ID: r.ID, Version: r.Version, Changed: r.Changed, Removed: r.Removed.Valid}
	if err := json.Unmarshal([]byte(r.Body), &j.Job); err != nil {
		return j, ErrUnreadable{r.ID, err}
	}
	return j, nil
}

// Job returns one job, removed or not, or ErrMissing; one that cannot be read comes
// without its body, with ErrUnreadable.
func (s *Store) Job(ctx context.Context, id string) (Job, error) {
	return readJob(ctx, s.db, id)
}

func readJob(ctx context.Context, q sqlx.QueryerContext, id string) (Job, error) {
	r, err := rowOf(ctx, q, id)
	if err != nil {
		return Job{}, err
	}
	return r.job()
}

// rowOf is the row of a job, or ErrMissing.
func rowOf(ctx context.Context, q sqlx.QueryerContext, id string) (r jobRow, err error) {
	err = sqlx.GetContext(ctx, q, &r, "SELECT id, version, changed, removed, body FROM jobs WHERE id = ?", id)
	return r, missing(err)
}

// missing is ErrMissing where a query found no row.
func missing(err error) error {
	if errors.Is(err, sql.ErrNoRows) {
		return ErrMissing
	}
	return err
}

// Version is the version of a job, or ErrMissing.
func (s *Store) Version(ctx context.Context, id string) (version int64, err error) {
	err = s.db.GetContext(ctx, &version, "SELECT version FROM jobs WHERE id = ?", id)
	return version, missing(err)
}

// ErrUnreadable says that a job is stored and kept, but cannot be read.
type ErrUnreadable struct {
	ID  string
	Why error
}

func (e ErrUnreadable) Error() string {
	return fmt.Sprintf("the stored job %s cannot be read: %v", e.ID, e.Why)
}

// Unwrap is why.
func (e ErrUnreadable) Unwrap() error { return e.Why }

// NewID is an ID that no job has yet.
func NewID() string {
	raw := make([]byte, 8)
	_, _ = rand.Read(raw) // never fails
	return hex.EncodeToString(raw)
}

// ValidID reports whether an ID looks like one of NewID.
func ValidID(id string) bool {
	raw, err := hex.DecodeString(id)
	return err == nil && len(raw) == 8
}

// AddJob stores a new job, with its line, at the end of the list, under an ID of
// NewID. When there is a job under that ID it is left alone, and returned with
// ErrChanged.
func (s *Store) AddJob(ctx context.Context, id string, j job.Job, line Line) (Job, error) {
	var added Job
	err := s.within(ctx, func(tx *sqlx.Tx) (err error) {
		added, err = s.addNew(ctx, tx, id, j, line)
		return err
	})
	return added, err
}

// addNew is AddJob in a transaction.
func (s *Store) addNew(ctx context.Context, tx *sqlx.Tx, id string, j job.Job, line Line) (Job, error) {
	now, err := readJob(ctx, tx, id)
	if err == nil {
		return now, ErrChanged
	}
	if !errors.Is(err, ErrMissing) {
		return Job{}, err
	}
	return s.addJob(ctx, tx, id, j, line)
}

func (s *Store) addJob(ctx context.Context, tx *sqlx.Tx, id string, j job.Job, line Line) (Job, error) {
	body, err := json.Marshal(j)
	if err != nil {
		return Job{}, err
	}
	shown, err := json.Marshal(line.Line)
	if err != nil {
		return Job{}, err
	}
	added := Job{ID: id, Version: 1, Changed: s.stamp(), Job: j}
	_, err = tx.ExecContext(ctx, `INSERT INTO jobs (id, place, version, name, body, created, changed, line, line_of)
		VALUES (?, (SELECT coalesce(max(place), 0) + 1 FROM jobs), 1, ?, ?, ?, ?, ?, ?)`,
		added.ID, j.Name, string(body), added.Changed, added.Changed, string(shown), line.Of)
	if err != nil {
		return added, err
	}
	if err := s.note(ctx, tx, id, jobRow{}, Began); err != nil {
		return added, err
	}
	return added, sealJob(ctx, tx, id)
}

// SaveJob stores a job that was changed from the given version, with its line.
// When the stored one has another version it is left alone, and returned with
// ErrChanged. What the stored one holds and this program does not know is kept.
func (s *Store) SaveJob(ctx context.Context, id string, from int64, j job.Job, line Line) (Job, error) {
	return s.change(ctx, id, from, s.saving(ctx, id, j, line))
}

// saving is the update that stores a job with its line.
func (s *Store) saving(ctx context.Context, id string, j job.Job, line Line) func(*sqlx.Tx) error {
	return func(tx *sqlx.Tx) error {
		body, err := json.Marshal(j)
		if err != nil {
			return err
		}
		shown, err := json.Marshal(line.Line)
		if err != nil {
			return err
		}
		stored, err := rowOf(ctx, tx, id)
		if err != nil {
			return err
		}
		body = keepUnknown([]byte(stored.Body), body, reflect.TypeFor[job.Job]())
		_, err = tx.ExecContext(ctx, "UPDATE jobs SET name = ?, body = ?, version = version + 1, changed = ?, line = ?, line_of = ? WHERE id = ?", j.Name, string(body), s.stamp(), string(shown), line.Of, id)
		if err != nil || stored.Body == string(body) {
			return err
		}
		return s.note(ctx, tx, id, stored, Edited)
	}
}

// SetRemoved takes a job off the list, or puts it back; the job itself stays.
func (s *Store) SetRemoved(ctx context.Context, id string, from int64, removed bool) (Job, error) {
	return s.change(ctx, id, from, func(tx *sqlx.Tx) error {
		_, err := tx.ExecContext(ctx, "UPDATE jobs SET removed = ?, version = version + 1, changed = ? WHERE id = ?", s.stampIf(removed), s.stamp(), id)
		return err
	})
}

// SetArchived puts a job that is done among the archived ones, or back; when it was last
// changed stays, since nothing of it is.
func (s *Store) SetArchived(ctx context.Context, id string, from int64, archived bool) (Job, error) {
	return s.change(ctx, id, from, func(tx *sqlx.Tx) error {
		_, err := tx.ExecContext(ctx, "UPDATE jobs SET archived = ?, version = version + 1 WHERE id = ?", s.stampIf(archived), id)
		return err
	})
}

// stampIf is now, or nothing.
func (s *Store) stampIf(set bool) any {
	if set {
		return s.stamp()
	}
	return nil
}

// Rename gives a job another name; nothing else of it changes.
func (s *Store) Rename(ctx context.Context, id string, from int64, name string) (Job, error) {
	return s.change(ctx, id, from, func(tx *sqlx.Tx) error {
		stored, err := rowOf(ctx, tx, id)
		if err != nil {
			return err
		}
		_, err = tx.ExecContext(ctx, "UPDATE jobs SET name = ?, body = json_set(body, '$.name', ?), version = version + 1, changed = ? WHERE id = ?", name, name, s.stamp(), id)
		if err != nil {
			return err
		}
		return s.note(ctx, tx, id, stored, Edited)
	})
}

// change runs an update of one job if its version is still the given one, and
// returns the job as it is then.
func (s *Store) change(ctx context.Context, id string, from int64, update func(*sqlx.Tx) error) (result Job, err error) {
	err = s.within(ctx, func(tx *sqlx.Tx) (err error) {
		result, err = s.changeIn(ctx, tx, id, from, update)
		return err
	})
	return result, err
}

// changeIn is change in a transaction.
func (s *Store) changeIn(ctx context.Context, tx *sqlx.Tx, id string, from int64, update func(*sqlx.Tx) error) (result Job, err error) {
	// A job that cannot be read may be put away, and put back.
	read := func() (err error) {
		result, err = readJob(ctx, tx, id)
		if unreadable := (ErrUnreadable{}); errors.As(err, &unreadable) {
			return nil
		}
		return err
	}
	if err := read(); err != nil {
		return result, err
	}
	if result.Version != from {
		return result, ErrChanged
	}
	if err := update(tx); err != nil {
		return result, err
	}
	if err := sealJob(ctx, tx, id); err != nil {
		return result, err
	}
	return result, read()
}
