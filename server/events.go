package server

import (
	"encoding/json"
	"fmt"
	"net/http"
	"sync"
	"time"

	"github.com/go-chi/chi/v5"
)

// Event tells a window that something it shows has a newer version.
type Event struct {
	Kind    string `json:"kind"` // "job", "shop" or "jobs", the list
	Version int64  `json:"version"`
}

// events hands each saved change to every window that shows the job.
type events struct {
	mu      sync.Mutex
	windows map[string]map[chan Event]bool // by job; those without one under listed
	done    chan struct{}
	once    sync.Once
}

func newEvents() *events {
	return &events{windows: map[string]map[chan Event]bool{}, done: make(chan struct{})}
}

// close ends every stream, so that the program can stop.
func (e *events) close() { e.once.Do(func() { close(e.done) }) }

// waiting is how many events a slow window may be behind. Dropping more is
// safe: an event carries only a version, and a later one says the same.
const waiting = 8

func (e *events) join(job string) (chan Event, func()) {
	c := make(chan Event, waiting)
	e.mu.Lock()
	defer e.mu.Unlock()
	if e.windows[job] == nil {
		e.windows[job] = map[chan Event]bool{}
	}
	e.windows[job][c] = true
	return c, func() {
		e.mu.Lock()
		defer e.mu.Unlock()
		delete(e.windows[job], c)
		if len(e.windows[job]) == 0 {
			delete(e.windows, job)
		}
	}
}

func (e *events) tell(job string, event Event) {
	e.mu.Lock()
	defer e.mu.Unlock()
	for c := range e.windows[job] {
		offer(c, event)
	}
}

func (e *events) tellAll(event Event) {
	e.mu.Lock()
	defer e.mu.Unlock()
	for _, windows := range e.windows {
		for c := range windows {
			offer(c, event)
		}
	}
}

func offer(c chan Event, event Event) {
	select {
	case c <- event:
	default:
		// Full: make room by dropping the oldest, so that the newest arrives.
		select {
		case <-c:
		default:
		}
		select {
		case c <- event:
		default:
		}
	}
}

// listed stands for the job where a window shows none: the list, the shelf, the
// rules.
const listed = ""

// keepAlive is how often an idle stream says that it is still there.
const keepAlive = 20 * time.Second

// streamJob is the event stream of one job. It begins with the versions as they
// are, so that a window that reconnects learns what it missed.
func (s *Server) streamJob(w http.ResponseWriter, r *http.Request) {
	id := chi.URLParam(r, "id")
	c, leave := s.events.join(id)
	defer leave()
	version, err := s.store.Version(r.Context(), id)
	if err != nil {
		writeProblem(w, http.StatusNotFound, "There is no such job: go back to the list of jobs.")
		return
	}
	s.stream(w, r, c, Event{"job", version})
}

// streamShop is the event stream of the windows that show no job: it tells of the
// shop and of the list.
func (s *Server) streamShop(w http.ResponseWriter, r *http.Request) {
	c, leave := s.events.join(listed)
	defer leave()
	s.stream(w, r, c)
}

// stream sends what it begins with, the shop's version, and then every event until
// the window leaves or the program ends.
func (s *Server) stream(w http.ResponseWriter, r *http.Request, c chan Event, first ...Event) {
	shop, err := s.shop(r.Context())
	if err != nil {
		writeProblem(w, http.StatusInternalServerError, somethingBroke)
		return
	}
	rc := http.NewResponseController(w)
	_ = rc.SetWriteDeadline(time.Time{})
	w.Header().Set("Content-Type", "text/event-stream")
	send := func(e Event) error {
		body, err := json.Marshal(e)
		if err != nil {
			return err
		}
		if _, err := fmt.Fprintf(w, "data: %s\n\n", body); err != nil {
			return err
		}
		return rc.Flush()
	}
	for _, e := range append(first, Event{"shop", shop.Version}) {
		if send(e) != nil {
			return
		}
	}
	tick := time.NewTicker(keepAlive)
	defer tick.Stop()
	for {
		select {
		case e := <-c:
			if send(e) != nil {
				return
			}
		case <-tick.C:
			if _, err := fmt.Fprint(w, ": still here\n\n"); err != nil || rc.Flush() != nil {
				return
			}
		case <-s.events.done:
			return
		case <-r.Context().Done():
			return
		}
	}
}
