package job_test

import (
	"slices"
	"testing"

	"yellowparcel/core/field"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
)

// A toy tool is a value and nothing else: the shop keeps its length, with its bounds.
func TestAToolNeedsNothingElse(t *testing.T) { // not in parallel: it adds to every shop's tools
	defer job.RegisterTool(&job.Tool{ID: "crimper", Name: "Toy crimper", Asked: []measure.Asked{{Name: "crimp", Label: "Crimps", Least: measure.Millimetre, Most: measure.Inch, Usual: measure.Inch / 4}}})()
	shop := job.DefaultShop()
	last := job.BenchTools()[len(job.BenchTools())-1]
	if last.Name != "Toy crimper" || !slices.Equal(last.Paths(), []string{"tools.asked.crimp"}) {
		t.Errorf("it stands on the bench as %q, %v", last.Name, last.Paths())
	}
	if in := shop.Inputs()["tools.asked.crimp"]; in.Label != "Crimps" || in.Text != "1⁄4" {
		t.Errorf("it is asked for as %+v", in)
	}
	edited, problems, _ := job.ApplyToShop(shop, []field.Edit{{Act: field.Type, Path: "tools.asked.crimp", Text: "1/2"}})
	if len(problems) > 0 || edited.Tools.Asked["crimp"] != measure.Inch/2 || shop.Tools.Asked != nil {
		t.Errorf("%v, %v, before %v", problems, edited.Tools.Asked, shop.Tools.Asked)
	}
	if _, problems, _ := job.ApplyToShop(shop, []field.Edit{{Act: field.Type, Path: "tools.asked.crimp", Text: "9 in"}}); len(problems) != 1 {
		t.Errorf("a crimp of 9 in: %v", problems)
	}
}

// Every tool that ships names its fields, and the shop has each of them once.
func TestEveryToolIsInTheShop(t *testing.T) {
	inputs, seen := job.DefaultShop().Inputs(), map[string]bool{}
	for _, tool := range job.BenchTools() {
		if tool.ID == "" || tool.Name == "" || len(tool.Paths()) == 0 {
			t.Errorf("%+v", tool)
		}
		for _, path := range tool.Paths() {
			if _, ok := inputs[path]; !ok || seen[path] {
				t.Errorf("%s: %s is asked for: %v, and by another tool: %v", tool.Name, path, ok, seen[path])
			}
			seen[path] = true
		}
	}
}
