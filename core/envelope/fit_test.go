package envelope

import (
	"strings"
	"testing"

	"yellowparcel/core/measure"
)

const in = measure.Inch

func format(t *testing.T, id string) Format {
	t.Helper()
	for _, f := range Formats() {
		if f.ID == id {
			return f
		}
	}
	t.Fatalf("no format %s", id)
	return Format{}
}

func TestFormatsAreSound(t *testing.T) {
	seen := map[string]bool{}
	for _, f := range Formats() {
		if f.ID == "" || f.Name == "" || f.Family == "" || seen[f.ID] {
			t.Errorf("%+v lacks a name or repeats an ID", f)
		}
		seen[f.ID] = true
		if f.Width < f.Height || f.Height < 3*in {
			t.Errorf("%s is %v x %v: the long side comes first", f.Name, f.Width, f.Height)
		}
		for _, c := range f.Cards {
			if c.Width >= f.Width || c.Height >= f.Height {
				t.Errorf("%s is sold for a card that does not go in: %v x %v", f.Name, c.Width, c.Height)
			}
		}
	}
	if _, err := readFormats([]byte("{")); err == nil || !strings.Contains(err.Error(), "formats.json") {
		t.Errorf("a broken file: %v", err)
	}
}

func TestJudge(t *testing.T) {
	for _, tt := range []struct {
		ease measure.Length
		want Verdict
	}{
		{-1, DoesNotFit}, {0, TooTight}, {in/16 - 1, TooTight}, {in / 16, Snug}, {in/8 - 1, Snug},
		{in / 8, Right}, {3 * in / 8, Right}, {3*in/8 + 1, Loose}, {3 * in / 4, Loose}, {3*in/4 + 1, Rattles},
	} {
		if got := judge(tt.ease, 0); got != tt.want {
			t.Errorf("an ease of %v is %q, want %q", tt.ease, got, tt.want)
		}
	}
}

func TestTogether(t *testing.T) {
	for _, tt := range []struct{ a, b, want Verdict }{
		{DoesNotFit, Rattles, DoesNotFit},
		{Rattles, TooTight, TooTight},
		{Snug, Loose, Snug},
		{Right, Loose, Loose},
		{Rattles, Right, Rattles},
		{Right, Right, Right},
	} {
		if got := together(tt.a, tt.b); got != tt.want {
			t.Errorf("%s with %s is %s, want %s", tt.a, tt.b, got, tt.want)
		}
	}
}

// The trade's own pairs must never be called tight: plain layers in the
// envelope they are sold for are right, whatever 1/8 in the list does.
func TestTradePairsAreRight(t *testing.T) {
	caliper := 130 * measure.Micrometre
	for _, f := range Formats() {
		for _, c := range f.Cards {
			for _, turned := range []bool{false, true} {
				w, h := c.Width, c.Height
				if turned {
					w, h = h, w
				}
				fit := FitCard(f, Card{w, h, in / 24, nil}, caliper)
				if fit.Verdict != Right || fit.Turned != turned {
					t.Errorf("%s with its own card, turned %v: %q, turned %v, ease %v and %v", f.Name, turned, fit.Verdict, fit.Turned, fit.EaseWidth, fit.EaseHeight)
				}
			}
		}
	}
}

func TestFitCountsThicknessAndCaliper(t *testing.T) {
	c := 130 * measure.Micrometre
	fit := FitCard(format(t, "a7"), Card{7 * in, 5 * in, in / 8, nil}, c)
	if want := in/4 - 2*c - in/8; fit.EaseWidth != want || fit.EaseHeight != want {
		t.Errorf("ease %v and %v, want %v", fit.EaseWidth, fit.EaseHeight, want)
	}
	if fit.Verdict != Snug {
		t.Errorf("a card with foam in its plain envelope is %q", fit.Verdict)
	}
	long := FitCard(format(t, "a2"), Card{6 * in, 4 * in, 0, nil}, c)
	if long.Verdict != DoesNotFit || long.ShortBy() != in/4+2*c {
		t.Errorf("6 x 4 in an A2: %q, short by %v", long.Verdict, long.ShortBy())
	}
}

func TestRank(t *testing.T) {
	fits := Rank(Formats(), Card{5*in + 3*in/8, 5*in + 3*in/8, in / 25, nil}, 130*measure.Micrometre, in/4)
	if len(fits) != len(Formats()) {
		t.Fatalf("%d fits for %d formats", len(fits), len(Formats()))
	}
	for i := 1; i < len(fits); i++ {
		if rank[fits[i].Verdict] < rank[fits[i-1].Verdict] {
			t.Errorf("%s (%s) stands after %s (%s)", fits[i].Format.Name, fits[i].Verdict, fits[i-1].Format.Name, fits[i-1].Verdict)
		}
	}
	best := FitCard(format(t, "sq-5-1-2"), Card{5*in + 3*in/8, 5*in + 3*in/8, in / 25, nil}, 130*measure.Micrometre)
	if best.Verdict != Snug {
		t.Errorf("5 3/8 square in 5 1/2 square is %q", best.Verdict)
	}
}

// Counted as it lies a raised card may go where as a block it does not, and an
// envelope on the shelf goes before one of the same size to be bought.
func TestRoomAndOwned(t *testing.T) {
	c := Card{7 * in, 5 * in, 3 * in / 16, nil}
	if fit := FitCard(format(t, "a7"), c, 130*measure.Micrometre); fit.Verdict != TooTight {
		t.Errorf("as a block: %q", fit.Verdict)
	}
	c.Takes = &Size{in / 16, in / 16}
	if fit := FitCard(format(t, "a7"), c, 130*measure.Micrometre); fit.Verdict != Right {
		t.Errorf("as it lies: %q", fit.Verdict)
	}
	mine := format(t, "a7")
	mine.ID, mine.Owned = "mine", true
	if fits := Rank(append(Formats(), mine), Card{7 * in, 5 * in, 0, nil}, 0, in/4); fits[0].Format.ID != "mine" {
		t.Errorf("%s stands before the one on the shelf", fits[0].Format.ID)
	}
}
