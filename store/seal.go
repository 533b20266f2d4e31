package store

import (
	"context"
	"crypto/sha256"
	"database/sql/driver"
	"encoding/binary"
	"encoding/hex"
	"fmt"
	"strings"

	"github.com/jmoiron/sqlx"
	"modernc.org/sqlite"
)

// sealFunction is the SQL function that seals values. It stands in the statements of this
// program and never in the database itself, which any other program may open.
const sealFunction = "yellow_parcel_seal"

func init() {
	sqlite.MustRegisterDeterministicScalarFunction(sealFunction, -1, func(_ *sqlite.FunctionContext, args []driver.Value) (driver.Value, error) {
		return seal(args), nil
	})
}

// seal is a mark of values in their order: another value, however little, has another one.
func seal(values []driver.Value) string {
	sum := sha256.New()
	for _, v := range values {
		text, isBlob := v.([]byte)
		if !isBlob {
			text = []byte(fmt.Sprintf("%T:%v", v, v))
		}
		_ = binary.Write(sum, binary.LittleEndian, int64(len(text)))
		_, _ = sum.Write(text)
	}
	return hex.EncodeToString(sum.Sum(nil)[:8])
}

// The seal of each kind of row. The line of a job is left out: it is made of the rest.
const (
	jobSeal      = sealFunction + "(id, place, version, name, body, created, changed, removed, archived)"
	shopSeal     = sealFunction + "(version, body, changed)"
	stateSeal    = sealFunction + "(job, version, changed, how, form, body)"
	progressSeal = sealFunction + "(job, step, changed)"
)

// sealed are the tables whose rows carry seals, each since a form, and what a row of it is called.
var sealed = []struct {
	table, seal, name string
	since             int64
}{
	{"jobs", jobSeal, "'the job ' || id", sealedSince}, {"shop", shopSeal, "'the shelf'", sealedSince},
	{"history", stateSeal, "'a state of the job ' || job", statesSealedSince}, {"progress", progressSeal, "'how far the job ' || job || ' is at the bench'", statesSealedSince},
}

// sealJob seals a job as it is now.
func sealJob(ctx context.Context, tx sqlx.ExecerContext, id string) error {
	_, err := tx.ExecContext(ctx, "UPDATE jobs SET seal = "+jobSeal+" WHERE id = ?", id)
	return err
}

func sealShop(ctx context.Context, tx sqlx.ExecerContext) error {
	_, err := tx.ExecContext(ctx, "UPDATE shop SET seal = "+shopSeal)
	return err
}

// sealStates seals the states of a job that have no seal yet.
func sealStates(ctx context.Context, tx sqlx.ExecerContext, id string) error {
	_, err := tx.ExecContext(ctx, "UPDATE history SET seal = "+stateSeal+" WHERE job = ? AND seal = ''", id)
	return err
}

// sealRest seals what has no seal: it was stored before there were any, or changed by a
// migration or by hand, in a database of some form.
func sealRest(ctx context.Context, db sqlx.ExecerContext, form int64) error {
	for _, t := range sealed {
		if form < t.since {
			continue
		}
		if _, err := db.ExecContext(ctx, "UPDATE "+t.table+" SET seal = "+t.seal+" WHERE seal = ''"); err != nil {
			return err
		}
	}
	return nil
}

// broken are the rows that are not as they were stored, of a database of some form.
func broken(ctx context.Context, db sqlx.QueryerContext, form int64) (what []string, err error) {
	for _, t := range sealed {
		if form < t.since {
			continue
		}
		var found []string
		if err := sqlx.SelectContext(ctx, db, &found, "SELECT "+t.name+" FROM "+t.table+" WHERE seal <> '' AND seal <> "+t.seal); err != nil {
			return nil, err
		}
		what = append(what, found...)
	}
	return what, nil
}

// mostChecked is up to which size every index is held against its table at a start as well.
const mostChecked = 64 << 20

// check reads a database from one end to the other; ErrDamaged says what is wrong with it.
// Its rows are held against the seals that its form has; form 0 has none.
func check(ctx context.Context, db *sqlx.DB, form int64) error {
	var bytes int64
	if err := db.GetContext(ctx, &bytes, "SELECT page_count * page_size FROM pragma_page_count, pragma_page_size"); err != nil {
		return unread(err)
	}
	how := "PRAGMA integrity_check(3)"
	if bytes > mostChecked {
		how = "PRAGMA quick_check(3)"
	}
	var found []string
	if err := db.SelectContext(ctx, &found, how); err != nil {
		return unread(err)
	}
	if len(found) != 1 || found[0] != "ok" {
		return fmt.Errorf("%w (%s)", ErrDamaged, strings.Join(found, "; "))
	}
	list, err := broken(ctx, db, form)
	if err != nil {
		return unread(err)
	}
	if len(list) > 0 {
		return fmt.Errorf("%w (not as it was stored: %s)", ErrDamaged, strings.Join(list[:min(3, len(list))], ", "))
	}
	return nil
}
