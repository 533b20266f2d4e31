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

	"yellowparcel/core/measure"
)

// Sheet is a size in which paper is bought, upright: Width is never more than
// Height unless somebody enters it so.
type Sheet struct {
	ID     string         `json:"id"`
	Name   string         `json:"name"`
	Width  measure.Length `json:"width"`
	Height measure.Length `json:"height"`
}

// Stock is a kind of paper or board.
type Stock struct {
	ID   string `json:"id"`
	Name string `json:"name"`
	// GSM is the weight in grams per square metre.
	GSM float64 `json:"gsm"`
	// Caliper is the thickness of one sheet.
	Caliper measure.Length `json:"caliper"`
}

// Adhesive is a tape, glue or gum, by the width of its line.
type Adhesive struct {
	ID    string         `json:"id"`
	Name  string         `json:"name"`
	Width measure.Length `json:"width"`
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
		list[i] = Sheet{r.ID, r.Name, measure.Length(r.Width), measure.Length(r.Height)}
	}
	return list, nil
}

func readStocks(file []byte) ([]Stock, error) {
	var rows []struct {
		ID, Name string
		GSM      float64
		Caliper  measure.Written
	}
	if err := json.Unmarshal(file, &rows); err != nil {
		return nil, fmt.Errorf("stocks.json: %w", err)
	}
	list := make([]Stock, len(rows))
	for i, r := range rows {
		list[i] = Stock{r.ID, r.Name, r.GSM, measure.Length(r.Caliper)}
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
