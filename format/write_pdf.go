package format

import (
	"bytes"
	"fmt"
	"io"
	"math"
	"slices"
	"strconv"
	"strings"
	"time"

	"codeberg.org/go-pdf/fpdf"

	"yellowparcel/core/blank"
	"yellowparcel/core/drawing"
)

// pdfFormat is for printers: true size, over as many pages as it takes.
var pdfFormat = Format{ID: "pdf", Name: "PDF", For: "printing at true size", Kind: "application/pdf", Draw: writePDF, Print: printPDF}

// The parts of a page, in millimetres.
const (
	pageMargin  = 10
	pageHead    = 9
	pageFoot    = 17
	tileOverlap = 10
	beyondTile  = 1 // a line on the very edge is drawn whole
)

// tiling is how a drawing is spread over pages.
type tiling struct {
	page          Page    // as it lies
	width, height float64 // what a page shows
	columns, rows int
	// whole is set for one page whose drawing takes all that the printer can reach.
	whole bool
}

// tilingOf takes the page upright or lying, whichever takes fewer pages; one page wherever the printer can reach
// all of the drawing.
func tilingOf(d drawing.Drawing, page Page) (best tiling) {
	turned := page
	turned.Width, turned.Height = page.Height, page.Width
	for _, p := range []Page{page, turned} {
		t := tiling{page: p}
		t.width, t.height = t.page.Width-2*pageMargin, t.page.Height-2*pageMargin-pageHead-pageFoot
		count := func(length, shown float64) int {
			return max(1, int(math.Ceil((length-tileOverlap-0.001)/(shown-tileOverlap))))
		}
		if t.columns, t.rows = count(d.Width, t.width), count(d.Height, t.height); d.Width <= t.width {
			t.columns = 1
		}
		if d.Height <= t.height {
			t.rows = 1
		}
		if t.columns*t.rows > 1 && d.Width <= p.Width-2*pageMargin && d.Height <= p.Height-2*pageMargin {
			t.width, t.height, t.columns, t.rows, t.whole = p.Width-2*pageMargin, p.Height-2*pageMargin, 1, 1, true
		}
		if best.columns == 0 || t.columns*t.rows < best.columns*best.rows {
			best = t
		}
	}
	return best
}

// writePDF writes a drawing at its true size, tiled over pages where it is larger than one.
// Neighbours share a strip, with a line along its middle and two crosses on it: cut one of
// them along the line and lay it on the other, cross on cross.
func writePDF(w io.Writer, s Sheet, set Settings) error {
	t := tilingOf(s.Drawing, set.Page)
	p := newPDF(s.Title, t.page)
	if t.whole {
		p.whole(s, t)
		return p.write(w)
	}
	pages := t.withLines(s.Drawing)
	for n := range pages {
		p.tile(s, t, pages, n)
	}
	return p.write(w)
}

// withLines are the pages of a tiling, as column and row: of a mat those on which there is a line of what is
// cut of the sheets that lie on it; all of anything else, which is put together from them.
func (t tiling) withLines(d drawing.Drawing) (pages [][2]int) {
	onMat := len(d.Of(drawing.Mat)) > 0
	var all [][2]int
	for row := range t.rows {
		for column := range t.columns {
			all = append(all, [2]int{column, row})
			x, y := float64(column)*(t.width-tileOverlap), float64(row)*(t.height-tileOverlap)
			if !onMat || lined(d, x, y, x+t.width, y+t.height) {
				pages = append(pages, [2]int{column, row})
			}
		}
	}
	if len(pages) == 0 {
		return all
	}
	return pages
}

// pdf is a surface with pages.
type pdf struct{ *fpdf.Fpdf }

func newPDF(title string, page Page) pdf {
	p := pdf{fpdf.NewCustom(&fpdf.InitType{OrientationStr: "P", UnitStr: "mm", Size: fpdf.SizeType{Wd: page.Width, Ht: page.Height}})}
	// The same drawing is the same file, whenever it is written.
	p.SetCreationDate(time.Unix(0, 0).UTC())
	p.SetModificationDate(time.Unix(0, 0).UTC())
	p.SetCatalogSort(true)
	p.SetProducer("Yellow Parcel", true)
	p.SetTitle(title, true)
	p.SetLang("en")
	p.SetMargins(0, 0, 0)
	p.SetAutoPageBreak(false, 0)
	p.AddUTF8FontFromBytes("text", "", textFont)
	p.AddUTF8FontFromBytes("text", "B", numberFont)
	return p
}

// tile adds a page with its part of a drawing.
func (p pdf) tile(s Sheet, t tiling, pages [][2]int, at int) {
	p.AddPage()
	column, row := pages[at][0], pages[at][1]
	left, top := float64(pageMargin), float64(pageMargin+pageHead)
	stepX, stepY := t.width-tileOverlap, t.height-tileOverlap
	// What goes on one page lies in its middle.
	x, y := left-float64(column)*stepX, top-float64(row)*stepY
	if t.columns == 1 {
		x += (t.width - s.Width) / 2
	}
	if t.rows == 1 {
		y += max(0, (t.height-s.Height)/2)
	}
	number := ""
	if n := t.columns * t.rows; n > 1 {
		number = fmt.Sprintf("%s of %d × %d: page %d of %d", place(column, row), t.columns, t.rows, at+1, len(pages))
		p.text(blank.Point{X: t.page.Width - pageMargin, Y: pageMargin + 4}, number, 4, 1, false, ink)
	}
	p.heading(blank.Point{X: left, Y: pageMargin + 4}, s.Title, 4.6, t.width-p.wide(number, 4, false)-4)
	p.ClipRect(left-beyondTile, top-beyondTile, t.width+2*beyondTile, t.height+2*beyondTile, false)
	paint(p, s.Moved(x, y), 3.4)
	p.joins(t, column, row, func(c, r int) bool { return slices.Contains(pages, [2]int{c, r}) })
	p.ClipEnd()
	foot := t.page.Height - pageMargin - pageFoot + 4
	checkBar(p, blank.Point{X: left, Y: foot + 1})
	beside := left + checkInches*mmAnInch + 6
	p.text(blank.Point{X: beside, Y: foot + 3.5}, "Print at 100 %, not fitted to the page,", 3, 0, false, ink)
	p.text(blank.Point{X: beside, Y: foot + 7.5}, "and measure the bars before you cut.", 3, 0, false, ink)
	if t.columns*t.rows > 1 {
		p.text(blank.Point{X: beside, Y: foot + 11.5}, "Join pages on the dashed lines, cross on cross.", 3, 0, false, ink)
	}
}

// heading writes a title no wider than there is room for: smaller, then cut short.
func (p pdf) heading(at blank.Point, title string, size, room float64) {
	for size > leastPrint+0.6 && p.wide(title, size, true) > room {
		size -= 0.2
	}
	if p.wide(title, size, true) > room {
		cut := []rune(title)
		for len(cut) > 1 && p.wide(string(cut)+"…", size, true) > room {
			cut = cut[:len(cut)-1]
		}
		title = strings.TrimRight(string(cut), " ,:") + "…"
	}
	p.text(at, title, size, 0, true, ink)
}

// whole puts a drawing on its one page, as large as the printer reaches, with heading and bars beside it where there
// is room, else in it where they meet the fewest lines.
func (p pdf) whole(s Sheet, t tiling) {
	p.AddPage()
	const wide, high = checkInches*mmAnInch + 4, 28
	d := s.Moved(pageMargin, pageMargin)
	right, below := pageMargin+s.Width+4, pageMargin+s.Height+2
	at := blank.Point{X: pageMargin, Y: below}
	switch {
	case below+high <= t.page.Height-pageMargin/2:
	case right+wide <= t.page.Width-pageMargin/2:
		at = blank.Point{X: right, Y: pageMargin}
	default:
		at = freest(d, pageMargin, wide, high)
	}
	paint(p, d, 3.4)
	p.heading(blank.Point{X: at.X + 2, Y: at.Y + 4.5}, s.Title, 4.2, wide-4)
	checkBar(p, blank.Point{X: at.X + 2, Y: at.Y + 7.5})
	p.text(blank.Point{X: at.X + 2, Y: at.Y + 20.5}, "Print at 100 %, not fitted to the page,", 3, 0, false, ink)
	p.text(blank.Point{X: at.X + 2, Y: at.Y + 24.5}, "and measure the bars before you cut.", 3, 0, false, ink)
}

// freest is the corner of a box of a size within a drawing at a margin, where it meets the fewest lines and labels.
func freest(d drawing.Drawing, margin, wide, high float64) (best blank.Point) {
	const step = 4
	least := math.MaxInt
	for y := margin + 2; y+high <= margin+d.Height-2 || y == margin+2; y += step {
		for x := margin + 2; x+wide <= margin+d.Width-2 || x == margin+2; x += step {
			if n := met(d, x, y, x+wide, y+high); n < least {
				least, best = n, blank.Point{X: x, Y: y}
			}
		}
	}
	return best
}

// met counts the lines and labels of a drawing that a box meets; a label weighs more, since it is read.
func met(d drawing.Drawing, x0, y0, x1, y1 float64) (n int) {
	for _, s := range d.Shapes {
		for i, a := range s.Corners {
			if i == len(s.Corners)-1 && !s.Closed {
				break
			}
			if crosses(a, s.Corners[(i+1)%len(s.Corners)], x0, y0, x1, y1) {
				n++
			}
		}
	}
	for _, l := range d.Labels {
		if half := min(l.Room, 40); l.At.X+half > x0 && l.At.X-half < x1 && l.At.Y+3 > y0 && l.At.Y-3 < y1 {
			n += 100
		}
	}
	return n
}

// lined reports whether a line of what is cut, scored or glued goes through a box.
func lined(d drawing.Drawing, x0, y0, x1, y1 float64) bool {
	return met(drawing.Drawing{Shapes: slices.DeleteFunc(slices.Clone(d.Shapes), func(s drawing.Shape) bool {
		return s.Kind == drawing.Mat || s.Kind == drawing.Sheet
	})}, x0, y0, x1, y1) > 0
}

// crosses reports whether a line goes through a box: what is left of it between the box's sides is more than none.
func crosses(a, b blank.Point, x0, y0, x1, y1 float64) bool {
	from, to := 0.0, 1.0
	for _, side := range [][3]float64{{a.X, b.X - a.X, x0}, {-a.X, a.X - b.X, -x1}, {a.Y, b.Y - a.Y, y0}, {-a.Y, a.Y - b.Y, -y1}} {
		at, along, bound := side[0], side[1], side[2]
		switch {
		case along == 0 && at < bound:
			return false
		case along > 0:
			from = max(from, (bound-at)/along)
		case along < 0:
			to = min(to, (bound-at)/along)
		}
	}
	return from < to
}

// place names a page of many: columns by letters, rows by numbers.
func place(column, row int) string { return string(rune('A'+column)) + strconv.Itoa(row+1) }

// joins paints the line in the middle of each strip that is shared with a page that there is, with two
// crosses on it.
func (p pdf) joins(t tiling, column, row int, there func(column, row int) bool) {
	left, top := float64(pageMargin), float64(pageMargin+pageHead)
	const half = tileOverlap / 2
	dash := []float64{2, 2}
	cross := func(x, y float64) {
		p.line(blank.Polygon{{X: x - 3, Y: y}, {X: x + 3, Y: y}}, false, ink, 0.2, nil)
		p.line(blank.Polygon{{X: x, Y: y - 3}, {X: x, Y: y + 3}}, false, ink, 0.2, nil)
	}
	for _, join := range []struct {
		at   float64
		here bool
	}{{left + half, there(column-1, row)}, {left + t.width - half, there(column+1, row)}} {
		if join.here {
			p.line(blank.Polygon{{X: join.at, Y: top}, {X: join.at, Y: top + t.height}}, false, soft, 0.15, dash)
			cross(join.at, top+t.height/4)
			cross(join.at, top+t.height*3/4)
		}
	}
	for _, join := range []struct {
		at   float64
		here bool
	}{{top + half, there(column, row-1)}, {top + t.height - half, there(column, row+1)}} {
		if join.here {
			p.line(blank.Polygon{{X: left, Y: join.at}, {X: left + t.width, Y: join.at}}, false, soft, 0.15, dash)
			cross(left+t.width/4, join.at)
			cross(left+t.width*3/4, join.at)
		}
	}
}

func (p pdf) area(corners blank.Polygon, fill colour) {
	p.SetFillColor(int(fill[0]), int(fill[1]), int(fill[2]))
	points := make([]fpdf.PointType, len(corners))
	for i, c := range corners {
		points[i] = fpdf.PointType{X: c.X, Y: c.Y}
	}
	p.Polygon(points, "F")
}

func (p pdf) line(corners blank.Polygon, closed bool, stroke colour, width float64, dash []float64) {
	p.SetDrawColor(int(stroke[0]), int(stroke[1]), int(stroke[2]))
	p.SetLineWidth(width)
	p.SetLineJoinStyle("miter")
	if dash == nil {
		dash = []float64{}
	}
	p.SetDashPattern(dash, 0)
	p.MoveTo(corners[0].X, corners[0].Y)
	for _, c := range corners[1:] {
		p.LineTo(c.X, c.Y)
	}
	if closed {
		p.ClosePath()
	}
	p.DrawPath("D")
}

// pointsAMM are the points of a font's size in a millimetre.
const pointsAMM = 72 / mmAnInch

func (p pdf) font(size float64, bold bool) {
	style := ""
	if bold {
		style = "B"
	}
	p.SetFont("text", style, size*pointsAMM)
}

func (p pdf) text(at blank.Point, text string, size, align float64, bold bool, fill colour) {
	x := at.X - align*p.wide(text, size, bold)
	p.SetTextColor(int(fill[0]), int(fill[1]), int(fill[2]))
	for _, r := range runs(text) {
		p.font(size*r.scale, bold)
		p.Text(x, at.Y-r.rise*size, r.text)
		x += p.GetStringWidth(r.text)
	}
}

func (p pdf) wide(text string, size float64, bold bool) (sum float64) {
	for _, r := range runs(text) {
		p.font(size*r.scale, bold)
		sum += p.GetStringWidth(r.text)
	}
	return sum
}

// write writes the file, asking the reader to print it as it is.
func (p pdf) write(w io.Writer) error {
	var out bytes.Buffer
	if err := p.Output(&out); err != nil {
		return err
	}
	_, err := w.Write(asItIs(out.Bytes()))
	return err
}

// asItIs adds to the catalog, the last object of the file, that nothing is to be scaled when it is
// printed; what stands behind it moves by as much.
func asItIs(file []byte) []byte {
	const wish = "/ViewerPreferences <</PrintScaling /None>>\n"
	at := bytes.LastIndex(file, []byte("/Type /Catalog\n"))
	start := bytes.LastIndex(file, []byte("startxref\n"))
	if at < 0 || start < at {
		return file
	}
	at += len("/Type /Catalog\n")
	number := file[start+len("startxref\n"):]
	end := bytes.IndexByte(number, '\n')
	table, err := strconv.Atoi(string(number[:max(0, end)]))
	if err != nil || table < at {
		return file
	}
	var out bytes.Buffer
	out.Write(file[:at])
	out.WriteString(wish)
	out.Write(file[at : start+len("startxref\n")])
	out.WriteString(strconv.Itoa(table + len(wish)))
	out.Write(number[end:])
	return out.Bytes()
}
