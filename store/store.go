// Package store keeps jobs and the shop in one SQLite file, so that nothing is
// lost by a crash, a bad input or an upgrade.
//
// The file is in WAL mode with full syncs: what a call has returned from is on
// the disk. Every row carries a version; a save names the version it was made
// from and is refused with ErrChanged when the row has moved on. Every row
// carries a seal too, so that damage is noticed at the next start; what then may
// be done is Damage's to say. Migrations run forward only, after a backup.
// docs/data.md says what is promised, and which test shows it.
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
	"sync"
	"sync/atomic"
	"time"

	"github.com/jmoiron/sqlx"
)

//go:embed migrations/*.sql
var migrations embed.FS

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
	// aside reads, and settles what was written, while an act waits for the disk.
	aside *sqlx.DB
	place *place
	steps fs.FS
	// shop is the shop as it was read last.
	shop atomic.Pointer[Shop]
	// now is the clock; tests set it.
	now func() time.Time
	// seen are backups that were looked into, by their names and sizes.
	seen sync.Map
	// restored are backups that were restored while the program runs, by their names.
	restored sync.Map

	written chan struct{} // something was
	closing chan struct{}
	settled chan struct{}
	once    sync.Once
}

// source is how SQLite is asked to open a file.
func source(path, more string) string {
	return "file:" + url.PathEscape(path) + "?_pragma=busy_timeout(5000)&_pragma=foreign_keys(1)" + more
}

// forWriting is how the database itself is opened.
const forWriting = "&_pragma=journal_mode(WAL)&_pragma=synchronous(FULL)&_txlock=immediate"

// connect opens a database file on one connection: SQLite writes one at a time, and reads
// here are tiny.
func connect(path, more string) (*sqlx.DB, error) {
	db, err := sqlx.Open("sqlite", source(path, more))
	if err == nil {
		db.SetMaxOpenConns(1)
	}
	return db, err
}

// mustExist opens a database that is there, and makes none.
const mustExist = "&mode=rw"

// CheckPresent refuses with ErrGone where the database is not any more where it was opened.
func (s *Store) CheckPresent() error { return s.place.there() }

// Close closes the database; a second time it does nothing. Where its directory is gone what
// it holds is written into a file beside where that was, and the error says where.
func (s *Store) Close() (err error) {
	s.once.Do(func() {
		close(s.closing)
		<-s.settled
		if errors.Is(s.CheckPresent(), ErrGone) {
			defer func(told error) { err = errors.Join(told, err) }(s.rescue())
		}
		err = errors.Join(s.aside.Close(), s.db.Close(), s.place.leave())
	})
	return err
}

// rescue writes everything into a file outside the directory, and says where as an error.
func (s *Store) rescue() error {
	name := filepath.Base(s.place.dir) + "-rescued-" + s.now().UTC().Format(backupStamp) + ".db"
	for _, dir := range []string{filepath.Dir(s.place.dir), os.TempDir()} {
		path := filepath.Join(dir, name)
		if _, err := s.db.Exec("VACUUM INTO ?", path); err == nil {
			return errors.Join(os.Chmod(path, 0o600), fmt.Errorf("%w: what it held is saved in %s; put the directory back, or restore that file", ErrGone, path))
		}
	}
	return fmt.Errorf("%w, and what it held could not be saved elsewhere", ErrGone)
}

// Advertise says to a second program on the same data where this one is open.
func (s *Store) Advertise(url string) error { return s.place.advertise(url) }

// Dir is the data directory.
func (s *Store) Dir() string { return s.place.dir }

// settleAfter is how long after a write it is brought from SQLite's log into the database
// file itself: so a copy of that file alone is never older than that.
const settleAfter = time.Second

// settle brings what was written into the database file, some time after each write. It
// waits for nobody: what a backup that is being made still reads comes with the next one.
func (s *Store) settle() {
	defer close(s.settled)
	for {
		select {
		case <-s.closing:
			return
		case <-s.written:
		}
		select {
		case <-s.closing:
			return
		case <-time.After(settleAfter):
		}
		_, _ = s.aside.Exec("PRAGMA wal_checkpoint(PASSIVE)")
	}
}

// within runs one act in a transaction. Where the disk refuses it nothing of it is stored.
func (s *Store) within(ctx context.Context, act func(*sqlx.Tx) error) error {
	if err := s.place.there(); err != nil {
		return err
	}
	tx, err := s.db.BeginTxx(ctx, nil)
	if err != nil {
		return trouble(err)
	}
	if err := act(tx); err != nil {
		return trouble(errors.Join(err, ignoreDone(tx.Rollback())))
	}
	if err := tx.Commit(); err != nil {
		return trouble(err)
	}
	select {
	case s.written <- struct{}{}:
	default: // it settles soon anyway
	}
	return s.place.there() // nothing is said to be stored where nobody finds it
}

func ignoreDone(err error) error {
	if errors.Is(err, sql.ErrTxDone) {
		return nil
	}
	return err
}

// stamp is an instant as it is stored.
func (s *Store) stamp() string { return s.now().UTC().Format(time.RFC3339Nano) }
