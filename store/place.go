package store

import (
	"errors"
	"fmt"
	"io/fs"
	"os"
	"path/filepath"
	"strings"
	"time"

	"github.com/gofrs/flock"
)

// The names in a data directory.
const (
	fileName  = "yellow-parcel.db"
	lockName  = "yellow-parcel.lock" // held while a program runs; says where it is open
	begunName = "yellow-parcel.begun"
	// backupsName is the directory of the backups.
	backupsName = "backups"
)

// begunText stands in the file that says that there was a database here once, so that one
// that is missing later is not taken for one that never was.
const begunText = "Yellow Parcel keeps its data in this directory. This file says that there was data here:\nwithout it, a lost " + fileName + " would be taken for a first start.\n"

// advice is what can be done about a directory.
const advice = "choose another directory with --data, or change its permissions"

// place is a data directory that this program alone writes to.
type place struct {
	dir  string
	lock *flock.Flock
	// hold locks the directory itself, where the system can: a lock file may be deleted.
	hold *flock.Flock
	// is is the database's file as it was opened: another file by that name is another.
	is os.FileInfo
}

func (p *place) path(name string) string { return filepath.Join(p.dir, name) }

func (p *place) db() string { return p.path(fileName) }

// take makes the directory where it is missing, proves that there is room in it, and locks
// it against a second program. Its errors are sentences for the person who started the
// program.
func take(dir string) (*place, error) {
	if _, err := os.Stat(dir); errors.Is(err, fs.ErrNotExist) {
		if note := besideOf(dir); fileExists(note) {
			return nil, fmt.Errorf("the data directory %s is not there, though there was data in it: put it back, or connect the disk that it lies on, and start again; to begin anew, delete %s", dir, note)
		}
	}
	if err := os.MkdirAll(dir, 0o700); err != nil {
		return nil, inDir(dir, "cannot be made", err)
	}
	p := &place{dir: dir, lock: flock.New(filepath.Join(dir, lockName), flock.SetPermissions(0o600)), hold: flock.New(dir, flock.SetFlag(os.O_RDONLY))}
	got, err := p.lock.TryLock()
	switch {
	case err != nil:
		return nil, inDir(dir, "cannot be written", err)
	case !got:
		return nil, fmt.Errorf("%w: %s", ErrRunning, p.runningWords())
	}
	if got, err := p.hold.TryLock(); err == nil && !got {
		return nil, errors.Join(fmt.Errorf("%w: %s", ErrRunning, p.runningWords()), p.lock.Unlock())
	}
	p.tidy()
	if err := p.room(); err != nil {
		return nil, errors.Join(err, p.leave())
	}
	if err := p.own(); err != nil {
		return nil, errors.Join(err, p.leave())
	}
	return p, nil
}

// ErrRunning says that another program works on the same data.
var ErrRunning = errors.New("a Yellow Parcel that runs already works on this data")

func (p *place) runningWords() string {
	said, _ := os.ReadFile(p.lock.Path())
	at := strings.TrimSpace(string(said))
	if !strings.HasPrefix(at, "http") {
		return "stop it first, or choose another directory with --data; nothing was changed"
	}
	return "open " + at + ", or stop it first; nothing was changed"
}

func inDir(dir, what string, err error) error {
	err = trouble(err)
	if errors.Is(err, ErrFull) {
		return fmt.Errorf("the data directory %s %s: %w; make room on it and start again: nothing in it was changed", dir, what, err)
	}
	return fmt.Errorf("the data directory %s %s: %w; %s", dir, what, err, advice)
}

// leave lets the directory go.
func (p *place) leave() error {
	_ = p.hold.Unlock() // a system that cannot lock a directory holds none
	return p.lock.Unlock()
}

// advertise writes where the program is open into the lock, for a second one to say.
func (p *place) advertise(url string) error {
	return os.WriteFile(p.lock.Path(), []byte(url+"\n"), 0o600)
}

// tidy removes what a program that was killed left half done. A backup may be in the making
// beside this program: what is young of it is left.
func (p *place) tidy() {
	for _, left := range []string{".reading-*", ".writing-*", ".write-test-*", rebuiltName + ".half"} {
		list, _ := filepath.Glob(p.path(left))
		for _, path := range list {
			_ = os.RemoveAll(path)
		}
	}
	list, _ := filepath.Glob(p.path(backupsName + "/.copying-*"))
	for _, path := range list {
		if info, err := os.Stat(path); err == nil && time.Since(info.ModTime()) > time.Hour {
			_ = os.RemoveAll(path)
		}
	}
}

// leastRoom is what has to be free at a start: a few acts' worth.
const leastRoom = 256 << 10

// room proves that there is room to work in.
func (p *place) room() error {
	probe, err := os.CreateTemp(p.dir, ".write-test-*")
	if err != nil {
		return inDir(p.dir, "cannot be written", err)
	}
	_, err = probe.Write(make([]byte, leastRoom))
	err = errors.Join(err, probe.Sync())
	err = errors.Join(err, probe.Close(), os.Remove(probe.Name()))
	if err != nil {
		return inDir(p.dir, "cannot be written", err)
	}
	return nil
}

// own makes the files of the database readable for their owner alone.
func (p *place) own() error {
	for _, name := range []string{fileName, fileName + "-wal", fileName + "-shm"} {
		if err := os.Chmod(p.path(name), 0o600); err != nil && !errors.Is(err, fs.ErrNotExist) {
			return inDir(p.dir, "cannot be made your own", err)
		}
	}
	return nil
}

// begun reports whether there was a database here once.
func (p *place) begun() bool { return fileExists(p.path(begunName)) }

// beside is a note outside the directory that there is data in it: so an empty directory in its place,
// a disk that is not there say, is not taken for a first start.
func (p *place) beside() string { return besideOf(p.dir) }

func besideOf(dir string) string {
	whole, err := filepath.Abs(dir)
	if err != nil {
		whole = dir
	}
	return filepath.Join(filepath.Dir(whole), "."+filepath.Base(whole)+".begun")
}

// Forget takes the note away that there was data in a directory, where that is not there any more: for
// samples, which may be begun anew.
func Forget(dir string) {
	if _, err := os.Stat(dir); errors.Is(err, fs.ErrNotExist) {
		_ = os.Remove(besideOf(dir))
	}
}

// hadData reports whether a database that is not there now was there once, here or where the
// backups come from.
func (p *place) hadData() bool {
	list, _ := filepath.Glob(p.path(backupsName + "/*.db"))
	return p.begun() || len(list) > 0 || fileExists(p.beside())
}

func fileExists(path string) bool {
	_, err := os.Stat(path)
	return err == nil
}

// begin notes that there is a database here from now on. The note beside the directory is one more
// help: where nothing can be written there it is done without.
func (p *place) begin() error {
	if !fileExists(p.beside()) {
		_ = writeWhole(p.beside(), []byte(begunText))
	}
	if p.begun() {
		return nil
	}
	return writeWhole(p.path(begunName), []byte(begunText))
}

// forget takes both notes away: somebody chose to begin with nothing.
func (p *place) forget() error {
	_ = os.Remove(p.beside())
	if err := os.Remove(p.path(begunName)); err != nil && !errors.Is(err, fs.ErrNotExist) {
		return trouble(err)
	}
	return nil
}

// watch notes which file the database is.
func (p *place) watch() (err error) {
	p.is, err = os.Stat(p.db())
	return err
}

// there refuses where the database is not the file any more that was opened: what would be
// written to it nobody would find again.
func (p *place) there() error {
	now, err := os.Stat(p.db())
	if errors.Is(err, fs.ErrNotExist) || err == nil && !os.SameFile(now, p.is) {
		return ErrGone
	}
	return trouble(err)
}

// writeWhole writes a file that is there whole or not at all, for its owner alone.
func writeWhole(path string, body []byte) error {
	f, err := os.CreateTemp(filepath.Dir(path), ".writing-*")
	if err != nil {
		return err
	}
	_, err = f.Write(body)
	err = errors.Join(err, f.Chmod(0o600), f.Sync(), f.Close())
	if err == nil {
		err = os.Rename(f.Name(), path)
	}
	if err != nil {
		return errors.Join(err, os.Remove(f.Name()))
	}
	return syncDir(filepath.Dir(path))
}

// syncDir makes the names in a directory durable.
func syncDir(dir string) error {
	d, err := os.Open(dir)
	if err != nil {
		return err
	}
	return errors.Join(d.Sync(), d.Close())
}
