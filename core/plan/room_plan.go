package plan

import (
	"fmt"

	"yellowparcel/core/card"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
)

// RoomPlan is what the thickness takes of an envelope, both ways of counting.
type RoomPlan struct {
	Chosen     job.Room `json:"chosen" enum:"block,heap"`
	Block      Shown    `json:"block"`
	HeapWidth  Shown    `json:"heapWidth"`
	HeapHeight Shown    `json:"heapHeight"`
	Text       string   `json:"text"`
	// Section is the card seen end-on, in millimetres from its left edge and up
	// from the table.
	Section []SectionPart `json:"section"`
	Outer   string        `json:"outer"`
	// OuterSize is the card over all that sticks out, Left and Above how far that
	// reaches past the card's left and top edge.
	OuterSize card.Size      `json:"outerSize"`
	Left      measure.Length `json:"left"`
	Above     measure.Length `json:"above"`
}

// SectionPart is one part in the section through the thickness.
type SectionPart struct {
	Name   string  `json:"name"`
	X      float64 `json:"x"`
	Y      float64 `json:"y"`
	Width  float64 `json:"width"`
	Height float64 `json:"height"`
	Foam   bool    `json:"foam"`
}

func (m cardStation) roomPlan() RoomPlan {
	heap, outer := m.Heap(), m.Outer()
	r := RoomPlan{
		Chosen: m.Room(), Block: shownIn(m.fine(), m.Thick().Used), HeapWidth: shownIn(m.fine(), heap.Width), HeapHeight: shownIn(m.fine(), heap.Height),
		Outer: m.by(outer.Width, outer.Height), OuterSize: outer, Section: m.section(),
	}
	r.Left, r.Above = m.Past()
	r.Text = fmt.Sprintf("Thick all over, it takes %s of the envelope both ways. Thick in places, %s in width and %s in height. %s.",
		r.Block.Text, r.HeapWidth.Text, r.HeapHeight.Text, map[job.Room]string{job.AsBlock: "The first counts", job.AsHeap: "The second counts"}[r.Chosen])
	return r
}
