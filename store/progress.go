package store

import (
	"context"
	"database/sql"
	"errors"

	"github.com/jmoiron/sqlx"
)

// Progress is how far the maker is with a job at the bench: the step that lies open, from nought.
// It is no part of the job: backups have it, and what is restored of them, a file of everything has not.
func Progress(ctx context.Context, s *Store, id string) (step int, err error) {
	if err := s.aside.GetContext(ctx, &step, "SELECT step FROM progress WHERE job = ?", id); err != nil && !errors.Is(err, sql.ErrNoRows) {
		return 0, err
	}
	return step, nil
}

// mostSteps is more than any worksheet has.
const mostSteps = 100_000

// ErrNoStep is a step that no worksheet has.
var ErrNoStep = errors.New("no worksheet has such a step")

// SetProgress keeps how far the maker is with a job, or is ErrMissing where there is none.
func SetProgress(ctx context.Context, s *Store, id string, step int) error {
	if step < 0 || step > mostSteps {
		return ErrNoStep
	}
	return s.within(ctx, func(tx *sqlx.Tx) error {
		if _, err := rowOf(ctx, tx, id); err != nil {
			return err
		}
		return setProgress(ctx, tx, id, step, s.stamp())
	})
}

func setProgress(ctx context.Context, tx sqlx.ExecerContext, id string, step int, changed string) error {
	_, err := tx.ExecContext(ctx, "INSERT INTO progress (job, step, changed) VALUES (?, ?, ?) ON CONFLICT (job) DO UPDATE SET step = excluded.step, changed = excluded.changed", id, step, changed)
	if err != nil {
		return err
	}
	_, err = tx.ExecContext(ctx, "UPDATE progress SET seal = "+progressSeal+" WHERE job = ?", id)
	return err
}
