package server

import (
	"encoding/json"
	"net/http"
	"strings"
	"testing"

	"yellowparcel/core/mail"
	"yellowparcel/core/plan"
	"yellowparcel/demo"
	"yellowparcel/device"
)

// A rulebook is copied, edited limit by limit, used, written out and read in.
func TestOwnRulebook(t *testing.T) {
	s := newSite(t)
	var pages []plan.RulePage
	if status := s.ask(http.MethodGet, "/api/rulebooks", nil, &pages); status != 200 || len(pages) != 7 || pages[0].Own != -1 {
		t.Fatalf("%d, %d pages", status, len(pages))
	}
	var body ShopBody
	s.ask(http.MethodGet, "/api/shop", nil, &body)
	copied := pages[len(pages)-1].File
	copied.ID, copied.Region = "own-1", "Hilltop"
	body.Shop.Rulebooks = []plan.OwnRulebook{{File: copied}}
	type save struct {
		Version int64       `json:"version"`
		Shop    plan.Shop   `json:"shop"`
		Edits   []plan.Edit `json:"edits"`
	}
	edit := func(path, text string) int {
		return s.ask(http.MethodPut, "/api/shop", save{body.Version, body.Shop, []plan.Edit{{Path: path, Text: &text}}}, &body)
	}
	last := len(copied.Classes) - 1
	if status := edit("rulebooks.0.lastChecked", "2025-03-01"); status != 200 {
		t.Fatalf("%d", status)
	}
	field := "rulebooks.0.classes.2.limits.0.max"
	if status := edit(field, "10 1/2"); status != 200 || body.Shop.Rulebooks[0].File.Classes[2].Limits[0].Max != "10 1/2 in" {
		t.Errorf("%d: %q", status, body.Fields[field].Text)
	}
	var problem struct{ Errors []struct{ Message string } }
	for _, tt := range []struct{ path, text, says string }{
		{"rulebooks.0.classes.1.limits.0.max", "2 in", "is more than the most"},
		{"rulebooks.0.classes.1.limits.0.max", "moon", "cannot be used"},
		{"rulebooks.0.lastChecked", "spring", "is not a day"},
		{"rulebooks.0.region", " ", "cannot be left empty"},
		{"rates.0.rates.1.price", "dear", "is not a price"},
		{"rates.0.dated", "spring", "is not a day"},
		{"rates.0.rates.1.upTo", "much", "is not a weight"},
	} {
		text := tt.text
		status := s.ask(http.MethodPut, "/api/shop", save{body.Version, body.Shop, []plan.Edit{{Path: tt.path, Text: &text}}}, &problem)
		if status != 422 || len(problem.Errors) == 0 || !strings.Contains(problem.Errors[0].Message, tt.says) {
			t.Errorf("%s = %s: %d, %+v", tt.path, tt.text, status, problem)
		}
	}
	if status := edit("rates.0.rates.1.price", "$1,45"); status != 200 || body.Shop.Rates[0].Rates[1].Cents != 145 {
		t.Errorf("%d, %+v", status, body.Shop.Rates[0].Rates[1])
	}
	s.ask(http.MethodGet, "/api/rulebooks", nil, &pages)
	own := pages[len(pages)-1]
	if own.Own != 0 || !strings.HasPrefix(own.Title, "Hilltop") || len(own.Notes) == 0 || !strings.Contains(own.Notes[0].Text, "more than a year ago") || own.Classes[last].Path == "" {
		t.Errorf("%+v", own)
	}
	text, _ := json.MarshalIndent(own.File, "", "  ")
	var back mail.File
	if status := s.ask(http.MethodPost, "/api/rulebooks", map[string]string{"text": string(text)}, &back); status != 200 || back.ID != "own-1" {
		t.Errorf("%d, %+v", status, back)
	}
	broken := strings.Replace(string(text), `"measure": "height"`, `"measure": "smell"`, 1)
	if status := s.ask(http.MethodPost, "/api/rulebooks", map[string]string{"text": broken}, &problem); status != 422 || !strings.Contains(problem.Errors[0].Message, "line ") {
		t.Errorf("%d, %+v", status, problem)
	}
	var schema struct {
		Defs map[string]struct{ Properties map[string]any } `json:"$defs"`
	}
	if status := s.ask(http.MethodGet, "/api/rulebooks/schema.json", nil, &schema); status != 200 || len(schema.Defs["ClassFile"].Properties) < 4 {
		t.Errorf("%d, %+v", status, schema)
	}
}

func TestReadings(t *testing.T) {
	s := newSite(t)
	job := map[string]any{"job": demo.Jobs()[1]}
	thick, _ := plan.Predicted(demo.Jobs()[1], demo.Shop())
	var taken TakenBody
	if status := s.ask(http.MethodPost, "/api/devices/caliper/read", job, &taken); status != 200 || !strings.HasSuffix(taken.Text, " mm") || taken.Message != "" {
		t.Fatalf("%d, %+v", status, taken)
	}
	if r, err := device.ParseLine(taken.Text + " stable"); err != nil || r.Value > thick.Millimetres() || r.Value < thick.Millimetres()*0.9 {
		t.Errorf("%s of %v", taken.Text, thick)
	}
	s.ask(http.MethodPost, "/api/devices/scale/tare", job, &taken)
	if taken.Text != "0 g" {
		t.Errorf("tared: %+v", taken)
	}
	if s.ask(http.MethodPost, "/api/devices/scale/read", job, &taken); !strings.HasSuffix(taken.Text, " g") {
		t.Errorf("%+v", taken)
	}
	bad := newSiteWith(t, device.Rubbish)
	if status := bad.ask(http.MethodPost, "/api/devices/scale/read", job, &taken); status != 200 || !strings.Contains(taken.Message, "no reading") {
		t.Errorf("%d, %+v", status, taken)
	}
}
