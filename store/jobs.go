package store

import (
	"context"
	"crypto/rand"
	"database/sql"
	"encoding/hex"
	"encoding/json"
	"errors"
	"fmt"

	"github.com/jmoiron/sqlx"

	"yellowparcel/core/plan"
)

// Job is a stored job with its version.
type Job struct {
	ID      string
	Version int64
	Changed string
	Removed bool
	Job     plan.Job
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
		return Job{}, fmt.Errorf("the stored job %s cannot be read: %w", r.ID, err)
	}
	return j, nil
}

// Jobs lists the jobs that are not removed, in their order.
func (s *Store) Jobs(ctx context.Context) ([]Job, error) {
	var rows []jobRow
	if err := s.db.SelectContext(ctx, &rows, "SELECT id, version, changed, removed, body FROM jobs WHERE removed IS NULL ORDER BY place"); err != nil {
		return nil, err
	}
	list := make([]Job, len(rows))
	for i, r := range rows {
		var err error
		if list[i], err = r.job(); err != nil {
			return nil, err
		}
	}
	return list, nil
}

// Job returns one job, removed or not, or ErrMissing.
func (s *Store) Job(ctx context.Context, id string) (Job, error) {
	var r jobRow
	err := s.db.GetContext(ctx, &r, "SELECT id, version, changed, removed, body FROM jobs WHERE id = ?", id)
	if errors.Is(err, sql.ErrNoRows) {
		return Job{}, ErrMissing
	}
	if err != nil {
		return Job{}, err
	}
	return r.job()
}

// AddJob stores a new job at the end of the list.
func (s *Store) AddJob(ctx context.Context, job plan.Job) (Job, error) {
	return s.addJob(ctx, s.db, job)
}

func (s *Store) addJob(ctx context.Context, into sqlx.ExecerContext, job plan.Job) (Job, error) {
	body, err := json.Marshal(job)
	if err != nil {
		return Job{}, err
	}
	raw := make([]byte, 8)
	_, _ = rand.Read(raw) // never fails
	added := Job{ID: hex.EncodeToString(raw), Version: 1, Changed: s.stamp(), Job: job}
	_, err = into.ExecContext(ctx, `INSERT INTO jobs (id, place, version, name, body, created, changed)
		VALUES (?, (SELECT coalesce(max(place), 0) + 1 FROM jobs), 1, ?, ?, ?, ?)`,
		added.ID, job.Name, string(body), added.Changed, added.Changed)
	return added, err
}

// SaveJob stores a job that was changed from the given version. When the stored
// one has another version it is left alone, and returned with ErrChanged.
func (s *Store) SaveJob(ctx context.Context, id string, from int64, job plan.Job) (Job, error) {
	body, err := json.Marshal(job)
	if err != nil {
		return Job{}, err
	}
	return s.change(ctx, id, from, func(tx *sqlx.Tx) error {
		_, err := tx.ExecContext(ctx, "UPDATE jobs SET name = ?, body = ?, version = version + 1, changed = ? WHERE id = ?", job.Name, string(body), s.stamp(), id)
		return err
	})
}

// SetRemoved takes a job off the list, or puts it back; the job itself stays.
func (s *Store) SetRemoved(ctx context.Context, id string, from int64, removed bool) (Job, error) {
	var when any
	if removed {
		when = s.stamp()
	}
	return s.change(ctx, id, from, func(tx *sqlx.Tx) error {
		_, err := tx.ExecContext(ctx, "UPDATE jobs SET removed = ?, version = version + 1, changed = ? WHERE id = ?", when, s.stamp(), id)
		return err
	})
}

// change runs an update of one job if its version is still the given one, and
// returns the job as it is then.
func (s *Store) change(ctx context.Context, id string, from int64, update func(*sqlx.Tx) error) (Job, error) {
	var result Job
	err := s.within(ctx, func(tx *sqlx.Tx) error {
		read := func() error {
			var r jobRow
			err := tx.GetContext(ctx, &r, "SELECT id, version, changed, removed, body FROM jobs WHERE id = ?", id)
			if errors.Is(err, sql.ErrNoRows) {
				return ErrMissing
			}
			if err == nil {
				result, err = r.job()
			}
			return err
		}
		if err := read(); err != nil {
			return err
		}
		if result.Version != from {
			return ErrChanged
		}
		if err := update(tx); err != nil {
			return err
		}
		return read()
	})
	return result, err
}
