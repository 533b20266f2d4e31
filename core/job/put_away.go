package job

import (
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
