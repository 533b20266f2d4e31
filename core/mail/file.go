package mail

import (
	"bytes"
	"encoding/json"
	"errors"
	"fmt"
	"io"
	"slices"
	"strings"

	"yellowparcel/core/measure"
)

// File is a rulebook as it is written in a file, and as it is edited: every
// limit is text with its unit.
type File struct {
	ID      string `json:"id" maxLength:"40" doc:"its name inside, unlike that of any other rulebook"`
	Region  string `json:"region" maxLength:"80" doc:"the country or region whose post it is"`
	Service string `json:"service" maxLength:"80" doc:"what of that post: home mail, abroad"`
	Source  string `json:"source" maxLength:"300" doc:"where the rules stand: country, manual and section in general words"`
	// Published is when the rules took effect, LastChecked when somebody last held
	// them against the source: a date, or empty when nobody knows.
	Published   string      `json:"published,omitempty" maxLength:"40" doc:"when the rules took effect, as far as is known"`
	LastChecked string      `json:"lastChecked,omitempty" maxLength:"10" doc:"the day somebody last held them against the source, as 2026-11-24; empty when nobody did"`
	Confidence  string      `json:"confidence" maxLength:"80" doc:"how sure it is, in a few words"`
	Floor       *FloorFile  `json:"floor,omitempty" doc:"the least that is mailable at all"`
	Classes     []ClassFile `json:"classes" maxItems:"20" doc:"the classes, cheapest first"`
}

// FloorFile is the least that is mailable at all.
type FloorFile struct {
	UpToThickness string      `json:"upToThickness" maxLength:"40" doc:"it holds for pieces up to this thickness"`
	Limits        []LimitFile `json:"limits" maxItems:"20"`
}

// ClassFile is a class of mail.
type ClassFile struct {
	ID     string      `json:"id" maxLength:"40"`
	Name   string      `json:"name" maxLength:"60"`
	Over   string      `json:"over,omitempty" maxLength:"40" doc:"the class whose size, thickness or weight a piece must exceed"`
	Limits []LimitFile `json:"limits" maxItems:"40"`
	// Surcharge is what a piece pays that breaks one of its limits.
	Surcharge *SurchargeFile `json:"surcharge,omitempty"`
}

// SurchargeFile is a surcharge with the limits that cost it.
type SurchargeFile struct {
	Name   string      `json:"name" maxLength:"120"`
	Limits []LimitFile `json:"limits" maxItems:"40"`
}

// LimitFile bounds one measure.
type LimitFile struct {
	Measure  Measure `json:"measure" maxLength:"40"`
	Min      string  `json:"min,omitempty" maxLength:"40"`
	Max      string  `json:"max,omitempty" maxLength:"40"`
	Guidance bool    `json:"guidance,omitempty" doc:"the post does not say this number: it is what makers go by"`
	When     []When  `json:"when,omitempty" maxItems:"5" doc:"one of these must hold for the limit to count"`
}

// Clone copies a file with all that it points to.
func (f File) Clone() File {
	if f.Floor != nil {
		floor := *f.Floor
		floor.Limits = slices.Clone(floor.Limits)
		f.Floor = &floor
	}
	f.Classes = slices.Clone(f.Classes)
	for i := range f.Classes {
		c := &f.Classes[i]
		c.Limits = slices.Clone(c.Limits)
		if c.Surcharge != nil {
			s := *c.Surcharge
			s.Limits = slices.Clone(s.Limits)
			c.Surcharge = &s
		}
	}
	return f
}

// When is the condition that a measure is over a quantity.
type When struct {
	Measure Measure `json:"measure" maxLength:"40"`
	Over    string  `json:"over" maxLength:"40"`
}

// FileError is a rule that cannot be used, with the line of the file it stands
// in; the line is zero where it is not known.
type FileError struct {
	Line int
	// Where is the place in words: "letter, height".
	Where, Message string
}

func (e *FileError) Error() string {
	var b strings.Builder
	if e.Line > 0 {
		fmt.Fprintf(&b, "line %d: ", e.Line)
	}
	if e.Where != "" {
		b.WriteString(e.Where + ": ")
	}
	return b.String() + e.Message
}

// mostFile is how large a rulebook may be.
const mostFile = 256 << 10

// ReadFile reads a rulebook from JSON. Fields that are not known and rules that
// contradict each other are refused with their line.
func ReadFile(text []byte) (File, error) {
	var f File
	if len(text) > mostFile {
		return f, &FileError{Message: fmt.Sprintf("a rulebook of %d kB is larger than any can be: at most %d", len(text)>>10, mostFile>>10)}
	}
	d := json.NewDecoder(bytes.NewReader(text))
	d.DisallowUnknownFields()
	if err := d.Decode(&f); err != nil {
		return f, jsonError(text, d, err)
	}
	if _, err := d.Token(); !errors.Is(err, io.EOF) {
		return f, &FileError{Line: lineAt(text, d.InputOffset()), Message: "something stands behind the end of the rulebook: take it away"}
	}
	_, err := f.Rulebook()
	var fe *FileError
	if errors.As(err, &fe) {
		fe.Line = lineOf(text, fe.Where)
	}
	return f, f.Explain(err)
}

// Explain names the place of an error of Rulebook in words: "letter, length" for
// the path "classes.0.limits.0".
func (f File) Explain(err error) error {
	var fe *FileError
	if !errors.As(err, &fe) {
		return err
	}
	told := *fe
	told.Where = words(f, fe.Where)
	return &told
}

func jsonError(text []byte, d *json.Decoder, err error) error {
	at := d.InputOffset()
	var syntax *json.SyntaxError
	var kind *json.UnmarshalTypeError
	switch {
	case errors.As(err, &syntax):
		return &FileError{Line: lineAt(text, syntax.Offset), Message: "this is no JSON: " + syntax.Error()}
	case errors.As(err, &kind):
		return &FileError{Line: lineAt(text, kind.Offset), Message: fmt.Sprintf("“%s” should not be a %s", kind.Field, kind.Value)}
	case errors.Is(err, io.ErrUnexpectedEOF), errors.Is(err, io.EOF):
		return &FileError{Line: lineAt(text, int64(len(text))), Message: "the rulebook ends in the middle"}
	}
	if name, unknown := strings.CutPrefix(err.Error(), "json: unknown field "); unknown {
		at = int64(bytes.Index(text, []byte(name)))
		return &FileError{Line: lineAt(text, at), Message: "no rulebook has a field " + name}
	}
	return &FileError{Line: lineAt(text, at), Message: err.Error()}
}

func lineAt(text []byte, offset int64) int {
	return 1 + bytes.Count(text[:min(int64(len(text)), max(0, offset))], []byte("\n"))
}

// lineOf finds the line on which the value at a path ("classes.0.limits.2")
// begins, by walking through the tokens; zero when there is none.
func lineOf(text []byte, path string) int {
	d := json.NewDecoder(bytes.NewReader(text))
	line, found := 0, false
	var walk func(at string) bool
	walk = func(at string) bool {
		t, err := d.Token()
		if err != nil {
			return false
		}
		if at == path || strings.HasPrefix(path, at) && !found {
			line, found = lineAt(text, d.InputOffset()), at == path
		}
		join := func(name string) string { return strings.TrimPrefix(at+"."+name, ".") }
		switch t {
		case json.Delim('{'):
			for d.More() {
				key, err := d.Token()
				name, _ := key.(string)
				if err != nil || !walk(join(name)) {
					return false
				}
			}
			_, err = d.Token()
		case json.Delim('['):
			for i := 0; d.More(); i++ {
				if !walk(join(fmt.Sprint(i))) {
					return false
				}
			}
			_, err = d.Token()
		}
		return err == nil
	}
	walk("")
	return line
}

// words names the place of a path by the class and the measure that stand there.
func words(f File, path string) string {
	var c, l int
	name := func(list []LimitFile) string {
		if l < len(list) {
			return ", " + string(list[l].Measure)
		}
		return ""
	}
	switch {
	case scan(path, "classes.%d.surcharge.limits.%d", &c, &l):
		return f.Classes[c].Name + ", surcharge" + name(f.Classes[c].Surcharge.Limits)
	case scan(path, "classes.%d.limits.%d", &c, &l):
		return f.Classes[c].Name + name(f.Classes[c].Limits)
	case scan(path, "classes.%d", &c):
		return "class " + f.Classes[c].Name
	case scan(path, "floor.limits.%d", &l):
		return "floor" + name(f.Floor.Limits)
	}
	return strings.ReplaceAll(path, ".", ", ")
}

func scan(path, format string, into ...any) bool {
	n, _ := fmt.Sscanf(path, format, into...)
	return n == len(into) && strings.Count(path, ".") >= strings.Count(format, ".")
}

// Rulebook compiles the file. Its errors are FileErrors whose place is the path
// of the rule: "classes.0.limits.2".
func (f File) Rulebook() (Rulebook, error) {
	b := Rulebook{
		ID: f.ID, Region: f.Region, Service: f.Service, Source: f.Source,
		Published: f.Published, LastChecked: f.LastChecked, Confidence: f.Confidence,
	}
	fail := func(path, format string, args ...any) (Rulebook, error) {
		return Rulebook{}, &FileError{Where: path, Message: fmt.Sprintf(format, args...)}
	}
	switch {
	case f.ID == "":
		return fail("id", "the rulebook has no id")
	case f.Region == "" || f.Service == "":
		return fail("region", "the rulebook says neither region nor service")
	case len(f.Classes) == 0:
		return fail("classes", "the rulebook has no class")
	case f.LastChecked != "" && !day(f.LastChecked):
		return fail("lastChecked", "%q is not a day: write it as 2026-11-24, or leave it empty", f.LastChecked)
	}
	var err error
	if f.Floor != nil {
		if err := (*measure.Written)(&b.FloorThickness).UnmarshalText([]byte(f.Floor.UpToThickness)); err != nil {
			return fail("floor.upToThickness", "%v", err)
		}
		if b.Floor, err = limits("floor.limits", f.Floor.Limits); err != nil {
			return Rulebook{}, err
		}
	}
	known := map[string]bool{}
	for i, c := range f.Classes {
		path := fmt.Sprintf("classes.%d", i)
		class := Class{ID: c.ID, Name: c.Name, BeyondClass: c.Over}
		switch {
		case c.ID == "" || c.Name == "" || known[c.ID]:
			return fail(path, "the class has no id or no name, or another one has its id")
		case c.Over != "" && !known[c.Over]:
			return fail(path+".over", "the class goes over %q, which does not stand before it", c.Over)
		case len(c.Limits) == 0:
			return fail(path, "the class has no limit")
		}
		known[c.ID] = true
		if class.Limits, err = limits(path+".limits", c.Limits); err != nil {
			return Rulebook{}, err
		}
		if c.Surcharge != nil {
			if class.Surcharge = c.Surcharge.Name; class.Surcharge == "" || len(c.Surcharge.Limits) == 0 {
				return fail(path+".surcharge", "the surcharge has no name or no limit")
			}
			if class.SurchargeLimits, err = limits(path+".surcharge.limits", c.Surcharge.Limits); err != nil {
				return Rulebook{}, err
			}
		}
		if path, why := contradiction(path, class); why != "" {
			return fail(path, "%s", why)
		}
		b.Classes = append(b.Classes, class)
	}
	return b, nil
}

// contradiction finds two rules of a class that no piece can keep together.
func contradiction(path string, c Class) (where, why string) {
	type bound struct{ least, most *Quantity }
	seen := map[Measure]bound{}
	for i, l := range c.Limits {
		if len(l.When) > 0 {
			continue
		}
		b := seen[l.Measure]
		if l.Min != nil && (b.least == nil || *l.Min > *b.least) {
			b.least = l.Min
		}
		if l.Max != nil && (b.most == nil || *l.Max < *b.most) {
			b.most = l.Max
		}
		if seen[l.Measure] = b; b.least != nil && b.most != nil && *b.least > *b.most {
			return fmt.Sprintf("%s.limits.%d", path, i), fmt.Sprintf("no %s can keep this and the other limit of it", l.Measure)
		}
	}
	return "", ""
}

// unitOf is the unit behind a number: "in" of "6 1/8 in".
func unitOf(text string) string {
	return strings.TrimLeft(text, "0123456789./, ")
}

func limits(path string, rows []LimitFile) ([]Limit, error) {
	var list []Limit
	for i, r := range rows {
		path := fmt.Sprintf("%s.%d", path, i)
		fail := func(format string, args ...any) ([]Limit, error) {
			return nil, &FileError{Where: path, Message: fmt.Sprintf(format, args...)}
		}
		l := Limit{Measure: r.Measure, Guidance: r.Guidance}
		if _, ok := r.Measure.Kind(); !ok {
			return fail("%q is not something that is measured of a piece", r.Measure)
		}
		for _, bound := range []struct {
			text string
			into **Quantity
		}{{r.Min, &l.Min}, {r.Max, &l.Max}} {
			if bound.text == "" {
				continue // not known, never none
			}
			q, err := quantity(r.Measure, bound.text)
			if err != nil {
				return fail("%v", err)
			}
			*bound.into = &q
			l.Unit = unitOf(bound.text)
		}
		switch {
		case l.Min == nil && l.Max == nil:
			return fail("there is neither a least nor a most")
		case l.Min != nil && l.Max != nil && *l.Min > *l.Max:
			return fail("the least, %s, is more than the most, %s", r.Min, r.Max)
		}
		for _, w := range r.When {
			q, err := quantity(w.Measure, w.Over)
			if err != nil {
				return fail("when %s: %v", w.Measure, err)
			}
			l.When = append(l.When, Over{w.Measure, q})
		}
		list = append(list, l)
	}
	return list, nil
}
