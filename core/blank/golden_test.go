package blank

import (
	"fmt"
	"hash/fnv"
	"maps"
	"math/rand/v2"
	"slices"
	"strings"
	"testing"

	"yellowparcel/core/measure"
	"yellowparcel/internal/golden"
)

// shape writes a polygon: its corners, its area and where it lies.
func shape(p Polygon) string {
	if len(p) == 0 {
		return "-"
	}
	x0, y0, x1, y1 := p.Box()
	return fmt.Sprintf("%d:%s", len(p), golden.Numbers(p.Area(), x0, y0, x1, y1))
}

// told writes a blank with all that is known of it.
func told(m Made) string {
	var b strings.Builder
	fmt.Fprintf(&b, "%v x %v (%v) closed %v x %v x %v ease %v %v seam %v-%v over %v flap %v least %v taken %v gap %v throat %v cuts %d folds %d liner %v x %v %s;",
		m.SheetWidth, m.SheetHeight, m.Exact, m.Width, m.Height, m.Depth, m.EaseWidth, m.EaseHeight, m.Seam, m.SeamMax, m.Overlap, m.Flap, m.Shortest, m.Taken, m.Gap,
		m.Throat(), m.Cuts, m.Folds, m.Liner.Width, m.Liner.Height, shape(m.Lining))
	for _, f := range m.Faults {
		fmt.Fprintf(&b, " !%s %v %v %s", f.ID, f.A, f.B, f.Panel)
	}
	all := fnv.New32a()
	for _, w := range m.Ways {
		fmt.Fprintf(&b, " | %s %v %v %v far %v", w.ID, w.Ease(), w.Seam, w.EaseLoss.RSS, w.Far)
		fmt.Fprintf(all, "%+v", w)
	}
	n := m.Net.Around(3)
	fmt.Fprintf(all, "%v %v %v", m.Net.Drawn().Panels, m.Net.Drawn().Glue, m.Net.Drawn().CutAway)
	for _, s := range m.Folded.Seams {
		b.WriteString(" " + golden.Number(s.Least))
		fmt.Fprint(all, golden.Numbers(s.Most, s.Length, s.Area))
	}
	fmt.Fprintf(&b, " | %s use %s, hole %s in %d, %d layers, overhang %s, %d regions, round %d panels; %08x", shape(m.Net.Cut().Outline), golden.Number(m.PaperUse()),
		golden.Number(m.Folded.Hole), len(m.Folded.Holes), m.Folded.Layers, golden.Number(m.Folded.Overhang), len(m.Net.Regions()), len(n.Panels), all.Sum32())
	return b.String()
}

// Whatever is wished for, every construction comes out as on the day that it was
// written down: sheet, scores, what is lost by them, faults, liner, and net.
func TestBlanksAreTheSame(t *testing.T) {
	t.Parallel()
	r := rand.New(rand.NewPCG(12, 4))
	var lines []string
	for i := range 16 {
		s := boxSpec(r)
		s.Adhesive = []measure.Length{in / 8, in / 4, in / 2}[r.IntN(3)]
		s.Sliver, s.ThumbGap = measure.Length(r.IntN(5))*in/32, measure.Length(r.IntN(8))*in/8
		s.Caliper = measure.Length(r.IntN(4)) * 90 * measure.Micrometre
		s.FlapShape, s.Corner = FlapShapes()[r.IntN(4)], measure.Length(r.IntN(3))*in/8
		s.Flap, s.Notch = measure.Length(r.IntN(2)*r.IntN(30))*in/8, measure.Length(r.IntN(2)*r.IntN(8))*in/8
		s.Board = Board{CornerAt: measure.Length(r.IntN(5)-2) * in / 4, NotchDepth: 3 * in / 8}
		s.Way = []WayID{PairWay, CornerWay, CentreWay, EdgeWay, RoundWay, OneEdge, boxCentre, boxEdges}[r.IntN(8)]
		s.SheetLength = measure.Length(r.IntN(2)) * 12 * in
		if i%4 == 0 {
			s.Board.Groove = []measure.Length{in / 8, in / 4, 5 * measure.Millimetre}[r.IntN(3)]
		}
		if i%3 == 0 {
			s.LeastWidth, s.LeastHeight = s.Width+measure.Length(r.IntN(9))*in/4, s.Height+measure.Length(r.IntN(9))*in/4
		}
		list := everyMade(s)
		for _, name := range slices.Sorted(maps.Keys(list)) {
			m := list[name]
			if i%3 == 0 {
				m.HoldingStrips(s)
			}
			lines = append(lines, fmt.Sprintf("%d %s: %s", i, name, told(m)))
		}
	}
	golden.Check(t, "blanks", lines)
}

// Recipes, read backwards, are what they were.
func TestRecipesAreTheSame(t *testing.T) {
	t.Parallel()
	r := rand.New(rand.NewPCG(12, 5))
	var lines []string
	length := func(least, most int) measure.Length { return measure.Length(least+r.IntN(most-least)) * in / 16 }
	for range 120 {
		n := Recipe{Side1: length(80, 180), Side2: length(80, 180), Left: length(20, 70), Right: length(20, 70), Top: length(20, 70), Bottom: length(20, 70), Paired: r.IntN(3) == 0}
		if n.Paired {
			n.Right, n.Bottom = n.Left+length(30, 100), n.Top+length(30, 100)
		}
		line := fmt.Sprintf("square, fault “%s”", n.Fault())
		if n.Fault() == MakesOne {
			sides, ends := n.Centring()
			for _, m := range []RecipeResult{n.Make(0, 0), n.Make(sides, ends)} {
				line += fmt.Sprintf(" | %v x %v %v %v %s hole %s over %s", m.Width, m.Height, m.Seams, m.Seam(), shape(m.Net.Cut().Outline), golden.Number(m.Folded.Hole), golden.Number(m.Folded.Overhang))
			}
		}
		lines = append(lines, line)
		p := PocketRecipe{Width: length(80, 160), Length: length(100, 240), Left: length(0, 50), Right: length(0, 50), Flap: length(0, 60), Bottom: length(20, 110)}
		line = fmt.Sprintf("pocket, fault “%s”", p.Fault())
		if p.Fault() == MakesOne {
			m := p.Make()
			line += fmt.Sprintf(" | %v x %v tab %v gap %v over %v %s hole %s", m.Width, m.Height, m.Tab, m.Gap, m.Overlap, shape(m.Net.Cut().Outline), golden.Number(m.Folded.Hole))
		}
		lines = append(lines, line)
		outline := make(Polygon, 3+r.IntN(9))
		for k := range outline {
			outline[k] = Point{float64(r.IntN(200)) / 2, float64(r.IntN(200)) / 2}
		}
		small, upright := Covers(outline)
		lines = append(lines, fmt.Sprintf("outline %v: %v x %v at %s, upright %v x %v, laid %s", CheckOutline(outline), small.Width, small.Height, golden.Number(small.Angle), upright.Width, upright.Height, shape(outline.Laid(small.Angle))))
	}
	golden.Check(t, "recipes", lines)
}
