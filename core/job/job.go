// Package job is what goes into a plan: the Job, which is what the maker knows and
// wants, and the Shop, which is what the maker owns and prefers; the one table of
// what of them is typed and chosen, how an edit changes them, and what must hold
// between their fields.
//
// Lengths are integer nanometres (measure.Length), weights grams. Nothing follows
// from a job here: that is piece's and plan's.
//
//	j, err := j.Apply(shop, field.Edit{Act: field.Type, Path: "card.width", Text: "5 1/2"})
package job

import (
	"yellowparcel/core/blank"
	"yellowparcel/core/card"
	"yellowparcel/core/envelope"
	"yellowparcel/core/measure"
	"yellowparcel/core/paper"
)

// Job is what the maker knows and wants.
type Job struct {
	Name string `json:"name" maxLength:"120"`
	// Count is how many cards are to be made.
	Count int    `json:"count"`
	Card  Card   `json:"card"`
	Parts []Part `json:"parts" maxItems:"60"`
	// Items are what is stamped or tied on the panel.
	Items    []Item       `json:"items,omitempty" maxItems:"8"`
	Envelope EnvelopeWish `json:"envelope"`
	Mail     MailWish     `json:"mail"`
	Paper    PaperWish    `json:"paper,omitzero"`
	// Start is the envelope the maker came with; absent when the card came
	// first.
	Start *Start `json:"start,omitempty"`
	// Recipe is somebody's note that is being checked.
	Recipe *Recipe `json:"recipe,omitempty"`
}

// Card is the finished card, folded and closed.
type Card struct {
	// Width and Height are absent until the card is chosen: see Sized.
	Width  measure.Length `json:"width,omitempty"`
	Height measure.Length `json:"height,omitempty"`
	Fold   card.Fold      `json:"fold" maxLength:"40"`
	// Panels is how many an accordion has; zero for the usual four.
	Panels int `json:"panels,omitempty"`
	// Own are an accordion's panels one by one, where they differ.
	Own []measure.Length `json:"own,omitempty" maxItems:"12"`
	// Spine is the distance of two scores in place of one, for a card that
	// closes round thick contents.
	Spine measure.Length `json:"spine,omitempty"`
	// Thickness over everything as the maker measured it; absent when it is to
	// be added up from the parts.
	Thickness *measure.Length `json:"thickness,omitempty"`
	// ThicknessOf is what the parts added up to when it was measured, so that what
	// changed since is counted on; zero where nobody knows.
	ThicknessOf measure.Length `json:"thicknessOf,omitempty"`
	// OverWidth and OverHeight are how much what sticks out past the edges (a
	// bow, a tag, a petal) adds to the size.
	OverWidth  measure.Length `json:"overWidth,omitempty"`
	OverHeight measure.Length `json:"overHeight,omitempty"`
	// Outline is that of an odd shape, in millimetres; Width and Height are then
	// the rectangle round it.
	Outline blank.Polygon `json:"outline,omitempty" maxItems:"5000"`
	// Room says how the thickness is counted against an envelope.
	Room Room `json:"room,omitempty"`
	// Made is set when the card is finished already: nothing of it is made, and a change is an act on it.
	Made bool `json:"made,omitempty"`
	// Grams is what a finished card weighs by itself; zero for what its parts add up to.
	Grams float64 `json:"grams,omitempty"`
	// Towards is set when the base is folded towards its groove instead of away
	// from it.
	Towards bool `json:"towards,omitempty"`
	// Asked are the lengths that one fold alone asks for, by their names.
	Asked map[string]measure.Length `json:"asked,omitempty"`
}

// Room is a way of counting what the thickness takes of an envelope.
type Room string

// The ways of counting; the empty one is the block.
const (
	AsBlock Room = "block" // as a block that runs to the edges: the safe upper bound
	AsHeap  Room = "heap"  // as it lies, raised in the middle only
)

// PartKind says what a part does.
type PartKind string

// The kinds of part.
const (
	BasePart  PartKind = "base"  // the folded card itself
	LayerPart PartKind = "layer" // a smaller piece mounted on the one below
	LinerPart PartKind = "liner" // a sheet to write on, glued inside
	ThingPart PartKind = "thing" // an embellishment or an insert
)

// Part is one thing the card is made of, in the order they are stacked.
type Part struct {
	ID   string   `json:"id" maxLength:"40"`
	Name string   `json:"name" maxLength:"80"`
	Kind PartKind `json:"kind" enum:"base,layer,liner,thing"`
	// Stock is the ID of a stock of the shop; empty for a thing.
	Stock string `json:"stock" maxLength:"40"`
	// Border is what is left showing of the part below on every side, for a
	// layer.
	Border measure.Length `json:"border"`
	// Foam is the thickness of the foam a layer stands on; zero when glued
	// flat.
	Foam measure.Length `json:"foam"`
	// Edges are borders that differ from side to side; they take the place of
	// Border.
	Edges *card.Edges `json:"edges,omitempty"`
	// Own is a size that the maker typed; Border stays what was wished for.
	Own *card.Size `json:"own,omitempty"`
	// Window is set when the middle is cut out behind the layer on top.
	Window bool `json:"window,omitempty"`
	// Turned is set when the back of its paper is up.
	Turned bool `json:"turned,omitempty"`
	// Embossed is set when a pattern is pressed into it.
	Embossed bool `json:"embossed,omitempty"`
	// Ready is how many are cut already.
	Ready int `json:"ready,omitempty"`
	// Thing is what a part is that is no paper of the card.
	Thing *Thing `json:"thing,omitempty"`
}

// Thing is an embellishment on the face, or an insert that lies in the card.
type Thing struct {
	// Type is the kind of thing of the table it began as.
	Type string `json:"type" maxLength:"40"`
	Disc bool   `json:"disc,omitempty"`
	// X and Y are from the face's left and top edge to the thing's; below zero
	// where it sticks out.
	X       measure.Length `json:"x"`
	Y       measure.Length `json:"y"`
	Width   measure.Length `json:"width"`
	Height  measure.Length `json:"height"`
	Caliper measure.Length `json:"caliper"`
	Grams   float64        `json:"grams"`
	// Draping things follow what lies under them; crushable ones want a box; inside
	// ones lie loose in the card.
	Draping   bool `json:"draping,omitempty"`
	Crushable bool `json:"crushable,omitempty"`
	Inside    bool `json:"inside,omitempty"`
	// Over things lie on everything, as a shield does.
	Over bool `json:"over,omitempty"`
	// Stacked says that it is glued on what lies under it.
	Stacked bool `json:"stacked,omitempty"`
	// Keep says that it is not to be left off.
	Keep bool `json:"keep,omitempty"`
}

// Item is something for the panel, by the room it takes.
type Item struct {
	ID   string `json:"id" maxLength:"40"`
	Name string `json:"name" maxLength:"80"`
	// Width is zero for what runs right across, as a ribbon does.
	Width  measure.Length `json:"width"`
	Height measure.Length `json:"height"`
}

// PaperWish is how the pieces are to be cut.
type PaperWish struct {
	// Have is the sheet that the maker came with; empty when the card came first.
	Have string `json:"have,omitempty" maxLength:"40"`
	// AlongGrain keeps every fold along the grain.
	AlongGrain bool `json:"alongGrain,omitempty"`
	// NoBlanks leaves the envelopes out of the cutting.
	NoBlanks bool `json:"noBlanks,omitempty"`
	// Only is what alone is made of the job.
	Only Only `json:"only,omitempty" maxLength:"20"`
	// Mat is the cutter's mat that it is laid on; the first one when it is empty.
	Mat string `json:"mat,omitempty" maxLength:"40"`
	// Sheets are the sheets chosen for stocks, by their IDs, where the one that
	// takes least paper is not wanted.
	Sheets map[string]string `json:"sheets,omitempty"`
}

// EnvelopeWish is the envelope that is to be made.
type EnvelopeWish struct {
	School   blank.School   `json:"school" enum:"exact,diagonal,notch"`
	Way      blank.WayID    `json:"way" maxLength:"40"`
	Ease     measure.Length `json:"ease"`
	Seam     measure.Length `json:"seam"`
	ThumbGap measure.Length `json:"thumbGap"`
	Stock    string         `json:"stock" maxLength:"40"`
	Adhesive string         `json:"adhesive" maxLength:"40"`
	// Wished is what was wished for before a smaller or a roomier size was taken; absent where none was.
	Wished *SizeWish `json:"wished,omitempty"`
	// Construction is how it is made; the diamond when empty.
	Construction blank.ID `json:"construction,omitempty"`
	// Sort is what matters when constructions are compared.
	Sort CompareSort `json:"sort,omitempty"`
	// Pocket is the school of a pocket, Depth the least depth of walls, Flap the
	// height of the closing flap, both zero for what the sums ask for.
	Pocket blank.PocketSchool `json:"pocket,omitempty"`
	Depth  measure.Length     `json:"depth,omitempty"`
	Flap   measure.Length     `json:"flap,omitempty"`
	// Box is the school of a box from a square, Walls that of the walls of a box
	// with a lid.
	Box   blank.BoxSchool  `json:"box,omitempty"`
	Walls blank.WallSchool `json:"walls,omitempty"`
	// FlapShape, Corner, Notch and TabsOnBack shape a pocket: the end of its flap,
	// the radius of its free corners and of a thumb notch, and what carries its
	// tabs.
	FlapShape  blank.FlapShape `json:"flapShape,omitempty"`
	Corner     measure.Length  `json:"corner,omitempty"`
	Notch      measure.Length  `json:"notch,omitempty"`
	TabsOnBack bool            `json:"tabsOnBack,omitempty"`
	// Sliver is what a pocket's tabs, back and flap taper by at the free edge; zero
	// for 1/32 in.
	Sliver measure.Length `json:"sliver,omitempty"`
	// Double puts two creases in place of each, the card's thickness apart.
	Double bool `json:"double,omitempty"`
	// FoldTips folds the blunted tips of a diamond in instead of cutting them off.
	FoldTips bool `json:"foldTips,omitempty"`
	// Low moves a diamond's rectangle until its bottom tip ends at the side points.
	Low bool `json:"low,omitempty"`
	// PatternInside turns the patterned side of the paper inside.
	PatternInside bool `json:"patternInside,omitempty"`
	// Liner is the stock of a liner; empty for none.
	Liner string `json:"liner,omitempty" maxLength:"40"`
	// Mailable makes the envelope a plain rectangle, the card held by strips.
	Mailable bool `json:"mailable,omitempty"`
	// From is the bought envelope that is taken, whole or cut down: the ID of a format,
	// or OwnEnvelope; the fittest when empty. OneSide cuts it on one side only.
	From    string `json:"from,omitempty" maxLength:"40"`
	OneSide bool   `json:"oneSide,omitempty"`
	// OwnWidth and OwnHeight are the outer size that a ruler says of an own envelope.
	OwnWidth  measure.Length `json:"ownWidth,omitempty"`
	OwnHeight measure.Length `json:"ownHeight,omitempty"`
	// Opens is the side that the throat lies on; the one proposed when empty.
	Opens envelope.Side `json:"opens,omitempty"`
	// Asked are the lengths that one construction alone asks for, by their names.
	Asked map[string]measure.Length `json:"asked,omitempty"`
}

// ByHand is the destination of a card that is not posted.
const ByHand = "hand"

// MailWish is where the card goes.
type MailWish struct {
	// Destination is the ID of a rulebook, or ByHand.
	Destination string `json:"destination" maxLength:"40"`
	// Class is the least class that it is to go as; empty for the cheapest.
	Class string `json:"class,omitempty" maxLength:"40"`
	// AddressShort is set when the address runs along the shorter edge.
	AddressShort bool `json:"addressShort,omitempty"`
	// Closure is the ID of what closes the envelope.
	Closure string `json:"closure,omitempty" maxLength:"40"`
	// Bare sends a card without an envelope.
	Bare bool `json:"bare,omitempty"`
	// Radius is that of a bare card's corners.
	Radius measure.Length `json:"radius,omitempty"`
	// HandCancel asks for cancelling by hand at the counter.
	HandCancel bool `json:"handCancel,omitempty"`
	// Contents are the cautions that the maker ticked.
	Contents []paper.Caution `json:"contents,omitempty" maxItems:"10"`
	// Measured is what was measured of the finished piece.
	Measured Measured `json:"measured,omitzero"`
	// GaugeWidth and GaugeHeight are the piece of card for a thickness gauge, GaugeSlot how high its
	// slot came out where that is not as it was told.
	GaugeWidth  measure.Length `json:"gaugeWidth,omitempty"`
	GaugeHeight measure.Length `json:"gaugeHeight,omitempty"`
	GaugeSlot   measure.Length `json:"gaugeSlot,omitempty"`
}

// Through is how a piece goes through a slot: a measurement that needs no caliper.
type Through string

// How it may go; the empty one was not tried.
const (
	Freely  Through = "freely"  // under the slot
	Tightly Through = "tightly" // close to it
	NotAll  Through = "not"     // over it
)

// Throughs lists them.
func Throughs() []Through { return []Through{Freely, Tightly, NotAll} }

// tryAgain forgets what a reading of the gauge was read with: whoever has the sums says it anew.
func (m *Measured) tryAgain() { m.GaugeOf, m.Slot, m.For, m.TriedOn = 0, 0, "", "" }

// WithoutEnvelope reports whether the card goes without one: sent bare, or given by hand as
// it is.
func (p MailWish) WithoutEnvelope() bool {
	c, _ := paper.ClosureByID(p.Closure)
	return p.Bare || c.Bare
}

// Measured is what was measured of the closed, filled piece; zero for what was
// not.
type Measured struct {
	Thickness measure.Length `json:"thickness,omitempty"`
	Grams     float64        `json:"grams,omitempty"`
	// Through is how it goes through the thickness gauge, GaugeOf what the sums said of its
	// thickness then. Slot is that of the gauge as it was cut, For the destination that it was cut
	// for and TriedOn the day.
	Through Through        `json:"through,omitempty" maxLength:"20"`
	GaugeOf measure.Length `json:"gaugeOf,omitempty"`
	Slot    measure.Length `json:"slot,omitempty"`
	For     string         `json:"for,omitempty" maxLength:"40"`
	TriedOn string         `json:"triedOn,omitempty" maxLength:"10"`
	// ThicknessOf and GramsOf are what the sums said of the piece when it was
	// measured, so that a reading of what has changed since is noticed; zero where
	// nobody knows.
	ThicknessOf measure.Length `json:"thicknessOf,omitempty"`
	GramsOf     float64        `json:"gramsOf,omitempty"`
	// ThicknessOn and GramsOn are the days that they were read.
	ThicknessOn string `json:"thicknessOn,omitempty" maxLength:"10"`
	GramsOn     string `json:"gramsOn,omitempty" maxLength:"10"`
	// Stiffer is by how much the piece came out stiffer than the sums had it when it
	// was measured; zero where nobody knows.
	Stiffer float64 `json:"stiffer,omitempty"`
	// Droop is how far the end hangs with Overhang standing out over a table.
	Overhang measure.Length `json:"overhang,omitempty"`
	Droop    measure.Length `json:"droop,omitempty"`
	// Sag is how far the middle sinks under Load grams, on supports Apart.
	Apart measure.Length `json:"apart,omitempty"`
	Load  float64        `json:"load,omitempty"`
	Sag   measure.Length `json:"sag,omitempty"`
}
