package format_test

import (
	"bytes"
	"image"
	"image/color"
	"image/png"
	"math"
	"os"
	"os/exec"
	"path/filepath"
	"slices"
	"strconv"
	"testing"

	"yellowparcel/core/drawing"
	"yellowparcel/core/measure"
	"yellowparcel/format"
)

// darkness is how much ink is in a pixel, from none to one.
func darkness(c color.Color) float64 {
	r, g, b, _ := c.RGBA()
	return 1 - float64(r+g+b)/(3*65535)
}

// edges finds the middles of the first and the last dark line across a row or down a column, in
// pixels, to a fraction of one; of a part of it where that is given.
func edges(img image.Image, at int, down bool, span ...int) (first, last float64) {
	from, n := 0, img.Bounds().Dx()
	if down {
		n = img.Bounds().Dy()
	}
	if len(span) == 2 {
		from, n = span[0], span[1]
	}
	ink := make([]float64, n)
	for i := range n {
		if down {
			ink[i] = darkness(img.At(at, i))
		} else {
			ink[i] = darkness(img.At(i, at))
		}
	}
	first, last = math.NaN(), math.NaN()
	for i := from; i < n; i++ {
		if ink[i] < 0.15 {
			continue
		}
		sum, weight := 0.0, 0.0
		for ; i < n && ink[i] > 0.02; i++ {
			sum, weight = sum+ink[i]*(float64(i)+0.5), weight+ink[i]
		}
		if last = sum / weight; math.IsNaN(first) {
			first = last
		}
	}
	return first, last
}

func TestPNG(t *testing.T) {
	t.Parallel()
	s := sheets(t)["piece"]
	raw := write(t, "png", s, settings(measure.Inches))
	img, err := png.Decode(bytes.NewReader(raw))
	if err != nil {
		t.Fatal(err)
	}
	at := bytes.Index(raw, []byte("pHYs"))
	perMM := float64(uint32(raw[at+4])<<24|uint32(raw[at+5])<<16|uint32(raw[at+6])<<8|uint32(raw[at+7])) / 1000
	within(t, "pixels a millimetre", perMM, 300/25.4, 0.001)
	left, right := edges(img, img.Bounds().Dy()/3, false)
	within(t, "the width in the picture", (right-left)/perMM, 7*25.4, 0.05)
	top, bottom := edges(img, img.Bounds().Dx()/3, true)
	within(t, "the height in the picture", (bottom-top)/perMM, 5*25.4, 0.05)
	// However large it is, it can be held.
	huge := drawing.Piece(size(measure.Metre, 2*measure.Metre), nil)
	small, err := png.DecodeConfig(bytes.NewReader(write(t, "png", format.Sheet{Drawing: huge}, settings(measure.Inches))))
	if err != nil || small.Width*small.Height > 21_000_000 {
		t.Errorf("%d × %d pixels, %v", small.Width, small.Height, err)
	}
}

// pages are the pages of a PDF as pictures, so many pixels an inch.
func pages(t *testing.T, pdf []byte, dots int) (list []image.Image) {
	t.Helper()
	tool, err := exec.LookPath("pdftoppm")
	if err != nil {
		if os.Getenv("NEED_PDFTOPPM") != "" {
			t.Fatal("pdftoppm is missing: install poppler-utils")
		}
		t.Skip("pdftoppm is missing: install poppler-utils to measure prints")
	}
	dir := t.TempDir()
	in := filepath.Join(dir, "print.pdf")
	if err := os.WriteFile(in, pdf, 0o600); err != nil {
		t.Fatal(err)
	}
	if out, err := exec.Command(tool, "-r", strconv.Itoa(dots), "-png", in, filepath.Join(dir, "page")).CombinedOutput(); err != nil {
		t.Fatal(err, string(out))
	}
	names, _ := filepath.Glob(filepath.Join(dir, "page*.png"))
	slices.Sort(names)
	for _, name := range names {
		f, err := os.Open(name)
		if err != nil {
			t.Fatal(err)
		}
		img, err := png.Decode(f)
		_ = f.Close()
		if err != nil {
			t.Fatal(err)
		}
		list = append(list, img)
	}
	return list
}

// A print has the true size, measured on its pixels: the piece, and the bars by which the maker
// measures it.
func TestPDFIsTrueSize(t *testing.T) {
	t.Parallel()
	const dots = 400
	perMM := dots / 25.4
	for _, page := range []format.Page{format.Letter, format.A4} {
		set := settings(measure.Inches)
		set.Page = page
		raw := write(t, "pdf", sheets(t)["piece"], set)
		if !bytes.Contains(raw, []byte("/PrintScaling /None")) {
			t.Error("it may be scaled when it is printed")
		}
		all := pages(t, raw, dots)
		if len(all) != 1 {
			t.Fatalf("%d pages", len(all))
		}
		img := all[0]
		wide, high := page.Width, page.Height
		if img.Bounds().Dx() > img.Bounds().Dy() {
			wide, high = high, wide
		}
		within(t, "the page's width", float64(img.Bounds().Dx())/perMM, wide, 0.1)
		within(t, "the page's height", float64(img.Bounds().Dy())/perMM, high, 0.1)
		left, right := edges(img, int(high/2.3*perMM), false)
		within(t, page.ID+": the piece's width", (right-left)/perMM, 7*25.4, 0.05)
		top, bottom := edges(img, int(wide/2.3*perMM), true, int(18*perMM), int((high-27)*perMM))
		within(t, page.ID+": the piece's height", (bottom-top)/perMM, 5*25.4, 0.05)
		for i, want := range []float64{100, 101.6} {
			y := int((high - 10 - 17 + 5 + 2.5 + 5*float64(i) + 0.9) * perMM)
			left, right := edges(img, y, false)
			within(t, page.ID+": check bar", (right-left)/perMM, want, 0.05)
		}
	}
}

// What is larger than a page is spread over several: put together with their strips on each
// other, they are the whole, at its true size.
func TestTilesMakeTheWhole(t *testing.T) {
	t.Parallel()
	const dots = 200
	perMM := dots / 25.4
	piece := drawing.Piece(size(450*measure.Millimetre, 380*measure.Millimetre), nil)
	for _, page := range []format.Page{format.Letter, format.A4} {
		set := settings(measure.Millimetres)
		set.Page = page
		all := pages(t, write(t, "pdf", format.Sheet{Drawing: piece, Title: "Large"}, set), dots)
		if len(all) < 4 || len(all) > 6 {
			t.Fatalf("%s: %d pages", page.ID, len(all))
		}
		wide, high := page.Width, page.Height
		if all[0].Bounds().Dx() > all[0].Bounds().Dy() {
			wide, high = high, wide
		}
		shownW, shownH := wide-20, high-20-9-17
		columns := int(math.Ceil((450 - 10) / (shownW - 10)))
		rows := len(all) / columns
		// The left edge is on the first page of a row, the right one on its last; the strips say
		// how far the pages lie apart.
		first, last := all[0], all[columns-1]
		y := int((10 + 9 + shownH*0.6) * perMM)
		left, _ := edges(first, y, false)
		_, right := edges(last, y, false)
		got := (right-left)/perMM + float64(columns-1)*(shownW-10)
		within(t, page.ID+": the width over all pages", got, 450, 0.08)
		if rows*columns != len(all) {
			t.Errorf("%s: %d pages in %d columns", page.ID, len(all), columns)
		}
		// The crosses of two neighbours are the same place of the drawing.
		if columns > 1 {
			x := func(img image.Image, at float64) (dark bool) {
				for d := -2; d <= 2; d++ {
					dark = dark || darkness(img.At(int(at*perMM)+d, int((10+9+shownH/4)*perMM))) > 0.3
				}
				return dark
			}
			if !x(all[0], 10+shownW-5+1.5) || !x(all[1], 10+5+1.5) {
				t.Errorf("%s: a strip has no crosses", page.ID)
			}
		}
	}
}
