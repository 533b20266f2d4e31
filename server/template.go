package server

import (
	"context"
	"net/http"

	"github.com/danielgtaylor/huma/v2"

	"yellowparcel/core/job"
	"yellowparcel/core/plan"
	"yellowparcel/format"
)

// templateRoutes hold a ready-made envelope against a card; nothing is stored.
func templateRoutes(s *Server) {
	reading := make(chan struct{}, readers)
	huma.Register(s.api, huma.Operation{OperationID: "readTemplate", Method: http.MethodPost, Path: "/api/template", MaxBodyBytes: 2*format.MostBytes + maxBody, Summary: "Hold a ready-made envelope of an SVG or DXF against a job's card; nothing is stored"},
		func(ctx context.Context, in *struct {
			Body struct {
				Text string  `json:"text"`
				Job  job.Job `json:"job"`
			}
		},
		) (*struct{ Body plan.TemplatePlan }, error) {
			shop, err := s.shop(ctx)
			if err != nil {
				return nil, s.failed(err)
			}
			if problems := plan.Check(in.Body.Job, shop.Shop); len(problems) > 0 {
				return nil, refuse("body.job", problems)
			}
			select {
			case reading <- struct{}{}:
				defer func() { <-reading }()
			case <-ctx.Done():
				return nil, s.failed(ctx.Err())
			}
			t, err := format.ReadTemplate(in.Body.Text)
			if err != nil {
				return nil, huma.Error422UnprocessableEntity(err.Error())
			}
			p, err := plan.PlanTemplate(t.Outline, t.Folds, t.Slits, t.Told, in.Body.Job, shop.Shop)
			if err != nil {
				return nil, huma.Error422UnprocessableEntity(err.Error())
			}
			return &struct{ Body plan.TemplatePlan }{p}, nil
		})
}
