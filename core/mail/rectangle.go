package mail

import "yellowparcel/core/measure"

// Rectangle is an envelope in which a card that is too nearly square escapes
// the surcharge: the same height, and wide enough for the aspect.
type Rectangle struct {
	Width, Height measure.Length
	// OK is false when no rectangle serves; Why then names the limit.
	OK  bool
	Why Measure
}

// PlainRectangle returns the smallest envelope, in ticks, that holds a card
// needing an interior of at least w x h and meets every limit of the class even
// when one outer size is off by e:
//
//	height = max(least height, h); width = max(least length, w, aspect·height + (1 + aspect)·e)
//
// Filled it measures its thickness less both ways, which makes it slimmer: the greatest
// aspect holds then too.
// See "A square card in a plain rectangle" in docs/sums.md.
func (c Class) PlainRectangle(w, h, thickness, e, tick measure.Length) Rectangle {
	bound := map[Measure]Limit{}
	for _, l := range append(append([]Limit(nil), c.Limits...), c.SurchargeLimits...) {
		of := l.Measure
		if of == AddressAspect {
			of = Aspect // the address runs along the length
		}
		if len(l.When) == 0 && of != Thickness {
			bound[of] = l
		}
	}
	least := func(m Measure) measure.Length {
		if q := bound[m].Min; q != nil {
			return measure.Length(*q) + thickness + e // held against the filled envelope
		}
		return 0
	}
	if w < h {
		w, h = h, w
	}
	width, height := max(w, least(Length)), max(h, least(Height))
	if q := bound[Aspect].Max; q != nil {
		// A slim card wants a taller envelope, not a longer one.
		a := float64(*q)
		height = max(height, measure.Round((float64(width.Up(tick))+(1+a)*float64(e)+(a-1)*float64(thickness))/a))
	}
	r := Rectangle{Height: height.Up(tick), OK: true}
	if q := bound[Aspect].Min; q != nil {
		a := float64(*q)
		width = max(width, measure.Round(a*float64(r.Height)+(1+a)*float64(e)))
	}
	r.Width = width.Up(tick)
	for _, side := range []struct {
		of   Measure
		size measure.Length
	}{{Length, r.Width}, {Height, r.Height}} {
		if q := bound[side.of].Max; q != nil && float64(side.size+e) > float64(*q) {
			r.OK, r.Why = false, side.of
		}
	}
	return r
}
