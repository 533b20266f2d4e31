package blank

import (
	"fmt"
	"strings"

	"yellowparcel/core/measure"
)

// DoubtID names how a net that was folded is not what the formulas promise.
type DoubtID string

// The doubts; Got and Want are millimetres, of areas mm².
const (
	NetBroken   DoubtID = "net"    // it cannot be folded at all
	WidthOff    DoubtID = "width"  // the closed width
	HeightOff   DoubtID = "height" // the closed height
	DepthOff    DoubtID = "depth"  // the depth
	HoleUntold  DoubtID = "hole"   // Got of the back lie open, and no fault says so; or the other way round
	SeamMissing DoubtID = "miss"   // a panel does not lie on the one that it is glued to
	SeamOff     DoubtID = "seam"   // a seam is narrower
	FlapOff     DoubtID = "flap"   // the closing flap's height
	SticksOut   DoubtID = "out"    // Got of a panel lies outside the face
)

// DoubtIDs lists them.
func DoubtIDs() []DoubtID {
	return []DoubtID{NetBroken, WidthOff, HeightOff, DepthOff, HoleUntold, SeamMissing, SeamOff, FlapOff, SticksOut}
}

// Doubt is how a folded net is not what the formulas promise.
type Doubt struct {
	ID          DoubtID
	Panel, Onto string
	Got, Want   float64
	Err         error
}

// Error is for whoever looks for the cause; what the maker is told is plan's.
func (d *Doubt) Error() string {
	return fmt.Sprintf("%s: %s on %s, %.3f for %.3f, %v", d.ID, d.Panel, d.Onto, d.Got, d.Want, d.Err)
}

func asError(d *Doubt) error {
	if d == nil {
		return nil
	}
	return d
}

// Prove folds the net from its panels and creases alone and says where it is not
// what the formulas promise.
func (m Made) Prove() error { return asError(m.holds(m.Net.Fold())) }

// Accept is Prove with what the engine found when the envelope was made: the same
// answer, as long as its net was not changed since.
func (m Made) Accept() error { return asError(m.holds(m.Folded)) }

func (m Made) holds(f Folded) *Doubt {
	if err := m.Net.Check(); err != nil {
		return &Doubt{ID: NetBroken, Err: err}
	}
	const off = 2e-3 // mm: what rounding to nanometres and to the grid may add up to
	for _, size := range []struct {
		id        DoubtID
		got, want float64
	}{
		{WidthOff, f.Width, m.Width.Millimetres()},
		{HeightOff, f.Height, m.Height.Millimetres()},
		{DepthOff, f.Depth, m.Depth.Millimetres()},
	} {
		if d := size.got - size.want; d > off || d < -off {
			return &Doubt{ID: size.id, Got: size.got, Want: size.want}
		}
	}
	most := m.Gap.Millimetres()*max(f.Width, f.Height) + sliver
	if open := f.Hole > most; open != m.Faulty(OpenBack) {
		return &Doubt{ID: HoleUntold, Got: f.Hole}
	}
	if d := m.proveSeams(off); d != nil {
		return d
	}
	for _, c := range m.Net.Creases {
		if c.Panel != "top" {
			continue
		}
		// A tip that is round stays below its flap's height.
		round, high := len(m.Net.panel("top")) > arcSteps, m.Net.panel("top").height(c)
		if more := high - m.Flap.Millimetres(); more > off || more < -off && !round {
			return &Doubt{ID: FlapOff, Got: high, Want: m.Flap.Millimetres()}
		}
	}
	if f.Overhang > sliver && !m.Faulty(FlapTooLong) && !m.Faulty(TabsMeet) {
		return &Doubt{ID: SticksOut, Got: f.Overhang}
	}
	return nil
}

// proveSeams finds every seam anew from the panels and creases.
func (m Made) proveSeams(off float64) *Doubt {
	poses := m.Net.poses(all)
	for _, g := range m.Net.Glue {
		if g.Joins {
			continue // laid out between front and back, not found by folding
		}
		zones := m.Net.overlap(g.Panel, g.Onto, poses)
		if len(zones) == 0 {
			return &Doubt{ID: SeamMissing, Panel: g.Panel, Onto: g.Onto}
		}
		promised := m.promised(g)
		for _, zone := range zones {
			if least, _, _ := zone.widths(); least < promised.Millimetres()-off {
				return &Doubt{ID: SeamOff, Panel: g.Panel, Onto: g.Onto, Got: least, Want: promised.Millimetres()}
			}
		}
	}
	return nil
}

// promised is how wide a seam is promised to be: the closing flap's is not, and
// the glue squares of a box are as wide as its walls when they are whole.
func (m Made) promised(g Glue) measure.Length {
	switch {
	case g.Panel == "top", strings.HasSuffix(g.Panel, tipName):
		return 0
	case strings.HasSuffix(g.Panel, "square"):
		if m.Faulty(GlueCorners) {
			return 0
		}
		return min(m.Depth, m.Width, m.Height)
	}
	return m.Seam
}
