package card

import (
	"cmp"
	"math"
	"slices"

	"yellowparcel/core/measure"
)

// Rise is a part of the card seen end-on: from where to where along the card it
// reaches, and how high its top lies above the table.
type Rise struct{ From, To, Top measure.Length }

// Room returns how much of an envelope's dimension a card takes beyond its own
// length because it is thick, as it lies: half the perimeter of the hull of all
// of it seen end-on, less its length. Paper spans from rise to rise, so that a
// heap in the middle takes less than a block that runs to the edges, which takes
// the whole thickness. For one heap of height T that starts g1 and g2 from the
// edges of a base t thick this is t + ½·Σ(√(g² + (T - t)²) - g).
func Room(length, base measure.Length, rises []Rise) measure.Length {
	points := [][2]float64{{0, float64(base)}, {float64(length), float64(base)}}
	top, left, right := base, measure.Length(0), length
	for _, r := range rises {
		top, left, right = max(top, r.Top), min(left, r.From), max(right, r.To)
		points = append(points, [2]float64{float64(r.From), float64(r.Top)}, [2]float64{float64(r.To), float64(r.Top)})
	}
	slices.SortFunc(points, func(a, b [2]float64) int {
		return cmp.Or(cmp.Compare(a[0], b[0]), cmp.Compare(a[1], b[1]))
	})
	var hull [][2]float64 // the upper side, left to right
	for _, p := range points {
		for len(hull) > 1 && cross(hull[len(hull)-2], hull[len(hull)-1], p) >= 0 {
			hull = hull[:len(hull)-1]
		}
		hull = append(hull, p)
	}
	round := hull[0][1] + hull[len(hull)-1][1] + float64(right-left) // the ends and the flat back
	for i, p := range hull[1:] {
		round += math.Hypot(p[0]-hull[i][0], p[1]-hull[i][1])
	}
	return min(measure.Round(round/2)-length, top+max(0, right-left-length))
}

func cross(a, b, c [2]float64) float64 {
	return (b[0]-a[0])*(c[1]-a[1]) - (b[1]-a[1])*(c[0]-a[0])
}
