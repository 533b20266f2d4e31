package line

import (
	"cmp"

	"yellowparcel/core/job"
)

// destination is where it goes: the rulebook of the maker's own postal service for that
// place, since that is the one whose rules hold.
func (r *order) destination(from, to int, place string) {
	if id, ok := r.bookFor(place); ok {
		r.once(Said{From: from, To: to, Sense: Destination, ID: id})
		return
	}
	r.odd(from, to, noRules{})
}

// bookFor is the rulebook for a place: of that very name, or the country's own where the
// maker lives there, or else what the maker's own service says of mail abroad.
func (r *order) bookFor(place string) (string, bool) {
	if place == job.ByHand {
		return place, true
	}
	books, home := r.shop.Books(), ""
	sends := r.from.Mail.Destination
	if sends == "" || sends == job.ByHand { // that tells nothing of where the maker lives
		sends = r.shop.Usual.Destination
	}
	for _, b := range books {
		if b.ID == sends {
			home = b.Region
		}
		if b.ID == place {
			return place, true
		}
	}
	inland, outside := "", ""
	for _, b := range books {
		switch {
		case b.Region == place && b.Service != abroad && inland == "":
			inland = b.ID
		case b.Region == home && b.Service == abroad:
			outside = b.ID
		}
	}
	if inland != "" && (home == place || home == "" || home == everywhere) {
		return inland, true
	}
	for _, b := range books {
		if outside == "" && b.Region == everywhere {
			outside = b.ID
		}
	}
	return cmp.Or(outside, inland), outside != "" || inland != ""
}
