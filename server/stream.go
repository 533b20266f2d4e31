package server

import (
	"encoding/json"
	"net/http"
	"reflect"
	"time"

	"github.com/danielgtaylor/huma/v2"
	"github.com/danielgtaylor/huma/v2/adapters/humachi"
)

// streamed describes an operation that answers with a stream of one kind of thing,
// so that it stands in the API's document like any other.
func (s *Server) streamed(op huma.Operation, contentType string, of reflect.Type) huma.Operation {
	op.Responses = map[string]*huma.Response{"200": {
		Description: "A stream; each of its messages is one of these",
		Content:     map[string]*huma.MediaType{contentType: {Schema: s.api.OpenAPI().Components.Schemas.Schema(of, true, of.Name())}},
	}}
	return op
}

// stream is an answer that goes on: each message is sent at once.
type stream struct {
	w      http.ResponseWriter
	rc     *http.ResponseController
	before string
	after  string
}

// newStream begins an answer of a kind that has no end set to it, each message
// between what stands before and after it.
func newStream(ctx huma.Context, contentType, before, after string) stream {
	_, w := humachi.Unwrap(ctx)
	rc := http.NewResponseController(w)
	w.Header().Set("Content-Type", contentType)
	return stream{w, rc, before, after}
}

// send sends one message.
func (s stream) send(message any) error {
	body, err := json.Marshal(message)
	if err != nil {
		return err
	}
	return s.write(s.before + string(body) + s.after)
}

// write sends a text as it is. A client that reads none of it is let go after a while, and
// one that only waits is not.
func (s stream) write(text string) error {
	_ = s.rc.SetWriteDeadline(time.Now().Add(mostSilence))
	defer func() { _ = s.rc.SetWriteDeadline(time.Time{}) }()
	if _, err := s.w.Write([]byte(text)); err != nil {
		return err
	}
	return s.rc.Flush()
}
