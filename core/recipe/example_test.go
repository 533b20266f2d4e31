package recipe_test

import (
	"fmt"

	"yellowparcel/core/job"
	"yellowparcel/core/recipe"
	"yellowparcel/demo"
)

// Somebody's square, read backwards for the job's card.
func Example() {
	j := demo.Jobs()[0]
	j.Recipe = &job.Recipe{Form: job.CornersRecipe, Side1: 9 * in, Left: 3 * in, Right: 3 * in, Top: 3 * in, Bottom: 3 * in}
	r := recipe.In(maker(j, demo.Shop()))
	readings, _ := r.Readings()
	fmt.Println(readings[0].As, readings[0].Width, readings[0].Seam, readings[0].Suits)
	for _, f := range r.Faults(readings[0]) {
		fmt.Println(f.ID, f.A)
	}
	// Output:
	// written 170.88922 mm −13.073853 mm false
	// seam −13.073853 mm
}
