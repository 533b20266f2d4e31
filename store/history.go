package store

import (
	"bytes"
	"compress/gzip"
	"context"
	"encoding/json"
	"errors"
	"io"
	"math"
	"reflect"
	"slices"
	"strconv"
	"sync"
	"time"

	"github.com/jmoiron/sqlx"

	"yellowparcel/core/job"
)

// How says by what a job came to a state.
type How string

// The ways.
const (
	Edited   How = "edited"
	Began    How = "began"
	Restored How = "restored" // from a backup
	ReadIn   How = "read in"  // from a file
	Back     How = "back"     // an earlier state, brought back
)

// State is a job as it was at a version.
type State struct {
	Version int64
	Changed string
	How     How
	Job     job.Job
}

type stateRow struct {
	Version int64  `db:"version"`
	Changed string `db:"changed"`
	How     How    `db:"how"`
	Body    []byte `db:"body"`
	Bytes   int    `db:"bytes"`
}

// MostHistory bounds what the earlier states of one job may take, as they are stored.
const MostHistory = 64 << 10

// oneAct is within which time edits of the same fields are one state: somebody is typing.
const oneAct = time.Minute

// History are the states that a job had, the oldest first. One that cannot be read any more
// is left out.
func (s *Store) History(ctx context.Context, id string) ([]State, error) {
	rows, err := states(ctx, s.db, id)
	if err != nil {
		return nil, err
	}
	list := make([]State, 0, len(rows))
	for _, r := range rows {
		state := State{Version: r.Version, Changed: r.Changed, How: r.How}
		if body, err := expand(r.Body); err == nil && json.Unmarshal(body, &state.Job) == nil {
			list = append(list, state)
		}
	}
	return list, nil
}

func states(ctx context.Context, q sqlx.QueryerContext, id string) (rows []stateRow, err error) {
	err = sqlx.SelectContext(ctx, q, &rows, "SELECT version, changed, how, body, length(body) AS bytes FROM history WHERE job = ? ORDER BY version", id)
	return rows, err
}

// outline are the states of a job with the bodies of the last two alone.
func outline(ctx context.Context, q sqlx.QueryerContext, id string) (rows []stateRow, err error) {
	if err := sqlx.SelectContext(ctx, q, &rows, "SELECT version, changed, how, length(body) AS bytes FROM history WHERE job = ? ORDER BY version", id); err != nil {
		return nil, err
	}
	for i := max(0, len(rows)-2); i < len(rows); i++ {
		if err := sqlx.GetContext(ctx, q, &rows[i].Body, "SELECT body FROM history WHERE job = ? AND version = ?", id, rows[i].Version); err != nil {
			return nil, err
		}
	}
	return rows, nil
}

// ErrNoState says that a job has no such state, or that it was thinned out.
var ErrNoState = errors.New("there is no such state")

// BringBack makes a job as it was at a state; what it is now is the state before.
func (s *Store) BringBack(ctx context.Context, id string, from, state int64) (Job, error) {
	return s.change(ctx, id, from, func(tx *sqlx.Tx) error {
		now, err := rowOf(ctx, tx, id)
		if err != nil {
			return err
		}
		var packed []byte
		if err := tx.GetContext(ctx, &packed, "SELECT body FROM history WHERE job = ? AND version = ?", id, state); err != nil {
			return errors.Join(ErrNoState, missing(err))
		}
		body, err := expand(packed)
		if err != nil {
			return errors.Join(ErrNoState, err)
		}
		_, err = tx.ExecContext(ctx, "UPDATE jobs SET name = coalesce(json_extract(?1, '$.name'), ''), body = ?1, version = version + 1, changed = ?2, line = '{}', line_of = '' WHERE id = ?3", string(body), s.stamp(), id)
		if err != nil {
			return err
		}
		return s.note(ctx, tx, id, now, Back)
	})
}

// note keeps the state that a job has come to, in the transaction that brought it there.
// Edits of the same fields within a minute are one state; where all states take more than
// they may, some of the older ones go.
func (s *Store) note(ctx context.Context, tx *sqlx.Tx, id string, before jobRow, how How) error {
	rows, err := outline(ctx, tx, id)
	if err != nil {
		return err
	}
	now, err := rowOf(ctx, tx, id)
	if err != nil {
		return err
	}
	add := func(r jobRow, how How) error {
		body, err := squeeze([]byte(r.Body))
		if err != nil {
			return err
		}
		rows = append(rows, stateRow{r.Version, r.Changed, how, body, len(body)})
		_, err = tx.ExecContext(ctx, "INSERT INTO history (job, version, changed, how, body) VALUES (?, ?, ?, ?, ?)", id, r.Version, r.Changed, string(how), body)
		return err
	}
	drop := func(at int) error {
		_, err := tx.ExecContext(ctx, "DELETE FROM history WHERE job = ? AND version = ?", id, rows[at].Version)
		rows = slices.Delete(rows, at, at+1)
		return err
	}
	// What was there before there was a history is its beginning.
	if len(rows) == 0 && before.Body != "" {
		if err := add(before, Began); err != nil {
			return err
		}
	}
	if n := len(rows); how == Edited && n > 1 && rows[n-1].How == Edited && goesOn(rows[n-2], rows[n-1], now) {
		if err := drop(n - 1); err != nil {
			return err
		}
	}
	if err := add(now, how); err != nil {
		return err
	}
	for at := thinnest(rows, MostHistory); at >= 0; at = thinnest(rows, MostHistory) {
		if err := drop(at); err != nil {
			return err
		}
	}
	return sealStates(ctx, tx, id)
}

// goesOn reports whether an edit goes on with the last one: soon after it, and of nothing
// but the fields that it changed.
func goesOn(before, last stateRow, now jobRow) bool {
	at, err := time.Parse(time.RFC3339Nano, last.Changed)
	then, err2 := time.Parse(time.RFC3339Nano, now.Changed)
	if err != nil || err2 != nil || then.Sub(at).Abs() > oneAct {
		return false
	}
	old, err := expand(before.Body)
	mid, err2 := expand(last.Body)
	if err != nil || err2 != nil {
		return false
	}
	was, is := differing(old, mid), differing(mid, []byte(now.Body))
	for path := range is {
		if !was[path] {
			return false
		}
	}
	return true
}

// differing are the paths at which two bodies differ; where a whole entry came or went it is
// the path of its list.
func differing(a, b []byte) map[string]bool {
	paths := map[string]bool{}
	x, err := tree(a)
	y, err2 := tree(b)
	if err != nil || err2 != nil {
		return map[string]bool{"": true}
	}
	compare(x, y, "", paths)
	return paths
}

func compare(a, b any, at string, into map[string]bool) {
	x, xs := a.(map[string]any)
	y, ys := b.(map[string]any)
	if xs && ys {
		for key, v := range x {
			compare(v, y[key], at+"."+key, into)
		}
		for key, v := range y {
			if _, both := x[key]; !both {
				compare(nil, v, at+"."+key, into)
			}
		}
		return
	}
	l, ls := a.([]any)
	m, ms := b.([]any)
	if ls && ms && len(l) == len(m) {
		for i := range l {
			compare(l[i], m[i], at+"."+strconv.Itoa(i), into)
		}
		return
	}
	if !reflect.DeepEqual(a, b) {
		into[at] = true
	}
}

// newestKept is how many of the newest states are never thinned while the bound allows.
const newestKept = 8

// thinnest is the place of the state to do without, where all of them take more than they
// may; -1 where they do not. It is the one that lies closest between its neighbours for its
// age, so that what is left lies the closer the newer it is; the first state and the newest
// ones come last.
func thinnest(rows []stateRow, most int) int {
	total := 0
	for _, r := range rows {
		total += r.Bytes
	}
	n := len(rows)
	if total <= most || n == 0 {
		return -1
	}
	at := func(i int) float64 {
		t, _ := time.Parse(time.RFC3339Nano, rows[i].Changed)
		return float64(t.UnixMilli())
	}
	best, least := -1, 0.0
	for i := 1; i < n-newestKept; i++ {
		gap := math.Abs(at(i+1)-at(i-1)) / (1 + math.Abs(at(n-1)-at(i))) // a clock may go back
		if best < 0 || gap < least {
			best, least = i, gap
		}
	}
	if best >= 0 {
		return best
	}
	return 0
}

// squeezers are writers that compress; one is much larger than what it writes, so each is
// used again.
var squeezers = sync.Pool{New: func() any { return gzip.NewWriter(nil) }}

// squeeze compresses a body; expand is the way back.
func squeeze(body []byte) ([]byte, error) {
	var out bytes.Buffer
	w := squeezers.Get().(*gzip.Writer)
	defer squeezers.Put(w)
	w.Reset(&out)
	if _, err := w.Write(body); err != nil {
		return nil, err
	}
	if err := w.Close(); err != nil {
		return nil, err
	}
	return out.Bytes(), nil
}

// mostBody bounds a body that is expanded; no job is larger.
const mostBody = 4 << 20

func expand(body []byte) ([]byte, error) {
	r, err := gzip.NewReader(bytes.NewReader(body))
	if err != nil {
		return nil, err
	}
	return io.ReadAll(io.LimitReader(r, mostBody))
}
