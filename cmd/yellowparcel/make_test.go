package main

import (
	"os/exec"
	"path/filepath"
	"slices"
	"strings"
	"testing"
)

// Make's lists name every folder that holds Go, so that a change in any of them
// builds the program anew and is tested.
func TestMakeNamesEveryFolder(t *testing.T) {
	cmd := exec.Command("make", "-s", "rooms")
	cmd.Dir = "../.."
	out, err := cmd.Output()
	if err != nil {
		t.Fatal(err)
	}
	named := strings.Fields(string(out))
	found := map[string]bool{}
	for _, pattern := range []string{"../../*/*.go", "../../*/*/*.go", "../../*/*/*/*.go"} {
		files, err := filepath.Glob(pattern)
		if err != nil {
			t.Fatal(err)
		}
		for _, f := range files {
			if room := strings.Split(filepath.ToSlash(f), "/")[2]; room != "ui" {
				found[room] = true
			}
		}
	}
	for room := range found {
		if !slices.Contains(named, room) {
			t.Errorf("Make does not name %s", room)
		}
	}
	if len(found) < 8 {
		t.Errorf("only %d folders were found", len(found))
	}
}
