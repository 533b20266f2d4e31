package store

import (
	"context"
	"errors"
	"fmt"
	"io/fs"
	"os"
	"time"

	"github.com/jmoiron/sqlx"
	"github.com/pressly/goose/v3"
)

// sealedSince is the form from which on rows have seals and jobs a history.
const sealedSince = 7

// statesSealedSince is the form from which on states of a history and progress have seals, too.
const statesSealedSince = 9

// Open opens the database in the directory, making both when they are missing, reads it
// through once, and brings it up to this program's form, after a backup. Its errors are
// sentences for the person who started the program. What is lost or damaged is a *Damage:
// nothing was changed, and it says what can be done; until it is closed the directory
// is kept for it.
func Open(dir string) (*Store, error) {
	steps, err := shipped()
	if err != nil {
		return nil, err
	}
	return openWith(dir, steps)
}

// ErrNewer says that a database is of a form that this program does not know yet.
var ErrNewer = errors.New("was made by a newer Yellow Parcel")

// shipped are the migrations of this program.
func shipped() (fs.FS, error) { return fs.Sub(migrations, "migrations") }

func openWith(dir string, steps fs.FS) (*Store, error) {
	p, err := take(dir)
	if err != nil {
		return nil, err
	}
	s, err := openAt(p, steps)
	if damage := (*Damage)(nil); err != nil && !errors.As(err, &damage) {
		return nil, errors.Join(err, p.leave())
	}
	return s, err
}

// openAt opens the database of a directory that this program has taken.
func openAt(p *place, steps fs.FS) (*Store, error) {
	if err := p.finishRepair(); err != nil {
		return nil, err
	}
	info, err := os.Stat(p.db())
	switch {
	case errors.Is(err, fs.ErrNotExist), err == nil && info.Size() == 0:
		if p.hadData() {
			return nil, p.lost(steps, info != nil)
		}
		f, err := os.OpenFile(p.db(), os.O_CREATE|os.O_RDWR, 0o600)
		if err != nil {
			return nil, inDir(p.dir, "cannot be written", err)
		}
		if err := f.Close(); err != nil {
			return nil, err
		}
	case err != nil:
		return nil, inDir(p.dir, "cannot be read", err)
	}
	if err := checkLog(p.db() + "-wal"); errors.Is(err, ErrDamaged) {
		return nil, p.damaged(steps, err)
	} else if err != nil {
		return nil, inDir(p.dir, "cannot be read", err)
	}
	db, err := connect(p.db(), forWriting)
	if err != nil {
		return nil, err
	}
	aside, err := connect(p.db(), "")
	if err != nil {
		return nil, errors.Join(err, db.Close())
	}
	aside.SetMaxOpenConns(2)
	s := &Store{db: db, aside: aside, place: p, steps: steps, now: time.Now, written: make(chan struct{}, 1), closing: make(chan struct{}), settled: make(chan struct{})}
	if err := p.watch(); err != nil {
		return nil, errors.Join(err, aside.Close(), db.Close())
	}
	if err := s.bring(context.Background()); err != nil {
		err = errors.Join(err, aside.Close(), db.Close())
		if errors.Is(err, ErrDamaged) {
			return nil, p.damaged(steps, err)
		}
		return nil, err
	}
	go s.settle()
	return s, nil
}

// bring reads the database through and brings it up to the program's form.
func (s *Store) bring(ctx context.Context) error {
	path := s.place.db()
	failed := func(what string, err error) error {
		err = trouble(err)
		switch {
		case errors.Is(err, ErrDamaged):
			return err
		case errors.Is(err, ErrFull):
			return fmt.Errorf("the database %s %s: %w; make room on the disk and start again: nothing in it was changed", path, what, err)
		}
		return fmt.Errorf("the database %s %s: %w", path, what, err)
	}
	if err := check(ctx, s.db, 0); err != nil {
		return failed("cannot be read", err)
	}
	has, knows, err := forms(ctx, s.db, s.steps)
	if err != nil {
		return failed("cannot be read", unread(err))
	}
	if has > knows {
		return fmt.Errorf("the database %s %w (its form is %d, this program knows %d): start the newer program, or choose another directory with --data; nothing in it was changed", path, ErrNewer, has, knows)
	}
	if has >= sealedSince {
		if err := check(ctx, s.db, has); err != nil {
			return failed("cannot be read", err)
		}
	}
	if has > 0 && has < knows {
		if _, err := s.Backups().Make(ctx, BeforeUpgrade); err != nil {
			return fmt.Errorf("no backup of the database could be made before the upgrade: %w; nothing was changed", err)
		}
	}
	if err := migrate(ctx, s.db, s.steps); err != nil {
		return failed("could not be brought up to date", err)
	}
	if err := sealRest(ctx, s.db, knows); err != nil {
		return failed("could not be brought up to date", err)
	}
	if err := s.place.own(); err != nil {
		return err
	}
	// A database with nothing in it was never begun, or is not the one that was.
	switch _, err := s.Shop(ctx); {
	case errors.Is(err, ErrMissing):
		var jobs int
		if err := s.db.GetContext(ctx, &jobs, "SELECT count(*) FROM jobs"); err != nil {
			return failed("cannot be read", err)
		}
		if s.place.begun() && has > 0 && jobs == 0 {
			return fmt.Errorf("%w (there is nothing in it)", ErrDamaged)
		}
	case err != nil:
		return failed("cannot be read", fmt.Errorf("%w (%w)", ErrDamaged, err))
	default:
		if err := s.place.begin(); err != nil {
			return inDir(s.place.dir, "cannot be written", err)
		}
	}
	_, err = s.db.ExecContext(ctx, "PRAGMA wal_checkpoint(PASSIVE)")
	return trouble(err)
}

// forms are the form that a database has and the one that the program knows.
func forms(ctx context.Context, db *sqlx.DB, steps fs.FS) (has, knows int64, err error) {
	provider, err := goose.NewProvider(goose.DialectSQLite3, db.DB, steps)
	if err != nil {
		return 0, 0, err
	}
	if has, err = provider.GetDBVersion(ctx); err != nil {
		return 0, 0, err
	}
	sources := provider.ListSources()
	return has, sources[len(sources)-1].Version, nil
}

// migrate brings a database up to the newest form.
func migrate(ctx context.Context, db *sqlx.DB, steps fs.FS) error {
	provider, err := goose.NewProvider(goose.DialectSQLite3, db.DB, steps)
	if err == nil {
		_, err = provider.Up(ctx)
	}
	return err
}
