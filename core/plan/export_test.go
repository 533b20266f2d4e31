package plan

import (
	"context"

	"yellowparcel/core/cutting"
	"yellowparcel/core/job"
)

// PlanSteps is what all searches of one plan may use together.
const PlanSteps = planSteps

// MakeCounted is Make with the steps that its searches used.
func MakeCounted(j job.Job, shop job.Shop) (p Plan, used int) {
	e := cutting.NewEffort(context.Background(), planSteps)
	p, _ = makeWith(e, j, shop, "")
	return p, e.Used()
}
