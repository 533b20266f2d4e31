package plan

import (
	"fmt"
	"strings"

	"yellowparcel/core/blank"
	"yellowparcel/core/card"
	"yellowparcel/core/measure"
)

// Recipe is a diamond as somebody's note gives it.
type Recipe struct {
	Side1 measure.Length `json:"side1"`
	Side2 measure.Length `json:"side2"`
	// Paired says that both scores of a pair are read from one corner: Left and
	// Right are then near and far of the sides, Top and Bottom those of the others.
	Paired bool           `json:"paired"`
	Left   measure.Length `json:"left"`
	Right  measure.Length `json:"right"`
	Top    measure.Length `json:"top"`
	Bottom measure.Length `json:"bottom"`
}

func (r Recipe) blank() blank.Recipe { return blank.Recipe(r) }

// RecipePlan says what a note really makes.
type RecipePlan struct {
	Sentence Sentence `json:"sentence"`
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
	Hole   string   `json:"hole"`
	Fits   bool     `json:"fits"`
	// Suits is set when it closes, and the card goes in.
	Suits      bool        `json:"suits"`
	Net        blank.Net   `json:"net"`
	Dimensions []Dimension `json:"dimensions"`
	Drawing    string      `json:"drawing"`
}

// recipe works the job's note backwards; nil when there is none.
func (m maker) recipe() *RecipePlan {
	if m.job.Recipe == nil {
		return nil
	}
	r := m.job.Recipe.blank()
	p := &RecipePlan{Readings: []RecipeReading{}, Notes: []Note{}, Rescaled: m.rescaled(r)}
	if fault := r.Fault(); fault != "" {
		p.Sentence = say("This makes no envelope: %s. Look at the note again.", fault)
		p.Notes = append(p.Notes, Note{Trouble, capital(fault) + ": change that number."})
		return p
	}
	sides, ends := r.Centring()
	zero := r.Make(0, 0)
	name := "as it is written"
	off := sides.Abs() > m.style.Tick || ends.Abs() > m.style.Tick
	if off {
		name = "with the guide's corner at zero"
	}
	p.Readings = append(p.Readings, m.recipeReading(name, zero))
	best := zero
	if off {
		best = r.Make(sides, ends)
		p.Readings = append(p.Readings, m.recipeReading(fmt.Sprintf("with the guide's corner at %s", m.style.Show(-sides)), best))
		p.Notes = append(p.Notes, Note{Care, fmt.Sprintf("Its scores lie off the centre: in the middle they would be if the guide reads %s at the sheet's corner. Look where the corner sits on yours.", m.style.Show(-sides))})
	}
	p.Notes = append(p.Notes, m.recipeNotes(best)...)
	p.Sentence = m.recipeSentence(best)
	return p
}

// inside is the room of a recipe's envelope for the card, each way.
func (m maker) recipeEase(res blank.RecipeResult) (w, h measure.Length) {
	stock, _ := m.shop.stock(m.job.Envelope.Stock)
	outer := m.outer()
	ease := func(c card.Size) (measure.Length, measure.Length) {
		return res.Width - 2*stock.Caliper - c.Width - m.thick.Used, res.Height - 2*stock.Caliper - c.Height - m.thick.Used
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
		Dimensions: []Dimension{}, Suits: min(w, h) >= 0 && res.Seam() > 0 && res.Folded.Hole < 1,
	}
	for _, s := range res.Seams {
		reading.Seams = append(reading.Seams, m.style.Show(s))
	}
	if res.Folded.Hole >= 1 {
		reading.Hole = fmt.Sprintf("%.0f mm²", res.Folded.Hole)
	}
	reading.Drawing = fmt.Sprintf("The note's sheet %s, creases %s apart; seams of %s.", name, reading.Inside, strings.Join(reading.Seams, ", "))
	return reading
}

func (m maker) recipeSentence(res blank.RecipeResult) Sentence {
	w, h := m.recipeEase(res)
	switch {
	case res.Seam() < 0:
		return say("It makes an envelope of [%s], but the back stays open: a seam is [%s].", m.by(res.Width, res.Height), m.style.Show(res.Seam()))
	case min(w, h) < 0:
		return say("It makes an envelope of [%s]; your card is [%s] too large for it.", m.by(res.Width, res.Height), m.style.Show(-min(w, h)))
	}
	return say("It makes an envelope of [%s] with a seam of [%s]; your card has [%s] of ease in it.", m.by(res.Width, res.Height), m.style.Show(res.Seam()), m.style.Show(min(w, h)))
}

// recipeNotes says what goes wrong and which number to change.
func (m maker) recipeNotes(res blank.RecipeResult) (notes []Note) {
	a, _ := m.shop.adhesive(m.job.Envelope.Adhesive)
	show := m.style.Show
	if s := res.Seam(); s < a.Width {
		// Every score lengthens two seams by √2 of what it grows; the sheet by what
		// it grows takes as much off.
		by := measure.Round(float64(a.Width-s) / 1.41421356).Up(m.style.Tick)
		notes = append(notes, Note{Trouble, fmt.Sprintf("A seam of %s is less than the %s, %s: set the two scores beside it together %s further in, or cut the sheet larger and the scores with it.", show(s), lower(a.Name), show(a.Width), show(by))})
	}
	w, h := m.recipeEase(res)
	for _, d := range []struct {
		ease  measure.Length
		which string
	}{{w, "side"}, {h, "top and bottom"}} {
		if d.ease < 0 {
			notes = append(notes, Note{Trouble, fmt.Sprintf("It is %s too tight: set the two %s scores together %s nearer to their corners.", show(-d.ease), d.which, show((m.job.Envelope.Ease - d.ease).Up(m.style.Tick)))})
		}
	}
	if res.Folded.Overhang > 1 {
		notes = append(notes, Note{Care, "A flap is longer than the envelope and would stick out: blunt its tip."})
	}
	return notes
}

// rescaled is a diamond for the job's card with the recipe's own seam.
func (m maker) rescaled(r blank.Recipe) string {
	s := m.blankSpec()
	s.School, s.Way = blank.ExactSeam, blank.PairWay
	if r.Fault() == "" {
		sides, ends := r.Centring()
		if seam := r.Make(sides, ends).Seam(); seam >= s.Adhesive {
			s.Seam = seam
		}
	}
	d := blank.NewDiamond(s)
	w := d.Chosen()
	at := func(i int) string { return m.style.Show(w.Settings[i].At) }
	return fmt.Sprintf("For your card with a seam of %s: cut %s square; from one corner score at %s and %s, turn a quarter, score at %s and %s.", m.style.Show(s.Seam), m.style.Show(d.Sheet), at(0), at(1), at(2), at(3))
}

// recipeAt is a length of the note, or nil when there is none.
func recipeAt(of func(*Recipe) *measure.Length) func(*Job) *measure.Length {
	return func(j *Job) *measure.Length {
		if j.Recipe == nil {
			return nil
		}
		return of(j.Recipe)
	}
}

// recipeFields are the lengths of a note.
var recipeFields = []lengthField{
	{"recipe.side1", "edge of the sheet", measure.Inch, mostCard, recipeAt(func(r *Recipe) *measure.Length { return &r.Side1 }), nil},
	{"recipe.side2", "other edge of the sheet", measure.Inch, mostCard, recipeAt(func(r *Recipe) *measure.Length { return &r.Side2 }), nil},
	{"recipe.left", "score", 0, mostCard, recipeAt(func(r *Recipe) *measure.Length { return &r.Left }), nil},
	{"recipe.right", "score", 0, mostCard, recipeAt(func(r *Recipe) *measure.Length { return &r.Right }), nil},
	{"recipe.top", "score", 0, mostCard, recipeAt(func(r *Recipe) *measure.Length { return &r.Top }), nil},
	{"recipe.bottom", "score", 0, mostCard, recipeAt(func(r *Recipe) *measure.Length { return &r.Bottom }), nil},
}

// applyRecipe begins a note, in one of its two ways of giving scores, or ends it
// with an empty text. A new one begins as the job's own diamond.
func applyRecipe(job Job, shop Shop, e Edit) (Job, error) {
	if e.Text == nil || *e.Text == "" {
		job.Recipe = nil
		return job, nil
	}
	if *e.Text != "pair" && *e.Text != "corners" {
		return job, refuse("Scores are read from one corner or from each: choose one.")
	}
	paired := *e.Text == "pair"
	r := Recipe{Paired: paired}
	if job.Recipe != nil {
		r = *job.Recipe
		if d := measure.Round(float64(r.Side1+r.Side2) / 1.4142135623730951); r.Paired != paired {
			r.Paired, r.Right, r.Bottom = paired, d-r.Right, d-r.Bottom
		}
	} else {
		m := maker{job: job, shop: shop, style: shop.Style(), thick: thickness(job, shop)}
		s := m.blankSpec()
		s.School, s.Way = blank.ExactSeam, blank.PairWay
		d := blank.NewDiamond(s)
		set := d.Ways[0].Settings
		r = Recipe{d.Sheet, d.Sheet, true, set[0].At, set[1].At, set[2].At, set[3].At}
		if !paired {
			diagonal := measure.Round(d.Diagonal())
			r.Paired, r.Right, r.Bottom = false, diagonal-r.Right, diagonal-r.Bottom
		}
	}
	job.Recipe = &r
	return job, nil
}

// bothUnits reads a value that a note gives twice, as "5 1/2 (140 mm)": the two
// must agree to a tick. It returns the text to read.
func bothUnits(text string, s measure.Style) (string, error) {
	first, second, found := strings.Cut(text, "(")
	if !found {
		return text, nil
	}
	second = strings.TrimSuffix(strings.TrimSpace(second), ")")
	a, err := measure.Parse(first, s.Unit)
	if err != nil {
		return first, nil // told when it is read
	}
	b, err := measure.Parse(second, s.Unit)
	if err != nil {
		return "", err
	}
	if (a - b).Abs() > s.Tick {
		return "", refuse("The note says %s and %s, which is not the same: the second is %s %s. Find out which one it means, and type that.", strings.TrimSpace(first), second, s.Show(b), s.Unit)
	}
	return first, nil
}
