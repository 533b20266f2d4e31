package plan_test

import (
	"fmt"
	"math"
	"slices"
	"strings"
	"testing"

	"yellowparcel/core/field"
	"yellowparcel/core/job"
	"yellowparcel/core/mail"
	"yellowparcel/core/measure"
	"yellowparcel/core/paper"
	"yellowparcel/core/plan"
	"yellowparcel/demo"
)

const mm = measure.Millimetre

// moon is the sample card with brass stars and a knot.
func moon(t testing.TB) (job.Job, job.Shop) {
	t.Helper()
	for _, j := range demo.Jobs() {
		if strings.HasPrefix(j.Name, "Moon-watch") {
			return j, demo.Shop()
		}
	}
	t.Fatal("no such job")
	return job.Job{}, job.Shop{}
}

func edit(t *testing.T, j job.Job, shop job.Shop, path, typed string) job.Job {
	t.Helper()
	return acted(t, j, shop, field.Edit{Act: field.Type, Path: path, Text: typed})
}

// acted is the job after an edit that must not be refused.
func acted(t *testing.T, j job.Job, shop job.Shop, e field.Edit) job.Job {
	t.Helper()
	got, problems := plan.Apply(j, shop, []field.Edit{e})
	if len(problems) > 0 {
		t.Fatalf("%s %s %s: %v", e.Act, e.Path, e.Text, problems)
	}
	if list := plan.Check(got, shop); len(list) > 0 {
		t.Fatalf("%s %s %s: %v", e.Act, e.Path, e.Text, list)
	}
	return got
}

func row(t *testing.T, rows []plan.Reading, id string) plan.Reading {
	t.Helper()
	for _, r := range rows {
		if r.ID == id {
			return r
		}
	}
	t.Fatalf("no row %q in %+v", id, rows)
	return plan.Reading{}
}

func remedyOf(p plan.Plan, id string) (plan.RemedyPlan, bool) {
	for _, r := range p.Mail.Remedies {
		if r.ID == id {
			return r, true
		}
	}
	return plan.RemedyPlan{}, false
}

// The moon card: base 0.68, mat 0.28, moon 0.34 on 1.5875 of foam, knot 3.5 on
// the ribbon 0.3 where it runs over the moon panel.
func TestReliefOfAJob(t *testing.T) {
	j, shop := moon(t)
	p := plan.Make(j, shop)
	want := measure.Round((0.68 + 0.28 + 0.34 + 1.5875 + 0.3 + 3.5) * float64(mm))
	if p.Card.Thickness.Nm != want || p.Mail.Relief.Max.Nm != want || p.Mail.Relief.Min.Nm != 680*measure.Micrometre {
		t.Errorf("thickness %v, relief %v to %v, want %v", p.Card.Thickness.Nm, p.Mail.Relief.Min.Nm, p.Mail.Relief.Max.Nm, want)
	}
	if r := row(t, p.Mail.Relief.Rows, "max"); !strings.Contains(r.Note, "“Moon panel on foam”, “Ribbon” and “Ribbon knot” lie on each other") {
		t.Errorf("%s", r.Note)
	}
	if r := row(t, p.Mail.Relief.Rows, "girth-across"); !strings.Contains(r.Note, "” costs ") {
		t.Errorf("%s", r.Note)
	}
	// The heap takes less than the block, and is what the Card station counts.
	if room := p.Card.Room; room.HeapWidth.Nm >= room.Block.Nm || room.HeapWidth.Text != row(t, p.Mail.Relief.Rows, "girth-across").Value {
		t.Errorf("heap %s, block %s, relief %s", room.HeapWidth.Text, room.Block.Text, row(t, p.Mail.Relief.Rows, "girth-across").Value)
	}
	// As measured it takes the same on both stations, too.
	pressed := edit(t, j, shop, "card.thickness", "5 mm")
	if q := plan.Make(pressed, shop); q.Card.Room.HeapWidth.Text != row(t, q.Mail.Relief.Rows, "girth-across").Value || q.Card.Room.HeapWidth.Nm >= p.Card.Room.HeapWidth.Nm {
		t.Errorf("pressed: heap %s, relief %s, unpressed %s", q.Card.Room.HeapWidth.Text, row(t, q.Mail.Relief.Rows, "girth-across").Value, p.Card.Room.HeapWidth.Text)
	}
	// Past the edge a thing makes the card larger, and the envelope with it.
	was := p.Envelope.Blank.Sheet.Nm
	over := edit(t, j, shop, "parts.4.thing.x", "-1/2")
	p = plan.Make(over, shop)
	if p.Envelope.Blank.Sheet.Nm <= was || !strings.Contains(notes(p.Mail.Notes), "With its overhang the card is 7 1⁄2 × 5") {
		t.Errorf("sheet %v was %v: %s", p.Envelope.Blank.Sheet.Text, was, notes(p.Mail.Notes))
	}
	for _, tt := range []struct{ path, typed, says string }{
		{"parts.4.thing.x", "8", "wholly off the face"},
		{"parts.4.thing.y", "-2", "wholly off the face"},
		{"parts.4.thing.grams", "-3", "cannot be below nothing"},
		{"parts.4.thing.grams", "heavy", "is not a weight"},
		{"parts.4.thing.grams", "9 kg", "more than anything here weighs"},
		{"parts.4.thing.caliper", "0", "cannot be nothing"},
		{"parts.4.thing.caliper", "90 mm", ""},
	} {
		t.Run(tt.path, func(t *testing.T) {
			_, problems := plan.Apply(j, shop, []field.Edit{{Act: field.Type, Path: tt.path, Text: tt.typed}})
			if tt.says == "" {
				return
			}
			if len(problems) != 1 || !strings.Contains(problems[0].Message, tt.says) {
				t.Errorf("%s = %s: %v", tt.path, tt.typed, problems)
			}
		})
	}
	// A disc has one size.
	if got := edit(t, j, shop, "parts.5.thing.width", "1"); got.Parts[5].Thing.Height != in {
		t.Errorf("a disc of %v x %v", got.Parts[5].Thing.Width, got.Parts[5].Thing.Height)
	}
	j.Parts[4].Thing = nil
	if list := plan.Check(j, shop); len(list) == 0 {
		t.Error("a thing that is none passes")
	}
}

// Remedies: each brings the verdict that it promises, and is undone by taking
// the old job.
func TestRemediesKeepTheirPromise(t *testing.T) {
	t.Parallel()
	j, shop := moon(t)
	cards := map[string]job.Job{"moon": j}
	square := demo.Jobs()[0]
	cards["square"] = square
	clasp := demo.Jobs()[1]
	clasp.Mail.Closure = "clasp"
	cards["clasp"] = clasp
	sharp, _ := moon(t)
	sharp.Envelope.Stock = "copy-80"
	cards["sharp"] = sharp
	heavy := demo.Jobs()[1]
	heavy.Parts = slices.Clone(heavy.Parts)
	heavy.Parts[0].Stock = "chipboard-2"
	cards["heavy"] = heavy
	seen := map[string]bool{}
	long := demo.Jobs()[1]
	long.Mail.AddressShort = true
	cards["long"] = long
	// A post whose next class takes what pays a surcharge in the first.
	own, err := mail.ReadFile([]byte(`{"id": "own", "region": "Hilltop", "service": "home mail", "source": "", "confidence": "made up", "classes": [
		{"id": "slip", "name": "slip", "limits": [{"measure": "length", "max": "12 in"}], "surcharge": {"name": "for squares", "limits": [{"measure": "square", "max": "no"}]}},
		{"id": "bag", "name": "bag", "limits": [{"measure": "length", "max": "20 in"}]}]}`))
	if err != nil {
		t.Fatal(err)
	}
	shop.Rulebooks = []job.OwnRulebook{{File: own}}
	for name, j := range cards {
		for _, to := range []string{j.Mail.Destination, "us-domestic", "uk-inland", "canada-home", "universal", "own"} {
			j.Mail.Destination = to
			p := plan.Make(j, shop)
			for _, r := range p.Mail.Remedies {
				if !r.Possible {
					continue
				}
				seen[strings.SplitN(r.ID, ":", 2)[0]] = true
				got := acted(t, j, shop, field.Edit{Act: field.Take, Path: "mail.remedies", Text: r.ID})
				if after := plan.Make(got, shop); after.Mail.Short != r.Short {
					t.Errorf("%s to %s, %s: promised %s, is %s", name, to, r.Title, r.Short, after.Mail.Short)
				}
			}
		}
	}
	for _, want := range []string{"leave", "foam", "stock", "shield", "address", "closure", "rectangle", "make", "hand", "class", "envelope"} {
		if !seen[want] {
			t.Errorf("no card asked for %q: %v", want, seen)
		}
	}
	if _, problems := plan.Apply(j, shop, []field.Edit{{Act: field.Take, Path: "mail.remedies", Text: "wish"}}); len(problems) != 1 || !strings.Contains(problems[0].Message, "no longer belongs") {
		t.Errorf("%v", problems)
	}
}

// Only the knot has to go for the moon card to be thin enough.
func TestLeaveOffTheKnot(t *testing.T) {
	j, shop := moon(t)
	p := plan.Make(j, shop)
	if p.Mail.Short == "Goes as a letter" {
		t.Fatalf("%s: there is nothing to leave off", p.Mail.Short)
	}
	r, ok := remedyOf(p, "leave:letter")
	if !ok || r.Title != "Leave off “Ribbon knot”" || !r.Proven || !strings.Contains(r.Text, "Saves ") {
		t.Fatalf("%+v of %+v", r, p.Mail.Remedies)
	}
	got := acted(t, j, shop, field.Edit{Act: field.Take, Path: "mail.remedies", Text: r.ID})
	if len(got.Parts) != len(j.Parts)-1 || len(j.Parts) != 8 {
		t.Errorf("%d parts of %d", len(got.Parts), len(j.Parts))
	}
	// For it to be even as well, all that stands up has to go: the least that does.
	even, ok := remedyOf(p, "leave-even:letter")
	if !ok || even.Title != "Leave off “Ribbon knot”, 2 × “Brass star brad” and “Gem, small”" || !even.Proven || even.Short != "Goes as a letter" {
		t.Errorf("%+v", even)
	}
	// What the maker keeps is not left off.
	j.Parts[4].Thing.Keep = true
	if r, ok := remedyOf(plan.Make(j, shop), "leave:letter"); ok && strings.Contains(r.Title, "knot") {
		t.Errorf("%+v", r)
	}
}

func TestPostedWithout(t *testing.T) {
	j, shop := demo.Jobs()[3], demo.Shop() // a flat slim card
	j.Card.Width, j.Card.Height, j.Parts[0].Stock = 6*in, 4*in, "cover-100"
	j.Mail.Bare = true
	p := plan.Make(j, shop)
	if p.Mail.Short != "Goes as a postcard" || p.Mail.Width.Nm != 6*in {
		t.Errorf("a bare card goes as %s", p.Mail.Short)
	}
	j.Mail.Radius = in / 4
	j.Card.Width = 8 * in
	p = plan.Make(j, shop)
	if !strings.Contains(p.Mail.Sentence.Text, "too round-cornered by 1⁄8 in") {
		t.Errorf("%s", p.Mail.Sentence.Text)
	}
	j.Mail.Destination = job.ByHand
	if p := plan.Make(j, shop); p.Mail.Short != "By hand" || len(p.Mail.Everywhere) != 8 {
		t.Errorf("%s, %d places", p.Mail.Short, len(p.Mail.Everywhere))
	}
}

// What was measured stands beside what was predicted, and decides.
func TestMeasuredDecides(t *testing.T) {
	j, shop := demo.Jobs()[1], demo.Shop()
	p := plan.Make(j, shop)
	if p.Mail.Short != "Goes as a letter" || p.Mail.Measured[0].Off != "" {
		t.Fatalf("%s, %+v", p.Mail.Short, p.Mail.Measured)
	}
	j = edit(t, j, shop, "mail.measured.thickness", "5/16")
	j = edit(t, j, shop, "mail.measured.grams", "1.5")
	p = plan.Make(j, shop)
	if p.Mail.Short != "Goes as a large envelope" || p.Mail.Measured[0].Measured != "0.312 in" || p.Mail.Measured[1].Measured != "1.50 oz" || p.Mail.Measured[1].Off == "" {
		t.Errorf("%s, %+v", p.Mail.Short, p.Mail.Measured)
	}
	if math.Abs(j.Mail.Measured.Grams-1.5*28.349523125) > 1e-9 || p.Fields["mail.measured.grams"].Text != "1.5 oz" {
		t.Errorf("%v g, %q", j.Mail.Measured.Grams, p.Fields["mail.measured.grams"].Text)
	}
	j = edit(t, j, shop, "mail.measured.thickness", "")
	j = edit(t, j, shop, "mail.measured.grams", " ")
	if p := plan.Make(j, shop); p.Mail.Short != "Goes as a letter" {
		t.Errorf("taken away: %s", p.Mail.Short)
	}
	// A card that droops half as far as the sums say is twice as stiff.
	was := row(t, p.Mail.Beam.Rows, "pull")
	j = edit(t, edit(t, j, shop, "mail.measured.overhang", "100 mm"), shop, "mail.measured.droop", "2 mm")
	if got := row(t, plan.Make(j, shop).Mail.Beam.Rows, "pull"); got.Value == was.Value || !strings.Contains(got.Note, "as measured at home") {
		t.Errorf("%+v, was %+v", got, was)
	}
	j = edit(t, j, shop, "mail.measured.droop", "60 mm")
	if p := plan.Make(j, shop); !strings.Contains(notes(p.Mail.Notes), "between 1 mm and a quarter of the overhang") {
		t.Errorf("%s", notes(p.Mail.Notes))
	}
	j = edit(t, edit(t, edit(t, j, shop, "mail.measured.apart", "150 mm"), shop, "mail.measured.sag", "1 mm"), shop, "mail.measured.load", "50 g")
	if got := row(t, plan.Make(j, shop).Mail.Beam.Rows, "pull"); !strings.Contains(got.Note, "as measured at home") {
		t.Errorf("%+v", got)
	}
	j = edit(t, j, shop, "mail.measured.apart", "400 mm")
	if p := plan.Make(j, shop); !strings.Contains(notes(p.Mail.Notes), "further apart than the piece is long") {
		t.Errorf("%s", notes(p.Mail.Notes))
	}
}

func TestPostageAndAge(t *testing.T) {
	j, shop := demo.Jobs()[1], demo.Shop()
	shop.Today = "2026-11-24"
	p := plan.Make(j, shop)
	if p.Mail.Postage.Each != "$1.10" || p.Mail.Postage.Total != "$44.00" || !strings.Contains(notes(p.Mail.Postage.Notes), "are made up, as an example") {
		t.Errorf("%+v", p.Mail.Postage)
	}
	shop.Today = "2027-02-01"
	if n := notes(plan.Make(j, shop).Mail.Postage.Notes); !strings.Contains(n, "more than a year old") {
		t.Errorf("%s", n)
	}
	shop.Rates[0].Rates = shop.Rates[0].Rates[:1]
	if p := plan.Make(j, shop); p.Mail.Postage.Each != "" || !strings.Contains(notes(p.Mail.Postage.Notes), "has no price for") {
		t.Errorf("%+v", p.Mail.Postage)
	}
	// A rulebook of one's own, held against its source long ago.
	own := mail.Files()[0]
	own.ID, own.Region, own.LastChecked = "own", "Hilltop", "2025-01-01"
	shop.Rulebooks = []job.OwnRulebook{{File: own}}
	j.Mail.Destination = "own"
	if list := append(plan.Check(j, shop), shop.Check()...); len(list) > 0 {
		t.Fatal(list)
	}
	p = plan.Make(j, shop)
	if !strings.HasPrefix(p.Mail.Title, "Hilltop") || !strings.Contains(notes(p.Mail.Notes), "last checked on 2025-01-01") || len(p.Mail.Everywhere) != 9 {
		t.Errorf("%s: %s", p.Mail.Title, notes(p.Mail.Notes))
	}
	shop.Rulebooks[0].File.ID = "universal"
	if list := shop.Check(); len(list) != 1 || !strings.Contains(list[0].Message, "has the id “universal” already") {
		t.Errorf("%v", list)
	}
	shop.Rulebooks[0].File.ID, shop.Rulebooks[0].File.Classes = "own", nil
	if list := shop.Check(); len(list) != 1 || !strings.Contains(list[0].Message, "has no class") {
		t.Errorf("%v", list)
	}
	shop.Rates[0].Rates[0].Cents = -1
	if list := shop.Check(); len(list) != 2 {
		t.Errorf("%v", list)
	}
}

func TestCautionsAndGauge(t *testing.T) {
	j, shop := moon(t)
	j.Mail.Contents = []paper.Caution{paper.Seeds}
	p := plan.Make(j, shop)
	for _, c := range p.Mail.Cautions {
		if want := c.ID == paper.Sharp || c.ID == paper.Seeds; c.Set != want || c.Text == "" {
			t.Errorf("%+v", c)
		}
	}
	if n := notes(p.Mail.Notes); !strings.Contains(n, "seal the flap along both its edges") || strings.Contains(n, "come through") {
		t.Errorf("%s", n)
	}
	j.Envelope.Stock, j.Mail.AddressShort = "copy-80", true
	if n := notes(plan.Make(j, shop).Mail.Notes); !strings.Contains(n, "Hard points come through copy 80 gsm") || !strings.Contains(n, "along the address it is") {
		t.Errorf("%s", n)
	}
	if !strings.Contains(notes(p.Mail.Notes), "is crushed by pressure. Put it in a box") {
		t.Errorf("%s", notes(p.Mail.Notes))
	}
	j = edit(t, edit(t, j, shop, "mail.gaugeWidth", "8 3/4"), shop, "mail.gaugeHeight", "5")
	g := plan.Make(j, shop).Mail.Gauge
	if g == nil || !g.OK || !strings.HasSuffix(g.Slot, "× 1⁄4") || g.Top.Text != "2 3⁄8" || g.Bottom.Text != "2 5⁄8" {
		t.Errorf("%+v", g)
	}
	if !strings.Contains(g.Text, "cut a second one of "+strings.TrimSuffix(g.Slot, "1⁄4")+"3⁄16. It lies an inch below, 3 5⁄8 to 3 13⁄16 across") {
		t.Errorf("%s", g.Text)
	}
	if g := plan.Make(edit(t, j, shop, "mail.gaugeWidth", "5"), shop).Mail.Gauge; g.OK || !strings.Contains(g.Text, "too short") {
		t.Errorf("%+v", g)
	}
}

// The figure: forty parts, every rulebook, remedies for each.
func BenchmarkVerdictsOf40Parts(b *testing.B) {
	j, shop := moon(b)
	for i := range 34 {
		t := *j.Parts[7].Thing
		t.X, t.Y = measure.Length(i%9)*3*in/4+in/8, measure.Length(i/9)*in+in/8
		j.Parts = append(j.Parts, job.Part{ID: fmt.Sprint("gem", i), Name: fmt.Sprint("Gem ", i), Kind: job.ThingPart, Thing: &t})
	}
	if list := plan.Check(j, shop); len(list) > 0 {
		b.Fatal(list)
	}
	b.Run("verdicts and remedies", func(b *testing.B) {
		for b.Loop() {
			plan.Verdicts(j, shop)
		}
	})
	b.Run("whole plan", func(b *testing.B) {
		for b.Loop() {
			plan.Make(j, shop)
		}
	})
}
