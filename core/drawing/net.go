package drawing

import (
	"slices"
	"strconv"

	"yellowparcel/core/blank"
	"yellowparcel/core/card"
)

// Laid is what lies on a net: the card, the liner, and what of the back nothing covers. Names
// are what its labels say.
type Laid struct {
	Card  card.Size
	Liner blank.Polygon
	Holes []blank.Polygon
	Names Names
}

// Names are the words on a net: that the card lies here, and that this is a hole.
type Names struct{ Card, Hole string }

// besideCrease is where along a flap its name stands: near its crease, where no glue is.
const besideCrease = 0.6

// Net draws a blank lying flat, inside up: the sheet, what falls off, what stays, where it is
// glued, and its creases, each flap named with its place in the order of folding.
func Net(n blank.Net, on Laid) Drawing {
	n = n.Cut()
	d := Drawing{Shapes: []Shape{}, Labels: []Label{}}
	_, _, d.Width, d.Height = n.Sheet.Box()
	d.area(Sheet, "sheet", n.Sheet)
	for _, p := range n.CutAway {
		d.area(Away, "away", p)
	}
	d.area(Cut, "outline", n.Outline)
	for _, g := range n.Glue {
		d.area(Glue, "glue", g.Zone).Field = "envelope.seam"
	}
	d.area(Liner, "liner", on.Liner)
	lies := n.Panels[0].Outline
	face, _, _ := middle(lies)
	if w, h := on.Card.Width.Millimetres(), on.Card.Height.Millimetres(); w > 0 && h > 0 {
		lies = Box(face.X-w/2, face.Y-h/2, w, h)
		d.area(Card, "card", lies).Field = "envelope.ease"
	}
	for _, p := range on.Holes {
		d.area(Hole, "hole", p)
		at, _, _ := middle(p)
		d.name("hole", at, on.Names.Hole, p)
	}
	for _, c := range n.Creases {
		s := d.line(Score, c.Panel, c.From, c.To)
		if c.On == "" {
			s.Field = "envelope.ease"
		}
	}
	for _, c := range n.Slits {
		d.line(Cut, "slit", c.From, c.To)
	}
	d.nameFlaps(n)
	d.name("card", face, on.Names.Card, lies)
	return d
}

// nameFlaps names the panels that are folded, in the order of their folds.
func (d *Drawing) nameFlaps(n blank.Net) {
	var orders []int
	for _, c := range n.Creases {
		if !slices.Contains(orders, c.Order) {
			orders = append(orders, c.Order)
		}
	}
	slices.Sort(orders)
	for _, c := range n.Creases {
		at := slices.IndexFunc(n.Panels, func(p blank.Panel) bool { return p.ID == c.Panel })
		if at < 0 || n.Panels[at].Outline.Area() == 0 {
			continue
		}
		far, _, _ := middle(n.Panels[at].Outline)
		x, y := (c.From.X+c.To.X)/2, (c.From.Y+c.To.Y)/2
		d.name(c.Panel, blank.Point{X: x + (far.X-x)*besideCrease, Y: y + (far.Y-y)*besideCrease},
			strconv.Itoa(slices.Index(orders, c.Order)+1)+". "+n.Panels[at].Name, n.Panels[at].Outline)
	}
}
