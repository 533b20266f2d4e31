package server

import (
	"cmp"
	"context"
	"net/http"
	"slices"
	"time"

	"github.com/danielgtaylor/huma/v2"

	"yellowparcel/store"
)

// Removed is something that was removed and can be restored: a job by its ID and version, or
// an entry of the shelf by its path.
type Removed struct {
	ID      string `json:"id"`
	Version int64  `json:"version"`
	Path    string `json:"path"`
	Name    string `json:"name"`
	Kind    string `json:"kind"`
	// When is the day, in words; empty where it is not known.
	When string `json:"when"`
}

// removedRoutes are what was removed, in one list. Nothing of it is ever thrown away.
func (s *Server) removedRoutes() {
	huma.Register(s.api, huma.Operation{OperationID: "listRemoved", Method: http.MethodGet, Path: "/api/removed", Summary: "Everything that was removed, the latest first"},
		func(ctx context.Context, _ *struct{}) (*struct{ Body []Removed }, error) {
			jobs, err := s.store.List(ctx, store.Removed)
			if err != nil {
				return nil, s.failed(err)
			}
			shop, err := s.shop(ctx)
			if err != nil {
				return nil, s.failed(err)
			}
			type dated struct {
				Removed
				on string
			}
			var list []dated
			for _, j := range jobs {
				name := j.Name
				if name == "" {
					name = "A job without a name"
				}
				list = append(list, dated{Removed{ID: j.ID, Version: j.Version, Name: name, Kind: "job", When: whenWords(j.Removed, s.now())}, j.Removed})
			}
			for _, e := range shop.Shop.Removed() {
				list = append(list, dated{Removed{Path: e.Path, Name: e.Name, Kind: e.Kind, When: dayWords(e.Since, s.now())}, e.Since})
			}
			slices.SortStableFunc(list, func(a, b dated) int { return cmp.Compare(b.on, a.on) })
			body := make([]Removed, len(list))
			for i, r := range list {
				body[i] = r.Removed
			}
			return &struct{ Body []Removed }{body}, nil
		})
}

// dayWords says a day, as 2026-11-28, as one says it on another.
func dayWords(day string, now time.Time) string {
	at, err := time.ParseInLocation(time.DateOnly, day, now.Location())
	if err != nil {
		return ""
	}
	switch {
	case day == now.Format(time.DateOnly):
		return "today"
	case day == now.AddDate(0, 0, -1).Format(time.DateOnly):
		return "yesterday"
	case at.Year() == now.Year():
		return at.Format("2 Jan")
	}
	return at.Format("2 Jan 2006")
}
