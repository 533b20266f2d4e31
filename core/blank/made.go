package blank

import "yellowparcel/core/measure"

// Made is an envelope of any construction: what to cut and score, what the
// formulas promise, and what the engine found when it folded the net.
type Made struct {
	ID ID
	// SheetWidth and SheetHeight are the rectangle to cut.
	SheetWidth, SheetHeight measure.Length
	// Exact is the side of a square that the formula asks for before rounding; zero
	// where no formula asks for one.
	Exact measure.Length
	// Terms are the terms of that sum, where a maker with a ruler expects others.
	Terms  []Term
	Net    Net
	Folded Folded
	// Width, Height and Depth are the closed size that the formulas promise.
	Width, Height, Depth measure.Length
	// EaseWidth and EaseHeight are the room round the card.
	EaseWidth, EaseHeight measure.Length
	// Seam is the narrowest seam that holds it together; Overlap how far the
	// closing flap lies on what it closes.
	Seam, Overlap measure.Length
	// SeamMax is the widest seam, where scores off the centre make them differ.
	SeamMax measure.Length
	// Taken is what round corners and blunted flaps take of the seam that the
	// formula gives, as far as the engine finds it.
	Taken measure.Length
	// Flap is the height of the closing flap, Shortest the least that leaves no hole,
	// bare of adhesive; zero where any does.
	Flap, Shortest measure.Length
	// Blunts are the flaps whose tips are folded in or cut off.
	Blunts []Blunt
	// Ways are the ways of setting the scores, Chosen the place of the one that it is
	// made by.
	Ways   []Way
	Chosen int
	// Cuts and Folds count the work.
	Cuts, Folds int
	Faults      []Fault
	// Lining is the paper that lines front and flap, or a box's floor, clear of
	// what is glued, on the flat sheet; Liner is the rectangle to cut it from.
	Lining Polygon
	Liner  Rectangle
	// Gap is how wide an opening the construction means to leave in the back.
	Gap measure.Length
	// From is the bought envelope that it is made of.
	From Bought

	seen   Net  // a bought envelope, closed
	floor  bool // a liner lines its floor alone
	inside bool // its tabs are glued inside the front, which keeps a liner off them
}

// Construction is what it is one of.
func (m Made) Construction() *Construction { return ByID(m.ID) }

// Way is the way that it is made by.
func (m Made) Way() Way { return m.Ways[m.Chosen] }

// Ease is the tighter of the two.
func (m Made) Ease() measure.Length { return min(m.EaseWidth, m.EaseHeight) }

// Rectangle is the size of a piece of paper.
type Rectangle struct{ Width, Height measure.Length }

// FaultID names what the trade knows to go wrong.
type FaultID string

// The faults.
const (
	SeamUnderAdhesive FaultID = "seam"   // A the seam, B the adhesive
	TabsMeet          FaultID = "tabs"   // A both tabs, B the width
	FlapShort         FaultID = "flap"   // A the overlap, B what it should be
	FlapTooLong       FaultID = "front"  // A the flap, B the front
	OpenBack          FaultID = "hole"   // the area in mm² as A in nanometres
	NoTuck            FaultID = "tuck"   // A the wall, too low for a tuck of B, or the tuck that was wished is narrower
	NoHem             FaultID = "hem"    // A the wall, too low for a hem of B
	Blunted           FaultID = "blunt"  // A the flap, B what is left
	CurveCut          FaultID = "curve"  // the flap's curve is cut
	TooHigh           FaultID = "height" // A the ease in height
	SlitCorners       FaultID = "slits"  // the corners of a gusset are open
	GlueCorners       FaultID = "ears"   // A what the glue squares lack
	SingleCrease      FaultID = "single" // A the thickness that asks for two creases
	SeamRounded       FaultID = "round"  // A what round corners leave of the seam, B the adhesive
	NotchTooDeep      FaultID = "notch"  // A the thumb notch as wished, B as deep as it may be
	FlapRaised        FaultID = "raised" // A the flap as wished, B what it has to be
	NotLow            FaultID = "low"    // A the width, B half the diagonal: it stays in the middle
)

// FaultIDs lists every fault.
func FaultIDs() []FaultID {
	return []FaultID{
		SeamUnderAdhesive, TabsMeet, FlapShort, FlapTooLong, OpenBack, NoTuck, NoHem, Blunted, CurveCut, TooHigh, SlitCorners, GlueCorners,
		SingleCrease, SeamRounded, NotchTooDeep, FlapRaised, NotLow,
	}
}

// Fault is one thing that goes wrong, with the two lengths that say so, and the
// panel that it is of.
type Fault struct {
	ID    FaultID
	A, B  measure.Length
	Panel string
}

func (m *Made) fault(id FaultID, a, b measure.Length) {
	m.Faults = append(m.Faults, Fault{ID: id, A: a, B: b})
}

// Finished folds the net, holds it against the promises, and lays a liner: the last step
// of every construction.
func (m Made) Finished(s Spec) Made {
	if s.SizeOnly {
		return m
	}
	m.Folded = m.Net.Fold()
	if m.Folded.Hole > sliver && m.Gap == 0 {
		m.fault(OpenBack, measure.Length(m.Folded.Hole*float64(measure.Millimetre)), 0)
	}
	m.takeSeam(s)
	m.line(s)
	return m
}

// takeSeam holds the seam of the formula against those that the engine finds:
// round corners and blunted flaps may leave less of it, and that is what counts.
func (m *Made) takeSeam(s Spec) {
	found := m.Seam
	for _, seam := range m.Folded.Seams {
		if g := (Glue{Panel: seam.Panel, Onto: seam.Onto}); !g.Joins && m.promised(g) == m.Seam {
			found = min(found, measure.Round(seam.Least*float64(measure.Millimetre)))
		}
	}
	if m.Seam-found <= measure.Micrometre || m.Seam <= 0 {
		return
	}
	m.Taken, m.Seam = m.Seam-found, found
	for i := range m.Ways {
		m.Ways[i].Seam -= m.Taken
		for k := range m.Ways[i].Seams {
			m.Ways[i].Seams[k].Seam -= m.Taken
		}
	}
	switch {
	case m.Seam >= s.Adhesive || m.Faulty(SeamUnderAdhesive):
	case s.Corner > 0:
		m.fault(SeamRounded, m.Seam, s.Adhesive)
	default:
		m.fault(SeamUnderAdhesive, m.Seam, s.Adhesive)
	}
}

// Faulty reports whether a fault was found in it.
func (m Made) Faulty(id FaultID) bool {
	for _, f := range m.Faults {
		if f.ID == id {
			return true
		}
	}
	return false
}

// PaperUse is the share of the sheet that ends up in the envelope.
func (m Made) PaperUse() float64 {
	if m.SheetWidth == 0 {
		return 1
	}
	return m.Net.Area() / (m.SheetWidth.Millimetres() * m.SheetHeight.Millimetres())
}

// rectangle is the outline of a rectangle on the sheet.
func rectangle(x0, y0, x1, y1 float64) Polygon {
	return Polygon{{x0, y0}, {x1, y0}, {x1, y1}, {x0, y1}}
}
