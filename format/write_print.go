package format

import (
	"io"
	"strings"

	"yellowparcel/core/blank"
	"yellowparcel/core/drawing"
)

// printPDF prints what is read at the table. A print that has to go on one page is set smaller
// until it does, down to what can be read.
func printPDF(w io.Writer, p drawing.Print, set Settings) error {
	page := set.Page
	if p.Wide {
		page.Width, page.Height = page.Height, page.Width
	}
	largest, rows := usualPrint, 0
	for _, b := range p.Blocks {
		rows += len(b.Table)
	}
	if p.Fill {
		largest = mostPrint
	}
	lay := func(size, apart float64) *setter {
		s := &setter{pdf: newPDF(p.Title, page), page: page, size: size, apart: apart, fill: p.Fill, title: p.Title}
		s.newPage()
		for _, b := range p.Blocks {
			s.block(b)
		}
		return s
	}
	for size := largest; ; size -= 0.2 {
		s := lay(size, 0)
		if fits := s.pages == 1 && (size <= usualPrint || !s.shrunk); p.OnePage && !fits && size > leastPrint {
			continue
		}
		if free := page.Height - pageMargin - s.y; p.Fill && s.pages == 1 && rows > 0 && free > 0 {
			s = lay(size, min(free/float64(rows), mostApart*size)*0.98)
		}
		return s.write(w)
	}
}

// How large print is, in millimetres: as it is read at the table, and as it is at most where it fills a page;
// mostApart is how far apart rows stand then, in sizes of it.
const (
	usualPrint = 4.0
	mostPrint  = 10.0
	mostApart  = 2
)

// leastPrint is the smallest type that is printed, in millimetres.
const leastPrint = 2.2

// setter sets blocks on pages.
type setter struct {
	pdf
	page  Page
	size  float64 // of the text
	y     float64 // where the next line begins
	pages int
	title string
	// apart is what the rows of tables stand further apart; shrunk is set where a table was set smaller.
	apart        float64
	shrunk, fill bool
	// beside is what a picture at the right takes of the width.
	beside float64
}

func (s *setter) newPage() {
	s.AddPage()
	s.pages++
	s.y = pageMargin + s.size*1.8
	s.heading(blank.Point{X: pageMargin, Y: s.y}, s.title, s.size*1.5, s.width())
	s.y += s.size
}

func (s *setter) width() float64 { return s.page.Width - 2*pageMargin - s.beside }

// room begins a new page where less than so much is left.
func (s *setter) room(high float64) {
	if s.y+high > s.page.Height-pageMargin {
		s.newPage()
	}
}

// high is about how much a block takes.
func (s *setter) high(b drawing.Block) float64 {
	lines := len(b.Lines)
	for _, l := range append([]string{b.Text}, b.Lines...) {
		lines += len(s.wrapped(l, s.width(), s.size)) - 1
	}
	high := float64(lines+1) * s.size * 1.4
	if b.Head != "" {
		high += 2 * s.size
	}
	if b.Large != "" {
		high += 4 * s.size
	}
	switch len(b.Pictures) {
	case 0:
		return high
	case 1:
		return max(high, s.pictureHigh()+2*s.size)
	}
	return high + s.pictureHigh()
}

func (s *setter) pictureHigh() float64 { return 13 * s.size }

func (s *setter) block(b drawing.Block) {
	alone := len(b.Pictures) == 1 // it stands at the right
	if alone {
		s.beside = pictureWide
	}
	if b.Keep || alone {
		s.room(min(s.high(b), s.page.Height-4*pageMargin))
	}
	s.y += s.size * 0.8
	top := s.y
	if b.Head != "" {
		s.room(4 * s.size)
		s.y += s.size * 1.2
		s.text(blank.Point{X: pageMargin, Y: s.y}, b.Head, s.size*1.15, 0, true, ink)
		s.y += s.size * 0.4
	}
	if b.Large != "" {
		s.room(4 * s.size)
		s.y += s.size * 3
		s.text(blank.Point{X: pageMargin, Y: s.y}, b.Large, s.size*3, 0, true, ink)
		s.y += s.size * 0.4
	}
	if b.Text != "" {
		s.paragraph(b.Text, 0)
	}
	for _, l := range b.Lines {
		s.paragraph(l, s.size)
	}
	s.table(b.Table)
	if s.beside = 0; alone {
		below := s.y
		s.y = top
		s.picture(b.Pictures[0], s.page.Width-pageMargin-pictureWide+4, pictureWide-4)
		s.y = max(below, top+s.pictureHigh())
	} else {
		s.pictures(b.Pictures)
	}
	for range b.Rules {
		s.room(2 * s.size)
		s.y += s.size * 2
		s.line(blank.Polygon{{X: pageMargin, Y: s.y}, {X: pageMargin + s.width(), Y: s.y}}, false, soft, 0.15, nil)
	}
}

// paragraph sets a text in lines; a list item has a dash before it.
func (s *setter) paragraph(text string, in float64) {
	for i, l := range s.wrapped(text, s.width()-in, s.size) {
		s.room(s.size * 1.4)
		s.y += s.size * 1.4
		if in > 0 && i == 0 {
			s.text(blank.Point{X: pageMargin, Y: s.y}, "–", s.size, 0, false, soft)
		}
		s.text(blank.Point{X: pageMargin + in, Y: s.y}, l, s.size, 0, false, ink)
	}
}

// wrapped parts a text into lines of a width.
func (s *setter) wrapped(text string, width, size float64) (lines []string) {
	line := ""
	for _, word := range strings.Fields(text) {
		longer := strings.TrimSpace(line + " " + word)
		if line != "" && s.wide(longer, size, false) > width {
			lines, longer = append(lines, line), word
		}
		line = longer
	}
	return append(lines, line)
}

// table sets rows with columns as wide as what is in them.
func (s *setter) table(rows [][]string) {
	if len(rows) == 0 {
		return
	}
	gap := 3.0
	// Smaller where the columns are wider than the page, down to half.
	size := s.size
	var columns []float64
	for ; size > s.size/2; size -= 0.1 {
		s.shrunk = s.shrunk || size < s.size
		columns = make([]float64, len(rows[0]))
		sum := 0.0
		for c := range columns {
			for i, row := range rows {
				if c < len(row) {
					columns[c] = max(columns[c], s.wide(row[c], size, i == 0))
				}
			}
			sum += columns[c] + gap
		}
		if free := s.width() - sum; free >= 0 {
			if s.fill {
				gap += free / float64(len(columns))
			}
			break
		}
	}
	for i, row := range rows {
		s.room(size*1.6 + s.apart)
		s.y += size*1.6 + s.apart
		x := float64(pageMargin)
		for c, cell := range row {
			s.text(blank.Point{X: x, Y: s.y}, cell, size, 0, i == 0, ink)
			if c < len(columns) {
				x += columns[c] + gap
			}
		}
		s.line(blank.Polygon{{X: pageMargin, Y: s.y + size*0.4 + s.apart/2}, {X: pageMargin + s.width(), Y: s.y + size*0.4 + s.apart/2}}, false, faint, 0.2, nil)
	}
}

// pictures sets drawings beside each other, each as large as its share of the width lets it be.
func (s *setter) pictures(list []drawing.Picture) {
	if len(list) == 0 {
		return
	}
	high := s.pictureHigh()
	s.room(high)
	share := s.width() / float64(len(list))
	for i, p := range list {
		s.picture(p, pageMargin+float64(i)*share, share-4)
	}
	s.y += high
}

// pictureWide is what a picture at the right takes, in millimetres.
const pictureWide = 62

// picture sets one drawing below where the text is, at a place across, with its name and its size.
func (s *setter) picture(p drawing.Picture, x, wide float64) {
	if p.Width <= 0 || p.Height <= 0 {
		return
	}
	scale := min(wide/p.Width, (s.pictureHigh()-5*s.size)/p.Height, 1)
	y := s.y + s.size*1.6
	if p.Name != "" {
		s.heading(blank.Point{X: x, Y: y}, p.Name, s.size, wide)
	}
	paint(s, p.Scaled(scale).Moved(x, y+s.size*0.8), s.size*0.8)
	y += p.Height*scale + s.size*0.8
	for _, l := range s.wrapped(p.Size, wide, s.size) {
		y += s.size * 1.25
		s.text(blank.Point{X: x, Y: y}, l, s.size, 0, false, ink)
	}
}
