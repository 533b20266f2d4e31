package plan_test

import (
	"encoding/json"
	"math/rand/v2"
	"reflect"
	"strings"
	"testing"

	"yellowparcel/core/blank"
	"yellowparcel/core/card"
	"yellowparcel/core/field"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/plan"
	"yellowparcel/core/say"
	"yellowparcel/demo"
	"yellowparcel/internal/anyjob"
	"yellowparcel/internal/soak"
)

const in = measure.Inch

func sample() (job.Job, job.Shop) { return demo.Jobs()[0], demo.Shop() }

func TestSampleJobsAreSound(t *testing.T) {
	shop := demo.Shop()
	if p := shop.Check(); len(p) > 0 {
		t.Fatalf("the sample shop: %v", p)
	}
	for _, j := range append(demo.Jobs(), job.NewJob(demo.Shop())) {
		if p := plan.Check(j, shop); len(p) > 0 {
			t.Errorf("%s: %v", j.Name, p)
		}
		for _, n := range plan.Make(j, shop).Envelope.Blank.Notes {
			if n.Tone == say.Trouble && !strings.Contains(n.Text, "too large for 12 × 12. Make ") {
				t.Errorf("%s comes with trouble: %s", j.Name, n.Text)
			}
		}
	}
}

// The sample card, by hand: 5 3/8 square in 270 gsm with one layer, T 0.85 mm
// (0.0335 in); 80 gsm envelope, ease 1/4, so creases 5.6585 in apart.
func TestPlanOfTheSampleJob(t *testing.T) {
	j, shop := sample()
	p := plan.Make(j, shop)
	c := p.Card
	if c.Predicted.Nm != 850*measure.Micrometre || c.Measured {
		t.Errorf("thickness %v", c.Predicted)
	}
	side := c.Bases[0]
	if side.Width.Text != "10 3⁄4" || side.Height.Text != "5 3⁄8" || side.Scores[0].At.Text != "5 3⁄8" || side.Across {
		t.Errorf("side fold: %+v", side)
	}
	for _, tt := range []struct {
		id         string
		each, take int
	}{{"letter", 1, 12}, {"12x12", 2, 6}, {"a4", 1, 12}} {
		t.Run(tt.id, func(t *testing.T) {
			for _, s := range c.Sheets {
				if s.ID == tt.id && (s.Each != tt.each || s.Take != tt.take) {
					t.Errorf("%s: %d a sheet, %d sheets; want %d and %d", tt.id, s.Each, s.Take, tt.each, tt.take)
				}
			}
		})
	}
	// S = (2 · 5.65846) / √2 + 3/4 = 8.7523 → 8 13/16; D = 12.4628;
	// creases 5 11/16 apart, near (12.4628 - 5.6875)/2 = 3.388 → 3 3/8.
	b := p.Envelope.Blank
	if b.Sheet.Text != "8 13⁄16" || b.Closed.Width.Text != "5 11⁄16" {
		t.Errorf("sheet %s, closed %s", b.Sheet.Text, b.Closed.Width.Text)
	}
	if w := b.Ways[0]; w.Settings[0].At.Text != "3 3⁄8" || w.Settings[1].At.Text != "9 1⁄16" {
		t.Errorf("scores at %s and %s", w.Settings[0].At.Text, w.Settings[1].At.Text)
	}
	if p.Mail.Short != "Goes as a letter with a surcharge" || !strings.HasPrefix(p.Mail.Sentence.Text, "Square: goes as a letter with a surcharge. In a ") {
		t.Errorf("post: %s: %s", p.Mail.Short, p.Mail.Sentence.Text)
	}
	// 1.3 · 5.6875 + 2.3/16 = 7.5375.
	if r := p.Mail.Rectangle; r == nil || r.Width.Text != "7 9⁄16" || r.Height.Text != "5 11⁄16" {
		t.Errorf("rectangle %+v", r)
	}
	if len(p.Ticket) != 8 || p.Ticket[0].Value != "5 3⁄8 × 5 3⁄8" || p.Ticket[1].Value != "10 3⁄4 × 5 3⁄8 · 5 3⁄8" || p.Ticket[7].Value != "3 pieces" {
		t.Errorf("ticket %+v", p.Ticket)
	}
}

func TestApply(t *testing.T) {
	j, shop := sample()
	for _, tt := range []struct {
		name, path, text string
		want             measure.Length
		says             string
	}{
		{"fraction", "card.width", "5 1/2", 5*in + in/2, ""},
		{"centimetres in an inch shop", "card.height", "14 cm", 140 * measure.Millimetre, ""},
		{"thickness", "card.thickness", "1.5 mm", 1500 * measure.Micrometre, ""},
		{"unreadable", "card.width", "wide", 0, "does not begin with a number"},
		{"zero", "card.width", "0", 0, "cannot be nothing"},
		{"negative", "card.width", "-5", 0, "cannot be negative"},
		{"kilometre", "card.width", "100000 mm", 0, "larger than any sheet"},
		{"hair", "card.width", "1/8", 0, "too small to work with"},
		{"thicker than the card", "card.thickness", "6", 0, "thicker"},
		{"narrower than thick", "card.width", "1", 1 * in, ""},
		{"seam of zero", "envelope.seam", "0", 0, "cannot be nothing"},
		{"no ease", "envelope.ease", "0", 0, ""},
		{"thumb gap", "envelope.thumbGap", "3 1/2", 0, "more than half"},
		{"unknown", "card.smell", "1", 0, "no field"},
	} {
		t.Run(tt.name, func(t *testing.T) {
			got, problems := plan.Apply(j, shop, []field.Edit{{Act: field.Type, Path: tt.path, Text: tt.text}})
			if tt.says != "" {
				if len(problems) != 1 || problems[0].Path != tt.path || !strings.Contains(problems[0].Message, tt.says) {
					t.Errorf("%s: %+v, want it to speak of %q", tt.name, problems, tt.says)
				}
				if !reflect.DeepEqual(got, j) {
					t.Errorf("%s: a refused edit changes the job", tt.name)
				}
				return
			}
			if len(problems) > 0 {
				t.Errorf("%s: refused: %v", tt.name, problems)
				return
			}
			at := map[string]measure.Length{"card.width": got.Card.Width, "card.height": got.Card.Height, "envelope.ease": got.Envelope.Ease}
			if got.Card.Thickness != nil {
				at["card.thickness"] = *got.Card.Thickness
			}
			if at[tt.path] != tt.want {
				t.Errorf("%s: %v, want %v", tt.name, at[tt.path], tt.want)
			}
		})
	}
}

func TestApplyKeepsWhatIsGood(t *testing.T) {
	j, shop := sample()
	got, problems := plan.Apply(j, shop, []field.Edit{{Act: field.Type, Path: "card.width", Text: "5 1/"}, {Act: field.Type, Path: "card.height", Text: "6"}, {Act: field.Type, Path: "count", Text: "20"}})
	if got.Card.Width != j.Card.Width || got.Card.Height != 6*in || got.Count != 20 {
		t.Errorf("%+v", got)
	}
	if len(problems) != 1 || !problems[0].Unfinished {
		t.Errorf("%+v", problems)
	}
	for _, bad := range []string{"", "0", "-1", "10001", "a dozen", "1e3", "99999999999999999999"} {
		if got, problems := plan.Apply(j, shop, []field.Edit{{Act: field.Type, Path: "count", Text: bad}}); len(problems) != 1 || got.Count != j.Count {
			t.Errorf("a count of %q: %v", bad, problems)
		}
	}
}

func TestSteps(t *testing.T) {
	j, shop := sample()
	step := func(j job.Job, n int) job.Job {
		t.Helper()
		got, problems := plan.Apply(j, shop, []field.Edit{{Act: field.Step, Path: "card.width", Steps: n}})
		if len(problems) > 0 {
			t.Fatal(problems)
		}
		return got
	}
	if got := step(j, 1).Card.Width; got != 5*in+7*in/16 {
		t.Errorf("up one: %v", got)
	}
	if got := step(step(j, 3), -3).Card.Width; got != j.Card.Width {
		t.Errorf("up and down again: %v", got)
	}
	j.Card.Width = 140 * measure.Millimetre // 5 1/2 and a bit
	if got := step(j, 1).Card.Width; got != 5*in+9*in/16 {
		t.Errorf("up from between two ticks: %v", got)
	}
	if got := step(j, -1).Card.Width; got != 5*in+in/2 {
		t.Errorf("down from between two ticks: %v", got)
	}
	got, _ := plan.Apply(j, shop, []field.Edit{{Act: field.Step, Path: "card.thickness", Steps: 1}})
	if got.Card.Thickness == nil || *got.Card.Thickness != in/16 {
		t.Errorf("thickness stepped from the sum of the parts: %v", got.Card.Thickness)
	}
	back, _ := plan.Apply(got, shop, []field.Edit{{Act: field.Type, Path: "card.thickness", Text: " "}})
	if back.Card.Thickness != nil {
		t.Error("an empty thickness is not the sum of the parts again")
	}
	if j.Card.Thickness != nil {
		t.Error("Apply changed the job it was given")
	}
}

func TestCheckNamesEveryField(t *testing.T) {
	j, shop := sample()
	j.Count, j.Card.Width, j.Card.Fold = 0, -1, "fan"
	j.Envelope.School, j.Envelope.Way = "old", "luck"
	j.Parts = []job.Part{{Name: "x", Kind: job.LayerPart, Stock: "y", Border: -1}}
	got := map[string]bool{}
	for _, p := range plan.Check(j, shop) {
		got[p.Path] = true
		if !strings.HasSuffix(p.Message, ".") {
			t.Errorf("%s: %q is not a sentence", p.Path, p.Message)
		}
	}
	for _, path := range []string{"count", "card.width", "card.fold", "envelope.school", "envelope.way", "parts.0.kind", "parts.0.border"} {
		if !got[path] {
			t.Errorf("nothing is said of %s", path)
		}
	}
	shop.Unit, shop.TickInches, shop.Tools = "ft", 3, job.Tools{CornerAt: 9 * in}
	shop.Sheets[0].Width, shop.Stocks[0].GSM, shop.Adhesives[0].Width = -1, 0, 0
	paths := map[string]bool{}
	for _, p := range shop.Check() {
		paths[p.Path] = true
	}
	for _, path := range []string{"unit", "tickInches", "tools.cornerAt", "tools.trimmerLength", "tools.notchDepth", "sheets.0.width", "stocks.0.gsm", "adhesives.0.width"} {
		if !paths[path] {
			t.Errorf("nothing is said of the shop's %s", path)
		}
	}
}

// Any job that passes Check makes a plan that can be sent and that hangs
// together; the same job makes the same plan.
func TestPlansHangTogether(t *testing.T) {
	t.Parallel()
	rng := rand.New(rand.NewPCG(7, 8))
	pick := func(n int) int { return rng.IntN(n) }
	for i := range soak.Of(600) {
		j, shop := sample()
		j.Card.Width, j.Card.Height = measure.Length(16+pick(200))*in/16, measure.Length(25+pick(300))*measure.Millimetre
		j.Card.Fold = card.Folds()[pick(len(card.Folds()))]
		j.Envelope.School, j.Envelope.Way = blank.Schools()[pick(3)], anyjob.DiamondWays[pick(5)]
		if pick(2) == 0 {
			thick := measure.Length(1+pick(20)) * measure.Millimetre
			j.Card.Thickness = &thick
		}
		if pick(3) == 0 {
			shop.Unit = measure.Millimetres
		}
		if pick(4) == 0 {
			j.Mail.Destination = job.ByHand
		}
		if pick(2) == 0 {
			j.Start = &job.Start{Format: []string{"a7", "c6", "dl", job.OwnEnvelope}[pick(4)], Width: 150 * measure.Millimetre, Height: 60 * measure.Millimetre}
		}
		if len(plan.Check(j, shop)) > 0 {
			continue
		}
		p := plan.Make(j, shop)
		first, err := json.Marshal(p)
		if err != nil {
			t.Fatalf("job %d: %v", i, err)
		}
		if second, _ := json.Marshal(plan.Make(j, shop)); string(first) != string(second) {
			t.Fatalf("job %d makes two different plans", i)
		}
		if p.Card.Sentence.Text == "" || p.Envelope.FitsSentence.Text == "" || p.Envelope.Blank.Sentence.Text == "" || p.Mail.Sentence.Text == "" || p.Card.Drawing == "" || p.Envelope.Blank.Drawing == "" || p.Mail.Drawing == "" {
			t.Fatalf("job %d: a sentence is missing", i)
		}
		if strings.Contains(string(first), "%!") || strings.Contains(string(first), "NaN") {
			t.Fatalf("job %d: a text is malformed: %s", i, first)
		}
		chosen := 0
		for _, c := range p.Mail.Classes {
			if c.Chosen {
				chosen++
			}
		}
		if chosen > 1 {
			t.Fatalf("job %d: %d classes are chosen", i, chosen)
		}
	}
}

func TestNotesForWhatGoesWrong(t *testing.T) {
	for _, tt := range []struct {
		name   string
		change func(*job.Job)
		says   string
	}{
		{"no ease", func(j *job.Job) { j.Envelope.Ease = 0 }, "often does not go in"},
		{"narrow seam", func(j *job.Job) { j.Envelope.Seam = in / 4 }, "narrower than the"},
		{"slim card", func(j *job.Job) { j.Card.Width, j.Card.Height = 8*in+in/2, 3*in+in/2 }, "overshoots"},
		{"large card", func(j *job.Job) { j.Card.Width, j.Card.Height = 9*in, 9*in }, "too large for 12 × 12. Make "},
		{"thick card", func(j *job.Job) { t := in / 4; j.Card.Thickness = &t }, "score every crease twice"},
		{"heavy envelope", func(j *job.Job) { j.Envelope.Stock = "cover-100" }, "heavy for an envelope"},
		{"diagonal-plus on a thick card", func(j *job.Job) {
			j.Envelope.School, j.Envelope.Ease = blank.DiagonalPlus, in
		}, "back does not close"},
	} {
		t.Run(tt.name, func(t *testing.T) {
			j, shop := sample()
			tt.change(&j)
			found := false
			for _, n := range plan.Make(j, shop).Envelope.Blank.Notes {
				found = found || strings.Contains(n.Text, tt.says)
			}
			if !found {
				t.Errorf("%s: nothing is said of %q: %+v", tt.name, tt.says, plan.Make(j, shop).Envelope.Blank.Notes)
			}
		})
	}
}

func BenchmarkMakeSample(b *testing.B) {
	j, shop := sample()
	for b.Loop() {
		plan.Make(j, shop)
	}
}
