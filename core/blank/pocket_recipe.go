package blank

import "yellowparcel/core/measure"

// PocketRecipe is a tabbed pocket as somebody's note gives it: a sheet, and its
// scores each from its edge.
type PocketRecipe struct {
	Width, Length             measure.Length // of the sheet; the flap is at one end of the length
	Left, Right, Flap, Bottom measure.Length
	// Wall is the depth of walls, scored so much further in; zero for none.
	Wall measure.Length
	// OneEnd is set where the note gives both scores of the length from the flap's end.
	OneEnd bool
}

// PocketResult is the envelope that it makes.
type PocketResult struct {
	// Width and Height are the distances of the creases, the height that of the
	// front.
	Width, Height measure.Length
	// Tab is the narrower tab, Gap how much lower the back is than the front, and
	// Overlap what the flap covers of the back.
	Tab, Gap, Overlap measure.Length
	Net               Net
	Folded            Folded
}

// Fault is why the recipe makes no envelope.
func (r PocketRecipe) Fault() RecipeFault {
	switch {
	case min(r.Left, r.Right, r.Flap, r.Bottom) <= 0:
		return OnEdge
	case r.Left+r.Right+2*r.Wall >= r.Width:
		return TabsCross
	case r.Length-r.Flap-r.Bottom-2*r.Wall <= 0:
		return FlapCrosses
	}
	return MakesOne
}

// Make works a recipe backwards: the front is what flap and back leave of the
// length, the width what the tabs leave.
func (r PocketRecipe) Make() PocketResult {
	p := pocketSizes{wall: r.Wall, width: r.Width - r.Left - r.Right - 2*r.Wall, front: r.Length - r.Flap - r.Bottom - 2*r.Wall, back: r.Bottom, tab: r.Left, uneven: r.Right - r.Left, flap: r.Flap}
	res := PocketResult{Width: p.width, Height: p.front, Tab: min(r.Left, r.Right), Gap: p.front - p.back}
	res.Overlap = p.flap - max(0, res.Gap)
	res.Net = pocketNet(p, Spec{})
	res.Folded = res.Net.Fold()
	return res
}
