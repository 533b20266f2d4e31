package plan

import (
	"yellowparcel/core/compare"
	"yellowparcel/core/job"
	"yellowparcel/core/say"
)

// SizePlan is a sheet that the envelope may be made from, and what it leaves.
type SizePlan struct {
	ID    compare.SizeID `json:"id" enum:"least,usual,roomy"`
	Name  string         `json:"name"`
	Sheet string         `json:"sheet"`
	Ease  string         `json:"ease"`
	Seam  string         `json:"seam"`
	// Fits is set where there is such a sheet, Current where the envelope is made from it.
	Fits    bool `json:"fits"`
	Current bool `json:"current"`
}

// sizeNames are what the sheets are called.
var sizeNames = map[compare.SizeID]string{compare.LeastSize: "Least", compare.UsualSize: "Usual", compare.RoomySize: "Roomy"}

// sizes are the least, the usual and a roomy sheet of the envelope; none where it is bought.
func sizes(m envelopeStation, c compare.Candidate) []SizePlan {
	list := []SizePlan{}
	for _, s := range c.Sizes(m.Maker) {
		list = append(list, SizePlan{
			ID: s.ID, Name: sizeNames[s.ID], Sheet: m.by(s.Width, s.Height), Ease: m.Style().Show(s.Ease), Seam: m.Style().Show(s.Seam), Fits: s.Found,
			Current: s.Width == c.Made.SheetWidth && s.Height == c.Made.SheetHeight,
		})
	}
	return list
}

// takeSize makes the envelope from another sheet, by the ease and seam that it leaves.
func takeSize(m maker, id string) (job.Job, error) {
	j, ok := m.Chosen().TakeSize(m.Maker, compare.SizeID(id))
	if _, known := sizeNames[compare.SizeID(id)]; !ok || !known {
		return m.Job(), say.Refuse("The envelope does not come in that size any more: look at the list again.")
	}
	return j, nil
}
