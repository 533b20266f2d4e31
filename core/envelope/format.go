// Package envelope knows the envelopes that are sold: their sizes, the cards
// they are sold for, and how well a given card goes into each.
//
// Lengths are measure.Length; an envelope's Width is its long side. It carries
// out "Fitting a card to an envelope" of docs/sums.md:
//
//	fits := envelope.Rank(envelope.Formats(), card, caliper)
//	fits[0].Verdict // envelope.Right
package envelope

import (
	_ "embed"
	"encoding/json"
	"fmt"

	"yellowparcel/core/measure"
)

// Format is an envelope size as it is sold, by its outer size.
type Format struct {
	ID     string
	Name   string
	Family string
	Width  measure.Length // the long side
	Height measure.Length // the short side
	Cards  []Size         // the cards it is sold for
	Opens  Side           // where its throat lies; on the long side when empty
	Owned  bool           // on the maker's shelf, not to be bought
}

// Side is a side of an envelope.
type Side string

// The sides that an envelope may open on.
const (
	LongSide  Side = "long"
	ShortSide Side = "short"
)

// Sides lists them, the usual one first.
func Sides() []Side { return []Side{LongSide, ShortSide} }

// Size is a card size of the trade, long side as Width.
type Size struct{ Width, Height measure.Length }

//go:embed formats.json
var formatsJSON []byte

var formats = func() []Format {
	list, err := readFormats(formatsJSON)
	if err != nil {
		panic(err) // ruled out by the tests of this package
	}
	return list
}()

// Formats lists the standard envelopes in the order they are offered.
func Formats() []Format { return append([]Format(nil), formats...) }

func readFormats(file []byte) ([]Format, error) {
	var rows []struct {
		ID, Name, Family string
		Short, Long      measure.Written
		Cards            [][2]measure.Written
	}
	if err := json.Unmarshal(file, &rows); err != nil {
		return nil, fmt.Errorf("formats.json: %w", err)
	}
	list := make([]Format, len(rows))
	for i, r := range rows {
		list[i] = Format{ID: r.ID, Name: r.Name, Family: r.Family, Width: measure.Length(r.Long), Height: measure.Length(r.Short)}
		for _, c := range r.Cards {
			list[i].Cards = append(list[i].Cards, Size{Width: measure.Length(c[1]), Height: measure.Length(c[0])})
		}
	}
	return list, nil
}
