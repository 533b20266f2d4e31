// Package plan is the front door of the trade: a Job and a Shop go in, a Plan
// comes out.
//
// Make is pure: no clock, no disk, no network; the same job and shop give the
// same plan. Lengths are integer nanometres (measure.Length), weights grams,
// drawings millimetres; whatever is shown comes with its text in the shop's
// unit and tick. The formulas are those of the packages it calls, gathered in
// docs/sums.md.
//
//	p := plan.Make(job, shop)
//	p.Post.Sentence
package plan

import (
	"yellowparcel/core/blank"
	"yellowparcel/core/card"
	"yellowparcel/core/measure"
)

// Job is what the maker knows and wants.
type Job struct {
	Name string `json:"name" maxLength:"120"`
	// Count is how many cards are to be made.
	Count    int          `json:"count"`
	Card     Card         `json:"card"`
	Parts    []Part       `json:"parts" maxItems:"60"`
	Envelope EnvelopeWish `json:"envelope"`
	Post     PostWish     `json:"post"`
	// Start is the envelope the maker came with; absent when the card came
	// first.
	Start *Start `json:"start,omitempty"`
}

// Card is the finished card, folded and closed.
type Card struct {
	Width  measure.Length `json:"width"`
	Height measure.Length `json:"height"`
	Fold   card.Fold      `json:"fold" enum:"side,top,gate,accordion,roll,flat"`
	// Panels is how many an accordion has; zero for the usual four.
	Panels int `json:"panels,omitempty"`
	// Spine is the distance of two scores in place of one, for a card that
	// closes round thick contents.
	Spine measure.Length `json:"spine,omitempty"`
	// Thickness over everything as the maker measured it; absent when it is to
	// be added up from the parts.
	Thickness *measure.Length `json:"thickness,omitempty"`
}

// PartKind says what a part does.
type PartKind string

// The kinds of part.
const (
	BasePart  PartKind = "base"  // the folded card itself
	LayerPart PartKind = "layer" // a smaller piece mounted on the one below
)

// Part is one thing the card is made of, in the order they are stacked.
type Part struct {
	ID   string   `json:"id" maxLength:"40"`
	Name string   `json:"name" maxLength:"80"`
	Kind PartKind `json:"kind" enum:"base,layer"`
	// Stock is the ID of a stock of the shop.
	Stock string `json:"stock" maxLength:"40"`
	// Border is what is left showing of the part below on every side, for a
	// layer.
	Border measure.Length `json:"border"`
	// Foam is the thickness of the foam a layer stands on; zero when glued
	// flat.
	Foam measure.Length `json:"foam"`
}

// EnvelopeWish is the envelope that is to be made.
type EnvelopeWish struct {
	School   blank.School   `json:"school" enum:"exact,diagonal,notch"`
	Way      blank.WayID    `json:"way" enum:"pair,corners,centre,edges,notch"`
	Ease     measure.Length `json:"ease"`
	Seam     measure.Length `json:"seam"`
	ThumbGap measure.Length `json:"thumbGap"`
	Stock    string         `json:"stock" maxLength:"40"`
	Adhesive string         `json:"adhesive" maxLength:"40"`
}

// ByHand is the destination of a card that is not posted.
const ByHand = "hand"

// PostWish is where the card goes.
type PostWish struct {
	// Destination is the ID of a rulebook, or ByHand.
	Destination string `json:"destination" maxLength:"40"`
}
