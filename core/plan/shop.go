package plan

import (
	"fmt"

	"yellowparcel/core/measure"
	"yellowparcel/core/paper"
)

// Shop is what the maker owns and prefers.
type Shop struct {
	Unit            measure.Unit     `json:"unit" enum:"in,mm"`
	TickInches      measure.Length   `json:"tickInches"`
	TickMillimetres measure.Length   `json:"tickMillimetres"`
	Sheets          []paper.Sheet    `json:"sheets" maxItems:"100"`
	Stocks          []paper.Stock    `json:"stocks" maxItems:"200"`
	Adhesives       []paper.Adhesive `json:"adhesives" maxItems:"50"`
	Tools           Tools            `json:"tools"`
}

// Tools are the maker's tools as far as the sums need them.
type Tools struct {
	// TrimmerLength is the longest cut that the trimmer makes.
	TrimmerLength measure.Length `json:"trimmerLength"`
	// CornerAt is what the score board's diagonal guide reads at the sheet's
	// corner; negative when the corner lies before the zero.
	CornerAt measure.Length `json:"cornerAt"`
	// NotchDepth is how deep the punch board notches.
	NotchDepth measure.Length `json:"notchDepth"`
}

// DefaultShop is a shop that owns the usual papers and works in sixteenths.
func DefaultShop() Shop {
	return Shop{
		Unit: measure.Inches, TickInches: measure.Inch / 16, TickMillimetres: measure.Millimetre / 2,
		Sheets: paper.Sheets(), Stocks: paper.Stocks(),
		Adhesives: []paper.Adhesive{
			{ID: "tape-1-2", Name: "Double-sided tape", Width: measure.Inch / 2},
			{ID: "tape-1-4", Name: "Narrow tape", Width: measure.Inch / 4},
			{ID: "glue", Name: "Glue line", Width: 3 * measure.Millimetre},
		},
		Tools: Tools{TrimmerLength: 12 * measure.Inch, NotchDepth: 3 * measure.Inch / 8},
	}
}

// Style is how this shop reads and shows lengths.
func (s Shop) Style() measure.Style {
	if s.Unit == measure.Millimetres {
		return measure.Style{Unit: s.Unit, Tick: s.TickMillimetres}
	}
	return measure.Style{Unit: s.Unit, Tick: s.TickInches}
}

func (s Shop) stock(id string) (paper.Stock, bool) {
	for _, k := range s.Stocks {
		if k.ID == id {
			return k, true
		}
	}
	return paper.Stock{}, false
}

func (s Shop) adhesive(id string) (paper.Adhesive, bool) {
	for _, a := range s.Adhesives {
		if a.ID == id {
			return a, true
		}
	}
	return paper.Adhesive{}, false
}

// Check refuses a shop that no plan can be made with, naming each field.
func (s Shop) Check() []Problem {
	var list []Problem
	add := func(path, format string, args ...any) {
		list = append(list, Problem{Path: path, Message: fmt.Sprintf(format, args...)})
	}
	for path, style := range map[string]measure.Style{
		"tickInches":      {Unit: measure.Inches, Tick: s.TickInches},
		"tickMillimetres": {Unit: measure.Millimetres, Tick: s.TickMillimetres},
	} {
		if err := style.Check(); err != nil {
			add(path, "The smallest step is not usable: %v.", err)
		}
	}
	if !s.Unit.Valid() {
		add("unit", "The unit “%s” is not known: choose in or mm.", s.Unit)
	}
	for i, sh := range s.Sheets {
		if sh.ID == "" || sh.Width <= 0 || sh.Height <= 0 || max(sh.Width, sh.Height) > 5*measure.Metre {
			add(fmt.Sprintf("sheets.%d", i), "The sheet “%s” needs a width and a height between nothing and 5 m.", sh.Name)
		}
	}
	for i, k := range s.Stocks {
		if k.ID == "" || k.Caliper <= 0 || k.Caliper > 20*measure.Millimetre || k.GSM <= 0 || k.GSM > 20000 {
			add(fmt.Sprintf("stocks.%d", i), "The stock “%s” needs a caliper up to 20 mm and a weight up to 20 000 gsm.", k.Name)
		}
	}
	for i, a := range s.Adhesives {
		if a.ID == "" || a.Width <= 0 || a.Width > 100*measure.Millimetre {
			add(fmt.Sprintf("adhesives.%d", i), "The adhesive “%s” needs a width up to 100 mm.", a.Name)
		}
	}
	if t := s.Tools; t.TrimmerLength <= 0 || t.TrimmerLength > 5*measure.Metre {
		add("tools.trimmerLength", "The trimmer needs a cut length between nothing and 5 m.")
	}
	if t := s.Tools; t.CornerAt.Abs() > 4*measure.Inch {
		add("tools.cornerAt", "The guide's corner reads more than 4 in from zero: measure again where the sheet's corner sits.")
	}
	if t := s.Tools; t.NotchDepth <= 0 || t.NotchDepth > 2*measure.Inch {
		add("tools.notchDepth", "A punch board notches more than nothing and at most 2 in deep: punch a scrap and measure the notch.")
	}
	return list
}
