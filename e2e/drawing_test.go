package e2e

import (
	"fmt"
	"strings"
	"testing"

	"github.com/go-rod/rod/lib/input"

	"yellowparcel/internal/soak"
)

// say changes the job in hand by a line.
func (w *window) say(line string) {
	w.t.Helper()
	w.click(test("say"))
	w.await(test("say-dialog"))
	w.fill("line", line)
	w.see(test("line-go"), "Change it")
	w.field("line").MustFocus()
	w.Keyboard.MustType(input.Enter)
	w.waitFor("the line to be carried out", func() (string, bool) { return "it is open", !w.MustHas(test("say-dialog") + ":not(.v-leave-active)") })
}

// crossing are the sizes, readings and leading lines on a net that touch the card's area.
const crossing = `() => {
	const card = document.querySelector('[data-part=card]').getBoundingClientRect()
	const bad = []
	for (const e of document.querySelectorAll('.size line, .size path, .size text, [data-test=score-mark] *, text[data-test=sheet-size], [data-test=alignment]')) {
		const r = e.getBoundingClientRect()
		if (r.left < card.right - 2 && r.right > card.left + 2 && r.top < card.bottom - 2 && r.bottom > card.top + 2) bad.push(e.tagName + ' ' + (e.textContent || e.getAttribute('d')))
	}
	return bad.join('; ')
}`

// Whatever the envelope, the drawing has what the sentence says to set, each at its crease, and
// the sheet's size; nothing of that crosses the card, and no two of them lie on each other.
func TestNetToWorkFrom(t *testing.T) {
	soak.Only(t)
	w := begin(t)
	for _, name := range []string{"Meteor-night thanks, square", "Lens fund thank-you, raised star", "Supporter card, slim"} {
		w.station(name, "envelope")
		w.drawer("finish")
		for _, kind := range []string{"diamond", "pocket", "walls", "box", "lid and tuck"} {
			w.say(kind)
			w.see(test("headline"), "Cut")
			w.waitFor("the drawing of "+kind, func() (string, bool) {
				got := w.MustEval(`() => document.querySelectorAll('[data-test=score-mark]').length`).Int()
				return fmt.Sprint(got), got >= 3
			})
			if got := w.MustEval(crossing).Str(); got != "" {
				t.Errorf("%s, %s: over the card lie %s", name, kind, got)
			}
			if size := w.text(test("sheet-size")); size == "" {
				t.Errorf("%s, %s: the sheet has no size", name, kind)
			}
			over := w.MustEval(`() => {
				const texts = [...document.querySelectorAll('[data-test=score-mark] .reading, .size text, [data-test=sheet-size] text')].map((e) => [e.textContent, e.getBoundingClientRect()])
				const bad = []
				texts.forEach(([a, r], i) => texts.slice(i + 1).forEach(([b, q]) => { if (r.left < q.right - 1 && r.right > q.left + 1 && r.top < q.bottom - 6 && r.bottom > q.top + 6) bad.push(a + ' on ' + b) }))
				return bad.join('; ')
			}`).Str()
			if over != "" {
				t.Errorf("%s, %s: %s", name, kind, over)
			}
		}
	}
	w.quiet()
}

// A field and its line on the drawing light up together, whichever one is pointed at.
func TestFieldsAndLinesLightUp(t *testing.T) {
	w := begin(t)
	w.station("Meteor-night thanks, square", "envelope")
	w.drawer("sizes")
	lit := func(selector string) bool { return w.MustHas(selector) }
	w.field("field-envelope.flap").MustFocus()
	w.waitFor("the flap's line to light up", func() (string, bool) { return "dark", lit(".size.lit [data-size=flap]") })
	w.field("field-envelope.seam").MustFocus()
	w.waitFor("the glue to light up", func() (string, bool) { return "dark", lit("[data-part=glue].lit") && !lit(".size.lit") })
	w.MustElement("body").MustEval(`() => document.activeElement.blur()`)
	at := w.MustElement("[data-size=flap]").MustEval(`() => { const r = this.getBoundingClientRect(); return [r.left + r.width / 2, r.top + r.height / 2] }`).Arr()
	w.Mouse.MustMoveTo(at[0].Num()-60, at[1].Num()).MustMoveTo(at[0].Num(), at[1].Num())
	w.waitFor("the field to light up", func() (string, bool) {
		return "dark", lit(test("field-envelope.flap") + ".lit, .lit" + test("field-envelope.flap"))
	})
	w.goTo("/")
	w.station("Meteor-night thanks, square", "card")
	w.drawer("base")
	w.field("field-card.width").MustFocus()
	w.waitFor("the panels' sizes to light up", func() (string, bool) { return "dark", lit(".size.lit [data-size=panel-0]") })
	w.quiet()
}

// The card and its papers are turned with one act each, and are drawn with the side that is up.
func TestTurnCardAndPapers(t *testing.T) {
	soak.Only(t)
	w := begin(t)
	w.station("Meteor-night invitation", "card")
	w.drawer("base")
	w.click(test("turn-card"))
	w.see(test("ticket-card")+" .value", "5 × 7")
	w.see(test("headline"), "like a book")
	w.click(test("undo"))
	w.see(test("ticket-card")+" .value", "7 × 5")

	fill := func(selector string) string { return w.element(selector).MustEval(`() => this.style.fill`).Str() }
	w.station("Meteor-night thanks, square", "layers")
	w.drawer("layers")
	if got := fill("[data-part=layer-night-sky]"); !strings.Contains(got, "face-night-stars") {
		t.Errorf("the night sky is drawn as %s", got)
	}
	w.click(test("open-layer-1"))
	w.click(test("turn-1"))
	w.waitFor("its back to be drawn", func() (string, bool) {
		got := fill("[data-part=layer-night-sky]")
		return got, strings.Contains(got, "--c-white")
	})
	w.station("Lens fund thank-you, raised star", "envelope")
	w.drawer("finish")
	w.choose("field-envelope.stock", "Patterned, light")
	w.waitFor("the white inside", func() (string, bool) {
		got := fill("[data-part=outline]")
		return got, strings.Contains(got, "--c-white")
	})
	w.click(test("turn-paper"))
	w.waitFor("the pattern inside", func() (string, bool) {
		got := fill("[data-part=outline]")
		return got, strings.Contains(got, "face-night-stars")
	})
	w.saved()
	w.quiet()
}

// A type that no longer suits is said first, and changed with one act; how it is worked out
// stands beside the drawing and follows.
func TestSaidFirstAndWorkedOut(t *testing.T) {
	soak.Only(t)
	w := begin(t)
	w.station("Meteor-night invitation", "envelope")
	w.drawer("sums")
	w.see(test("sum-square"), "next tick up")
	w.see(test("sum-ease-width"), "0.273") // 7 5/16 less 7, .031 and two folds of .004
	w.say("3/4 thick")
	w.see(test("sum-width"), "3/4")
	first := w.element(test("notes") + " .note")
	if text := plain(first.MustText()); !strings.Contains(text, "too thick for a flat diamond") {
		t.Errorf("said first: %s", text)
	}
	w.click(test("note-act"))
	w.waitFor("another envelope", func() (string, bool) {
		text := w.MustEval(`() => document.querySelector('[data-test=notes]')?.textContent ?? ''`).Str()
		return text, !strings.Contains(text, "too thick for a flat")
	})
	w.see(test("ticket-sheet"), "was")
	w.saved()
	w.quiet()
}
