package plan

import (
	"testing"

	"yellowparcel/core/job"
	"yellowparcel/core/measure"
)

// A number that is read is shown to a tick, and finer only where the tick hides which side of
// its limit it is on, or nearly so.
func TestNumbersNearTheirLimit(t *testing.T) {
	m := inShop(job.DefaultShop()) // sixteenths
	in := measure.Inch
	for _, tt := range []struct {
		l, limit measure.Length
		want     string
	}{
		{in / 2, in / 2, "1⁄2"},
		{in/2 - 20*in/1000, in / 2, "0.480 in"},
		{in/2 - 20*in/1000, in / 4, "1⁄2"},
		{in/2 + 10*in/1000, in / 2, "1⁄2"},
		{20 * in / 1000, 0, "0.020 in"},
		{271 * in / 1000, 0, "1⁄4"},
		{in / 16, 0, "1⁄16"},
	} {
		if got := nearLimit(m, tt.l, tt.limit); got != tt.want {
			t.Errorf("%v beside %v: %s, want %s", tt.l, tt.limit, got, tt.want)
		}
	}
}
