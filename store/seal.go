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
		text := fmt.Sprintf("%T:%v", v, v)
		_ = binary.Write(sum, binary.LittleEndian, int64(len(text)))
		_, _ = sum.Write([]byte(text))
	}
	return hex.EncodeToString(sum.Sum(nil)[:8])
}

// The seal of each kind of row. The line of a job is left out: it is made of the rest.
const (
	jobSeal  = sealFunction + "(id, place, version, name, body, created, changed, removed, archived)"
	shopSeal = sealFunction + "(version, body, changed)"
)

// sealJob seals a job as it is now.
func sealJob(ctx context.Context, tx sqlx.ExecerContext, id string) error {
	_, err := tx.ExecContext(ctx, "UPDATE jobs SET seal = "+jobSeal+" WHERE id = ?", id)
	return err
}

func sealShop(ctx context.Context, tx sqlx.ExecerContext) error {
	_, err := tx.ExecContext(ctx, "UPDATE shop SET seal = "+shopSeal)
	return err
}

// sealRest seals what has no seal: it was stored before there were any, or changed by a
// migration or by hand.
func sealRest(ctx context.Context, db sqlx.ExecerContext) error {
	if _, err := db.ExecContext(ctx, "UPDATE jobs SET seal = "+jobSeal+" WHERE seal = ''"); err != nil {
		return err
	}
	_, err := db.ExecContext(ctx, "UPDATE shop SET seal = "+shopSeal+" WHERE seal = ''")
	return err
}

// broken are the rows that are not as they were stored.
func broken(ctx context.Context, db sqlx.QueryerContext) (what []string, err error) {
	if err := sqlx.SelectContext(ctx, db, &what, "SELECT 'the job ' || id FROM jobs WHERE seal <> '' AND seal <> "+jobSeal); err != nil {
		return nil, err
	}
	var shop []string
	err = sqlx.SelectContext(ctx, db, &shop, "SELECT 'the shelf' FROM shop WHERE seal <> '' AND seal <> "+shopSeal)
	return append(what, shop...), err
}

// mostChecked is up to which size every index is held against its table at a start as well.
const mostChecked = 64 << 20

// check reads a database from one end to the other; ErrDamaged says what is wrong with it.
// Sealed is whether its rows have seals by now.
func check(ctx context.Context, db *sqlx.DB, sealed bool) error {
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
	if !sealed {
		return nil
	}
	list, err := broken(ctx, db)
	if err != nil {
		return unread(err)
	}
	if len(list) > 0 {
		return fmt.Errorf("%w (not as it was stored: %s)", ErrDamaged, strings.Join(list[:min(3, len(list))], ", "))
	}
	return nil
}
