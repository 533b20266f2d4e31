package job_test

import (
	"encoding/json"
	"strings"
	"testing"

	"yellowparcel/core/field"
	"yellowparcel/core/job"
)

// A rulebook that is here already is kept beside, or takes the place of the one that is here: what goes by that goes
// by the new one, and what cannot be read leaves it as it is.
func TestARulebookIsReplacedOrKeptBeside(t *testing.T) {
	shop := job.DefaultShop()
	add := func(path, text string) []field.Problem {
		var problems []field.Problem
		shop, problems, _ = job.ApplyToShop(shop, []field.Edit{{Act: field.Add, Path: path, Text: text}})
		return problems
	}
	if p := add("rulebooks", "us-domestic"); len(p) > 0 {
		t.Fatal(p)
	}
	own := shop.Rulebooks[0].File
	own.Source = "my own reading"
	raw, err := json.Marshal(own)
	if err != nil {
		t.Fatal(err)
	}
	if p := add("rulebooks."+own.ID, string(raw)); len(p) > 0 || len(shop.Rulebooks) != 1 || shop.Rulebooks[0].File.Source != "my own reading" || shop.Rulebooks[0].File.ID != own.ID {
		t.Errorf("replaced: %v, %d rulebooks, %+v", p, len(shop.Rulebooks), shop.Rulebooks[0].File.Source)
	}
	if p := add("rulebooks", string(raw)); len(p) > 0 || len(shop.Rulebooks) != 2 || shop.Rulebooks[1].File.ID == own.ID {
		t.Errorf("beside: %v, %d rulebooks", p, len(shop.Rulebooks))
	}
	if p := add("rulebooks."+own.ID, `{"id": "x"}`); len(p) != 1 || !strings.Contains(p[0].Message, "cannot be used") || shop.Rulebooks[0].File.Source != "my own reading" {
		t.Errorf("unreadable: %v", p)
	}
}
