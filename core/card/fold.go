package card

import (
	"slices"

	"yellowparcel/core/measure"
	"yellowparcel/core/say"
)

// Fold names a way of folding a base.
type Fold string

// The folds that ship, and none.
const (
	SideFold  Fold = "side"      // opens like a book
	TopFold   Fold = "top"       // stands like a tent
	GateFold  Fold = "gate"      // two doors that meet in the middle
	Accordion Fold = "accordion" // panels to and fro
	RollFold  Fold = "roll"      // three panels, one folded in first
	FlatCard  Fold = "flat"      // not folded
)

// kinds are all folds, in the order they are offered: each is a value in a file of its
// own.
var kinds = []*Kind{&side, &top, &gate, &accordion, &roll, &flatCard}

// Kind is a way of folding a base: all that the program knows of it. Whoever adds one
// writes such a value and names it in the list above.
type Kind struct {
	ID    Fold
	Words Words
	// Across is set where the scores run across and the panels lie one below the
	// other; Unfolded where there is no fold and so no inside.
	Across, Unfolded bool
	// Usual ones are set beside the card's own fold wherever folds are compared.
	Usual bool
	// Panels are the widths (heights, when Across) of its panels in order, outside up,
	// and Layers how many lie on each other when the card is closed.
	Panels func(Spec) []measure.Length
	Layers func(Spec) int
	// Inside reports whether a score is made with the inside up and folded the other
	// way; nil where none is.
	Inside func(score int) bool
	// Options are the names of the fields of a card that it asks for besides its size.
	Options func(Spec) []string
	// Asked are lengths that it alone asks for; a spec holds them by their names.
	Asked []measure.Asked
	// Lengths are what else of a base is told, by the names of slots; nil for nothing.
	Lengths func(Base) map[string]measure.Length
}

// Words are what is said of a fold. The slots of its clauses are the size, where it is
// scored on either face and from which edge, and its own lengths.
type Words struct {
	Name string
	// Opens says how it opens.
	Opens string
	// Sentence says how it is cut and scored, Drawing what its drawing shows.
	Sentence, Drawing []say.Clause
	// Panels are what the panels of a base are called, outside up.
	Panels func(panels int) []string
	// Notes are what the trade knows of it.
	Notes []say.Clause
}

// Folds lists every fold in the order it is offered.
func Folds() []Fold {
	list := make([]Fold, len(kinds))
	for i, k := range kinds {
		list[i] = k.ID
	}
	return list
}

// Valid reports whether f is a known fold.
func (f Fold) Valid() bool {
	return slices.ContainsFunc(kinds, func(k *Kind) bool { return k.ID == f })
}

// Kind is what is known of a fold; of the side fold where it is none.
func (f Fold) Kind() *Kind {
	for _, k := range kinds {
		if k.ID == f {
			return k
		}
	}
	return kinds[0]
}

// Register adds a fold to those that are offered, and returns what takes it off again:
// for tests, which are to find that nothing else need be done.
func Register(k *Kind) (remove func()) {
	before := kinds
	kinds = append(kinds[:len(before):len(before)], k)
	return func() { kinds = before }
}

// scored says how a base with scores is cut and scored.
var scored = []say.Clause{
	say.Unless("inside,towards", "Cut [{size}]. Outside up, score at [{outside}] from the {edge}. Fold away from the groove: {opens}."),
	{Text: "Cut [{size}]. Inside up, score at [{mirrored}] from the {edge}. Fold towards the groove: {opens}.", If: "towards", Unless: "inside"},
	say.Always("Cut [{size}]. Outside up, score at [{outside}] from the {edge}. Turn it over and score at [{inside}] from the same edge."),
}

// panelled is what the drawing of a base with scores shows.
var panelled = []say.Clause{say.Always("The base lying flat, {size} {unit}, with {scores} running {line}. Its panels from the {edge}: {panels}.")}

// called are names of panels that are always the same.
func called(names ...string) func(int) []string { return func(int) []string { return names } }

// halves are two equal panels, or with a spine between them.
func halves(side, spine measure.Length) []measure.Length {
	if spine > 0 {
		return []measure.Length{side, spine, side}
	}
	return []measure.Length{side, side}
}

// frontAndBack are what the panels of such a base are called.
func frontAndBack(panels int) []string {
	if panels == 3 {
		return []string{"back", "spine", "front"}
	}
	return []string{"back", "front"}
}

func always(names ...string) func(Spec) []string { return func(Spec) []string { return names } }

func layers(n int) func(Spec) int { return func(Spec) int { return n } }
