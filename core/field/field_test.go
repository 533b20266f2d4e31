package field_test

import (
	"errors"
	"slices"
	"strconv"
	"strings"
	"testing"

	"yellowparcel/core/field"
	"yellowparcel/core/measure"
	"yellowparcel/internal/told"
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
	for _, tt := range told.Lines(t, "testdata/edits.txt", "edits", 6) {
		act, bad, want := field.Act(tt[1]), tt[4] == "refused", tt[5]
		t.Run(tt[0]+" "+tt[1]+" "+tt[2], func(t *testing.T) {
			v := &values{length: 2 * in, usual: in, word: "dusk"}
			was := *v
			steps, err := strconv.Atoi(tt[3])
			if err != nil {
				t.Fatal(err)
			}
			got, err := apply(t, v, field.Edit{Act: act, Path: tt[0], Text: tt[2], Steps: steps})
			switch {
			case bad && (err == nil || !strings.Contains(err.Error(), want)):
				t.Errorf("%v, want %q", err, want)
			case bad && !same(was, *v):
				t.Errorf("refused, and changed all the same")
			case !bad && (err != nil || got != want):
				t.Errorf("%q, %v, want %q", got, err, want)
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
