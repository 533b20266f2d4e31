package blank

import (
	"math"

	"yellowparcel/core/measure"
)

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

	cut Flaps          // the flap heights after blunting, in nanometres
	far measure.Length // the seam between the right and the top corner
}

// Build makes the envelope that a way's scores give, draws its net and folds it.
func (d Diamond) Build(w DiamondWay) Envelope {
	e := d.Measure(w)
	if d.Spec.SizeOnly {
		return e
	}
	e.Net = d.net(w, e)
	e.Folded = e.Net.Fold()
	return e
}

// net draws the envelope of a way.
func (d Diamond) net(w DiamondWay, e Envelope) Net {
	side := w.SheetWidth.Millimetres() / math.Sqrt2
	shape := pointed{wall: e.Depth.Millimetres(), corner: d.Spec.Corner.Millimetres(), foldTips: d.Spec.FoldTips}
	if d.Spec.FlapShape == RoundFlap {
		shape.round = e.Width.Millimetres() / 4
	}
	return shape.net(onPoint(side, side), w.flaps.less(w.half), e.cut)
}

// less makes every flap shorter by half the distance of two creases.
func (f Flaps) less(half float64) Flaps {
	return Flaps{f.Left - half, f.Right - half, f.Top - half, f.Bottom - half}
}

// Measure works out the envelope that a way's scores give, without its net.
func (d Diamond) Measure(w DiamondWay) Envelope {
	d.Sheet = w.SheetWidth
	f, diag, side := w.flaps, d.Diagonal(), float64(d.Sheet)
	e := Envelope{Depth: measure.Round(2 * w.half)}
	least := math.Min(f.Left, f.Right) + math.Min(f.Top, f.Bottom)
	most := math.Max(f.Left, f.Right) + math.Max(f.Top, f.Bottom)
	e.Seam = measure.Round(math.Sqrt2*least - side)
	e.far = measure.Round(math.Sqrt2*(f.Right+f.Top) - side)
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
