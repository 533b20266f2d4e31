package compare

import (
	"math"

	"yellowparcel/core/job"
	"yellowparcel/core/mail"
	"yellowparcel/core/measure"
	"yellowparcel/core/paper"
)

// piece is the closed envelope with the card in it: what was measured where it
// was, else what the sums predict.
func (m Posted) Mailed(e Closed) mail.Piece {
	_, grams := m.Weights(e)
	r := m.Relief()
	p := mail.Piece{
		Width: e.Width, Height: e.Height, Thickness: e.Thickness, Weight: grams, AddressShort: m.Job().Mail.AddressShort,
		SizeError:   m.Style().Tick, // two creases, each half a tick off
		WeightError: grams * weightError, ThicknessError: m.thicknessError(),
		Clasp: m.Closure().Clasp, Plastic: e.Stock.Surface == paper.Acetate, Bare: e.Bare, Radius: m.Job().Mail.Radius,
		Folded: !m.Job().Card.Fold.Kind().Unfolded, Odd: e.Bare && len(m.Job().Card.Outline) > 0,
	}
	// What was measured counts, and what the sums say it changed by since.
	measured := m.Job().Mail.Measured
	_, weight := OtherPiece(measured, e.Thickness, grams)
	g, gauged := m.gauged(e.Thickness)
	if gauged {
		p.Thickness, p.ThicknessError, p.Failed = g.Thickness, g.Off, g.Failed
	}
	if thickness, off, ok := m.calipered(e.Thickness); ok {
		p.Thickness, p.ThicknessError, p.Failed = thickness, off, 0
		if m.Contradict(e.Thickness) && g.Thickness > thickness { // the thicker until that is settled
			p.Thickness, p.ThicknessError, p.Failed = g.Thickness, g.Off, g.Failed
		}
	}
	if measured.Grams > 0 {
		p.Weight, p.WeightError = measured.Grams, scaleError
	}
	if weight {
		p.Weight = max(scaleError, measured.Grams+grams-measured.GramsOf)
		p.WeightError = scaleError + math.Abs(grams-measured.GramsOf)*weightError
	}
	p.Holds = m.holds(e, p.Thickness)
	if e.Twice { // it is mailed filled: the face is what lies between its creases then
		less := max(0, m.Thick().Used-e.Depth)
		p.Width, p.Height, p.Holds = p.Width-less, p.Height-less, p.Thickness
	}
	const inch = 25.4
	p.Lump = m.Rise()
	if m.Closure().Lump {
		p.Lump = max(p.Lump, m.Closure().Caliper)
	}
	// An inch in from the envelope's edges, with the card in its middle.
	cx, cy := m.Job().Card.Width.Millimetres()/2, m.Job().Card.Height.Millimetres()/2
	if w, h := e.Width.Millimetres()/2-inch, e.Height.Millimetres()/2-inch; w > 0 && h > 0 {
		p.Uneven = measure.OfMillimetres(r.Uneven(cx-w, cy-h, cx+w, cy+h))
	}
	beam, scaled := m.Beam(e, grams)
	p.Pull, p.Strain, p.Box = beam.Pull(), beam.Strain, e.Box
	p.TableStrain, p.TableBend = beam.TableStrain(), measure.OfMillimetres(beam.TableBend())
	p.PullAtMost = p.Pull * mail.PullAtMost
	if scaled {
		p.PullAtMost = p.Pull * PullMeasured
	}
	return p
}

// thicknessError is how far the predicted thickness may be off: foam gives, and
// papers differ.
func (m Posted) thicknessError() measure.Length {
	if m.Thick().Measured {
		return caliperError
	}
	foam := 0.0
	for _, i := range m.Relief().Chain {
		foam += m.Relief().Parts[i].Foam
	}
	return max(caliperError, measure.OfMillimetres(foam*foamError))
}

// DroopOK reports whether a droop can be used: between 1 mm and a quarter of the
// overhang, which is shorter than the piece.
func DroopOK(t job.Measured, length float64) bool {
	return t.Droop >= measure.Millimetre && t.Droop <= t.Overhang/4 && t.Overhang.Millimetres() < length
}

// sheets are the envelope's own panels along the length of the piece, each as
// broad as it is on the whole.
func (m Posted) sheets(e Closed, wide bool) (list []mail.Sheet) {
	if e.Bare || len(e.Net.Panels) == 0 {
		return nil
	}
	x0, y0, _, _ := e.Net.Panels[0].Outline.Box()
	for _, panel := range e.Net.Lying() {
		left, top, right, end := panel.Box()
		low, high := left-x0, right-x0
		if wide == e.Turned {
			low, high = top-y0, end-y0
		}
		if high-low > 0 {
			list = append(list, mail.Sheet{From: low, To: high, Breadth: panel.Area() / (high - low), Caliper: e.Stock.Caliper.Millimetres(), Modulus: envelopeModulus, Times: 1})
		}
	}
	return list
}
