package plan

import (
	"fmt"

	"yellowparcel/core/blank"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/say"
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
	Scores   []ScoreText  `json:"scores"`
	Sentence say.Sentence `json:"sentence"`
	Notes    []Note       `json:"notes"`
	Drawing  string       `json:"drawing"`
	// ScoreWays are the ways of setting them, where there are several.
	ScoreWays []ScoreWayPlan `json:"scoreWays"`
	// Folds are the stages of folding it, Folding its net as it folds round the
	// card.
	Folds   []FoldStep `json:"folds"`
	Folding blank.Net  `json:"folding"`
	// Liner is what lines it, on the flat sheet; empty when none is wished for.
	Liner blank.Polygon `json:"liner"`
	// Holes are where nothing covers the back, on the face of the flat sheet.
	Holes []blank.Polygon `json:"holes"`
	// Wishes are the paths of the lengths that the maker may set for it, Options those
	// of what else is chosen.
	Wishes  []string `json:"wishes"`
	Options []string `json:"options"`
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

func (m maker) blank(c candidate, d blank.Diamond, all []candidate) BlankPlan {
	if c.id != job.Diamond {
		return m.madeBlank(c, all)
	}
	e := d.Measure(d.Chosen())
	e.Net, e.Folded = c.made.Net, c.made.Folded
	e.Seam -= c.made.Taken // by round corners
	p := BlankPlan{
		Sheet: m.shown(d.Sheet), Exact: m.shown(d.Exact),
		EaseWidth: m.shown(e.EaseWidth), EaseHeight: m.shown(e.EaseHeight),
		Seam: m.shown(e.Seam), Overlap: m.shown(e.Overlap), Way: d.Chosen().ID, Net: e.Net, Scores: []ScoreText{}, ScoreWays: []ScoreWayPlan{},
	}
	p.Closed.Width, p.Closed.Height = m.shown(e.Width), m.shown(e.Height)
	p.Ways = m.ways(d)
	p.Sentence = m.blankSentence(d)
	p.Readings = append(m.blankReadings(d, e), m.optionReadings(c)...)
	p.Notes = append(m.blankNotes(d, e, c), m.whatWould(c, all)...)
	p.Liner = m.lining(c)
	p.Dimensions = m.dimensions(d, e)
	p.Drawing = m.blankDrawing(d, e)
	p.Folds, p.Folding, p.Holes, p.Wishes, p.Options = m.foldSteps(c), m.folding(c), holes(c.made), m.wishes(c.id), options(c.id)
	return p
}

func (m maker) blankReadings(d blank.Diamond, e blank.Envelope) []Reading {
	show := m.Style().Show
	a, _ := m.Shop().Adhesive(m.Job().Envelope.Adhesive)
	w := m.way(d, d.Chosen())
	seam := Reading{"seam", "Seam", show(e.Seam), fmt.Sprintf("%s needs %s", say.Lower(a.Name), show(a.Width))}
	if show(e.SeamMax) != show(e.Seam) {
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
		{"worst", "Worst case", show(measure.Length(w.EaseWorst.Nm)), fmt.Sprintf("ease left, if all is %s off", m.fine().Show(m.Style().Tick/2))},
		m.layersReading(e.Net, e.Folded.Layers),
	}
	if e.Overlap < 0 {
		list[3].Note = sealsOnSides
	}
	return append(list, m.flapReading(e.TopFlap, e.Shortest)...)
}

// flapReading says how high a closing flap is and how short it may be, where that
// is less, or where the maker wished for less.
func (m maker) flapReading(flap, shortest measure.Length) []Reading {
	if shortest >= flap && m.Job().Envelope.Flap == 0 {
		return nil
	}
	a, _ := m.Shop().Adhesive(m.Job().Envelope.Adhesive)
	return []Reading{{"flap", "Closing flap", m.Style().Show(flap), fmt.Sprintf("at least %s, and %s for the adhesive, or a hole opens", m.Style().Show(shortest.Up(m.Style().Tick)), m.Style().Show(a.Width))}}
}
