package plan

import (
	"fmt"

	"yellowparcel/core/blank"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/say"
)

// WayPlan is one way of setting the scores.
type WayPlan struct {
	ID       blank.WayID   `json:"id"`
	Name     string        `json:"name"`
	Settings []SettingPlan `json:"settings"`
	Steps    []string      `json:"steps"`
	// Sheet is the square to cut for it.
	Sheet Shown `json:"sheet"`
	// Ease and Seam that the settings give, and what is left of each when cuts
	// and scores are off.
	Ease      Shown `json:"ease"`
	EaseWorst Shown `json:"easeWorst"`
	Seam      Shown `json:"seam"`
	SeamWorst Shown `json:"seamWorst"`
	SeamRSS   Shown `json:"seamRss"`
	EaseRSS   Shown `json:"easeRss"`
	// Safer marks the way that leaves more of what is scarcer.
	Safer bool `json:"safer"`
	// Tools are the paths of the shop's fields that it goes by.
	Tools []string `json:"tools"`
}

// SettingPlan is one reading to set.
type SettingPlan struct {
	Label string `json:"label"`
	At    Shown  `json:"at"`
	// Exact is what the sums ask for before rounding to the tick.
	Exact string `json:"exact"`
}

var settingNames = map[string]string{
	"sides near": "sides, near", "sides far": "sides, far", "sides each": "sides", "sides punch": "first punch",
	"ends near": "top and bottom, near", "ends far": "top and bottom, far", "ends each": "top and bottom", "ends punch": "second punch",
	"corners check": "the two other corners read",
	"sides scrap":   "scrap, across", "ends scrap": "scrap, down", "sides check": "side points stand out by", "ends check": "top and bottom by",
}

var squareNames = map[string]string{"near": "near, both pairs", "far": "far, both pairs", "each": "all four", "scrap": "scrap, both ways", "check": "all four points stand out by"}

// ways are all ways of setting the scores of a diamond. The safer is the one that
// leaves more of what runs out first, ease or seam, when all is off.
func (m maker) ways(d blank.Diamond) []WayPlan {
	list := []WayPlan{}
	for _, w := range d.Ways {
		list = append(list, m.way(d, w))
	}
	if safer := m.saferWay(d); len(list) > 1 {
		list[safer].Safer = true
	}
	return list
}

func (m maker) saferWay(d blank.Diamond) (best int) {
	a, _ := m.Shop().Adhesive(m.Job().Envelope.Adhesive)
	var most measure.Length
	for i, w := range d.Ways {
		e := d.Measure(w)
		left := min(e.EaseWidth-w.Ease.Worst, e.EaseHeight-w.Ease.Worst, e.Seam-w.Seam.Worst-a.Width)
		if i == 0 || left > most {
			best, most = i, left
		}
	}
	return best
}

// grooveNotes says what scoring in grooves does to ease and seam, so that it is
// not hidden.
func (m maker) grooveNotes(d blank.Diamond, e blank.Envelope) []Note {
	w, groove := d.Chosen(), d.Spec.Board.Groove
	if groove == 0 || w.ID != blank.PairWay && w.ID != blank.CornerWay {
		return nil
	}
	show := m.Style().Show
	if w.Far {
		return []Note{{Care, fmt.Sprintf("No grooves %s apart keep ease and seam in range here: the nearest leave an ease of %s and a seam of %s. Edge marks need no board.", m.fine().Show(groove), m.by(e.EaseWidth, e.EaseHeight), show(e.Seam))}}
	}
	return []Note{{Fine, fmt.Sprintf("Square and scores are chosen so that every score falls in a groove of your board, every %s: ease %s for %s, seam %s for %s.", m.fine().Show(groove), m.by(e.EaseWidth, e.EaseHeight), show(m.Job().Envelope.Ease), show(e.Seam), show(m.Job().Envelope.Seam))}}
}

// reachNotes says where a score or a square is beyond the board.
func (m maker) reachNotes(d blank.Diamond) []Note {
	reach, w, show := m.Shop().Tools.Reach, d.Chosen(), m.Style().Show
	if reach == 0 {
		return nil
	}
	switch w.ID {
	case blank.NotchWay:
		if d.Sheet > reach {
			return []Note{{Care, fmt.Sprintf("A square of %s is larger than your punch board takes, %s: choose an exact seam, and mark its edges.", show(d.Sheet), show(reach))}}
		}
	case blank.PairWay, blank.CornerWay:
		far := measure.Length(0)
		for _, s := range w.Settings {
			if s.Mark != "check" {
				far = max(far, s.At+s.Beside)
			}
		}
		if far > reach {
			return []Note{{Care, fmt.Sprintf("The score at %s lies further out than your board reaches, %s: set each from its own corner, or mark the edges and join the marks with a ruler.", show(far), show(reach))}}
		}
	}
	return nil
}

func (m maker) way(d blank.Diamond, w blank.Way) WayPlan {
	e := d.Measure(w)
	ease := min(e.EaseWidth, e.EaseHeight)
	p := WayPlan{
		ID: w.ID, Name: job.WayName(w.ID), Tools: wayTools(w.ID), Sheet: m.shown(w.Sheet), Ease: m.shown(ease), EaseWorst: m.shown(ease - w.Ease.Worst), EaseRSS: m.shown(ease - w.Ease.RSS),
		Seam: m.shown(e.Seam), SeamWorst: m.shown(e.Seam - w.Seam.Worst), SeamRSS: m.shown(e.Seam - w.Seam.RSS),
	}
	square := d.CreaseWidth == d.CreaseHeight && w.ID != blank.NotchWay
	for _, s := range w.Settings {
		label := settingNames[s.Lines+" "+s.Mark]
		if square && s.Lines == "ends" {
			continue // the same as the sides
		}
		if square && s.Lines == "sides" {
			label = squareNames[s.Mark]
		}
		if s.Beside > 0 {
			label += ", twice"
		}
		exact := ""
		if s.Exact != s.At {
			exact = m.decimal(s.Exact)
		}
		p.Settings = append(p.Settings, SettingPlan{label, Shown{s.At, m.setting(s)}, exact})
	}
	p.Steps = m.waySteps(d, w)
	return p
}

// setting writes what is set: one reading, or two for two creases in place of
// one.
func (m maker) setting(s blank.Setting) string {
	if s.Beside == 0 {
		return m.Style().Show(s.At)
	}
	return m.Style().Show(s.At-s.Beside) + " & " + m.Style().Show(s.At+s.Beside)
}

// decimal writes a length to the thousandth of an inch or the hundredth of a
// millimetre, for the reader who checks the sums.
func (m maker) decimal(l measure.Length) string {
	if m.Style().Unit == measure.Millimetres {
		return fmt.Sprintf("%.2f", l.Millimetres())
	}
	return fmt.Sprintf("%.3f", l.Inches())
}

// waySteps says how to set and score, one act a line.
func (m maker) waySteps(d blank.Diamond, w blank.Way) []string {
	at := func(i int) string { return m.setting(w.Settings[i]) }
	square := d.CreaseWidth == d.CreaseHeight
	switch w.ID {
	case blank.PairWay:
		second := fmt.Sprintf("Turn the sheet a quarter and score at %s and %s.", at(2), at(3))
		if square {
			second = "Turn the sheet a quarter and score the same two again."
		}
		return []string{
			fmt.Sprintf("Set one corner on the diagonal guide: the corners to its left and right must both read %s.", at(4)),
			fmt.Sprintf("Score at %s and at %s.", at(0), at(1)),
			second,
		}
	case blank.CornerWay:
		if square {
			return []string{fmt.Sprintf("Set each of the four corners on the diagonal guide in turn and score at %s.", at(0))}
		}
		return []string{
			fmt.Sprintf("Left and right corner on the diagonal guide in turn: score at %s.", at(0)),
			fmt.Sprintf("Top and bottom corner in turn: score at %s.", at(1)),
		}
	case blank.CentreWay:
		return []string{
			"Draw both diagonals lightly; they cross at the centre.",
			fmt.Sprintf("Score square to one diagonal, %s either side of the centre.", at(0)),
			fmt.Sprintf("Score square to the other, %s either side.", at(1)),
		}
	case blank.EdgeWay:
		return []string{
			fmt.Sprintf("From the left and from the right corner, mark both edges at %s.", at(0)),
			fmt.Sprintf("From the top and from the bottom corner, mark both edges at %s.", at(1)),
			"Join each pair of marks across its corner and score along the ruler.",
		}
	case blank.RoundWay:
		thick := "a piece of scrap"
		if w.Settings[0].At < d.CreaseWidth {
			thick = "a piece of board as thick as the card"
		}
		out := fmt.Sprintf("those at the sides stand out by %s, those at top and bottom by %s", at(2), at(3))
		if square {
			out = "all four stand out by " + at(2)
		}
		return []string{
			fmt.Sprintf("Cut %s of %s × %s: the card, its thickness and the ease.", thick, at(0), at(1)),
			fmt.Sprintf("Lay it in the middle, its edges square to the points: %s.", out),
			"Fold the flaps over it, sides first, and burnish; then the card takes its place.",
		}
	}
	return []string{
		fmt.Sprintf("Punch the first edge at %s and score along the board's rib.", at(0)),
		fmt.Sprintf("Turn a quarter, punch at %s and score; turn and punch at %s, then at %s.", at(1), at(0), at(1)),
		"The punch repeats its error, so measure the first one twice.",
	}
}

func (m maker) blankSentence(d blank.Diamond) say.Sentence {
	w := d.Chosen()
	s := say.That("Cut [%s] square.", m.Style().Show(d.Sheet))
	at := func(i int) string { return m.setting(w.Settings[i]) }
	square := d.CreaseWidth == d.CreaseHeight
	switch w.ID {
	case blank.PairWay:
		if d.Spec.Double && w.Settings[0].Beside > 0 {
			if square {
				return s.And(say.That("Score from one corner, at [%s] and [%s]; turn a quarter and score the same again.", at(0), at(1)))
			}
			return s.And(say.That("Score from one corner, at [%s] and [%s]; turn a quarter and score at [%s] and [%s].", at(0), at(1), at(2), at(3)))
		}
		if square {
			return s.And(say.That("Score twice from one corner, at [%s] and [%s]; turn a quarter and score the same two again.", at(0), at(1)))
		}
		return s.And(say.That("Score twice from one corner, at [%s] and [%s]; turn a quarter and score at [%s] and [%s].", at(0), at(1), at(2), at(3)))
	case blank.CornerWay:
		if square {
			return s.And(say.That("Score once from every corner, at [%s].", at(0)))
		}
		return s.And(say.That("Score from the side corners at [%s], from top and bottom at [%s].", at(0), at(1)))
	case blank.CentreWay:
		return s.And(say.That("From its centre, score [%s] either side, and [%s] above and below.", at(0), at(1)))
	case blank.EdgeWay:
		return s.And(say.That("Mark the edges [%s] from the side corners and [%s] from top and bottom, and join the marks.", at(0), at(1)))
	}
	if w.ID == blank.RoundWay {
		return s.And(say.That("Lay scrap of [%s] in its middle and fold the flaps over it.", at(0)+" × "+at(1)))
	}
	return s.And(say.That("Punch in turn at [%s] and [%s], turning a quarter each time.", at(0), at(1)))
}
