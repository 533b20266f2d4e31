package mail

import "math"

// RateCard is what a post charges, as the maker wrote it down: dated, since
// prices change.
type RateCard struct {
	ID   string `json:"id" maxLength:"40"`
	Name string `json:"name" maxLength:"80"`
	// Rulebook is the ID of the rulebook whose classes it prices.
	Rulebook string `json:"rulebook" maxLength:"40"`
	Currency string `json:"currency" maxLength:"8"`
	// Dated is the day it was written down, as 2026-11-24.
	Dated string `json:"dated" maxLength:"10"`
	// Example is set on the one that ships: its prices are made up.
	Example bool   `json:"example,omitempty"`
	Rates   []Rate `json:"rates" maxItems:"60"`
}

// Rate is the price of a class up to a weight, or of its surcharge.
type Rate struct {
	Class string `json:"class" maxLength:"40"`
	// UpTo is the greatest weight in grams; zero for any.
	UpTo float64 `json:"upTo"`
	// Cents is the price in hundredths.
	Cents int `json:"cents"`
	// Surcharge is set on what the class's surcharge costs on top.
	Surcharge bool `json:"surcharge,omitempty"`
}

// Price is what a piece of a class costs, in hundredths; it is false where the
// card has no price for it.
func (c RateCard) Price(class string, grams float64, surcharged bool) (cents int, ok bool) {
	up := math.Inf(1)
	extra, known := 0, false
	for _, r := range c.Rates {
		switch {
		case r.Class != class:
		case r.Surcharge:
			extra, known = r.Cents, true
		case r.UpTo == 0 && math.IsInf(up, 1) && !ok:
			cents, ok = r.Cents, true
		case r.UpTo >= grams-slack && r.UpTo < up:
			up, cents, ok = r.UpTo, r.Cents, true
		}
	}
	if surcharged {
		return cents + extra, ok && known
	}
	return cents, ok
}

// ExampleRates is a rate card to begin with. Every price of it is made up.
func ExampleRates() RateCard {
	return RateCard{
		ID: "example", Name: "Example, prices made up", Rulebook: "us-domestic", Currency: "$", Dated: "2026-01-01", Example: true,
		Rates: []Rate{
			{Class: "postcard", Cents: 70},
			{Class: "letter", UpTo: 28.35, Cents: 110}, {Class: "letter", UpTo: 56.7, Cents: 145}, {Class: "letter", UpTo: 85.05, Cents: 180}, {Class: "letter", UpTo: 99.3, Cents: 215},
			{Class: "letter", Cents: 60, Surcharge: true},
			{Class: "large-envelope", UpTo: 28.35, Cents: 230}, {Class: "large-envelope", UpTo: 56.7, Cents: 275}, {Class: "large-envelope", UpTo: 113.4, Cents: 365}, {Class: "large-envelope", UpTo: 368.6, Cents: 690},
		},
	}
}
