package bench

import (
	"fmt"
	"math"

	"yellowparcel/core/blank"
	"yellowparcel/core/worksheet"
)

// notch holds what a punch is to take out against what it takes: a right angle whose point lies no deeper in
// the sheet than the punch is deep.
func (b *Bench) notch(p *Piece, line blank.Polygon) error {
	if len(line) != 3 || b.tools.Punches > 0 && max(p.Width, p.Height) > b.tools.Punches.Millimetres()+same {
		return fmt.Errorf("a punch does not take %v out", line)
	}
	a, m, c := line[0], line[1], line[2]
	one, other := blank.Point{X: a.X - m.X, Y: a.Y - m.Y}, blank.Point{X: c.X - m.X, Y: c.Y - m.Y}
	left, right := math.Hypot(one.X, one.Y), math.Hypot(other.X, other.Y)
	square := math.Abs(one.X*other.X+one.Y*other.Y) < same*(left+right)
	if deep := left / math.Sqrt2; !square || math.Abs(left-right) > 2*same || deep > b.tools.Notch.Millimetres()+same {
		return fmt.Errorf("a punch of %.2f mm does not take %v out", b.tools.Notch.Millimetres(), line)
	}
	return nil
}

// halve lays an edge on the one across and presses: the ridge comes in the middle, on the side that is down.
func (b *Bench) halve(s worksheet.Step) error {
	p, err := b.flat(s)
	if err != nil {
		return err
	}
	if s.Number <= 0 || s.Up == "" || len(p.Creases) > 0 || p.Folded {
		return fmt.Errorf("%q is scored or folded already, or nothing says which side is up", s.Piece)
	}
	off := 0.0
	if b.Wrong != nil {
		off = b.Wrong() / 2 // edges that do not meet by so much
	}
	c := Crease{Up: map[worksheet.Side]worksheet.Side{worksheet.Shown: worksheet.Under, worksheet.Under: worksheet.Shown}[s.Up]}
	switch s.Fence {
	case worksheet.Left, worksheet.Right:
		c.From, c.To = blank.Point{X: p.Width/2 + off}, blank.Point{X: p.Width/2 + off, Y: p.Height}
	case worksheet.Top, worksheet.Bottom:
		c.From, c.To = blank.Point{Y: p.Height/2 + off}, blank.Point{X: p.Width, Y: p.Height/2 + off}
	default:
		return fmt.Errorf("nothing says which edge of %q is folded over", s.Piece)
	}
	p.Creases[s.Number], p.Folded = []Crease{c}, true
	return nil
}

// emboss presses a pattern into a piece that lies flat by itself, or by hand into any.
func (b *Bench) emboss(s worksheet.Step) error {
	p, err := b.piece(s)
	if err != nil {
		return err
	}
	switch {
	case p.On != "" || p.Embossed || s.Up == "":
		return fmt.Errorf("%q is glued or embossed already", s.Piece)
	case s.Tool == "embosser" && (p.Folded || b.tools.Throat > 0 && min(p.Width, p.Height) > b.tools.Throat.Millimetres()+same):
		return fmt.Errorf("%q does not go through the machine", s.Piece)
	}
	p.Embossed = true
	return nil
}

// corners makes corners round, with the rounder as it makes them.
func (b *Bench) corners(s worksheet.Step) error {
	p, err := b.piece(s)
	if err != nil {
		return err
	}
	if s.At <= 0 || p.Round > 0 || s.Tool == blank.NoTool || s.Tool == "rounder" && s.At != b.tools.Round {
		return fmt.Errorf("the corners of %q are round already, or nothing makes them so", s.Piece)
	}
	p.Round = s.At
	return nil
}
