package store

import (
	"context"
	"errors"
	"fmt"
	"io"
	"os"
	"path/filepath"

	"github.com/jmoiron/sqlx"
	"github.com/pressly/goose/v3"
)

// opened is a copy of a database in the form of this program, to be read.
type opened struct {
	db  *sqlx.DB
	dir string
}

func (o opened) close() error { return errors.Join(o.db.Close(), os.RemoveAll(o.dir)) }

// openCopyOf copies a database that is open, as it is at this moment; also where its
// directory is gone.
func (p *place) openCopyOf(ctx context.Context, db *sqlx.DB) (o opened, err error) {
	for _, in := range []struct{ dir, pattern string }{{p.dir, ".reading-"}, {"", "yellow-parcel-reading-"}} { // beside the data, or where there is room
		if o.dir, err = os.MkdirTemp(in.dir, in.pattern); err != nil {
			continue
		}
		at := filepath.Join(o.dir, "copy.db")
		if _, err = db.ExecContext(ctx, "VACUUM INTO ?", at); err == nil {
			if o.db, err = connect(at, mustExist); err == nil {
				return o, nil
			}
		}
		_ = os.RemoveAll(o.dir)
	}
	return opened{}, trouble(err)
}

// openCopy copies a database file into a place of its own beside the data, and brings the
// copy up to this program's form: the file itself is never written to.
func (p *place) openCopy(ctx context.Context, path string) (o opened, err error) {
	if o.dir, err = os.MkdirTemp(p.dir, ".reading-"); err != nil {
		return o, trouble(err)
	}
	drop := func(err error) (opened, error) { return opened{}, errors.Join(trouble(err), os.RemoveAll(o.dir)) }
	at := filepath.Join(o.dir, "copy.db")
	if err := copyFile(path, at); err != nil {
		return drop(err)
	}
	if o.db, err = connect(at, ""); err != nil {
		return drop(err)
	}
	if err := renew(ctx, o.db); err != nil {
		return drop(errors.Join(err, o.db.Close()))
	}
	return o, nil
}

// renew brings a database that is only read up to this program's form.
func renew(ctx context.Context, db *sqlx.DB) error {
	steps, err := shipped()
	if err == nil {
		err = migrate(ctx, db, steps)
	}
	if err != nil {
		return err
	}
	knows, err := knownForm()
	if err == nil {
		err = sealRest(ctx, db, knows)
	}
	return err
}

// openContents writes contents of an older form into a database of that form, beside the
// data, and brings that up to this program's: so what was written in another form is read
// as if it had been here all the time.
func (p *place) openContents(ctx context.Context, form int64, c Contents) (o opened, err error) {
	if o.dir, err = os.MkdirTemp(p.dir, ".reading-"); err != nil {
		return o, trouble(err)
	}
	drop := func(err error) (opened, error) { return opened{}, errors.Join(trouble(err), os.RemoveAll(o.dir)) }
	if o.db, err = connect(filepath.Join(o.dir, "copy.db"), ""); err != nil {
		return drop(err)
	}
	steps, err := shipped()
	if err == nil {
		var provider *goose.Provider
		if provider, err = goose.NewProvider(goose.DialectSQLite3, o.db.DB, steps); err == nil {
			_, err = provider.UpTo(ctx, form)
		}
	}
	if err == nil {
		err = fill(ctx, o.db, form, c)
	}
	if err == nil {
		err = renew(ctx, o.db)
	}
	if err != nil {
		return drop(errors.Join(err, o.db.Close()))
	}
	return o, nil
}

// archivedSince is the form from which on jobs can be archived.
const archivedSince = 6

// fill writes contents into an empty database of a form.
func fill(ctx context.Context, db *sqlx.DB, form int64, c Contents) error {
	tx, err := db.BeginTxx(ctx, nil)
	if err != nil {
		return err
	}
	defer func() { _ = tx.Rollback() }()
	for j, err := range c.Jobs {
		if err == nil && form >= sealedSince {
			err = insertKept(ctx, tx, j, form)
		} else if err == nil {
			_, err = tx.ExecContext(ctx, "INSERT INTO jobs (id, place, version, name, body, created, changed, removed) VALUES (?, ?, ?, ?, ?, ?, ?, ?)",
				j.ID, j.Place, j.Version, j.Name, j.Body, j.Created, j.Changed, j.Removed)
			if err == nil && form >= archivedSince {
				_, err = tx.ExecContext(ctx, "UPDATE jobs SET archived = ? WHERE id = ?", j.Archived, j.ID)
			}
		}
		if err != nil {
			return err
		}
	}
	if c.Shop != nil {
		if _, err := tx.ExecContext(ctx, "INSERT INTO shop (id, version, body, changed) VALUES (1, 1, ?, '')", string(c.Shop)); err != nil {
			return err
		}
	}
	return tx.Commit()
}

func copyFile(from, to string) error {
	in, err := os.Open(from)
	if err != nil {
		return err
	}
	defer func() { _ = in.Close() }()
	out, err := os.OpenFile(to, os.O_CREATE|os.O_EXCL|os.O_WRONLY, 0o600)
	if err != nil {
		return err
	}
	_, err = io.Copy(out, in)
	return errors.Join(err, out.Close())
}

// path is that of a backup that there is and that is whole.
func (b Backups) path(ctx context.Context, name string) (string, error) {
	list, err := b.List(ctx)
	if err != nil {
		return "", err
	}
	for _, one := range list {
		if one.Name == name && one.Whole {
			return filepath.Join(b.dir(), name), nil
		}
		if one.Name == name {
			return "", fmt.Errorf("the backup %s cannot be used: %s", name, one.Trouble)
		}
	}
	return "", ErrNoBackup
}

// Restore makes everything as it was in a backup, after a backup of what is here now; see
// Replace for what becomes of what was made since.
func (b Backups) Restore(ctx context.Context, name string) (came Came, err error) {
	path, err := b.path(ctx, name)
	if err != nil {
		return came, err
	}
	return b.restoreFrom(ctx, path)
}

// RestoreFile is Restore of a backup that lies elsewhere.
func (b Backups) RestoreFile(ctx context.Context, path string) (came Came, err error) {
	if found := look(ctx, path); !found.Whole {
		return came, fmt.Errorf("%s cannot be restored: %s", path, found.Trouble)
	}
	return b.restoreFrom(ctx, path)
}

func (b Backups) restoreFrom(ctx context.Context, path string) (came Came, err error) {
	from, err := b.of.place.openCopy(ctx, path)
	if err != nil {
		return came, err
	}
	defer func() { err = errors.Join(err, from.close()) }()
	b.of.restored.Store(filepath.Base(path), true)
	if _, err := b.Make(ctx, BeforeRestore); err != nil {
		return came, fmt.Errorf("nothing was restored, since no backup could be made of what is here now: %w", err)
	}
	contents, err := contentsOf(ctx, from.db)
	if err != nil {
		return came, err
	}
	return b.of.Replace(ctx, contents, Restored)
}

// Jobs are those of a backup, as they are kept in it.
func (b Backups) Jobs(ctx context.Context, name string) (list []KeptJob, err error) {
	path, err := b.path(ctx, name)
	if err != nil {
		return nil, err
	}
	from, err := b.of.place.openCopy(ctx, path)
	if err != nil {
		return nil, err
	}
	defer func() { err = errors.Join(err, from.close()) }()
	contents, err := contentsOf(ctx, from.db)
	if err != nil {
		return nil, err
	}
	for j, err := range contents.Jobs {
		if err != nil {
			return nil, err
		}
		j.History = nil
		list = append(list, j)
	}
	return list, nil
}

// RestoreJob makes one job as it was in a backup; what it is now is a step back in its
// history.
func (b Backups) RestoreJob(ctx context.Context, name, id string) (_ Job, err error) {
	list, err := b.Jobs(ctx, name)
	if err != nil {
		return Job{}, err
	}
	for _, j := range list {
		if j.ID != id {
			continue
		}
		j.Removed, j.Archived = nil, nil
		err := b.of.within(ctx, func(tx *sqlx.Tx) error {
			var came Came
			return b.of.takeJob(ctx, tx, j, Restored, true, &came)
		})
		if err != nil {
			return Job{}, err
		}
		return b.of.Job(ctx, id)
	}
	return Job{}, ErrMissing
}
