package server

import (
	"encoding/json"
	"net/http"
	"strings"
	"testing"

	"yellowparcel/core/field"
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
	add := func(text string) ShopBody { return s.edit(field.Edit{Act: field.Add, Path: "rulebooks", Text: text}) }
	body := add("us-domestic")
	if n := len(body.Shop.Rulebooks); n != 1 || len(body.Problems) > 0 {
		t.Fatalf("%d rulebooks, %v", n, body.Problems)
	}
	copied := body.Shop.Rulebooks[0].File
	edit := func(path, text string) ShopBody { return s.edit(field.Edit{Act: field.Type, Path: path, Text: text}) }
	last := len(copied.Classes) - 1
	for path, text := range map[string]string{"rulebooks.0.file.lastChecked": "2025-03-01", "rulebooks.0.file.region": "Hilltop"} {
		t.Run(path, func(t *testing.T) {
			if got := edit(path, text); len(got.Problems) > 0 || got.Fields[path].Text != text {
				t.Fatalf("%+v", got.Problems)
			}
		})
	}
	const most = "rulebooks.0.file.classes.2.limits.0.max"
	if got := edit(most, "10 1/2"); len(got.Problems) > 0 || got.Shop.Rulebooks[0].File.Classes[2].Limits[0].Max != "10 1/2 in" {
		t.Errorf("%v: %q", got.Problems, got.Fields[most].Text)
	}
	for _, tt := range []struct{ path, text, says string }{
		{"rulebooks.0.file.classes.1.limits.0.max", "2 in", "is more than the most"},
		{"rulebooks.0.file.classes.1.limits.0.max", "moon", "cannot be used"},
		{"rulebooks.0.file.lastChecked", "spring", "is not a day"},
		{"rulebooks.0.file.region", " ", "cannot be left empty"},
		{"rates.0.rates.1.cents", "dear", "is not a price"},
		{"rates.0.dated", "spring", "is not a day"},
		{"rates.0.rates.1.upTo", "much", "is not a weight"},
	} {
		t.Run(tt.path, func(t *testing.T) {
			if got := edit(tt.path, tt.text); len(got.Problems) != 1 || got.Problems[0].Path != tt.path || !strings.Contains(got.Problems[0].Message, tt.says) {
				t.Errorf("%s = %s: %+v", tt.path, tt.text, got.Problems)
			}
		})
	}
	if got := edit("rates.0.rates.1.cents", "$1,45"); len(got.Problems) > 0 || got.Shop.Rates[0].Rates[1].Cents != 145 {
		t.Errorf("%+v, %+v", got.Problems, got.Shop.Rates[0].Rates[1])
	}
	s.ask(http.MethodGet, "/api/rulebooks", nil, &pages)
	own := pages[len(pages)-1]
	if own.Own != 0 || !strings.HasPrefix(own.Title, "Hilltop") || len(own.Notes) == 0 || !strings.Contains(own.Notes[0].Text, "more than a year ago") || own.Classes[last].Path == "" {
		t.Errorf("%+v", own)
	}
	text, _ := json.MarshalIndent(own.File, "", "  ")
	if got := add(string(text)); len(got.Problems) > 0 || len(got.Shop.Rulebooks) != 2 || got.Shop.Rulebooks[1].File.ID == copied.ID {
		t.Errorf("%+v, %+v", got.Problems, got.Shop.Rulebooks[1].File)
	}
	broken := strings.Replace(string(text), `"measure": "height"`, `"measure": "smell"`, 1)
	if got := add(broken); len(got.Problems) != 1 || !strings.Contains(got.Problems[0].Message, "line ") {
		t.Errorf("%+v", got.Problems)
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
	j := map[string]any{"job": demo.Jobs()[1]}
	thick, _ := plan.Predicted(demo.Jobs()[1], demo.Shop())
	var taken TakenBody
	if status := s.ask(http.MethodPost, "/api/devices/caliper/read", j, &taken); status != 200 || !strings.HasSuffix(taken.Text, " mm") || taken.Message != "" {
		t.Fatalf("%d, %+v", status, taken)
	}
	if r, err := device.ParseLine(taken.Text + " stable"); err != nil || r.Value > thick.Millimetres() || r.Value < thick.Millimetres()*0.9 {
		t.Errorf("%s of %v", taken.Text, thick)
	}
	s.ask(http.MethodPost, "/api/devices/scale/tare", j, &taken)
	if taken.Text != "0 g" {
		t.Errorf("tared: %+v", taken)
	}
	if s.ask(http.MethodPost, "/api/devices/scale/read", j, &taken); !strings.HasSuffix(taken.Text, " g") {
		t.Errorf("%+v", taken)
	}
	bad := newSiteWith(t, device.Rubbish)
	if status := bad.ask(http.MethodPost, "/api/devices/scale/read", j, &taken); status != 200 || !strings.Contains(taken.Message, "no reading") {
		t.Errorf("%d, %+v", status, taken)
	}
}
