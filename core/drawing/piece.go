package drawing

import (
	"yellowparcel/core/blank"
	"yellowparcel/core/card"
	"yellowparcel/core/mail"
)

// Base draws a card's base lying flat, outside up, with its scores; panels are the names of
// its panels.
func Base(b card.Base, panels []string) Drawing {
	w, h := b.Width.Millimetres(), b.Height.Millimetres()
	d := plain(w, h)
	d.Shapes[0].Part = "base"
	for _, s := range b.Scores {
		at := s.At.Millimetres()
		from, to := blank.Point{X: at}, blank.Point{X: at, Y: h}
		if b.Across {
			from, to = blank.Point{Y: at}, blank.Point{X: w, Y: at}
		}
		d.line(Score, "base", from, to).Inside = s.Inside
	}
	if len(panels) != len(b.Panels) || len(panels) < 2 {
		return d
	}
	from := 0.0
	for i, p := range b.Panels {
		size := p.Millimetres()
		panel := Box(from, 0, size, h)
		if b.Across {
			panel = Box(0, from, w, size)
		}
		x0, y0, x1, y1 := panel.Box()
		d.name("base", blank.Point{X: (x0 + x1) / 2, Y: (y0 + y1) / 2}, panels[i], panel)
		from += size
	}
	return d
}

// Piece draws a rectangle of paper; where its middle is cut out behind the layer on it, that
// opening too.
func Piece(size card.Size, window *card.Size) Drawing {
	w, h := size.Width.Millimetres(), size.Height.Millimetres()
	d := plain(w, h)
	if window != nil {
		ww, wh := window.Width.Millimetres(), window.Height.Millimetres()
		d.area(Cut, "window", Box((w-ww)/2, (h-wh)/2, ww, wh))
	}
	return d
}

// Outline draws a shape of its own, such as an odd card or a liner, moved to the origin.
func Outline(part string, p blank.Polygon) Drawing {
	d := Drawing{Shapes: []Shape{}, Labels: []Label{}}
	if len(p) == 0 {
		return d
	}
	x0, y0, x1, y1 := p.Box()
	d.area(Cut, part, p)
	d = d.Moved(-x0, -y0)
	d.Width, d.Height = x1-x0, y1-y0
	return d
}

// Within draws a shape that is cut from a rectangle of a size, and what falls off that. A shape that
// is larger than the rectangle, by less than a tick, is made as much smaller.
func Within(part string, p blank.Polygon, size card.Size) Drawing {
	w, h := size.Width.Millimetres(), size.Height.Millimetres()
	if len(p) == 0 {
		return plain(w, h)
	}
	x0, y0, x1, y1 := p.Box()
	shape := make(blank.Polygon, len(p))
	for i, q := range p {
		shape[i] = blank.Point{X: (q.X - x0) * w / (x1 - x0), Y: (q.Y - y0) * h / (y1 - y0)}
	}
	n := blank.Net{Sheet: Box(0, 0, w, h), Panels: []blank.Panel{{ID: part, Outline: shape}}}.Cut()
	d := Drawing{Width: w, Height: h, Shapes: []Shape{}, Labels: []Label{}}
	d.area(Sheet, "sheet", n.Sheet)
	for _, a := range n.CutAway {
		d.area(Away, "away", a)
	}
	d.area(Cut, part, n.Outline)
	return d
}

// Gauge draws a thickness gauge: the piece of card and its slot, with what the slot is.
func Gauge(g mail.SlotGauge, slot string) Drawing {
	d := plain(g.Width.Millimetres(), g.Height.Millimetres())
	left, top := g.Left.Millimetres(), g.Top.Millimetres()
	d.area(Cut, "slot", Box(left, top, g.SlotWidth.Millimetres(), g.SlotHeight.Millimetres()))
	d.label("slot", blank.Point{X: d.Width / 2, Y: top / 2}, slot, d.Width/2)
	return d
}

// Ladder draws swatches one inside the other, sharing the lower left corner; names are
// their sizes, each in the corner that the next smaller one leaves free.
func Ladder(swatches []card.Size, names []string) Drawing {
	d := Drawing{Shapes: []Shape{}, Labels: []Label{}}
	for _, s := range swatches {
		d.Width, d.Height = max(d.Width, s.Width.Millimetres()), max(d.Height, s.Height.Millimetres())
	}
	for i, s := range swatches {
		w, h := s.Width.Millimetres(), s.Height.Millimetres()
		d.area(Cut, names[i], Box(0, d.Height-h, w, h))
		// In the middle of what the next smaller one leaves free above it, as small as that asks for. Neighbours stand
		// beside each other.
		free := 2 * labelHigh
		for _, next := range swatches {
			if less := h - next.Height.Millimetres(); less > 0 {
				free = min(free, less)
			}
		}
		d.Labels = append(d.Labels, Label{Part: names[i], At: blank.Point{X: w * float64(1+i%3) / 4, Y: d.Height - h + free/2}, Text: names[i], Room: w / 4, High: free / 2})
	}
	return d
}

// Swatch draws one swatch with what stands on it.
func Swatch(size card.Size, name string) Drawing {
	d := plain(size.Width.Millimetres(), size.Height.Millimetres())
	d.label("swatch", blank.Point{X: d.Width / 2, Y: d.Height / 2}, name, d.Width/2)
	return d
}

// labelHigh is half of the room that a swatch's size takes below its edge where there is enough, in millimetres.
const labelHigh = 3.0

// plain is a rectangle that is cut.
func plain(w, h float64) Drawing {
	d := Drawing{Width: w, Height: h, Shapes: []Shape{}, Labels: []Label{}}
	d.area(Cut, "outline", Box(0, 0, w, h))
	return d
}
