package bench

import (
	"fmt"
	"math"
	"slices"

	"yellowparcel/core/blank"
	"yellowparcel/core/drawing"
	"yellowparcel/core/worksheet"
)

// machine lays a sheet on the mat and has the cutter make what its drawing shows: each piece comes off
// scored from the side that is up, and cut all round.
func (b *Bench) machine(s worksheet.Step) error {
	p, err := b.flat(s)
	if err != nil {
		return err
	}
	d, ok := b.templates[s.Template]
	if !ok || s.Tool != "cutter" || s.Up == "" || len(s.Out) == 0 {
		return fmt.Errorf("nothing says what of %q the cutter makes", s.Piece)
	}
	if len(p.Creases) > 0 || len(p.Away) > 0 || len(p.Openings) > 0 {
		return fmt.Errorf("%q is scored or cut before it comes on the mat", s.Piece)
	}
	x, y := 0.0, 0.0
	if s.On != nil {
		x, y = s.On[0].Millimetres(), s.On[1].Millimetres()
	}
	at := [][2]float64{{x, y}}
	for _, q := range s.Beside {
		at = append(at, [2]float64{q[0].Millimetres(), q[1].Millimetres()})
	}
	if err := b.lie(d, at, p); err != nil {
		return err
	}
	comes := map[string]int{}
	for _, c := range d.Shapes {
		if c.Paper {
			comes[c.Part]++
		}
	}
	p.Count -= s.Count * len(at)
	for _, o := range s.Out {
		if comes[o.Piece] != o.Count {
			return fmt.Errorf("%d of %q come off, and %d are told", comes[o.Piece], o.Piece, o.Count)
		}
		delete(comes, o.Piece)
		print := b.templates[o.Piece]
		piece := Piece{Count: o.Count * s.Count, Width: print.Width, Height: print.Height, Creases: map[int][]Crease{}}
		for i, c := range print.Of(drawing.Score) {
			up := s.Up
			if c.Inside && !b.tools.Perforates {
				return fmt.Errorf("%q is scored on its other side too, which the cutter does not reach", o.Piece)
			}
			if c.Inside { // it goes through
				up = worksheet.Under
			}
			piece.Creases[i+1] = []Crease{{c.Corners[0], c.Corners[1], up}}
		}
		piece.asCut(print)
		if err := b.put(o.Piece, piece); err != nil {
			return err
		}
	}
	if len(comes) > 0 {
		return fmt.Errorf("of %v, which come off, nothing is told", comes)
	}
	return nil
}

// lie holds how the sheets lie on the mat against the drawing: none on another, every line on one of them, and
// where the cutter goes.
func (b *Bench) lie(d drawing.Drawing, at [][2]float64, p *Piece) error {
	m := b.tools.Mat
	w, h, margin := m.Width.Millimetres(), m.Height.Millimetres(), m.Margin.Millimetres()
	for i, q := range at {
		x, y := q[0], q[1]
		if math.Abs(d.Width-w) > same || math.Abs(d.Height-h) > same || x+p.Width > w+same || y+p.Height > h+same {
			return fmt.Errorf("the mat is %.1f × %.1f, and the sheet of %.1f × %.1f lies at %.1f, %.1f", w, h, p.Width, p.Height, x, y)
		}
		for _, o := range at[:i] {
			if math.Abs(o[0]-x) < p.Width-same && math.Abs(o[1]-y) < p.Height-same {
				return fmt.Errorf("the sheet at %.1f, %.1f lies on the one at %.1f, %.1f", x, y, o[0], o[1])
			}
		}
	}
	for _, s := range d.Shapes {
		if (s.Kind == drawing.Cut || s.Kind == drawing.Score) && !slices.ContainsFunc(at, func(o [2]float64) bool {
			left, top, right, bottom := max(o[0], margin), max(o[1], margin), min(o[0]+p.Width, w-margin), min(o[1]+p.Height, h-margin)
			return !slices.ContainsFunc(s.Corners, func(q blank.Point) bool {
				return q.X < left-same || q.Y < top-same || q.X > right+same || q.Y > bottom+same
			})
		}) {
			return fmt.Errorf("a line of %q lies beside the paper, or where the cutter does not go", s.Part)
		}
	}
	return nil
}
