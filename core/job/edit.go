package job

import (
	"encoding/json"
	"fmt"
	"slices"
	"strings"

	"yellowparcel/core/blank"
	"yellowparcel/core/card"
	"yellowparcel/core/field"
	"yellowparcel/core/measure"
	"yellowparcel/core/say"
)

// lists are the lists of a job whose entries are known by an ID.
func (j Job) lists() field.Lists {
	parts, items := make([]string, len(j.Parts)), make([]string, len(j.Items))
	for i, p := range j.Parts {
		parts[i] = p.ID
	}
	for i, t := range j.Items {
		items[i] = t.ID
	}
	return field.Lists{"parts": parts, "items": items}
}

// Place is a path of the job with every entry named by its place.
func (j Job) Place(path string) (string, error) { return j.lists().Place(path) }

// Adds is where something may be added to the job, and what.
func (j Job) Adds() []field.Addable {
	list := []field.Addable{
		{Path: "parts", Lists: []string{"papers", "things"}, Full: len(j.Parts) >= MostParts},
		{Path: "items", Lists: []string{"items"}, Full: len(j.Items) >= MostItems},
		{Path: "start", Lists: []string{"formats"}},
		{Path: "recipe", Lists: []string{"recipes"}},
		{Path: "recipe.text", Lists: []string{}},
		{Path: "card.outline", Lists: []string{}},
	}
	for i, p := range j.Parts {
		if p.Kind == LayerPart || p.Kind == LinerPart {
			list = append(list, field.Addable{Path: fmt.Sprintf("parts.%d.edges", i), Lists: []string{}}, field.Addable{Path: fmt.Sprintf("parts.%d.own", i), Lists: []string{}})
		}
	}
	return list
}

// Apply carries out an edit of the job itself on a copy; its path names entries by
// their places. What the plan offers is not taken here, and what has to be worked
// out is not begun: both are up to whoever has the plan. An error is a sentence for
// the maker, and the job is then as it was.
func (j Job) Apply(shop Shop, e field.Edit) (Job, error) {
	if err := e.Check(); err != nil {
		return j, err
	}
	if clearsSize(j, e) {
		return j, nil
	}
	c := standing(j.Clone(), shop)
	var err error
	switch e.Act {
	case field.Add:
		err = c.add(shop, e)
	case field.Remove:
		err = c.remove(e)
	case field.Move:
		err = c.move(e)
	default:
		f, ok := field.Find(c.Fields(shop), e.Path)
		if !ok {
			return j, say.Refuse("There is no field for that in this job: choose what it belongs to first.")
		}
		err = f.Apply(e, shop.Style())
	}
	if err != nil {
		return j, err
	}
	notChosen(&c, j, e)
	if c.Envelope.SizeWish() != j.Envelope.SizeWish() {
		c.Envelope.Wished = nil // another wish begins
	}
	return c, nil
}

// itemKinds are what is laid out on a panel, with the size that it begins with; a
// ribbon runs right across.
var itemKinds = []struct {
	id, name      string
	width, height measure.Length
}{
	{"stamp", "Stamp", 3 * measure.Inch, 2 * measure.Inch},
	{"greeting", "Greeting", 3 * measure.Inch, measure.Inch / 2},
	{"ribbon", "Ribbon", 0, measure.Inch / 2},
}

func (j *Job) add(shop Shop, e field.Edit) error {
	if list, at, ok := entryObject(e.Path); ok && list == "parts" && at < len(j.Parts) {
		return j.sizeOwn(at, e.Path)
	}
	switch e.Path {
	case "parts":
		if len(j.Parts) >= MostParts {
			return say.Refuse("A card of more than %d parts cannot be planned: leave something off first.", MostParts)
		}
		if k := PartKind(e.Text); k == LayerPart || k == LinerPart {
			return j.addPaper(shop, k)
		}
		return j.addThing(shop, e.Text)
	case "items":
		return j.addItem(e.Text)
	case "start":
		return j.addStart(shop, e.Text)
	case "card.outline":
		return j.addOutline(shop, e.Text)
	}
	return say.Refuse("Nothing can be added there.")
}

// entryObject is the list and the place of the entry that an object of its own
// belongs to: "parts" and 2 for "parts.2.edges".
func entryObject(path string) (list string, at int, ok bool) {
	i := strings.LastIndexByte(path, '.')
	if i < 0 {
		return "", 0, false
	}
	return field.Entry(path[:i])
}

// sizeOwn gives a layer borders of its own on every edge, or a size of its own: as
// they are now, to be changed.
func (j *Job) sizeOwn(at int, path string) error {
	p := &j.Parts[at]
	if p.Kind != LayerPart && p.Kind != LinerPart {
		return say.Refuse("Only a layer or a liner is sized: “%s” is none.", say.Clip(p.Name))
	}
	switch {
	case strings.HasSuffix(path, ".edges"):
		edges := card.Even(p.Border)
		p.Edges, p.Own = &edges, nil
	case strings.HasSuffix(path, ".own"):
		size := j.PartSizes()[at]
		if size.Width <= 0 || size.Height <= 0 {
			return say.Refuse("Nothing is left of “%s”: give it a smaller border first.", say.Clip(p.Name))
		}
		p.Edges, p.Own = nil, &size
	default:
		return say.Refuse("Nothing can be added there.")
	}
	return nil
}

// addPaper puts a layer on the topmost one, under what lies on the face already, or
// a liner inside: with the usual border, and of the paper below it.
func (j *Job) addPaper(shop Shop, kind PartKind) error {
	layers := j.LayerParts()
	at, stock := len(j.Parts), j.Parts[0].Stock
	p := Part{Kind: kind, Name: "Liner to write on", Border: usualBorder(shop)}
	if kind == LayerPart {
		at = 1
		if n := len(layers); n > 0 {
			at, stock = layers[n-1]+1, j.Parts[layers[n-1]].Stock
		}
		p.Name, stock = fmt.Sprintf("Layer %d", len(layers)+1), usualLayer(shop, stock)
	} else if light := stocksNear(envelopeGSM)(shop); len(light) > 0 {
		stock = light[0].ID
	}
	p.Stock, p.ID = stock, field.NewID(string(kind), j.lists()["parts"])
	j.Parts = slices.Insert(j.Parts, at, p)
	return j.bordersFit(shop.Style())
}

func (j *Job) addItem(id string) error {
	if len(j.Items) >= MostItems {
		return say.Refuse("At most %d things on the panel can be laid out: remove one first.", MostItems)
	}
	for _, k := range itemKinds {
		if k.id == id {
			j.Items = append(j.Items, Item{ID: field.NewID("item", j.lists()["items"]), Name: k.name, Width: k.width, Height: k.height})
			return nil
		}
	}
	return say.Refuse("“%s” is nothing that is laid out on a panel: choose one of the list.", say.Clip(id))
}

// addStart is the envelope that the maker came with: the job's own from then on.
func (j *Job) addStart(shop Shop, format string) error {
	if !formatList(shop).Knows(format) {
		return say.Refuse("The envelope “%s” is not known: choose one of the list, or measure yours.", say.Clip(format))
	}
	s := Start{Format: format, Width: j.Card.Width + startRoom, Height: j.Card.Height + startRoom}
	if j.Start != nil {
		s.Width, s.Height = j.Start.Width, j.Start.Height // as measured before
		s.MeasureAs(j.Card)
	}
	j.Start = &s
	j.Envelope.Construction = blank.BoughtID
	return j.Envelope.Take(format, shop, j.Start, j.Card)
}

// addOutline makes the card an odd shape: its outline as JSON, in millimetres. The
// card is then the rectangle round it, up to a tick.
func (j *Job) addOutline(shop Shop, text string) error {
	var outline blank.Polygon
	if err := json.Unmarshal([]byte(text), &outline); err != nil {
		return say.Refuse("The outline cannot be read: work it out anew from its corners or its file.")
	}
	if err := blank.CheckOutline(outline); err != nil {
		return say.Refuse("%s.", say.Capital(err.Error()))
	}
	_, upright := blank.Covers(outline)
	tick := shop.Style().Tick
	j.Card.Outline, j.Card.Width, j.Card.Height = outline, upright.Width.Up(tick), upright.Height.Up(tick)
	return nil
}

func (j *Job) remove(e field.Edit) error {
	gone := func() error {
		return say.Refuse("There is nothing of that to take away: it is gone already, or never was there.")
	}
	if list, at, ok := field.Entry(e.Path); ok {
		switch {
		case list == "parts" && at < len(j.Parts):
			if j.Parts[at].Kind == BasePart {
				return say.Refuse("A card needs its base: change its paper instead.")
			}
			j.Parts = slices.Delete(j.Parts, at, at+1)
			return nil
		case list == "items" && at < len(j.Items):
			j.Items = slices.Delete(j.Items, at, at+1)
			return nil
		}
		return gone()
	}
	if list, at, ok := entryObject(e.Path); ok && list == "parts" && at < len(j.Parts) {
		switch p := &j.Parts[at]; {
		case strings.HasSuffix(e.Path, ".edges"):
			p.Edges = nil
		case strings.HasSuffix(e.Path, ".own"):
			p.Own = nil
		default:
			return gone()
		}
		return nil
	}
	switch e.Path {
	case "start":
		j.Start = nil
	case "recipe":
		j.Recipe = nil
	case "card.outline":
		j.Card.Outline = nil
	default:
		return gone()
	}
	return nil
}

// move changes the place of a layer among the layers, or of anything else among its
// kind; up the list is up the stack.
func (j *Job) move(e field.Edit) error {
	list, at, ok := field.Entry(e.Path)
	if !ok || list != "parts" || at >= len(j.Parts) || j.Parts[at].Kind == BasePart {
		return say.Refuse("Only what lies on the card can be moved up or down.")
	}
	same := j.PartsOf(j.Parts[at].Kind)
	from := slices.Index(same, at)
	to := from + e.Steps
	if to < 0 || to >= len(same) {
		return say.Refuse("“%s” is at the end already.", say.Clip(j.Parts[at].Name))
	}
	for from != to {
		next := from + 1
		if to < from {
			next = from - 1
		}
		a, b := same[from], same[next]
		j.Parts[a], j.Parts[b] = j.Parts[b], j.Parts[a]
		from = next
	}
	return nil
}
