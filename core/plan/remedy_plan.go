package plan

import (
	"fmt"
	"math"
	"slices"

	"yellowparcel/core/compare"
	"yellowparcel/core/job"
	"yellowparcel/core/mail"
	"yellowparcel/core/offer"
	"yellowparcel/core/say"
)

// RemedyPlan is one thing that would post the piece better, worked out with all
// that follows from it.
type RemedyPlan struct {
	ID    string `json:"id"`
	Title string `json:"title"`
	// Text says what it costs and saves.
	Text string `json:"text"`
	// Short and Tone are the new verdict.
	Short string   `json:"short"`
	Tone  say.Tone `json:"tone"`
	// Proven is false where a smaller change might do too.
	Proven bool `json:"proven"`
	// Sure is false where a thickness or a weight that it brings under a limit may be over it still.
	Sure bool `json:"sure"`
	// Possible is false where it is told only that it would not help.
	Possible bool `json:"possible"`
	// Piece is the closed piece that it leads to.
	Piece PieceSketch `json:"piece"`
}

// PieceSketch is a closed piece as it is drawn small, in millimetres.
type PieceSketch struct {
	Width     float64 `json:"width"`
	Height    float64 `json:"height"`
	Thickness float64 `json:"thickness"`
}

// sketched is the closed piece of a job, small.
func sketched(j job.Job, shop job.Shop) PieceSketch {
	m := newMaker(j, shop)
	e := m.Closed(m.Chosen())
	return PieceSketch{tenth(e.Width.Millimetres()), tenth(e.Height.Millimetres()), math.Round(m.Mailed(e).Thickness.Millimetres()*100) / 100}
}

// remedyTold is how a remedy is told.
type remedyTold struct{ title, text []say.Clause }

// leaves is how things are left off: of a card that is made already they are lifted off.
var leaves = []say.Clause{say.Unless("made", "Leave off {left}"), say.When("made", "Lift {left} off and rub the glue away")}

// saves is what leaving things off saves.
var saves = []say.Clause{say.Always("Saves {thinner} of thickness and {lighter}."), say.When("unproven", " Not proven to be the least that does.")}

// remediesTold say what each remedy does, and what it costs and saves.
var remediesTold = map[offer.RemedyID]remedyTold{
	offer.LeaveOff:  {leaves, saves},
	offer.LeaveEven: {leaves, saves},
	offer.FoamThin: {
		[]say.Clause{say.Unless("made", "Take foam of {foam}"), say.When("made", "Lift it off its foam and set it on foam of {foam}")},
		[]say.Clause{say.Always("It raises less, and nothing is left off.")},
	},
	offer.FoamNone: {
		[]say.Clause{say.Unless("made", "Glue it flat"), say.When("made", "Lift it off its foam, rub the glue away and glue it flat")},
		[]say.Clause{say.Always("Without foam nothing is raised.")},
	},
	offer.BaseStock: {[]say.Clause{say.Always("Take a lighter base: {Stock}")}, []say.Clause{say.Always("In place of {instead}.")}},
	offer.Shield: {
		[]say.Clause{say.Always("Lay a plain shield insert over it")},
		[]say.Clause{say.Always("It lies level on what stands highest, so that the outside is even; it adds its own thickness.")},
	},
	offer.Embossed: {
		[]say.Clause{say.Always("Lay an embossed shield insert over it")},
		[]say.Clause{say.Always("Its relief keeps points from coming through; it adds its own millimetre.")},
	},
	offer.Paper:     {[]say.Clause{say.Always("Make the envelope of {stock}")}, []say.Clause{say.Always("Strong enough that points stay inside.")}},
	offer.Address:   {[]say.Clause{say.Always("Write the address along the long edge")}, []say.Clause{say.Always("Machines read it that way round.")}},
	offer.Closure:   {[]say.Clause{say.Always("Close it with gum or tape")}, []say.Clause{say.Always("In place of the {closed}, which machines catch.")}},
	offer.Rectangle: {[]say.Clause{say.Always("Make the envelope a plain rectangle, {size}"), say.When("gummed", ", glued shut"), say.When("turned", ", addressed along its long edge")}, []say.Clause{say.Always("Two holding strips keep the card in the middle.")}},
	offer.Make: {
		[]say.Clause{say.When("box", "Box it: {construction}"), say.Always("Cut down a bought {bought}"), say.Always("Use a bought {taken}"), say.Unless("box,bought,taken", "Make it as a {construction}")},
		[]say.Clause{
			say.When("taken", "The card sits {sits} in it: it is {thick} thick closed."),
			say.Unless("bought,taken", "Of {sheet}, {thick} thick closed."), say.When("bought", "Cut to {closed size}, {thick} thick closed."),
			say.When("no sheet", " No sheet on your shelf is large enough for it."),
		},
	},
	offer.HandCancel: {[]say.Clause{say.Always("Ask for cancelling by hand")}, []say.Clause{say.Always("The surcharge stays; the drum is spared. Not every counter offers it: ask first.")}},
	offer.NextClass:  {[]say.Clause{say.Always("Pay for {class}")}, []say.Clause{say.Always("The next class up takes it without asking.")}},
}

// countedOn is what is said of a remedy that goes on from readings.
var countedOn = []say.Clause{say.When("counted", " Counted on from your readings: measure again."), say.When("unsure", " It may still be over: it is not sure.")}

// mostRemedies is how many are told.
const mostRemedies = 8

func (m mailStation) remedyPlans(c compare.Candidate, all []compare.Candidate, v mail.Verdict) []RemedyPlan {
	list, offers := []RemedyPlan{}, offer.To(m.Maker)
	for _, r := range offers.Remedies(c, all, v) {
		if len(list) == mostRemedies {
			break
		}
		told, slots := remediesTold[r.Kind], m.remedySlots(r)
		list = append(list, RemedyPlan{
			ID: r.ID(), Title: slots.Text(told.title...), Text: slots.Text(slices.Concat(told.text, countedOn)...),
			Short: shortly(r.Mail), Tone: toneOf(r.Mail), Proven: !r.Unproven, Sure: !r.Unsure, Possible: true,
			Piece: sketched(r.Take(m.Job()), m.Shop()),
		})
	}
	if of, none := offers.NoRectangle(v); none {
		list = append(list, RemedyPlan{
			ID: "no-rectangle", Title: "No rectangle helps", Short: shortly(compare.ForecastOf(v)), Tone: say.Care, Sure: true,
			Piece: sketched(m.Job(), m.Shop()),
			Text:  fmt.Sprintf("A rectangle round this card would be over the limit for %s. The surcharge stays, or the card gets smaller.", of.Words().Name),
		})
	}
	return list
}

// fixesNote says what is to be thought of the fixes: that none is needed, none is known or none is
// sure.
func (m mailStation) fixesNote(v mail.Verdict, list []RemedyPlan) string {
	f := compare.ForecastOf(v)
	r, _ := v.Result()
	switch {
	case open(v):
		return "By how much it is too thick is not known, so no fix is sure. Measure it, or make it thinner and try the gauge again."
	case len(list) > 0 && !slices.ContainsFunc(list, func(r RemedyPlan) bool { return r.Sure }):
		return "None of these is sure: what was measured may be off by as much. Measure again after it."
	case len(list) > 0:
		return ""
	case f.Ending == compare.Goes && !f.Beyond || f.Ending == compare.ByHand:
		return "Nothing needs fixing for this destination."
	case f.Ending == compare.Goes || f.Ending == compare.Surcharged:
		return fmt.Sprintf("No change that is known here brings it below %s.", one(r.Class.Name))
	}
	return "No change that is known here is sure to help. Ask at the counter."
}

// thickAfter is how thick the closed piece is once a remedy is taken, by what was measured of it.
func (m mailStation) thickAfter(r offer.Remedy, k compare.Candidate) string {
	after := newMaker(r.Take(m.Job()), m.Shop())
	piece := after.Mailed(after.Closed(k))
	if piece.Failed > 0 {
		return "over " + m.fine().Show(piece.Failed)
	}
	return m.fine().Show(piece.Thickness)
}

// remedySlots are what the words of a remedy are filled with.
func (m mailStation) remedySlots(r offer.Remedy) say.Slots {
	var names []string
	for _, l := range r.Left {
		name := "“" + l.Name + "”"
		if l.Times > 1 {
			name = fmt.Sprintf("%d × %s", l.Times, name)
		}
		names = append(names, name)
	}
	s := say.Slots{
		"left": say.And(names), "thinner": m.fine().Show(r.Thinner), "lighter": m.fineWeight(r.Lighter), "foam": m.fine().ShowUnit(r.Foam),
		"Stock": r.Stock.Name, "stock": say.Lower(r.Stock.Name), "instead": r.Instead.Name, "closed": say.Lower(r.Closed.Name), "size": m.by(r.Width, r.Height),
	}
	if r.Class.Name != "" {
		s["class"] = one(r.Class.Name)
	}
	if k := r.Made; k != nil && r.Kind == offer.Make {
		s["construction"], s["sheet"], s["thick"] = say.Lower(k.Kind.Words.Name), m.by(k.Made.SheetWidth, k.Made.SheetHeight), m.thickAfter(r, *k)
		s["closed size"] = m.by(k.Made.Width, k.Made.Height)
		switch name := m.Format(k.Made.From.ID).Name; {
		case k.Kind.Whole:
			s["taken"], s["sits"] = name, verdicts[k.Fit.Verdict].sits
		case k.Kind.Bought:
			s["bought"] = name
		}
		s.Flag("box", k.Kind.Box)
		s.Flag("no sheet", !k.Found)
	}
	s.Flag("made", m.Job().Card.Made)
	s.Flag("unproven", r.Unproven)
	s.Flag("gummed", r.Sparing.Gummed)
	s.Flag("turned", r.Sparing.Turned)
	s.Flag("counted", r.Counted)
	s.Flag("unsure", r.Unsure)
	return s
}
