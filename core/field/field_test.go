package field_test

import (
	"errors"
	"slices"
	"strings"
	"testing"

	"yellowparcel/core/field"
	"yellowparcel/core/measure"
)

const in = measure.Inch

var inches = measure.Style{Unit: measure.Inches, Tick: in / 16}

type colour string

// values is one of everything that can be typed.
type values struct {
	length, signed, empty, zero, caliper, usual, or measure.Length
	absent                                          *measure.Length
	list                                            []measure.Length
	grams, ounces, gsm                              float64
	count, counted, cents                           int
	word, limit, day                                string
	one, gone                                       colour
	some                                            []colour
	flag                                            bool
}

func (v *values) fields() []field.Field {
	colours := field.ListOf("colours", []colour{"red", "blue"})
	l := func(at *measure.Length) *field.Length { return &field.Length{At: at, Least: in / 4, Most: 10 * in} }
	signed, empty, zero, usual := l(&v.signed), l(&v.empty), l(&v.zero), l(&v.usual)
	signed.Signed, signed.Least = true, -in
	empty.Empty, empty.Least, empty.Fine = true, 0, true
	zero.Zero, zero.Told = true, "That is told in words of its own."
	usual.List, usual.Usual = "usual", []field.UsualLength{{ID: "narrow", Length: in / 2}}
	return []field.Field{
		{Path: "length", Label: "Length", Value: l(&v.length)},
		{Path: "signed", Label: "Signed", Value: signed},
		{Path: "empty", Label: "Empty", Value: empty},
		{Path: "zero", Label: "Zero", Value: zero},
		{Path: "caliper", Label: "Caliper", Value: &field.Length{At: &v.caliper, Least: 1, Most: in, Caliper: true}},
		{Path: "usual", Label: "Usual", Value: usual},
		{Path: "or", Label: "Or", Value: &field.Length{At: &v.or, Most: in, Or: in / 8}},
		{Path: "absent", Label: "Absent", Value: &field.Length{Absent: &v.absent, Most: in}},
		{Path: "list", Label: "List", Value: &field.Lengths{At: &v.list, Fits: func(list []measure.Length) error {
			if len(list) > 3 {
				return errors.New("too many")
			}
			return nil
		}}},
		{Path: "grams", Label: "Weight", Value: &field.Weight{At: &v.grams, Most: 1000}},
		{Path: "ounces", Label: "Weight", Value: &field.Weight{At: &v.ounces, Most: 1000, Ounces: true, Empty: true}},
		{Path: "gsm", Label: "Grammage", Value: &field.Grammage{At: &v.gsm, Most: 2000}},
		{Path: "count", Label: "Cards", Value: &field.Count{At: &v.count, Least: 1, Most: 100, Things: "cards", Or: 4}},
		{Path: "counted", Label: "Sheets", Value: &field.Count{At: &v.counted, Most: 100, Things: "sheets", Empty: true}},
		{Path: "cents", Label: "Price", Value: &field.Price{At: &v.cents, Most: 10_000}},
		{Path: "word", Label: "Word", Value: &field.Word{At: &v.word, Most: 5, Needed: true}},
		{Path: "limit", Label: "Limit", Value: &field.Word{At: &v.limit, Most: 20, Write: func(s string) string { return s + " in" }}},
		{Path: "day", Label: "Day", Value: &field.Date{At: &v.day, Empty: true}},
		{Path: "one", Label: "Colour", Value: &field.One[colour]{At: &v.one, List: colours, Or: "red"}},
		{Path: "gone", Label: "Colour", Value: &field.One[colour]{At: &v.gone, List: colours, None: true, Gone: true}},
		{Path: "some", Label: "Colours", Value: &field.Some[colour]{At: &v.some, List: colours}},
		{Path: "flag", Label: "Flag", Value: &field.Flag{At: &v.flag}},
	}
}

// apply carries out an edit on values, and returns what the field shows then.
func apply(t *testing.T, v *values, e field.Edit) (string, error) {
	t.Helper()
	f, ok := field.Find(v.fields(), e.Path)
	if !ok {
		t.Fatalf("no field %s", e.Path)
	}
	err := f.Apply(e, inches)
	text, _ := f.Show(inches)
	return text, err
}

func TestWhatIsTyped(t *testing.T) {
	for _, tt := range []struct {
		path string
		act  field.Act
		text string
		n    int
		want string // what it shows then, or what it is refused with
		bad  bool
	}{
		{"length", field.Type, "5 1/2", 0, "5 1⁄2", false},
		{"length", field.Type, "10", 0, "10", false},
		{"length", field.Type, "10 1/16", 0, "larger than any sheet", true},
		{"length", field.Type, "1/4", 0, "1⁄4", false},
		{"length", field.Type, "3/16", 0, "type at least 1⁄4 in", true},
		{"length", field.Type, "0", 0, "cannot be nothing", true},
		{"length", field.Type, "", 0, "There is no", true},
		{"length", field.Step, "", 1, "2 1⁄16", false},
		{"length", field.Step, "", -40, "cannot be nothing", true},
		{"length", field.Step, "", -29, "too small", true},
		{"length", field.Set, "x", 0, "no usual length", true},
		{"signed", field.Type, "-1/2", 0, "−1⁄2", false},
		{"signed", field.Type, "−1/2", 0, "−1⁄2", false},
		{"signed", field.Type, "-1 1/16", 0, "too small", true},
		{"empty", field.Type, " ", 0, "", false},
		{"empty", field.Type, "1/64", 0, "1⁄64", false},
		{"zero", field.Type, "0", 0, "0", false},
		{"zero", field.Type, "1/8", 0, "words of its own", true},
		{"caliper", field.Type, "0.28 mm", 0, "0.28 mm", false},
		{"usual", field.Set, "narrow", 0, "1⁄2", false},
		{"usual", field.Set, "wide", 0, "no usual", true},
		{"or", field.Step, "", 1, "3⁄16", false},
		{"absent", field.Type, "1/2", 0, "1⁄2", false},
		{"absent", field.Type, "", 0, "", false},
		{"absent", field.Step, "", 2, "1⁄8", false},
		{"list", field.Type, "1, 2; 3", 0, "1, 2, 3", false},
		{"list", field.Type, "1+2 = 3", 0, "1, 2", false},
		{"list", field.Type, "1, 2 = 3 1/16", 0, "1, 2", false}, // right to a tick
		{"list", field.Type, "1, 2 = 3 1/8", 0, "do not add up: together they are 3 in", true},
		{"list", field.Type, "1, 2 = moon", 0, "moon", true},
		{"list", field.Type, "1, moon", 0, "moon", true},
		{"list", field.Type, "1,1,1,1", 0, "too many", true},
		{"list", field.Type, " ", 0, "", false},
		{"list", field.Step, "", 1, "no steps", true},
		{"grams", field.Type, "22,5", 0, "22.5 g", false},
		{"grams", field.Type, "0.8 oz", 0, "22.68 g", false},
		{"grams", field.Type, "1 kg", 0, "1000 g", false},
		{"grams", field.Type, "1.001 kg", 0, "at most 1 kg", true},
		{"grams", field.Type, "2 lb", 0, "907.18 g", false},
		{"grams", field.Type, "-1", 0, "below nothing", true},
		{"grams", field.Type, "NaN", 0, "not a weight", true},
		{"grams", field.Type, "5 stone", 0, "not a weight", true},
		{"grams", field.Type, "", 0, "not a weight", true},
		{"grams", field.Step, "", -5, "0 g", false},
		{"grams", field.Step, "", 2000, "1000 g", false},
		{"ounces", field.Type, "1.5", 0, "1.5 oz", false},
		{"ounces", field.Type, "", 0, "", false},
		{"gsm", field.Type, "120 gsm", 0, "120", false},
		{"gsm", field.Type, "0", 0, "not a weight of paper", true},
		{"gsm", field.Type, "2001", 0, "not a weight of paper", true},
		{"gsm", field.Step, "", 1, "no steps", true},
		{"count", field.Type, "12", 0, "12", false},
		{"count", field.Type, "0", 0, "From 1 to 100 cards", true},
		{"count", field.Type, "101", 0, "From 1 to 100 cards", true},
		{"count", field.Type, "1.5", 0, "not a number of cards", true},
		{"count", field.Type, "", 0, "no number of cards here yet", true},
		{"count", field.Step, "", 1, "5", false},
		{"count", field.Step, "", -4, "From 1 to 100", true},
		{"counted", field.Type, "", 0, "", false},
		{"counted", field.Type, "7", 0, "7", false},
		{"cents", field.Type, "$1,30", 0, "1.30", false},
		{"cents", field.Type, "100.01", 0, "not a price", true},
		{"cents", field.Type, "-1", 0, "not a price", true},
		{"word", field.Type, " night ", 0, "night", false},
		{"word", field.Type, " ", 0, "cannot be left empty", true},
		{"word", field.Type, "nights", 0, "at most 5", true},
		{"limit", field.Type, "6", 0, "6 in", false},
		{"day", field.Type, "2026-11-24", 0, "2026-11-24", false},
		{"day", field.Type, "spring", 0, "not a day", true},
		{"day", field.Type, "", 0, "", false},
		{"one", field.Set, "blue", 0, "blue", false},
		{"one", field.Set, "", 0, "not there to be chosen", true},
		{"one", field.Set, "green", 0, "not there to be chosen", true},
		{"one", field.Type, "blue", 0, "chosen, not typed", true},
		{"gone", field.Set, "", 0, "", false},
		{"some", field.Set, "blue,red,blue", 0, "blue,red", false},
		{"some", field.Set, "", 0, "", false},
		{"some", field.Set, "green", 0, "not there to be chosen", true},
		{"flag", field.Set, "yes", 0, "yes", false},
		{"flag", field.Set, "no", 0, "no", false},
		{"flag", field.Set, "perhaps", 0, "is yes or no", true},
		{"length", field.Add, "", 0, "typed or chosen", true},
	} {
		t.Run(tt.path+" "+string(tt.act)+" "+tt.text, func(t *testing.T) {
			v := &values{length: 2 * in, usual: in, word: "dusk"}
			was := *v
			got, err := apply(t, v, field.Edit{Act: tt.act, Path: tt.path, Text: tt.text, Steps: tt.n})
			switch {
			case tt.bad && (err == nil || !strings.Contains(err.Error(), tt.want)):
				t.Errorf("%v, want %q", err, tt.want)
			case tt.bad && !same(was, *v):
				t.Errorf("refused, and changed all the same")
			case !tt.bad && (err != nil || got != tt.want):
				t.Errorf("%q, %v, want %q", got, err, tt.want)
			}
		})
	}
}

func same(a, b values) bool {
	if !slices.Equal(a.list, b.list) || !slices.Equal(a.some, b.some) {
		return false
	}
	a.list, b.list, a.some, b.some = nil, nil, nil, nil
	x, y := a.fields(), b.fields()
	for i := range x {
		p, _ := x[i].Show(inches)
		q, _ := y[i].Show(inches)
		if p != q {
			return false
		}
	}
	return true
}

// What was stored out of bounds is refused by the check, at its bounds and beyond;
// what lies at them is not.
func TestWhatIsStored(t *testing.T) {
	good := values{length: in / 4, caliper: 1, usual: 10 * in, grams: 1000, gsm: 2000, count: 100, cents: 10_000, gone: "green", one: "blue", some: []colour{"red"}}
	good.zero = 0
	for _, tt := range []struct {
		path   string
		change func(*values)
	}{
		{"length", func(v *values) { v.length-- }},
		{"length", func(v *values) { v.length = 10*in + 1 }},
		{"signed", func(v *values) { v.signed = -in - 1 }},
		{"zero", func(v *values) { v.zero = 1 }},
		{"caliper", func(v *values) { v.caliper = 0 }},
		{"absent", func(v *values) { l := 2 * in; v.absent = &l }},
		{"list", func(v *values) { v.list = make([]measure.Length, 4) }},
		{"grams", func(v *values) { v.grams = 1000.1 }},
		{"grams", func(v *values) { v.grams = -1 }},
		{"gsm", func(v *values) { v.gsm = 0 }},
		{"gsm", func(v *values) { v.gsm = 2001 }},
		{"count", func(v *values) { v.count = 101 }},
		{"counted", func(v *values) { v.counted = -1 }},
		{"cents", func(v *values) { v.cents = -1 }},
		{"cents", func(v *values) { v.cents = 10_001 }},
		{"one", func(v *values) { v.one = "green" }},
		{"some", func(v *values) { v.some = []colour{"green"} }},
	} {
		t.Run(tt.path, func(t *testing.T) {
			v := good
			for _, f := range v.fields() {
				if err := f.Refused(inches); err != nil {
					t.Fatalf("%s is refused as it is: %v", f.Path, err)
				}
			}
			tt.change(&v)
			for _, f := range v.fields() {
				if err := f.Refused(inches); (err != nil) != (f.Path == tt.path) {
					t.Errorf("%s changed: %s says %v", tt.path, f.Path, err)
				}
			}
		})
	}
}

func TestInputsSayWhatTheyAre(t *testing.T) {
	v := values{length: 140 * measure.Millimetre, usual: in / 2}
	for _, f := range v.fields() {
		got := f.Input(inches)
		switch f.Path {
		case "length":
			if got.Text != "5 1⁄2" || got.Exact != "140 mm" || got.Kind != field.LengthKind {
				t.Errorf("%+v", got)
			}
		case "usual":
			if got.Usual != "narrow" || got.List != "usual" {
				t.Errorf("%+v", got)
			}
		case "one":
			if got.Text != "red" || got.List != "colours" || got.None {
				t.Errorf("%+v", got)
			}
		case "gone", "some", "day", "empty", "absent", "counted", "ounces", "list":
			if !got.None {
				t.Errorf("%s: nothing is an answer, and it does not say so", f.Path)
			}
		}
	}
}

func TestPlaces(t *testing.T) {
	lists := field.Lists{"parts": {"base", "lining", "7up"}, "items": {"item-1"}}
	for path, want := range map[string]string{
		"card.width": "card.width", "parts.lining.border": "parts.1.border", "parts.2.border": "parts.2.border", "parts.base": "parts.0", "parts": "parts",
		"parts.7up.x": "parts.2.x", "items.item-1.width": "items.0.width", "parts.9.border": "parts.9.border",
	} {
		t.Run(path, func(t *testing.T) {
			if got, err := lists.Place(path); err != nil || got != want {
				t.Errorf("%s is %s, %v, want %s", path, got, err, want)
			}
		})
	}
	if _, err := lists.Place("parts.moon.border"); err == nil || !strings.Contains(err.Error(), "not there any more") {
		t.Errorf("%v", err)
	}
	for path, want := range map[string]int{"parts.2": 2, "parts.2.x": -1, "parts": -1, "parts.-1": -1, "a.b.0": 0} {
		t.Run(path, func(t *testing.T) {
			_, at, ok := field.Entry(path)
			if ok != (want >= 0) || ok && at != want {
				t.Errorf("%s: %d, %v", path, at, ok)
			}
		})
	}
	if id := field.NewID("layer", []string{"layer-1", "layer-3"}); id != "layer-2" {
		t.Errorf("%s", id)
	}
	for _, e := range []field.Edit{{Act: "dance", Path: "x"}, {Act: field.Type, Text: strings.Repeat("x", 301)}, {}} {
		if e.Check() == nil {
			t.Errorf("%.40v is let through", e)
		}
	}
	if err := (field.Edit{Act: field.Add, Text: strings.Repeat("x", 301)}).Check(); err != nil {
		t.Error("a file cannot be added:", err)
	}
}

// A note that gives a value in both units must agree with itself to a tick.
func TestBothUnits(t *testing.T) {
	for text, want := range map[string]string{"5 1/2": "5 1/2", "5 1/2 (140 mm)": "5 1/2 ", "3 (76 mm)": "3 ", "moon (3 in)": "moon "} {
		t.Run(text, func(t *testing.T) {
			if got, err := field.BothUnits(text, inches); err != nil || got != want {
				t.Errorf("%q: %q, %v", text, got, err)
			}
		})
	}
	for _, text := range []string{"3 (80 mm)", "3 (moon)"} {
		if _, err := field.BothUnits(text, inches); err == nil {
			t.Errorf("%q is read", text)
		}
	}
}
