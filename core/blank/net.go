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

import "math"

// Net is a blank lying flat, inside up: what is cut, creased, glued and thrown
// away. The first panel is the face, the side that shows the address; every
// other panel hangs, through one crease or several, on it.
type Net struct {
	Sheet   Polygon   `json:"sheet"`
	Outline Polygon   `json:"outline"`
	Panels  []Panel   `json:"panels"`
	Creases []Crease  `json:"creases"`
	CutAway []Polygon `json:"cutAway"`
	// Slits are cuts between two panels that stay.
	Slits []Slit `json:"slits,omitempty"`
	Glue  []Glue `json:"glue"`
}

// Slit is a cut that takes nothing away.
type Slit struct {
	From Point `json:"from"`
	To   Point `json:"to"`
}

// Length of the slit in millimetres.
func (s Slit) Length() float64 { return math.Hypot(s.To.X-s.From.X, s.To.Y-s.From.Y) }

// Panel is one plane part of a folded envelope.
type Panel struct {
	ID      string  `json:"id"`
	Name    string  `json:"name"`
	Outline Polygon `json:"outline"`
}

// Crease is a fold line between a panel and the one that it hangs on.
type Crease struct {
	Panel string `json:"panel"`
	// On is the panel that it hangs on; the face when empty.
	On   string `json:"on"`
	From Point  `json:"from"`
	To   Point  `json:"to"`
	// Angle is how far it is folded up, in degrees: 180 lies flat on the inside,
	// 90 stands as a wall.
	Angle float64 `json:"angle"`
	// Order counts the folds from one; folds of one number may be made in
	// either order.
	Order int `json:"order"`
}

// Glue is a zone that is glued onto another panel when the blank is folded.
type Glue struct {
	Panel string  `json:"panel"` // the panel that carries the glue
	Onto  string  `json:"onto"`  // the panel that it holds
	Zone  Polygon `json:"zone"`  // on the flat sheet
	// Joins is set where it glues front and back to each other with nothing between
	// them: laid out, not found by folding.
	Joins bool `json:"-"`
}

// Area is the paper that is left of the sheet, in square millimetres.
func (n Net) Area() (sum float64) {
	for _, p := range n.Panels {
		sum += p.Outline.Area()
	}
	return sum
}

func (n Net) panel(id string) Polygon {
	for _, p := range n.Panels {
		if p.ID == id {
			return p.Outline
		}
	}
	return nil
}

func (c Crease) line() line {
	a, b := c.To.Y-c.From.Y, c.From.X-c.To.X
	return line{a, b, a*c.From.X + b*c.From.Y}
}
