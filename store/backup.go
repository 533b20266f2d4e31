package store

import (
	"cmp"
	"context"
	"errors"
	"fmt"
	"io/fs"
	"os"
	"path/filepath"
	"regexp"
	"slices"
	"strings"
	"time"

	"github.com/jmoiron/sqlx"

	"yellowparcel/core/job"
)

// Why says what a backup was made for.
type Why string

// The reasons.
const (
	Daily         Why = "daily"
	BeforeUpgrade Why = "upgrade"
	BeforeImport  Why = "import"
	BeforeRestore Why = "restore"
	Asked         Why = "asked"
)

// Backup is a copy of the whole database at a moment.
type Backup struct {
	Name  string
	Made  time.Time
	Why   Why
	Bytes int64
	// Whole is whether it can be restored; Trouble says what is wrong where it cannot.
	Whole   bool
	Trouble string
	// Jobs are those in hand and archived, Removed those that can be restored. Papers are
	// the entries of the shelf.
	Jobs, Removed, Papers int
	// newer is set where a program that knows more made it.
	newer bool
	// mark tells whether it holds the same as another one.
	mark string
}

// backupName is how a backup is called: when it was made, in UTC, and what for.
var backupName = regexp.MustCompile(`^yellow-parcel-(\d{4}-\d\d-\d\d-\d{6})(?:-\d+)?-([a-z]+)\.db$`)

const backupStamp = "2006-01-02-150405"

// ErrNoBackup says that there is no backup by that name.
var ErrNoBackup = errors.New("there is no such backup")

// Backups are the backups of a store: made, looked into, restored.
type Backups struct{ of *Store }

// Backups are those of the store.
func (s *Store) Backups() Backups { return Backups{s} }

func (b Backups) dir() string { return b.of.place.path(backupsName) }

// Make copies the whole database as it is at this moment into the backups, opens and
// checks the copy, and lets go of those that the rule does without. Writers go on
// meanwhile. What fails leaves the backups as they were.
func (b Backups) Make(ctx context.Context, why Why) (Backup, error) {
	if err := b.of.CheckPresent(); err != nil {
		return Backup{}, err
	}
	made, err := backUp(ctx, b.of.place.db(), b.dir(), why, b.of.now())
	if err != nil {
		return made, errors.Join(b.of.CheckPresent(), err)
	}
	list, err := b.List(ctx)
	if err != nil {
		return made, err
	}
	for _, old := range spare(list, b.of.now(), MostBackups) {
		if _, restored := b.of.restored.Load(old.Name); restored || old.Name == made.Name {
			continue
		}
		if err := os.Remove(filepath.Join(b.dir(), old.Name)); err != nil && !errors.Is(err, fs.ErrNotExist) {
			return made, trouble(err)
		}
	}
	return made, nil
}

// MakeIfDue makes the daily backup where there is none of today and something was changed
// since the last one.
func (b Backups) MakeIfDue(ctx context.Context) (made bool, err error) {
	list, err := b.List(ctx)
	if err != nil {
		return false, err
	}
	day := func(t time.Time) string { return t.Local().Format(time.DateOnly) }
	now, err := markOf(ctx, b.of.db)
	if err != nil {
		return false, trouble(err)
	}
	latest := true
	for _, old := range list {
		// One that is dated after today, by a clock that was wrong, stands in no one's way.
		future := old.Made.After(b.of.now()) && day(old.Made) != day(b.of.now())
		if !old.Whole || future && old.mark != now {
			continue
		}
		if day(old.Made) == day(b.of.now()) || latest && old.mark == now {
			return false, nil
		}
		latest = false
	}
	_, err = b.Make(ctx, Daily)
	return err == nil, err
}

// BackUpTo copies the database of a data directory, while a program runs on it or not, into
// a file that does not exist yet, and checks the copy.
func BackUpTo(ctx context.Context, dir, path string) (Backup, error) {
	from := filepath.Join(dir, fileName)
	if _, err := os.Stat(from); err != nil {
		return Backup{}, fmt.Errorf("there is no database in %s to back up: name the data directory with --data", dir)
	}
	if path == "" {
		return backUp(ctx, from, filepath.Join(dir, backupsName), Asked, time.Now())
	}
	if _, err := os.Stat(path); err == nil {
		return Backup{}, fmt.Errorf("%s is there already: name a file that is not", path)
	}
	return copyTo(ctx, from, path)
}

// backUp copies a database into a directory of backups.
func backUp(ctx context.Context, from, dir string, why Why, now time.Time) (Backup, error) {
	// The directory of the data itself is never made here: where it is gone nothing takes its place.
	if err := os.Mkdir(dir, 0o700); err != nil && !errors.Is(err, fs.ErrExist) {
		return Backup{}, trouble(err)
	}
	name := fmt.Sprintf("yellow-parcel-%s-%s.db", now.UTC().Format(backupStamp), why)
	for i := 2; ; i++ {
		if _, err := os.Stat(filepath.Join(dir, name)); errors.Is(err, fs.ErrNotExist) {
			break
		}
		name = fmt.Sprintf("yellow-parcel-%s-%d-%s.db", now.UTC().Format(backupStamp), i, why)
	}
	return copyTo(ctx, from, filepath.Join(dir, name))
}

// copyTo copies a database as it is at a moment; the copy has its name only when it was
// opened and is whole.
func copyTo(ctx context.Context, from, to string) (b Backup, err error) {
	made, err := os.MkdirTemp(filepath.Dir(to), ".copying-")
	if err != nil {
		return b, trouble(err)
	}
	defer func() { err = errors.Join(err, os.RemoveAll(made)) }()
	half := filepath.Join(made, "copy.db")
	err = vacuumInto(ctx, from, half)
	if kind := Kind(err); kind == ErrReadOnly || kind == ErrDisk { // a log that may not be opened where it lies
		err = errors.Join(os.RemoveAll(half), copiedInto(ctx, from, half))
	}
	if err != nil {
		return b, trouble(err)
	}
	if b = look(ctx, half); b.newer {
		return b, fmt.Errorf("the database %w: back it up with that program; nothing was written", ErrNewer)
	} else if !b.Whole {
		return b, fmt.Errorf("%w (%s)", ErrDamaged, b.Trouble)
	}
	if err := errors.Join(os.Chmod(half, 0o600), syncFile(half)); err != nil {
		return b, trouble(err)
	}
	if err := errors.Join(os.Rename(half, to), syncDir(filepath.Dir(to))); err != nil {
		return b, trouble(err)
	}
	b.Name = filepath.Base(to)
	b.Made, b.Why = namedAs(b.Name)
	return b, nil
}

// vacuumInto copies a database, with what is in its log, into a file that is not there yet.
func vacuumInto(ctx context.Context, from, to string) error {
	db, err := connect(from, mustExist)
	if err != nil {
		return err
	}
	_, err = db.ExecContext(ctx, "VACUUM INTO ?", to)
	return errors.Join(err, db.Close())
}

// copiedInto is vacuumInto by way of the temporary directory, for a database on a disk that can only
// be read: nobody writes to it.
func copiedInto(ctx context.Context, from, to string) (err error) {
	dir, err := os.MkdirTemp("", "yellow-parcel-reading-")
	if err != nil {
		return err
	}
	defer func() { err = errors.Join(err, os.RemoveAll(dir)) }()
	at := filepath.Join(dir, fileName)
	for _, end := range []string{"", "-wal"} {
		if err := copyFile(from+end, at+end); err != nil && !(end != "" && errors.Is(err, fs.ErrNotExist)) {
			return err
		}
	}
	return vacuumInto(ctx, at, to)
}

func syncFile(path string) error {
	f, err := os.OpenFile(path, os.O_RDWR, 0)
	if err != nil {
		return err
	}
	return errors.Join(f.Sync(), f.Close())
}

func namedAs(name string) (time.Time, Why) {
	m := backupName.FindStringSubmatch(name)
	if m == nil {
		return time.Time{}, ""
	}
	at, _ := time.Parse(backupStamp, m[1])
	return at, Why(m[2])
}

// List are those that there are, the newest first, each opened and checked once.
func (b Backups) List(ctx context.Context) ([]Backup, error) {
	return backupsIn(ctx, b.dir(), func(key string, fresh func() Backup) Backup {
		if seen, ok := b.of.seen.Load(key); ok {
			return seen.(Backup)
		}
		looked := fresh()
		b.of.seen.Store(key, looked)
		return looked
	})
}

// BackupsOf are the backups in a data directory, while a program runs on it or not.
func BackupsOf(ctx context.Context, dir string) ([]Backup, error) {
	return backupsIn(ctx, filepath.Join(dir, backupsName), func(_ string, fresh func() Backup) Backup { return fresh() })
}

func backupsIn(ctx context.Context, dir string, once func(key string, fresh func() Backup) Backup) (list []Backup, err error) {
	entries, err := os.ReadDir(dir)
	if errors.Is(err, fs.ErrNotExist) {
		return nil, nil
	}
	if err != nil {
		return nil, trouble(err)
	}
	for _, e := range entries {
		made, why := namedAs(e.Name())
		info, err := e.Info()
		if why == "" || err != nil {
			continue
		}
		b := once(fmt.Sprint(e.Name(), info.Size(), info.ModTime().UnixNano()), func() Backup { return look(ctx, filepath.Join(dir, e.Name())) })
		b.Name, b.Made, b.Why, b.Bytes = e.Name(), made, why, info.Size()
		list = append(list, b)
	}
	slices.SortFunc(list, func(a, b Backup) int { return cmp.Or(b.Made.Compare(a.Made), strings.Compare(b.Name, a.Name)) })
	return list, nil
}

// look opens a backup, reads it through, and says what is in it.
func look(ctx context.Context, path string) (b Backup) {
	fail := func(err error) Backup {
		b.Whole, b.Trouble = false, err.Error()
		return b
	}
	if info, err := os.Stat(path); err == nil {
		b.Bytes = info.Size()
	}
	db, err := connect(path, "&mode=ro&immutable=1")
	if err != nil {
		return fail(err)
	}
	defer func() { _ = db.Close() }()
	form, err := formOf(ctx, db)
	if err != nil {
		return fail(err)
	}
	knows, err := knownForm()
	if err != nil {
		return fail(err)
	}
	if form > knows { // what its rows are sealed by is not known
		b.newer = true
		return fail(fmt.Errorf("it %w", ErrNewer))
	}
	if err := check(ctx, db, form); err != nil {
		return fail(err)
	}
	var shop job.Shop
	if b.mark, shop, err = b.count(ctx, db); err != nil {
		return fail(err)
	}
	b.Papers = len(shop.Sheets) + len(shop.Stocks) + len(shop.Envelopes) + len(shop.Adhesives) + len(shop.Rulebooks)
	b.Whole = true
	return b
}

func (b *Backup) count(ctx context.Context, db *sqlx.DB) (mark string, shop job.Shop, err error) {
	var of struct {
		Jobs    int `db:"jobs"`
		Removed int `db:"removed"`
	}
	if err := db.GetContext(ctx, &of, "SELECT count(*) - count(removed) AS jobs, count(removed) AS removed FROM jobs"); err != nil {
		return "", shop, err
	}
	b.Jobs, b.Removed = of.Jobs, of.Removed
	stored, err := readShop(ctx, db)
	if err != nil && !errors.Is(err, ErrMissing) {
		return "", shop, err
	}
	mark, err = markOf(ctx, db)
	return mark, stored.Shop, err
}

// markOf tells whether two databases hold the same: every change raises a version.
func markOf(ctx context.Context, db sqlx.QueryerContext) (mark string, err error) {
	err = sqlx.GetContext(ctx, db, &mark, "SELECT (SELECT count(*) || '/' || total(version) || '/' || coalesce(max(changed), '') FROM jobs) || '/' || (SELECT coalesce(max(version || '/' || changed), '') FROM shop)")
	return mark, err
}

// formOf is the form of a database that is only read; ErrDamaged where it has none.
func formOf(ctx context.Context, db sqlx.QueryerContext) (form int64, err error) {
	err = sqlx.GetContext(ctx, db, &form, "SELECT coalesce(max(version_id), 0) FROM goose_db_version WHERE is_applied")
	if err == nil && form == 0 {
		err = fmt.Errorf("%w (there is nothing in it)", ErrDamaged)
	}
	return form, trouble(err)
}

// knownForm is the form that this program knows.
func knownForm() (int64, error) {
	steps, err := shipped()
	if err != nil {
		return 0, err
	}
	list, err := fs.Glob(steps, "*.sql")
	if err != nil {
		return 0, err
	}
	return int64(len(list)), nil
}
