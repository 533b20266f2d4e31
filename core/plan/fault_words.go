package plan

import (
	"fmt"

	"yellowparcel/core/blank"
	"yellowparcel/core/job"
	"yellowparcel/core/say"
)

// faultWords says what is wrong with a blank, and what to do about it.
func (m maker) faultWords(id job.Construction, f blank.Fault) (Tone, string) {
	show := m.Style().Show
	a, _ := m.Shop().Adhesive(m.Job().Envelope.Adhesive)
	switch f.ID {
	case blank.SeamUnderAdhesive:
		if id == job.Tuck { // its tabs are as high as the walls
			return Trouble, fmt.Sprintf("The glue tabs are as high as the walls, %s, and narrower than the %s, %s. Make the walls deeper, or choose a narrower adhesive.", show(f.A), say.Lower(a.Name), show(f.B))
		}
		return Trouble, fmt.Sprintf("The seam of %s is narrower than the %s, %s. Widen the seam, or choose a narrower adhesive.", show(f.A), say.Lower(a.Name), show(f.B))
	case blank.TabsMeet:
		return Trouble, fmt.Sprintf("The tabs meet: together %s of a width of %s. Make the seam narrower.", show(f.A), show(f.B))
	case blank.FlapShort:
		return Care, fmt.Sprintf("The closing flap covers %s of the back; the adhesive wants %s. Make it deeper.", show(f.A), show(f.B))
	case blank.FlapTooLong:
		return Trouble, fmt.Sprintf("The flap of %s is longer than the front, %s: make it shorter.", show(f.A), show(f.B))
	case blank.NoTuck:
		return Care, fmt.Sprintf("There is no tuck: it folds cleanly from %s on, and walls of %s leave it less, or less was wished. Tape the lid to the front wall.", show(f.B), show(f.A))
	case blank.NoHem:
		return Care, fmt.Sprintf("Walls of %s are too low for a hem, which folds cleanly from %s on: they stay single.", show(f.A), show(f.B))
	case blank.Blunted:
		return Care, fmt.Sprintf("A flap overshoots: blunt its tip from %s to %s, folded in and glued or trimmed.", show(f.A), show(f.B))
	case blank.CurveCut:
		return Care, "Its deep flap is cut at the sides with it: round the corners that are left."
	case blank.TooHigh:
		return Care, fmt.Sprintf("It stays %s too high for the card, which slides: a lower envelope would hold it.", show(f.A))
	case blank.SingleCrease:
		return Care, fmt.Sprintf("Two creases for a thickness of %s cannot be set here: the punch board makes one, or they would lie closer than a tick or a groove of your board.", show(f.A))
	case blank.SeamRounded:
		return Trouble, fmt.Sprintf("The round corners leave %s of the seam, less than the %s, %s: round them less.", show(f.A), say.Lower(a.Name), show(f.B))
	case blank.NotchTooDeep:
		return Care, fmt.Sprintf("A thumb notch of %s would cut the back through: it is drawn %s deep.", show(f.A), show(f.B))
	case blank.FlapRaised:
		return Care, fmt.Sprintf("A closing flap of %s would cover no glue past the thumb gap: it is made %s. For a shorter one take less of the gap.", show(f.A), show(f.B))
	case blank.SlitCorners:
		return Care, "The four corners of the walls stay open as slits: close them with tape from inside, or nothing thin may be put in."
	}
	return Care, fmt.Sprintf("The glue squares in the corners are %s short of the walls: hold the corners with tape.", show(f.A))
}
