package format

import (
	"io"

	"yellowparcel/core/drawing"
	"yellowparcel/core/measure"
)

// Format is an open format in which a drawing or a list is written. Whoever adds one writes such
// a value in a file of its own and names it in the list below.
type Format struct {
	ID   string // also how its files end
	Name string
	// For says what it is good for.
	For string
	// Kind is its media type.
	Kind string
	// Draw writes a drawing at its true size, List a list, Print what is read; nil for what it cannot
	// hold.
	Draw  func(io.Writer, Sheet, Settings) error
	List  func(io.Writer, drawing.List) error
	Print func(io.Writer, drawing.Print, Settings) error
}

// formats are all that are written.
var formats = []Format{pdfFormat, svgFormat, dxfFormat, pngFormat, csvFormat}

// Formats lists them.
func Formats() []Format { return formats }

// ByID finds a format.
func ByID(id string) (Format, bool) {
	for _, f := range formats {
		if f.ID == id {
			return f, true
		}
	}
	return Format{}, false
}

// Sheet is a drawing with what is written beside it.
type Sheet struct {
	drawing.Drawing
	// Title heads it, Words describe it.
	Title, Words string
}

// Settings are how it is written; the same settings give the same bytes.
type Settings struct {
	Unit measure.Unit
	// PerInch is how many units of an SVG's own go on an inch: 96 or 72 for programs that go by
	// them, 25.4 for millimetres.
	PerInch float64
	Scoring drawing.Scoring
	Page    Page
}

// Page is a size of paper in a printer, in millimetres, upright.
type Page struct {
	ID, Name      string
	Width, Height float64
}

// The pages that a printer holds.
var (
	Letter = Page{"letter", "Letter, 8 1⁄2 × 11 in", 215.9, 279.4}
	A4     = Page{"a4", "A4, 210 × 297 mm", 210, 297}
)

// PageByID finds a page; letter where nobody says.
func PageByID(id string) Page {
	if id == A4.ID {
		return A4
	}
	return Letter
}

// checkInches and checkMM are how long the lines are by which one sees whether the scale was kept.
const (
	checkInches = 4
	checkMM     = 100
	mmAnInch    = 25.4
)
