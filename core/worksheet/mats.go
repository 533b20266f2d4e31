package worksheet

import (
	"fmt"
	"slices"

	"yellowparcel/core/card"
	"yellowparcel/core/drawing"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/piece"
	"yellowparcel/core/plan"
)

// Out is what comes off one mat: so many of a piece.
type Out struct {
	Piece string
	Count int
}

// Held is why a stock is cut by hand although there is a cutter.
type Held string

// The reasons.
const (
	OffMat    Held = "mat"    // a piece of it does not go on the mat
	TwoSides  Held = "sides"  // it is scored on both sides, and the cutter scores one
	FromAside Held = "middle" // a piece is cut of what falls out of another one
	Plain     Held = "plain"  // it is rectangles alone, which a trimmer cuts as well
)

// ByCutter are the stocks of a job that the cutter makes everything of, and why the others are cut by hand, by their IDs.
func ByCutter(t plan.Table) (list []plan.MatStock, held map[string]Held) {
	held = map[string]Held{}
	if !t.Shop.Tools.Has(job.CutterTool) {
		return nil, held
	}
	for _, m := range t.Mats {
		if why := heldBack(t, m); why != "" {
			held[m.Stock.ID] = why
			continue
		}
		list = append(list, m)
	}
	return list, held
}

func heldBack(t plan.Table, m plan.MatStock) Held {
	shaped := false
	for _, x := range m.Pieces {
		scores := x.Flat.Of(drawing.Score)
		shaped = shaped || len(scores) > 0 || len(x.Flat.Of(drawing.Cut)) > 1 || len(x.Flat.Of(drawing.Away)) > 0
		if !t.Shop.Tools.Cutter.Perforates() && slices.ContainsFunc(scores, func(s drawing.Shape) bool { return s.Inside }) {
			return TwoSides
		}
	}
	for _, s := range t.Plan.Paper.Stocks {
		if s.ID == m.Stock.ID && slices.ContainsFunc(s.Saved, func(saved piece.Saved) bool { return saved.Of != nil }) {
			return FromAside
		}
	}
	switch {
	case len(m.Laid.Misfits) > 0 || len(m.Laid.Loads) == 0:
		return OffMat
	case !shaped && t.Shop.Tools.Cutter.Cuts != job.CutsAll:
		return Plain
	}
	return ""
}

// onMats makes everything of the stocks that go by the cutter, and reports which those are.
func (w *writer) onMats() (done map[string]bool) {
	done = map[string]bool{}
	list, _ := ByCutter(w.Table)
	load := 0
	for _, m := range w.Mats {
		at := slices.IndexFunc(list, func(q plan.MatStock) bool { return q.Stock.ID == m.Stock.ID })
		if at < 0 {
			load += len(m.Laid.Loads)
			continue
		}
		done[m.Stock.ID] = true
		size := card.Size{Width: m.Sheet.Width, Height: m.Sheet.Height}
		if m.Turned {
			size.Width, size.Height = size.Height, size.Width
		}
		paper := card.Size{Width: m.Laid.Paper.Width, Height: m.Laid.Paper.Height}
		for i, l := range m.Laid.Loads {
			load++
			name := fmt.Sprintf("sheet %d of %s", load, m.Stock.ID)
			sheets := l.Times * len(l.Papers)
			w.put(Step{Act: Take, Piece: name, Count: sheets, Size: size})
			if paper != size {
				w.rectangle(name, name+", cut down", sheets, size, paper, false)
				name += ", cut down"
			}
			step := Step{Act: Machine, Tool: job.CutterTool, Piece: name, Count: l.Times, Template: plan.MatID(load), Up: Shown}
			if first := l.Papers[0]; first.X > 0 || first.Y > 0 {
				step.On = &[2]measure.Length{first.X, first.Y}
			}
			for _, p := range l.Papers[1:] {
				step.Beside = append(step.Beside, [2]measure.Length{p.X, p.Y})
			}
			for k, n := range m.Holds(i) {
				if n > 0 {
					step.Out = append(step.Out, Out{m.Pieces[k].ID, n})
					w.machined[m.Pieces[k].ID] = true
				}
			}
			w.put(step)
		}
	}
	return done
}
