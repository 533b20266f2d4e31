package e2e

import (
	"fmt"
	"maps"
	"net/url"
	"reflect"
	"slices"
	"strconv"
	"strings"
	"testing"
)

// wire follows a flow as the screen's own machines do, without the screen: edits go to the program,
// what comes back is the job, and is stored from its version on.
type wire struct {
	t        *testing.T
	client   *client
	line     string // the one that is followed
	open     string
	stored   body
	plan     map[string]any
	problems map[string]string
	now      map[string]any // the job in hand
	before   []map[string]any
	after    []map[string]any
}

// inPlan is where in a plan stands what the screen shows under a name; {} is the station. Where it
// is a list, an entry is named by its ID, or by its place.
var inPlan = map[string]string{
	"headline": "waits.sentence {}.sentence envelope.blank.sentence", "notes": "{}.notes envelope.blank.notes mail.postage.notes paper.stocks", "ticket": "ticket",
	"reading": "envelope.blank.readings mail.readings mail.relief.rows mail.beam.rows", "start-sentence": "start.sentence", "school": "start.schools",
	"comparison-sentence": "envelope.comparison.sentence", "rectangle": "envelope.comparison.rectangle", "way": "envelope.comparison.rows", "fit": "envelope.fits envelope.misses",
	"recipe-sentence": "recipe.sentence", "recipe-reading": "recipe.readings", "recipe-line": "recipe.line", "recipe-unread": "recipe.line", "rescaled": "recipe.rescaled", "recipe": "recipe",
	"postage": "mail.postage", "remedy": "mail.remedies", "place": "mail.everywhere", "class": "mail.classes", "check": "mail.classes", "items-sentence": "layers.items.sentence",
	"layer": "layers.rows", "sheet": "card.sheets", "stock-text": "paper.stocks", "cut-steps": "paper.stocks", "have-sentence": "paper.have.sentence", "have": "paper.have", "score": "envelope.blank.ways", "safer-way": "envelope.blank.ways", "folds": "paper.folds",
}

func (h *wire) fatalf(format string, a ...any) {
	h.t.Helper()
	h.t.Fatalf("%s: %s", h.line, fmt.Sprintf(format, a...))
}

func (h *wire) begin(name string) {
	var list jobsList
	if _, err := h.client.Ask("GET", "/api/jobs?find="+url.QueryEscape(name), nil, &list); err != nil {
		h.fatalf("%v", err)
	}
	address := "/api/jobs/new"
	if name != "" {
		at := slices.IndexFunc(list.Jobs, func(j struct{ ID, Name string }) bool { return strings.HasPrefix(j.Name, name) })
		if at < 0 {
			h.fatalf("it is not among %v", list.Jobs)
		}
		address = "/api/jobs/" + list.Jobs[at].ID
	}
	h.stored = body{}
	if _, err := h.client.Ask("GET", address, nil, &h.stored); err != nil {
		h.fatalf("%v", err)
	}
	h.now, h.before, h.after = h.stored.Of, nil, nil
	h.at("card")
}

func (h *wire) at(place string) {
	if !strings.Contains(place, "/") {
		place += "/" + first[place]
	}
	h.open = place
	h.ask()
}

// ask has the job in hand planned with edits; the job is what comes of them.
func (h *wire) ask(edits ...map[string]any) {
	h.t.Helper()
	if edits == nil {
		edits = []map[string]any{}
	}
	var answer struct {
		Job, Plan map[string]any
		Problems  []struct{ Path, Message string }
	}
	status, err := h.client.Ask("POST", "/api/plan", map[string]any{"job": h.now, "edits": edits, "open": h.open}, &answer)
	if err != nil || status != 200 {
		h.fatalf("%d, %v", status, err)
	}
	h.problems = map[string]string{}
	for _, p := range answer.Problems {
		h.problems[p.Path] = p.Message
	}
	if !reflect.DeepEqual(answer.Job, h.now) && len(edits) > 0 {
		h.before, h.after = append(h.before, h.now), nil
	}
	h.now, h.plan = answer.Job, answer.Plan
}

func (h *wire) typed(path, text string, shop bool) {
	h.t.Helper()
	edit := map[string]any{"act": "type", "path": path, "text": text}
	if !shop {
		h.ask(edit)
		return
	}
	h.shop(edit)
}

func (h *wire) shop(edit map[string]any) {
	h.t.Helper()
	if status, err := h.client.Ask("PATCH", "/api/shop", map[string]any{"edits": []any{edit}}, nil); err != nil || status != 200 && status != 422 {
		h.fatalf("%d, %v", status, err)
	}
	h.ask()
}

func (h *wire) choose(path, _, name string) {
	h.t.Helper()
	var shop document
	if _, err := h.client.Ask("GET", "/api/shop", nil, &shop); err != nil {
		h.fatalf("%v", err)
	}
	field, ofJob := h.field(path)
	list := shop.Choices[field]
	if !ofJob {
		list = shop.Choices[shop.Fields[path].List]
	}
	at := slices.IndexFunc(list, func(c struct{ ID, Name string }) bool { return strings.HasPrefix(plain(c.Name), name) })
	if at < 0 {
		h.fatalf("“%s” is not among %v", name, list)
	}
	edit := map[string]any{"act": "set", "path": path, "text": list[at].ID}
	if ofJob {
		h.ask(edit)
		return
	}
	h.shop(edit)
}

// field is the list that a field of the job is chosen from.
func (h *wire) field(path string) (list string, ok bool) {
	fields, _ := h.plan["fields"].(map[string]any)
	field, ok := fields[path].(map[string]any)
	list, _ = field["list"].(string)
	return list, ok
}

func (h *wire) press(_ string, edit map[string]any) {
	h.t.Helper()
	if edit == nil {
		return // it shows something else, and changes nothing
	}
	ofShop := edit["shop"] != nil
	delete(edit, "shop")
	if ofShop {
		h.shop(edit)
		return
	}
	h.ask(edit)
	if len(h.problems) > 0 {
		h.fatalf("refused: %v", h.problems)
	}
}

func (h *wire) pick(_, _ string, edit map[string]any) { h.press("", edit) }

func (h *wire) paste(text string) {
	h.ask(map[string]any{"act": "add", "path": "recipe.text", "text": text})
}

func (h *wire) act(what string) {
	h.t.Helper()
	from, to := &h.before, &h.after
	switch what {
	case "redo":
		from, to = to, from
		fallthrough
	case "undo":
		n := len(*from)
		if n == 0 {
			h.fatalf("there is nothing to go back to")
		}
		*to = append(*to, h.now)
		h.now, *from = (*from)[n-1], (*from)[:n-1]
	case "again":
		h.stored.Of = h.now
		if status, err := h.client.Ask("PUT", "/api/jobs/"+h.stored.ID, h.stored.Save(), nil); err != nil || status != 200 {
			h.fatalf("%d, %v", status, err)
		}
		h.stored = body{ID: h.stored.ID}
		if _, err := h.client.Ask("GET", "/api/jobs/"+h.stored.ID, nil, &h.stored); err != nil {
			h.fatalf("%v", err)
		}
		if !reflect.DeepEqual(h.stored.Of, h.now) {
			h.fatalf("stored is\n%v, and not\n%v", h.stored.Of, h.now)
		}
		h.before, h.after = nil, nil // a page that is loaded anew has nothing to undo
	}
	h.ask()
}

// says looks for words in the part of the plan that a place shows; what is wrong with a field
// stands at the field.
func (h *wire) says(place, id, words string) {
	h.t.Helper()
	if path, ok := strings.CutPrefix(place, "field-"); ok {
		if got := plain(h.problems[path] + saidIn(h.plan["fields"].(map[string]any)[path])); !strings.Contains(got, words) {
			h.t.Errorf("%s: the field says %q", h.line, got)
		}
		return
	}
	where, ok := inPlan[place]
	if !ok {
		h.fatalf("it is not known where a plan has it")
	}
	station, _, _ := strings.Cut(h.open, "/")
	var got string
	for part := range strings.FieldsSeq(strings.ReplaceAll(where, "{}", station)) {
		of := within(h.plan, part)
		if id != "" {
			of = entry(of, id)
		}
		got += saidIn(of)
	}
	if got = plain(got); !strings.Contains(got, words) {
		h.t.Errorf("%s: it says %q", h.line, got)
	}
}

func (h *wire) drawn(string, string, float64) {}

// within is what stands at a path of a plan.
func within(of any, path string) any {
	for step := range strings.SplitSeq(path, ".") {
		m, _ := of.(map[string]any)
		of = m[step]
	}
	return of
}

// entry are those of a list which have an ID, or stand at that place, or which have checks that
// measure it.
func entry(of any, id string) (found []any) {
	list, _ := of.([]any)
	for i, e := range list {
		m, _ := e.(map[string]any)
		checks, _ := m["checks"].([]any)
		switch {
		case m["id"] == id || m["measure"] == id || strconv.Itoa(i) == id:
			found = append(found, m)
		default:
			found = append(found, entry(checks, id)...)
		}
	}
	return found
}

// saidIn are the texts in a part of a plan, one after the other.
func saidIn(of any) string {
	switch of := of.(type) {
	case string:
		return of + " "
	case []any:
		var b strings.Builder
		for _, e := range of {
			b.WriteString(saidIn(e))
		}
		return b.String()
	case map[string]any:
		if text, ok := of["text"].(string); ok && of["spans"] != nil {
			return text + " " // a sentence, once
		}
		var b strings.Builder
		for _, key := range slices.Sorted(maps.Keys(of)) {
			b.WriteString(saidIn(of[key]))
		}
		return b.String()
	default:
		return ""
	}
}
