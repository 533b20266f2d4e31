package job

// Construction is one of the ways to make an envelope that are compared.
type Construction string

// The constructions that are offered.
const (
	Diamond Construction = "diamond"
	Pocket  Construction = "pocket"
	Gusset  Construction = "gusset"
	Box     Construction = "box"
	Tuck    Construction = "tuck"
	CutDown Construction = "cutdown"
)

// Constructions lists them in the order they are offered.
func Constructions() []Construction {
	return []Construction{Diamond, Pocket, Gusset, Box, Tuck, CutDown}
}

// HasTop reports whether a pattern runs upright on the face only when the blank
// lies one way on the sheet; on a square that stands on its point it runs
// slantwise whichever way it is turned.
func (c Construction) HasTop() bool { return c == Pocket || c == Gusset || c == Tuck }

// Construction is the one that the job chose.
func (j Job) Construction() Construction {
	if j.Envelope.Construction == "" {
		return Diamond
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
	Cheapest   CompareSort = "post"
)

// compareSorts lists what may matter.
func compareSorts() []CompareSort { return []CompareSort{LeastPaper, Quickest, Neatest, Cheapest} }

// OnPoint reports whether the blank is a square whose flaps point to its corners.
func (c Construction) OnPoint() bool { return c == Diamond || c == Box }
