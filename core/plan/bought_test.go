package plan_test

import (
	"slices"
	"strings"
	"testing"

	"yellowparcel/core/blank"
	"yellowparcel/core/envelope"
	"yellowparcel/core/field"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/paper"
	"yellowparcel/core/plan"
	"yellowparcel/core/say"
	"yellowparcel/demo"
)

func took(t *testing.T, j job.Job, shop job.Shop, edits ...field.Edit) job.Job {
	t.Helper()
	j, problems := plan.Apply(j, shop, edits)
	if len(problems) > 0 {
		t.Fatalf("%+v", problems)
	}
	return j
}

func ticketLine(t *testing.T, p plan.Plan, id string) plan.TicketLine {
	t.Helper()
	for _, l := range p.Ticket {
		if l.ID == id {
			return l
		}
	}
	t.Fatalf("no line %q on the ticket", id)
	return plan.TicketLine{}
}

// A bought envelope is the job's own with one act: from then on everything goes by it,
// and nothing tells the maker to cut one.
func TestABoughtEnvelopeIsTheJobs(t *testing.T) {
	j, shop := demo.Jobs()[1], demo.Shop() // 40 cards of 7 x 5
	j = took(t, j, shop, field.Edit{Act: field.Take, Path: "envelope", Text: "bought:own-1"})
	p := plan.Make(j, shop)
	b := p.Envelope.Blank
	if b.Sentence.Text != "Use Cream, from the star party as it is." || len(b.Ways[0].Settings) != 0 || len(b.Net.Panels) != 2 || len(b.Net.CutAway) != 0 {
		t.Errorf("%s: %+v, %d panels", b.Sentence.Text, b.Ways, len(b.Net.Panels))
	}
	if l := ticketLine(t, p, "sheet"); l.Label != "Envelope" || l.Value != "Cream, from the star party" {
		t.Errorf("the ticket says %+v", l)
	}
	// 7 1/4 less 7, two papers of .13 mm and the card's .75 mm, both ways.
	ease := measure.Inch/4 - 2*130*measure.Micrometre - p.Card.Thickness.Nm
	if b.EaseWidth.Nm != ease || b.EaseHeight.Nm != ease || p.Envelope.Own.EaseWidth.Nm != ease || p.Envelope.Own.Name != "Cream, from the star party" {
		t.Errorf("ease %v and %v, Card inside %+v; want %v", b.EaseWidth.Nm, b.EaseHeight.Nm, p.Envelope.Own, ease)
	}
	for _, s := range p.Paper.Stocks {
		for _, q := range s.Pieces {
			if strings.Contains(q.Name, "blank") {
				t.Errorf("%d of %s are to be cut", q.Count, q.Name)
			}
		}
	}
	if n := notes(p.Paper.Notes); !strings.Contains(n, "Take 40 envelopes: Cream, from the star party. You have 34: buy 6 more.") {
		t.Errorf("envelopes to take: %s", n)
	}
	if !strings.Contains(p.Mail.Sentence.Text+notes(p.Mail.Notes), "letter") || b.Closed.Width.Nm != 7*in+in/4 {
		t.Errorf("%v wide goes so: %s", b.Closed.Width, p.Mail.Sentence.Text)
	}
	for _, s := range b.Folds {
		if strings.Contains(s.Text+s.Glue, "the back") || strings.Contains(s.Text, "side") {
			t.Errorf("a fold of a closed envelope: %+v", s)
		}
	}
	// The comparison proposes it, with how many there are.
	row := p.Envelope.Comparison.Rows[0]
	if row.ID != "bought:own-1" || !row.Recommended || !row.Chosen || row.FitText != "good fit, 34 on your shelf" {
		t.Errorf("compared: %+v", row)
	}
	if _, problems := plan.Apply(j, shop, []field.Edit{{Act: field.Take, Path: "envelope", Text: "bought:nowhere"}, {Act: field.Take, Path: "envelope", Text: "sack"}}); len(problems) != 1 || !strings.Contains(problems[0].Message, "no envelope type “sack”") {
		t.Errorf("%+v", problems)
	}
}

// An envelope measured with a ruler becomes the job's as it is chosen, and follows its
// measures; whoever wants to make one after all takes that.
func TestAMeasuredEnvelopeIsTheJobs(t *testing.T) {
	j, shop := job.NewJob(demo.Shop()), demo.Shop()
	j = took(t, j, shop, field.Edit{Act: field.Add, Path: "start", Text: job.OwnEnvelope},
		field.Edit{Act: field.Type, Path: "start.width", Text: "7 1/2"}, field.Edit{Act: field.Type, Path: "start.height", Text: "5 3/8"})
	p := plan.Make(j, shop)
	if !p.Start.Taken || p.Envelope.Construction != blank.BoughtID || p.Envelope.Blank.Closed.Width.Nm != 7*in+in/2 || p.Envelope.Blank.Closed.Height.Nm != 5*in+3*in/8 {
		t.Errorf("%v, %+v", p.Envelope.Construction, p.Envelope.Blank.Closed)
	}
	j = took(t, j, shop, field.Edit{Act: field.Set, Path: "envelope.opens", Text: string(envelope.ShortSide)})
	p = plan.Make(j, shop)
	if b := p.Envelope.Blank; b.Closed.Width.Nm != 5*in+3*in/8 || b.Lies.Width != 5*in || p.Envelope.Own.EaseWidth.Nm != b.EaseHeight.Nm {
		t.Errorf("opening on its short side it is %v wide, the card in it %v", b.Closed.Width, b.Lies)
	}
	j = took(t, j, shop, field.Edit{Act: field.Take, Path: "envelope", Text: "pocket"})
	p = plan.Make(j, shop)
	if p.Start.Taken || p.Envelope.Construction != blank.PocketID {
		t.Errorf("made after all: %v", p.Envelope.Construction)
	}
	cut := 0
	for _, s := range p.Paper.Stocks {
		for _, q := range s.Pieces {
			if strings.Contains(q.Name, "blank") {
				cut += q.Count
			}
		}
	}
	if cut != 1 {
		t.Errorf("%d blanks are cut", cut)
	}
}

// A pocket of 6 x 5 with tabs of 1 1/4 is 8 13/16 wide when it opens on the long side, and
// 7 13/16 when it opens on the short one: only that goes on legal paper, 8 1/2 wide.
func TestOpensOnTheShortSide(t *testing.T) {
	j, shop := job.NewJob(demo.Shop()), demo.Shop()
	legal, _ := paper.SheetByID("legal")
	shop.Sheets = []paper.Sheet{legal}
	e := &j.Envelope
	j.Card.Width, j.Card.Height, e.Construction, e.Seam, e.Flap = 6*in, 5*in, blank.PocketID, 5*in/4, 7*in/4
	p := plan.Make(j, shop)
	b := p.Envelope.Blank
	if got := reading(t, b, "opens"); got.Value != "the short side" || b.Sheet.Nm > legal.Height || b.Lies.Width != 5*in {
		t.Errorf("%+v, cut %v wide, the card %v across the throat", got, b.Sheet, b.Lies.Width)
	}
	if n := notes(b.Notes); !strings.Contains(n, "It opens on the short side. On the long side it would be 5⁄16 too large for Legal.") || strings.Contains(n, "It is 5⁄16") {
		t.Errorf("why: %s", n)
	}
	// The post sees the same envelope, whichever side opens.
	j.Envelope.Opens = envelope.LongSide
	long := plan.Make(j, shop)
	if n := notes(long.Envelope.Blank.Notes); !strings.Contains(n, "too large for Legal. Open it on the short side.") {
		t.Errorf("asked for the long side: %s", n)
	}
	if long.Mail.Short != p.Mail.Short || long.Envelope.Own.Size != p.Envelope.Own.Size {
		t.Errorf("%s of %s, %s of %s", long.Mail.Short, long.Envelope.Own.Size, p.Mail.Short, p.Envelope.Own.Size)
	}
}

// Given by hand without an envelope nothing is cut for one and none is closed; tied with
// ribbon, machines catch it.
func TestClosuresWithoutAnEnvelopeAndWithRibbon(t *testing.T) {
	j, shop := demo.Jobs()[1], demo.Shop()
	j.Mail.Destination, j.Mail.Closure = job.ByHand, "none"
	p := plan.Make(j, shop)
	for _, s := range p.Paper.Stocks {
		for _, q := range s.Pieces {
			if strings.Contains(q.Name, "blank") {
				t.Errorf("%d of %s are to be cut", q.Count, q.Name)
			}
		}
	}
	if p.Mail.Thickness.Nm != p.Card.Thickness.Nm {
		t.Errorf("%s thick, the card is %s", p.Mail.Thickness.Text, p.Card.Thickness.Text)
	}
	j.Mail.Destination = "us-domestic"
	if n := notes(plan.Make(j, shop).Mail.Notes); !strings.Contains(n, "Without an envelope it can be given by hand only") {
		t.Errorf("mailed: %s", n)
	}
	j.Mail.Closure = "ribbon"
	if p := plan.Make(j, shop).Mail; p.Short != "Goes as a letter with a surcharge" || !strings.Contains(p.Sentence.Text, "closed by clasp, string or button") {
		t.Errorf("%s: %s", p.Short, p.Sentence.Text)
	}
}

// What is said of its paper is said of the one that it is sold in, and nothing offers to
// make it of another.
func TestABoughtEnvelopeIsOfItsOwnPaper(t *testing.T) {
	j, shop := demo.Jobs()[5], demo.Shop() // brads
	j.Envelope.Stock = "copy-80"
	stronger := func(p plan.Plan) bool {
		for _, r := range p.Mail.Remedies {
			if strings.HasPrefix(r.ID, "envelope") {
				return true
			}
		}
		return false
	}
	if p := plan.Make(j, shop); !stronger(p) || !strings.Contains(notes(p.Mail.Notes), "Hard points come through") {
		t.Fatal("nothing is said of a thin envelope that is made")
	}
	j = took(t, j, shop, field.Edit{Act: field.Take, Path: "envelope", Text: "bought:a8"})
	if p := plan.Make(j, shop); stronger(p) || strings.Contains(notes(p.Mail.Notes), "Hard points") {
		t.Errorf("of a bought one: %s", notes(p.Mail.Notes))
	}
	own := took(t, j, shop, field.Edit{Act: field.Set, Path: "envelope.from", Text: job.OwnEnvelope})
	options := strings.Join(plan.Make(own, shop).Envelope.Blank.Options, " ")
	if !strings.Contains(options, "envelope.ownWidth envelope.ownHeight envelope.opens") {
		t.Errorf("a measured one asks for %s", options)
	}
}

// A card that goes without an envelope has none on its ticket, and the station says so.
func TestWithoutAnEnvelopeTheTicketSaysNone(t *testing.T) {
	said := func(p plan.Plan) bool {
		return slices.ContainsFunc(p.Envelope.Blank.Notes, func(n say.Note) bool { return strings.Contains(n.Text, "without an envelope") })
	}
	for name, how := range map[string]func(*job.Job){
		"by hand": func(j *job.Job) { j.Mail.Closure = "none" },
		"bare":    func(j *job.Job) { j.Mail.Bare = true },
	} {
		t.Run(name, func(t *testing.T) {
			j, shop := demo.Jobs()[1], demo.Shop()
			if p := plan.Make(j, shop); said(p) || ticketLine(t, p, "sheet").Value == "None" {
				t.Error("a card in an envelope is said to have none")
			}
			how(&j)
			p := plan.Make(j, shop)
			if l := ticketLine(t, p, "sheet"); l.Value != "None" || l.Label != "Envelope" {
				t.Errorf("the ticket says %+v", l)
			}
			if l := ticketLine(t, p, "ease"); l.Value != "None needed" || !said(p) {
				t.Errorf("the ticket says %+v; %+v", l, p.Envelope.Blank.Notes)
			}
		})
	}
}

// An envelope that was removed from the shelf is not replaced in silence, and one that the
// card does not go into is not said to be mailed with it.
func TestAnEnvelopeThatDoesNotDoIsSaid(t *testing.T) {
	said := func(notes []say.Note, text string) bool {
		return slices.ContainsFunc(notes, func(n say.Note) bool { return n.Tone == say.Trouble && strings.Contains(n.Text, text) })
	}
	j, shop := demo.Jobs()[1], demo.Shop()
	j = took(t, j, shop, field.Edit{Act: field.Take, Path: "envelope", Text: "bought:own-1"})
	fits := func() string {
		for _, r := range plan.Make(j, shop).Envelope.Comparison.Rows {
			if r.ID == "bought:own-1" {
				return r.FitText
			}
		}
		return "not compared"
	}
	if got := fits(); !strings.Contains(got, "on your shelf") || strings.Contains(got, "removed") {
		t.Errorf("it is there: %s", got)
	}
	shop.Envelopes = slices.Clone(shop.Envelopes)
	shop.Envelopes[0].Off = true
	if got := fits(); !strings.Contains(got, "removed from your shelf") {
		t.Errorf("removed: %s", got)
	}
	shop.Envelopes = nil
	if p := plan.Make(j, shop); len(p.Missing) == 0 || strings.Contains(p.Envelope.Blank.Sentence.Text, "star party") {
		t.Errorf("%+v: %s", p.Missing, p.Envelope.Blank.Sentence.Text)
	}
	j, shop = demo.Jobs()[1], demo.Shop()
	j = took(t, j, shop, field.Edit{Act: field.Take, Path: "envelope", Text: "bought:a7"})
	if p := plan.Make(j, shop); said(p.Mail.Notes, "does not go into") {
		t.Errorf("it fits: %+v", p.Mail.Notes)
	}
	j = took(t, j, shop, field.Edit{Act: field.Type, Path: "card.width", Text: "9"})
	p := plan.Make(j, shop)
	if !said(p.Envelope.Blank.Notes, "Take a larger envelope.") || !said(p.Mail.Notes, "does not go into its envelope") {
		t.Errorf("%+v, %+v", p.Envelope.Blank.Notes, p.Mail.Notes)
	}
}
