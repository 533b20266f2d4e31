package job

import (
	"cmp"
	"fmt"
	"slices"
	"strconv"
	"strings"

	"yellowparcel/core/field"
	"yellowparcel/core/paper"
	"yellowparcel/core/say"
)

// PapersPutAway are the papers that edits took off a shelf, which is as they left it.
func PapersPutAway(shop Shop, edits []field.Edit) (list []paper.Stock) {
	for _, e := range edits {
		at, isOff := strings.CutSuffix(e.Path, ".off")
		at, isStock := strings.CutPrefix(at, "stocks.")
		i := slices.IndexFunc(shop.Stocks, func(k paper.Stock) bool { return k.ID == at })
		if n, err := strconv.Atoi(at); err == nil && i < 0 && n >= 0 && n < len(shop.Stocks) {
			i = n
		}
		if isOff && isStock && i >= 0 && shop.Stocks[i].Off {
			list = append(list, shop.Stocks[i])
		}
	}
	return list
}

// insteadPath is where another thing is taken for all that go by one that was put away, before its ID.
const insteadPath = "instead."

// mostInstead is how many are offered in place of what was put away.
const mostInstead = 3

// putAway tells of what a job goes by still though it was taken off the shelf, once for all that go by it, with
// what there is to take in its place.
func putAway(j Job, list []Missing, r reference, shop Shop, id string) []Missing {
	path := insteadPath + id
	if slices.ContainsFunc(list, func(m Missing) bool { return m.Path == path }) {
		return list // told with the first one
	}
	var whats []string
	for _, other := range j.references() {
		if other.away != nil && *other.at(&j) == id && other.away(shop, id) != "" {
			whats = append(whats, other.what)
		}
	}
	m := Missing{Path: path, Choices: []field.Choice{}}
	was, _ := shop.Stock(id)
	for _, alike := range []bool{true, false} { // what is of its kind first: acetate is no cover
		for _, c := range r.choices(shop) {
			k, _ := shop.Stock(c.ID)
			if (cmp.Or(k.Surface, paper.Uncoated) == cmp.Or(was.Surface, paper.Uncoated)) == alike && r.away(shop, c.ID) == "" && len(m.Choices) < mostInstead {
				m.Choices = append(m.Choices, c)
			}
		}
	}
	m.Text = fmt.Sprintf("%s, %s, was taken off your shelf.", say.Capital(say.And(whats)), say.Lower(r.away(shop, id)))
	if len(m.Choices) > 0 {
		m.Text += " The plan still goes by it: take another, or put it back."
	} else {
		m.Text += " The plan still goes by it, and there is no other."
	}
	return append(list, m)
}

// Instead takes another thing for all that go by one that was put away, where an edit asks for that; false where it
// asks for something else.
func Instead(j Job, shop Shop, e field.Edit) (_ Job, asked bool, err error) {
	id, asked := strings.CutPrefix(e.Path, insteadPath)
	if !asked || e.Act != field.Set {
		return j, false, nil
	}
	j = j.Clone()
	changed := false
	for _, r := range j.references() {
		if r.away == nil || *r.at(&j) != id || r.away(shop, id) == "" {
			continue
		}
		if !r.has(shop, e.Text) || r.away(shop, e.Text) != "" {
			return j, true, say.Refuse("There is no “%s” on your shelf to take: choose one of the list.", say.Clip(e.Text))
		}
		*r.at(&j), changed = e.Text, true
	}
	if !changed {
		return j, true, say.Refuse("Nothing of this job goes by that any more.")
	}
	return j, true, nil
}

// GoesByPaper reports whether a job goes by a paper.
func GoesByPaper(j Job, id string) bool {
	return slices.ContainsFunc(j.references(), func(r reference) bool {
		return r.has != nil && (strings.HasSuffix(r.path, ".stock") || r.path == "envelope.liner") && *r.at(&j) == id
	})
}

// PutAwayWords say which jobs go by a paper that was taken off the shelf: so many, the first of them by name.
func PutAwayWords(of paper.Stock, count int, names []string) string {
	s := say.Slots{"paper": of.Name, "names": strings.Join(names, ", "), "more": fmt.Sprint(count - len(names))}
	if len(names) == count {
		s["names"] = say.And(names)
	}
	s.Flag("none", count == 0)
	s.Flag("one", count == 1)
	s.Flag("rest", count > len(names))
	return s.Text(
		say.Always("{paper} is off your shelf."), say.When("none", " No job goes by it."), say.When("one", " {names} still goes by it, and says so."),
		say.When("rest", " {names} and {more} more still go by it, and say so."), say.Unless("none,one,rest", " {names} still go by it, and say so."),
	)
}
