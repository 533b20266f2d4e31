package plan

import (
	"fmt"

	"yellowparcel/core/compare"
	"yellowparcel/core/job"
	"yellowparcel/core/say"
)

// OverlapPlan asks whether two things that lie over each other are glued so.
type OverlapPlan struct {
	// ID is that of the upper thing, which is moved apart; Path the field that says that it
	// is glued on the other.
	ID   string `json:"id"`
	Path string `json:"path" format:"field-path"`
	Text string `json:"text"`
}

func (m maker) overlaps() []OverlapPlan {
	list := []OverlapPlan{}
	for _, o := range job.Overlaps(m.Job()) {
		under, over := m.Job().Parts[o.Under], m.Job().Parts[o.Over]
		list = append(list, OverlapPlan{over.ID, fmt.Sprintf("parts.%d.thing.stacked", o.Over), fmt.Sprintf("“%s” lies over “%s”. Are they glued on each other?", over.Name, under.Name)})
	}
	return list
}

// takeApart moves a thing to where it touches nothing.
func (m maker) takeApart(id string) (job.Job, error) {
	j := m.Job().Clone()
	if err := job.MoveApart(&j, id, m.Style().Tick); err != nil {
		return m.Job(), err
	}
	return j, nil
}

// typedThickness says that what was typed for the card is not what its parts add up to.
func (m maker) typedThickness() []say.Note {
	t := m.Thick()
	if !t.Measured || (t.Used-t.Predicted).Abs() <= compare.OtherThickness {
		return nil
	}
	return []say.Note{say.Care.Says(fmt.Sprintf("You typed %s for the card's thickness, and its parts add up to %s. The checks go by what you typed, the map shows the parts.", m.fine().ShowUnit(t.Used), m.fine().ShowUnit(t.Predicted)))}
}
