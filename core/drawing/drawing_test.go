package drawing_test

import (
	"math"
	"math/rand/v2"
	"slices"
	"testing"

	"yellowparcel/core/blank"
	"yellowparcel/core/card"
	"yellowparcel/core/drawing"
	"yellowparcel/core/mail"
	"yellowparcel/core/measure"
)

const mm = measure.Millimetre

func size(w, h measure.Length) card.Size { return card.Size{Width: w, Height: h} }

func within(t *testing.T, what string, got, want, off float64) {
	t.Helper()
	if math.Abs(got-want) > off {
		t.Errorf("%s: %v, want %v", what, got, want)
	}
}

// A blank in its drawing: paper that stays and paper that falls off make the sheet, every crease
// lies within it, and what is drawn goes into its box.
func TestNetIsWhole(t *testing.T) {
	t.Parallel()
	for _, id := range blank.IDs() {
		k := blank.ByID(id)
		if k.Whole || k.Bought || id == blank.NotedID {
			continue
		}
		made, ok := k.Make(blank.Spec{Width: 130 * mm, Height: 180 * mm, Thickness: 2 * mm, Ease: 6 * mm, Seam: 19 * mm, ThumbGap: 12 * mm, Adhesive: 12 * mm, Depth: 12 * mm, Style: measure.Style{Unit: measure.Millimetres, Tick: mm}})
		if !ok {
			t.Errorf("%s cannot be made", id)
			continue
		}
		d := drawing.Net(made.Net, drawing.Laid{Card: size(130*mm, 180*mm), Names: drawing.Names{Card: "card"}})
		sum := 0.0
		for _, s := range d.Of(drawing.Away) {
			sum += s.Corners.Area()
		}
		outline := d.Of(drawing.Cut)[0]
		within(t, string(id)+": what stays and what falls off", outline.Corners.Area()+sum, d.Of(drawing.Sheet)[0].Corners.Area(), 1)
		if n := len(d.Of(drawing.Score)); n != len(made.Net.Creases) {
			t.Errorf("%s: %d creases are drawn of %d", id, n, len(made.Net.Creases))
		}
		for _, s := range d.Shapes {
			for _, p := range s.Corners {
				if p.X < -1e-6 || p.Y < -1e-6 || p.X > d.Width+1e-6 || p.Y > d.Height+1e-6 {
					t.Errorf("%s: %s %s has a corner at %v, outside %.1f × %.1f", id, s.Kind, s.Part, p, d.Width, d.Height)
				}
			}
		}
		names := map[string]bool{}
		for _, l := range d.Labels {
			if names[l.Part] = true; l.Room <= 0 || l.High <= 0 || l.At.X < 0 || l.At.X > d.Width {
				t.Errorf("%s: the label %+v", id, l)
			}
			// A name has the whole box round it, and not a tenth of a millimetre more above or below.
			in := made.Net.Panels[max(0, slices.IndexFunc(made.Net.Panels, func(p blank.Panel) bool { return p.ID == l.Part }))].Outline
			if l.Part == "card" {
				in = d.Of(drawing.Card)[0].Corners
			}
			if !roomy(in, l, 0) || roomy(in, l, 0.1) {
				t.Errorf("%s: the label %+v has not the room that is there in %v", id, l, in)
			}
			// Nor is there a larger box of the shape that a name has.
			largest := 0.0
			for k := 0.05; roomy(in, drawing.Label{At: l.At, Room: 3 * k, High: k}, 0); k += 0.05 {
				largest = k
			}
			if largest > 6.2 && (l.Room < 3*largest-0.3 || l.High < largest-0.15) {
				t.Errorf("%s: the label %+v has less room than %.2f by %.2f", id, l, 3*largest, largest)
			}
		}
		for _, c := range made.Net.Creases {
			if !names[c.Panel] {
				t.Errorf("%s: panel %s has no name", id, c.Panel)
			}
		}
	}
}

// roomy reports whether the box that a name has, and so much more above and below it, lies inside an outline.
func roomy(in blank.Polygon, l drawing.Label, more float64) bool {
	const steps = 40
	for i := range steps + 1 {
		part := 2*float64(i)/steps - 1
		for _, side := range []float64{-1, 1} {
			if !in.Holds(blank.Point{X: l.At.X + side*l.Room, Y: l.At.Y + part*(l.High+more)}) || !in.Holds(blank.Point{X: l.At.X + part*l.Room, Y: l.At.Y + side*(l.High+more)}) {
				return false
			}
		}
	}
	return true
}

func TestBaseAndPieces(t *testing.T) {
	t.Parallel()
	b := card.Base{Width: 100 * mm, Height: 240 * mm, Across: true, Panels: []measure.Length{120 * mm, 120 * mm}, Scores: []card.Score{{At: 120 * mm, Inside: true}}}
	d := drawing.Base(b, []string{"Front", "Back"})
	score := d.Of(drawing.Score)[0]
	if !score.Inside || score.Corners[0] != (blank.Point{Y: 120}) || score.Corners[1] != (blank.Point{X: 100, Y: 120}) {
		t.Errorf("the score across is %+v", score)
	}
	if len(d.Labels) != 2 || d.Labels[1].At != (blank.Point{X: 50, Y: 180}) || d.Labels[1].Text != "Back" {
		t.Errorf("its panels are named %+v", d.Labels)
	}
	for _, l := range d.Labels {
		within(t, "the room of "+l.Text, l.Room, 50, 0.01)
		within(t, "what is above it", l.High, 60, 0.01)
	}
	// A long low base: a name has what its panel is high, not what it is long.
	low := drawing.Base(card.Base{Width: 500 * mm, Height: 20 * mm, Panels: []measure.Length{250 * mm, 250 * mm}}, []string{"Back", "Front"})
	for _, l := range low.Labels {
		within(t, "above a name on a low base", l.High, 10, 0.01)
	}
	w := size(40*mm, 20*mm)
	p := drawing.Piece(size(100*mm, 60*mm), &w)
	if cut := p.Of(drawing.Cut); len(cut) != 2 || cut[1].Part != "window" || cut[1].Corners[0] != (blank.Point{X: 30, Y: 20}) || cut[1].Corners[2] != (blank.Point{X: 70, Y: 40}) {
		t.Errorf("a windowed piece: %+v", cut)
	}
	o := drawing.Outline("outline", blank.Polygon{{X: 5, Y: 7}, {X: 15, Y: 7}, {X: 10, Y: 27}})
	if o.Width != 10 || o.Height != 20 || o.Shapes[0].Corners[0] != (blank.Point{}) {
		t.Errorf("an outline: %+v", o)
	}
	if none := drawing.Outline("outline", nil); len(none.Shapes) != 0 || none.Width != 0 {
		t.Errorf("no outline: %+v", none)
	}
	g, fault := mail.NewSlotGauge(6*mm, 100*mm, 180*mm, 70*mm, mm)
	if fault != mail.GaugeFits {
		t.Fatal(fault)
	}
	gauge := drawing.Gauge(g, "slot")
	within(t, "the slot's length", gauge.Of(drawing.Cut)[1].Corners[1].X-gauge.Of(drawing.Cut)[1].Corners[0].X, g.SlotWidth.Millimetres(), 1e-9)
	l := drawing.Ladder([]card.Size{size(100*mm, 80*mm), size(94*mm, 74*mm)}, []string{"a", "b"})
	for _, s := range l.Of(drawing.Cut) {
		if s.Corners[3] != (blank.Point{X: 0, Y: 80}) {
			t.Errorf("swatch %s does not share the lower left corner: %v", s.Part, s.Corners)
		}
	}
}

// A blank that stands on its point lies level in files: as wide as its sheet, and the same.
func TestLevel(t *testing.T) {
	t.Parallel()
	made, _ := blank.ByID(blank.DiamondID).Make(blank.Spec{Width: 130 * mm, Height: 180 * mm, Thickness: 2 * mm, Ease: 6 * mm, Seam: 19 * mm, Adhesive: 12 * mm, Style: measure.Style{Unit: measure.Millimetres, Tick: mm}})
	d := drawing.Net(made.Net, drawing.Laid{})
	level := d.Level()
	within(t, "as wide as its sheet", level.Width, made.SheetWidth.Millimetres(), 0.001)
	within(t, "as high as its sheet", level.Height, made.SheetHeight.Millimetres(), 0.001)
	for i, s := range level.Shapes {
		within(t, s.Part+" has its length", s.Length(), d.Shapes[i].Length(), 1e-6)
		for _, p := range s.Corners {
			if p.X < -1e-6 || p.Y < -1e-6 || p.X > level.Width+1e-6 || p.Y > level.Height+1e-6 {
				t.Errorf("%s lies outside at %v", s.Part, p)
			}
		}
	}
	if again := level.Level(); again.Width != level.Width || again.Shapes[0].Corners[0] != level.Shapes[0].Corners[0] {
		t.Error("what lies level is turned")
	}
	if p := drawing.Piece(size(3*mm, 2*mm), nil); p.Level().Width != 3 {
		t.Error("what has no sheet is turned")
	}
}

// A turn by a quarter four times is none; areas and lengths stay.
func TestTurnedAndMoved(t *testing.T) {
	t.Parallel()
	w := size(40*mm, 20*mm)
	d := drawing.Piece(size(100*mm, 60*mm), &w)
	d.Labels = append(d.Labels, drawing.Label{Text: "x", At: blank.Point{X: 10, Y: 20}})
	turned := d
	for range 4 {
		turned = turned.QuarterTurned()
		if turned.Shapes[0].Corners.Area() != 6000 || turned.Shapes[1].Length() != 120 {
			t.Errorf("turned: %+v", turned.Shapes)
		}
	}
	for i, s := range d.Shapes {
		for k, p := range s.Corners {
			within(t, "x", turned.Shapes[i].Corners[k].X, p.X, 1e-9)
			within(t, "y", turned.Shapes[i].Corners[k].Y, p.Y, 1e-9)
		}
	}
	if moved := d.Moved(3, 4); moved.Labels[0].At != (blank.Point{X: 13, Y: 24}) || d.Labels[0].At != (blank.Point{X: 10, Y: 20}) {
		t.Error("moved, the drawing itself has changed or its label has not")
	}
}

// A perforated score begins and ends with a dash inside both ends; its dashes are as long as
// asked, its gaps no shorter, and together they fill it.
func TestPerforated(t *testing.T) {
	t.Parallel()
	r := rand.New(rand.NewPCG(16, 1))
	for range 2000 {
		length := .5 + 400*r.Float64()
		angle := 2 * math.Pi * r.Float64()
		from := blank.Point{X: 100 * r.Float64(), Y: 100 * r.Float64()}
		to := blank.Point{X: from.X + length*math.Cos(angle), Y: from.Y + length*math.Sin(angle)}
		scoring := drawing.Scoring{Line: drawing.Dashed, Dash: measure.Length(1+r.IntN(8)) * mm, Gap: measure.Length(1+r.IntN(5)) * mm, Inset: measure.Length(r.IntN(6)) * mm}
		d := drawing.Drawing{Shapes: []drawing.Shape{{Kind: drawing.Score, Part: "a", Corners: blank.Polygon{from, to}}}}
		p := d.Passes(scoring)
		dashes, line := p.Dashes[0], p.Scores[0]
		inset := (length - line.Length()) / 2
		within(t, "both ends", math.Hypot(line.Corners[0].X-from.X, line.Corners[0].Y-from.Y), inset, 1e-6)
		if want := scoring.Inset.Millimetres(); length > 2*want+scoring.Dash.Millimetres() {
			within(t, "the inset", inset, want, 1e-6)
		}
		if inset < -1e-9 {
			t.Fatalf("a score of %.2f became %.2f", length, line.Length())
		}
		if dashes.Gap > 0 {
			within(t, "the dash", dashes.Dash, scoring.Dash.Millimetres(), 1e-9)
			if dashes.Gap < scoring.Gap.Millimetres()-1e-6 {
				t.Fatalf("a gap of %.3f where %v was asked", dashes.Gap, scoring.Gap)
			}
		}
		// The very same as short cuts.
		scoring.Line = drawing.Slits
		q := d.Passes(scoring)
		if len(q.Scores) != 0 || len(q.Cuts) == 0 {
			t.Fatalf("short cuts: %d scores, %d cuts", len(q.Scores), len(q.Cuts))
		}
		sum := 0.0
		for _, c := range q.Cuts {
			sum += c.Length()
		}
		within(t, "all dashes and gaps", sum+float64(len(q.Cuts)-1)*dashes.Gap, line.Length(), 1e-6)
		last := q.Cuts[len(q.Cuts)-1].Corners[1]
		within(t, "the last dash ends where the line does", math.Hypot(last.X-line.Corners[1].X, last.Y-line.Corners[1].Y), 0, 1e-6)
	}
}

// Nothing is cut loose before what lies inside it is done, and nothing is lost on the way.
func TestInnerBeforeOuter(t *testing.T) {
	t.Parallel()
	w := size(40*mm, 20*mm)
	d := drawing.Piece(size(100*mm, 60*mm), &w)
	d.Shapes = append(d.Shapes, drawing.Shape{Kind: drawing.Cut, Part: "slit", Corners: blank.Polygon{{X: 1, Y: 1}, {X: 5, Y: 1}}}, drawing.Shape{Kind: drawing.Score, Corners: blank.Polygon{{X: 50}, {X: 50, Y: 60}}}, drawing.Shape{Kind: drawing.Card, Closed: true, Corners: drawing.Box(1, 1, 2, 2)})
	p := d.Passes(drawing.Scoring{})
	var order []string
	for _, c := range p.Cuts {
		order = append(order, c.Part)
	}
	if len(p.Cuts)+len(p.Scores)+len(p.Guides) != len(d.Shapes) || len(order) != 3 || order[0] != "slit" || order[1] != "window" || order[2] != "outline" {
		t.Errorf("cut in the order %v, %d scores, %d guides", order, len(p.Scores), len(p.Guides))
	}
	if p.Dashes != nil {
		t.Error("a solid score has dashes")
	}
}
