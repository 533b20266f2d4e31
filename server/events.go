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
	Kind string `json:"kind" enum:"job,shop,jobs,trouble,bench,everything"` // jobs is the list
	// Job is the one that it is of; empty where it is of none.
	Job     string `json:"job,omitempty"`
	Version int64  `json:"version"`
}

// events hands each saved change to every browser: the one stream that a browser has carries the events
// of all its pages, since it opens no more than six connections at once.
type events struct {
	mu       sync.Mutex
	browsers map[chan Event]bool
	done     chan struct{}
	once     sync.Once
}

func newEvents() *events {
	return &events{browsers: map[chan Event]bool{}, done: make(chan struct{})}
}

// close ends every stream, so that the program can stop.
func (e *events) close() { e.once.Do(func() { close(e.done) }) }

// waiting is how many events a slow browser may be behind. Dropping more is
// safe: a browser that was behind is told to look at everything.
const waiting = 64

func (e *events) join() (chan Event, func()) {
	c := make(chan Event, waiting)
	e.mu.Lock()
	defer e.mu.Unlock()
	e.browsers[c] = true
	return c, func() {
		e.mu.Lock()
		defer e.mu.Unlock()
		delete(e.browsers, c)
	}
}

func (e *events) tell(event Event) {
	e.mu.Lock()
	defer e.mu.Unlock()
	for c := range e.browsers {
		offer(c, event)
	}
}

// offer gives a browser an event. One that is too far behind loses what waits, and is told to look at
// everything anew.
func offer(c chan Event, event Event) {
	select {
	case c <- event:
		return
	default:
	}
	for {
		select {
		case <-c:
			continue
		default:
		}
		break
	}
	c <- Event{Kind: "everything"} // nothing else puts anything in while the lock is held
}

// keepAlive is how often an idle stream says that it is still there.
const keepAlive = 20 * time.Second

const (
	eventStream = "text/event-stream"
	jsonLines   = "application/x-ndjson"
)

// eventRoutes are the event stream. It begins with the shop's version as it is; a browser whose stream
// begins anew looks at what its pages show.
func (s *Server) eventRoutes() {
	op := huma.Operation{OperationID: "followEverything", Method: http.MethodGet, Path: "/api/events", Summary: "What becomes of the shop, of the list and of every job"}
	huma.Register(s.api, s.streamed(op, eventStream, reflect.TypeFor[Event]()), s.follow)
}

// follow sends the shop's version, and then every event until the browser leaves or the program ends.
func (s *Server) follow(ctx context.Context, _ *struct{}) (*huma.StreamResponse, error) {
	c, leave := s.events.join()
	shop, err := s.shop(ctx)
	if err != nil {
		leave()
		return nil, s.failed(err)
	}
	return &huma.StreamResponse{Body: func(hc huma.Context) {
		defer leave()
		out := newStream(hc, eventStream, "data: ", "\n\n")
		if out.send(Event{Kind: "shop", Version: shop.Version}) != nil {
			return
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
