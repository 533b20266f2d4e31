// Package server is the web side: chi routes over the store and core/plan, one
// file per resource, and the embedded front end.
//
// Lengths travel as integer nanometres, errors as RFC 9457 problem JSON with the
// path of the field. It works nothing out itself: what it sends is a plan.
package server

import (
	"bytes"
	"context"
	"encoding/json"
	"errors"
	"fmt"
	"log/slog"
	"net"
	"net/http"
	"runtime"
	"strings"
	"sync"
	"sync/atomic"
	"time"

	"github.com/danielgtaylor/huma/v2"
	"github.com/danielgtaylor/huma/v2/adapters/humachi"
	"github.com/go-chi/chi/v5"
	"github.com/go-chi/chi/v5/middleware"
	"golang.org/x/sync/semaphore"

	"yellowparcel/core/job"
	"yellowparcel/device"
	"yellowparcel/store"
)

// Server answers for one store.
type Server struct {
	sample *job.Shop // what a first start may put on its shelf
	store  *store.Store
	events *events
	lister lister
	log    *slog.Logger
	// searchSteps is what a long search may use.
	searchSteps int
	// now tells the day, bench the devices at the table.
	now    func() time.Time
	bench  bench
	api    huma.API
	router chi.Router

	// damage is what is wrong with the stored data; nil where nothing is. Opened is closed
	// when there is a store, repairing held while one is made.
	damage    atomic.Pointer[store.Damage]
	opened    chan struct{}
	repairing sync.Mutex
	seed      func(*store.Store) error
	// backupTrouble is why the last daily backup could not be made.
	backupTrouble atomic.Pointer[error]
	// silence is mostSilence, answerWithin how long a request waits for an act outside the program before it
	// says that this goes on; tests make both short.
	silence, answerWithin time.Duration
	// outside are acts at the devices; running ends when the program does.
	outside outside
	running context.Context
	stop    context.CancelFunc
	// searches lets one long search run at a time.
	searches *semaphore.Weighted
	// planners lets so many plans be made at once; who comes first is first.
	planners *semaphore.Weighted
}

// mostSilence is how long a client may read nothing of an answer before it is let go.
const mostSilence = 30 * time.Second

// mostAwaited is how long a request waits for an act outside the program: well within mostSilence.
const mostAwaited = 15 * time.Second

// maxBody bounds what a request may send; a job is a few kilobytes.
const maxBody = 1 << 20

// New builds the server. The simulated devices behave as asked; extra hosts are names, besides those of this machine,
// under which it may be called.
func New(s *store.Store, log *slog.Logger, devices Devices, hosts ...string) *Server {
	srv := &Server{store: s, events: newEvents(), lister: newLister(), log: log, searchSteps: longSearch, now: time.Now, bench: newBench(devices), opened: make(chan struct{}), silence: mostSilence, answerWithin: mostAwaited, searches: semaphore.NewWeighted(1), planners: semaphore.NewWeighted(int64(runtime.NumCPU()))}
	srv.running, srv.stop = context.WithCancel(context.Background())
	if s != nil {
		close(srv.opened)
	}
	r := chi.NewRouter()
	r.Use(oneStatus, answerInTime(func() time.Duration { return srv.silence }), srv.recoverer, middleware.CleanPath, onlyHosts(hosts), safeHeaders, sameOrigin, srv.whileDamaged, middleware.Compress(compression, compressed...))
	r.NotFound(srv.page)
	r.MethodNotAllowed(func(w http.ResponseWriter, r *http.Request) {
		writeProblem(w, http.StatusMethodNotAllowed, fmt.Sprintf("%s is not possible on %s.", r.Method, r.URL.Path))
	})
	srv.router = r
	srv.api = humachi.New(r, apiConfig())
	srv.jobRoutes()
	srv.listRoutes()
	srv.lineRoutes()
	srv.planRoutes()
	srv.shopRoutes()
	sampleRoutes(srv)
	calibrationRoutes(srv)
	srv.outlineRoutes()
	templateRoutes(srv)
	srv.ruleRoutes()
	srv.deviceRoutes()
	cutterRoutes(srv, devices)
	srv.eventRoutes()
	srv.cuttingRoutes()
	srv.damageRoutes()
	srv.troubleRoutes()
	srv.backupRoutes()
	srv.historyRoutes()
	srv.exchangeRoutes()
	srv.fileRoutes()
	worksheetRoutes(srv)
	printRoutes(srv)
	srv.removedRoutes()
	return srv
}

// compression is how hard answers are compressed: lightly, since somebody waits for
// them. Streams are not, since each of their lines is wanted at once.
const compression = 4

// compressed are the kinds of answers that get smaller by it.
var compressed = []string{"application/json", "application/problem+json", "application/schema+json", "text/html", "text/css", "text/javascript", "application/javascript", "image/svg+xml"}

// Of huma these two are values of the whole program: set once, since servers may be made side by side.
func init() {
	huma.DefaultArrayNullable = false
	huma.NewErrorWithContext = problemWithContext
}

func apiConfig() huma.Config {
	c := huma.DefaultConfig("Yellow Parcel", "1")
	c.OpenAPIPath, c.DocsPath, c.SchemasPath, c.CreateHooks = "", "", "", nil
	return c
}

// OpenAPI returns the document that describes the API, as JSON in lines that a diff can
// show; the front end's types are made from it.
func OpenAPI() ([]byte, error) {
	raw, err := New(nil, slog.New(slog.DiscardHandler), Devices{Behave: device.Steady}).api.OpenAPI().MarshalJSON()
	if err != nil {
		return nil, err
	}
	var lines bytes.Buffer
	if err := json.Indent(&lines, raw, "", " "); err != nil {
		return nil, err
	}
	lines.WriteByte('\n')
	return lines.Bytes(), nil
}

// Handler returns the whole site.
func (s *Server) Handler() http.Handler { return s.router }

// Serve answers on the listener until the context ends, then lets requests
// finish for a moment. What has not finished by then, such as a connection that
// a browser opened in advance, is cut off: that is no failure, since every act
// is one transaction.
func (s *Server) Serve(ctx context.Context, l net.Listener) error {
	hs := &http.Server{
		Handler:           s.router,
		ReadHeaderTimeout: 5 * time.Second,
		ReadTimeout:       30 * time.Second,
		WriteTimeout:      s.silence,
		IdleTimeout:       2 * time.Minute,
		MaxHeaderBytes:    64 << 10,
		ErrorLog:          slog.NewLogLogger(s.log.Handler(), slog.LevelWarn),
	}
	hs.RegisterOnShutdown(s.events.close)
	defer s.stop()
	background, stop := context.WithCancel(ctx)
	var work sync.WaitGroup
	for _, keep := range []func(context.Context){s.keepLines, s.keepBackups, s.keepWatch} {
		work.Go(func() {
			select {
			case <-s.opened:
				keep(background)
			case <-background.Done():
			}
		})
	}
	defer work.Wait()
	defer stop()
	done := make(chan error, 1)
	go func() { done <- hs.Serve(l) }()
	select {
	case err := <-done:
		return err
	case <-ctx.Done():
	}
	grace, cancel := context.WithTimeout(context.Background(), 3*time.Second)
	defer cancel()
	if err := hs.Shutdown(grace); !errors.Is(err, context.DeadlineExceeded) {
		return err
	}
	return hs.Close()
}

// oneStatus lets a second status be: huma notes one when a browser has left before
// the answer was written, which is nothing to warn of.
func oneStatus(next http.Handler) http.Handler {
	return http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
		next.ServeHTTP(middleware.NewWrapResponseWriter(w, r.ProtoMajor), r)
	})
}

// answerInTime lets an answer that took long to make be read as long as any other: the time to read it
// counts from its first byte.
func answerInTime(silence func() time.Duration) func(http.Handler) http.Handler {
	return func(next http.Handler) http.Handler {
		return http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
			next.ServeHTTP(&timelyWriter{ResponseWriter: w, silence: silence()}, r)
		})
	}
}

// timelyWriter sets a new deadline when its answer begins.
type timelyWriter struct {
	http.ResponseWriter
	silence time.Duration
	begun   bool
}

// Unwrap is for http.ResponseController.
func (w *timelyWriter) Unwrap() http.ResponseWriter { return w.ResponseWriter }

// WriteHeader begins the answer.
func (w *timelyWriter) WriteHeader(status int) {
	w.begin()
	w.ResponseWriter.WriteHeader(status)
}

func (w *timelyWriter) Write(b []byte) (int, error) {
	w.begin()
	return w.ResponseWriter.Write(b)
}

// Flush sends what was written so far.
func (w *timelyWriter) Flush() {
	w.begin()
	_ = http.NewResponseController(w.ResponseWriter).Flush()
}

func (w *timelyWriter) begin() {
	if !w.begun {
		w.begun = true
		_ = http.NewResponseController(w.ResponseWriter).SetWriteDeadline(time.Now().Add(w.silence))
	}
}

// onlyHosts refuses requests that were sent to another name, so that a page
// elsewhere cannot point its own name at this machine.
func onlyHosts(more []string) func(http.Handler) http.Handler {
	allowed := map[string]bool{"localhost": true}
	for _, h := range more {
		allowed[strings.ToLower(h)] = true
	}
	return func(next http.Handler) http.Handler {
		return http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
			host := r.Host
			if h, _, err := net.SplitHostPort(host); err == nil {
				host = h
			}
			host = strings.Trim(strings.ToLower(host), "[]")
			if ip := net.ParseIP(host); !allowed[host] && (ip == nil || !ip.IsLoopback()) {
				writeProblem(w, http.StatusForbidden, fmt.Sprintf("This program does not answer to the name “%.80s”: open it as http://127.0.0.1 with its port.", host))
				return
			}
			next.ServeHTTP(w, r)
		})
	}
}

// sameOrigin refuses writes that another site's page sends.
func sameOrigin(next http.Handler) http.Handler {
	guard := http.NewCrossOriginProtection()
	guard.SetDenyHandler(http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
		writeProblem(w, http.StatusForbidden, "A page of another site may not change anything here: use the program's own window.")
	}))
	return guard.Handler(next)
}

// safeHeaders tell the browser what the pages never do. The page's own policy
// is set where its nonce is made.
func safeHeaders(next http.Handler) http.Handler {
	return http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
		h := w.Header()
		h.Set("X-Content-Type-Options", "nosniff")
		h.Set("Referrer-Policy", "no-referrer")
		h.Set("X-Frame-Options", "DENY")
		h.Set("Cross-Origin-Resource-Policy", "same-origin")
		h.Set("Cross-Origin-Opener-Policy", "same-origin")
		h.Set("Content-Security-Policy", "default-src 'none'")
		if strings.HasPrefix(r.URL.Path, "/api/") {
			h.Set("Cache-Control", "no-store")
		}
		next.ServeHTTP(w, r)
	})
}

func (s *Server) recoverer(next http.Handler) http.Handler {
	return http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
		defer func() {
			if v := recover(); v != nil && v != http.ErrAbortHandler {
				s.log.Error("a request failed", "path", r.URL.Path, "panic", v)
				writeProblem(w, http.StatusInternalServerError, somethingBroke)
			}
		}()
		next.ServeHTTP(w, r)
	})
}
