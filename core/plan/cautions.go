package plan

import (
	"yellowparcel/core/job"
	"yellowparcel/core/paper"
)

// CautionPlan is one question about the contents of the piece.
type CautionPlan struct {
	ID   paper.Caution `json:"id"`
	Name string        `json:"name"`
	// Set is true when the maker ticked it, or a thing on the card has it.
	Set bool `json:"set"`
	// Found names what on the card has it.
	Found string `json:"found"`
	Text  string `json:"text"`
}

var cautionTexts = map[paper.Caution]string{
	paper.Coin:    "Button batteries are dangerous when swallowed: screw or glue them in. Posts limit batteries, and some refuse them abroad: ask first.",
	paper.Magnet:  "Strong magnets hurt when swallowed and are limited in air mail. Ask first, and keep them glued in.",
	paper.Sharp:   "A point that comes through the envelope hurts hands. Turn it down, cap it, or lay a shield over it.",
	paper.Seeds:   "Seeds and plants need papers at many borders, or may not cross them. Ask first.",
	paper.Glitter: "Loose glitter gets into machines and eyes: seal it in.",
	paper.Liquid:  "Liquid must not leak when the piece is pressed. Seal it twice, and ask whether it may be mailed.",
}

func (m mailStation) cautions() []CautionPlan {
	list := []CautionPlan{}
	for _, c := range m.Cautions() {
		list = append(list, CautionPlan{ID: c.ID, Name: job.CautionName(c.ID), Set: c.Set, Found: c.Found, Text: cautionTexts[c.ID]})
	}
	return list
}
