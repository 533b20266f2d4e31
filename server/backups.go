package server

import (
	"context"
	"errors"
	"fmt"
	"net/http"
	"reflect"
	"slices"
	"strings"
	"time"

	"github.com/danielgtaylor/huma/v2"

	"yellowparcel/core/say"
	"yellowparcel/store"
)

// BackupBody is a backup as it travels.
type BackupBody struct {
	Name string `json:"name"`
	// Made is when, in words of the day; Why what for.
	Made string `json:"made"`
	Why  string `json:"why"`
	// Holds says what is in it, Trouble why it cannot be used where it cannot.
	Holds   string `json:"holds"`
	Size    string `json:"size"`
	Trouble string `json:"trouble"`
}

// BackupsBody is the page of the backups.
type BackupsBody struct {
	Backups []BackupBody `json:"backups"`
	// Rule says how long they are kept, Dir where.
	Rule string `json:"rule"`
	Dir  string `json:"dir"`
	// Trouble says why the last daily backup could not be made.
	Trouble string `json:"trouble"`
}

// InsideBody is what is in a backup: the jobs that are another now, and how many are the
// same.
type InsideBody struct {
	Jobs []InBackup `json:"jobs"`
	Same int        `json:"same"`
	// New says which jobs were made since; empty for none.
	New string `json:"new"`
}

// InBackup is a job in a backup, beside what it is now.
type InBackup struct {
	ID      string `json:"id"`
	Name    string `json:"name"`
	Changed string `json:"changed"`
	// Now says what became of it since.
	Now string `json:"now"`
}

// CameBody says what was done by a restore or a file that was read in.
type CameBody struct {
	Text string `json:"text"`
}

var whyWords = map[store.Why]string{
	store.Daily: "daily", store.BeforeUpgrade: "before an upgrade", store.BeforeImport: "before a file was read in", store.BeforeRestore: "before a restore", store.Asked: "asked for",
}

func backupBody(b store.Backup, now time.Time) BackupBody {
	body := BackupBody{Name: b.Name, Made: whenWords(b.Made.Format(time.RFC3339Nano), now), Why: whyWords[b.Why], Size: sizeWords(b.Bytes)}
	if !b.Whole {
		body.Trouble = "This backup cannot be used: " + b.Trouble + "."
		return body
	}
	body.Holds = Holds(b)
	return body
}

// Holds says what is in a backup.
func Holds(b store.Backup) string {
	if !b.Whole {
		return "cannot be used: " + b.Trouble
	}
	text := say.Plural(b.Jobs, "job") + fmt.Sprintf(", %d on the shelf", b.Papers)
	if b.Removed > 0 {
		text += fmt.Sprintf(", %d removed", b.Removed)
	}
	return text
}

func sizeWords(bytes int64) string {
	if bytes >= 1<<30 {
		return fmt.Sprintf("%.1f GB", float64(bytes)/(1<<30))
	}
	if bytes >= 1<<20 {
		return fmt.Sprintf("%.1f MB", float64(bytes)/(1<<20))
	}
	return fmt.Sprintf("%d kB", (bytes+1023)>>10)
}

// ruleWords says how long backups are kept.
var ruleWords = fmt.Sprintf("Kept: all of today, one of each of the last %d days, %d weeks and %d months, together at most %s. The newest whole one and those you made by hand always stay.",
	store.DaysKept, store.WeeksKept, store.MonthsKept, strings.Replace(sizeWords(store.MostBackups), ".0", "", 1))

// Came says what came of a restore or a file.
func Came(done string, c store.Came) string {
	var parts []string
	for _, p := range []struct {
		n    int
		what string
	}{{c.Added, "added"}, {c.Changed, "taken from it"}, {c.Same, "the same already"}, {c.Gone, "made since, now among the removed"}} {
		if p.n > 0 {
			parts = append(parts, say.Plural(p.n, "job")+" "+p.what)
		}
	}
	if c.Papers > 0 {
		parts = append(parts, fmt.Sprintf("%d added to the shelf", c.Papers))
	}
	if len(parts) == 0 {
		parts = append(parts, "there was nothing new in it")
	}
	text := done + ": " + say.And(parts) + "."
	if n := len(c.LeftOut); n > 0 {
		text += fmt.Sprintf(" %s could not be opened and %s left out: %s.", say.Capital(say.Plural(n, "job")), map[bool]string{true: "was", false: "were"}[n == 1], say.And(c.LeftOut[:min(n, mostLeftOut)]))
	}
	return text
}

// mostLeftOut is how many jobs that were left out are named.
const mostLeftOut = 5

// backupFailed turns an error of a backup into an answer.
func (s *Server) backupFailed(err error) error {
	switch {
	case errors.Is(err, store.ErrNoBackup):
		return huma.Error404NotFound("There is no such backup any more: reload the page.")
	case errors.Is(err, store.ErrDamaged):
		return huma.Error422UnprocessableEntity(say.Capital(err.Error()) + ".")
	}
	return s.failed(err)
}

// everythingChanged tells every window that all may be another now.
func (s *Server) everythingChanged(ctx context.Context) {
	s.lister.stale()
	if shop, err := s.shop(ctx); err == nil {
		s.events.tell(Event{Kind: "shop", Version: shop.Version})
	}
	s.events.tell(Event{Kind: "everything"})
}

func (s *Server) backupRoutes() {
	type named struct {
		Name string `path:"name" maxLength:"100"`
	}
	huma.Register(s.api, huma.Operation{OperationID: "listBackups", Method: http.MethodGet, Path: "/api/backups", Summary: "The backups, the newest first, each with what is in it"},
		func(ctx context.Context, _ *struct{}) (*struct{ Body BackupsBody }, error) {
			list, err := s.store.Backups().List(ctx)
			if err != nil {
				return nil, s.failed(err)
			}
			body := BackupsBody{Backups: []BackupBody{}, Rule: ruleWords, Dir: s.store.Dir()}
			for _, b := range list {
				body.Backups = append(body.Backups, backupBody(b, s.now()))
			}
			if err := s.backupTrouble.Load(); err != nil && *err != nil {
				body.Trouble = "The daily backup could not be made: " + reason(*err) + "."
			}
			return &struct{ Body BackupsBody }{body}, nil
		})
	huma.Register(s.api, huma.Operation{OperationID: "backUp", Method: http.MethodPost, Path: "/api/backups", DefaultStatus: http.StatusCreated, Summary: "Make a backup now"},
		func(ctx context.Context, _ *struct{}) (*struct{ Body BackupBody }, error) {
			b, err := s.store.Backups().Make(ctx, store.Asked)
			if err != nil {
				return nil, s.backupFailed(err)
			}
			return &struct{ Body BackupBody }{backupBody(b, s.now())}, nil
		})
	huma.Register(s.api, huma.Operation{OperationID: "restore", Method: http.MethodPost, Path: "/api/backups/{name}/restore", Summary: "Make everything as it was in a backup, after a backup of what is here"},
		func(ctx context.Context, in *named) (*struct{ Body CameBody }, error) {
			came, err := s.store.Backups().Restore(ctx, in.Name)
			if err != nil {
				return nil, s.backupFailed(err)
			}
			s.everythingChanged(ctx)
			return &struct{ Body CameBody }{CameBody{Came("Restored", came)}}, nil
		})
	huma.Register(s.api, huma.Operation{OperationID: "lookInBackup", Method: http.MethodGet, Path: "/api/backups/{name}/jobs", Summary: "The jobs of a backup, beside what they are now"},
		func(ctx context.Context, in *named) (*struct{ Body InsideBody }, error) {
			list, err := s.store.Backups().Jobs(ctx, in.Name)
			if err != nil {
				return nil, s.backupFailed(err)
			}
			body := InsideBody{Jobs: []InBackup{}}
			for _, j := range slices.Backward(list) {
				b := InBackup{ID: j.ID, Name: j.Name, Changed: whenWords(j.Changed, s.now())}
				if b.Now, err = sinceWords(ctx, s.store, j); err != nil {
					return nil, s.failed(err)
				}
				if b.Now == "" {
					body.Same++
				} else {
					body.Jobs = append(body.Jobs, b)
				}
			}
			if body.New, err = newWords(ctx, s.store, list); err != nil {
				return nil, s.failed(err)
			}
			return &struct{ Body InsideBody }{body}, nil
		})
	huma.Register(s.api, huma.Operation{OperationID: "restoreJob", Method: http.MethodPost, Path: "/api/backups/{name}/jobs/{id}", Summary: "Make one job as it was in a backup; what it is now stays in its history"},
		func(ctx context.Context, in *struct {
			JobID
			Name string `path:"name" maxLength:"100"`
		},
		) (*jobOut, error) {
			j, err := s.store.Backups().RestoreJob(ctx, in.Name, in.ID)
			if err != nil {
				return nil, s.backupFailed(err)
			}
			s.lister.stale()
			return s.changed(j), nil
		})
}

// newWords says which jobs were made since a backup.
func newWords(ctx context.Context, db *store.Store, of []store.KeptJob) (string, error) {
	count, names := 0, []string{}
	err := db.EachJob(ctx, func(j store.Job) bool {
		if !slices.ContainsFunc(of, func(k store.KeptJob) bool { return k.ID == j.ID }) {
			if count++; len(names) < mostNamed {
				names = append(names, "“"+j.Job.Name+"”")
			}
		}
		return true
	})
	switch more := count - len(names); {
	case count == 0:
		return "", err
	case more > 0:
		return fmt.Sprintf("New since: %s and %d more.", strings.Join(names, ", "), more), err
	}
	return fmt.Sprintf("New since: %s.", say.And(names)), err
}

// sinceWords says what became of a job of a backup.
func sinceWords(ctx context.Context, db *store.Store, j store.KeptJob) (string, error) {
	now, err := db.Job(ctx, j.ID)
	unreadable := store.ErrUnreadable{}
	switch {
	case errors.Is(err, store.ErrMissing):
		return "not here", nil
	case errors.As(err, &unreadable):
		return "cannot be read now", nil
	case err != nil:
		return "", err
	case now.Removed && j.Removed == nil:
		return "removed since", nil
	}
	if was, err := j.Read(); err != nil || !reflect.DeepEqual(was, now.Job) {
		return "changed since", nil
	}
	return "", nil
}
