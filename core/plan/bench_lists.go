package plan

import (
	"strconv"

	"yellowparcel/core/drawing"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
)

// ListID names what is written out as a table.
type ListID string

// The lists.
const (
	PiecesList ListID = "pieces"
	CutsList   ListID = "cuts"
)

// Lists names every list, for the files.
func Lists() []ListID { return []ListID{PiecesList, CutsList} }

// ListOf is a list of a job; false where there is none of that name. Lengths are decimals in
// both units, so that a spreadsheet can go on with them.
func ListOf(j job.Job, shop job.Shop, id ListID) (drawing.List, bool) {
	switch id {
	case PiecesList:
		m, c, p := benchOf(j, shop)
		if m.Waits() {
			return m.pieceList(nil), true
		}
		return m.pieceList(m.pieces(c, p)), true
	case CutsList:
		return cutList(Make(j, shop).Paper), true
	}
	return drawing.List{}, false
}

// both are a length in inches and in millimetres.
func both(l measure.Length) []string {
	return []string{measure.Decimal(l, measure.Inch), measure.Decimal(l, measure.Millimetre)}
}

// pieceList is every piece with its size, its count, and where it is scored.
func (m benchStation) pieceList(pieces []BenchPiece) drawing.List {
	l := drawing.List{Columns: []string{"Piece", "Paper", "How many", "Width in", "Width mm", "Height in", "Height mm", "Scores"}}
	for _, x := range pieces {
		if x.Count == 0 {
			continue
		}
		row := append([]string{x.Name, x.Paper, strconv.Itoa(x.Count)}, both(x.Width)...)
		l.Rows = append(l.Rows, append(append(row, both(x.Height)...), strconv.Itoa(len(x.Flat.Of(drawing.Score)))))
	}
	return l
}

// cutList is every cut in its order: what the guide is set to, and what is cut there.
func cutList(p PaperPlan) drawing.List {
	l := drawing.List{Columns: []string{"Paper", "Sheet", "Layout", "Sheets", "Step", "Guide in", "Guide mm", "Cut"}}
	for _, s := range p.Stocks {
		layouts := map[int]LayoutPlan{}
		for _, layout := range s.Layouts {
			for _, c := range layout.Cuts {
				layouts[c.Number] = layout
			}
		}
		for i, step := range s.Steps {
			for k, words := range step.Cuts {
				on := layouts[step.Numbers[k]]
				row := append([]string{s.Name, s.SheetName, on.Name, strconv.Itoa(on.Times), strconv.Itoa(i + 1)}, both(step.Setting.Nm)...)
				l.Rows = append(l.Rows, append(row, words))
			}
		}
	}
	return l
}
