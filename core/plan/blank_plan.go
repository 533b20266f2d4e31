package plan

import (
	"cmp"
	"fmt"
	"slices"
	"strings"

	"yellowparcel/core/blank"
	"yellowparcel/core/card"
	"yellowparcel/core/compare"
	"yellowparcel/core/drawing"
	"yellowparcel/core/measure"
	"yellowparcel/core/paper"
	"yellowparcel/core/say"
)

// BlankPlan is the envelope that is made for the card.
type BlankPlan struct {
	Sheet  Shown `json:"sheet"`
	Exact  Shown `json:"exact"`
	Closed struct {
		Width  Shown `json:"width"`
		Height Shown `json:"height"`
	} `json:"closed"`
	// Lies is the card's size as it lies in the drawing: across the throat, and down.
	Lies       card.Size   `json:"lies"`
	EaseWidth  Shown       `json:"easeWidth"`
	EaseHeight Shown       `json:"easeHeight"`
	Seam       Shown       `json:"seam"`
	Overlap    Shown       `json:"overlap"`
	Readings   []Reading   `json:"readings"`
	Ways       []WayPlan   `json:"ways"`
	Way        blank.WayID `json:"way"`
	// Where heads the ways: what they are set for.
	Where string `json:"where"`
	// Net is the flat blank, Flat as it is drawn: with the card, what lines it, and what of the
	// back nothing covers.
	Net        blank.Net           `json:"-"`
	Flat       drawing.Drawing     `json:"flat"`
	Dimensions []drawing.Dimension `json:"dimensions"`
	// Callouts are radii and tapers, each where it is cut.
	Callouts []Callout `json:"callouts"`
	// Scores are the readings to set, each at its crease; Alignment is what the other
	// corners of a sheet on its point read.
	Scores    []ScoreMark `json:"scores"`
	Alignment string      `json:"alignment,omitempty"`
	// Inside and Outside are the sides of its paper: it lies flat with the inside up.
	Inside  paper.Face `json:"inside"`
	Outside paper.Face `json:"outside"`
	// Size is the sheet's size, at its edges; empty where none is cut.
	Size     string       `json:"size"`
	Sentence say.Sentence `json:"sentence"`
	Notes    []say.Note   `json:"notes"`
	Drawing  string       `json:"drawing"`
	// Folds are the stages of folding it, Folding its net as it folds round the
	// card.
	Folds   []FoldStep `json:"folds"`
	Folding blank.Net  `json:"folding"`
	// Wishes are the paths of the lengths that the maker may set for it, Options those
	// of what else is chosen.
	Wishes  []string `json:"wishes" format:"field-path"`
	Options []string `json:"options" format:"field-path"`
}

// blank is the station's account of the envelope that is made.
func (m envelopeStation) blank(c compare.Candidate, all func() []compare.Candidate) BlankPlan {
	made, k := c.Made, c.Kind
	net := made.Seen().Cut()
	slots := m.slots(c)
	p := BlankPlan{
		Sheet: m.shown(made.SheetWidth), Exact: m.shown(cmp.Or(made.Exact, made.SheetWidth)),
		EaseWidth: m.shown(made.EaseWidth), EaseHeight: m.shown(made.EaseHeight), Seam: m.shown(made.Seam), Overlap: m.shown(made.Overlap),
		Way: made.Way().ID, Ways: m.ways(c, slots), Net: net, Flat: flatOf(m, net, c).Drawn(), Lies: m.lies(c), Dimensions: m.dimensions(c), Callouts: callouts(m, c), Scores: m.scoreMarks(c), Alignment: alignment(m, c),
		Sentence: m.waySlots(c, made.Way(), slots).Sentence(slices.Concat(k.Words.Sentence, k.Way(made.Way().ID).Sentence)...),
		Drawing:  slots.Text(k.Words.Drawing...),
		Folds:    m.foldSteps(c), Folding: m.folding(c), Wishes: m.wishes(k), Options: m.options(k),
	}
	p.Where, p.Size = "Where to score", m.by(made.SheetWidth, made.SheetHeight)
	if k.Bought { // it comes as it is
		p.Where, p.Size = "Where to cut", ""
	}
	if stock, ok := m.Shop().Stock(m.Job().Envelope.Stock); ok && !k.Bought {
		p.Inside, p.Outside = stock.Up(!m.Job().Envelope.PatternInside), stock.Up(m.Job().Envelope.PatternInside)
	}
	p.Closed.Width, p.Closed.Height = drawn(m.maker, made.Width), drawn(m.maker, made.Height)
	p.Readings = append(m.blankReadings(c, slots), m.optionReadings(c)...)
	p.Notes = m.blankNotes(c, all, slots)
	return p
}

// flat draws the flat blank, exactly.
func (m envelopeStation) flat(c compare.Candidate) drawing.Drawing {
	return flatOf(m, c.Made.Seen(), c)
}

// flatOf draws a net with what lies on it.
func flatOf(m envelopeStation, net blank.Net, c compare.Candidate) drawing.Drawing {
	return drawing.Net(net, drawing.Laid{Card: m.lies(c), Liner: m.lining(c), Holes: holes(c.Made), Names: netNames})
}

// nothing is a drawing of nothing: what is not looked at is not sent.
var nothing = drawing.Drawing{Shapes: []drawing.Shape{}, Labels: []drawing.Label{}}

// netNames are the words on a net.
var netNames = drawing.Names{Card: "card lies here", Hole: "hole"}

// lies is the card's size as it lies in its envelope.
func (m envelopeStation) lies(c compare.Candidate) card.Size {
	size := m.Outer()
	if c.Turned {
		size.Width, size.Height = size.Height, size.Width
	}
	return size
}

// slots are what the words of a construction are filled with.
func (m envelopeStation) slots(c compare.Candidate) say.Slots {
	made, show := c.Made, m.Style().Show
	s := say.Slots{
		"name": c.Kind.Words.Name, "unit": string(m.Style().Unit), "sheet": show(made.SheetWidth), "sheet size": m.by(made.SheetWidth, made.SheetHeight),
		"closed": m.by(made.Width, made.Height), "card": m.by(m.lies(c).Width, m.lies(c).Height), "seam": show(made.Seam), "parts": m.partsWords(made),
		"Corners": say.Capital(say.Plural(len(made.Net.Cut().CutAway)-len(made.Blunts), "small triangle")),
		"beyond":  show(made.Seam + (m.Job().Envelope.Ease+m.Thick().Used)/2),
	}
	if n := len(made.Blunts); n > 0 {
		s["tips"] = say.Plural(n, "tip")
	}
	if made.Depth > 0 {
		s["depth"] = show(made.Depth)
	}
	if c.Kind.Bought {
		s["from"], s["whole"] = m.Format(made.From.ID).Name, m.by(made.From.Width, made.From.Height)
		if !c.Kind.Whole {
			s["kept"] = show(made.Width)
		}
	}
	s.Flag("short", made.Overlap < 0)
	s.Flag("no overlap", made.Overlap == 0)
	return s
}

// bothEases are the two eases of an envelope as a reading.
func bothEases(m maker, made blank.Made) string {
	return nearLimit(m, made.EaseWidth, 0) + " × " + nearLimit(m, made.EaseHeight, 0)
}

// blankReadings are the numbers of a blank.
func (m envelopeStation) blankReadings(c compare.Candidate, slots say.Slots) []Reading {
	made, show := c.Made, m.Style().Show
	a, _ := m.Shop().Adhesive(m.Job().Envelope.Adhesive)
	seam := Reading{"seam", "Seam", m.readable(made.Seam), fmt.Sprintf("%s needs %s", say.Lower(a.Name), show(a.Width)), ""}
	if worst := made.Way().SeamLeft().Worst; worst != made.Seam {
		seam.Note = fmt.Sprintf("at worst %s; %s", m.leftWords(worst), seam.Note)
	}
	overlap := slots.Text(c.Kind.Words.Overlap...)
	if left, ok := made.Way().OverlapLeft(); ok {
		overlap = fmt.Sprintf("%s; at worst %s", overlap, m.leftWords(left.Worst))
	}
	if made.SeamMax > 0 && show(made.SeamMax) != show(made.Seam) {
		seam.Note = fmt.Sprintf("to %s; %s", show(made.SeamMax), seam.Note)
	}
	closed := "lying flat"
	if made.Depth > 0 {
		closed = show(made.Depth) + " deep"
	}
	left := made.Way().EaseLeft()
	if c.Kind.Whole {
		return []Reading{
			{"closed", "Outside", m.by(made.Width, made.Height), opensOn[c.Opens], ""},
			{"ease", "Ease", bothEases(m.maker, made), verdicts[c.Fit.Verdict].why, exactly(m.maker, made.EaseWidth, made.EaseHeight)},
			m.layersReading(made.Net, made.Folded.Layers),
		}
	}
	list := []Reading{
		{"closed", "Closed size", m.by(made.Width, made.Height), closed, exactly(m.maker, made.Width, made.Height)},
		{"ease", "Ease", bothEases(m.maker, made), "along and across the throat", exactly(m.maker, made.EaseWidth, made.EaseHeight)},
		seam,
		{"overlap", "Flap overlap", m.readable(made.Overlap), overlap, ""},
		{"worst", "At worst", m.leftWords(left.Worst), fmt.Sprintf("ease left if all is %s off; usually %s", m.fine().Show(m.Style().Tick/2), m.leftWords(left.Usual)), ""},
		m.layersReading(made.Net, made.Folded.Layers),
	}
	if len(made.Terms) > 0 {
		list = append(list, Reading{"sum", "Square", m.decimal(made.Exact), m.sumWords(made.Terms), ""})
	}
	if made.Width != made.Height {
		list = append(list, Reading{"opens", "Opens on", opensOn[c.Opens], "", ""})
	}
	if made.Shortest > 0 || c.Kind.OnPoint {
		list = append(list, m.flapReading(made.Flap, made.Shortest)...)
	}
	return list
}

// termWords are what the terms of a sum are called: {a} is the term.
var termWords = map[blank.TermID]say.Clause{
	blank.CardDiagonal: say.Always("the card's diagonal {a}"), blank.AnInch: say.Always("{a}"), blank.ThickAndHalf: say.Always("{a}, which is 1 1⁄2 times its thickness"),
}

// sumWords say a sum by its terms.
func (m envelopeStation) sumWords(terms []blank.Term) string {
	var list []string
	for _, t := range terms {
		a := m.decimal(t.Length)
		if !m.Style().Rounds(t.Length) {
			a = m.Style().Show(t.Length)
		}
		list = append(list, say.Slots{"a": a}.Text(termWords[t.ID]))
	}
	return strings.Join(list, " + ") + ", cut up to a tick"
}

// leftWords say what is left of something that should not run out.
func (m maker) leftWords(l measure.Length) string {
	if l < 0 {
		return m.readable(-l) + " too small"
	}
	return m.readable(l)
}

// readable is a length that is read, not set: to a tick, finer where that would hide more
// than a quarter of a tick of it.
func (m maker) readable(l measure.Length) string {
	tick := m.Style().Tick
	if near := l.Near(tick); (near - l).Abs() <= tick/4 {
		return m.Style().Show(near)
	}
	return m.decimal(l) + " " + string(m.Style().Unit)
}

// drawn is a length as it stands on a drawing beside others that it adds up with: at the tick where it is one, at
// the finest tick where it is one of those, else in decimals, so that the sum is right to its last place.
func drawn(m maker, l measure.Length) Shown {
	switch {
	case !m.Style().Rounds(l):
		return Shown{Nm: l, Text: m.Style().Show(l)}
	case !m.fine().Rounds(l):
		return Shown{Nm: l, Text: m.fine().Show(l)}
	}
	return Shown{Nm: l, Text: m.decimal(l)}
}

// readUnit is readable with its unit in every case.
func readUnit(m maker, l measure.Length) string {
	return strings.TrimSuffix(m.readable(l), " "+string(m.Style().Unit)) + " " + string(m.Style().Unit)
}

// flapReading says how high a closing flap is and how short it may be, where that
// is less, or where the maker wished for less.
func (m envelopeStation) flapReading(flap, shortest measure.Length) []Reading {
	if shortest >= flap && m.Job().Envelope.Flap == 0 {
		return nil
	}
	a, _ := m.Shop().Adhesive(m.Job().Envelope.Adhesive)
	return []Reading{{"flap", "Closing flap", m.Style().Show(flap), fmt.Sprintf("at least %s, and %s for the adhesive, or a hole opens", m.Style().Show(shortest.Up(m.Style().Tick)), m.Style().Show(a.Width)), ""}}
}

// optionReadings are those of what a maker may add to any construction.
func (m envelopeStation) optionReadings(c compare.Candidate) (list []Reading) {
	if c.Strip {
		list = append(list, Reading{"throat", "Between the strips", m.Style().Show(c.Made.Throat()), "clear at the throat", ""})
	}
	if liner, ok := m.Shop().Stock(m.Job().Envelope.Liner); ok && c.Made.Liner.Width > 0 {
		where := "front and flap"
		if c.Kind.Box {
			where = "the floor"
		}
		list = append(list, Reading{"liner", "Liner", m.by(c.Made.Liner.Width.Down(m.Style().Tick), c.Made.Liner.Height.Down(m.Style().Tick)), fmt.Sprintf("of %s for %s, clear of what is glued", say.Lower(liner.Name), where), ""})
	}
	return list
}

// lining is the liner as it is drawn, when there is one.
func (m envelopeStation) lining(c compare.Candidate) blank.Polygon {
	if m.Job().Envelope.Liner == "" || c.Made.Lining == nil {
		return blank.Polygon{}
	}
	return c.Made.Lining
}

// layersReading says how many layers of paper lie on each other, and over how
// much of the face.
func (m envelopeStation) layersReading(n blank.Net, most int) Reading {
	face, thick := n.Panels[0].Outline.Area(), 0.0
	for _, r := range n.Regions() {
		if r.Layers == most {
			thick += r.Outline.Area()
		}
	}
	return Reading{"layers", "Layers of paper", number(most), fmt.Sprintf("where most lie on each other, %s of the face", percent(thick/face)), ""}
}
