// Package golden holds what a package answered once against what it answers now, line
// by line: so that a test notices every number that moves, where no other sum says what
// it has to be. A change that is meant is taken over with
//
//	GOLDEN=update go test ./core/cutting
package golden

import (
	"fmt"
	"math"
	"os"
	"path/filepath"
	"strings"
	"testing"
)

// mostTold is how many lines that differ are told of.
const mostTold = 5

// Check compares lines with those of testdata/NAME.txt.
func Check(t *testing.T, name string, lines []string) {
	t.Helper()
	path := filepath.Join("testdata", name+".txt")
	text := strings.Join(lines, "\n") + "\n"
	if os.Getenv("GOLDEN") == "update" {
		if err := os.MkdirAll("testdata", 0o755); err != nil {
			t.Fatal(err)
		}
		if err := os.WriteFile(path, []byte(text), 0o600); err != nil {
			t.Fatal(err)
		}
		return
	}
	was, err := os.ReadFile(path)
	if err != nil {
		t.Fatal(err)
	}
	want := strings.Split(strings.TrimSuffix(string(was), "\n"), "\n")
	if len(want) != len(lines) {
		t.Errorf("%d lines, and there were %d", len(lines), len(want))
	}
	told := 0
	for i := range min(len(want), len(lines)) {
		if want[i] != lines[i] {
			if told++; told > mostTold {
				t.Fatal("and more")
			}
			t.Errorf("line %d is\n%s\nand was\n%s", i+1, lines[i], want[i])
		}
	}
}

// Number writes a number to nine digits, so that what is lost to rounding is not told.
func Number(v float64) string {
	if math.Abs(v) < 1e-9 {
		v = 0
	}
	return fmt.Sprintf("%.9g", v)
}

// Numbers writes several, parted by spaces.
func Numbers(list ...float64) string {
	words := make([]string, len(list))
	for i, v := range list {
		words[i] = Number(v)
	}
	return strings.Join(words, " ")
}
