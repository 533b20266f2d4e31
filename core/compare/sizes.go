package compare

import (
	"yellowparcel/core/blank"
	"yellowparcel/core/envelope"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
)

// SizeID names a size of sheet that a construction may be made from.
type SizeID string

// The sizes.
const (
	LeastSize SizeID = "least" // the least that closes: the adhesive's seam and a close ease
	UsualSize SizeID = "usual" // as is wished
	RoomySize SizeID = "roomy"
)

// SizeIDs lists them.
func SizeIDs() []SizeID { return []SizeID{LeastSize, UsualSize, RoomySize} }

// SheetSize is a sheet that a construction may be made from, and what that leaves of ease and
// seam. Found is set where there is such a sheet.
type SheetSize struct {
	ID                        SizeID
	Width, Height, Ease, Seam measure.Length
	Found                     bool
}

// mostSeamSteps is how many ticks rounding may take of a seam.
const mostSeamSteps = 4

// sizedAs is a candidate of another wish, by its sheet alone.
func (m Maker) sizedAs(j job.Job, c Candidate) Candidate {
	n := m.With(j)
	n.SizeOnly = true
	return n.opening(c.Kind, c.Opens == envelope.ShortSide)
}

// What the least and the roomy sheet leave.
const (
	closeEase = measure.Inch / 8
	roomyEase = 3 * measure.Inch / 8
	roomySeam = measure.Inch / 4 // more than wished
)

// Sizes are the three sheets of a candidate that is made; none of one that is bought, or that
// is used as its recipe has it.
func (c Candidate) Sizes(m Maker) (list []SheetSize) {
	for _, id := range SizeIDs() {
		if made, _, ok := m.sized(c, id); ok {
			list = append(list, SheetSize{id, made.Made.SheetWidth, made.Made.SheetHeight, made.Made.Ease(), made.Made.Seam, made.Found})
		}
	}
	return list
}

// TakeSize is the job with the wish that gives a candidate that size; false where it comes in
// no such size.
func (c Candidate) TakeSize(m Maker, id SizeID) (job.Job, bool) {
	_, j, ok := m.sized(c, id)
	if !ok {
		return j, false
	}
	// The way of scoring stays that of the maker's board.
	wished := m.Job().Envelope.AsWished().SizeWish()
	if j.Envelope.Way, j.Envelope.Wished = c.Made.Way().ID, &wished; j.Envelope.SizeWish() == wished {
		j.Envelope.Wished = nil
	}
	return j, true
}

// sized is a candidate in a size, with the job that wishes for it.
func (m Maker) sized(c Candidate, id SizeID) (made Candidate, j job.Job, ok bool) {
	if !c.OK || c.Kind.Bought || len(c.Kind.Wishes(m.BlankSpec())) == 0 {
		return made, j, false
	}
	a, _ := m.Shop().Adhesive(m.Job().Envelope.Adhesive)
	wish := m.Job().Envelope.AsWished()
	j = m.Job()
	j.Envelope = wish
	e := &j.Envelope
	e.Pocket, e.School, e.Box = blank.ExactPocket, blank.ExactSeam, wish.Box
	switch id {
	case LeastSize:
		e.Ease, e.Seam, e.Box = min(wish.Ease, closeEase), min(wish.Seam, a.Width), blank.LeastSquares
	case UsualSize:
		e.Pocket, e.School = wish.Pocket, wish.School
	case RoomySize:
		e.Ease, e.Seam = max(wish.Ease, roomyEase), wish.Seam+roomySeam
	}
	made = m.sizedAs(j, c)
	// What rounding takes of the seam is given back, so that the least holds.
	for range mostSeamSteps {
		if id != LeastSize || !made.OK || made.Made.Seam >= min(wish.Seam, a.Width) {
			break
		}
		e.Seam += m.Style().Tick
		made = m.sizedAs(j, c)
	}
	return made, j, made.OK
}
