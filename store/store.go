// Package store keeps jobs and the shop in one SQLite file, so that nothing is
// lost by a crash, a bad input or an upgrade.
//
// The file is in WAL mode with full syncs: what a call has returned from is on
// the disk. Every row carries a version; a save names the version it was made
// from and is refused with ErrChanged when the row has moved on. Migrations run
// forward only, after a copy of the file has been put beside it.
package store

import (
	"context"
	"database/sql"
	"embed"
	"errors"
	"fmt"
	"io/fs"
	"net/url"
	"os"
	"path/filepath"
	"sync/atomic"
	"time"

	"github.com/jmoiron/sqlx"
	"github.com/pressly/goose/v3"
	_ "modernc.org/sqlite" // the driver "sqlite"
)

//go:embed migrations/*.sql
var migrations embed.FS

// fileName is the database's name in the data directory.
const fileName = "yellow-parcel.db"

// What a call may be refused for.
var (
	// ErrMissing says that there is no such row.
	ErrMissing = errors.New("there is no such job")
	// ErrChanged says that the row was saved by somebody else in between.
	ErrChanged = errors.New("changed in another window")
)

// Store is an open database.
type Store struct {
	db *sqlx.DB
	// shop is the shop as it was read last.
	shop atomic.Pointer[Shop]
	// now is the clock; tests set it.
	now func() time.Time
}

// Open opens the database in the directory, making both when they are missing,
// and brings it up to this program's version. Its errors are sentences for the
// person who started the program.
func Open(dir string) (*Store, error) {
	sub, err := fs.Sub(migrations, "migrations")
	if err != nil {
		return nil, err
	}
	return openWith(dir, sub)
}

func openWith(dir string, steps fs.FS) (*Store, error) {
	if err := writable(dir); err != nil {
		return nil, err
	}
	path := filepath.Join(dir, fileName)
	db, err := sqlx.Open("sqlite", "file:"+url.PathEscape(path)+
		"?_pragma=journal_mode(WAL)&_pragma=synchronous(FULL)&_pragma=foreign_keys(1)&_pragma=busy_timeout(5000)&_txlock=immediate")
	if err != nil {
		return nil, err
	}
	// One connection: SQLite writes one at a time, and reads here are tiny.
	db.SetMaxOpenConns(1)
	if err := migrate(db, path, steps); err != nil {
		return nil, errors.Join(err, db.Close())
	}
	return &Store{db: db, now: time.Now}, nil
}

// Close closes the database.
func (s *Store) Close() error { return s.db.Close() }

// writable makes the directory and proves that a file can be written in it.
func writable(dir string) error {
	advice := "choose another directory with --data, or change its permissions"
	if err := os.MkdirAll(dir, 0o700); err != nil {
		return fmt.Errorf("the data directory %s cannot be made: %w; %s", dir, err, advice)
	}
	probe, err := os.CreateTemp(dir, ".write-test-*")
	if err != nil {
		return fmt.Errorf("the data directory %s cannot be written: %w; %s", dir, err, advice)
	}
	return errors.Join(probe.Close(), os.Remove(probe.Name()))
}

func migrate(db *sqlx.DB, path string, steps fs.FS) error {
	provider, err := goose.NewProvider(goose.DialectSQLite3, db.DB, steps)
	if err != nil {
		return err
	}
	ctx := context.Background()
	has, err := provider.GetDBVersion(ctx)
	if err != nil {
		return fmt.Errorf("the database %s cannot be read: %w; if it is damaged, move it aside and start again, or put back a copy from beside it", path, err)
	}
	sources := provider.ListSources()
	knows := sources[len(sources)-1].Version
	if has > knows {
		return fmt.Errorf("the database %s was made by a newer Yellow Parcel (its form is %d, this program knows %d): start the newer program, or choose another directory with --data; nothing in it was changed", path, has, knows)
	}
	if has > 0 && has < knows {
		if err := copyAside(ctx, db, path, has); err != nil {
			return err
		}
	}
	if _, err := provider.Up(ctx); err != nil {
		return fmt.Errorf("the database %s could not be brought up to date: %w; the copy made before is beside it", path, err)
	}
	return nil
}

// copyAside writes the whole database, as it is now, to a file beside it.
func copyAside(ctx context.Context, db *sqlx.DB, path string, version int64) error {
	copyPath := fmt.Sprintf("%s.before-upgrade-from-%d", path, version)
	if _, err := os.Stat(copyPath); err == nil {
		return nil // an earlier try made it; never write over a copy
	}
	if _, err := db.ExecContext(ctx, "VACUUM INTO ?", copyPath); err != nil {
		return fmt.Errorf("no copy of the database could be made at %s before the upgrade: %w; nothing was changed", copyPath, err)
	}
	return nil
}

// within runs one act in a transaction.
func (s *Store) within(ctx context.Context, act func(*sqlx.Tx) error) error {
	tx, err := s.db.BeginTxx(ctx, nil)
	if err != nil {
		return err
	}
	if err := act(tx); err != nil {
		return errors.Join(err, ignoreDone(tx.Rollback()))
	}
	return tx.Commit()
}

func ignoreDone(err error) error {
	if errors.Is(err, sql.ErrTxDone) {
		return nil
	}
	return err
}

// stamp is an instant as it is stored.
func (s *Store) stamp() string { return s.now().UTC().Format(time.RFC3339Nano) }
