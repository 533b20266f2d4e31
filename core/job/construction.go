package job

import "yellowparcel/core/blank"

// Construction is the one that the job chose.
func (j Job) Construction() blank.ID {
	if j.Envelope.Construction == "" {
		return blank.DiamondID
	}
	return j.Envelope.Construction
}

// CompareSort is what matters to the maker.
type CompareSort string

// What may matter.
const (
	LeastPaper CompareSort = "paper"
	Quickest   CompareSort = "quick"
	Neatest    CompareSort = "neat"
	Cheapest   CompareSort = "mail"
)

// compareSorts lists what may matter.
func compareSorts() []CompareSort { return []CompareSort{LeastPaper, Quickest, Neatest, Cheapest} }
