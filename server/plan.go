package server

import (
	"context"
	"net/http"

	"github.com/danielgtaylor/huma/v2"

	"yellowparcel/core/plan"
)

// PlanBody is the answer to one or more edits: the job as they leave it, its
// plan, and what could not be used.
type PlanBody struct {
	Job      plan.Job       `json:"job"`
	Plan     plan.Plan      `json:"plan"`
	Problems []plan.Problem `json:"problems"`
	// ShopVersion is the version of the shop the plan was made in.
	ShopVersion int64 `json:"shopVersion"`
}

func (s *Server) planRoutes() {
	huma.Register(s.api, huma.Operation{OperationID: "makePlan", Method: http.MethodPost, Path: "/api/plan", MaxBodyBytes: maxBody, Summary: "Edit a job and plan it; nothing is stored"},
		func(ctx context.Context, in *struct {
			Body struct {
				Job   plan.Job    `json:"job"`
				Edits []plan.Edit `json:"edits" maxItems:"50"`
			}
		},
		) (*struct{ Body PlanBody }, error) {
			shop, err := s.shop(ctx)
			if err != nil {
				return nil, s.failed(err)
			}
			if problems := in.Body.Job.Check(shop.Shop); len(problems) > 0 {
				return nil, refuse("body.job", problems)
			}
			job, problems := plan.Apply(in.Body.Job, shop.Shop, in.Body.Edits)
			if problems == nil {
				problems = []plan.Problem{}
			}
			made, err := plan.MakeFor(ctx, job, shop.Shop)
			if err != nil {
				return nil, s.failed(err) // nobody waits for it any more
			}
			return &struct{ Body PlanBody }{PlanBody{job, made, problems, shop.Version}}, nil
		})
}
