package compare

import (
	"context"
	"testing"

	"yellowparcel/core/blank"
	"yellowparcel/core/cutting"
	"yellowparcel/demo"
)

// Every type on both its sides, and the bought ones: worked out, folded, proved and judged.
func BenchmarkAllTypesOnBothSides(b *testing.B) {
	shop := demo.Shop()
	for b.Loop() {
		for _, j := range demo.Jobs() {
			m := New(j, shop, cutting.NewEffort(context.Background(), 1_000_000))
			for _, k := range blank.Constructions() {
				for _, short := range []bool{false, true} {
					if k.Whole {
						break
					}
					if c := m.opening(k, short); c.OK {
						if c.Refused = c.Made.Accept(); c.Refused != nil {
							b.Fatal(c.Refused)
						}
						c.Mail = m.Judge(m.Closed(c))
					}
				}
			}
		}
	}
}
