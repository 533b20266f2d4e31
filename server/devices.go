package server

import (
	"context"
	"net/http"

	"github.com/danielgtaylor/huma/v2"

	"yellowparcel/core/plan"
	"yellowparcel/device"
)

// bench are the measuring devices at the table. Those that ship are simulated:
// what lies in them is the job's own piece, a little off from the sums.
type bench struct {
	caliper, scale *device.Meter
	jaws, pan      *device.Simulated
}

func newBench(b device.Behaviour) bench {
	var d bench
	d.caliper, d.jaws = device.NewCaliper(b)
	d.scale, d.pan = device.NewScale(b)
	return d
}

// How far the simulated piece is off from the sums: foam gives, paper is damp.
const (
	thinner = 0.96
	heavier = 1.02
)

// TakenBody is a reading that was taken into a job: the text for its field.
type TakenBody struct {
	Text string `json:"text"`
	// Last is the last reading that had settled, also where this one failed.
	Last string `json:"last"`
	// Message says what went wrong; empty when nothing did.
	Message string `json:"message"`
}

func (s *Server) deviceRoutes() {
	huma.Register(s.api, huma.Operation{OperationID: "takeReading", Method: http.MethodPost, Path: "/api/devices/{device}/{act}", MaxBodyBytes: maxBody, Summary: "Take a reading of the caliper or the scale, or set it to zero"},
		func(ctx context.Context, in *struct {
			Device string `path:"device" enum:"caliper,scale"`
			Act    string `path:"act" enum:"read,tare"`
			Body   struct {
				Job plan.Job `json:"job"`
			}
		},
		) (*struct{ Body TakenBody }, error) {
			shop, err := s.shop(ctx)
			if err != nil {
				return nil, s.failed(err)
			}
			if problems := in.Body.Job.Check(shop.Shop); len(problems) > 0 {
				return nil, refuse("body.job", problems)
			}
			thick, grams := plan.Predicted(in.Body.Job, shop.Shop)
			s.bench.jaws.Put(thick.Millimetres() * thinner)
			meter := s.bench.caliper
			if in.Device == "scale" {
				meter = s.bench.scale
				s.bench.pan.Put(grams * heavier)
			}
			var body TakenBody
			take := meter.Take
			if in.Act == "tare" {
				// Nothing lies on the pan yet when it is set to zero.
				s.bench.pan.Put(0)
				take = meter.Tare
			}
			r, err := take(ctx)
			if err != nil {
				body.Message = sentence(err)
			} else {
				body.Text = r.Text()
			}
			if last, ok := meter.Last(); ok {
				body.Last = last.Text()
			}
			return &struct{ Body TakenBody }{body}, nil
		})
}

// sentence makes an error a sentence of its own.
func sentence(err error) string {
	text := []rune(err.Error() + ".")
	if text[0] >= 'a' && text[0] <= 'z' {
		text[0] += 'A' - 'a'
	}
	return string(text)
}
