package server

import (
	"context"
	"encoding/json"
	"errors"
	"fmt"
	"io"
	"net/http"
	"time"

	"github.com/danielgtaylor/huma/v2"
	"github.com/danielgtaylor/huma/v2/adapters/humachi"

	"yellowparcel/core/say"
	"yellowparcel/store"
)

// exchangeRoutes are everything in one open file, out and in, and one job.
func (s *Server) exchangeRoutes() {
	file := func(op huma.Operation, kind string) huma.Operation {
		op.Responses = map[string]*huma.Response{"200": {Description: "The file", Content: map[string]*huma.MediaType{kind: {}}}}
		return op
	}
	huma.Register(s.api, file(huma.Operation{OperationID: "writeEverything", Method: http.MethodGet, Path: "/api/everything", Summary: "Everything that is kept, as one open file: a zip of JSON"}, zipFile),
		func(ctx context.Context, _ *struct{}) (*huma.StreamResponse, error) {
			// Written whole before a byte of it is sent: half a file is none, and what fails says so.
			f, err := s.store.Exchange().ExportFile(ctx)
			if err != nil {
				return nil, s.failed(err)
			}
			return &huma.StreamResponse{Body: func(hc huma.Context) {
				defer func() { _ = f.Close() }()
				if _, err := io.Copy(download(hc, zipFile, "yellow-parcel-"+s.now().Format(time.DateOnly)+".zip"), f); err != nil && ctx.Err() == nil {
					s.log.Error("everything could not be sent", "error", err)
					panic(http.ErrAbortHandler)
				}
			}}, nil
		})
	// As large as it may be it is never in memory at once.
	s.router.Post("/api/everything", s.readEverything)
	huma.Register(s.api, file(huma.Operation{OperationID: "writeJob", Method: http.MethodGet, Path: "/api/jobs/{id}/file", Summary: "A job with its history as a file of its own: JSON"}, "application/json"),
		func(ctx context.Context, in *JobID) (*huma.StreamResponse, error) {
			body, err := s.store.Exchange().ExportJob(ctx, in.ID)
			if err != nil {
				return nil, s.failed(err)
			}
			return &huma.StreamResponse{Body: func(hc huma.Context) {
				_, _ = download(hc, "application/json", "job-"+in.ID+".json").Write(body)
			}}, nil
		})
	huma.Register(s.api, huma.Operation{OperationID: "readJob", Method: http.MethodPost, Path: "/api/jobs/file", DefaultStatus: http.StatusCreated, MaxBodyBytes: maxJobFile, Summary: "Read the file of a job in, as a new job"},
		func(ctx context.Context, in *struct {
			RawBody []byte `contentType:"application/octet-stream"`
		},
		) (*jobOut, error) {
			j, err := s.store.Exchange().ImportJob(ctx, in.RawBody)
			if err != nil {
				return nil, fileFailed(s, err)
			}
			s.lister.stale()
			return s.changed(j), nil
		})
}

// readEverything reads a file of everything in: with replace=true everything becomes as it is
// in the file, else what is missing or older here is taken.
func (s *Server) readEverything(w http.ResponseWriter, r *http.Request) {
	body := patientBody{http.MaxBytesReader(w, r.Body, store.MostZip+1), http.NewResponseController(w)}
	came, err := s.store.Exchange().Import(r.Context(), body, r.URL.Query().Get("replace") == "true")
	_ = http.NewResponseController(w).SetWriteDeadline(time.Now().Add(mostSilence))
	if err != nil {
		var told huma.StatusError
		_ = errors.As(fileFailed(s, err), &told)
		writeProblem(w, told.GetStatus(), told.Error())
		return
	}
	s.everythingChanged(r.Context())
	w.Header().Set("Content-Type", "application/json")
	_ = json.NewEncoder(w).Encode(CameBody{Came("Read in", came)})
}

// patientBody is what is sent, however long it takes, as long as something comes.
type patientBody struct {
	io.Reader
	rc *http.ResponseController
}

func (p patientBody) Read(b []byte) (int, error) {
	_ = p.rc.SetReadDeadline(time.Now().Add(mostSilence))
	return p.Reader.Read(b)
}

const (
	zipFile    = "application/zip"
	maxJobFile = 4 << 20
)

// fileFailed turns what is wrong with a file into an answer.
func fileFailed(s *Server, err error) error {
	var wrong *store.FileError
	if errors.As(err, &wrong) {
		return huma.Error422UnprocessableEntity(fmt.Sprintf("The file cannot be read in: %s. Nothing was changed.", say.Lower(wrong.Error())))
	}
	return s.failed(err)
}

// download begins an answer that is kept as a file.
func download(ctx huma.Context, kind, name string) io.Writer {
	_, w := humachi.Unwrap(ctx)
	h := w.Header()
	h.Set("Content-Type", kind)
	h.Set("Content-Disposition", fmt.Sprintf("attachment; filename=%q", name))
	return patient{w, http.NewResponseController(w)}
}

// patient writes an answer that may take long, as long as somebody reads it.
type patient struct {
	w  io.Writer
	rc *http.ResponseController
}

func (p patient) Write(b []byte) (int, error) {
	_ = p.rc.SetWriteDeadline(time.Now().Add(mostSilence))
	return p.w.Write(b)
}
