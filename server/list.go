package server

import (
	"cmp"
	"context"
	"encoding/json"
	"net/http"
	"reflect"
	"slices"
	"strings"
	"time"

	"github.com/danielgtaylor/huma/v2"

	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/plan"
	"yellowparcel/core/say"
	"yellowparcel/store"
)

// ListedJob is a job in the list.
type ListedJob struct {
	ID      string `json:"id"`
	Version int64  `json:"version"`
	Name    string `json:"name"`
	Size    string `json:"size"`
	Count   string `json:"count"`
	// Changed is when it was last changed, in words of the day.
	Changed string         `json:"changed"`
	Width   measure.Length `json:"width"`
	Height  measure.Length `json:"height"`
	Mail    string         `json:"mail"`
	Tone    say.Tone       `json:"tone" enum:"fine,care,trouble"`
	Papers  papers         `json:"papers"`
	// Envelope is the closed envelope round the card.
	Envelope *plan.LineEnvelope `json:"envelope,omitempty"`
	// Problem says what is wrong with a job that cannot be opened, or is not whole.
	Problem string `json:"problem"`
	// Door is where a job without a card is gone on with; empty for the others.
	Door string `json:"door"`
}

// JobList is a list of jobs, and how many there are in each list.
type JobList struct {
	Jobs []ListedJob `json:"jobs"`
	// Of is how many jobs the list has, before it is searched.
	Of int `json:"of"`
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
func listedJob(j store.ListedJob, shop job.Shop, now time.Time) ListedJob {
	l := j.Line.Line
	out := ListedJob{
		ID: j.ID, Version: j.Version, Name: j.Name, Size: plan.LineSize(l, shop), Count: plan.LineCount(l), Changed: whenWords(j.Changed, now),
		Width: l.Width, Height: l.Height, Mail: l.Mail, Tone: l.Tone, Papers: papers(l.Papers), Envelope: l.Envelope, Problem: l.Problem, Door: l.Door,
	}
	if len(out.Papers) == 0 || string(out.Papers) == "null" {
		out.Papers = papers("[]")
	}
	if out.Tone == "" {
		out.Tone, out.Mail = say.Fine, "being worked out"
	}
	return out
}

// whenWords says when something was done, as one says it on a day.
func whenWords(stamp string, now time.Time) string {
	at, err := time.Parse(time.RFC3339Nano, stamp)
	if err != nil {
		return ""
	}
	at = at.In(now.Location())
	day := func(t time.Time) string { return t.Format(time.DateOnly) }
	switch {
	case now.Sub(at).Abs() < time.Minute:
		return "just now"
	case day(at) == day(now):
		return "today, " + at.Format("15:04")
	case day(at) == day(now.AddDate(0, 0, -1)):
		return "yesterday, " + at.Format("15:04")
	case at.Year() == now.Year():
		return at.Format("2 Jan")
	}
	return at.Format("2 Jan 2006")
}

// The orders of the list.
const (
	newestFirst = "changed"
	byName      = "name"
	bySize      = "size"
	worstFirst  = "mail"
)

// found keeps the jobs that have every word of what is looked for.
func found(list []ListedJob, of []store.ListedJob, find string) (out []ListedJob) {
	words := strings.Fields(strings.ToLower(find))
	out = []ListedJob{}
	for i, j := range list {
		text := strings.ToLower(strings.Join([]string{j.Name, j.Size, strings.ReplaceAll(j.Size, "⁄", "/"), j.Count, j.Mail, j.Changed}, " ")) + " " + of[i].Line.Line.Words
		if !slices.ContainsFunc(words, func(w string) bool { return !strings.Contains(text, w) }) {
			out = append(out, j)
		}
	}
	return out
}

// inOrder sorts a list that stands in the order in which the jobs began.
func inOrder(list []ListedJob, changed map[string]string, sort string) {
	weight := map[say.Tone]int{say.Trouble: 0, say.Care: 1, say.Fine: 2}
	slices.SortStableFunc(list, func(a, b ListedJob) int {
		switch sort {
		case byName:
			return strings.Compare(strings.ToLower(a.Name), strings.ToLower(b.Name))
		case bySize:
			return cmp.Compare(float64(a.Width)*float64(a.Height), float64(b.Width)*float64(b.Height))
		case worstFirst:
			return weight[a.Tone] - weight[b.Tone]
		}
		return strings.Compare(changed[b.ID], changed[a.ID])
	})
}

func (s *Server) listRoutes() {
	huma.Register(s.api, huma.Operation{OperationID: "listJobs", Method: http.MethodGet, Path: "/api/jobs", Summary: "The jobs of a list that have every word of what is looked for"},
		func(ctx context.Context, in *struct {
			Find string `query:"find" maxLength:"200"`
			Sort string `query:"sort" enum:"changed,name,size,mail" default:"changed"`
			Of   string `query:"of" enum:"in hand,archived,removed" default:"in hand"`
		},
		) (*struct{ Body JobList }, error) {
			jobs, err := s.store.List(ctx, store.Shelved(in.Of))
			if err != nil {
				return nil, s.failed(err)
			}
			shop, err := s.shop(ctx)
			if err != nil {
				return nil, s.failed(err)
			}
			now := s.now()
			list, changed := make([]ListedJob, len(jobs)), make(map[string]string, len(jobs))
			for i, j := range jobs {
				list[i], changed[j.ID] = listedJob(j, shop.Shop, now), j.Changed
			}
			list = found(list, jobs, in.Find)
			inOrder(list, changed, in.Sort)
			return &struct{ Body JobList }{JobList{Jobs: list, Of: len(jobs)}}, nil
		})
}
