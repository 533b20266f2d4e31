package job

import (
	"yellowparcel/core/field"
	"yellowparcel/core/measure"
)

// Cutter is an electronic cutter as far as the files for it go by it.
type Cutter struct {
	// Units are those of an SVG's own, Scores how it makes the fold lines; what most take
	// where they are empty.
	Units  FileUnits  `json:"units,omitempty" maxLength:"10"`
	Scores ScoreLines `json:"scores,omitempty" maxLength:"10"`
	// Cuts is what goes by it.
	Cuts CutterUse `json:"cuts,omitempty" maxLength:"10"`
	// Dash, Gap and Inset are those of perforated scores; zero for what most take.
	Dash  measure.Length `json:"dash,omitempty"`
	Gap   measure.Length `json:"gap,omitempty"`
	Inset measure.Length `json:"inset,omitempty"`
}

// FileUnits are how many units of a drawing's own go on an inch, for programs that take no others.
type FileUnits string

// The units.
const (
	InMillimetres FileUnits = "mm"
	In96          FileUnits = "96"
	In72          FileUnits = "72"
)

// PerInch are the units on an inch.
func (u FileUnits) PerInch() float64 {
	switch u {
	case In96:
		return 96
	case In72:
		return 72
	}
	return measure.Inch.Millimetres()
}

// ScoreLines are how a cutter makes fold lines.
type ScoreLines string

// How it makes them.
const (
	SolidScores  ScoreLines = "solid"
	DashedScores ScoreLines = "dashed"
	SlitScores   ScoreLines = "slits"
)

// CutterUse is what goes by a cutter: of papers that give more than rectangles everything, or all papers.
type CutterUse string

// The uses.
const (
	CutsShapes CutterUse = "shapes"
	CutsAll    CutterUse = "all"
)

// Perforates is set where its fold lines go through the paper, and so serve on both sides.
func (c Cutter) Perforates() bool { return c.Scores == DashedScores || c.Scores == SlitScores }

// What most take of a perforated score.
const (
	usualDash  = 3 * measure.Millimetre
	usualGap   = 2 * measure.Millimetre
	usualInset = 3 * measure.Millimetre
)

// Perforation are the dash, the gap and the inset of perforated scores.
func (c Cutter) Perforation() (dash, gap, inset measure.Length) {
	or := func(l, usual measure.Length) measure.Length {
		if l == 0 {
			return usual
		}
		return l
	}
	return or(c.Dash, usualDash), or(c.Gap, usualGap), or(c.Inset, usualInset)
}

// mostPerforated is the longest dash, gap or inset.
const mostPerforated = measure.Inch

// cutter cuts and scores from a file.
var cutter = Tool{ID: CutterTool, Name: "Electronic cutter", Fields: func(t *Tools) []field.Field {
	perforated := func(path, label, note string, at *measure.Length, usual measure.Length) field.Field {
		return field.Field{
			Path: "tools.cutter." + path, Label: label, Note: note,
			Value: &field.Length{At: at, Least: measure.Millimetre / 4, Most: mostPerforated, Empty: true, Or: usual, Told: "A perforated score takes from 1/4 mm to 1 in: try it on a scrap."},
		}
	}
	return []field.Field{
		have(t, CutterTool),
		{Path: "tools.cutter.units", Label: "Units of its files", Note: "what your cutter's program reads at the right size: check with the 4 in line in the file", Value: &field.One[FileUnits]{At: &t.Cutter.Units, List: field.ListOf("fileUnits", []FileUnits{InMillimetres, In96, In72}), Or: InMillimetres}},
		{Path: "tools.cutter.cuts", Label: "Cut with it", Value: &field.One[CutterUse]{At: &t.Cutter.Cuts, List: field.ListOf("cutterUses", []CutterUse{CutsShapes, CutsAll}), Or: CutsShapes}},
		{Path: "tools.cutter.scores", Label: "Fold lines", Value: &field.One[ScoreLines]{At: &t.Cutter.Scores, List: field.ListOf("scoreLines", []ScoreLines{SolidScores, DashedScores, SlitScores}), Or: SolidScores}},
		perforated("dash", "Dash", "of a perforated fold line", &t.Cutter.Dash, usualDash),
		perforated("gap", "Gap", "between two dashes", &t.Cutter.Gap, usualGap),
		perforated("inset", "Inset", "how far from the edge a perforated line begins, so that it does not tear", &t.Cutter.Inset, usualInset),
	}
}}
