package plan_test

import (
	"strings"
	"testing"

	"yellowparcel/core/field"
	"yellowparcel/core/plan"
)

// A card thicker than its shorter side is refused at the thickness, with both sizes,
// and stays as it was.
func TestABlockIsNoCard(t *testing.T) {
	j, shop := sample()
	same, problems := plan.Apply(j, shop, []field.Edit{{Act: field.Type, Path: "card.thickness", Text: "6"}})
	if len(problems) != 1 || problems[0].Path != "card.thickness" || !strings.Contains(problems[0].Message, "thicker (6 in) than it is wide or high (5 3⁄8 in). Check the unit") {
		t.Errorf("%+v", problems)
	}
	if same.Card.Thickness != nil {
		t.Errorf("it is %v thick all the same", *same.Card.Thickness)
	}
	if _, problems := plan.Apply(j, shop, []field.Edit{{Act: field.Type, Path: "card.thickness", Text: "5 5/16"}}); len(problems) > 0 {
		t.Errorf("a sixteenth less: %+v", problems)
	}
}
