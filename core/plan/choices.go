package plan

import (
	"strings"

	"yellowparcel/core/blank"
	"yellowparcel/core/card"
	"yellowparcel/core/envelope"
	"yellowparcel/core/mail"
	"yellowparcel/core/measure"
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
	for _, s := range shop.Stocks {
		c.Stocks = append(c.Stocks, Choice{s.ID, s.Name})
	}
	for _, a := range shop.Adhesives {
		c.Adhesives = append(c.Adhesives, Choice{a.ID, a.Name + ", " + shop.Style().ShowUnit(a.Width)})
	}
	for _, b := range card.Borders() {
		c.Borders = append(c.Borders, BorderChoice{b.ID, b.Name + ", " + shop.Style().Show(b.Width), b.Width})
	}
	c.Formats = append(c.Formats, Choice{OwnEnvelope, "Measured with a ruler"})
	for _, f := range envelope.Formats() {
		w, h := shop.Style().Show(f.Width), shop.Style().Show(f.Height)
		c.Formats = append(c.Formats, Choice{f.ID, f.Name + ": " + w + " × " + h})
	}
	for _, b := range mail.Rulebooks() {
		c.Destinations = append(c.Destinations, Choice{b.ID, b.Region + ", " + b.Service})
	}
	c.Destinations = append(c.Destinations, Choice{ByHand, "By hand"})
	for _, u := range []measure.Unit{measure.Inches, measure.Millimetres} {
		for _, t := range measure.Ticks(u) {
			c.Ticks = append(c.Ticks, TickChoice{u, t, measure.Style{Unit: u, Tick: t}.ShowUnit(t)})
		}
	}
	return c
}

// Fields are the inputs of a shop as the screen shows them, by path.
type Fields map[string]Field

// ShopFields are the lengths of the shop that are typed.
func ShopFields(shop Shop) Fields {
	style := shop.Style()
	return Fields{
		"tools.cornerAt":   {Text: style.Show(shop.Tools.CornerAt)},
		"tools.notchDepth": {Text: style.Show(shop.Tools.NotchDepth)},
	}
}

// ApplyToShop carries out edits on a copy of the shop; what cannot be used is
// left as it was and reported.
func ApplyToShop(shop Shop, edits []Edit) (Shop, []Problem) {
	var problems []Problem
	for _, e := range edits {
		var at *measure.Length
		switch e.Path {
		case "tools.cornerAt":
			at = &shop.Tools.CornerAt
		case "tools.notchDepth":
			at = &shop.Tools.NotchDepth
		}
		if at == nil || e.Text == nil {
			problems = append(problems, Problem{Path: e.Path, Message: "There is no field “" + clip(e.Path) + "” to type in a shop."})
			continue
		}
		// The corner may sit before the guide's zero, so here a minus counts.
		text, negative := *e.Text, false
		if e.Path == "tools.cornerAt" {
			bare := strings.TrimSpace(strings.NewReplacer("−", "-", "–", "-").Replace(text))
			text, negative = strings.CutPrefix(bare, "-")
		}
		l, err := measure.Parse(text, shop.Unit)
		if err != nil {
			problems = append(problems, Problem{Path: e.Path, Message: err.Error()})
			continue
		}
		if *at = l; negative {
			*at = -l
		}
	}
	return shop, problems
}
