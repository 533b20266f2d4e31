package server

import (
	"context"
	"errors"
	"net/http"
	"slices"
	"strings"
	"time"

	"github.com/danielgtaylor/huma/v2"

	"yellowparcel/core/blank"
	"yellowparcel/core/field"
	"yellowparcel/core/job"
	"yellowparcel/core/plan"
	"yellowparcel/store"
)

// ShopBody is the shop with its fields and what can be chosen in it.
type ShopBody struct {
	Version int64        `json:"version"`
	Shop    job.Shop     `json:"shop"`
	Fields  field.Inputs `json:"fields"`
	Choices job.Choices  `json:"choices"`
	// Adds is where something may be added to the shop, and what.
	Adds []field.Addable `json:"adds"`
	// Tools are those of the bench, with the paths of their fields.
	Tools []ToolBody `json:"tools"`
	// Style is which of the styles it works in: its unit and its smallest step. Tick
	// is that step.
	Style string `json:"style"`
	// Problems are the edits that could not be used, Told what of another window's
	// changes does not stand any more.
	Problems []field.Problem `json:"problems"`
	Told     []string        `json:"told"`
	// Renumbers are the jobs whose numbers go by the tools that were edited.
	Renumbers Renumbers `json:"renumbers"`
}

// Renumbers are the jobs whose numbers an edit of a tool changes: how many, and the names
// of the first.
type Renumbers struct {
	Count int      `json:"count"`
	Names []string `json:"names"`
}

// mostNamed is how many jobs are named.
const mostNamed = 6

// renumbered finds the jobs whose numbers go by the fields that were edited.
func (s *Server) renumbered(ctx context.Context, edits []field.Edit) (Renumbers, error) {
	r := Renumbers{Names: []string{}}
	tools := slices.DeleteFunc(slices.Clone(edits), func(e field.Edit) bool { return !strings.HasPrefix(e.Path, "tools.") })
	if len(tools) == 0 {
		return r, nil
	}
	err := s.store.EachJob(ctx, func(j store.Job) bool {
		if slices.ContainsFunc(tools, func(e field.Edit) bool { return plan.GoesBy(j.Job, e.Path) }) {
			if r.Count++; len(r.Names) < mostNamed {
				r.Names = append(r.Names, j.Job.Name)
			}
		}
		return true
	})
	return r, err
}

// usedBy says which jobs go by the papers that edits took off the shelf.
func usedBy(ctx context.Context, from *store.Store, shop job.Shop, edits []field.Edit) (told []string, err error) {
	for _, paper := range job.PapersPutAway(shop, edits) {
		count, names := 0, []string{}
		err = from.EachJob(ctx, func(j store.Job) bool {
			if job.GoesByPaper(j.Job, paper.ID) {
				if count++; len(names) < mostNamed {
					names = append(names, "“"+j.Job.Name+"”")
				}
			}
			return true
		})
		if err != nil {
			return told, err
		}
		told = append(told, job.PutAwayWords(paper, count, names))
	}
	return told, nil
}

// ToolBody is a tool of the bench.
type ToolBody struct {
	ID     blank.ToolID `json:"id"`
	Name   string       `json:"name"`
	Fields []string     `json:"fields" format:"field-path"`
	// Calibration is how two minutes with a scrap find what it reads; nil where there is nothing to find.
	Calibration *CalibrationBody `json:"calibration,omitempty"`
}

// CalibrationBody is what is done with a scrap, and what is typed then.
type CalibrationBody struct {
	Steps []string      `json:"steps"`
	Asks  []MeasureBody `json:"asks"`
}

// MeasureBody is a length that is measured on a scrap.
type MeasureBody struct {
	Name  string `json:"name"`
	Label string `json:"label"`
	Note  string `json:"note"`
}

func toolBodies() (list []ToolBody) {
	for _, t := range job.BenchTools() {
		body := ToolBody{ID: t.ID, Name: t.Name, Fields: t.Paths()}
		if c := t.Calibration; c != nil {
			body.Calibration = &CalibrationBody{Steps: c.Steps}
			for _, a := range c.Asks {
				body.Calibration.Asks = append(body.Calibration.Asks, MeasureBody{a.Name, a.Label, a.Note})
			}
		}
		list = append(list, body)
	}
	return list
}

func shopBody(s store.Shop) ShopBody {
	return ShopBody{
		Tools: toolBodies(), Version: s.Version, Shop: s.Shop, Fields: s.Shop.Inputs(), Choices: job.ChoicesIn(s.Shop), Adds: s.Shop.Adds(), Style: s.Shop.StyleID(),
		Problems: []field.Problem{}, Told: []string{}, Renumbers: Renumbers{Names: []string{}},
	}
}

// errNothing says that no edit could be used, so that nothing is to be stored.
var errNothing = errors.New("nothing to store")

func (s *Server) shopRoutes() {
	huma.Register(s.api, huma.Operation{OperationID: "getShop", Method: http.MethodGet, Path: "/api/shop", Summary: "The shop, its fields and what can be chosen in it"},
		func(ctx context.Context, _ *struct{}) (*struct{ Body ShopBody }, error) {
			shop, err := s.shop(ctx)
			if err != nil {
				return nil, s.failed(err)
			}
			return &struct{ Body ShopBody }{shopBody(shop)}, nil
		})

	huma.Register(s.api, huma.Operation{OperationID: "editShop", Method: http.MethodPatch, Path: "/api/shop", MaxBodyBytes: maxBody, Summary: "Edit the shop and store it; what other windows did meanwhile stays"},
		func(ctx context.Context, in *struct {
			Body struct {
				// Act is a name that no other act has: one that is sent again, since its
				// answer was lost, is not done twice.
				Act   string       `json:"act,omitempty" maxLength:"40"`
				Edits []field.Edit `json:"edits" maxItems:"50"`
			}
		},
		) (*struct{ Body ShopBody }, error) {
			var problems []field.Problem
			var told []string
			today := s.now().Format(time.DateOnly)
			saved, err := s.store.ChangeShop(ctx, in.Body.Act, func(now store.Shop) (job.Shop, error) {
				now.Shop.Today = today // told anew each day, never kept
				var made job.Shop
				made, problems, told = job.ApplyToShop(now.Shop, in.Body.Edits)
				made.Today = ""
				if len(problems) == len(in.Body.Edits) {
					return made, errNothing
				}
				if list := made.Check(); len(list) > 0 {
					return made, refuse("body.edits", list)
				}
				return made, nil
			})
			var refused huma.StatusError
			switch {
			case errors.Is(err, errNothing), errors.Is(err, store.ErrDone):
			case errors.As(err, &refused):
				return nil, refused
			case err != nil:
				return nil, s.failed(err)
			default:
				s.lister.stale()
				s.events.tell(Event{Kind: "shop", Version: saved.Version})
			}
			saved.Shop.Today = today
			body := shopBody(saved)
			body.Problems, body.Told = append(body.Problems, problems...), append(body.Told, told...)
			uses, err := usedBy(ctx, s.store, saved.Shop, in.Body.Edits)
			if err != nil {
				return nil, s.failed(err)
			}
			body.Told = append(body.Told, uses...)
			if len(problems) == 0 {
				if body.Renumbers, err = s.renumbered(ctx, in.Body.Edits); err != nil {
					return nil, s.failed(err)
				}
			}
			return &struct{ Body ShopBody }{body}, nil
		})
}
