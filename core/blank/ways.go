package blank

import (
	"math"

	"yellowparcel/core/measure"
)

// WayID names a way of setting the score lines of a diamond.
type WayID string

// The ways of setting score lines.
const (
	PairWay   WayID = "pair"    // both of a pair from the same corner
	CornerWay WayID = "corners" // each from its own corner
	CentreWay WayID = "centre"  // from the centre of the sheet
	EdgeWay   WayID = "edges"   // marks on the sheet's edges, joined with a ruler
	NotchWay  WayID = "notch"   // the punch board's own stops
)

// WayIDs lists every way.
func WayIDs() []WayID { return []WayID{PairWay, CornerWay, CentreWay, EdgeWay, NotchWay} }

// Setting is one thing to set or mark.
type Setting struct {
	// Lines names the scores it makes: "sides" (left and right) or "ends" (top
	// and bottom).
	Lines string
	// Mark says which of several: "near", "far", "each", "check".
	Mark string
	// At is the reading to set, a whole number of ticks; Exact what the sums
	// ask for before rounding.
	At, Exact measure.Length
	// Beside is how far to either side two creases lie in place of one.
	Beside measure.Length
}

// Way is one way of setting the scores, with what it costs when cuts and
// scores are off.
type Way struct {
	ID       WayID
	Settings []Setting
	// Ease and Seam say what an error of t on every cut and score takes off.
	Ease, Seam Loss

	flaps Flaps
	half  float64 // half the distance of two creases, in nanometres
}

// Loss is what errors take off in the worst case and as root-sum-square.
type Loss struct{ Worst, RSS measure.Length }

// loss scales the two coefficients of docs/sums.md, "Tolerance", by an error t
// of half a tick.
func (d Diamond) loss(worst, rss float64) Loss {
	t := float64(d.Spec.Style.Tick) / 2
	return Loss{measure.Round(worst * t), measure.Round(rss * t)}
}

// easeLoss is loss with the card's own cut added, which also takes off ease.
func (d Diamond) easeLoss(worst, rss float64) Loss { return d.loss(worst+1, math.Hypot(rss, 1)) }

var ways = []func(Diamond) Way{pair, corners, centre, edges}

// doubled sets two creases in place of each. Marks on the edges lie √2 times as
// far apart as the creases, so there the distance of the creases is what a tick
// on the edge makes of it.
func (d Diamond) doubled(w Way) Way {
	if d.half == 0 {
		return w
	}
	beside := measure.Round(d.half)
	w.half = d.half
	if w.ID == EdgeWay {
		beside = measure.Round(d.half * math.Sqrt2).Down(d.Spec.Style.Tick)
		w.half = float64(beside) / math.Sqrt2
	}
	for i := range w.Settings {
		if w.Settings[i].Mark != "check" {
			w.Settings[i].Beside = beside
		}
	}
	return w
}

// pair sets both lines of a pair from the same corner: one set-up a pair, and
// an ease that is free of the guide's error. The two readings are whole ticks
// whose difference is the crease distance rounded up, centred as well as ticks
// allow.
func pair(d Diamond) Way {
	w := Way{ID: PairWay, Ease: d.easeLoss(2, math.Sqrt2), Seam: d.loss(3+2*math.Sqrt2, 3)}
	tick, at, diag := d.Spec.Style.Tick, d.Spec.Board.CornerAt, d.Diagonal()
	set := func(lines string, crease measure.Length) (near, far float64) {
		apart := crease.Up(tick)
		n := measure.Round((diag-float64(apart))/2 + float64(at)).Near(tick)
		exact := (diag - float64(crease)) / 2
		w.Settings = append(w.Settings,
			Setting{lines, "near", n, measure.Round(exact) + at, 0},
			Setting{lines, "far", n + apart, measure.Round(diag-exact) + at, 0})
		return float64(n - at), diag - float64(n+apart-at)
	}
	w.flaps.Left, w.flaps.Right = set("sides", d.CreaseWidth)
	w.flaps.Bottom, w.flaps.Top = set("ends", d.CreaseHeight)
	half := measure.Round(diag/2) + at
	w.Settings = append(w.Settings, Setting{"corners", "check", half.Near(tick), half, 0})
	return w
}

// corners sets each line from its own corner, turning the sheet between.
func corners(d Diamond) Way {
	w := Way{ID: CornerWay, Ease: d.easeLoss(2+math.Sqrt2, math.Sqrt(3)), Seam: d.loss(1+2*math.Sqrt2, math.Sqrt(5))}
	tick, at := d.Spec.Style.Tick, d.Spec.Board.CornerAt
	set := func(lines string, crease measure.Length) float64 {
		exact := measure.Round((d.Diagonal()-float64(crease))/2) + at
		s := Setting{lines, "each", exact.Down(tick), exact, 0}
		w.Settings = append(w.Settings, s)
		return float64(s.At - at)
	}
	w.flaps.Left = set("sides", d.CreaseWidth)
	w.flaps.Bottom = set("ends", d.CreaseHeight)
	w.flaps.Right, w.flaps.Top = w.flaps.Left, w.flaps.Bottom
	return w
}

// centre sets the lines either side of a cross drawn through the centre.
func centre(d Diamond) Way {
	w := Way{ID: CentreWay, Ease: d.easeLoss(2, math.Sqrt2), Seam: d.loss(1+2*math.Sqrt2, math.Sqrt(5))}
	set := func(lines string, crease measure.Length) float64 {
		s := Setting{lines, "each", measure.Round(float64(crease) / 2).Up(d.Spec.Style.Tick), measure.Round(float64(crease) / 2), 0}
		w.Settings = append(w.Settings, s)
		return d.Diagonal()/2 - float64(s.At)
	}
	w.flaps.Left = set("sides", d.CreaseWidth)
	w.flaps.Bottom = set("ends", d.CreaseHeight)
	w.flaps.Right, w.flaps.Top = w.flaps.Left, w.flaps.Bottom
	return w
}

// edges marks the sheet's edges from each corner and joins the marks with a
// ruler; it needs no guide, and serves when the sheet is larger than the board.
func edges(d Diamond) Way {
	w := Way{ID: EdgeWay, Ease: d.easeLoss(2*math.Sqrt2, math.Sqrt(1.5)), Seam: d.loss(3, math.Sqrt(3))}
	set := func(lines string, crease measure.Length) float64 {
		exact := measure.Round((d.Diagonal() - float64(crease)) / math.Sqrt2)
		s := Setting{lines, "each", exact.Down(d.Spec.Style.Tick), exact, 0}
		w.Settings = append(w.Settings, s)
		return float64(s.At) / math.Sqrt2
	}
	w.flaps.Left = set("sides", d.CreaseWidth)
	w.flaps.Bottom = set("ends", d.CreaseHeight)
	w.flaps.Right, w.flaps.Top = w.flaps.Left, w.flaps.Bottom
	return w
}

// stops returns the lowest and highest place of the punch, from a side corner,
// at which neither crease distance falls short on a sheet of the given side.
func (d Diamond) stops(sheet measure.Length) (low, high float64) {
	k := float64(d.Spec.Board.NotchDepth)
	return k + float64(d.CreaseHeight)/math.Sqrt2, float64(sheet) - k - float64(d.CreaseWidth)/math.Sqrt2
}

// notchSheet is the smallest sheet at the tick on which the punch can be set
// at a tick.
func (d Diamond) notchSheet() measure.Length {
	tick := d.Spec.Style.Tick
	sheet := d.Exact.Up(tick)
	for {
		low, high := d.stops(sheet)
		if float64(measure.Length(math.Ceil(low)).Up(tick)) <= high {
			return sheet
		}
		sheet += tick
	}
}

// notched sets the punch board: it notches in the middle of the gap between
// the two marks of an edge, so the seam is twice its depth whatever the card.
// Its error repeats on every edge, so the punch is measured twice; the seam
// knows only the error of the depth.
func (d Diamond) notched() Way {
	w := Way{ID: NotchWay, Ease: d.easeLoss(3*math.Sqrt2, math.Sqrt(5)), Seam: d.loss(2, 2)}
	tick, k := d.Spec.Style.Tick, float64(d.Spec.Board.NotchDepth)
	low, high := d.stops(d.Sheet)
	at := measure.Length(math.Ceil(low)).Up(tick)
	if mid := measure.Round((low + high) / 2).Near(tick); float64(mid) >= low && float64(mid) <= high {
		at = mid
	}
	other := d.Sheet - at
	w.Settings = []Setting{
		{"sides", "punch", at, measure.Round((low + high) / 2), 0},
		{"ends", "punch", other, d.Sheet - measure.Round((low+high)/2), 0},
	}
	w.flaps.Left = (float64(at) + k) / math.Sqrt2
	w.flaps.Bottom = (float64(other) + k) / math.Sqrt2
	w.flaps.Right, w.flaps.Top = w.flaps.Left, w.flaps.Bottom
	return w
}
