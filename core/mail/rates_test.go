package mail

import "testing"

func TestPrices(t *testing.T) {
	c := ExampleRates()
	for _, tt := range []struct {
		class      string
		grams      float64
		surcharged bool
		cents      int
		ok         bool
	}{
		{"letter", 20, false, 110, true}, {"letter", 28.35, false, 110, true}, {"letter", 28.36, false, 145, true},
		{"letter", 20, true, 170, true}, {"letter", 120, false, 0, false}, {"postcard", 900, false, 70, true},
		{"large-envelope", 20, true, 200, false}, {"parcel", 20, false, 0, false},
	} {
		t.Run(tt.class, func(t *testing.T) {
			cents, ok := c.Price(tt.class, tt.grams, tt.surcharged)
			if ok != tt.ok || ok && cents != tt.cents {
				t.Errorf("%+v: %d, %v", tt, cents, ok)
			}
		})
	}
}
