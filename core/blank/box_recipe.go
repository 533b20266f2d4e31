package blank

import (
	"math"

	"yellowparcel/core/measure"
)

// BoxRecipe is a box from a square as somebody's note gives it: from every corner where the
// wall ends and where the floor does.
type BoxRecipe struct {
	Side                                       measure.Length
	SidesWall, SidesFloor, EndsWall, EndsFloor measure.Length
}

// Depth is that of its walls: what the two readings of the sides differ by.
func (r BoxRecipe) Depth() measure.Length { return r.SidesFloor - r.SidesWall }

// Fault is why the recipe makes no box.
func (r BoxRecipe) Fault() RecipeFault {
	w, h := r.floor()
	switch {
	case min(r.SidesWall, r.EndsWall) <= 0:
		return OnEdge
	case r.SidesWall >= r.SidesFloor, r.EndsWall >= r.EndsFloor:
		return WallBeyond
	case (r.EndsFloor - r.EndsWall - r.Depth()).Abs() > measure.Inch/16:
		return WallsDiffer
	case min(w, h) <= 0:
		return PairCrosses
	}
	return MakesOne
}

func (r BoxRecipe) floor() (w, h measure.Length) {
	d := float64(r.Side) * math.Sqrt2
	return measure.Round(d - 2*float64(r.SidesFloor)), measure.Round(d - 2*float64(r.EndsFloor))
}

// Make works the recipe backwards for the card of a spec: the floor between its inner
// scores, walls as deep as the two readings differ.
func (r BoxRecipe) Make(s Spec) Made {
	w, h := r.floor()
	return squareBox(s, r.Side, w, h, r.Depth()).Finished(s)
}
