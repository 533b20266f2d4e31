package plan

import (
	"errors"
	"fmt"
	"maps"
	"slices"
	"strconv"
	"strings"

	"yellowparcel/core/card"
	"yellowparcel/core/measure"
)

// Problem is a value that cannot be used, where it stands, and what to type
// instead.
type Problem struct {
	// Path is the field's place in the job: "card.width".
	Path    string `json:"path"`
	Message string `json:"message"`
	// Unfinished is set while more typing may still make it right.
	Unfinished bool `json:"unfinished"`
}

// refusal is an error that is a sentence for the maker.
type refusal string

func (r refusal) Error() string { return string(r) }

func refuse(format string, args ...any) error { return refusal(fmt.Sprintf(format, args...)) }

// Edit is one thing the maker did to a field: typed a text, or stepped it.
type Edit struct {
	Path string  `json:"path" maxLength:"60"`
	Text *string `json:"text,omitempty" maxLength:"200"`
	// Steps moves the value by so many ticks; used when Text is absent.
	Steps int `json:"steps,omitempty" minimum:"-1000" maximum:"1000"`
}

// lengthField is a length of the job that is typed.
type lengthField struct {
	path, name string
	least      measure.Length
	most       measure.Length
	at         func(*Job) *measure.Length
	// check holds the changed job against what the bounds cannot say.
	check func(Job, Shop, measure.Style) error
}

const (
	leastCard = 25 * measure.Millimetre
	mostCard  = measure.Metre
)

// lengthFields lists every length of a job that is typed, once: reading,
// stepping, bounds and display all follow from this table.
func (j Job) lengthFields() []lengthField {
	return append(append(slices.Clone(fixedFields), recipeFields...), partFields(j)...)
}

// fixedFields are the lengths that every job has.
var fixedFields = []lengthField{
	{
		"card.width", "card width", leastCard, mostCard,
		func(j *Job) *measure.Length { return &j.Card.Width }, thicknessFits,
	},
	{
		"card.height", "card height", leastCard, mostCard,
		func(j *Job) *measure.Length { return &j.Card.Height }, thicknessFits,
	},
	{
		"card.thickness", "thickness", 10 * measure.Micrometre, mostCard,
		func(j *Job) *measure.Length { return j.Card.Thickness }, thicknessFits,
	},
	{
		"start.width", "envelope across", 2 * leastCard, mostCard,
		func(j *Job) *measure.Length { return startAt(j, func(s *Start) *measure.Length { return &s.Width }) }, nil,
	},
	{
		"start.height", "envelope down", 2 * leastCard, mostCard,
		func(j *Job) *measure.Length { return startAt(j, func(s *Start) *measure.Length { return &s.Height }) }, nil,
	},
	{
		"card.spine", "distance of the two scores", 0, 4 * measure.Inch,
		func(j *Job) *measure.Length { return &j.Card.Spine }, nil,
	},
	{
		"card.overWidth", "what sticks out across", 0, mostCard / 2,
		func(j *Job) *measure.Length { return &j.Card.OverWidth }, nil,
	},
	{
		"card.overHeight", "what sticks out down", 0, mostCard / 2,
		func(j *Job) *measure.Length { return &j.Card.OverHeight }, nil,
	},
	{
		"envelope.ease", "ease", 0, 2 * measure.Inch,
		func(j *Job) *measure.Length { return &j.Envelope.Ease }, nil,
	},
	{
		"envelope.seam", "seam", measure.Millimetre, 4 * measure.Inch,
		func(j *Job) *measure.Length { return &j.Envelope.Seam }, nil,
	},
	{
		"envelope.depth", "depth of the walls", 0, 8 * measure.Inch,
		func(j *Job) *measure.Length { return &j.Envelope.Depth }, nil,
	},
	{
		"envelope.corner", "radius of the corners", 0, 3 * measure.Inch,
		func(j *Job) *measure.Length { return &j.Envelope.Corner }, nil,
	},
	{
		"envelope.notch", "radius of the thumb notch", 0, 2 * measure.Inch,
		func(j *Job) *measure.Length { return &j.Envelope.Notch }, nil,
	},
	{
		"envelope.flap", "closing flap", 0, 12 * measure.Inch,
		func(j *Job) *measure.Length { return &j.Envelope.Flap }, nil,
	},
	{
		"envelope.thumbGap", "thumb gap", 0, 4 * measure.Inch,
		func(j *Job) *measure.Length { return &j.Envelope.ThumbGap },
		func(j Job, _ Shop, s measure.Style) error {
			if j.Envelope.ThumbGap > j.Card.Height/2 {
				return refuse("The thumb gap takes more than half of the card's height of %s: type less.", s.ShowUnit(j.Card.Height))
			}
			return nil
		},
	},
}

// startAt is a length of the measured envelope, or nil when there is none.
func startAt(j *Job, of func(*Start) *measure.Length) *measure.Length {
	if j.Start == nil || j.Start.Format != OwnEnvelope {
		return nil
	}
	return of(j.Start)
}

// thicknessFits refuses a card thicker than its shorter side.
func thicknessFits(j Job, shop Shop, s measure.Style) error {
	t, short := thickness(j, shop).Used, min(j.Card.Width, j.Card.Height)
	if t >= short {
		return refuse("The card would be thicker (%s) than it is wide or high (%s): check the unit, or type a smaller thickness.", s.ShowUnit(t), s.ShowUnit(short))
	}
	return nil
}

func (f lengthField) bounds(l measure.Length, s measure.Style) error {
	switch {
	case l == 0 && f.least > 0:
		return refuse("The %s cannot be nothing: type at least %s.", f.name, s.ShowUnit(f.least.Up(s.Tick)))
	case l < f.least:
		return refuse("The %s of %s is too small to work with: type at least %s.", f.name, s.ShowUnit(l), s.ShowUnit(f.least.Up(s.Tick)))
	case l > f.most:
		return refuse("The %s of %s is larger than any sheet here allows: check the unit, or type at most %s.", f.name, s.ShowUnit(l), s.ShowUnit(f.most.Down(s.Tick)))
	}
	return nil
}

const mostCount = 10_000

// Apply carries out edits on a copy of the job. Whatever cannot be used is
// left as it was and reported as a problem at its field, so that the rest of
// the plan still shows.
func Apply(job Job, shop Shop, edits []Edit) (Job, []Problem) {
	var problems []Problem
	for _, e := range edits {
		changed, err := apply(job, shop, e)
		if err != nil {
			var pe *measure.ParseError
			unfinished := errors.As(err, &pe) && pe.Unfinished
			problems = append(problems, Problem{e.Path, err.Error(), unfinished})
			continue
		}
		job = changed
	}
	return job, problems
}

func apply(job Job, shop Shop, e Edit) (_ Job, err error) {
	switch e.Path {
	case "count":
		job.Count, err = wholeNumber(job.Count, e, "cards", 1, mostCount)
		return job, err
	case "card.panels":
		job.Card.Panels, err = wholeNumber(job.panels(), e, "panels", card.LeastPanels, card.MostPanels)
		return job, err
	case "card.own":
		return applyPanelList(job, shop, e)
	case "start.format":
		return applyFormat(job, shop, e)
	case "recipe.scores":
		return applyRecipe(job, shop, e)
	case "paper.take":
		return takeCard(job, shop, e)
	case "start.school":
		return applySchool(job, shop, e)
	}
	if i, ok := readyField(job, e.Path); ok {
		job = job.clone()
		job.Parts[i].Ready, err = wholeNumber(job.Parts[i].Ready, e, "ready-cut pieces", 0, mostCount)
		return job, err
	}
	style := shop.Style()
	for _, f := range job.lengthFields() {
		if f.path != e.Path {
			continue
		}
		job = job.clone()
		if f.path == "card.thickness" {
			if e.Text != nil && strings.TrimSpace(*e.Text) == "" {
				job.Card.Thickness = nil // back to the sum of the parts
				return job, nil
			}
			t := thickness(job, shop).Used
			job.Card.Thickness = &t
		}
		if f.at(&job) == nil {
			return job, refuse("There is no %s in this job: choose what it belongs to first.", f.name)
		}
		if e.Text != nil && strings.HasPrefix(e.Path, "recipe.") {
			text, err := bothUnits(*e.Text, style)
			if err != nil {
				return job, err
			}
			e.Text = &text
		}
		l, err := e.length(*f.at(&job), style)
		if err == nil {
			err = f.bounds(l, style)
		}
		if err != nil {
			return job, err
		}
		*f.at(&job) = l
		if f.check != nil {
			err = f.check(job, shop, style)
		}
		return job, err
	}
	return job, refuse("There is no field “%s” in a job.", e.Path)
}

// readyField reads the path of the number of ready-cut pieces of a part.
func readyField(j Job, path string) (part int, ok bool) {
	for i, p := range j.Parts {
		if p.Kind != BasePart && path == fmt.Sprintf("parts.%d.ready", i) {
			return i, true
		}
	}
	return 0, false
}

// length is the value after the edit; a step lands on a tick.
func (e Edit) length(now measure.Length, s measure.Style) (measure.Length, error) {
	if e.Text != nil {
		return measure.Parse(*e.Text, s.Unit)
	}
	n := measure.Length(e.Steps)
	if n >= 0 {
		return now.Down(s.Tick) + n*s.Tick, nil
	}
	return max(0, now.Up(s.Tick)+n*s.Tick), nil
}

// wholeNumber reads or steps a count of things.
func wholeNumber(now int, e Edit, things string, least, most int) (int, error) {
	n := now + e.Steps
	if e.Text != nil {
		text := strings.TrimSpace(*e.Text)
		if text == "" {
			return now, &measure.ParseError{Text: text, Advice: fmt.Sprintf("There is no number of %s here yet: type a whole number from %d to %d.", things, least, most), Unfinished: true}
		}
		v, err := strconv.Atoi(text)
		if err != nil {
			return now, refuse("“%s” is not a number of %s: type a whole number from %d to %d.", clip(text), things, least, most)
		}
		n = v
	}
	if n < least || n > most {
		return now, refuse("From %d to %d %s can be planned: type a number between.", least, most, things)
	}
	return n, nil
}

// clip keeps a text that somebody typed short enough to be quoted back.
func clip(text string) string {
	if r := []rune(text); len(r) > 30 {
		return string(r[:30]) + "…"
	}
	return text
}

// clone copies what a job points to.
func (j Job) clone() Job {
	j.Parts = slices.Clone(j.Parts)
	for i, p := range j.Parts {
		if p.Edges != nil {
			edges := *p.Edges
			j.Parts[i].Edges = &edges
		}
		if p.Own != nil {
			size := *p.Own
			j.Parts[i].Own = &size
		}
	}
	j.Items = slices.Clone(j.Items)
	j.Card.Own = slices.Clone(j.Card.Own)
	j.Paper.Sheets = maps.Clone(j.Paper.Sheets)
	if j.Card.Thickness != nil {
		t := *j.Card.Thickness
		j.Card.Thickness = &t
	}
	if j.Start != nil {
		s := *j.Start
		j.Start = &s
	}
	if j.Recipe != nil {
		r := *j.Recipe
		j.Recipe = &r
	}
	return j
}
