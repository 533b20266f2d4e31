package plan

import (
	"yellowparcel/core/blank"
	"yellowparcel/core/job"
)

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
