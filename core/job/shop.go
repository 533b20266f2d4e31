package job

import (
	"yellowparcel/core/envelope"
	"yellowparcel/core/mail"
	"yellowparcel/core/mat"
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
	// Envelopes are those that the maker has or had made.
	Envelopes []OwnedEnvelope `json:"envelopes,omitempty" maxItems:"200"`
	// Mats are those of the cutter; the first is the usual one.
	Mats  []mat.Mat `json:"mats,omitempty" maxItems:"20"`
	Tools Tools     `json:"tools"`
	// Usual is what a new card begins with.
	Usual Usual `json:"usual,omitzero"`
	// Rulebooks are those that the maker wrote or read in, Rates what posts charge.
	Rulebooks []OwnRulebook   `json:"rulebooks,omitempty" maxItems:"40"`
	Rates     []mail.RateCard `json:"rates,omitempty" maxItems:"20"`
	// PrintsOn is the paper in the maker's printer; that of the unit when it is empty.
	PrintsOn PrintPage `json:"printsOn,omitempty" maxLength:"10"`
	// Today is the day that the plan is made, as 2026-11-24; it is not kept.
	Today string `json:"today,omitempty" maxLength:"10"`
}

// OwnRulebook is a rulebook of the maker's own.
type OwnRulebook struct {
	File mail.File `json:"file"`
	// Off is set when it was put away; old jobs keep knowing it.
	Off bool `json:"off,omitempty"`
	// OffSince is the day on which that was done.
	OffSince string `json:"offSince,omitempty" maxLength:"10"`
}

// rulebook finds a rulebook of the shop's own, or one that ships.
func (s Shop) Book(id string) (mail.Rulebook, bool) {
	for _, own := range s.Rulebooks {
		if own.File.ID == id {
			b, err := own.File.Rulebook()
			return b, err == nil
		}
	}
	return mail.RulebookByID(id)
}

// rulebooks are all that may be chosen: those that ship, then the shop's own.
func (s Shop) Books() []mail.Rulebook {
	list := mail.Rulebooks()
	for _, own := range s.Rulebooks {
		if b, err := own.File.Rulebook(); err == nil && !own.Off {
			list = append(list, b)
		}
	}
	return list
}

// OwnedEnvelope is an envelope on the shelf, by its outer size.
type OwnedEnvelope struct {
	ID     string         `json:"id" maxLength:"40"`
	Name   string         `json:"name" maxLength:"80"`
	Width  measure.Length `json:"width"`
	Height measure.Length `json:"height"`
	// Have is how many there are; zero when nobody counted. Cents is what one costs, in
	// hundredths; zero where nobody knows.
	Have  int  `json:"have,omitempty"`
	Cents int  `json:"cents,omitempty"`
	Off   bool `json:"off,omitempty"`
	// OffSince is the day on which that was done.
	OffSince string `json:"offSince,omitempty" maxLength:"10"`
	// Opens is the side that its throat lies on; the long one when empty.
	Opens envelope.Side `json:"opens,omitempty"`
}

// OnMats are the mats that there are.
func OnMats(s Shop) (list []mat.Mat) {
	for _, m := range s.Mats {
		if !m.Off {
			list = append(list, m)
		}
	}
	return list
}

// MatFor is the mat that a job lies on: the one it names, else the first; false where there is none.
func MatFor(s Shop, j Job) (mat.Mat, bool) {
	list := OnMats(s)
	for _, m := range list {
		if m.ID == j.Paper.Mat {
			return m, true
		}
	}
	if len(list) == 0 {
		return mat.Mat{}, false
	}
	return list[0], true
}

// PrintPage is a size of paper in a printer.
type PrintPage string

// The pages.
const (
	LetterPage PrintPage = "letter"
	A4Page     PrintPage = "a4"
)

// Page is what the shop prints on.
func (s Shop) Page() PrintPage {
	if s.PrintsOn != "" {
		return s.PrintsOn
	}
	if s.Unit == measure.Millimetres {
		return A4Page
	}
	return LetterPage
}

// Tools are the maker's tools as far as the sums need them.
type Tools struct {
	// TrimmerLength is the longest cut that the trimmer makes.
	TrimmerLength measure.Length `json:"trimmerLength"`
	// CornerAt is what the score board's diagonal guide reads at the sheet's
	// corner; negative when the corner lies before the zero.
	CornerAt measure.Length `json:"cornerAt"`
	// Groove is how far apart the score board's grooves are; zero when it scores
	// anywhere.
	Groove measure.Length `json:"groove,omitempty"`
	// Reach is the furthest reading that the score board scores at, and the largest
	// square that the punch board takes; zero when nobody said.
	Reach measure.Length `json:"reach,omitempty"`
	// NotchDepth is how deep the punch board notches.
	NotchDepth measure.Length `json:"notchDepth"`
	// PunchAt is what the punch board reads where its notch's point comes on the edge's end; negative when that
	// lies before its zero. PunchLargest is the largest sheet that it takes; Reach, where nobody said. NotchesOnly is
	// set where it is used only to notch what is scored already.
	PunchAt      measure.Length `json:"punchAt,omitempty"`
	PunchLargest measure.Length `json:"punchLargest,omitempty"`
	NotchesOnly  Own            `json:"notchesOnly,omitempty" maxLength:"4"`
	// Bases is how bases are folded.
	Bases BaseFold `json:"bases,omitempty" maxLength:"10"`
	// Owned is which tools there are, as far as the maker said.
	Owned Owned `json:"owned,omitzero"`
	// Ruler is how far the trimmer's own ruler reads; zero for as far as it cuts.
	Ruler measure.Length `json:"ruler,omitempty"`
	// TrimmerScores and Plunges are set where the trimmer has a scoring blade, and where its
	// blade can be let down inside the sheet.
	TrimmerScores Own `json:"trimmerScores,omitempty" maxLength:"4"`
	Plunges       Own `json:"plunges,omitempty" maxLength:"4"`
	// CornerPlate says whether the score board has one.
	CornerPlate Own `json:"cornerPlate,omitempty" maxLength:"4"`
	// RoundRadius is that of the corner rounder, Throat how far into a sheet the embossing
	// machine reaches, Straightedge how long the metal ruler is; zero when nobody said.
	RoundRadius  measure.Length `json:"roundRadius,omitempty"`
	Throat       measure.Length `json:"throat,omitempty"`
	Straightedge measure.Length `json:"straightedge,omitempty"`
	// Cutter is an electronic cutter.
	Cutter Cutter `json:"cutter,omitzero"`
	// Asked are the lengths that one tool alone asks for, by their names.
	Asked map[string]measure.Length `json:"asked,omitempty"`
}

// DefaultShop is a shop that owns the usual papers and works in sixteenths.
func DefaultShop() Shop {
	return Shop{
		Unit: measure.Inches, TickInches: measure.Inch / 16, TickMillimetres: measure.Millimetre / 2,
		Sheets: paper.Sheets(), Stocks: paper.Stocks(),
		Adhesives: []paper.Adhesive{
			{ID: "tape-1-2", Name: "Double-sided tape", Width: measure.Inch / 2, Holds: paper.Surfaces()},
			{ID: "tape-1-4", Name: "Narrow tape", Width: measure.Inch / 4, Holds: paper.Surfaces()},
			{ID: "glue", Name: "Glue line", Width: 3 * measure.Millimetre, Minutes: paper.UsualMinutes, Holds: []paper.Surface{paper.Uncoated}},
		},
		Rates: []mail.RateCard{mail.ExampleRates()},
		Mats:  mat.Usual(),
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

func (s Shop) Stock(id string) (paper.Stock, bool) {
	for _, k := range s.Stocks {
		if k.ID == id {
			return k, true
		}
	}
	return paper.Stock{}, false
}

func (s Shop) Adhesive(id string) (paper.Adhesive, bool) {
	for _, a := range s.Adhesives {
		if a.ID == id {
			return a, true
		}
	}
	return paper.Adhesive{}, false
}

// Sheet is a sheet of the shop, on the shelf or taken off it.
func (s Shop) Sheet(id string) (paper.Sheet, bool) {
	for _, sh := range s.Sheets {
		if sh.ID == id {
			return sh, true
		}
	}
	return paper.Sheet{}, false
}

// OnShelf are the sheets that may be cut.
func (s Shop) OnShelf() []paper.Sheet {
	var list []paper.Sheet
	for _, sh := range s.Sheets {
		if !sh.Off {
			list = append(list, sh)
		}
	}
	return list
}

// Formats are the envelopes that the maker owns, then those that are sold.
func (s Shop) Formats() []envelope.Format {
	var list []envelope.Format
	for _, e := range s.Envelopes {
		if !e.Off {
			list = append(list, e.AsFormat())
		}
	}
	return append(list, envelope.Formats()...)
}

func (e OwnedEnvelope) AsFormat() envelope.Format {
	f := envelope.Format{ID: e.ID, Name: e.Name, Width: max(e.Width, e.Height), Height: min(e.Width, e.Height), Owned: true, Opens: e.Opens}
	for _, sold := range envelope.Formats() {
		if sold.Width == f.Width && sold.Height == f.Height {
			f.Cards = sold.Cards
			break
		}
	}
	return f
}

// SheetsFor are the sheets that a stock may be cut from.
func (s Shop) SheetsFor(stock paper.Stock) []paper.Sheet {
	id := stock.Sheet
	if id == "" {
		return s.OnShelf()
	}
	if sheet, ok := s.Sheet(id); ok {
		return []paper.Sheet{sheet}
	}
	return nil
}

// Owned is an envelope on the shelf, or taken off it.
func (s Shop) Owned(id string) (OwnedEnvelope, bool) {
	for _, e := range s.Envelopes {
		if e.ID == id {
			return e, true
		}
	}
	return OwnedEnvelope{}, false
}
