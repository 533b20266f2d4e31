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
	"net/http/httptest"
	"os"
	"path/filepath"
	"slices"
	"strings"
	"sync"
	"testing"
	"time"

	"yellowparcel/core/field"
	"yellowparcel/demo"
	"yellowparcel/device"
	"yellowparcel/store"
)

// detail is the sentence of a problem.
func (s site) detail(method, path string, body any) (status int, detail string) {
	s.t.Helper()
	var p struct{ Detail string }
	status = s.ask(method, path, body, &p)
	return status, p.Detail
}

// What the disk refuses is said for what it is, under a status that a window tries again;
// nothing is said to be safe that is not known to be.
func TestTroubleIsSaid(t *testing.T) {
	s := newSite(t)
	for _, c := range []struct {
		err    error
		status int
		says   string
	}{
		{store.ErrFull, 507, "Nothing was stored: the disk is full."},
		{fmt.Errorf("at the backups: %w", store.ErrReadOnly), 503, "can only be read"},
		{store.ErrGone, 503, "moved or deleted"},
		{store.ErrDisk, 503, "gave an error"},
		{store.ErrDamaged, 503, "damaged. Stop the program and start it again"},
		{os.ErrPermission, 503, "can only be read"},
		{errors.New("anything else"), 500, somethingBroke},
	} {
		var got interface {
			error
			GetStatus() int
		}
		if !errors.As(s.srv.failed(c.err), &got) || got.GetStatus() != c.status || !strings.Contains(got.Error(), c.says) {
			t.Errorf("%v: %v", c.err, got)
		}
	}
}

// A file that is not there is 404; an address of a page is the page.
func TestUnknownFiles(t *testing.T) {
	s := newSite(t)
	for path, want := range map[string]int{"/favicon.png": 404, "/assets/gone.js": 404, "/assets/gone": 404, "/a/b.txt": 404, "/api/nothing": 404, "/jobs/1/card": 200, "/backups": 200} {
		if got := s.ask(http.MethodGet, path, nil, nil); got != want {
			t.Errorf("%s: %d, want %d", path, got, want)
		}
	}
}

// A client that reads none of its answers is let go; others are served meanwhile.
func TestClientThatNeverReads(t *testing.T) {
	db, err := store.Open(t.TempDir())
	if err != nil {
		t.Fatal(err)
	}
	defer func() { _ = db.Close() }()
	if err := db.Seed(t.Context(), demo.Shop(), demo.Jobs()); err != nil {
		t.Fatal(err)
	}
	srv := New(db, slog.New(slog.DiscardHandler), Devices{Behave: device.Steady})
	srv.silence = 300 * time.Millisecond
	l, err := net.Listen("tcp", "127.0.0.1:0")
	if err != nil {
		t.Fatal(err)
	}
	ctx, stop := context.WithCancel(t.Context())
	served := make(chan error, 1)
	go func() { served <- srv.Serve(ctx, l) }()
	conn, err := net.Dial("tcp", l.Addr().String())
	if err != nil {
		t.Fatal(err)
	}
	defer func() { _ = conn.Close() }()
	// It asks and asks. Once nothing more goes into the buffers between the two the server waits
	// for it, and then closes the connection: what is sent after that fails.
	letGo := false
	for end := time.Now().Add(60 * time.Second); !letGo && time.Now().Before(end); {
		_ = conn.SetWriteDeadline(time.Now().Add(20 * time.Millisecond))
		_, err := fmt.Fprintf(conn, "GET /api/shop HTTP/1.1\r\nHost: 127.0.0.1\r\n\r\n")
		timeout := net.Error(nil)
		letGo = err != nil && !(errors.As(err, &timeout) && timeout.Timeout())
	}
	if !letGo {
		t.Error("it is waited for still")
	}
	res, err := http.Get("http://" + l.Addr().String() + "/api/shop")
	if err != nil || res.StatusCode != 200 {
		t.Fatal(res, err)
	}
	_ = res.Body.Close()
	stop()
	if err := <-served; err != nil && !errors.Is(err, http.ErrServerClosed) {
		t.Error(err)
	}
}

// Fifty windows plan at once: each gets its answers, none waits much longer than another.
func TestPlannersTakeTurns(t *testing.T) {
	s := newSite(t)
	j := s.first()
	var mu sync.Mutex
	took := make([]time.Duration, 50)
	var work sync.WaitGroup
	for i := range took {
		work.Go(func() {
			began := time.Now()
			for range 3 {
				body := map[string]any{"job": j.Job, "open": "card/base", "edits": []field.Edit{{Act: field.Step, Path: "card.width", Steps: i}}}
				if status := s.ask(http.MethodPost, "/api/plan", body, nil); status != 200 {
					t.Error(status)
				}
			}
			mu.Lock()
			defer mu.Unlock()
			took[i] = time.Since(began)
		})
	}
	work.Wait()
	// Whoever comes before the others have begun waits for nobody: most are held against the last.
	slices.Sort(took)
	if most, last := took[len(took)/4], took[len(took)-1]; last > 4*most+time.Second {
		t.Errorf("three of four waited at least %v, the last %v", most, last)
	}
}

// The history says what was changed; a state is brought back, and one that is not there is
// refused.
func TestHistoryOverTheWire(t *testing.T) {
	s := newSite(t)
	j := s.first()
	was := j.Job.Count
	j.Job.Count = 77
	s.ask(http.MethodPut, "/api/jobs/"+j.ID, map[string]any{"version": j.Version, "job": j.Job}, &j)
	var list []StateBody
	if status := s.ask(http.MethodGet, "/api/jobs/"+j.ID+"/history", nil, &list); status != 200 || len(list) != 2 {
		t.Fatalf("%d, %+v", status, list)
	}
	if want := fmt.Sprintf("Cards to make: 77, was %d", was); !slices.Equal(list[0].What, []string{want}) || list[1].How != "The job begins" {
		t.Errorf("%+v", list)
	}
	at := func(version int64) string { return fmt.Sprintf("/api/jobs/%s/history/%d", j.ID, version) }
	var state StateOut
	if status := s.ask(http.MethodGet, at(list[1].Version), nil, &state); status != 200 || state.Job.Count != was {
		t.Errorf("%d, %+v", status, state)
	}
	if status, detail := s.detail(http.MethodPost, at(999), map[string]any{"version": j.Version}); status != 404 || !strings.Contains(detail, "not kept any more") {
		t.Errorf("%d, %s", status, detail)
	}
	if status := s.ask(http.MethodPost, at(list[1].Version), map[string]any{"version": j.Version - 1}, nil); status != 409 {
		t.Errorf("from an old version: %d", status)
	}
	if status := s.ask(http.MethodPost, at(list[1].Version), map[string]any{"version": j.Version}, &j); status != 200 || j.Job.Count != was {
		t.Errorf("%d, %+v", status, j)
	}
	if status := s.ask(http.MethodGet, "/api/jobs/0000000000000000/history", nil, nil); status != 404 {
		t.Errorf("of no job: %d", status)
	}
}

// While the data is damaged nothing is answered but what can be done about it.
func TestDamagedSite(t *testing.T) {
	dir := t.TempDir()
	db, err := store.Open(dir)
	if err != nil {
		t.Fatal(err)
	}
	if err := db.Seed(t.Context(), demo.Shop(), demo.Jobs()); err != nil {
		t.Fatal(err)
	}
	b, err := db.Backups().Make(t.Context(), store.Asked)
	if err := errors.Join(err, db.Close(), os.Truncate(filepath.Join(dir, "yellow-parcel.db"), 8192)); err != nil {
		t.Fatal(err)
	}
	var d *store.Damage
	if _, err := store.Open(dir); !errors.As(err, &d) {
		t.Fatal(err)
	}
	srv := NewDamaged(New(nil, slog.New(slog.DiscardHandler), Devices{Behave: device.Steady}), d, func(db *store.Store) error { return db.Seed(context.Background(), demo.Shop(), nil) })
	s := siteOf(t, srv)
	if status, detail := s.detail(http.MethodGet, "/api/jobs", nil); status != 503 || !strings.Contains(detail, "damaged") {
		t.Errorf("%d, %s", status, detail)
	}
	var body DamageBody
	if s.ask(http.MethodGet, "/api/damage", nil, &body); !body.Damaged || len(body.Backups) != 1 || body.What == "" {
		t.Errorf("%+v", body)
	}
	if status := s.ask(http.MethodPost, "/api/damage", map[string]string{"choice": "backup", "backup": "none"}, nil); status != 404 {
		t.Error(status)
	}
	if status := s.ask(http.MethodPost, "/api/damage", map[string]string{"choice": "prayer"}, nil); status != 422 {
		t.Error(status)
	}
	if status := s.ask(http.MethodPost, "/api/damage", map[string]string{"choice": "backup", "backup": b.Name}, &body); status != 200 || body.Damaged {
		t.Errorf("%d, %+v", status, body)
	}
	if n := len(s.list()); n != len(demo.Jobs()) {
		t.Errorf("%d jobs", n)
	}
	if err := srv.Close(); err != nil {
		t.Error(err)
	}
}

// siteOf serves a server of its own making.
func siteOf(t *testing.T, srv *Server) site {
	t.Helper()
	h := httptest.NewServer(srv.Handler())
	t.Cleanup(func() {
		srv.events.close()
		h.Close()
	})
	return site{h, t, srv, nil}
}

// What is removed is in one list, the latest first, each by what it is restored with.
func TestRemovedInOneList(t *testing.T) {
	s := newSite(t)
	j := s.first()
	s.ask(http.MethodPut, "/api/jobs/"+j.ID+"/removed", map[string]any{"version": j.Version, "removed": true}, nil)
	s.edit(field.Edit{Act: field.Set, Path: "sheets.0.off", Text: "yes"})
	var list []Removed
	if s.ask(http.MethodGet, "/api/removed", nil, &list); len(list) != 2 || list[0].ID != j.ID || list[0].When != "just now" || list[1].Kind != "sheet size" || list[1].When != "today" {
		t.Fatalf("%+v", list)
	}
	s.edit(field.Edit{Act: field.Set, Path: list[1].Path + ".off", Text: "no"})
	s.ask(http.MethodPut, "/api/jobs/"+j.ID+"/removed", map[string]any{"version": list[0].Version, "removed": false}, nil)
	if s.ask(http.MethodGet, "/api/removed", nil, &list); len(list) != 0 {
		t.Errorf("%+v", list)
	}
}

// Files that are no files of this program are refused with a sentence, and change nothing.
func TestForeignFiles(t *testing.T) {
	s := newSite(t)
	for path, kind := range map[string]string{"/api/everything": "application/zip", "/api/jobs/file": "application/octet-stream"} {
		for _, body := range [][]byte{nil, []byte("<svg/>"), bytes.Repeat([]byte("x"), 5<<20)} {
			res, err := http.Post(s.URL+path, kind, bytes.NewReader(body))
			if err != nil {
				t.Fatal(err)
			}
			var p struct{ Detail string }
			err = json.NewDecoder(res.Body).Decode(&p)
			_ = res.Body.Close()
			if err != nil || res.StatusCode < 400 || res.StatusCode >= 500 || p.Detail == "" {
				t.Errorf("%s with %d bytes: %d %q, %v", path, len(body), res.StatusCode, p.Detail, err)
			}
		}
	}
	if n := len(s.list()); n != len(demo.Jobs()) {
		t.Errorf("%d jobs", n)
	}
}
