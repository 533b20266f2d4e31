package job

import (
	"maps"
	"slices"
	"strings"

	"yellowparcel/core/blank"
	"yellowparcel/core/card"
	"yellowparcel/core/envelope"
	"yellowparcel/core/field"
	"yellowparcel/core/mail"
	"yellowparcel/core/measure"
	"yellowparcel/core/paper"
	"yellowparcel/core/say"
)

// The bounds of what is typed.
const (
	LeastCard = 25 * measure.Millimetre
	MostCard  = measure.Metre
	MostCount = 10_000
	MostParts = 60
	// MostItems is how many things may be laid on a panel: every set of them is looked
	// at.
	MostItems = 8

	mostName  = 80
	mostGrams = 5000.0
	// leastPanel is the narrowest panel that can be folded.
	leastPanel = measure.Inch / 4
	leastThing = measure.Millimetre / 2
)

// UsualSliver is what tabs, back and flap of a pocket taper by: 1/32 in, or 1 mm.
func UsualSliver(unit measure.Unit) measure.Length {
	if unit == measure.Millimetres {
		return measure.Millimetre
	}
	return measure.Inch / 32
}

// Fields is the one table of what of a job is typed and chosen. The fields point
// into the job, which must be a copy of its own where they are to be changed.
func (j *Job) Fields(shop Shop) []field.Field {
	return slices.Concat(j.cardFields(shop), j.partFields(shop), j.envelopeFields(shop), j.mailFields(shop), j.startFields(shop), j.recipeFields())
}

// Inputs are the fields of a job as the screen shows them.
func (j Job) Inputs(shop Shop) field.Inputs {
	style, list := shop.Style(), field.Inputs{}
	for _, f := range j.Fields(shop) {
		list[f.Path] = f.Input(style)
	}
	return list
}

// length is a field of a length from nothing to a most.
func length(path, label, note string, at *measure.Length, most measure.Length) field.Field {
	return field.Field{Path: path, Label: label, Note: note, Value: &field.Length{At: at, Most: most}}
}

func (j *Job) cardFields(shop Shop) []field.Field {
	c := &j.Card
	list := []field.Field{
		{Path: "name", Label: "Name", Value: &field.Word{At: &j.Name, Most: mostJobName, Needed: true}},
		{Path: "count", Label: "Cards to make", Value: &field.Count{At: &j.Count, Least: 1, Most: MostCount, Things: "cards"}},
		{Path: "card.width", Label: "Width", Name: "card width", Value: &field.Length{At: &c.Width, Least: LeastCard, Most: MostCard, Empty: c.Width == 0, Zero: c.Width == 0}},
		{Path: "card.height", Label: "Height", Name: "card height", Value: &field.Length{At: &c.Height, Least: LeastCard, Most: MostCard, Empty: c.Height == 0, Zero: c.Height == 0}},
		{Path: "card.thickness", Label: "Thickness, closed", Name: "thickness", Value: &field.Length{Absent: &c.Thickness, Least: 10 * measure.Micrometre, Most: MostCard, Fine: true}, Then: func() { c.ThicknessOf = 0 }},
		{Path: "card.made", Label: "The card", Value: &field.Flag{At: &c.Made, List: "states"}},
		{Path: "card.grams", Label: "Weight, card alone", Note: "empty for the sums", Value: &field.Weight{At: &c.Grams, Most: mostGrams, Empty: true, Ounces: true}},
		{Path: "card.fold", Label: "Fold", Value: &field.One[card.Fold]{At: &c.Fold, List: field.ListOf("folds", card.Folds())}},
		{Path: "card.panels", Label: "Panels", Value: &field.Count{At: &c.Panels, Least: card.LeastPanels, Most: card.MostPanels, Things: "panels", Or: UsualPanels}},
		{
			Path: "card.own", Label: "Panel widths", Note: "where they differ: 5, 5, 4 1/2; with their sum if the note gives it: = 14 1/2",
			Value: &field.Lengths{At: &c.Own, Fits: func(list []measure.Length) error { return c.PanelsFit(list, shop.Style()) }},
		},
		length("card.spine", "Spine width", "0 for one score; as thick as what the card closes round", &c.Spine, 4*measure.Inch),
		length("card.overWidth", "Overhang, width", "a bow or a tag, both edges together", &c.OverWidth, MostCard/2),
		length("card.overHeight", "Overhang, height", "", &c.OverHeight, MostCard/2),
		{Path: "card.room", Label: "Thickness counts", Value: &field.One[Room]{At: &c.Room, List: field.ListOf("rooms", []Room{AsBlock, AsHeap}), Or: AsBlock, Told: "“%s” is no way to count thickness: choose block or heap."}},
		{Path: "card.towards", Label: "Score inside up", Value: &field.Flag{At: &c.Towards}},
		{Path: "paper.have", Label: "Your sheet", Value: &field.One[string]{At: &j.Paper.Have, List: sheetList(shop), None: true, Gone: true}},
		{Path: "paper.mat", Label: "Mat", Value: &field.One[string]{At: &j.Paper.Mat, List: matList(shop), None: true, Gone: true}},
		{Path: "paper.alongGrain", Label: "Fold along grain", Value: &field.Flag{At: &j.Paper.AlongGrain}},
		{Path: "paper.only", Label: "Make only", Value: &field.One[Only]{At: &j.Paper.Only, List: field.ListOf("onlys", Onlys()), None: true}},
		{Path: "paper.noBlanks", Label: "Leave envelopes out", Value: &field.Flag{At: &j.Paper.NoBlanks}},
	}
	list = append(list, askedFields("card.", c.Fold.Kind().Asked, &c.Asked)...)
	return append(list, j.sheetFields(shop)...)
}

// PanelsFit refuses panels that make no accordion.
func (c Card) PanelsFit(list []measure.Length, s measure.Style) error {
	if n := len(list); n < card.LeastPanels || n > card.MostPanels {
		return say.Refuse("An accordion has from %d to %d panels, and these are %d: type their widths parted by commas.", card.LeastPanels, card.MostPanels, n)
	}
	for i, p := range list {
		switch {
		case p < leastPanel:
			return say.Refuse("Panel %d is %s wide: too narrow to fold.", i+1, s.ShowUnit(p))
		case c.Width > 0 && p > c.Width:
			return say.Refuse("Panel %d of %s is wider than the card, %s: it would stick out when the card is closed.", i+1, s.ShowUnit(p), s.ShowUnit(c.Width))
		}
	}
	return nil
}

// sheetFields are the sheets that are chosen for the job's papers.
func (j *Job) sheetFields(shop Shop) (list []field.Field) {
	stocks := []string{j.Envelope.Stock, j.Envelope.Liner}
	for _, p := range j.Parts {
		stocks = append(stocks, p.Stock)
	}
	slices.Sort(stocks)
	for _, id := range slices.Compact(stocks) {
		if id == "" {
			continue
		}
		sheet := j.Paper.Sheets[id]
		list = append(list, field.Field{
			Path: "paper.sheets." + id, Label: "Cut from",
			Value: &field.One[string]{At: &sheet, List: sheetList(shop), None: true, Gone: true},
			Then: func() {
				j.Paper.Sheets = maps.Clone(j.Paper.Sheets)
				if j.Paper.Sheets == nil {
					j.Paper.Sheets = map[string]string{}
				}
				if j.Paper.Sheets[id] = sheet; sheet == "" {
					delete(j.Paper.Sheets, id)
				}
			},
		})
	}
	return list
}

func (j *Job) envelopeFields(shop Shop) []field.Field {
	e := &j.Envelope
	pick := func(path, label string, v field.Value) field.Field {
		return field.Field{Path: "envelope." + path, Label: label, Value: v}
	}
	k := blank.ByID(j.Construction())
	from := field.One[string]{At: &e.From, List: field.List{Name: "bought", Knows: formatList(shop).Knows}, None: true, Gone: true}
	flaps := field.ListOf("flaps", blank.FlapShapes())
	if k.OnPoint {
		flaps.Name = "diamondFlaps"
	}
	list := []field.Field{
		pick("construction", "Envelope type", &field.One[blank.ID]{At: &e.Construction, List: field.ListOf("constructions", blank.IDs()), Or: blank.DiamondID}),
		pick("sort", "Sort by", &field.One[CompareSort]{At: &e.Sort, List: field.ListOf("sorts", compareSorts()), Or: LeastPaper, Gone: true}),
		pick("school", "Size by", &field.One[blank.School]{At: &e.School, List: field.ListOf("schools", blank.Schools())}),
		pick("way", "Scoring", &field.One[blank.WayID]{At: &e.Way, List: wayList(k.ID), None: true}),
		pick("pocket", "Size by", &field.One[blank.PocketSchool]{At: &e.Pocket, List: field.ListOf("pockets", blank.PocketSchools()), Or: blank.ExactPocket}),
		pick("box", "Square", &field.One[blank.BoxSchool]{At: &e.Box, List: field.ListOf("boxes", blank.BoxSchools()), Or: blank.FullSquares}),
		pick("walls", "Side walls", &field.One[blank.WallSchool]{At: &e.Walls, List: field.ListOf("walls", blank.WallSchools()), Or: blank.TabbedWalls}),
		pick("stock", "Paper", &field.One[string]{At: &e.Stock, List: stockList(shop), Gone: true}),
		pick("adhesive", "Adhesive", &field.One[string]{At: &e.Adhesive, List: adhesiveList(shop), Gone: true}),
		pick("liner", "Liner", &field.One[string]{At: &e.Liner, List: field.List{Name: "liners", Knows: stockList(shop).Knows}, None: true, Gone: true}),
		{Path: "envelope.from", Label: "Bought envelope", Value: &from, Then: func() { e.measureAs(j.Card) }},
		pick("opens", "Opens on", &field.One[envelope.Side]{At: &e.Opens, List: field.ListOf("opens", envelope.Sides()), None: true}),
		pick("flapShape", "Flap ends", &field.One[blank.FlapShape]{At: &e.FlapShape, List: flaps, Or: blank.SquareFlap}),
		pick("foldTips", "Long tips are", &field.Flag{At: &e.FoldTips, List: "tips"}),
		pick("low", "It lies", &field.Flag{At: &e.Low, List: "places"}),
		pick("patternInside", "Pattern shows", &field.Flag{At: &e.PatternInside, List: "sides"}),
		pick("tabsOnBack", "Tabs on back", &field.Flag{At: &e.TabsOnBack}),
		pick("double", "Double creases", &field.Flag{At: &e.Double}),
		pick("oneSide", "Cut one side", &field.Flag{At: &e.OneSide}),
		pick("mailable", "Plain rectangle", &field.Flag{At: &e.Mailable}),
		length("envelope.ease", "Ease wanted", "room round the card, both sides together", &e.Ease, 2*measure.Inch),
		{Path: "envelope.seam", Label: "Seam wanted", Note: "overlap to be glued", Value: &field.Length{At: &e.Seam, Least: measure.Millimetre, Most: 4 * measure.Inch}},
		length("envelope.thumbGap", "Finger gap", "back stays below the throat", &e.ThumbGap, 4*measure.Inch),
		length("envelope.flap", k.Words.Flap, k.Words.FlapNote, &e.Flap, 12*measure.Inch),
		length("envelope.depth", "Wall depth", "at least; the card asks for its thickness and "+shop.Style().ShowUnit(blank.WallOver), &e.Depth, 8*measure.Inch),
		length("envelope.corner", "Round corners", "radius, of flaps and back; 0 for none", &e.Corner, 3*measure.Inch),
		length("envelope.notch", "Finger notch", "radius, in the back; 0 for none", &e.Notch, 2*measure.Inch),
		{Path: "envelope.sliver", Label: "Taper", Note: "of tabs, back and flap at the free edge, so that nothing peeks out", Value: &field.Length{At: &e.Sliver, Least: measure.Inch / 128, Most: measure.Inch / 8, Fine: true, Or: UsualSliver(shop.Unit)}},
	}
	if e.From == OwnEnvelope {
		list = append(list, ownEnvelopeFields("envelope.own", &e.OwnWidth, &e.OwnHeight, !j.Card.Sized(), nil)...)
	}
	return append(list, askedFields("envelope.", k.Asked, &e.Asked)...)
}

// ownEnvelopeFields are what a ruler says of an envelope that the maker measured; they may be absent while there is
// no card yet.
func ownEnvelopeFields(at string, width, height *measure.Length, absent bool, then func()) []field.Field {
	side := func(path, label, name string, l *measure.Length) field.Field {
		return field.Field{Path: at + path, Label: label, Name: name, Value: &field.Length{At: l, Least: 2 * LeastCard, Most: MostCard, Empty: absent && *l == 0, Zero: absent && *l == 0}, Then: then}
	}
	w, h := "Width", "Height"
	if strings.HasSuffix(at, ".") {
		w, h = "width", "height"
	}
	return []field.Field{side(w, "Outside, width", "envelope's width", width), side(h, "Outside, height", "envelope's height", height)}
}

// askedFields are the fields of the lengths that one kind alone asks for.
func askedFields(at string, lengths []measure.Asked, in *map[string]measure.Length) (list []field.Field) {
	for _, a := range lengths {
		l := (*in)[a.Name]
		list = append(list, field.Field{
			Path: at + "asked." + a.Name, Label: a.Label, Note: a.Note, Value: &field.Length{At: &l, Least: a.Least, Most: a.Most, Or: a.Usual, Fine: a.Fine},
			Then: func() {
				if *in = maps.Clone(*in); *in == nil {
					*in = map[string]measure.Length{}
				}
				(*in)[a.Name] = l
			},
		})
	}
	return list
}

func (j *Job) mailFields(shop Shop) []field.Field {
	p := &j.Mail
	measured := func(path, label, note string, at, of *measure.Length, most measure.Length) field.Field {
		return field.Field{Path: "mail.measured." + path, Label: label, Note: note, Value: &field.Length{At: at, Most: most, Fine: true, Empty: true}, Then: func() {
			// It is of the piece as it is now: whoever has the sums says what they are.
			if of != nil {
				*of = 0
			} else {
				p.Measured.Stiffer = 0
			}
		}}
	}
	m := &p.Measured
	return []field.Field{
		{Path: "mail.destination", Label: "Destination", Value: &field.One[string]{At: &p.Destination, List: destinationList(shop), Gone: true}, Then: func() { p.Class = "" }},
		{Path: "mail.class", Label: "At least as", Value: &field.One[string]{At: &p.Class, List: leastList(shop, p.Destination), None: true, Gone: true}},
		{Path: "mail.addressShort", Label: "Address runs", Value: &field.Flag{At: &p.AddressShort, List: "addressSides"}},
		{Path: "mail.closure", Label: "Closure", Value: &field.One[string]{At: &p.Closure, List: closureList(), Or: UsualClosure, Told: "There is no closure “%s”: choose one of the list."}},
		{Path: "mail.bare", Label: "Without envelope", Value: &field.Flag{At: &p.Bare}},
		{Path: "mail.radius", Label: "Round corners", Note: "radius", Name: "radius of the corners", Value: &field.Length{At: &p.Radius, Most: 3 * measure.Inch}},
		{Path: "mail.handCancel", Label: "Cancel by hand", Value: &field.Flag{At: &p.HandCancel}},
		{Path: "mail.contents", Label: "Contents", Name: "caution", Value: &field.Some[paper.Caution]{At: &p.Contents, List: field.ListOf("contents", paper.Cautions())}},
		measured("thickness", "Thickness, closed", "empty for the sums", &m.Thickness, &m.ThicknessOf, 4*measure.Inch),
		{Path: "mail.measured.grams", Label: "Weight, closed", Note: "empty for the sums", Value: &field.Weight{At: &m.Grams, Most: mostGrams, Empty: true, Ounces: true}, Then: func() { m.GramsOf = 0 }},
		measured("overhang", "Over the edge", "hold the rest down flat", &m.Overhang, nil, MostCard),
		measured("droop", "Its end hangs", "1 mm to a quarter of what stands out", &m.Droop, nil, MostCard),
		measured("apart", "Supports apart", "two rulers on edge", &m.Apart, nil, MostCard),
		{Path: "mail.measured.load", Label: "Middle weight", Note: "a few coins, weighed", Value: &field.Weight{At: &m.Load, Most: mostGrams, Empty: true}, Then: func() { m.Stiffer = 0 }},
		measured("sag", "Its middle sinks", "", &m.Sag, nil, MostCard),
		{Path: "mail.measured.through", Label: "Through the gauge", Value: &field.One[Through]{At: &m.Through, List: field.ListOf("throughs", Throughs()), None: true}, Then: m.tryAgain},
		{Path: "mail.gaugeWidth", Label: "Gauge card, length", Value: &field.Length{At: &p.GaugeWidth, Most: MostCard, Empty: true}},
		{Path: "mail.gaugeHeight", Label: "Gauge card, width", Value: &field.Length{At: &p.GaugeHeight, Most: MostCard, Empty: true}},
		{Path: "mail.gaugeSlot", Label: "Slot, as cut", Note: "empty for as told", Name: "slot of the gauge", Value: &field.Length{At: &p.GaugeSlot, Most: 4 * measure.Inch, Fine: true, Empty: true}, Then: func() { m.Slot = 0 }},
	}
}

func (j *Job) startFields(shop Shop) []field.Field {
	if j.Start == nil {
		return nil
	}
	s := j.Start
	list := []field.Field{{
		Path: "start.format", Label: "Your envelope", Value: &field.One[string]{At: &s.Format, List: formatList(shop), Gone: true},
		Then: func() {
			s.MeasureAs(j.Card) // while no card is chosen that is taken away again
			if j.Construction() == blank.BoughtID {
				_ = j.Envelope.Take(s.Format, shop, s, j.Card) // known, since it was chosen of the list
			}
		},
	}}
	if s.Format == OwnEnvelope {
		list = append(list, ownEnvelopeFields("start.", &s.Width, &s.Height, !j.Card.Sized(), func() {
			if j.Envelope.From == OwnEnvelope { // it is the same one
				j.Envelope.OwnWidth, j.Envelope.OwnHeight = s.Width, s.Height
			}
		})...)
	}
	return list
}

func (j *Job) recipeFields() []field.Field {
	if j.Recipe == nil {
		return nil
	}
	r := j.Recipe
	typed := func(name, label, note string, at *measure.Length, most measure.Length) field.Field {
		return field.Field{Path: "recipe." + name, Label: label, Note: note, Value: &field.Length{At: at, Least: something, Most: most, Empty: true, Read: field.Noted}}
	}
	list := []field.Field{}
	for _, a := range r.Form.Kind().Asks {
		list = append(list, typed(a.Name, a.Label, a.Note, r.at(a.Name), MostCard))
	}
	corner := typed("corner", "Corner reading", "what the note's board reads at the sheet's corner; empty for zero", &r.Corner, 4*measure.Inch)
	corner.Value = &field.Length{At: &r.Corner, Least: -4 * measure.Inch, Most: 4 * measure.Inch, Signed: true, Empty: true}
	quoted := typed("quoted", "Limit it names", "a postal limit, to see whose it is", &r.Quoted, 10*measure.Metre)
	quoted.Value.(*field.Length).Fine = true
	return append(list,
		corner,
		typed("claimWidth", "It is for", "the width that the note says", &r.ClaimWidth, MostCard),
		typed("claimHeight", "by", squareToo, &r.ClaimHeight, MostCard),
		field.Field{Path: "recipe.claimOf", Label: "Which is", Value: &field.One[Claim]{At: &r.ClaimOf, List: field.ListOf("claims", Claims()), Or: ForCard}},
		quoted,
		field.Field{Path: "recipe.quotedOf", Label: "Limit of", Value: &field.One[mail.Measure]{At: &r.QuotedOf, List: field.ListOf("limits", quotable()), Or: mail.Height, Told: "A note's limit is one of length, height or thickness, not of “%s”: choose one."}},
		field.Field{Path: "recipe.form", Label: "The recipe gives", Value: &field.One[RecipeForm]{At: &r.Form, List: field.ListOf("recipes", RecipeForms()), Or: PairRecipe}},
	)
}

// quotable are the measures of which a note may name a limit.
func quotable() (list []mail.Measure) {
	for _, m := range mail.Measures() {
		if k, _ := m.Known(); k.Quoted {
			list = append(list, m)
		}
	}
	return list
}
