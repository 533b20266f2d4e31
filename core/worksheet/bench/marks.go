package bench

import (
	"fmt"
	"math"

	"yellowparcel/core/blank"
	"yellowparcel/core/drawing"
	"yellowparcel/core/worksheet"
)

// place is where a mark is on a piece.
func (b *Bench) place(p *Piece, m worksheet.Mark) (blank.Point, error) {
	corners := map[worksheet.Corner]blank.Point{
		worksheet.TopLeft: {}, worksheet.TopRight: {X: p.Width}, worksheet.BottomRight: {X: p.Width, Y: p.Height}, worksheet.BottomLeft: {Y: p.Height},
	}
	edges := map[worksheet.Edge][2]blank.Point{
		worksheet.Left:  {corners[worksheet.TopLeft], corners[worksheet.BottomLeft]},
		worksheet.Right: {corners[worksheet.TopRight], corners[worksheet.BottomRight]},
		worksheet.Top:   {corners[worksheet.TopLeft], corners[worksheet.TopRight]}, worksheet.Bottom: {corners[worksheet.BottomLeft], corners[worksheet.BottomRight]},
	}
	switch {
	case m.In != nil:
		return blank.Point{X: b.set(m.In[0]), Y: b.set(m.In[1])}, nil
	case m.Corner != "":
		q, ok := corners[m.Corner]
		if !ok {
			return q, fmt.Errorf("there is no %q corner", m.Corner)
		}
		return q, nil
	case m.Edge != "" && m.Scores[0] > 0:
		e := edges[m.Edge]
		at, err := b.crossing(p, m.Scores[0], Crease{From: e[0], To: e[1]})
		if err != nil || m.Along == 0 {
			return at, err
		}
		if err := b.settable(m.Along); err != nil {
			return at, err
		}
		in := map[worksheet.Edge]blank.Point{worksheet.Left: {X: 1}, worksheet.Right: {X: -1}, worksheet.Top: {Y: 1}, worksheet.Bottom: {Y: -1}}[m.Edge]
		far := b.set(m.Along)
		return blank.Point{X: at.X + in.X*far, Y: at.Y + in.Y*far}, nil
	case m.Edge != "" && m.Along > 0:
		if err := b.settable(m.Along); err != nil {
			return blank.Point{}, err
		}
		e, at := edges[m.Edge], b.set(m.Along)
		long := math.Hypot(e[1].X-e[0].X, e[1].Y-e[0].Y)
		return blank.Point{X: e[0].X + (e[1].X-e[0].X)*at/long, Y: e[0].Y + (e[1].Y-e[0].Y)*at/long}, nil
	case m.Scores[0] > 0 && m.Scores[1] > 0:
		list := p.Creases[m.Scores[1]]
		if len(list) == 0 {
			return blank.Point{}, fmt.Errorf("there is no score %d", m.Scores[1])
		}
		at, err := b.crossing(p, m.Scores[0], list[0])
		if err != nil || m.Along == 0 {
			return at, err
		}
		if err := b.settable(m.Along); err != nil {
			return at, err
		}
		// On from there along the first score, away from the middle of the sheet.
		line, far := p.Creases[m.Scores[0]][0], b.set(m.Along)
		dx, dy := line.To.X-line.From.X, line.To.Y-line.From.Y
		long := math.Hypot(dx, dy)
		if (at.X-p.Width/2)*dx+(at.Y-p.Height/2)*dy < 0 {
			long = -long
		}
		return blank.Point{X: at.X + dx/long*far, Y: at.Y + dy/long*far}, nil
	}
	return blank.Point{}, fmt.Errorf("the mark %+v says nothing", m)
}

// crossing is where a score, or the line that it lies on, meets another line.
func (b *Bench) crossing(p *Piece, score int, with Crease) (blank.Point, error) {
	list := p.Creases[score]
	if len(list) == 0 {
		return blank.Point{}, fmt.Errorf("there is no score %d", score)
	}
	a, c := list[0], with
	dx, dy, ex, ey := a.To.X-a.From.X, a.To.Y-a.From.Y, c.To.X-c.From.X, c.To.Y-c.From.Y
	cross := dx*ey - dy*ex
	if math.Abs(cross) < 1e-9 {
		return blank.Point{}, fmt.Errorf("score %d never meets it", score)
	}
	t := ((c.From.X-a.From.X)*ey - (c.From.Y-a.From.Y)*ex) / cross
	return blank.Point{X: a.From.X + t*dx, Y: a.From.Y + t*dy}, nil
}

// outline is what is cut between marks.
func (b *Bench) outline(p *Piece, marks []worksheet.Mark) (list blank.Polygon, err error) {
	for _, m := range marks {
		at, err := b.place(p, m)
		if err != nil {
			return nil, err
		}
		list = append(list, at)
	}
	return list, nil
}

func (b *Bench) slit(s worksheet.Step) error {
	p, err := b.flat(s)
	if err != nil {
		return err
	}
	for _, marks := range s.Lines {
		line, err := b.outline(p, marks)
		if err != nil || len(line) != 2 || s.Tool == blank.NoTool {
			return fmt.Errorf("a slit of %q: %d marks, %v", s.Piece, len(line), err)
		}
		p.Slits = append(p.Slits, [2]blank.Point{line[0], line[1]})
	}
	return nil
}

func (b *Bench) snip(s worksheet.Step) error {
	p, err := b.flat(s)
	if err != nil {
		return err
	}
	for _, marks := range s.Lines {
		line, err := b.outline(p, marks)
		if err != nil || len(line) < 2 || s.Tool == blank.NoTool {
			return fmt.Errorf("a corner of %q: %d marks, %v", s.Piece, len(line), err)
		}
		if s.Tool == blank.PunchBoard {
			if err := b.notch(p, line); err != nil {
				return err
			}
		}
		off, err := fallsOff(p, line)
		if err != nil {
			return fmt.Errorf("a corner of %q: %w", s.Piece, err)
		}
		for _, q := range p.Away {
			if alike(q, off) {
				return fmt.Errorf("a corner of %q is cut off twice", s.Piece)
			}
		}
		p.Away = append(p.Away, off)
	}
	return nil
}

// fallsOff is what a cut from edge to edge takes off: the smaller part.
func fallsOff(p *Piece, line blank.Polygon) (blank.Polygon, error) {
	round := func(q blank.Point) (float64, bool) { // how far round the sheet, from its top left corner
		switch {
		case math.Abs(q.Y) < same:
			return q.X, true
		case math.Abs(q.X-p.Width) < same:
			return p.Width + q.Y, true
		case math.Abs(q.Y-p.Height) < same:
			return p.Width + p.Height + p.Width - q.X, true
		case math.Abs(q.X) < same:
			return 2*p.Width + p.Height + p.Height - q.Y, true
		}
		return 0, false
	}
	from, ok := round(line[0])
	to, there := round(line[len(line)-1])
	if !ok || !there {
		return nil, fmt.Errorf("the cut from %v to %v does not go from edge to edge", line[0], line[len(line)-1])
	}
	all := 2 * (p.Width + p.Height)
	corners := map[float64]blank.Point{0: {}, p.Width: {X: p.Width}, p.Width + p.Height: {X: p.Width, Y: p.Height}, 2*p.Width + p.Height: {Y: p.Height}}
	// On round the sheet from the end of the cut to its beginning, one way and the other.
	back := func(step float64) blank.Polygon {
		off := append(blank.Polygon{}, line...)
		for at, left := to, math.Mod(step*(from-to)+2*all, all); left > 0; {
			next, far := blank.Point{}, math.Inf(1)
			for c, q := range corners {
				if d := math.Mod(step*(c-at)+2*all, all); d > 1e-9 && d < far {
					next, far = q, d
				}
			}
			if far >= left {
				break
			}
			off, at, left = append(off, next), math.Mod(at+step*far+all, all), left-far
		}
		return off
	}
	one, other := back(1), back(-1)
	if other.Area() < one.Area() {
		return other, nil
	}
	return one, nil
}

func (b *Bench) cutOut(s worksheet.Step) error {
	p, err := b.flat(s)
	if err != nil {
		return err
	}
	if s.Tool == "trimmer" && !b.tools.Plunges || s.Tool == blank.NoTool || len(s.Lines) != 1 {
		return fmt.Errorf("nothing cuts inside %q", s.Piece)
	}
	out, err := b.outline(p, s.Lines[0])
	if err != nil || len(out) != 4 {
		return fmt.Errorf("the opening of %q: %v", s.Piece, err)
	}
	p.Openings = append(p.Openings, out)
	return b.put(s.Off, Piece{Count: s.Count, Width: out[2].X - out[0].X, Height: out[2].Y - out[0].Y, Creases: map[int][]Crease{}})
}

// trace lays a print on a piece, edges together, and scores and cuts what it shows.
func (b *Bench) trace(s worksheet.Step) error {
	p, err := b.flat(s)
	if err != nil {
		return err
	}
	d, ok := b.templates[s.Template]
	if !ok || s.Tool == blank.NoTool || s.Up == "" {
		return fmt.Errorf("nothing was printed of %q", s.Template)
	}
	if b.Wrong == nil && (math.Abs(d.Width-p.Width) > same || math.Abs(d.Height-p.Height) > same) {
		return fmt.Errorf("the print of %q is %.2f × %.2f, and the piece %.2f × %.2f", s.Template, d.Width, d.Height, p.Width, p.Height)
	}
	for i, c := range d.Of(drawing.Score) {
		up := s.Up
		if c.Inside {
			up = map[worksheet.Side]worksheet.Side{worksheet.Shown: worksheet.Under, worksheet.Under: worksheet.Shown}[up]
		}
		p.Creases[i+1] = []Crease{b.pricked(Crease{c.Corners[0], c.Corners[1], up})}
	}
	p.asCut(d)
	return nil
}

// asCut is cut as a drawing shows it.
func (p *Piece) asCut(d drawing.Drawing) {
	for _, a := range d.Of(drawing.Away) {
		p.Away = append(p.Away, a.Corners)
	}
	for i, c := range d.Of(drawing.Cut) {
		switch {
		case i == 0:
		case c.Closed:
			p.Openings = append(p.Openings, c.Corners)
		default:
			p.Slits = append(p.Slits, [2]blank.Point{c.Corners[0], c.Corners[1]})
		}
	}
}

// pricked is a line of a print as it is scored: as far off as any other.
func (b *Bench) pricked(c Crease) Crease {
	long := math.Hypot(c.To.X-c.From.X, c.To.Y-c.From.Y)
	if b.Wrong == nil || long == 0 {
		return c
	}
	off := b.Wrong() / long
	x, y := (c.From.Y-c.To.Y)*off, (c.To.X-c.From.X)*off
	c.From, c.To = blank.Point{X: c.From.X + x, Y: c.From.Y + y}, blank.Point{X: c.To.X + x, Y: c.To.Y + y}
	return c
}

// alike reports whether two outlines have the same corners, wherever they begin.
func alike(p, q blank.Polygon) bool {
	near := func(list blank.Polygon, at blank.Point) bool {
		for _, c := range list {
			if math.Hypot(c.X-at.X, c.Y-at.Y) < same {
				return true
			}
		}
		return false
	}
	for _, at := range p {
		if !near(q, at) {
			return false
		}
	}
	for _, at := range q {
		if !near(p, at) {
			return false
		}
	}
	return true
}
