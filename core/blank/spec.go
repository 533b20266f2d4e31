package blank

import "yellowparcel/core/measure"

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
	// NotchAt is what its ruler reads where the notch's point comes on the edge's end.
	NotchAt measure.Length
}

// Spec says what a blank is for.
type Spec struct {
	// Width, Height and Thickness of the finished card over all that sticks
	// out; the throat runs along the width.
	Width, Height, Thickness measure.Length
	// CardWidth and CardHeight are what the card's own size may be off.
	CardWidth, CardHeight Loss
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
	// Way is the way of setting the scores; the safer one when empty, the first where it is none of them.
	Way WayID
	// NoBoard is set where there is no board to score on: where no way is asked for, a sheet on its point is
	// folded round the card.
	NoBoard bool
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
	// Low places a diamond's rectangle so that its bottom tip ends at the side points, and
	// need not be folded in, where it can be.
	Low bool
	// Bought are the envelopes that may be taken or cut down, SoldCaliper that of their paper;
	// OneSide cuts one side alone. LeastWidthAt is the width that a plain rectangle has
	// round an interior at a height; nil where none is wished for.
	Bought       []Bought
	SoldCaliper  measure.Length
	OneSide      bool
	LeastWidthAt func(interior, height measure.Length) measure.Length
	// Noted is the recipe that may be used as it stands; nil for none.
	Noted *Noted
	// Asked are the lengths that one construction alone asks for, by their names.
	Asked map[string]measure.Length
}

// Turned is the spec of the card lying a quarter turn round, so that its height runs
// across the throat.
func (s Spec) Turned() Spec {
	s.Width, s.Height = s.Height, s.Width
	s.CardWidth, s.CardHeight = s.CardHeight, s.CardWidth
	s.LeastWidth, s.LeastHeight = s.LeastHeight, s.LeastWidth
	return s
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

// Wider is what creases are set apart because a folded crease eats paper of some
// caliper: twice the caliper, where that is over 0.2 mm.
func Wider(caliper measure.Length) measure.Length {
	if 2*caliper > gainFrom {
		return 2 * caliper
	}
	return 0
}

func (s Spec) wider() measure.Length { return Wider(s.Caliper) }

// interior is the room wanted round the card, before a fold eats any of it; a
// wall of depth d takes thickness off it.
func (s Spec) interior(wall measure.Length) (w, h measure.Length) {
	thick := max(0, s.Thickness-wall)
	return max(s.LeastWidth, s.Width+thick+s.Ease), max(s.LeastHeight, s.Height+thick+s.Ease)
}

// WallOver is what walls stand higher than the card, tuck and hems lower than walls.
const WallOver = measure.Inch / 16

// Wall is the depth of walls that a card asks for: its thickness and 1/16, up to
// a tick or a groove.
func (s Spec) Wall() measure.Length {
	return max(s.Depth, s.Thickness+WallOver).Up(s.step())
}
