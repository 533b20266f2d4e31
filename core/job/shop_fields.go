package job

import (
	"fmt"
	"maps"
	"strconv"

	"yellowparcel/core/envelope"
	"yellowparcel/core/field"
	"yellowparcel/core/measure"
	"yellowparcel/core/paper"
	"yellowparcel/core/say"
)

// The bounds of what may stand on a shelf.
const (
	mostSide     = 5 * measure.Metre
	mostCaliper  = 20 * measure.Millimetre
	mostGSM      = 20_000
	mostAdhesive = 100 * measure.Millimetre
	mostHave     = 100_000
	mostMinutes  = 24 * 60
	mostCents    = 1_000_000
)

// something is the least length that is one.
const something = measure.Length(1)

// Fields is the one table of what of a shop is typed and chosen. The fields point
// into the shop, which must be a copy of its own where they are to be changed.
func (s *Shop) Fields() (list []field.Field) {
	list = s.styleFields()
	list = append(list, s.Tools.fields()...)
	list = append(list, s.Usual.fields(*s)...)
	name := func(path string, at *string) field.Field {
		return field.Field{Path: path + "name", Label: "Name", Value: &field.Word{At: at, Most: mostName, Needed: true}}
	}
	off := func(path string, at *bool, since *string) field.Field {
		return s.offField(path, "Off the shelf", at, since)
	}
	side := func(path, label string, at *measure.Length) field.Field {
		return field.Field{Path: path, Label: label, Value: &field.Length{At: at, Least: something, Most: mostSide}}
	}
	have := func(path, label string, at *int) field.Field {
		return field.Field{Path: path + "have", Label: label, Value: &field.Count{At: at, Most: mostHave, Things: "them", Empty: true}}
	}
	colour := func(path, label string, at *paper.Colour, or paper.Colour) field.Field {
		return field.Field{Path: path, Label: label, Value: &field.One[paper.Colour]{At: at, List: field.ListOf("colours", paper.Colours()), None: true, Or: or}}
	}
	motif := func(path, label string, at *paper.Motif, or paper.Motif) field.Field {
		return field.Field{Path: path, Label: label, Value: &field.One[paper.Motif]{At: at, List: field.ListOf("motifs", paper.Motifs()), None: true, Or: or}}
	}
	for i := range s.Sheets {
		sh, path := &s.Sheets[i], fmt.Sprintf("sheets.%d.", i)
		list = append(list, name(path, &sh.Name), off(path, &sh.Off, &sh.OffSince), side(path+"width", "Width", &sh.Width), side(path+"height", "Height", &sh.Height))
	}
	for i := range s.Envelopes {
		e, path := &s.Envelopes[i], fmt.Sprintf("envelopes.%d.", i)
		list = append(list, name(path, &e.Name), off(path, &e.Off, &e.OffSince),
			field.Field{Path: path + "width", Label: "Outside, width", Name: "envelope's width", Value: &field.Length{At: &e.Width, Least: LeastCard, Most: MostCard}},
			field.Field{Path: path + "height", Label: "Outside, height", Name: "envelope's height", Value: &field.Length{At: &e.Height, Least: LeastCard, Most: MostCard}},
			have(path, "How many", &e.Have),
			field.Field{Path: path + "opens", Label: "Opens on", Value: &field.One[envelope.Side]{At: &e.Opens, List: field.ListOf("ownOpens", envelope.Sides()), Or: envelope.LongSide}},
			field.Field{Path: path + "cents", Label: "One costs", Value: &field.Price{At: &e.Cents, Most: mostCents}})
	}
	directions := []paper.Direction{paper.AlongLong, paper.AlongShort}
	kept := field.List{Name: "kept", Knows: sheetList(*s).Knows}
	for i := range s.Stocks {
		k, path := &s.Stocks[i], fmt.Sprintf("stocks.%d.", i)
		front, back := k.Faces()
		list = append(list, name(path, &k.Name), off(path, &k.Off, &k.OffSince),
			field.Field{Path: path + "caliper", Label: "Caliper", Value: &field.Length{At: &k.Caliper, Least: something, Most: mostCaliper, Caliper: true}},
			field.Field{Path: path + "gsm", Label: "Grams a square metre", Value: &field.Grammage{At: &k.GSM, Most: mostGSM}},
			field.Field{Path: path + "grain", Label: "Grain", Value: &field.One[paper.Direction]{At: &k.Grain, List: field.ListOf("grains", directions), None: true}},
			field.Field{Path: path + "pattern", Label: "Pattern", Value: &field.One[paper.Direction]{At: &k.Pattern, List: field.ListOf("patterns", directions), None: true}},
			field.Field{Path: path + "surface", Label: "Surface", Value: &field.One[paper.Surface]{At: &k.Surface, List: field.ListOf("surfaces", paper.Surfaces()), Or: paper.Uncoated}},
			field.Field{Path: path + "sheet", Label: "Kept in", Value: &field.One[string]{At: &k.Sheet, List: kept, None: true, Told: "“%s” is a sheet that is not on the shelf: choose another."}},
			colour(path+"front.colour", "Front colour", &k.Front.Colour, front.Colour), motif(path+"front.pattern", "Front pattern", &k.Front.Pattern, front.Pattern),
			colour(path+"back.colour", "Back colour", &k.Back.Colour, back.Colour), motif(path+"back.pattern", "Back pattern", &k.Back.Pattern, back.Pattern),
			have(path, "How many sheets", &k.Have),
			field.Field{Path: path + "cents", Label: "A sheet costs", Value: &field.Price{At: &k.Cents, Most: mostCents}})
	}
	for i := range s.Adhesives {
		a, path := &s.Adhesives[i], fmt.Sprintf("adhesives.%d.", i)
		list = append(list, name(path, &a.Name), off(path, &a.Off, &a.OffSince),
			field.Field{Path: path + "width", Label: "Width", Value: &field.Length{At: &a.Width, Least: something, Most: mostAdhesive}},
			field.Field{Path: path + "minutes", Label: "Dries, minutes", Value: &field.Count{At: &a.Minutes, Most: mostMinutes, Things: "minutes", Empty: true}},
			field.Field{Path: path + "holds", Label: "Holds on", Name: "surface", Value: &field.Some[paper.Surface]{At: &a.Holds, List: field.ListOf("surfaces", paper.Surfaces())}})
	}
	for i := range s.Mats {
		m, path := &s.Mats[i], fmt.Sprintf("mats.%d.", i)
		list = append(list, name(path, &m.Name), off(path, &m.Off, &m.OffSince), side(path+"width", "Width", &m.Width), side(path+"height", "Height", &m.Height),
			field.Field{
				Path: path + "margin", Label: "Margin", Note: "what the cutter leaves on every side",
				Value: &field.Length{At: &m.Margin, Most: 4 * measure.Inch, Zero: true, Told: "A cutter leaves at most 4 in on each side of its mat: measure from the mat's edge to where it can cut."},
				Fits: func() error {
					if w, h := m.Usable(); w <= 0 || h <= 0 {
						return say.Refuse("The margins leave nothing of the mat: type a smaller one.")
					}
					return nil
				},
			})
	}
	return append(list, s.ruleFields()...)
}

// offField is whether an entry is put away; the day on which that was done is kept.
func (s *Shop) offField(path, label string, at *bool, since *string) field.Field {
	return field.Field{Path: path + "off", Label: label, Value: &field.Flag{At: at}, Then: func() {
		if *since = ""; *at {
			*since = s.Today
		}
	}}
}

// styles are the units with their ticks.
func styles() (list []measure.Style) {
	for _, u := range []measure.Unit{measure.Inches, measure.Millimetres} {
		for _, t := range measure.Ticks(u) {
			list = append(list, measure.Style{Unit: u, Tick: t})
		}
	}
	return list
}

func tickID(tick measure.Length) string { return strconv.FormatInt(int64(tick), 10) }

func styleID(s measure.Style) string { return string(s.Unit) + ":" + tickID(s.Tick) }

func (s *Shop) styleFields() []field.Field {
	tick := func(path, label, list string, at *measure.Length, unit measure.Unit) field.Field {
		v := &field.Length{At: at, Least: something, Most: measure.Inch, List: list}
		for _, t := range measure.Ticks(unit) {
			v.Usual = append(v.Usual, field.UsualLength{ID: tickID(t), Length: t})
		}
		return field.Field{Path: path, Label: label, Value: v, Fits: func() error {
			if err := (measure.Style{Unit: unit, Tick: *at}).Check(); err != nil {
				return say.Refuse("The smallest step is not usable: %v.", err)
			}
			return nil
		}}
	}
	return []field.Field{
		{Path: "unit", Label: "Unit", Value: &field.One[measure.Unit]{At: &s.Unit, List: field.ListOf("units", []measure.Unit{measure.Inches, measure.Millimetres})}},
		{Path: "printsOn", Label: "Printer's paper", Value: &field.One[PrintPage]{At: &s.PrintsOn, List: field.ListOf("printPages", []PrintPage{LetterPage, A4Page}), Or: s.Page()}},
		tick("tickInches", "Smallest step in inches", "ticksInches", &s.TickInches, measure.Inches),
		tick("tickMillimetres", "Smallest step in millimetres", "ticksMillimetres", &s.TickMillimetres, measure.Millimetres),
	}
}

// Inputs are the fields of the shop as the screen shows them.
func (s Shop) Inputs() field.Inputs {
	style, list := s.Style(), field.Inputs{}
	for _, f := range s.Fields() {
		list[f.Path] = f.Input(style)
	}
	return list
}

// Clone copies the lists of a shop, so that they may be written to.
func (s Shop) Clone() Shop {
	s.Sheets = append(s.Sheets[:0:0], s.Sheets...)
	s.Stocks = append(s.Stocks[:0:0], s.Stocks...)
	s.Envelopes = append(s.Envelopes[:0:0], s.Envelopes...)
	s.Adhesives = append(s.Adhesives[:0:0], s.Adhesives...)
	s.Mats = append(s.Mats[:0:0], s.Mats...)
	s.Rulebooks = append(s.Rulebooks[:0:0], s.Rulebooks...)
	for i := range s.Rulebooks {
		s.Rulebooks[i].File = s.Rulebooks[i].File.Clone()
	}
	s.Tools.Asked = maps.Clone(s.Tools.Asked)
	s.Rates = append(s.Rates[:0:0], s.Rates...)
	for i := range s.Rates {
		s.Rates[i].Rates = append(s.Rates[i].Rates[:0:0], s.Rates[i].Rates...)
	}
	return s
}
