package blank

import "math"

// Sketch is a net as it is drawn small: no finer than a small drawing shows.
type Sketch struct {
	Sheet   Polygon      `json:"sheet"`
	Outline Polygon      `json:"outline"`
	Creases []SketchLine `json:"creases"`
}

// SketchLine is a crease of a sketch.
type SketchLine struct {
	From Point `json:"from"`
	To   Point `json:"to"`
}

// sketchTicks is how many parts of a millimetre a sketch is rounded to.
const sketchTicks = 10

// drawnTicks is how many parts of a millimetre a drawing is rounded to: no screen and
// no cutter shows a micrometre.
const drawnTicks = 1000

func (p Point) to(ticks float64) Point {
	return Point{math.Round(p.X*ticks) / ticks, math.Round(p.Y*ticks) / ticks}
}

func (p Polygon) to(ticks float64) Polygon {
	out := make(Polygon, len(p))
	for i := range p {
		out[i] = p[i].to(ticks)
	}
	return out
}

// Sketch is the net as it is drawn small.
func (n Net) Sketch() Sketch {
	n = n.Cut()
	s := Sketch{Sheet: n.Sheet.to(sketchTicks), Outline: n.Outline.to(sketchTicks), Creases: make([]SketchLine, len(n.Creases))}
	for i, c := range n.Creases {
		s.Creases[i] = SketchLine{c.From.to(sketchTicks), c.To.to(sketchTicks)}
	}
	return s
}

// Drawn is the net as it is sent to be drawn, to the micrometre.
func (n Net) Drawn() Net {
	n = n.Cut()
	d := Net{
		Sheet: n.Sheet.to(drawnTicks), Outline: n.Outline.to(drawnTicks), Panels: make([]Panel, len(n.Panels)), Creases: make([]Crease, len(n.Creases)),
		CutAway: make([]Polygon, len(n.CutAway)), Glue: make([]Glue, len(n.Glue)),
	}
	for i, p := range n.Panels {
		d.Panels[i] = Panel{p.ID, p.Name, p.Outline.to(drawnTicks)}
	}
	for i, c := range n.Creases {
		c.From, c.To = c.From.to(drawnTicks), c.To.to(drawnTicks)
		d.Creases[i] = c
	}
	for i, p := range n.CutAway {
		d.CutAway[i] = p.to(drawnTicks)
	}
	for _, s := range n.Slits {
		d.Slits = append(d.Slits, Slit{s.From.to(drawnTicks), s.To.to(drawnTicks)})
	}
	for i, g := range n.Glue {
		d.Glue[i] = Glue{g.Panel, g.Onto, g.Zone.to(drawnTicks), g.Joins}
	}
	return d
}
