package server

import (
	"bytes"
	"context"
	"net/http"
	"time"

	"github.com/danielgtaylor/huma/v2"

	"yellowparcel/core/blank"
	"yellowparcel/core/drawing"
	"yellowparcel/core/job"
	"yellowparcel/core/plan"
	"yellowparcel/device"
	"yellowparcel/format"
)

// CutBody is what came of sending a mat to the cutter.
type CutBody struct {
	// Message says what went wrong; empty when nothing did, and then there is a Cut.
	Message string        `json:"message"`
	Cut     *plan.CutPlan `json:"cut,omitempty"`
	// Going is set while it still cuts: asked again by the same act, it says what came of it.
	Going bool `json:"going"`
}

// CutterBody is the cutter at the table.
type CutterBody struct {
	// Simulated is set unless a real one was named.
	Simulated bool `json:"simulated"`
}

// realPatience is how long a real cutter may say nothing: it works meanwhile.
const realPatience = 5 * time.Minute

// cutterRoutes send what is exported to the cutter at the table, a simulated one unless another was named.
func cutterRoutes(s *Server, at Devices) {
	cutter, _ := device.NewCutter(at.Behave)
	real := at.Places[device.CutterID]
	if real != nil {
		cutter.Open, cutter.Patience = real, realPatience
	}
	huma.Register(s.api, huma.Operation{OperationID: "readCutter", Method: http.MethodGet, Path: "/api/cutter", Summary: "The cutter at the table"},
		func(context.Context, *struct{}) (*struct{ Body CutterBody }, error) {
			return &struct{ Body CutterBody }{CutterBody{real == nil}}, nil
		})
	huma.Register(s.api, huma.Operation{OperationID: "cutMat", Method: http.MethodPost, Path: "/api/jobs/{id}/cutter/{piece}", MaxBodyBytes: maxBody, Summary: "Send a mat of a job to the cutter, the very SVG that is exported, and hold what comes off against the drawing"},
		func(ctx context.Context, in *struct {
			JobID
			Piece string `path:"piece" maxLength:"40"`
			Body  struct {
				// Act is a name that no other act has: a mat is cut once by it, however often it is sent.
				Act string `json:"act" minLength:"1" maxLength:"40"`
			}
		},
		) (*struct{ Body CutBody }, error) {
			var (
				x    plan.BenchPiece
				bed  device.Bed
				shop job.Shop
			)
			svg, _ := format.ByID("svg")
			_, file, err := written(ctx, s, in.ID, func(j job.Job, of job.Shop, out *bytes.Buffer) (found bool, err error) {
				shop = of
				if x, found = plan.PieceOf(j, shop, in.Piece); !found {
					return false, nil
				}
				on, found := job.MatFor(shop, j)
				if !found {
					return false, nil
				}
				bed = device.Bed{Width: on.Width.Millimetres(), Height: on.Height.Millimetres(), Margin: on.Margin.Millimetres()}
				return true, svg.Draw(out, format.Sheet{Drawing: x.Flat, Title: x.Name, Words: x.Words}, settings(shop))
			})
			if err != nil {
				return nil, err
			}
			answer, done := s.outside.do(ctx, in.Body.Act, s.answerWithin, func() any {
				done, err := cutter.Cut(s.running, bed, file.Bytes())
				if err != nil {
					return CutBody{Message: sentence(err)}
				}
				cut := plan.CameOff(x, shop, madeOf(done), done.Travel, done.Seconds)
				return CutBody{Cut: &cut}
			})
			if !done {
				return &struct{ Body CutBody }{CutBody{Going: true}}, nil
			}
			return &struct{ Body CutBody }{answer.(CutBody)}, nil
		})
}

// madeOf are the strokes of a cutter as lines of a drawing.
func madeOf(d device.Done) (list []drawing.Made) {
	for _, s := range d.Strokes {
		m := drawing.Made{Kind: drawing.Cut}
		if s.Pass == "score" {
			m.Kind = drawing.Score
		}
		for _, p := range s.Points {
			m.Corners = append(m.Corners, blank.Point{X: p[0], Y: p[1]})
		}
		list = append(list, m)
	}
	return list
}
