package plan

import (
	"fmt"
	"strconv"
	"strings"

	"yellowparcel/core/measure"
)

// Fields are inputs as the screen shows them, by path.
type Fields map[string]Field

// shopLength is a length of the shop that is typed.
type shopLength struct {
	path string
	at   *measure.Length
	// fine shows it at the unit's finest tick, or in decimals of a millimetre.
	fine bool
	// signed is set where a minus counts.
	signed bool
}

// shopNumber is a number of the shop that is typed: whole, or not.
type shopNumber struct {
	path  string
	whole *int
	part  *float64
}

// typed lists what of a shop is typed; it points into the shop, which must be a
// copy of its own.
func (s *Shop) typed() (lengths []shopLength, numbers []shopNumber) {
	lengths = []shopLength{
		{path: "tools.cornerAt", at: &s.Tools.CornerAt, signed: true},
		{path: "tools.groove", at: &s.Tools.Groove},
		{path: "tools.reach", at: &s.Tools.Reach},
		{path: "tools.notchDepth", at: &s.Tools.NotchDepth},
		{path: "tools.trimmerLength", at: &s.Tools.TrimmerLength},
	}
	for i := range s.Sheets {
		path := fmt.Sprintf("sheets.%d.", i)
		lengths = append(lengths, shopLength{path: path + "width", at: &s.Sheets[i].Width}, shopLength{path: path + "height", at: &s.Sheets[i].Height})
	}
	for i := range s.Envelopes {
		path := fmt.Sprintf("envelopes.%d.", i)
		lengths = append(lengths, shopLength{path: path + "width", at: &s.Envelopes[i].Width}, shopLength{path: path + "height", at: &s.Envelopes[i].Height})
		numbers = append(numbers, shopNumber{path: path + "have", whole: &s.Envelopes[i].Have})
	}
	for i := range s.Stocks {
		path := fmt.Sprintf("stocks.%d.", i)
		lengths = append(lengths, shopLength{path: path + "caliper", at: &s.Stocks[i].Caliper, fine: true})
		numbers = append(numbers, shopNumber{path: path + "have", whole: &s.Stocks[i].Have}, shopNumber{path: path + "gsm", part: &s.Stocks[i].GSM})
	}
	for i := range s.Adhesives {
		lengths = append(lengths, shopLength{path: fmt.Sprintf("adhesives.%d.width", i), at: &s.Adhesives[i].Width})
	}
	return lengths, numbers
}

// own copies the lists of a shop, so that they may be written to.
func (s Shop) Own() Shop {
	s.Sheets = append(s.Sheets[:0:0], s.Sheets...)
	s.Stocks = append(s.Stocks[:0:0], s.Stocks...)
	s.Envelopes = append(s.Envelopes[:0:0], s.Envelopes...)
	s.Adhesives = append(s.Adhesives[:0:0], s.Adhesives...)
	s.Rulebooks = append(s.Rulebooks[:0:0], s.Rulebooks...)
	for i := range s.Rulebooks {
		s.Rulebooks[i].File = s.Rulebooks[i].File.Clone()
	}
	s.Rates = append(s.Rates[:0:0], s.Rates...)
	for i := range s.Rates {
		s.Rates[i].Rates = append(s.Rates[i].Rates[:0:0], s.Rates[i].Rates...)
	}
	return s
}

// ShopFields are the inputs of the shop as the screen shows them. A caliper is
// shown in decimals of a millimetre, as papers are sold.
func ShopFields(shop Shop) Fields {
	style, fields := shop.Style(), Fields{}
	shop = shop.Own()
	lengths, numbers := shop.typed()
	for _, l := range lengths {
		f := Field{Text: style.Show(*l.at)}
		if style.Rounds(*l.at) {
			f.Exact = maker{shop: shop, style: style}.exact(*l.at)
		}
		if l.fine {
			f = Field{Text: measure.Decimal(*l.at, measure.Millimetre) + " mm"}
		}
		fields[l.path] = f
	}
	for _, t := range shop.texts() {
		fields[t.path] = Field{Text: t.text}
	}
	for _, n := range numbers {
		if n.whole == nil {
			fields[n.path] = Field{Text: strconv.FormatFloat(*n.part, 'f', -1, 64)}
			continue
		}
		if fields[n.path] = (Field{}); *n.whole > 0 {
			fields[n.path] = Field{Text: number(*n.whole)}
		}
	}
	return fields
}

// ApplyToShop carries out edits on a copy of the shop; what cannot be used is
// left as it was and reported at its field.
func ApplyToShop(shop Shop, edits []Edit) (Shop, []Problem) {
	var problems []Problem
	shop = shop.Own()
	shop.completeRules()
	for _, e := range edits {
		changed := shop.Own()
		err := changed.typeIn(e)
		if err == nil {
			// What the entry as a whole refuses is told at the field that was typed.
			if list := changed.Check(); len(list) > 0 && len(shop.Check()) == 0 {
				err = refusal(list[0].Message)
			}
		}
		if err != nil {
			problems = append(problems, Problem{Path: e.Path, Message: err.Error()})
			continue
		}
		shop = changed
	}
	return shop, problems
}

func (s *Shop) typeIn(e Edit) error {
	lengths, numbers := s.typed()
	if e.Text == nil {
		return refuse("There is nothing typed for “%s”.", clip(e.Path))
	}
	for _, l := range lengths {
		if l.path != e.Path {
			continue
		}
		read := measure.Parse
		if l.signed {
			read = parseSigned
		}
		v, err := read(*e.Text, s.Unit)
		if err != nil {
			return err
		}
		*l.at = v
		return nil
	}
	for _, t := range s.texts() {
		if t.path == e.Path {
			return t.set(*e.Text)
		}
	}
	for _, n := range numbers {
		if n.path == e.Path {
			return n.set(strings.TrimSpace(*e.Text))
		}
	}
	return refuse("There is no field “%s” to type in a shop.", clip(e.Path))
}

func (n shopNumber) set(text string) (err error) {
	switch {
	case n.whole == nil:
		v, err := strconv.ParseFloat(strings.Replace(text, ",", ".", 1), 64)
		if err != nil || !(v > 0 && v <= mostGSM) {
			return refuse("“%s” is not a weight of paper: type its grams a square metre, as 120.", clip(text))
		}
		*n.part = v
	case text == "":
		*n.whole = 0 // not counted
	default:
		v, err := strconv.Atoi(text)
		if err != nil || v < 0 || v > mostHave {
			return refuse("“%s” is not a number of them: type a whole number, or leave it empty when nobody counted.", clip(text))
		}
		*n.whole = v
	}
	return nil
}
