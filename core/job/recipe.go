package job

import (
	"yellowparcel/core/blank"
	"yellowparcel/core/mail"
	"yellowparcel/core/measure"
)

// Recipe is a diamond or a pocket as somebody's note gives it.
type Recipe struct {
	Side1 measure.Length `json:"side1"`
	Side2 measure.Length `json:"side2"`
	// Paired says that both scores of a pair are read from one corner: Left and
	// Right are then near and far of the sides, Top and Bottom those of the others.
	Paired bool           `json:"paired"`
	Left   measure.Length `json:"left"`
	Right  measure.Length `json:"right"`
	Top    measure.Length `json:"top"`
	Bottom measure.Length `json:"bottom"`
	// Pocket says that it is a tabbed pocket: Side1 and Side2 are then width and
	// length of its sheet, Left and Right the tabs, Top the flap and Bottom the
	// back, each from the edge next to it.
	Pocket bool `json:"pocket,omitempty"`
	// Quoted is a postal limit that the note names, of the measure QuotedOf; zero
	// for none.
	Quoted   measure.Length `json:"quoted,omitempty"`
	QuotedOf mail.Measure   `json:"quotedOf,omitempty"`
}

func (r Recipe) Blank() blank.Recipe {
	return blank.Recipe{Side1: r.Side1, Side2: r.Side2, Paired: r.Paired, Left: r.Left, Right: r.Right, Top: r.Top, Bottom: r.Bottom}
}

// quotedOf is the measure of the limit that a note names: the height when it
// does not say.
func (r Recipe) QuotedMeasure() mail.Measure {
	if r.QuotedOf == "" {
		return mail.Height
	}
	return r.QuotedOf
}

// The ways in which a recipe gives its scores.
const (
	PairRecipe    = "pair"
	CornersRecipe = "corners"
	PocketRecipe  = "pocket"
)

// Scores names the way in which it gives its scores.
func (r Recipe) Scores() string {
	switch {
	case r.Pocket:
		return PocketRecipe
	case r.Paired:
		return PairRecipe
	}
	return CornersRecipe
}

// AsPocket is the recipe of a pocket.
func (r Recipe) AsPocket() blank.PocketRecipe {
	return blank.PocketRecipe{Width: r.Side1, Length: r.Side2, Left: r.Left, Right: r.Right, Flap: r.Top, Bottom: r.Bottom}
}
