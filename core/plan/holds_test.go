package plan_test

import (
	"testing"

	"yellowparcel/core/blank"
	"yellowparcel/core/job"
	"yellowparcel/core/plan"
)

// A box is as long filled as it is flat, and so is a bare card: neither is judged as if
// its thickness came off its sides. A pocket without walls still loses it.
func TestWallsHoldTheSize(t *testing.T) {
	filled := func(j job.Job, shop job.Shop) (text string, is bool) {
		for _, k := range plan.Make(j, shop).Mail.Classes {
			for _, c := range k.Checks {
				if c.Measure == "length" && c.About == "filled" {
					return c.Measured, true
				}
			}
		}
		return "", false
	}
	j, shop := sample()
	thick := 7 * in / 8
	j.Card.Width, j.Card.Height, j.Card.Thickness = 5*in+in/2, 4*in, &thick
	for _, tt := range []struct {
		name   string
		change func(*job.Job)
		want   bool
	}{
		{"a box from a square", func(j *job.Job) { j.Envelope.Construction = blank.BoxID }, false},
		{"a box with lid and tuck", func(j *job.Job) { j.Envelope.Construction = blank.TuckID }, false},
		{"a pocket with walls", func(j *job.Job) { j.Envelope.Construction = blank.GussetID }, false},
		{"a bare card", func(j *job.Job) { j.Mail.Bare = true }, false},
		{"a pocket without walls", func(j *job.Job) { j.Envelope.Construction = blank.PocketID }, true},
	} {
		t.Run(tt.name, func(t *testing.T) {
			k := j
			tt.change(&k)
			if text, is := filled(k, shop); is != tt.want {
				t.Errorf("it counts as %s long filled: %v", text, is)
			}
		})
	}
}
