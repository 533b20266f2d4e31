package plan

import (
	"fmt"
	"reflect"
	"strings"

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
		return otherSaid(c)
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

// others are what a job keeps that no field shows, by their paths.
var others = map[string]string{
	"card.outline": "The shape of the card", "mail.measured": "What was measured", "parts": "The parts of the card", "items": "The things on the panel", "recipe": "The recipe", "start": "The envelope that it began with",
}

// otherSaid says what was changed though its field shows the same, or there is none: a construction that was proposed
// and is chosen now.
func otherSaid(c job.Change) string {
	if words, ok := others[c.Of]; ok {
		return words
	}
	if words, ok := others[strings.SplitN(c.Of, ".", 2)[0]]; ok {
		return words
	}
	if c.Field != "" {
		return say.Capital(c.Field) + ": chosen, where it was proposed, or the other way round"
	}
	return "What no field shows"
}

// HowSaid says what brought a state about of which the changes from the one before say nothing, or not all: the oldest
// one that is kept, one that is as the one before, one that is as an earlier one was. Earlier are the states
// before it, when the days and times that they were kept at; empty where the changes say it all.
func HowSaid(earlier []job.Job, now job.Job, when []string) string {
	if len(earlier) == 0 {
		return "The oldest state that is kept"
	}
	for i := len(earlier) - 1; i >= 0; i-- {
		if !reflect.DeepEqual(earlier[i], now) {
			continue
		}
		if i == len(earlier)-1 {
			return "Done and undone: as before"
		}
		return "Back to the state of " + when[i]
	}
	return ""
}
