// Package soak says how often a test does what it makes up by seeds: a tenth of it in make
// test, all of it, or as often as SOAK says, in make soak.
package soak

import (
	"os"
	"strconv"
	"testing"
)

// Long reports whether everything is done, however long it takes.
func Long() bool { return os.Getenv("SOAK") != "" }

// Only leaves a test to make soak: what it shows on the screen is proved without a screen as well.
func Only(t testing.TB) {
	if !Long() {
		t.Skip("make soak runs it")
	}
}

// Of is a tenth of a full count, at least one; under make soak the full count, or what SOAK
// says where that is more.
func Of(full int) int {
	if !Long() {
		return max(1, full/10)
	}
	n, _ := strconv.Atoi(os.Getenv("SOAK"))
	return max(n, full)
}
