package plan

import (
	"fmt"
	"slices"
	"strings"

	"yellowparcel/core/blank"
	"yellowparcel/core/card"
	"yellowparcel/core/compare"
	"yellowparcel/core/drawing"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/paper"
	"yellowparcel/core/recipe"
	"yellowparcel/core/say"
)

// RecipePlan says what a note really makes.
type RecipePlan struct {
	// Form and Name are the form that it comes in, Asks the paths of what that asks for.
	Form string   `json:"form"`
	Name string   `json:"name"`
	Asks []string `json:"asks" format:"field-path"`
	// Line is what was understood of the note as it was pasted; none where it was typed.
	Line     *LinePlan    `json:"line,omitempty"`
	Sentence say.Sentence `json:"sentence"`
	// Readings are the ways to read it: one, or two where its scores lie off the
	// centre.
	Readings []RecipeReading `json:"readings"`
	Notes    []say.Note      `json:"notes"`
	// Rescaled is the same recipe for the job's card.
	Rescaled string `json:"rescaled"`
	// Card is the card that it names, where the job's is another one, or leaves room for, where the job has none;
	// it may be taken.
	Card string `json:"card"`
	// Works is set where it may be used as it stands; Corner is the corner reading that was
	// found, to be taken.
	Works  bool   `json:"works"`
	Corner string `json:"corner"`
}

// RecipeReading is one way to read a note.
type RecipeReading struct {
	Name   string   `json:"name"`
	Inside string   `json:"inside"`
	Ease   string   `json:"ease"`
	Seams  []string `json:"seams"`
	// SeamNames says where each of the seams is.
	SeamNames []string `json:"seamNames"`
	Hole      string   `json:"hole"`
	Fits      bool     `json:"fits"`
	// Suits is set when it closes, and the card goes in; Said says so.
	Suits      bool                `json:"suits"`
	Said       string              `json:"said"`
	Net        blank.Net           `json:"-"`
	Flat       drawing.Drawing     `json:"flat"`
	Dimensions []drawing.Dimension `json:"dimensions"`
	Drawing    string              `json:"drawing"`
}

// squareSeams and pocketSeams say where the seams of a note's envelope are.
var (
	squareSeams = []string{"left to top", "top to right", "right to bottom", "bottom to left"}
	pocketSeams = []string{"left tab", "right tab", "flap over the back"}
)

// recipeFaults say why a note makes no envelope at all.
var recipeFaults = map[blank.RecipeFault]string{
	blank.LeftOff: "the left score lies off the sheet", blank.RightOff: "the right score lies off the sheet",
	blank.TopOff: "the top score lies off the sheet", blank.BottomOff: "the bottom score lies off the sheet",
	blank.NearFar: "a near score lies beyond its far one", blank.PairCrosses: "two scores of a pair cross, so that no room is left between them",
	blank.NoFace: "the scores leave no face on the sheet", blank.OnEdge: "a score lies on the edge of the sheet",
	blank.TabsCross:   "the scores of the two tabs cross, so that no room is left between them",
	blank.FlapCrosses: "the scores of flap and back cross, so that no front is left between them",
	blank.WallBeyond:  "a wall's score lies further in than the floor's", blank.WallsDiffer: "the walls at the sides are not as deep as those at the ends",
}

// readAs say how a note is read.
var readAs = map[recipe.As][]say.Clause{
	recipe.AsWritten: {say.Always("as it is written")}, recipe.AtZero: {say.Always("with the guide's corner at zero")},
	recipe.AtCorner: {say.Always("with the guide's corner at {corner}")},
}

// noteFaults say what is wrong with a note that makes an envelope, and which number to
// change: {a}, {b} and {c} are the lengths of the fault.
var noteFaults = map[recipe.FaultID]faultTold{
	recipe.OffCentre: {say.Care, []say.Clause{say.Always("Its scores lie off the centre, unless the guide reads {a} at the sheet's corner. Look where the corner sits on yours.")}},
	recipe.OffMiddle: {say.Care, []say.Clause{say.Always("The front lies {a} off the middle of the sheet. Two seams are that much wider, two narrower.")}},
	recipe.LowWalls:  {say.Care, []say.Clause{say.Always("Its walls are {a} deep, and your card is {b} thick: it stands out of them.")}},
	recipe.NarrowSeam: {say.Trouble, []say.Clause{
		say.When("missing", "Two flaps miss each other by {missing}. Set the scores beside that seam {c} further in."),
		say.Unless("missing", "A seam of {a} is less than the {adhesive}, {b}. Set the scores beside it {c} further in."),
	}},
	recipe.TightSides:  {say.Trouble, []say.Clause{say.Always("It is {a} too tight. Set the two side scores together {b} nearer to their corners.")}},
	recipe.TightEnds:   {say.Trouble, []say.Clause{say.Always("It is {a} too tight. Set the two top and bottom scores together {b} nearer to their corners.")}},
	recipe.LongFlap:    {say.Care, []say.Clause{say.Always("A flap is longer than the envelope and would stick out: blunt its tip.")}},
	recipe.TightAcross: {say.Trouble, []say.Clause{say.Always("It is {a} too narrow. Set the two tabs' scores together {b} nearer to their edges.")}},
	recipe.TightDown:   {say.Trouble, []say.Clause{say.Always("It is {a} too low. Set the scores of flap and back together {b} nearer to their ends.")}},
	recipe.NarrowTab:   {say.Trouble, []say.Clause{say.Always("A tab of {a} is narrower than the {adhesive}, {b}. Score it at {b}, and cut the sheet that much wider.")}},
	recipe.TabsDiffer:  {say.Care, []say.Clause{say.Always("The tabs differ, {a} and {b}, so the front lies {c} off the middle. One may be a slip.")}},
	recipe.TabsMeet:    {say.Trouble, []say.Clause{say.Always("The tabs meet: together {a} of a width of {b}.")}},
	recipe.HighBack:    {say.Care, []say.Clause{say.Always("The back is {a} higher than the front and stands out of the throat. Score it at {b}.")}},
	recipe.ShortFlap:   {say.Trouble, []say.Clause{say.Always("The closing flap covers {a} of the back, but the adhesive needs {b}. Make the flap {c}.")}},
	recipe.FlapOver:    {say.Trouble, []say.Clause{say.Always("The flap of {a} is longer than the front, {b}: it would stick out.")}},
}

// recipeWords says what a note really makes.
type recipeWords struct {
	maker
	of recipe.Recipe
}

// recipe works the job's note backwards; nil when there is none.
func (m maker) recipe() *RecipePlan {
	if m.Job().Recipe == nil {
		return nil
	}
	n := m.Job().Recipe
	w := recipeWords{m, recipe.In(m.Maker)}
	p := &RecipePlan{Form: string(w.of.Form().ID), Name: w.of.Form().Name, Asks: []string{}, Readings: []RecipeReading{}, Notes: []say.Note{}}
	for _, a := range w.of.Form().Asks {
		p.Asks = append(p.Asks, "recipe."+a.Name)
	}
	if n.Text != "" {
		p.Line = w.line(n.Text)
	}
	if missing := w.of.Missing(); len(missing) > 0 {
		p.Sentence = say.That("Type what the recipe says: %s.", strings.ToLower(say.And(missing)))
		p.Notes = append(p.Notes, w.quoted()...)
		return p
	}
	readings, fault := w.of.Readings()
	if fault != blank.MakesOne {
		p.Sentence = say.That("This makes no envelope: %s. Look at the note again.", recipeFaults[fault])
		p.Notes = append(p.Notes, say.Trouble.Says(say.Capital(recipeFaults[fault])+": change that number."))
		return p
	}
	for _, r := range readings {
		p.Readings = append(p.Readings, w.reading(r))
	}
	best := readings[len(readings)-1]
	p.Notes = gathered(w.notes(best), w.offset(p), w.punched(), w.stretched(best), w.quoted())
	p.Sentence = w.sentence(best)
	_, named := w.Job().Recipe.Claimed()
	if size, ok := w.of.Card(); ok && (w.Waits() || named && size != w.Job().Face()) {
		p.Card = w.by(size.Width, size.Height)
	}
	if w.Waits() {
		return p // what is made of it goes by a card
	}
	first := readings[0]
	p.Rescaled, p.Works = w.rescaled(), first.Suits && first.Seam >= w.adhesive().Width
	return p
}

// against says whose card the note is held against: the job's, or until it has one that which the note
// names; nobody's where it names none.
func (w recipeWords) against() string {
	if !w.Waits() {
		return "your card"
	}
	if _, ok := w.Job().Recipe.Claimed(); ok {
		return "the card that it names"
	}
	return ""
}

// suits says whether a reading closes, and the card goes in.
func (w recipeWords) suits(r recipe.Reading) string {
	whose := say.Capital(w.against())
	switch {
	case whose == "" && r.Closes:
		return "It closes."
	case whose != "" && r.Suits:
		return whose + " goes in and it closes."
	case whose != "" && r.Ease() < 0:
		return whose + " does not go in."
	}
	return "It does not close."
}

func (w recipeWords) adhesive() paper.Adhesive {
	a, _ := w.Shop().Adhesive(w.Job().Envelope.Adhesive)
	return a
}

// offset says what the note's board is found to read at the sheet's corner.
func (w recipeWords) offset(p *RecipePlan) []say.Note {
	o, found := w.of.Offset()
	show := w.Style().Show
	switch {
	case !found:
		return nil
	case o.Open:
		return []say.Note{say.Trouble.Says("Its scores do not give the size that it is for, whatever the board reads. Look for a slip.")}
	}
	p.Corner = show(o.At)
	notes := []say.Note{say.Care.Says(fmt.Sprintf("Its scores do not give the size that it is for. Its board must read between %s and %s at the sheet's corner, so %s is taken.", show(o.Low), show(o.High), show(o.At)))}
	if o.Apart {
		notes = append(notes, say.Care.Says(fmt.Sprintf("No corner reading suits both pairs of scores: the tighter pair counts here. The other pair is %s roomier than what it is for.", w.decimal(o.Roomier))))
	}
	return notes
}

// punched says by how much a square that is punched off its middle comes out longer.
func (w recipeWords) punched() []say.Note {
	more, off := w.of.Longer()
	if !off {
		return nil
	}
	return []say.Note{say.Care.Says(fmt.Sprintf("The first mark is not half of the sheet: the envelope comes out %s longer one way. For a square punch at the middle.", w.decimal(more)))}
}

// flat draws a note's sheet with the card in the middle of it.
func (w recipeWords) flat(r recipe.Reading) drawing.Drawing {
	laid := drawing.Laid{Card: w.Outer(), Names: netNames}
	if w.against() == "" {
		laid.Card = card.Size{}
	}
	return drawing.Net(r.Net, laid).Drawn()
}

// sizes writes lengths one by one.
func (w recipeWords) sizes(list []measure.Length) (texts []string) {
	for _, l := range list {
		texts = append(texts, w.readable(l))
	}
	return texts
}

func (w recipeWords) reading(r recipe.Reading) RecipeReading {
	show := w.Style().Show
	name := say.Slots{"corner": show(r.Corner)}.Text(readAs[r.As]...)
	p := RecipeReading{
		Name: name, Inside: w.by(r.Width, r.Height), Ease: w.by(r.EaseWidth, r.EaseHeight), Fits: r.Ease() >= 0, Suits: r.Suits, Said: w.suits(r), Hole: "none",
		Net: r.Net.Cut(), Flat: w.flat(r), Dimensions: []drawing.Dimension{}, Seams: w.sizes(r.Seams), SeamNames: squareSeams,
	}
	if w.against() == "" {
		p.Ease = "" // of no card
	}
	if w.of.Form().ID == job.BoxRecipe {
		p.SeamNames = []string{"of the back"}
	}
	if w.of.Form().Pocket {
		p.SeamNames = pocketSeams
		if r.Gap > 0 {
			p.Hole = show(r.Gap) + " at the throat"
		}
		p.Drawing = fmt.Sprintf("The recipe's sheet as written, a pocket of %s. Its tabs are %s and %s. Its flap overlap is %s.", p.Inside, p.Seams[0], p.Seams[1], p.Seams[2])
		return p
	}
	if r.Hole >= 1 {
		p.Hole = squares(w.Style().Unit, r.Hole)
	}
	p.Drawing = fmt.Sprintf("The note's sheet %s, creases %s apart; seams of %s.", name, p.Inside, strings.Join(p.Seams, ", "))
	return p
}

func (w recipeWords) sentence(r recipe.Reading) say.Sentence {
	show, inside := w.Style().Show, w.by(r.Width, r.Height)
	if w.Waits() {
		return w.sentenceAlone(r)
	}
	switch {
	case r.Depth > 0 && r.Ease() < 0:
		return say.That("It makes one of [%s] with walls [%s] deep. Your card is [%s] too large for it.", inside, show(r.Depth), show(-r.Ease()))
	case r.Depth > 0:
		return say.That("It makes one of [%s] with walls [%s] deep and a seam of [%s]. Your card has [%s] of ease in it.", inside, show(r.Depth), w.readable(r.Seam), show(r.Ease()))
	case w.of.Form().Pocket && r.Ease() < 0:
		return say.That("It makes a pocket of [%s]; your card is [%s] too large for it.", inside, show(-r.Ease()))
	case w.of.Form().Pocket:
		return say.That("It makes a pocket of [%s] with tabs of [%s]. Your card has [%s] of ease in it.", inside, w.readable(r.Seam), show(r.Ease()))
	case r.Seam < 0:
		return say.That("It makes an envelope of [%s], but the back stays open: two flaps miss each other by [%s].", inside, readUnit(w.maker, -r.Seam))
	case r.Ease() < 0:
		return say.That("It makes an envelope of [%s]; your card is [%s] too large for it.", inside, show(-r.Ease()))
	}
	return say.That("It makes an envelope of [%s] with a seam of [%s]. Your card has [%s] of ease in it.", inside, w.readable(r.Seam), show(r.Ease()))
}

// sentenceAlone says what a note makes while the job has no card: for the one that the note names, or for none.
func (w recipeWords) sentenceAlone(r recipe.Reading) say.Sentence {
	show, inside := w.Style().Show, w.by(r.Width, r.Height)
	s := say.That("It makes an envelope of [%s] with a seam of [%s].", inside, w.readable(r.Seam))
	switch {
	case r.Depth > 0:
		s = say.That("It makes one of [%s] with walls [%s] deep and a seam of [%s].", inside, show(r.Depth), w.readable(r.Seam))
	case w.of.Form().Pocket:
		s = say.That("It makes a pocket of [%s] with tabs of [%s].", inside, w.readable(r.Seam))
	case r.Seam < 0:
		s = say.That("It makes an envelope of [%s], but the back stays open: two flaps miss each other by [%s].", inside, readUnit(w.maker, -r.Seam))
	}
	if w.against() == "" {
		return s
	}
	with := say.That("The card that it names has [%s] of ease in it.", show(r.Ease()))
	if r.Ease() < 0 {
		with = say.That("The card that it names is [%s] too large for it.", show(-r.Ease()))
	}
	return s.And(with)
}

// byCard are the faults of a note that are told against a card.
var byCard = []recipe.FaultID{recipe.LowWalls, recipe.TightSides, recipe.TightEnds, recipe.TightAcross, recipe.TightDown}

// notes says what goes wrong and which number to change.
func (w recipeWords) notes(best recipe.Reading) []say.Note {
	notes, show := []say.Note{}, w.Style().Show
	a, _ := w.Shop().Adhesive(w.Job().Envelope.Adhesive)
	for _, f := range w.of.Faults(best) {
		if w.against() == "" && slices.Contains(byCard, f.ID) {
			continue
		}
		told := noteFaults[f.ID]
		slots := say.Slots{"a": show(f.A), "b": show(f.B), "c": show(f.C), "adhesive": say.Lower(a.Name)}
		if f.A < 0 {
			slots["missing"] = readUnit(w.maker, -f.A)
		}
		notes = append(notes, told.tone.Says(slots.Text(told.words...)))
	}
	return notes
}

// stretched says what becomes of an outline that is enlarged or reduced as a whole
// until the card goes in.
func (w recipeWords) stretched(best recipe.Reading) []say.Note {
	s, ok := w.of.Stretched(best)
	if !ok || w.against() == "" {
		return nil
	}
	show := w.Style().Show
	return []say.Note{say.Fine.Says(fmt.Sprintf("Enlarged to %.0f %% its seam of %s would become %s, and the ease %s. Take these sizes instead.", 100*s.Factor, show(s.Seam), show(s.Grown), show(s.Loose)))}
}

// quoted holds a limit that a note names against the rulebooks.
func (w recipeWords) quoted() []say.Note {
	bounds, here, names := w.of.Quoted()
	if !names {
		return nil
	}
	note := w.Job().Recipe
	words := func(b recipe.Bound) string {
		word := "greatest"
		if b.Least {
			word = "least"
		}
		return fmt.Sprintf("the %s %s of %s, %s, %s", word, note.QuotedMeasure(), one(b.Class.Name), b.Book.Region, b.Book.Service)
	}
	limit := w.fine().ShowUnit(note.Quoted)
	if len(bounds) == 0 {
		where := ""
		if here != nil {
			where = fmt.Sprintf(" Where this job goes, %s is %s.", words(*here), w.fine().ShowUnit(here.At))
		}
		return []say.Note{say.Care.Says(fmt.Sprintf("No rulebook here has %s as a limit of %s.%s", limit, note.QuotedMeasure(), where))}
	}
	var whose []string
	for _, b := range bounds {
		whose = append(whose, words(b))
	}
	var notes []say.Note
	for _, of := range whose {
		notes = append(notes, say.Fine.Says(fmt.Sprintf("%s is %s. Check it against the published page.", limit, of)))
	}
	return notes
}

// rescaled says the envelope that follows the recipe, made for the job's card, in the words of the way
// in which its scores are set.
func (w recipeWords) rescaled() string {
	made, show := w.of.Rescaled(), w.Style().Show
	c := compare.Candidate{Made: made, Kind: blank.ByID(w.of.Wish().Construction)}
	way, slots := made.Way(), say.Slots{}
	if made.Depth > 0 {
		slots["depth"] = show(made.Depth)
	}
	scores := envelopeStation{w.maker}.waySlots(c, way, slots).Text(c.Kind.Way(way.ID).Sentence...)
	if w.of.Form().Pocket {
		return fmt.Sprintf("For your card with tabs of %s, cut %s.%s", show(way.Readings(blank.LeftTab)[0]), w.by(made.SheetWidth, made.SheetHeight), scores)
	}
	return fmt.Sprintf("For your card with a seam of %s, cut %s square.%s", show(w.of.Wish().Seam), show(made.SheetWidth), scores)
}
