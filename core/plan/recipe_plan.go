package plan

import (
	"fmt"
	"strings"

	"yellowparcel/core/blank"
	"yellowparcel/core/card"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/say"
)

// RecipePlan says what a note really makes.
type RecipePlan struct {
	// Scores is the way in which it gives its scores.
	Scores   string       `json:"scores"`
	Sentence say.Sentence `json:"sentence"`
	// Readings are the ways to read it: one, or two where its scores lie off the
	// centre.
	Readings []RecipeReading `json:"readings"`
	Notes    []Note          `json:"notes"`
	// Rescaled is the same recipe for the job's card.
	Rescaled string `json:"rescaled"`
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
	// Suits is set when it closes, and the card goes in.
	Suits      bool        `json:"suits"`
	Net        blank.Net   `json:"net"`
	Dimensions []Dimension `json:"dimensions"`
	Drawing    string      `json:"drawing"`
}

// recipe works the job's note backwards; nil when there is none.
func (m maker) recipe() *RecipePlan {
	if m.Job().Recipe == nil {
		return nil
	}
	if m.Job().Recipe.Pocket {
		return m.pocketRecipe(m.Job().Recipe.AsPocket())
	}
	r := m.Job().Recipe.Blank()
	p := &RecipePlan{Scores: m.Job().Recipe.Scores(), Readings: []RecipeReading{}, Notes: []Note{}, Rescaled: m.rescaled()}
	if fault := r.Fault(); fault != "" {
		p.Sentence = say.That("This makes no envelope: %s. Look at the note again.", fault)
		p.Notes = append(p.Notes, Note{Trouble, say.Capital(fault) + ": change that number."})
		return p
	}
	sides, ends := r.Centring()
	zero := r.Make(0, 0)
	name := "as it is written"
	off := sides.Abs() > m.Style().Tick || ends.Abs() > m.Style().Tick
	if off {
		name = "with the guide's corner at zero"
	}
	p.Readings = append(p.Readings, m.recipeReading(name, zero))
	best := zero
	if off {
		best = r.Make(sides, ends)
		p.Readings = append(p.Readings, m.recipeReading(fmt.Sprintf("with the guide's corner at %s", m.Style().Show(-sides)), best))
		p.Notes = append(p.Notes, Note{Care, fmt.Sprintf("Its scores lie off the centre: in the middle they would be if the guide reads %s at the sheet's corner. Look where the corner sits on yours.", m.Style().Show(-sides))})
	}
	p.Notes = append(p.Notes, m.recipeNotes(best)...)
	p.Notes = append(p.Notes, m.stretched(best.Width, best.Height, best.Seam())...)
	p.Notes = append(p.Notes, m.quoted()...)
	p.Sentence = m.recipeSentence(best)
	return p
}

// inside is the room of a recipe's envelope for the card, each way.
func (m maker) recipeEase(res blank.RecipeResult) (w, h measure.Length) {
	return m.easeIn(res.Width, res.Height)
}

// easeIn is the room for the card between creases, the way round it fits better.
func (m maker) easeIn(width, height measure.Length) (w, h measure.Length) {
	stock, _ := m.Shop().Stock(m.Job().Envelope.Stock)
	outer := m.Outer()
	ease := func(c card.Size) (measure.Length, measure.Length) {
		return width - 2*stock.Caliper - c.Width - m.Thick().Used, height - 2*stock.Caliper - c.Height - m.Thick().Used
	}
	w, h = ease(outer)
	if tw, th := ease(card.Size{Width: outer.Height, Height: outer.Width}); min(tw, th) > min(w, h) {
		return tw, th
	}
	return w, h
}

func (m maker) recipeReading(name string, res blank.RecipeResult) RecipeReading {
	w, h := m.recipeEase(res)
	reading := RecipeReading{
		Name: name, Inside: m.by(res.Width, res.Height), Ease: m.by(w, h), Fits: min(w, h) >= 0, Hole: "none", Net: res.Net,
		SeamNames:  []string{"left to top", "top to right", "right to bottom", "bottom to left"},
		Dimensions: []Dimension{}, Suits: min(w, h) >= 0 && res.Seam() > 0 && res.Folded.Hole < 1,
	}
	for _, s := range res.Seams {
		reading.Seams = append(reading.Seams, m.Style().Show(s))
	}
	if res.Folded.Hole >= 1 {
		reading.Hole = fmt.Sprintf("%.0f mm²", res.Folded.Hole)
	}
	reading.Drawing = fmt.Sprintf("The note's sheet %s, creases %s apart; seams of %s.", name, reading.Inside, strings.Join(reading.Seams, ", "))
	return reading
}

func (m maker) recipeSentence(res blank.RecipeResult) say.Sentence {
	w, h := m.recipeEase(res)
	switch {
	case res.Seam() < 0:
		return say.That("It makes an envelope of [%s], but the back stays open: a seam is [%s].", m.by(res.Width, res.Height), m.Style().Show(res.Seam()))
	case min(w, h) < 0:
		return say.That("It makes an envelope of [%s]; your card is [%s] too large for it.", m.by(res.Width, res.Height), m.Style().Show(-min(w, h)))
	}
	return say.That("It makes an envelope of [%s] with a seam of [%s]; your card has [%s] of ease in it.", m.by(res.Width, res.Height), m.Style().Show(res.Seam()), m.Style().Show(min(w, h)))
}

// recipeNotes says what goes wrong and which number to change.
func (m maker) recipeNotes(res blank.RecipeResult) (notes []Note) {
	a, _ := m.Shop().Adhesive(m.Job().Envelope.Adhesive)
	show := m.Style().Show
	if s := res.Seam(); s < a.Width {
		// Every score lengthens two seams by √2 of what it grows; the sheet by what
		// it grows takes as much off.
		by := measure.Round(float64(a.Width-s) / 1.41421356).Up(m.Style().Tick)
		notes = append(notes, Note{Trouble, fmt.Sprintf("A seam of %s is less than the %s, %s: set the two scores beside it together %s further in, or cut the sheet larger and the scores with it.", show(s), say.Lower(a.Name), show(a.Width), show(by))})
	}
	w, h := m.recipeEase(res)
	for _, d := range []struct {
		ease  measure.Length
		which string
	}{{w, "side"}, {h, "top and bottom"}} {
		if d.ease < 0 {
			notes = append(notes, Note{Trouble, fmt.Sprintf("It is %s too tight: set the two %s scores together %s nearer to their corners.", show(-d.ease), d.which, show((m.Job().Envelope.Ease - d.ease).Up(m.Style().Tick)))})
		}
	}
	if res.Folded.Overhang > 1 {
		notes = append(notes, Note{Care, "A flap is longer than the envelope and would stick out: blunt its tip."})
	}
	return notes
}

// rescaledWish is what is wished for an envelope that follows a recipe: its own seam,
// as long as the adhesive has room on it, and of a pocket its thumb gap.
func (m maker) rescaledWish(r job.Recipe) job.EnvelopeWish {
	e := m.Job().Envelope
	least := m.blankSpec().Adhesive
	e.Double, e.Flap = false, 0
	if r.Pocket {
		e.Construction, e.Pocket = blank.PocketID, blank.ExactPocket
		if p := r.AsPocket(); p.Fault() == "" {
			res := p.Make()
			if res.Tab >= least {
				e.Seam = res.Tab
			}
			e.ThumbGap = max(0, min(res.Gap, m.Outer().Height/2))
		}
		return e
	}
	e.Construction, e.School, e.Way, e.FlapShape = blank.DiamondID, blank.ExactSeam, blank.PairWay, ""
	if d := r.Blank(); d.Fault() == "" {
		sides, ends := d.Centring()
		if seam := d.Make(sides, ends).Seam(); seam >= least {
			e.Seam = seam
		}
	}
	return e
}

// following is the blank's spec when the envelope follows the job's recipe.
func (m maker) following() blank.Spec {
	j := m.Job()
	j.Envelope = m.rescaledWish(*j.Recipe)
	return m.with(j).blankSpec()
}

// rescaled is a diamond for the job's card with the recipe's own seam.
func (m maker) rescaled() string {
	s := m.following()
	d := blank.NewDiamond(s)
	w := d.Chosen()
	at := func(i int) string { return m.Style().Show(w.Scores[i].At) }
	return fmt.Sprintf("For your card with a seam of %s: cut %s square; from one corner score at %s and %s, turn a quarter, score at %s and %s.", m.Style().Show(s.Seam), m.Style().Show(d.Sheet), at(0), at(1), at(2), at(3))
}
