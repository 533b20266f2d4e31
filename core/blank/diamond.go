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
	// Groove is how far apart the board's grooves are when it scores in them
	// alone; zero when it can be set anywhere.
	Groove measure.Length
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
	Box           BoxSchool
	Walls         WallSchool
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
	// one of a pocket or a diamond, centred on it, so that sheet and seams stay
	// the same.
	Double bool
	// SizeOnly leaves the net unfolded, where nothing but the sheet's size is asked
	// for.
	SizeOnly bool
	// FoldTips folds the tip of a diamond's flap that is blunted in and glues it,
	// where it is cut off otherwise.
	FoldTips bool
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
	// up to the next tick, the square to cut, or the chosen way's where the board
	// has grooves.
	Exact, Sheet measure.Length
	// Wider is what the creases are set apart beyond the wanted interior
	// because a folded crease eats paper (twice the caliper, when over 0.2 mm).
	Wider measure.Length
	// CreaseWidth and CreaseHeight are the wanted distances of the creases.
	CreaseWidth, CreaseHeight measure.Length
	// Ways are the ways of setting the scores; the first is the default.
	Ways []Way

	half float64 // of two creases in place of one, in nanometres; zero for one
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
		d.Ways = []Way{d.notched()}
		return d
	}
	for _, set := range ways {
		d.Ways = append(d.Ways, d.doubled(set(d)))
	}
	d.Sheet = d.Chosen().Sheet
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

// Blunt is a flap whose tip is folded in or cut off: it would pass a crease or
// the throat, or the maker wished it shorter.
type Blunt struct {
	Panel string
	// Wished is set when nothing but the maker's wish asks for it.
	Wished bool
	// Full is the height of the flap from crease to tip, To what is left.
	Full, To measure.Length
}

// Flaps are the heights of the four flaps from crease to tip, in nanometres
// unrounded: the distances of the scores from their own corners.
type Flaps struct{ Left, Right, Top, Bottom float64 }

// Envelope is a diamond as one way of setting its scores makes it.
type Envelope struct {
	// Width and Height are the distances of the creases as set, which is the
	// closed outer size lying flat; Depth that of two creases in place of one.
	Width, Height, Depth measure.Length
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
	// TopFlap is the height of the closing flap, after blunting, Shortest the
	// least that it may be before a hole opens, bare of adhesive.
	TopFlap, Shortest measure.Length
	Blunts            []Blunt
	// Net and Folded are set by Build alone.
	Net    Net
	Folded Folded

	cut Flaps // the flap heights after blunting, in nanometres
}

// Build makes the envelope that a way's scores give, draws its net and folds it.
func (d Diamond) Build(w Way) Envelope {
	d.Sheet = w.Sheet
	e := d.Measure(w)
	if d.Spec.SizeOnly {
		return e
	}
	side := d.Sheet.Millimetres() / math.Sqrt2
	shape := pointed{wall: e.Depth.Millimetres(), corner: d.Spec.Corner.Millimetres(), foldTips: d.Spec.FoldTips}
	if d.Spec.FlapShape == RoundFlap {
		shape.round = e.Width.Millimetres() / 4
	}
	e.Net = shape.net(onPoint(side, side), w.flaps.less(w.half), e.cut)
	e.Folded = e.Net.Fold()
	return e
}

// less makes every flap shorter by half the distance of two creases.
func (f Flaps) less(half float64) Flaps {
	return Flaps{f.Left - half, f.Right - half, f.Top - half, f.Bottom - half}
}

// Measure works out the envelope that a way's scores give, without its net.
func (d Diamond) Measure(w Way) Envelope {
	d.Sheet = w.Sheet
	f, diag, side := w.flaps, d.Diagonal(), float64(d.Sheet)
	e := Envelope{Depth: measure.Round(2 * w.half)}
	least := math.Min(f.Left, f.Right) + math.Min(f.Top, f.Bottom)
	most := math.Max(f.Left, f.Right) + math.Max(f.Top, f.Bottom)
	e.Seam = measure.Round(math.Sqrt2*least - side)
	e.SeamMax = measure.Round(math.Sqrt2*most - side)

	// Two creases in place of one leave a smaller face, and flaps that begin half
	// their distance further out: as on a smaller square round the same notches.
	width, height := diag-f.Left-f.Right-2*w.half, diag-f.Top-f.Bottom-2*w.half
	f, diag = f.less(w.half), diag-4*w.half
	e.Width, e.Height = measure.Round(width), measure.Round(height)
	thick := max(0, d.Spec.Thickness-e.Depth)
	e.EaseWidth = e.Width - 2*d.Spec.Caliper - d.Spec.Width - thick
	e.EaseHeight = e.Height - 2*d.Spec.Caliper - d.Spec.Height - thick
	e.SeamLength = measure.Round(side/2 - math.Abs(width-height)/(2*math.Sqrt2))

	tick := float64(d.Spec.Style.Tick)
	left := d.blunt(&e, "left", f.Left, width-tick)
	right := d.blunt(&e, "right", f.Right, width-tick)
	bottom := d.blunt(&e, "bottom", f.Bottom, height-math.Max(float64(d.Spec.ThumbGap), tick))
	shortest := shortestFlap(diag, width, height, bottom)
	e.Shortest = measure.Round(shortest)
	top := d.blunt(&e, "top", f.Top, d.Spec.flapLimit(f.Top, height-tick, shortest))
	if top < f.Top && f.Top <= height-tick {
		e.Blunts[len(e.Blunts)-1].Wished = true
	}
	e.Overlap = measure.Round(top + bottom - height)
	e.TopFlap = measure.Round(top)
	e.TipGap = measure.Round(width - left - right)
	e.cut = Flaps{left, right, top, bottom}
	return e
}

// shortestFlap is the least height, in nanometres, of the closing flap of a square
// on its point before a hole opens, bare of adhesive: it meets the side flaps where
// they meet each other, or, with the bottom flap, closes the middle by itself. The
// diagonal is that of the square less what walls take.
func shortestFlap(diag, width, height, bottom float64) float64 {
	shortest := math.Max(height/2-(diag-width-height)/2, height-bottom)
	if sides := height/2 - (diag/2 - width); diag >= 2*width && bottom >= sides {
		shortest = math.Min(shortest, sides)
	}
	return math.Max(0, shortest)
}

// flapLimit is how high the closing flap may be: as wished, or, when it is to be
// blunt, the shortest that still holds the adhesive.
func (s Spec) flapLimit(full, limit, shortest float64) float64 {
	wish := float64(s.Flap)
	if wish == 0 && s.FlapShape == BluntFlap {
		wish = float64(measure.Round(shortest + float64(s.Adhesive)).Up(s.Style.Tick))
	}
	if wish == 0 || wish >= full {
		return limit
	}
	return math.Min(limit, math.Max(wish, float64(leastFlap.Up(s.Style.Tick))))
}

// leastFlap is the shortest closing flap that can be folded over at all.
const leastFlap = 3 * measure.Millimetre

// blunt shortens a flap to the tick below a limit that its tip must not pass.
func (d Diamond) blunt(e *Envelope, panel string, full, limit float64) float64 {
	if full <= limit {
		return full
	}
	to := max(0, measure.Length(limit).Down(d.Spec.Style.Tick))
	e.Blunts = append(e.Blunts, Blunt{Panel: panel, Full: measure.Round(full), To: to})
	return float64(to)
}

// Made is the diamond as its chosen way makes it, among the other constructions.
func (d Diamond) Made() Made {
	w := d.Chosen()
	e := d.Build(w)
	m := Made{
		Kind: DiamondKind, SheetWidth: d.Sheet, SheetHeight: d.Sheet, Net: e.Net, Folded: e.Folded, Width: e.Width, Height: e.Height, Depth: e.Depth,
		EaseWidth: e.EaseWidth, EaseHeight: e.EaseHeight, Seam: e.Seam, Overlap: e.Overlap, Flap: e.TopFlap, Shortest: e.Shortest,
		Cuts: 4 + 8, Folds: len(e.Net.Creases), EaseError: w.Ease, SeamError: w.Seam,
	}
	if d.Spec.SizeOnly {
		return m
	}
	for _, s := range w.Settings {
		m.Scores = append(m.Scores, ScoreLine{s.Lines, s.Mark, s.At})
	}
	if m.Seam < d.Spec.Adhesive {
		m.fault(SeamUnderAdhesive, m.Seam, d.Spec.Adhesive)
	}
	for _, b := range e.Blunts {
		if !b.Wished {
			m.fault(Blunted, b.Full, b.To)
		}
	}
	if d.Spec.Double && d.Spec.Thickness > 0 && e.Depth == 0 {
		m.fault(SingleCrease, d.Spec.Thickness, 0)
	}
	if e.Folded.Hole > sliver {
		m.fault(OpenBack, measure.Length(e.Folded.Hole*float64(measure.Millimetre)), 0)
	}
	m.takeSeam(d.Spec)
	m.line(d.Spec)
	return m
}
