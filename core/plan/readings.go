package plan

import (
	"fmt"
	"math"

	"yellowparcel/core/compare"
	"yellowparcel/core/job"
	"yellowparcel/core/mail"
	"yellowparcel/core/measure"
	"yellowparcel/core/say"
)

// readingNotes say beside thickness and weight how they were found.
func (m mailStation) readingNotes(p *MailPlan, e compare.Closed, piece mail.Piece) {
	t := m.Job().Mail.Measured
	slot := m.SlotRead()
	switch {
	case piece.Failed > 0 || t.Thickness == 0 && t.Through != "" && slot > 0 && piece.Thickness != e.Thickness:
		p.Readings[1].Note = fmt.Sprintf(throughWords[t.Through], m.fine().ShowUnit(slot))
	case t.Thickness > 0:
		p.Readings[1].Note = "as measured"
	}
	if piece.Failed > 0 {
		p.Readings[1].Value, p.Readings[1].Exact = "over "+m.fine().Show(piece.Failed), ""
	}
	if t.Grams > 0 {
		p.Readings[2].Note = "as weighed"
	}
}

// throughWords say what the gauge found, by its slot.
var throughWords = map[job.Through]string{
	job.Freely: "under the gauge's %s", job.Tightly: "close to the gauge's %s", job.NotAll: "over the gauge's %s",
}

// measuredPlans sets thickness and weight as predicted beside what was measured.
func (m mailStation) measuredPlans(e compare.Closed) []MeasuredPlan {
	_, grams := m.Weights(e)
	t := m.Job().Mail.Measured
	thick := MeasuredPlan{ID: "thickness", Label: "Thickness", Predicted: m.decimal(e.Thickness) + " " + string(m.Style().Unit)}
	if t.Thickness > 0 {
		thick.Measured = m.decimal(t.Thickness) + " " + string(m.Style().Unit)
		thick.Off = signedPercent(float64(t.Thickness)/float64(e.Thickness) - 1)
	} else if slot := m.SlotRead(); t.Through != "" && slot > 0 {
		thick.Measured = throughShort[t.Through] + m.decimal(slot) + " " + string(m.Style().Unit)
	}
	switch {
	case t.Thickness > 0:
		thick.About = t.ThicknessOn
	case t.Through != "" && m.SlotRead() > 0:
		thick.About = fmt.Sprintf("slot of %s%s%s", m.fine().ShowUnit(m.SlotRead()), m.cutFor(t.For), on(t.TriedOn))
	}
	weight := MeasuredPlan{ID: "weight", Label: "Weight", Predicted: m.fineWeight(grams)}
	if t.Grams > 0 {
		weight.Measured = m.fineWeight(t.Grams)
		weight.Off, weight.About = signedPercent(t.Grams/grams-1), t.GramsOn
	}
	return []MeasuredPlan{thick, weight}
}

// cutFor says for what destination a gauge was cut; nothing where nobody knows.
func (m mailStation) cutFor(id string) string {
	if b, ok := m.Shop().Book(id); ok {
		return ", cut for " + b.Region + ", " + b.Service
	}
	return ""
}

func on(day string) string {
	if day == "" {
		return ""
	}
	return ", " + day
}

func signedPercent(share float64) string {
	whole := math.Round(100 * share)
	switch {
	case whole == 0:
		return "0 %"
	case whole < 0:
		return fmt.Sprintf("−%.0f %%", -whole)
	}
	return fmt.Sprintf("+%.0f %%", whole)
}

// throughShort is the same beside what was predicted.
var throughShort = map[job.Through]string{job.Freely: "under ", job.Tightly: "about ", job.NotAll: "over "}

// stale says that readings are of a piece that has changed since.
func (m mailStation) stale(thickness measure.Length, grams float64) (notes []say.Note) {
	t := m.Job().Mail.Measured
	tell := func(what, then, now string) {
		notes = append(notes, say.Care.Says(fmt.Sprintf("The %s was measured when %s was predicted, and now %s is. Measure it again, or empty the field.", what, then, now)))
	}
	thick, weight := compare.OtherPiece(t, thickness, grams)
	if t.Through != "" && t.GaugeOf > 0 && t.Thickness == 0 && (t.GaugeOf-thickness).Abs() > compare.OtherThickness {
		notes = append(notes, say.Care.Says("The piece has changed since it was tried in the gauge: try it again. Until then it is counted on from that."))
	}
	if thick {
		tell("thickness", m.decimal(t.ThicknessOf)+" "+string(m.Style().Unit), m.decimal(thickness)+" "+string(m.Style().Unit))
	}
	if weight {
		tell("weight", m.fineWeight(t.GramsOf), m.fineWeight(grams))
	}
	return notes
}

// doubted asks about readings that are far from what was predicted, and about two of which only one
// can hold.
func (m mailStation) doubted(e compare.Closed, grams float64) (notes []say.Note) {
	t := m.Job().Mail.Measured
	care := func(text string, of ...any) { notes = append(notes, say.Care.Says(fmt.Sprintf(text, of...))) }
	if m.Contradict(e.Thickness) {
		care("The gauge says %s%s, the caliper %s. Both cannot hold: empty the one that does not, and until then it goes by the thicker.",
			throughShort[t.Through], m.fine().ShowUnit(m.SlotRead()), m.decimal(t.Thickness)+" "+string(m.Style().Unit))
	}
	if t.Through != "" && m.SlotRead() == 0 {
		care("How high the slot of your gauge is was not known when the piece was tried. Type the slot as it was cut, and try it again.")
	}
	of := e.Thickness
	if t.ThicknessOf > 0 {
		of = t.ThicknessOf
	}
	if t.Thickness > 0 && far(float64(t.Thickness), float64(of), float64(farThickness)) {
		care("The thickness was measured %s what was predicted. Is something missing in the job, or too much in it?", ofPredicted(float64(t.Thickness)/float64(of)))
	}
	weighed := grams
	if t.GramsOf > 0 {
		weighed = t.GramsOf
	}
	if t.Grams > 0 && far(t.Grams, weighed, farWeight) {
		care("The weight was measured %s what was predicted. Is something missing in the job, or too much in it?", ofPredicted(t.Grams/weighed))
	}
	return notes
}

// sizedFor says that an envelope is sized for what was predicted of its card, where the closed piece was
// measured otherwise.
func (m mailStation) sizedFor(c compare.Candidate) []say.Note {
	t := m.Job().Mail.Measured
	if m.Job().Mail.WithoutEnvelope() || t.Thickness == 0 && t.Through == "" {
		return nil
	}
	e := m.Closed(c)
	piece := m.Mailed(e)
	off := (piece.Thickness - e.Thickness).Abs()
	switch {
	case piece.Failed > e.Thickness:
		return []say.Note{say.Care.Says(fmt.Sprintf("The gauge says over %s, and the envelope is still sized for %s closed. Measure the piece to size it for that.", m.fine().ShowUnit(piece.Failed), m.fine().ShowUnit(e.Thickness)))}
	case t.Thickness > 0 && off > sizedOff && e.Depth > 0: // which tells of the walls more than of the card
		return []say.Note{say.Care.Says(fmt.Sprintf("Closed it was measured %s, and it is still sized for %s. Its walls are %s deep: measure the card alone, and type that.", m.fine().ShowUnit(piece.Thickness), m.fine().ShowUnit(e.Thickness), m.fine().ShowUnit(e.Depth)))}
	case t.Thickness > 0 && off > sizedOff:
		return []say.Note{say.Care.Says(fmt.Sprintf("Closed it was measured %s, and the envelope is still sized for %s as predicted.", m.fine().ShowUnit(piece.Thickness), m.fine().ShowUnit(e.Thickness))).
			With(say.Act{Path: "mail.measured", ID: "size", Label: "Size as measured"})}
	}
	return nil
}

// sizedOff is what a closed piece may differ from the prediction before its envelope asks: two papers.
const sizedOff = measure.Millimetre / 2

// From where on a reading is doubted: off by a third of what was predicted, and by more than so much.
const (
	farShare     = 1.0 / 3
	farThickness = measure.Inch / 32
	farWeight    = 3 // grams
)

func far(read, predicted, least float64) bool {
	off := math.Abs(read - predicted)
	return off > farShare*predicted && off > least
}

// ofPredicted writes a ratio: "4 times", "60 % of".
func ofPredicted(ratio float64) string {
	if ratio >= 2 {
		return fmt.Sprintf("%.0f times", ratio)
	}
	return fmt.Sprintf("%.0f %% of", 100*ratio)
}
