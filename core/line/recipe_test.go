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
		{"Start with a 12 x 12 sheet. Score at 4 3/8 and 12 5/8, rotate and score again at 5 and 12.", job.Recipe{Form: job.PairRecipe, Side1: 12 * in, Side2: 12 * in, Left: 35 * in / 8, Right: 101 * in / 8, Top: 5 * in, Bottom: 12 * in}},
		{"Punch board: 8 1/2 x 8 1/2 paper, first punch at 4 1/4", job.Recipe{Form: job.PunchRecipe, Side1: 17 * in / 2, Left: 17 * in / 4}},
		{"Cut paper 10 1/2 square, punch and score at 4 3/4", job.Recipe{Form: job.PunchRecipe, Side1: 21 * in / 2, Left: 19 * in / 4}},
		{"Cut 8 7/8 inch square. Score 3 1/4 from each corner.", job.Recipe{Form: job.CornersRecipe, Side1: 71 * in / 8, Left: 13 * in / 4}},
		{"Cut a 9½\" square. Score 3⅝\" in from every corner. Holds a 5 7/8 square floor", job.Recipe{Form: job.CornersRecipe, Side1: 19 * in / 2, Left: 29 * in / 8, ClaimWidth: 47 * in / 8, ClaimOf: job.ForFloor}},
		{"10 square, score 3, 3 1/8, 4 and 4 1/4, each from its corner", job.Recipe{Form: job.CornersRecipe, Side1: 10 * in, Left: 3 * in, Right: 25 * in / 8, Top: 4 * in, Bottom: 17 * in / 4}},
		{"Cut 21 x 27 cm; tabs 1.5 cm; flap 6 cm; back 10 cm", job.Recipe{Form: job.PocketRecipe, Side1: 210 * measure.Millimetre, Side2: 270 * measure.Millimetre, Left: 15 * measure.Millimetre, Top: 60 * measure.Millimetre, Bottom: 100 * measure.Millimetre}},
		{"Cut 7 1/2 x 10 3/4. Score the sides at 1/2, the top at 1 3/4 and the bottom at 4 1/4.", job.Recipe{Form: job.PocketRecipe, Side1: 15 * in / 2, Side2: 43 * in / 4, Left: in / 2, Top: 7 * in / 4, Bottom: 17 * in / 4}},
		{"7 1/2 x 10 3/4, side tabs 1/2 and 5/8, flap 1 3/4, back 4 1/4, for a 6 1/4 x 4 1/2 card", job.Recipe{Form: job.PocketRecipe, Side1: 15 * in / 2, Side2: 43 * in / 4, Left: in / 2, Right: 5 * in / 8, Top: 7 * in / 4, Bottom: 17 * in / 4, ClaimWidth: 25 * in / 4, ClaimHeight: 9 * in / 2, ClaimOf: job.ForCard}},
		{"Cut 7 1/2 x 10 3/4. Score 1/2 from the sides and 1 3/4 from the top. Walls 1/4 deep.", job.Recipe{Form: job.WallsRecipe, Side1: 15 * in / 2, Side2: 43 * in / 4, Left: in / 2, Top: 7 * in / 4, Wall: in / 4}},
		{"Cut 8 x 11. Score 1/2 both sides; 5/8 deep walls; 2 from the flap end, 4 from the other", job.Recipe{Form: job.WallsRecipe, Side1: 8 * in, Side2: 11 * in, Left: in / 2, Top: 2 * in, Bottom: 4 * in, Wall: 5 * in / 8}},
		{"For a 5 x 7 card cut 9 3/4 square and score at 4 1/8", job.Recipe{Form: job.CornersRecipe, Side1: 39 * in / 4, Left: 33 * in / 8, ClaimWidth: 5 * in, ClaimHeight: 7 * in, ClaimOf: job.ForCard}},
		{"Fits an envelope 5 1/4 x 7 1/4: cut 10 square, score at 4 1/8 and 10", job.Recipe{Form: job.PairRecipe, Side1: 10 * in, Left: 33 * in / 8, Right: 10 * in, ClaimWidth: 21 * in / 4, ClaimHeight: 29 * in / 4, ClaimOf: job.ForEnvelope}},
		{"Box mailer: 8 1/2\" square, score 2\" and 2 5/8\" on all four corners. Fits a 4 3/4 square card", job.Recipe{Form: job.BoxRecipe, Side1: 17 * in / 2, Left: 2 * in, Right: 21 * in / 8, ClaimWidth: 19 * in / 4, ClaimOf: job.ForCard}},
		{"Sheet 10, readings 5 1/16 and 4 1/16 from each corner, for a 5 3/8 square", job.Recipe{Form: job.CornersRecipe, Side1: 10 * in, Left: 81 * in / 16, Top: 65 * in / 16, ClaimWidth: 43 * in / 8}},
		{"Score 3 and 8 3/8 on a sheet of 8 3/4", job.Recipe{Form: job.PairRecipe, Side1: 35 * in / 4, Left: 3 * in, Right: 67 * in / 8}},
		{"Score at 3 and 8 3/8", job.Recipe{Form: job.PairRecipe, Left: 3 * in, Right: 67 * in / 8}},
		{"8 3/4 square, score 3 and 8 3/8, turn a quarter, repeat on all four sides", job.Recipe{Form: job.PairRecipe, Side1: 35 * in / 4, Left: 3 * in, Right: 67 * in / 8}},
		{"cut 24 cm square, score at 8 cm and 22.5 cm, not over 5 mm thick", job.Recipe{Form: job.PairRecipe, Side1: 240 * measure.Millimetre, Left: 80 * measure.Millimetre, Right: 225 * measure.Millimetre, Quoted: 5 * measure.Millimetre, QuotedOf: mail.Thickness}},
		{"8 3/4 square, score 3 and 8 3/8; no longer than 11 1/2 for a letter", job.Recipe{Form: job.PairRecipe, Side1: 35 * in / 4, Left: 3 * in, Right: 67 * in / 8, Quoted: 23 * in / 2, QuotedOf: mail.Length}},
		{"8 in x 20 cm, score at 4", job.Recipe{Form: job.CornersRecipe, Side1: 8 * in, Side2: 200 * measure.Millimetre, Left: 4 * in}},
		{"Score at 3", job.Recipe{Form: job.CornersRecipe, Left: 3 * in}},
		{"8 1/2 square, score 4 1/4 and punch", job.Recipe{Form: job.PunchRecipe, Side1: 17 * in / 2, Left: 17 * in / 4}},
		{"8 3/4 square (under a flap), score 3 and 8 3/8", job.Recipe{Form: job.PairRecipe, Side1: 35 * in / 4, Left: 3 * in, Right: 67 * in / 8}},
		{"8 3/4 square, score 3 and 8 3/8; no longer than 11 1/2 for a card", job.Recipe{Form: job.PairRecipe, Side1: 35 * in / 4, Left: 3 * in, Right: 67 * in / 8, Quoted: 23 * in / 2, QuotedOf: mail.Length}},
		{"11 square, tabs 1/2, flap 2, back 4", job.Recipe{Form: job.PocketRecipe, Side1: 11 * in, Left: in / 2, Top: 2 * in, Bottom: 4 * in}},
		{"Cut 8 x 11, walls 1/2, tabs 5/8, top 2, back 4", job.Recipe{Form: job.WallsRecipe, Side1: 8 * in, Side2: 11 * in, Wall: in / 2, Left: 5 * in / 8, Top: 2 * in, Bottom: 4 * in}},
		{"Cut 8 x 11; score at 2 and 6 from one end", job.Recipe{Form: job.EndRecipe, Side1: 8 * in, Side2: 11 * in, Top: 2 * in, Bottom: 6 * in}},
		{"Cut 8 x 11, back 4", job.Recipe{Form: job.PocketRecipe, Side1: 8 * in, Side2: 11 * in, Bottom: 4 * in}},
		{"8 3/4 square, score 3 and 8 3/8, no higher than 6 1/8", job.Recipe{Form: job.PairRecipe, Side1: 35 * in / 4, Left: 3 * in, Right: 67 * in / 8, Quoted: 49 * in / 8, QuotedOf: mail.Height}},
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
		{"Cut 8 9 square, score at 3", "9"},
		{"A7 card: cut 10 1/2 square, score at 4 3/4", "A7"},
		{"Cut 8 square, punch at 4, punch at 4 1/2", "4 1/2"},
		{"Cut 8 square, score at 1, 2, 3, 4 and 5", "5"},
		{"Cut 8 square, score at 3, for a 5 x 4 x 1 card", "1"},
		{"Cut 8 x 11, tabs 1/2 and 5/8 and 3/4, flap 2", "3/4"},
		{"Cut 8 square, score at 3, notch 1/2, notch 5/8", "5/8"},
		{"Cut 8 square, score at 3, walls 1/2, walls 5/8", "5/8"},
		{"Cut 8 square, score at 3, under 1/4, under 1/2", "1/2"},
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

// The chips are what was understood, each at its place and in the order of the text; what
// was not understood comes in that order too.
func TestChipsStandInTheirPlaces(t *testing.T) {
	for _, tt := range []struct{ text, chips, unread string }{
		{"Score 3 from every corner on 8 3/4 square, repeat, with glitter and 1/0", "3: score, every: corners, 8 3/4: sheet, square: square, repeat: repeat", "glitter, 1/0"},
		{"Cut 8 x 11. Score 1/2 both sides; 5/8 deep walls; 2 from the flap end, 4 from the other", "8: sheet, 11: sheet, 1/2: tabs, 5/8: walls, 2: flap, 4: back", ""},
		{"Cut 8 x 11; score at 2 and 6 from the same end, for a 5 square card", "8: sheet, 11: sheet, 2: score, 6: score, same: end, 5: claim", ""},
		{"Cut 8 x 11; score at 2 and 6 from one end", "8: sheet, 11: sheet, 2: score, 6: score, one: end", ""},
		{"Cut 8 square, punch at 4, notch 1/2", "8: sheet, square: square, 4: mark, 1/2: notch", ""},
		{"8 square folded round the card, under 1/4 (6.4 mm)", "8: sheet, square: square, round: round, 1/4 (6.4 mm: limit", ""},
		{"Cut 8 square, score at 1, 2, 3, 4 and 5", "8: sheet, square: square, 1: score, 2: score, 3: score, 4: score", "5"},
	} {
		t.Run(tt.text, func(t *testing.T) {
			n := ReadRecipe(tt.text, sixteenth)
			chips, unread := []string{}, []string{}
			for _, c := range n.Chips {
				chips = append(chips, tt.text[c.From:c.To]+": "+string(c.Meaning))
			}
			for _, u := range n.Unread {
				unread = append(unread, tt.text[u.From:u.To])
			}
			if got := strings.Join(chips, ", "); got != tt.chips {
				t.Errorf("chips %s", got)
			}
			if got := strings.Join(unread, ", "); got != tt.unread {
				t.Errorf("not read: %s", got)
			}
		})
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
