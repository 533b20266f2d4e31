package server

import (
	"context"
	"encoding/json"
	"net/http"
	"reflect"
	"time"

	"github.com/danielgtaylor/huma/v2"

	"yellowparcel/core/mail"
	"yellowparcel/core/plan"
	"yellowparcel/store"
)

var fileType = reflect.TypeFor[mail.File]()

// shop is the stored shop on the day of today.
func (s *Server) shop(ctx context.Context) (store.Shop, error) {
	shop, err := s.store.Shop(ctx)
	shop.Shop.Today = s.now().Format(time.DateOnly)
	return shop, err
}

func (s *Server) ruleRoutes() {
	huma.Register(s.api, huma.Operation{OperationID: "getRules", Method: http.MethodGet, Path: "/api/rulebooks", Summary: "Every rulebook as a page of rules"},
		func(ctx context.Context, _ *struct{}) (*struct{ Body []plan.RulePage }, error) {
			shop, err := s.shop(ctx)
			if err != nil {
				return nil, s.failed(err)
			}
			return &struct{ Body []plan.RulePage }{plan.RulePages(shop.Shop)}, nil
		})

	// The schema that files are written by comes from the type that reads them.
	registry := huma.NewMapRegistry("#/$defs/", huma.DefaultSchemaNamer)
	schema := huma.SchemaFromType(registry, fileType)
	doc, err := json.MarshalIndent(map[string]any{
		"$schema": "https://json-schema.org/draft/2020-12/schema", "title": "Rulebook of a post", "$ref": schema.Ref, "$defs": registry.Map(),
		"type": schema.Type, "properties": schema.Properties, "required": schema.Required, "additionalProperties": false,
	}, "", "  ")
	s.router.Get("/api/rulebooks/schema.json", func(w http.ResponseWriter, _ *http.Request) {
		if err != nil {
			writeProblem(w, http.StatusInternalServerError, somethingBroke)
			return
		}
		w.Header().Set("Content-Type", "application/schema+json")
		_, _ = w.Write(doc)
	})
}
