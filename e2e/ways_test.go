package e2e

import (
	"crypto/sha256"
	"fmt"
	"maps"
	"math/rand/v2"
	"slices"
	"strconv"
	"strings"
	"testing"
)

// rare are interleavings that are hardly ever made up: a job that was removed, the history beside it.
var rare = []string{
	"calm, gone, leave, return, calm, restore, calm, type width 6, calm",
	"calm, gone, leave, return, calm, other height 9, restore, calm, restore, answer 0, calm",
	"calm, gone, leave, return, calm, restore, lose 0, calm, restore, full 0, calm, restore, calm",
	"calm, look, answer 0, answer 0, calm, look, look, answer 1, answer 0, calm",
	"calm, look, lose 0, tick 500, tick 600, answer 0, calm",
	"look, leave, answer 0, answer 0, calm, return, calm",
	"calm, look, answer 0, leave, answer 0, tick 2000, calm",
	"calm, benchOther 4, event, benchOther 5, event, calm",
	"calm, leave, otherShop, event, calm, otherShop, calm",
	"calm, type width 6, answer 0, tick 150, type width 7, answer 0, tick 150, type width 8, answer 0, tick 150, type width 9, answer 0, tick 150, answer 0, tick 150, calm",
	"calm, type width 6, calm, other width 7, event, type height 9, answer 0, answer 0, answer 0, calm",
	"leave, answer 0, return, answer 0, answer 0, calm",
	"absent 0, calm, leave, return, lose 0, tick 1000, absent 1, calm",
	"leave, return, absent 0, answer 0, calm",
	"calm, lost, answer 0, shopSet unit cm, lost, answer 0, answer 0, lost, lose 0, calm",
	"load, load, answer 0, answer 0, load, calm, load, load, answer 0, calm, other width 8, load, calm",
	"calm, type width 6, answer 0, tick 3000, arrive 0, lose 0, event, answer 0, tick 100, calm",
	"calm, type width 6, answer 0, tick 3000, arrive 0, lose 0, other height 9, event, event, answer 0, tick 100, answer 0, calm, mine, calm",
	"calm, type width 6, answer 0, tick 3000, arrive 0, lose 0, type height 8, answer 0, event, answer 0, answer 0, calm",
	"leave, load, answer 0, return, leave, answer 0, answer 0, calm",
	"calm, drag width 1, answer 0, drag width 1, answer 0, drag width 1, answer 0, undo, calm, step width 1, calm, step width 1, calm, undo, calm",
	"calm, type width ?6, answer 0, type height 9, answer 0, left width, type name !x, answer 0, type height 8, answer 0, calm",
	"calm, add, calm, add, calm, add, calm, add, calm, add, calm, add, calm",
	"calm, shopType unit mm, left width, shopLeft, shopType unit !, shopLeft, calm, shopLoad, calm",
	"calm, shopType unit !, answer 0, shopLeft, answer 0, shopSet unit cm, calm",
	"calm, otherShop, event, answer 0, otherShop, event, answer 0, calm",
	"calm, shopLoad, shopLoad, otherShop, otherShop, event, answer 0, event, calm",
}

// What the machines do in made-up interleavings is what testdata/ways.txt says: of each kind one in
// full, what was asked, waited for and said after every step, and of the others a sum of that. Who
// changes it on purpose reads what comes out, and writes it anew with GOLDEN=update.
func TestMachinesKeepTheirWays(t *testing.T) {
	t.Parallel()
	const each, waysFile = 80, "testdata/ways.txt"
	page := machines(t, "../ui")
	var lines []string
	for _, kind := range slices.Sorted(maps.Keys(kinds)) {
		var scripts [][]step
		for i := range each {
			scripts = append(scripts, madeUp(rand.New(rand.NewPCG(7, uint64(i))), kind))
		}
		var ways []string
		if err := interleave(page, "ways", scripts, &ways); err != nil {
			t.Fatal(err)
		}
		for i, step := range strings.Split(ways[0], " | ") {
			lines = append(lines, fmt.Sprintf("%s, step %d | %s", kind, i+1, step))
		}
		for from := 1; from < each; from += 10 {
			sums := fmt.Sprintf("%s, the %d after %d |", kind, min(each, from+10)-from, from)
			for _, way := range ways[from:min(each, from+10)] {
				sums += fmt.Sprintf(" %.4x", sha256.Sum256([]byte(way)))
			}
			lines = append(lines, sums)
		}
	}
	var scripts [][]step
	for _, script := range rare {
		var steps []step
		for one := range strings.SplitSeq(script, ", ") {
			var s step
			for word := range strings.FieldsSeq(one) {
				if n, err := strconv.Atoi(word); err == nil && s[0] != "type" && s[0] != "other" {
					s = append(s, n)
				} else {
					s = append(s, word)
				}
			}
			steps = append(steps, s)
		}
		scripts = append(scripts, steps)
	}
	var ways []string
	if err := interleave(page, "ways", scripts, &ways); err != nil {
		t.Fatal(err)
	}
	for i, way := range ways {
		for k, step := range strings.Split(way, " | ") {
			lines = append(lines, fmt.Sprintf("told %d, step %d | %s", i+1, k+1, step))
		}
	}
	for i, line := range lines { // each as a file keeps it
		lines[i] = strings.Join(strings.Fields(line), " ")
	}
	heldAgainst(t, waysFile, lines)
}
