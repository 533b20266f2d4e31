package server

import (
	"context"
	"fmt"
	"net/http"
	"slices"
	"time"

	"github.com/danielgtaylor/huma/v2"
	"golang.org/x/sync/semaphore"

	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/plan"
	"yellowparcel/device"
)

// bench are the measuring devices at the table. Those that ship are simulated:
// what lies in them is the job's own piece, a little off from the sums.
type bench []instrument

// instrument is a device at the table, with the field that its readings go into.
type instrument struct {
	Instrument
	kind  *device.Kind
	meter *device.Meter
	in    *device.Simulated
	// turn lets one window at a time lay a piece in it and read it.
	turn *semaphore.Weighted
}

// Instrument is a device that readings may be taken of.
type Instrument struct {
	ID   string `json:"id"`
	Name string `json:"name"`
	// Field is the path of the job that a reading goes into.
	Field string `json:"field" format:"field-path"`
	// Tares is set where it can be set to zero.
	Tares bool `json:"tares"`
}

// readings are where what a device reads goes in a job, and what the sums say of it.
var readings = map[device.Quantity]struct {
	field string
	of    func(thick measure.Length, grams float64) float64
}{
	device.Thickness: {"mail.measured.thickness", func(t measure.Length, _ float64) float64 { return t.Millimetres() }},
	device.Weight:    {"mail.measured.grams", func(_ measure.Length, g float64) float64 { return g }},
}

// Devices are those at the table: how the simulated ones behave, and where real ones are that were named,
// by the ID of their kind.
type Devices struct {
	Behave device.Behaviour
	Places map[string]device.Place
}

func newBench(at Devices) (list bench) {
	for _, k := range device.Kinds() {
		meter, in := k.Simulated(at.Behave)
		if open := at.Places[k.ID]; open != nil {
			meter.Open, in = open, nil
		}
		list = append(list, instrument{Instrument{k.ID, k.Name, readings[k.Reads].field, k.Tares}, k, meter, in, semaphore.NewWeighted(1)})
	}
	return list
}

// load lays what the sums say of a piece into a simulated device; a real one has its own.
func (d instrument) load(j job.Job, shop job.Shop, act string) {
	switch {
	case d.in == nil:
	case act == "tare":
		d.in.Put(0) // nothing lies in it yet when it is set to zero
	default:
		d.in.Put(d.kind.Off * readings[d.kind.Reads].of(plan.Predicted(j, shop)))
	}
}

// TakenBody is a reading that was taken into a job: the text for its field.
type TakenBody struct {
	Text string `json:"text"`
	// Last is the last reading that had settled, also where this one failed.
	Last string `json:"last"`
	// Message says what went wrong; empty when nothing did.
	Message string `json:"message"`
	// Going is set while the device still works: asked again by the same act, it says what came of it.
	Going bool `json:"going"`
}

// mostTurn is how long a window waits while another one reads a device.
const mostTurn = 500 * time.Millisecond

// take lays a piece in a device and reads it, or sets it to zero. A window that finds another one at it
// is told so soon: one that is silent keeps one window waiting and no more.
func (d instrument) take(ctx context.Context, j job.Job, shop job.Shop, act string) (body TakenBody) {
	waits, cancel := context.WithTimeout(ctx, mostTurn)
	defer cancel()
	if d.turn.Acquire(waits, 1) != nil {
		body.Message = fmt.Sprintf("Another window is at the %s: try again when that is done.", d.Name)
		return body
	}
	defer d.turn.Release(1)
	d.load(j, shop, act)
	ask := d.meter.Take
	if act == "tare" {
		ask = d.meter.Tare
	}
	r, err := ask(ctx)
	if err != nil {
		body.Message = sentence(err)
	} else {
		body.Text = r.Text()
	}
	if last, ok := d.meter.Last(); ok {
		body.Last = last.Text()
	}
	return body
}

func (s *Server) deviceRoutes() {
	huma.Register(s.api, huma.Operation{OperationID: "listDevices", Method: http.MethodGet, Path: "/api/devices", Summary: "The measuring devices at the table"},
		func(context.Context, *struct{}) (*struct{ Body []Instrument }, error) {
			list := make([]Instrument, len(s.bench))
			for i, d := range s.bench {
				list[i] = d.Instrument
			}
			return &struct{ Body []Instrument }{list}, nil
		})

	huma.Register(s.api, huma.Operation{OperationID: "takeReading", Method: http.MethodPost, Path: "/api/devices/{device}/{act}", MaxBodyBytes: maxBody, Summary: "Take a reading of a device, or set it to zero"},
		func(ctx context.Context, in *struct {
			Device string `path:"device" maxLength:"40"`
			Act    string `path:"act" enum:"read,tare"`
			Body   struct {
				Job job.Job `json:"job"`
				// Name is one that no other act has: what is sent again by it is not done twice.
				Name string `json:"name,omitempty" maxLength:"40"`
			}
		},
		) (*struct{ Body TakenBody }, error) {
			at := slices.IndexFunc(s.bench, func(d instrument) bool { return d.ID == in.Device })
			if at < 0 {
				return nil, huma.Error404NotFound("There is no such device at the table: choose one of those shown.")
			}
			shop, err := s.shop(ctx)
			if err != nil {
				return nil, s.failed(err)
			}
			if problems := plan.Check(in.Body.Job, shop.Shop); len(problems) > 0 {
				return nil, refuse("body.job", problems)
			}
			answer, done := s.outside.do(ctx, in.Body.Name, s.answerWithin, func() any {
				return s.bench[at].take(s.running, in.Body.Job, shop.Shop, in.Act)
			})
			if !done {
				return &struct{ Body TakenBody }{TakenBody{Going: true}}, nil
			}
			return &struct{ Body TakenBody }{answer.(TakenBody)}, nil
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
