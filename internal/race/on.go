//go:build race

package race

// Watches is set when the race detector does.
const Watches = true
