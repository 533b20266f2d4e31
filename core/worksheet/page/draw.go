package page

import (
	"slices"

	"yellowparcel/core/blank"
	"yellowparcel/core/drawing"
	"yellowparcel/core/worksheet"
	"yellowparcel/core/worksheet/bench"
)

// draw draws a step: the piece as it was, what the step does to it, and the bench goes on.
func (p *teller) draw(s worksheet.Step) drawing.Drawing {
	before := bench.Piece{}
	if q := p.bench.Pieces[s.Piece]; q != nil {
		before = *q
		before.Creases = map[int][]bench.Crease{}
		for n, list := range q.Creases {
			before.Creases[n] = list
		}
		before.Away, before.Slits, before.Openings = slices.Clone(q.Away), slices.Clone(q.Slits), slices.Clone(q.Openings)
	}
	_ = p.bench.Follow(s) // proved by tests; what cannot be done is not drawn
	after := p.bench.Pieces[s.Piece]
	switch {
	case s.Act == worksheet.Machine:
		return p.Prints()[s.Template]
	case s.Act == worksheet.Cut && s.At > 0 && before.Width > 0:
		return against(s, p.cutting(s, before))
	case after != nil && after.Width > 0:
		return against(s, lying(*after, before))
	}
	return drawing.Drawing{Shapes: []drawing.Shape{}, Labels: []drawing.Label{}}
}

// against names the edge or the corner that the piece is laid by.
func against(s worksheet.Step, d drawing.Drawing) drawing.Drawing {
	const in = 0.06
	edges := map[worksheet.Edge]blank.Point{worksheet.Left: {X: 0.12, Y: 0.5}, worksheet.Right: {X: 0.88, Y: 0.5}, worksheet.Top: {X: 0.5, Y: in}, worksheet.Bottom: {X: 0.5, Y: 1 - in}}
	corners := map[worksheet.Corner]blank.Point{
		worksheet.TopLeft: {X: 0.14, Y: in}, worksheet.TopRight: {X: 0.86, Y: in}, worksheet.BottomRight: {X: 0.86, Y: 1 - in}, worksheet.BottomLeft: {X: 0.14, Y: 1 - in},
	}
	at, text := edges[s.Fence], againstWords[s.Tool]
	if s.Corner != "" {
		at, text = corners[s.Corner], cornerWords[s.Tool]
	}
	if text != "" && (s.Fence != "" || s.Corner != "") {
		d.Labels = append(d.Labels, drawing.Label{Part: "against", At: blank.Point{X: at.X * d.Width, Y: at.Y * d.Height}, Text: text, Room: min(at.X, 1-at.X) * d.Width})
	}
	return d
}

// newPart marks what a step makes on its drawing.
const newPart = "new"

// cutting draws a straight cut: what is measured, and what is left or falls off.
func (p *teller) cutting(s worksheet.Step, piece bench.Piece) drawing.Drawing {
	w, h, at := piece.Width, piece.Height, s.At.Millimetres()
	d := drawing.Drawing{Width: w, Height: h, Shapes: []drawing.Shape{}, Labels: []drawing.Label{}}
	stays, rest := drawing.Box(0, 0, at, h), drawing.Box(at, 0, w-at, h)
	line := blank.Polygon{{X: at}, {X: at, Y: h}}
	switch s.Fence {
	case worksheet.Right:
		stays, rest = drawing.Box(w-at, 0, at, h), drawing.Box(0, 0, w-at, h)
		line = blank.Polygon{{X: w - at}, {X: w - at, Y: h}}
	case worksheet.Top:
		stays, rest = drawing.Box(0, 0, w, at), drawing.Box(0, at, w, h-at)
		line = blank.Polygon{{Y: at}, {X: w, Y: at}}
	case worksheet.Bottom:
		stays, rest = drawing.Box(0, h-at, w, at), drawing.Box(0, 0, w, h-at)
		line = blank.Polygon{{Y: h - at}, {X: w, Y: h - at}}
	}
	if s.Keep == "" { // what is measured falls off
		stays, rest = rest, stays
	}
	add := func(k drawing.Kind, part string, corners blank.Polygon, closed bool) {
		d.Shapes = append(d.Shapes, drawing.Shape{Kind: k, Part: part, Corners: corners, Closed: closed})
	}
	add(drawing.Cut, "stays", stays, true)
	if s.Off == "" || s.Keep == "" {
		add(drawing.Away, "away", rest, true)
	}
	add(drawing.Sheet, "sheet", drawing.Box(0, 0, w, h), true)
	add(drawing.Cut, newPart, line, false)
	return d
}

// lying draws a piece as it lies, with what is new on it marked.
func lying(p, before bench.Piece) drawing.Drawing {
	d := drawing.Drawing{Width: p.Width, Height: p.Height, Shapes: []drawing.Shape{}, Labels: []drawing.Label{}}
	add := func(k drawing.Kind, part string, corners blank.Polygon, closed, inside bool) {
		d.Shapes = append(d.Shapes, drawing.Shape{Kind: k, Part: part, Corners: corners, Closed: closed, Inside: inside})
	}
	add(drawing.Cut, "piece", drawing.Box(0, 0, p.Width, p.Height), true, false)
	for _, a := range p.Away {
		add(drawing.Away, "away", a, true, false)
	}
	for i, o := range p.Openings {
		part := "opening"
		if i >= len(before.Openings) {
			part = newPart
		}
		add(drawing.Cut, part, o, true, false)
	}
	numbers := make([]int, 0, len(p.Creases))
	for n := range p.Creases {
		numbers = append(numbers, n)
	}
	slices.Sort(numbers)
	for _, n := range numbers {
		for i, c := range p.Creases[n] {
			part := "score"
			if i >= len(before.Creases[n]) {
				part = newPart
			}
			add(drawing.Score, part, blank.Polygon{c.From, c.To}, false, c.Up == worksheet.Under)
		}
	}
	for i, s := range p.Slits {
		part := "slit"
		if i >= len(before.Slits) {
			part = newPart
		}
		add(drawing.Cut, part, blank.Polygon{s[0], s[1]}, false, false)
	}
	for i, a := range p.Away {
		if i >= len(before.Away) {
			add(drawing.Cut, newPart, a, true, false)
		}
	}
	return d
}
