package blank

import (
	"math"

	"yellowparcel/core/measure"
)

// The range in which grooves are looked for: an ease that is right, as far as
// the wish itself is.
const (
	leastEase = measure.Inch / 8
	mostEase  = 3 * measure.Inch / 8
)

// step is the smallest step that a score along the board can be set by.
func (s Spec) step() measure.Length { return max(s.Style.Tick, s.Board.Groove) }

// scoring is one pair of parallel scores in grooves: the readings to set, from
// the same corner or each from its own, and the flaps that they leave beyond the
// scores, in nanometres.
type scoring struct {
	near, far measure.Length // far is zero when each is set from its own corner
	low, high float64
}

// wantedSeam is the seam that the school asks for, in nanometres unrounded.
func (d Diamond) wantedSeam() float64 {
	return float64(d.Exact) - float64(d.CreaseWidth+d.CreaseHeight)/math.Sqrt2
}

// eachInGrooves are the grooves next to a crease's place when each score is set
// from its own corner.
func (d Diamond) eachInGrooves(crease measure.Length) []scoring {
	at, groove := d.Spec.Board.CornerAt, d.Spec.Board.Groove
	exact := measure.Round((d.Diagonal()-float64(crease))/2) + at
	var list []scoring
	for n := exact.Down(groove) - groove; n <= exact.Down(groove)+2*groove; n += groove {
		if n > at {
			list = append(list, scoring{near: n, low: float64(n - at), high: float64(n - at)})
		}
	}
	return list
}

// pairInGrooves are the pairs of grooves about as far apart as the creases and
// about in the middle, when both scores are set from the same corner.
func (d Diamond) pairInGrooves(crease measure.Length) []scoring {
	at, groove := d.Spec.Board.CornerAt, d.Spec.Board.Groove
	var list []scoring
	for apart := max(groove, crease.Down(groove)-groove); apart <= crease.Down(groove)+2*groove; apart += groove {
		n := measure.Round((d.Diagonal()-float64(apart))/2 + float64(at)).Near(groove)
		if n > at {
			list = append(list, scoring{n, n + apart, float64(n - at), d.Diagonal() - float64(n+apart-at)})
		}
	}
	return list
}

// inGrooves is the sheet and the grooves that come nearest to the ease and the
// seam wanted: sheet, ease and seam are solved again, since rounding each score
// blindly would let both go where they like. Far is true when no grooves keep the
// ease right and the seam over the adhesive.
func (d Diamond) inGrooves(find func(Diamond, measure.Length) []scoring) (sheet measure.Length, sides, ends scoring, far bool) {
	s, wanted := d.Spec, d.wantedSeam()
	low, high := float64(min(s.Ease, leastEase)-s.Ease), float64(max(s.Ease, mostEase)-s.Ease)
	least := math.Min(wanted, float64(s.Adhesive))
	best, far := math.Inf(1), true
	for side := d.Sheet - 2*s.Board.Groove.Up(s.Style.Tick); side <= d.Sheet+2*s.Board.Groove.Up(s.Style.Tick); side += s.Style.Tick {
		k := d
		k.Sheet = side
		acrossList, downList := find(k, d.CreaseWidth), find(k, d.CreaseHeight)
		for _, across := range acrossList {
			wider := k.Diagonal() - across.low - across.high - float64(d.CreaseWidth)
			for _, down := range downList {
				higher := k.Diagonal() - down.low - down.high - float64(d.CreaseHeight)
				seam := math.Sqrt2*(math.Min(across.low, across.high)+math.Min(down.low, down.high)) - float64(side)
				off := math.Abs(wider) + math.Abs(higher) + math.Abs(seam-wanted)
				// A nanometre is lost to rounding, no more.
				bad := math.Min(wider, higher) < low-1 || math.Max(wider, higher) > high+1 || seam < least-1
				if far && !bad || far == bad && off < best {
					best, far, sheet, sides, ends = off, bad, side, across, down
				}
			}
		}
	}
	return sheet, sides, ends, far
}
