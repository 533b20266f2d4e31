package plan

import (
	"cmp"
	"fmt"
	"slices"
	"strings"

	"yellowparcel/core/compare"
	"yellowparcel/core/drawing"
	"yellowparcel/core/job"
	"yellowparcel/core/mat"
	"yellowparcel/core/offer"
	"yellowparcel/core/paper"
	"yellowparcel/core/piece"
	"yellowparcel/core/say"
)

// MatPlan is the job laid on the mats of the cutter.
type MatPlan struct {
	// Field is the path of the mat that is chosen.
	Field string `json:"field" format:"field-path"`
	// Says is what it takes.
	Says  string    `json:"says"`
	Loads []MatLoad `json:"loads"`
	// Misfits do not go on the mat.
	Misfits []MatMisfit `json:"misfits"`
}

// MatLoad is one mat full.
type MatLoad struct {
	ID    string `json:"id"`
	Name  string `json:"name"`
	Times int    `json:"times"`
	// Paper says which sheet lies on it, Holds what is cut of it.
	Paper string          `json:"paper"`
	Holds string          `json:"holds"`
	Size  string          `json:"size"`
	Flat  drawing.Drawing `json:"flat"`
	Words string          `json:"words"`
}

// MatStock is everything of one stock laid on a mat.
type MatStock struct {
	Stock paper.Stock
	Sheet paper.Sheet
	// Turned is set where the sheet lies on the mat turned by a quarter.
	Turned bool
	Laid   mat.Laid
	Pieces []BenchPiece
	// Turns are how each piece may be turned on its paper.
	Turns []mat.Turns
	// Drawn are its loads, as they are cut.
	Drawn []drawing.Drawing
}

// onMat lays everything that is cut of each stock on a mat, from the sheet that was chosen for it, else from
// the one that takes the least paper.
func (m benchStation) onMat(on mat.Mat, c compare.Candidate, list []BenchPiece) (all []MatStock) {
	for _, o := range (paperStation(m)).cuts(c) {
		if t, ok := m.stockOnMat(on, o, list); ok {
			all = append(all, t)
		}
	}
	return all
}

// stockOnMat lays everything that is cut of one stock; false where there is no sheet of it. It never asks for
// more loads, or for more different ones, than a smaller mat of the shelf, of which it can do all that.
func (m benchStation) stockOnMat(on mat.Mat, o piece.Order, list []BenchPiece) (best MatStock, ok bool) {
	best, ok = m.bestOnMat(on, o, list)
	for _, small := range job.OnMats(m.Shop()) {
		if !ok || small.Width >= on.Width && small.Height >= on.Height {
			continue
		}
		s, _ := m.stockOnMat(small, o, list) // of the same sheets
		var laid bool
		if s.Laid, laid = s.Laid.On(on); laid && (s.Laid.Fewer(best.Laid) || len(s.Laid.Misfits) == len(best.Laid.Misfits) && (s.Laid.Times() < best.Laid.Times() || len(s.Laid.Loads) < len(best.Laid.Loads))) {
			best = s
		}
	}
	best.draw()
	return best, ok
}

// bestOnMat lays everything that is cut of one stock on one mat.
func (m benchStation) bestOnMat(on mat.Mat, o piece.Order, list []BenchPiece) (best MatStock, ok bool) {
	chosen := m.Job().Paper.Sheets
	sheets := slices.Clone(m.Shop().SheetsFor(o.Stock))
	slices.SortStableFunc(sheets, func(a, b paper.Sheet) int {
		if first := chosen[o.Stock.ID]; first != "" && (a.ID == first) != (b.ID == first) {
			return map[bool]int{true: -1, false: 1}[a.ID == first]
		}
		return cmp.Compare(a.Width.Inches()*a.Height.Inches(), b.Width.Inches()*b.Height.Inches())
	})
	for _, s := range sheets {
		for _, turned := range []bool{false, true} {
			as := s
			if turned {
				as.Width, as.Height = s.Height, s.Width
			}
			t := m.lay(on, o, as, list)
			t.Sheet, t.Turned = s, turned
			if !ok || t.over(best) {
				best, ok = t, true
			}
		}
		if s.ID == chosen[o.Stock.ID] && len(best.Laid.Misfits) == 0 {
			break
		}
	}
	return best, ok
}

// lay lays what is cut of a stock from one sheet.
func (m benchStation) lay(on mat.Mat, o piece.Order, sheet paper.Sheet, list []BenchPiece) MatStock {
	t := MatStock{Stock: o.Stock}
	way := m.On(o, sheet)
	var pieces []mat.Piece
	for i, cut := range o.Cuts {
		at := slices.IndexFunc(list, func(x BenchPiece) bool { return x.ID == pieceID(cut) })
		if at < 0 {
			continue
		}
		x := list[at].level()
		turns := mat.AsDrawn
		switch {
		case way.Cutting.Pieces[i].Turn:
			turns = mat.Any
		case way.Swapped[i]:
			turns = mat.Quarter
		}
		t.Pieces, t.Turns = append(t.Pieces, x), append(t.Turns, turns)
		pieces = append(pieces, mat.Piece{Outline: drawing.Worked(x.Flat).Corners(), Count: cut.Count, Turns: turns})
	}
	t.Laid = mat.Lay(m.Effort, on, sheet.Width, sheet.Height, pieces)
	return t
}

// over compares ways to lay a stock: all pieces first, then the fewest loads, and of as many the least paper.
func (t MatStock) over(u MatStock) bool {
	area := func(t MatStock) float64 {
		return float64(t.Laid.Sheets()) * t.Sheet.Width.Inches() * t.Sheet.Height.Inches()
	}
	if t.Laid.Fewer(u.Laid) || u.Laid.Fewer(t.Laid) {
		return t.Laid.Fewer(u.Laid)
	}
	return cmp.Or(cmp.Compare(t.Laid.Times(), u.Laid.Times()), cmp.Compare(area(t), area(u)), cmp.Compare(len(t.Laid.Loads), len(u.Laid.Loads))) < 0
}

// draw draws the loads.
func (t *MatStock) draw() {
	laying := make([]drawing.Laying, len(t.Pieces))
	for i, x := range t.Pieces {
		laying[i] = drawing.Laying{Drawing: x.Flat, Part: x.ID, Name: x.Name}
	}
	t.Drawn = nil
	for _, l := range t.Laid.Loads {
		t.Drawn = append(t.Drawn, drawing.OnMat(t.Laid, l, laying))
	}
}

// Holds counts the pieces of a load by their place among the stock's.
func (t MatStock) Holds(load int) []int {
	n := make([]int, len(t.Pieces))
	for _, q := range t.Laid.Loads[load].Placed {
		n[q.Piece]++
	}
	return n
}

// matLoads are the loads of everything, as they are shown and written to files.
func (m benchStation) matLoads(all []MatStock) (list []MatLoad) {
	n := 0
	for _, t := range all {
		for i, l := range t.Laid.Loads {
			n++
			load := MatLoad{ID: MatID(n), Name: fmt.Sprintf("Mat %d", n), Times: l.Times, Size: m.by(t.Laid.Mat.Width, t.Laid.Mat.Height), Flat: t.Drawn[i]}
			load.Paper = t.Stock.Name + ", " + t.Sheet.Name
			if n := len(l.Papers); n > 1 {
				load.Paper = fmt.Sprintf("%s, %s of %s edge on edge", t.Stock.Name, say.Plural(n, "sheet"), t.Sheet.Name)
			}
			if t.Laid.Paper.CutDown {
				load.Paper += ", cut down to " + m.by(t.Laid.Paper.Width, t.Laid.Paper.Height)
			}
			var holds []string
			for k, count := range t.Holds(i) {
				if count > 0 {
					holds = append(holds, fmt.Sprintf("%d × %s", count, t.Pieces[k].Name))
				}
			}
			load.Holds = say.And(holds)
			load.Words = fmt.Sprintf("A mat of %s with %s of %s on it: %s.", load.Size, say.Plural(len(l.Papers), "sheet"), t.Stock.Name, load.Holds)
			for _, q := range l.Placed {
				if q.Angle != 0 && q.Angle != 90 {
					load.Words += fmt.Sprintf(" “%s” is turned by %.1f°.", t.Pieces[q.Piece].Name, q.Angle)
				}
			}
			list = append(list, load)
		}
	}
	return list
}

// MatID names a load among the pieces of a job.
func MatID(n int) string { return fmt.Sprintf("mat-%d", n) }

// mats is the drawer's account.
func (m benchStation) mats(c compare.Candidate, list []BenchPiece) *MatPlan {
	p := &MatPlan{Field: "paper.mat", Loads: []MatLoad{}, Misfits: []MatMisfit{}}
	on, ok := job.MatFor(m.Shop(), m.Job())
	if !ok {
		p.Says = "There is no mat on your shelf: enter your cutter's."
		return p
	}
	all := m.onMat(on, c, list)
	if loads := m.matLoads(all); len(loads) > 0 {
		p.Loads = loads
	}
	sheets := 0
	for _, t := range all {
		sheets += t.Laid.Times()
		for _, miss := range t.Laid.Misfits {
			p.Misfits = append(p.Misfits, m.misfit(on, c, list, t, miss))
		}
	}
	for i := range p.Loads {
		p.Loads[i].Flat = p.Loads[i].Flat.Drawn()
	}
	w, h := on.Usable()
	p.Says = fmt.Sprintf("Your %s cuts %s.", say.Lower(on.Name), m.by(w, h))
	if sheets > 0 {
		p.Says += fmt.Sprintf(" This takes %s of it.", say.Plural(sheets, "load"))
	}
	switch n := len(p.Misfits); {
	case n == 1:
		p.Says += fmt.Sprintf(" “%s” does not go on: %s.", p.Misfits[0].name, p.Misfits[0].Sticks)
	case n > 1:
		p.Says += fmt.Sprintf(" %s do not go on.", say.Capital(say.Plural(n, "piece")))
	}
	return p
}

// goes reports whether a blank goes on a mat, as its paper lets it be turned.
func (m benchStation) goes(on mat.Mat, sheet paper.Sheet, turns mat.Turns) func(compare.Candidate) bool {
	return func(c compare.Candidate) bool {
		laid := mat.Lay(m.Effort, on, sheet.Width, sheet.Height, []mat.Piece{{Outline: drawing.Worked(envelopeStation(m).flat(c).Level()).Corners(), Count: 1, Turns: turns}})
		return len(laid.Misfits) == 0
	}
}

// ontoMat are the changes of the envelope that bring its blank onto a mat.
func (m benchStation) ontoMat(on mat.Mat, c compare.Candidate, t MatStock) []offer.Onto {
	at := slices.IndexFunc(t.Pieces, func(x BenchPiece) bool { return x.ID == blankPiece })
	if at < 0 {
		return nil
	}
	sheet := t.Sheet
	if t.Turned {
		sheet.Width, sheet.Height = sheet.Height, sheet.Width
	}
	return offer.To(m.Maker).OntoMat(c, m.Candidates(), m.goes(on, sheet, t.Turns[at]))
}

// takeMat takes another mat, or a change that brings the envelope onto it.
func takeMat(m maker, id string) (job.Job, error) {
	if of, is := strings.CutPrefix(id, "mat:"); is {
		if slices.ContainsFunc(job.OnMats(m.Shop()), func(x mat.Mat) bool { return x.ID == of }) {
			j := m.Job().Clone()
			j.Paper.Mat = of
			return j, nil
		}
	}
	b, c, p := benchOf(m.Job(), m.Shop())
	if on, ok := job.MatFor(m.Shop(), m.Job()); ok && !c.Kind.Bought {
		for _, t := range b.onMat(on, c, b.pieces(c, p)) {
			for _, miss := range t.Laid.Misfits {
				if t.Pieces[miss.Piece].ID != blankPiece {
					continue
				}
				for _, o := range b.ontoMat(on, c, t) {
					if ontoID(o) == id {
						return o.Take(m.Job()), nil
					}
				}
			}
		}
	}
	return m.Job(), say.Refuse("“%s” no longer brings it onto the mat: look at the mats again.", say.Clip(id))
}
