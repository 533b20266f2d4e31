package server

import (
	"context"
	"net/http"

	"github.com/danielgtaylor/huma/v2"

	"yellowparcel/core/plan"
	"yellowparcel/demo"
	"yellowparcel/store"
)

// JobBody is a stored job as it travels.
type JobBody struct {
	ID      string   `json:"id"`
	Version int64    `json:"version"`
	Removed bool     `json:"removed"`
	Changed string   `json:"changed"`
	Job     plan.Job `json:"job"`
}

// ListedJob is a job in the list.
type ListedJob struct {
	ID      string `json:"id"`
	Version int64  `json:"version"`
	Name    string `json:"name"`
	Size    string `json:"size"`
	Width   int64  `json:"width"`
	Height  int64  `json:"height"`
	Count   int    `json:"count"`
	Post    string `json:"post"`
	Tone    string `json:"tone"`
	Changed string `json:"changed"`
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
			jobs, err := s.store.Jobs(ctx)
			if err != nil {
				return nil, s.failed(err)
			}
			shop, err := s.shop(ctx)
			if err != nil {
				return nil, s.failed(err)
			}
			list := make([]ListedJob, len(jobs))
			for i, j := range jobs {
				p := plan.Make(j.Job, shop.Shop)
				list[i] = ListedJob{j.ID, j.Version, j.Job.Name, p.Ticket[0].Value, int64(j.Job.Card.Width), int64(j.Job.Card.Height), j.Job.Count, p.Post.Short, string(p.Post.Tone), j.Changed}
			}
			return &struct{ Body []ListedJob }{list}, nil
		})

	huma.Register(s.api, huma.Operation{OperationID: "addJob", Method: http.MethodPost, Path: "/api/jobs", DefaultStatus: http.StatusCreated, MaxBodyBytes: maxBody, Summary: "A new job, plain or as a copy of another"},
		func(ctx context.Context, in *struct {
			Body struct {
				CopyOf string `json:"copyOf,omitempty" maxLength:"40"`
			}
		},
		) (*jobOut, error) {
			job := demo.Blank()
			if in.Body.CopyOf != "" {
				from, err := s.store.Job(ctx, in.Body.CopyOf)
				if err != nil {
					return nil, s.failed(err)
				}
				job = from.Job
				if name := []rune("Copy of " + job.Name); len(name) <= 120 {
					job.Name = string(name)
				}
			}
			added, err := s.store.AddJob(ctx, job)
			if err != nil {
				return nil, s.failed(err)
			}
			return jobBody(added), nil
		})

	huma.Register(s.api, huma.Operation{OperationID: "getJob", Method: http.MethodGet, Path: "/api/jobs/{id}", Summary: "One job"},
		func(ctx context.Context, in *JobID) (*jobOut, error) {
			j, err := s.store.Job(ctx, in.ID)
			if err != nil {
				return nil, s.failed(err)
			}
			return jobBody(j), nil
		})

	huma.Register(s.api, huma.Operation{OperationID: "saveJob", Method: http.MethodPut, Path: "/api/jobs/{id}", MaxBodyBytes: maxBody, Summary: "Save a job that was changed from a version"},
		func(ctx context.Context, in *struct {
			JobID
			Body struct {
				Version int64    `json:"version" minimum:"1"`
				Job     plan.Job `json:"job"`
			}
		},
		) (*jobOut, error) {
			shop, err := s.shop(ctx)
			if err != nil {
				return nil, s.failed(err)
			}
			if problems := in.Body.Job.Check(shop.Shop); len(problems) > 0 {
				return nil, refuse("body.job", problems)
			}
			saved, err := s.store.SaveJob(ctx, in.ID, in.Body.Version, in.Body.Job)
			if err != nil {
				return nil, s.failed(err)
			}
			s.events.tell(saved.ID, Event{Kind: "job", Version: saved.Version})
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
			s.events.tell(j.ID, Event{Kind: "job", Version: j.Version})
			return jobBody(j), nil
		})
}
