// Package paper knows what cards and envelopes are made of: sheets by their
// size, stocks by their weight and caliper, and the adhesives that join them.
//
// Lengths are measure.Length, weights grams, areas square millimetres. The
// tables are data files beside this one; see "Paper" in docs/sums.md.
//
//	letter, _ := paper.SheetByID("letter")
//	letter.Width // 8 1/2 in
package paper

import (
	_ "embed"
	"encoding/json"
	"fmt"
	"slices"

	"yellowparcel/core/measure"
)

// Sheet is a size in which paper is bought, upright: Width is never more than
// Height unless somebody enters it so.
type Sheet struct {
	ID     string         `json:"id"`
	Name   string         `json:"name"`
	Width  measure.Length `json:"width"`
	Height measure.Length `json:"height"`
	// Off is set when it was taken off the shelf; it stays known to old jobs.
	Off bool `json:"off,omitempty"`
	// OffSince is the day on which that was done.
	OffSince string `json:"offSince,omitempty" maxLength:"10"`
}

// Direction is a direction on a sheet, by the side that it runs along.
type Direction string

// The directions; unknown is the empty one. On a square sheet the long side is
// the one that stands upright.
const (
	Unknown    Direction = ""
	AlongLong  Direction = "long"
	AlongShort Direction = "short"
)

// Valid reports whether d is a known direction.
func (d Direction) Valid() bool { return d == Unknown || d == AlongLong || d == AlongShort }

// Upright reports whether the direction runs up and down a sheet as it is
// entered.
func (d Direction) Upright(s Sheet) bool { return (d == AlongLong) == (s.Height >= s.Width) }

// Surface is what a stock's face is like, which decides what sticks to it.
type Surface string

// The surfaces; the empty one counts as uncoated.
const (
	Uncoated Surface = "uncoated"
	Coated   Surface = "coated"
	Foil     Surface = "foil"
	Vellum   Surface = "vellum"
	Acetate  Surface = "acetate"
)

// Surfaces lists the surfaces.
func Surfaces() []Surface { return []Surface{Uncoated, Coated, Foil, Vellum, Acetate} }

// Stock is a kind of paper or board.
type Stock struct {
	ID   string `json:"id"`
	Name string `json:"name"`
	// GSM is the weight in grams per square metre.
	GSM float64 `json:"gsm"`
	// Caliper is the thickness of one sheet.
	Caliper measure.Length `json:"caliper"`
	// Grain is the side of the sheet that the fibres run along.
	Grain Direction `json:"grain,omitempty"`
	// Pattern is the side of the sheet along which a pattern stands upright, for
	// one that has a top; such a stock is never turned.
	Pattern Direction `json:"pattern,omitempty"`
	Surface Surface   `json:"surface,omitempty"`
	// Sheet is the ID of the size it is kept in; empty when any sheet will do.
	Sheet string `json:"sheet,omitempty" maxLength:"40"`
	// Have is how many sheets of it there are; zero when nobody counted. Cents is what one
	// costs, in hundredths; zero where nobody knows.
	Have  int  `json:"have,omitempty"`
	Cents int  `json:"cents,omitempty"`
	Off   bool `json:"off,omitempty"`
	// OffSince is the day on which that was done.
	OffSince string `json:"offSince,omitempty" maxLength:"10"`
	// Front and Back are its two sides, as far as somebody said: Faces are what they are.
	Front Face `json:"front,omitzero"`
	Back  Face `json:"back,omitzero"`
}

// HeavyFold is the weight over which a fold across the grain cracks.
const HeavyFold = 250.0

// Adhesive is a tape, glue or gum, by the width of its line.
type Adhesive struct {
	ID    string         `json:"id"`
	Name  string         `json:"name"`
	Width measure.Length `json:"width"`
	// Minutes are how long it dries; zero for what holds at once.
	Minutes int `json:"minutes,omitempty"`
	// Holds are the surfaces that it sticks to; empty when nobody tried.
	Holds []Surface `json:"holds,omitempty"`
	// Off is set when it was taken off the shelf; old jobs keep knowing it.
	Off bool `json:"off,omitempty"`
	// OffSince is the day on which that was done.
	OffSince string `json:"offSince,omitempty" maxLength:"10"`
}

// UsualMinutes are how long most glues are held until they dry; tapes hold at once.
const UsualMinutes = 15

// Sticks reports whether it holds on a surface, as far as anybody knows.
func (a Adhesive) Sticks(s Surface) bool {
	if s == "" {
		s = Uncoated
	}
	return len(a.Holds) == 0 || slices.Contains(a.Holds, s)
}

// Weight returns the grams of a rectangle of this stock.
func (s Stock) Weight(w, h measure.Length) float64 {
	return w.Millimetres() * h.Millimetres() / 1e6 * s.GSM
}

//go:embed sheets.json
var sheetsJSON []byte

//go:embed stocks.json
var stocksJSON []byte

var (
	sheets = must(readSheets(sheetsJSON))
	stocks = must(readStocks(stocksJSON))
)

// Sheets lists the standard sheet sizes, in the order they are offered.
func Sheets() []Sheet { return append([]Sheet(nil), sheets...) }

// Stocks lists the default stocks, light to heavy.
func Stocks() []Stock { return append([]Stock(nil), stocks...) }

// SheetByID finds a standard sheet.
func SheetByID(id string) (Sheet, bool) {
	for _, s := range sheets {
		if s.ID == id {
			return s, true
		}
	}
	return Sheet{}, false
}

// StockByID finds a default stock.
func StockByID(id string) (Stock, bool) {
	for _, s := range stocks {
		if s.ID == id {
			return s, true
		}
	}
	return Stock{}, false
}

func readSheets(file []byte) ([]Sheet, error) {
	var rows []struct {
		ID, Name      string
		Width, Height measure.Written
	}
	if err := json.Unmarshal(file, &rows); err != nil {
		return nil, fmt.Errorf("sheets.json: %w", err)
	}
	list := make([]Sheet, len(rows))
	for i, r := range rows {
		list[i] = Sheet{ID: r.ID, Name: r.Name, Width: measure.Length(r.Width), Height: measure.Length(r.Height)}
	}
	return list, nil
}

func readStocks(file []byte) ([]Stock, error) {
	var rows []struct {
		ID, Name string
		GSM      float64
		Caliper  measure.Written
		Surface  Surface
		// Front and back are its sides, where they are not plain white.
		Front, Back Face
	}
	if err := json.Unmarshal(file, &rows); err != nil {
		return nil, fmt.Errorf("stocks.json: %w", err)
	}
	list := make([]Stock, len(rows))
	for i, r := range rows {
		list[i] = Stock{ID: r.ID, Name: r.Name, GSM: r.GSM, Caliper: measure.Length(r.Caliper), Surface: r.Surface, Front: r.Front, Back: r.Back}
	}
	return list, nil
}

// must stops the program at its start when an embedded table is broken, which
// the tests of this package rule out.
func must[T any](v T, err error) T {
	if err != nil {
		panic(err)
	}
	return v
}
