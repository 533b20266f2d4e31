package bench

import (
	"fmt"
	"math"

	"yellowparcel/core/blank"
	"yellowparcel/core/worksheet"
)

// score presses one line in: parallel to the edge at the fence, or square to the diagonal of the
// corner in the plate, or through two marks beside a corner.
func (b *Bench) score(s worksheet.Step) error {
	p, err := b.flat(s)
	if err != nil {
		return err
	}
	switch {
	case s.Number <= 0 || s.Up == "" || s.Tool == blank.NoTool:
		return fmt.Errorf("score %d of %q: nothing says its tool, its side or its number", s.Number, s.Piece)
	case s.Tool == blank.ScoreBoard && b.tools.Reach > 0 && s.At > b.tools.Reach:
		return fmt.Errorf("the board does not reach %.1f mm", s.At.Millimetres())
	case s.Tool == blank.ScoreBoard && b.tools.Groove > 0 && s.At%b.tools.Groove != 0:
		return fmt.Errorf("there is no groove at %.2f mm", s.At.Millimetres())
	}
	if err := b.settable(s.At); err != nil {
		return err
	}
	var c Crease
	switch at := b.kept(s); {
	case s.Fence != "" && s.Corner == "":
		c = b.alongEdge(p, s, at)
	case s.Corner != "" && s.Fence == "":
		reading := at - b.tools.CornerAt.Millimetres() // from the corner, along the diagonal
		if s.Tool != blank.ScoreBoard {
			reading = at / math.Sqrt2 // marked on both edges
		}
		if s.Middle {
			reading = (p.Width+p.Height)/2/math.Sqrt2 - at
		}
		c = b.acrossCorner(p, s, reading)
	default:
		return fmt.Errorf("nothing says how %q lies", s.Piece)
	}
	if c, err = b.between(p, s, c); err != nil {
		return err
	}
	if c.Up = s.Up; c.From == c.To {
		return fmt.Errorf("the score at %.2f mm misses %q", s.At.Millimetres(), s.Piece)
	}
	p.Creases[s.Number] = append(p.Creases[s.Number], c)
	return nil
}

// between is what of a line lies between the scores that it begins and ends at.
func (b *Bench) between(p *Piece, s worksheet.Step, c Crease) (Crease, error) {
	if s.Between == [2]int{} {
		return c, nil
	}
	// It begins at its left end, at its top one where it runs up and down.
	if c.From.X > c.To.X+1e-9 || math.Abs(c.From.X-c.To.X) < 1e-9 && c.From.Y > c.To.Y {
		c.From, c.To = c.To, c.From
	}
	whole := c
	for i, end := range []*blank.Point{&c.From, &c.To} {
		if s.Between[i] == 0 {
			continue
		}
		at, err := b.crossing(p, s.Between[i], whole)
		if err != nil {
			return c, err
		}
		*end = at
	}
	return c, nil
}

// punch notches the edge that is up, so far from its left end, and scores from the notch to the
// edge at its left.
func (b *Bench) punch(s worksheet.Step) error {
	p, err := b.flat(s)
	if err != nil {
		return err
	}
	if err := b.settable(s.At); err != nil || s.Number <= 0 || s.Tool != blank.PunchBoard || b.tools.Punches > 0 && max(p.Width, p.Height) > b.tools.Punches.Millimetres()+same {
		return fmt.Errorf("the notch of %q: %w", s.Piece, err)
	}
	k, at := b.tools.Notch.Millimetres(), b.kept(s)-b.tools.NotchAt.Millimetres()
	// With the edge up: u to the right along it, v into the sheet.
	place := func(u, v float64) blank.Point {
		switch s.Fence {
		case worksheet.Right:
			return blank.Point{X: p.Width - v, Y: u}
		case worksheet.Bottom:
			return blank.Point{X: p.Width - u, Y: p.Height - v}
		case worksheet.Left:
			return blank.Point{X: v, Y: p.Height - u}
		}
		return blank.Point{X: u, Y: v}
	}
	if s.Fence == "" || len(p.Creases[s.Number]) > 0 {
		return fmt.Errorf("nothing says which edge of %q is up, or it is punched twice", s.Piece)
	}
	p.Away = append(p.Away, blank.Polygon{place(at-k, 0), place(at+k, 0), place(at, k)})
	// The rib runs on beyond the notch, to both edges.
	c := b.acrossCorner(p, worksheet.Step{Corner: cornerLeftOf[s.Fence]}, (at+k)/math.Sqrt2)
	c.Up = s.Up
	p.Creases[s.Number] = []Crease{c}
	return nil
}

// cornerLeftOf is the corner at the left end of an edge that is up.
var cornerLeftOf = map[worksheet.Edge]worksheet.Corner{
	worksheet.Top: worksheet.TopLeft, worksheet.Right: worksheet.TopRight, worksheet.Bottom: worksheet.BottomRight, worksheet.Left: worksheet.BottomLeft,
}

// round folds a sheet over scrap that lies in its middle, square to its points.
func (b *Bench) round(s worksheet.Step) error {
	p, err := b.flat(s)
	if err != nil {
		return err
	}
	if s.Size.Width <= 0 || s.Size.Height <= 0 || len(s.Folds) != 4 || s.Up == "" {
		return fmt.Errorf("nothing says round what %q is folded", s.Piece)
	}
	centre := (p.Width + p.Height) / 2 / math.Sqrt2
	ends, sides := b.set(s.Size.Height)/2, b.set(s.Size.Width)/2
	for i, line := range []struct {
		corner worksheet.Corner
		far    float64
	}{{worksheet.TopLeft, centre - ends}, {worksheet.TopLeft, centre + ends}, {worksheet.BottomLeft, centre - sides}, {worksheet.BottomLeft, centre + sides}} {
		c := b.acrossCorner(p, worksheet.Step{Corner: line.corner}, line.far)
		c.Up = s.Up
		p.Creases[s.Folds[i]] = []Crease{c}
	}
	return nil
}

// alongEdge is a line parallel to an edge, from edge to edge or between two places on it.
func (b *Bench) alongEdge(p *Piece, s worksheet.Step, at float64) (c Crease) {
	upright := s.Fence == worksheet.Left || s.Fence == worksheet.Right
	if s.Fence == worksheet.Right {
		at = p.Width - at
	}
	if s.Fence == worksheet.Bottom {
		at = p.Height - at
	}
	from, to := 0.0, p.Width
	if upright {
		to = p.Height
	}
	if s.To > 0 {
		from, to = s.From.Millimetres(), s.To.Millimetres()
	}
	if upright {
		if at > 0 && at < p.Width {
			c.From, c.To = blank.Point{X: at, Y: from}, blank.Point{X: at, Y: to}
		}
		return c
	}
	if at > 0 && at < p.Height {
		c.From, c.To = blank.Point{X: from, Y: at}, blank.Point{X: to, Y: at}
	}
	return c
}

// acrossCorner is a line square to the diagonal of a corner, so far from it, where it crosses the
// sheet.
func (b *Bench) acrossCorner(p *Piece, s worksheet.Step, far float64) (c Crease) {
	// From the corner, along both of its edges: u across, v down.
	k := far * math.Sqrt2
	if k <= 0 || k >= p.Width+p.Height {
		return c
	}
	u0, v0 := math.Min(k, p.Width), math.Max(0, k-p.Width)
	u1, v1 := math.Max(0, k-p.Height), math.Min(k, p.Height)
	place := func(u, v float64) blank.Point {
		switch s.Corner {
		case worksheet.TopRight:
			return blank.Point{X: p.Width - u, Y: v}
		case worksheet.BottomRight:
			return blank.Point{X: p.Width - u, Y: p.Height - v}
		case worksheet.BottomLeft:
			return blank.Point{X: u, Y: p.Height - v}
		}
		return blank.Point{X: u, Y: v}
	}
	return Crease{From: place(u0, v0), To: place(u1, v1)}
}
