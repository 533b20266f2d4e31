package blank

import (
	"slices"

	"yellowparcel/core/measure"
	"yellowparcel/core/say"
)

// ID names a construction.
type ID string

// The constructions that ship.
const (
	DiamondID ID = "diamond" // a square on its point
	PocketID  ID = "pocket"  // a rectangle with tabs at the sides
	GussetID  ID = "gusset"  // a pocket with walls
	BoxID     ID = "box"     // a box mailer from a square on its point
	TuckID    ID = "tuck"    // a box mailer with lid and tuck
	BoughtID  ID = "bought"  // a bought envelope as it is
	CutDownID ID = "cutdown" // a bought envelope made narrower
	NotedID   ID = "noted"   // a recipe as it stands
)

// constructions are all there are, in the order they are offered: each is a value
// in a file of its own.
var constructions = []*Construction{&diamond, &pocket, &gusset, &box, &tuck, &bought, &cutDown, &noted}

// Construction is a way of making an envelope: all that the program knows of it.
// Whoever adds one writes such a value and names it in the list above.
type Construction struct {
	ID    ID
	Words Words
	// OnPoint is set for a square that stands on its point, on which a pattern runs
	// slantwise; HasTop where a pattern runs upright only when the blank lies one way
	// on its sheet.
	OnPoint, HasTop bool
	// Walled ones stand up on walls whatever the card; Box is set for one that keeps
	// off what presses, and that a liner lines on its floor alone.
	Walled, Box bool
	// Bought is set for one that is made of an envelope that is sold: nothing is cut
	// for it from a sheet. Whole is set where it is taken as it is.
	Bought, Whole bool
	// Wishes are the lengths that count for it, what a spec's school sets by itself
	// left out; Options what else is chosen, in the order that it is asked for. Both are
	// names of the fields of an envelope.
	Wishes  func(Spec) []string
	Options []string
	// Asked are lengths that it alone asks for; a spec holds them by their names.
	Asked []measure.Asked
	// Ways are the ways of setting its scores, by what is said of them.
	Ways []WayKind
	// Make works it out; false where it cannot be made for the card.
	Make func(Spec) (Made, bool)
}

// Words are what is said of a construction. The slots of its clauses are those of
// SlotsOf, and the roles of its scores.
type Words struct {
	Name string
	// Sentence says how it is cut, and ends in what its way says of the scores.
	Sentence []say.Clause
	// Drawing says what its drawing shows; FlapOverlap what its overlap is.
	Drawing, Overlap []say.Clause
	// Roles are what its scores are called in a table of them.
	Roles map[Role]string
	// First, Peeking and Seal are what the hand should know at the first fold, at the
	// last but one, and when it is closed for the post; Hint is how it is made without
	// sums. Each may be empty.
	First, Peeking, Seal string
	Hint                 []say.Clause
	// Thick is what to do where the card is too thick for single creases; Tabs what is
	// said in place of the usual where its seam is under its adhesive.
	Thick string
	Tabs  []say.Clause
	// Flap is what its closing flap is called where it is asked for, FlapNote what zero
	// stands for. Not says why it cannot be made; empty for one that always can.
	Flap, FlapNote string
	Not            string
}

// Constructions lists all that are offered.
func Constructions() []*Construction { return constructions }

// IDs lists their names.
func IDs() []ID {
	list := make([]ID, len(constructions))
	for i, c := range constructions {
		list[i] = c.ID
	}
	return list
}

// ByID finds a construction; the diamond where there is none of that name.
func ByID(id ID) *Construction {
	for _, c := range constructions {
		if c.ID == id {
			return c
		}
	}
	return &diamond
}

// Register adds a construction to those that are offered, and returns what takes it
// off again: for tests, which are to find that nothing else need be done.
func Register(c *Construction) (remove func()) {
	before := constructions
	constructions = append(constructions[:len(before):len(before)], c)
	return func() { constructions = before }
}

// Way is what is said of one of its ways; of the first where it has none of that
// name.
func (c *Construction) Way(id WayID) WayKind {
	for _, w := range c.Ways {
		if w.ID == id {
			return w
		}
	}
	return c.Ways[0]
}

// FoldsTips reports whether the tips of its flaps may be folded in.
func (c *Construction) FoldsTips() bool { return slices.Contains(c.Options, tipsOption) }

// Doubles reports whether each of its creases may be made as two, a card's thickness apart.
func (c *Construction) Doubles() bool { return slices.Contains(c.Options, doubleOption) }

// lyingFlat is what the drawing shows of whatever is folded in the order of its
// numbers.
var lyingFlat = []say.Clause{say.Always("{name}, {sheet size} {unit}, flat, inside up. It has {parts}. Fold in the order of the numbers.")}

// sealsOnSides is a closing flap that does not reach the bottom one.
var sealsOnSides = say.When("short", "short of the bottom flap: it seals on the sides")

// The lengths and options of an envelope, as its fields are named.
const (
	easeWish, seamWish, gapWish, flapWish, depthWish, sliverWish = "ease", "seam", "thumbGap", "flap", "depth", "sliver"

	opensOption, stockOption, adhesiveOption, linerOption, patternOption, shapeOption, cornerOption, doubleOption, tipsOption = "opens", "stock", "adhesive", "liner", "patternInside", "flapShape", "corner", "double", "foldTips"
)

// always are the wishes of a construction whose schools set none of them.
func always(names ...string) func(Spec) []string { return func(Spec) []string { return names } }
