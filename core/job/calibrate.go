package job

import (
	"fmt"
	"math"

	"yellowparcel/core/field"
	"yellowparcel/core/measure"
	"yellowparcel/core/say"
)

// Calibration is how two minutes with a scrap find what a tool reads: what is done, what is typed then, and what
// follows. See "Calibrating" in docs/sums.md.
type Calibration struct {
	Steps []string
	Asks  []measure.Asked
	// find works out what stands in the tool's fields then, from the lengths that were asked for, in their order.
	find func([]measure.Length) []Found
	// unlike are two of the lengths that should be one, where there are such, and what is said when they are not.
	unlike  [2]int
	uneven  string
	refused string
	// usual are the least and the most that such tools have, of each thing that is found; doubt is what is said of others.
	usual [][2]measure.Length
	doubt string
}

// Found is what a field of the shop's should hold.
type Found struct {
	Path   string
	Length measure.Length
}

// tried is a length that is read or measured on a scrap.
func tried(name, label, note string) measure.Asked {
	return measure.Asked{Name: name, Label: label, Note: note, Least: measure.Millimetre, Most: 24 * measure.Inch}
}

// byCornerPlate finds what the corner plate reads where the sheet's corner sits. A score that meets both edges so far
// from the corner lies 1/√2 of that along the diagonal.
var byCornerPlate = Calibration{
	Steps: []string{
		"Take a scrap with one good square corner, at least 5 in (13 cm) along both edges.",
		"Lay that corner into the plate, and score one line at a reading that you note.",
		"Measure from the corner to the line, along one edge and along the other.",
	},
	Asks:    []measure.Asked{tried("set", "It was set to", "the reading that you scored at"), tried("one", "Along one edge", "from the corner to the line"), tried("other", "Along the other", "from the corner to the line")},
	unlike:  [2]int{1, 2},
	uneven:  "The two edges differ: the scrap slipped, or its corner is not square. Score another.",
	usual:   [][2]measure.Length{{-measure.Inch, measure.Inch}},
	doubt:   "Hardly a plate reads so far from zero where its corner sits. Score another scrap, and measure both edges again.",
	refused: "That is more than 4 in from zero: look whether the reading and the edges belong to one line.",
	find: func(l []measure.Length) []Found {
		edge := float64(l[1]+l[2]) / 2
		return []Found{{"tools.cornerAt", l[0] - measure.Round(edge/math.Sqrt2)}}
	},
}

// byPunch finds how deep a punch board notches and what it reads: its notch is a right angle, so it is as wide at the
// edge as twice its depth.
var byPunch = Calibration{
	Steps: []string{
		"Take a scrap with a straight edge, at least 5 in (13 cm) long.",
		"Lay its left end at a reading that you note, and punch once.",
		"Measure how wide the notch is at the edge, and from the left end to its middle.",
	},
	Asks: []measure.Asked{tried("set", "It was set to", "the reading at the scrap's left end"), tried("at", "To its middle", "from the left end of the edge"), tried("wide", "Notch is wide", "where it meets the edge")},
	find: func(l []measure.Length) []Found {
		return []Found{{"tools.punchAt", l[0] - l[1]}, {"tools.notchDepth", l[2] / 2}}
	},
	usual:   [][2]measure.Length{{-measure.Inch, measure.Inch}, {measure.Inch / 8, measure.Inch}},
	doubt:   "Hardly a punch board notches so, or reads so far from zero. Punch another scrap, and measure again.",
	refused: "A notch is at most 4 in wide, and lies at most 2 in from zero: measure again.",
}

// foundTo is how fine what was found is kept: coarser, every score by that reading would carry the rest.
const foundTo = 10 * measure.Micrometre

// Calibrate works out what a tool's fields should hold from what was typed, to a hundredth of a millimetre. What cannot be used is told at
// the name of what was typed; told is what to mind.
func Calibrate(shop Shop, t *Tool, typed map[string]string) (found []Found, told string, problems []field.Problem) {
	c := t.Calibration
	lengths := make([]measure.Length, len(c.Asks))
	for i, a := range c.Asks {
		l, err := measure.Parse(typed[a.Name], shop.Unit)
		if err == nil && (l < a.Least || l > a.Most) {
			err = say.Refuse("Type what you measured, from %s to %s.", shop.Style().ShowUnit(a.Least), shop.Style().ShowUnit(a.Most))
		}
		if err != nil {
			problems = append(problems, field.ProblemOf(a.Name, err))
		}
		lengths[i] = l
	}
	if len(problems) > 0 {
		return nil, "", problems
	}
	tick := shop.Style().Tick
	if c.uneven != "" && (lengths[c.unlike[0]]-lengths[c.unlike[1]]).Abs() > tick {
		told = c.uneven
	}
	found = c.find(lengths)
	changed := shop.Clone()
	for i := range found {
		found[i].Length = found[i].Length.Near(foundTo)
		f, _ := field.Find(changed.Fields(), found[i].Path)
		at, ok := f.Value.(*field.Length)
		if !ok || found[i].Length < at.Least || found[i].Length > at.Most {
			return nil, "", []field.Problem{field.ProblemOf(c.Asks[0].Name, say.Refuse("%s", c.refused))}
		}
		if u := c.usual[i]; told == "" && (found[i].Length < u[0] || found[i].Length > u[1]) {
			told = c.doubt
		}
	}
	return found, told, nil
}

// FoundWords writes what was found, in decimals of the shop's unit: a tick would hide the rest.
func FoundWords(shop Shop, f Found) string {
	if shop.Unit == measure.Millimetres {
		return fmt.Sprintf("%.2f mm", f.Length.Millimetres())
	}
	return fmt.Sprintf("%.3f in", f.Length.Inches())
}
