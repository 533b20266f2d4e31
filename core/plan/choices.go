package plan

import (
	"yellowparcel/core/blank"
	"yellowparcel/core/card"
	"yellowparcel/core/mail"
	"yellowparcel/core/measure"
	"yellowparcel/core/paper"
)

// Choice is one thing that can be chosen, by what it is called.
type Choice struct {
	ID   string `json:"id"`
	Name string `json:"name"`
}

// Choices are what a screen offers to choose from in a shop.
type Choices struct {
	Folds        []Choice `json:"folds"`
	Schools      []Choice `json:"schools"`
	Stocks       []Choice `json:"stocks"`
	Adhesives    []Choice `json:"adhesives"`
	Destinations []Choice `json:"destinations"`
	Formats      []Choice `json:"formats"`
	// Borders are the habits of bordering a layer, by their width.
	Borders []BorderChoice `json:"borders"`
	Ticks   []TickChoice   `json:"ticks"`
	// Things are kinds of embellishments and inserts, Closures what closes an
	// envelope, Contents what may hurt.
	Things   []Choice `json:"things"`
	Closures []Choice `json:"closures"`
	Contents []Choice `json:"contents"`
	// Measures are what a rule may limit.
	Measures []Choice `json:"measures"`
	// Sheets, Surfaces, Grains and Patterns are for the shelf.
	Sheets   []Choice `json:"sheets"`
	Surfaces []Choice `json:"surfaces"`
	Grains   []Choice `json:"grains"`
	Patterns []Choice `json:"patterns"`
	Rooms    []Choice `json:"rooms"`
	// Sorts is what may matter when constructions are compared; Pockets are the
	// schools of the pocket.
	Sorts   []Choice `json:"sorts"`
	Pockets []Choice `json:"pockets"`
	// Boxes are the schools of a box from a square, Walls those of a box with a lid.
	Boxes []Choice `json:"boxes"`
	Walls []Choice `json:"walls"`
	// Flaps are the ends of a pocket's flap, DiamondFlaps those of a diamond's.
	Flaps        []Choice `json:"flaps"`
	DiamondFlaps []Choice `json:"diamondFlaps"`
}

// BorderChoice is a habit of bordering a layer.
type BorderChoice struct {
	ID    string         `json:"id"`
	Name  string         `json:"name"`
	Width measure.Length `json:"width"`
}

// TickChoice is a unit with one of its ticks.
type TickChoice struct {
	Unit measure.Unit   `json:"unit" enum:"in,mm"`
	Tick measure.Length `json:"tick"`
	Name string         `json:"name"`
}

var schoolNames = map[blank.School]string{
	blank.ExactSeam: "Exact seam", blank.DiagonalPlus: "Card's diagonal plus an inch", blank.NotchBoard: "Punch board",
}

// ChoicesIn lists what can be chosen in a shop.
func ChoicesIn(shop Shop) Choices {
	var c Choices
	for _, f := range card.Folds() {
		c.Folds = append(c.Folds, Choice{string(f), foldNames[f]})
	}
	for _, s := range blank.Schools() {
		name := schoolNames[s]
		if s == blank.DiagonalPlus && shop.Unit == measure.Millimetres {
			name = "Card's diagonal plus 25 mm"
		}
		c.Schools = append(c.Schools, Choice{string(s), name})
	}
	for _, off := range []bool{false, true} {
		gone := map[bool]string{true: " (off the shelf)"}[off]
		for _, s := range shop.Stocks {
			if s.Off == off {
				c.Stocks = append(c.Stocks, Choice{s.ID, s.Name + gone})
			}
		}
		for _, a := range shop.Adhesives {
			if a.Off == off {
				c.Adhesives = append(c.Adhesives, Choice{a.ID, a.Name + ", " + shop.Style().ShowUnit(a.Width) + gone})
			}
		}
	}
	for _, s := range shop.OnShelf() {
		c.Sheets = append(c.Sheets, Choice{s.ID, s.Name})
	}
	for _, s := range paper.Surfaces() {
		c.Surfaces = append(c.Surfaces, Choice{string(s), string(s)})
	}
	c.Grains = []Choice{{"", "not known"}, {string(paper.AlongLong), "long"}, {string(paper.AlongShort), "short"}}
	c.Patterns = []Choice{{"", "has no top"}, {string(paper.AlongLong), "up the long side"}, {string(paper.AlongShort), "up the short side"}}
	c.Sorts = []Choice{{string(LeastPaper), "Least paper"}, {string(Quickest), "Quickest"}, {string(Neatest), "Neatest"}, {string(Cheapest), "Cheapest to post"}}
	c.Flaps = []Choice{{string(blank.SquareFlap), "Square"}, {string(blank.PointedFlap), "Pointed"}, {string(blank.BluntFlap), "Pointed, tip cut off"}, {string(blank.RoundFlap), "Rounded"}}
	c.DiamondFlaps = []Choice{{string(blank.SquareFlap), "As the square gives it"}, {string(blank.BluntFlap), "Blunt"}, {string(blank.RoundFlap), "Rounded"}}
	c.Pockets = []Choice{{string(blank.ExactPocket), "Ease, seam and gap as wished"}, {string(blank.ThumbGapPocket), "1⁄4 ease, 1⁄2 thumb gap"}, {string(blank.ClosePocket), "1⁄8 ease, wide tabs"}}
	c.Boxes = []Choice{{string(blank.FullSquares), "Glue squares as high as the walls"}, {string(blank.LeastSquares), "The least square that closes"}}
	c.Walls = []Choice{{string(blank.TabbedWalls), "Single, held by tabs"}, {string(blank.HemmedWalls), "Double, hemmed over the tabs"}}
	c.Rooms = []Choice{{string(AsBlock), "As a block"}, {string(AsHeap), "As it lies"}}
	for _, b := range card.Borders() {
		c.Borders = append(c.Borders, BorderChoice{b.ID, b.Name + ", " + shop.Style().Show(b.Width), b.Width})
	}
	c.Formats = append(c.Formats, Choice{OwnEnvelope, "Measured with a ruler"})
	for _, f := range shop.Formats() {
		w, h := shop.Style().Show(f.Width), shop.Style().Show(f.Height)
		name := f.Name + ": " + w + " × " + h
		if f.Owned {
			name += ", on your shelf"
		}
		c.Formats = append(c.Formats, Choice{f.ID, name})
	}
	for _, t := range paper.Things() {
		c.Things = append(c.Things, Choice{t.ID, t.Name})
	}
	for _, k := range paper.Closures() {
		c.Closures = append(c.Closures, Choice{k.ID, k.Name})
	}
	for _, k := range paper.Cautions() {
		c.Contents = append(c.Contents, Choice{string(k), cautionNames[k]})
	}
	for _, k := range mail.Measures() {
		c.Measures = append(c.Measures, Choice{string(k), measureNames[k]})
	}
	for _, b := range shop.Books() {
		c.Destinations = append(c.Destinations, Choice{b.ID, b.Region + ", " + b.Service})
	}
	c.Destinations = append(c.Destinations, Choice{ByHand, "By hand"})
	for _, own := range shop.Rulebooks {
		if own.Off { // an old job still goes there
			c.Destinations = append(c.Destinations, Choice{own.File.ID, own.File.Region + ", " + own.File.Service + " (put away)"})
		}
	}
	for _, u := range []measure.Unit{measure.Inches, measure.Millimetres} {
		for _, t := range measure.Ticks(u) {
			c.Ticks = append(c.Ticks, TickChoice{u, t, measure.Style{Unit: u, Tick: t}.ShowUnit(t)})
		}
	}
	return c
}
