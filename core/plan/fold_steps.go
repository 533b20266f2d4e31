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
	n := c.Made.Net
	steps := stepsOf(n)
	if len(steps) == 0 {
		return steps
	}
	advise := func(i int, text string) { steps[i].Advice = strings.TrimSpace(steps[i].Advice + " " + text) }
	raised, glued := m.Thick().Used > raisedFrom, false
	words := c.Kind.Words
	advise(0, words.First)
	for i := range steps {
		if raised && i < len(steps)-1 && !c.Kind.Box {
			advise(i, "Try the card in after this fold.")
		}
		if steps[i].Glue != "" && !glued {
			glued = true
			advise(i, "Glue thinly, and away from the inner edge: what spreads inside sticks front to back.")
			if raised && c.Made.Depth == 0 {
				advise(i, "Leave the card in, face down, while it sets.")
			}
		}
	}
	advise(max(0, len(steps)-2), words.Peeking)
	last := "Write the address before you close it."
	switch {
	case m.Job().Post.Destination == job.ByHand:
		last += " Given by hand, a dot at its tip will do, which opens again."
	default:
		last += " " + words.Seal
	}
	advise(len(steps)-1, last)
	return steps
}

// folding is the net as it folds round what of the card its own walls do not take.
func (m envelopeStation) folding(c compare.Candidate) blank.Net {
	return c.Made.Net.Around(max(0, m.Thick().Used-c.Made.Depth).Millimetres())
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
		var glued []string // panels in order, and what each is glued onto
		onto := map[string][]string{}
		for _, g := range n.Glue {
			// What is folded later closes the seam.
			if max(order[g.Panel], order[g.Onto]) != o {
				continue
			}
			what, on := label(name, g.Panel), label(name, g.Onto)
			if onto[what] == nil {
				glued = append(glued, what)
			}
			if !slices.Contains(onto[what], on) {
				onto[what] = append(onto[what], on)
			}
		}
		for k, what := range glued {
			glued[k] = what + " onto " + strings.Join(onto[what], " and ")
		}
		if len(glued) > 0 {
			s.Glue = "Glue " + strings.Join(glued, ", ") + "."
		}
		steps = append(steps, s)
	}
	return steps
}

func label(name map[string]string, id string) string {
	if name[id] == "" {
		return id
	}
	return name[id]
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
