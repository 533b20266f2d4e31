package store

import (
	"context"
	"database/sql"
	"errors"

	"github.com/jmoiron/sqlx"

	"yellowparcel/core/job"
)

// mostActs is how many acts are remembered: what many windows do in a day.
const mostActs = 5000

// doneAs is the version that an act led to, and whether it was done; one without a name never was.
func doneAs(ctx context.Context, q sqlx.QueryerContext, act string) (version int64, done bool, err error) {
	if act == "" {
		return 0, false, nil
	}
	err = sqlx.GetContext(ctx, q, &version, "SELECT version FROM acts WHERE name = ?", act)
	if errors.Is(err, sql.ErrNoRows) {
		return 0, false, nil
	}
	return version, err == nil, err
}

// remember notes what an act led to, in the transaction that does it; the oldest are forgotten.
func remember(ctx context.Context, tx sqlx.ExecerContext, act, of string, version int64, now string) error {
	if act == "" {
		return nil
	}
	if _, err := tx.ExecContext(ctx, "INSERT INTO acts (name, of, version, done) VALUES (?, ?, ?, ?)", act, of, version, now); err != nil {
		return err
	}
	_, err := tx.ExecContext(ctx, "DELETE FROM acts WHERE rowid <= (SELECT max(rowid) FROM acts) - ?", mostActs)
	return err
}

// Save is a job as a window wants it stored.
type Save struct {
	ID string
	// From is the version that it was changed from; 0 for a new job.
	From int64
	Job  job.Job
	Line Line
	// Act names the save: sent again, since its answer was lost, it is not done twice. After are saves
	// of the same window whose answers it never had: where they were done it goes on from them.
	Act   string
	After []string
}

// Save stores a job, new or changed. When the stored one has moved on otherwise than by the window's
// own saves it is left alone, and returned with ErrChanged.
func (s *Store) Save(ctx context.Context, save Save) (Job, error) {
	var result Job
	err := s.within(ctx, func(tx *sqlx.Tx) error {
		version, done, err := doneAs(ctx, tx, save.Act)
		if err != nil {
			return err
		}
		if done { // as it came of it then
			now, err := rowOf(ctx, tx, save.ID)
			result = Job{ID: save.ID, Version: version, Changed: now.Changed, Removed: now.Removed.Valid, Job: save.Job}
			return err
		}
		from := save.From
		for _, act := range save.After {
			version, done, err := doneAs(ctx, tx, act)
			if err != nil {
				return err
			}
			if done {
				from = max(from, version)
			}
		}
		if from == 0 {
			result, err = s.addNew(ctx, tx, save.ID, save.Job, save.Line)
		} else {
			result, err = s.changeIn(ctx, tx, save.ID, from, s.saving(ctx, save.ID, save.Job, save.Line))
		}
		if err != nil {
			return err
		}
		return remember(ctx, tx, save.Act, save.ID, result.Version, s.stamp())
	})
	return result, err
}
