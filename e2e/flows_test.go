package e2e

import (
	"cmp"
	"os"
	"strconv"
	"strings"
	"testing"

	"yellowparcel/internal/soak"
)

// Whole jobs as a maker does them stand in testdata/flows.txt, a line an act or what is then to be
// read. Each is followed over HTTP against the real program and its store; those that say "in the
// browser", one a station, through the screen as well, and under make soak all of them.
//
//	flow NAME                       begins one; "in the browser" stands alone in its next line
//	job NAME, new                   opens a job by its name, a new one
//	at STATION/DRAWER               goes there
//	type PATH = TEXT                types into a field of the job; shop PATH = TEXT into one of the shop
//	choose PATH [@TEST] = NAME      chooses by the beginning of a name, in the list of that test name
//	press TEST = ACT PATH [ID]      presses a button: the edit that it sends; before one of the shop stands "shop"
//	pick LIST NAME = ACT PATH [ID]  picks from a list of that test name, which sends an edit of its own
//	paste TEXT                      pastes a recipe and reads it
//	undo, redo, again               again: all is stored, and the job is opened anew
//	PLACE [ID]: WORDS … WORDS       all of it stands there
//	drawn SELECTOR WAY = INCHES     measures so on the ruler beside it; on the screen alone
type flow struct {
	name    string
	browser bool
	lines   []string
}

func flows(t *testing.T) (list []flow) {
	t.Helper()
	raw, err := os.ReadFile("testdata/flows.txt")
	if err != nil {
		t.Fatal(err)
	}
	for line := range strings.Lines(string(raw)) {
		line = strings.TrimSpace(line)
		name, begins := strings.CutPrefix(line, "flow ")
		switch {
		case begins:
			list = append(list, flow{name: name})
		case line == "in the browser":
			list[len(list)-1].browser = true
		case line != "" && line[0] != '#':
			list[len(list)-1].lines = append(list[len(list)-1].lines, line)
		}
	}
	return list
}

// hand follows a flow: over HTTP, or through the screen.
type hand interface {
	begin(job string)
	at(place string)
	typed(path, text string, shop bool)
	choose(path, list, name string)
	press(test string, edit map[string]any)
	pick(list, name string, edit map[string]any)
	paste(text string)
	act(what string)
	says(place, id, words string)
	drawn(selector, way string, inches float64)
}

func follow(t *testing.T, h hand, line string) {
	t.Helper()
	verb, rest, _ := strings.Cut(line, " ")
	what, value, _ := strings.Cut(rest+" ", " = ")
	value = strings.TrimSuffix(value, " ")
	switch verb {
	case "job":
		h.begin(rest)
	case "new":
		h.begin("")
	case "at":
		h.at(rest)
	case "type", "shop":
		h.typed(what, value, verb == "shop")
	case "choose":
		path, list, ok := strings.Cut(what, " @")
		if !ok {
			list = "field-" + path
		}
		h.choose(path, list, value)
	case "press":
		h.press(what, edit(value))
	case "pick":
		list, name, _ := strings.Cut(what, " ")
		h.pick(list, name, edit(value))
	case "paste":
		h.paste(rest)
	case "undo", "redo", "again":
		h.act(verb)
	case "drawn":
		at := strings.LastIndex(what, " ")
		inches, err := strconv.ParseFloat(value, 64)
		if err != nil {
			t.Fatal(line, err)
		}
		h.drawn(what[:at], what[at+1:], inches)
	default:
		place, words, ok := strings.Cut(line, ": ")
		if !ok {
			t.Fatalf("no act of a flow: %s", line)
		}
		place, id, _ := strings.Cut(place, " ")
		for part := range strings.SplitSeq(words, " … ") {
			h.says(place, id, part)
		}
	}
}

// edit is what a button sends; nothing where it only shows something else.
func edit(said string) map[string]any {
	of := strings.SplitN(strings.TrimPrefix(said, "shop "), " ", 3)
	if len(of) < 2 {
		return nil
	}
	e := map[string]any{"act": of[0], "path": of[1]}
	if len(of) > 2 {
		e["text"] = of[2]
	}
	if strings.HasPrefix(said, "shop ") {
		e["shop"] = true
	}
	return e
}

// Every flow comes to what it says, over HTTP.
func TestFlows(t *testing.T) {
	t.Parallel()
	for _, f := range flows(t) {
		t.Run(f.name, func(t *testing.T) {
			t.Parallel()
			p := start(t, t.TempDir(), "127.0.0.1:0")
			h := &wire{t: t, client: &client{URL: p.URL}}
			for _, line := range f.lines {
				h.line = line
				follow(t, h, line)
			}
			h.act("again")
		})
	}
}

// A flow a station, or under make soak every one, through the screen.
func TestFlowsOnTheScreen(t *testing.T) {
	t.Parallel()
	for _, f := range flows(t) {
		if !f.browser && !soak.Long() {
			continue
		}
		t.Run(f.name, func(t *testing.T) {
			t.Parallel()
			p := start(t, t.TempDir(), "127.0.0.1:0")
			h := &screen{window: open(t, p, "/")}
			for _, line := range f.lines {
				follow(t, h, line)
			}
			h.saved()
			h.quietBut("422")
		})
	}
}

// screen follows a flow through the real interface.
type screen struct{ *window }

func (s *screen) begin(name string) {
	s.goTo("/")
	if name == "" {
		s.click(test("new-job"))
		s.see(test("headline"), "")
		return
	}
	s.openJob(name)
}

// first is the drawer of a station that a flow goes to where it names none.
var first = map[string]string{"card": "base", "layers": "layers", "envelope": "choose", "mail": "checks", "paper": "cuts", "bench": "steps"}

func (s *screen) at(place string) {
	station, drawer, _ := strings.Cut(place, "/")
	job := strings.Join(strings.Split(s.window.address(), "/")[:3], "/")
	if !strings.HasPrefix(s.window.address(), job+"/"+station) {
		s.goTo(job + "/" + station)
		s.see(test("headline"), "")
	}
	s.drawer(cmp.Or(drawer, first[station]))
}

func (s *screen) typed(path, text string, shop bool) {
	if shop {
		s.shopFill(path, text)
		return
	}
	s.fill("field-"+path, text)
}

func (s *screen) choose(_, list, name string) { s.window.choose(list, name) }

func (s *screen) pick(list, name string, _ map[string]any) { s.window.choose(list, name) }

func (s *screen) press(name string, _ map[string]any) {
	s.t.Helper()
	s.reach(test(name))
	s.click(s.MustEval(`(of) => ['label:has(' + of + ')', of + ' button', of + ' input', of].find((s) => document.querySelector(s))`, test(name)).Str())
}

func (s *screen) paste(text string) {
	s.element(test("recipe-paste") + " textarea").MustInput(text)
	s.click(test("recipe-read"))
}

func (s *screen) act(what string) {
	if what != "again" {
		s.click(test(what))
		return
	}
	s.saved()
	s.goTo(s.window.address())
}

func (s *screen) says(place, id, words string) {
	s.t.Helper()
	of := test(place)
	if id != "" {
		of = test(place + "-" + id)
	}
	switch place {
	case "check", "class":
		s.checks()
	case "reading": // with its note
		of = "*:has(> " + of + ")"
	}
	s.see(of, words)
}

func (s *screen) drawn(selector, way string, inches float64) {
	s.t.Helper()
	if got := s.measured(selector, way, 25.4); got < inches*25.4-.4 || got > inches*25.4+.4 {
		s.t.Errorf("%s measures %.2f mm, want %.2f", selector, got, inches*25.4)
	}
}
