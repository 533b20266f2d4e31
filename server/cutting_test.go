package server

import (
	"bufio"
	"bytes"
	"context"
	"encoding/json"
	"net/http"
	"strings"
	"testing"

	"yellowparcel/core/field"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/plan"
)

// A long search answers with how far it is, line by line, and the plan at last.
func TestLongSearch(t *testing.T) {
	s := newSite(t)
	j := s.first().Job
	j.Count = 37
	for i := range 6 {
		j.Parts = append(j.Parts, job.Part{ID: string(rune('a' + i)), Name: "Layer", Kind: job.LayerPart, Stock: "cover-100", Border: measure.Inch / 8})
	}
	body, err := json.Marshal(map[string]any{"job": j, "stock": "cover-100", "sheet": "letter"})
	if err != nil {
		t.Fatal(err)
	}
	res, err := http.Post(s.URL+"/api/cutting", "application/json", bytes.NewReader(body))
	if err != nil {
		t.Fatal(err)
	}
	defer func() { _ = res.Body.Close() }()
	var last CuttingLine
	lines, steps := 0, 0
	scan := bufio.NewScanner(res.Body)
	scan.Buffer(nil, 1<<20)
	for ; scan.Scan(); lines++ {
		last = CuttingLine{}
		if err := json.Unmarshal(scan.Bytes(), &last); err != nil {
			t.Fatalf("line %d: %v", lines, err)
		}
		if last.Progress != nil {
			if last.Progress.Steps < steps {
				t.Errorf("steps go back from %d to %d", steps, last.Progress.Steps)
			}
			steps = last.Progress.Steps
		}
	}
	if last.Plan == nil || last.Plan.Sheets == 0 || last.Plan.Unfinished || last.Plan.SheetName != "Letter" || lines < 2 {
		t.Errorf("%d lines, the last %+v", lines, last)
	}
}

// A browser that goes away ends its search; what makes no sense is refused.
func TestSearchEndsAndRefuses(t *testing.T) {
	s := newSite(t)
	j := s.first().Job
	j.Count = 0
	for _, tt := range []struct {
		body any
		want int
	}{
		{"nonsense", http.StatusUnprocessableEntity},
		{map[string]any{}, http.StatusUnprocessableEntity},
		{map[string]any{"job": j}, http.StatusUnprocessableEntity},
	} {
		if got := s.ask(http.MethodPost, "/api/cutting", tt.body, nil); got != tt.want {
			t.Errorf("%v: status %d, want %d", tt.body, got, tt.want)
		}
	}
	j.Count = 12
	if got := s.ask(http.MethodPost, "/api/cutting", map[string]any{"job": j, "stock": "moon", "sheet": "letter"}, nil); got != http.StatusUnprocessableEntity {
		t.Errorf("paper that the job does not use: status %d", got)
	}
	ctx, cancel := context.WithCancel(context.Background())
	cancel()
	shop := s.shop()
	if p, ok := plan.CutStock(ctx, j, shop, "cover-100", "letter", 1<<40, nil); !ok || p.Sheets != 12 || !strings.Contains(p.Text, "12 sheets") {
		t.Errorf("a stopped search: %v, %+v", ok, p.Text)
	}
}

func (s site) shop() job.Shop {
	s.t.Helper()
	var body ShopBody
	s.ask(http.MethodGet, "/api/shop", nil, &body)
	return body.Shop
}

// An outline is read and answered with its rectangles, up to the shop's tick;
// what is none is refused in words, and so is a file too large.
func TestReadOutline(t *testing.T) {
	s := newSite(t)
	var out plan.OutlinePlan
	ask := func(text string) int {
		return s.ask(http.MethodPost, "/api/outline", map[string]string{"text": text}, nil)
	}
	if got := s.ask(http.MethodPost, "/api/outline", map[string]string{"text": "0, 0; 4.03, 0; 4.03, 3; 0, 3"}, &out); got != http.StatusOK {
		t.Fatalf("status %d", got)
	}
	if out.Width != 4*measure.Inch+measure.Inch/16 || out.UprightHeight != 3*measure.Inch || len(out.Outline) != 4 || !strings.Contains(out.Sentence, "It fills 4 1⁄16 × 3 in") {
		t.Errorf("%+v", out)
	}
	for text, want := range map[string]int{
		"":                              http.StatusUnprocessableEntity,
		"0 0; 4 4; 4 0; 0 4":            http.StatusUnprocessableEntity,
		strings.Repeat("0 0\n", 600000): http.StatusUnprocessableEntity,
		strings.Repeat("x", 5<<20):      http.StatusRequestEntityTooLarge,
	} {
		t.Run(text, func(t *testing.T) {
			if got := ask(text); got != want {
				t.Errorf("%.20q: status %d, want %d", text, got, want)
			}
		})
	}
	j := s.first().Job
	j.Card.Outline = out.Outline
	if got := s.ask(http.MethodPost, "/api/plan", map[string]any{"job": j, "edits": []field.Edit{}}, nil); got != http.StatusOK {
		t.Errorf("a job with an outline: status %d", got)
	}
	j.Card.Outline[1], j.Card.Outline[2] = j.Card.Outline[2], j.Card.Outline[1]
	if got := s.ask(http.MethodPost, "/api/plan", map[string]any{"job": j, "edits": []field.Edit{}}, nil); got != http.StatusUnprocessableEntity {
		t.Errorf("a job whose outline crosses itself: status %d", got)
	}
}
