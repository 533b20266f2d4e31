// Package compare sets every envelope for a piece side by side: those that are made,
// each construction worked out, folded, held against the sheets on the shelf and judged
// by the post, and those that are bought. It ranks them, with the facts of the reason.
//
// It answers with IDs and lengths (nanometres), weights in grams and areas in mm²: what
// is said of them is plan's. The formulas are those of docs/sums.md, "Envelope blanks",
// "Envelopes that are sold" and "Mail".
//
//	m := compare.New(j, shop, cutting.NewEffort(ctx, 1_000_000))
//	all := m.Candidates()
//	best := m.Order(all)[0]
package compare

import (
	"yellowparcel/core/cutting"
	"yellowparcel/core/envelope"
	"yellowparcel/core/job"
	"yellowparcel/core/piece"
)

// Posted is a piece as the post sees it when it is closed.
type Posted struct{ piece.Piece }

// Maker makes envelopes for one piece.
type Maker struct {
	Posted
	// SizeOnly is set where of an envelope nothing but its sheet matters.
	SizeOnly bool
	// Effort is what the searches that go with it share.
	Effort *cutting.Effort
}

// New is the maker for a job's piece.
func New(j job.Job, shop job.Shop, effort *cutting.Effort) Maker {
	return Maker{Posted: Posted{piece.Of(j, shop)}, Effort: effort}
}

// With is the maker for another job in the same shop, with all that follows from it.
func (m Maker) With(j job.Job) Maker {
	m.Piece = m.Piece.With(j)
	return m
}

// Format is an envelope that is sold or on the shelf, or the one that the job's maker
// measured.
func (m Maker) Format(id string) envelope.Format {
	wish := m.Job().Envelope
	wish.From = id
	f, _ := wish.Bought(m.Shop())
	return f
}
