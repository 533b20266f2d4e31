package plan

import (
	"fmt"

	"yellowparcel/core/blank"
	"yellowparcel/core/compare"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
)

// cardOptions are the paths of what a fold asks for besides its size.
func (m cardStation) cardOptions() []string {
	k := m.Job().Card.Fold.Kind()
	return append(paths("card.", k.Options(m.Job().Spec(k.ID, m.Shop()))), asked("card.", k.Asked)...)
}

// cardMore are the paths of what most cards leave alone.
var cardMore = []string{"card.overWidth", "card.overHeight", "card.room", "card.towards"}

// cardMoreSet says that some of it is set.
func (m cardStation) cardMoreSet() bool {
	c := m.Job().Card
	return c.OverWidth > 0 || c.OverHeight > 0 || c.Room == job.AsHeap || c.Towards
}

// mailOptions are the paths of what is chosen for closing and addressing the piece.
func (m mailStation) mailOptions() []string {
	p := m.Job().Mail
	list := []string{"mail.closure", "mail.addressShort", "mail.bare"}
	if p.Bare {
		list = []string{"mail.addressShort", "mail.bare", "mail.radius"}
	}
	if p.HandCancel {
		list = append(list, "mail.handCancel")
	}
	if p.Class != "" {
		list = append(list, "mail.class")
	}
	return list
}

// paperOptions are the paths of what is chosen for the cutting; an envelope that is
// bought is not cut.
func (m paperStation) paperOptions(c compare.Candidate) []string {
	list := []string{"count", "paper.only", "paper.alongGrain"}
	if m.Job().Card.Made {
		list = []string{"count"} // its envelope alone
	}
	if !c.Kind.Bought {
		list = append(list, "paper.noBlanks")
	}
	return list
}

// wishes are the paths of the lengths that count for a construction: those of every
// envelope, and its own.
func (m envelopeStation) wishes(k *blank.Construction) []string {
	list := paths("envelope.", k.Wishes(m.BlankSpec()))
	return append(list, asked("envelope.", k.Asked)...)
}

// options are the paths of what else is chosen for a construction, as far as it
// carries it, in the order that they are asked for.
func (m maker) options(k *blank.Construction) []string {
	list := paths("envelope.", k.Options)
	if k.Bought && m.Job().Envelope.From == job.OwnEnvelope {
		list = append(list, "envelope.ownWidth", "envelope.ownHeight", "envelope.opens")
	}
	return list
}

// asked are the paths of the lengths that one kind alone asks for.
func asked(at string, lengths []measure.Asked) (list []string) {
	for _, a := range lengths {
		list = append(list, at+"asked."+a.Name)
	}
	return list
}

// paths are the paths of the fields of one place.
func paths(at string, names []string) []string {
	list := make([]string, len(names))
	for i, name := range names {
		list[i] = at + name
	}
	return list
}

// thingOptions are the paths of what is typed and chosen of a thing; a disc has one
// size.
func thingOptions(at int, t job.Thing) []string {
	names := []string{"x", "y", "width", "height", "caliper", "grams", "draping", "crushable", "inside", "stacked", "keep"}
	var list []string
	for _, name := range names {
		if name != "height" || !t.Disc {
			list = append(list, fmt.Sprintf("parts.%d.thing.%s", at, name))
		}
	}
	return list
}
