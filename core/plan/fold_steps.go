package plan

import (
	"fmt"
	"slices"
	"strings"

	"yellowparcel/core/blank"
)

// FoldStep is one stage of folding a net: the panels that move and what is glued
// then.
type FoldStep struct {
	Order int    `json:"order"`
	Text  string `json:"text"`
	Glue  string `json:"glue"`
}

// foldSteps puts the folds of a net in order into words.
func foldSteps(n blank.Net) []FoldStep {
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
		glued := []string{}
		for _, g := range n.Glue {
			// What is folded later closes the seam.
			if max(order[g.Panel], order[g.Onto]) == o {
				words := fmt.Sprintf("%s onto %s", label(name, g.Panel), label(name, g.Onto))
				if !slices.Contains(glued, words) {
					glued = append(glued, words)
				}
			}
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
