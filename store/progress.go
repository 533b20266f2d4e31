package store

import (
	"context"
	"database/sql"
	"errors"
)

// Progress is how far the maker is with a job at the bench: the step that lies open, from nought.
// It is no part of the job: a backup has it, a file of everything has not.
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
	if _, err := rowOf(ctx, s.aside, id); err != nil {
		return err
	}
	_, err := s.db.ExecContext(ctx, "INSERT INTO progress (job, step, changed) VALUES (?, ?, ?) ON CONFLICT (job) DO UPDATE SET step = excluded.step, changed = excluded.changed", id, step, s.stamp())
	return err
}
