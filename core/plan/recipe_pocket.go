package plan

import (
	"fmt"
	"strings"

	"yellowparcel/core/blank"
	"yellowparcel/core/job"
	"yellowparcel/core/mail"
	"yellowparcel/core/measure"
	"yellowparcel/core/say"
)

// pocketRecipe works the note of a pocket backwards.
func (m maker) pocketRecipe(r blank.PocketRecipe) *RecipePlan {
	p := &RecipePlan{Scores: m.Job().Recipe.Scores(), Readings: []RecipeReading{}, Notes: []Note{}}
	if fault := r.Fault(); fault != "" {
		p.Sentence = say.That("This makes no envelope: %s. Look at the note again.", fault)
		p.Notes = append(p.Notes, Note{Trouble, say.Capital(fault) + ": change that number."})
		p.Rescaled = m.rescaledPocket()
		return p
	}
	res, show := r.Make(), m.Style().Show
	w, h := m.easeIn(res.Width, res.Height)
	a, _ := m.Shop().Adhesive(m.Job().Envelope.Adhesive)
	closes := res.Tab >= a.Width && 2*res.Tab <= res.Width && res.Overlap >= a.Width && r.Flap <= res.Height
	reading := RecipeReading{
		Name: "as it is written", Inside: m.by(res.Width, res.Height), Ease: m.by(w, h), Fits: min(w, h) >= 0, Suits: min(w, h) >= 0 && closes,
		Seams: []string{show(r.Left), show(r.Right), show(res.Overlap)}, SeamNames: []string{"left tab", "right tab", "flap over the back"},
		Hole: "none", Net: res.Net, Dimensions: []Dimension{},
	}
	if open := max(0, res.Gap); open > 0 {
		reading.Hole = show(open) + " at the throat"
	}
	reading.Drawing = fmt.Sprintf("The note's sheet as it is written, a pocket of %s; tabs of %s and %s, the flap %s over the back.", reading.Inside, show(r.Left), show(r.Right), show(res.Overlap))
	p.Readings = append(p.Readings, reading)
	switch {
	case min(w, h) < 0:
		p.Sentence = say.That("It makes a pocket of [%s]; your card is [%s] too large for it.", reading.Inside, show(-min(w, h)))
	default:
		p.Sentence = say.That("It makes a pocket of [%s] with tabs of [%s]; your card has [%s] of ease in it.", reading.Inside, show(res.Tab), show(min(w, h)))
	}
	p.Notes = append(m.pocketRecipeNotes(r, res, w, h), m.stretched(res.Width, res.Height, res.Tab)...)
	p.Notes = append(p.Notes, m.quoted()...)
	p.Rescaled = m.rescaledPocket()
	return p
}

// pocketRecipeNotes says what goes wrong and which number to change.
func (m maker) pocketRecipeNotes(r blank.PocketRecipe, res blank.PocketResult, w, h measure.Length) []Note {
	notes, show := []Note{}, m.Style().Show
	a, _ := m.Shop().Adhesive(m.Job().Envelope.Adhesive)
	add := func(t Tone, format string, args ...any) { notes = append(notes, Note{t, fmt.Sprintf(format, args...)}) }
	if w < 0 {
		add(Trouble, "It is %s too tight across: set the two tabs' scores together %s nearer to their edges, or cut the sheet as much wider.", show(-w), show((m.Job().Envelope.Ease - w).Up(m.Style().Tick)))
	}
	if h < 0 {
		add(Trouble, "It is %s too tight down: set the scores of flap and back together %s nearer to their ends, or cut the sheet as much longer.", show(-h), show((m.Job().Envelope.Ease - h).Up(m.Style().Tick)))
	}
	if res.Tab < a.Width {
		add(Trouble, "A tab of %s is narrower than the %s, %s: score it at %s, and cut the sheet wider by as much.", show(res.Tab), say.Lower(a.Name), show(a.Width), show(a.Width))
	}
	if r.Left != r.Right {
		add(Care, "The tabs differ, %s and %s: the front lies off the middle by %s. One of the two may be a slip.", show(r.Left), show(r.Right), show((r.Left-r.Right).Abs()/2))
	}
	if r.Left+r.Right > res.Width {
		add(Trouble, "The tabs meet: together %s of a width of %s.", show(r.Left+r.Right), show(res.Width))
	}
	if res.Gap < 0 {
		add(Care, "The back is %s higher than the front and stands out of the throat: score it at %s.", show(-res.Gap), show(res.Height))
	}
	if want := a.Width + measure.Inch/8; res.Overlap < want {
		add(Trouble, "The closing flap covers %s of the back, the adhesive wants %s: make the flap %s.", show(res.Overlap), show(want), show(max(0, res.Gap)+want))
	}
	if r.Flap > res.Height {
		add(Trouble, "The flap of %s is longer than the front, %s: it would stick out.", show(r.Flap), show(res.Height))
	}
	return notes
}

func (m maker) rescaledPocket() string {
	made, show := blank.NewPocket(m.following()), m.Style().Show
	at := func(i int) string { return show(made.Way().Scores[i].At) }
	return fmt.Sprintf("For your card with tabs of %s: cut %s; score %s from both sides, %s from the flap's end and %s from the other.", at(0), m.by(made.SheetWidth, made.SheetHeight), at(0), at(2), at(3))
}

// beginPocketRecipe begins a note of a pocket as the job's own pocket.
func beginPocketRecipe(j job.Job, shop job.Shop) job.Job {
	m := newMaker(j, shop)
	s := m.blankSpec()
	s.Pocket = blank.ExactPocket
	s.Double = false
	made := blank.NewPocket(s)
	j.Recipe = &job.Recipe{
		Pocket: true, Side1: made.SheetWidth, Side2: made.SheetHeight,
		Left: made.Way().Scores[0].At, Right: made.Way().Scores[1].At, Top: made.Way().Scores[2].At, Bottom: made.Way().Scores[3].At,
	}
	return j
}

// stretched says what becomes of an outline that is enlarged or reduced as a
// whole until the card goes in, as copiers and cutters do.
func (m maker) stretched(width, height, seam measure.Length) []Note {
	stock, _ := m.Shop().Stock(m.Job().Envelope.Stock)
	outer, ease := m.Outer(), m.Job().Envelope.Ease
	need := 2*stock.Caliper + m.Thick().Used + ease
	factor := func(w, h measure.Length) float64 {
		return max(float64(outer.Width+need)/float64(w), float64(outer.Height+need)/float64(h))
	}
	w, h := width, height
	if factor(height, width) < factor(width, height) {
		w, h = height, width
	}
	f := factor(w, h)
	const same = 0.02
	if f > 1-same && f < 1+same {
		return nil
	}
	grown := func(l measure.Length) measure.Length { return measure.Round(float64(l) * f) }
	loose := max(grown(w)-outer.Width-need, grown(h)-outer.Height-need) + ease
	return []Note{{Fine, fmt.Sprintf("Stretched as a whole to %.0f %% to suit your card, its seam of %s would become %s and one side would have %s of ease: solve it anew, as below, instead of stretching the outline.", 100*f, m.Style().Show(seam), m.Style().Show(grown(seam)), m.Style().Show(loose))}}
}

// quoted holds a limit that a note names against the rulebooks.
func (m maker) quoted() []Note {
	r := m.Job().Recipe
	if r.Quoted == 0 {
		return nil
	}
	of := r.QuotedMeasure()
	var whose []string
	here := ""
	for _, b := range m.Shop().Books() {
		for _, c := range b.Classes {
			for _, l := range c.Limits {
				if l.Measure != of || len(l.When) > 0 {
					continue
				}
				for _, bound := range []struct {
					q    *mail.Quantity
					word string
				}{{l.Min, "least"}, {l.Max, "greatest"}} {
					if bound.q == nil {
						continue
					}
					at := measure.Length(*bound.q)
					words := fmt.Sprintf("the %s %s of %s, %s, %s", bound.word, of, one(c.Name), b.Region, b.Service)
					if (at - r.Quoted).Abs() <= measure.Inch/64 {
						whose = append(whose, words)
					}
					if b.ID == m.Job().Post.Destination && bound.word == "greatest" && c.ID == b.Enveloped().ID {
						here = fmt.Sprintf(" Where this job goes, %s is %s.", words, m.fine().ShowUnit(at))
					}
				}
			}
		}
	}
	limit := m.fine().ShowUnit(r.Quoted)
	if len(whose) == 0 {
		return []Note{{Care, fmt.Sprintf("No rulebook here has %s as a limit of %s.%s", limit, of, here)}}
	}
	return []Note{{Fine, fmt.Sprintf("The limit of %s is %s: as published, to be verified.", limit, strings.Join(whose, "; "))}}
}
