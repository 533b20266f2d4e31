package server

import (
	"context"
	"net/http"

	"github.com/danielgtaylor/huma/v2"

	"yellowparcel/core/plan"
	"yellowparcel/format"
)

func (s *Server) outlineRoutes() {
	huma.Register(s.api, huma.Operation{OperationID: "readOutline", Method: http.MethodPost, Path: "/api/outline", MaxBodyBytes: 2 * format.MostBytes, Summary: "Read an odd card's outline from corners, SVG or DXF; nothing is stored"},
		func(ctx context.Context, in *struct {
			Body struct {
				Text string `json:"text"`
			}
		},
		) (*struct{ Body plan.OutlinePlan }, error) {
			shop, err := s.shop(ctx)
			if err != nil {
				return nil, s.failed(err)
			}
			outline, err := format.ReadOutline(in.Body.Text, shop.Shop.Unit)
			if err != nil {
				return nil, huma.Error422UnprocessableEntity(err.Error())
			}
			return &struct{ Body plan.OutlinePlan }{plan.PlanOutline(outline, shop.Shop)}, nil
		})
}
