package job

import "slices"

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
