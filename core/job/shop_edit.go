package job

import (
	"encoding/json"
	"errors"
	"reflect"
	"regexp"
	"slices"
	"strconv"
	"strings"

	"yellowparcel/core/field"
	"yellowparcel/core/mail"
	"yellowparcel/core/mat"
	"yellowparcel/core/measure"
	"yellowparcel/core/paper"
	"yellowparcel/core/say"
)

// lists are the lists of a shop whose entries are known by an ID.
func (s Shop) lists() field.Lists {
	l := field.Lists{}
	put := func(list, id string) { l[list] = append(l[list], id) }
	for _, e := range s.Sheets {
		put("sheets", e.ID)
	}
	for _, e := range s.Stocks {
		put("stocks", e.ID)
	}
	for _, e := range s.Envelopes {
		put("envelopes", e.ID)
	}
	for _, e := range s.Adhesives {
		put("adhesives", e.ID)
	}
	for _, e := range s.Mats {
		put("mats", e.ID)
	}
	for _, e := range s.Rulebooks {
		put("rulebooks", e.File.ID)
	}
	for _, e := range s.Rates {
		put("rates", e.ID)
	}
	return l
}

// Place is a path of the shop with every entry named by its place.
func (s Shop) Place(path string) (string, error) { return s.lists().Place(path) }

// What a rate card may be given.
const (
	addPrice     = "price"
	addSurcharge = "surcharge"
)

// styleOffer is the style of the shop as an offer: a unit with its tick, chosen in one act.
const styleOffer = "style"

// StyleID names the unit and the tick that the shop works in, among the styles that
// may be taken.
func (s Shop) StyleID() string { return styleID(s.Style()) }

// ApplyToShop carries out edits on a copy of the shop; what cannot be used is left as
// it was and reported at its field. Told says where an edit was made of something
// that another window had changed meanwhile.
func ApplyToShop(shop Shop, edits []field.Edit) (_ Shop, problems []field.Problem, told []string) {
	shop = shop.Clone()
	for _, e := range edits {
		path, err := shop.Place(e.Path)
		var overtaken string
		changed := shop.Clone()
		if err == nil {
			at := e
			at.Path = path
			if overtaken, err = shop.overtaken(at); err == nil {
				err = changed.apply(at)
			}
		}
		if err == nil {
			// What the shop as a whole refuses is told at the field that was typed.
			if list := changed.Check(); len(list) > 0 && len(shop.Check()) == 0 {
				err = say.Refusal(list[0].Message)
			}
		}
		if err != nil {
			problems = append(problems, field.ProblemOf(e.Path, err))
			continue
		}
		if overtaken != "" {
			told = append(told, overtaken)
		}
		shop = changed
	}
	return shop, problems, told
}

// overtaken says that a field shows something else by now than where it was edited.
// What lies in a list within an entry has no ID, so that another one may stand in its
// place by now: there the edit is refused.
func (s Shop) overtaken(e field.Edit) (told string, err error) {
	if e.Was == nil {
		return "", nil
	}
	moved := say.Refuse("This list changed meanwhile: look at it again, and do it anew where it is still wanted.")
	if e.Act == field.Remove {
		if !sameJSON(s.at(e.Path), *e.Was) {
			return "", moved
		}
		return "", nil
	}
	f, ok := field.Find(s.Fields(), e.Path)
	if !ok {
		return "", nil
	}
	now, _ := f.Show(s.Style())
	switch {
	case now == *e.Was || now == e.Text:
		return "", nil
	case within.MatchString(e.Path):
		return "", moved
	}
	return "Another window changed “" + f.Label + "” to “" + say.Clip(now) + "” meanwhile; what you entered here stands now.", nil
}

// within matches the path of what lies in a list within an entry.
var within = regexp.MustCompile(`^\w+\.\d+\..*\.\d+(\.|$)`)

// at is what stands at a path, as JSON; null where nothing does.
func (s Shop) at(path string) string {
	var v any
	raw, err := json.Marshal(s)
	if err != nil || json.Unmarshal(raw, &v) != nil {
		return "null"
	}
	for step := range strings.SplitSeq(path, ".") {
		switch in := v.(type) {
		case map[string]any:
			v = in[step]
		case []any:
			i, err := strconv.Atoi(step)
			if v = nil; err == nil && i >= 0 && i < len(in) {
				v = in[i]
			}
		default:
			v = nil
		}
	}
	raw, err = json.Marshal(v)
	if err != nil {
		return "null"
	}
	return string(raw)
}

// sameJSON reports whether two texts of JSON say the same.
func sameJSON(a, b string) bool {
	var x, y any
	return json.Unmarshal([]byte(a), &x) == nil && json.Unmarshal([]byte(b), &y) == nil && reflect.DeepEqual(x, y)
}

func (s *Shop) apply(e field.Edit) error {
	if err := e.Check(); err != nil {
		return err
	}
	switch e.Act {
	case field.Add:
		return s.add(e)
	case field.Remove:
		return s.remove(e)
	case field.Move:
		return say.Refuse("Nothing on the shelf has an order that matters.")
	case field.Take:
		return s.take(e)
	}
	f, ok := field.Find(s.Fields(), e.Path)
	if !ok {
		return say.Refuse("There is no field for that on the shelf.")
	}
	return f.Apply(e, s.Style())
}

func (s *Shop) take(e field.Edit) error {
	for _, st := range styles() {
		if e.Path == styleOffer && styleID(st) == e.Text {
			if s.Unit = st.Unit; st.Unit == measure.Inches {
				s.TickInches = st.Tick
			} else {
				s.TickMillimetres = st.Tick
			}
			return nil
		}
	}
	return say.Refuse("“%s” is nothing that a shop is offered.", say.Clip(e.Text))
}

// Adds is where something may be added to the shop, and what.
func (s Shop) Adds() []field.Addable {
	list := []field.Addable{
		{Path: "sheets", Lists: []string{}, Full: len(s.Sheets) >= mostSheets},
		{Path: "stocks", Lists: []string{}, Full: len(s.Stocks) >= mostStocks},
		{Path: "envelopes", Lists: []string{}, Full: len(s.Envelopes) >= mostEnvelopes},
		{Path: "adhesives", Lists: []string{}, Full: len(s.Adhesives) >= mostAdhesives},
		{Path: "mats", Lists: []string{}, Full: len(s.Mats) >= mostMats},
		{Path: "rulebooks", Lists: []string{"destinations"}, Full: len(s.Rulebooks) >= mostBooks},
		{Path: "rates", Lists: []string{"destinations"}, Full: len(s.Rates) >= mostRates},
	}
	for i, c := range s.Rates {
		list = append(list, field.Addable{Path: entryPath("rates", i) + ".rates", Lists: []string{"prices"}, Full: len(c.Rates) >= mostPrices})
	}
	for i := range s.Rulebooks {
		f, path := s.Rulebooks[i].File, entryPath("rulebooks", i)+".file."
		limits := func(path string, list []mail.LimitFile) field.Addable {
			return field.Addable{Path: path + "limits", Lists: []string{"measures"}, Full: len(list) >= mostLimits}
		}
		list = append(list, field.Addable{Path: path + "classes", Lists: []string{}, Full: len(f.Classes) >= mostClasses})
		if f.Floor != nil {
			list = append(list, limits(path+"floor.", f.Floor.Limits))
		}
		for c, class := range f.Classes {
			at := path + entryPath("classes", c) + "."
			list = append(list, limits(at, class.Limits))
			if class.Surcharge != nil {
				list = append(list, limits(at+"surcharge.", class.Surcharge.Limits))
			}
		}
	}
	return list
}

// What is full is refused; the lists of a shop are bounded by what can be sent.
const (
	mostSheets, mostStocks, mostEnvelopes, mostAdhesives = 100, 200, 200, 50
	mostBooks, mostRates, mostPrices, mostMats           = 40, 20, 60, 20
	mostClasses, mostLimits                              = 20, 40
)

func (s *Shop) add(e field.Edit) error {
	ids := s.lists()[e.Path]
	if most, ok := map[string]int{"sheets": mostSheets, "stocks": mostStocks, "envelopes": mostEnvelopes, "adhesives": mostAdhesives, "mats": mostMats, "rulebooks": mostBooks, "rates": mostRates}[e.Path]; ok && len(ids) >= most {
		return say.Refuse("At most %d entries stand in this list: remove or reuse one.", most)
	}
	id := field.NewID(e.Path+"-own", ids)
	if slices.Contains(shelves, e.Path) && isFile(e.Text) {
		return s.addFile(e.Path, id, e.Text)
	}
	switch e.Path {
	case "sheets":
		sheet, err := newSheet(*s, id, e.Text)
		if err != nil {
			return err
		}
		s.Sheets = append(s.Sheets, sheet)
	case "stocks":
		s.Stocks = append(s.Stocks, paper.Stock{ID: id, Name: "Paper of mine", GSM: 250, Caliper: 300 * measure.Micrometre})
	case "envelopes":
		s.Envelopes = append(s.Envelopes, OwnedEnvelope{ID: id, Name: "Envelopes of mine", Width: 6*measure.Inch + measure.Inch/2, Height: 4*measure.Inch + 3*measure.Inch/4})
	case "adhesives":
		s.Adhesives = append(s.Adhesives, paper.Adhesive{ID: id, Name: "Adhesive of mine", Width: measure.Inch / 4, Minutes: paper.UsualMinutes})
	case "mats":
		m := mat.Usual()[0]
		m.ID, m.Name = id, "Mat of mine"
		s.Mats = append(s.Mats, m)
	case "rulebooks":
		return s.addBook(e.Text)
	case "rates":
		return s.addRates(e.Text)
	default:
		if list, at, ok := field.Entry(e.Path); ok && list == "rulebooks" && at < len(s.Rulebooks) {
			return replaceBook(s, at, e.Text)
		}
		return s.addWithin(e)
	}
	return nil
}

// replaceBook puts a rulebook that was read from JSON in the place of one of the shop's own; jobs that go by it go
// by the new one.
func replaceBook(s *Shop, at int, text string) error {
	f, err := readBook(text)
	if err != nil {
		return err
	}
	f.ID = s.Rulebooks[at].File.ID
	s.Rulebooks[at] = OwnRulebook{File: f}
	return nil
}

// readBook reads a rulebook from JSON.
func readBook(text string) (f mail.File, err error) {
	var fe *mail.FileError
	if f, err = mail.ReadFile([]byte(text)); errors.As(err, &fe) {
		return f, say.Refuse("The rulebook cannot be used: %v.", fe)
	}
	return f, err
}

// addBook adds a rulebook: a copy of the one that is named, or one read from JSON.
func (s *Shop) addBook(text string) error {
	var f mail.File
	if isFile(text) {
		var err error
		if f, err = readBook(text); err != nil {
			return err
		}
	} else {
		of, ok := s.file(text)
		if !ok {
			return say.Refuse("There is no rulebook “%s” to copy: choose one of the list.", say.Clip(text))
		}
		f = of.Clone()
		if service := f.Service + ", my copy"; len(service) <= 80 {
			f.Service = service
		}
	}
	taken := s.lists()["rulebooks"]
	for id := range shippedBooks() {
		taken = append(taken, id)
	}
	if slices.Contains(taken, f.ID) {
		stem, _, _ := strings.Cut(f.ID, "-own-")
		f.ID = field.NewID(stem[:min(len(stem), 30)]+"-own", taken)
	}
	s.Rulebooks = append(s.Rulebooks, OwnRulebook{File: f})
	return nil
}

// file is a rulebook as it is written, of the shop's own or one that ships.
func (s *Shop) file(id string) (mail.File, bool) {
	for _, own := range s.Rulebooks {
		if own.File.ID == id {
			return own.File, true
		}
	}
	for _, f := range mail.Files() {
		if f.ID == id {
			return f, true
		}
	}
	return mail.File{}, false
}

// addRates begins a rate card for a rulebook, with one price.
func (s *Shop) addRates(book string) error {
	f, ok := s.file(book)
	if !ok || len(f.Classes) == 0 {
		return say.Refuse("There is no rulebook “%s” with classes to price: choose one of the list.", say.Clip(book))
	}
	s.Rates = append(s.Rates, mail.RateCard{
		ID: field.NewID("rates", s.lists()["rates"]), Name: "My rate card", Rulebook: book, Dated: s.Today,
		Rates: []mail.Rate{{Class: f.Classes[0].ID}},
	})
	return nil
}

// addWithin adds to a list within an entry: a price to a rate card, a class or a
// limit to a rulebook.
func (s *Shop) addWithin(e field.Edit) error {
	outer, list, _ := cutLast(e.Path)
	if shelf, at, ok := field.Entry(outer); ok && shelf == "rates" && list == "rates" && at < len(s.Rates) {
		return addPriceTo(&s.Rates[at], s, e.Text)
	}
	if list == "classes" {
		for i := range s.Rulebooks {
			if outer == entryPath("rulebooks", i)+".file" {
				return addClass(&s.Rulebooks[i].File, e.Text)
			}
		}
	}
	if limits := s.limitsAt(outer); list == "limits" && limits != nil {
		if len(*limits) >= mostLimits {
			return say.Refuse("At most %d limits stand in a list: remove one first.", mostLimits)
		}
		// The measure, the least and the most, parted by semicolons.
		parts := append(strings.SplitN(e.Text, ";", 3), "", "")
		of := mail.Measure(strings.TrimSpace(parts[0]))
		if _, ok := of.Kind(); !ok {
			return say.Refuse("“%s” is nothing that is measured of a piece: choose one of the list.", say.Clip(string(of)))
		}
		*limits = append(*limits, mail.LimitFile{Measure: of, Min: withUnit(of, parts[1], s.Unit), Max: withUnit(of, parts[2], s.Unit)})
		return nil
	}
	return say.Refuse("Nothing can be added at “%s” of a shop.", say.Clip(e.Path))
}
