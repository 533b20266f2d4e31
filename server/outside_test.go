package server

import (
	"bytes"
	"context"
	"encoding/json"
	"fmt"
	"io"
	"log/slog"
	"net"
	"net/http"
	"net/http/httptest"
	"strings"
	"sync"
	"sync/atomic"
	"testing"
	"time"

	"yellowparcel/core/field"
	"yellowparcel/core/mat"
	"yellowparcel/demo"
	"yellowparcel/device"
	"yellowparcel/store"
)

// slowCutter is a cutter that takes a while for each mat, and counts them.
type slowCutter struct {
	takes time.Duration
	cuts  atomic.Int32
}

func (c *slowCutter) open() (io.ReadWriteCloser, error) {
	here, there := net.Pipe()
	go func() {
		defer there.Close()
		head := make([]byte, 64<<10)
		if _, err := there.Read(head); err != nil {
			return
		}
		go func() { _, _ = io.Copy(io.Discard, there) }()
		time.Sleep(c.takes)
		c.cuts.Add(1)
		_, _ = fmt.Fprint(there, "pass cut\nline 30 30 60 30 60 60 30 30\ntravel 10\nseconds 1\ndone\n")
	}()
	return here, nil
}

// atTheCutter is a site whose shop has a cutter at a place.
func atTheCutter(t *testing.T, c *slowCutter) site {
	t.Helper()
	db, err := store.Open(t.TempDir())
	if err != nil {
		t.Fatal(err)
	}
	shop := demo.Shop()
	shop.Mats, shop.Tools.Owned.Cutter = mat.Usual(), field.Yes
	if err := db.Seed(context.Background(), shop, demo.Jobs()); err != nil {
		t.Fatal(err)
	}
	srv := New(db, slog.New(slog.DiscardHandler), Devices{Behave: device.Steady, Places: map[string]device.Place{device.CutterID: c.open}})
	s := site{httptest.NewServer(srv.Handler()), t, srv, db}
	t.Cleanup(func() {
		srv.events.close()
		s.Close()
		_ = db.Close()
	})
	return s
}

// A mat is cut once by its act, however often it is sent while the cutter works, also by two windows at
// once; and it is said to be done when it is.
func TestMatIsCutOnce(t *testing.T) {
	t.Parallel()
	c := &slowCutter{takes: 400 * time.Millisecond}
	s := atTheCutter(t, c)
	s.srv.answerWithin = 50 * time.Millisecond
	path := "/api/jobs/" + s.first().ID + "/cutter/mat-1"
	var going, done atomic.Int32
	var windows sync.WaitGroup
	for range 3 {
		windows.Go(func() {
			for range 60 {
				var body CutBody
				if status := s.ask("POST", path, map[string]string{"act": "one"}, &body); status != 200 {
					t.Errorf("status %d", status)
					return
				}
				if !body.Going {
					if body.Cut == nil || body.Message != "" || c.cuts.Load() != 1 {
						t.Errorf("it is said to be done: %+v, cut %d times", body, c.cuts.Load())
					}
					done.Add(1)
					return
				}
				going.Add(1)
			}
		})
	}
	windows.Wait()
	if c.cuts.Load() != 1 || done.Load() != 3 || going.Load() == 0 {
		t.Errorf("cut %d times, told to %d, waited %d times", c.cuts.Load(), done.Load(), going.Load())
	}
	s.srv.answerWithin = 10 * time.Second
	var body CutBody
	s.ask("POST", path, map[string]string{"act": "two"}, &body)
	if body.Cut == nil || c.cuts.Load() != 2 {
		t.Errorf("another act: %+v, cut %d times", body, c.cuts.Load())
	}
	if status := s.ask("POST", path, map[string]string{}, nil); status != 422 {
		t.Errorf("without a name: %d", status)
	}
}

// A window that leaves does not stop the blade in the middle of the paper.
func TestCutGoesOn(t *testing.T) {
	t.Parallel()
	c := &slowCutter{takes: 300 * time.Millisecond}
	s := atTheCutter(t, c)
	ctx, cancel := context.WithTimeout(t.Context(), 60*time.Millisecond)
	defer cancel()
	path := "/api/jobs/" + s.first().ID + "/cutter/mat-1"
	req, err := http.NewRequestWithContext(ctx, "POST", s.URL+path, strings.NewReader(`{"act":"left"}`))
	if err != nil {
		t.Fatal(err)
	}
	req.Header.Set("Content-Type", "application/json")
	if res, err := http.DefaultClient.Do(req); err == nil {
		_ = res.Body.Close()
		t.Fatal("it was answered")
	}
	var body CutBody
	if s.ask("POST", path, map[string]string{"act": "left"}, &body); body.Cut == nil || c.cuts.Load() != 1 {
		t.Errorf("%+v, cut %d times", body, c.cuts.Load())
	}
}

// An answer that takes longer to make than a client may be silent is not cut off: its own time begins
// with its first byte.
func TestLateAnswerIsWhole(t *testing.T) {
	t.Parallel()
	c := &slowCutter{takes: 500 * time.Millisecond}
	s := atTheCutter(t, c)
	s.srv.silence = 150 * time.Millisecond
	l, err := net.Listen("tcp", "127.0.0.1:0")
	if err != nil {
		t.Fatal(err)
	}
	ctx, stop := context.WithCancel(t.Context())
	served := make(chan error, 1)
	go func() { served <- s.srv.Serve(ctx, l) }()
	body, err := http.Post("http://"+l.Addr().String()+"/api/jobs/"+s.first().ID+"/cutter/mat-1", "application/json", strings.NewReader(`{"act":"late"}`))
	if err != nil {
		t.Fatal(err)
	}
	var cut CutBody
	if err := json.NewDecoder(body.Body).Decode(&cut); err != nil || cut.Cut == nil {
		t.Errorf("%+v, %v", cut, err)
	}
	_ = body.Body.Close()
	stop()
	if err := <-served; err != nil {
		t.Error(err)
	}
}

// A caliper that says nothing keeps one window waiting, and fifteen others hear so soon. Set to zero is
// done once by its name.
func TestSilentCaliper(t *testing.T) {
	t.Parallel()
	s := newSiteWith(t, device.Silent)
	j := demo.Jobs()[0]
	var busy, silent atomic.Int32
	began := time.Now()
	var windows sync.WaitGroup
	for range 16 {
		windows.Go(func() {
			var taken TakenBody
			s.ask("POST", "/api/devices/caliper/read", map[string]any{"job": j}, &taken)
			switch {
			case strings.Contains(taken.Message, "Another window"):
				busy.Add(1)
			case strings.Contains(taken.Message, "silent"):
				silent.Add(1)
			}
		})
	}
	windows.Wait()
	if took := time.Since(began); busy.Load() != 15 || silent.Load() != 1 || took > 8*time.Second {
		t.Errorf("%d are told that another window is at it, %d that it is silent, in %v", busy.Load(), silent.Load(), took)
	}
}

// Long searches run one after the other, and say that they wait; one that its window gave up does not
// hold up the next.
func TestSearchesWaitInTurn(t *testing.T) {
	t.Parallel()
	s := newSite(t)
	if err := s.srv.searches.Acquire(t.Context(), 1); err != nil {
		t.Fatal(err)
	}
	j := s.first().Job
	j.Count = 37
	raw, err := json.Marshal(map[string]any{"job": j, "stock": "cover-100", "sheet": "letter"})
	if err != nil {
		t.Fatal(err)
	}
	search := func(ctx context.Context) *http.Response {
		req, err := http.NewRequestWithContext(ctx, "POST", s.URL+"/api/cutting", bytes.NewReader(raw))
		if err != nil {
			t.Fatal(err)
		}
		req.Header.Set("Content-Type", "application/json")
		res, err := http.DefaultClient.Do(req)
		if err != nil {
			t.Fatal(err)
		}
		return res
	}
	givenUp, giveUp := context.WithCancel(t.Context())
	first, second := search(givenUp), search(t.Context())
	for _, res := range []*http.Response{first, second} {
		var line CuttingLine
		if err := json.NewDecoder(res.Body).Decode(&line); err != nil || !line.Waits {
			t.Errorf("%+v, %v", line, err)
		}
	}
	giveUp()
	_ = first.Body.Close()
	s.srv.searches.Release(1)
	var last CuttingLine
	for lines := json.NewDecoder(second.Body); ; {
		line := CuttingLine{}
		if lines.Decode(&line) != nil {
			break
		}
		last = line
	}
	_ = second.Body.Close()
	if last.Plan == nil {
		t.Errorf("it ends with %+v", last)
	}
}

// An act on the shelf that is sent again is done once, and answered as the first time; a save whose answer
// was lost is the window's own.
func TestLostAnswers(t *testing.T) {
	t.Parallel()
	s := newSite(t)
	edits := []field.Edit{{Act: field.Type, Path: "tools.notchDepth", Text: "1/4"}}
	var versions [3]int64
	for i := range versions {
		var body ShopBody
		if status := s.ask("PATCH", "/api/shop", map[string]any{"act": "one", "edits": edits}, &body); status != 200 || len(body.Problems) > 0 {
			t.Fatalf("%d: %+v", status, body.Problems)
		}
		versions[i] = body.Version
	}
	if versions[1] != versions[0] || versions[2] != versions[0] {
		t.Errorf("versions %v", versions)
	}
	j := s.first()
	save := func(name, act string, after ...string) (JobBody, int) {
		mine := j.Job.Clone()
		mine.Name = name
		var body JobBody
		status := s.ask("PUT", "/api/jobs/"+j.ID, map[string]any{"version": j.Version, "job": mine, "act": act, "after": append([]string{}, after...)}, &body)
		return body, status
	}
	if _, status := save("lost", "a"); status != 200 {
		t.Fatal(status)
	}
	if body, status := save("next", "b", "a"); status != 200 || body.Version != j.Version+2 || body.Job.Name != "next" {
		t.Errorf("%d: %+v", status, body.Version)
	}
	if _, status := save("another window", "c"); status != 409 {
		t.Errorf("what another window saves is %d", status)
	}
}
