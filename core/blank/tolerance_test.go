package blank

import (
	"math"
	"testing"

	"yellowparcel/core/measure"
)

// The coefficients of the tolerance table follow from the net's own formulas:
// every error is turned on alone, and the sums compared.
func TestToleranceCoefficients(t *testing.T) {
	// Errors in order: two sheet sides, then the scores.
	diag := func(e []float64) float64 { return (e[0] + e[1]) / math.Sqrt2 }
	type loss func(e []float64) float64
	for _, tt := range []struct {
		name       string
		errors     int
		ease, seam loss
		easeWorst  float64
		easeRSS    float64
		seamWorst  float64
		seamRSS    float64
	}{
		{name: "pair", errors: 6, // near, far of the sides; near, far of the ends
			ease:      func(e []float64) float64 { return e[3] - e[2] },
			seam:      func(e []float64) float64 { return math.Sqrt2*(diag(e)-e[3]+diag(e)-e[5]) - e[0] },
			easeWorst: 2, easeRSS: math.Sqrt2, seamWorst: 3 + 2*math.Sqrt2, seamRSS: 3},
		{name: "corners", errors: 6,
			ease:      func(e []float64) float64 { return diag(e) - e[2] - e[3] },
			seam:      func(e []float64) float64 { return math.Sqrt2*(e[2]+e[4]) - e[0] },
			easeWorst: 2 + math.Sqrt2, easeRSS: math.Sqrt(3), seamWorst: 1 + 2*math.Sqrt2, seamRSS: math.Sqrt(5)},
		{name: "edges", errors: 6, // two marks of each side crease; seam between e[2] and e[4] marks
			ease:      func(e []float64) float64 { return diag(e) - (e[2]+e[3])/(2*math.Sqrt2) - (e[4]+e[5])/(2*math.Sqrt2) },
			seam:      func(e []float64) float64 { return e[2] + e[4] - e[0] },
			easeWorst: 2 * math.Sqrt2, easeRSS: math.Sqrt(1.5), seamWorst: 3, seamRSS: math.Sqrt(3)},
		{name: "round", errors: 6, // the scrap's width and height, how far it lies off the middle
			ease:      func(e []float64) float64 { return e[2] },
			seam:      func(e []float64) float64 { return math.Sqrt2*((diag(e)-e[2])/2+e[4]+(diag(e)-e[3])/2+e[5]) - e[0] },
			easeWorst: 1, easeRSS: 1, seamWorst: 1 + 3*math.Sqrt2, seamRSS: math.Sqrt(6)},
		{name: "notch", errors: 4, // the punch repeats its error, so does the depth
			ease:      func(e []float64) float64 { return diag(e) - math.Sqrt2*(e[2]+e[3]) },
			seam:      func(e []float64) float64 { return 2 * e[3] },
			easeWorst: 3 * math.Sqrt2, easeRSS: math.Sqrt(5), seamWorst: 2, seamRSS: 2},
	} {
		t.Run(tt.name, func(t *testing.T) {
			sums := func(f loss) (worst, rss float64) {
				for i := range tt.errors {
					e := make([]float64, tt.errors)
					e[i] = 1
					worst += math.Abs(f(e))
					rss += f(e) * f(e)
				}
				return worst, math.Sqrt(rss)
			}
			worst, rss := sums(tt.ease)
			near(t, tt.name+" ease worst", worst, tt.easeWorst, 1e-9)
			near(t, tt.name+" ease rss", rss, tt.easeRSS, 1e-9)
			worst, rss = sums(tt.seam)
			near(t, tt.name+" seam worst", worst, tt.seamWorst, 1e-9)
			near(t, tt.name+" seam rss", rss, tt.seamRSS, 1e-9)

			// The card's width has a scored fold, its height is cut.
			card := [2]Loss{{in / 16, measure.Round(math.Sqrt2 * float64(in) / 32)}, {in / 32, in / 32}}
			d := NewDiamond(Spec{CardWidth: card[0], CardHeight: card[1], Width: 6 * in, Height: 5 * in, Ease: in / 4, Seam: 3 * in / 4, Style: sixteenth, School: ExactSeam})
			if tt.name == "notch" {
				s := d.Spec
				s.School, s.Board.NotchDepth = NotchBoard, in/3
				d = NewDiamond(s)
			}
			for _, w := range d.Ways {
				if string(w.ID) != tt.name {
					continue
				}
				half := float64(in / 32)
				width, height := w.EaseLosses()
				near(t, tt.name+" stated ease loss, folded", float64(width.Worst)/half, tt.easeWorst+2, 1e-6)
				near(t, tt.name+" stated ease rss, folded", float64(width.RSS)/half, math.Hypot(tt.easeRSS, math.Sqrt2), 1e-6)
				near(t, tt.name+" stated ease loss, cut", float64(height.Worst)/half, tt.easeWorst+1, 1e-6)
				near(t, tt.name+" stated ease rss, cut", float64(height.RSS)/half, math.Hypot(tt.easeRSS, 1), 1e-6)
				loss := w.SeamLoss
				if w.far != (Loss{}) { // the edge between the two corners that are not used
					near(t, tt.name+" stated loss of the other seams", float64(loss.Worst)/half, 1+2*math.Sqrt2, 1e-6)
					near(t, tt.name+" stated rss of the other seams", float64(loss.RSS)/half, math.Sqrt(5), 1e-6)
					loss = w.far
				}
				near(t, tt.name+" stated seam loss", float64(loss.Worst)/half, tt.seamWorst, 1e-6)
				near(t, tt.name+" stated seam rss", float64(loss.RSS)/half, tt.seamRSS, 1e-6)
			}
		})
	}
}

// The safer way is the one whose scarcest margin is the most of its usual loss; none is
// where two are alike.
func TestSafer(t *testing.T) {
	way := func(ease, seam measure.Length, easeLoss, seamLoss measure.Length) Way {
		return Way{EaseWidth: ease, EaseHeight: ease, Seam: seam, EaseLoss: Loss{2 * easeLoss, easeLoss}, HeightLoss: Loss{2 * easeLoss, easeLoss}, SeamLoss: Loss{2 * seamLoss, seamLoss}}
	}
	const glue = in / 2
	for _, tt := range []struct {
		name string
		ways []Way
		best int
		ok   bool
	}{
		{"one way", []Way{way(in/4, in, in/16, in/16)}, 0, false},
		// 1/4 is 4 times what it loses, 1/2 over the tape 8 times; 8 and 4 times; so 4 and 4.
		{"ease here, seam there", []Way{way(in/4, in, in/16, in/16), way(in/2, 3*in/4, in/16, in/16)}, 0, false},
		{"a seam that loses twice as much", []Way{way(in/4, 3*in/4, in/16, in/8), way(in/4, 3*in/4, in/16, in/16)}, 1, true},
		{"more ease where seam is plenty", []Way{way(in/4, 2*in, in/16, in/16), way(3*in/8, in, in/16, in/16)}, 1, true},
		{"none holds", []Way{way(-in/4, in, in/16, in/16), way(-in/8, in, in/16, in/16)}, 1, true},
	} {
		t.Run(tt.name, func(t *testing.T) {
			if best, ok := Safer(tt.ways, glue); ok != tt.ok || ok && best != tt.best {
				t.Errorf("way %d, %v; want %d, %v", best, ok, tt.best, tt.ok)
			}
		})
	}
}
