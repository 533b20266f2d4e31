package server

import (
	"context"
	"net/http"
	"reflect"
	"time"

	"github.com/danielgtaylor/huma/v2"

	"yellowparcel/core/cutting"
	"yellowparcel/core/job"
	"yellowparcel/core/plan"
)

// longSearch is how many steps a maker who waits for a better cutting plan gets;
// some seconds.
const longSearch = 60_000_000

// CuttingLine is one line of the answer to a long search: how far it is, or the
// plan at last.
type CuttingLine struct {
	// Waits is set while another search is under way: long ones run one after the other.
	Waits    bool              `json:"waits,omitempty"`
	Progress *cutting.Progress `json:"progress,omitempty"`
	Plan     *plan.StockPlan   `json:"plan,omitempty"`
}

// often is how often a search tells how far it is.
const often = 100 * time.Millisecond

// cuttingRoutes is the longer search for the cutting of one stock of a job as it
// stands. It tells how far it is, a JSON object a line, and ends when the browser
// goes away.
func (s *Server) cuttingRoutes() {
	op := huma.Operation{OperationID: "searchCutting", Method: http.MethodPost, Path: "/api/cutting", MaxBodyBytes: maxBody, Summary: "Search longer for how one paper is cut"}
	huma.Register(s.api, s.streamed(op, jsonLines, reflect.TypeFor[CuttingLine]()),
		func(ctx context.Context, in *struct {
			Body struct {
				Job   job.Job `json:"job"`
				Stock string  `json:"stock" maxLength:"40"`
				Sheet string  `json:"sheet" maxLength:"40"`
			}
		},
		) (*huma.StreamResponse, error) {
			shop, err := s.shop(ctx)
			if err != nil {
				return nil, s.failed(err)
			}
			if problems := plan.Check(in.Body.Job, shop.Shop); len(problems) > 0 {
				return nil, refuse("body.job", problems)
			}
			if !plan.Cuts(in.Body.Job, shop.Shop, in.Body.Stock, in.Body.Sheet) {
				return nil, huma.Error422UnprocessableEntity("This job cuts nothing from that paper now: look at the plan again.")
			}
			return &huma.StreamResponse{Body: func(hc huma.Context) {
				ctx, cancel := context.WithCancel(hc.Context())
				defer cancel()
				go func() { // a search does not hold up the program's end
					select {
					case <-s.events.done:
						cancel()
					case <-ctx.Done():
					}
				}()
				out := newStream(hc, jsonLines, "", "\n")
				if !s.searches.TryAcquire(1) {
					_ = out.send(CuttingLine{Waits: true})
					if s.searches.Acquire(ctx, 1) != nil {
						return
					}
				}
				defer s.searches.Release(1)
				last := time.Time{}
				p, _ := plan.CutStock(ctx, in.Body.Job, shop.Shop, in.Body.Stock, in.Body.Sheet, s.searchSteps, func(now cutting.Progress) {
					if time.Since(last) >= often {
						last = time.Now()
						_ = out.send(CuttingLine{Progress: &now})
					}
				})
				_ = out.send(CuttingLine{Plan: &p})
			}}, nil
		})
}
