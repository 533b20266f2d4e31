package plan

import (
	"fmt"

	"yellowparcel/core/card"
	"yellowparcel/core/cutting"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/paper"
)

// orderedPiece is one line of what has to be cut from a stock.
type orderedPiece struct {
	name  string
	size  card.Size
	count int
	// upright is set when it must not be turned against the pattern.
	upright bool
	// fold is set for what is folded; down says that its folds run up and down.
	fold, down bool
	window     *card.Size // what falls out of each, when windowed
}

// stockOrder is everything that is cut from one stock.
type stockOrder struct {
	stock  paper.Stock
	pieces []orderedPiece
	saved  []string // what windowing saves, in words
}

// orders gathers what the job takes, stock by stock in the order of the parts.
func (m maker) orders(made candidate) []stockOrder {
	var list []stockOrder
	put := func(id string, p orderedPiece) {
		if p.count <= 0 {
			return
		}
		for i := range list {
			if list[i].stock.ID == id {
				list[i].pieces = append(list[i].pieces, p)
				return
			}
		}
		stock, _ := m.Shop().Stock(id)
		list = append(list, stockOrder{stock: stock, pieces: []orderedPiece{p}})
	}
	base, _ := m.base(m.Job().Card.Fold)
	layers := m.Job().Stacked()[1:]
	for i, at := range append([]int{0}, m.Job().LayerParts()...) {
		part := m.Job().Parts[at]
		if i == 0 {
			put(part.Stock, orderedPiece{part.Name, card.Size{Width: base.Width, Height: base.Height}, m.Job().Count, true, len(base.Scores) > 0, !base.Across, nil})
			continue
		}
		if i > len(layers) {
			break // a border ate it, and what lies on it
		}
		p := orderedPiece{name: part.Name, size: layers[i-1].Size, count: m.Job().Count - part.Ready, upright: true}
		if part.Window && i < len(layers) {
			if s, ok := m.fallsOut(layers[i]); ok {
				p.window = &s
			}
		}
		put(part.Stock, p)
	}
	for _, at := range m.Job().PartsOf(job.LinerPart) {
		part := m.Job().Parts[at]
		if l, _, ok := card.Stack(m.Job().Page(), []card.Mount{part.Mount()}); ok && !m.Job().Card.Fold.Kind().Unfolded {
			put(part.Stock, orderedPiece{name: part.Name, size: l[0].Size, count: m.Job().Count - part.Ready, upright: true})
		}
	}
	if m.blanks() && !made.kind.Bought {
		put(m.Job().Envelope.Stock, orderedPiece{name: "Envelope blank", size: card.Size{Width: made.made.SheetWidth, Height: made.made.SheetHeight}, count: m.Job().Count, upright: made.kind.HasTop})
	}
	if l := made.made.Liner; m.blanks() && m.Job().Envelope.Liner != "" && l.Width > 0 {
		put(m.Job().Envelope.Liner, orderedPiece{name: "Envelope liner", size: card.Size{Width: l.Width.Down(m.Style().Tick), Height: l.Height.Down(m.Style().Tick)}, count: m.Job().Count, upright: true})
	}
	for i := range list {
		m.fromWindows(&list[i])
	}
	return list
}

// blanks reports whether envelopes are to be cut: not when the maker came with
// one.
func (m maker) blanks() bool { return m.Job().Start == nil && !m.Job().Paper.NoBlanks }

// fromWindows takes pieces that what falls out of windowed layers gives off the
// order: the largest that fits, one from each window.
func (m maker) fromWindows(o *stockOrder) {
	for _, from := range o.pieces {
		if from.window == nil {
			continue
		}
		best := -1
		for i, p := range o.pieces {
			fits := p.size.Width <= from.window.Width && p.size.Height <= from.window.Height ||
				o.stock.Pattern == paper.Unknown && p.size.Height <= from.window.Width && p.size.Width <= from.window.Height
			if fits && p.count > 0 && p.window == nil && (best < 0 || p.size.Width*p.size.Height > o.pieces[best].size.Width*o.pieces[best].size.Height) {
				best = i
			}
		}
		if best < 0 {
			o.saved = append(o.saved, fmt.Sprintf("%s of %s fall out of “%s”: keep them, nothing else in this job is small enough.", number(from.count), m.by(from.window.Width, from.window.Height), from.name))
			continue
		}
		n := min(from.count, o.pieces[best].count)
		o.pieces[best].count -= n
		o.saved = append(o.saved, fmt.Sprintf("%d of “%s” come out of the middle of “%s”: with a knife, %s each, before it is mounted.", n, o.pieces[best].name, from.name, m.by(from.window.Width, from.window.Height)))
	}
}

// lies says how the pieces of an order may lie on a sheet: a pattern with a top
// is never turned; where folds are to go along the grain, folded pieces lie so.
// For each piece it returns whether it lies as it is and whether it lies turned;
// contradictions are told.
func (m maker) lies(o stockOrder, sheet paper.Sheet) (as, turned []bool, notes []Note) {
	for _, p := range o.pieces {
		a, t := true, true
		if p.upright && o.stock.Pattern != paper.Unknown {
			a = o.stock.Pattern.Upright(sheet)
			t = !a
		}
		if p.fold && m.Job().Paper.AlongGrain && o.stock.Grain != paper.Unknown {
			along := o.stock.Grain.Upright(sheet) == p.down
			if along && !a || !along && !t {
				notes = append(notes, Note{Care, fmt.Sprintf("“%s” cannot have its fold along the grain and its pattern upright on %s: the pattern goes first, so the fold runs across the grain. Turn the design, choose the other fold, or another paper.", p.name, sheet.Name)})
			} else {
				a, t = along, !along
			}
		}
		as, turned = append(as, a), append(turned, t)
	}
	return as, turned, notes
}

// cuttingOrder is the order as the cutting knows it; swapped pieces are given a
// quarter turn round.
func (o stockOrder) cuttingOrder(sheet paper.Sheet, cut measure.Length, as, turned []bool) (order cutting.Order, swapped []bool) {
	order.Sheet = cutting.Sheet{Width: sheet.Width, Height: sheet.Height, Cut: cut}
	for i, p := range o.pieces {
		w, h := p.size.Width, p.size.Height
		if !as[i] {
			w, h = h, w
		}
		order.Pieces = append(order.Pieces, cutting.Piece{Name: p.name, Width: w, Height: h, Count: p.count, Turn: as[i] && turned[i]})
		swapped = append(swapped, !as[i])
	}
	return order, swapped
}
