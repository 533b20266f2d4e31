package e2e

import (
	"regexp"
	"strings"
)

// choose picks an entry by the beginning of its name from a list that opens. A list that
// closed again, since a menu that was still going gave the focus back to its own button,
// is opened once more, as a hand would.
func (w *window) choose(list, name string) {
	w.t.Helper()
	w.reach(test(list) + " :is(.v-field, select)")
	short, err := w.Eval(`(list, name) => {
		const of = document.querySelector(list + ' select')
		const one = [...(of?.options ?? [])].find((o) => o.innerText.startsWith(name))
		if (one) {
			of.value = one.value
			of.dispatchEvent(new Event('change', { bubbles: true }))
		}
		return !!one
	}`, test(list), name)
	if err == nil && short.Value.Bool() {
		return
	}
	w.waitFor(name+" to be chosen from "+list, func() (string, bool) {
		menu := w.MustElement(test(list) + " [aria-controls]").MustAttribute("aria-controls")
		if w.MustHas(test(list) + " [aria-expanded=false]") {
			w.click(test(list) + " .v-field")
		}
		if !w.there("#" + *menu + ".v-overlay--active .v-list-item") {
			return "it does not open", false
		}
		w.press("#"+*menu+" .v-list-item", "^"+regexp.QuoteMeta(name))
		w.there(test(list) + " [aria-expanded=false]")
		now := w.texts(test(list) + " .v-select__selection-text")
		return strings.Join(now, ""), len(now) == 0 || strings.HasPrefix(now[0], plain(name))
	})
}
