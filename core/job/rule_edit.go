package job

import (
	"fmt"
	"slices"
	"strings"

	"yellowparcel/core/field"
	"yellowparcel/core/mail"
	"yellowparcel/core/say"
)

func entryPath(list string, at int) string { return fmt.Sprintf("%s.%d", list, at) }

// cutLast parts a path at its last point.
func cutLast(path string) (outer, last string, ok bool) {
	i := strings.LastIndexByte(path, '.')
	if i < 0 {
		return "", path, false
	}
	return path[:i], path[i+1:], true
}

// addClass adds a class by its name; its limits begin as those of the class before
// it, to be changed.
func addClass(f *mail.File, name string) error {
	name = strings.TrimSpace(name)
	if name == "" || len(name) > 60 {
		return say.Refuse("A class needs a name of at most 60 letters: type one.")
	}
	if len(f.Classes) >= mostClasses {
		return say.Refuse("At most %d classes stand in a rulebook: remove one first.", mostClasses)
	}
	taken := make([]string, len(f.Classes))
	for i, c := range f.Classes {
		taken[i] = c.ID
	}
	c := mail.ClassFile{ID: field.NewID("class", taken), Name: name, Limits: []mail.LimitFile{}}
	if n := len(f.Classes); n > 0 {
		c.Limits = slices.Clone(f.Classes[n-1].Limits)
	}
	f.Classes = append(f.Classes, c)
	return nil
}

// addPriceTo adds a price, or what a surcharge costs, for the first class.
func addPriceTo(c *mail.RateCard, s *Shop, kind string) error {
	if kind != addPrice && kind != addSurcharge {
		return say.Refuse("A price or a surcharge can be added: choose one of the two.")
	}
	if len(c.Rates) >= mostPrices {
		return say.Refuse("At most %d prices stand on a rate card: remove one first.", mostPrices)
	}
	first := ""
	if f, ok := s.file(c.Rulebook); ok && len(f.Classes) > 0 {
		first = f.Classes[0].ID
	}
	c.Rates = append(c.Rates, mail.Rate{Class: first, Surcharge: kind == addSurcharge})
	return nil
}

// limitsAt are the limits at the path of what they belong to: a class, its surcharge
// or the floor; nil where there are none.
func (s *Shop) limitsAt(path string) *[]mail.LimitFile {
	for i := range s.Rulebooks {
		f, at := &s.Rulebooks[i].File, entryPath("rulebooks", i)+".file"
		if path == at+".floor" && f.Floor != nil {
			return &f.Floor.Limits
		}
		for c := range f.Classes {
			switch class := fmt.Sprintf("%s.classes.%d", at, c); {
			case path == class:
				return &f.Classes[c].Limits
			case path == class+".surcharge" && f.Classes[c].Surcharge != nil:
				return &f.Classes[c].Surcharge.Limits
			}
		}
	}
	return nil
}

// remove takes away what belongs to an entry: a price, a class, a limit. Entries of
// the shelf itself are put away and never lost, since old jobs go by them.
func (s *Shop) remove(e field.Edit) error {
	list, at, ok := field.Entry(e.Path)
	outer, name, _ := cutLast(list)
	if !ok || outer == "" {
		return say.Refuse("That cannot be removed, since old jobs may go by it: put it away instead.")
	}
	gone := say.Refuse("There is nothing of that to take away: it is gone already.")
	if shelf, i, ok := field.Entry(outer); ok && shelf == "rates" && name == "rates" {
		if i >= len(s.Rates) || at >= len(s.Rates[i].Rates) {
			return gone
		}
		s.Rates[i].Rates = slices.Delete(s.Rates[i].Rates, at, at+1)
		return nil
	}
	if name == "classes" {
		for i := range s.Rulebooks {
			if f := &s.Rulebooks[i].File; outer == entryPath("rulebooks", i)+".file" && at < len(f.Classes) {
				f.Classes = slices.Delete(f.Classes, at, at+1)
				return nil
			}
		}
		return gone
	}
	limits := s.limitsAt(outer)
	if name != "limits" || limits == nil || at >= len(*limits) {
		return gone
	}
	*limits = slices.Delete(*limits, at, at+1)
	s.dropEmptySurcharges()
	return nil
}

// dropEmptySurcharges removes surcharges without any limit that would cost them.
func (s *Shop) dropEmptySurcharges() {
	for i := range s.Rulebooks {
		for c := range s.Rulebooks[i].File.Classes {
			if k := &s.Rulebooks[i].File.Classes[c]; k.Surcharge != nil && len(k.Surcharge.Limits) == 0 {
				k.Surcharge = nil
			}
		}
	}
}
