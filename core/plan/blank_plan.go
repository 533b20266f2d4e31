package plan

import (
	"fmt"

	"yellowparcel/core/blank"
	"yellowparcel/core/measure"
)

// BlankPlan is the diamond made for the card.
type BlankPlan struct {
	Sheet  Shown `json:"sheet"`
	Exact  Shown `json:"exact"`
	Closed struct {
		Width  Shown `json:"width"`
		Height Shown `json:"height"`
	} `json:"closed"`
	EaseWidth  Shown       `json:"easeWidth"`
	EaseHeight Shown       `json:"easeHeight"`
	Seam       Shown       `json:"seam"`
	Overlap    Shown       `json:"overlap"`
	Readings   []Reading   `json:"readings"`
	Ways       []WayPlan   `json:"ways"`
	Way        blank.WayID `json:"way"`
	Net        blank.Net   `json:"net"`
	Dimensions []Dimension `json:"dimensions"`
	// Scores are those of a blank whose scores are measured from its edges.
	Scores   []ScoreText `json:"scores"`
	Sentence Sentence    `json:"sentence"`
	Notes    []Note      `json:"notes"`
	Drawing  string      `json:"drawing"`
	// ScoreWays are the ways of setting them, where there are several.
	ScoreWays []ScoreWayPlan `json:"scoreWays"`
	// Folds are the stages of folding it.
	Folds []FoldStep `json:"folds"`
	// Liner is what lines it, on the flat sheet; empty when none is wished for.
	Liner blank.Polygon `json:"liner"`
}

// WayPlan is one way of setting the scores.
type WayPlan struct {
	ID       blank.WayID   `json:"id"`
	Name     string        `json:"name"`
	Settings []SettingPlan `json:"settings"`
	Steps    []string      `json:"steps"`
	// Ease and Seam that the settings give, and what is left of each when cuts
	// and scores are off.
	Ease      Shown `json:"ease"`
	EaseWorst Shown `json:"easeWorst"`
	Seam      Shown `json:"seam"`
	SeamWorst Shown `json:"seamWorst"`
	SeamRSS   Shown `json:"seamRss"`
	EaseRSS   Shown `json:"easeRss"`
}

// SettingPlan is one reading to set.
type SettingPlan struct {
	Label string `json:"label"`
	At    Shown  `json:"at"`
	// Exact is what the sums ask for before rounding to the tick.
	Exact string `json:"exact"`
}

// Dimension is a measure drawn on the net, between two points in millimetres.
type Dimension struct {
	ID   string      `json:"id"`
	From blank.Point `json:"from"`
	To   blank.Point `json:"to"`
	// Shift is how far the line is drawn aside of the points it measures, in
	// millimetres to the right.
	Shift float64        `json:"shift"`
	Text  string         `json:"text"`
	Nm    measure.Length `json:"nm"`
}

// ScoreWayPlan is one way of setting the scores of a blank with straight edges.
type ScoreWayPlan struct {
	Name      string      `json:"name"`
	Scores    []ScoreText `json:"scores"`
	EaseRSS   Shown       `json:"easeRss"`
	EaseWorst Shown       `json:"easeWorst"`
	SeamRSS   Shown       `json:"seamRss"`
	SeamWorst Shown       `json:"seamWorst"`
	// Safer marks the way that leaves more of what is scarcer.
	Safer bool `json:"safer"`
}

// ScoreText is one score of a blank that has its scores measured from its edges.
type ScoreText struct {
	Name string `json:"name"`
	Edge string `json:"edge"`
	At   Shown  `json:"at"`
}

func (m maker) diamond() (blank.Diamond, blank.Made) {
	d := blank.NewDiamond(m.blankSpec())
	return d, d.Made()
}

func (m maker) blank(c candidate, d blank.Diamond) BlankPlan {
	if c.id != Diamond {
		return m.madeBlank(c)
	}
	e := d.Measure(d.Chosen())
	e.Net, e.Folded = c.made.Net, c.made.Folded
	p := BlankPlan{
		Sheet: m.shown(d.Sheet), Exact: m.shown(d.Exact),
		EaseWidth: m.shown(e.EaseWidth), EaseHeight: m.shown(e.EaseHeight),
		Seam: m.shown(e.Seam), Overlap: m.shown(e.Overlap), Way: d.Chosen().ID, Net: e.Net, Scores: []ScoreText{}, ScoreWays: []ScoreWayPlan{},
	}
	p.Closed.Width, p.Closed.Height = m.shown(e.Width), m.shown(e.Height)
	for _, w := range d.Ways {
		p.Ways = append(p.Ways, m.way(d, w))
	}
	p.Sentence = m.blankSentence(d)
	p.Readings = append(m.blankReadings(d, e), m.optionReadings(c)...)
	p.Notes = append(m.blankNotes(d, e, c), m.whatWould(c)...)
	p.Liner = m.lining(c)
	p.Dimensions = m.dimensions(d, e)
	p.Drawing = m.blankDrawing(d, e)
	p.Folds = foldSteps(e.Net)
	return p
}

var wayNames = map[blank.WayID]string{
	blank.PairWay: "one corner", blank.CornerWay: "each corner", blank.CentreWay: "from the centre",
	blank.EdgeWay: "edge marks", blank.NotchWay: "punch board",
}

var settingNames = map[string]string{
	"sides near": "sides, near", "sides far": "sides, far", "sides each": "sides", "sides punch": "first punch",
	"ends near": "top and bottom, near", "ends far": "top and bottom, far", "ends each": "top and bottom", "ends punch": "second punch",
	"corners check": "the two other corners read",
}

var squareNames = map[string]string{"near": "near, both pairs", "far": "far, both pairs", "each": "all four"}

func (m maker) way(d blank.Diamond, w blank.Way) WayPlan {
	e := d.Measure(w)
	ease := min(e.EaseWidth, e.EaseHeight)
	p := WayPlan{
		ID: w.ID, Name: wayNames[w.ID], Ease: m.shown(ease), EaseWorst: m.shown(ease - w.Ease.Worst), EaseRSS: m.shown(ease - w.Ease.RSS),
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
		return m.style.Show(s.At)
	}
	return m.style.Show(s.At-s.Beside) + " & " + m.style.Show(s.At+s.Beside)
}

// decimal writes a length to the thousandth of an inch or the hundredth of a
// millimetre, for the reader who checks the sums.
func (m maker) decimal(l measure.Length) string {
	if m.style.Unit == measure.Millimetres {
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
	}
	return []string{
		fmt.Sprintf("Punch the first edge at %s and score along the board's rib.", at(0)),
		fmt.Sprintf("Turn a quarter, punch at %s and score; turn and punch at %s, then at %s.", at(1), at(0), at(1)),
		"The punch repeats its error, so measure the first one twice.",
	}
}

func (m maker) blankSentence(d blank.Diamond) Sentence {
	w := d.Chosen()
	s := say("Cut [%s] square.", m.style.Show(d.Sheet))
	at := func(i int) string { return m.setting(w.Settings[i]) }
	square := d.CreaseWidth == d.CreaseHeight
	switch w.ID {
	case blank.PairWay:
		if d.Spec.Double && w.Settings[0].Beside > 0 {
			if square {
				return s.and(say("Score from one corner, at [%s] and [%s]; turn a quarter and score the same again.", at(0), at(1)))
			}
			return s.and(say("Score from one corner, at [%s] and [%s]; turn a quarter and score at [%s] and [%s].", at(0), at(1), at(2), at(3)))
		}
		if square {
			return s.and(say("Score twice from one corner, at [%s] and [%s]; turn a quarter and score the same two again.", at(0), at(1)))
		}
		return s.and(say("Score twice from one corner, at [%s] and [%s]; turn a quarter and score at [%s] and [%s].", at(0), at(1), at(2), at(3)))
	case blank.CornerWay:
		if square {
			return s.and(say("Score once from every corner, at [%s].", at(0)))
		}
		return s.and(say("Score from the side corners at [%s], from top and bottom at [%s].", at(0), at(1)))
	case blank.CentreWay:
		return s.and(say("From its centre, score [%s] either side, and [%s] above and below.", at(0), at(1)))
	case blank.EdgeWay:
		return s.and(say("Mark the edges [%s] from the side corners and [%s] from top and bottom, and join the marks.", at(0), at(1)))
	}
	return s.and(say("Punch in turn at [%s] and [%s], turning a quarter each time.", at(0), at(1)))
}

func (m maker) blankReadings(d blank.Diamond, e blank.Envelope) []Reading {
	show := m.style.Show
	a, _ := m.shop.adhesive(m.job.Envelope.Adhesive)
	w := m.way(d, d.Chosen())
	seam := Reading{"seam", "Seam", show(e.Seam), fmt.Sprintf("%s needs %s", lower(a.Name), show(a.Width))}
	if e.SeamMax-e.Seam > measure.Micrometre {
		seam.Note = fmt.Sprintf("to %s; %s", show(e.SeamMax), seam.Note)
	}
	closed := "lying flat"
	if e.Depth > 0 {
		closed = show(e.Depth) + " deep"
	}
	list := []Reading{
		{"closed", "Closed size", m.by(e.Width, e.Height), closed},
		{"ease", "Ease", m.by(e.EaseWidth, e.EaseHeight), "across × down, thickness taken off"},
		seam,
		{"overlap", "Flap overlap", show(e.Overlap), "over the bottom flap, at the centre"},
		{"worst", "Worst case", show(measure.Length(w.EaseWorst.Nm)), fmt.Sprintf("ease left, if all is %s off", m.fine().Show(m.style.Tick/2))},
		m.layersReading(e.Net, e.Folded.Layers),
	}
	if e.Overlap < 0 {
		list[3].Note = "short of the bottom flap: it seals on the sides"
	}
	if bare := e.Shortest; e.Shortest < e.TopFlap {
		list = append(list, Reading{"flap", "Closing flap", show(e.TopFlap), fmt.Sprintf("at least %s, and %s for the adhesive, or a hole opens", show(bare.Up(m.style.Tick)), show(a.Width))})
	}
	return list
}
