package server

import (
	"context"
	"encoding/json"
	"net/http"
	"time"

	"github.com/go-chi/chi/v5"

	"yellowparcel/core/cutting"
	"yellowparcel/core/plan"
)

// longSearch is how many steps a maker who waits for a better cutting plan gets;
// some seconds.
const longSearch = 60_000_000

// cuttingLine is one line of the answer to a long search: how far it is, or the
// plan at last.
type cuttingLine struct {
	Progress *cutting.Progress `json:"progress,omitempty"`
	Plan     *plan.StockPlan   `json:"plan,omitempty"`
}

// searchCutting searches longer for the cutting of one stock of a job as it
// stands, and tells how far it is, a JSON object a line. It ends when the
// browser goes away.
func (s *Server) searchCutting(w http.ResponseWriter, r *http.Request) {
	var in struct {
		Job          plan.Job
		Stock, Sheet string
	}
	if err := json.NewDecoder(http.MaxBytesReader(w, r.Body, maxBody)).Decode(&in); err != nil {
		writeProblem(w, http.StatusBadRequest, "The job to cut cannot be read: reload the page.")
		return
	}
	shop, err := s.shop(r.Context())
	if err != nil {
		writeProblem(w, http.StatusInternalServerError, somethingBroke)
		return
	}
	if problems := in.Job.Check(shop.Shop); len(problems) > 0 {
		writeProblem(w, http.StatusUnprocessableEntity, problems[0].Message)
		return
	}
	ctx, cancel := context.WithCancel(r.Context())
	defer cancel()
	go func() { // a search does not hold up the program's end
		select {
		case <-s.events.done:
			cancel()
		case <-ctx.Done():
		}
	}()
	rc := http.NewResponseController(w)
	_ = rc.SetWriteDeadline(time.Time{})
	w.Header().Set("Content-Type", "application/x-ndjson")
	send := func(line cuttingLine) {
		if json.NewEncoder(w).Encode(line) == nil {
			_ = rc.Flush()
		}
	}
	last := time.Time{}
	p, ok := plan.CutStock(ctx, in.Job, shop.Shop, in.Stock, in.Sheet, s.searchSteps, func(now cutting.Progress) {
		const often = 100 * time.Millisecond
		if time.Since(last) >= often {
			last = time.Now()
			send(cuttingLine{Progress: &now})
		}
	})
	if !ok {
		writeProblem(w, http.StatusUnprocessableEntity, "This job cuts nothing from that paper now: look at the plan again.")
		return
	}
	send(cuttingLine{Plan: &p})
}

func (s *Server) cuttingRoutes(r chi.Router) { r.Post("/api/cutting", s.searchCutting) }
