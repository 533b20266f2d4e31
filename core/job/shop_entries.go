package job

import (
	"encoding/json"
	"slices"
	"strings"

	"yellowparcel/core/mat"
	"yellowparcel/core/paper"
	"yellowparcel/core/say"
)

// PutAway is the shop with every entry of its lists put away on a day.
func (s Shop) PutAway(day string) Shop {
	s = s.Clone()
	away := func(off *bool, since *string) {
		if !*off {
			*off, *since = true, day
		}
	}
	for i := range s.Sheets {
		away(&s.Sheets[i].Off, &s.Sheets[i].OffSince)
	}
	for i := range s.Stocks {
		away(&s.Stocks[i].Off, &s.Stocks[i].OffSince)
	}
	for i := range s.Envelopes {
		away(&s.Envelopes[i].Off, &s.Envelopes[i].OffSince)
	}
	for i := range s.Adhesives {
		away(&s.Adhesives[i].Off, &s.Adhesives[i].OffSince)
	}
	for i := range s.Mats {
		away(&s.Mats[i].Off, &s.Mats[i].OffSince)
	}
	for i := range s.Rulebooks {
		away(&s.Rulebooks[i].Off, &s.Rulebooks[i].OffSince)
	}
	return s
}

// TakeEntries adds what stands in the lists of another shop and not in this one's, as far
// as there is room, and says how many came.
func (s *Shop) TakeEntries(from Shop) (came int) {
	have := s.lists()
	came += takeEntries(&s.Sheets, from.Sheets, have["sheets"], from.lists()["sheets"], mostSheets)
	came += takeEntries(&s.Stocks, from.Stocks, have["stocks"], from.lists()["stocks"], mostStocks)
	came += takeEntries(&s.Envelopes, from.Envelopes, have["envelopes"], from.lists()["envelopes"], mostEnvelopes)
	came += takeEntries(&s.Adhesives, from.Adhesives, have["adhesives"], from.lists()["adhesives"], mostAdhesives)
	came += takeEntries(&s.Mats, from.Mats, have["mats"], from.lists()["mats"], mostMats)
	came += takeEntries(&s.Rulebooks, from.Rulebooks, have["rulebooks"], from.lists()["rulebooks"], mostBooks)
	came += takeEntries(&s.Rates, from.Rates, have["rates"], from.lists()["rates"], mostRates)
	return came
}

func takeEntries[E any](into *[]E, from []E, have, ids []string, most int) (came int) {
	for i, e := range from {
		if len(*into) < most && !slices.Contains(have, ids[i]) {
			*into = append(*into, e)
			came++
		}
	}
	return came
}

// Removed is an entry of the shelf that was put away.
type Removed struct {
	// Path is where it stands, by its ID: "stocks.cover-100".
	Path, Name string
	// Kind is what it is, in a word or two; Since the day, where that is known.
	Kind, Since string
}

// Removed are the entries of the shelf and the rulebooks that were put away.
func (s Shop) Removed() (list []Removed) {
	add := func(of, id, name, kind, since string, off bool) {
		if off {
			list = append(list, Removed{of + "." + id, name, kind, since})
		}
	}
	for _, e := range s.Stocks {
		add("stocks", e.ID, e.Name, "paper", e.OffSince, e.Off)
	}
	for _, e := range s.Envelopes {
		add("envelopes", e.ID, e.Name, "envelopes", e.OffSince, e.Off)
	}
	for _, e := range s.Sheets {
		add("sheets", e.ID, e.Name, "sheet size", e.OffSince, e.Off)
	}
	for _, e := range s.Adhesives {
		add("adhesives", e.ID, e.Name, "adhesive", e.OffSince, e.Off)
	}
	for _, e := range s.Mats {
		add("mats", e.ID, e.Name, "mat", e.OffSince, e.Off)
	}
	for _, e := range s.Rulebooks {
		add("rulebooks", e.File.ID, e.File.Region+", "+e.File.Service, "postal rules", e.OffSince, e.Off)
	}
	return list
}

// isFile reports whether what is added is the file of an entry rather than nothing.
func isFile(text string) bool { return strings.HasPrefix(strings.TrimSpace(text), "{") }

// addFile adds an entry that was written to a file: JSON, as it stands in the shop. It has
// an ID of its own here; what the program does not know in it is refused, so that a file of
// something else is not taken for one.
func (s *Shop) addFile(list, id, text string) error {
	read := func(into any) error {
		d := json.NewDecoder(strings.NewReader(text))
		d.DisallowUnknownFields()
		if err := d.Decode(into); err != nil {
			return say.Refuse("This file cannot be used here: it is not one that was written from this list (%v).", err)
		}
		return nil
	}
	var err error
	switch list {
	case "sheets":
		var e paper.Sheet
		err = read(&e)
		e.ID, e.Off, e.OffSince = id, false, ""
		s.Sheets = append(s.Sheets, e)
	case "stocks":
		var e paper.Stock
		err = read(&e)
		e.ID, e.Off, e.OffSince = id, false, ""
		if _, known := s.Sheet(e.Sheet); !known {
			e.Sheet = "" // of another shelf
		}
		s.Stocks = append(s.Stocks, e)
	case "envelopes":
		var e OwnedEnvelope
		err = read(&e)
		e.ID, e.Off, e.OffSince = id, false, ""
		s.Envelopes = append(s.Envelopes, e)
	case "mats":
		var e mat.Mat
		err = read(&e)
		e.ID, e.Off, e.OffSince = id, false, ""
		s.Mats = append(s.Mats, e)
	case "adhesives":
		var e paper.Adhesive
		err = read(&e)
		e.ID, e.Off, e.OffSince = id, false, ""
		s.Adhesives = append(s.Adhesives, e)
	}
	return err
}
