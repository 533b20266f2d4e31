package paper

// Face is one side of a paper as it is drawn: a colour, and a pattern on it.
type Face struct {
	Colour  Colour `json:"colour,omitempty" maxLength:"20"`
	Pattern Motif  `json:"pattern,omitempty" maxLength:"20"`
}

// Colour is a colour that papers come in.
type Colour string

// The colours; empty when nobody said.
const (
	White  Colour = "white"
	Cream  Colour = "cream"
	Kraft  Colour = "kraft"
	Grey   Colour = "grey"
	Night  Colour = "night"
	Blue   Colour = "blue"
	Green  Colour = "green"
	Yellow Colour = "yellow"
	Orange Colour = "orange"
	Red    Colour = "red"
	Rose   Colour = "rose"
)

// Colours lists them.
func Colours() []Colour {
	return []Colour{White, Cream, Kraft, Grey, Night, Blue, Green, Yellow, Orange, Red, Rose}
}

// Motif is a pattern on a paper.
type Motif string

// The motifs; plain when nobody said.
const (
	Plain   Motif = "plain"
	Stripes Motif = "stripes"
	Dots    Motif = "dots"
	Checks  Motif = "checks"
	Stars   Motif = "stars"
)

// Motifs lists them.
func Motifs() []Motif { return []Motif{Plain, Stripes, Dots, Checks, Stars} }

// or is the face with what nobody said of it.
func (f Face) or(g Face) Face {
	if f.Colour == "" {
		f.Colour = g.Colour
	}
	if f.Pattern == "" {
		f.Pattern = g.Pattern
	}
	return f
}

// Faces are the two sides of a paper, the better one first: as the maker said, or as the one
// of that ID that ships has them. Where nobody said a colour there is none.
func (s Stock) Faces() (front, back Face) {
	ships, _ := StockByID(s.ID)
	return s.Front.or(ships.Front), s.Back.or(ships.Back)
}

// Up is the side of a paper that is up.
func (s Stock) Up(turned bool) Face {
	front, back := s.Faces()
	if turned {
		return back
	}
	return front
}
