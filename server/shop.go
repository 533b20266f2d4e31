package server

import (
	"context"
	"net/http"

	"github.com/danielgtaylor/huma/v2"

	"yellowparcel/core/plan"
	"yellowparcel/store"
)

// ShopBody is the shop with what can be chosen in it.
type ShopBody struct {
	Version int64        `json:"version"`
	Shop    plan.Shop    `json:"shop"`
	Fields  plan.Fields  `json:"fields"`
	Choices plan.Choices `json:"choices"`
}

func shopBody(s store.Shop) *struct{ Body ShopBody } {
	return &struct{ Body ShopBody }{ShopBody{s.Version, s.Shop, plan.ShopFields(s.Shop), plan.ChoicesIn(s.Shop)}}
}

func (s *Server) shopRoutes() {
	huma.Register(s.api, huma.Operation{OperationID: "getShop", Method: http.MethodGet, Path: "/api/shop", Summary: "The shop and what can be chosen in it"},
		func(ctx context.Context, _ *struct{}) (*struct{ Body ShopBody }, error) {
			shop, err := s.shop(ctx)
			if err != nil {
				return nil, s.failed(err)
			}
			return shopBody(shop), nil
		})

	huma.Register(s.api, huma.Operation{OperationID: "saveShop", Method: http.MethodPut, Path: "/api/shop", MaxBodyBytes: maxBody, Summary: "Save the shop that was changed from a version, with what was typed"},
		func(ctx context.Context, in *struct {
			Body struct {
				Version int64       `json:"version" minimum:"1"`
				Shop    plan.Shop   `json:"shop"`
				Edits   []plan.Edit `json:"edits" maxItems:"50"`
			}
		},
		) (*struct{ Body ShopBody }, error) {
			shop, problems := plan.ApplyToShop(in.Body.Shop, in.Body.Edits)
			if problems = append(problems, shop.Check()...); len(problems) > 0 {
				return nil, refuse("body.shop", problems)
			}
			shop.Today = "" // told anew each day, never kept
			saved, err := s.store.SaveShop(ctx, in.Body.Version, shop)
			if err != nil {
				return nil, s.failed(err)
			}
			s.events.tellAll(Event{Kind: "shop", Version: saved.Version})
			return shopBody(saved), nil
		})
}
