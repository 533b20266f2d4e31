package server

import (
	"bytes"
	"io"
	"net/http"
	"strings"
	"testing"

	"yellowparcel/core/field"
	"yellowparcel/demo"
)

// A job without a card is stored, listed with what it waits for, gone on with at its door, has a history, and goes out
// to a file and comes in again; its lists and prints are there, its pieces are not.
func TestJobWithoutACardIsKept(t *testing.T) {
	s := newSite(t)
	var fresh, saved JobBody
	s.ask(http.MethodGet, "/api/jobs/new", nil, &fresh)
	if fresh.Job.Card.Sized() {
		t.Fatal("a new job has a card")
	}
	var planned PlanBody
	edits := []field.Edit{{Act: field.Add, Path: "start", Text: "a6"}, {Act: field.Type, Path: "count", Text: "30"}}
	if status := s.ask(http.MethodPost, "/api/plan", map[string]any{"job": fresh.Job, "edits": edits, "open": "card/from-envelope"}, &planned); status != 200 || planned.Plan.Waits == nil {
		t.Fatalf("%d %+v", status, planned.Problems)
	}
	if status := s.ask(http.MethodPut, "/api/jobs/"+fresh.ID, saveJob{0, planned.Job}, &saved); status != 200 || saved.Version != 1 {
		t.Fatalf("%d %+v", status, saved)
	}
	if l := s.list()[0]; l.Problem != "For your A6 envelopes: no card yet." || l.Door != "card/from-envelope" || l.Size != "" || l.Count != "30 cards" {
		t.Errorf("it is listed as %+v", l)
	}
	for path, want := range map[string]int{"lists/pieces/csv": 200, "lists/cuts/csv": 200, "prints/job/pdf": 200, "prints/worksheet/pdf": 200, "pieces/base/svg": 404, "file": 200} {
		res, err := http.Get(s.URL + "/api/jobs/" + fresh.ID + "/" + path)
		if err != nil {
			t.Fatal(err)
		}
		raw, _ := io.ReadAll(res.Body)
		_ = res.Body.Close()
		if res.StatusCode != want {
			t.Errorf("%s: %d %s", path, res.StatusCode, raw)
		}
		if path != "file" {
			continue
		}
		if strings.Contains(string(raw), `"width":0`) {
			t.Errorf("it is written with a width of nothing: %s", raw)
		}
		s.ask(http.MethodPut, "/api/jobs/"+fresh.ID+"/removed", map[string]any{"version": 1, "removed": true}, nil)
		in, err := http.Post(s.URL+"/api/jobs/file", "application/octet-stream", bytes.NewReader(raw))
		if err != nil || in.StatusCode != 201 {
			t.Errorf("it does not come in again: %v %v", in.StatusCode, err)
		}
		_ = in.Body.Close()
	}
	var states []struct{ Version int64 }
	if status := s.ask(http.MethodGet, "/api/jobs/"+fresh.ID+"/history", nil, &states); status != 200 || len(states) == 0 {
		t.Errorf("its history: %d %v", status, states)
	}
	// Back from removed, it is taken a card.
	edits = []field.Edit{{Act: field.Take, Path: "start.schools", Text: "quarter"}}
	var taken PlanBody
	if status := s.ask(http.MethodPost, "/api/plan", map[string]any{"job": saved.Job, "edits": edits, "open": "card/base"}, &taken); status != 200 || taken.Plan.Waits != nil || taken.Plan.Ticket[0].Value != "6 1⁄4 × 4 1⁄2" {
		t.Errorf("%d %+v", status, taken.Plan.Ticket)
	}
}

// The sample of an empty front is a job with its plan; the sample shop comes and goes, and what was changed since stays.
func TestSample(t *testing.T) {
	s := newSite(t)
	var body SampleBody
	if status := s.ask(http.MethodPut, "/api/sample", map[string]any{"taken": true}, nil); status != 404 {
		t.Errorf("a sample that there is none of: %d", status)
	}
	Samples(s.srv, demo.Shop())
	if status := s.ask(http.MethodGet, "/api/sample", nil, &body); status != 200 || body.Sentence.Text == "" || len(body.Flat.Shapes) == 0 || !body.Samples {
		t.Fatalf("%d %+v", status, body)
	}
	var saved JobBody
	if status := s.ask(http.MethodPut, "/api/jobs/"+body.ID, saveJob{0, body.Job}, &saved); status != 200 || saved.Job.Count != 12 {
		t.Errorf("it is not begun: %d", status)
	}
	had := len(s.shop().Envelopes)
	s.ask(http.MethodPut, "/api/sample", map[string]any{"taken": false}, &body)
	if n := len(s.shop().Envelopes); body.Taken || n >= had {
		t.Errorf("taken away, %d of %d envelopes are there", n, had)
	}
	s.ask(http.MethodPut, "/api/sample", map[string]any{"taken": true}, &body)
	if n := len(s.shop().Envelopes); !body.Taken || n != had {
		t.Errorf("taken, %d of %d envelopes are there", n, had)
	}
	s.edit(field.Edit{Act: field.Type, Path: "envelopes.0.have", Text: "7"})
	s.ask(http.MethodPut, "/api/sample", map[string]any{"taken": false}, &body)
	if list := s.shop().Envelopes; len(list) != 1 || list[0].Have != 7 {
		t.Errorf("what was changed is gone: %+v", list)
	}
}
