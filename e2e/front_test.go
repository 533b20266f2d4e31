package e2e

import (
	"database/sql"
	"fmt"
	"path/filepath"
	"strings"
	"testing"

	"github.com/go-rod/rod/lib/input"
	_ "modernc.org/sqlite" // fills a store with many jobs

	"yellowparcel/internal/soak"
)

// address is where a window is, without the host.
func (w *window) address() string { return strings.TrimPrefix(w.MustInfo().URL, w.program.URL) }

// at waits until the window is at an address that ends so.
func (w *window) at(end string) {
	w.t.Helper()
	w.waitFor("the address to end with "+end, func() (string, bool) { return w.address(), strings.HasSuffix(w.address(), end) })
	w.see(test("headline"), "")
}

// door is a way in: where it opens, what is done there, and the card that comes of one act more.
type door struct {
	test, at, asks, press, card string
	does                        func(w *window, mm bool)
}

var doors = []door{
	{"new-job", "/card/base", "How large is your card?", "waits-take", "5 1/2 × 5|140 × 105", func(w *window, mm bool) {
		w.fill("field-card.width", map[bool]string{false: "5 1/2", true: "140"}[mm])
	}},
	{"new-envelope", "/card/from-envelope", "These go into your A6.", "take-quarter|take-metric", "6 1/4 × 4 1/2|159 × 114.5", func(w *window, _ bool) { w.choose("start-format", "A6") }},
	{"new-paper", "/card/from-paper", "Letter gives these.", "have-row", "5 1/2 × 4 1/4|139.5 × 108", func(w *window, _ bool) { w.choose("have-sheet", "Letter") }},
	{"new-recipe", "/envelope/recipe", "The recipe is for one of", "take-recipe-card", "5 × 7|127 × 178", func(w *window, _ bool) {
		w.fill("recipe-paste", "for a 5 x 7 in card cut 8 3/4 in square, score at 3 in and 8 3/8 in")
		w.click(test("recipe-read"))
	}},
}

// The four ways in, by mouse and by key, in inches and millimetres, each in a browser that was never here: what
// they ask, that the drawer stays open through the first save, that nothing is told of a card that nobody
// chose, and the card that one more act gives. Make test has half of them, make soak all.
func TestWaysIn(t *testing.T) {
	t.Parallel()
	inches, metric := start(t, t.TempDir(), "127.0.0.1:0"), inMillimetres(t)
	for i, d := range doors {
		for _, mm := range []bool{false, true} {
			for _, keys := range []bool{false, true} {
				if (mm != keys) == (i%2 == 0) && !soak.Long() {
					continue
				}
				t.Run(fmt.Sprintf("%s, mm %v, keys %v", d.test, mm, keys), func(t *testing.T) {
					t.Parallel()
					w := open(t, map[bool]*program{false: inches, true: metric}[mm], "/")
					of := func(both string) string {
						in, metric, two := strings.Cut(both, "|")
						if mm && two {
							return metric
						}
						return in
					}
					press := func(selector string) {
						if !keys {
							w.click(selector)
							return
						}
						w.element(selector).MustFocus()
						w.Keyboard.MustType(input.Enter)
					}
					press(test(d.test))
					w.at(d.at)
					open := test("drawer") + `[data-drawer="` + d.at[strings.LastIndex(d.at, "/")+1:] + `"]`
					w.see(open, "")
					d.does(w, mm)
					w.see(test("headline"), d.asks)
					w.saved()
					w.waitFor("an address of its own", func() (string, bool) { return w.address(), !strings.HasPrefix(w.address(), "/jobs/new/") })
					if !strings.HasSuffix(w.address(), d.at) || !w.MustHas(open) {
						t.Errorf("after the first save it is at %s", w.address())
					}
					for _, value := range w.texts(".strip .value") {
						if value != "–" {
							t.Errorf("before there is a card the ticket tells %s", value)
						}
					}
					if bad := w.texts(".says .refused, .foot .tone-trouble, .headline.tone-trouble"); len(bad) > 0 {
						t.Errorf("something is said to be wrong: %v", bad)
					}
					w.MustReload()
					w.see(test("headline"), d.asks)
					button := test(of(d.press))
					if d.press == "have-row" {
						button += " button:not([data-test=have-twin])"
					}
					press(button)
					w.see(test("ticket-card"), of(d.card))
					w.saved()
					w.quiet()
				})
			}
		}
	}
}

// inMillimetres is a program whose shop measures in millimetres.
func inMillimetres(t *testing.T) *program {
	t.Helper()
	p := start(t, t.TempDir(), "127.0.0.1:0")
	take := map[string]any{"edits": []map[string]string{{"act": "take", "path": "style", "text": "mm:500000"}}}
	if status, err := (&client{URL: p.URL}).Ask("PATCH", "/api/shop", take, nil); status != 200 {
		t.Fatal(status, err)
	}
	return p
}

// A sheet and an envelope that are measured with a ruler are entered where they are asked for.
func TestMeasuredInPlace(t *testing.T) {
	w := begin(t)
	w.click(test("new-paper"))
	w.choose("have-sheet", "Measured with a ruler")
	w.fill("sheet-width", "1")
	w.fill("sheet-height", "12")
	w.click(test("sheet-measured"))
	w.see(test("sheet-ruler"), "too small")
	w.fill("sheet-width", "9")
	w.click(test("sheet-measured"))
	w.see(test("headline"), "Measured, 9 × 12 gives these.")
	w.click(test("have-largest"))
	w.see(test("ticket-card"), "9 × 6")
	w.saved()
	w.click(test("ticket-sheet"))
	w.drawer("choose")
	w.click(test("use-ruler"))
	w.fill("field-envelope.ownWidth", "13")
	w.fill("field-envelope.ownHeight", "5 1/4")
	w.see(test("ticket-sheet"), "Your envelope")
	w.saved()
	w.quiet()
}

// A door that is pressed twice, gone back from, or looked at in two windows begins one job; what cannot be is said
// where it was typed.
func TestDoorsTakeCare(t *testing.T) {
	w := begin(t)
	w.see(test("job"), "")
	before := w.MustEval(`async () => (await (await fetch('/api/jobs')).json()).jobs.length`).Int()
	w.MustEval(`(of) => { const door = document.querySelector(of); door.click(); door.click() }`, test("new-envelope"))
	w.at("/card/from-envelope")
	w.choose("start-format", "Measured with a ruler")
	w.see(test("headline"), "Type what your ruler says")
	w.fill("field-start.width", "1")
	w.waitFor("the error to be said", func() (string, bool) {
		said := strings.Join(w.texts("[role=alert]"), " | ")
		return said, strings.Contains(said, "too small")
	})
	w.fill("field-start.width", "2 1/2")
	w.fill("field-start.height", "2 1/4")
	w.see(test("headline"), "These go into your envelope of 2 1/2 × 2 1/4.")
	w.saved()
	w.MustNavigateBack()
	w.see(test("job"), "No card yet")
	if err := w.NavigateForward(); err != nil {
		t.Fatal(err)
	}
	w.see(test("headline"), "These go into your envelope of 2 1/2 × 2 1/4.")
	other := open(t, w.program, w.address())
	other.see(test("headline"), "These go into your envelope of 2 1/2 × 2 1/4.")
	other.click(test("drawer-base"))
	other.pick("made-yes")
	other.fill("field-card.width", "2")
	other.fill("field-card.height", "2")
	other.saved()
	w.see(test("headline"), "is finished")
	w.drawer("base")
	w.fill("field-card.thickness", "0")
	w.waitFor("the error to be said", func() (string, bool) {
		said := strings.Join(w.texts("[role=alert]"), " | ")
		return said, strings.Contains(said, "cannot be nothing")
	})
	w.fill("field-card.thickness", "40 mm")
	w.see(test("ticket-mail"), "Mail")
	w.saved()
	if after := w.MustEval(`async () => (await (await fetch('/api/jobs')).json()).jobs.length`).Int(); after != before+1 {
		t.Errorf("%d jobs were begun", after-before)
	}
	w.quietBut("422")
}

// One line begins a job, and what is not known in it is mended with one click.
func TestLineBeginsAJob(t *testing.T) {
	w := begin(t)
	w.fill("line", "5 3/8 square, 3 layres, 12 cards, to the UK")
	w.see(test("line-said"), "Card 5 3/8 × 5 3/8")
	w.see(test("line-said"), "12 cards")
	w.see(test("line-said"), "United States, abroad")
	w.see(test("line-unread"), "layres")
	// Enter does not drop what is not known without a word.
	w.Keyboard.MustType(input.Enter)
	w.see(test("line-said"), "Press Enter again")
	w.clickOn(test("line-unread")+" button", "layers")
	w.see(test("line-said"), "3 layers")
	w.field("line").MustFocus()
	w.Keyboard.MustType(input.Enter)
	w.at("/card")
	w.see(test("ticket-card"), "5 3/8 × 5 3/8")
	w.see(test("ticket-layers"), "3")
	w.saved()
	w.goTo("/")
	w.see(test("job"), "12 cards")
	w.see(test("job"), "5 3/8 square, 3 layers, 12 cards, to the UK")

	for _, line := range []struct{ text, at, sees, words string }{
		{"what fits A7", "/card/from-envelope", "start-sentence", "A7, 7 1/4 × 5 1/4 in outside"},
		{"from letter, top fold", "/card/from-paper", "have", "Letter"},
		{"8 3/4 square, score 3 and 8 3/8", "/envelope/recipe", "recipe", "8 3/4"},
		{"card 14 x 10 cm, 6 mm thick, by hand", "/card", "ticket-mail", "By hand"},
	} {
		w.goTo("/")
		w.fill("line", line.text)
		w.see(test("line-go"), "Start it")
		w.field("line").MustFocus()
		w.Keyboard.MustType(input.Enter)
		w.at(line.at)
		w.see(test(line.sees), line.words)
	}
	w.goTo("/")
	w.fill("line", "0.1 x 0.1")
	w.see(test("line-said"), "Card")
	w.see(test("line-said"), "too small to work with")
	w.quiet()
}

// Every line of the help page is understood wholly.
func TestLinesOfTheHelp(t *testing.T) {
	t.Parallel()
	p := start(t, t.TempDir(), "127.0.0.1:0")
	w := open(t, p, "/help")
	w.see("h1", "Help")
	for list, job := range map[string]string{"line-examples": "", "change-examples": ", job: (await (await fetch('/api/jobs/' + (await (await fetch('/api/jobs?sort=name')).json()).jobs[1].id)).json()).job"} {
		got := w.MustEval(`async () => {
			const odd = []
			for (const dt of document.querySelectorAll('[data-test=` + list + `] dt')) {
				const said = await (await fetch('/api/line', { method: 'POST', headers: { 'Content-Type': 'application/json' }, body: JSON.stringify({ text: dt.textContent` + job + ` }) })).json()
				if (!said.whole || !said.edits.length) odd.push(dt.textContent + ' ' + JSON.stringify(said))
			}
			return odd.join('\n')
		}`).Str()
		if got != "" {
			t.Errorf("%s: %s", list, got)
		}
	}
	w.quiet()
}

// A job in hand is changed by what is said of it; one line is one act to undo.
func TestLineChangesAJob(t *testing.T) {
	w := begin(t)
	w.openJob("Meteor-night thanks, square")
	w.MustElement("body").MustFocus()
	w.Keyboard.MustType(input.Slash)
	w.await(test("say-dialog"))
	w.fill("line", "6 square, 2 layers, seam 5/8")
	w.see(test("line-said"), "Seam wanted 5/8")
	w.Keyboard.MustType(input.Enter)
	w.see(test("ticket-card"), "6 × 6")
	w.see(test("ticket-layers"), "2")
	w.click(test("undo"))
	w.see(test("ticket-card")+" .value", "5 3/8 × 5 3/8")
	w.click(test("say"))
	w.fill("line", "recipe 8 3/4 square, score 3 and 8 3/8")
	w.see(test("line-go"), "Change it")
	w.field("line").MustFocus()
	w.Keyboard.MustType(input.Enter)
	w.waitFor("to be asked again", func() (string, bool) { return w.address(), w.MustHas(test("line-said")) })
	w.saved()
	w.quiet()
}

// act opens the acts of a job and does one.
func (w *window) act(job, what string) {
	w.t.Helper()
	w.click(fmt.Sprintf(`[aria-label="Acts on %s"]`, job))
	w.clickOn(".v-overlay--active .v-list-item", "^"+what+"$")
}

// listed waits for the names in the list, in their order.
func (w *window) listed(names ...string) {
	w.t.Helper()
	w.waitFor("the list", func() (string, bool) {
		got := w.MustEval(`() => [...document.querySelectorAll('[data-test=job] .name')].map((n) => n.textContent).join('|')`).Str()
		return got, got == strings.Join(names, "|")
	})
}

// Jobs are searched, sorted, renamed in place, duplicated, archived, removed and restored.
func TestJobsAreKept(t *testing.T) {
	w := begin(t)
	square, invitation, lens, slim, dome, moon := "Meteor-night thanks, square", "Meteor-night invitation", "Lens fund thank-you, raised star", "Supporter card, slim", "Dome rota, holiday card", "Moon-watch invitation, brass and knot"
	w.listed(square, invitation, lens, slim, dome, moon)
	w.choose("sort-jobs", "Name")
	w.listed(dome, lens, invitation, square, moon, slim)
	w.fill("find-jobs", "invitation 7")
	w.listed(invitation, moon)
	w.see(test("found"), "2 of 6")
	w.fill("find-jobs", "nothing of it")
	w.see(test("empty"), "No job has all of these words.")
	w.fill("find-jobs", "")
	w.listed(dome, lens, invitation, square, moon, slim)

	w.act(slim, "Rename")
	w.fill("rename", "  ")
	w.Keyboard.MustType(input.Enter)
	w.see(test("rename"), "cannot be left empty")
	w.fill("rename", "A slim card")
	w.Keyboard.MustType(input.Enter)
	w.listed("A slim card", dome, lens, invitation, square, moon)

	w.act(dome, "Archive")
	w.see(test("gone"), "was archived")
	w.listed("A slim card", lens, invitation, square, moon)
	w.choose("which-jobs", "Archived")
	w.listed(dome)
	w.act(dome, "Bring back")
	w.see(test("empty"), "Nothing is archived.")
	w.choose("which-jobs", "Jobs in hand")
	w.act(lens, "Remove")
	w.listed("A slim card", dome, invitation, square, moon)
	w.click(test("put-back"))
	w.listed("A slim card", dome, lens, invitation, square, moon)
	w.act(lens, "Remove")
	w.see(test("gone"), "was removed")
	w.choose("which-jobs", "Removed")
	w.listed(lens)
	w.act(lens, "Restore")
	w.choose("which-jobs", "Jobs in hand")
	w.listed("A slim card", dome, lens, invitation, square, moon)
	w.act(square, "Duplicate")
	w.at("/card")
	w.goTo("/")
	w.see(test("job"), "Copy of Meteor-night thanks, square")
	w.quietBut("422")
}

// Ten thousand jobs scroll without a blank row, wherever one goes, and are searched.
func TestTenThousandJobs(t *testing.T) {
	soak.Only(t)
	t.Parallel()
	dir := t.TempDir()
	p := start(t, dir, "127.0.0.1:0")
	w := open(t, p, "/")
	w.see(test("job"), "letter") // its lines are made
	db, err := sql.Open("sqlite", "file:"+filepath.Join(dir, "yellow-parcel.db")+"?_pragma=busy_timeout(20000)")
	if err != nil {
		t.Fatal(err)
	}
	_, err = db.Exec(`WITH RECURSIVE n(i) AS (SELECT 1 UNION ALL SELECT i + 1 FROM n WHERE i < 10000)
		INSERT INTO jobs (id, place, version, name, body, created, changed, line, line_of)
		SELECT lower(hex(randomblob(8))), 100 + i, 1, 'Card ' || printf('%05d', i), body, created, changed, line, line_of FROM n, (SELECT * FROM jobs WHERE name LIKE 'Moon-watch%')`)
	if err != nil {
		t.Fatal(err)
	}
	_ = db.Close()
	w.goTo("/")
	w.see(test("job"), "")
	blank := w.MustEval(`async () => {
		const box = document.querySelector('[data-test=jobs]')
		const bad = []
		let y = 7
		for (let i = 0; i < 60; i++) {
			y = (y * 48271) % 2147483647
			box.scrollTop = i % 3 === 0 ? y % (box.scrollHeight - box.clientHeight) : box.scrollTop + 200
			await new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(done)))
			const r = box.getBoundingClientRect()
			for (const at of [4, r.height / 2, r.height - 4]) {
				if (!document.elementFromPoint(r.left + 200, r.top + at)?.closest('[data-test=job]')) bad.push(i + ': ' + Math.round(box.scrollTop) + ' at ' + Math.round(at))
			}
		}
		return bad.join('; ')
	}`).Str()
	if blank != "" {
		t.Errorf("blank: %s", blank)
	}
	if n := len(w.MustElements(test("job"))); n > 60 {
		t.Errorf("%d rows are drawn", n)
	}
	w.fill("find-jobs", "card 09999")
	w.listed("Card 09999")
	w.see(test("found"), "1 of 10006")
	w.quiet()
}
