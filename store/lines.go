package store

import (
	"context"
	"encoding/json"
	"errors"

	"github.com/jmoiron/sqlx"

	"yellowparcel/core/plan"
)

// Line is a job's line in the list as it is stored beside the job, and what it was
// made of: another program or another shop may make another line.
type Line struct {
	Of   string
	Line plan.JobLine
}

// ListedJob is a job as the list needs it: without the job itself.
type ListedJob struct {
	ID      string
	Version int64
	Name    string
	Changed string
	// Removed is when it was removed; empty where it is not.
	Removed string
	Line
}

type lineRow struct {
	ID      string `db:"id"`
	Version int64  `db:"version"`
	Name    string `db:"name"`
	Changed string `db:"changed"`
	Line    string `db:"line"`
	LineOf  string `db:"line_of"`
	Removed string `db:"removed"`
}

// Shelved is which jobs are listed.
type Shelved string

// Which jobs.
const (
	InHand   Shelved = "in hand"  // neither archived nor removed
	Archived Shelved = "archived" // done, and kept
	Removed  Shelved = "removed"  // they can be restored
)

// listed are the conditions of the lists.
var listed = map[Shelved]string{
	InHand: "removed IS NULL AND archived IS NULL", Archived: "removed IS NULL AND archived IS NOT NULL", Removed: "removed IS NOT NULL",
}

// List returns the line of every job of a list, in their order. A line that cannot be read
// is an empty one, made of nothing.
func (s *Store) List(ctx context.Context, which Shelved) ([]ListedJob, error) {
	where, ok := listed[which]
	if !ok {
		return nil, ErrMissing
	}
	var rows []lineRow
	if err := s.db.SelectContext(ctx, &rows, "SELECT id, version, name, changed, line, line_of, coalesce(removed, '') AS removed FROM jobs WHERE "+where+" ORDER BY place"); err != nil {
		return nil, err
	}
	list := make([]ListedJob, len(rows))
	for i, r := range rows {
		list[i] = ListedJob{ID: r.ID, Version: r.Version, Name: r.Name, Changed: r.Changed, Removed: r.Removed, Line: Line{Of: r.LineOf}}
		if json.Unmarshal([]byte(r.Line), &list[i].Line.Line) != nil {
			list[i].Line = Line{}
		}
	}
	return list, nil
}

// StaleLines are the IDs of the jobs whose line is made of something else.
func (s *Store) StaleLines(ctx context.Context, of string) (ids []string, err error) {
	err = s.db.SelectContext(ctx, &ids, "SELECT id FROM jobs WHERE line_of <> ? ORDER BY removed IS NOT NULL, archived IS NOT NULL, place", of)
	return ids, err
}

// SetLine stores the line of a job as it is at a version; when the job has moved
// on it has a line of its own already.
func (s *Store) SetLine(ctx context.Context, id string, version int64, line Line) error {
	body, err := json.Marshal(line.Line)
	if err != nil {
		return err
	}
	return s.within(ctx, func(tx *sqlx.Tx) error {
		_, err := tx.ExecContext(ctx, "UPDATE jobs SET line = ?, line_of = ? WHERE id = ? AND version = ?", string(body), line.Of, id, version)
		return err
	})
}

// EachJob hands over every job that is not removed, in their order, until it is told to
// stop; one that cannot be read is left out.
func (s *Store) EachJob(ctx context.Context, each func(Job) (more bool)) error {
	rows, err := s.db.QueryxContext(ctx, "SELECT id, version, changed, removed, body FROM jobs WHERE removed IS NULL ORDER BY place")
	if err != nil {
		return err
	}
	for rows.Next() {
		var r jobRow
		if err := rows.StructScan(&r); err != nil {
			return errors.Join(err, rows.Close())
		}
		if j, err := r.job(); err == nil && !each(j) {
			break
		}
	}
	return errors.Join(rows.Err(), rows.Close())
}
