package plan

import (
	"errors"
	"fmt"

	"yellowparcel/core/blank"
	"yellowparcel/core/compare"
	"yellowparcel/core/measure"
	"yellowparcel/core/paper"
	"yellowparcel/core/say"
)

// blankNotes says what the trade knows to go wrong with a blank, and what would help
// where the paper does not suffice: what matters most first.
func (m envelopeStation) blankNotes(c compare.Candidate, all func() []compare.Candidate, slots say.Slots) []say.Note {
	notes := []say.Note{}
	add := func(t say.Tone, format string, args ...any) {
		notes = append(notes, t.Says(fmt.Sprintf(format, args...)))
	}
	made, show, unit := c.Made, m.Style().Show, m.Style().Unit
	a, _ := m.Shop().Adhesive(m.Job().Envelope.Adhesive)
	if ease := made.Ease(); ease < 0 {
		act := "Give it more ease."
		if c.Kind.Whole {
			act = "Take a larger envelope."
		}
		add(say.Trouble, "The card does not go in: it is %s %s larger than the inside. %s", show(-ease), unit, act)
	} else {
		notes = append(notes, m.easeNotes(c)...)
	}
	for _, f := range made.Faults {
		tone, text := m.faultWords(c, f)
		add(tone, "%s", text)
	}
	notes = append(notes, holdNotes(m, c)...)
	notes = append(notes, m.toolNotes(c, slots)...)
	for _, b := range made.Blunts {
		if b.Wished {
			add(say.Fine, "The closing flap is blunted from %s to %s: %s.", show(b.Full), show(b.To), m.tipWords(c))
		}
	}
	if flap := made.Flap; 0 < made.Shortest && made.Shortest < flap && flap < made.Shortest+a.Width {
		add(say.Care, "The closing flap of %s covers, but leaves less than %s for the adhesive.", show(flap), show(a.Width))
	}
	if made.Depth == 0 && m.Thick().Used > measure.Inch/8 && !c.Has(blank.SingleCrease) && !c.Kind.Bought { // what is sold is scored by nobody
		add(say.Care, "At %s thick, score every crease twice, that far apart, %s.", show(m.Thick().Used), c.Kind.Words.Thick)
	}
	if stock, _ := m.Shop().Stock(m.Job().Envelope.Stock); !c.Kind.Bought {
		if stock.GSM > mostEnvelope && !c.Kind.Walled {
			add(say.Care, "%s is heavy for an envelope. Paper of 80 to 170 gsm folds well round a card.", stock.Name)
		}
		notes = append(notes, m.stockNotes(stock, c.Kind)...)
	}
	notes = append(notes, m.openingNotes(c)...)
	notes = append(notes, m.stripNotes(c)...)
	if hint := slots.Text(c.Kind.Words.Hint...); hint != "" {
		add(say.Fine, "%s", hint)
	}
	if c.Kind.Bought && !c.Kind.Whole {
		if whole := m.Judge(m.Whole(c)); whole.Rank < c.Mail.Rank {
			add(say.Trouble, "Cut down: “%s”. Whole: “%s”. Check before cutting.", shortly(c.Mail), shortly(whole))
		}
	}
	return append(notes, m.whatWould(c, all)...)
}

// easeNotes say where errors of cutting and scoring leave no room: trouble where they
// usually do, care where they do at worst.
func (m envelopeStation) easeNotes(c compare.Candidate) []say.Note {
	a, _ := m.Shop().Adhesive(m.Job().Envelope.Adhesive)
	left, other := c.Made.Way().EaseLeft(), ""
	if best, ok := blank.Safer(c.Made.Ways, a.Width); ok && best != c.Made.Chosen {
		other = fmt.Sprintf(", or score by “%s”, which is safer", c.Kind.Way(c.Made.Ways[best].ID).Name)
	}
	off := m.fine().ShowUnit(m.Style().Tick / 2)
	switch {
	case left.Usual < 0:
		return []say.Note{say.Trouble.Says(fmt.Sprintf("If cuts and scores are %s off, the card often does not go in. Give it more ease%s.", off, other))}
	case left.Worst < 0:
		return []say.Note{say.Care.Says(fmt.Sprintf("If every cut and score is %s off, the card does not go in. Give it more ease%s.", off, other))}
	}
	return nil
}

// holdNotes say where a seam or the closing flap leaves less than its adhesive, as made or where cuts and
// scores are off; what is a fault of the blank is said as that.
func holdNotes(m envelopeStation, c compare.Candidate) (notes []say.Note) {
	a, _ := m.Shop().Adhesive(m.Job().Envelope.Adhesive)
	tape, under := say.Lower(a.Name), m.Style().Show(a.Width)
	add := func(t say.Tone, format string, l measure.Length) {
		notes = append(notes, t.Says(fmt.Sprintf(format, m.readable(l), tape, under)))
	}
	way := c.Made.Way()
	seam := way.SeamLeft()
	switch m.Holding(c) {
	case compare.UsuallyFails:
		if !c.Made.Faulty(blank.SeamUnderAdhesive) && !c.Made.Faulty(blank.SeamRounded) {
			add(say.Trouble, "With small errors the seam is usually %s, less than the %s, %s. Widen it.", seam.Usual)
		}
	case compare.FailsAtWorst:
		add(say.Care, "The seam may be as narrow as %s at worst, less than the %s, %s.", seam.Worst)
	case compare.MadeUnder:
		add(say.Care, "The seam is %s, less than the %s, %s. Widen it.", c.Made.Seam)
	}
	flap, _ := way.OverlapLeft()
	switch m.Closing(c) {
	case compare.UsuallyFails:
		add(say.Care, "With small errors the closing flap usually covers %s, less than the %s, %s. Make it deeper.", flap.Usual)
	case compare.FailsAtWorst:
		add(say.Care, "The closing flap may cover as little as %s at worst, less than the %s, %s.", flap.Worst)
	}
	return notes
}

// mostEnvelope is the heaviest paper, in gsm, that folds well round a card.
const mostEnvelope = 170

// tipWords say what becomes of the tip of a flap that is blunted.
func (m envelopeStation) tipWords(c compare.Candidate) string {
	if m.Job().Envelope.FoldTips && c.Kind.FoldsTips() {
		return "fold the tip in and glue it"
	}
	return "cut the tip off"
}

// foldDoubts say how a folded net is not what the sums say: {got} and {want} are
// in the shop's unit.
var foldDoubts = map[blank.DoubtID]say.Clause{
	blank.NetBroken:   say.Always("it cannot be folded"),
	blank.WidthOff:    say.Always("the closed width is {got}, promised {want}"),
	blank.HeightOff:   say.Always("the closed height is {got}, promised {want}"),
	blank.DepthOff:    say.Always("the depth is {got}, promised {want}"),
	blank.HoleUntold:  say.Always("{got area} of the back lie open, and nothing is said of it, or the other way round"),
	blank.SeamMissing: say.Always("the {panel} does not lie on the {onto}"),
	blank.SeamOff:     say.Always("the seam of the {panel} on the {onto} is {got} wide, promised {want}"),
	blank.FlapOff:     say.Always("the closing flap is {got} high, promised {want}"),
	blank.SticksOut:   say.Always("{got area} of a panel stick out"),
}

// notAccepted says that a blank was not accepted, and why.
func notAccepted(m envelopeStation, c compare.Candidate) []say.Note {
	var d *blank.Doubt
	if !errors.As(c.Refused, &d) {
		return nil
	}
	length := func(mm float64) string { return m.decimal(measure.OfMillimetres(mm)) + " " + string(m.Style().Unit) }
	why := say.Slots{"got": length(d.Got), "want": length(d.Want), "got area": squares(m.Style().Unit, d.Got), "panel": d.Panel, "onto": d.Onto}.Text(foldDoubts[d.ID])
	return []say.Note{say.Trouble.Says(fmt.Sprintf("Do not cut this one: folded, it does not come out right (%s). Choose other sizes.", why))}
}

// stripNotes says how a card is held in an envelope that is wider than it.
func (m envelopeStation) stripNotes(c compare.Candidate) []say.Note {
	switch {
	case !m.Job().Envelope.Mailable:
		return nil
	case !c.Strip:
		return []say.Note{say.Care.Says("There is no room beside the card for holding strips. Leave them out, or take a wider envelope.")}
	case c.Made.Depth > 0:
		return []say.Note{say.Fine.Says(fmt.Sprintf("Front and back do not touch here. Fold two rails from scrap, %s high, and glue them down beside the card.", m.Style().Show(c.Made.Depth)))}
	}
	return []say.Note{say.Fine.Says("Press the holding strips together before the card goes in, and let it slide down between them.")}
}

// stockNotes says what a stock asks for when an envelope is made of it.
func (m envelopeStation) stockNotes(stock paper.Stock, k *blank.Construction) (notes []say.Note) {
	if len(m.Job().Card.Outline) > 0 {
		notes = append(notes, say.Fine.Says(fmt.Sprintf("The card is an odd shape. Cut its rectangle of %s from scrap, and fold the envelope round both.", m.by(m.Job().Card.Width, m.Job().Card.Height))))
	}
	a, _ := m.Shop().Adhesive(m.Job().Envelope.Adhesive)
	if !a.Sticks(stock.Surface) {
		better := "cut the corners away instead of folding them in, and name the tape yourself"
		for _, other := range m.Shop().Adhesives {
			if !other.Off && other.Sticks(stock.Surface) {
				better = "take the " + say.Lower(other.Name)
				break
			}
		}
		notes = append(notes, say.Trouble.Says(fmt.Sprintf("%s does not hold on a face that is %s: %s.", a.Name, stock.Surface, better)))
	}
	if stock.Pattern == paper.Unknown && !m.Job().Envelope.PatternInside {
		return notes
	}
	if m.Job().Envelope.PatternInside {
		notes = append(notes, say.Fine.Says("The pattern shows inside. Lay it up when you score, and write the address on the plain outside."))
	} else {
		notes = append(notes, say.Fine.Says("The patterned side shows outside: lay it down when you score. A dark or busy outside wants a plain label for the address."))
	}
	if stock.Pattern != paper.Unknown {
		if k.HasTop {
			notes = append(notes, say.Fine.Says("Its pattern has a top. The closing flap is the top, so the blank lies on the sheet one way only."))
		} else {
			notes = append(notes, say.Care.Says("Its pattern runs slantwise over the face: for an upright one take a pocket. Pencil TOP on the throat's corner."))
		}
	}
	return notes
}
