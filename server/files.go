package server

import (
	"bytes"
	"context"
	"net/http"
	"strings"
	"unicode"

	"github.com/danielgtaylor/huma/v2"

	"yellowparcel/core/job"
	"yellowparcel/core/plan"
	"yellowparcel/format"
)

// FormatBody is an open format in which files are written.
type FormatBody struct {
	ID   string `json:"id"`
	Name string `json:"name"`
	For  string `json:"for"`
	// Draws is set where it holds drawings, Lists where it holds lists.
	Draws bool `json:"draws"`
	Lists bool `json:"lists"`
}

// fileRoutes are a job's pieces and lists as files, in every format.
func (s *Server) fileRoutes() {
	huma.Register(s.api, huma.Operation{OperationID: "listFormats", Method: http.MethodGet, Path: "/api/formats", Summary: "The open formats in which files are written"},
		func(context.Context, *struct{}) (*struct {
			Body struct {
				Formats []FormatBody `json:"formats"`
			}
		}, error,
		) {
			out := &struct {
				Body struct {
					Formats []FormatBody `json:"formats"`
				}
			}{}
			for _, f := range format.Formats() {
				out.Body.Formats = append(out.Body.Formats, FormatBody{f.ID, f.Name, f.For, f.Draw != nil, f.List != nil})
			}
			return out, nil
		})
	content := map[string]*huma.MediaType{}
	for _, f := range format.Formats() {
		content[f.Kind] = &huma.MediaType{}
	}
	type asked struct {
		ID     string `path:"id" maxLength:"40"`
		Piece  string `path:"piece" maxLength:"40"`
		Format string `path:"format" maxLength:"10"`
	}
	op := func(id, path, summary string) huma.Operation {
		return huma.Operation{OperationID: id, Method: http.MethodGet, Path: path, Summary: summary, Responses: map[string]*huma.Response{"200": {Description: "The file", Content: content}}}
	}
	huma.Register(s.api, op("writePiece", "/api/jobs/{id}/pieces/{piece}/{format}", "A piece of a job at its true size, as a file"),
		func(ctx context.Context, in *asked) (*huma.StreamResponse, error) {
			f, ok := format.ByID(in.Format)
			if !ok || f.Draw == nil {
				return nil, huma.Error404NotFound("No piece is written in that format: choose one of the list.")
			}
			return fileOf(ctx, s, in.ID, in.Piece, f, func(j job.Job, shop job.Shop, out *bytes.Buffer) (bool, error) {
				x, found := plan.PieceOf(j, shop, in.Piece)
				if !found {
					return false, nil
				}
				return true, f.Draw(out, format.Sheet{Drawing: x.Flat, Title: j.Name + ": " + x.Name + ", " + x.Size, Words: x.Words}, settings(shop))
			})
		})
	huma.Register(s.api, op("writeList", "/api/jobs/{id}/lists/{piece}/{format}", "A list of a job, as a file"),
		func(ctx context.Context, in *asked) (*huma.StreamResponse, error) {
			f, ok := format.ByID(in.Format)
			if !ok || f.List == nil {
				return nil, huma.Error404NotFound("No list is written in that format: choose one of the list.")
			}
			return fileOf(ctx, s, in.ID, in.Piece, f, func(j job.Job, shop job.Shop, out *bytes.Buffer) (bool, error) {
				l, found := plan.ListOf(j, shop, plan.ListID(in.Piece))
				if !found {
					return false, nil
				}
				return true, f.List(out, l)
			})
		})
}

// settings are how the shop's files are written.
func settings(shop job.Shop) format.Settings {
	return format.Settings{
		Unit: shop.Unit, PerInch: shop.Tools.Cutter.Units.PerInch(), Scoring: plan.Scoring(shop), Page: format.PageByID(string(shop.Page())),
	}
}

// fileOf sends something of a stored job as a file, whole before any of it is sent.
func fileOf(ctx context.Context, s *Server, id, what string, f format.Format, write func(job.Job, job.Shop, *bytes.Buffer) (bool, error)) (*huma.StreamResponse, error) {
	name, out, err := written(ctx, s, id, write)
	if err != nil {
		return nil, err
	}
	return &huma.StreamResponse{Body: func(hc huma.Context) {
		_, _ = download(hc, f.Kind, fileName(name, what, f.ID)).Write(out.Bytes())
	}}, nil
}

// written is the name of a stored job and what write makes of it, one of so many at a time
// as there are planners; write says whether the job has such a thing at all.
func written(ctx context.Context, s *Server, id string, write func(job.Job, job.Shop, *bytes.Buffer) (bool, error)) (string, *bytes.Buffer, error) {
	stored, err := s.store.Job(ctx, id)
	if err != nil {
		return "", nil, s.failed(err)
	}
	shop, err := s.shop(ctx)
	if err != nil {
		return "", nil, s.failed(err)
	}
	if problems := plan.Check(stored.Job, shop.Shop); len(problems) > 0 {
		return "", nil, refuse("job", problems)
	}
	if err := s.planners.Acquire(ctx, 1); err != nil {
		return "", nil, s.failed(err) // nobody waits for it any more
	}
	defer s.planners.Release(1)
	out := &bytes.Buffer{}
	found, err := write(stored.Job, shop.Shop, out)
	switch {
	case err != nil:
		return "", nil, s.failed(err)
	case !found:
		return "", nil, huma.Error404NotFound("The job has no such piece: look at the bench for what it has.")
	}
	return stored.Job.Name, out, nil
}

// fileName is the job's name and the piece's, as every system can keep it.
func fileName(name, what, end string) string {
	plain := strings.Map(func(r rune) rune {
		switch {
		case r < unicode.MaxASCII && (unicode.IsLetter(r) || unicode.IsDigit(r)):
			return unicode.ToLower(r)
		case unicode.IsLetter(r):
			return -1
		}
		return '-'
	}, name)
	words := strings.FieldsFunc(plain, func(r rune) bool { return r == '-' })
	if plain = strings.Join(words, "-"); len(plain) > 60 {
		plain = strings.Trim(plain[:60], "-")
	}
	if plain != "" {
		plain += "-"
	}
	return plain + what + "." + end
}
