package race

import "testing"

// Alone leaves a test out when the detector watches: it does one thing after another, and
// runs in full without the detector.
func Alone(t testing.TB) {
	t.Helper()
	if Watches {
		t.Skip("it does one thing after another, and runs without the race detector")
	}
}
