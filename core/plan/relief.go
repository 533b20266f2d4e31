package plan

import (
	"fmt"

	"yellowparcel/core/mail"
	"yellowparcel/core/measure"
)

// section is the card seen end-on, in millimetres from its left edge and up from
// the table.
func (m cardStation) section() (list []SectionPart) {
	r := m.AsMeasured()
	for i, p := range r.Parts {
		name := m.Job().Parts[m.Laid()[i]].Name
		low := r.Tops[i] - p.Caliper
		if p.Foam > 0 {
			list = append(list, SectionPart{"foam", p.X0, low, p.X1 - p.X0, p.Foam, true})
		}
		list = append(list, SectionPart{name, p.X0, low + p.Foam, p.X1 - p.X0, p.Caliper - p.Foam, false})
	}
	return list
}

func reliefWords(r mail.Relief, m maker) string {
	fine := m.fine()
	return fmt.Sprintf("The face with everything on it, darker where it is thicker. It is %s %s at most, %s at least.",
		fine.Show(measure.Round(r.Max*float64(measure.Millimetre))), fine.Unit, fine.Show(measure.Round(r.Min*float64(measure.Millimetre))))
}
