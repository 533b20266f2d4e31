package compare

import (
	"math"

	"yellowparcel/core/blank"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/piece"
)

// Sized is the size that a note is for, and how thick that is.
type Sized struct{ Width, Height, Thick measure.Length }

// Claimed is what a note says that it is for: the piece's own card where it says nothing.
func Claimed(p piece.Piece, n job.Recipe) Sized {
	outer := p.Outer()
	if n.ClaimWidth == 0 {
		return Sized{outer.Width, outer.Height, p.Thick().Used}
	}
	s := Sized{Width: n.ClaimWidth, Height: n.ClaimHeight}
	if s.Height == 0 {
		s.Height = s.Width
	}
	if max(s.Width, s.Height) == max(outer.Width, outer.Height) && min(s.Width, s.Height) == min(outer.Width, outer.Height) && n.For() == job.ForCard {
		s.Thick = p.Thick().Used // it is the piece's own card
	}
	return s
}

// NotedFor is the envelope of a note, whole, with what its board's guide reads at the sheet's
// corner taken off its scores.
func NotedFor(p piece.Piece, n job.Recipe, corner measure.Length) blank.Noted {
	made := blank.Noted{}
	switch n.Form {
	case job.PocketRecipe, job.WallsRecipe, job.EndRecipe:
		made.Pocket = &blank.PocketRecipe{Width: n.Side1, Length: n.Side2, Left: n.Left, Right: n.Right, Flap: n.Top, Bottom: n.Bottom}
		if n.Form == job.EndRecipe {
			made.Pocket.Bottom, made.Pocket.OneEnd = n.Side2-n.Bottom, true
		}
		if n.Form == job.WallsRecipe {
			made.Pocket.Wall = n.Wall
		}
		return made
	case job.BoxRecipe:
		made.Box = &blank.BoxRecipe{Side: n.Side1, SidesWall: n.Left - corner, SidesFloor: n.Right - corner, EndsWall: n.Top - corner, EndsFloor: n.Bottom - corner}
		return made
	}
	b := &blank.Recipe{Side1: n.Side1, Side2: n.Side2, Paired: n.Form == job.PairRecipe, Left: n.Left, Right: n.Right, Top: n.Top, Bottom: n.Bottom}
	made.Square = b
	switch n.Form {
	case job.PunchRecipe:
		// The punch notches the middle of the gap between two marks, k to either side.
		k, at := float64(n.Notch), float64(n.Left)
		if k == 0 {
			k = float64(p.Shop().Tools.NotchDepth)
		}
		b.Side2 = n.Side1
		b.Left, b.Top = measure.Round((at+k)/math.Sqrt2), measure.Round((float64(n.Side1)-at+k)/math.Sqrt2)
		b.Right, b.Bottom = b.Left, b.Top
	case job.SquareRecipe:
		b.Side2 = n.Side1
		d, size := float64(2*n.Side1)/math.Sqrt2, Claimed(p, n)
		b.Left, b.Top = measure.Round((d-float64(size.Width+size.Thick))/2), measure.Round((d-float64(size.Height+size.Thick))/2)
		b.Right, b.Bottom = b.Left, b.Top
	default:
		b.Left, b.Right, b.Top, b.Bottom = b.Left-corner, b.Right-corner, b.Top-corner, b.Bottom-corner
	}
	return made
}
