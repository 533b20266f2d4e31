package plan_test

import (
	"math"
	"slices"
	"strings"
	"testing"

	"yellowparcel/core/blank"
	"yellowparcel/core/card"
	"yellowparcel/core/field"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/plan"
	"yellowparcel/demo"
	"yellowparcel/internal/anyjob"
)

// near reports whether two lengths in inches are the same to a thousandth.
func nearInch(l measure.Length, want float64) bool { return math.Abs(l.Inches()-want) < 0.0006 }

// A base that is folded edge to edge is off by half of what a cut is across its fold, and by a whole one
// along it: not by what a score would be.
func TestEdgeToEdgeErrs(t *testing.T) {
	shop := demo.Shop()
	j := anyjob.Star(6*in, 4*in, blank.PocketID)
	scored := plan.TableOf(j, shop).Made.Way()
	shop.Tools.Bases = job.EdgeBases
	folded := plan.TableOf(j, shop).Made.Way()
	tick := shop.Style().Tick / 2
	if scored.CardWidth.Worst != 2*tick || folded.CardWidth.Worst != tick/2 || folded.CardWidth.RSS != tick/2 || folded.CardHeight.Worst != tick {
		t.Errorf("scored %v, folded %v across and %v along", scored.CardWidth, folded.CardWidth, folded.CardHeight)
	}
	if got := folded.CardWidth.Worst.Millimetres(); math.Abs(got-0.397) > 0.001 {
		t.Errorf("at sixteenths it is %.3f mm", got)
	}
	j.Card.Fold, j.Card.Panels = card.Accordion, 4
	if other := plan.TableOf(j, shop).Made.Way(); other.CardWidth.Worst != 2*tick {
		t.Errorf("an accordion is scored: %v", other.CardWidth)
	}
}

// Filled it is smaller by the card's thickness alone: neither by the envelope's own layers nor by a seal
// outside. 4 7/8 x 3 1/2, ease 1/8, wax: at worst 5.025 long, over the 5 of a letter.
func TestFilledTakesTheCardAlone(t *testing.T) {
	shop := demo.Shop()
	j := anyjob.Star(4*in+7*in/8, 3*in+in/2, blank.DiamondID)
	j.Card.Fold, j.Envelope.Ease, j.Mail.Closure = card.FlatCard, in/8, "wax"
	whole, err := plan.MakeFor(t.Context(), j, shop, "mail/checks")
	if err != nil {
		t.Fatal(err)
	}
	if p := whole.Mail; p.Short != "Goes as a letter" {
		t.Errorf("%s: %s", p.Short, p.Sentence.Text)
	}
	for _, c := range whole.Mail.Classes {
		for _, k := range c.Checks { // 5 1/16 flat, less the card's .012 alone
			if c.ID == "letter" && k.Measure == "length" && k.Measured != "5.051 in" {
				t.Errorf("its length is %s, %s", k.Measured, k.Margin)
			}
		}
	}
}

// A plain rectangle is as wide as the height that is made asks for: a pocket by the finger gap is higher than
// the card needs.
func TestRectangleFollowsTheHeight(t *testing.T) {
	shop := demo.Shop()
	for _, id := range []blank.ID{blank.PocketID, blank.GussetID, blank.DiamondID} {
		for _, school := range blank.PocketSchools() {
			j := anyjob.Star(5*in+3*in/8, 5*in+3*in/8, id)
			j.Card.Fold, j.Envelope.Ease, j.Envelope.Pocket, j.Envelope.Mailable = card.FlatCard, in/8, school, true
			made := plan.TableOf(j, shop).Made
			if aspect := float64(made.Width) / float64(made.Height); aspect < 1.3 && made.Width > made.Height+in/2 {
				t.Errorf("%s, %s: %.3f x %.3f is %.4f : 1", id, school, made.Width.Inches(), made.Height.Inches(), aspect)
			}
		}
	}
}

// A recipe whose pairs are read from one corner loses more of the seam between the two corners that nothing
// is read from: sheet 8 3/4 at 3 3/8 and 9 has .612 left at worst.
func TestPairRecipeLosesMore(t *testing.T) {
	j := demo.Jobs()[0]
	j.Parts = j.Parts[:1]
	j.Recipe = &job.Recipe{Form: job.PairRecipe, Side1: 8*in + 3*in/4, Left: 3*in + 3*in/8, Right: 9 * in, ClaimWidth: j.Card.Width, ClaimHeight: j.Card.Height}
	j.Envelope.Construction = blank.NotedID
	if left := plan.TableOf(j, demo.Shop()).Made.Way().SeamLeft(); !nearInch(left.Worst, 0.612) {
		t.Errorf("at worst %.4f", left.Worst.Inches())
	}
}

// Holding strips end an adhesive below the edge of the flap, which lies a flap's height below the throat:
// 2 3/4 from it at 5 3/8 square, gap 1/2, tape 1/2, flap 2 1/4.
func TestStripsEndBelowTheFlap(t *testing.T) {
	shop := demo.Shop()
	j := anyjob.Star(5*in+3*in/8, 5*in+3*in/8, blank.PocketID)
	j.Card.Fold, j.Envelope.Mailable = card.FlatCard, true
	made := plan.TableOf(j, shop).Made
	_, throat, _, _ := made.Net.Panels[0].Outline.Box()
	found := 0
	for _, g := range made.Net.Glue {
		if g.Panel != "strip" {
			continue
		}
		found++
		if _, top, _, _ := g.Zone.Box(); math.Abs((top-throat)/25.4-made.Flap.Inches()-0.5) > 0.001 || !nearInch(made.Flap, 2.25) {
			t.Errorf("it begins %.3f below the throat, the flap reaches %.3f", (top-throat)/25.4, made.Flap.Inches())
		}
	}
	if found != 2 {
		t.Errorf("%d strips", found)
	}
}

// A disc that lies wholly in the outer inch makes nothing uneven: 9 x 7, 5/16 of envelope round it, a disc 1/2
// across and 8 mm thick at 15/64, 15/64 from the corner.
func TestDiscInTheOuterInch(t *testing.T) {
	shop := demo.Shop()
	for at, want := range map[measure.Length]bool{15 * in / 64: false, 30 * in / 64: true} {
		j := anyjob.Star(9*in, 7*in, blank.PocketID)
		j.Card.Fold, j.Envelope.Construction = card.FlatCard, blank.BoughtID
		j.Envelope.From, j.Envelope.OwnWidth, j.Envelope.OwnHeight = job.OwnEnvelope, 9*in+5*in/8, 7*in+5*in/8
		j.Parts = append(j.Parts, job.Part{ID: "disc", Name: "Disc", Kind: job.ThingPart, Thing: &job.Thing{Type: "gem-2", Disc: true, X: at, Y: at, Width: in / 2, Height: in / 2, Caliper: 8 * measure.Millimetre, Grams: 1}})
		uneven := ""
		for _, c := range plan.Make(j, shop).Mail.Classes {
			for _, k := range c.Checks {
				if k.Measure == "uneven" {
					uneven = k.Measured
				}
			}
		}
		if got := uneven != "0 in" && uneven != "0" && uneven != ""; got != want {
			t.Errorf("at %v from the corner it is %q uneven", at, uneven)
		}
	}
}

// A card that fits both ways round lies where its room is more even, however it was typed.
func TestLiesTheSame(t *testing.T) {
	shop := demo.Shop()
	shop.Envelopes = append(shop.Envelopes, job.OwnedEnvelope{ID: "big", Name: "Big", Width: 9 * in, Height: 8 * in, Have: 3})
	for _, size := range [][2]measure.Length{{6 * in, 7 * in}, {7 * in, 6 * in}} {
		j := anyjob.Star(size[0], size[1], blank.BoughtID)
		j.Card.Fold, j.Envelope.From = card.FlatCard, "big"
		made := plan.TableOf(j, shop).Made
		if d := made.EaseWidth - made.EaseHeight; d.Abs() > in/8 || !nearInch(made.EaseWidth, 2) && made.EaseWidth.Inches() < 1.9 {
			t.Errorf("%v: %.3f x %.3f of room", size, made.EaseWidth.Inches(), made.EaseHeight.Inches())
		}
	}
}

// What is due for certain stands beside what is doubtful, and is in the postage: 4 5/8 square, 3/16 thick, in an
// envelope measured 5 1/16 square measures 4 7/8 filled, so ask; it is square, however it is measured.
func TestCertainSurchargeBesideADoubt(t *testing.T) {
	shop := demo.Shop()
	thick := 3 * in / 16
	j := anyjob.Star(4*in+5*in/8, 4*in+5*in/8, blank.BoughtID)
	j.Card.Thickness = &thick
	j.Envelope.From, j.Envelope.OwnWidth, j.Envelope.OwnHeight = job.OwnEnvelope, 5*in+in/16, 5*in+in/16
	p := plan.Make(j, shop).Mail
	if p.Short != "Ask first: letter with a surcharge" || !strings.Contains(p.Sentence.Text, "A surcharge is due in any case: too square") {
		t.Errorf("%s: %s", p.Short, p.Sentence.Text)
	}
	plain := j
	plain.Card.Width, plain.Envelope.OwnWidth = 6*in, 7*in
	without := plan.Make(plain, shop).Mail
	if without.Short != "Goes as a letter" || p.Postage.Each == without.Postage.Each || p.Postage.Each == "" {
		t.Errorf("%s costs %s, square and doubtful %s", without.Short, without.Postage.Each, p.Postage.Each)
	}
}

// The address is told to run along the long edge only where that spares the surcharge:
// a square has none, and 5 1/2 x 5 is too square either way round.
func TestAddressIsTurnedOnlyWhereItHelps(t *testing.T) {
	const advice = "Write it along the long one"
	for _, c := range []struct {
		width, height measure.Length
		turn          bool
	}{
		{7 * in, 5 * in, true},
		{5 * in, 7 * in, true},
		{9 * in, 4 * in, true},
		{5 * in, 5 * in, false},
		{5*in + in/2, 5 * in, false},
		{6 * in, 5*in + in/4, false},
		{9*in + in/2, 3*in + in/2, false}, // too slim along its long edge
	} {
		j := anyjob.Star(c.width-in/4, c.height-in/4, blank.BoughtID)
		j.Envelope.From, j.Envelope.OwnWidth, j.Envelope.OwnHeight = job.OwnEnvelope, c.width, c.height
		j.Mail.AddressShort = true
		p := plan.Make(j, demo.Shop()).Mail
		if got := strings.Contains(p.Sentence.Text, advice); got != c.turn {
			t.Errorf("%v x %v: %s", c.width, c.height, p.Sentence.Text)
		}
		for _, r := range p.Remedies {
			if strings.HasPrefix(r.ID, "address") && r.Possible && !c.turn {
				t.Errorf("%v x %v is offered %q", c.width, c.height, r.Title)
			}
		}
		if strings.Contains(p.Sentence.Text, "envelope it does not") { // the edge it runs along would pay on
			t.Errorf("%v x %v: %s", c.width, c.height, p.Sentence.Text)
		}
	}
}

// Where something else pays as well, the long edge alone is not said to spare it.
func TestAddressAloneSparesNothing(t *testing.T) {
	j := anyjob.Star(6*in+3*in/4, 4*in+3*in/4, blank.BoughtID)
	j.Envelope.From, j.Envelope.OwnWidth, j.Envelope.OwnHeight = job.OwnEnvelope, 7*in, 5*in
	j.Mail.AddressShort, j.Mail.Closure = true, "clasp"
	text := plan.Make(j, demo.Shop()).Mail.Sentence.Text
	if !strings.Contains(text, "Both have to change") || !strings.Contains(text, "clasp") || strings.Contains(text, "square") {
		t.Error(text)
	}
}

// What is promised of a rectangle is worked out with all that stays: one closed with a
// clasp or string pays on, so the promise and its act change that too, a flat wax seal may
// stay; and after the act it is so.
func TestRectangleKeepsItsPromise(t *testing.T) {
	shop := demo.Shop()
	for _, closure := range []string{"gum", "tape", "clasp", "string", "ribbon", "wax"} {
		for _, short := range []bool{false, true} {
			j := anyjob.Star(5*in+3*in/8, 5*in+3*in/8, "diamond")
			j.Mail.Closure, j.Mail.AddressShort = closure, short
			p := plan.Make(j, shop)
			text := p.Mail.Sentence.Text
			gummed := closure != "gum" && closure != "tape" && closure != "wax"
			if !strings.Contains(text, "it does not") || strings.Contains(text, "glued shut") != gummed || strings.Contains(text, "along its long edge") != short {
				t.Errorf("%s, short %v: %s", closure, short, text)
			}
			if r := p.Envelope.Comparison.Rectangle; r != "" && strings.Contains(r, "glued shut") != gummed {
				t.Errorf("%s, short %v: %s", closure, short, r)
			}
			at := slices.IndexFunc(p.Mail.Remedies, func(r plan.RemedyPlan) bool { return r.ID == "rectangle" })
			if at < 0 {
				t.Errorf("%s, short %v: no act for %q", closure, short, text)
				continue
			}
			r := p.Mail.Remedies[at]
			after := plan.Make(acted(t, j, shop, field.Edit{Act: field.Take, Path: "mail.remedies", Text: r.ID}), shop)
			if r.Short != "Goes as a letter" || after.Mail.Short != r.Short || strings.Contains(r.Title, "glued shut") != gummed || strings.Contains(r.Title, "long edge") != short {
				t.Errorf("%s, short %v: %q promises %q, is %q", closure, short, r.Title, r.Short, after.Mail.Short)
			}
		}
	}
}

// Where no shape of the envelope spares the surcharge, no rectangle is promised, drawn or
// compared, and what else pays is said.
func TestNoRectangleWhereSomethingElsePays(t *testing.T) {
	j := anyjob.Star(5*in+3*in/8, 5*in+3*in/8, "diamond")
	j.Parts = slices.Clone(j.Parts)
	j.Parts[0].Stock = "chipboard-2"
	p := plan.Make(j, demo.Shop())
	if text := p.Mail.Sentence.Text; strings.Contains(text, "it does not") || !strings.Contains(text, "A rectangle ") || !strings.Contains(text, "pay") {
		t.Error(text)
	}
	if p.Mail.Rectangle != nil || p.Envelope.Comparison.Rectangle != "" {
		t.Errorf("%v is drawn, %q compared", p.Mail.Rectangle, p.Envelope.Comparison.Rectangle)
	}
}

// The address is drawn along the edge where it is set.
func TestAddressIsDrawnWhereItIsSet(t *testing.T) {
	for _, c := range []struct {
		width, height  measure.Length
		short, upright bool
	}{
		{7 * in, 5 * in, false, false}, {7 * in, 5 * in, true, true}, {5 * in, 7 * in, false, true}, {5 * in, 7 * in, true, false}, {5 * in, 5 * in, true, false},
	} {
		j := anyjob.Star(c.width-in/4, c.height-in/4, blank.BoughtID)
		j.Envelope.From, j.Envelope.OwnWidth, j.Envelope.OwnHeight, j.Mail.AddressShort = job.OwnEnvelope, c.width, c.height, c.short
		if p := plan.Make(j, demo.Shop()).Mail; p.AddressUpright != c.upright || p.Width.Nm < p.Height.Nm != (c.width < c.height) {
			t.Errorf("%v x %v, short %v: upright %v", c.width, c.height, c.short, p.AddressUpright)
		}
	}
}
