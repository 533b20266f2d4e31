package server

import (
	"net/http"
	"slices"
	"testing"

	"yellowparcel/core/field"
)

// Whoever changes a tool is told which jobs have new numbers by it: those that are scored
// by its corner, not those scored from the centre or taken as bought.
func TestToolsRenumberJobs(t *testing.T) {
	s := newSite(t)
	first := s.first()
	first.Job.Envelope.Way = "centre"
	s.ask(http.MethodPut, "/api/jobs/"+first.ID, map[string]any{"version": first.Version, "job": first.Job}, &first)
	body := s.edit(field.Edit{Act: field.Type, Path: "tools.cornerAt", Text: "1/2"})
	if r := body.Renumbers; r.Count != 5 || len(r.Names) != 5 || slices.Contains(r.Names, first.Job.Name) {
		t.Errorf("%+v", r)
	}
	if r := s.edit(field.Edit{Act: field.Type, Path: "tools.notchDepth", Text: "1/2"}).Renumbers; r.Count != 0 {
		t.Errorf("no job is punched, but %+v", r)
	}
	if r := s.edit(field.Edit{Act: field.Type, Path: "tools.cornerAt", Text: "far"}).Renumbers; r.Count != 0 {
		t.Errorf("nothing was changed, but %+v", r)
	}
}
