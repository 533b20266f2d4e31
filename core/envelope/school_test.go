package envelope

import (
	"testing"

	"yellowparcel/core/measure"
)

func TestCardForEverySchool(t *testing.T) {
	const tick = in / 16
	mm := measure.Millimetre
	for _, tt := range []struct {
		format string
		school School
		want   Size
	}{
		{"a7", QuarterStep, Size{7 * in, 5 * in}},
		{"a7", RaisedStep, Size{7*in - in/8, 5*in - in/8}},
		{"a7", TradeSizes, Size{7 * in, 5 * in}},
		{"a7", QuarterInch, Size{7 * in, 5 * in}},
		{"a7", Measured, Size{7*in - in/16, 5*in - in/16}}, // T 1/16, ease 1/4
		{"a7", OwnEase, Size{7 * in, 5 * in}},
		{"a2", QuarterStep, Size{5*in + in/2, 4*in + in/8}},
		{"a2", TradeSizes, Size{5*in + in/2, 4*in + in/4}},
		{"a2", QuarterInch, Size{5*in + in/2, 4*in + in/4}},
		{"c6", MetricStep, Size{(156 * mm).Down(tick), (108 * mm).Down(tick)}},
	} {
		t.Run(tt.format, func(t *testing.T) {
			got, ok := CardFor(tt.school, format(t, tt.format), in/16, in/4, tick)
			if !ok || got != tt.want {
				t.Errorf("%s, %s: %v x %v, %v; want %v x %v", tt.format, tt.school, got.Width, got.Height, ok, tt.want.Width, tt.want.Height)
			}
		})
	}
	if got, ok := CardFor(MetricStep, format(t, "c6"), 0, 0, mm/2); !ok || got != (Size{156 * mm, 108 * mm}) {
		t.Errorf("C6 in a metric shop: %v", got)
	}
	if _, ok := CardFor(TradeSizes, format(t, "c6"), 0, 0, tick); ok {
		t.Error("the trade lists a card for C6")
	}
	if _, ok := CardFor(OwnEase, Format{Width: 3 * in, Height: 2 * in}, 0, 2*in, tick); ok {
		t.Error("an ease as large as the envelope leaves a card")
	}
}

// Whatever the school and the envelope, a plain card made by it goes in.
func TestEverySchoolFits(t *testing.T) {
	caliper := 130 * measure.Micrometre
	for _, f := range Formats() {
		for _, s := range Schools() {
			for _, tick := range append(measure.Ticks(measure.Inches), measure.Ticks(measure.Millimetres)...) {
				size, ok := CardFor(s, f, in/32, in/4, tick)
				if !ok {
					continue
				}
				fit := FitCard(f, Card{size.Width, size.Height, in / 32, nil}, caliper)
				if fit.Verdict == DoesNotFit || fit.Verdict == TooTight {
					t.Errorf("%s by %s at %v: %s, ease %v and %v", f.Name, s, tick, fit.Verdict, fit.EaseWidth, fit.EaseHeight)
				}
			}
		}
	}
}
