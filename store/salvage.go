package store

import (
	"cmp"
	"context"
	"encoding/json"
	"errors"
	"io/fs"
	"os"
	"path/filepath"
	"slices"

	"github.com/jmoiron/sqlx"
)

// mostRows bounds how many rows are looked for one by one.
const mostRows = 200_000

// salvage reads what is whole in the damaged file, row by row. It reads a copy: even opening
// a database may write to it.
func (d *Damage) salvage(ctx context.Context) error {
	dir, err := os.MkdirTemp(d.place.dir, ".reading-")
	if err != nil {
		return inDir(d.place.dir, "cannot be written", err)
	}
	defer func() { _ = os.RemoveAll(dir) }()
	at := filepath.Join(dir, fileName)
	for _, end := range []string{"", "-wal"} {
		if err := copyFile(d.place.db()+end, at+end); err != nil && !errors.Is(err, fs.ErrNotExist) {
			return inDir(d.place.dir, "cannot be written", err)
		}
	}
	db, err := connect(at, "")
	if err != nil {
		return err
	}
	defer func() { _ = db.Close() }()
	if d.form, err = formOf(ctx, db); err != nil {
		d.form = sealedSince // where even that cannot be read, the newest is tried
	}
	d.form = max(d.form, formByTables(ctx, db)) // the table that says so may itself be damaged
	states, steps := d.salvageStates(ctx, db), d.salvageProgress(ctx, db)
	var kept []KeptJob
	ids := map[string]bool{}
	rows, _ := rowsOf(ctx, db, "jobs")
	for _, row := range rows {
		j, err := salvageJob(ctx, db, d.form, row)
		if err != nil || !j.Whole || ids[j.ID] {
			d.Broken++
			continue
		}
		ids[j.ID] = true
		j.History = states[j.ID]
		if step, there := steps[j.ID]; there {
			j.Step = &step
		}
		kept = append(kept, j)
	}
	d.Whole = len(kept)
	d.saved.Jobs = listOf(kept)
	if shop, err := readShop(ctx, db); err == nil && (d.form < sealedSince || shopWhole(ctx, db)) {
		d.saved.Shop = []byte(shop.body)
	}
	return nil
}

func shopWhole(ctx context.Context, db *sqlx.DB) (whole bool) {
	err := db.GetContext(ctx, &whole, "SELECT seal = '' OR seal = "+shopSeal+" FROM shop")
	return err == nil && whole
}

// formByTables is the form that a database has at least, by the columns of its tables.
func formByTables(ctx context.Context, db *sqlx.DB) (form int64) {
	for _, has := range []struct {
		table, column string
		since         int64
	}{{"jobs", "archived", archivedSince}, {"jobs", "seal", sealedSince}, {"history", "seal", statesSealedSince}} {
		var n int
		if db.GetContext(ctx, &n, "SELECT count(*) FROM pragma_table_info(?) WHERE name = ?", has.table, has.column) == nil && n > 0 {
			form = max(form, has.since)
		}
	}
	return form
}

// salvageStates are the states of all jobs that are as they were stored, by the job, in their order;
// those that are not are counted.
func (d *Damage) salvageStates(ctx context.Context, db *sqlx.DB) map[string][]KeptState {
	list := map[string][]KeptState{}
	if d.form < sealedSince {
		return list
	}
	whole := "1"
	if d.form >= statesSealedSince {
		whole = "seal = '' OR seal = " + stateSeal
	}
	rows, counted := rowsOf(ctx, db, "history")
	read := 0
	for _, row := range rows {
		var r struct {
			Job string `db:"job"`
			stateRow
			Whole bool `db:"whole"`
		}
		err := db.GetContext(ctx, &r, "SELECT job, version, changed, how, body, length(body) AS bytes, "+whole+" AS whole FROM history NOT INDEXED WHERE rowid = ?", row)
		body, err2 := expand(r.Body)
		if err != nil || err2 != nil || !r.Whole || !json.Valid(body) {
			d.States++
			continue
		}
		if slices.ContainsFunc(list[r.Job], func(one KeptState) bool { return one.Version == r.Version }) {
			continue // a page that was written twice
		}
		read++
		list[r.Job] = append(list[r.Job], KeptState{r.Version, r.Changed, r.How, body})
	}
	// The index counts what the table has lost.
	var there int
	if db.GetContext(ctx, &there, "SELECT count(*) FROM history INDEXED BY sqlite_autoindex_history_1") == nil {
		d.States = max(d.States, there-read)
	}
	var found []string
	err := db.SelectContext(ctx, &found, "PRAGMA integrity_check('history')")
	d.Uncounted = !counted || err != nil || len(found) != 1 || found[0] != "ok"
	for _, states := range list {
		slices.SortFunc(states, func(a, b KeptState) int { return cmp.Compare(a.Version, b.Version) })
	}
	return list
}

// salvageProgress is how far one is with each job at the bench, where that is as it was stored.
func (d *Damage) salvageProgress(ctx context.Context, db *sqlx.DB) map[string]int {
	list := map[string]int{}
	if d.form < statesSealedSince {
		return list
	}
	rows, _ := rowsOf(ctx, db, "progress")
	for _, row := range rows {
		var r struct {
			Job   string `db:"job"`
			Step  int    `db:"step"`
			Whole bool   `db:"whole"`
		}
		if err := db.GetContext(ctx, &r, "SELECT job, step, seal = '' OR seal = "+progressSeal+" AS whole FROM progress NOT INDEXED WHERE rowid = ?", row); err == nil && r.Whole {
			list[r.Job] = r.Step
		}
	}
	return list
}

// rowsOf are the rows of a table, and whether they could be counted to the last.
func rowsOf(ctx context.Context, db *sqlx.DB, table string) (rows []int64, counted bool) {
	if db.SelectContext(ctx, &rows, "SELECT rowid FROM "+table+" NOT INDEXED") == nil {
		return rows, true
	}
	// Somewhere it breaks off: one by one, as far as the last one is known.
	rows = nil
	var first, last int64
	if db.GetContext(ctx, &last, "SELECT rowid FROM "+table+" NOT INDEXED ORDER BY rowid DESC LIMIT 1") != nil {
		return nil, false // not even how many there are
	}
	for first = 1; first <= min(last, mostRows); first++ {
		var n int64
		err := db.GetContext(ctx, &n, "SELECT rowid FROM "+table+" NOT INDEXED WHERE rowid = ?", first)
		if err == nil || kindOf(err) == ErrDamaged {
			rows = append(rows, first)
		}
	}
	return rows, false
}

// salvageJob reads one row of a database of some form. Before there were seals, a body that
// can be read counts as whole.
func salvageJob(ctx context.Context, db *sqlx.DB, form, row int64) (KeptJob, error) {
	if form >= sealedSince {
		return keptRow(ctx, db, "rowid = ?", row)
	}
	archived := ""
	if form >= archivedSince {
		archived = "archived, "
	}
	var j KeptJob
	err := db.GetContext(ctx, &j, "SELECT id, place, version, name, created, changed, removed, "+archived+"body, json_valid(body) AS whole FROM jobs NOT INDEXED WHERE rowid = ?", row)
	return j, err
}
