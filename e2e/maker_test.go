package e2e

import (
	"math"
	"strings"
	"testing"

	"github.com/go-rod/rod/lib/input"
)

// measured reads a drawn line against the drawn ruler beside it, in millimetres.
func (w *window) measured(line, ruler string, unitMm float64) float64 {
	w.t.Helper()
	return w.MustEval(`(line, ruler, unit) => {
		const marks = [...document.querySelectorAll('[data-ruler="' + ruler + '"]')]
		const box = (el) => el.getBoundingClientRect()
		const along = (b) => ruler === 'across' ? b.x + b.width / 2 : b.y + b.height / 2
		const first = marks[0], last = marks[marks.length - 1]
		const a = along(box(first)), b = along(box(last))
		const per = (b - a) / ((Number(last.dataset.value) - Number(first.dataset.value)) * unit)
		const el = document.querySelector(line)
		const l = el.getBBox()
		const m = el.getScreenCTM()
		const size = ruler === 'across' ? l.width * m.a : l.height * m.d
		return size / per
	}`, line, ruler, unitMm).Num()
}

// TestDrawingsAreToScale measures what is drawn against the ruler drawn beside
// it; both must agree with the plan to 0.2 mm.
func TestDrawingsAreToScale(t *testing.T) {
	w := begin(t)
	at := strings.TrimSuffix(w.openJob("Meteor-night thanks, square"), "card")
	const in = 25.4
	check := func(what, line, ruler string, unit, want float64) {
		t.Helper()
		if got := w.measured(line, ruler, unit); math.Abs(got-want) > 0.2 {
			t.Errorf("%s measures %.2f mm on its ruler, want %.2f", what, got, want)
		}
	}
	check("the base", `[data-part=base]`, "across", in, 10.75*in)
	check("the base", `[data-part=base]`, "down", in, 5.375*in)
	check("its width's size line", `[data-size=width]`, "across", in, 10.75*in)
	check("the score", `[data-crease=base]`, "down", in, 5.375*in)

	w.goTo(at + "envelope")
	w.see(test("headline"), "Cut 8 13/16 square")
	diagonal := 8.8125 * math.Sqrt2
	check("the sheet", `[data-part=sheet]`, "across", in, diagonal*in)
	check("the sheet", `[data-part=sheet]`, "down", in, diagonal*in)
	check("the outline", `[data-part=outline]`, "across", in, diagonal*in)
	check("the throat", `[data-crease=top]`, "across", in, 5.6875*in)
	check("the side crease", `[data-crease=left]`, "down", in, 5.6875*in)
	check("the card", `[data-part=card]`, "across", in, 5.375*in)
	check("the closing flap's size", `[data-size=flap]`, "down", in, (diagonal-9.0625)*in)

	w.goTo(at + "mail")
	w.see(test("headline"), "Square")
	check("the piece", `[data-part=piece]`, "across", in, 5.6875*in)
	check("the plain rectangle", `[data-part=rectangle]`, "across", in, 7.5625*in)

	// The same in millimetres, on a narrow window.
	w.Keyboard.MustType('m')
	w.see(test("ticket-card"), "136.5")
	w.MustSetViewport(820, 900, 1, false)
	w.goTo(at + "envelope")
	w.see(test("headline"), "Cut 222.5 square")
	check("the metric sheet", `[data-part=sheet]`, "across", 1, 222.5*math.Sqrt2)
	w.quiet()
}

// The steps, undo and redo, and the way of typing, all from the keyboard.
func TestKeyboard(t *testing.T) {
	w := begin(t)
	w.openJob("Meteor-night thanks, square")
	field := "field-card.width"
	w.field(field).MustFocus()
	w.Keyboard.MustType(input.ArrowUp)
	w.see(test("ticket-card"), "5 7/16 × 5 3/8")
	w.see(test("ticket-card"), "was 5 3/8 × 5 3/8")
	if got := w.value(field); got != "5 7/16" {
		t.Errorf("the field shows %s", got)
	}
	if err := w.Keyboard.Press(input.ShiftLeft); err != nil {
		t.Fatal(err)
	}
	w.Keyboard.MustType(input.ArrowDown)
	if err := w.Keyboard.Release(input.ShiftLeft); err != nil {
		t.Fatal(err)
	}
	w.see(test("ticket-card"), "4 15/16 × 5 3/8")
	undo := func() {
		w.click(test("undo"))
	}
	undo()
	w.see(test("ticket-card"), "5 7/16 × 5 3/8")
	undo()
	w.see(test("ticket-card"), "5 3/8 × 5 3/8")
	w.click(test("redo"))
	w.see(test("ticket-card"), "5 7/16 × 5 3/8")
	if err := w.KeyActions().Press(input.ControlLeft).Type('z').Do(); err != nil {
		t.Fatal(err)
	}
	w.see(test("ticket-card"), "5 3/8 × 5 3/8")
	// A run of typing in one field is one act to undo.
	w.fill(field, "7")
	w.see(test("ticket-card"), "7 × 5 3/8")
	// A step goes on from what stands typed, and shows.
	w.Keyboard.MustType(input.ArrowUp)
	w.see(test("ticket-card"), "7 1/16 × 5 3/8")
	if got := w.value(field); got != "7 1/16" {
		t.Errorf("stepped from what was typed, the field shows %s", got)
	}
	undo()
	w.see(test("ticket-card"), "7 × 5 3/8")
	w.fill("field-card.height", "14 cm")
	w.see(test("ticket-card"), "7 × 5 1/2")
	w.field("name").MustFocus()
	if got := w.value("field-card.height"); got != "5 1/2" {
		t.Errorf("14 cm shows as %s", got)
	}
	w.see(test("field-card.height"), "exactly 140 mm")
	w.MustElement("body").MustEval(`() => document.activeElement.blur()`)
	w.Keyboard.MustType('2')
	w.see(test("headline"), "Cut a layer of")
	w.Keyboard.MustType('3')
	w.see(test("headline"), "square. Score")
	w.Keyboard.MustType('4')
	w.see(test("class-letter"), "")
	w.Keyboard.MustType('1')
	w.see(test("headline"), "Outside up")
	w.Keyboard.MustType('?')
	w.see(".keys", "Type any length as you say it")
	w.quiet()
}

func TestWordsFollowTheDrawing(t *testing.T) {
	w := begin(t)
	at := strings.TrimSuffix(w.openJob("Supporter card, slim"), "card")
	for station, says := range map[string]string{
		"card":     "The flat card, 8 1/2 × 3 1/2 in, without a score.",
		"envelope": "standing on its point. Four creases mark a rectangle of 8 13/16 × 3 13/16",
		"mail":     "The closed envelope, 8 13/16 × 3 13/16 in",
	} {
		w.goTo(at + station)
		w.see(test("headline"), "")
		w.click(test("description"))
		w.see(".v-overlay--active .words", says)
		w.see(test("words"), says)
		label := w.MustElement(test("drawing")).MustAttribute("aria-labelledby")
		if label == nil || w.MustElement("#"+*label) == nil {
			t.Errorf("%s: the drawing is not described", station)
		}
	}
	w.goTo(at + "envelope")
	w.see(test("notes"), "The bottom flap overshoots")
	w.quiet()
}
