package bench

import (
	"fmt"
	"math"
	"slices"

	"yellowparcel/core/blank"
	"yellowparcel/core/worksheet"
)

// envelope is what the hands know of the envelopes on the table: how their panels hang on each other,
// what of them is stuck, and what was done with them.
type envelope struct {
	net   blank.Net
	stuck map[worksheet.Seam]bool
	// down are flaps that are folded down and held.
	down []string
	// tried is the card that was tried, as it was then.
	tried                                   string
	with                                    string
	addressed, filled, sealed, slid, spread bool
	stuckDown                               bool
}

// hangsOn is what a panel hangs on; empty for the face.
func (e *envelope) hangsOn(id string) string {
	for _, c := range e.net.Creases {
		if c.Panel == id {
			if c.On == "" {
				return e.net.Panels[0].ID
			}
			return c.On
		}
	}
	return ""
}

// chain are the panels from one to the face, the face left out, and how far it is folded altogether:
// only folds that run the same way add up.
func (e *envelope) chain(id string) (list []string, angle float64) {
	var along blank.Point
	for range e.net.Creases {
		at := slices.IndexFunc(e.net.Creases, func(c blank.Crease) bool { return c.Panel == id })
		if at < 0 {
			break
		}
		c := e.net.Creases[at]
		way := blank.Point{X: c.To.X - c.From.X, Y: c.To.Y - c.From.Y}
		if cross := way.X*along.Y - way.Y*along.X; math.Abs(cross) > same*math.Hypot(way.X, way.Y)*math.Hypot(along.X, along.Y) {
			angle = math.NaN() // it stands, whatever it hangs on
		}
		list, angle, along, id = append(list, id), angle+c.Angle, way, c.On
	}
	return list, angle
}

// held reports whether something keeps a panel where it is: a seam with another than what it hangs on,
// or what closes it.
func (e *envelope) held(id string) bool {
	if slices.Contains(e.down, id) {
		return true
	}
	for s := range e.stuck {
		if s.Panel != id && s.Onto != id {
			continue
		}
		if e.hangsOn(s.Panel) != s.Onto {
			return true
		}
	}
	return false
}

// ways are the ways into the envelope: past each side of the face on which panels hang, with all that
// hang there; and from above, with all that come to lie over the face.
func (e *envelope) ways() (sides [][]string, above []string) {
	first := map[string]int{}
	for _, p := range e.net.Panels[1:] {
		list, angle := e.chain(p.ID)
		if len(list) == 0 {
			continue
		}
		root := list[len(list)-1]
		if _, ok := first[root]; !ok {
			first[root] = len(sides)
			sides = append(sides, nil)
		}
		sides[first[root]] = append(sides[first[root]], p.ID)
		if math.Abs(angle-180) < 1 {
			above = append(above, p.ID)
		}
	}
	return sides, above
}

// opens reports whether a card can be put in: past a side that nothing holds, or from above.
func (e *envelope) opens() bool {
	sides, above := e.ways()
	if !slices.ContainsFunc(above, e.held) {
		return true
	}
	return slices.ContainsFunc(sides, func(side []string) bool { return !slices.ContainsFunc(side, e.held) })
}

// keeps reports whether what is put in stays: all sides but one are held, and that one is there to be
// closed.
func (e *envelope) keeps() bool {
	sides, above := e.ways()
	open := 0
	for _, side := range sides {
		if !slices.ContainsFunc(side, e.held) {
			open++
		}
	}
	if open == 0 { // the walls stand: it was laid in from above
		return !slices.ContainsFunc(above, e.held)
	}
	return open == 1
}

// shut reports whether nothing goes in or out, and every seam of the drawing is made: but for those of
// flaps that are held by what closes them.
func (e *envelope) shut() bool {
	for _, g := range e.net.Glue {
		if !e.stuck[worksheet.Seam{Panel: g.Panel, Onto: g.Onto}] && !slices.Contains(e.down, g.Panel) && !slices.Contains(e.down, g.Onto) {
			return false
		}
	}
	return !e.opens()
}

// stick makes seams up: each is one of the drawing, and none is made twice.
func (e *envelope) stick(piece string, seams []worksheet.Seam) error {
	for _, s := range seams {
		if !slices.ContainsFunc(e.net.Glue, func(g blank.Glue) bool { return g.Panel == s.Panel && g.Onto == s.Onto }) {
			return fmt.Errorf("%q has no seam of its %q on its %q", piece, s.Panel, s.Onto)
		}
		if e.stuck[s] {
			return fmt.Errorf("the %q of %q is glued already", s.Panel, piece)
		}
		e.stuck[s] = true
	}
	return nil
}

// makeUp glues the seams of an envelope while nothing is in it: it is folded, and the card was tried.
func (b *Bench) makeUp(p *Piece, s worksheet.Step, minutes int) error {
	e := &b.envelope
	switch {
	case len(s.Seams) == 0:
		return fmt.Errorf("nothing says which seams of %q are glued", s.Piece)
	case p.unfolded():
		return fmt.Errorf("%q is glued before it is folded", s.Piece)
	case e.tried == "":
		return fmt.Errorf("%q is glued before anything was tried in it", s.Piece)
	case e.filled:
		return fmt.Errorf("%q is glued with the card in it", s.Piece)
	}
	if err := e.stick(s.Piece, s.Seams); err != nil {
		return err
	}
	p.Wet, e.spread = minutes, true
	return nil
}

// seal closes the envelopes: every flap that is open goes down, and is stuck or held.
func (b *Bench) seal(s worksheet.Step) error {
	if _, err := b.piece(s); err != nil {
		return err
	}
	e := &b.envelope
	switch {
	case !e.filled || !e.addressed || e.sealed:
		return fmt.Errorf("%q is sealed before it is filled and addressed, or twice", s.Piece)
	case len(s.Flaps) == 0 || s.With == "":
		return fmt.Errorf("nothing says what of %q is closed, or with what", s.Piece)
	}
	for _, id := range s.Flaps {
		if e.hangsOn(id) == "" {
			return fmt.Errorf("%q has no flap %q", s.Piece, id)
		}
		if e.held(id) {
			return fmt.Errorf("the %q of %q is glued down already", id, s.Piece)
		}
	}
	if err := e.stick(s.Piece, s.Seams); err != nil {
		return err
	}
	e.down, e.with, e.stuckDown, e.sealed = s.Flaps, s.With, s.Stuck, true
	if s.Stuck { // then each seam of what goes down is made
		for _, g := range e.net.Glue {
			seam := worksheet.Seam{Panel: g.Panel, Onto: g.Onto}
			if (slices.Contains(s.Flaps, g.Panel) || slices.Contains(s.Flaps, g.Onto)) && !e.stuck[seam] {
				return fmt.Errorf("the %q of %q is to be stuck down, and nothing says so of its %q", g.Panel, s.Piece, g.Onto)
			}
		}
	}
	return nil
}
