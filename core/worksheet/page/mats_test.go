package page_test

import (
	"strings"
	"testing"

	"yellowparcel/core/field"
	"yellowparcel/core/job"
	"yellowparcel/core/plan"
	"yellowparcel/core/worksheet"
	"yellowparcel/core/worksheet/page"
	"yellowparcel/demo"
)

// A step at the cutter says how many sheets lie on the mat and where, and how often that is done.
func TestSheetsOnAMatAreTold(t *testing.T) {
	t.Parallel()
	shop, problems, _ := job.ApplyToShop(demo.Shop(), []field.Edit{{Act: field.Set, Path: "tools.owned.cutter", Text: "yes"}, {Act: field.Set, Path: "tools.cutter.cuts", Text: "all"}})
	if len(problems) > 0 {
		t.Fatal(problems)
	}
	for mat, want := range map[string][]string{
		"mat":      {"Lay sheet 1 on the mat, and cut mat 1. Do all 10 so.", "It covers the mat from its top left corner."},
		"long-mat": {"Lay 2 of sheet 1 on the mat, and cut mat 1. Do all 5 mats so.", "They lie edge on edge, 1 across and 2 down, none on another.", "The first lies in the top left corner of the mat.", "Off each mat come 2 × “Card base”"},
	} {
		j := demo.Jobs()[5]
		j.Paper.Mat = mat
		told := ""
		for _, s := range page.Of(plan.TableOf(j, shop)).Steps {
			if s.Act == worksheet.Machine {
				told += s.Says.Text + " " + strings.Join(s.How, " ") + "\n"
			}
		}
		for _, w := range want {
			if !strings.Contains(told, w) {
				t.Errorf("%s: no %q in %s", mat, w, told)
			}
		}
	}
}
