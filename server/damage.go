package server

import (
	"context"
	"errors"
	"fmt"
	"net/http"
	"strings"
	"time"

	"github.com/danielgtaylor/huma/v2"

	"yellowparcel/core/say"
	"yellowparcel/store"
)

// DamageBody says what is wrong with the stored data and what can be done.
type DamageBody struct {
	// Damaged is false where nothing is.
	Damaged bool   `json:"damaged"`
	What    string `json:"what"`
	Missing bool   `json:"missing"`
	// Dir is the data directory; the damaged file stays in it.
	Dir string `json:"dir"`
	// Whole and Broken are the jobs that can be read and those that cannot.
	Whole  int `json:"whole"`
	Broken int `json:"broken"`
	// States are the earlier states of jobs that cannot be read.
	States    int          `json:"states"`
	Uncounted bool         `json:"uncounted"`
	Backups   []BackupBody `json:"backups"`
}

// NewDamaged builds a server for data that is damaged: it offers what can be done and nothing
// else, until something was chosen. Seed is what a database that is begun anew is filled with.
func NewDamaged(s *Server, d *store.Damage, seed func(*store.Store) error) *Server {
	s.damage.Store(d)
	s.seed = seed
	return s
}

const damagedWords = "The stored data is damaged or missing, and nothing can be read or saved before you choose what to go on with: reload this page."

// whileDamaged answers nothing but what is said of the damage; any page leads to it.
func (s *Server) whileDamaged(next http.Handler) http.Handler {
	return http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
		switch {
		case s.damage.Load() == nil || r.URL.Path == "/api/damage":
			next.ServeHTTP(w, r)
		case strings.HasPrefix(r.URL.Path, "/api/"):
			writeProblem(w, http.StatusServiceUnavailable, damagedWords)
		case r.URL.Path != repairPage && !strings.Contains(r.URL.Path[1:], "."):
			http.Redirect(w, r, repairPage, http.StatusTemporaryRedirect)
		default:
			next.ServeHTTP(w, r)
		}
	})
}

// repairPage is where it is chosen what to go on with.
const repairPage = "/repair"

func (s *Server) damageRoutes() {
	huma.Register(s.api, huma.Operation{OperationID: "getDamage", Method: http.MethodGet, Path: "/api/damage", Summary: "What is wrong with the stored data, if anything is"},
		func(_ context.Context, _ *struct{}) (*struct{ Body DamageBody }, error) {
			return &struct{ Body DamageBody }{damageBody(s.damage.Load(), s.now())}, nil
		})
	huma.Register(s.api, huma.Operation{OperationID: "repair", Method: http.MethodPost, Path: "/api/damage", MaxBodyBytes: maxBody, Summary: "Go on with what is chosen; the damaged data is kept"},
		func(ctx context.Context, in *struct {
			Body struct {
				Choice store.Choice `json:"choice" enum:"together,backup,left,anew"`
				Backup string       `json:"backup,omitempty" maxLength:"100"`
			}
		},
		) (*struct{ Body DamageBody }, error) {
			s.repairing.Lock()
			defer s.repairing.Unlock()
			d := s.damage.Load()
			if d == nil {
				return &struct{ Body DamageBody }{damageBody(s.damage.Load(), s.now())}, nil // another window chose already
			}
			db, err := d.Repair(ctx, in.Body.Choice, in.Body.Backup)
			if err == nil {
				err = s.seed(db)
			}
			var still *store.Damage
			switch {
			case errors.As(err, &still):
				s.damage.Store(still)
				return nil, huma.NewError(http.StatusConflict, fmt.Sprintf("That did not help: %v. Choose something else.", still.What))
			case errors.Is(err, store.ErrNoBackup):
				return nil, huma.Error404NotFound("There is no such backup any more: choose another.")
			case err != nil:
				return nil, s.failed(err)
			}
			s.open(db)
			return &struct{ Body DamageBody }{damageBody(s.damage.Load(), s.now())}, nil
		})
}

func damageBody(d *store.Damage, now time.Time) DamageBody {
	if d == nil {
		return DamageBody{Backups: []BackupBody{}}
	}
	body := DamageBody{Damaged: true, What: say.Capital(d.What), Missing: d.Missing, Dir: d.Dir(), Whole: d.Whole, Broken: d.Broken, States: d.States, Uncounted: d.Uncounted, Backups: []BackupBody{}}
	for _, b := range d.Backups {
		body.Backups = append(body.Backups, backupBody(b, now))
	}
	return body
}

// open goes on with a store that was opened, and wakes what works in the background.
func (s *Server) open(db *store.Store) {
	s.store = db
	s.damage.Store(nil)
	close(s.opened)
}

// Close closes the store that it went on with.
func (s *Server) Close() error {
	if d := s.damage.Load(); d != nil {
		return d.Close()
	}
	return s.store.Close()
}

// Advertise says to a second program on the same data where this one is open.
func (s *Server) Advertise(url string) error {
	if d := s.damage.Load(); d != nil {
		return d.Advertise(url)
	}
	return s.store.Advertise(url)
}

// TroubleBody says what is wrong with where the data lies; empty where nothing is.
type TroubleBody struct {
	Text string `json:"text"`
}

// goneWords say what can be done where the data directory is gone while the program runs.
const goneWords = "The data directory was moved or deleted while the program runs. Put it back, or write everything to a file under Backups before you stop the program."

func (s *Server) troubleRoutes() {
	huma.Register(s.api, huma.Operation{OperationID: "getTrouble", Method: http.MethodGet, Path: "/api/trouble", Summary: "What is wrong with where the data lies, if anything is"},
		func(_ context.Context, _ *struct{}) (*struct{ Body TroubleBody }, error) {
			var body TroubleBody
			if errors.Is(s.store.CheckPresent(), store.ErrGone) {
				body.Text = goneWords
			}
			return &struct{ Body TroubleBody }{body}, nil
		})
}

// watchEvery is how often it is looked whether the data is still where it was.
const watchEvery = 2 * time.Second

// keepWatch tells every window when the data directory goes, and when it is back.
func (s *Server) keepWatch(ctx context.Context) {
	tick := time.NewTicker(watchEvery)
	defer tick.Stop()
	gone := false
	for {
		select {
		case <-tick.C:
		case <-ctx.Done():
			return
		}
		if now := errors.Is(s.store.CheckPresent(), store.ErrGone); now != gone {
			if gone = now; gone {
				s.log.Error(goneWords)
			}
			s.events.tell(Event{Kind: "trouble"})
		}
	}
}

// backupEvery is how often it is looked whether the daily backup is due.
const backupEvery = 20 * time.Minute

// keepBackups makes the daily backup when it is due, until the context ends.
func (s *Server) keepBackups(ctx context.Context) {
	tick := time.NewTicker(backupEvery)
	defer tick.Stop()
	for {
		_, err := s.store.Backups().MakeIfDue(ctx)
		if err != nil && ctx.Err() == nil {
			s.log.Error("the daily backup could not be made", "error", err)
		}
		if ctx.Err() == nil {
			s.backupTrouble.Store(&err)
		}
		select {
		case <-tick.C:
		case <-ctx.Done():
			return
		}
	}
}
