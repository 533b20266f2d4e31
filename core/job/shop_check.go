package job

import (
	"fmt"

	"yellowparcel/core/field"
	"yellowparcel/core/mail"
	"yellowparcel/core/say"
)

// shelves are the lists whose entries may be added from a file of their own.
var shelves = []string{"sheets", "stocks", "envelopes", "adhesives", "mats"}

// Check refuses a shop that no plan can be made with, naming each field: the bounds
// of its fields, and what must hold between them.
func (s Shop) Check() (list []field.Problem) {
	add := func(path string, err error) {
		if err != nil {
			list = append(list, field.ProblemOf(path, err))
		}
	}
	style := s.Style()
	if style.Check() != nil {
		style = styles()[0] // what is wrong has to be shown in something
	}
	for _, f := range s.Fields() {
		err := f.Refused(style)
		if err == nil && f.Fits != nil {
			err = f.Fits()
		}
		add(f.Path, err)
	}
	if len(s.Stocks) == 0 {
		add("stocks", say.Refuse("The shelf holds no paper at all, and nothing can be made of none: enter one."))
	}
	if len(s.Adhesives) == 0 {
		add("adhesives", say.Refuse("The shelf holds no adhesive, and no seam holds without one: enter one."))
	}
	for _, shelf := range shelves {
		seen := map[string]bool{}
		for i, id := range s.lists()[shelf] {
			if id == "" || seen[id] {
				add(fmt.Sprintf("%s.%d", shelf, i), say.Refuse("Two entries of the shelf are called “%s” inside: take one off and enter it anew.", id))
			}
			seen[id] = true
		}
	}
	seen := shippedBooks()
	for i, own := range s.Rulebooks {
		path := fmt.Sprintf("rulebooks.%d", i)
		if seen[own.File.ID] {
			add(path, say.Refuse("Another rulebook has the id “%s” already: give this one another.", say.Clip(own.File.ID)))
		}
		seen[own.File.ID] = true
		if _, err := own.File.Rulebook(); err != nil {
			add(path, say.Refuse("The rulebook “%s” cannot be used: %v.", own.File.Region+", "+own.File.Service, own.File.Explain(err)))
		}
	}
	return list
}

// shippedBooks are the IDs that no rulebook of one's own may have.
func shippedBooks() map[string]bool {
	seen := map[string]bool{ByHand: true}
	for _, f := range mail.Files() {
		seen[f.ID] = true
	}
	return seen
}
