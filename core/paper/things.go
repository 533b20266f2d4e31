package paper

import (
	_ "embed"
	"encoding/json"
	"fmt"
	"slices"

	"yellowparcel/core/measure"
)

// Caution is what may hurt about the contents of a piece.
type Caution string

// The cautions.
const (
	Coin    Caution = "coin"    // a coin cell
	Magnet  Caution = "magnet"  // a magnet
	Sharp   Caution = "sharp"   // points that pierce
	Seeds   Caution = "seeds"   // seeds or plants
	Glitter Caution = "glitter" // loose glitter
	Liquid  Caution = "liquid"  // a liquid
)

// Cautions lists the cautions.
func Cautions() []Caution { return []Caution{Coin, Magnet, Sharp, Seeds, Glitter, Liquid} }

// Thing is a kind of embellishment or insert, with the usual measures of one.
type Thing struct {
	ID, Name       string
	Disc           bool
	Width, Height  measure.Length
	Caliper        measure.Length
	Grams, Modulus float64 // Modulus in GPa
	// Draping things follow what lies under them; crushable ones are spoilt by
	// pressure.
	Draping, Crushable bool
	// Across things run right across the face, Inside ones lie in the card, Over
	// ones on everything.
	Across, Inside, Over bool
	Cautions             []Caution
}

// Closure is a way to close an envelope.
type Closure struct {
	ID, Name string
	// Caliper is what it adds to the thickness, Grams to the weight.
	Caliper measure.Length
	Grams   float64
	// Clasp is set on what a sorting machine catches, Lump on what stands out of
	// the outside.
	Clasp, Lump bool
	// Bare is set where there is no envelope to close: a card that is given by hand as it is.
	Bare bool
	// Flap is set where the flap itself is stuck down, Alone where what closes it holds all its edges,
	// so that it needs no more for the post.
	Flap, Alone bool
	// Close says what is done, after the flap is folded down; empty where sticking it down is all.
	Close string
}

//go:embed things.json
var thingsJSON []byte

//go:embed closures.json
var closuresJSON []byte

var (
	things   = must(readThings(thingsJSON))
	closures = must(readClosures(closuresJSON))
)

// Things lists the kinds of things, as they are offered.
func Things() []Thing { return slices.Clone(things) }

// ThingByID finds a kind of thing.
func ThingByID(id string) (Thing, bool) {
	for _, t := range things {
		if t.ID == id {
			return t, true
		}
	}
	return Thing{}, false
}

// Closures lists the ways to close an envelope, the usual one first.
func Closures() []Closure { return slices.Clone(closures) }

// ClosureByID finds a closure; the usual one for the empty ID.
func ClosureByID(id string) (Closure, bool) {
	if id == "" {
		return closures[0], true
	}
	for _, c := range closures {
		if c.ID == id {
			return c, true
		}
	}
	return Closure{}, false
}

// Modulus is the stiffness of a stock along its grain, in GPa: paper, board or
// film.
func (s Stock) Modulus() float64 {
	switch {
	case s.Surface == Acetate:
		return 3
	case s.Caliper >= 800*measure.Micrometre:
		return 2.5 // chipboard
	}
	return 5
}

func readThings(file []byte) ([]Thing, error) {
	var rows []struct {
		ID, Name                                       string
		Width, Height, Caliper                         measure.Written
		Grams, Modulus                                 float64
		Disc, Draping, Crushable, Across, Inside, Over bool
		Cautions                                       []Caution
	}
	if err := json.Unmarshal(file, &rows); err != nil {
		return nil, fmt.Errorf("things.json: %w", err)
	}
	list := make([]Thing, len(rows))
	for i, r := range rows {
		list[i] = Thing{
			ID: r.ID, Name: r.Name, Disc: r.Disc, Width: measure.Length(r.Width), Height: measure.Length(r.Height), Caliper: measure.Length(r.Caliper),
			Grams: r.Grams, Modulus: r.Modulus, Draping: r.Draping, Crushable: r.Crushable, Across: r.Across, Inside: r.Inside, Over: r.Over, Cautions: r.Cautions,
		}
		for _, c := range r.Cautions {
			if !slices.Contains(Cautions(), c) {
				return nil, fmt.Errorf("things.json: %s has a caution %q that is not known", r.ID, c)
			}
		}
	}
	return list, nil
}

func readClosures(file []byte) ([]Closure, error) {
	var rows []struct {
		ID, Name          string
		Caliper           measure.Written
		Grams             float64
		Clasp, Lump, Bare bool
		Flap, Alone       bool
		Close             string
	}
	if err := json.Unmarshal(file, &rows); err != nil {
		return nil, fmt.Errorf("closures.json: %w", err)
	}
	list := make([]Closure, len(rows))
	for i, r := range rows {
		list[i] = Closure{r.ID, r.Name, measure.Length(r.Caliper), r.Grams, r.Clasp, r.Lump, r.Bare, r.Flap, r.Alone, r.Close}
	}
	return list, nil
}
