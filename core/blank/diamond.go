package blank

import (
	"math"

	"yellowparcel/core/measure"
)

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

// Board is the maker's score or punch board as far as a diamond needs it.
type Board struct {
	// CornerAt is what the diagonal guide reads where the sheet's corner sits;
	// often not zero, and negative when the corner lies before the zero.
	CornerAt measure.Length
	// NotchDepth is k, how deep the punch board notches.
	NotchDepth measure.Length
}

// Spec says what a blank is for.
type Spec struct {
	// Width, Height and Thickness of the finished card over all that sticks
	// out; the throat runs along the width.
	Width, Height, Thickness measure.Length
	// Ease is the wanted room between card and envelope, both sides together.
	Ease measure.Length
	// Seam is the wanted overlap that is glued.
	Seam measure.Length
	// ThumbGap is how far the back stays below the throat.
	ThumbGap measure.Length
	// Caliper is the thickness of the envelope paper.
	Caliper measure.Length
	// Style gives the tick that the maker's tools can set, and the unit that
	// the diagonal-plus school adds an inch or 25 mm in.
	Style  measure.Style
	School School
	Board  Board
	Way    WayID
	// LeastWidth and LeastHeight are an interior that is larger than the card
	// asks for, as for a card held in a plain rectangle; zero for none.
	LeastWidth, LeastHeight measure.Length
	// Adhesive is the width of what holds the seams.
	Adhesive measure.Length
	// Depth is the least depth of walls; Gusset that of a pocket's, zero for none.
	Depth, Gusset measure.Length
	Pocket        PocketSchool
	// Flap is the height of the closing flap as wished; zero for the school's.
	Flap measure.Length
	// SheetLength is the length of the sheet that a flap may use up.
	SheetLength measure.Length
	// Sliver is what tabs, back and flap taper by at the free edge.
	Sliver measure.Length
	// FlapShape is how a pocket's closing flap ends; square when empty.
	FlapShape FlapShape
	// Corner is the radius of the free corners of flap and back.
	Corner measure.Length
	// Notch is the radius of a thumb notch in the back; zero for none.
	Notch measure.Length
	// TabsOnBack hangs a pocket's tabs on its back instead of its front.
	TabsOnBack bool
	// Double puts two creases the card's thickness apart in place of each single
	// one of a pocket, centred on it, so that sheet and seams stay the same.
	Double bool
}

// FlapShape is the shape of a closing flap.
type FlapShape string

// The shapes; a blunted flap is a pointed one whose tip is cut off.
const (
	SquareFlap  FlapShape = "square"
	PointedFlap FlapShape = "pointed"
	BluntFlap   FlapShape = "blunt"
	RoundFlap   FlapShape = "round"
)

// FlapShapes lists the shapes.
func FlapShapes() []FlapShape { return []FlapShape{SquareFlap, PointedFlap, BluntFlap, RoundFlap} }

// Diamond is an envelope folded from a square standing on its point.
type Diamond struct {
	Spec Spec
	// Exact is the side that the school's formula asks for; Sheet is that side
	// up to the next tick, the square to cut.
	Exact, Sheet measure.Length
	// Wider is what the creases are set apart beyond the wanted interior
	// because a folded crease eats paper (twice the caliper, when over 0.2 mm).
	Wider measure.Length
	// CreaseWidth and CreaseHeight are the wanted distances of the creases.
	CreaseWidth, CreaseHeight measure.Length
	// Ways are the ways of setting the scores; the first is the default.
	Ways []Way
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
	d.Exact = measure.Round(d.exact())
	d.Sheet = d.Exact.Up(s.Style.Tick)
	if s.School == NotchBoard {
		d.Sheet = d.notchSheet()
		d.Ways = []Way{d.notched()}
		return d
	}
	for _, set := range ways {
		d.Ways = append(d.Ways, set(d))
	}
	return d
}

func (d Diamond) exact() float64 {
	s := d.Spec
	sum := float64(d.CreaseWidth+d.CreaseHeight) / math.Sqrt2
	switch s.School {
	case DiagonalPlus:
		plus := measure.Inch
		if s.Style.Unit == measure.Millimetres {
			plus = 25 * measure.Millimetre
		}
		return math.Hypot(float64(max(s.Width, s.LeastWidth)), float64(max(s.Height, s.LeastHeight))) + float64(plus) + 1.5*float64(s.Thickness)
	case NotchBoard:
		return sum + 2*float64(s.Board.NotchDepth)
	}
	return sum + float64(s.Seam)
}

// Diagonal is the diagonal of the sheet, in nanometres unrounded.
func (d Diamond) Diagonal() float64 { return float64(d.Sheet) * math.Sqrt2 }

// Chosen returns the way that the spec asks for, or the first.
func (d Diamond) Chosen() Way {
	for _, w := range d.Ways {
		if w.ID == d.Spec.Way {
			return w
		}
	}
	return d.Ways[0]
}

// Blunt is a flap whose tip is folded in or trimmed because it would pass a
// crease or the throat.
type Blunt struct {
	Panel string
	// Full is the height of the flap from crease to tip, To what is left.
	Full, To measure.Length
}

// Flaps are the heights of the four flaps from crease to tip, in nanometres
// unrounded: the distances of the scores from their own corners.
type Flaps struct{ Left, Right, Top, Bottom float64 }

// Envelope is a diamond as one way of setting its scores makes it.
type Envelope struct {
	// Width and Height are the distances of the creases as set, which is the
	// closed outer size lying flat.
	Width, Height measure.Length
	// EaseWidth and EaseHeight are the room left round the card: creases less
	// twice the caliper, less card and thickness.
	EaseWidth, EaseHeight measure.Length
	// Seam is the narrowest overlap of a side flap with top or bottom, SeamMax
	// the widest; they differ only when the creases lie off the centre.
	Seam, SeamMax measure.Length
	// SeamLength is the length of one seam, as long as no flap is blunted.
	SeamLength measure.Length
	// Overlap is how far the closing flap lies over the bottom flap at the
	// centre; negative when they do not meet.
	Overlap measure.Length
	// TipGap is the gap between the tips of the side flaps; negative when they
	// overlap.
	TipGap measure.Length
	// TopFlap is the height of the closing flap, after blunting.
	TopFlap measure.Length
	Blunts  []Blunt
	// Net and Folded are set by Build alone.
	Net    Net
	Folded Folded

	cut Flaps // the flap heights after blunting, in nanometres
}

// Build makes the envelope that a way's scores give, draws its net and folds it.
func (d Diamond) Build(w Way) Envelope {
	e := d.Measure(w)
	side := d.Sheet.Millimetres() / math.Sqrt2
	e.Net = diamondNet(onPoint(side, side), w.flaps, e.cut)
	e.Folded = e.Net.Fold()
	return e
}

// Measure works out the envelope that a way's scores give, without its net.
func (d Diamond) Measure(w Way) Envelope {
	f, diag, side := w.flaps, d.Diagonal(), float64(d.Sheet)
	e := Envelope{}
	width, height := diag-f.Left-f.Right, diag-f.Top-f.Bottom
	e.Width, e.Height = measure.Round(width), measure.Round(height)
	e.EaseWidth = e.Width - 2*d.Spec.Caliper - d.Spec.Width - d.Spec.Thickness
	e.EaseHeight = e.Height - 2*d.Spec.Caliper - d.Spec.Height - d.Spec.Thickness
	least := math.Min(f.Left, f.Right) + math.Min(f.Top, f.Bottom)
	most := math.Max(f.Left, f.Right) + math.Max(f.Top, f.Bottom)
	e.Seam = measure.Round(math.Sqrt2*least - side)
	e.SeamMax = measure.Round(math.Sqrt2*most - side)
	e.SeamLength = measure.Round(side/2 - math.Abs(width-height)/(2*math.Sqrt2))

	tick := float64(d.Spec.Style.Tick)
	left := d.blunt(&e, "left", f.Left, width-tick)
	right := d.blunt(&e, "right", f.Right, width-tick)
	bottom := d.blunt(&e, "bottom", f.Bottom, height-math.Max(float64(d.Spec.ThumbGap), tick))
	top := d.blunt(&e, "top", f.Top, height-tick)
	e.Overlap = measure.Round(top + bottom - height)
	e.TopFlap = measure.Round(top)
	e.TipGap = measure.Round(width - left - right)
	e.cut = Flaps{left, right, top, bottom}
	return e
}

// blunt shortens a flap to the tick below a limit that its tip must not pass.
func (d Diamond) blunt(e *Envelope, panel string, full, limit float64) float64 {
	if full <= limit {
		return full
	}
	to := max(0, measure.Length(limit).Down(d.Spec.Style.Tick))
	e.Blunts = append(e.Blunts, Blunt{Panel: panel, Full: measure.Round(full), To: to})
	return float64(to)
}

// onPoint is a rectangle standing on its point in the box round it; its sides
// are given divided by √2, the one from the left to the top corner first.
func onPoint(a, b float64) Polygon {
	return Polygon{{a, 0}, {a + b, b}, {b, a + b}, {0, a}}
}

// diamondNet draws the net on a sheet standing on its point; flaps holds the
// scores, cut the heights after blunting, both in nanometres.
func diamondNet(sheet Polygon, flaps, cut Flaps) Net {
	mm := func(nm float64) float64 { return nm / float64(measure.Millimetre) }
	d := sheet[1].X
	xl, xr, yt, yb := mm(flaps.Left), d-mm(flaps.Right), mm(flaps.Top), d-mm(flaps.Bottom)
	across, down := []line{rightOf(xl), leftOf(xr)}, []line{below(yt), above(yb)}
	n := Net{Sheet: sheet}
	n.Panels = []Panel{{"face", "front", sheet.keep(append(across, down...)...)}}
	for _, f := range []struct {
		id, name  string
		beyond    line   // the crease
		between   []line // the two neighbouring creases
		stop, cut line   // what is kept and what is cut off at the tip
		from, to  Point
		order     int
	}{
		{"left", "side", leftOf(xl), down, rightOf(xl - mm(cut.Left)), leftOf(xl - mm(cut.Left)), Point{xl, yb}, Point{xl, yt}, 1},
		{"top", "closing flap", above(yt), across, below(yt - mm(cut.Top)), above(yt - mm(cut.Top)), Point{xl, yt}, Point{xr, yt}, 3},
		{"right", "side", rightOf(xr), down, leftOf(xr + mm(cut.Right)), rightOf(xr + mm(cut.Right)), Point{xr, yt}, Point{xr, yb}, 1},
		{"bottom", "bottom", below(yb), across, above(yb + mm(cut.Bottom)), below(yb + mm(cut.Bottom)), Point{xr, yb}, Point{xl, yb}, 2},
	} {
		whole := sheet.keep(f.beyond).keep(f.between...)
		if whole == nil {
			continue // scores so far off that nothing is left of the flap
		}
		n.Panels = append(n.Panels, Panel{f.id, f.name, whole.keep(f.stop)})
		crease := Crease{Panel: f.id, From: f.from, To: f.to, Angle: 180, Order: f.order}
		// Where the scores miss each other the crease ends at the sheet's edge.
		crease.From, crease.To = whole.nearest(f.from), whole.nearest(f.to)
		n.Creases = append(n.Creases, crease)
		if tip := whole.keep(f.cut); tip != nil {
			n.CutAway = append(n.CutAway, tip)
		}
	}
	for _, x := range []line{leftOf(xl), rightOf(xr)} {
		for _, y := range []line{above(yt), below(yb)} {
			if corner := sheet.keep(x, y); corner != nil {
				n.CutAway = append(n.CutAway, corner)
			}
		}
	}
	n.Outline = n.trace()
	n.Glue = n.glued([2]string{"bottom", "left"}, [2]string{"bottom", "right"}, [2]string{"top", "left"}, [2]string{"top", "right"})
	return n
}

// trace walks round the flaps in the order of their creases and returns the
// outline that is cut.
func (n Net) trace() Polygon {
	var out Polygon
	for i, c := range n.Creases {
		flap := n.Panels[i+1].Outline
		on := c.line()
		// Start after the crease's first end and follow the flap to the last.
		start := -1
		for j := range flap {
			next := flap[(j+1)%len(flap)]
			if math.Abs(on.side(flap[j])) < hair*1e3 && math.Abs(on.side(next)) < hair*1e3 {
				start = (j + 1) % len(flap)
			}
		}
		if start < 0 {
			continue
		}
		for k := range flap {
			out = append(out, flap[(start+k)%len(flap)])
		}
	}
	return out.tidy()
}

// Made is the diamond as its chosen way makes it, among the other constructions.
func (d Diamond) Made() Made {
	w := d.Chosen()
	e := d.Build(w)
	m := Made{
		Kind: DiamondKind, SheetWidth: d.Sheet, SheetHeight: d.Sheet, Net: e.Net, Folded: e.Folded, Width: e.Width, Height: e.Height,
		EaseWidth: e.EaseWidth, EaseHeight: e.EaseHeight, Seam: e.Seam, Overlap: e.Overlap, Flap: e.TopFlap,
		Cuts: 4 + 8, Folds: 4, EaseError: w.Ease, SeamError: w.Seam,
	}
	for _, s := range w.Settings {
		m.Scores = append(m.Scores, ScoreLine{s.Lines, s.Mark, s.At})
	}
	if m.Seam < d.Spec.Adhesive {
		m.fault(SeamUnderAdhesive, m.Seam, d.Spec.Adhesive)
	}
	for _, b := range e.Blunts {
		m.fault(Blunted, b.Full, b.To)
	}
	if e.Folded.Hole > sliver {
		m.fault(OpenBack, measure.Length(e.Folded.Hole*float64(measure.Millimetre)), 0)
	}
	return m
}
