package worksheet

import (
	"fmt"
	"slices"

	"yellowparcel/core/blank"
	"yellowparcel/core/card"
	"yellowparcel/core/cutting"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/piece"
	"yellowparcel/core/plan"
)

// cutStock cuts everything of one stock from its sheets, in the order of the cutting plan.
func (w *writer) cutStock(s plan.StockPlan) {
	for _, at := range s.Unfit {
		w.byHand(s, at)
	}
	if len(s.Choices) == 0 {
		for _, p := range s.Pieces {
			w.bring(p.ID)
		}
		w.windows(s)
		return
	}
	c := cutter{w: w, stock: s, names: map[string]string{}, strips: map[string]int{}}
	for _, l := range s.Layouts {
		name := c.sheet(l)
		w.put(Step{Act: Take, Piece: name, Count: l.Times, Size: card.Size{Width: s.Width, Height: s.Height}})
		c.names[key(l, cutting.Rect{Width: s.Width, Height: s.Height})] = name
		// A sheet that is a piece as it is needs no cut.
		if len(l.Cuts) == 0 && len(l.Pieces) == 1 {
			w.put(Step{Act: Cut, Tool: blank.NoTool, Piece: name, Count: l.Times, Keep: s.Pieces[l.Pieces[0].Piece].ID, KeepTurned: l.Pieces[0].Turned})
		}
	}
	for _, step := range s.Steps {
		for _, n := range step.Numbers {
			for _, l := range s.Layouts {
				if at := slices.IndexFunc(l.Cuts, func(c cutting.Cut) bool { return c.Number == n }); at >= 0 {
					c.cut(l, l.Cuts[at], step.Setting.Nm)
				}
			}
		}
	}
	w.windows(s)
}

// cutter cuts the sheets of one stock.
type cutter struct {
	w      *writer
	stock  plan.StockPlan
	names  map[string]string // what a rectangle of a layout is called
	strips map[string]int    // how many strips each layout has
}

func key(l plan.LayoutPlan, r cutting.Rect) string { return fmt.Sprint(l.Name, r) }

func (c cutter) sheet(l plan.LayoutPlan) string {
	return "sheet " + l.Name + " of " + c.stock.ID
}

// part names what a rectangle of a layout is: a piece, waste, or a strip that is cut on.
func (c cutter) part(l plan.LayoutPlan, r cutting.Rect) (name string, turned bool) {
	for _, p := range l.Pieces {
		if p.Rect == r {
			return c.stock.Pieces[p.Piece].ID, p.Turned
		}
	}
	within := func(p cutting.Rect) bool {
		return p.X >= r.X && p.Y >= r.Y && p.X+p.Width <= r.X+r.Width && p.Y+p.Height <= r.Y+r.Height
	}
	if !slices.ContainsFunc(l.Pieces, func(p cutting.Placed) bool { return within(p.Rect) }) {
		return "", false
	}
	k := key(l, r)
	if c.names[k] == "" {
		c.strips[l.Name]++
		c.names[k] = fmt.Sprintf("%s, strip %d", c.sheet(l), c.strips[l.Name])
	}
	return c.names[k], false
}

// cut makes one cut of the plan on every sheet of its layout. The guide measures one of the two
// parts, which lies against the fence.
func (c cutter) cut(l plan.LayoutPlan, cut cutting.Cut, setting measure.Length) {
	first, second := cut.Parts()
	s := Step{Act: Cut, Piece: c.names[key(l, cut.From)], Count: l.Times, At: setting, Up: Shown}
	s.Fence = map[bool]Edge{true: Left, false: Top}[cut.Down]
	if setting != cut.At {
		first, second = second, first
		s.Fence = map[bool]Edge{true: Right, false: Bottom}[cut.Down]
	}
	s.Keep, s.KeepTurned = c.part(l, first)
	s.Off, s.OffTurned = c.part(l, second)
	s.Tool, s.Why = c.w.straight(cut.Length(), setting)
	c.w.put(s)
}

// straight is what a straight cut is made with, and why not with the trimmer.
func (w *writer) straight(length, setting measure.Length) (blank.ToolID, Why) {
	ruler := w.tools.Ruler
	switch {
	case !w.tools.Has(job.TrimmerTool):
		return w.cuttingTool(), NoTool
	case length > w.tools.TrimmerLength:
		return w.cuttingTool(), LongCut
	case ruler > 0 && setting > ruler:
		return w.cuttingTool(), BeyondRuler
	}
	return job.TrimmerTool, Usual
}

// byHand cuts a piece whose cuts are longer than the trimmer's from sheets of their own: one each.
func (w *writer) byHand(s plan.StockPlan, at int) {
	p, ok := w.Piece(s.Pieces[at].ID)
	width, height, turned := p.Width, p.Height, false
	fits := func() bool { return width <= s.Width && height <= s.Height }
	if !fits() {
		width, height, turned = height, width, true
	}
	if stock, known := w.Shop.Stock(s.ID); !ok || !fits() || turned && known && stock.Pattern != "" {
		w.bring(s.Pieces[at].ID)
		return
	}
	name := "sheet of " + s.ID + " for " + p.ID
	w.put(Step{Act: Take, Piece: name, Count: s.Pieces[at].Count, Size: card.Size{Width: s.Width, Height: s.Height}})
	w.rectangle(name, p.ID, s.Pieces[at].Count, card.Size{Width: s.Width, Height: s.Height}, card.Size{Width: width, Height: height}, turned)
}

// bring takes a piece that no sheet on the shelf gives: cut to size already, from paper that the
// maker gets. What is done with it then is as with any other.
func (w *writer) bring(id string) {
	w.out.Missing = append(w.out.Missing, id)
	if x, ok := w.Piece(id); ok && x.Count > 0 {
		w.put(Step{Act: Take, Piece: id, Count: w.fromSheets(id), Size: card.Size{Width: x.Width, Height: x.Height}, Why: NoSheet})
	}
}

// fromSheets is how many of a piece are cut from sheets: all but those that are cut already.
func (w *writer) fromSheets(id string) int {
	for _, s := range w.Plan.Paper.Stocks {
		if n := countOf(s, id); n > 0 {
			return n
		}
	}
	return w.Job.Count
}

// rectangle cuts a piece out of the top left corner of a rectangle.
func (w *writer) rectangle(from, piece string, count int, have, want card.Size, turned bool) {
	step := Step{Act: Cut, Piece: from, Count: count, Up: Shown}
	down := want.Width < have.Width
	across := want.Height < have.Height
	if down {
		s := step
		s.Fence, s.At, s.Keep, s.KeepTurned = Left, want.Width, piece, turned
		if across {
			s.Keep, s.KeepTurned = from+", strip", false
		}
		s.Tool, s.Why = w.straight(have.Height, want.Width)
		w.put(s)
		step.Piece = from + ", strip"
	}
	if across {
		step.Fence, step.At, step.Keep, step.KeepTurned = Top, want.Height, piece, turned
		step.Tool, step.Why = w.straight(want.Width, want.Height)
		w.put(step)
	}
	if !down && !across {
		step.Keep, step.KeepTurned = piece, turned
		w.put(step)
	}
}

// countOf is how many of a piece are cut from sheets.
func countOf(s plan.StockPlan, id string) int {
	for _, p := range s.Pieces {
		if p.ID == id {
			return p.Count
		}
	}
	return 0
}

// idOf is what something that is cut is called at the bench.
func idOf(c *piece.Cut) string {
	switch c.Role {
	case piece.BlankRole:
		return plan.BlankPiece
	case piece.LinerRole:
		return plan.LinerPiece
	}
	return c.ID
}

// windows cuts the middles out that save paper, and from what falls out the pieces that it makes.
func (w *writer) windows(s plan.StockPlan) {
	for _, saved := range s.Saved {
		x, ok := w.Piece(saved.FromID)
		if !ok {
			continue
		}
		middle := "the middle of " + saved.FromID
		step := Step{Act: CutOut, Tool: w.cuttingTool(), Piece: x.ID, Count: countOf(s, x.ID), Up: Shown, Keep: x.ID, Why: InsideSheet}
		if w.tools.Plunge() && w.tools.Has(job.TrimmerTool) {
			step.Tool, step.Why = job.TrimmerTool, Usual
		}
		left, top := (x.Width-saved.Size.Width)/2, (x.Height-saved.Size.Height)/2
		step.Lines = [][]Mark{{
			{In: &[2]measure.Length{left, top}}, {In: &[2]measure.Length{left + saved.Size.Width, top}},
			{In: &[2]measure.Length{left + saved.Size.Width, top + saved.Size.Height}}, {In: &[2]measure.Length{left, top + saved.Size.Height}},
		}}
		if saved.Of != nil {
			step.Off = middle
		}
		w.put(step)
		if saved.Of == nil {
			continue
		}
		size, turned := saved.Of.Size, false
		if size.Width > saved.Size.Width || size.Height > saved.Size.Height {
			size, turned = card.Size{Width: size.Height, Height: size.Width}, true
		}
		w.rectangle(middle, idOf(saved.Of), saved.Count, saved.Size, size, turned)
	}
}
