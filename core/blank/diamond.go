package blank

import (
	"math"
	"slices"

	"yellowparcel/core/measure"
	"yellowparcel/core/say"
)

var diamond = Construction{
	ID: DiamondID, OnPoint: true,
	Words: Words{
		Name:     "Diamond",
		Sentence: []say.Clause{say.Always("Cut [{sheet}] square.")},
		Drawing: []say.Clause{
			say.Always("A square of {sheet} {unit} standing on its point. Four creases mark a rectangle of {closed} in the middle. The card, {card}, lies on it. "),
			say.Always("Fold the side flaps first, then the bottom flap, then the closing flap. Glue the bottom flap to the sides. "),
			say.When("tips", "{Corners} and {tips} are cut away."),
			say.Unless("tips", "{Corners} are cut away."),
		},
		Overlap: []say.Clause{sealsOnSides, say.Unless("short", "over the bottom flap, at the centre")},
		Roles: map[Role]string{
			"sides near": "sides, near", "sides far": "sides, far", "sides each": "sides", "sides punch": "first punch",
			"ends near": "top & bottom, near", "ends far": "top & bottom, far", "ends each": "top & bottom", "ends punch": "second punch",
			"corners check": "other corners read",
			"sides scrap":   "scrap width", "ends scrap": "scrap height", "sides check": "sides stand out", "ends check": "top & bottom out",
			"both near": "near, both pairs", "both far": "far, both pairs", "both each": "all four", "top each": "top", "bottom each": "bottom", "both punch": "first punch, measured", "both scrap": "scrap, both ways", "both check": "all stand out",
		},
		First:    "Their points lie on one line when the scores are true.",
		Peeking:  "Corners of the side flaps that peek out at the bottom are folded in. At the throat cut them off, a hair on the flap's side of the crease.",
		Seal:     "To mail it, seal both edges.",
		Thick:    "so that the folds stand square: tick two creases",
		Flap:     "Closing flap",
		FlapNote: "0 for the usual",
	},
	Wishes: func(s Spec) []string {
		if s.School == ExactSeam {
			return []string{easeWish, seamWish, gapWish, flapWish}
		}
		return []string{easeWish, gapWish, flapWish}
	},
	Options: []string{"school", "low", opensOption, stockOption, adhesiveOption, shapeOption, tipsOption, cornerOption, doubleOption, linerOption, patternOption},
	Ways:    []WayKind{pairWay, cornerWay, centreWay, edgeWay, roundWay, notchWay},
	Make:    func(s Spec) (Made, bool) { return NewDiamond(s).Made(), true },
}

// School is a way of choosing the square for a diamond envelope.
type School string

// The schools of the diamond.
const (
	ExactSeam    School = "exact"    // S = (w + h)/√2 + seam
	DiagonalPlus School = "diagonal" // S = √(W² + H²) + 1 in or 25 mm, and 1 1/2 T
	NotchBoard   School = "notch"    // S = (w + h)/√2 + 2k, as the punch board fixes it
)

// Schools lists the schools of the diamond, the default first.
func Schools() []School { return []School{ExactSeam, DiagonalPlus, NotchBoard} }

// Diamond is an envelope folded from a square standing on its point.
type Diamond struct {
	Spec Spec
	// Exact is the side that the school's formula asks for; Sheet is that side
	// up to the next tick, the square to cut, or the chosen way's where the board
	// has grooves.
	Exact, Sheet measure.Length
	// Wider is what the creases are set apart beyond the wanted interior
	// because a folded crease eats paper (twice the caliper, when over 0.2 mm).
	Wider measure.Length
	// CreaseWidth and CreaseHeight are the wanted distances of the creases.
	CreaseWidth, CreaseHeight measure.Length
	// Ways are the ways of setting the scores.
	Ways []DiamondWay

	picked int     // the place of the chosen way
	half   float64 // of two creases in place of one, in nanometres; zero for one
}

// gainFrom is the crease gain that is made up by setting the creases wider;
// less than this comes off the ease.
const gainFrom = 200 * measure.Micrometre

// NewDiamond works out the diamond for a spec. Every length in the spec must
// be positive or zero, the card's sides and the tick positive.
func NewDiamond(s Spec) Diamond {
	d := Diamond{Spec: s, Wider: s.wider()}
	w, h := s.interior(0)
	d.CreaseWidth, d.CreaseHeight = w+d.Wider, h+d.Wider
	d.half = float64((s.Thickness / 2).Down(s.Style.Tick))
	if !s.Double || s.School == NotchBoard || 2*d.half >= float64(min(w, h))/2 {
		d.half = 0
	}
	d.Exact = measure.Round(d.exact())
	d.Sheet = d.Exact.Up(s.Style.Tick)
	if s.School == NotchBoard {
		d.Sheet = d.notchSheet()
		d.Ways = []DiamondWay{d.notched()}
		return d
	}
	list := ways
	if d.low() {
		list = lowWays
	}
	for _, set := range list {
		w := d.doubled(set(d))
		w.twins(d.CreaseWidth == d.CreaseHeight && d.shift() == 0)
		d.Ways = append(d.Ways, w)
	}
	d.picked = d.chosen()
	d.Sheet = d.Chosen().SheetWidth
	return d
}

func (d Diamond) exact() float64 {
	s := d.Spec
	sum := float64(d.CreaseWidth+d.CreaseHeight) / math.Sqrt2
	switch s.School {
	case DiagonalPlus:
		side := 0.0
		for _, t := range s.diagonalPlus() {
			side += float64(t.Length)
		}
		return side
	case NotchBoard:
		return sum + 2*float64(s.Board.NotchDepth)
	}
	return sum + float64(s.Seam)
}

// TermID names a term of a sum that a maker with a ruler knows.
type TermID string

// The terms of a square by the card's diagonal.
const (
	CardDiagonal TermID = "diagonal"
	AnInch       TermID = "inch" // or 25 mm
	ThickAndHalf TermID = "thickness"
)

// Terms lists them.
func Terms() []TermID { return []TermID{CardDiagonal, AnInch, ThickAndHalf} }

// Term is one term of a sum.
type Term struct {
	ID     TermID
	Length measure.Length
}

// diagonalPlus are the terms of a square by the card's diagonal: that, an inch or 25 mm,
// and half as much again as the card is thick, for which the habit leaves no room by
// itself.
func (s Spec) diagonalPlus() []Term {
	plus := measure.Inch
	if s.Style.Unit == measure.Millimetres {
		plus = 25 * measure.Millimetre
	}
	return []Term{
		{CardDiagonal, measure.Round(math.Hypot(float64(max(s.Width, s.LeastWidth)), float64(max(s.Height, s.LeastHeight))))},
		{AnInch, plus},
		{ThickAndHalf, measure.Round(1.5 * float64(s.Thickness))},
	}
}

// low reports whether the rectangle is moved until the bottom tip ends at the side points:
// where the card is no wider than half the diagonal, and the top flap still closes.
func (d Diamond) low() bool {
	diag, w, h := d.Diagonal(), float64(d.CreaseWidth), float64(d.CreaseHeight)
	return d.Spec.Low && d.Spec.School != NotchBoard && d.Spec.Board.Groove == 0 && w <= diag/2 && w+2*h <= 1.5*diag
}

// shift is by how much it is moved from the bottom corner, in nanometres: (h - D/2)/2, below
// nothing towards it.
func (d Diamond) shift() float64 {
	if !d.low() {
		return 0
	}
	return (float64(d.CreaseHeight) - d.Diagonal()/2) / 2
}

// Diagonal is the diagonal of the sheet, in nanometres unrounded.
func (d Diamond) Diagonal() float64 { return float64(d.Sheet) * math.Sqrt2 }

// chosen is the place of the way that the spec asks for, or of the safer one where it asks for none:
// which that is only the measures of every way tell.
func (d Diamond) chosen() int {
	round := slices.IndexFunc(d.Ways, func(w DiamondWay) bool { return w.ID == RoundWay })
	if asked := d.Spec.Way; asked == "" && d.Spec.NoBoard && round >= 0 {
		return round
	} else if asked != "" {
		return max(0, slices.IndexFunc(d.Ways, func(w DiamondWay) bool { return w.ID == asked }))
	}
	ways := make([]Way, len(d.Ways))
	for i, w := range d.Ways {
		ways[i] = w.given(d.Measure(w))
	}
	return pick(ways, d.Spec.Way, d.Spec.Adhesive)
}

// given is a way with the ease and the seams that it gives.
func (w DiamondWay) given(e Envelope) Way {
	w.EaseWidth, w.EaseHeight, w.Seam, w.Depth = e.EaseWidth, e.EaseHeight, e.Seam, e.Depth
	if w.far != (Loss{}) {
		w.Seams = []SeamOf{{e.Seam, w.SeamLoss}, {e.far, w.far}}
	}
	return w.Way
}

// Chosen returns the way that the spec asks for, or the safer one.
func (d Diamond) Chosen() DiamondWay { return d.Ways[d.picked] }

// Made is the diamond as its chosen way makes it, among the other constructions.
func (d Diamond) Made() Made {
	e := d.Measure(d.Chosen())
	m := Made{
		ID: DiamondID, SheetWidth: d.Sheet, SheetHeight: d.Sheet, Exact: d.Exact, Width: e.Width, Height: e.Height, Depth: e.Depth,
		EaseWidth: e.EaseWidth, EaseHeight: e.EaseHeight, Seam: e.Seam, SeamMax: e.SeamMax, Overlap: e.Overlap, Flap: e.TopFlap, Shortest: e.Shortest, Blunts: e.Blunts,
		Cuts: 4 + 8, Chosen: d.picked,
	}
	if d.Spec.School == DiagonalPlus {
		m.Terms = d.Spec.diagonalPlus()
	}
	for _, w := range d.Ways {
		given := e
		if w.ID != d.Chosen().ID && !d.Spec.SizeOnly {
			given = d.Measure(w)
		}
		m.Ways = append(m.Ways, w.given(given))
	}
	if d.Spec.SizeOnly {
		return m
	}
	m.Net = d.net(d.Chosen(), e)
	m.Folds = len(m.Net.Creases)
	if m.Seam < d.Spec.Adhesive {
		m.fault(SeamUnderAdhesive, m.Seam, d.Spec.Adhesive)
	}
	for _, b := range e.Blunts {
		if !b.Wished {
			m.Faults = append(m.Faults, Fault{Blunted, b.Full, b.To, b.Panel})
		}
	}
	if d.Spec.Low && !d.low() {
		m.fault(NotLow, d.CreaseWidth, measure.Round(d.Diagonal()/2))
	}
	if d.Spec.Double && d.Spec.Thickness > 0 && e.Depth == 0 {
		m.fault(SingleCrease, d.Spec.Thickness, 0)
	}
	return m.Finished(d.Spec)
}
