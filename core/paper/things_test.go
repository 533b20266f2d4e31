package paper

import (
	"strings"
	"testing"

	"yellowparcel/core/measure"
)

func TestThingsAreSound(t *testing.T) {
	seen := map[string]bool{}
	cautioned := map[Caution]bool{}
	for _, k := range Things() {
		if k.ID == "" || k.Name == "" || seen[k.ID] {
			t.Errorf("%+v has no name or an ID that is taken", k)
		}
		seen[k.ID] = true
		if k.Width <= 0 || k.Height <= 0 || k.Caliper <= 0 || k.Caliper > 10*measure.Millimetre || k.Grams <= 0 || k.Grams > 20 || k.Modulus <= 0 || k.Modulus > 70 {
			t.Errorf("%s has measures that no such thing has: %+v", k.ID, k)
		}
		if k.Disc && k.Width != k.Height {
			t.Errorf("%s is round, but %v x %v", k.ID, k.Width, k.Height)
		}
		// Nothing is denser than brass, nor lighter than foam.
		cm3 := k.Width.Millimetres() * k.Height.Millimetres() * k.Caliper.Millimetres() / 1000
		if d := k.Grams / cm3; d < 0.02 || d > 9 {
			t.Errorf("%s weighs %.2f g a cubic centimetre", k.ID, d)
		}
		for _, c := range k.Cautions {
			cautioned[c] = true
		}
	}
	for _, c := range Cautions() {
		if !cautioned[c] {
			t.Errorf("no thing has the caution %s", c)
		}
	}
	if _, ok := ThingByID("moon"); ok {
		t.Error("a thing that does not exist is found")
	}
	if k, ok := ThingByID("brad"); !ok || !k.Disc {
		t.Errorf("brad: %+v, %v", k, ok)
	}
}

func TestClosures(t *testing.T) {
	usual, ok := ClosureByID("")
	if !ok || usual.Clasp || usual.Lump {
		t.Errorf("the usual closure is %+v", usual)
	}
	for _, c := range Closures() {
		if got, ok := ClosureByID(c.ID); !ok || got != c || c.Caliper <= 0 && !c.Bare || c.Clasp && !c.Lump {
			t.Errorf("%+v", c)
		}
	}
	if _, ok := ClosureByID("moon"); ok {
		t.Error("a closure that does not exist is found")
	}
}

func TestStuffs(t *testing.T) {
	for id, want := range map[string]float64{"copy-80": 5, "chipboard-1": 2.5, "acetate-02": 3} {
		t.Run(id, func(t *testing.T) {
			if s, _ := StockByID(id); s.Modulus() != want {
				t.Errorf("%s: %v GPa", id, s.Modulus())
			}
		})
	}
	if _, err := readThings([]byte(`[{"id":"x","width":"8"}]`)); err == nil || !strings.Contains(err.Error(), "no unit") {
		t.Errorf("a thing without a unit: %v", err)
	}
	if _, err := readThings([]byte(`[{"id":"x","width":"8 mm","height":"8 mm","caliper":"1 mm","cautions":["boredom"]}]`)); err == nil || !strings.Contains(err.Error(), "boredom") {
		t.Errorf("a caution that is none: %v", err)
	}
	if _, err := readClosures([]byte(`{`)); err == nil || !strings.Contains(err.Error(), "closures.json") {
		t.Errorf("a broken file: %v", err)
	}
}
