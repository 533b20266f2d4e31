package line

import (
	"fmt"
	"slices"
	"strings"
	"testing"

	"yellowparcel/core/field"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
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
	for _, tt := range []struct{ text, said, at string }{
		{"5 3/8 square, 3 layers, 12 cards, to the UK", "size 136.525 136.525; layers 3; count 12; to us-abroad", "card"},
		{"what fits A7", "have a7", "card/from-envelope"},
		{"card 14 x 10 cm, 6 mm thick, by hand", "size 140 100; length card.thickness 6; to hand", "card"},
		{"from letter, top fold", "sheet letter; fold top", "card/from-paper"},
		{"8 3/4 square, score 3 and 8 3/8", "recipe 222.25; recipe; recipe 76.2; recipe 212.725", "envelope/recipe"},
		{"5 x 7, gate fold, kraft pocket, seam 5/8", "size 127 177.8; fold gate; base kraft-120; type pocket; length envelope.seam 15.875", "card"},
		{"A7", "have a7", "card/from-envelope"},
		{"A7 card", "size 177.8 127", "card"},
		{"A7 card by hand", "size 177.8 127; to hand", "card"},
		{"5x7 card in an A7 envelope", "size 127 177.8; bought a7", "card"},
		{"6 x 8 envelope", "have own 152.4 203.2", "card/from-envelope"},
		{"what fits an envelope 6 x 8", "have own 152.4 203.2", "card/from-envelope"},
		{"what fits the blue pile", "have own-1", "card/from-envelope"},
		{"from 12 x 12", "sheet 12x12", "card/from-paper"},
		{"from a sheet 8 1/2 x 11, side fold", "sheet letter; fold side", "card/from-paper"},
		{"6 square from a4", "size 152.4 152.4; sheet a4", "card"},
		{"5 1/2 Bar envelope", "have 5-1-2-bar", "card/from-envelope"},
		{"no. 10", "have no-10", "card/from-envelope"},
		{"140 mm wide, 100 mm high", "length card.width 140; length card.height 100", "card"},
		{"square 6, 2 gems 3 mm, a ribbon", "size 152.4 152.4; things gem-2 2 3; things ribbon 1", "card"},
		{"two words “Star party” 6 x 6", "name Star party; size 152.4 152.4", "card"},
		{"accordion 4 square, 6 panels", "fold accordion; size 101.6 101.6; length card.panels 6", "card"},
		{"5 x 7 abroad, border 1/8, 1 layer", "size 127 177.8; to us-abroad; border 3.175; layers 1", "card"},
		{"5 x 7 to Germany", "size 127 177.8; to us-abroad", "card"},
		{"5 x 7 to the United States", "size 127 177.8; to us-domestic", "card"},
		{"kraft envelope for 5 x 7", "paper kraft-120; size 127 177.8", "card"},
		{"5 x 7 without envelope", "size 127 177.8; bare", "card"},
	} {
		t.Run(tt.text, func(t *testing.T) {
			shop := table(measure.Inches)
			o := ReadOrder(tt.text, job.NewJob(shop), shop, false)
			if got := senseOf(o); got != tt.said {
				t.Errorf("understood %s", got)
			}
			if at := strings.TrimSuffix(o.Station+"/"+o.Drawer, "/"); at != tt.at {
				t.Errorf("seen at %s", at)
			}
			for _, u := range o.Unread {
				if word := tt.text[u.From:u.To]; word != "two" && word != "words" {
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
	for _, tt := range []struct{ text, said string }{
		{"140 x 100, to the UK", "size 140 100; to uk-inland"},
		{"A6 card to Germany", "size 105 148; to universal"},
		{"5 1/2 x 4 1/4 in", "size 139.7 107.95"},
		{"what fits C6", "have c6"},
		{"from A4", "sheet a4"},
	} {
		t.Run(tt.text, func(t *testing.T) {
			if got := senseOf(ReadOrder(tt.text, j, shop, false)); got != tt.said {
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
	for _, tt := range []struct{ text, unread string }{
		{"5 x 7, acordion", "acordion: accordion"},
		{"5 x 7, 3 layres", "3: , layres: layers"},
		{"5 x 7 krft", "krft: kraft"},
		{"5 x 7 xyzzyx", "xyzzyx: "},
		{"5 x 7, 9", "9: "},
		{"5 x 7, 6 x 8", "6 x 8: "},
		{"from legl", "legl: legal"},
		{"5 x 7 3/0", "7 3/0: "},
		{"from 7 x 13", "7 x 13: "},
		{"seam 5/8, seam 3/4", "seam 3/4: "},
		{"5 x 7 to Germny", "Germny: germany"},
	} {
		t.Run(tt.text, func(t *testing.T) {
			shop := table(measure.Inches)
			var list []string
			for _, u := range ReadOrder(tt.text, job.NewJob(shop), shop, false).Unread {
				list = append(list, tt.text[u.From:u.To]+": "+u.Near)
			}
			if got := strings.Join(list, ", "); !strings.HasSuffix(got, tt.unread) {
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
