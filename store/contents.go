package store

import (
	"cmp"
	"context"
	"database/sql"
	"encoding/json"
	"errors"
	"fmt"
	"iter"
	"maps"
	"reflect"
	"slices"
	"time"

	"github.com/jmoiron/sqlx"

	"yellowparcel/core/job"
)

// Contents is all that somebody keeps, wherever it comes from: this database, a backup, what
// could be read of a damaged one, a file.
type Contents struct {
	// Shop is the body of the shop; nil where there is none.
	Shop json.RawMessage
	Jobs iter.Seq2[KeptJob, error]
}

// KeptJob is a job with all that is kept of it, as it is stored.
type KeptJob struct {
	ID       string          `json:"id" db:"id"`
	Place    int64           `json:"place" db:"place"`
	Version  int64           `json:"version" db:"version"`
	Name     string          `json:"-" db:"name"`
	Created  string          `json:"created" db:"created"`
	Changed  string          `json:"changed" db:"changed"`
	Removed  *string         `json:"removed,omitempty" db:"removed"`
	Archived *string         `json:"archived,omitempty" db:"archived"`
	Body     string          `json:"-" db:"body"`
	Job      json.RawMessage `json:"job" db:"-"`
	History  []KeptState     `json:"history,omitempty" db:"-"`
	// Step is how far one is with it at the bench; nil where that is not kept, as in a file.
	Step *int `json:"-" db:"-"`

	// Whole is false for a row of a damaged database that is not as it was stored.
	Whole bool `json:"-" db:"whole"`
	// leftOut is set for one that could not be opened here.
	leftOut bool
}

// KeptState is a state of a job's history.
type KeptState struct {
	Version int64           `json:"version"`
	Changed string          `json:"changed"`
	How     How             `json:"how"`
	Job     json.RawMessage `json:"job"`
}

// keptColumns are the columns of a KeptJob; a row without a seal counts as whole.
const keptColumns = "id, place, version, name, created, changed, removed, archived, body, seal = '' OR seal = " + jobSeal + " AS whole"

// contentsOf are all jobs and the shop of a database; jobs are read as they are asked for.
func contentsOf(ctx context.Context, db *sqlx.DB) (c Contents, err error) {
	shop, err := readShop(ctx, db)
	if err != nil && !errors.Is(err, ErrMissing) {
		return c, err
	}
	if shop.body != "" {
		c.Shop = json.RawMessage(shop.body)
	}
	var ids []string
	if err := db.SelectContext(ctx, &ids, "SELECT id FROM jobs ORDER BY place, id"); err != nil {
		return c, err
	}
	c.Jobs = func(yield func(KeptJob, error) bool) {
		for _, id := range ids {
			if j, err := keptJob(ctx, db, "id = ?", id); !yield(j, err) || err != nil {
				return
			}
		}
	}
	return c, nil
}

// keptJob reads one job whole, with its history.
func keptJob(ctx context.Context, db sqlx.QueryerContext, where string, arg any) (j KeptJob, err error) {
	if j, err = keptRow(ctx, db, where, arg); err != nil {
		return j, err
	}
	if err := j.readHistory(ctx, db); err != nil {
		return j, err
	}
	var step int
	switch err := sqlx.GetContext(ctx, db, &step, "SELECT step FROM progress WHERE job = ?", j.ID); {
	case err == nil:
		j.Step = &step
	case !errors.Is(err, sql.ErrNoRows):
		return j, err
	}
	return j, nil
}

// keptRow is a job without its history.
func keptRow(ctx context.Context, db sqlx.QueryerContext, where string, arg any) (j KeptJob, err error) {
	err = sqlx.GetContext(ctx, db, &j, "SELECT "+keptColumns+" FROM jobs WHERE "+where, arg)
	j.Job = json.RawMessage(j.Body)
	return j, err
}

func (j *KeptJob) readHistory(ctx context.Context, db sqlx.QueryerContext) error {
	rows, err := states(ctx, db, j.ID)
	if err != nil {
		return err
	}
	for _, r := range rows {
		if body, err := expand(r.Body); err == nil && json.Valid(body) {
			j.History = append(j.History, KeptState{r.Version, r.Changed, r.How, body})
		}
	}
	return nil
}

// Came says what became of contents that were taken over.
type Came struct {
	// Added, Changed and Same are jobs; Gone those that were not in the contents, and lie
	// among the removed ones now.
	Added, Changed, Same, Gone int
	// Papers is how many entries came to the shelf.
	Papers int
	// LeftOut are the jobs of a file that could not be opened here, each with the reason.
	LeftOut []string
}

// Replace makes everything as it is in the contents, all or nothing. Nothing is lost by it:
// a job that is not in them is put among the removed ones, what it was before is the step
// before in its history, and an entry of the shelf that is not in them is put away.
func (s *Store) Replace(ctx context.Context, from Contents, how How) (Came, error) {
	var came Came
	err := s.within(ctx, func(tx *sqlx.Tx) (err error) {
		came, err = s.replace(ctx, tx, from, how)
		return err
	})
	return came, err
}

func (s *Store) replace(ctx context.Context, tx *sqlx.Tx, from Contents, how How) (came Came, err error) {
	seen := map[string]bool{}
	for j, err := range from.Jobs {
		if err != nil {
			return came, err
		}
		seen[j.ID] = true
		if err := s.takeJob(ctx, tx, j, how, true, &came); err != nil {
			return came, err
		}
	}
	var here []string
	if err := tx.SelectContext(ctx, &here, "SELECT id FROM jobs WHERE removed IS NULL"); err != nil {
		return came, err
	}
	for _, id := range here {
		if seen[id] {
			continue
		}
		came.Gone++
		if _, err := tx.ExecContext(ctx, "UPDATE jobs SET removed = ?, version = version + 1 WHERE id = ?", s.stamp(), id); err != nil {
			return came, err
		}
		if err := sealJob(ctx, tx, id); err != nil {
			return came, err
		}
	}
	return came, s.takeShop(ctx, tx, from.Shop, true, &came)
}

// Add takes over what is missing here, and each job that was changed later there than here;
// all else stays as it is. What a job was before is a step back in its history.
func (s *Store) Add(ctx context.Context, from Contents, how How) (Came, error) {
	var came Came
	err := s.within(ctx, func(tx *sqlx.Tx) error {
		for j, err := range from.Jobs {
			if err != nil {
				return err
			}
			if err := s.takeJob(ctx, tx, j, how, false, &came); err != nil {
				return err
			}
		}
		return s.takeShop(ctx, tx, from.Shop, false, &came)
	})
	return came, err
}

// takeJob takes over one job. A job that is here already is left alone where it is the same,
// or, unless all is to be replaced, where it was changed later here.
func (s *Store) takeJob(ctx context.Context, tx *sqlx.Tx, j KeptJob, how How, all bool, came *Came) error {
	if j.leftOut {
		return nil // what is here by its ID stays
	}
	now, err := keptJob(ctx, tx, "id = ?", j.ID)
	if errors.Is(err, sql.ErrNoRows) {
		came.Added++
		return insertKept(ctx, tx, j, statesSealedSince)
	}
	if err != nil {
		return err
	}
	same := now.Body == j.Body && (now.Removed == nil) == (j.Removed == nil) && (now.Archived == nil) == (j.Archived == nil)
	if same || !all && now.Changed >= j.Changed {
		came.Same++
		return nil
	}
	came.Changed++
	// A window that shows it has to see that it is another one.
	_, err = tx.ExecContext(ctx, `UPDATE jobs SET version = ?, name = ?, body = ?, changed = ?, removed = ?, archived = ?, line = '{}', line_of = '' WHERE id = ?`,
		max(now.Version, j.Version)+1, j.Name, j.Body, j.Changed, j.Removed, j.Archived, j.ID)
	if err != nil {
		return err
	}
	if now.Body != j.Body {
		if err := s.note(ctx, tx, j.ID, now.row(), how); err != nil {
			return err
		}
	}
	if all && j.Step != nil {
		if err := setProgress(ctx, tx, j.ID, *j.Step, s.stamp()); err != nil {
			return err
		}
	}
	return sealJob(ctx, tx, j.ID)
}

// Read is the job itself.
func (j KeptJob) Read() (job.Job, error) {
	read, err := j.row().job()
	return read.Job, err
}

func (j KeptJob) row() jobRow {
	return jobRow{ID: j.ID, Version: j.Version, Changed: j.Changed, Body: j.Body}
}

// insertKept stores a job as it is kept, with its history, at its place or the end, in a database of
// some form.
func insertKept(ctx context.Context, tx *sqlx.Tx, j KeptJob, form int64) error {
	_, err := tx.ExecContext(ctx, `INSERT INTO jobs (id, place, version, name, body, created, changed, removed, archived)
		VALUES (?, CASE WHEN EXISTS (SELECT 1 FROM jobs WHERE place = ?) THEN (SELECT max(place) + 1 FROM jobs) ELSE ? END, ?, ?, ?, ?, ?, ?, ?)`,
		j.ID, j.Place, j.Place, j.Version, j.Name, j.Body, j.Created, j.Changed, j.Removed, j.Archived)
	if err != nil {
		return fmt.Errorf("the job %s cannot be stored: %w", j.ID, err)
	}
	for _, h := range j.History {
		body, err := squeeze(h.Job)
		if err != nil {
			return err
		}
		if _, err := tx.ExecContext(ctx, "INSERT INTO history (job, version, changed, how, body) VALUES (?, ?, ?, ?, ?)", j.ID, h.Version, h.Changed, string(h.How), body); err != nil {
			return err
		}
	}
	if form >= statesSealedSince {
		if err := sealStates(ctx, tx, j.ID); err != nil {
			return err
		}
		if j.Step != nil {
			if err := setProgress(ctx, tx, j.ID, *j.Step, j.Changed); err != nil {
				return err
			}
		}
	}
	return sealJob(ctx, tx, j.ID)
}

// takeShop takes over the shelf: whole, with what only stands here put away, or only the
// entries that are missing here.
func (s *Store) takeShop(ctx context.Context, tx *sqlx.Tx, body json.RawMessage, all bool, came *Came) error {
	if body == nil {
		return nil
	}
	var there job.Shop
	if err := json.Unmarshal(body, &there); err != nil {
		return fmt.Errorf("the shelf in it cannot be read: %w", err)
	}
	now, err := readShop(ctx, tx)
	if err != nil && !errors.Is(err, ErrMissing) {
		return err
	}
	fresh, unknown := string(body), []byte(body)
	if err == nil {
		onto, other := now.Shop.Clone(), there.Clone()
		if all {
			onto, other = other, onto.PutAway(s.now().Format(time.DateOnly))
		} else {
			unknown = []byte(now.body)
		}
		added := onto.TakeEntries(other)
		if !all {
			came.Papers = added
		}
		made, err := json.Marshal(onto)
		if err != nil {
			return err
		}
		fresh = string(keepUnknown(unknown, made, reflect.TypeFor[job.Shop]()))
		if sameJSON(now.body, fresh) {
			return nil
		}
	}
	_, err = tx.ExecContext(ctx, `INSERT INTO shop (id, version, body, changed) VALUES (1, 1, ?, ?)
		ON CONFLICT (id) DO UPDATE SET version = version + 1, body = excluded.body, changed = excluded.changed`, fresh, s.stamp())
	if err != nil {
		return err
	}
	return sealShop(ctx, tx)
}

func sameJSON(a, b string) bool {
	x, err := tree([]byte(a))
	y, err2 := tree([]byte(b))
	return err == nil && err2 == nil && reflect.DeepEqual(x, y)
}

// together are what could be read of a damaged database and a backup: of each job the later
// version, with every state of its history that either has.
func together(read, backup Contents) Contents {
	c := Contents{Shop: read.Shop}
	if c.Shop == nil {
		c.Shop = backup.Shop
	}
	c.Jobs = func(yield func(KeptJob, error) bool) {
		left := map[string]KeptJob{}
		for j, err := range read.Jobs {
			if err != nil {
				yield(j, err)
				return
			}
			left[j.ID] = j
		}
		for j, err := range backup.Jobs {
			if mine, here := left[j.ID]; err == nil && here {
				later, other := mine, j
				if j.Version > mine.Version {
					later, other = j, mine
				}
				later.History = bothHistories(later.History, other.History)
				if later.Step == nil {
					later.Step = other.Step
				}
				j = later
			}
			delete(left, j.ID)
			if !yield(j, err) || err != nil {
				return
			}
		}
		for _, id := range slices.Sorted(maps.Keys(left)) {
			if !yield(left[id], nil) {
				return
			}
		}
	}
	return c
}

// bothHistories are the states that either of two histories has, by their versions.
func bothHistories(a, b []KeptState) []KeptState {
	all := slices.Clone(a)
	for _, h := range b {
		if !slices.ContainsFunc(a, func(one KeptState) bool { return one.Version == h.Version }) {
			all = append(all, h)
		}
	}
	slices.SortFunc(all, func(x, y KeptState) int { return cmp.Compare(x.Version, y.Version) })
	return all
}

// listOf are jobs that are in hand already, as contents have them.
func listOf(jobs []KeptJob) iter.Seq2[KeptJob, error] {
	return func(yield func(KeptJob, error) bool) {
		for _, j := range jobs {
			if !yield(j, nil) {
				return
			}
		}
	}
}
