package job

import (
	"cmp"

	"yellowparcel/core/mail"
	"yellowparcel/core/measure"
)

// Recipe is an envelope as somebody's note gives it: a sheet and its scores, in one of
// the forms that notes come in. What is not typed yet is zero.
type Recipe struct {
	Form RecipeForm `json:"form" maxLength:"20"`
	// Side1 and Side2 are the sheet; Side2 is as Side1 when it is zero, where the form has
	// a square.
	Side1 measure.Length `json:"side1"`
	Side2 measure.Length `json:"side2"`
	// Left, Right, Top and Bottom are the scores, as the form calls them; Wall the depth of
	// walls, Notch how deep the note's punch board notches.
	Left   measure.Length `json:"left"`
	Right  measure.Length `json:"right"`
	Top    measure.Length `json:"top"`
	Bottom measure.Length `json:"bottom"`
	Wall   measure.Length `json:"wall,omitempty"`
	Notch  measure.Length `json:"notch,omitempty"`
	// Corner is what the guide of the board that it was written for reads at the sheet's
	// corner: typed, or taken as it was found.
	Corner measure.Length `json:"corner,omitempty"`
	// ClaimWidth and ClaimHeight are the size that it says it is for, ClaimOf of what;
	// zero where it says nothing.
	ClaimWidth  measure.Length `json:"claimWidth,omitempty"`
	ClaimHeight measure.Length `json:"claimHeight,omitempty"`
	ClaimOf     Claim          `json:"claimOf,omitempty" maxLength:"20"`
	// Quoted is a postal limit that the note names, of the measure QuotedOf; zero
	// for none.
	Quoted   measure.Length `json:"quoted,omitempty"`
	QuotedOf mail.Measure   `json:"quotedOf,omitempty"`
	// Text is the note as it was pasted.
	Text string `json:"text,omitempty" maxLength:"600"`
}

// Claim is what a note says that it is for.
type Claim string

// What a note may be for.
const (
	ForCard     Claim = "card"
	ForFloor    Claim = "floor"    // of a box
	ForEnvelope Claim = "envelope" // between its creases
)

// Claims lists them.
func Claims() []Claim { return []Claim{ForCard, ForFloor, ForEnvelope} }

// For is what it says that it is for; the card when it does not say.
func (r Recipe) For() Claim { return cmp.Or(r.ClaimOf, ForCard) }

// QuotedMeasure is the measure of the limit that a note names: the height when it
// does not say.
func (r Recipe) QuotedMeasure() mail.Measure { return cmp.Or(r.QuotedOf, mail.Height) }

// RecipeForm is a way in which notes give an envelope.
type RecipeForm string

// The forms.
const (
	PairRecipe    RecipeForm = "pair"    // a square, both scores of a pair from one corner
	CornersRecipe RecipeForm = "corners" // a square, each score from its own corner
	PunchRecipe   RecipeForm = "punch"   // a square, its first mark on a punch board
	PocketRecipe  RecipeForm = "pocket"  // a pocket, each score from its edge
	EndRecipe     RecipeForm = "end"     // a pocket, flap and back from one end
	WallsRecipe   RecipeForm = "walls"   // a pocket with walls
	BoxRecipe     RecipeForm = "box"     // a box from a square, two readings from each corner
	SquareRecipe  RecipeForm = "square"  // a square alone, folded round the card
)

// RecipeKind is what is known of a form: what it is called, and what it asks for.
type RecipeKind struct {
	ID   RecipeForm
	Name string
	// Pocket ones are rectangles with straight scores; Cornered ones are scored from a
	// corner, where a board has an offset.
	Pocket, Cornered bool
	Asks             []RecipeAsk
}

// RecipeAsk is one length of a form, by the name of its field; Or is what stands for one
// that is left empty, by its name or in words.
type RecipeAsk struct{ Name, Label, Note string }

const squareToo = "empty for a square"

// recipeKinds are all forms, in the order in which they are offered.
var recipeKinds = []RecipeKind{
	{ID: PairRecipe, Name: "Square, both scores from one corner", Cornered: true, Asks: []RecipeAsk{
		{"side1", "Sheet", ""}, {"side2", "by", squareToo}, {"left", "Sides, near", ""}, {"right", "Sides, far", ""}, {"top", "Ends, near", "empty when as the sides"}, {"bottom", "Ends, far", "empty when as the sides"},
	}},
	{ID: CornersRecipe, Name: "Square, each from its corner", Cornered: true, Asks: []RecipeAsk{
		{"side1", "Sheet", ""}, {"side2", "by", squareToo}, {"left", "Left corner", ""}, {"right", "Right corner", "empty when as the left"}, {"top", "Top corner", "empty when as the left"}, {"bottom", "Bottom corner", "empty when as the top"},
	}},
	{ID: PunchRecipe, Name: "Square, punch board", Asks: []RecipeAsk{{"side1", "Sheet", ""}, {"left", "First mark", "along the edge"}, {"notch", "Notch depth", "empty for your board's"}}},
	{ID: PocketRecipe, Name: "Pocket, each from its edge", Pocket: true, Asks: []RecipeAsk{
		{"side1", "Width", ""}, {"side2", "Length", ""}, {"left", "Left tab", ""}, {"right", "Right tab", "empty when as the left"}, {"top", "Flap", ""}, {"bottom", "Back", ""},
	}},
	{ID: EndRecipe, Name: "Pocket, both scores from one end", Pocket: true, Asks: []RecipeAsk{
		{"side1", "Width", ""}, {"side2", "Length", ""}, {"left", "Left tab", ""}, {"right", "Right tab", "empty when as the left"}, {"top", "First score", "from the flap's end"}, {"bottom", "Second score", "from the same end"},
	}},
	{ID: WallsRecipe, Name: "Pocket with walls", Pocket: true, Asks: []RecipeAsk{
		{"side1", "Width", ""}, {"side2", "Length", ""}, {"left", "Left tab", ""}, {"right", "Right tab", "empty when as the left"}, {"top", "Flap", ""}, {"bottom", "Back", ""}, {"wall", "Walls, deep", "each score again, so much further in"},
	}},
	{ID: BoxRecipe, Name: "Box, two from each corner", Cornered: true, Asks: []RecipeAsk{
		{"side1", "Sheet", ""}, {"left", "Sides, wall", "the nearer one"}, {"right", "Sides, floor", ""}, {"top", "Ends, wall", "empty when as the sides"}, {"bottom", "Ends, floor", "empty when as the sides"},
	}},
	{ID: SquareRecipe, Name: "Square alone, round the card", Asks: []RecipeAsk{{"side1", "Sheet", ""}}},
}

// RecipeForms lists the forms.
func RecipeForms() (list []RecipeForm) {
	for _, k := range recipeKinds {
		list = append(list, k.ID)
	}
	return list
}

// Kind is what is known of a form; of the first where there is none of that name.
func (f RecipeForm) Kind() RecipeKind {
	for _, k := range recipeKinds {
		if k.ID == f {
			return k
		}
	}
	return recipeKinds[0]
}

// at is where one of its lengths is kept.
func (r *Recipe) at(name string) *measure.Length {
	return map[string]*measure.Length{
		"side1": &r.Side1, "side2": &r.Side2, "left": &r.Left, "right": &r.Right, "top": &r.Top, "bottom": &r.Bottom, "wall": &r.Wall, "notch": &r.Notch,
	}[name]
}

// Missing are the labels of what its form asks for and has not, and nothing stands for.
func (r Recipe) Missing() (list []string) {
	for _, a := range r.Form.Kind().Asks {
		if *r.at(a.Name) == 0 && !hasDefault(a.Note) {
			list = append(list, a.Label)
		}
	}
	return list
}

func hasDefault(note string) bool { return len(note) > 5 && note[:5] == "empty" }

// Whole is the recipe with what stands for what was left empty: a square's other side,
// ends as the sides.
func (r Recipe) Whole() Recipe {
	r.Side2 = cmp.Or(r.Side2, r.Side1)
	switch r.Form {
	case CornersRecipe:
		r.Right = cmp.Or(r.Right, r.Left)
		r.Top = cmp.Or(r.Top, r.Left)
		r.Bottom = cmp.Or(r.Bottom, r.Top)
	case PocketRecipe, EndRecipe, WallsRecipe:
		r.Right = cmp.Or(r.Right, r.Left)
	default:
		r.Top, r.Bottom = cmp.Or(r.Top, r.Left), cmp.Or(r.Bottom, r.Right)
	}
	return r
}
