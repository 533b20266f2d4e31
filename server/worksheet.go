package server

import (
	"context"
	"net/http"

	"github.com/danielgtaylor/huma/v2"

	"yellowparcel/core/job"
	"yellowparcel/core/plan"
	"yellowparcel/core/worksheet/page"
	"yellowparcel/store"
)

// ProgressBody is how far the maker is at the bench: the step that lies open, from nought.
type ProgressBody struct {
	Step int `json:"step" minimum:"0" maximum:"100000"`
}

// WorksheetBody is a worksheet, and how often what it makes will do.
type WorksheetBody struct {
	page.Worksheet
	Makings page.Makings `json:"makings"`
}

// makings is how many times it is tried: so that a hundredth is one.
const makings = 1000

// worksheetRoutes tell a job's worksheet: of the job as it is edited, for the tools on the shelf.
func worksheetRoutes(s *Server) {
	huma.Register(s.api, huma.Operation{OperationID: "writeWorksheet", Method: http.MethodPost, Path: "/api/worksheet", MaxBodyBytes: maxBody, Summary: "What is done at the bench, step by step, for the tools on the shelf"},
		func(ctx context.Context, in *struct {
			Body struct {
				Job job.Job `json:"job"`
			}
		},
		) (*struct{ Body WorksheetBody }, error) {
			shop, err := s.shop(ctx)
			if err != nil {
				return nil, s.failed(err)
			}
			if problems := plan.Check(in.Body.Job, shop.Shop); len(problems) > 0 {
				return nil, refuse("body.job", problems)
			}
			if err := s.planners.Acquire(ctx, 1); err != nil {
				return nil, s.failed(err) // nobody waits for it any more
			}
			defer s.planners.Release(1)
			table := plan.TableOf(in.Body.Job, shop.Shop)
			return &struct{ Body WorksheetBody }{WorksheetBody{page.Of(table), page.MakeMany(table, makings, 1)}}, nil
		})
	huma.Register(s.api, huma.Operation{OperationID: "readProgress", Method: http.MethodGet, Path: "/api/jobs/{id}/progress", Summary: "How far the maker is with a job at the bench"},
		func(ctx context.Context, in *JobID) (*struct{ Body ProgressBody }, error) {
			step, err := store.Progress(ctx, s.store, in.ID)
			if err != nil {
				return nil, s.failed(err)
			}
			return &struct{ Body ProgressBody }{ProgressBody{step}}, nil
		})
	huma.Register(s.api, huma.Operation{OperationID: "keepProgress", Method: http.MethodPut, Path: "/api/jobs/{id}/progress", Summary: "Keep how far the maker is; every window that shows the steps follows"},
		func(ctx context.Context, in *struct {
			JobID
			Body ProgressBody
		},
		) (*struct{ Body ProgressBody }, error) {
			if err := store.SetProgress(ctx, s.store, in.ID, in.Body.Step); err != nil {
				return nil, s.failed(err)
			}
			s.events.tell(Event{Kind: "bench", Job: in.ID, Version: int64(in.Body.Step)})
			return &struct{ Body ProgressBody }{in.Body}, nil
		})
	huma.Register(s.api, huma.Operation{OperationID: "mendStep", Method: http.MethodPost, Path: "/api/worksheet/wrong", MaxBodyBytes: maxBody, Summary: "What can still be made where a step came out as another length"},
		func(ctx context.Context, in *struct {
			Body struct {
				Job  job.Job `json:"job"`
				Step int     `json:"step" minimum:"0" maximum:"100000"`
				// Is is what it measures, as it is typed.
				Is string `json:"is" maxLength:"80"`
				// Sure is set where that is no slip.
				Sure bool `json:"sure,omitempty"`
			}
		},
		) (*struct{ Body page.Mended }, error) {
			shop, err := s.shop(ctx)
			if err != nil {
				return nil, s.failed(err)
			}
			if problems := plan.Check(in.Body.Job, shop.Shop); len(problems) > 0 {
				return nil, refuse("body.job", problems)
			}
			if err := s.planners.Acquire(ctx, 1); err != nil {
				return nil, s.failed(err) // nobody waits for it any more
			}
			defer s.planners.Release(1)
			m, ok, err := page.WrongAs(plan.TableOf(in.Body.Job, shop.Shop), in.Body.Step, in.Body.Is, in.Body.Sure)
			switch {
			case err != nil:
				return nil, huma.Error422UnprocessableEntity(err.Error())
			case !ok:
				return nil, huma.Error422UnprocessableEntity("This step sets nothing that could be measured.")
			}
			return &struct{ Body page.Mended }{m}, nil
		})
}
