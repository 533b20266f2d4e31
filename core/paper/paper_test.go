package paper

import (
	"math"
	"strings"
	"testing"

	"yellowparcel/core/measure"
)

func TestTablesAreSound(t *testing.T) {
	seen := map[string]bool{}
	for _, s := range Sheets() {
		if s.ID == "" || s.Name == "" || seen[s.ID] {
			t.Errorf("sheet %+v has no name or an ID that is taken", s)
		}
		seen[s.ID] = true
		if s.Width > s.Height || s.Width < 4*measure.Inch || s.Height > 36*measure.Inch {
			t.Errorf("sheet %s is %v x %v", s.ID, s.Width, s.Height)
		}
	}
	for i, s := range Stocks() {
		if s.ID == "" || s.Name == "" || seen[s.ID] {
			t.Errorf("stock %+v has no name or an ID that is taken", s)
		}
		seen[s.ID] = true
		// Papers and boards weigh 500 to 1000 kg a cubic metre; a slip in a
		// row (gsm of another basis) falls outside.
		if d := s.GSM / s.Caliper.Millimetres(); s.Surface != Acetate && (d < 500 || d > 1000) {
			t.Errorf("stock %s has a density of %.0f kg/m³", s.ID, d)
		}
		if i > 0 && s.GSM < stocks[i-1].GSM {
			t.Errorf("stock %s is lighter than the one before it", s.ID)
		}
	}
}

func TestLookUp(t *testing.T) {
	if s, ok := SheetByID("a4"); !ok || s.Width != 210*measure.Millimetre {
		t.Errorf("a4 = %+v, %v", s, ok)
	}
	if _, ok := SheetByID("a99"); ok {
		t.Error("a sheet that does not exist is found")
	}
	if _, ok := StockByID("moon"); ok {
		t.Error("a stock that does not exist is found")
	}
}

func TestWeight(t *testing.T) {
	s, _ := StockByID("copy-80")
	if g := s.Weight(210*measure.Millimetre, 297*measure.Millimetre); math.Abs(g-4.9896) > 1e-9 {
		t.Errorf("an A4 sheet of 80 gsm weighs %g g", g)
	}
}

func TestBrokenTablesAreNamed(t *testing.T) {
	if _, err := readSheets([]byte(`[{"id":"x","width":"8","height":"2 in"}]`)); err == nil || !strings.Contains(err.Error(), "no unit") {
		t.Errorf("a sheet without a unit: %v", err)
	}
	if _, err := readStocks([]byte(`{`)); err == nil || !strings.Contains(err.Error(), "stocks.json") {
		t.Errorf("a broken file: %v", err)
	}
}
