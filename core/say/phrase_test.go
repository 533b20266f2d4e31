package say

import (
	"slices"
	"testing"
)

func TestClausesAreSaidWhereTheyMayBe(t *testing.T) {
	s := Slots{"a": "1", "b": "two"}
	s.Flag("set", true)
	s.Flag("unset", false)
	for _, tt := range []struct {
		name string
		c    Clause
		want bool
	}{
		{"always", Always("x"), true}, {"filled", Always("{a} and {b}"), true}, {"not filled", Always("{a} and {c}"), false},
		{"when set", When("set", "x"), true}, {"when unset", When("unset", "x"), false}, {"unless set", Unless("set", "x"), false}, {"unless unset", Unless("unset", "x"), true},
		{"when both", When("a,set", "x"), true}, {"when one is missing", When("a,unset", "x"), false}, {"unless either", Unless("unset,a", "x"), false},
		{"when and unless", Clause{"x", "a", "b"}, false}, {"when and unless another", Clause{"x", "a", "c"}, true},
	} {
		t.Run(tt.name, func(t *testing.T) {
			if got := s.Says(tt.c); got != tt.want {
				t.Errorf("said: %v", got)
			}
		})
	}
}

// What is marked stands in brackets, over the end of a clause too; what fills a slot is
// taken as it is, and stretches that are marked alike are one.
func TestSentencesOfClauses(t *testing.T) {
	s := Slots{"a": "[50 %]", "b": "{b}"}
	got := s.Sentence(Always("Cut [{a}"), Always("] of "), Unless("a", "nothing"), Always("{b}, "), Always("now."))
	want := []Span{{"Cut ", false}, {"[50 %]", true}, {" of {b}, now.", false}}
	if got.Text != "Cut [50 %] of {b}, now." || !slices.Equal(got.Spans, want) {
		t.Errorf("%q, %v", got.Text, got.Spans)
	}
	if s.Text() != "" || s.Text(Always("{c}")) != "" || len(s.Sentence().Spans) != 0 {
		t.Error("something is said of nothing")
	}
	if got := s.Lines(Always("one"), Always("{c}"), Always("two {b}")); !slices.Equal(got, []string{"one", "two {b}"}) {
		t.Errorf("lines %q", got)
	}
	if got := (Clause{"{a} of {b c}", "d", "e,f"}).Names(); !slices.Equal(got, []string{"a", "b c", "d", "e", "f"}) {
		t.Errorf("it goes by %q", got)
	}
}

func TestListsAndCounts(t *testing.T) {
	for want, list := range map[string][]string{"": nil, "a": {"a"}, "a and b": {"a", "b"}, "a, b and c": {"a", "b", "c"}} {
		if got := And(list); got != want {
			t.Errorf("%q, want %q", got, want)
		}
	}
	for n, want := range map[int]string{0: "0 cuts", 1: "1 cut", 2: "2 cuts"} {
		if got := Plural(n, "cut"); got != want {
			t.Errorf("%q, want %q", got, want)
		}
	}
	if Care.Says("Mind.") != (Note{Tone: Care, Text: "Mind."}) {
		t.Error("a note has another tone")
	}
}

func TestWordsOfEveryRoom(t *testing.T) {
	if Lower("Tape") != "tape" || Lower("") != "" || Capital("tape") != "Tape" || Capital("") != "" {
		t.Error("letters")
	}
	long := "123456789012345678901234567890"
	if Clip(long) != long || Clip(long+"1") != long+"…" {
		t.Errorf("clipped to %q", Clip(long+"1"))
	}
	if err := Refuse("“%s” is none.", "x"); err.Error() != "“x” is none." {
		t.Error(err)
	}
	a, b := That("Cut [%s].", "5"), That("Then [%d]", 2)
	if got := a.And(b).Then("!"); got.Text != "Cut 5. Then 2!" || len(got.Spans) != 7 || !got.Spans[1].Mark || got.Spans[3] != (Span{" ", false}) || !got.Spans[5].Mark {
		t.Errorf("%q %v", got.Text, got.Spans)
	}
	if got := a.Joined(b); got.Text != "Cut 5.Then 2" {
		t.Errorf("%q", got.Text)
	}
	if got := That("[%s] %% of [%s]", "a", "b"); got.Text != "a % of b" || !got.Spans[0].Mark || got.Spans[1].Mark {
		t.Errorf("%q %v", got.Text, got.Spans)
	}
}
