package compare

import (
	"cmp"
	"slices"

	"yellowparcel/core/mail"
)

// Book is a rulebook of the shop's own, or one that ships.
func (m Posted) Book() (mail.Rulebook, bool) { return m.Shop().Book(m.Job().Mail.Destination) }

func (m Posted) Judge(c Closed) Forecast {
	book, ok := m.Book()
	if !ok {
		return Forecast{Ending: ByHand}
	}
	return ForecastOf(m.VerdictOf(book, m.Mailed(c)))
}

// VerdictOf judges a piece and goes up to the class that the maker wants it to
// go as at least.
func (m Posted) VerdictOf(book mail.Rulebook, p mail.Piece) mail.Verdict {
	v := book.Judge(p)
	if m.Job().Mail.Class == "" || book.ID != m.Job().Mail.Destination {
		return v
	}
	reached, taken := false, false
	for _, r := range v.Results {
		taken = taken || r.Class.ID == v.Class
		reached = reached || r.Class.ID == m.Job().Mail.Class
		if ok := r.Outcome == mail.Goes || r.Outcome == mail.Surcharged || r.Outcome == mail.Doubtful; reached && taken && ok {
			v.Class = r.Class.ID
			break
		}
	}
	return v
}

// OnlyGuidance reports whether nothing but guidance is broken, or what is not sure: the
// post may or may not see it so.
func OnlyGuidance(checks []mail.Check) bool {
	for _, c := range checks {
		if !c.OK && !c.Guidance && !c.Unsure {
			return false
		}
	}
	return true
}

// Ending is what becomes of a piece in the post.
type Ending string

// The endings.
const (
	ByHand      Ending = "by hand"      // no post's rules hold
	NotMailable Ending = "not mailable" // under the floor of all mail
	AskFirst    Ending = "ask first"    // the rules are silent
	NoLetter    Ending = "no letter"    // no class takes it
	Goes        Ending = "goes"
	Surcharged  Ending = "surcharged"
	MayCost     Ending = "may cost" // a surcharge that only guidance speaks of
	Doubtful    Ending = "doubtful" // a class takes it, but ask first
	DoubtfulDue Ending = "due"      // as before, and a surcharge is due for certain
)

// Endings lists them.
func Endings() []Ending {
	return []Ending{ByHand, NotMailable, AskFirst, NoLetter, Goes, Surcharged, MayCost, Doubtful, DoubtfulDue}
}

// Forecast is what becomes of a closed envelope in the post.
type Forecast struct {
	Ending Ending
	// Class is the one that takes it, Beyond set where that is not the cheapest for
	// envelopes.
	Class  mail.Class
	Beyond bool
	// Rank puts the cheaper first. Shape is set when a surcharge falls due for the
	// shape.
	Rank  int
	Shape bool
}

// Refused reports whether no class takes it.
func (f Forecast) Refused() bool { return f.Ending == NotMailable || f.Ending == NoLetter }

// Compare ranks forecasts, cheapest first.
func (f Forecast) Compare(g Forecast) int { return cmp.Compare(f.Rank, g.Rank) }

// Worst is the rank of what no class takes.
const Worst = 99

// shaped reports whether one of the limits that are broken is of the shape.
func shaped(checks []mail.Check) bool {
	return slices.ContainsFunc(checks, func(c mail.Check) bool {
		k, _ := c.Measure.Known()
		return !c.OK && k.Shape
	})
}

// ForecastOf is the forecast that a verdict makes.
func ForecastOf(v mail.Verdict) Forecast {
	r, taken := v.Result()
	switch {
	case !v.Mailable:
		return Forecast{Ending: NotMailable, Rank: Worst}
	case !taken && v.AskFirst:
		return Forecast{Ending: AskFirst, Rank: Worst - 1}
	case !taken:
		return Forecast{Ending: NoLetter, Rank: Worst - 1}
	}
	i := slices.IndexFunc(v.Results, func(k mail.ClassResult) bool { return k.Class.ID == r.Class.ID })
	first := slices.IndexFunc(v.Rulebook.Classes, func(k mail.Class) bool { return k.ID == v.Rulebook.Enveloped().ID })
	f := Forecast{Ending: Goes, Class: r.Class, Beyond: i > first, Rank: 3 * i}
	switch r.Outcome {
	case mail.Surcharged:
		f.Ending, f.Rank = Surcharged, f.Rank+1
		if OnlyGuidance(r.Checks) {
			f.Ending = MayCost
		}
		f.Shape = shaped(r.Checks)
	case mail.Doubtful:
		f.Ending, f.Rank = Doubtful, f.Rank+2
		if due := r.Due(); len(due) > 0 {
			f.Ending, f.Shape = DoubtfulDue, shaped(due)
		}
	}
	return f
}
