package format_test

import (
	"bytes"
	"context"
	"fmt"
	"os"
	"os/exec"
	"path/filepath"
	"regexp"
	"strconv"
	"strings"
	"testing"

	"yellowparcel/core/blank"
	"yellowparcel/core/drawing"
	"yellowparcel/core/job"
	"yellowparcel/core/mat"
	"yellowparcel/core/measure"
	"yellowparcel/core/plan"
	"yellowparcel/core/worksheet/page"
	"yellowparcel/demo"
	"yellowparcel/format"
)

// word is a word of a print, where it stands on its page in millimetres.
type word struct {
	page                     int
	text                     string
	left, top, right, bottom float64
}

var (
	aPage = regexp.MustCompile(`<page width="([\d.]+)" height="([\d.]+)">`)
	aWord = regexp.MustCompile(`<word xMin="([-\d.]+)" yMin="([-\d.]+)" xMax="([-\d.]+)" yMax="([-\d.]+)">(.*)</word>`)
)

// wordsOf are the words of a print, and the sizes of its pages.
func wordsOf(t *testing.T, raw []byte) (words []word, pages [][2]float64) {
	t.Helper()
	if _, err := exec.LookPath("pdftotext"); err != nil && os.Getenv("NEED_PDFTOPPM") == "" {
		t.Skip("pdftotext is not here")
	}
	file := filepath.Join(t.TempDir(), "print.pdf")
	if err := os.WriteFile(file, raw, 0o600); err != nil {
		t.Fatal(err)
	}
	out, err := exec.Command("pdftotext", "-bbox", file, "-").Output()
	if err != nil {
		t.Fatal(err)
	}
	mm := func(s string) float64 {
		v, _ := strconv.ParseFloat(s, 64)
		return v / 72 * 25.4
	}
	for line := range strings.Lines(string(out)) {
		if m := aPage.FindStringSubmatch(line); m != nil {
			pages = append(pages, [2]float64{mm(m[1]), mm(m[2])})
		}
		if m := aWord.FindStringSubmatch(line); m != nil {
			words = append(words, word{len(pages), m[5], mm(m[1]), mm(m[2]), mm(m[3]), mm(m[4])})
		}
	}
	return words, pages
}

// readable fails where two words of a print lie on each other, or one does not stand on its page.
func readable(t *testing.T, what string, raw []byte, drawn bool) (pages int) {
	t.Helper()
	words, sizes := wordsOf(t, raw)
	if len(words) < 3 {
		t.Errorf("%s: %d words", what, len(words))
	}
	told := 0
	for i, w := range words {
		size := sizes[w.page-1]
		if tiled := drawn && len(sizes) > 1 && w.top > 15; tiled {
			continue // its drawing goes on on the next page
		}
		if w.left < 5 || w.top < 4 || w.right > size[0]-5 || w.bottom > size[1]-4 {
			t.Errorf("%s: “%s” leaves page %d", what, w.text, w.page)
		}
		for _, v := range words[:i] {
			// The box of a word is as high as its font: letters stand in the middle of it.
			high := min(w.bottom-w.top, v.bottom-v.top) * 0.35
			if w.page == v.page && min(w.right, v.right)-max(w.left, v.left) > 0.4 && min(w.bottom, v.bottom)-max(w.top, v.top) > high && told < 5 {
				told++
				t.Errorf("%s, page %d: “%s” and “%s” lie on each other", what, w.page, v.text, w.text)
			}
		}
	}
	return len(sizes)
}

// Every print of every sample job can be read: no two words lie on each other, none leaves its page; a page for
// the table is one page.
func TestPrintsAreReadable(t *testing.T) {
	t.Parallel()
	f, _ := format.ByID("pdf")
	metric := demo.Shop()
	metric.Unit = measure.Millimetres
	for _, shop := range []job.Shop{demo.Shop(), metric} {
		set := settings(shop.Unit)
		printed := func(what string, p drawing.Print) int {
			var out bytes.Buffer
			if err := f.Print(&out, p, set); err != nil {
				t.Fatal(err)
			}
			return readable(t, what, out.Bytes(), false)
		}
		chart, err := plan.Chart(context.Background(), shop)
		if err != nil {
			t.Fatal(err)
		}
		if n := printed("chart", chart.Print()); n != 1 {
			t.Errorf("the chart has %d pages", n)
		}
		long := demo.Jobs()[1].Clone()
		long.Name = strings.Repeat("An invitation to look at the moon ", 3)
		for i := range long.Parts {
			long.Parts[i].Name = "A layer of the paper with the stars on it"
		}
		for _, j := range append(demo.Jobs(), long) {
			table := plan.TableOf(j, shop)
			what := fmt.Sprintf("%s in %s", j.Name, shop.Unit)
			if n := printed(what, plan.PrintJob(table)); n != 1 {
				t.Errorf("%s: %d pages", what, n)
			}
			printed(what+", worksheet", page.Of(table).Print(j.Name+": worksheet"))
			for _, x := range plan.Make(j, shop).Bench.Pieces {
				exact, _ := plan.PieceOf(j, shop, x.ID)
				var out bytes.Buffer
				if err := f.Draw(&out, format.Sheet{Drawing: exact.Flat, Title: j.Name + ": " + x.Name + ", " + x.Size}, set); err != nil {
					t.Fatal(err)
				}
				readable(t, what+", "+x.Name, out.Bytes(), true)
			}
		}
	}
}

// A piece that a printer can reach is printed on one page, its bar and heading beside it or in it: 7 x 10 on
// letter. The bars are as long there as elsewhere.
func TestWhatThePrinterReachesIsOnePage(t *testing.T) {
	t.Parallel()
	in := measure.Inch
	for _, tt := range []struct {
		w, h  measure.Length
		pages int
	}{{7 * in, 10 * in, 1}, {10 * in, 7 * in, 1}, {7*in + in/2, 10 * in, 1}, {7 * in, 9 * in, 1}, {5 * in, 10*in + 3*in/16, 1}, {8 * in, 10 * in, 2}, {7 * in, 10*in + in/2, 2}} {
		raw := write(t, "pdf", format.Sheet{Drawing: drawing.Piece(size(tt.w, tt.h), nil), Title: "Moon-watch invitation, brass and knot: card base, 7 × 10, and more words than a page is wide: they are cut"}, settings(measure.Inches))
		if n := readable(t, fmt.Sprint(tt), raw, true); n != tt.pages {
			t.Errorf("%.2f x %.2f takes %d pages", tt.w.Inches(), tt.h.Inches(), n)
		}
		words, sizes := wordsOf(t, raw)
		bars := 0
		for _, w := range words {
			if w.text == "mm" && w.page == 1 {
				bars++
			}
		}
		if bars != 1 {
			t.Errorf("%d bars on %v", bars, sizes)
		}
	}
}

// A mat's print has no page without a line of what is cut, and its pages are numbered as they are printed.
func TestAMatsPrintHasNoEmptyPage(t *testing.T) {
	t.Parallel()
	in := measure.Inch
	long := mat.Mat{Width: 12 * in, Height: 24 * in, Margin: 3 * in / 8}
	piece := drawing.Piece(size(5*in, 4*in), nil)
	for _, tt := range []struct {
		at    [][2]float64
		pages int
	}{{[][2]float64{{12, 12}}, 1}, {[][2]float64{{12, 12}, {12, 480}}, 2}, {nil, 6}} {
		load := mat.Load{Times: 1, Papers: []mat.Paper{long.Lies(12*in, 24*in)}}
		for _, at := range tt.at {
			load.Placed = append(load.Placed, mat.Placed{At: blank.Point{X: at[0], Y: at[1]}})
		}
		d := drawing.OnMat(mat.Laid{Mat: long}, load, []drawing.Laying{{Drawing: piece, Part: "base", Name: "Card base"}})
		raw := write(t, "pdf", format.Sheet{Drawing: d, Title: "Mat 1"}, settings(measure.Inches))
		if n := readable(t, fmt.Sprint(tt), raw, true); n != tt.pages {
			t.Errorf("%v takes %d pages, not %d", tt.at, n, tt.pages)
		}
		words, _ := wordsOf(t, raw)
		last := ""
		for _, w := range words {
			last += w.text + " "
		}
		if want := fmt.Sprintf("page %d of %d", tt.pages, tt.pages); tt.pages > 1 && !strings.Contains(last, want) {
			t.Errorf("no %q in %s", want, last)
		}
	}
}

// The pocket chart fills its page, whatever is in it, in type that can be read from further off where there is room.
func TestThePocketChartFillsItsPage(t *testing.T) {
	t.Parallel()
	f, _ := format.ByID("pdf")
	for _, envelopes := range []int{1, 2, 6, 20} {
		shop := demo.Shop()
		for i := len(shop.Envelopes); i < envelopes; i++ {
			shop.Envelopes = append(shop.Envelopes, job.OwnedEnvelope{ID: fmt.Sprintf("more-%d", i), Name: fmt.Sprintf("Pile %d", i), Width: 7 * measure.Inch, Height: measure.Length(4+i%3) * measure.Inch})
		}
		shop.Envelopes = shop.Envelopes[:envelopes]
		chart, err := plan.Chart(context.Background(), shop)
		if err != nil {
			t.Fatal(err)
		}
		var out bytes.Buffer
		if err := f.Print(&out, chart.Print(), settings(shop.Unit)); err != nil {
			t.Fatal(err)
		}
		if n := readable(t, "chart", out.Bytes(), false); n != 1 {
			t.Errorf("%d envelopes: %d pages", envelopes, n)
		}
		words, pages := wordsOf(t, out.Bytes())
		low, right := 0.0, 0.0
		for _, w := range words {
			low, right = max(low, w.bottom), max(right, w.right)
		}
		if low < 0.8*pages[0][1] || right < 0.7*pages[0][0] {
			t.Errorf("%d envelopes: the chart ends at %.0f × %.0f mm of %.0f × %.0f", envelopes, right, low, pages[0][0], pages[0][1])
		}
	}
}

// The number of each swatch stands in its frame: below its edge and above that of the next smaller one.
func TestSwatchesNumbersStandInTheirFrames(t *testing.T) {
	t.Parallel()
	for _, j := range demo.Jobs() {
		x, ok := plan.PieceOf(j, demo.Shop(), "swatches")
		if !ok {
			continue
		}
		raw := write(t, "pdf", format.Sheet{Drawing: x.Flat, Title: "Swatches"}, settings(measure.Inches))
		words, pages := wordsOf(t, raw)
		if len(pages) != 1 {
			continue
		}
		left, top := (pages[0][0]-x.Flat.Width)/2, 0.0
		for _, l := range x.Flat.Labels {
			for _, w := range words {
				// A word of a label is looked for where it stands; its frame is between two edges.
				if mid := (w.left+w.right)/2 - left; w.text != "×" || mid < l.At.X-l.Room || mid > l.At.X+l.Room {
					continue
				}
				if top == 0 && l.Text == x.Flat.Labels[0].Text {
					top = (w.top+w.bottom)/2 - l.At.Y
				}
			}
			if l.High <= 0 || l.High > 3 {
				t.Errorf("%s: %s has %.2f of room", j.Name, l.Text, l.High)
			}
			for _, s := range x.Flat.Of(drawing.Cut) {
				edge := s.Corners[0].Y
				if off := edge - l.At.Y; off > 0.02-l.High && off < l.High-0.02 {
					t.Errorf("%s: an edge crosses %s, %.2f from its middle", j.Name, l.Text, off)
				}
			}
		}
		for _, w := range words {
			if w.text != "×" || top == 0 {
				continue
			}
			for _, s := range x.Flat.Of(drawing.Cut) {
				if edge := s.Corners[0].Y + top; edge > w.top+0.35*(w.bottom-w.top) && edge < w.bottom-0.35*(w.bottom-w.top) {
					t.Errorf("%s: an edge at %.1f goes through the number at %.1f to %.1f", j.Name, edge, w.top, w.bottom)
				}
			}
		}
	}
}
