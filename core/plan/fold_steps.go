package plan

import (
	"fmt"
	"slices"
	"strings"

	"yellowparcel/core/blank"
	"yellowparcel/core/compare"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
)

// FoldStep is one stage of folding a net: the panels that move and what is glued
// then.
type FoldStep struct {
	Order int    `json:"order"`
	Text  string `json:"text"`
	Glue  string `json:"glue"`
	// Advice is what the hand should know just then.
	Advice string `json:"advice"`
}

// raisedFrom is the thickness from which a card lies in the envelope while it is
// folded and glued.
const raisedFrom = measure.Inch / 16

// foldSteps puts the folds of a blank in order into words, with what the trade
// minds at each.
func (m envelopeStation) foldSteps(c compare.Candidate) []FoldStep {
	steps := stepsOf(c.Made.Seen())
	if len(steps) == 0 {
		return steps
	}
	advise := func(i int, text string) { steps[i].Advice = strings.TrimSpace(steps[i].Advice + " " + text) }
	raised, glued := m.Thick().Used > raisedFrom, false
	words := c.Kind.Words
	advise(0, words.First)
	advise(0, m.linerAdvice(c))
	for i := range steps {
		if raised && i < len(steps)-1 && !c.Kind.Box {
			advise(i, "Try the card in after this fold.") // it may grow tight with each
		}
		if steps[i].Glue != "" && !glued {
			glued = true
			advise(i, "Glue thinly, and away from the inner edge: what spreads inside sticks front to back.")
			if raised && c.Made.Depth == 0 {
				advise(i, "Leave the card in, face down, while it sets.")
			}
		}
	}
	before := lastOpen(c.Made.Seen()) // the card is in before what closes is folded
	advise(before, words.Peeking)
	advise(before, stripAdvice(c))
	advise(before, fillAdvice(c, raised))
	last := "Write the address before you close it."
	switch {
	case m.Job().Mail.Destination == job.ByHand:
		last += " Given by hand, a dot at its tip will do, which opens again."
	default:
		last += " " + words.Seal
	}
	advise(len(steps)-1, last)
	return steps
}

// linerAdvice says when a liner goes in.
func (m maker) linerAdvice(c compare.Candidate) string {
	switch {
	case m.Job().Envelope.Liner == "" || c.Made.Liner.Width == 0:
		return ""
	case c.Kind.Whole:
		return "Slide the liner in through the throat first, and glue it to the flap alone."
	case c.Kind.Bought:
		return "The liner goes in before the cut sides are glued: glue it to the flap alone."
	case c.Kind.Box:
		return "Glue the liner to the floor before the first fold."
	}
	return "Glue the liner to front and flap before the first fold."
}

// stripAdvice says when the strips that hold a card are glued.
func stripAdvice(c compare.Candidate) string {
	switch {
	case !c.Strip:
		return ""
	case c.Made.Depth > 0:
		return "Glue the two rails down beside the card's place."
	}
	return "Glue the two holding strips. Press front and back together on them before the card goes in."
}

// fillAdvice says when the card goes in, and what stays open until then.
func fillAdvice(c compare.Candidate, raised bool) string {
	glue := c.Made.Way().ID != blank.AsSold
	switch {
	case !glue:
		return "Slide the card in."
	case c.Kind.Box:
		return "Hold the walls square with pegs until the glue is dry. Then put the card in."
	case raised && c.Made.Depth == 0 && !c.Kind.Bought:
		return "Press the seams until they are dry; the closing flap stays open."
	case c.Kind.Bought:
		return "Glue the cut sides and press them until they are dry. Then slide the card in."
	}
	return "Press the seams until they are dry. Then slide the card in."
}

// folding is the net as it folds round what of the card its own walls do not take.
func (m envelopeStation) folding(c compare.Candidate) blank.Net {
	return c.Made.Seen().Around(max(0, m.Thick().Used-c.Made.Depth).Millimetres())
}

// stepsOf are the stages of folding a net: what moves, and what is glued then.
func stepsOf(n blank.Net) []FoldStep {
	byOrder := map[int][]string{}
	order := map[string]int{}
	var numbers []int
	name := map[string]string{}
	for _, p := range n.Panels {
		name[p.ID] = p.Name
	}
	for _, c := range n.Creases {
		if len(byOrder[c.Order]) == 0 {
			numbers = append(numbers, c.Order)
		}
		byOrder[c.Order] = append(byOrder[c.Order], name[c.Panel])
		order[c.Panel] = c.Order
	}
	slices.Sort(numbers)
	steps := []FoldStep{}
	for i, o := range numbers {
		s := FoldStep{Order: i + 1, Text: "Fold " + counted(byOrder[o]) + "."}
		s.Glue = gluing(n, func(g blank.Glue) bool { return max(order[g.Panel], order[g.Onto]) == o }) // what is folded later closes the seam
		steps = append(steps, s)
	}
	return steps
}

// lastOpen is the place of the last step of folding a net that closes nothing.
func lastOpen(n blank.Net) int {
	closing, orders := n.Closing(), map[int]bool{}
	for _, c := range n.Creases {
		if !slices.Contains(closing, c.Panel) {
			orders[c.Order] = true
		}
	}
	return max(0, len(orders)-1)
}

// Panels names some panels of an envelope, those of one name together.
func Panels(m blank.Made, ids []string) string {
	var names []string
	for _, p := range m.Seen().Panels {
		if slices.Contains(ids, p.ID) {
			names = append(names, p.Name)
		}
	}
	return counted(names)
}

// Gluing says what is glued onto what of an envelope, of those zones that are asked for.
func Gluing(m blank.Made, which func(blank.Glue) bool) string { return gluing(m.Seen(), which) }

// gluing says what is glued onto what of some glue: panels of one name together.
func gluing(n blank.Net, which func(blank.Glue) bool) string {
	name := map[string]string{}
	for _, p := range n.Panels {
		name[p.ID] = p.Name
	}
	var order []string // names of panels, as they come
	from, onto := map[string][]string{}, map[string][]string{}
	add := func(to map[string][]string, what, id string) {
		if !slices.Contains(to[what], id) {
			to[what] = append(to[what], id)
		}
	}
	for _, g := range n.Glue {
		if what := name[g.Panel]; what != "" && which(g) {
			if !slices.Contains(order, what) {
				order = append(order, what)
			}
			add(from, what, g.Panel)
			add(onto, what, g.Onto)
		}
	}
	named := func(ids []string) string {
		names := make([]string, len(ids))
		for i, id := range ids {
			names[i] = name[id]
		}
		return counted(names)
	}
	for i, what := range order {
		order[i] = named(from[what]) + " onto " + named(onto[what])
	}
	if len(order) == 0 {
		return ""
	}
	return "Glue " + strings.Join(order, ", ") + "."
}

// counted joins names, those that repeat with their number.
func counted(names []string) string {
	var list []string
	counts := map[string]int{}
	for _, n := range names {
		if counts[n]++; counts[n] == 1 {
			list = append(list, n)
		}
	}
	for i, n := range list {
		if counts[n] > 1 {
			list[i] = fmt.Sprintf("the %d %ss", counts[n], n)
		} else {
			list[i] = "the " + n
		}
	}
	return strings.Join(list, " and ")
}
