package job

import (
	"fmt"
	"strings"

	"yellowparcel/core/field"
	"yellowparcel/core/mail"
	"yellowparcel/core/measure"
)

// ruleFields are those of the rulebooks of the shop's own and of its rate cards.
func (s *Shop) ruleFields() (list []field.Field) {
	word := func(path, label string, at *string, most int, needed bool) {
		list = append(list, field.Field{Path: path, Label: label, Value: &field.Word{At: at, Most: most, Needed: needed}})
	}
	for i := range s.Rulebooks {
		own, path := &s.Rulebooks[i], fmt.Sprintf("rulebooks.%d.", i)
		list = append(list, s.offField(path, "Put away", &own.Off, &own.OffSince))
		f := &own.File
		path += "file."
		word(path+"region", "Region", &f.Region, 80, true)
		word(path+"service", "Service", &f.Service, 80, true)
		word(path+"source", "Source", &f.Source, 300, false)
		word(path+"published", "In effect since", &f.Published, 40, false)
		word(path+"lastChecked", "Last checked", &f.LastChecked, 10, false)
		word(path+"confidence", "Confidence", &f.Confidence, 80, false)
		if f.Floor != nil {
			list = append(list, s.limitFields(path+"floor.", f.Floor.Limits)...)
		}
		for c := range f.Classes {
			path := fmt.Sprintf("%sclasses.%d.", path, c)
			word(path+"name", "Name of the class", &f.Classes[c].Name, 60, true)
			list = append(list, s.limitFields(path, f.Classes[c].Limits)...)
			if f.Classes[c].Surcharge != nil {
				word(path+"surcharge.name", "Surcharge", &f.Classes[c].Surcharge.Name, 120, true)
				list = append(list, s.limitFields(path+"surcharge.", f.Classes[c].Surcharge.Limits)...)
			}
		}
	}
	for i := range s.Rates {
		card, path := &s.Rates[i], fmt.Sprintf("rates.%d.", i)
		word(path+"name", "Rate card", &card.Name, mostName, true)
		word(path+"currency", "Currency", &card.Currency, 8, false)
		list = append(list,
			field.Field{Path: path + "dated", Label: "Written down on", Value: &field.Date{At: &card.Dated}},
			field.Field{Path: path + "example", Label: "Made-up prices", Value: &field.Flag{At: &card.Example}})
		for k := range card.Rates {
			rate, path := &card.Rates[k], fmt.Sprintf("%srates.%d.", path, k)
			list = append(list,
				field.Field{Path: path + "class", Label: "Class", Value: &field.One[string]{At: &rate.Class, List: classList(*s, card.Rulebook), Gone: true}},
				field.Field{Path: path + "cents", Label: "Price", Value: &field.Price{At: &rate.Cents, Most: mostCents}},
				field.Field{Path: path + "upTo", Label: "Up to weight", Value: &field.Weight{At: &rate.UpTo, Most: 10 * mostGrams, Empty: true}})
		}
	}
	return list
}

func (s *Shop) limitFields(path string, limits []mail.LimitFile) (list []field.Field) {
	for k := range limits {
		l, path := &limits[k], fmt.Sprintf("%slimits.%d.", path, k)
		write := func(text string) string { return withUnit(l.Measure, text, s.Unit) }
		list = append(list,
			field.Field{Path: path + "min", Label: "Least " + l.Measure.Words().Name, Value: &field.Word{At: &l.Min, Most: 40, Write: write}},
			field.Field{Path: path + "max", Label: "Most " + l.Measure.Words().Name, Value: &field.Word{At: &l.Max, Most: 40, Write: write}})
	}
	return list
}

// withUnit adds the shop's unit to a bare length, and grams to a bare weight.
func withUnit(of mail.Measure, text string, unit measure.Unit) string {
	kind, _ := of.Kind()
	if text = strings.TrimSpace(text); text == "" || strings.IndexFunc(text, func(r rune) bool { return r >= 'a' && r <= 'z' || r == '"' || r == '%' }) >= 0 {
		return text
	}
	switch kind {
	case mail.Lengths:
		return text + " " + string(unit)
	case mail.Weights:
		return text + " g"
	case mail.Forces:
		return text + " lb"
	case mail.Percents:
		return text + " %"
	}
	return text
}
