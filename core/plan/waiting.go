package plan

import (
	"reflect"

	"yellowparcel/core/card"
	"yellowparcel/core/field"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/offer"
	"yellowparcel/core/recipe"
	"yellowparcel/core/say"
)

// Waiting is what a job says whose card is not chosen yet: it asks, and tells nothing that would follow from
// a size that nobody chose.
type Waiting struct {
	// Sentence asks for the card, by what the maker came with.
	Sentence say.Sentence `json:"sentence"`
	// Text is what the station that is open waits for.
	Text string       `json:"text"`
	Acts []WaitingAct `json:"acts"`
	// Thing is what the maker came with, as it is drawn; none where nothing is known of it.
	Thing *WaitingThing `json:"thing,omitempty"`
	// Door is the drawer that it was begun at, as an address.
	Door string `json:"door"`
}

// WaitingAct is a way on: edits that give the card, or the drawer where it is given.
type WaitingAct struct {
	Label string       `json:"label"`
	Edits []field.Edit `json:"edits"`
	To    string       `json:"to,omitempty"`
}

// WaitingThing is the envelope or the sheet that the maker came with.
type WaitingThing struct {
	Kind   string `json:"kind" enum:"envelope,sheet"`
	Width  Shown  `json:"width"`
	Height Shown  `json:"height"`
	Words  string `json:"words"`
}

// The doors: the drawers at which a job begins.
const (
	cardDoor     = "card/base"
	envelopeDoor = "card/from-envelope"
	paperDoor    = "card/from-paper"
	recipeDoor   = "envelope/recipe"
)

// doorOf is the door that a job without a card was begun at.
func doorOf(j job.Job) string {
	switch {
	case j.Start != nil:
		return envelopeDoor
	case j.Recipe != nil:
		return recipeDoor
	case j.Paper.Have != "":
		return paperDoor
	}
	return cardDoor
}

// waitsFor says what each station waits for, by its ID.
var waitsFor = map[string]string{
	"card":     "Type its width and height, or take one that is offered.",
	"layers":   "Layers are cut to the card, so they wait for its size.",
	"envelope": "The envelope is made round the card, so it waits for its size.",
	"mail":     "Size and thickness decide the mail, so it waits for the card.",
	"paper":    "Sheets are cut for the card, so they wait for its size.",
	"bench":    "The worksheet tells every cut, so it waits for the card.",
}

// cardless is a job without a card, in a maker that has one stand in.
type cardless struct {
	maker
	raw job.Job
}

// plan is what its door shows, and the question.
func (m cardless) plan() Plan {
	asked := m.Job()
	asked.Card.Width, asked.Card.Height = m.raw.Card.Width, m.raw.Card.Height
	p := Plan{Open: m.open, Unit: m.Shop().Unit, Tick: m.Style().Tick, Adds: asked.Adds(), Missing: m.Missing(), Fields: asked.Inputs(m.Shop())}
	if m.open.shows(envelopeDoor) {
		p.Start = m.start()
	}
	if m.open.shows(recipeDoor) {
		p.Recipe = m.recipe()
	}
	if m.open.shows(paperDoor) {
		p.Paper.Have = paperStation{m.maker}.have()
	}
	p.Waits = m.waits()
	p.Ticket = waitingTicket()
	filled(reflect.ValueOf(&p).Elem())
	return p
}

// filled makes every list of a value that is none an empty one.
func filled(v reflect.Value) {
	switch v.Kind() {
	case reflect.Struct:
		for i := range v.NumField() {
			if v.Field(i).CanSet() {
				filled(v.Field(i))
			}
		}
	case reflect.Slice:
		if v.IsNil() {
			v.Set(reflect.MakeSlice(v.Type(), 0, 0))
		}
		for i := range v.Len() {
			filled(v.Index(i))
		}
	case reflect.Map:
		if v.IsNil() {
			v.Set(reflect.MakeMap(v.Type()))
		}
	case reflect.Pointer:
		if !v.IsNil() {
			filled(v.Elem())
		}
	}
}

// waitingTicket has a dash for every number.
func waitingTicket() []TicketLine {
	list := []TicketLine{{ID: "card", Label: "Card"}, {ID: "flat", Station: "card", Label: "Flat, score at"}, {ID: "layers", Label: "Layers"}, {ID: "sheet", Station: "envelope", Label: "Envelope from"}, {ID: "ease", Station: "envelope", Label: "Ease"}, {ID: "mail", Label: "Mail"}, {ID: "paper", Label: "Paper"}, {ID: "bench", Label: "Bench"}}
	for i := range list {
		l := &list[i]
		if l.Station == "" {
			l.Station = l.ID
		}
		l.Value, l.Tone = "–", say.Fine
	}
	return list
}

func (m cardless) waits() *Waiting {
	w := &Waiting{Door: doorOf(m.raw), Acts: []WaitingAct{}}
	station, drawer := m.open.parts()
	w.Text = waitsFor[station]
	w.Sentence, w.Thing = m.cameWith()
	if size, edits, ok := m.firstCard(); ok {
		w.Acts = append(w.Acts, WaitingAct{Label: "Make " + m.by(size.Width, size.Height), Edits: edits})
	}
	if w.Door != cardDoor && station+"/"+drawer != w.Door {
		w.Acts = append(w.Acts, WaitingAct{Label: "See all cards", Edits: []field.Edit{}, To: w.Door})
	}
	if station+"/"+drawer != cardDoor {
		w.Acts = append(w.Acts, WaitingAct{Label: "Type its size", Edits: []field.Edit{}, To: cardDoor})
	}
	return w
}

// parts are the station and the drawer; the first ones where none is named.
func (o Open) parts() (station, drawer string) {
	first := OpenAt(cardDoor)
	if o == "" {
		o = first
	}
	for i := range o {
		if o[i] == '/' {
			return string(o[:i]), string(o[i+1:])
		}
	}
	return string(o), ""
}

// cameWith asks for the card by what the maker came with, and gives what of that is drawn.
func (m cardless) cameWith() (say.Sentence, *WaitingThing) {
	switch doorOf(m.raw) {
	case envelopeDoor:
		f, ok := m.Job().Start.In(m.Shop())
		if !ok || f.Height == 0 {
			return say.That("Which card? Type what your ruler says of the envelope."), nil
		}
		thing := &WaitingThing{Kind: "envelope", Width: m.shown(f.Width), Height: m.shown(f.Height), Words: f.Name + ", " + m.by(f.Width, f.Height) + " outside, without a card."}
		if f.ID == job.OwnEnvelope {
			return say.That("Which card? These go into your envelope of [%s].", m.by(f.Width, f.Height)), thing
		}
		return say.That("Which card? These go into your [%s].", f.Name), thing
	case paperDoor:
		if sheet, ok := m.Shop().Sheet(m.Job().Paper.Have); ok {
			return say.That("Which card? [%s] gives these.", sheet.Name), &WaitingThing{Kind: "sheet", Width: m.shown(sheet.Width), Height: m.shown(sheet.Height), Words: sheet.Name + ", not cut yet."}
		}
	case recipeDoor:
		if size, ok := m.raw.Recipe.Claimed(); ok {
			return say.That("Which card? The recipe is for one of [%s].", m.by(size.Width, size.Height)), nil
		}
		return say.That("Which card? The recipe does not say."), nil
	}
	return say.That("How large is your card?"), nil
}

// firstCard is the card that is offered first, and the edits that take it.
func (m cardless) firstCard() (card.Size, []field.Edit, bool) {
	took := func(path, id string) []field.Edit { return []field.Edit{{Act: field.Take, Path: path, Text: id}} }
	switch doorOf(m.raw) {
	case envelopeDoor:
		for _, c := range offer.To(m.Maker).SchoolCards() {
			if c.OK && !c.Off {
				return card.Size(c.Size), took("start.schools", string(c.School)), true
			}
		}
		return card.Size{}, nil, false
	case paperDoor:
		if sheet, ok := m.Shop().Sheet(m.Job().Paper.Have); ok {
			if list, largest := offer.To(m.Maker).SheetCards(sheet); len(list) > 0 {
				return list[0].Size, took("paper.have", list[0].ID()), true
			} else if len(largest) > 0 {
				return largest[0].Size, took("paper.have", largest[0].ID()), true
			}
		}
		return card.Size{}, nil, false
	case recipeDoor:
		size, ok := recipe.In(m.Maker).Card()
		return size, took("recipe", recipeCard), ok
	}
	size := job.BeginsAs(m.raw, m.Shop())
	if m.raw.Card.Width > 0 {
		size.Width = m.raw.Card.Width
	}
	if m.raw.Card.Height > 0 {
		size.Height = m.raw.Card.Height
	}
	typed := func(path string, l measure.Length) field.Edit {
		return field.Edit{Act: field.Type, Path: path, Text: m.exact(l)}
	}
	return size, []field.Edit{typed("card.width", size.Width), typed("card.height", size.Height)}, true
}

// recipeCard names the offer of the card that a recipe is for.
const recipeCard = "card"

// givesCard reports whether an edit takes something that gives the job its card.
func givesCard(e field.Edit) bool {
	return e.Path == "start.schools" || e.Path == "paper.have" || e.Path == "recipe" && e.Text == recipeCard
}
