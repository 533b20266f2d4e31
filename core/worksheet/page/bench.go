package page

import (
	"yellowparcel/core/job"
	"yellowparcel/core/plan"
	"yellowparcel/core/worksheet/bench"
)

// benchOf is a bench with what is printed and what the tools are.
func benchOf(t plan.Table) *bench.Bench {
	tools := t.Shop.Tools
	on, _ := job.MatFor(t.Shop, t.Job)
	return bench.New(t.Prints(), t.Made.Seen(), bench.Tools{
		NotchAt: tools.PunchAt.Near(t.Shop.Style().Tick), Punches: tools.Punches(), Round: tools.RoundRadius, Throat: tools.Throat,
		Mat: on, Perforates: tools.Cutter.Perforates(),
		Cut: tools.TrimmerLength, Ruler: tools.Ruler, Reach: tools.Reach, Groove: tools.Groove, CornerAt: tools.CornerAt, Notch: tools.NotchDepth,
		Tick: t.Shop.Style().Tick, Plunges: tools.Plunge(), Minutes: minutesOf(t.Shop),
	})
}

// minutesOf is how long the adhesives of a shop have to be held.
func minutesOf(shop job.Shop) map[string]int {
	list := map[string]int{}
	for _, a := range shop.Adhesives {
		list[a.ID] = a.Minutes
	}
	return list
}
