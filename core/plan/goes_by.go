package plan

import (
	"slices"
	"strings"

	"yellowparcel/core/blank"
	"yellowparcel/core/job"
)

// GoesBy reports whether the numbers of a job's envelope go by one of the tools' fields: its
// path, as the shop has it.
func GoesBy(j job.Job, path string) bool {
	name, ok := strings.CutPrefix(path, "tools.")
	if !ok {
		return false
	}
	if j.Envelope.Way == "" && j.Construction() == blank.DiamondID && name == "owned."+string(blank.ScoreBoard) {
		return true // without one it is folded round the card
	}
	return slices.Contains(blank.ByID(j.Construction()).Way(j.Envelope.Way).Asks, name)
}
