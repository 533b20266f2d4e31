package plan

import (
	"fmt"
	"slices"

	"yellowparcel/core/mail"
	"yellowparcel/core/measure"
	"yellowparcel/core/paper"
)

// The bounds of what may stand on a shelf.
const (
	mostSide     = 5 * measure.Metre
	mostCaliper  = 20 * measure.Millimetre
	mostGSM      = 20_000
	mostAdhesive = 100 * measure.Millimetre
	mostHave     = 100_000
)

// Check refuses a shop that no plan can be made with, naming each field.
func (s Shop) Check() []Problem {
	c := &shopCheck{}
	for path, style := range map[string]measure.Style{
		"tickInches":      {Unit: measure.Inches, Tick: s.TickInches},
		"tickMillimetres": {Unit: measure.Millimetres, Tick: s.TickMillimetres},
	} {
		if err := style.Check(); err != nil {
			c.add(path, "The smallest step is not usable: %v.", err)
		}
	}
	if !s.Unit.Valid() {
		c.add("unit", "The unit “%s” is not known: choose in or mm.", s.Unit)
	}
	c.shelf(s)
	c.tools(s.Tools)
	c.rules(s)
	return c.list
}

type shopCheck struct{ list []Problem }

func (c *shopCheck) add(path, format string, args ...any) {
	c.list = append(c.list, Problem{Path: path, Message: fmt.Sprintf(format, args...)})
}

// known refuses a second entry of one ID, and one without.
func (c *shopCheck) known(seen map[string]bool, path, id string) {
	if id == "" || seen[id] {
		c.add(path, "Two entries of the shelf are called “%s” inside: take one off and enter it anew.", id)
	}
	seen[id] = true
}

func (c *shopCheck) shelf(s Shop) {
	if len(s.Stocks) == 0 {
		c.add("stocks", "The shelf holds no paper at all, and nothing can be made of none: enter one.")
	}
	if len(s.Adhesives) == 0 {
		c.add("adhesives", "The shelf holds no adhesive, and no seam holds without one: enter one.")
	}
	seen := map[string]bool{}
	for i, sh := range s.Sheets {
		path := fmt.Sprintf("sheets.%d", i)
		c.known(seen, path, sh.ID)
		if sh.Width <= 0 || sh.Height <= 0 || max(sh.Width, sh.Height) > mostSide {
			c.add(path, "The sheet “%s” needs a width and a height between nothing and 5 m.", sh.Name)
		}
	}
	seen = map[string]bool{}
	for i, k := range s.Stocks {
		path := fmt.Sprintf("stocks.%d", i)
		c.known(seen, path, k.ID)
		if k.Caliper <= 0 || k.Caliper > mostCaliper || k.GSM <= 0 || k.GSM > mostGSM {
			c.add(path, "The stock “%s” needs a caliper up to 20 mm and a weight up to 20 000 gsm.", k.Name)
		}
		if _, ok := s.Sheet(k.Sheet); k.Sheet != "" && !ok {
			c.add(path+".sheet", "The stock “%s” is kept in a sheet that is not on the shelf: choose another.", k.Name)
		}
		if !k.Grain.Valid() || !k.Pattern.Valid() || k.Have < 0 || k.Have > mostHave {
			c.add(path, "The stock “%s” has a grain, a pattern or a number of sheets that is not known here: choose again.", k.Name)
		}
	}
	seen = map[string]bool{}
	for i, e := range s.Envelopes {
		path := fmt.Sprintf("envelopes.%d", i)
		c.known(seen, path, e.ID)
		if min(e.Width, e.Height) < LeastCard || max(e.Width, e.Height) > MostCard || e.Have < 0 || e.Have > mostHave {
			c.add(path, "The envelope “%s” needs a width and a height from 25 mm to 1 m.", e.Name)
		}
	}
	seen = map[string]bool{}
	for i, a := range s.Adhesives {
		path := fmt.Sprintf("adhesives.%d", i)
		c.known(seen, path, a.ID)
		if a.Width <= 0 || a.Width > mostAdhesive {
			c.add(path, "The adhesive “%s” needs a width up to 100 mm.", a.Name)
		}
		for _, k := range a.Holds {
			if !slices.Contains(paper.Surfaces(), k) {
				c.add(path, "The adhesive “%s” holds on “%s”, which is no surface that is known here: choose again.", a.Name, clip(string(k)))
			}
		}
	}
}

// rules refuses rulebooks that cannot be used and prices that are none.
func (c *shopCheck) rules(s Shop) {
	seen := map[string]bool{ByHand: true}
	for _, f := range mail.Files() {
		seen[f.ID] = true
	}
	for i, own := range s.Rulebooks {
		path := fmt.Sprintf("rulebooks.%d", i)
		if seen[own.File.ID] {
			c.add(path, "Another rulebook has the id “%s” already: give this one another.", clip(own.File.ID))
		}
		seen[own.File.ID] = true
		if _, err := own.File.Rulebook(); err != nil {
			c.add(path, "The rulebook “%s” cannot be used: %v.", own.File.Region+", "+own.File.Service, own.File.Explain(err))
		}
	}
	for i, r := range s.Rates {
		for k, rate := range r.Rates {
			if rate.Cents < 0 || rate.Cents > mostCents || !(rate.UpTo >= 0 && rate.UpTo <= mostGrams*10) {
				c.add(fmt.Sprintf("rates.%d.%d", i, k), "A price of “%s” lies out of all bounds: type one from 0 to 10 000, and a weight from 0 to 50 kg.", clip(r.Name))
			}
		}
	}
}

const mostCents = 1_000_000

func (c *shopCheck) tools(t Tools) {
	if t.TrimmerLength <= 0 || t.TrimmerLength > mostSide {
		c.add("tools.trimmerLength", "The trimmer needs a cut length between nothing and 5 m.")
	}
	if t.CornerAt.Abs() > 4*measure.Inch {
		c.add("tools.cornerAt", "The guide's corner reads more than 4 in from zero: measure again where the sheet's corner sits.")
	}
	if g := t.Groove; g != 0 && (g < measure.Millimetre || g > measure.Inch) {
		c.add("tools.groove", "Grooves of a score board are from 1 mm to 1 in apart: measure again from one to the next, or type 0 for a board that scores anywhere.")
	}
	if r := t.Reach; r != 0 && (r < 2*measure.Inch || r > mostSide) {
		c.add("tools.reach", "A score board reaches from 2 in to 5 m: type its furthest reading, or 0 when it does not matter.")
	}
	if t.NotchDepth <= 0 || t.NotchDepth > 2*measure.Inch {
		c.add("tools.notchDepth", "A punch board notches more than nothing and at most 2 in deep: punch a scrap and measure the notch.")
	}
}
