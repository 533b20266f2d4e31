package piece

import (
	"slices"
	"strings"
	"testing"

	"yellowparcel/internal/anyjob"
)

// Parts are taken as they were laid before only where everything of card and parts is as it was, but for
// what is named here: how the card is measured and counted, and what it is given out as.
func TestTheKeyHoldsEveryField(t *testing.T) {
	not := []string{".Card.Thickness", ".Card.ThicknessOf", ".Card.OverWidth", ".Card.OverHeight", ".Card.Room", ".Card.Made", ".Card.Grams", ".Card.Towards"}
	job := anyjob.Full()
	probe := anyjob.Full()
	for i, leaf := range anyjob.Leaves(&probe) {
		other := anyjob.Full()
		anyjob.Leaves(&other)[i].Change()
		laid := strings.HasPrefix(leaf.Path, ".Card.") || strings.HasPrefix(leaf.Path, ".Parts.")
		want := !laid || slices.Contains(not, leaf.Path) || strings.HasPrefix(leaf.Path, ".Card.Outline")
		if got := laidAlike(job, other); got != want {
			t.Errorf("after %s is another, laid alike: %v", leaf.Path, got)
		}
	}
}
