package server

import (
	"context"
	"errors"
	"net/http"

	"github.com/danielgtaylor/huma/v2"

	"yellowparcel/core/drawing"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/plan"
	"yellowparcel/core/say"
	"yellowparcel/store"
)

// SampleBody is what an empty front shows: a job with its plan, to begin from, and whether the sample shop is
// on the shelf.
type SampleBody struct {
	ID         string              `json:"id"`
	Job        job.Job             `json:"job"`
	Sentence   say.Sentence        `json:"sentence"`
	Unit       measure.Unit        `json:"unit" enum:"in,mm"`
	Flat       drawing.Drawing     `json:"flat"`
	Dimensions []drawing.Dimension `json:"dimensions"`
	Words      string              `json:"words"`
	Size       string              `json:"size"`
	// Samples is set where a sample shop can be taken, Taken where that was done.
	Samples bool `json:"samples"`
	Taken   bool `json:"taken"`
}

// Samples makes a shop the sample that a first start may take.
func Samples(s *Server, shop job.Shop) { s.sample = &shop }

func sampleBody(s *Server, shop store.Shop) SampleBody {
	j := job.SampleJob(shop.Shop)
	p := plan.Make(j, shop.Shop)
	b := p.Envelope.Blank
	return SampleBody{
		ID: store.NewID(), Job: j, Sentence: b.Sentence, Unit: p.Unit, Flat: b.Flat, Dimensions: b.Dimensions, Words: b.Drawing, Size: b.Size,
		Samples: s.sample != nil, Taken: s.sample != nil && job.HasSamples(shop.Shop, *s.sample),
	}
}

// sampleRoutes are what a first start shows and offers.
func sampleRoutes(s *Server) {
	huma.Register(s.api, huma.Operation{OperationID: "getSample", Method: http.MethodGet, Path: "/api/sample", Summary: "A job with its plan to begin from, under an ID of its own; nothing is stored before it is saved from version 0"},
		func(ctx context.Context, _ *struct{}) (*struct{ Body SampleBody }, error) {
			shop, err := s.shop(ctx)
			if err != nil {
				return nil, s.failed(err)
			}
			return &struct{ Body SampleBody }{sampleBody(s, shop)}, nil
		})
	huma.Register(s.api, huma.Operation{OperationID: "setSample", Method: http.MethodPut, Path: "/api/sample", MaxBodyBytes: maxBody, Summary: "Put the sample shop on the shelf, or take it away again; what was changed since stays"},
		func(ctx context.Context, in *struct {
			Body struct {
				Act   string `json:"act,omitempty" maxLength:"40"`
				Taken bool   `json:"taken"`
			}
		},
		) (*struct{ Body SampleBody }, error) {
			if s.sample == nil {
				return nil, huma.Error404NotFound("There is no sample shop here to take.")
			}
			saved, err := s.store.ChangeShop(ctx, in.Body.Act, func(now store.Shop) (job.Shop, error) {
				made := job.WithoutSamples(now.Shop, *s.sample)
				if in.Body.Taken {
					made = job.WithSamples(now.Shop, *s.sample)
				}
				if list := made.Check(); len(list) > 0 {
					return made, refuse("body", list)
				}
				return made, nil
			})
			var refused huma.StatusError
			switch {
			case errors.Is(err, store.ErrDone):
			case errors.As(err, &refused):
				return nil, refused
			case err != nil:
				return nil, s.failed(err)
			default:
				s.lister.stale()
				s.events.tell(Event{Kind: "shop", Version: saved.Version})
			}
			return &struct{ Body SampleBody }{sampleBody(s, saved)}, nil
		})
}
