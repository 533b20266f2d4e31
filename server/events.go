package server

import (
	"context"
	"net/http"
	"reflect"
	"sync"
	"time"

	"github.com/danielgtaylor/huma/v2"
)

// Event tells a window that something it shows has a newer version; of the bench the version is
// the step that lies open.
type Event struct {
	Kind    string `json:"kind" enum:"job,shop,jobs,trouble,bench"` // jobs is the list
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

func (e *events) join(j string) (chan Event, func()) {
	c := make(chan Event, waiting)
	e.mu.Lock()
	defer e.mu.Unlock()
	if e.windows[j] == nil {
		e.windows[j] = map[chan Event]bool{}
	}
	e.windows[j][c] = true
	return c, func() {
		e.mu.Lock()
		defer e.mu.Unlock()
		delete(e.windows[j], c)
		if len(e.windows[j]) == 0 {
			delete(e.windows, j)
		}
	}
}

func (e *events) tell(j string, event Event) {
	e.mu.Lock()
	defer e.mu.Unlock()
	for c := range e.windows[j] {
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

// shown are the jobs that a window shows.
func (e *events) shown() (ids []string) {
	e.mu.Lock()
	defer e.mu.Unlock()
	for id := range e.windows {
		if id != listed {
			ids = append(ids, id)
		}
	}
	return ids
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

const (
	eventStream = "text/event-stream"
	jsonLines   = "application/x-ndjson"
)

// eventRoutes are the event streams. Each begins with the versions as they are, so
// that a window that reconnects learns what it missed.
func (s *Server) eventRoutes() {
	op := func(id, path, summary string) huma.Operation {
		return s.streamed(huma.Operation{OperationID: id, Method: http.MethodGet, Path: path, Summary: summary}, eventStream, reflect.TypeFor[Event]())
	}
	huma.Register(s.api, op("followJob", "/api/jobs/{id}/events", "What becomes of a job and of the shop"),
		func(ctx context.Context, in *struct {
			ID string `path:"id" maxLength:"40"`
		},
		) (*huma.StreamResponse, error) {
			c, leave := s.events.join(in.ID)
			version, err := s.store.Version(ctx, in.ID)
			if err != nil {
				leave()
				return nil, s.failed(err)
			}
			return s.follow(ctx, c, leave, Event{"job", version})
		})
	huma.Register(s.api, op("followShop", "/api/events", "What becomes of the shop and of the list of jobs"),
		func(ctx context.Context, _ *struct{}) (*huma.StreamResponse, error) {
			c, leave := s.events.join(listed)
			return s.follow(ctx, c, leave)
		})
}

// follow sends what it begins with, the shop's version, and then every event until
// the window leaves or the program ends.
func (s *Server) follow(ctx context.Context, c chan Event, leave func(), first ...Event) (*huma.StreamResponse, error) {
	shop, err := s.shop(ctx)
	if err != nil {
		leave()
		return nil, s.failed(err)
	}
	return &huma.StreamResponse{Body: func(hc huma.Context) {
		defer leave()
		out := newStream(hc, eventStream, "data: ", "\n\n")
		for _, e := range append(first, Event{"shop", shop.Version}) {
			if out.send(e) != nil {
				return
			}
		}
		tick := time.NewTicker(keepAlive)
		defer tick.Stop()
		for {
			select {
			case e := <-c:
				if out.send(e) != nil {
					return
				}
			case <-tick.C:
				if out.write(": still here\n\n") != nil {
					return
				}
			case <-s.events.done:
				return
			case <-hc.Context().Done():
				return
			}
		}
	}}, nil
}
