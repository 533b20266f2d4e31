package page_test

import (
	"strings"
	"testing"

	"yellowparcel/core/job"
	"yellowparcel/core/plan"
	"yellowparcel/core/worksheet"
	"yellowparcel/core/worksheet/page"
	"yellowparcel/demo"
)

// The worksheet of a finished card takes the cards and makes their envelopes; of a job of which one thing alone is
// made it makes that. One without a card says what it waits for.
func TestWorksheetOfWhatIsMade(t *testing.T) {
	shop := demo.Shop()
	acts := func(change func(*job.Job)) (list string, sheet page.Worksheet) {
		j := demo.Jobs()[0].Clone()
		change(&j)
		sheet = page.Of(plan.TableOf(j, shop))
		for _, s := range sheet.Steps {
			list += " " + string(s.Act)
			if s.Says.Text == "" {
				t.Errorf("a step says nothing: %+v", s)
			}
		}
		return list + " ", sheet
	}
	all, _ := acts(func(*job.Job) {})
	finished, sheet := acts(func(j *job.Job) { j.Card.Made = true })
	base, _ := acts(func(j *job.Job) { j.Paper.Only = job.OnlyBase })
	layers, _ := acts(func(j *job.Job) { j.Paper.Only = job.OnlyLayers })
	has := func(list string, a worksheet.Act) bool { return strings.Contains(list, " "+string(a)+" ") }
	for _, want := range []struct {
		name, list string
		act        worksheet.Act
		is         bool
	}{
		{"all", all, worksheet.Fill, true}, {"finished", finished, worksheet.Fill, true}, {"finished", finished, worksheet.Try, true}, {"finished", finished, worksheet.Seal, true},
		{"finished", finished, worksheet.Decorate, false}, {"base", base, worksheet.Fold, true}, {"base", base, worksheet.Address, false}, {"base", base, worksheet.Fill, false},
		{"layers", layers, worksheet.Cut, true}, {"layers", layers, worksheet.Fold, false}, {"layers", layers, worksheet.Glue, false},
	} {
		if has(want.list, want.act) != want.is {
			t.Errorf("%s: %s is there: %v in%s", want.name, want.act, !want.is, want.list)
		}
	}
	takes := ""
	for _, s := range sheet.Steps {
		if s.Act == worksheet.Take {
			takes += s.Says.Text + " "
		}
		if strings.Contains(s.Says.Text, "Card base") || strings.Contains(s.Says.Text, "Layer") {
			t.Errorf("finished, it still makes: %s", s.Says.Text)
		}
	}
	if !strings.Contains(takes, "Take the 12 finished cards, 5 3⁄8 × 5 3⁄8 in.") {
		t.Errorf("it takes: %s", takes)
	}
	waits := page.Of(plan.TableOf(job.Begun(shop), shop))
	if len(waits.Steps) > 0 || len(waits.Print("x").Blocks) != 1 || page.MakeMany(plan.TableOf(job.Begun(shop), shop), 3, 1).Of != 0 {
		t.Errorf("without a card there are steps: %+v", waits)
	}
	if _, ok, err := page.WrongAs(plan.TableOf(job.Begun(shop), shop), 0, "5", false); !ok || err == nil {
		t.Error("without a card something came out wrong")
	}
}
