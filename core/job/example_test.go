package job_test

import (
	"fmt"

	"yellowparcel/core/field"
	"yellowparcel/core/job"
	"yellowparcel/demo"
)

// A job changes by edits alone; what cannot be is refused with a sentence.
func Example() {
	j, shop := demo.Jobs()[0], demo.Shop()
	wider, err := j.Apply(shop, field.Edit{Act: field.Type, Path: "card.width", Text: "6"})
	fmt.Println(wider.Card.Width, err)
	_, err = j.Apply(shop, field.Edit{Act: field.Set, Path: "card.fold", Text: "crumpled"})
	fmt.Println(err)
	fmt.Println(j.Inputs(shop)["card.width"].Text, job.ChoicesIn(shop)["folds"][0].Name)
	// Output:
	// 152.4 mm <nil>
	// “crumpled” is not there to be chosen: choose one of the list.
	// 5 3⁄8 Side fold
}
