package job_test

import (
	"math"
	"testing"

	"yellowparcel/core/field"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
)

// calibrated is what a scrap shows of a tool.
func calibrated(shop job.Shop, id string, typed map[string]string) (map[string]measure.Length, string, []field.Problem) {
	for _, t := range job.BenchTools() {
		if string(t.ID) == id {
			found, told, problems := job.Calibrate(shop, t, typed)
			list := map[string]measure.Length{}
			for _, f := range found {
				list[f.Path] = f.Length
			}
			return list, told, problems
		}
	}
	return nil, "", nil
}

// A line scored at 3 that meets both edges 4 15/16 from the corner lies 3 1/2 from it along the diagonal, so the corner
// reads −.491: by the pencil, 4.9375/√2 = 3.4914. One that meets them at 3√2 lies at 3, and the corner at zero.
func TestCalibrateTheCornerPlate(t *testing.T) {
	t.Parallel()
	shop := job.DefaultShop()
	for _, tt := range []struct {
		set, one, other string
		want            measure.Length
		told            bool
	}{
		{"3", "4 15/16", "4 15/16", -12480 * measure.Micrometre, false}, // 3 - 4.9375/√2 = -.49134 in, -12.48 mm
		{"3", "4 1/4", "4 1/4", -130 * measure.Micrometre, false},
		{"3", "4 3/16", "4 5/16", -130 * measure.Micrometre, true},
		{"3", "4 3/8", "4 3/8", -2380 * measure.Micrometre, false}, // -.094 in, and not -1/16
		{"3 1/2", "4 1/4", "4 1/4", 12570 * measure.Micrometre, false},
		{"3", "6 3/4", "6 3/4", -45030 * measure.Micrometre, true}, // no plate lies 1 3/4 before zero
	} {
		found, told, problems := calibrated(shop, "board", map[string]string{"set": tt.set, "one": tt.one, "other": tt.other})
		if got, ok := found["tools.cornerAt"]; !ok || got != tt.want || (told != "") != tt.told || len(problems) > 0 {
			t.Errorf("%s, %s, %s: %v, %q, %v", tt.set, tt.one, tt.other, found, told, problems)
		}
	}
	// Whatever the plate reads, a scrap scored on it finds it to half a tick.
	for at := -2 * measure.Inch; at <= 2*measure.Inch; at += measure.Inch / 16 {
		set := 4 * measure.Inch
		edge := measure.Round(float64(set-at) * math.Sqrt2).Near(measure.Inch / 64)
		text := shop.Style().Finest().ShowUnit(edge)
		found, _, problems := calibrated(shop, "board", map[string]string{"set": "4", "one": text, "other": text})
		if got := found["tools.cornerAt"]; len(problems) > 0 || (got-at).Abs() > measure.Inch/64 {
			t.Errorf("a plate at %v: %v, %v", at.Inches(), got.Inches(), problems)
		}
	}
}

// A notch is as wide at the edge as twice its depth, and lies where it lies.
func TestCalibrateThePunch(t *testing.T) {
	t.Parallel()
	found, _, problems := calibrated(job.DefaultShop(), "punch", map[string]string{"set": "4", "at": "4 1/4", "wide": "1"})
	if found["tools.punchAt"] != -measure.Inch/4 || found["tools.notchDepth"] != measure.Inch/2 || len(problems) > 0 {
		t.Errorf("%v, %v", found, problems)
	}
}

func TestCalibrateRefuses(t *testing.T) {
	t.Parallel()
	for _, tt := range []struct {
		tool  string
		typed map[string]string
		at    string
	}{
		{"board", map[string]string{"set": "3", "one": "", "other": "4"}, "one"},
		{"board", map[string]string{"set": "abc", "one": "4", "other": "4"}, "set"},
		{"board", map[string]string{"set": "3", "one": "9 m", "other": "4"}, "one"},
		{"board", map[string]string{"set": "20", "one": "4", "other": "4"}, "set"},
		{"punch", map[string]string{"set": "4", "at": "9", "wide": "1"}, "set"},
	} {
		if found, _, problems := calibrated(job.DefaultShop(), tt.tool, tt.typed); len(found) > 0 || len(problems) == 0 || problems[0].Path != tt.at {
			t.Errorf("%v: %v, %v", tt.typed, found, problems)
		}
	}
}
