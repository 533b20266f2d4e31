package server

import (
	"context"
	"net/http"
	"slices"

	"github.com/danielgtaylor/huma/v2"

	"yellowparcel/core/field"
	"yellowparcel/core/job"
)

// FoundBody is what a scrap shows of a tool: the edits that put it on the shelf, and each of them in words.
type FoundBody struct {
	Found []FoundValue `json:"found"`
	Edits []field.Edit `json:"edits"`
	// Told is what to mind; empty where the scrap is good.
	Told     string          `json:"told"`
	Problems []field.Problem `json:"problems"`
}

// FoundValue is one value as it is shown.
type FoundValue struct {
	Label string `json:"label"`
	Text  string `json:"text"`
}

// calibrationRoutes work out what a tool reads from what was measured on a scrap; nothing is stored.
func calibrationRoutes(s *Server) {
	huma.Register(s.api, huma.Operation{OperationID: "calibrate", Method: http.MethodPost, Path: "/api/shop/calibration", MaxBodyBytes: maxBody, Summary: "Work out what a tool reads from what was measured on a scrap; nothing is stored"},
		func(ctx context.Context, in *struct {
			Body struct {
				Tool  string            `json:"tool" maxLength:"40"`
				Typed map[string]string `json:"typed"`
			}
		},
		) (*struct{ Body FoundBody }, error) {
			shop, err := s.shop(ctx)
			if err != nil {
				return nil, s.failed(err)
			}
			tools := job.BenchTools()
			at := slices.IndexFunc(tools, func(t *job.Tool) bool { return string(t.ID) == in.Body.Tool && t.Calibration != nil })
			if at < 0 {
				return nil, huma.Error404NotFound("There is nothing to find out of that tool with a scrap: choose another.")
			}
			body := FoundBody{Found: []FoundValue{}, Edits: []field.Edit{}}
			var found []job.Found
			found, body.Told, body.Problems = job.Calibrate(shop.Shop, tools[at], in.Body.Typed)
			if body.Problems == nil {
				body.Problems = []field.Problem{}
			}
			fields := shop.Shop.Fields()
			for _, f := range found {
				of, _ := field.Find(fields, f.Path)
				body.Found = append(body.Found, FoundValue{of.Label, job.FoundWords(shop.Shop, f)})
				body.Edits = append(body.Edits, field.Edit{Act: field.Type, Path: f.Path, Text: f.Length.String()})
			}
			return &struct{ Body FoundBody }{body}, nil
		})
}
