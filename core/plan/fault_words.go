package plan

import (
	"yellowparcel/core/blank"
	"yellowparcel/core/compare"
	"yellowparcel/core/measure"
	"yellowparcel/core/say"
)

// faultTold is how a fault of a blank is told, and in which words.
type faultTold struct {
	tone  say.Tone
	words []say.Clause
}

// faults say what is wrong with a blank, and what to do about it: {a} and {b} are the
// two lengths of the fault.
var faults = map[blank.FaultID]faultTold{
	blank.SeamUnderAdhesive: {say.Trouble, []say.Clause{
		say.When("missing", "The back does not close: the flaps miss each other by {missing}. Widen the seam or take a larger sheet."),
		say.Unless("missing", "The seam of {a} is narrower than the {adhesive}, {b}. Widen the seam, or choose a narrower adhesive."),
	}},
	blank.SeamRounded:  {say.Trouble, []say.Clause{say.Always("The round corners leave {a} of the seam, less than the {adhesive}, {b}: round them less.")}},
	blank.TabsMeet:     {say.Trouble, []say.Clause{say.Always("The tabs meet: together {a} of a width of {b}. Make the seam narrower.")}},
	blank.FlapShort:    {say.Care, []say.Clause{say.Always("The closing flap covers {a} of the back; the adhesive wants {b}. Make it deeper.")}},
	blank.FlapTooLong:  {say.Trouble, []say.Clause{say.Always("The flap of {a} is longer than the front, {b}: make it shorter.")}},
	blank.OpenBack:     {say.Trouble, []say.Clause{say.Always("The back stays open{where}: no flap covers {area}. {would}")}},
	blank.NoTuck:       {say.Care, []say.Clause{say.Always("There is no tuck: it folds cleanly from {b} on, and here it has less. Tape the lid to the front wall.")}},
	blank.NoHem:        {say.Care, []say.Clause{say.Always("Walls of {a} are too low for a hem, which folds cleanly from {b} on: they stay single.")}},
	blank.Blunted:      {say.Care, []say.Clause{say.Always("The {panel} overshoots: blunt its tip from {a} to {b}, {tip}.")}},
	blank.CurveCut:     {say.Care, []say.Clause{say.Always("Its deep flap is cut at the sides with it: round the corners that are left.")}},
	blank.TooHigh:      {say.Care, []say.Clause{say.Always("It stays {a} too high for the card, which slides: a lower envelope would hold it.")}},
	blank.SlitCorners:  {say.Care, []say.Clause{say.Always("The four corners of the walls stay open as slits. Close them with tape from inside.")}},
	blank.GlueCorners:  {say.Care, []say.Clause{say.Always("The corner squares are {a} short of the walls: hold the corners with tape.")}},
	blank.SingleCrease: {say.Care, []say.Clause{say.Always("Two creases {a} apart cannot be set with your tools, so each is scored once.")}},
	blank.NotchTooDeep: {say.Care, []say.Clause{say.Always("A finger notch of {a} would cut the back through. It is drawn {b} deep.")}},
	blank.NotLow:       {say.Care, []say.Clause{say.Always("The bottom tip cannot end at the side points with this card and these tools. It stays in the middle.")}},
	blank.FlapRaised:   {say.Care, []say.Clause{say.Always("A closing flap of {a} would cover no glue past the finger gap. It is made {b}.")}},
}

// flapNames are what the flaps of a net are called by their panels.
var flapNames = map[string]string{"left": "left side flap", "right": "right side flap", "bottom": "bottom flap", "top": "closing flap"}

// faultWords say what is wrong with a blank.
func (m envelopeStation) faultWords(c compare.Candidate, f blank.Fault) (say.Tone, string) {
	a, _ := m.Shop().Adhesive(m.Job().Envelope.Adhesive)
	show := func(l measure.Length) string { return m.Style().Show(l) }
	s := say.Slots{"a": show(f.A), "b": show(f.B), "adhesive": say.Lower(a.Name), "panel": flapNames[f.Panel], "tip": m.tipWords(c)}
	s["where"], s["area"], s["would"] = m.holeWords(c.Made)
	if f.A < 0 {
		s["missing"] = readUnit(m.maker, -f.A)
	}
	told := faults[f.ID]
	if own := c.Kind.Words.Tabs; f.ID == blank.SeamUnderAdhesive && own != nil {
		return told.tone, s.Text(own...)
	}
	return told.tone, s.Text(told.words...)
}
