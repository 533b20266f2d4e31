// Package told reads what tests are told as lines: parts under a heading, a line each case, what
// stands in it parted by bars. A part in Go's quotation marks is read as Go reads it.
package told

import (
	"os"
	"strconv"
	"strings"
	"testing"
)

// Lines are the cases under the heading "# part" of a file, which ends with an empty line; each has
// that many parts.
func Lines(t testing.TB, file, part string, parts int) (list [][]string) {
	t.Helper()
	raw, err := os.ReadFile(file)
	if err != nil {
		t.Fatal(err)
	}
	_, lines, _ := strings.Cut("\n"+string(raw), "\n# "+part+"\n")
	lines, _, _ = strings.Cut(strings.TrimRight(lines, "\n"), "\n\n")
	for line := range strings.SplitSeq(lines, "\n") {
		of := strings.Split(line, " | ")
		for i, text := range of {
			if plain, err := strconv.Unquote(text); err == nil {
				of[i] = plain
			}
		}
		if len(of) != parts {
			t.Fatalf("%s: “%s” has %d parts, and not %d", file, line, len(of), parts)
		}
		list = append(list, of)
	}
	if len(list) < 4 {
		t.Fatalf("%s: %d lines of %s", file, len(list), part)
	}
	return list
}
