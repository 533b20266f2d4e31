package e2e

import (
	"compress/gzip"
	"fmt"
	"io"
	"net/http"
	"os"
	"regexp"
	"slices"
	"testing"
	"time"

	"github.com/go-rod/rod/lib/input"
)

// TestFigures measures what docs/performance.md states; it runs only when
// FIGURES is set, because the machines that test are noisy.
func TestFigures(t *testing.T) {
	if os.Getenv("FIGURES") == "" {
		t.Skip("FIGURES is not set")
	}
	began := time.Now()
	p := start(t, t.TempDir(), "127.0.0.1:0")
	res, err := p.Get("/api/jobs")
	if err != nil {
		t.Fatal(err)
	}
	_ = res.Body.Close()
	first := time.Since(began)
	fmt.Printf("start to first answer: %v\n", first.Round(time.Millisecond))
	limit(t, "start to first answer", first, 500*time.Millisecond)

	b := browser(t)
	var views []time.Duration
	for range 5 {
		// A new context each time, so that nothing is in the browser's cache.
		w := openIn(t, browser(t), p, "/", 1280, 800)
		w.see(test("job"), "Meteor-night")
		painted := w.MustEval(`() => new Promise((done) => new PerformanceObserver((list) => {
			const all = list.getEntries()
			done(all[all.length - 1].startTime)
		}).observe({ type: 'largest-contentful-paint', buffered: true }))`).Num()
		views = append(views, time.Duration(painted*float64(time.Millisecond)))
		_ = w.Close()
	}
	slices.Sort(views)
	fmt.Printf("first view, cold (largest contentful paint), median of 5: %v (slowest %v)\n", views[2].Round(time.Millisecond), views[4].Round(time.Millisecond))
	limit(t, "first view", views[2], 1500*time.Millisecond)

	w := openIn(t, b, p, "/", 1280, 800)
	at := w.openJob("Meteor-night thanks, square")
	for _, at5 := range []struct{ station, field string }{
		{"card/base", "field-card.width"}, {"layers/layers", "field-parts.1.border"}, {"envelope/sizes", "field-envelope.ease"}, {"mail/measure", "field-mail.measured.thickness"}, {"paper/cuts", ""},
	} {
		station, field := at5.station, at5.field
		w.goTo(at[:len(at)-len("card")] + station)
		w.see(test("headline"), "")
		// The page notes when a key goes down and when the ticket has changed and
		// been painted.
		w.MustEval(`() => {
			window.took = []
			let down = 0
			addEventListener('keydown', () => { down = performance.now() }, true)
			new MutationObserver(() => {
				if (!down) return
				const from = down
				down = 0
				requestAnimationFrame(() => setTimeout(() => window.took.push(performance.now() - from)))
			}).observe(document.querySelector('main'), { subtree: true, childList: true, characterData: true, attributes: true, attributeFilter: ['d', 'x', 'width'] })
			return true
		}`)
		if field != "" {
			w.field(field).MustFocus()
		} else { // nothing is typed there: what was done is undone and done again
			w.click(test("say"))
			w.fill("line", "6 square")
			w.see(test("line-go"), "")
			w.Keyboard.MustType(input.Enter)
			w.see(test("ticket-card"), "6 × 6")
			w.MustEval(`() => { window.took = [] }`)
		}
		for i := range 100 {
			key := input.ArrowUp
			if i%20 >= 10 {
				key = input.ArrowDown
			}
			switch {
			case field != "":
				w.Keyboard.MustType(key)
			case i%2 == 0:
				w.MustElement("body").MustEval(`() => dispatchEvent(new KeyboardEvent('keydown', { key: 'z', ctrlKey: true, bubbles: true }))`)
			default:
				w.MustElement("body").MustEval(`() => dispatchEvent(new KeyboardEvent('keydown', { key: 'y', ctrlKey: true, bubbles: true }))`)
			}
			w.waitFor("the answer to a key", func() (string, bool) {
				n := w.MustEval(`() => window.took.length`).Int()
				return fmt.Sprint(n), n > i
			})
		}
		var took []float64
		for _, v := range w.MustEval(`() => window.took`).Arr() {
			took = append(took, v.Num())
		}
		slices.Sort(took)
		p95 := took[len(took)*95/100]
		fmt.Printf("answer to a key on %s, %d keys: median %.0f ms, 95th percentile %.0f ms\n", station, len(took), took[len(took)/2], p95)
		limit(t, "answer to a key on "+station, time.Duration(p95*float64(time.Millisecond)), 50*time.Millisecond)
	}

	foldingFrames(t, w)

	page, err := p.Get("/")
	if err != nil {
		t.Fatal(err)
	}
	body, _ := io.ReadAll(page.Body)
	total := 0
	for _, m := range regexp.MustCompile(`(?:src|href)="(/assets/[^"]+\.(?:js|css))"`).FindAllSubmatch(body, -1) {
		res, err := http.Get(p.URL + string(m[1]))
		if err != nil {
			t.Fatal(err)
		}
		var n counter
		zip := gzip.NewWriter(&n)
		_, _ = io.Copy(zip, res.Body)
		_ = zip.Close()
		fmt.Printf("entry bundle, %s: %d kB compressed\n", m[1], n/1000)
		total += int(n)
	}
	if total == 0 || total > 250_000 {
		t.Errorf("the entry bundle is %d bytes compressed, want at most 250 kB", total)
	}
}

// foldingFrames measures what a frame of the folding view takes: from the stage
// being set to the frame that shows it.
func foldingFrames(t *testing.T, w *window) {
	t.Helper()
	w.station("Lens fund thank-you", "envelope")
	w.click(test("choose-box"))
	w.pick("view-folding")
	w.see(test("fold-step"), "Flat on the table")
	var took []float64
	for _, v := range w.MustEval(`async () => {
		const slider = document.querySelector('[data-test=fold-stage]')
		const took = []
		for (let i = 0; i <= 100; i++) {
			const from = performance.now()
			slider.value = String((i / 100) * Number(slider.max))
			slider.dispatchEvent(new Event('input'))
			await new Promise((done) => requestAnimationFrame(() => { document.querySelector('[data-test=folding]').getBoundingClientRect(); done(true) }))
			took.push(performance.now() - from)
		}
		return took
	}`).Arr() {
		took = append(took, v.Num())
	}
	slices.Sort(took)
	fmt.Printf("a frame of the folding view, box of 13 panels: median %.1f ms, 95th percentile %.1f ms\n", took[len(took)/2], took[len(took)*95/100])
	limit(t, "a frame of the folding view", time.Duration(took[len(took)*95/100]*float64(time.Millisecond)), 50*time.Millisecond)
}

type counter int

func (c *counter) Write(b []byte) (int, error) { *c += counter(len(b)); return len(b), nil }

func limit(t *testing.T, what string, got, want time.Duration) {
	t.Helper()
	if got > want {
		t.Errorf("%s took %v, want at most %v", what, got, want)
	}
}
