package plan

import (
	"fmt"
	"math"

	"yellowparcel/core/blank"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
)

// OutlinePlan is what an odd shape asks of an envelope: the smallest rectangle
// round it, and the one that keeps it upright.
type OutlinePlan struct {
	Outline       blank.Polygon  `json:"outline"`
	Width         measure.Length `json:"width"`
	Height        measure.Length `json:"height"`
	UprightWidth  measure.Length `json:"uprightWidth"`
	UprightHeight measure.Length `json:"uprightHeight"`
	// Turned is the outline as it lies in the smallest rectangle.
	Turned   blank.Polygon `json:"turned"`
	Sentence string        `json:"sentence"`
}

// PlanOutline works out the rectangles round an outline, up to the shop's tick,
// since an envelope goes round them. The outline must pass blank.CheckOutline.
func PlanOutline(p blank.Polygon, shop job.Shop) OutlinePlan {
	style := shop.Style()
	m := inShop(shop)
	small, upright := blank.Covers(p)
	up := func(l measure.Length) measure.Length { return l.Up(style.Tick) }
	if area := func(w, h measure.Length) float64 { return up(w).Millimetres() * up(h).Millimetres() }; area(upright.Width, upright.Height) <= area(small.Width, small.Height) {
		small = upright // what a turn saves is less than a tick
	}
	o := OutlinePlan{
		Outline: p.Laid(0), Turned: p.Laid(small.Angle), Width: up(small.Width), Height: up(small.Height),
		UprightWidth: up(upright.Width), UprightHeight: up(upright.Height),
	}
	o.Sentence = fmt.Sprintf("Upright it fills %s. Turned by %.1f degrees the smallest rectangle round it is %s %s.",
		m.by(o.UprightWidth, o.UprightHeight), math.Abs(small.Angle), m.by(o.Width, o.Height), style.Unit)
	if small.Angle == 0 {
		o.Sentence = fmt.Sprintf("It fills %s %s; no turn makes that less.", m.by(o.Width, o.Height), style.Unit)
	}
	return o
}
