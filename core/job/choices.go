package job

import (
	"cmp"
	"fmt"
	"slices"

	"yellowparcel/core/blank"
	"yellowparcel/core/card"
	"yellowparcel/core/envelope"
	"yellowparcel/core/field"
	"yellowparcel/core/mail"
	"yellowparcel/core/mat"
	"yellowparcel/core/measure"
	"yellowparcel/core/paper"
)

func measureName(m mail.Measure) string { return m.Words().Name }

// UsualClosure is what closes an envelope where nothing is chosen.
const UsualClosure = "gum"

// What the lists of a shop know.

func stockList(shop Shop) field.List {
	return field.List{Name: "stocks", Knows: func(id string) bool { return hasStock(shop, id) }}
}

func adhesiveList(shop Shop) field.List {
	return field.List{Name: "adhesives", Knows: func(id string) bool { _, ok := shop.Adhesive(id); return ok }}
}

func sheetList(shop Shop) field.List {
	return field.List{Name: "sheets", Knows: func(id string) bool { _, ok := shop.Sheet(id); return ok }}
}

func matList(shop Shop) field.List {
	return field.List{Name: "mats", Knows: func(id string) bool {
		return slices.ContainsFunc(shop.Mats, func(m mat.Mat) bool { return m.ID == id })
	}}
}

func formatList(shop Shop) field.List {
	return field.List{Name: "formats", Knows: func(id string) bool { _, ok := (Start{Format: id}).In(shop); return ok }}
}

func destinationList(shop Shop) field.List {
	return field.List{Name: "destinations", Knows: func(id string) bool { _, ok := shop.Book(id); return ok || id == ByHand }}
}

// classList are the classes of a rulebook.
func classList(shop Shop, book string) field.List {
	return field.List{Name: classesOf(book), Knows: func(id string) bool {
		b, _ := shop.Book(book)
		for _, c := range b.Classes {
			if c.ID == id {
				return true
			}
		}
		return false
	}}
}

// The names of the lists of a rulebook's classes: of all, and of those that a piece
// may be wanted to go as at least.
func classesOf(book string) string { return "classes." + book }
func leastOf(book string) string   { return "least." + book }

// waysOf names the list of the ways of scoring a construction.
func waysOf(id blank.ID) string { return "ways." + string(id) }

// wayList are the ways of scoring a construction; what was chosen for another one is
// let be.
func wayList(of blank.ID) field.List {
	return field.List{Name: waysOf(of), Knows: func(id string) bool {
		for _, k := range blank.Constructions() {
			if slices.ContainsFunc(k.Ways, func(w blank.WayKind) bool { return string(w.ID) == id }) {
				return true
			}
		}
		return false
	}}
}

// leastList are the classes that a piece may be wanted to go as at least.
func leastList(shop Shop, book string) field.List {
	return field.List{Name: leastOf(book), Knows: classList(shop, book).Knows}
}

func closureList() field.List {
	return field.List{Name: "closures", Knows: func(id string) bool { _, ok := paper.ClosureByID(id); return ok && id != "" }}
}

// Choices are what can be chosen in a shop, by the name of the list: what fields
// are set to, and what may be added.
type Choices map[string][]field.Choice

func named[T ~string](list []T, name func(T) string) []field.Choice {
	out := make([]field.Choice, len(list))
	for i, id := range list {
		out[i] = field.Choice{ID: string(id), Name: name(id)}
	}
	return out
}

// words are the choices of a list that is the same in every shop.
func words(pairs ...string) (list []field.Choice) {
	for i := 0; i < len(pairs); i += 2 {
		list = append(list, field.Choice{ID: pairs[i], Name: pairs[i+1]})
	}
	return list
}

// ChoicesIn lists what can be chosen in a shop.
func ChoicesIn(shop Shop) Choices {
	c := Choices{
		"folds":         named(card.Folds(), func(f card.Fold) string { return f.Kind().Words.Name }),
		"constructions": named(blank.IDs(), func(id blank.ID) string { return blank.ByID(id).Words.Name }),
		"contents":      named(paper.Cautions(), CautionName),
		"measures":      named(mail.Measures(), measureName),
		"limits":        named(quotable(), measureName),
		"colours":       append(words("", "not said"), named(paper.Colours(), func(c paper.Colour) string { return string(c) })...),
		"motifs":        append(words("", "none"), named(paper.Motifs()[1:], func(m paper.Motif) string { return string(m) })...),
		"surfaces":      named(paper.Surfaces(), func(s paper.Surface) string { return string(s) }),
		"rooms":         words(string(AsBlock), "Thick all over", string(AsHeap), "Thick in places"),
		"sorts":         words(string(LeastPaper), "Least paper", string(Quickest), "Quickest", string(Neatest), "Neatest", string(Cheapest), "Cheapest to post"),
		"pockets":       words(string(blank.ExactPocket), "Ease, seam and gap as typed", string(blank.ThumbGapPocket), "1⁄4 ease, 1⁄2 finger gap", string(blank.ClosePocket), "1⁄8 ease, wide tabs"),
		"boxes":         words(string(blank.FullSquares), "Corner squares, wall height", string(blank.LeastSquares), "The least square"),
		"walls":         words(string(blank.TabbedWalls), "Single, held by tabs", string(blank.HemmedWalls), "Double, hemmed over the tabs"),
		"flaps":         words(string(blank.SquareFlap), "Square", string(blank.PointedFlap), "Pointed", string(blank.BluntFlap), "Pointed, tip cut off", string(blank.RoundFlap), "Rounded"),
		"diamondFlaps":  words(string(blank.SquareFlap), "As the square gives it", string(blank.BluntFlap), "Blunt", string(blank.RoundFlap), "Rounded"),
		"tips":          words(field.No, "cut off", field.Yes, "folded in"),
		"places":        words(field.No, "in the middle", field.Yes, "lower, tip at the side points"),
		"sides":         words(field.No, "outside", field.Yes, "inside"),
		"states":        words(field.No, "still to make", field.Yes, "finished"),
		"onlys":         words(string(OnlyEnvelope), "the envelope", string(OnlyLayers), "the layers", string(OnlyBase), "the base"),
		"addressSides":  words(field.No, "along the long edge", field.Yes, "along the short edge"),
		"opens":         words("", "as proposed", string(envelope.LongSide), "long side", string(envelope.ShortSide), "short side"),
		"ownOpens":      words(string(envelope.LongSide), "the long side", string(envelope.ShortSide), "the short side"),
		"throughs":      words("", "not tried", string(Freely), "freely", string(Tightly), "tightly", string(NotAll), "not at all"),
		"grains":        words("", "not known", string(paper.AlongLong), "long", string(paper.AlongShort), "short"),
		"patterns":      words("", "has no top", string(paper.AlongLong), "up the long side", string(paper.AlongShort), "up the short side"),
		"printPages":    words(string(LetterPage), "Letter", string(A4Page), "A4"),
		"fileUnits":     words(string(InMillimetres), "millimetres", string(In96), "96 an inch", string(In72), "72 an inch"),
		"scoreLines":    words(string(SolidScores), "one line", string(DashedScores), "dashes", string(SlitScores), "short cuts"),
		"cutterUses":    words(string(CutsShapes), "scored or shaped papers", string(CutsAll), "all that fits the mat"),
		"baseFolds":     words(string(ScoredBases), "scored", string(EdgeBases), "folded edge to edge"),
		"owned":         words(field.Yes, "yes", field.No, "no"),
		"units":         words(string(measure.Inches), "inches", string(measure.Millimetres), "millimetres"),
		"recipes":       named(RecipeForms(), func(f RecipeForm) string { return f.Kind().Name }),
		"claims":        words(string(ForCard), "a card", string(ForFloor), "a box's floor", string(ForEnvelope), "an envelope"),
		"sizings":       words("", "the same border all round", "edges", "each edge its own border", "own", "a size of my own"),
		"papers":        words(string(LayerPart), "Put a layer on top", string(LinerPart), "Put a liner inside"),
		"prices":        words(addPrice, "Another price", addSurcharge, "A surcharge"),
	}
	for _, st := range Stations() {
		c["stations"] = append(c["stations"], st.Choice)
		c["drawers."+st.ID] = st.Drawers
	}
	for _, k := range blank.Constructions() {
		for _, w := range k.Ways {
			c[waysOf(k.ID)] = append(c[waysOf(k.ID)], field.Choice{ID: string(w.ID), Name: w.Name})
		}
	}
	c["schools"] = named(blank.Schools(), func(s blank.School) string { return schoolName(s, shop.Unit) })
	c.addShelf(shop)
	c.addRules(shop)
	style := shop.Style()
	for _, b := range card.Borders(shop.Unit) {
		c["borders"] = append(c["borders"], field.Choice{ID: b.ID, Name: b.Name + ", " + style.Show(b.Width)})
	}
	for _, t := range paper.Things() {
		c["things"] = append(c["things"], field.Choice{ID: t.ID, Name: t.Name})
	}
	for _, k := range paper.Closures() {
		c["closures"] = append(c["closures"], field.Choice{ID: cmp.Or(k.ID, UsualClosure), Name: k.Name})
	}
	for _, k := range itemKinds {
		c["items"] = append(c["items"], field.Choice{ID: k.id, Name: k.name})
	}
	for _, s := range styles() {
		c["styles"] = append(c["styles"], field.Choice{ID: styleID(s), Name: "to " + s.ShowUnit(s.Tick)})
		if s.Unit == measure.Inches {
			c["ticksInches"] = append(c["ticksInches"], field.Choice{ID: tickID(s.Tick), Name: s.ShowUnit(s.Tick)})
		} else {
			c["ticksMillimetres"] = append(c["ticksMillimetres"], field.Choice{ID: tickID(s.Tick), Name: s.ShowUnit(s.Tick)})
		}
	}
	return c
}

var schoolNames = map[blank.School]string{
	blank.ExactSeam: "Exact seam", blank.DiagonalPlus: "Card's diagonal plus an inch", blank.NotchBoard: "Punch board",
}

func schoolName(s blank.School, unit measure.Unit) string {
	if s == blank.DiagonalPlus && unit == measure.Millimetres {
		return "Card's diagonal plus 25 mm"
	}
	return schoolNames[s]
}

// addShelf are papers, adhesives, sheets and envelopes; what was taken off the shelf
// comes last, since an old job may still go by it.
func (c Choices) addShelf(shop Shop) {
	style := shop.Style()
	for _, off := range []bool{false, true} {
		gone := map[bool]string{true: " (off the shelf)"}[off]
		for _, s := range shop.Stocks {
			if s.Off == off {
				c["stocks"] = append(c["stocks"], field.Choice{ID: s.ID, Name: s.Name + gone})
			}
		}
		for _, a := range shop.Adhesives {
			if a.Off == off {
				c["adhesives"] = append(c["adhesives"], field.Choice{ID: a.ID, Name: a.Name + ", " + style.ShowUnit(a.Width) + gone})
			}
		}
	}
	c["liners"] = append(words("", "none"), c["stocks"]...)
	c["sheets"] = []field.Choice{}
	for _, s := range shop.OnShelf() {
		c["sheets"] = append(c["sheets"], field.Choice{ID: s.ID, Name: s.Name})
	}
	c["mats"] = words("", "none")
	for i, m := range OnMats(shop) {
		name := fmt.Sprintf("%s, %s × %s", m.Name, style.Show(m.Width), style.Show(m.Height))
		if i == 0 {
			c["mats"][0].Name = name + ", the usual one"
		}
		c["mats"] = append(c["mats"], field.Choice{ID: m.ID, Name: name})
	}
	c["layerPapers"] = append(words("", "as the paper below"), c["stocks"]...)
	c["kept"] = append(words("", "any sheet"), c["sheets"]...)
	c["formats"] = words(OwnEnvelope, "Measured with a ruler")
	for _, f := range shop.Formats() {
		name := fmt.Sprintf("%s: %s × %s", f.Name, style.Show(f.Width), style.Show(f.Height))
		if f.Owned {
			name += ", on your shelf"
		}
		c["formats"] = append(c["formats"], field.Choice{ID: f.ID, Name: name})
	}
	c["bought"] = append(words("", "the fittest"), c["formats"]...)
}

// addRules are destinations, and the classes of each.
func (c Choices) addRules(shop Shop) {
	classes := func(b mail.Rulebook) {
		list := []field.Choice{}
		for _, k := range b.Classes {
			list = append(list, field.Choice{ID: k.ID, Name: k.Name})
		}
		c[classesOf(b.ID)], c[leastOf(b.ID)] = list, append(words("", "the cheapest"), list...)
	}
	c[leastOf(ByHand)] = words("", "the cheapest")
	for _, b := range shop.Books() {
		c["destinations"] = append(c["destinations"], field.Choice{ID: b.ID, Name: b.Region + ", " + b.Service})
		classes(b)
	}
	c["destinations"] = append(c["destinations"], field.Choice{ID: ByHand, Name: "By hand"})
	for _, own := range shop.Rulebooks {
		if own.Off { // an old job still goes there
			c["destinations"] = append(c["destinations"], field.Choice{ID: own.File.ID, Name: own.File.Region + ", " + own.File.Service + " (put away)"})
			if b, err := own.File.Rulebook(); err == nil {
				classes(b)
			}
		}
	}
}
