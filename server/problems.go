package server

import (
	"context"
	"encoding/json"
	"errors"
	"fmt"
	"net/http"

	"github.com/danielgtaylor/huma/v2"

	"yellowparcel/core/field"
	"yellowparcel/store"
)

const somethingBroke = "Something went wrong in the program itself; what is stored is safe. Try again, or start the program anew."

// writeProblem answers with RFC 9457 problem JSON.
func writeProblem(w http.ResponseWriter, status int, detail string) {
	w.Header().Set("Content-Type", "application/problem+json")
	w.WriteHeader(status)
	_ = json.NewEncoder(w).Encode(huma.ErrorModel{Status: status, Title: http.StatusText(status), Detail: detail})
}

// problemWithContext turns what huma finds wrong with a request into sentences,
// and keeps the insides of a failure out of the answer.
func problemWithContext(_ huma.Context, status int, msg string, errs ...error) huma.StatusError {
	p := &huma.ErrorModel{Status: status, Title: http.StatusText(status), Detail: msg}
	switch {
	case status >= 500:
		p.Detail = somethingBroke
		return p
	case status == http.StatusRequestEntityTooLarge:
		p.Detail = fmt.Sprintf("That is too much at once: a job may take %d kB.", maxBody>>10)
	case status == http.StatusBadRequest:
		p.Detail = "The request could not be read: send one JSON object as the API describes it. " + msg
	case status == http.StatusUnsupportedMediaType:
		p.Detail = "The request must be JSON (application/json)."
	case msg == "validation failed":
		p.Detail = "Some fields cannot be used."
	}
	for _, err := range errs {
		var detail *huma.ErrorDetail
		if errors.As(err, &detail) {
			// The value is left out: it may be huge, and its sender has it.
			p.Errors = append(p.Errors, &huma.ErrorDetail{Message: detail.Message, Location: detail.Location})
		} else if err != nil {
			p.Errors = append(p.Errors, &huma.ErrorDetail{Message: err.Error()})
		}
	}
	return p
}

// refuse answers with the fields of a job or shop that cannot be used.
func refuse(under string, problems []field.Problem) error {
	p := &huma.ErrorModel{Status: http.StatusUnprocessableEntity, Title: http.StatusText(http.StatusUnprocessableEntity), Detail: problems[0].Message}
	for _, f := range problems {
		p.Errors = append(p.Errors, &huma.ErrorDetail{Message: f.Message, Location: under + "." + f.Path})
	}
	return p
}

// failed turns an error of the store into an answer.
func (s *Server) failed(err error) error {
	switch {
	case errors.Is(err, store.ErrMissing):
		return huma.Error404NotFound("There is no such job: it may have been made in another data directory. Go back to the list of jobs.")
	case errors.Is(err, store.ErrChanged):
		return huma.Error409Conflict("It was changed in another window in the meantime; nothing was overwritten. Look at that version, then keep one of the two.")
	}
	if unreadable := (store.ErrUnreadable{}); errors.As(err, &unreadable) {
		return huma.Error422UnprocessableEntity(unreadableWords(unreadable))
	}
	if errors.Is(err, context.Canceled) {
		return huma.Error500InternalServerError(somethingBroke) // nobody reads it
	}
	s.log.Error("the store failed", "error", err)
	return huma.Error500InternalServerError(somethingBroke)
}
