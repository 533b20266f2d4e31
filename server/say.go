package server

import (
	"context"
	"net/http"

	"github.com/danielgtaylor/huma/v2"

	"yellowparcel/core/job"
	"yellowparcel/core/plan"
	"yellowparcel/store"
)

// lineRoutes read what a maker says in one line.
func (s *Server) lineRoutes() {
	huma.Register(s.api, huma.Operation{OperationID: "readLine", Method: http.MethodPost, Path: "/api/line", MaxBodyBytes: maxBody, Summary: "Read a line: a job to begin, or a change of one; nothing is stored"},
		func(ctx context.Context, in *struct {
			Body struct {
				Text string   `json:"text" maxLength:"600"`
				Job  *job.Job `json:"job,omitempty"`
			}
		},
		) (*struct{ Body plan.Saying }, error) {
			shop, err := s.shop(ctx)
			if err != nil {
				return nil, s.failed(err)
			}
			j := job.Begun(shop.Shop)
			if in.Body.Job != nil {
				if problems := plan.Check(*in.Body.Job, shop.Shop); len(problems) > 0 {
					return nil, refuse("body.job", problems)
				}
				j = *in.Body.Job
			}
			return &struct{ Body plan.Saying }{plan.Say(in.Body.Text, j, shop.Shop, in.Body.Job != nil)}, nil
		})

	huma.Register(s.api, huma.Operation{OperationID: "beginWithLine", Method: http.MethodPost, Path: "/api/line/job", DefaultStatus: http.StatusCreated, MaxBodyBytes: maxBody, Summary: "Begin a job with a line"},
		func(ctx context.Context, in *struct {
			Body struct {
				// ID is the one that the job is to have, as the program gave it, so that a
				// request that is sent twice begins one job.
				ID   string `json:"id" maxLength:"40"`
				Text string `json:"text" maxLength:"600"`
			}
		},
		) (*jobOut, error) {
			shop, err := s.shop(ctx)
			if err != nil {
				return nil, s.failed(err)
			}
			if !store.ValidID(in.Body.ID) {
				return nil, huma.Error404NotFound("A new job needs an ID that the program gave: load the page again.")
			}
			j, problems := plan.Begin(in.Body.Text, shop.Shop)
			if len(problems) > 0 {
				return nil, refuse("body.text", problems)
			}
			added, err := s.store.AddJob(ctx, in.Body.ID, j, s.line(j, shop))
			if err != nil {
				return nil, s.failed(err)
			}
			return s.changed(added), nil
		})
}
