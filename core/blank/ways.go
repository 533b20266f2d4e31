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
	RoundWay  WayID = "round"   // folded round the card, or round scrap as large as the room wanted
	NotchWay  WayID = "notch"   // the punch board's own stops
)

// WayIDs lists every way.
func WayIDs() []WayID { return []WayID{PairWay, CornerWay, CentreWay, EdgeWay, RoundWay, NotchWay} }

// Setting is one thing to set or mark.
type Setting struct {
	// Lines names the scores it makes: "sides" (left and right) or "ends" (top
	// and bottom), and what else is measured.
	Lines string
	// Mark says which of several: "near", "far", "each", "scrap", "check".
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
	// Sheet is the square to cut for it: another than for other ways only where
	// the board has grooves.
	Sheet measure.Length
	// Far is set when no grooves keep ease and seam in range.
	Far bool
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

var ways = []func(Diamond) Way{pair, corners, centre, edges, round}

// doubled sets two creases in place of each. Marks on the edges lie √2 times as
// far apart as the creases, so there the distance of the creases is what a tick
// on the edge makes of it.
func (d Diamond) doubled(w Way) Way {
	if d.half == 0 {
		return w
	}
	beside := measure.Round(d.half)
	w.half = d.half
	switch w.ID {
	case EdgeWay:
		beside = measure.Round(d.half * math.Sqrt2).Down(d.Spec.Style.Tick)
		w.half = float64(beside) / math.Sqrt2
	case PairWay, CornerWay:
		beside = beside.Down(d.Spec.step())
		w.half = float64(beside)
	case RoundWay:
		// Scrap as thick as the card makes both creases with its edges.
		for i := range w.Settings {
			if w.Settings[i].Mark == "scrap" {
				w.Settings[i].At -= 2 * beside
				w.Settings[i].Exact -= 2 * beside
			}
		}
		return w
	}
	for i := range w.Settings {
		if w.Settings[i].Mark != "check" {
			w.Settings[i].Beside = beside
		}
	}
	return w
}

// pair sets both lines of a pair from the same corner: one set-up a pair, and
// an ease that is free of the guide's error. Without grooves the two readings are
// whole ticks whose difference is the crease distance rounded up, centred as
// well as ticks allow.
func pair(d Diamond) Way {
	w := Way{ID: PairWay, Ease: d.easeLoss(2, math.Sqrt2), Seam: d.loss(3+2*math.Sqrt2, 3)}
	tick, at := d.Spec.Style.Tick, d.Spec.Board.CornerAt
	centred := func(crease measure.Length) scoring {
		apart := crease.Up(tick)
		n := measure.Round((d.Diagonal()-float64(apart))/2 + float64(at)).Near(tick)
		return scoring{n, n + apart, float64(n - at), d.Diagonal() - float64(n+apart-at)}
	}
	sides, ends := centred(d.CreaseWidth), centred(d.CreaseHeight)
	if d.Spec.Board.Groove > 0 {
		d.Sheet, sides, ends, w.Far = d.inGrooves(Diamond.pairInGrooves)
	}
	set := func(lines string, crease measure.Length, s scoring) {
		exact := (d.Diagonal() - float64(crease)) / 2
		w.Settings = append(w.Settings,
			Setting{lines, "near", s.near, measure.Round(exact) + at, 0},
			Setting{lines, "far", s.far, measure.Round(d.Diagonal()-exact) + at, 0})
	}
	set("sides", d.CreaseWidth, sides)
	set("ends", d.CreaseHeight, ends)
	half := measure.Round(d.Diagonal()/2) + at
	w.Settings = append(w.Settings, Setting{"corners", "check", half.Near(tick), half, 0})
	w.Sheet, w.flaps = d.Sheet, Flaps{Left: sides.low, Right: sides.high, Bottom: ends.low, Top: ends.high}
	return w
}

// corners sets each line from its own corner, turning the sheet between.
func corners(d Diamond) Way {
	w := Way{ID: CornerWay, Ease: d.easeLoss(2+math.Sqrt2, math.Sqrt(3)), Seam: d.loss(1+2*math.Sqrt2, math.Sqrt(5))}
	at := d.Spec.Board.CornerAt
	exact := func(crease measure.Length) measure.Length {
		return measure.Round((d.Diagonal()-float64(crease))/2) + at
	}
	down := func(crease measure.Length) scoring {
		n := exact(crease).Down(d.Spec.Style.Tick)
		return scoring{near: n, low: float64(n - at), high: float64(n - at)}
	}
	sides, ends := down(d.CreaseWidth), down(d.CreaseHeight)
	if d.Spec.Board.Groove > 0 {
		d.Sheet, sides, ends, w.Far = d.inGrooves(Diamond.eachInGrooves)
	}
	w.Settings = []Setting{{"sides", "each", sides.near, exact(d.CreaseWidth), 0}, {"ends", "each", ends.near, exact(d.CreaseHeight), 0}}
	w.Sheet, w.flaps = d.Sheet, Flaps{Left: sides.low, Right: sides.high, Bottom: ends.low, Top: ends.high}
	return w
}

// centre sets the lines either side of a cross drawn through the centre.
func centre(d Diamond) Way {
	w := Way{ID: CentreWay, Sheet: d.Sheet, Ease: d.easeLoss(2, math.Sqrt2), Seam: d.loss(1+2*math.Sqrt2, math.Sqrt(5))}
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
	w := Way{ID: EdgeWay, Sheet: d.Sheet, Ease: d.easeLoss(2*math.Sqrt2, math.Sqrt(1.5)), Seam: d.loss(3, math.Sqrt(3))}
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

// round sets nothing: a piece of scrap as large as the room wanted is laid in the
// middle, the points of the square standing out alike, and the flaps are folded
// over it. Its two cuts are the ease's only errors; that it lies off the middle
// both ways is taken as one error t each.
func round(d Diamond) Way {
	w := Way{ID: RoundWay, Sheet: d.Sheet, Ease: d.easeLoss(1, 1), Seam: d.loss(1+3*math.Sqrt2, math.Sqrt(6))}
	set := func(lines string, crease measure.Length) (flap float64) {
		across := crease.Up(d.Spec.Style.Tick)
		w.Settings = append(w.Settings, Setting{lines, "scrap", across, crease, 0})
		return (d.Diagonal() - float64(across)) / 2
	}
	a, b := set("sides", d.CreaseWidth), set("ends", d.CreaseHeight)
	for _, point := range []struct {
		lines string
		out   float64
	}{{"sides", a}, {"ends", b}} {
		w.Settings = append(w.Settings, Setting{point.lines, "check", measure.Round(point.out).Near(d.Spec.Style.Tick), measure.Round(point.out), 0})
	}
	w.flaps = Flaps{Left: a, Right: a, Top: b, Bottom: b}
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
	w := Way{ID: NotchWay, Sheet: d.Sheet, Ease: d.easeLoss(3*math.Sqrt2, math.Sqrt(5)), Seam: d.loss(2, 2)}
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
