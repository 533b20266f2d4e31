package server

import (
	"bufio"
	"bytes"
	"context"
	"encoding/json"
	"io"
	"log/slog"
	"net"
	"net/http"
	"net/http/httptest"
	"strings"
	"testing"
	"time"

	"yellowparcel/core/field"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/demo"
	"yellowparcel/device"
	"yellowparcel/store"
)

// site is a server over a store of its own.
type site struct {
	*httptest.Server
	t   *testing.T
	srv *Server
	db  *store.Store
}

func newSite(t *testing.T) site { return newSiteWith(t, device.Steady) }

func newSiteWith(t *testing.T, behave device.Behaviour) site {
	t.Helper()
	db, err := store.Open(t.TempDir())
	if err != nil {
		t.Fatal(err)
	}
	if err := db.Seed(context.Background(), demo.Shop(), demo.Jobs()); err != nil {
		t.Fatal(err)
	}
	srv := New(db, slog.New(slog.DiscardHandler), Devices{Behave: behave})
	srv.searchSteps = 400_000
	s := site{httptest.NewServer(srv.Handler()), t, srv, db}
	t.Cleanup(func() {
		srv.events.close()
		s.Close()
		_ = db.Close()
	})
	return s
}

// ask sends a body as JSON and reads the answer into into; it returns the status.
func (s site) ask(method, path string, body, into any) int {
	s.t.Helper()
	raw, err := json.Marshal(body)
	if err != nil {
		s.t.Fatal(err)
	}
	req, err := http.NewRequest(method, s.URL+path, bytes.NewReader(raw))
	if err != nil {
		s.t.Fatal(err)
	}
	req.Header.Set("Content-Type", "application/json")
	res, err := http.DefaultClient.Do(req)
	if err != nil {
		s.t.Fatal(err)
	}
	defer func() { _ = res.Body.Close() }()
	answer, err := io.ReadAll(res.Body)
	if err != nil {
		s.t.Fatal(err)
	}
	if into != nil {
		if err := json.Unmarshal(answer, into); err != nil {
			s.t.Fatalf("%s %s: %v: %s", method, path, err, answer)
		}
	}
	return res.StatusCode
}

func (s site) first() JobBody {
	s.t.Helper()
	list := s.list()
	if len(list) != len(demo.Jobs()) {
		s.t.Fatalf("%d jobs are listed", len(list))
	}
	var j JobBody
	if s.ask("GET", "/api/jobs/"+list[0].ID, nil, &j) != 200 {
		s.t.Fatal("the first job cannot be read")
	}
	return j
}

type saveJob struct {
	Version int64   `json:"version"`
	Job     job.Job `json:"job"`
}

type problem struct {
	Status int
	Detail string
	Errors []struct{ Message, Location string }
}

func TestPlanAnswersEditsAndProblems(t *testing.T) {
	s := newSite(t)
	j := s.first().Job
	var got PlanBody
	status := s.ask("POST", "/api/plan", map[string]any{"job": j, "edits": []field.Edit{{Act: field.Type, Path: "card.width", Text: "6"}, {Act: field.Type, Path: "card.height", Text: "six"}}}, &got)
	if status != 200 || got.Job.Card.Width != 6*measure.Inch || len(got.Problems) != 1 || got.Problems[0].Path != "card.height" {
		t.Errorf("%d: %+v", status, got.Problems)
	}
	if got.Plan.Ticket[0].Value != "6 × 5 3⁄8" {
		t.Errorf("the plan is of another card: %s", got.Plan.Ticket[0].Value)
	}
	j.Card.Width = 1
	var p problem
	if status := s.ask("POST", "/api/plan", map[string]any{"job": j, "edits": []field.Edit{}}, &p); status != 422 || len(p.Errors) == 0 || p.Errors[0].Location != "body.job.card.width" {
		t.Errorf("a job of a width that is none: %d %+v", status, p)
	}
}

func TestSavesCarryVersions(t *testing.T) {
	s := newSite(t)
	j := s.first()
	mine := j.Job
	mine.Name = "Mine"
	var saved JobBody
	if status := s.ask("PUT", "/api/jobs/"+j.ID, saveJob{j.Version, mine}, &saved); status != 200 || saved.Version != j.Version+1 {
		t.Fatalf("%d, version %d", status, saved.Version)
	}
	mine.Name = "Late"
	var p problem
	if status := s.ask("PUT", "/api/jobs/"+j.ID, saveJob{j.Version, mine}, &p); status != 409 || !strings.Contains(p.Detail, "another window") {
		t.Errorf("a late save: %d %+v", status, p)
	}
	if now := s.first(); now.Job.Name != "Mine" {
		t.Errorf("the job is now %q", now.Job.Name)
	}
	// A window that is left without an answer sends what it did last along; what cannot be used
	// is left out.
	edits := []field.Edit{{Act: field.Type, Path: "card.width", Text: "6 1/4"}, {Act: field.Type, Path: "card.height", Text: "5 1/"}, {Act: field.Type, Path: "name", Text: "Last"}}
	body := map[string]any{"version": saved.Version, "job": mine, "edits": edits}
	if status := s.ask("PUT", "/api/jobs/"+j.ID, body, &saved); status != 200 || saved.Job.Name != "Last" || saved.Job.Card.Width != 25*measure.Inch/4 || saved.Job.Card.Height != mine.Card.Height {
		t.Errorf("a save with edits: %d, %+v", status, saved.Job.Card)
	}
	if now := s.first(); now.Job.Name != "Last" {
		t.Errorf("the job is now %q", now.Job.Name)
	}
	mine.Card.Fold = "fan"
	if status := s.ask("PUT", "/api/jobs/"+j.ID, saveJob{saved.Version, mine}, &p); status != 422 || p.Errors[0].Location != "body.job.card.fold" {
		t.Errorf("a job folded like a fan: %d %+v", status, p)
	}
	if shop := s.edit(field.Edit{Act: field.Set, Path: "unit", Text: "ft"}); len(shop.Problems) != 1 || shop.Version != 1 {
		t.Errorf("a shop in feet: %+v, version %d", shop.Problems, shop.Version)
	}
	shop := s.edit(field.Edit{Act: field.Set, Path: "unit", Text: "mm"}, field.Edit{Act: field.Type, Path: "tools.cornerAt", Text: "-12"})
	if len(shop.Problems) > 0 || shop.Version != 2 || shop.Shop.Tools.CornerAt != -12*measure.Millimetre {
		t.Errorf("a shop in millimetres: %+v %+v", shop.Problems, shop.Shop.Tools)
	}
}

// edit edits the shop and returns it.
func (s site) edit(edits ...field.Edit) ShopBody {
	s.t.Helper()
	var body ShopBody
	if status := s.ask("PATCH", "/api/shop", map[string]any{"edits": append([]field.Edit{}, edits...)}, &body); status != 200 {
		s.t.Fatalf("the shop answers an edit with %d", status)
	}
	return body
}

func TestCopyRemovePutBack(t *testing.T) {
	s := newSite(t)
	j := s.first()
	var made JobBody
	if status := s.ask("POST", "/api/jobs", map[string]string{"copyOf": j.ID}, &made); status != 201 || made.Job.Name != "Copy of "+j.Job.Name {
		t.Errorf("%d %+v", status, made.Job.Name)
	}
	var p problem
	if status := s.ask("POST", "/api/jobs", map[string]string{"copyOf": "nothing"}, &p); status != 404 {
		t.Errorf("a copy of nothing: %d", status)
	}
	var gone JobBody
	if status := s.ask("PUT", "/api/jobs/"+made.ID+"/removed", map[string]any{"version": 1, "removed": true}, &gone); status != 200 || !gone.Removed {
		t.Errorf("%d %+v", status, gone)
	}
	if n := len(s.list()); n != len(demo.Jobs()) {
		t.Errorf("%d jobs are listed", n)
	}
	if status := s.ask("PUT", "/api/jobs/"+made.ID+"/removed", map[string]any{"version": gone.Version, "removed": false}, &gone); status != 200 || gone.Removed {
		t.Errorf("%d %+v", status, gone)
	}
}

func TestEventStream(t *testing.T) {
	s := newSite(t)
	j := s.first()
	ctx, cancel := context.WithTimeout(context.Background(), 10*time.Second)
	defer cancel()
	req, err := http.NewRequestWithContext(ctx, "GET", s.URL+"/api/events", nil)
	if err != nil {
		t.Fatal(err)
	}
	res, err := http.DefaultClient.Do(req)
	if err != nil {
		t.Fatal(err)
	}
	defer func() { _ = res.Body.Close() }()
	lines := bufio.NewScanner(res.Body)
	next := func() Event {
		t.Helper()
		for lines.Scan() {
			if body, ok := strings.CutPrefix(lines.Text(), "data: "); ok {
				var e Event
				if err := json.Unmarshal([]byte(body), &e); err != nil {
					t.Fatal(err)
				}
				return e
			}
		}
		t.Fatal("the stream ended")
		return Event{}
	}
	if e := next(); e != (Event{"shop", "", 1}) {
		t.Errorf("the stream begins with %+v", e)
	}
	if status := s.ask("PUT", "/api/jobs/"+j.ID, saveJob{j.Version, j.Job}, nil); status != 200 {
		t.Fatal(status)
	}
	if e := next(); e != (Event{"job", j.ID, j.Version + 1}) {
		t.Errorf("a save is told as %+v", e)
	}
}

// A browser that does not read never holds up the others, and learns that it has to look at everything.
func TestSlowWindow(t *testing.T) {
	e := newEvents()
	c, leave := e.join()
	for v := range int64(waiting + 10) {
		e.tell(Event{"job", "a", v})
	}
	var heard []Event
	for len(c) > 0 {
		heard = append(heard, <-c)
	}
	if len(heard) != 10 || heard[0].Kind != "everything" || heard[9].Version != waiting+9 {
		t.Errorf("it hears %+v", heard)
	}
	leave()
	if len(e.browsers) != 0 {
		t.Errorf("%d browsers are left", len(e.browsers))
	}
}

func TestHeaders(t *testing.T) {
	s := newSite(t)
	res, err := http.Get(s.URL + "/api/jobs")
	if err != nil {
		t.Fatal(err)
	}
	for name, want := range map[string]string{"X-Content-Type-Options": "nosniff", "Cache-Control": "no-store", "X-Frame-Options": "DENY", "Content-Security-Policy": "default-src 'none'"} {
		t.Run(name, func(t *testing.T) {
			if got := res.Header.Get(name); got != want {
				t.Errorf("%s: %q, want %q", name, got, want)
			}
		})
	}
	for range 2 {
		page, err := http.Get(s.URL + "/jobs/x/card")
		if err != nil {
			t.Fatal(err)
		}
		body, _ := io.ReadAll(page.Body)
		policy := page.Header.Get("Content-Security-Policy")
		_, rest, _ := strings.Cut(policy, "'nonce-")
		nonce, _, _ := strings.Cut(rest, "'")
		if len(nonce) < 20 || !bytes.Contains(body, []byte(nonce)) || bytes.Contains(body, []byte(nonceMark)) || strings.Contains(policy, "unsafe") || strings.Contains(policy, "http") {
			t.Errorf("policy %q", policy)
		}
	}
	if res, err := http.Get(s.URL + "/assets/none.js"); err != nil || res.StatusCode != 404 {
		t.Errorf("a missing asset: %v, %v", res.StatusCode, err)
	}
}

func TestServeStops(t *testing.T) {
	db, err := store.Open(t.TempDir())
	if err != nil {
		t.Fatal(err)
	}
	defer func() { _ = db.Close() }()
	l, err := net.Listen("tcp", "127.0.0.1:0")
	if err != nil {
		t.Fatal(err)
	}
	ctx, cancel := context.WithCancel(context.Background())
	done := make(chan error, 1)
	go func() { done <- New(db, slog.New(slog.DiscardHandler), Devices{Behave: device.Steady}).Serve(ctx, l) }()
	if _, err := http.Get("http://" + l.Addr().String() + "/api/jobs"); err != nil {
		t.Fatal(err)
	}
	// A browser that opened a connection and has asked nothing yet does not
	// make stopping a failure.
	early, err := net.Dial("tcp", l.Addr().String())
	if err != nil {
		t.Fatal(err)
	}
	defer func() { _ = early.Close() }()
	cancel()
	select {
	case err := <-done:
		if err != nil {
			t.Error(err)
		}
	case <-time.After(10 * time.Second):
		t.Error("the server does not stop")
	}
}

func TestOpenAPIIsStable(t *testing.T) {
	one, err := OpenAPI()
	if err != nil {
		t.Fatal(err)
	}
	two, err := OpenAPI()
	if err != nil || !bytes.Equal(one, two) {
		t.Errorf("two documents differ: %v", err)
	}
}

// leaver is a browser that leaves while the answer is written.
type leaver struct {
	header   http.Header
	statuses []int
	leave    context.CancelFunc
}

func (l *leaver) Header() http.Header    { return l.header }
func (l *leaver) WriteHeader(status int) { l.statuses = append(l.statuses, status) }
func (l *leaver) Write([]byte) (int, error) {
	l.leave()
	return 0, io.ErrClosedPipe
}

// A browser that leaves before it is answered gets one status, and nothing is
// warned of.
func TestLeavingIsNoFault(t *testing.T) {
	s := newSite(t)
	ctx, leave := context.WithCancel(context.Background())
	l := &leaver{header: http.Header{}, leave: leave}
	r := httptest.NewRequest("GET", "http://127.0.0.1/api/jobs", nil).WithContext(ctx)
	s.Config.Handler.ServeHTTP(l, r)
	if len(l.statuses) != 1 || l.statuses[0] != 200 {
		t.Errorf("statuses %v", l.statuses)
	}
}
