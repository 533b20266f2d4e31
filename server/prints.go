package server

import (
	"bytes"
	"context"
	"net/http"

	"github.com/danielgtaylor/huma/v2"

	"yellowparcel/core/job"
	"yellowparcel/core/plan"
	"yellowparcel/core/worksheet/page"
	"yellowparcel/format"
)

// printRoutes are what is printed to be read: a job on one page, its worksheet, the pocket chart.
func printRoutes(s *Server) {
	content := map[string]*huma.MediaType{"application/pdf": {}}
	op := func(id, path, summary string) huma.Operation {
		return huma.Operation{OperationID: id, Method: http.MethodGet, Path: path, Summary: summary, Responses: map[string]*huma.Response{"200": {Description: "The file", Content: content}}}
	}
	printed := func(id string) (format.Format, error) {
		f, ok := format.ByID(id)
		if !ok || f.Print == nil {
			return f, huma.Error404NotFound("Nothing is printed in that format: take PDF.")
		}
		return f, nil
	}
	huma.Register(s.api, op("printJob", "/api/jobs/{id}/prints/{print}/{format}", "A job on one page, or its worksheet, to be printed"),
		func(ctx context.Context, in *struct {
			JobID
			Print  string `path:"print" enum:"job,worksheet"`
			Format string `path:"format" maxLength:"10"`
		},
		) (*huma.StreamResponse, error) {
			f, err := printed(in.Format)
			if err != nil {
				return nil, err
			}
			return fileOf(ctx, s, in.ID, in.Print, f, func(j job.Job, shop job.Shop, out *bytes.Buffer) (bool, error) {
				t := plan.TableOf(j, shop)
				if in.Print == "job" {
					return true, f.Print(out, plan.PrintJob(t), settings(shop))
				}
				return true, f.Print(out, page.Of(t).Print(j.Name+": worksheet"), settings(shop))
			})
		})
	huma.Register(s.api, huma.Operation{OperationID: "readChart", Method: http.MethodGet, Path: "/api/chart", Summary: "The pocket chart: what goes into each of the maker's envelopes"},
		func(ctx context.Context, _ *struct{}) (*struct{ Body plan.ChartPlan }, error) {
			c, _, err := chart(ctx, s)
			return &struct{ Body plan.ChartPlan }{c}, err
		})
	huma.Register(s.api, op("printChart", "/api/chart/{format}", "The pocket chart, to be printed"),
		func(ctx context.Context, in *struct {
			Format string `path:"format" maxLength:"10"`
		},
		) (*huma.StreamResponse, error) {
			f, err := printed(in.Format)
			if err != nil {
				return nil, err
			}
			c, shop, err := chart(ctx, s)
			if err != nil {
				return nil, err
			}
			var out bytes.Buffer
			if err := f.Print(&out, c.Print(), settings(shop)); err != nil {
				return nil, s.failed(err)
			}
			return &huma.StreamResponse{Body: func(hc huma.Context) {
				_, _ = download(hc, f.Kind, "pocket-chart."+f.ID).Write(out.Bytes())
			}}, nil
		})
}

// chart works the pocket chart out.
func chart(ctx context.Context, s *Server) (plan.ChartPlan, job.Shop, error) {
	shop, err := s.shop(ctx)
	if err != nil {
		return plan.ChartPlan{}, shop.Shop, s.failed(err)
	}
	if err := s.planners.Acquire(ctx, 1); err != nil {
		return plan.ChartPlan{}, shop.Shop, s.failed(err) // nobody waits for it any more
	}
	defer s.planners.Release(1)
	c, err := plan.Chart(ctx, shop.Shop)
	if err != nil {
		return c, shop.Shop, s.failed(err)
	}
	return c, shop.Shop, nil
}
