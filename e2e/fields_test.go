package e2e

import (
	"fmt"
	"slices"
	"strings"
	"sync"
	"testing"

	"yellowparcel/core/job"
)

// Every field of every drawer, as it stands on the screen: testdata/fields.txt has a line for
// each, with its drawer, what it is called there, and its path. GOLDEN=update writes it anew.
const fieldsFile = "testdata/fields.txt"

// fieldsShown are the fields of the drawer that is open: what each is called, and its path.
const fieldsShown = `() => [...document.querySelectorAll('.drawer [data-test^="field-"]')].map((e) => {
	const named = e.matches('[aria-label]') ? e : e.querySelector('input[aria-label], [aria-label]')
	return [e.dataset.test.slice(6), (named?.ariaLabel ?? e.querySelector('label')?.innerText ?? '').trim()]
})`

// shownField is a field as the program has it.
type shownField struct{ Text, Kind, List, Label string }

// document is what has fields: a job or the shop.
type document struct {
	Fields   map[string]shownField
	Problems []struct{ Path, Message string }
	Choices  map[string][]struct{ ID, Name string }
	Job      map[string]any
	Plan     struct{ Fields map[string]shownField }
}

// typedTry are texts to be typed into fields of a kind; the first that the program takes, and that
// changes something, is typed.
var typedTry = map[string][]string{
	"length": {"3/8", "5/16", "4 1/2", "6", "1/16", "5", "12", "0"}, "lengths": {"3 1/2, 3 1/2 = 7", "1/8, 1/4"}, "weight": {"12 g", "30 g"}, "grammage": {"201", "90"},
	"count": {"7", "3", "4", "50"}, "word": {"Tide", "Moon tide"}, "price": {"2.75"}, "date": {"2026-01-02"},
}

// planOf is the plan of a job after an edit, nothing stored.
func planOf(c *client, of map[string]any, open string, edits ...map[string]string) (d document, err error) {
	if edits == nil {
		edits = []map[string]string{}
	}
	_, err = c.Ask("POST", "/api/plan", map[string]any{"job": of, "edits": edits, "open": open}, &d)
	return d, err
}

// Every field of every drawer is typed into once: what was typed stands at its own path in
// what is stored, and nowhere else does the screen call it otherwise than testdata says.
func TestEveryFieldIsTyped(t *testing.T) {
	t.Parallel()
	var mu sync.Mutex
	var lines []string
	t.Run("stations", func(t *testing.T) {
		for _, station := range job.Stations() {
			for half := range slices.Chunk(station.Drawers, 3) {
				t.Run(station.ID+"/"+half[0].ID, func(t *testing.T) {
					t.Parallel()
					p := start(t, t.TempDir(), "127.0.0.1:0")
					w := open(t, p, "/")
					at := strings.TrimSuffix(w.openJob("Moon-watch invitation, brass and knot"), "card")
					w.goTo(at + station.ID)
					for _, drawer := range half {
						w.drawer(drawer.ID)
						for _, shown := range w.MustEval(fieldsShown).Arr() {
							path, called := shown.Get("0").Str(), shown.Get("1").Str()
							mu.Lock()
							lines = append(lines, fmt.Sprintf("%s/%s | %s | %s", station.ID, drawer.ID, called, path))
							mu.Unlock()
							typeOnce(w, strings.Split(at, "/")[2], station.ID+"/"+drawer.ID, path)
						}
					}
					w.quiet()
				})
			}
		}
	})
	slices.Sort(lines)
	heldAgainst(t, fieldsFile, slices.Compact(lines))
}

// offered are the names in a list to choose from, as far as it is drawn when it opens.
func offered(w *window, field string) []string {
	w.t.Helper()
	if w.MustHas(test(field) + " select") {
		return w.texts(test(field) + " option")
	}
	w.click(test(field) + " .v-field")
	menu := "#" + *w.MustElement(test(field) + " [aria-controls]").MustAttribute("aria-controls") + " .v-list-item"
	w.await(menu)
	return w.texts(menu)
}

// typeOnce types something new into a field, looks for it in what is stored, and takes it back.
func typeOnce(w *window, id, open, path string) {
	w.t.Helper()
	c := &client{URL: w.program.URL}
	var stored body
	if _, err := c.Ask("GET", "/api/jobs/"+id, nil, &stored); err != nil {
		w.t.Fatal(err)
	}
	var shop document
	if _, err := c.Ask("GET", "/api/shop", nil, &shop); err != nil {
		w.t.Fatal(err)
	}
	before, err := planOf(c, stored.Of, open)
	if err != nil {
		w.t.Fatal(err)
	}
	is, ofJob := before.Plan.Fields[path]
	if !ofJob {
		is = shop.Fields[path]
	}
	field := "field-" + path
	if w.MustHas(test(field) + " input[disabled]") {
		return
	}
	want := ""
	switch is.Kind {
	case "choice", "flag":
		list := shop.Choices[is.List]
		if is.Kind == "flag" && is.List == "" {
			w.click(test(field) + " input")
			want = map[string]string{"yes": "no"}[is.Text]
			if want == "" {
				want = "yes"
			}
			break
		}
		onScreen := offered(w, field)
		for _, one := range list {
			if !slices.Contains(onScreen, plain(one.Name)) {
				continue
			}
			alike := func(other struct{ ID, Name string }) bool {
				return other.ID != one.ID && strings.HasPrefix(other.Name, one.Name)
			}
			if one.ID == is.Text || one.ID == "" || want != "" || slices.ContainsFunc(list, alike) {
				continue
			}
			if d, err := planOf(c, stored.Of, open, map[string]string{"act": "set", "path": path, "text": one.ID}); ofJob && (err != nil || len(d.Problems) > 0 || d.Plan.Fields[path].Text != one.ID) {
				continue
			}
			want = one.ID
			w.choose(field, one.Name)
		}
	case "choices":
		return // TestShelf and TestBenchFiles choose several
	default:
		typed := ""
		for _, text := range typedTry[is.Kind] {
			d, err := planOf(c, stored.Of, open, map[string]string{"act": "type", "path": path, "text": text})
			if ofJob && err == nil && len(d.Problems) == 0 && d.Plan.Fields[path].Text != is.Text {
				typed, want = text, d.Plan.Fields[path].Text
				break
			}
			if ofJob || text == is.Text {
				continue
			}
			// Of the shop nothing tells before what it takes: it is tried.
			w.fill(field, text)
			w.field(field).MustEval(`() => this.blur()`)
			w.there(nothing)
			var now document
			if _, err := c.Ask("GET", "/api/shop", nil, &now); err == nil && plain(now.Fields[path].Text) == plain(text) {
				return
			}
		}
		if typed == "" {
			w.t.Errorf("%s: nothing that a %s may be can be typed into %s, where %q stands", open, is.Kind, path, is.Text)
			return
		}
		w.fill(field, typed)
		w.field(field).MustEval(`() => this.blur()`)
	}
	if want == "" {
		return // nothing else can be chosen
	}
	w.waitFor(fmt.Sprintf("%s: %q to be stored at %s", open, want, path), func() (string, bool) {
		var now body
		var d document
		if ofJob {
			if _, err := c.Ask("GET", "/api/jobs/"+id, nil, &now); err != nil {
				return err.Error(), false
			}
			d, _ = planOf(c, now.Of, open)
			return d.Plan.Fields[path].Text, plain(d.Plan.Fields[path].Text) == plain(want)
		}
		_, _ = c.Ask("GET", "/api/shop", nil, &d)
		return d.Fields[path].Text, plain(d.Fields[path].Text) == plain(want)
	})
	if ofJob {
		w.click(test("undo"))
		w.there(nothing)
		w.saved()
	}
}
