package server

import (
	"context"
	"errors"
	"net/http"
	"slices"

	"github.com/danielgtaylor/huma/v2"

	"yellowparcel/core/job"
	"yellowparcel/core/plan"
	"yellowparcel/store"
)

// StateBody is a state of a job's history.
type StateBody struct {
	Version int64  `json:"version"`
	When    string `json:"when"`
	// What are its changes from the state before, one line each; How what brought it about,
	// where that was no edit.
	What []string `json:"what"`
	How  string   `json:"how"`
}

// StateOut is a job as it was at a state.
type StateOut struct {
	StateBody
	Job job.Job `json:"job"`
}

var howWords = map[store.How]string{store.Began: "The job begins", store.Restored: "Restored from a backup", store.ReadIn: "Read in from a file", store.Back: "An earlier state, brought back"}

func (s *Server) historyRoutes() {
	huma.Register(s.api, huma.Operation{OperationID: "listHistory", Method: http.MethodGet, Path: "/api/jobs/{id}/history", Summary: "The states that a job had, the newest first"},
		func(ctx context.Context, in *JobID) (*struct{ Body []StateBody }, error) {
			states, err := historyOf(ctx, s, in.ID)
			if err != nil {
				return nil, err
			}
			list := []StateBody{}
			for _, h := range slices.Backward(states) {
				list = append(list, h.StateBody)
			}
			return &struct{ Body []StateBody }{list}, nil
		})
	huma.Register(s.api, huma.Operation{OperationID: "getState", Method: http.MethodGet, Path: "/api/jobs/{id}/history/{state}", Summary: "A job as it was at a version"},
		func(ctx context.Context, in *struct {
			JobID
			State int64 `path:"state"`
		},
		) (*struct{ Body StateOut }, error) {
			states, err := historyOf(ctx, s, in.ID)
			if err != nil {
				return nil, err
			}
			for _, h := range states {
				if h.Version == in.State {
					return &struct{ Body StateOut }{h}, nil
				}
			}
			return nil, noState()
		})
	huma.Register(s.api, huma.Operation{OperationID: "bringBack", Method: http.MethodPost, Path: "/api/jobs/{id}/history/{state}", MaxBodyBytes: maxBody, Summary: "Make a job as it was at a state; what it is now stays in its history"},
		func(ctx context.Context, in *struct {
			JobID
			State int64 `path:"state"`
			Body  struct {
				Version int64 `json:"version" minimum:"1"`
			}
		},
		) (*jobOut, error) {
			j, err := s.store.BringBack(ctx, in.ID, in.Body.Version, in.State)
			if errors.Is(err, store.ErrNoState) {
				return nil, noState()
			}
			if err != nil {
				return nil, s.failed(err)
			}
			s.lister.stale()
			return s.changed(j), nil
		})
}

func noState() error {
	return huma.Error404NotFound("This state is not kept any more: older ones make room for newer ones. Choose another.")
}

// historyOf are the states of a job with what was changed, the oldest first.
func historyOf(ctx context.Context, s *Server, id string) ([]StateOut, error) {
	if _, err := s.store.Version(ctx, id); err != nil {
		return nil, s.failed(err)
	}
	states, err := s.store.History(ctx, id)
	if err != nil {
		return nil, s.failed(err)
	}
	shop, err := s.shop(ctx)
	if err != nil {
		return nil, s.failed(err)
	}
	list := make([]StateOut, 0, len(states))
	var before *job.Job
	var earlier []job.Job
	var when []string
	for _, h := range states {
		at, how := whenWords(h.Changed, s.now()), howWords[h.How]
		if how == "" {
			how = plan.HowSaid(earlier, h.Job, when)
		}
		list = append(list, StateOut{StateBody{h.Version, at, plan.ChangesSaid(before, h.Job, shop.Shop), how}, h.Job})
		before, earlier, when = &h.Job, append(earlier, h.Job), append(when, at)
	}
	return list, nil
}
