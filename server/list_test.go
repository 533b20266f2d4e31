package server

import (
	"net/http"
	"slices"
	"strings"
	"testing"
	"time"

	"yellowparcel/core/field"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/plan"
	"yellowparcel/demo"
	"yellowparcel/store"
)

// names are those of a list, in its order.
func names(list []ListedJob) (out []string) {
	for _, j := range list {
		out = append(out, j.Name)
	}
	return out
}

// The list is searched by every word, and sorted.
func TestListIsSearchedAndSorted(t *testing.T) {
	s := newSite(t)
	if err := s.srv.refreshLines(t.Context()); err != nil {
		t.Fatal(err)
	}
	for _, tt := range []struct{ question, want string }{
		{"?find=square", "Meteor-night thanks, square"},
		{"?find=METEOR+invitation", "Meteor-night invitation"},
		{"?find=5+1/2+8+cards", "Lens fund thank-you, raised star|Supporter card, slim"},
		{"?find=12+cards", "Meteor-night thanks, square"},
		{"?find=brad", "Moon-watch invitation, brass and knot"},
		{"?find=brass+star", "Lens fund thank-you, raised star|Moon-watch invitation, brass and knot"},
		{"?find=by+hand", "Dome rota, holiday card"},
		{"?find=side+fold", "Meteor-night thanks, square|Dome rota, holiday card"},
		{"?find=nothing+of+the+kind", ""},
		{"?sort=name", "Dome rota, holiday card|Lens fund thank-you, raised star|Meteor-night invitation|Meteor-night thanks, square|Moon-watch invitation, brass and knot|Supporter card, slim"},
		{"?sort=size&find=o", "Lens fund thank-you, raised star|Dome rota, holiday card|Meteor-night thanks, square|Supporter card, slim|Moon-watch invitation, brass and knot|Meteor-night invitation"},
		{"?of=archived", ""},
	} {
		t.Run(tt.question, func(t *testing.T) {
			got := strings.Join(names(s.listOf(tt.question)), "|")
			if got != tt.want {
				t.Errorf("%s", got)
			}
		})
	}
	mail := s.listOf("?sort=mail")
	if !slices.IsSortedFunc(mail, func(a, b ListedJob) int {
		weight := map[string]int{"trouble": 0, "care": 1, "fine": 2}
		return weight[string(a.Tone)] - weight[string(b.Tone)]
	}) || mail[0].Tone == mail[len(mail)-1].Tone {
		t.Errorf("by mail: %v", names(mail))
	}
	var p problem
	if status := s.ask("GET", "/api/jobs?of=lost", nil, &p); status != 422 {
		t.Errorf("an unknown list: %d", status)
	}
}

// A job is drawn in its envelope: larger than the card, and none where it goes without.
func TestListDrawsTheEnvelope(t *testing.T) {
	s := newSite(t)
	if err := s.srv.refreshLines(t.Context()); err != nil {
		t.Fatal(err)
	}
	for _, j := range s.list() {
		if e := j.Envelope; e == nil || e.Width <= j.Width.Millimetres() || e.Height <= j.Height.Millimetres() {
			t.Errorf("%s: %+v round %v x %v", j.Name, e, j.Width, j.Height)
		}
	}
	bare := demo.Jobs()[0]
	bare.Mail.Bare = true
	if l := plan.Line(bare, demo.Shop()); l.Envelope != nil {
		t.Errorf("a bare card in %+v", l.Envelope)
	}
}

// A job is named, archived and restored from the list, by the version that the window knows.
func TestRenameAndArchive(t *testing.T) {
	s := newSite(t)
	j := s.first()
	at := "/api/jobs/" + j.ID
	var now JobBody
	if status := s.ask(http.MethodPut, at+"/name", map[string]any{"version": 1, "name": "  Star party thanks "}, &now); status != 200 || now.Job.Name != "Star party thanks" || now.Version != 2 {
		t.Fatalf("%d, %q, version %d", status, now.Job.Name, now.Version)
	}
	if now.Job.Name = j.Job.Name; now.Job.Count != j.Job.Count || now.Job.Card.Width != j.Job.Card.Width {
		t.Errorf("more than the name was changed: %+v", now.Job)
	}
	var p problem
	for _, tt := range []struct {
		what   string
		body   map[string]any
		status int
	}{
		{"/name", map[string]any{"version": 1, "name": "Late"}, 409},
		{"/name", map[string]any{"version": 2, "name": "   "}, 422},
		{"/name", map[string]any{"version": 2, "name": strings.Repeat("x", 121)}, 422},
		{"/archived", map[string]any{"version": 1, "archived": true}, 409},
	} {
		if status := s.ask(http.MethodPut, at+tt.what, tt.body, &p); status != tt.status || p.Detail == "" {
			t.Errorf("%s %v: %d %s", tt.what, tt.body, status, p.Detail)
		}
	}
	before := s.list()
	if status := s.ask(http.MethodPut, at+"/archived", map[string]any{"version": 2, "archived": true}, &now); status != 200 {
		t.Fatal(status)
	}
	if got := names(s.listOf("?of=archived")); len(got) != 1 || got[0] != "Star party thanks" || slices.Contains(names(s.list()), got[0]) {
		t.Errorf("archived: %v, in hand: %v", got, names(s.list()))
	}
	if status := s.ask(http.MethodGet, at, nil, &now); status != 200 {
		t.Errorf("an archived job cannot be opened: %d", status)
	}
	if status := s.ask(http.MethodPut, at+"/archived", map[string]any{"version": 3, "archived": false}, &now); status != 200 || len(s.list()) != len(before) {
		t.Errorf("brought back: %d, %v", status, names(s.list()))
	}
	if status := s.ask(http.MethodPut, at+"/removed", map[string]any{"version": 4, "removed": true}, &now); status != 200 || len(names(s.listOf("?of=removed"))) != 1 {
		t.Errorf("removed: %d, %v", status, names(s.listOf("?of=removed")))
	}
}

// A line begins a job; one that is sent twice begins one.
func TestLineBeginsAJob(t *testing.T) {
	s := newSite(t)
	var said plan.Saying
	if status := s.ask(http.MethodPost, "/api/line", map[string]any{"text": "5 3/8 square, 3 layers, 12 cards, to the UK"}, &said); status != 200 || !said.Whole || len(said.Chips) != 4 || said.Station != "card" {
		t.Fatalf("%d %+v", status, said)
	}
	var fresh, made JobBody
	s.ask(http.MethodGet, "/api/jobs/new", nil, &fresh)
	body := map[string]any{"id": fresh.ID, "text": "5 3/8 square, 3 layers, 12 cards, to the UK"}
	if status := s.ask(http.MethodPost, "/api/line/job", body, &made); status != 201 || made.Job.Count != 12 || len(made.Job.LayerParts()) != 3 || made.Job.Mail.Destination != "us-abroad" || made.Job.Name != body["text"] {
		t.Fatalf("%d %+v", status, made.Job)
	}
	var p problem
	if status := s.ask(http.MethodPost, "/api/line/job", body, &p); status != 409 {
		t.Errorf("sent twice: %d", status)
	}
	for _, text := range []string{"", "zebra", "0.1 x 0.2", "5 x 7, 30 thick"} {
		body["text"], body["id"] = text, store.NewID()
		if status := s.ask(http.MethodPost, "/api/line/job", body, &p); status != 422 || p.Detail == "" {
			t.Errorf("%q: %d %s", text, status, p.Detail)
		}
	}
	body["id"] = "of my own"
	if status := s.ask(http.MethodPost, "/api/line/job", body, &p); status != 404 {
		t.Errorf("an ID of somebody's own: %d", status)
	}
	// On a job in hand it says what it would change.
	if status := s.ask(http.MethodPost, "/api/line", map[string]any{"text": "add a gem 3 mm", "job": made.Job}, &said); status != 200 || len(said.Edits) != 2 || said.Station != "" {
		t.Errorf("%d %+v", status, said)
	}
	made.Job.Card.Width = 1
	if status := s.ask(http.MethodPost, "/api/line", map[string]any{"text": "12 cards", "job": made.Job}, &p); status != 422 {
		t.Errorf("a job that is none: %d", status)
	}
}

// What the maker makes most is what a new card begins with.
func TestUsualIsTheBeginning(t *testing.T) {
	s := newSite(t)
	edits := []field.Edit{}
	for path, text := range map[string]string{"width": "6", "height": "6", "border": "3/16"} {
		edits = append(edits, field.Edit{Act: field.Type, Path: "usual." + path, Text: text})
	}
	for path, id := range map[string]string{"construction": "pocket", "envelope": "kraft-120", "paper": "cover-80", "fold": "side", "destination": "us-abroad", "layerPaper": "pattern-130"} {
		edits = append(edits, field.Edit{Act: field.Set, Path: "usual." + path, Text: id})
	}
	if body := s.edit(append(edits, field.Edit{Act: field.Type, Path: "usual.layers", Text: "2"})...); len(body.Problems) > 0 {
		t.Fatal(body.Problems)
	}
	var fresh JobBody
	s.ask(http.MethodGet, "/api/jobs/new", nil, &fresh)
	j := fresh.Job
	layers := j.LayerParts()
	if len(layers) != 2 || j.Card.Width != j.Card.Height || j.Card.Fold != "side" || j.Envelope.Construction != "pocket" || j.Envelope.Stock != "kraft-120" || j.Mail.Destination != "us-abroad" {
		t.Fatalf("%+v", j)
	}
	if p := j.Parts[layers[1]]; p.Stock != "pattern-130" || p.Border != 3*measure.Inch/16 || j.Parts[0].Stock != "cover-80" {
		t.Errorf("%+v", p)
	}
	if problems := plan.Check(j, demo.Shop()); len(problems) > 0 {
		t.Error(problems)
	}
	// Small cards take as many of the layers as there is room for.
	shop := demo.Shop()
	shop.Usual = job.Usual{Width: job.LeastCard, Height: job.LeastCard, Border: job.LeastCard / 3, Layers: 3}
	if n := len(job.NewJob(shop).LayerParts()); n != 1 {
		t.Errorf("%d layers on the least card", n)
	}
}

// When something was done is said as on that day.
func TestWhenWords(t *testing.T) {
	now := time.Date(2026, 11, 28, 15, 0, 0, 0, time.UTC)
	for stamp, want := range map[string]string{
		"2026-11-28T14:59:30Z": "just now", "2026-11-28T09:05:00Z": "today, 09:05", "2026-11-27T23:50:00Z": "yesterday, 23:50",
		"2026-03-02T08:00:00Z": "2 Mar", "2025-12-31T08:00:00Z": "31 Dec 2025", "": "",
	} {
		if got := whenWords(stamp, now); got != want {
			t.Errorf("%s: %q", stamp, got)
		}
	}
}
