package plan

import (
	"fmt"
	"slices"
	"strings"

	"yellowparcel/core/job"
	"yellowparcel/core/mail"
	"yellowparcel/core/say"
)

// RulePage is a rulebook as a page to read, in the shop's units, and to edit
// where it is the maker's own.
type RulePage struct {
	ID    string `json:"id"`
	Title string `json:"title"`
	// Own is the place among the shop's rulebooks; -1 for one that ships.
	Own int `json:"own"`
	// Path is where its fields begin; empty for one that ships.
	Path        string      `json:"path"`
	Off         bool        `json:"off"`
	Source      string      `json:"source"`
	Published   string      `json:"published"`
	LastChecked string      `json:"lastChecked"`
	Confidence  string      `json:"confidence"`
	Notes       []say.Note  `json:"notes"`
	Classes     []RuleClass `json:"classes"`
	File        mail.File   `json:"file"`
}

// RuleClass is a class of a page of rules.
type RuleClass struct {
	// Path is its place in the shop, for its fields; empty for one that ships. At is
	// its place among the file's classes; -1 for what any mail must be.
	Path      string     `json:"path"`
	At        int        `json:"at"`
	Name      string     `json:"name"`
	Over      string     `json:"over"`
	Rows      []RuleLine `json:"rows"`
	Surcharge string     `json:"surcharge"`
	Costly    []RuleLine `json:"costly"`
}

// RuleLine is one limit.
type RuleLine struct {
	Path  string `json:"path"`
	Label string `json:"label"`
	// Flag is set for what is yes or no.
	Flag bool   `json:"flag"`
	Min  string `json:"min"`
	Max  string `json:"max"`
	// About says when it counts and whether the post says it.
	About string `json:"about"`
}

// RulePages are all rulebooks as pages: those that ship, then the shop's own.
func RulePages(shop job.Shop) []RulePage {
	m := inShop(shop)
	list := []RulePage{}
	for _, f := range mail.Files() {
		list = append(list, m.rulePage(f, -1, false))
	}
	// The posts whose prices stand in the shop are those that its maker goes to.
	priced := func(p RulePage) int {
		if slices.ContainsFunc(shop.Rates, func(c mail.RateCard) bool { return c.Rulebook == p.ID }) {
			return 0
		}
		return 1
	}
	slices.SortStableFunc(list, func(a, b RulePage) int { return priced(a) - priced(b) })
	for i, own := range shop.Rulebooks {
		list = append(list, m.rulePage(own.File, i, own.Off))
	}
	return list
}

func (m maker) rulePage(f mail.File, own int, off bool) RulePage {
	p := RulePage{
		ID: f.ID, Title: f.Region + ", " + f.Service, Own: own, Off: off, Source: f.Source, Published: f.Published, LastChecked: f.LastChecked,
		Confidence: f.Confidence, Notes: []say.Note{}, Classes: []RuleClass{}, File: f,
	}
	path := ""
	if own >= 0 {
		path = fmt.Sprintf("rulebooks.%d.file.", own)
	}
	p.Path = path
	b, err := f.Rulebook()
	if err != nil {
		p.Notes = append(p.Notes, say.Trouble.Says(fmt.Sprintf("This rulebook cannot be used: %v.", f.Explain(err))))
		return p
	}
	p.Notes = append(p.Notes, m.bookNotes(b)...)
	under := func(s string) string {
		if path == "" {
			return ""
		}
		return path + s
	}
	if len(b.Floor) > 0 {
		p.Classes = append(p.Classes, RuleClass{Path: under("floor."), At: -1, Name: "least for any mail", Rows: m.ruleLines(under("floor."), b.Floor), Over: "up to " + m.fine().ShowUnit(b.FloorThickness) + " thick", Costly: []RuleLine{}})
	}
	for i, c := range b.Classes {
		at := under(fmt.Sprintf("classes.%d.", i))
		class := RuleClass{Path: at, At: i, Name: c.Name, Rows: m.ruleLines(at, c.Limits), Surcharge: c.Surcharge, Costly: []RuleLine{}}
		if c.Surcharge != "" {
			below := ""
			if at != "" {
				below = at + "surcharge."
			}
			class.Costly = m.ruleLines(below, c.SurchargeLimits)
		}
		for _, k := range b.Classes {
			if k.ID == c.BeyondClass {
				class.Over = "for what is over a limit of a " + k.Name
			}
		}
		p.Classes = append(p.Classes, class)
	}
	return p
}

func (m maker) ruleLines(path string, limits []mail.Limit) []RuleLine {
	list := []RuleLine{}
	for i, l := range limits {
		kind, _ := l.Measure.Kind()
		r := RuleLine{Label: l.Measure.Words().Name, Flag: kind == mail.Flags}
		if path != "" {
			r.Path = fmt.Sprintf("%slimits.%d.", path, i)
		}
		if l.Min != nil {
			r.Min = m.amount(l.Measure, float64(*l.Min), true)
		}
		if l.Max != nil {
			r.Max = m.amount(l.Measure, float64(*l.Max), true)
		}
		var about []string
		for _, w := range l.When {
			about = append(about, fmt.Sprintf("%s over %s", w.Measure.Words().Name, m.amount(w.Measure, float64(w.More), true)))
		}
		r.About = strings.Join(about, " or ")
		if r.About != "" {
			r.About = "where " + r.About
		}
		if l.Guidance {
			r.About = strings.TrimSpace(r.About + " guidance, not the post's own number")
		}
		if k, _ := l.Measure.Known(); k.Asked != nil {
			r.About = strings.TrimSpace(r.About + " guidance: how far its outside is stretched when it bends as the post asks")
		}
		list = append(list, r)
	}
	return list
}
