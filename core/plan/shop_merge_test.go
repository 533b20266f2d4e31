package plan_test

import (
	"math/rand/v2"
	"reflect"
	"strings"
	"testing"

	"yellowparcel/core/mail"
	"yellowparcel/core/plan"
	"yellowparcel/demo"
)

func merged(t *testing.T, was, mine, theirs plan.Shop) (plan.Shop, []string) {
	t.Helper()
	got, told, err := plan.MergeShop(was, mine, theirs)
	if err != nil {
		t.Fatal(err)
	}
	return got, told
}

// Two windows begin with one shelf; whatever both do, nothing is lost.
func TestTwoWindowsOnOneShelf(t *testing.T) {
	was := demo.Shop()
	mine, theirs := demo.Shop(), demo.Shop()
	mine.Envelopes[0].Have, theirs.Envelopes[0].Name = 33, "Cream, from the gala"
	mine.Envelopes = append(mine.Envelopes, plan.OwnedEnvelope{ID: "envelopes-own-1", Name: "Mine", Width: 6 * in, Height: 4 * in})
	theirs.Envelopes = append(theirs.Envelopes, plan.OwnedEnvelope{ID: "envelopes-own-1", Name: "Theirs", Width: 7 * in, Height: 5 * in})
	theirs.Sheets[1].Off = true
	mine.Stocks[2].GSM = 121
	theirs.Rulebooks = append(theirs.Rulebooks, plan.OwnRulebook{File: mail.Files()[0]})
	theirs.Rulebooks[0].File.ID = "hill"
	got, told := merged(t, was, mine, theirs)
	if len(told) > 0 {
		t.Errorf("told without need: %v", told)
	}
	if e := got.Envelopes; len(e) != 4 || e[0].Have != 33 || e[0].Name != "Cream, from the gala" || e[2].Name != "Theirs" || e[3].Name != "Mine" || e[2].ID == e[3].ID {
		t.Errorf("envelopes: %+v", e)
	}
	if !got.Sheets[1].Off || got.Stocks[2].GSM != 121 || len(got.Rulebooks) != 1 || got.Rulebooks[0].File.ID != "hill" {
		t.Errorf("%v, %v, %d rulebooks", got.Sheets[1].Off, got.Stocks[2].GSM, len(got.Rulebooks))
	}
	// The same thing changed by both: mine stands, and theirs is named.
	mine.Envelopes[0].Have, theirs.Envelopes[0].Have = 33, 40
	if got, told = merged(t, was, mine, theirs); got.Envelopes[0].Have != 33 || len(told) != 1 || !strings.Contains(told[0], "40") || !strings.Contains(told[0], "Cream, from the gala") {
		t.Errorf("%d left, told %v", got.Envelopes[0].Have, told)
	}
	// The same act twice, as when an answer was lost, is one act.
	mine = demo.Shop()
	mine.Envelopes = append(mine.Envelopes, plan.OwnedEnvelope{ID: "envelopes-own-1", Name: "Mine", Width: 6 * in, Height: 4 * in})
	if got, told = merged(t, was, mine, mine); len(got.Envelopes) != 3 || len(told) > 0 {
		t.Errorf("sent twice: %d envelopes, %v", len(got.Envelopes), told)
	}
}

// Over random changes of two windows: what only one of them changed is as it
// changed it, and what neither did is as it was.
func TestMergesKeepBothSides(t *testing.T) {
	r := rand.New(rand.NewPCG(31, 32))
	for range 300 {
		was, mine, theirs := demo.Shop(), demo.Shop(), demo.Shop()
		left, right := r.Perm(len(was.Stocks)), map[int]bool{}
		for _, i := range left[:5] {
			mine.Stocks[i].Have, mine.Stocks[i].Off = 500+r.IntN(99), r.IntN(2) == 0
			right[i] = true
		}
		for _, i := range left[5:9] {
			theirs.Stocks[i].Name, theirs.Stocks[i].GSM = "Other", float64(300+r.IntN(99))
		}
		if r.IntN(2) == 0 {
			theirs.Unit = "mm"
		}
		got, told := merged(t, was, mine, theirs)
		want := theirs
		for i := range right {
			want.Stocks[i] = mine.Stocks[i]
		}
		if !reflect.DeepEqual(got, want) || len(told) > 0 {
			t.Fatalf("told %v\n%+v\nwant\n%+v", told, got.Stocks, want.Stocks)
		}
	}
}
