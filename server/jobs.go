package server

import (
	"context"
	"encoding/json"
	"net/http"
	"reflect"

	"github.com/danielgtaylor/huma/v2"

	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/plan"
	"yellowparcel/core/say"
	"yellowparcel/demo"
	"yellowparcel/store"
)

// JobBody is a stored job as it travels.
type JobBody struct {
	ID      string  `json:"id"`
	Version int64   `json:"version"`
	Removed bool    `json:"removed"`
	Changed string  `json:"changed"`
	Job     job.Job `json:"job"`
}

// ListedJob is a job in the list.
type ListedJob struct {
	ID      string         `json:"id"`
	Version int64          `json:"version"`
	Name    string         `json:"name"`
	Size    string         `json:"size"`
	Count   string         `json:"count"`
	Changed string         `json:"changed"`
	Width   measure.Length `json:"width"`
	Height  measure.Length `json:"height"`
	Mail    string         `json:"mail"`
	Tone    say.Tone       `json:"tone" enum:"fine,care,trouble"`
	Papers  papers         `json:"papers"`
	// Problem says what is wrong with a job that cannot be opened, or is not whole.
	Problem string `json:"problem"`
}

// papers are plan.LinePapers, as JSON already.
type papers json.RawMessage

// MarshalJSON is the JSON itself.
func (p papers) MarshalJSON() ([]byte, error) { return p, nil }

// UnmarshalJSON keeps it as it comes.
func (p *papers) UnmarshalJSON(raw []byte) error {
	*p = append((*p)[:0], raw...)
	return nil
}

// Schema says what it is.
func (papers) Schema(r huma.Registry) *huma.Schema {
	return huma.SchemaFromType(r, reflect.TypeFor[[]plan.LinePaper]())
}

// listedJob is a job's stored line as it travels; one that was never made says so
// until it is.
func listedJob(j store.ListedJob, shop job.Shop) ListedJob {
	l := j.Line.Line
	out := ListedJob{
		ID: j.ID, Version: j.Version, Name: j.Name, Size: plan.LineSize(l, shop), Count: plan.LineCount(l), Changed: j.Changed,
		Width: l.Width, Height: l.Height, Mail: l.Mail, Tone: l.Tone, Papers: papers(l.Papers), Problem: l.Problem,
	}
	if len(out.Papers) == 0 || string(out.Papers) == "null" {
		out.Papers = papers("[]")
	}
	if out.Tone == "" {
		out.Tone, out.Mail = say.Fine, "being worked out"
	}
	return out
}

// JobID is the path of one job.
type JobID struct {
	ID string `path:"id" maxLength:"40"`
}

type jobOut struct{ Body JobBody }

func jobBody(j store.Job) *jobOut {
	return &jobOut{JobBody{ID: j.ID, Version: j.Version, Removed: j.Removed, Changed: j.Changed, Job: j.Job}}
}

func (s *Server) jobRoutes() {
	huma.Register(s.api, huma.Operation{OperationID: "listJobs", Method: http.MethodGet, Path: "/api/jobs", Summary: "The jobs, in their order"},
		func(ctx context.Context, _ *struct{}) (*struct{ Body []ListedJob }, error) {
			jobs, err := s.store.List(ctx)
			if err != nil {
				return nil, s.failed(err)
			}
			shop, err := s.shop(ctx)
			if err != nil {
				return nil, s.failed(err)
			}
			list := make([]ListedJob, len(jobs))
			for i, j := range jobs {
				list[i] = listedJob(j, shop.Shop)
			}
			return &struct{ Body []ListedJob }{list}, nil
		})

	huma.Register(s.api, huma.Operation{OperationID: "startJob", Method: http.MethodGet, Path: "/api/jobs/new", Summary: "What a new job begins as, under an ID of its own; nothing is stored before it is saved from version 0"},
		func(context.Context, *struct{}) (*jobOut, error) {
			return jobBody(store.Job{ID: store.NewID(), Job: demo.Blank()}), nil
		})

	huma.Register(s.api, huma.Operation{OperationID: "addJob", Method: http.MethodPost, Path: "/api/jobs", DefaultStatus: http.StatusCreated, MaxBodyBytes: maxBody, Summary: "A copy of a job"},
		func(ctx context.Context, in *struct {
			Body struct {
				CopyOf string `json:"copyOf" maxLength:"40"`
			}
		},
		) (*jobOut, error) {
			from, err := s.store.Job(ctx, in.Body.CopyOf)
			if err != nil {
				return nil, s.failed(err)
			}
			shop, err := s.shop(ctx)
			if err != nil {
				return nil, s.failed(err)
			}
			if problems := plan.Check(from.Job, shop.Shop); len(problems) > 0 {
				return nil, refuse("job", problems)
			}
			j := from.Job
			if name := []rune("Copy of " + j.Name); len(name) <= 120 {
				j.Name = string(name)
			}
			added, err := s.store.AddJob(ctx, store.NewID(), j, s.line(j, shop))
			if err != nil {
				return nil, s.failed(err)
			}
			s.events.tell(listed, Event{Kind: "jobs"})
			return jobBody(added), nil
		})

	huma.Register(s.api, huma.Operation{OperationID: "getJob", Method: http.MethodGet, Path: "/api/jobs/{id}", Summary: "One job"},
		func(ctx context.Context, in *JobID) (*jobOut, error) {
			j, err := s.store.Job(ctx, in.ID)
			if err != nil {
				return nil, s.failed(err)
			}
			shop, err := s.shop(ctx)
			if err != nil {
				return nil, s.failed(err)
			}
			if problems := plan.Check(j.Job, shop.Shop); len(problems) > 0 {
				problems[0].Message = "This job cannot be planned as it is stored, and is kept as it is. " + problems[0].Message
				return nil, refuse("job", problems)
			}
			return jobBody(j), nil
		})

	huma.Register(s.api, huma.Operation{OperationID: "saveJob", Method: http.MethodPut, Path: "/api/jobs/{id}", MaxBodyBytes: maxBody, Summary: "Save a job that was changed from a version; from version 0 it is a new one"},
		func(ctx context.Context, in *struct {
			JobID
			Body struct {
				Version int64   `json:"version" minimum:"0"`
				Job     job.Job `json:"job"`
			}
		},
		) (*jobOut, error) {
			shop, err := s.shop(ctx)
			if err != nil {
				return nil, s.failed(err)
			}
			if problems := plan.Check(in.Body.Job, shop.Shop); len(problems) > 0 {
				return nil, refuse("body.job", problems)
			}
			line := s.line(in.Body.Job, shop)
			var saved store.Job
			if in.Body.Version == 0 && !store.ValidID(in.ID) {
				return nil, huma.Error404NotFound("A new job needs an ID that the program gave: start a card from the list of jobs.")
			}
			if in.Body.Version == 0 {
				saved, err = s.store.AddJob(ctx, in.ID, in.Body.Job, line)
			} else {
				saved, err = s.store.SaveJob(ctx, in.ID, in.Body.Version, in.Body.Job, line)
			}
			if err != nil {
				return nil, s.failed(err)
			}
			s.events.tell(saved.ID, Event{Kind: "job", Version: saved.Version})
			s.events.tell(listed, Event{Kind: "jobs"})
			return jobBody(saved), nil
		})

	huma.Register(s.api, huma.Operation{OperationID: "setJobRemoved", Method: http.MethodPut, Path: "/api/jobs/{id}/removed", MaxBodyBytes: maxBody, Summary: "Take a job off the list, or put it back"},
		func(ctx context.Context, in *struct {
			JobID
			Body struct {
				Version int64 `json:"version" minimum:"1"`
				Removed bool  `json:"removed"`
			}
		},
		) (*jobOut, error) {
			j, err := s.store.SetRemoved(ctx, in.ID, in.Body.Version, in.Body.Removed)
			if err != nil {
				return nil, s.failed(err)
			}
			s.lister.stale() // the line of a job that comes back may be an old one
			s.events.tell(j.ID, Event{Kind: "job", Version: j.Version})
			s.events.tell(listed, Event{Kind: "jobs"})
			return jobBody(j), nil
		})
}
