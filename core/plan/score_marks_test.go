package plan_test

import (
	"fmt"
	"math"
	"slices"
	"strings"
	"testing"

	"yellowparcel/core/blank"
	"yellowparcel/core/job"
	"yellowparcel/core/plan"
	"yellowparcel/demo"
)

// marked are the marks of a plan, as text.
func marked(p plan.Plan) string {
	var list []string
	for _, s := range p.Envelope.Blank.Scores {
		list = append(list, fmt.Sprintf("%s %s %s", s.Panel, s.Text, s.From))
	}
	slices.Sort(list)
	return strings.Join(list, "; ")
}

// Every reading that is set stands at the crease that it makes, with what it is measured
// from.
func TestReadingsStandAtTheirCreases(t *testing.T) {
	for _, tt := range []struct {
		kind blank.ID
		way  blank.WayID
		want string
	}{
		{blank.DiamondID, blank.PairWay, "bottom 9 1⁄16 from top corner; left 3 3⁄8 from left corner; right 9 1⁄16 from left corner; top 3 3⁄8 from top corner"},
		{blank.DiamondID, blank.CornerWay, "bottom 3 3⁄8 from bottom corner; left 3 3⁄8 from left corner; right 3 3⁄8 from right corner; top 3 3⁄8 from top corner"},
		{blank.DiamondID, blank.CentreWay, "bottom 2 7⁄8 from the centre; left 2 7⁄8 from the centre; right 2 7⁄8 from the centre; top 2 7⁄8 from the centre"},
		{blank.DiamondID, blank.EdgeWay, "bottom 4 3⁄4 on the edges; left 4 3⁄4 on the edges; right 4 3⁄4 on the edges; top 4 3⁄4 on the edges"},
		{blank.DiamondID, blank.RoundWay, ""},
		{blank.PocketID, blank.NextEdge, "back 5 3⁄16 from the bottom; left 3⁄4 from the left; right 3⁄4 from the right; top 2 1⁄4 from the top"},
		{blank.PocketID, blank.OneEdge, "back 7 15⁄16 from the top; left 3⁄4 from the left; right 6 7⁄16 from the left; top 2 1⁄4 from the top"},
	} {
		t.Run(string(tt.kind)+" "+string(tt.way), func(t *testing.T) {
			j := demo.Jobs()[0]
			j.Envelope.Construction, j.Envelope.Way = tt.kind, tt.way
			if got := marked(plan.Make(j, demo.Shop())); got != tt.want {
				t.Errorf("marked %s", got)
			}
		})
	}
	// A board that reads 1/2 at the corner: a reading is that much more, at the same crease.
	j, shop := demo.Jobs()[0], demo.Shop()
	shop.Tools.CornerAt = in / 2
	if got := marked(plan.Make(j, shop)); !strings.Contains(got, "left 3 7⁄8 from left corner") {
		t.Errorf("on a board that reads 1/2: %s", got)
	}
}

// Radii and tapers that are set stand where they are cut; those that are not set do not.
func TestCalloutsWhereTheyAreCut(t *testing.T) {
	j := demo.Jobs()[0]
	j.Envelope.Construction = blank.PocketID
	if list := plan.Make(j, demo.Shop()).Envelope.Blank.Callouts; len(list) > 0 {
		t.Errorf("nothing is set: %+v", list)
	}
	j.Envelope.Corner, j.Envelope.Notch, j.Envelope.Sliver = in/4, in/2, in/16
	b := plan.Make(j, demo.Shop()).Envelope.Blank
	var said []string
	for _, k := range b.Callouts {
		said = append(said, k.Text+" "+k.Field)
		for _, p := range b.Net.Panels {
			if x0, y0, x1, y1 := p.Outline.Box(); p.ID == "front" && k.At.X > x0+1 && k.At.X < x1-1 && k.At.Y > y0+1 && k.At.Y < y1-1 {
				t.Errorf("%s stands on the card", k.Text)
			}
		}
	}
	slices.Sort(said)
	if got := strings.Join(said, "; "); got != "notch 1⁄2 envelope.notch; round 1⁄4 envelope.corner; taper 1⁄16 envelope.sliver" {
		t.Errorf("said: %s", got)
	}
}

// Whatever the way, no mark lies further from its crease than rounding and grooves take it,
// none stands twice at one crease, and all readings of the plan's own table are there.
func TestEveryReadingIsMarked(t *testing.T) {
	for _, base := range demo.Jobs() {
		for _, id := range blank.IDs() {
			if id == blank.NotedID || id == blank.BoughtID || id == blank.CutDownID {
				continue
			}
			for _, way := range blank.ByID(id).Ways {
				j := base
				j.Envelope.Construction, j.Envelope.Way = id, way.ID
				p := plan.Make(j, demo.Shop()).Envelope
				if p.Construction != id || p.Blank.Way != way.ID || way.ID == blank.RoundWay || way.ID == blank.NotchWay {
					continue
				}
				check(t, j, p.Blank)
			}
		}
	}
}

func check(t *testing.T, j job.Job, b plan.BlankPlan) {
	t.Helper()
	at := map[string]bool{}
	for _, s := range b.Scores {
		where := s.Start.X
		if !s.Upright {
			where = s.Start.Y
		}
		key := fmt.Sprint(s.Upright, math.Round(where*100))
		if at[key] {
			t.Errorf("%s, %s: two readings at %s", j.Name, b.Way, key)
		}
		at[key] = true
	}
	texts := map[string]bool{}
	for _, s := range b.Scores {
		texts[s.Text] = true
	}
	for _, w := range b.Ways {
		if w.ID != b.Way {
			continue
		}
		for _, s := range w.Settings {
			if !texts[s.At.Text] && !strings.Contains(s.Label, "read") {
				t.Errorf("%s, %s: %s at %s is not on the drawing", j.Name, b.Way, s.Label, s.At.Text)
			}
		}
	}
	if b.Size == "" {
		t.Errorf("%s: the sheet has no size", j.Name)
	}
}
