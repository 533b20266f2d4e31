package plan

import (
	"fmt"

	"yellowparcel/core/blank"
	"yellowparcel/core/card"
	"yellowparcel/core/job"
)

// cardOptions are the paths of what a fold asks for besides its size.
func (m maker) cardOptions() []string {
	switch c := m.Job().Card; c.Fold {
	case card.SideFold, card.TopFold:
		return []string{"card.spine"}
	case card.Accordion:
		if len(c.Own) > 0 {
			return []string{"card.own"}
		}
		return []string{"card.panels", "card.own"}
	}
	return []string{}
}

// cardMore are the paths of what most cards leave alone.
var cardMore = []string{"card.overWidth", "card.overHeight", "card.room", "card.towards"}

// cardMoreSet says that some of it is set.
func (m maker) cardMoreSet() bool {
	c := m.Job().Card
	return c.OverWidth > 0 || c.OverHeight > 0 || c.Room == job.AsHeap || c.Towards
}

// mailOptions are the paths of what is chosen for closing and addressing the piece.
func (m maker) mailOptions() []string {
	p := m.Job().Post
	list := []string{"post.closure", "post.addressShort", "post.bare"}
	if p.Bare {
		list = []string{"post.addressShort", "post.bare", "post.radius"}
	}
	if p.HandCancel {
		list = append(list, "post.handCancel")
	}
	if p.Class != "" {
		list = append(list, "post.class")
	}
	return list
}

// paperOptions are the paths of what is chosen for the cutting; a card for an
// envelope that there is has none to cut.
func (m maker) paperOptions() []string {
	list := []string{"count", "paper.alongGrain"}
	if m.Job().Start == nil {
		list = append(list, "paper.noBlanks")
	}
	return list
}

// wishes are the paths of the lengths that count for a construction: those of every
// envelope, and its own.
func (m maker) wishes(k *blank.Construction) []string {
	list := paths("envelope.", k.Wishes(m.blankSpec()))
	for _, own := range k.Own {
		list = append(list, "envelope.own."+own.Name)
	}
	return list
}

// options are the paths of what else is chosen for a construction, as far as it
// carries it, in the order that they are asked for.
func options(k *blank.Construction) []string { return paths("envelope.", k.Options) }

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
	names := []string{"x", "y", "width", "height", "caliper", "grams", "draping", "crushable", "inside", "keep"}
	var list []string
	for _, name := range names {
		if name != "height" || !t.Disc {
			list = append(list, fmt.Sprintf("parts.%d.thing.%s", at, name))
		}
	}
	return list
}
