package drawing

import (
	"cmp"
	"slices"

	"yellowparcel/core/blank"
)

// Label is a text on a drawing, its middle at a point.
type Label struct {
	Part string      `json:"part"`
	At   blank.Point `json:"at"`
	Text string      `json:"text"`
	// Room is how much there is round it, in millimetres: what does not go into it is left out.
	Room float64 `json:"room"`
	// High is as much above and below; not said where a name stands in one line whatever its height.
	High float64 `json:"high,omitempty"`
}

// nameHigh is half the least height that a name takes, in millimetres: a net or a mat is looked at as a whole.
const nameHigh = 6

// nameLong is how many times as long as high a name is, written in a line or two.
const nameLong = 3

// label adds a text where there is one.
func (d *Drawing) label(part string, at blank.Point, text string, room float64) {
	if text != "" {
		d.Labels = append(d.Labels, Label{Part: part, At: at, Text: text, Room: room})
	}
}

// name adds a text in a piece of paper, with the room that it has in its outline.
func (d *Drawing) name(part string, at blank.Point, text string, in blank.Polygon) {
	if text != "" {
		wide, high := Drawing{Width: d.Width, Height: d.Height, Shapes: []Shape{{Corners: in, Closed: true}}}.room(at)
		d.Labels = append(d.Labels, Label{Part: part, At: at, Text: text, Room: wide, High: high})
	}
}

// room is how far it is free to both sides of a point, and above and below it, before a line is met: of all boxes
// round the point the one that holds the largest box of the shape that a name has.
func (d Drawing) room(at blank.Point) (wide, high float64) {
	across := func(high float64) float64 { return d.nearest(at.X, at.Y-high, at.Y+high, upright) }
	low, most := 0.0, d.nearest(at.Y, at.X-hair, at.X+hair, sideways)
	least := min(nameHigh, most) - hair
	for range 40 { // the higher, the narrower: halved until nothing is left to find
		if high = (low + most) / 2; across(high) < high*nameLong {
			most = high
		} else {
			low = high
		}
	}
	wide = across(max(low, least))
	return wide, d.nearest(at.Y, at.X-wide, at.X+wide, sideways)
}

// nearest is how far from a point across the first line is met between two heights, a hairline less; as far as
// the drawing goes where none is.
func (d Drawing) nearest(from, top, bottom float64, seen func(blank.Point) blank.Point) float64 {
	free := d.Width + d.Height
	for _, s := range d.spans(top, bottom, seen) {
		free = min(free, max(s[0]-from, from-s[1], 0))
	}
	return max(0, free-hair)
}

// upright and sideways are a drawing seen as it is, and with up and across changed over.
func upright(p blank.Point) blank.Point  { return p }
func sideways(p blank.Point) blank.Point { return blank.Point{X: p.Y, Y: p.X} }

// spans are how far across the edges go between two heights, the leftmost first; seen turns what is across.
func (d Drawing) spans(top, bottom float64, seen func(blank.Point) blank.Point) (list [][2]float64) {
	for _, s := range d.Shapes {
		for i, a := range s.Corners {
			if i == len(s.Corners)-1 && !s.Closed {
				break
			}
			if x, there := span(seen(a), seen(s.Corners[(i+1)%len(s.Corners)]), top, bottom); there {
				list = append(list, x)
			}
		}
	}
	slices.SortFunc(list, func(a, b [2]float64) int { return cmp.Compare(a[0], b[0]) })
	return list
}

// span is how far across an edge goes between two heights.
func span(a, b blank.Point, top, bottom float64) (across [2]float64, there bool) {
	if a.Y > b.Y {
		a, b = b, a
	}
	if b.Y <= top || a.Y >= bottom {
		return across, false
	}
	x := func(y float64) float64 {
		if y <= a.Y || a.Y == b.Y {
			return a.X
		}
		return a.X + (b.X-a.X)*min(1, (y-a.Y)/(b.Y-a.Y))
	}
	across = [2]float64{x(top), x(bottom)}
	if a.Y == b.Y {
		across = [2]float64{a.X, b.X}
	}
	return [2]float64{min(across[0], across[1]), max(across[0], across[1])}, true
}
