package format

import (
	_ "embed"
	"strings"

	"yellowparcel/core/blank"
	"yellowparcel/core/drawing"
)

// The font of the program, in two weights, so that prints and pictures need none of the machine's.
//
//go:embed fonts/figtree-text.ttf
var textFont []byte

//go:embed fonts/figtree-number.ttf
var numberFont []byte

// colour is red, green and blue, from 0 to 255.
type colour [3]uint8

// The inks: readable in black and white, too.
var (
	ink    = colour{30, 27, 24}
	soft   = colour{120, 112, 104}
	faint  = colour{224, 218, 208}
	crease = colour{160, 60, 30}
	wrong  = colour{190, 30, 30}
)

// surface is what is painted on, in millimetres.
type surface interface {
	area(p blank.Polygon, fill colour)
	line(p blank.Polygon, closed bool, stroke colour, width float64, dash []float64)
	// text writes on a base line; size is that of its font, align 0 at its left, 1 at its right.
	text(at blank.Point, text string, size, align float64, bold bool, fill colour)
	// wide is how wide a text is.
	wide(text string, size float64, bold bool) float64
}

// look is how a kind is painted: filled, or a line with its width and dashes in millimetres.
type look struct {
	filled bool
	colour colour
	width  float64
	dash   []float64
}

// looks differ in their dashes as well as in their colour.
var looks = map[drawing.Kind]look{
	drawing.Mat:   {colour: soft, width: 0.3},
	drawing.Sheet: {colour: soft, width: 0.2, dash: []float64{0.3, 1.5}},
	drawing.Cut:   {colour: ink, width: 0.35},
	drawing.Glue:  {filled: true, colour: faint},
	drawing.Liner: {colour: soft, width: 0.25, dash: []float64{1, 1, 3, 1}},
	drawing.Card:  {colour: soft, width: 0.2},
	drawing.Hole:  {colour: wrong, width: 0.35, dash: []float64{0.6, 0.9}},
	drawing.Score: {colour: crease, width: 0.4, dash: []float64{3.5, 1.8}},
}

// insideDash is that of a score on the side that is down.
var insideDash = []float64{1, 1.6}

// paint paints a drawing with what of its labels there is room for.
func paint(on surface, d drawing.Drawing, textSize float64) {
	// What is glued lies under all lines.
	for _, filled := range []bool{true, false} {
		for _, s := range d.Shapes {
			l, known := looks[s.Kind]
			if !known || l.filled != filled {
				continue
			}
			if filled {
				on.area(s.Corners, l.colour)
				continue
			}
			if s.Inside {
				l.dash = insideDash
			}
			on.line(s.Corners, s.Closed, l.colour, l.width, l.dash)
		}
	}
	for _, l := range d.Labels {
		// A name stands between the lines above and below it.
		textSize := textSize
		if l.High > 0 {
			textSize = min(textSize, l.High*textInRoom)
		}
		if on.wide(l.Text, textSize, false) < 2*l.Room {
			on.text(blank.Point{X: l.At.X, Y: l.At.Y + textSize/3}, l.Text, textSize, 0.5, false, ink)
		}
	}
}

// textInRoom is how large type is in the room that it has above and below its middle: fractions stand higher and
// lower than the rest.
const textInRoom = 1.55

// run is a piece of text of one size: a fraction is written small, its upper number raised.
type run struct {
	text        string
	scale, rise float64 // of the size
}

// fractionSlash parts the two numbers of a fraction.
const fractionSlash = "⁄"

// How a fraction is written.
const (
	fractionScale = 0.62
	fractionRise  = 0.32
)

// runs divides a text at its fractions.
func runs(text string) (list []run) {
	isDigit := func(r rune) bool { return r >= '0' && r <= '9' }
	for text != "" {
		before, after, found := strings.Cut(text, fractionSlash)
		if !found {
			return append(list, run{text, 1, 0})
		}
		upper := before[len(strings.TrimRightFunc(before, isDigit)):]
		rest := strings.TrimLeftFunc(after, isDigit)
		lower := after[:len(after)-len(rest)]
		if plain := strings.TrimSuffix(before, upper); plain != "" {
			// A whole number stands close to its fraction.
			number := strings.TrimSuffix(plain, " ")
			if number == plain || number == "" || !isDigit(rune(number[len(number)-1])) {
				list = append(list, run{plain, 1, 0})
			} else {
				list = append(list, run{number, 1, 0}, run{" ", fractionScale / 2, 0})
			}
		}
		list = append(list, run{upper, fractionScale, fractionRise}, run{fractionSlash, 1, 0}, run{lower, fractionScale, 0})
		text = rest
	}
	return list
}

// checkBar paints the two lines by which one sees with a ruler whether a print came out at its
// true size, their left ends at a point.
func checkBar(on surface, at blank.Point) {
	bar := func(down, long float64, name string) {
		y := at.Y + down
		on.line(blank.Polygon{{X: at.X, Y: y}, {X: at.X + long, Y: y}}, false, ink, 0.25, nil)
		for _, x := range []float64{at.X, at.X + long} {
			on.line(blank.Polygon{{X: x, Y: y - 1.5}, {X: x, Y: y + 1.5}}, false, ink, 0.25, nil)
		}
		on.text(blank.Point{X: at.X + 1.5, Y: y - 0.8}, name, 2.8, 0, false, ink)
	}
	bar(2.5, checkMM, "100 mm")
	bar(7.5, checkInches*mmAnInch, "4 in")
}

// FontFiles are the fonts of prints and pictures.
func FontFiles() [][]byte { return [][]byte{textFont, numberFont} }
