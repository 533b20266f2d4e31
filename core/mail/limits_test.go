package mail

import (
	"encoding/json"
	"errors"
	"strings"
	"testing"

	"yellowparcel/core/measure"
)

// middle is a piece well inside every limit of a class.
func middle(c Class) Piece {
	mid := func(m Measure, usual float64) float64 {
		low, high := 0.6, usual
		least := -1.0
		for _, l := range append(append([]Limit(nil), c.Limits...), c.SurchargeLimits...) {
			if l.Measure != m || len(l.When) > 0 {
				continue
			}
			if l.Max != nil && float64(*l.Max) < high {
				high = float64(*l.Max)
			}
			if l.Min != nil {
				least = float64(*l.Min)
			}
		}
		if least < 0 {
			least = low * high
		}
		return (least + high) / 2
	}
	mm := float64(measure.Millimetre)
	p := Piece{
		Width: measure.Round(mid(Length, 600*mm)), Height: measure.Round(mid(Height, 300*mm)),
		Thickness: measure.Round(mid(Thickness, 10*mm)), Weight: mid(Weight, 500),
	}
	for _, l := range c.Limits {
		if l.Measure == Bare && l.Min != nil {
			p.Bare = true
		}
	}
	if p.Height*71/50 > p.Width {
		p.Height = p.Width * 50 / 71
	}
	return p
}

// set gives a piece one measure and keeps the others well inside.
func (p Piece) set(c Class, m Measure, v float64, least bool) Piece {
	on := v > 0.5
	filled := measure.Length(0)
	if least {
		filled = p.Thickness // the least is held against the filled piece
	}
	switch m {
	case Length:
		p.Width = measure.Round(v) + filled
		p.Height = min(p.Height, p.Width*5/7)
		p.Height = max(p.Height, p.Width*100/245)
	case Height:
		p.Height = measure.Round(v) + filled
		p.Width = max(p.Width, p.Height*71/50)
		for _, l := range c.Limits {
			// Where the shape is free a high piece may be nearly square.
			if l.Measure == Length && l.Max != nil && p.Width > measure.Length(*l.Max) {
				p.Width = measure.Length(*l.Max)
			}
		}
		p.Width = min(p.Width, p.Height*245/100)
	case Sum:
		p.Width = measure.Round(v) - p.Height - p.Thickness
	case Thickness:
		p.Thickness = measure.Round(v)
	case Weight:
		p.Weight = v
	case Aspect, AddressAspect:
		p.Width = measure.Round(v * float64(p.Height))
		if !least { // filled it is slimmer
			p.Width = measure.Round(v*float64(p.Height-p.Thickness)) + p.Thickness
		}
	case Radius:
		p.Bare, p.Radius = true, measure.Round(v)
	case Lump:
		p.Lump = measure.Round(v)
	case Uneven:
		p.Uneven = measure.Round(v)
	case Pull:
		p.Pull, p.PullAtMost = v, v
	case Strain:
		p.Strain = v
	case TableBend:
		p.TableStrain = v
	case Girth:
		p.Width = measure.Round(v) - 2*(p.Height+p.Thickness)
	case Box:
		p.Box = on
	case Odd:
		p.Odd = on
	case Square:
		if on {
			p.Height = p.Width
		}
	case Clasp:
		p.Clasp = on
	case Plastic:
		p.Plastic = on
	case Bare:
		p.Bare = on
	case Folded:
		p.Bare, p.Folded = true, on
	}
	return p
}

// Every limit of every class of every rulebook, in steps of both units: a piece
// at the limit keeps it, as does one just inside; one just outside does not,
// with all other measures well inside.
func TestEveryLimitOfEveryClass(t *testing.T) {
	hairs := map[Kind][]float64{
		Lengths: {float64(measure.Inch / 64), float64(measure.Millimetre / 10), float64(measure.Micrometre)},
		Weights: {0.01, Ounce / 100}, Ratios: {0.004}, Forces: {0.1}, Percents: {0.0001}, Flags: {1},
	}
	// Sizes hang together: one cannot be moved alone.
	sizes := map[Measure]bool{Length: true, Height: true, Sum: true, Aspect: true, AddressAspect: true}
	held := 0
	for _, book := range Rulebooks() {
		for i, class := range book.Classes {
			start := middle(class)
			if r := book.Judge(start).Results[i]; !r.Outcome.taken() || r.Outcome != Goes {
				t.Errorf("%s, %s: the middle is %s: %+v %+v", book.ID, class.ID, r.Outcome, start, broken(r))
				continue
			}
			for k, l := range append(append([]Limit(nil), class.Limits...), class.SurchargeLimits...) {
				if len(l.When) > 0 {
					continue // TestUSLimits has those
				}
				kind, _ := l.Measure.Kind()
				for _, bound := range []struct {
					q    *Quantity
					sign float64
				}{{l.Min, -1}, {l.Max, 1}} {
					if bound.q == nil {
						continue
					}
					check := func(v float64, ok bool, what string) {
						p := start.set(class, l.Measure, v, bound.sign < 0)
						r := book.Judge(p).Results[i]
						if c := checkOf(r, k, class, p); c.OK != ok {
							t.Errorf("%s, %s: %s %s %v: %+v of %+v", book.ID, class.ID, l.Measure, what, *bound.q, c, p)
						}
						for _, c := range broken(r) {
							if !sizes[c.Measure] && c.Measure != l.Measure && l.Measure != Folded && l.Measure != Radius {
								t.Errorf("%s, %s: moving %s breaks %s", book.ID, class.ID, l.Measure, c.Measure)
							}
						}
						held++
					}
					at := float64(*bound.q)
					check(at, true, "at its limit of")
					for _, hair := range hairs[kind] {
						check(at+bound.sign*hair, false, "just outside")
						if wide := l.Min == nil || l.Max == nil || float64(*l.Max-*l.Min) > hair; kind != Flags && wide {
							check(at-bound.sign*hair, true, "just inside")
						}
					}
				}
			}
		}
	}
	if held < 500 {
		t.Errorf("only %d pieces were held", held)
	}
}

// checkOf is the check of the k-th limit of a class, among those that concern
// the piece.
func checkOf(r ClassResult, k int, c Class, p Piece) Check {
	n := 0
	for i, l := range append(append([]Limit(nil), c.Limits...), c.SurchargeLimits...) {
		if !p.concerns(l) {
			continue
		}
		if i == k {
			return r.Checks[n]
		}
		n++
	}
	return Check{}
}

func broken(r ClassResult) (list []Check) {
	for _, c := range r.Checks {
		if !c.OK {
			list = append(list, c)
		}
	}
	return list
}

const sound = `{
  "id": "own", "region": "Moon", "service": "home mail", "source": "", "confidence": "made up",
  "classes": [
    {"id": "l", "name": "letter", "limits": [
      {"measure": "length", "min": "5 in", "max": "9 in"}
    ]}
  ]
}`

// What is wrong with a rulebook is said with its line.
func TestBrokenRulebooksAreRefused(t *testing.T) {
	if _, err := ReadFile([]byte(sound)); err != nil {
		t.Fatal(err)
	}
	for _, tt := range []struct{ was, is, says string }{
		{sound, "{", "line 1: the rulebook ends in the middle"},
		{sound, sound + "{}", "stands behind the end"},
		{`"region": "Moon"`, `"region": "Moon", "tide": 3`, `line 2: no rulebook has a field "tide"`},
		{`"id": "own"`, `"id": 7`, "line 2"},
		{`"9 in"}`, `"9 in"},,`, "line 5: this is no JSON"},
		{`"9 in"`, `"4 in"`, "line 5: letter, length: the least, 5 in, is more than the most, 4 in"},
		{`"9 in"`, `"9"`, "line 5: letter, length: the length \"9\" has no unit"},
		{`"9 in"}`, `"9 in"},
      {"measure": "length", "max": "4 in"}`, "line 6: letter, length: no length can keep this"},
		{`"length"`, `"smell"`, "line 5: letter, smell: \"smell\" is not something that is measured"},
		{`{"measure": "length", "min": "5 in", "max": "9 in"}`, `{"measure": "weight", "max": "3 stone"}`, "g, kg, oz or lb"},
		{`{"measure": "length", "min": "5 in", "max": "9 in"}`, `{"measure": "aspect", "max": "tall"}`, "not a number"},
		{`{"measure": "length", "min": "5 in", "max": "9 in"}`, `{"measure": "pull", "max": "5"}`, "lb or N"},
		{`{"measure": "length", "min": "5 in", "max": "9 in"}`, `{"measure": "strain", "max": "5"}`, "with %"},
		{`{"measure": "length", "min": "5 in", "max": "9 in"}`, `{"measure": "clasp", "max": "perhaps"}`, "neither yes nor no"},
		{`{"measure": "length", "min": "5 in", "max": "9 in"}`, `{"measure": "weight", "max": "-3 g"}`, "out of all bounds"},
		{`{"measure": "length", "min": "5 in", "max": "9 in"}`, `{"measure": "weight"}`, "neither a least nor a most"},
		{`{"measure": "length", "min": "5 in", "max": "9 in"}`, ``, "line 4: class letter: the class has no limit"},
		{`"name": "letter"`, `"name": "letter", "over": "moon"`, "which does not stand before it"},
		{`"max": "9 in"`, `"max": "9 in", "when": [{"measure": "height", "over": "x"}]`, "when height"},
		{`"source": ""`, `"source": "", "lastChecked": "spring"`, "line 2: lastChecked: \"spring\" is not a day"},
		{`"source": ""`, `"source": "", "floor": {"upToThickness": "1/4 in", "limits": [{"measure": "aspect"}]}`, "floor, aspect"},
		{`"limits": [`, `"surcharge": {"name": "", "limits": []}, "limits": [`, "the surcharge has no name"},
		{`"region": "Moon"`, `"region": ""`, "neither region nor service"},
	} {
		t.Run(tt.was, func(t *testing.T) {
			_, err := ReadFile([]byte(strings.Replace(sound, tt.was, tt.is, 1)))
			if err == nil || !strings.Contains(err.Error(), tt.says) {
				t.Errorf("%s: %v, want it to speak of %q", tt.is, err, tt.says)
			}
			var fe *FileError
			if !errors.As(err, &fe) {
				t.Errorf("%s: %T has no line", tt.is, err)
			}
		})
	}
	if _, err := ReadFile(make([]byte, mostFile+1)); err == nil || !strings.Contains(err.Error(), "larger than any") {
		t.Errorf("a huge file: %v", err)
	}
	if _, err := ReadFile([]byte(`{"id":"x","region":"r","service":"s","source":"","confidence":"","classes":[]}`)); err == nil || !strings.Contains(err.Error(), "no class") {
		t.Errorf("no class: %v", err)
	}
}

// A rulebook that is written out reads back as the same one.
func TestRulebooksReadBack(t *testing.T) {
	for _, f := range Files() {
		text, err := json.MarshalIndent(f, "", "  ")
		if err != nil {
			t.Fatal(err)
		}
		back, err := ReadFile(text)
		if err != nil {
			t.Errorf("%s: %v", f.ID, err)
		}
		again, _ := json.MarshalIndent(back, "", "  ")
		if string(again) != string(text) {
			t.Errorf("%s changes when it is read back", f.ID)
		}
	}
}

func TestYearOld(t *testing.T) {
	for _, tt := range []struct {
		then, today string
		old         bool
	}{{"2025-11-24", "2026-11-24", false}, {"2025-11-23", "2026-11-24", true}, {"", "2026-11-24", false}, {"2020-01-01", "", false}} {
		t.Run(tt.then, func(t *testing.T) {
			if got := YearOld(tt.then, tt.today); got != tt.old {
				t.Errorf("%q on %q: %v", tt.then, tt.today, got)
			}
		})
	}
}
