package plan

import (
	"fmt"

	"yellowparcel/core/job"
	"yellowparcel/core/say"
)

// mostChanges is how many changes of a state are said one by one.
const mostChanges = 4

// ChangesSaid says what was changed between two states of a job, one line a change; with
// the first states of a history before is nil.
func ChangesSaid(before *job.Job, after job.Job, shop job.Shop) []string {
	if before == nil {
		return []string{}
	}
	changes := job.Changes(*before, after, shop)
	lines := make([]string, 0, len(changes))
	for _, c := range changes {
		lines = append(lines, changeSaid(c))
	}
	if n := len(lines) - mostChanges; n > 0 {
		lines = append(lines[:mostChanges], fmt.Sprintf("and %s more", say.Plural(n, "change")))
	}
	return lines
}

func changeSaid(c job.Change) string {
	of := c.Of
	if of == "" {
		of = "a part without a name"
	}
	switch c.Kind {
	case job.EntryAdded:
		return "Added " + say.Lower(of)
	case job.EntryRemoved:
		return "Removed " + say.Lower(of)
	case job.OrderChanged:
		return "The parts lie in another order"
	case job.OtherChanged:
		return "The shape of the card"
	}
	field := say.Capital(c.Field)
	if c.Of != "" {
		field = c.Of + ", " + say.Lower(c.Field)
	}
	now, was := c.Now, c.Was
	if now == "" {
		now = "nothing"
	}
	if was == "" {
		was = "nothing"
	}
	return fmt.Sprintf("%s: %s, was %s", field, now, was)
}
