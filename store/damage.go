package store

import (
	"context"
	"errors"
	"fmt"
	"io/fs"
	"os"
	"path/filepath"
	"slices"
	"time"

	"github.com/jmoiron/sqlx"
)

// Damage is a database that is lost or not whole. Nothing is changed before somebody chose
// what to go on with; the damaged file is kept then, too.
type Damage struct {
	// What is wrong, as a sentence; Missing is set where there is no database at all.
	What    string
	Missing bool
	// Backups are those that can be restored, the newest first.
	Backups []Backup
	// Whole are the jobs of the damaged file that are as they were stored, Broken how many
	// are not or cannot be read.
	Whole, Broken int
	// States is how many earlier states of jobs are not as they were stored, or cannot be read; Uncounted
	// is set where there may be more that nothing tells of.
	States    int
	Uncounted bool

	place *place
	steps fs.FS
	saved Contents // what could be read
	form  int64    // of the damaged file
}

func (d *Damage) Error() string {
	next := "no backup is whole"
	if len(d.Backups) > 0 {
		next = fmt.Sprintf("the newest whole backup is %s", d.Backups[0].Name)
	}
	return fmt.Sprintf("%s: %s; nothing was changed", d.What, next)
}

// Dir is the data directory.
func (d *Damage) Dir() string { return d.place.dir }

// Advertise says to a second program on the same data where this one is open.
func (d *Damage) Advertise(url string) error { return d.place.advertise(url) }

// Close lets the directory go; everything in it is as it was found.
func (d *Damage) Close() error { return d.place.leave() }

// lost is the damage of a database that is not there any more, or is an empty file.
func (p *place) lost(steps fs.FS, empty bool) error {
	what := "the database " + p.db() + " is missing, though there was one"
	if !empty && !p.begun() {
		what = "there is no database in " + p.dir + ", though there was one: is the disk that it lies on connected"
	}
	if empty {
		what = "the database " + p.db() + " is an empty file, though there was data in it"
	}
	d := &Damage{What: what, Missing: true, place: p, steps: steps}
	return d.withBackups()
}

// damaged is the damage of a database that is not whole, with what can be read of it.
func (p *place) damaged(steps fs.FS, why error) error {
	d := &Damage{What: fmt.Sprintf("the database %s cannot be used: %v", p.db(), why), place: p, steps: steps}
	if err := d.salvage(context.Background()); err != nil {
		return err
	}
	return d.withBackups()
}

func (d *Damage) withBackups() error {
	list, err := BackupsOf(context.Background(), d.place.dir)
	if err != nil {
		return err
	}
	for _, b := range list {
		if b.Whole {
			d.Backups = append(d.Backups, b)
		}
	}
	return d
}

// Choice is what to go on with.
type Choice string

// The choices.
const (
	// Together is what is whole in the damaged file, and the backup for the rest.
	Together Choice = "together"
	// TheBackup is a backup as it is.
	TheBackup Choice = "backup"
	// WhatIsLeft is what is whole in the damaged file alone.
	WhatIsLeft Choice = "left"
	// Anew is to begin with nothing.
	Anew Choice = "anew"
)

// rebuiltName is a new database that takes the place of a damaged one.
const rebuiltName = "yellow-parcel.rebuilt.db"

// Repair builds a new database of what was chosen, puts the damaged one aside, and opens
// the new one. Backup is the name of one of the backups, where the choice wants one. A kill
// at any moment leaves either the damaged one or the new one in place.
func (d *Damage) Repair(ctx context.Context, choice Choice, backup string) (*Store, error) {
	contents, done, err := d.chosen(ctx, choice, backup)
	if err != nil {
		return nil, err
	}
	err = errors.Join(d.rebuild(ctx, contents), done())
	if err != nil {
		return nil, trouble(err)
	}
	if err := d.place.aside(time.Now()); err != nil {
		return nil, trouble(err)
	}
	if choice == Anew {
		if err := d.place.forget(); err != nil {
			return nil, err
		}
	}
	return openAt(d.place, d.steps)
}

// RepairFrom is Repair with a backup by its name, or one that lies elsewhere by its path,
// together with what is whole in the damaged file.
func (d *Damage) RepairFrom(ctx context.Context, name string) (*Store, error) {
	if slices.ContainsFunc(d.Backups, func(b Backup) bool { return b.Name == name }) {
		return d.Repair(ctx, Together, name)
	}
	b := look(ctx, name)
	if !b.Whole {
		return nil, fmt.Errorf("%s is no backup that is whole: %s", name, b.Trouble)
	}
	b.Name = "yellow-parcel-" + time.Now().UTC().Format(backupStamp) + "-" + string(Asked) + ".db"
	if err := errors.Join(os.MkdirAll(d.place.path(backupsName), 0o700), copyFile(name, d.place.path(filepath.Join(backupsName, b.Name)))); err != nil {
		return nil, trouble(err)
	}
	d.Backups = append(d.Backups, b)
	return d.Repair(ctx, Together, b.Name)
}

// chosen are the contents to go on with, in the form of this program.
func (d *Damage) chosen(ctx context.Context, choice Choice, backup string) (c Contents, done func() error, err error) {
	saved, read := d.saved, func() error { return nil }
	if knows, err := knownForm(); err != nil {
		return c, nil, err
	} else if saved.Jobs != nil && d.form < knows && choice != TheBackup {
		from, err := d.place.openContents(ctx, d.form, saved)
		if err != nil {
			return c, nil, err
		}
		read = from.close
		if saved, err = contentsOf(ctx, from.db); err != nil {
			return c, nil, errors.Join(err, read())
		}
	}
	done = read
	if choice == TheBackup || choice == Together {
		for _, b := range d.Backups {
			if b.Name != backup {
				continue
			}
			from, err := d.place.openCopy(ctx, d.place.path(filepath.Join(backupsName, b.Name)))
			if err != nil {
				return c, nil, err
			}
			if c, err = contentsOf(ctx, from.db); err != nil {
				return c, nil, errors.Join(err, from.close())
			}
			if choice == Together && saved.Jobs != nil {
				c = together(saved, c)
			}
			return c, func() error { return errors.Join(from.close(), read()) }, nil
		}
		return c, nil, errors.Join(ErrNoBackup, done())
	}
	if choice == WhatIsLeft && saved.Jobs != nil {
		return saved, done, nil
	}
	if err := done(); err != nil {
		return c, nil, err
	}
	if choice == Anew {
		return Contents{Jobs: listOf(nil)}, func() error { return nil }, nil
	}
	return c, nil, fmt.Errorf("nothing can be read of the database: choose a backup")
}

// rebuild writes contents into a new database beside the damaged one.
func (d *Damage) rebuild(ctx context.Context, c Contents) (err error) {
	path := d.place.path(rebuiltName)
	half := path + ".half"
	if err := os.Remove(half); err != nil && !errors.Is(err, fs.ErrNotExist) {
		return err
	}
	db, err := connect(half, "&_pragma=synchronous(FULL)&_txlock=immediate")
	if err != nil {
		return err
	}
	s := &Store{db: db, steps: d.steps, now: time.Now}
	if err = migrate(ctx, db, d.steps); err == nil {
		var tx *sqlx.Tx
		if tx, err = db.BeginTxx(ctx, nil); err == nil {
			if _, err = s.replace(ctx, tx, c, Restored); err == nil {
				err = tx.Commit()
			} else {
				err = errors.Join(err, tx.Rollback())
			}
		}
	}
	if err = errors.Join(err, db.Close()); err != nil {
		return errors.Join(err, os.Remove(half))
	}
	return errors.Join(os.Chmod(half, 0o600), syncFile(half), os.Rename(half, path), syncDir(d.place.dir))
}

// aside puts the damaged database by another name, with what belongs to it, and the new one
// in its place.
func (p *place) aside(now time.Time) error {
	stamp := now.UTC().Format(backupStamp)
	for _, end := range []string{"", "-wal", "-shm"} {
		err := os.Rename(p.db()+end, p.path("yellow-parcel.damaged-"+stamp+".db"+end))
		if err != nil && !errors.Is(err, fs.ErrNotExist) {
			return err
		}
	}
	return errors.Join(os.Rename(p.path(rebuiltName), p.db()), syncDir(p.dir))
}

// finishRepair ends a repair that a kill broke off: where the damaged database is put aside
// already the new one takes its place, else it is left for another choice.
func (p *place) finishRepair() error {
	if _, err := os.Stat(p.path(rebuiltName)); err != nil {
		return nil
	}
	if _, err := os.Stat(p.db()); err == nil {
		return os.Remove(p.path(rebuiltName))
	}
	return p.aside(time.Now())
}
