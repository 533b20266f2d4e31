package format_test

import (
	"bytes"
	"context"
	"regexp"
	"strings"
	"testing"

	"golang.org/x/image/font/opentype"
	"golang.org/x/image/font/sfnt"

	"yellowparcel/core/drawing"
	"yellowparcel/core/measure"
	"yellowparcel/core/plan"
	"yellowparcel/core/worksheet/page"
	"yellowparcel/demo"
	"yellowparcel/format"
)

// prints are what is printed to be read of every sample job, and the chart.
func prints(t *testing.T) map[string]drawing.Print {
	t.Helper()
	list := map[string]drawing.Print{}
	for _, unit := range []measure.Unit{measure.Inches, measure.Millimetres} {
		shop := demo.Shop()
		shop.Unit = unit
		for _, j := range demo.Jobs() {
			table := plan.TableOf(j, shop)
			list[j.Name+string(unit)] = plan.PrintJob(table)
			list[j.Name+string(unit)+" worksheet"] = page.Of(table).Print(j.Name)
		}
		chart, err := plan.Chart(context.Background(), shop)
		if err != nil {
			t.Fatal(err)
		}
		list["chart "+string(unit)] = chart.Print()
	}
	return list
}

func printed(t *testing.T, p drawing.Print, on format.Page) []byte {
	t.Helper()
	f, _ := format.ByID("pdf")
	set := settings(measure.Inches)
	set.Page = on
	var a, b bytes.Buffer
	if err := f.Print(&a, p, set); err != nil {
		t.Fatal(err)
	}
	if err := f.Print(&b, p, set); err != nil || !bytes.Equal(a.Bytes(), b.Bytes()) {
		t.Errorf("%s is not the same from run to run: %v", p.Title, err)
	}
	return a.Bytes()
}

var pageObject = regexp.MustCompile(`/Type /Page\b[^s]`)

// A job and the chart go on one page, whatever is in them; a worksheet takes as many as it has to.
func TestPrintsGoOnTheirPages(t *testing.T) {
	t.Parallel()
	for name, p := range prints(t) {
		for _, on := range []format.Page{format.Letter, format.A4} {
			n := len(pageObject.FindAll(printed(t, p, on), -1))
			if p.OnePage && n != 1 || n == 0 {
				t.Errorf("%s takes %d pages of %s", name, n, on.ID)
			}
			if !p.OnePage && n > len(p.Blocks)/2+2 {
				t.Errorf("%s takes %d pages for %d steps", name, n, len(p.Blocks))
			}
		}
	}
}

// The font has every letter that is printed: none comes out as an empty box.
func TestEveryLetterIsInTheFont(t *testing.T) {
	t.Parallel()
	for _, raw := range format.FontFiles() {
		f, err := opentype.Parse(raw)
		if err != nil {
			t.Fatal(err)
		}
		var buffer sfnt.Buffer
		missing := map[rune]string{}
		see := func(text string) {
			for _, r := range text {
				if i, err := f.GlyphIndex(&buffer, r); err != nil || i == 0 {
					missing[r] = text
				}
			}
		}
		for _, p := range prints(t) {
			see(p.Title)
			for _, b := range p.Blocks {
				see(b.Head + b.Large + b.Text + strings.Join(b.Lines, ""))
				for _, row := range b.Table {
					see(strings.Join(row, ""))
				}
				for _, picture := range b.Pictures {
					see(picture.Name + picture.Size)
					for _, l := range picture.Labels {
						see(l.Text)
					}
				}
			}
		}
		for r, text := range missing {
			t.Errorf("%q is not in the font: %s", r, text)
		}
	}
}

// What does not fit on a line is wrapped, and nothing runs off the page.
func TestLongWordsOnPrints(t *testing.T) {
	t.Parallel()
	long := strings.Repeat("A card for the dome rota with a very long name indeed ", 12)
	p := drawing.Print{Title: "Long", Blocks: []drawing.Block{{Text: long, Lines: []string{long, long}, Table: [][]string{{"A", "B"}, {long[:60], "x"}}}}}
	img := pages(t, printed(t, p, format.Letter), 60)[0]
	for y := range img.Bounds().Dy() {
		for x := img.Bounds().Dx() - 20; x < img.Bounds().Dx(); x++ {
			if darkness(img.At(x, y)) > 0.2 {
				t.Fatalf("ink at %d, %d, in the margin", x, y)
			}
		}
	}
}
