//go:build !race

// Package race tells tests whether the race detector watches them: sums done one after
// another find nothing there, and take ten times as long.
package race

// Watches is set when the race detector does.
const Watches = false
