package server

import (
	"encoding/json"
	"strings"
	"testing"

	"yellowparcel/core/field"
	"yellowparcel/demo"
)

// Everything that the server answers with stands in the API's document: streams and
// devices as well, with the types of what they say.
func TestDocumentHasStreamsAndDevices(t *testing.T) {
	raw, err := OpenAPI()
	if err != nil {
		t.Fatal(err)
	}
	var doc struct {
		Paths map[string]map[string]struct {
			Responses map[string]struct {
				Content map[string]struct{ Schema json.RawMessage }
			}
		}
	}
	if err := json.Unmarshal(raw, &doc); err != nil {
		t.Fatal(err)
	}
	for _, tt := range []struct{ path, method, content, of string }{
		{"/api/events", "get", "text/event-stream", "schemas/Event"},
		{"/api/cutting", "post", "application/x-ndjson", "schemas/CuttingLine"},
		{"/api/devices", "get", "application/json", "schemas/Instrument"},
		{"/api/shop", "patch", "application/json", "schemas/ShopBody"},
	} {
		t.Run(tt.path, func(t *testing.T) {
			schema := doc.Paths[tt.path][tt.method].Responses["200"].Content[tt.content].Schema
			if !strings.Contains(string(schema), tt.of) {
				t.Errorf("%s %s says %s", tt.method, tt.path, schema)
			}
		})
	}
	if _, ok := doc.Paths["/api/shop"]["put"]; ok {
		t.Error("a whole shop can be sent")
	}
	s := newSite(t)
	var devices []Instrument
	if status := s.ask("GET", "/api/devices", nil, &devices); status != 200 || len(devices) != 2 || devices[0].Field != "mail.measured.thickness" || devices[0].Tares || !devices[1].Tares {
		t.Errorf("%d, %+v", status, devices)
	}
	for _, d := range devices {
		if _, ok := field.Find(func() []field.Field { j := demo.Jobs()[0]; return j.Fields(demo.Shop()) }(), d.Field); !ok {
			t.Errorf("%s reads into %s, which is no field", d.ID, d.Field)
		}
	}
	if status := s.ask("POST", "/api/devices/tide-gauge/read", map[string]any{"job": demo.Jobs()[0]}, nil); status != 404 {
		t.Errorf("a device that is not there: %d", status)
	}
}
