package line

import (
	"fmt"
	"slices"
	"strings"
	"testing"

	"yellowparcel/core/field"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/internal/told"
)

// table is a shop with a few envelopes of its own.
func table(unit measure.Unit) job.Shop {
	s := job.DefaultShop()
	s.Unit = unit
	s.Envelopes = []job.OwnedEnvelope{{ID: "own-1", Name: "Blue pile", Width: 160 * measure.Millimetre, Height: 160 * measure.Millimetre}}
	return s
}

// senseOf is what was understood, as short text.
func senseOf(o Order) string {
	var list []string
	for _, s := range o.Said {
		text := string(s.Sense)
		if s.ID != "" && s.Sense != Recipe {
			text += " " + s.ID
		}
		if s.Count > 0 {
			text += fmt.Sprint(" ", s.Count)
		}
		for _, l := range s.Lengths {
			text += " " + measure.Decimal(l, measure.Millimetre)
		}
		list = append(list, text)
	}
	return strings.Join(list, "; ")
}

// What a maker says of a job is understood.
func TestOrdersAsSaid(t *testing.T) {
	for _, tt := range told.Lines(t, "testdata/told.txt", "orders", 3) {
		text, said, at := tt[0], tt[1], tt[2]
		t.Run(text, func(t *testing.T) {
			shop := table(measure.Inches)
			o := ReadOrder(text, job.NewJob(shop), shop, false)
			if got := senseOf(o); got != said {
				t.Errorf("understood %s", got)
			}
			if seen := strings.TrimSuffix(o.Station+"/"+o.Drawer, "/"); seen != at {
				t.Errorf("seen at %s", seen)
			}
			for _, u := range o.Unread {
				if word := text[u.From:u.To]; word != "two" && word != "words" {
					t.Errorf("not understood: %q, %v", word, u.Err)
				}
			}
		})
	}
}

// In a metric shop bare numbers are millimetres, and a paper size is one.
func TestOrdersInMillimetres(t *testing.T) {
	shop := table(measure.Millimetres)
	j := job.NewJob(shop)
	j.Mail.Destination = "uk-inland"
	for _, tt := range told.Lines(t, "testdata/told.txt", "orders in millimetres", 2) {
		text, said := tt[0], tt[1]
		t.Run(text, func(t *testing.T) {
			if got := senseOf(ReadOrder(text, j, shop, false)); got != said {
				t.Errorf("understood %s", got)
			}
		})
	}
}

// Where the maker lives is told by where the job goes, or by where most go if it is given by
// hand; where nothing tells, a country's own rules hold for it.
func TestWhereTheMakerLives(t *testing.T) {
	for _, tt := range []struct{ goes, usual, want string }{
		{"us-domestic", "", "us-abroad"}, {"uk-inland", "us-domestic", "uk-inland"},
		{job.ByHand, "us-domestic", "us-abroad"}, {job.ByHand, "", "uk-inland"},
	} {
		shop := table(measure.Inches)
		shop.Usual.Destination = tt.usual
		j := job.NewJob(shop)
		j.Mail.Destination = tt.goes
		if got := senseOf(ReadOrder("to the UK", j, shop, true)); got != "to "+tt.want {
			t.Errorf("a job that goes to %s, usually to %q: %s", tt.goes, tt.usual, got)
		}
	}
}

// A job in hand is changed by what a line says of it.
func TestOrdersChangeAJob(t *testing.T) {
	shop := table(measure.Inches)
	begun := job.NewJob(shop)
	for _, e := range ReadOrder("5 3/8 square, 2 layers, 2 gems", begun, shop, false).Edits() {
		begun = applied(t, begun, shop, e)
	}
	if n := len(begun.LayerParts()); n != 2 || len(begun.Parts) != 5 || begun.Card.Width != 43*in/8 {
		t.Fatalf("%d layers, %d parts, %v wide", n, len(begun.Parts), begun.Card.Width)
	}
	for _, tt := range []struct {
		text string
		is   func(j job.Job) bool
	}{
		{"12 cards", func(j job.Job) bool { return j.Count == 12 }},
		{"top fold", func(j job.Job) bool { return j.Card.Fold == "top" }},
		{"seam 5/8", func(j job.Job) bool { return j.Envelope.Seam == 5*in/8 }},
		{"5/8 seam", func(j job.Job) bool { return j.Envelope.Seam == 5*in/8 }},
		{"add a gem 3 mm", func(j job.Job) bool {
			last := j.Parts[len(j.Parts)-1]
			return len(j.Parts) == 6 && last.Thing.Type == "gem-2" && last.Thing.Caliper == 3*measure.Millimetre
		}},
		{"add a gem 4 mm thick", func(j job.Job) bool { return j.Parts[5].Thing.Type == "gem-4" }},
		{"3 layers", func(j job.Job) bool { return len(j.LayerParts()) == 3 }},
		{"1 layer", func(j job.Job) bool { return len(j.LayerParts()) == 1 }},
		{"no layers", func(j job.Job) bool { return len(j.LayerParts()) == 0 }},
		{"add a layer", func(j job.Job) bool { return len(j.LayerParts()) == 3 }},
		{"2 more layers", func(j job.Job) bool { return len(j.LayerParts()) == 4 }},
		{"remove a layer", func(j job.Job) bool { return len(j.LayerParts()) == 1 }},
		{"remove a gem", func(j job.Job) bool { return len(j.Parts) == 4 && len(j.LayerParts()) == 2 }},
		{"add a liner", func(j job.Job) bool { return len(j.PartsOf(job.LinerPart)) == 1 }},
		{"borders 3/16", func(j job.Job) bool {
			return j.Parts[1].Border == 3*in/16 && j.Parts[2].Border == 3*in/16
		}},
		{"finger gap 3/8, ease 3/16", func(j job.Job) bool { return j.Envelope.ThumbGap == 3*in/8 && j.Envelope.Ease == 3*in/16 }},
		{"by hand", func(j job.Job) bool { return j.Mail.Destination == job.ByHand }},
		{"6 mm thick", func(j job.Job) bool { return j.Card.Thickness != nil && *j.Card.Thickness == 6*measure.Millimetre }},
		{"pocket", func(j job.Job) bool { return j.Envelope.Construction == "pocket" }},
	} {
		t.Run(tt.text, func(t *testing.T) {
			o := ReadOrder(tt.text, begun, shop, true)
			if len(o.Unread) > 0 || o.Station != "" {
				t.Errorf("not understood: %v, seen at %s", o.Unread, o.Station)
			}
			j := begun
			for _, e := range o.Edits() {
				j = applied(t, j, shop, e)
			}
			if !tt.is(j) {
				t.Errorf("understood %s", senseOf(o))
			}
		})
	}
}

// applied is a job after an edit that it takes.
func applied(t *testing.T, j job.Job, shop job.Shop, e field.Edit) job.Job {
	t.Helper()
	path, err := j.Place(e.Path)
	if err != nil {
		t.Fatal(err)
	}
	e.Path = path
	next, err := j.Apply(shop, e)
	if err != nil {
		t.Fatalf("%+v: %v", e, err)
	}
	return next
}

// What is not understood is named where it stands, with what it is like; nothing is put in
// its place.
func TestOrdersNotUnderstood(t *testing.T) {
	for _, tt := range told.Lines(t, "testdata/told.txt", "orders not understood", 2) {
		text, unread := tt[0], tt[1]
		t.Run(text, func(t *testing.T) {
			shop := table(measure.Inches)
			var list []string
			for _, u := range ReadOrder(text, job.NewJob(shop), shop, false).Unread {
				list = append(list, text[u.From:u.To]+": "+u.Near)
			}
			if got := strings.Join(list, ", "); !strings.HasSuffix(got, unread) {
				t.Errorf("not understood: %s", got)
			}
		})
	}
}

// Every name in the shop is understood as what it is, said alone.
func TestEveryNameIsKnown(t *testing.T) {
	shop := table(measure.Inches)
	for _, p := range wordsOf(shop) {
		text := strings.Join(p.words, " ")
		if p.sense == Bought {
			text += " envelope"
		}
		o := ReadOrder(text, job.NewJob(shop), shop, true)
		if len(o.Unread) == 0 && len(o.Said) == 1 && (o.Said[0].ID == p.id || p.sense == Destination) {
			continue
		}
		if p.sense == HaveSheet && slices.ContainsFunc(o.Unread, func(u Unread) bool { return u.Err == noSheet{} }) {
			continue
		}
		t.Errorf("%q is understood as %s, not as %s %s; not understood %v", text, senseOf(o), p.sense, p.id, o.Unread)
	}
}

// Whatever is typed is read: within the text, without overlap, the same again, and its
// edits do no harm.
func FuzzOrder(f *testing.F) {
	for _, s := range []string{"5 3/8 square, 3 layers, 12 cards, to the UK", "what fits A7", "from letter, top fold", "add a gem 3 mm", "“a” 5 x", "no no layers 9999 gems", strings.Repeat("99 gems ", 70), "½ x ¾ \"x\" score 3", "remove liner, borders 1/8"} {
		f.Add(s)
	}
	shop := table(measure.Inches)
	f.Fuzz(func(t *testing.T, text string) {
		o := ReadOrder(text, job.NewJob(shop), shop, false)
		for _, s := range o.Said {
			if s.From < 0 || s.From >= s.To || s.To > len(text) {
				t.Fatalf("said at %d to %d of %d", s.From, s.To, len(text))
			}
		}
		for i, u := range o.Unread {
			if u.From < 0 || u.From >= u.To || u.To > len(text) || i > 0 && u.From < o.Unread[i-1].To && u.Err == nil {
				t.Fatalf("unread at %d to %d of %d", u.From, u.To, len(text))
			}
		}
		if len(o.Edits()) > 4*job.MostParts+40 {
			t.Fatalf("%d edits", len(o.Edits()))
		}
		if again := ReadOrder(text, job.NewJob(shop), shop, false); senseOf(again) != senseOf(o) {
			t.Fatalf("read again: %s, %s", senseOf(o), senseOf(again))
		}
	})
}
