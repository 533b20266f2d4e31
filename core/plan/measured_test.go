package plan_test

import (
	"encoding/json"
	"strconv"
	"strings"
	"testing"

	"yellowparcel/core/field"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/plan"
	"yellowparcel/demo"
)

func read(path, text string) field.Edit {
	act := field.Type
	if strings.HasSuffix(path, "through") || strings.HasSuffix(path, "destination") {
		act = field.Set
	}
	return field.Edit{Act: act, Path: path, Text: text}
}

// classOf is one class of a plan.
func classOf(t *testing.T, p plan.MailPlan, id string) plan.ClassPlan {
	t.Helper()
	for _, c := range p.Classes {
		if c.ID == id {
			return c
		}
	}
	t.Fatalf("no class %s", id)
	return plan.ClassPlan{}
}

func thicknessOf(t *testing.T, c plan.ClassPlan) plan.CheckPlan {
	t.Helper()
	for _, k := range c.Checks {
		if k.Measure == "thickness" {
			return k
		}
	}
	t.Fatalf("no thickness of %s", c.ID)
	return plan.CheckPlan{}
}

// What the gauge said was said of the slot as it was cut: it is the same in either unit, for
// any destination, and of a slot that is never wider than the limit.
func TestTheGaugeSaysTheSameInEitherUnit(t *testing.T) {
	shop := demo.Shop()
	shop.Today = "2026-12-01"
	inMillimetres := metric()
	inMillimetres.Today = shop.Today
	for _, in := range []struct {
		name string
		job.Shop
	}{{"inches", shop}, {"millimetres", inMillimetres}} {
		for _, through := range []string{"freely", "tightly", "not"} {
			for _, i := range []int{1, 5} {
				j := took(t, demo.Jobs()[i], in.Shop, read("mail.measured.through", through))
				if m := j.Mail.Measured; m.Slot <= 0 || m.Slot > measure.Inch/4 || m.For != j.Mail.Destination || m.TriedOn != "2026-12-01" {
					t.Errorf("%s, %s: kept %+v", in.name, through, m)
				}
				here, there := plan.Make(j, shop).Mail, plan.Make(j, inMillimetres).Mail
				if here.Short != there.Short {
					t.Errorf("%s, %s, job %d: %s in inches, %s in millimetres", in.name, through, i, here.Short, there.Short)
				}
				letter := thicknessOf(t, classOf(t, here, "letter"))
				if letter.OK != (through != "not") {
					t.Errorf("%s, %s: a letter %+v", in.name, through, letter)
				}
				if through == "not" && (!strings.Contains(here.Sentence.Text, "by how much is not known: measure it") || strings.HasPrefix(here.Short, "Goes as a l")) {
					t.Errorf("%s: %q, %q", in.name, here.Short, here.Sentence.Text)
				}
				abroad := took(t, j, in.Shop, read("mail.destination", "germany-home"))
				if m := abroad.Mail.Measured; m.Slot != j.Mail.Measured.Slot || m.For != "us-domestic" {
					t.Errorf("the reading changed with the destination: %+v", m)
				}
			}
		}
	}
	if p := plan.Make(demo.Jobs()[1], inMillimetres).Mail; p.Gauge == nil || !strings.HasSuffix(p.Gauge.Slot, "× 6") || p.Gauge.Bottom.Nm-p.Gauge.Top.Nm > measure.Inch/4 {
		t.Errorf("the slot for 1/4 in: %+v", p.Gauge)
	}
}

// A slot that was cut otherwise is typed, and then the reading is of that one.
func TestASlotCutOtherwise(t *testing.T) {
	shop := demo.Shop()
	j := took(t, demo.Jobs()[1], shop, read("mail.gaugeSlot", "3/16"), read("mail.measured.through", "not"))
	if p := plan.Make(j, shop).Mail; p.Short != "Ask first: letter" {
		t.Errorf("over 3/16 is not over 1/4: %s, %s", p.Short, p.Sentence.Text)
	}
	j = took(t, j, shop, read("mail.gaugeSlot", "1/4"))
	if p := plan.Make(j, shop).Mail; strings.Contains(p.Short, "a letter") {
		t.Errorf("as it was cut after all: %s", p.Short)
	}
	j = took(t, demo.Jobs()[5], shop, read("mail.gaugeSlot", "3/8"), read("mail.measured.through", "freely"))
	if p := plan.Make(j, shop).Mail; thicknessOf(t, classOf(t, p, "letter")).OK {
		t.Errorf("a slot wider than the limit proves nothing: %s", p.Short)
	}
}

// Fixes go by what was found: after the gauge said "not at all" none is sure, and none
// leads to a piece that is thicker than what it replaces.
func TestFixesGoByWhatWasFound(t *testing.T) {
	shop := demo.Shop()
	for i := range demo.Jobs() {
		j := demo.Jobs()[i]
		if j.Mail.Destination != "us-domestic" {
			continue
		}
		j = took(t, j, shop, read("mail.measured.through", "not"))
		p := plan.Make(j, shop).Mail
		for _, r := range p.Remedies {
			if strings.HasPrefix(r.Short, "Goes as a letter") {
				t.Errorf("%s: “%s” is sure to be a letter: %s", j.Name, r.Title, r.Text)
			}
			taken := took(t, j, shop, field.Edit{Act: field.Take, Path: "mail.remedies", Text: r.ID})
			if taken.Mail.Measured.Through != "not" || taken.Mail.Measured.Slot != j.Mail.Measured.Slot {
				t.Errorf("%s: “%s” forgets what was found", j.Name, r.Title)
			}
		}
		if !strings.Contains(p.FixesNote, "Measure it") {
			t.Errorf("%s: no word that none is sure: %q", j.Name, p.FixesNote)
		}
	}
	// A reading that is a hundredth over is over.
	j := took(t, demo.Jobs()[1], shop, read("mail.measured.thickness", ".26"))
	p := plan.Make(j, shop).Mail
	if thicknessOf(t, classOf(t, p, "letter")).OK {
		t.Fatal(".26 is a letter")
	}
	if len(p.Remedies) == 0 && !strings.Contains(p.FixesNote, "No change") {
		t.Errorf("a parcel needs no fixing: %q", p.FixesNote)
	}
	for _, r := range p.Remedies {
		taken := took(t, j, shop, field.Edit{Act: field.Take, Path: "mail.remedies", Text: r.ID})
		k := thicknessOf(t, classOf(t, plan.Make(taken, shop).Mail, "letter"))
		if strings.HasPrefix(r.Short, "Goes as a letter") && (k.Close || !k.OK) && !strings.Contains(r.Text, "not sure") {
			t.Errorf("“%s” is sure, and its thickness %+v", r.Title, k)
		}
	}
	// What goes by the rules needs none.
	if p := plan.Make(demo.Jobs()[1], shop).Mail; p.Short == "Goes as a letter" && len(p.Remedies) == 0 && !strings.Contains(p.FixesNote, "Nothing needs fixing") {
		t.Errorf("%q", p.FixesNote)
	}
}

// A reading that is far from the prediction asks what the job lacks, two that
// contradict ask which holds.
func TestReadingsAreDoubted(t *testing.T) {
	shop := demo.Shop()
	thin := demo.Jobs()[1]
	for _, c := range []struct {
		edits []field.Edit
		want  string
	}{
		{[]field.Edit{read("mail.measured.thickness", ".9")}, "missing"},
		{[]field.Edit{read("mail.measured.grams", "90 g")}, "missing"},
		{[]field.Edit{read("mail.measured.through", "freely"), read("mail.measured.thickness", "7.2 mm")}, "Both cannot hold"},
		{[]field.Edit{read("mail.measured.through", "not"), read("mail.measured.thickness", "3 mm")}, "Both cannot hold"},
	} {
		j := took(t, thin, shop, c.edits...)
		if p := plan.Make(j, shop).Mail; !strings.Contains(notes(p.Notes), c.want) {
			t.Errorf("%v: nothing of %q in %q", c.edits, c.want, notes(p.Notes))
		}
	}
	p := plan.Make(thin, shop).Mail
	near := took(t, thin, shop, read("mail.measured.thickness", p.Measured[0].Predicted), read("mail.measured.through", "freely"))
	if n := notes(plan.Make(near, shop).Mail.Notes); strings.Contains(n, "missing") || strings.Contains(n, "cannot hold") {
		t.Errorf("as predicted, and doubted: %s", n)
	}
	// Contradicting, the thicker counts until that is settled.
	j := took(t, thin, shop, read("mail.measured.through", "not"), read("mail.measured.thickness", "3 mm"))
	if p := plan.Make(j, shop).Mail; thicknessOf(t, classOf(t, p, "letter")).OK {
		t.Errorf("contradicting: %s", p.Short)
	}
}

// The envelope is made for what is predicted until the maker says otherwise: it says so,
// and one act changes it.
func TestTheEnvelopeSaysWhatItIsSizedFor(t *testing.T) {
	shop := demo.Shop()
	j := took(t, demo.Jobs()[1], shop, read("mail.measured.thickness", ".2"))
	p := plan.Make(j, shop)
	act := ""
	for _, n := range p.Envelope.Blank.Notes {
		if strings.Contains(n.Text, "sized for") && n.Act != nil {
			act = n.Act.Path + " " + n.Act.ID
		}
	}
	if act == "" {
		t.Fatalf("nothing says what the envelope is sized for: %s", notes(p.Envelope.Blank.Notes))
	}
	path, id, _ := strings.Cut(act, " ")
	taken := took(t, j, shop, field.Edit{Act: field.Take, Path: path, Text: id})
	after := plan.Make(taken, shop)
	if strings.Contains(notes(after.Envelope.Blank.Notes), "sized for") {
		t.Errorf("taken, and said still: %s", notes(after.Envelope.Blank.Notes))
	}
	if got := after.Mail.Thickness.Text; got != p.Mail.Thickness.Text {
		t.Errorf("the closed piece was %s, and is %s when its envelope is sized for it", p.Mail.Thickness.Text, got)
	}
}

// What is refused leaves no number, and nothing is "-0 %" off.
func TestWhatWasMeasuredIsWritten(t *testing.T) {
	shop := demo.Shop()
	thin := demo.Jobs()[1]
	j := took(t, thin, shop, read("mail.measured.grams", "1 1/2 oz"))
	if g := j.Mail.Measured.Grams; g < 42.52 || g > 42.53 {
		t.Errorf("1 1/2 oz is %g g", g)
	}
	p := plan.Make(thin, shop).Mail
	under := took(t, thin, shop, read("mail.measured.thickness", strconv.FormatFloat(p.Thickness.Nm.Millimetres()*0.998, 'f', 4, 64)+" mm"))
	for _, m := range plan.Make(under, shop).Mail.Measured {
		if strings.Contains(m.Off, "−0 %") || strings.Contains(m.Off, "+0 %") {
			t.Errorf("off by %q", m.Off)
		}
	}
}

// How far a piece bends over a table's edge is the post's rule, the strain the program's way to
// it: guidance wherever it decides.
func TestBentOverATable(t *testing.T) {
	shop, told := demo.Shop(), 0
	for i := range demo.Jobs() {
		p := plan.Make(demo.Jobs()[i], shop).Mail
		for _, c := range p.Classes {
			for _, k := range c.Checks {
				if k.Measure != "table" {
					continue
				}
				told++
				if !k.Guidance || !strings.Contains(k.About, "guidance") || strings.Contains(k.Measured+k.Limit+k.Label, "%") || strings.Contains(k.Label, "strain") {
					t.Errorf("%s: %+v", demo.Jobs()[i].Name, k)
				}
			}
		}
		if s := p.Sentence.Text; strings.Contains(s, "rigid by") || strings.Contains(s, "table") && !strings.Contains(s, "guidance") {
			t.Errorf("%s: %s", demo.Jobs()[i].Name, s)
		}
	}
	if told == 0 {
		t.Error("no large envelope at all")
	}
}

// A piece that was tried in a gauge of which nobody knew the slot was not measured: that is said, and stays so
// wherever it goes. What is only known to be more is never said to be too little.
func TestAGaugeWithoutASlot(t *testing.T) {
	shop := demo.Shop()
	j := took(t, demo.Jobs()[1], shop, read("mail.destination", "hand"), read("mail.measured.through", "not"), read("mail.destination", "us-domestic"))
	if p := plan.Make(j, shop).Mail; p.Short != "Goes as a letter" || !strings.Contains(notes(p.Notes), "slot as it was cut") {
		t.Errorf("%s: %s", p.Short, notes(p.Notes))
	}
	if told, err := json.Marshal(plan.Make(j, shop)); err != nil || strings.Contains(string(told), "slot of 0") {
		t.Errorf("it tells of a slot of nothing, %v", err)
	}
	j = took(t, j, shop, read("mail.gaugeSlot", "1/4"))
	p := plan.Make(j, shop).Mail
	if p.Short != "Ask first: large envelope" {
		t.Errorf("with its slot: %s", p.Short)
	}
	for _, d := range p.Everywhere {
		if strings.Contains(d.Why, "too thin") {
			t.Errorf("%s: %s", d.Name, d.Why)
		}
	}
	if k := thicknessOf(t, classOf(t, p, "large-envelope")); k.OK || k.Measured != "over 0.25 in" {
		t.Errorf("%+v", k)
	}
}
