package offer

import (
	"fmt"
	"math/rand/v2"
	"testing"

	"yellowparcel/core/blank"
	"yellowparcel/core/card"
	"yellowparcel/internal/anyjob"
	"yellowparcel/internal/golden"
)

// What is offered to any job is what it was on the day that it was written down: remedies
// with what follows from each, what would bring a blank onto a sheet, cards for its
// envelope and cards of its sheet.
func TestOffersAreTheSame(t *testing.T) {
	r := rand.New(rand.NewPCG(12, 9))
	var lines []string
	for range 90 {
		shop := anyjob.Shop(r)
		j := anyjob.Job(r, shop)
		o := offersTo(j, shop)
		if o.Block() || len(j.Check(shop)) > 0 {
			continue
		}
		all := o.Candidates()
		c := o.Choose(all)
		if book, ok := o.Book(); ok {
			v := o.VerdictOf(book, o.Mailed(o.Closed(c)))
			for _, m := range o.Remedies(c, all, v) {
				lines = append(lines, fmt.Sprintf("%s: %v thinner %v lighter %s foam %v of %s for %s class %s from %s %v x %v; %s %d, touches %d, %s, %s unproven %v counted %v", m.ID(), m.Left, m.Thinner, golden.Number(m.Lighter),
					m.Foam, m.Stock.ID, m.Instead.ID, m.Class.ID, m.Closed.ID, m.Width, m.Height, m.Mail.Ending, m.Mail.Rank, m.touched, golden.Number(m.area), golden.Number(m.paper), m.Unproven, m.Counted))
			}
			of, none := o.NoRectangle(v)
			lines = append(lines, fmt.Sprintf("  no rectangle: %v %s", none, of))
		}
		line := "  would:"
		for _, w := range o.WhatWould(c, o.Candidates) {
			kind := blank.ID("")
			if w.Kind != nil {
				kind = w.Kind.ID
			}
			line += fmt.Sprintf(" %s %v %v %v %v %s %v;", w.ID, w.Ease, w.Seam, w.Width, w.Height, kind, w.Joint.At)
		}
		lines = append(lines, line)
		for _, s := range o.SchoolCards() {
			lines = append(lines, fmt.Sprintf("  %s: %v x %v %v %v %s", s.School, s.Size.Width, s.Size.Height, s.OK, s.Off, s.Fit.Verdict))
		}
		if sheet, ok := shop.Sheet(j.Paper.Have); ok {
			cards, largest := o.SheetCards(sheet)
			line := fmt.Sprintf("  %d cards of %s:", len(cards), sheet.ID)
			for i, k := range append(largest, cards...) {
				if i < 9 {
					line += fmt.Sprintf(" %s ×%d %s %s %s;", k.ID(), k.Each, golden.Number(k.Waste), k.Format.ID, k.Mail.Ending)
				}
			}
			large := o.LargestOf(card.Size{Width: sheet.Width, Height: sheet.Height}, j.Card.Fold)
			lines = append(lines, line+fmt.Sprintf(" largest %v x %v, folds %v", large.Width, large.Height, o.FoldsFor()))
		}
	}
	golden.Check(t, "offers", lines)
}
