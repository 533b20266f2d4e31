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

const somethingBroke = "Something went wrong in the program itself. Reload the page to see what is stored, and try again."

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
	case status == http.StatusInsufficientStorage, status == http.StatusServiceUnavailable: // the disk's, in words already
		return p
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
	for _, t := range troubles {
		if errors.Is(store.Kind(err), t.is) {
			return huma.NewError(t.status, fmt.Sprintf(t.words, reason(err)))
		}
	}
	return huma.Error500InternalServerError(somethingBroke)
}

// troubles are what the disk may refuse an act for, as it is said. Each may pass by itself,
// but for damage.
var troubles = []struct {
	is     error
	status int
	words  string
}{
	{store.ErrFull, http.StatusInsufficientStorage, "Nothing was stored: %s. Make room on it; what you did is kept here until then."},
	{store.ErrReadOnly, http.StatusServiceUnavailable, "Nothing was stored: %s. Make it writable; what you did is kept here until then."},
	{store.ErrGone, http.StatusServiceUnavailable, "Nothing is stored any more: %s. Put it back; what you did is kept here until then."},
	{store.ErrDisk, http.StatusServiceUnavailable, "Nothing was stored: %s. Check the disk; what you did is kept here until then."},
	{store.ErrDamaged, http.StatusServiceUnavailable, "Nothing was stored: %s. Stop the program and start it again: it says then what can be done."},
}

// reason is why the disk refused, in a few words.
func reason(err error) string {
	if kind := store.Kind(err); kind != nil {
		return kind.Error()
	}
	return err.Error()
}
