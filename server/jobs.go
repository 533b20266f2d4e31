package server

import (
	"context"
	"net/http"

	"github.com/danielgtaylor/huma/v2"

	"yellowparcel/core/field"
	"yellowparcel/core/job"
	"yellowparcel/core/plan"
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

// VersionBody is the version that a job has.
type VersionBody struct {
	Version int64 `json:"version"`
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
	huma.Register(s.api, huma.Operation{OperationID: "startJob", Method: http.MethodGet, Path: "/api/jobs/new", Summary: "What a new job begins as, under an ID of its own; nothing is stored before it is saved from version 0"},
		func(ctx context.Context, _ *struct{}) (*jobOut, error) {
			shop, err := s.shop(ctx)
			if err != nil {
				return nil, s.failed(err)
			}
			return jobBody(store.Job{ID: store.NewID(), Job: job.Begun(shop.Shop)}), nil
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
			s.events.tell(Event{Kind: "jobs"})
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

	huma.Register(s.api, huma.Operation{OperationID: "versionOfJob", Method: http.MethodGet, Path: "/api/jobs/{id}/version", Summary: "Which version a job has by now"},
		func(ctx context.Context, in *JobID) (*struct{ Body VersionBody }, error) {
			version, err := s.store.Version(ctx, in.ID)
			if err != nil {
				return nil, s.failed(err)
			}
			return &struct{ Body VersionBody }{VersionBody{version}}, nil
		})

	huma.Register(s.api, huma.Operation{OperationID: "saveJob", Method: http.MethodPut, Path: "/api/jobs/{id}", MaxBodyBytes: maxBody, Summary: "Save a job that was changed from a version; from version 0 it is a new one"},
		func(ctx context.Context, in *struct {
			JobID
			Body struct {
				Version int64   `json:"version" minimum:"0"`
				Job     job.Job `json:"job"`
				// Edits are carried out on the job first: what a window did last, and left before
				// it had its answer. What cannot be used is left out.
				Edits []field.Edit `json:"edits,omitempty" maxItems:"300"`
				// Act is a name that no other save has: sent again, since its answer was lost, it is
				// not done twice. After are the window's own saves that it never had an answer of.
				Act   string   `json:"act,omitempty" maxLength:"40"`
				After []string `json:"after,omitempty" maxItems:"50"`
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
			j, _ := plan.Apply(in.Body.Job, shop.Shop, in.Body.Edits)
			line := s.line(j, shop)
			if in.Body.Version == 0 && !store.ValidID(in.ID) {
				return nil, huma.Error404NotFound("A new job needs an ID that the program gave: start a card from the list of jobs.")
			}
			saved, err := s.store.Save(ctx, store.Save{ID: in.ID, From: in.Body.Version, Job: j, Line: line, Act: in.Body.Act, After: in.Body.After})
			if err != nil {
				return nil, s.failed(err)
			}
			return s.changed(saved), nil
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
			return s.changed(j), nil
		})

	huma.Register(s.api, huma.Operation{OperationID: "setJobArchived", Method: http.MethodPut, Path: "/api/jobs/{id}/archived", MaxBodyBytes: maxBody, Summary: "Put a job that is done among the archived ones, or back"},
		func(ctx context.Context, in *struct {
			JobID
			Body struct {
				Version  int64 `json:"version" minimum:"1"`
				Archived bool  `json:"archived"`
			}
		},
		) (*jobOut, error) {
			j, err := s.store.SetArchived(ctx, in.ID, in.Body.Version, in.Body.Archived)
			if err != nil {
				return nil, s.failed(err)
			}
			return s.changed(j), nil
		})

	huma.Register(s.api, huma.Operation{OperationID: "renameJob", Method: http.MethodPut, Path: "/api/jobs/{id}/name", MaxBodyBytes: maxBody, Summary: "Give a job another name"},
		func(ctx context.Context, in *struct {
			JobID
			Body struct {
				Version int64  `json:"version" minimum:"1"`
				Name    string `json:"name" maxLength:"400"`
			}
		},
		) (*jobOut, error) {
			name, err := job.NameOf(in.Body.Name)
			if err != nil {
				return nil, refuse("body", []field.Problem{field.ProblemOf("name", err)})
			}
			j, err := s.store.Rename(ctx, in.ID, in.Body.Version, name)
			if err != nil {
				return nil, s.failed(err)
			}
			return s.changed(j), nil
		})
}

// changed tells every window that a job was changed.
func (s *Server) changed(j store.Job) *jobOut {
	s.events.tell(Event{Kind: "job", Job: j.ID, Version: j.Version})
	s.events.tell(Event{Kind: "jobs"})
	return jobBody(j)
}
