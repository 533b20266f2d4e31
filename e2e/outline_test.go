package e2e

import (
	"fmt"
	"math"
	"os"
	"path/filepath"
	"strings"
	"testing"
)

// A round moon card from a file, a slanting star typed by its corners, and what
// is no outline: the envelope is made for the rectangle round it.
func TestOddShapes(t *testing.T) {
	w := begin(t)
	at := w.openJob("Meteor-night thanks, square")
	w.drawer("shape")
	w.see(test("odd"), "One corner a line")
	file := func(name, text string) {
		path := filepath.Join(t.TempDir(), name)
		if err := os.WriteFile(path, []byte(text), 0o600); err != nil {
			t.Fatal(err)
		}
		w.field("outline-file").MustSetFiles(path)
	}
	file("moon.svg", `<svg width="150mm" viewBox="0 0 150 150"><circle cx="75" cy="75" r="63.5"/></svg>`)
	w.see(test("outline-sentence"), "It fills 5 × 5 in")
	file("trap.svg", `<svg><script>alert(1)</script></svg>`)
	w.see(test("outline-problem"), "holds a <script>, which is neither run nor followed")
	file("huge.svg", "<svg>"+strings.Repeat("<g/>", 1<<20)+"</svg>")
	w.see(test("outline-problem"), "larger than 2 MB")
	// As many corners as there may be are saved as well as few.
	var many strings.Builder
	for i := range 4900 {
		a := 2 * math.Pi * float64(i) / 4900
		fmt.Fprintf(&many, "%.4f,%.4f ", 75+63.5*math.Cos(a), 75+50.8*math.Sin(a))
	}
	w.drawer("shape")
	file("egg.svg", `<svg width="150mm" viewBox="0 0 150 150"><polygon points="`+many.String()+`"/></svg>`)
	w.await(test("outline-sentence"))
	w.see(test("outline-sentence"), "It fills 5 × 4 in")
	w.click(test("take-upright"))
	w.see(test("ticket-card"), "5 × 4")
	w.saved()
	w.goTo(at)
	w.see(test("ticket-card"), "5 × 4")

	// A rectangle 2.828 x 4.808 turned by 45 degrees, up to sixteenths.
	w.fill("outline-text", "0, 2\n2, 0\n5.4, 3.4\n3.4, 5.4")
	w.click(test("read-outline"))
	w.see(test("outline-sentence"), "Upright it fills 5 7/16 × 5 7/16. Turned by 45.0 degrees")
	w.see(test("outline-sentence"), "2 7/8 × 4 13/16 in")
	w.click(test("take-smallest"))
	w.see(test("ticket-card"), "2 7/8 × 4 13/16")
	w.pick("view-inside")
	w.see(test("odd"), "Back to a rectangle")
	if got := w.measured("[data-part=odd-shape]", "across", 25.4); got < 2.828*25.4-.4 || got > 2.828*25.4+.4 {
		t.Errorf("the odd shape measures %.2f mm across", got)
	}
	w.saved()
	w.goTo(strings.TrimSuffix(at, "card") + "envelope")
	w.see(test("notes"), "Cut its rectangle of 2 7/8 × 4 13/16 from scrap")
	w.quietBut("422")
}

// quietBut is quiet, but for requests that were meant to be refused.
func (w *window) quietBut(refused string) {
	w.t.Helper()
	w.mu.Lock()
	var left []string
	for _, e := range w.errors {
		if !strings.Contains(e, refused) {
			left = append(left, e)
		}
	}
	w.errors = left
	w.mu.Unlock()
	w.quiet()
}
