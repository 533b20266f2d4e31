package store

import (
	"errors"
	"fmt"
	"io/fs"
	"syscall"

	"modernc.org/sqlite"
	sqlite3 "modernc.org/sqlite/lib"
)

// What the disk may refuse an act for. Nothing of the act is stored then; the next one may
// go through.
var (
	// ErrFull says that there is no room.
	ErrFull = errors.New("the disk is full")
	// ErrReadOnly says that nothing may be written.
	ErrReadOnly = errors.New("the disk or the data directory can only be read")
	// ErrGone says that the database is not where it was: somebody moved or deleted it.
	ErrGone = errors.New("the data directory was moved or deleted while the program runs")
	// ErrDisk says that the disk failed in some other way.
	ErrDisk = errors.New("the disk gave an error")
	// ErrDamaged says that the database is not whole.
	ErrDamaged = errors.New("the database is damaged")
)

// trouble is an error with the one of the errors above that it comes to; any other error
// as it is.
func trouble(err error) error {
	if err == nil {
		return nil
	}
	if kind := Kind(err); kind != nil && !errors.Is(err, kind) {
		return fmt.Errorf("%w (%w)", kind, err)
	}
	return err
}

// Kind is which of the errors above an error comes to; nil where it is none of them.
func Kind(err error) error {
	for _, known := range []error{ErrFull, ErrReadOnly, ErrGone, ErrDisk, ErrDamaged} {
		if errors.Is(err, known) {
			return known
		}
	}
	return kindOf(err)
}

// kindOf is which of the errors above an error of the database or of a file is; nil where
// it is none.
func kindOf(err error) error {
	var of *sqlite.Error
	switch {
	case errors.Is(err, syscall.ENOSPC), errors.Is(err, syscall.EDQUOT):
		return ErrFull
	case errors.Is(err, syscall.EROFS), errors.Is(err, fs.ErrPermission):
		return ErrReadOnly
	case errors.Is(err, syscall.EIO):
		return ErrDisk
	case !errors.As(err, &of):
		return nil
	}
	// The low byte is what it is, the others say where it came from.
	switch of.Code() & 0xff {
	case sqlite3.SQLITE_FULL:
		return ErrFull
	case sqlite3.SQLITE_READONLY:
		if of.Code() == sqlite3.SQLITE_READONLY_DBMOVED {
			return ErrGone
		}
		return ErrReadOnly
	case sqlite3.SQLITE_CORRUPT, sqlite3.SQLITE_NOTADB:
		return ErrDamaged
	case sqlite3.SQLITE_IOERR, sqlite3.SQLITE_CANTOPEN:
		return ErrDisk
	}
	return nil
}

// unread is why a database cannot be read: where the disk gave it, and nothing else is
// known, it is damaged.
func unread(err error) error {
	if err != nil && kindOf(err) == nil {
		return fmt.Errorf("%w (%w)", ErrDamaged, err)
	}
	return trouble(err)
}
