// Package field is what is typed: a value at its path, with its label, its kind and
// its bounds, and the one kind of edit that changes it.
//
// A path is that of the value in the JSON of the job or the shop that it belongs to:
// "card.width", "parts.1.edges.top". Lengths are nanometres, weights grams. A kind
// of value (a length, a weight, a choice …) is a file of its own: how it is shown,
// read, stepped and refused stands there and nowhere else.
//
//	f := field.Field{Path: "card.width", Label: "Width", Value: &field.Length{At: &c.Width, Least: 25 * measure.Millimetre, Most: measure.Metre}}
//	err := f.Apply(field.Edit{Act: field.Type, Path: f.Path, Text: "5 1/2"}, style)
package field

import (
	"errors"

	"yellowparcel/core/measure"
	"yellowparcel/core/say"
)

// Kind says what is typed in a field.
type Kind string

// The kinds of fields.
const (
	LengthKind   Kind = "length"
	LengthsKind  Kind = "lengths" // a list of lengths, parted by commas
	WeightKind   Kind = "weight"
	GrammageKind Kind = "grammage" // grams per square metre
	CountKind    Kind = "count"
	WordKind     Kind = "word"
	ChoiceKind   Kind = "choice"  // one of a list
	ChoicesKind  Kind = "choices" // some of a list, parted by commas
	FlagKind     Kind = "flag"    // yes or no
	PriceKind    Kind = "price"
	DateKind     Kind = "date"
)

// Value is what stands in a field. Name is what its field is called in a refusal:
// "card width".
type Value interface {
	Kind() Kind
	// Show is the text that the field shows, and the same exactly where that had to
	// round.
	Show(s measure.Style) (text, exact string)
	// Type reads a text, Step moves the value by so many of its smallest steps, and
	// Choose takes one of a list.
	Type(text, name string, s measure.Style) error
	Step(n int, name string, s measure.Style) error
	Choose(id, name string, s measure.Style) error
	// Check refuses what no edit would let in.
	Check(name string, s measure.Style) error
}

// Field is a value at its path.
type Field struct {
	Path  string
	Label string
	// Note is a few words about it, as "0 for none".
	Note string
	// Name is what it is called in a refusal; the label when empty.
	Name string
	Value
	// Fits holds the value against what the bounds cannot say; nil where nothing
	// depends on it.
	Fits func() error
	// Then changes what follows from the field.
	Then func()
}

// name is what the field is called in a refusal.
func (f Field) name() string {
	if f.Name != "" {
		return f.Name
	}
	return say.Lower(f.Label)
}

// Apply carries out an edit of the field: the value is changed in its place, or
// nothing is.
func (f Field) Apply(e Edit, s measure.Style) error {
	if err := f.change(e, s); err != nil {
		return err
	}
	if f.Then != nil {
		f.Then()
	}
	if f.Fits != nil {
		return f.Fits()
	}
	return nil
}

func (f Field) change(e Edit, s measure.Style) error {
	switch e.Act {
	case Type:
		return f.Value.Type(e.Text, f.name(), s)
	case Step:
		return f.Value.Step(e.Steps, f.name(), s)
	case Set:
		return f.Value.Choose(e.Text, f.name(), s)
	}
	return say.Refuse("The %s can be typed or chosen, and nothing else.", f.name())
}

// Refused is what is wrong with the value as it stands.
func (f Field) Refused(s measure.Style) error { return f.Value.Check(f.name(), s) }

// Input is a field as the screen shows it.
type Input struct {
	Text string `json:"text"`
	// Exact is the same to the micrometre, when Text had to round.
	Exact string `json:"exact"`
	Label string `json:"label"`
	Note  string `json:"note"`
	// Unit is what the number in Text is of, where it does not say so itself.
	Unit string `json:"unit,omitempty"`
	Kind Kind   `json:"kind" enum:"length,lengths,weight,grammage,count,word,choice,choices,flag,price,date"`
	// List is the name of the list that it is chosen from, or of its usual values.
	List string `json:"list"`
	// None is set where nothing is an answer, too.
	None bool `json:"none"`
	// Usual is which of the usual values it has, if any.
	Usual string `json:"usual,omitempty"`
}

// Inputs are fields as the screen shows them, by path.
type Inputs map[string]Input

// listed is a value that is chosen from a list.
type listed interface {
	of() (list string, none bool)
}

// Input is the field as the screen shows it.
func (f Field) Input(s measure.Style) Input {
	text, exact := f.Value.Show(s)
	in := Input{Text: text, Exact: exact, Label: f.Label, Note: f.Note, Kind: f.Value.Kind()}
	if l, ok := f.Value.(listed); ok {
		in.List, in.None = l.of()
	}
	if l, ok := f.Value.(*Length); ok {
		in.Usual = l.usual()
		if text != "" && !l.Caliper {
			in.Unit = string(s.Unit)
		}
	}
	return in
}

// Problem is a value that cannot be used, where it stands, and what to type
// instead.
type Problem struct {
	// Path is the field's place in the job or the shop: "card.width".
	Path    string `json:"path" format:"field-path"`
	Message string `json:"message"`
	// Unfinished is set while more typing may still make it right.
	Unfinished bool `json:"unfinished"`
}

// ProblemOf is what an edit was refused for, at its path.
func ProblemOf(path string, err error) Problem {
	var pe *measure.ParseError
	return Problem{Path: path, Message: err.Error(), Unfinished: errors.As(err, &pe) && pe.Unfinished}
}

// untyped refuses what a kind of value does not know.
type untyped struct{}

func (untyped) Type(_, name string, _ measure.Style) error {
	return say.Refuse("The %s is chosen, not typed: choose one of the list.", name)
}

func (untyped) Step(_ int, name string, _ measure.Style) error {
	return say.Refuse("The %s has no steps: type it anew.", name)
}

func (untyped) Choose(_, name string, _ measure.Style) error {
	return say.Refuse("The %s is typed, not chosen: type it.", name)
}
