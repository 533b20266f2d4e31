package plan

import (
	"fmt"
	"strings"

	"yellowparcel/core/blank"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/say"
)

var flapNames = map[string]string{"left": "left side flap", "right": "right side flap", "bottom": "bottom flap", "top": "closing flap"}

// blankNotes says what the trade knows to go wrong with this blank, what
// matters most first.
func (m maker) blankNotes(d blank.Diamond, e blank.Envelope, c candidate) []Note {
	notes := []Note{}
	add := func(t Tone, format string, args ...any) { notes = append(notes, Note{t, fmt.Sprintf(format, args...)}) }
	show, unit := m.Style().Show, m.Style().Unit
	a, _ := m.Shop().Adhesive(m.Job().Envelope.Adhesive)
	way := d.Chosen()

	if ease := min(e.EaseWidth, e.EaseHeight); ease < 0 {
		add(Trouble, "The card does not go in: it is %s %s larger than the inside. Give it more ease.", show(-ease), unit)
	} else if ease < way.Ease.RSS {
		other := ""
		if safer := d.Ways[m.saferWay(d)]; safer.ID != way.ID {
			other = fmt.Sprintf(", or score by “%s”, the safer way", job.WayName(safer.ID))
		}
		add(Care, "If cuts and scores are %s %s off, the card may not go in: give it more ease%s.", m.fine().Show(m.Style().Tick/2), unit, other)
	}
	switch {
	case e.Seam < 0:
		add(Trouble, "The back does not close: the flaps miss each other by %s %s. Widen the seam or take a larger sheet.", show(-e.Seam), unit)
	case e.Seam < a.Width && e.Seam+c.made.Taken >= a.Width:
		tone, text := m.faultWords(c.id, blank.Fault{ID: blank.SeamRounded, A: e.Seam, B: a.Width})
		add(tone, "%s", text)
	case e.Seam < a.Width:
		add(Trouble, "The seam of %s is narrower than the %s, %s. Widen the seam, or choose a narrower adhesive.", show(e.Seam), say.Lower(a.Name), show(a.Width))
	case e.Seam-way.Seam.RSS < a.Width:
		add(Care, "The seam holds the %s, but only just: a cut or score that is off eats %s of it.", say.Lower(a.Name), show(way.Seam.RSS))
	}
	notes = append(append(notes, m.grooveNotes(d, e)...), m.reachNotes(d)...)
	if e.Folded.Hole > 0 && e.Seam >= 0 {
		add(Trouble, "%s", m.holeWords(c.made))
	}
	how := "cut the tip off"
	if d.Spec.FoldTips {
		how = "fold the tip in and glue it"
	}
	for _, b := range e.Blunts {
		if b.Wished {
			add(Fine, "The closing flap is blunted from %s to %s: %s.", show(b.Full), show(b.To), how)
			continue
		}
		add(Care, "The %s overshoots: blunt its tip from %s to %s, %s.", flapNames[b.Panel], show(b.Full), show(b.To), how)
	}
	if top := e.TopFlap; e.Shortest < top && top < e.Shortest+a.Width {
		add(Care, "The closing flap of %s is long enough to cover, but leaves less than %s for the adhesive.", show(top), show(a.Width))
	}
	for _, f := range c.made.Faults {
		if f.ID == blank.SingleCrease {
			tone, text := m.faultWords(c.id, f)
			add(tone, "%s", text)
		}
	}
	if d.Spec.Thickness > measure.Inch/8 && !d.Spec.Double {
		add(Care, "At %s thick, score every crease twice, that far apart, so that the folds stand square: tick two creases.", show(d.Spec.Thickness))
	}
	if stock, _ := m.Shop().Stock(m.Job().Envelope.Stock); stock.GSM > 170 {
		add(Care, "%s is heavy for an envelope: it folds badly round a card. 80 to 170 gsm folds well.", stock.Name)
	}
	stock, _ := m.Shop().Stock(m.Job().Envelope.Stock)
	return append(append(notes, m.stripNotes(c)...), m.stockNotes(stock, c.id)...)
}

// notAccepted says that a blank was not accepted, and why.
func notAccepted(c candidate) []Note {
	if c.refused == nil {
		return nil
	}
	return []Note{{Trouble, fmt.Sprintf("Do not cut this one: folded from its drawing it is not what the sums say (%s). Choose other sizes.", c.refused)}}
}

// dimensions are the measures drawn on the net: the two crease distances and
// the height of one flap of each pair.
func (m maker) dimensions(d blank.Diamond, e blank.Envelope) []Dimension {
	at := func(id string) (from, to blank.Point) {
		for _, c := range e.Net.Creases {
			// The crease of the face is that of the wall where there are two.
			if c.Panel == id || c.Panel == id+" wall" {
				return c.From, c.To
			}
		}
		return
	}
	left, _ := at("left")
	right, _ := at("right")
	top, _ := at("top")
	bottom, _ := at("bottom")
	side := func(a, b blank.Point) measure.Length {
		return measure.Round((abs(a.X-b.X) + abs(a.Y-b.Y)) * float64(measure.Millimetre))
	}
	mark := func(id string, a, b blank.Point, shift float64) Dimension {
		l := side(a, b)
		return Dimension{ID: id, From: a, To: b, Shift: shift, Text: m.Style().Show(l), Nm: l}
	}
	diag := d.Diagonal() / float64(measure.Millimetre)
	across, down := top.Y+(bottom.Y-top.Y)*0.3, left.X+(right.X-left.X)*0.2
	crease := top.Y - e.Depth.Millimetres()
	tip := crease - e.TopFlap.Millimetres()
	return []Dimension{
		mark("width", blank.Point{X: left.X, Y: across}, blank.Point{X: right.X, Y: across}, 0),
		mark("height", blank.Point{X: down, Y: top.Y}, blank.Point{X: down, Y: bottom.Y}, 0),
		// Beside the closing flap, where the square's corner leaves room.
		mark("flap", blank.Point{X: diag / 2, Y: tip}, blank.Point{X: diag / 2, Y: crease}, min(diag*0.44, top.Y+diag*0.06)),
	}
}

func abs(x float64) float64 { return max(x, -x) }

// blankDrawing says in words what the drawing of the net shows.
func (m maker) blankDrawing(d blank.Diamond, e blank.Envelope) string {
	show := m.Style().Show
	var b strings.Builder
	fmt.Fprintf(&b, "A square of %s %s standing on its point. Four creases mark a rectangle of %s in the middle; the card, %s, lies on it. ",
		show(d.Sheet), m.Style().Unit, m.by(e.Width, e.Height), m.by(d.Spec.Width, d.Spec.Height))
	b.WriteString("The side flaps fold first, then the bottom flap, which is glued to them, and the closing flap last. ")
	switch corners := len(e.Net.CutAway) - len(e.Blunts); {
	case len(e.Blunts) > 0:
		fmt.Fprintf(&b, "%s at the corners of the rectangle and %s are cut away.", say.Capital(plural(corners, "small triangle")), plural(len(e.Blunts), "tip"))
	default:
		fmt.Fprintf(&b, "%s at the corners of the rectangle are cut away.", say.Capital(plural(corners, "small triangle")))
	}
	return b.String()
}
