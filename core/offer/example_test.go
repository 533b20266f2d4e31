package offer_test

import (
	"context"
	"fmt"

	"yellowparcel/core/compare"
	"yellowparcel/core/cutting"
	"yellowparcel/core/offer"
	"yellowparcel/demo"
)

// What would post a piece better, and what it then goes as.
func Example() {
	m := compare.New(demo.Jobs()[0], demo.Shop(), cutting.NewEffort(context.Background(), 1_000_000))
	all := m.Candidates()
	c := m.Choose(all)
	book, _ := m.Book()
	for _, r := range offer.To(m).Remedies(c, all, m.VerdictOf(book, m.Mailed(m.Closed(c)))) {
		fmt.Println(r.ID(), r.Mail.Ending, r.Mail.Class.Name)
	}
	// Output:
	// rectangle goes letter
	// make:cutdown goes letter
	// class:parcel goes parcel
}
