package bench_test

import (
	"fmt"
	"math"

	"yellowparcel/core/blank"
	"yellowparcel/core/drawing"
	"yellowparcel/core/plan"
	"yellowparcel/core/worksheet"
	"yellowparcel/core/worksheet/bench"
)

// complaints are what is wrong with a worksheet, in words.
type complaints []string

func (c *complaints) Errorf(format string, args ...any) {
	*c = append(*c, fmt.Sprintf(format, args...))
}

// narrower holds a bought envelope against what it was to be cut down to.
func narrower(t *complaints, table plan.Table, p *bench.Piece) {
	if math.Abs(p.Width-table.Made.Width.Millimetres()) > 0.02 || math.Abs(p.Height-table.Made.From.Height.Millimetres()) > 0.02 {
		t.Errorf("%s: the envelope is %.2f × %.2f, want %.2f × %.2f", table.Job.Name, p.Width, p.Height, table.Made.Width.Millimetres(), table.Made.From.Height.Millimetres())
	}
}

// hold compares a piece with its drawing: size, every crease on its side, what was cut off and out.
func hold(t *complaints, name string, d drawing.Drawing, p *bench.Piece) {
	if math.Abs(p.Width-d.Width) > 0.02 || math.Abs(p.Height-d.Height) > 0.02 {
		t.Errorf("%s is %.3f × %.3f, want %.3f × %.3f", name, p.Width, p.Height, d.Width, d.Height)
	}
	sum := 0.0
	if out := d.Of(drawing.Cut)[0].Corners.Area(); len(p.Away) > 0 || out < d.Width*d.Height-1 {
		kept := p.Width * p.Height
		for _, a := range p.Away {
			kept -= a.Area()
		}
		if math.Abs(kept-out) > 0.02*(p.Width+p.Height)*2 {
			t.Errorf("%s: %.1f mm² stay, want %.1f", name, kept, out)
		}
	}
	for _, a := range p.Away {
		sum += a.Area()
	}
	want := 0.0
	for _, a := range d.Of(drawing.Away) {
		want += a.Corners.Area()
	}
	if math.Abs(sum-want) > 0.02*(p.Width+p.Height)*2 {
		t.Errorf("%s: %.2f mm² fall off, want %.2f", name, sum, want)
	}
	// Every crease of the drawing is scored, on the side that it asks for.
	for _, s := range d.Of(drawing.Score) {
		up := worksheet.Shown
		if s.Inside {
			up = worksheet.Under
		}
		for _, q := range []blank.Point{s.Corners[0], s.Corners[1], {X: (s.Corners[0].X + s.Corners[1].X) / 2, Y: (s.Corners[0].Y + s.Corners[1].Y) / 2}} {
			if !scored(p, q, up) {
				t.Errorf("%s: nothing is scored at %.2f, %.2f, %s up", name, q.X, q.Y, up)
				return
			}
		}
	}
	// And nothing else of what stays is.
	for n, list := range p.Creases {
		for _, c := range list {
			for i := range 41 {
				f := (float64(i) + 0.5) / 41
				q := blank.Point{X: c.From.X + f*(c.To.X-c.From.X), Y: c.From.Y + f*(c.To.Y-c.From.Y)}
				if !on(d, q) && !falls(d, q) {
					t.Errorf("%s: score %d runs over %.2f, %.2f, where nothing is folded", name, n, q.X, q.Y)
					return
				}
			}
		}
	}
	openings, slits := 0, 0
	for i, c := range d.Of(drawing.Cut) {
		switch {
		case i == 0:
		case c.Closed:
			openings++
			if found := 0; true {
				for _, o := range p.Openings {
					if math.Abs(o.Area()-c.Corners.Area()) < 0.02*(p.Width+p.Height) {
						found++
					}
				}
				if found != 1 {
					t.Errorf("%s: the opening is cut %d times", name, found)
				}
			}
		default:
			slits++
			if !slit(p, c.Corners) {
				t.Errorf("%s: the slit at %v is not there", name, c.Corners)
			}
		}
	}
	if openings != len(p.Openings) || slits != len(p.Slits) {
		t.Errorf("%s: %d openings and %d slits, want %d and %d", name, len(p.Openings), len(p.Slits), openings, slits)
	}
}

func apart(q, a, b blank.Point) float64 {
	long := math.Hypot(b.X-a.X, b.Y-a.Y)
	if long == 0 {
		return math.Hypot(q.X-a.X, q.Y-a.Y)
	}
	f := math.Max(0, math.Min(1, ((q.X-a.X)*(b.X-a.X)+(q.Y-a.Y)*(b.Y-a.Y))/long/long))
	return math.Hypot(a.X+f*(b.X-a.X)-q.X, a.Y+f*(b.Y-a.Y)-q.Y)
}

func scored(p *bench.Piece, q blank.Point, up worksheet.Side) bool {
	for _, list := range p.Creases {
		for _, c := range list {
			if c.Up == up && apart(q, c.From, c.To) < 0.02 {
				return true
			}
		}
	}
	return false
}

func on(d drawing.Drawing, q blank.Point) bool {
	for _, s := range d.Of(drawing.Score) {
		if apart(q, s.Corners[0], s.Corners[1]) < 0.05 {
			return true
		}
	}
	return false
}

func falls(d drawing.Drawing, q blank.Point) bool {
	for _, s := range d.Of(drawing.Away) {
		inside := false
		for i, a := range s.Corners {
			b := s.Corners[(i+1)%len(s.Corners)]
			if apart(q, a, b) < 0.05 {
				return true
			}
			if (a.Y > q.Y) != (b.Y > q.Y) && q.X < a.X+(b.X-a.X)*(q.Y-a.Y)/(b.Y-a.Y) {
				inside = !inside
			}
		}
		if inside {
			return true
		}
	}
	return false
}

func slit(p *bench.Piece, line blank.Polygon) bool {
	for _, s := range p.Slits {
		if math.Hypot(s[0].X-line[0].X, s[0].Y-line[0].Y) < 0.02 && math.Hypot(s[1].X-line[1].X, s[1].Y-line[1].Y) < 0.02 {
			return true
		}
	}
	return false
}
