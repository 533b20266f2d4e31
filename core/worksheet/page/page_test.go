package page_test

import (
	"encoding/json"
	"fmt"
	"os"
	"strings"
	"sync"
	"testing"

	"yellowparcel/core/blank"
	"yellowparcel/core/field"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/plan"
	"yellowparcel/core/worksheet"
	"yellowparcel/core/worksheet/page"
	"yellowparcel/demo"
	"yellowparcel/internal/soak"
)

// sheets are the worksheets of the sample jobs, in every construction, with tools and without.
func sheets(t *testing.T, each func(plan.Table, worksheet.Worksheet, page.Worksheet)) {
	t.Helper()
	for _, s := range written() {
		each(s.table, s.sheet, s.page)
	}
}

type writtenSheet struct {
	table plan.Table
	sheet worksheet.Worksheet
	page  page.Worksheet
}

// written are the worksheets of the demo jobs with all kinds of envelopes and tools, in both
// units; in make test one of four, whichever jobs those fall on. They are written once.
var written = sync.OnceValue(func() (list []writtenSheet) {
	n := 0
	for _, tools := range []job.Owned{{}, {Trimmer: field.No, Board: field.No, Scissors: field.No, Pegs: field.Yes}, {Board: field.No, Knife: field.No}, {Cutter: field.Yes, Embosser: field.Yes}} {
		for _, unit := range []measure.Unit{measure.Inches, measure.Millimetres} {
			shop := demo.Shop()
			shop.Unit, shop.Tools.Owned = unit, tools
			jobs := demo.Jobs()
			if tools.Cutter == field.Yes {
				jobs[0].Parts[1].Embossed, jobs[1].Mail.Bare, jobs[1].Mail.Radius = true, true, measure.Inch/8
			}
			for _, j := range jobs {
				for _, k := range blank.Constructions() {
					n++
					if j.Envelope.Construction = k.ID; len(plan.Check(j, shop)) > 0 || !soak.Long() && n%4 > 0 {
						continue
					}
					table := plan.TableOf(j, shop)
					list = append(list, writtenSheet{table, worksheet.Write(table), page.Of(table)})
				}
			}
		}
	}
	return list
})

// Whatever a step's fields say is said in its words, so that who reads them does what the
// simulated bench did.
func TestWordsSayTheFields(t *testing.T) {
	t.Parallel()
	told := map[string]bool{}
	sheets(t, func(table plan.Table, w worksheet.Worksheet, p page.Worksheet) {
		if len(w.Steps) != len(p.Steps) {
			t.Fatalf("%s: %d steps, %d told", table.Job.Name, len(w.Steps), len(p.Steps))
		}
		style := table.Shop.Style()
		shown := func(l measure.Length) string {
			switch {
			case !style.Rounds(l):
				return style.Show(l)
			case style.Unit == measure.Inches: // as any ruler in inches shows it
				return measure.Style{Unit: measure.Inches, Tick: measure.Inch / 64}.Show(l)
			}
			return strings.TrimRight(strings.TrimRight(fmt.Sprintf("%.2f", float64((l+5*measure.Micrometre)/(10*measure.Micrometre))/100), "0"), ".")
		}
		for i, s := range w.Steps {
			step := p.Steps[i]
			all := step.Says.Text + " " + strings.Join(step.How, " ") + " " + step.Check
			var want []string
			if s.At > 0 {
				want = append(want, shown(s.At))
				if step.Number != shown(s.At) && !strings.HasPrefix(step.Number, shown(s.At)) {
					t.Errorf("the number of %q is %q", step.Says.Text, step.Number)
				}
			}
			for _, f := range []string{string(s.Fence), string(s.Corner)} {
				if f != "" {
					want = append(want, f)
				}
			}
			if s.Number > 0 {
				want = append(want, fmt.Sprintf("score %d", s.Number))
			}
			for _, n := range s.Between {
				if n > 0 {
					want = append(want, fmt.Sprintf("score %d", n))
				}
			}
			if s.To > 0 {
				want = append(want, shown(s.To))
			}
			if s.Size.Width > 0 {
				want = append(want, style.Show(s.Size.Width)+" × "+style.Show(s.Size.Height))
			}
			if s.Minutes > 0 {
				want = append(want, fmt.Sprint(s.Minutes))
			}
			if s.Count > 1 && s.Act != worksheet.Before && s.Act != worksheet.Dry && s.Act != worksheet.Try && s.Act != worksheet.Take {
				want = append(want, map[bool]string{true: "both", false: fmt.Sprintf("all %d", s.Count)}[s.Count == 2])
			}
			for _, line := range s.Lines {
				for _, m := range line {
					if m.Along > 0 {
						want = append(want, shown(m.Along))
					}
					if m.Scores[0] > 0 {
						want = append(want, fmt.Sprint(m.Scores[0]))
					}
					if m.Edge != "" {
						want = append(want, string(m.Edge)+" edge")
					}
				}
			}
			if s.Act == worksheet.Score {
				want = append(want, " is up")
			}
			for _, text := range want {
				if !strings.Contains(all, text) {
					t.Errorf("%s, step %d: %q says nothing of %q (%+v)", table.Job.Name, i+1, all, text, s)
				}
			}
			if step.Name == "" || step.Says.Text == "" || strings.ContainsAny(all, "{}[]") || strings.Contains(step.Says.Text, "  ") {
				t.Errorf("step %d, %s: %q", i+1, s.Act, all)
			}
			told[string(s.Act)] = true
			for _, sentence := range strings.Split(step.Says.Text+" "+step.Check, ". ") {
				if n := len(strings.Fields(sentence)); n > 24 {
					t.Errorf("%d words: %s", n, sentence)
				}
			}
		}
	})
	for _, act := range worksheet.Acts() {
		switch act {
		case worksheet.Round, worksheet.Punch, worksheet.CutOut, worksheet.Dry, worksheet.Slit:
			continue // these need jobs of their own, below
		}
		if !told[string(act)] {
			t.Errorf("no step told of %q", act)
		}
	}
}

// The first step is a look; a long drying has a timer; what the tools cannot is said why.
func TestWorksheetOfTheSampleJob(t *testing.T) {
	t.Parallel()
	shop := demo.Shop()
	j := demo.Jobs()[0]
	p := page.Of(plan.TableOf(j, shop))
	first := p.Steps[0]
	if first.Name != "Before you cut" || len(first.How) < 4 || !strings.Contains(strings.Join(first.How, " "), "Goes as a letter with a surcharge") || !strings.Contains(strings.Join(first.How, " "), "Ease at worst") {
		t.Errorf("the first step: %+v", first)
	}
	var cuts []string
	for _, s := range p.Steps {
		if s.Act == worksheet.Cut || s.Act == worksheet.Score {
			cuts = append(cuts, s.Says.Text)
		}
	}
	// Worked out by pencil: bases of 10 3/4 × 5 3/8, two a sheet of 12 × 12, scored at 5 3/8.
	if cuts[0] != "Set the guide to 10 3⁄4. Cut all 6 of sheet A of Cover 100 lb, 270 gsm." || cuts[1] != "Set the guide to 5 3⁄8. Cut all 6 of sheet A, strip 1 of Cover 100 lb, 270 gsm." || !strings.HasPrefix(cuts[2], "Leave the guide at 5 3⁄8. Cut all 6 of sheet A, strip 2") {
		t.Errorf("first %q, then %q", cuts[0], cuts[1])
	}
	shop.Tools.Owned.Trimmer, shop.Tools.Reach = field.No, 4*measure.Inch
	for i := range shop.Adhesives {
		shop.Adhesives[i].Minutes = 20
	}
	all := ""
	for _, s := range page.Of(plan.TableOf(j, shop)).Steps {
		all += s.Says.Text + " " + strings.Join(s.How, " ") + "\n"
		if s.Act == worksheet.Dry && (s.Minutes != 20 || s.Number != "20 minutes") {
			t.Errorf("drying: %+v", s)
		}
		if s.Act != worksheet.Before && len(s.Flat.Shapes) == 0 && s.Act != worksheet.Decorate {
			t.Errorf("%s is not drawn", s.Says.Text)
		}
	}
	for _, want := range []string{"There is no other tool for it on your shelf.", "Mark 5 3⁄8 from the left edge at both ends. Score along a ruler.", "Your board reads to 4 in at most.", "Hold for 20 minutes."} {
		if !strings.Contains(all, want) {
			t.Errorf("%q is not said in\n%s", want, all)
		}
	}
}

// A worksheet of a job with six pieces is there at once.
func BenchmarkWorksheet(b *testing.B) {
	j := demo.Jobs()[5].Clone()
	for i := range 2 {
		j.Parts = append(j.Parts, job.Part{ID: fmt.Sprintf("more-%d", i), Name: "Layer", Kind: job.LayerPart, Stock: j.Parts[0].Stock, Border: measure.Inch / 8})
	}
	table := plan.TableOf(j, demo.Shop())
	pieces := 0
	for _, x := range table.Pieces {
		if x.Count > 0 {
			pieces++
		}
	}
	if pieces < 6 {
		b.Fatalf("only %d pieces", pieces)
	}
	for b.Loop() {
		page.Of(table)
	}
}

// What must not be said of a plan is not said at the table either.
func TestWorksheetsKeepThePhrasesOut(t *testing.T) {
	raw, err := os.ReadFile("../../../docs/phrases.txt")
	if err != nil {
		t.Fatal(err)
	}
	var never []string
	for line := range strings.Lines(string(raw)) {
		if phrase, in, ok := strings.Cut(line, " | "); ok && strings.Contains(in, "plan") {
			never = append(never, strings.ToLower(phrase))
		}
	}
	if len(never) < 10 {
		t.Fatalf("only %d phrases", len(never))
	}
	said := map[string]bool{}
	sheets(t, func(table plan.Table, _ worksheet.Worksheet, p page.Worksheet) {
		told, err := json.Marshal(p)
		if err != nil {
			t.Fatal(err)
		}
		for _, phrase := range never {
			if at := strings.Index(strings.ToLower(string(told)), phrase); at >= 0 && !said[phrase] {
				said[phrase] = true
				t.Errorf("%s: it says “%s”: …%s…", table.Job.Name, phrase, told[max(0, at-40):min(len(told), at+60)])
			}
		}
	})
}
