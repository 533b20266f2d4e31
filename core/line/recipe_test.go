package line

import (
	"fmt"
	"reflect"
	"strings"
	"testing"

	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/internal/told"
)

const in = measure.Inch

var sixteenth = measure.Style{Unit: measure.Inches, Tick: in / 16}

// recipeOf is a recipe without its text: its form, and what stands in it, lengths in inches.
func recipeOf(r job.Recipe) string {
	said := string(r.Form)
	v := reflect.ValueOf(r)
	for i := range v.NumField() {
		switch f := v.Field(i).Interface().(type) {
		case measure.Length:
			if f != 0 {
				said += " " + v.Type().Field(i).Name + " " + measure.Decimal(f, measure.Inch)
			}
		default:
			if name := v.Type().Field(i).Name; name != "Form" && name != "Text" && !v.Field(i).IsZero() {
				said += fmt.Sprintf(" %s %v", name, f)
			}
		}
	}
	return said
}

// What people write of a sheet and its scores is read into the form that fits.
func TestRecipesAsWritten(t *testing.T) {
	for _, tt := range told.Lines(t, "testdata/told.txt", "recipes", 2) {
		text, want := tt[0], tt[1]
		t.Run(text, func(t *testing.T) {
			n := ReadRecipe(text, sixteenth)
			if got := recipeOf(n.Recipe); n.Recipe.Text != text || got != want {
				t.Errorf("read as %s", got)
			}
			for _, u := range n.Unread {
				t.Errorf("not read: %q, %v", text[u.From:u.To], u.Err)
			}
			for _, c := range n.Chips {
				if c.From >= c.To || c.To > len(text) {
					t.Errorf("a chip at %d to %d", c.From, c.To)
				}
			}
		})
	}
}

// What is not understood is named where it stands, and nothing is put in its place.
func TestWhatIsNotUnderstood(t *testing.T) {
	for _, tt := range told.Lines(t, "testdata/told.txt", "recipes not understood", 2) {
		text, unread := tt[0], tt[1]
		t.Run(text, func(t *testing.T) {
			n := ReadRecipe(text, sixteenth)
			if len(n.Unread) != 1 || text[n.Unread[0].From:n.Unread[0].To] != unread {
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
	for _, tt := range told.Lines(t, "testdata/told.txt", "chips", 3) {
		text, wantChips, wantUnread := tt[0], tt[1], tt[2]
		t.Run(text, func(t *testing.T) {
			n := ReadRecipe(text, sixteenth)
			chips, unread := []string{}, []string{}
			for _, c := range n.Chips {
				chips = append(chips, text[c.From:c.To]+": "+string(c.Meaning))
			}
			for _, u := range n.Unread {
				unread = append(unread, text[u.From:u.To])
			}
			if got := strings.Join(chips, ", "); got != wantChips {
				t.Errorf("chips %s", got)
			}
			if got := strings.Join(unread, ", "); got != wantUnread {
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
