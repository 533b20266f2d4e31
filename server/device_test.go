package server

import (
	"net/http"
	"strings"
	"testing"

	"yellowparcel/core/field"
	"yellowparcel/demo"
	"yellowparcel/device"
)

// Every device stands at the table with a field of the job that its readings go into,
// and its reading is taken there as it is sent; a toy one is a value and nothing else.
func TestEveryDeviceStandsAtTheTable(t *testing.T) { // not in parallel: it adds to every table
	defer device.Register(&device.Kind{ID: "toy-gauge", Name: "toy gauge", Reads: device.Thickness, Units: []string{"in"}, Step: 0.001, Off: 1})()
	s := newSite(t)
	var list []Instrument
	s.ask(http.MethodGet, "/api/devices", nil, &list)
	if len(list) != len(device.Kinds()) || list[len(list)-1].Name != "toy gauge" {
		t.Fatalf("at the table: %+v", list)
	}
	j, shop := demo.Jobs()[0], demo.Shop()
	for _, d := range list {
		t.Run(d.ID, func(t *testing.T) {
			f, ok := field.Find(j.Fields(shop), d.Field)
			if !ok {
				t.Fatalf("it reads into “%s”, which is no field", d.Field)
			}
			var taken TakenBody
			if status := s.ask(http.MethodPost, "/api/devices/"+d.ID+"/read", map[string]any{"job": j}, &taken); status != 200 || taken.Message != "" {
				t.Fatalf("%d: %+v", status, taken)
			}
			if err := f.Apply(field.Edit{Act: field.Type, Path: f.Path, Text: taken.Text}, shop.Style()); err != nil || strings.HasPrefix(taken.Text, "0 ") {
				t.Errorf("its reading, %q: %v", taken.Text, err)
			}
		})
	}
}
