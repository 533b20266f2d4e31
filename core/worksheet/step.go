// Package worksheet writes what is done at the bench, step by step, for the tools that the maker
// has and no others: cut, score, punch, slit, snip, fold, try, glue, dry, decorate, address, fill,
// seal. Each step is facts: the tool, its setting, which edge lies where, which side is up, what
// stays and what falls off; words.go says them.
//
// Lengths are measure.Length. A piece lies as its drawing has it, with its sheet level: its edges
// are left, right, top and bottom, whatever way it is turned on the tool. A sheet that is drawn on
// its point lies with that point in the top left corner. It carries out "At the bench" of
// docs/sums.md:
//
//	sheet := worksheet.Write(plan.TableOf(j, shop))
//
// That a hand which does what the steps show, and nothing more, ends with the right pieces is
// proved by the simulated bench in core/worksheet/bench, which shares no code with this package.
package worksheet

import (
	"yellowparcel/core/blank"
	"yellowparcel/core/card"
	"yellowparcel/core/measure"
)

// Act is what is done in a step.
type Act string

// The acts, in the order in which they may first come.
const (
	Before   Act = "before"   // what is looked at before the first cut
	Take     Act = "take"     // a sheet, or a bought envelope, comes onto the bench
	Cut      Act = "cut"      // from edge to edge, along a fence or a ruler
	CutOut   Act = "cutout"   // inside a piece: a window, a slot
	Score    Act = "score"    // a fold line
	Punch    Act = "punch"    // a notch and its fold line
	Slit     Act = "slit"     // a cut that takes nothing away
	Snip     Act = "snip"     // corners off
	Machine  Act = "machine"  // what a cutter scores and cuts on its mat
	Trace    Act = "trace"    // what a printed template shows
	Fold     Act = "fold"     // along scores
	Halve    Act = "halve"    // in the middle, edge on edge, without a score
	Emboss   Act = "emboss"   // a pattern pressed in
	Corners  Act = "corners"  // made round
	Round    Act = "round"    // round the card, without a score
	Try      Act = "try"      // before anything is glued
	Glue     Act = "glue"     // one piece on another
	Dry      Act = "dry"      // hold until it is dry
	Clean    Act = "clean"    // what spread
	Decorate Act = "decorate" // things on the face
	Address  Act = "address"
	Fill     Act = "fill" // the card goes in
	Seal     Act = "seal"
)

// Acts lists them.
func Acts() []Act {
	return []Act{Before, Take, Cut, CutOut, Score, Punch, Slit, Snip, Machine, Trace, Emboss, Fold, Halve, Round, Try, Glue, Dry, Clean, Decorate, Corners, Address, Fill, Seal}
}

// Edge is an edge of a piece as it is drawn, whatever way it is turned on the tool.
type Edge string

// The edges.
const (
	Left   Edge = "left"
	Right  Edge = "right"
	Top    Edge = "top"
	Bottom Edge = "bottom"
)

// Corner is a corner of a piece as it is drawn.
type Corner string

// The corners.
const (
	TopLeft     Corner = "top left"
	TopRight    Corner = "top right"
	BottomRight Corner = "bottom right"
	BottomLeft  Corner = "bottom left"
)

// Side is a side of a piece: the one that its drawing shows, or the other.
type Side string

// The sides.
const (
	Shown Side = "shown"
	Under Side = "under"
)

// Mark is a place on a piece: so far along an edge from its left or top end, where two scores
// cross, so far on from there along the first of them and outwards, where a score meets an edge,
// so far in from there along the score, or a corner.
type Mark struct {
	Edge   Edge           `json:"edge,omitempty"`
	Along  measure.Length `json:"along,omitempty"`
	Scores [2]int         `json:"scores,omitempty"` // numbers of scores; one of them with an edge
	Corner Corner         `json:"corner,omitempty"`
	// In is how far into the piece from the left and the top edge, for what is no mark on an edge.
	In *[2]measure.Length `json:"in,omitempty"`
}

// Step is one step. What of its fields is empty says nothing.
type Step struct {
	Act  Act
	Tool blank.ToolID
	// Piece is what it is done to, Count how many of it.
	Piece string
	Count int
	// Fence is the edge against the fence, Corner the corner in the corner plate; At is the
	// setting: the distance to the blade, or the reading of the score.
	Fence  Edge
	Corner Corner
	At     measure.Length
	// Middle is set where At is measured from the middle of the sheet towards the corner.
	Middle bool
	// From and To are where a line begins and ends, from the top or the left; none where it goes
	// from edge to edge.
	From, To measure.Length
	// Between are the numbers of the scores that it begins and ends at; nought for an edge.
	Between [2]int
	// Up is the side that is up.
	Up Side
	// Number is that of the score which the step makes.
	Number int
	// Lines are what is cut between marks: one line or one corner each.
	Lines [][]Mark
	// Keep is what lies against the fence then, Off the rest; empty for what falls away. A piece
	// that lies turned by a quarter is told.
	Keep, Off             string
	KeepTurned, OffTurned bool
	// Template is the piece whose print is laid on.
	Template string
	// On is where the sheet's top left corner lies on the mat, from its left and top edge; nil where the two
	// corners meet; Beside where those of the sheets do that lie there with it, edge on edge. Out are the
	// pieces that come off each mat.
	On     *[2]measure.Length
	Beside [][2]measure.Length
	Out    []Out
	// Size is that of a sheet that is taken, or of the scrap that is folded round.
	Size card.Size
	// Folds are the numbers of the scores that are folded; nought stands for all that a template or a
	// cutter made.
	Folds []int
	Onto  string
	// Foam is how thick the foam is that it stands on.
	Foam measure.Length
	// Seams are what is stuck together of an envelope, Flaps the flaps that close it then.
	Seams []Seam
	Flaps []string
	// Stuck is set where those flaps themselves are stuck down.
	Stuck bool
	// With is what it is stuck or closed with: the ID of an adhesive, or of a closure.
	With string
	// Minutes are how long it is held.
	Minutes int
	// Why is why the usual way does not serve.
	Why Why
}

// Seam is what is stuck onto what of an envelope, by the IDs of its panels.
type Seam struct{ Panel, Onto string }

// Why is why a step is not done the usual way.
type Why string

// The reasons.
const (
	Usual       Why = ""
	LongCut     Why = "long"   // the cut is longer than the trimmer's
	BeyondRuler Why = "ruler"  // the guide does not stand so far out
	BeyondReach Why = "reach"  // the board does not reach
	NoGroove    Why = "groove" // no groove lies there
	NoTool      Why = "tool"   // there is none
	NoTick      Why = "tick"   // no tool can be set to it
	InsideSheet Why = "inside" // the blade cannot begin inside
	TooWide     Why = "wide"   // it does not go through the machine
	OtherRadius Why = "radius" // the rounder makes another one
	NoSheet     Why = "sheet"  // no sheet on the shelf gives it
)

// Whys lists them.
func Whys() []Why {
	return []Why{LongCut, BeyondRuler, BeyondReach, NoGroove, NoTool, NoTick, InsideSheet, TooWide, OtherRadius, NoSheet}
}

// Worksheet is everything that is done, in order.
type Worksheet struct {
	Steps []Step
	// Missing are pieces that no sheet on the shelf gives: they are brought, cut to size.
	Missing []string
}
