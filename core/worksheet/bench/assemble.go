package bench

import (
	"fmt"

	"yellowparcel/core/worksheet"
)

// fold folds a piece along scores that it has.
func (b *Bench) fold(s worksheet.Step) error {
	p, err := b.piece(s)
	if err != nil {
		return err
	}
	if len(s.Folds) == 0 || s.Angle == 0 {
		return fmt.Errorf("nothing says where or how far to fold %q", s.Piece)
	}
	for _, n := range s.Folds {
		if len(p.Creases[n]) == 0 && n != 0 {
			return fmt.Errorf("%q is to be folded along score %d, which it has not", s.Piece, n)
		}
	}
	if p.Folded {
		return fmt.Errorf("%q is folded already", s.Piece)
	}
	p.Folded = true
	return nil
}

func (b *Bench) try(s worksheet.Step) error {
	if _, err := b.piece(s); err != nil {
		return err
	}
	if s.Onto == "gauge" {
		if g := b.Pieces[s.Onto]; g == nil || len(g.Openings) != 1 || !b.sealed {
			return fmt.Errorf("%q is not closed yet, or there is no slot to slide it through", s.Piece)
		}
		return nil
	}
	if p := b.Pieces[s.Onto]; p == nil || p.Count < s.Count || b.glued {
		return fmt.Errorf("there is no %q to try it in, or it is glued already", s.Onto)
	}
	b.tried = true
	return nil
}

// glue lays a piece on another one, or closes an envelope's own seams.
func (b *Bench) glue(s worksheet.Step) error {
	p, err := b.piece(s)
	if err != nil {
		return err
	}
	onto := b.Pieces[s.Onto]
	switch {
	case onto == nil || onto.Count < s.Count:
		return fmt.Errorf("there is no %q to glue %q on", s.Onto, s.Piece)
	case p.On != "":
		return fmt.Errorf("%q is glued already, on %q", s.Piece, p.On)
	case s.Piece == s.Onto && !b.tried:
		return fmt.Errorf("%q is glued before anything was tried in it", s.Piece)
	}
	if p.On = s.Onto; s.Piece == s.Onto {
		b.glued = true
	}
	return nil
}

func (b *Bench) dryUp(s worksheet.Step) error {
	if _, err := b.piece(s); err != nil {
		return err
	}
	if s.Minutes <= 0 {
		return fmt.Errorf("nothing says how long %q dries", s.Piece)
	}
	b.dry = true
	return nil
}

func (b *Bench) decorate(s worksheet.Step) error {
	if p := b.Pieces[s.Onto]; p == nil || p.Count < s.Count || s.Piece == "" {
		return fmt.Errorf("there is no %q to put %q on", s.Onto, s.Piece)
	}
	return nil
}

func (b *Bench) address(s worksheet.Step) error {
	if _, err := b.piece(s); err != nil || b.filled || b.addressed {
		return fmt.Errorf("%q is addressed too late, or twice: %w", s.Piece, err)
	}
	b.addressed = true
	return nil
}

func (b *Bench) fill(s worksheet.Step) error {
	p, err := b.piece(s)
	if err != nil {
		return err
	}
	if e := b.Pieces[s.Onto]; e == nil || e.Count < s.Count || b.sealed || b.filled {
		return fmt.Errorf("there is no open %q for %q", s.Onto, s.Piece)
	}
	b.filled, p.On = true, s.Onto
	return nil
}

func (b *Bench) seal(s worksheet.Step) error {
	if _, err := b.piece(s); err != nil {
		return err
	}
	if !b.filled || !b.addressed || b.sealed {
		return fmt.Errorf("%q is sealed before it is filled and addressed, or twice", s.Piece)
	}
	b.sealed = true
	return nil
}

// Done reports whether the card is in a closed envelope.
func (b *Bench) Done() bool { return b.sealed }

// Addressed reports whether it can be mailed as it is.
func (b *Bench) Addressed() bool { return b.addressed }
