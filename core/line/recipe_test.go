package line

import (
	"strings"
	"testing"

	"yellowparcel/core/job"
	"yellowparcel/core/mail"
	"yellowparcel/core/measure"
)

const in = measure.Inch

var sixteenth = measure.Style{Unit: measure.Inches, Tick: in / 16}

// What people write of a sheet and its scores is read into the form that fits.
func TestRecipesAsWritten(t *testing.T) {
	for _, tt := range []struct {
		text string
		want job.Recipe
	}{
		{"Cut 8 3/4 square, score at 3 and 8 3/8, turn, repeat", job.Recipe{Form: job.PairRecipe, Side1: 35 * in / 4, Left: 3 * in, Right: 67 * in / 8}},
		{"8 3/4 square, score 3 and 8 3/8", job.Recipe{Form: job.PairRecipe, Side1: 35 * in / 4, Left: 3 * in, Right: 67 * in / 8}},
		{"10 x 10 sheet. Score 5 1/16 and 4 1/16 from each corner, for a 5 3/8 square card", job.Recipe{Form: job.CornersRecipe, Side1: 10 * in, Side2: 10 * in, Left: 81 * in / 16, Top: 65 * in / 16, ClaimWidth: 43 * in / 8, ClaimOf: job.ForCard}},
		{"Paper 8½\", punch at 4 1/4, notch 3/8", job.Recipe{Form: job.PunchRecipe, Side1: 17 * in / 2, Left: 17 * in / 4, Notch: 3 * in / 8}},
		{"Cut 7 1/2 x 10 3/4. Score 1/2 from both sides, 1 3/4 from the top, 4 1/4 from the bottom.", job.Recipe{Form: job.PocketRecipe, Side1: 15 * in / 2, Side2: 43 * in / 4, Left: in / 2, Top: 7 * in / 4, Bottom: 17 * in / 4}},
		{"Cut 7 1/2 by 10 3/4; score 1/2 from both sides; score at 1 3/4 and 6 1/2 from the same end", job.Recipe{Form: job.EndRecipe, Side1: 15 * in / 2, Side2: 43 * in / 4, Left: in / 2, Top: 7 * in / 4, Bottom: 13 * in / 2}},
		{"Box: cut 8 1/2 square, score 2 and 2 5/8 from every corner", job.Recipe{Form: job.BoxRecipe, Side1: 17 * in / 2, Left: 2 * in, Right: 21 * in / 8}},
		{"8 inch square folded round the card", job.Recipe{Form: job.SquareRecipe, Side1: 8 * in}},
		{"222 mm (8 3/4) square, score at 76 mm and 213 mm", job.Recipe{Form: job.PairRecipe, Side1: 222 * measure.Millimetre, Left: 76 * measure.Millimetre, Right: 213 * measure.Millimetre}},
		{"8 3/4 square, score 3 and 8 3/8, no thicker than 1/4", job.Recipe{Form: job.PairRecipe, Side1: 35 * in / 4, Left: 3 * in, Right: 67 * in / 8, Quoted: in / 4, QuotedOf: mail.Thickness}},
	} {
		t.Run(tt.text, func(t *testing.T) {
			n := ReadRecipe(tt.text, sixteenth)
			tt.want.Text = tt.text
			if n.Recipe != tt.want {
				t.Errorf("read as %+v", n.Recipe)
			}
			for _, u := range n.Unread {
				t.Errorf("not read: %q, %v", tt.text[u.From:u.To], u.Err)
			}
			for _, c := range n.Chips {
				if c.From >= c.To || c.To > len(tt.text) {
					t.Errorf("a chip at %d to %d", c.From, c.To)
				}
			}
		})
	}
}

// What is not understood is named where it stands, and nothing is put in its place.
func TestWhatIsNotUnderstood(t *testing.T) {
	for _, tt := range []struct{ text, unread string }{
		{"Cut 8 3/4 square, score at 3 and 8 3/0", "8 3/0"},
		{"Cut 8 3/4 square, decorate, score at 3 and 8 3/8", "decorate"},
		{"Cut 8 3/4 (230 mm) square, score at 3 and 8 3/8", "230 mm"},
		{"Cut 8 x 9 x 10, score at 3", "10"},
	} {
		t.Run(tt.text, func(t *testing.T) {
			n := ReadRecipe(tt.text, sixteenth)
			if len(n.Unread) != 1 || tt.text[n.Unread[0].From:n.Unread[0].To] != tt.unread {
				t.Errorf("not read: %+v", n.Unread)
			}
		})
	}
	if n := ReadRecipe("Cut 8 3/4 square, score at 3 and 8 3/0", sixteenth); n.Recipe.Right != 0 || n.Recipe.Left != 3*in && n.Recipe.Left != 0 {
		t.Errorf("guessed: %+v", n.Recipe)
	}
}

// Whatever is pasted, it is read: within the text, and the same again.
func FuzzRecipe(f *testing.F) {
	for _, s := range []string{"Cut 8 3/4 square, score at 3 and 8 3/8, turn, repeat", "½ ¾ x 3", "for for for 1 2 3", "7 1/2 x 10 3/4 deep walls 1/2 deep", strings.Repeat("score 1 ", 90)} {
		f.Add(s)
	}
	f.Fuzz(func(t *testing.T, text string) {
		n := ReadRecipe(text, sixteenth)
		for _, c := range n.Chips {
			if c.From < 0 || c.From >= c.To || c.To > len(text) {
				t.Fatalf("a chip at %d to %d of %d", c.From, c.To, len(text))
			}
		}
		for _, u := range n.Unread {
			if u.From < 0 || u.From >= u.To || u.To > len(text) {
				t.Fatalf("unread at %d to %d of %d", u.From, u.To, len(text))
			}
		}
		if m := ReadRecipe(text, sixteenth); m.Recipe != n.Recipe {
			t.Fatalf("read again: %+v, %+v", n.Recipe, m.Recipe)
		}
	})
}
