// Package blank works out envelopes to be cut and folded from a sheet for one
// finished card: the flat blank (its net), where it is scored in every way a
// maker may set the lines, and what it becomes when it is folded.
//
// Lengths are measure.Length; the geometry of a net is in millimetres. It
// carries out "Envelope blanks" of docs/sums.md:
//
//	d := blank.NewDiamond(blank.Spec{Width: w, Height: h, Ease: measure.Inch / 4, ...})
//	d.Sheet    // side of the square to cut
//	d.Chosen() // the settings of the score board
package blank

// Net is a blank lying flat: what is cut, creased, glued and thrown away. The
// first panel is the face, the side that shows the address; every other panel
// hangs on it by one crease.
type Net struct {
	Sheet   Polygon   `json:"sheet"`
	Outline Polygon   `json:"outline"`
	Panels  []Panel   `json:"panels"`
	Creases []Crease  `json:"creases"`
	CutAway []Polygon `json:"cutAway"`
	Glue    []Glue    `json:"glue"`
}

// Panel is one plane part of a folded envelope.
type Panel struct {
	ID      string  `json:"id"`
	Name    string  `json:"name"`
	Outline Polygon `json:"outline"`
}

// Crease is a fold line between the face and one panel.
type Crease struct {
	Panel string `json:"panel"`
	From  Point  `json:"from"`
	To    Point  `json:"to"`
	// Order counts the folds from one; folds of one number may be made in
	// either order.
	Order int `json:"order"`
}

// Glue is a zone that is glued onto another panel when the blank is folded.
type Glue struct {
	Panel string  `json:"panel"` // the panel that carries the glue
	Onto  string  `json:"onto"`  // the panel that it holds
	Zone  Polygon `json:"zone"`  // on the flat sheet
}

// Folded is what a net becomes, found from its panels and creases alone.
type Folded struct {
	// Hole is the area of the back that no flap covers, in square millimetres.
	Hole float64 `json:"hole"`
	// Layers is the greatest number of layers of paper lying on each other,
	// the face included.
	Layers int `json:"layers"`
	// Overhang is the largest area of one flap that lies outside the face.
	Overhang float64 `json:"overhang"`
}

func (c Crease) line() line {
	a, b := c.To.Y-c.From.Y, c.From.X-c.To.X
	return line{a, b, a*c.From.X + b*c.From.Y}
}

// fold returns the panel folded over its crease onto the face.
func (n Net) fold(id string) Polygon {
	for _, p := range n.Panels {
		if p.ID != id {
			continue
		}
		for _, c := range n.Creases {
			if c.Panel == id {
				return c.line().mirrorAll(p.Outline)
			}
		}
	}
	return nil
}

// Fold folds the net flat and looks at it. The face and the flaps must be
// convex, as they are in every construction here.
func (n Net) Fold() Folded {
	face := n.Panels[0].Outline
	f := Folded{Layers: 1}
	flaps := make([]Polygon, 0, len(n.Panels)-1)
	for _, p := range n.Panels[1:] {
		whole := n.fold(p.ID)
		inside := whole.meet(face)
		f.Overhang = max(f.Overhang, whole.Area()-inside.Area())
		flaps = append(flaps, inside)
	}
	// Inclusion and exclusion over every set of flaps gives the covered area
	// and, on the way, how many layers lie anywhere.
	covered := 0.0
	for set := 1; set < 1<<len(flaps); set++ {
		common, count := face, 0
		for i, flap := range flaps {
			if set&(1<<i) != 0 {
				common = common.meet(flap)
				count++
			}
		}
		area := common.Area()
		if area > sliver {
			f.Layers = max(f.Layers, 1+count)
		}
		if count%2 == 1 {
			covered += area
		} else {
			covered -= area
		}
	}
	if hole := face.Area() - covered; hole > sliver {
		f.Hole = hole
	}
	if f.Overhang < sliver {
		f.Overhang = 0
	}
	return f
}

// sliver is the area in square millimetres below which a gap or an overlap is
// an effect of rounding.
const sliver = 0.01

// glue returns the zone of panel from that lies on panel onto when folded, on
// the flat sheet.
func (n Net) glue(from, onto string) []Glue {
	zone := n.fold(from).meet(n.fold(onto))
	if zone.Area() < sliver {
		return nil
	}
	for _, c := range n.Creases {
		if c.Panel == from {
			return []Glue{{from, onto, c.line().mirrorAll(zone)}}
		}
	}
	return nil
}
