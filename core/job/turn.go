package job

import (
	"yellowparcel/core/card"
)

// quarter are the folds that a quarter turn makes of each other: what opened like a tent opens
// like a book.
var quarter = map[card.Fold]card.Fold{card.TopFold: card.SideFold, card.SideFold: card.TopFold}

// TurnCard is the job with its card turned a quarter to the left, with all that lies on it:
// its right edge is its top edge then.
func TurnCard(j Job) Job {
	j = j.Clone()
	c := &j.Card
	width := c.Width
	c.Width, c.Height = c.Height, c.Width
	c.OverWidth, c.OverHeight = c.OverHeight, c.OverWidth
	if fold, ok := quarter[c.Fold]; ok {
		c.Fold = fold
	}
	for i := range c.Outline {
		c.Outline[i].X, c.Outline[i].Y = c.Outline[i].Y, width.Millimetres()-c.Outline[i].X
	}
	for i := range j.Parts {
		p := &j.Parts[i]
		if p.Own != nil {
			p.Own = &card.Size{Width: p.Own.Height, Height: p.Own.Width}
		}
		if e := p.Edges; e != nil {
			p.Edges = &card.Edges{Top: e.Right, Left: e.Top, Bottom: e.Left, Right: e.Bottom}
		}
		if p.Thing != nil {
			t := *p.Thing
			t.X, t.Y, t.Width, t.Height = t.Y, width-t.X-t.Width, t.Height, t.Width
			p.Thing = &t
		}
	}
	for i := range j.Items {
		// What runs right across still does.
		if t := &j.Items[i]; t.Width > 0 {
			t.Width, t.Height = t.Height, t.Width
		}
	}
	return j
}
