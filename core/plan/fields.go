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
	// follow changes what depends on the field.
	follow func(*Job)
	// signed fields take a minus; fine ones are shown at the finest tick, and an
	// empty one takes the value away where that is allowed.
	signed, fine, empty bool
}

const (
	LeastCard = 25 * measure.Millimetre
	MostCard  = measure.Metre
)

// lengthFields lists every length of a job that is typed, once: reading,
// stepping, bounds and display all follow from this table.
func (j Job) lengthFields() []lengthField {
	return slices.Concat(fixedFields, recipeFields, postFields, partFields(j), thingFields(j))
}

// usualSliver is what tabs, back and flap of a pocket taper by.
const UsualSliver = measure.Inch / 32

// fixedFields are the lengths that every job has.
var fixedFields = []lengthField{
	{
		path: "card.width", name: "card width", least: LeastCard, most: MostCard,
		at: func(j *Job) *measure.Length { return &j.Card.Width }, check: thicknessFits,
	},
	{
		path: "card.height", name: "card height", least: LeastCard, most: MostCard,
		at: func(j *Job) *measure.Length { return &j.Card.Height }, check: thicknessFits,
	},
	{
		path: "card.thickness", name: "thickness", least: 10 * measure.Micrometre, most: MostCard,
		at: func(j *Job) *measure.Length { return j.Card.Thickness }, check: thicknessFits,
	},
	{
		path: "start.width", name: "envelope across", least: 2 * LeastCard, most: MostCard,
		at: func(j *Job) *measure.Length { return startAt(j, func(s *Start) *measure.Length { return &s.Width }) },
	},
	{
		path: "start.height", name: "envelope down", least: 2 * LeastCard, most: MostCard,
		at: func(j *Job) *measure.Length { return startAt(j, func(s *Start) *measure.Length { return &s.Height }) },
	},
	{
		path: "card.spine", name: "distance of the two scores", least: 0, most: 4 * measure.Inch,
		at: func(j *Job) *measure.Length { return &j.Card.Spine },
	},
	{
		path: "card.overWidth", name: "what sticks out across", least: 0, most: MostCard / 2,
		at: func(j *Job) *measure.Length { return &j.Card.OverWidth },
	},
	{
		path: "card.overHeight", name: "what sticks out down", least: 0, most: MostCard / 2,
		at: func(j *Job) *measure.Length { return &j.Card.OverHeight },
	},
	{
		path: "envelope.ease", name: "ease", least: 0, most: 2 * measure.Inch,
		at: func(j *Job) *measure.Length { return &j.Envelope.Ease },
	},
	{
		path: "envelope.seam", name: "seam", least: measure.Millimetre, most: 4 * measure.Inch,
		at: func(j *Job) *measure.Length { return &j.Envelope.Seam },
	},
	{
		path: "envelope.depth", name: "depth of the walls", least: 0, most: 8 * measure.Inch,
		at: func(j *Job) *measure.Length { return &j.Envelope.Depth },
	},
	{
		path: "envelope.corner", name: "radius of the corners", least: 0, most: 3 * measure.Inch,
		at: func(j *Job) *measure.Length { return &j.Envelope.Corner },
	},
	{
		path: "envelope.notch", name: "radius of the thumb notch", least: 0, most: 2 * measure.Inch,
		at: func(j *Job) *measure.Length { return &j.Envelope.Notch },
	},
	{
		path: "envelope.sliver", name: "sliver", least: measure.Inch / 128, most: measure.Inch / 8, fine: true,
		at: func(j *Job) *measure.Length {
			if j.Envelope.Sliver == 0 {
				j.Envelope.Sliver = UsualSliver
			}
			return &j.Envelope.Sliver
		},
	},
	{
		path: "envelope.flap", name: "closing flap", least: 0, most: 12 * measure.Inch,
		at: func(j *Job) *measure.Length { return &j.Envelope.Flap },
	},
	{
		path: "envelope.thumbGap", name: "thumb gap", least: 0, most: 4 * measure.Inch,
		at: func(j *Job) *measure.Length { return &j.Envelope.ThumbGap },
		check: func(j Job, _ Shop, s measure.Style) error {
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

const MostCount = 10_000

// Apply carries out edits on a copy of the job. Whatever cannot be used is
// left as it was and reported as a problem at its field, so that the rest of
// the plan still shows.
func Apply(j Job, shop Shop, edits []Edit) (Job, []Problem) {
	var problems []Problem
	for _, e := range edits {
		changed, err := apply(j, shop, e)
		if err == nil {
			// What the job as a whole refuses is told at the field that was typed: a
			// card made so small that a thing lies off its face, say.
			if list := changed.Check(shop); len(list) > 0 && len(j.Check(shop)) == 0 {
				err = refusal(list[0].Message)
			}
		}
		if err != nil {
			var pe *measure.ParseError
			unfinished := errors.As(err, &pe) && pe.Unfinished
			problems = append(without(problems, e.Path), Problem{e.Path, err.Error(), unfinished})
			continue
		}
		problems = without(problems, e.Path)
		j = changed.taken(shop, e.Path)
	}
	return j, problems
}

// without drops what was wrong with what stood in a field before: typed fast, the
// first half of a number is wrong by itself.
func without(problems []Problem, path string) []Problem {
	return slices.DeleteFunc(problems, func(p Problem) bool { return p.Path == path })
}

func apply(j Job, shop Shop, e Edit) (_ Job, err error) {
	switch e.Path {
	case "count":
		j.Count, err = wholeNumber(j.Count, e, "cards", 1, MostCount)
		return j, err
	case "card.panels":
		j.Card.Panels, err = wholeNumber(j.Panels(), e, "panels", card.LeastPanels, card.MostPanels)
		return j, err
	case "card.own":
		return applyPanelList(j, shop, e)
	case "start.format":
		return applyFormat(j, shop, e)
	case "recipe.scores":
		return applyRecipe(j, shop, e)
	case "recipe.take":
		return takeRecipe(j, shop)
	case "layers.add":
		return addPaper(j, shop, e)
	case "things.add":
		return addThing(j, shop, e)
	case "post.remedy":
		return applyRemedy(j, shop, e)
	case "paper.take":
		return takeCard(j, shop, e)
	case "start.school":
		return applySchool(j, shop, e)
	}
	if changed, ok, err := applyReference(j, shop, e); ok {
		return changed, err
	}
	if i, ok := readyField(j, e.Path); ok {
		j = j.Clone()
		j.Parts[i].Ready, err = wholeNumber(j.Parts[i].Ready, e, "ready-cut pieces", 0, MostCount)
		return j, err
	}
	for _, f := range j.weightFields() {
		if f.path == e.Path {
			return f.apply(j, shop, e)
		}
	}
	style := shop.Style()
	for _, f := range j.lengthFields() {
		if f.path != e.Path {
			continue
		}
		j = j.Clone()
		if f.path == "card.thickness" {
			if e.Text != nil && strings.TrimSpace(*e.Text) == "" {
				j.Card.Thickness = nil // back to the sum of the parts
				return j, nil
			}
			t := j.thickness(j.relief(shop)).Used
			j.Card.Thickness = &t
		}
		if f.at(&j) == nil {
			return j, refuse("There is no %s in this job: choose what it belongs to first.", f.name)
		}
		if e.Text != nil && strings.HasPrefix(e.Path, "recipe.") {
			text, err := bothUnits(*e.Text, style)
			if err != nil {
				return j, err
			}
			e.Text = &text
		}
		if f.empty && e.Text != nil && strings.TrimSpace(*e.Text) == "" {
			*f.at(&j) = 0
			return j, nil
		}
		l, err := e.length(*f.at(&j), style, f.signed)
		if err == nil {
			err = f.bounds(l, style)
		}
		if err != nil {
			return j, err
		}
		*f.at(&j) = l
		if f.follow != nil {
			f.follow(&j)
		}
		if f.check != nil {
			err = f.check(j, shop, style)
		}
		return j, err
	}
	return j, refuse("There is no field “%s” in a job.", e.Path)
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
func (e Edit) length(now measure.Length, s measure.Style, signed bool) (measure.Length, error) {
	if e.Text != nil && signed {
		return parseSigned(*e.Text, s.Unit)
	}
	if e.Text != nil {
		return measure.Parse(*e.Text, s.Unit)
	}
	n := measure.Length(e.Steps)
	to := now.Up(s.Tick) + n*s.Tick
	if n >= 0 {
		to = now.Down(s.Tick) + n*s.Tick
	}
	if signed {
		return to, nil
	}
	return max(0, to), nil
}

// parseSigned reads a length before which a minus may stand.
func parseSigned(text string, unit measure.Unit) (measure.Length, error) {
	bare, negative := strings.CutPrefix(strings.TrimSpace(strings.NewReplacer("−", "-", "–", "-").Replace(text)), "-")
	v, err := measure.Parse(bare, unit)
	if negative {
		v = -v
	}
	return v, err
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
func (j Job) Clone() Job {
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
		if p.Thing != nil {
			thing := *p.Thing
			j.Parts[i].Thing = &thing
		}
	}
	j.Items = slices.Clone(j.Items)
	j.Card.Own, j.Post.Contents = slices.Clone(j.Card.Own), slices.Clone(j.Post.Contents)
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
