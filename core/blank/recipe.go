package blank

import (
	"math"

	"yellowparcel/core/measure"
)

// Recipe is a diamond as somebody's note gives it: a sheet and its scores along
// the diagonals.
type Recipe struct {
	// Side1 is the edge from the left to the top corner, Side2 the one from the
	// top to the right; equal on a square.
	Side1, Side2 measure.Length
	// Paired says that the scores are read both of a pair from one corner, near
	// and far: Left and Right then hold near and far of the sides, Top and Bottom
	// those of top and bottom. Else each is read from its own corner.
	Paired                   bool
	Left, Right, Top, Bottom measure.Length
}

// RecipeResult is the envelope that a recipe makes.
type RecipeResult struct {
	// Width and Height are the distances of the creases.
	Width, Height measure.Length
	// Seams are those on the edges left-top, top-right, right-bottom, bottom-left;
	// below zero the back stays open there.
	Seams  [4]measure.Length
	Net    Net
	Folded Folded
}

// diagonal of the box round the sheet standing on its point, in nanometres.
func (r Recipe) diagonal() float64 { return float64(r.Side1+r.Side2) / math.Sqrt2 }

// Centring is what the guide would have to read at the corner, with its sign
// turned, for paired scores to lie in the middle: o = D/2 - (near + far)/2, for
// the sides and for top and bottom.
func (r Recipe) Centring() (sides, ends measure.Length) {
	if !r.Paired {
		return 0, 0
	}
	half := measure.Round(r.diagonal() / 2)
	return half - (r.Left+r.Right)/2, half - (r.Top+r.Bottom)/2
}

// flaps are the scores from their own corners, with an offset of the guide.
func (r Recipe) flaps(sides, ends measure.Length) Flaps {
	if !r.Paired {
		return Flaps{float64(r.Left), float64(r.Right), float64(r.Top), float64(r.Bottom)}
	}
	d := r.diagonal()
	return Flaps{float64(r.Left + sides), d - float64(r.Right+sides), float64(r.Top + ends), d - float64(r.Bottom+ends)}
}

// RecipeFault is why a recipe makes no envelope at all.
type RecipeFault string

// The reasons; the empty one is none.
const (
	MakesOne    RecipeFault = ""
	LeftOff     RecipeFault = "left"   // the left score lies off the sheet
	RightOff    RecipeFault = "right"  // the right one
	TopOff      RecipeFault = "top"    // the top one
	BottomOff   RecipeFault = "bottom" // the bottom one
	NearFar     RecipeFault = "near"   // a near score lies beyond its far one
	PairCrosses RecipeFault = "pair"   // two scores of a pair cross
	NoFace      RecipeFault = "face"   // the scores leave no face on the sheet
	OnEdge      RecipeFault = "edge"   // of a pocket: a score lies on the sheet's edge
	TabsCross   RecipeFault = "tabs"   // the scores of the two tabs cross
	FlapCrosses RecipeFault = "flap"   // those of flap and back do
	WallBeyond  RecipeFault = "beyond" // of a box: a wall's score lies beyond the floor's
	WallsDiffer RecipeFault = "walls"  // of a box: its walls are not as deep as each other
)

// RecipeFaults lists the reasons.
func RecipeFaults() []RecipeFault {
	return []RecipeFault{LeftOff, RightOff, TopOff, BottomOff, NearFar, PairCrosses, NoFace, OnEdge, TabsCross, FlapCrosses, WallBeyond, WallsDiffer}
}

// Fault is why the recipe makes no envelope.
func (r Recipe) Fault() RecipeFault {
	f := r.flaps(0, 0)
	d := r.diagonal()
	for _, s := range []struct {
		fault RecipeFault
		at    float64
	}{{LeftOff, f.Left}, {RightOff, f.Right}, {TopOff, f.Top}, {BottomOff, f.Bottom}} {
		if s.at <= 0 || s.at >= d {
			return s.fault
		}
	}
	if r.Paired && (r.Left >= r.Right || r.Top >= r.Bottom) {
		return NearFar
	}
	if d-f.Left-f.Right <= 0 || d-f.Top-f.Bottom <= 0 {
		return PairCrosses
	}
	sheet := onPoint(r.Side1.Millimetres()/math.Sqrt2, r.Side2.Millimetres()/math.Sqrt2)
	mm := float64(measure.Millimetre)
	if sheet.keep(rightOf(f.Left/mm), leftOf((d-f.Right)/mm), below(f.Top/mm), above((d-f.Bottom)/mm)).Area() < 1 {
		return NoFace
	}
	return MakesOne
}

// Make works a recipe backwards: w = (S1 + S2)/√2 - aL - aR and likewise h; the
// seam on an edge is √2 times its two scores, less that edge. sides and ends are
// what the guide's corner is off; zero for a corner at zero.
func (r Recipe) Make(sides, ends measure.Length) RecipeResult {
	f, d := r.flaps(sides, ends), r.diagonal()
	res := RecipeResult{Width: measure.Round(d - f.Left - f.Right), Height: measure.Round(d - f.Top - f.Bottom)}
	seam := func(a, b float64, edge measure.Length) measure.Length {
		return measure.Round(math.Sqrt2*(a+b)) - edge
	}
	res.Seams = [4]measure.Length{seam(f.Left, f.Top, r.Side1), seam(f.Top, f.Right, r.Side2), seam(f.Right, f.Bottom, r.Side1), seam(f.Bottom, f.Left, r.Side2)}
	res.Net = pointed{}.net(onPoint(r.Side1.Millimetres()/math.Sqrt2, r.Side2.Millimetres()/math.Sqrt2), f, f)
	res.Folded = res.Net.Fold()
	return res
}

// Seam is the narrowest of the four.
func (r RecipeResult) Seam() measure.Length {
	return min(r.Seams[0], r.Seams[1], r.Seams[2], r.Seams[3])
}
