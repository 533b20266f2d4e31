package server

import (
	"net/http"
	"strings"
	"testing"
)

// Who looks inside a backup sees which jobs were made since.
func TestABackupSaysWhatIsNew(t *testing.T) {
	s := newSite(t)
	var made BackupBody
	s.ask(http.MethodPost, "/api/backups", map[string]any{}, &made)
	look := func() (in InsideBody) {
		s.ask(http.MethodGet, "/api/backups/"+made.Name+"/jobs", nil, &in)
		return in
	}
	if in := look(); in.New != "" || in.Same == 0 {
		t.Errorf("nothing was made since: %+v", in)
	}
	var copied JobBody
	s.ask(http.MethodPost, "/api/jobs", map[string]any{"copyOf": s.first().ID}, &copied)
	if in := look(); !strings.Contains(in.New, "New since: “"+copied.Job.Name+"”.") || copied.Job.Name == "" {
		t.Errorf("%+v", in)
	}
}
