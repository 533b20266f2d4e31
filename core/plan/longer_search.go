package plan

import (
	"context"
	"slices"

	"yellowparcel/core/cutting"
	"yellowparcel/core/job"
)

// Cuts reports whether the job cuts anything from a stock, and the stock from such a
// sheet.
func Cuts(j job.Job, shop job.Shop, stock, sheet string) bool {
	m := paperStation{newMaker(j, shop)}
	if m.Waits() {
		return false
	}
	for _, o := range m.cuts(m.Chosen()) {
		if s, ok := shop.Sheet(sheet); ok && o.Stock.ID == stock && slices.Contains(m.Shop().SheetsFor(o.Stock), s) {
			return true
		}
	}
	return false
}

// CutStock searches longer for the cutting of one stock from one sheet: so many
// steps at most, until the context ends. The plan of a search that was stopped
// is whole, and marked unfinished. It is false when the job cuts nothing from
// that stock, or the stock from no such sheet.
func CutStock(ctx context.Context, j job.Job, shop job.Shop, stock, sheet string, steps int, tell func(cutting.Progress)) (StockPlan, bool) {
	m := paperStation{newMaker(j, shop)}
	m.Effort = cutting.NewEffort(ctx, steps+planSteps)
	if m.Waits() {
		return StockPlan{}, false
	}
	for _, o := range m.cuts(m.Chosen()) {
		if s, ok := shop.Sheet(sheet); ok && o.Stock.ID == stock && slices.Contains(m.Shop().SheetsFor(o.Stock), s) {
			// The other sheets keep the plans that a quick look gives.
			p := m.stockPlan(o, planSteps/2)
			t := m.try(o, s, steps, tell)
			p.Notes, p.Layouts, p.Steps = p.Notes[:len(o.Saved)], nil, nil
			for i, c := range p.Choices {
				if p.Choices[i].Chosen = c.ID == sheet; c.ID == sheet {
					p.Choices[i].Text = m.choiceWords(o, t)
				}
			}
			m.takeTried(&p, o, t)
			return p, true
		}
	}
	return StockPlan{}, false
}
