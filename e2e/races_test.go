package e2e

import (
	"os"
	"path/filepath"
	"strings"
	"testing"

	"yellowparcel/internal/soak"
)

// race is one of the races that earlier work took out of the machines: where it was, and what
// brings it back.
type race struct {
	name, file string
	swaps      [][2]string
}

// races reads them from testdata: a name, a file of ui/src, and lines that take each other's place.
func races(t *testing.T) (list []race) {
	t.Helper()
	raw, err := os.ReadFile("testdata/races.txt")
	if err != nil {
		t.Fatal(err)
	}
	for block := range strings.SplitSeq(strings.TrimSpace(string(raw)), "\n\n") {
		lines := strings.Split(block, "\n")
		r := race{name: strings.TrimPrefix(lines[0], "# "), file: lines[1]}
		for i := 2; i+1 < len(lines); i += 2 {
			r.swaps = append(r.swaps, [2]string{lines[i][2:], lines[i+1][2:]})
		}
		list = append(list, r)
	}
	return list
}

// spoiled is a copy of the screen's sources with a race put back.
func spoiled(t *testing.T, r race) string {
	t.Helper()
	dir := t.TempDir()
	for _, part := range []string{"src", "machines"} {
		if err := os.CopyFS(filepath.Join(dir, part), os.DirFS("../ui/"+part)); err != nil {
			t.Fatal(err)
		}
	}
	for _, name := range []string{"vite.machines.ts", "package.json", "tsconfig.json", "node_modules"} {
		full, _ := filepath.Abs("../ui/" + name)
		if err := os.Symlink(full, filepath.Join(dir, name)); err != nil {
			t.Fatal(err)
		}
	}
	path := filepath.Join(dir, "src", r.file)
	raw, err := os.ReadFile(path)
	if err != nil {
		t.Fatal(err)
	}
	text := string(raw)
	for _, swap := range r.swaps {
		if strings.Count(text, swap[0]) != 1 {
			t.Fatalf("%s has %d times %q: testdata/races.txt follows what it says", r.file, strings.Count(text, swap[0]), swap[0])
		}
		text = strings.Replace(text, swap[0], swap[1], 1)
	}
	if err := os.WriteFile(path, []byte(text), 0o600); err != nil {
		t.Fatal(err)
	}
	return dir
}

// Each race of earlier work, put back, is noticed: every fourth of them in make test, all in make soak.
func TestRacesAreNoticed(t *testing.T) {
	t.Parallel()
	for i, r := range races(t) {
		if i%4 != 0 && !soak.Long() {
			continue
		}
		t.Run(r.name, func(t *testing.T) {
			t.Parallel()
			page := machines(t, spoiled(t, r))
			for seed := uint64(1); seed <= 12; seed++ {
				if wrong := interleavings(t, page, 250, seed); len(wrong) > 0 {
					t.Logf("noticed among %d: %.300s", 250*seed, wrong[0])
					return
				}
			}
			t.Error("nothing went wrong with it in 3 000 interleavings")
		})
	}
}
