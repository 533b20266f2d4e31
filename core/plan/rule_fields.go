package plan

import (
	"fmt"
	"math"
	"slices"
	"strconv"
	"strings"
	"time"

	"yellowparcel/core/mail"
	"yellowparcel/core/measure"
)

// shopText is a text of the shop's rulebooks and rate cards that is typed; set
// reads it.
type shopText struct {
	path string
	text string
	set  func(text string) error
}

// texts lists what of rulebooks and rate cards is typed; it points into the
// shop, which must be a copy of its own.
func (s *Shop) texts() (list []shopText) {
	word := func(path string, at *string, least int) {
		list = append(list, shopText{path, *at, func(text string) error {
			if text = strings.TrimSpace(text); len(text) < least {
				return refuse("This cannot be left empty: type a word or two.")
			}
			*at = text
			return nil
		}})
	}
	for i := range s.Rulebooks {
		f, path := &s.Rulebooks[i].File, fmt.Sprintf("rulebooks.%d.", i)
		word(path+"region", &f.Region, 1)
		word(path+"service", &f.Service, 1)
		word(path+"source", &f.Source, 0)
		word(path+"published", &f.Published, 0)
		word(path+"lastChecked", &f.LastChecked, 0)
		word(path+"confidence", &f.Confidence, 0)
		if f.Floor != nil {
			list = append(list, s.limitTexts(path+"floor.", f.Floor.Limits)...)
		}
		for c := range f.Classes {
			path := fmt.Sprintf("%sclasses.%d.", path, c)
			word(path+"name", &f.Classes[c].Name, 1)
			list = append(list, s.limitTexts(path, f.Classes[c].Limits)...)
			if f.Classes[c].Surcharge != nil {
				list = append(list, s.limitTexts(path+"surcharge.", f.Classes[c].Surcharge.Limits)...)
			}
		}
	}
	for i := range s.Rates {
		card, path := &s.Rates[i], fmt.Sprintf("rates.%d.", i)
		word(path+"name", &card.Name, 1)
		word(path+"currency", &card.Currency, 0)
		list = append(list, shopText{path + "dated", card.Dated, func(text string) error {
			if _, err := time.Parse(time.DateOnly, strings.TrimSpace(text)); err != nil {
				return refuse("“%s” is not a day: type it as 2026-11-24.", clip(text))
			}
			card.Dated = strings.TrimSpace(text)
			return nil
		}})
		for k := range card.Rates {
			rate, path := &card.Rates[k], fmt.Sprintf("%srates.%d.", path, k)
			list = append(list,
				shopText{path + "price", fmt.Sprintf("%d.%02d", rate.Cents/100, rate.Cents%100), func(text string) (err error) {
					rate.Cents, err = parsePrice(text)
					return err
				}},
				shopText{path + "upTo", weightText(rate.UpTo), func(text string) error {
					if strings.TrimSpace(text) == "" {
						rate.UpTo = 0
						return nil
					}
					g, err := parseWeight(text, "g")
					if err == nil {
						rate.UpTo = g
					}
					return err
				}})
		}
	}
	return list
}

func (s *Shop) limitTexts(path string, limits []mail.LimitFile) (list []shopText) {
	for k := range limits {
		l, path := &limits[k], fmt.Sprintf("%slimits.%d.", path, k)
		for name, at := range map[string]*string{"min": &l.Min, "max": &l.Max} {
			list = append(list, shopText{path + name, *at, func(text string) error {
				*at = withUnit(l.Measure, strings.TrimSpace(text), s.Unit)
				return nil
			}})
		}
	}
	// In one order, whatever that of a map is.
	slices.SortFunc(list, func(a, b shopText) int { return strings.Compare(a.path, b.path) })
	return list
}

// completeRules gives limits that were added without one their unit, and classes
// that were added by their name alone an ID. The shop must be a copy of its own.
func (s *Shop) completeRules() {
	for i := range s.Rulebooks {
		f := &s.Rulebooks[i].File
		known := map[string]bool{}
		for _, c := range f.Classes {
			known[c.ID] = true
		}
		for k := range f.Classes {
			c := &f.Classes[k]
			if c.ID == "" && c.Name != "" {
				c.ID = "class"
				for n := 1; known[c.ID]; n++ {
					c.ID = "class-" + number(n)
				}
				known[c.ID] = true
			}
			lists := [][]mail.LimitFile{c.Limits}
			if c.Surcharge != nil {
				lists = append(lists, c.Surcharge.Limits)
			}
			for _, list := range lists {
				for l := range list {
					list[l].Min, list[l].Max = withUnit(list[l].Measure, list[l].Min, s.Unit), withUnit(list[l].Measure, list[l].Max, s.Unit)
				}
			}
		}
	}
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

func weightText(g float64) string {
	if g == 0 {
		return ""
	}
	return strconv.FormatFloat(math.Round(g*100)/100, 'f', -1, 64) + " g"
}

// parsePrice reads a price: "1.30", "1,3", "$2".
func parsePrice(text string) (cents int, err error) {
	number := strings.TrimSpace(strings.TrimFunc(text, func(r rune) bool { return (r < '0' || r > '9') && r != '.' && r != ',' && r != '-' }))
	v, err := strconv.ParseFloat(strings.Replace(number, ",", ".", 1), 64)
	if err != nil || !(v >= 0 && v*100 <= mostCents) {
		return 0, refuse("“%s” is not a price: type it as 1.30.", clip(text))
	}
	return int(math.Round(v * 100)), nil
}
