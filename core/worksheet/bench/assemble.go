package bench

import (
	"fmt"
	"slices"

	"yellowparcel/core/worksheet"
)

// blankPiece is what the envelope is called on the bench, gaugePiece the thickness gauge.
const blankPiece, gaugePiece = "envelope", "gauge"

// fold folds a piece along every score that it has: one that is left out would spoil it.
func (b *Bench) fold(s worksheet.Step) error {
	p, err := b.piece(s)
	if err != nil {
		return err
	}
	if p.Folded || p.Wet > 0 && s.Piece == blankPiece {
		return fmt.Errorf("%q is folded already, or wet", s.Piece)
	}
	if len(s.Folds) == 0 || len(p.Creases) == 0 {
		return fmt.Errorf("nothing says where to fold %q", s.Piece)
	}
	for _, n := range s.Folds {
		if len(p.Creases[n]) == 0 && n != 0 {
			return fmt.Errorf("%q is to be folded along score %d, which it has not", s.Piece, n)
		}
	}
	for n := range p.Creases {
		if !slices.Contains(s.Folds, n) && !slices.Contains(s.Folds, 0) {
			return fmt.Errorf("%q is not folded along its score %d", s.Piece, n)
		}
	}
	p.Folded = true
	return nil
}

// unfolded reports whether a piece has scores along which it is not folded yet.
func (p *Piece) unfolded() bool { return len(p.Creases) > 0 && !p.Folded }

// try slides one finished card into one envelope, or every closed envelope through the gauge.
func (b *Bench) try(s worksheet.Step) error {
	e := &b.envelope
	if s.Onto == gaugePiece {
		if _, err := b.piece(s); err != nil {
			return err
		}
		if g := b.Pieces[s.Onto]; g == nil || len(g.Openings) != 1 || !e.sealed {
			return fmt.Errorf("%q is not closed yet, or there is no slot to slide it through", s.Piece)
		}
		e.slid = true
		return nil
	}
	p, into := b.Pieces[s.Piece], b.Pieces[s.Onto]
	switch {
	case s.Count != 1:
		return fmt.Errorf("one is tried, not %d", s.Count)
	case p == nil || p.Count == 0 || into == nil || into.Count == 0:
		return fmt.Errorf("there is no %q to try in %q", s.Piece, s.Onto)
	case p.unfolded() || into.unfolded():
		return fmt.Errorf("%q is tried in %q before both are folded", s.Piece, s.Onto)
	case len(e.stuck) > 0 || e.filled:
		return fmt.Errorf("%q is glued before the card is tried in it", s.Onto)
	case b.Pieces.wet(s.Piece):
		return fmt.Errorf("%q is tried before it is dry", s.Piece)
	}
	e.tried = s.Piece
	return nil
}

// glue lays a piece on another one, or makes up seams of an envelope.
func (b *Bench) glue(s worksheet.Step) error {
	p, err := b.piece(s)
	if err != nil {
		return err
	}
	minutes, known := b.tools.Minutes[s.With]
	if !known && s.Foam == 0 {
		return fmt.Errorf("nothing says what %q is glued with", s.Piece)
	}
	if s.Piece == s.Onto {
		return b.makeUp(p, s, minutes)
	}
	onto := b.Pieces[s.Onto]
	switch {
	case len(s.Seams) > 0:
		return fmt.Errorf("%q has no seams on %q", s.Piece, s.Onto)
	case onto == nil || onto.Count != s.Count:
		return fmt.Errorf("there are not %d of %q to glue %q on", s.Count, s.Onto, s.Piece)
	case p.On != "":
		return fmt.Errorf("%q is glued already, on %q", s.Piece, p.On)
	case len(onto.Things) > 0:
		return fmt.Errorf("%q comes to lie over what was put on %q", s.Piece, s.Onto)
	case s.Up == "":
		return fmt.Errorf("nothing says which side of %q is up", s.Piece)
	case onto.Folded && s.Onto == blankPiece:
		return fmt.Errorf("%q is folded before %q is glued into it", s.Onto, s.Piece)
	case onto.On == blankPiece || b.envelope.tried == s.Onto:
		return fmt.Errorf("%q was tried before %q was on it", s.Onto, s.Piece)
	}
	p.On, p.Side, p.Foam = s.Onto, s.Up, s.Foam
	onto.Holds = append(onto.Holds, s.Piece)
	if s.Foam == 0 {
		b.Pieces.root(s.Onto).Wet = minutes
	}
	return nil
}

func (b *Bench) dryUp(s worksheet.Step) error {
	p, err := b.piece(s)
	if err != nil {
		return err
	}
	if s.Minutes <= 0 || s.Minutes < p.Wet {
		return fmt.Errorf("%q is held for %d minutes, and needs %d", s.Piece, s.Minutes, p.Wet)
	}
	p.Wet = 0
	return nil
}

func (b *Bench) clean(s worksheet.Step) error {
	p, err := b.piece(s)
	if err != nil {
		return err
	}
	if p.Wet > 0 || b.envelope.filled {
		return fmt.Errorf("%q is rubbed before it is dry, or when it is filled", s.Piece)
	}
	b.envelope.spread = false
	return nil
}

// decorate puts a thing on a card.
func (b *Bench) decorate(s worksheet.Step) error {
	p := b.Pieces[s.Onto]
	switch {
	case p == nil || p.Count != s.Count || s.Piece == "":
		return fmt.Errorf("there are not %d of %q to put %q on", s.Count, s.Onto, s.Piece)
	case p.On == blankPiece || b.envelope.tried == s.Onto:
		return fmt.Errorf("%q was tried or filled in before %q was on it", s.Onto, s.Piece)
	case slices.Contains(p.Things, s.Piece):
		return fmt.Errorf("%q is on %q already", s.Piece, s.Onto)
	}
	p.Things = append(p.Things, s.Piece)
	return nil
}

// address is written on what its front can be told of: an envelope that is folded, or bought.
func (b *Bench) address(s worksheet.Step) error {
	p, err := b.piece(s)
	if err != nil || b.envelope.filled || b.envelope.addressed || p.unfolded() {
		return fmt.Errorf("%q is addressed too soon, too late, or twice: %w", s.Piece, err)
	}
	b.envelope.addressed = true
	return nil
}

// fill puts the cards in: past what nothing holds, and where all else is shut.
func (b *Bench) fill(s worksheet.Step) error {
	p, err := b.piece(s)
	if err != nil {
		return err
	}
	into, e := b.Pieces[s.Onto], &b.envelope
	switch {
	case into == nil || into.Count != s.Count || e.sealed || e.filled:
		return fmt.Errorf("there are not %d open ones of %q for %q", s.Count, s.Onto, s.Piece)
	case p.unfolded() || into.unfolded():
		return fmt.Errorf("%q or %q is not folded yet", s.Piece, s.Onto)
	case b.Pieces.wet(s.Piece) || into.Wet > 0 || e.spread:
		return fmt.Errorf("%q is filled before it is dry and clean", s.Onto)
	case e.tried != s.Piece:
		return fmt.Errorf("%q was never tried as it is now", s.Piece)
	case !e.opens():
		return fmt.Errorf("%q is shut: nothing goes into it", s.Onto)
	case !e.keeps():
		return fmt.Errorf("%q is open on more than one side: what is put in falls out", s.Onto)
	}
	e.filled, p.On = true, s.Onto
	return nil
}

// Closed is what has become of the envelopes.
type Closed struct {
	// With is what they are closed with, Stuck whether their flaps are stuck down.
	With  string
	Stuck bool
	// Addressed is set when they can be mailed as they are, Slid when they went through the gauge, Done
	// when the cards are in, every seam is made, and nothing is open.
	Addressed, Slid, Done bool
}

// Closed says what has become of the envelopes, or of the card where there is none.
func (b *Bench) Closed() Closed {
	e := &b.envelope
	return Closed{With: e.with, Stuck: e.stuckDown, Addressed: e.addressed, Slid: e.slid, Done: e.sealed && e.shut()}
}
