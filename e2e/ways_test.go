package e2e

import (
	"crypto/sha256"
	"fmt"
	"maps"
	"math/rand/v2"
	"slices"
	"strings"
	"testing"
)

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
	for i, line := range lines {
		lines[i] = strings.Join(strings.Fields(line), " ")
	}
	heldAgainst(t, waysFile, lines)
}
