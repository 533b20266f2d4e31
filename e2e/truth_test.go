package e2e

import (
	"database/sql"
	"net/http"
	"path/filepath"
	"strings"
	"syscall"
	"testing"
	"time"

	"github.com/go-rod/rod"
	"github.com/go-rod/rod/lib/proto"
	_ "modernc.org/sqlite" // to spoil stored jobs while the program is stopped

	"yellowparcel/demo"
	"yellowparcel/internal/soak"
)

// What cannot be used is never called saved, however late another save comes back,
// and the drawing that is not of it says so.
func TestSavedIsTrue(t *testing.T) {
	t.Parallel()
	p := start(t, t.TempDir(), "127.0.0.1:0")
	first := open(t, p, "/")
	at := first.openJob("Meteor-night thanks, square")
	b := newBetween(t, p)
	w := through(t, p, b, at)
	w.see(test("headline"), "Cut 10 3/4")
	b.held("PUT job")
	w.fill("field-card.width", "6")
	w.waitFor("the save to be sent", func() (string, bool) { return "", b.count() > 0 })
	w.fill("field-card.height", "7 1/") // half a number
	w.see(test("behind"), "Drawn as before")
	w.see(test("state"), "not saved: what you typed cannot be used yet")
	// Another page is not gone to without asking, and what was typed is still there when one stays.
	w.click("header .brand")
	w.see(test("leaving"), "Not everything here is saved.")
	w.click(test("stay"))
	if got := w.value("field-card.height"); got != "7 1/" {
		t.Errorf("after staying %q stands there", got)
	}
	b.letGo()
	// The save of the width comes back now: it does not make the height saved.
	w.waitFor("the width to be stored", func() (string, bool) {
		v := first.value("field-card.width")
		return v, v == "6"
	})
	time.Sleep(300 * time.Millisecond) // longer than any state could take to flicker
	if got := w.text(test("state")); !strings.Contains(got, "not saved") {
		t.Errorf("beside a number that cannot be used it says %q", got)
	}
	if got := w.text(test("ticket-card") + " .value"); got != "6 × 5 3/8" {
		t.Errorf("the card became %s", got)
	}
	w.fill("field-card.height", "7 1/2")
	w.saved()
	if asksBeforeUnload(w) {
		t.Error("it asks though everything is stored")
	}
	b.held("PUT job")
	w.fill("field-count", "43")
	// An answer that does not come is no "saving" for ever: after five seconds it is not saved.
	w.see(test("state"), "not saved: the program does not answer")
	if !asksBeforeUnload(w) {
		t.Error("the window may be closed with a change that is not stored, and does not ask")
	}
	b.letGo()
	w.saved()
	if has, _, _ := w.Has(test("behind")); has {
		t.Error("the drawing is said to be of before, though it is not")
	}
	// The program stops: what is typed is kept, and saved when it is back.
	p.Stop(syscall.SIGTERM)
	first.fill("field-count", "44")
	first.see(test("state"), "not saved: the program does not answer")
	p.Restart()
	first.saved()
	first.see(test("ticket-card"), "6 × 7 1/2")
	first.goTo(at)
	first.waitFor("44 to be there", func() (string, bool) { v := first.value("field-count"); return v, v == "44" })
}

// A number typed fast never keeps the error of its first half, also when the field
// is left before the answer comes.
func TestTypedFast(t *testing.T) {
	t.Parallel()
	p := start(t, t.TempDir(), "127.0.0.1:0")
	b := newBetween(t, p)
	first := open(t, p, "/")
	at := first.openJob("Meteor-night thanks, square")
	w := through(t, p, b, at)
	w.see(test("headline"), "Cut 10 3/4")
	for _, whole := range []string{"10 1/2", "7 3/16", "6 1/4"} {
		b.held("POST plan")
		el := w.field("field-card.width")
		el.MustFocus().MustSelectAllText()
		for i := range whole {
			if i == 0 {
				el.MustInput(whole[:1]) // in place of what was there
				continue
			}
			if err := w.InsertText(whole[i : i+1]); err != nil {
				t.Fatal(err)
			}
		}
		w.MustEval(`() => document.activeElement.blur()`)
		b.letGo()
		w.see(test("ticket-card"), whole+" × 5 3/8")
		w.saved()
		if got := w.text(test("field-card.width")); strings.Contains(got, "fraction") || strings.Contains(got, "number") {
			t.Errorf("under %s stands %q", whole, got)
		}
		if got := w.value("field-card.width"); got != whole {
			t.Errorf("the field shows %q, want %q", got, whole)
		}
	}
}

// Two windows on the shelf each enter something at the same time: both entries are
// there, in both windows; and what is entered while the program is stopped is kept.
func TestTwoWindowsOnTheShelf(t *testing.T) {
	t.Parallel()
	p := start(t, t.TempDir(), "127.0.0.1:0")
	br := browser(t)
	one := openIn(t, br, p, "/shelf", 1280, 800)
	two := openIn(t, br, p, "/shelf", 1280, 800)
	one.see(test("shelf-envelopes-1"), "")
	two.see(test("shelf-envelopes-1"), "")
	// The second window's first try is cut off, so that it is sent late.
	stop := two.cutOff("/api/shop", http.MethodPatch)
	two.click(test("add-envelopes"))
	two.see(test("state"), "not saved: the program does not answer")
	one.click(test("add-envelopes"))
	one.see(test("shelf-envelopes-2"), "")
	one.fill("name-envelopes-2", "From the gala")
	one.MustEval(`() => document.activeElement.blur()`)
	one.see(test("state"), "saved")
	stop()
	two.see(test("shelf-envelopes-3"), "")
	one.see(test("shelf-envelopes-3"), "")
	for _, w := range []*window{one, two} {
		w.waitFor("both entries", func() (string, bool) {
			v := w.value("name-envelopes-2") + "|" + w.value("name-envelopes-3")
			return v, v == "From the gala|Envelopes of mine"
		})
	}
	// One window changes a number, the other another one of the same entry.
	one.fill("field-envelopes.0.have", "30")
	two.fill("name-envelopes-0", "Cream, few")
	one.MustEval(`() => document.activeElement.blur()`)
	two.MustEval(`() => document.activeElement.blur()`)
	for _, w := range []*window{one, two} {
		w.waitFor("both changes", func() (string, bool) {
			v := w.value("name-envelopes-0") + "|" + w.value("field-envelopes.0.have")
			return v, v == "Cream, few|30"
		})
	}
	p.Stop(syscall.SIGTERM)
	one.fill("field-envelopes.1.have", "7")
	one.MustEval(`() => document.activeElement.blur()`)
	one.see(test("state"), "not saved: the program does not answer")
	p.Restart()
	one.see(test("state"), "saved")
	two.waitFor("the other window to hear of it", func() (string, bool) { v := two.value("field-envelopes.1.have"); return v, v == "7" })
}

// cutOff fails requests of a kind until stop is called.
func (w *window) cutOff(path, method string) (stop func()) {
	cut := w.HijackRequests()
	cut.MustAdd("*"+path, func(h *rod.Hijack) {
		if h.Request.Method() == method {
			h.Response.Fail(proto.NetworkErrorReasonConnectionFailed)
			return
		}
		h.ContinueRequest(&proto.FetchContinueRequest{})
	})
	go cut.Run()
	return cut.MustStop
}

// A start for one's own data is empty, and a card that is only looked at leaves
// nothing behind; the first change keeps it.
func TestNothingAppearsUnasked(t *testing.T) {
	t.Parallel()
	p := startPlain(t, t.TempDir(), "127.0.0.1:0")
	w := open(t, p, "/")
	w.see(test("empty"), "There are no jobs yet")
	w.click(test("new-job"))
	w.see(test("headline"), "")
	w.see(test("state"), "a new card: it is kept from your first change on")
	w.click(test("ticket-ease"))
	w.see(test("headline"), "")
	w.goTo("/")
	w.see(test("empty"), "There are no jobs yet")
	w.click(test("new-job"))
	w.see(test("headline"), "")
	w.fill("field-card.width", "6")
	w.saved()
	w.waitFor("its own address", func() (string, bool) {
		u := w.MustInfo().URL
		return u, !strings.Contains(u, "/new/")
	})
	at := w.MustInfo().URL
	w.goTo("/")
	w.see(test("job"), "No card yet")
	w.click(test("job") + " a")
	w.fill("field-card.height", "5")
	w.saved()
	w.goTo("/")
	w.see(test("job"), "6 × 5")
	if err := w.Navigate(at); err != nil {
		t.Fatal(err)
	}
	w.see(test("ticket-card"), "6 × 5")
	w.quiet()
}

// An empty front draws a real plan, which one act makes one's own; the sample shop comes with one act, and goes
// with another. A finished card is asked for first, and nothing of it is cut.
func TestFirstStart(t *testing.T) {
	t.Parallel()
	p := startPlain(t, t.TempDir(), "127.0.0.1:0")
	w := open(t, p, "/")
	w.see(test("sample-says"), "Cut 8 13/16 square.")
	w.click(test("sample-shop"))
	w.click(test("sample-away"))
	w.see(test("sample-shop"), "")
	w.click(test("sample-shop"))
	w.see(test("sample-away"), "")
	w.goTo("/shelf")
	w.see(test("shelf-envelopes-0"), "")
	w.goTo("/")
	w.click(test("sample-begin"))
	w.see(test("ticket-card"), "5 3/8 × 5 3/8")
	w.saved()
	w.pick("made-yes")
	w.see(test("headline"), "is finished: only its envelope is made.")
	w.saved()
	w.click(test("ticket-paper"))
	w.see(test("headline"), "for the envelopes of 12 finished cards")
	if got := w.text(test("drawer")); strings.Contains(got, "Card base") || strings.Contains(got, "Layer") {
		t.Errorf("of the finished card is cut: %s", got)
	}
	w.quiet()
}

// A job that cannot be read, one that cannot be planned and one whose paper is gone
// stand in the list with what is wrong; the last one opens, and takes what is offered.
func TestBadRowsAreShown(t *testing.T) {
	t.Parallel()
	data := t.TempDir()
	p := start(t, data, "127.0.0.1:0")
	w := open(t, p, "/")
	w.see(test("job"), "letter") // worked out
	p.Stop(syscall.SIGTERM)
	w.see(test("failure"), "does not answer")
	db, err := sql.Open("sqlite", filepath.Join(data, "yellow-parcel.db"))
	if err != nil {
		t.Fatal(err)
	}
	for i, change := range []string{`'$.card.width', 'wide'`, `'$.card.fold', 'fan'`, `'$.parts[0].stock', 'tin'`} {
		if _, err := db.Exec("UPDATE jobs SET body = json_set(body, "+change+") WHERE name = ?", demo.Jobs()[i].Name); err != nil {
			t.Fatal(err)
		}
	}
	if err := db.Close(); err != nil {
		t.Fatal(err)
	}
	p.Restart()
	w.see(test("job-problem"), "cannot be read")
	w.see(test("job-problem"), "The fold “fan” is not known")
	w.see(test("job-problem"), "“tin”, is gone")
	if n := len(w.MustElements(test("job"))); n != len(demo.Jobs()) {
		t.Errorf("%d jobs are listed", n)
	}
	for i, says := range []string{"cannot be read", "The fold “fan” is not known"} {
		w.clickOn(test("job")+" a", demo.Jobs()[i].Name)
		w.see(test("missing"), says)
		w.goTo("/")
	}
	w.clickOn(test("job")+" a", demo.Jobs()[2].Name)
	w.see(test("missing-parts.0.stock"), "“tin”, is gone")
	w.click(test("missing-parts.0.stock") + " button")
	w.waitFor("the stand-in to be taken", func() (string, bool) {
		has, _, _ := w.Has(test("missing-parts.0.stock"))
		return "", !has
	})
	w.saved()
	w.goTo("/")
	w.waitFor("the row to be whole", func() (string, bool) {
		n := len(w.MustElements(test("job-problem")))
		return "", n == 2
	})
}

// On a card with gems, brads and ribbon the papers are papers and the things are
// things, a layer can be put on it, and its border is a field.
func TestLayersOfACardWithThings(t *testing.T) {
	soak.Only(t)
	w := begin(t)
	at := strings.TrimSuffix(w.openJob("Moon-watch invitation, brass and knot"), "card")
	w.drawer("papers")
	if n := len(w.MustElements(test("paper"))); n != 3 {
		t.Errorf("%d papers are offered a stock", n)
	}
	w.see(test("things"), "Ribbon")
	w.goTo(at + "layers")
	w.see(test("layer-2"), "")
	if n := len(w.MustElements("[data-test^=layer-][data-test$='0'],[data-test^=layer-][data-test$='1'],[data-test^=layer-][data-test$='2'],[data-test^=layer-][data-test$='3'],[data-test^=layer-][data-test$='4']")); n != 3 {
		t.Errorf("%d papers stand on the station", n)
	}
	w.click(test("add-layer"))
	w.see(test("layer-3"), "")
	w.saved()
	w.fill("field-parts.3.border", "1/4")
	w.saved()
	if got := w.value("field-parts.3.border"); got != "1/4" {
		t.Errorf("its border is %q", got)
	}
	w.quiet()
}

// With something sticking out, every drawing of the card shows it.
func TestWhatSticksOutIsDrawn(t *testing.T) {
	soak.Only(t)
	w := begin(t)
	at := strings.TrimSuffix(w.openJob("Moon-watch invitation, brass and knot"), "card")
	w.goTo(at + "mail")
	w.see(test("headline"), "")
	w.click(test("drawer-things"))
	w.click(test("thing-4"))
	w.fill("field-parts.4.thing.x", "-1/2")
	w.saved()
	size := func(part string) float64 {
		w.see("[data-part="+part+"]", "")
		return w.MustElement("[data-part=" + part + "]").MustEval(`() => { const b = this.getBBox(); return b.width / b.height }`).Num()
	}
	w.goTo(at + "card")
	w.pick("view-inside")
	if got, bare := size("nest-card"), size("nest-base"); got <= bare {
		t.Errorf("in its envelope the card is drawn %.3f as wide as high, without the knot %.3f", got, bare)
	}
	w.goTo(at + "envelope")
	w.see(test("headline"), "")
	if got := size("card"); got < 7.4/5 {
		t.Errorf("on the blank the card is drawn %.3f as wide as high", got)
	}
}

// empties lists what stands on a page with nothing in it.
const empties = `() => {
  const bad = []
  const say = (el, why) => bad.push(why + ': ' + el.outerHTML.slice(0, 160))
  const seen = (el) => el.getClientRects().length > 0 && getComputedStyle(el).visibility !== 'hidden'
  const text = (el) => (el.textContent || '').trim()
  for (const el of document.querySelectorAll('main h1, main h2, main h3, main dt, main dd, main th[scope], main label, main li, main p, main strong, main button, .strip .value, .strip .label')) {
    if (!seen(el) || text(el) || el.querySelector('input, svg, select, textarea') || el.getAttribute('aria-label')) continue
    if (el.id.startsWith('about-')) continue // what is wrong with a field, when something is
    say(el, 'empty')
  }
  for (const el of document.querySelectorAll('main td')) {
    if (seen(el) && !text(el) && !el.querySelector('input, svg, button, select') && !el.classList.contains('words')) say(el, 'empty cell')
  }
  for (const el of document.querySelectorAll('main .v-select')) {
    if (seen(el) && !el.querySelector('.v-select__selection-text')?.textContent.trim() && !el.querySelector('input[placeholder]:not([placeholder=""])') && !el.querySelector('.v-label')?.textContent.trim()) say(el, 'nothing is chosen')
  }
  for (const el of document.querySelectorAll('main svg text')) {
    if (seen(el) && !text(el)) say(el, 'empty text in a drawing')
  }
  for (const el of document.querySelectorAll('main svg [d], main svg rect, main svg circle, main svg line, main svg ellipse, main svg polygon')) {
    for (const a of el.attributes) if (/NaN|undefined|Infinity/.test(a.value)) say(el, 'no number')
  }
  if (/undefined|NaN|\[object|null/.test(document.querySelector('main').innerText)) bad.push('a word of the program stands on the page: ' + document.querySelector('main').innerText.match(/.{0,40}(undefined|NaN|\[object|null).{0,40}/)[0])
  return bad
}`
