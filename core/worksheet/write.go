package worksheet

import (
	"yellowparcel/core/blank"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/plan"
)

// writer writes one worksheet.
type writer struct {
	plan.Table
	tools job.Tools
	tick  measure.Length
	out   Worksheet
	// machined are the pieces that come off the cutter's mat finished.
	machined map[string]bool
}

// Write writes the worksheet of a job.
func Write(t plan.Table) Worksheet {
	w := writer{Table: t, tools: t.Shop.Tools, tick: t.Shop.Style().Tick, machined: map[string]bool{}}
	w.put(Step{Act: Before, Count: t.Job.Count})
	done := w.onMats()
	for _, s := range t.Plan.Paper.Stocks {
		if !done[s.ID] {
			w.cutStock(s)
		}
	}
	for _, x := range t.Pieces {
		if x.Count > 0 && !w.machined[x.ID] {
			w.shape(x)
		}
	}
	w.cutDown()
	w.gauge()
	w.assemble()
	return w.out
}

func (w *writer) put(s Step) { w.out.Steps = append(w.out.Steps, s) }

// shape makes what is drawn on a piece that is cut: fold lines, then what lies inside, then what
// falls off its corners.
func (w *writer) shape(x plan.BenchPiece) {
	if w.Kind.Bought && x.ID == plan.BlankPiece {
		return // it is cut as it is sold
	}
	b := w.shapeOf(x)
	if b.odd {
		w.put(Step{Act: Trace, Tool: w.cuttingTool(), Piece: x.ID, Count: x.Count, Template: x.ID, Up: Shown, Why: NoTick})
		return
	}
	w.out.Steps = append(w.out.Steps, b.out...)
}

// cuttingTool is what cuts by hand.
func (w *writer) cuttingTool() blank.ToolID {
	if w.tools.Has(job.KnifeTool) {
		return job.KnifeTool
	}
	return job.ScissorsTool
}

// hair is a distance in millimetres that is nothing at the bench.
const hair = 0.002

// nm is a length of so many millimetres.
func nm(mm float64) measure.Length { return measure.Round(mm * float64(measure.Millimetre)) }

// ticked is a length that rulers show and that is the same as this one, as far as a hand can
// tell: on the shop's tick, else in half millimetres or in sixty-fourths.
func (w *writer) ticked(mm float64) (measure.Length, bool) {
	for _, tick := range []measure.Length{w.tick, measure.Millimetre / 2, measure.Inch / 64} {
		l := nm(mm).Near(tick)
		if off := l.Millimetres() - mm; l > 0 && off < hair && off > -hair {
			return l, true
		}
	}
	return 0, false
}
