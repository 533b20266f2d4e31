package offer

import (
	"slices"

	"yellowparcel/core/blank"
	"yellowparcel/core/card"
	"yellowparcel/core/compare"
	"yellowparcel/core/cutting"
	"yellowparcel/core/job"
	"yellowparcel/core/paper"
	"yellowparcel/core/piece"
)

// Match is a set that matches: a layer, the liner and, where it suffices, the envelope too, of
// one sheet of one stock a card.
type Match struct {
	Stock paper.Stock
	Sheet paper.Sheet
	Layer string
	// Whole is set where the envelope is of it too.
	Whole bool
}

// ID names a match among those of a job.
func (m Match) ID() string {
	if m.Whole {
		return m.Stock.ID
	}
	return m.Stock.ID + ":liner"
}

// Take is the job with that match.
func (m Match) Take(j job.Job) job.Job {
	j.Envelope.Liner = m.Stock.ID
	if m.Whole {
		j.Envelope.Stock = m.Stock.ID
	}
	return j
}

// matchSteps is what looking whether one sheet suffices may use of the searches' effort.
const matchSteps = 4_000

// heaviestEnvelope is the heaviest paper, in gsm, that folds well round a card.
const heaviestEnvelope = 170

// Matches are the sets that one sheet of a layer's stock gives, the whole one first.
func (m Offers) Matches(c compare.Candidate) (list []Match) {
	if !c.OK || c.Kind.Bought || m.Job().Mail.WithoutEnvelope() {
		return nil
	}
	j := m.Job()
	base := j.Parts[0].Stock
	stacked := j.Stacked()
	for i, at := range j.LayerParts() {
		stock, ok := m.Shop().Stock(j.Parts[at].Stock)
		if !ok || i+1 >= len(stacked) || stock.ID == base || slices.ContainsFunc(list, func(k Match) bool { return k.Stock.ID == stock.ID }) {
			continue
		}
		for _, whole := range []bool{true, false} {
			match := Match{Stock: stock, Layer: j.Parts[at].Name, Whole: whole}
			taken := match.Take(j.Clone())
			if taken.Envelope.Stock == j.Envelope.Stock && taken.Envelope.Liner == j.Envelope.Liner || whole && stock.GSM > heaviestEnvelope {
				continue
			}
			if sheet, ok := m.with(taken).oneSheet(c.Kind, stock, stacked[i+1].Size, whole); ok {
				match.Sheet = sheet
				list = append(list, match)
				break
			}
		}
	}
	return list
}

// oneSheet is a sheet of a stock that gives a layer, the liner and the envelope's blank.
func (m Offers) oneSheet(k *blank.Construction, stock paper.Stock, layer card.Size, whole bool) (paper.Sheet, bool) {
	c := m.Candidate(k)
	if !c.OK || c.Made.Liner.Width == 0 {
		return paper.Sheet{}, false
	}
	tick := m.Style().Tick
	cuts := []piece.Cut{
		{Role: piece.PartRole, Size: layer, Count: 1, Upright: true},
		{Role: piece.LinerRole, Size: card.Size{Width: c.Made.Liner.Width.Down(tick), Height: c.Made.Liner.Height.Down(tick)}, Count: 1, Upright: true},
	}
	if whole {
		cuts = append(cuts, piece.Cut{Role: piece.BlankRole, Size: card.Size{Width: c.Made.SheetWidth, Height: c.Made.SheetHeight}, Count: 1, Upright: k.HasTop})
	}
	o := piece.Order{Stock: stock, Cuts: cuts}
	for _, s := range m.Shop().SheetsFor(stock) {
		on := m.On(o, s)
		if slices.ContainsFunc(on.Cutting.Pieces, func(p cutting.Piece) bool { return on.Cutting.Sheet.Possible(p) != cutting.Possible }) {
			continue
		}
		if p := m.Effort.Search(on.Cutting, matchSteps, nil); len(p.Unfit) == 0 && p.Sheets == 1 {
			return s, true
		}
	}
	return paper.Sheet{}, false
}
