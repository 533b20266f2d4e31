package plan

import (
	"fmt"
	"slices"

	"yellowparcel/core/blank"
)

// leastHole is the smallest hole that is drawn and told of, in mm²: a slit along
// a crease where nothing shows is none.
const leastHole = 0.5

// holes are the parts of the back that nothing covers, the largest first. A gap
// that the construction means to leave, as beside a lid, is none.
func holes(made blank.Made) []blank.Polygon {
	list := []blank.Polygon{}
	if made.Gap > 0 {
		return list
	}
	for _, h := range made.Folded.Holes {
		if h.Area() > leastHole {
			list = append(list, h)
		}
	}
	slices.SortStableFunc(list, func(a, b blank.Polygon) int {
		switch {
		case a.Area() > b.Area():
			return -1
		case a.Area() < b.Area():
			return 1
		}
		return 0
	})
	return list
}

// holeWords are where the largest part of what stays open lies, how large all of it
// is, and what would close it.
func (m envelopeStation) holeWords(made blank.Made) (where, area, would string) {
	list := holes(made)
	if len(list) > 0 {
		where = " " + placeWords(list[0], made.Net.Panels[0].Outline)
	}
	if len(list) > 1 {
		where = fmt.Sprintf(" in %d places, most%s", len(list), where)
	}
	would = "Give it a wider seam, or longer flaps."
	if m.Job().Envelope.Corner > 0 {
		would = "Round its corners less, or give it a wider seam or longer flaps."
	}
	return where, squares(m.Style().Unit, made.Folded.Hole), would
}

// placeWords says where on a face a polygon lies, as one looks at the drawing
// with the throat at the top.
func placeWords(p, face blank.Polygon) string {
	third := func(of func(blank.Point) float64, names [3]string) string {
		low, high, from, to := of(face[0]), of(face[0]), of(p[0]), of(p[0])
		for _, q := range face {
			low, high = min(low, of(q)), max(high, of(q))
		}
		for _, q := range p {
			from, to = min(from, of(q)), max(to, of(q))
		}
		switch at := ((from+to)/2 - low) / (high - low); {
		case at < 1.0/3:
			return names[0]
		case at > 2.0/3:
			return names[2]
		}
		return names[1]
	}
	down := third(func(q blank.Point) float64 { return q.Y }, [3]string{"at the throat", "", "at the bottom"})
	across := third(func(q blank.Point) float64 { return q.X }, [3]string{"on the left", "", "on the right"})
	switch {
	case down == "" && across == "":
		return "in the middle"
	case down == "" || across == "":
		return down + across
	}
	return down + " " + across
}
