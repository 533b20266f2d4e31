package plan_test

import (
	"slices"
	"strings"
	"testing"

	"yellowparcel/core/blank"
	"yellowparcel/core/card"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/plan"
	"yellowparcel/core/say"
	"yellowparcel/demo"
	"yellowparcel/internal/anyjob"
)

// pocketOf is the plan of a pocket round a flat card, sized as wished.
func pocketOf(t *testing.T, w, h measure.Length, wish func(*job.Job)) plan.BlankPlan {
	t.Helper()
	j := anyjob.Star(w, h, blank.PocketID)
	j.Card.Fold, j.Envelope.Pocket = card.FlatCard, blank.ExactPocket
	wish(&j)
	whole, err := plan.MakeFor(t.Context(), j, demo.Shop(), "envelope/blank")
	if err != nil {
		t.Fatal(err)
	}
	return whole.Envelope.Blank
}

func readingOf(p plan.BlankPlan, id string) string {
	for _, r := range p.Readings {
		if r.ID == id {
			return r.Value + ", " + r.Note
		}
	}
	return ""
}

// noteWith is the note that has some words, with its tone before it.
func noteWith(p plan.BlankPlan, words string) string {
	for _, n := range p.Notes {
		if strings.Contains(n.Text, words) {
			return string(n.Tone) + ": " + n.Text
		}
	}
	return ""
}

// A seam and a closing flap are two numbers, each held against the adhesive: 5 1/2 x 2 1/2, tape 1/2.
func TestSeamAndFlapAreTwo(t *testing.T) {
	p := pocketOf(t, 5*in+in/2, 2*in+in/2, func(*job.Job) {})
	for id, want := range map[string]string{"seam": "0.719 in, at worst 11⁄16; ", "overlap": "5⁄8, of the closing flap; at worst 0.469 in"} {
		if got := readingOf(p, id); !strings.HasPrefix(got, want) {
			t.Errorf("%s: %q, want %q", id, got, want)
		}
	}
	if note := noteWith(p, "seam"); note != "" {
		t.Errorf("the seam holds at worst: %s", note)
	}
	if note := noteWith(p, "closing flap may cover as little as 0.469 in at worst"); !strings.HasPrefix(note, string(say.Care)) {
		t.Errorf("%q of %v", note, p.Notes)
	}
}

// A seam that is made narrower than its tape is a caution, whatever was asked for; one as wide as its tape is none.
func TestMadeUnderItsTape(t *testing.T) {
	tests := []struct {
		name string
		wish func(*job.Job)
		want string
	}{
		{"1/2 less the taper", func(j *job.Job) { j.Envelope.Seam, j.Envelope.Flap = in/2, in+7*in/8 }, "care: The seam is 0.469 in, less than the double-sided tape, 1⁄2."},
		{"by the finger gap", func(j *job.Job) { j.Envelope.Pocket = blank.ThumbGapPocket }, "care: The seam is 0.469 in, less than the double-sided tape, 1⁄2."},
		{"1/2, the tabs on the back", func(j *job.Job) { j.Envelope.Seam, j.Envelope.TabsOnBack, j.Envelope.Flap = in/2, true, in+7*in/8 }, ""},
		{"5/8", func(j *job.Job) { j.Envelope.Seam, j.Envelope.Flap = 5*in/8, in+7*in/8 }, ""},
		{"7/16", func(j *job.Job) { j.Envelope.Seam, j.Envelope.Flap = 7*in/16, in+7*in/8 }, "trouble: The seam of 7⁄16 is narrower than the double-sided tape, 1⁄2."},
	}
	for _, tt := range tests {
		p := pocketOf(t, 5*in+3*in/8, 4*in+in/8, tt.wish)
		note := noteWith(p, "tape, 1⁄2")
		if (tt.want == "") != (note == "") || !strings.HasPrefix(note, tt.want) {
			t.Errorf("%s: %q, want %q", tt.name, note, tt.want)
		}
	}
}

// With two creases in place of each the closed size is the face once filled, w - T, and greatest and least sizes are
// both held against that: 3/16 thick and creases 1/8 apart, the face is 1/16 smaller filled.
func TestTwoCreasesAreHeldFilled(t *testing.T) {
	for _, id := range []blank.ID{blank.PocketID, blank.DiamondID} {
		for _, width := range []measure.Length{11*in + in/4, 4*in + 3*in/4} {
			thick := 3 * in / 16
			j := anyjob.Star(width, 4*in, id)
			j.Card.Fold, j.Card.Thickness, j.Envelope.Double = card.FlatCard, &thick, true
			made := plan.TableOf(j, demo.Shop()).Made
			whole, err := plan.MakeFor(t.Context(), j, demo.Shop(), "mail/checks")
			if err != nil {
				t.Fatal(err)
			}
			want := demo.Shop().Style().Show(made.Width-(thick-made.Depth)) + " in"
			for _, c := range whole.Mail.Classes {
				for _, k := range c.Checks {
					if c.ID == "letter" && k.Measure == "length" && (k.Measured != want || made.Depth != in/8) {
						t.Errorf("%s of %s, creases %s apart: its length is %s, want %s", id, made.Width, made.Depth, k.Measured, want)
					}
				}
			}
		}
	}
}

// What is too square by less than is usually shown is said finely: 1.2966 of 1.3 is not "too square by 0.00".
func TestTooSquareByALittle(t *testing.T) {
	j := anyjob.Star(6*in, 4*in, blank.BoughtID)
	j.Envelope.From, j.Envelope.OwnWidth, j.Envelope.OwnHeight = job.OwnEnvelope, 6*in+31*in/64, 5*in
	p := plan.Make(j, demo.Shop()).Mail
	for _, d := range p.Everywhere {
		if strings.Contains(d.Why, "by 0.00 ") || strings.HasSuffix(d.Why, "by 0.00") {
			t.Errorf("%s: %s", d.Name, d.Why)
		}
	}
	if why := p.Everywhere[slices.IndexFunc(p.Everywhere, func(d plan.DestinationPlan) bool { return d.ID == "us-domestic" })].Why; !strings.Contains(why, "too square by 0.003") {
		t.Errorf("%q", why)
	}
}

// Readings are named only where one counts: an overhang without its droop is none.
func TestCountedOnReadingsThatThereAre(t *testing.T) {
	j := anyjob.Star(5*in+3*in/8, 5*in+3*in/8, blank.DiamondID)
	said := func() (n int) {
		for _, r := range plan.Make(j, demo.Shop()).Mail.Remedies {
			if strings.Contains(r.Text, "Counted on from your readings") {
				n++
			}
		}
		return n
	}
	j.Mail.Measured = job.Measured{Overhang: 3 * in}
	if n := said(); n > 0 {
		t.Errorf("%d fixes are counted on from an overhang alone", n)
	}
	if j.Mail.Measured = (job.Measured{Grams: 20}); said() == 0 {
		t.Error("a weight that was read is not counted on from")
	}
}
