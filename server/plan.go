package server

import (
	"context"
	"net/http"

	"github.com/danielgtaylor/huma/v2"

	"yellowparcel/core/field"
	"yellowparcel/core/job"
	"yellowparcel/core/plan"
)

// PlanBody is the answer to one or more edits: the job as they leave it, its
// plan, and what could not be used.
type PlanBody struct {
	Job      job.Job         `json:"job"`
	Plan     plan.Plan       `json:"plan"`
	Problems []field.Problem `json:"problems"`
	// ShopVersion is the version of the shop the plan was made in.
	ShopVersion int64 `json:"shopVersion"`
}

func (s *Server) planRoutes() {
	huma.Register(s.api, huma.Operation{OperationID: "makePlan", Method: http.MethodPost, Path: "/api/plan", MaxBodyBytes: maxBody, Summary: "Edit a job and plan it; nothing is stored"},
		func(ctx context.Context, in *struct {
			Body struct {
				Job   job.Job      `json:"job"`
				Edits []field.Edit `json:"edits" maxItems:"300"`
				// Open is the drawer that is open, as station/drawer: what only others show
				// is left out of the plan. Everything is in it where nothing is said.
				Open string `json:"open,omitempty" maxLength:"80"`
			}
		},
		) (*struct{ Body PlanBody }, error) {
			shop, err := s.shop(ctx)
			if err != nil {
				return nil, s.failed(err)
			}
			if problems := plan.Check(in.Body.Job, shop.Shop); len(problems) > 0 {
				return nil, refuse("body.job", problems)
			}
			j, problems := plan.Apply(in.Body.Job, shop.Shop, in.Body.Edits)
			if problems == nil {
				problems = []field.Problem{}
			}
			if err := s.planners.Acquire(ctx, 1); err != nil {
				return nil, s.failed(err) // nobody waits for it any more
			}
			defer s.planners.Release(1)
			made, err := plan.MakeFor(ctx, j, shop.Shop, plan.OpenAt(in.Body.Open))
			if err != nil {
				return nil, s.failed(err) // nobody waits for it any more
			}
			return &struct{ Body PlanBody }{PlanBody{j, made, problems, shop.Version}}, nil
		})
}
