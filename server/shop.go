package server

import (
	"context"
	"errors"
	"net/http"
	"time"

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
	// Told says what of another window's changes does not stand any more.
	Told []string `json:"told"`
}

func shopBody(s store.Shop) *struct{ Body ShopBody } {
	return &struct{ Body ShopBody }{ShopBody{s.Version, s.Shop, plan.ShopFields(s.Shop), plan.ChoicesIn(s.Shop), []string{}}}
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

	huma.Register(s.api, huma.Operation{OperationID: "saveShop", Method: http.MethodPut, Path: "/api/shop", MaxBodyBytes: 2 * maxBody, Summary: "Save the shop that was changed from a version, with what was typed; what other windows did meanwhile stays"},
		func(ctx context.Context, in *struct {
			Body struct {
				Version int64     `json:"version" minimum:"1"`
				Shop    plan.Shop `json:"shop"`
				// Was is the shop of that version: with it, a shop that has moved on is
				// merged instead of refused.
				Was   *plan.Shop  `json:"was,omitempty"`
				Edits []plan.Edit `json:"edits" maxItems:"50"`
			}
		},
		) (*struct{ Body ShopBody }, error) {
			// Places in lists are those of the shop that was sent.
			mine, problems := plan.ApplyToShop(in.Body.Shop, in.Body.Edits)
			if problems = append(problems, mine.Check()...); len(problems) > 0 {
				return nil, refuse("body.shop", problems)
			}
			var told []string
			saved, err := s.store.ChangeShop(ctx, func(now store.Shop) (plan.Shop, error) {
				made := mine
				switch {
				case now.Version == in.Body.Version:
				case in.Body.Was == nil:
					return made, store.ErrChanged
				default:
					var err error
					if made, told, err = plan.MergeShop(*in.Body.Was, mine, now.Shop); err != nil {
						return made, err
					}
					if problems = made.Check(); len(problems) > 0 {
						return made, refuse("body.shop", problems)
					}
				}
				made.Today = "" // told anew each day, never kept
				return made, nil
			})
			var refused huma.StatusError
			if errors.As(err, &refused) {
				return nil, refused
			}
			if err != nil {
				return nil, s.failed(err)
			}
			s.lister.stale()
			s.events.tellAll(Event{Kind: "shop", Version: saved.Version})
			saved.Shop.Today = s.now().Format(time.DateOnly)
			body := shopBody(saved)
			body.Body.Told = append(body.Body.Told, told...)
			return body, nil
		})
}
