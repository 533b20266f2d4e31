package server

import (
	"context"
	"net/http"

	"github.com/danielgtaylor/huma/v2"

	"yellowparcel/core/plan"
	"yellowparcel/format"
)

// readers is how many outlines are read at a time: each may take some dozens of
// megabytes for a moment. Others wait.
const readers = 2

func (s *Server) outlineRoutes() {
	reading := make(chan struct{}, readers)
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
			select {
			case reading <- struct{}{}:
				defer func() { <-reading }()
			case <-ctx.Done():
				return nil, s.failed(ctx.Err())
			}
			outline, err := format.ReadOutline(in.Body.Text, shop.Shop.Unit)
			if err != nil {
				return nil, huma.Error422UnprocessableEntity(err.Error())
			}
			return &struct{ Body plan.OutlinePlan }{plan.PlanOutline(outline, shop.Shop)}, nil
		})
}
