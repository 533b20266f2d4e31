package cutting

import (
	"fmt"

	"yellowparcel/core/measure"
)

// Check proves a plan against its order, by cutting as the plan says and by
// nothing else: every cut goes from edge to edge of a rectangle that is there at
// that moment, no longer than the trimmer cuts; every piece lies, in a way it
// may, on a rectangle that came loose; every ordered piece is there, as often as
// ordered; the steps name every cut once, in the order of its number, at the
// width of one of the two parts. It returns what is wrong first.
func Check(o Order, p Plan) error {
	unfit := map[int]bool{}
	for _, i := range p.Unfit {
		if o.Sheet.Possible(o.Pieces[i]) == Possible {
			return fmt.Errorf("line %d is said not to fit, but it does", i)
		}
		unfit[i] = true
	}
	settings, err := p.settings()
	if err != nil {
		return err
	}
	got, sheets := make([]int, len(o.Pieces)), 0
	for i, l := range p.Layouts {
		if l.Times < 1 {
			return fmt.Errorf("layout %d is cut %d times", i, l.Times)
		}
		sheets += l.Times
		if err := l.check(o, settings, got); err != nil {
			return fmt.Errorf("layout %d: %w", i, err)
		}
	}
	if sheets != p.Sheets {
		return fmt.Errorf("the plan says %d sheets, its layouts take %d", p.Sheets, sheets)
	}
	if len(settings) > 0 {
		return fmt.Errorf("the steps name %d cuts that no layout has", len(settings))
	}
	for i, piece := range o.Pieces {
		if want := piece.Count; !unfit[i] && got[i] != want {
			return fmt.Errorf("line %d: %d pieces cut, %d ordered", i, got[i], want)
		}
	}
	return nil
}

// settings gives each cut's setting by its number.
func (p Plan) settings() (map[int]measure.Length, error) {
	settings, number := map[int]measure.Length{}, 0
	for _, s := range p.Steps {
		for _, n := range s.Cuts {
			if number++; n != number {
				return nil, fmt.Errorf("cut %d comes as number %d of the steps", n, number)
			}
			settings[n] = s.Setting
		}
	}
	return settings, nil
}

func (l Layout) check(o Order, settings map[int]measure.Length, got []int) error {
	loose := map[Rect]int{{Width: o.Sheet.Width, Height: o.Sheet.Height}: 1}
	last := 0
	for _, c := range l.Cuts {
		a, b := c.Parts()
		whole := c.From.Height
		if c.Down {
			whole = c.From.Width
		}
		s, named := settings[c.Number]
		delete(settings, c.Number)
		switch {
		case c.Number <= last:
			return fmt.Errorf("cut %d comes after cut %d", c.Number, last)
		case loose[c.From] == 0:
			return fmt.Errorf("cut %d cuts %v, which is not there", c.Number, c.From)
		case c.At <= 0 || c.At >= whole:
			return fmt.Errorf("cut %d misses its rectangle", c.Number)
		case c.Length() > o.Sheet.limit():
			return fmt.Errorf("cut %d is longer than the trimmer cuts", c.Number)
		case !named || s != c.At && s != whole-c.At:
			return fmt.Errorf("cut %d is not made at its step's setting", c.Number)
		}
		last = c.Number
		loose[c.From]--
		loose[a]++
		loose[b]++
	}
	for _, p := range l.Pieces {
		piece := o.Pieces[p.Piece]
		w, h := piece.Width, piece.Height
		if p.Turned {
			w, h = h, w
		}
		switch {
		case p.Turned && !piece.Turn:
			return fmt.Errorf("a piece of line %d is turned and may not be", p.Piece)
		case p.Width != w || p.Height != h:
			return fmt.Errorf("a piece of line %d is %v", p.Piece, p.Rect)
		case loose[p.Rect] == 0:
			return fmt.Errorf("a piece of line %d at %v did not come loose", p.Piece, p.Rect)
		}
		loose[p.Rect]--
		got[p.Piece] += l.Times
	}
	for _, r := range l.Offcuts {
		if loose[r] == 0 {
			return fmt.Errorf("the offcut %v is not left over", r)
		}
		loose[r]--
	}
	return nil
}
