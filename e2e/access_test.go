package e2e

import (
	"os"
	"strings"
	"testing"

	"github.com/go-rod/rod/lib/proto"

	"yellowparcel/core/job"
)

// What axe-core, which knows the rules of accessible pages, finds on the page that is open:
// nothing that is serious.
const axeRun = `async () => {
	const found = await axe.run(document, { resultTypes: ['violations'] })
	return found.violations
		.filter((v) => v.impact === 'serious' || v.impact === 'critical')
		.map((v) => v.id + ': ' + v.help + ': ' + v.nodes.slice(0, 3).map((n) => n.html.slice(0, 160) + ' ' + (n.any[0]?.message ?? '')).join(' | '))
		.join('\n')
}`

// Every page and every drawer of every station is accessible, by day and by lamp.
func TestNothingSeriousForAxe(t *testing.T) {
	t.Parallel()
	axe, err := os.ReadFile("../ui/node_modules/axe-core/axe.min.js")
	if err != nil {
		t.Fatalf("axe-core is not there: make deps brings it. %v", err)
	}
	p := start(t, t.TempDir(), "127.0.0.1:0")
	for _, lamp := range []string{"day", "lamp"} {
		t.Run(lamp, func(t *testing.T) {
			w := openIn(t, browser(t), p, "/", 1280, 800)
			w.MustEval(`(lamp) => localStorage.setItem('yellow-parcel-light', lamp)`, lamp)
			run := func(where string) {
				t.Helper()
				if _, err := (proto.RuntimeEvaluate{Expression: string(axe) + ";true"}).Call(w); err != nil {
					t.Fatal(err)
				}
				if got := w.MustEval(axeRun).Str(); got != "" {
					t.Errorf("%s: %s", where, got)
				}
			}
			for path, sign := range map[string]string{"/": test("job"), "/shelf": test("shelf-sheets-0"), "/rules": test("rules-title"), "/help": "h1"} {
				w.goTo(path)
				w.see(sign, "")
				run(path)
			}
			w.goTo("/")
			at := strings.TrimSuffix(w.openJob("Moon-watch invitation, brass and knot"), "card")
			for _, station := range job.Stations() {
				for _, drawer := range station.Drawers {
					w.goTo(at + station.ID + "/" + drawer.ID)
					w.see(test("headline"), "")
					w.drawer(drawer.ID)
					run(station.ID + "/" + drawer.ID)
				}
			}
		})
	}
}
