package plan

import (
	"slices"
	"strings"

	"yellowparcel/core/field"
	"yellowparcel/core/job"
)

// Open is the drawer that is open on the screen, as its address: "mail/fixes". What only
// another drawer shows is not worked out then; empty for everything.
type Open string

// OpenAt is the drawer of an address: the first one of its station where it names none that
// there is, and everything where it names no station.
func OpenAt(address string) Open {
	station, drawer, _ := strings.Cut(address, "/")
	for _, s := range job.Stations() {
		if s.ID != station {
			continue
		}
		if !slices.ContainsFunc(s.Drawers, func(d field.Choice) bool { return d.ID == drawer }) {
			drawer = s.Drawers[0].ID
		}
		return Open(station + "/" + drawer)
	}
	return ""
}

// shows reports whether one of some drawers is open.
func (o Open) shows(drawers ...Open) bool { return o == "" || slices.Contains(drawers, o) }
