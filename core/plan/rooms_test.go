package plan_test

import (
	"os"
	"os/exec"
	"path/filepath"
	"regexp"
	"slices"
	"strings"
	"testing"
)

// arrows are what each room may import of the house: every arrow that there is.
var arrows = map[string]string{
	"core/measure":         "",
	"core/say":             "",
	"core/field":           "core/measure core/say",
	"core/paper":           "core/measure",
	"core/card":            "core/measure core/say",
	"core/envelope":        "core/measure",
	"core/blank":           "core/measure core/say",
	"core/cutting":         "core/measure",
	"core/mail":            "core/measure",
	"core/mat":             "core/blank core/cutting core/measure",
	"core/drawing":         "core/blank core/card core/mail core/mat core/measure",
	"core/job":             "core/blank core/card core/envelope core/field core/mail core/mat core/measure core/paper core/say",
	"core/piece":           "core/card core/cutting core/job core/mail core/measure core/paper",
	"core/compare":         "core/blank core/cutting core/envelope core/job core/mail core/measure core/paper core/piece",
	"core/offer":           "core/blank core/card core/compare core/cutting core/envelope core/job core/mail core/measure core/paper core/piece",
	"core/recipe":          "core/blank core/card core/compare core/job core/mail core/measure",
	"core/line":            "core/blank core/card core/envelope core/field core/job core/mail core/measure core/paper",
	"core/plan":            "core/blank core/card core/compare core/cutting core/drawing core/envelope core/field core/job core/line core/mail core/mat core/measure core/offer core/paper core/piece core/recipe core/say",
	"core/worksheet":       "core/blank core/card core/cutting core/drawing core/job core/measure core/paper core/piece core/plan",
	"core/worksheet/bench": "core/blank core/drawing core/mat core/measure core/worksheet",
	"core/worksheet/page":  "core/blank core/drawing core/field core/job core/measure core/paper core/plan core/say core/worksheet core/worksheet/bench",
	"format":               "core/blank core/drawing core/measure",
	"device":               "",
	"demo":                 "core/blank core/card core/job core/measure core/paper",
	"store":                "core/job core/plan",
	"server":               "core/blank core/cutting core/drawing core/field core/job core/mail core/measure core/plan core/say core/worksheet/page device format store",
	"cmd/yellowparcel":     "core/job demo device server store",
	"e2e":                  "",
}

// outside is what no room of core may reach, however far away: the web and the
// database.
var outside = []string{"net/http", "database/sql", "modernc.org", "github.com/jmoiron", "github.com/go-chi", "github.com/danielgtaylor"}

func TestRoomsImportAlongTheArrows(t *testing.T) {
	out, err := exec.Command("go", "list", "-f", "{{.ImportPath}} {{join .Imports \" \"}}", "yellowparcel/core/...", "yellowparcel/cmd/...", "yellowparcel/demo",
		"yellowparcel/device", "yellowparcel/format", "yellowparcel/store", "yellowparcel/server", "yellowparcel/e2e").Output()
	if err != nil {
		t.Fatal(err)
	}
	seen := map[string]bool{}
	for line := range strings.Lines(string(out)) {
		imports := strings.Fields(line)
		room := strings.TrimPrefix(imports[0], "yellowparcel/")
		allowed, known := arrows[room]
		if seen[room] = true; !known {
			t.Errorf("%s is a room without arrows: say what it may import", room)
			continue
		}
		var used []string
		for _, to := range imports[1:] {
			if to, own := strings.CutPrefix(to, "yellowparcel/"); own {
				used = append(used, to)
				if !slices.Contains(strings.Fields(allowed), to) {
					t.Errorf("%s imports %s", room, to)
				}
			}
		}
		for _, to := range strings.Fields(allowed) {
			if !slices.Contains(used, to) {
				t.Errorf("%s may import %s, and does not: take the arrow away", room, to)
			}
		}
	}
	for room := range arrows {
		if !seen[room] {
			t.Errorf("there is no room %s", room)
		}
	}
}

func TestCoreKnowsNoWebAndNoDatabase(t *testing.T) {
	out, err := exec.Command("go", "list", "-deps", "yellowparcel/core/...").Output()
	if err != nil {
		t.Fatal(err)
	}
	for _, dep := range strings.Fields(string(out)) {
		// The polygons of the geometry library can be stored; ours are not.
		if dep != "database/sql/driver" && slices.ContainsFunc(outside, func(o string) bool { return strings.HasPrefix(dep, o) }) {
			t.Errorf("core reaches %s", dep)
		}
	}
}

// No file is longer than one can hold, and no value does more than one can name: else
// there is a concept in it that wants a room of its own.
func TestNoFileOrValueIsAHall(t *testing.T) {
	const mostLines, mostMethods = 400, 40
	receiver := regexp.MustCompile(`(?m)^func \((?:\w+ )?\*?(\w+)(?:\[\w+\])?\) `)
	methods := map[string]int{}
	for _, glob := range []string{"../*/*.go", "../*/*/*.go", "../../*/*.go", "../../cmd/*/*.go", "../../internal/*/*.go", "../../ui/src/*.vue", "../../ui/src/*/*.vue", "../../ui/src/*/*/*.vue", "../../ui/src/*/*.ts"} {
		files, err := filepath.Glob(glob)
		if err != nil {
			t.Fatal(err)
		}
		for _, file := range files {
			text, err := os.ReadFile(file)
			if err != nil {
				t.Fatal(err)
			}
			if lines := strings.Count(string(text), "\n"); lines > mostLines && !strings.Contains(string(text[:min(len(text), 40)]), "Made by make types") {
				t.Errorf("%s has %d lines", file, lines)
			}
			if strings.HasSuffix(file, ".go") {
				for _, m := range receiver.FindAllStringSubmatch(string(text), -1) {
					methods[filepath.Dir(file)+" "+m[1]]++
				}
			}
		}
	}
	for value, n := range methods {
		if n > mostMethods {
			t.Errorf("%s has %d methods", value, n)
		}
	}
	if len(methods) < 50 {
		t.Errorf("only %d values were looked at", len(methods))
	}
}
