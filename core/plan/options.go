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

// wayTools are the paths of the shop's fields that a way of scoring goes by.
func wayTools(id blank.WayID) []string {
	switch id {
	case blank.PairWay, blank.CornerWay:
		return []string{"tools.cornerAt", "tools.groove"}
	case blank.NotchWay:
		return []string{"tools.notchDepth"}
	}
	return []string{}
}

// wishes are the paths of the lengths that count for a construction; what its school
// sets by itself is not asked for.
func (m maker) wishes(id job.Construction) []string {
	const ease, seam, gap, flap, depth, sliver = "envelope.ease", "envelope.seam", "envelope.thumbGap", "envelope.flap", "envelope.depth", "envelope.sliver"
	switch id {
	case job.Diamond:
		if m.Job().Envelope.School == blank.ExactSeam {
			return []string{ease, seam, gap, flap}
		}
		return []string{ease, gap, flap}
	case job.Pocket, job.Gusset:
		list := []string{ease, seam, gap, flap}
		if s := m.blankSpec().Pocket; s != blank.ExactPocket {
			list = []string{flap}
		}
		if id == job.Gusset {
			list = append(list, depth)
		}
		return append(list, sliver)
	case job.Box:
		return []string{ease, seam, gap, flap, depth}
	case job.Tuck:
		return []string{ease, depth, flap}
	}
	return []string{ease, seam}
}

// options are the paths of what else is chosen for a construction, as far as it
// carries it, in the order that they are asked for.
func options(id job.Construction) []string {
	own := map[job.Construction][]string{
		job.Diamond: {"school", "stock", "adhesive", "flapShape", "foldTips", "corner", "double", "liner", "patternInside"},
		job.Pocket:  {"pocket", "stock", "adhesive", "flapShape", "corner", "notch", "tabsOnBack", "double", "liner", "patternInside"},
		job.Gusset:  {"pocket", "stock", "adhesive", "flapShape", "corner", "notch", "liner", "patternInside"},
		job.Box:     {"box", "stock", "adhesive", "flapShape", "corner", "liner", "patternInside"},
		job.Tuck:    {"walls", "stock", "adhesive", "corner", "liner", "patternInside"},
		job.CutDown: {"oneSide", "stock", "adhesive", "liner"},
	}[id]
	list := make([]string, len(own))
	for i, name := range own {
		list[i] = "envelope." + name
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
