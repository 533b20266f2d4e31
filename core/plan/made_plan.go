package plan

import (
	"fmt"

	"yellowparcel/core/blank"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/paper"
	"yellowparcel/core/say"
)

// madeBlank is the station's account of any construction but the diamond.
func (m maker) madeBlank(c candidate, all []candidate) BlankPlan {
	made, show := c.made, m.Style().Show
	p := BlankPlan{
		Sheet: m.shown(made.SheetWidth), Exact: m.shown(made.SheetWidth),
		EaseWidth: m.shown(made.EaseWidth), EaseHeight: m.shown(made.EaseHeight), Seam: m.shown(made.Seam), Overlap: m.shown(made.Overlap),
		Ways: []WayPlan{}, Net: made.Net, Readings: []Reading{}, Dimensions: []Dimension{}, Notes: []Note{}, Scores: scoreTexts(m, made.Scores), ScoreWays: m.scoreWays(made),
	}
	p.Closed.Width, p.Closed.Height = m.shown(made.Width), m.shown(made.Height)
	p.Sentence = m.madeSentence(c)
	a, _ := m.Shop().Adhesive(m.Job().Envelope.Adhesive)
	closed := "lying flat"
	if made.Depth > 0 {
		closed = show(made.Depth) + " deep"
	}
	overlap := "of the closing flap"
	switch {
	case made.Overlap < 0:
		overlap = sealsOnSides
	case c.id == job.Tuck && made.Overlap == 0:
		overlap = "no tuck: tape the lid"
	case c.id == job.Tuck:
		overlap = "of the tuck, behind the front wall"
	}
	worst := min(made.EaseWidth, made.EaseHeight) - made.EaseError.Worst
	p.Readings = []Reading{
		{"closed", "Closed size", m.by(made.Width, made.Height), closed},
		{"ease", "Ease", m.by(made.EaseWidth, made.EaseHeight), "across × down, thickness taken off"},
		{"seam", "Seam", show(made.Seam), fmt.Sprintf("%s needs %s", say.Lower(a.Name), show(a.Width))},
		{"overlap", "Flap overlap", show(made.Overlap), overlap},
		{"worst", "Worst case", show(worst), fmt.Sprintf("ease left, if all is %s off; %s at root-sum-square", m.fine().Show(m.Style().Tick/2), show(min(made.EaseWidth, made.EaseHeight)-made.EaseError.RSS))},
		m.layersReading(made.Net, made.Folded.Layers),
	}
	if made.Shortest > 0 {
		p.Readings = append(p.Readings, m.flapReading(made.Flap, made.Shortest)...)
	}
	p.Readings, p.Liner = append(p.Readings, m.optionReadings(c)...), m.lining(c)
	p.Notes = m.madeNotes(c, all)
	p.Dimensions = m.madeDimensions(made)
	p.Drawing = fmt.Sprintf("%s, %s %s, lying flat with its inside up: %s. The folds are made in the order of their numbers.", job.ConstructionName(c.id), m.by(made.SheetWidth, made.SheetHeight), m.Style().Unit, m.partsWords(made))
	p.Folds, p.Folding, p.Holes, p.Wishes, p.Options = m.foldSteps(c), m.folding(c), holes(c.made), m.wishes(c.id), options(c.id)
	return p
}

// sealsOnSides says what a closing flap does that does not reach the bottom one.
const sealsOnSides = "short of the bottom flap: it seals on the sides"

// optionReadings are those of what a maker may add to any construction.
func (m maker) optionReadings(c candidate) (list []Reading) {
	if c.strip {
		list = append(list, Reading{"throat", "Between the strips", m.Style().Show(c.made.Throat()), "clear at the throat"})
	}
	if liner, ok := m.Shop().Stock(m.Job().Envelope.Liner); ok && c.made.Liner.Width > 0 {
		where := "front and flap"
		if c.id == job.Box || c.id == job.Tuck {
			where = "the floor"
		}
		list = append(list, Reading{"liner", "Liner", m.by(c.made.Liner.Width.Down(m.Style().Tick), c.made.Liner.Height.Down(m.Style().Tick)), fmt.Sprintf("of %s for %s, clear of what is glued", say.Lower(liner.Name), where)})
	}
	return list
}

// lining is the liner as it is drawn, when there is one.
func (m maker) lining(c candidate) blank.Polygon {
	if m.Job().Envelope.Liner == "" || c.made.Lining == nil {
		return blank.Polygon{}
	}
	return c.made.Lining
}

// stripNotes says how a card is held in an envelope that is wider than it.
func (m maker) stripNotes(c candidate) []Note {
	switch {
	case !m.Job().Envelope.Mailable:
		return nil
	case !c.strip:
		return []Note{{Care, "There is no room beside the card for holding strips: it needs none, or a wider envelope."}}
	case c.made.Depth > 0:
		return []Note{{Fine, fmt.Sprintf("Front and back do not touch here: in place of glue strips, fold two rails from scrap, %s high, and glue them down beside the card.", m.Style().Show(c.made.Depth))}}
	}
	return []Note{{Fine, "Press the holding strips together before the card goes in, and let it slide down between them."}}
}

func scoreTexts(m maker, scores []blank.ScoreLine) []ScoreText {
	list := []ScoreText{}
	for _, s := range scores {
		list = append(list, ScoreText{s.Name, "from the " + s.Edge, m.shown(s.At)})
	}
	return list
}

// scoreWays sets the ways of scoring side by side, what each leaves of ease and
// seam when cuts and scores are off, and marks the safer: the one that leaves
// more of what runs out first.
func (m maker) scoreWays(made blank.Made) []ScoreWayPlan {
	list := []ScoreWayPlan{}
	a, _ := m.Shop().Adhesive(m.Job().Envelope.Adhesive)
	ease := min(made.EaseWidth, made.EaseHeight)
	best, most := 0, measure.Length(0)
	for i, w := range made.Ways {
		list = append(list, ScoreWayPlan{
			Name: w.Name, Scores: scoreTexts(m, w.Scores), EaseRSS: m.shown(ease - w.Ease.RSS), EaseWorst: m.shown(ease - w.Ease.Worst),
			SeamRSS: m.shown(made.Seam - w.Seam.RSS), SeamWorst: m.shown(made.Seam - w.Seam.Worst),
		})
		if left := min(ease-w.Ease.Worst, made.Seam-a.Width-w.Seam.Worst); i == 0 || left > most {
			best, most = i, left
		}
	}
	if len(list) > 0 {
		list[best].Safer = true
	}
	return list
}

// layersReading says how many layers of paper lie on each other, and over how
// much of the face.
func (m maker) layersReading(n blank.Net, most int) Reading {
	face, thick := n.Panels[0].Outline.Area(), 0.0
	for _, r := range n.Regions() {
		if r.Layers == most {
			thick += r.Outline.Area()
		}
	}
	return Reading{"layers", "Layers of paper", number(most), fmt.Sprintf("where most lie on each other, %s of the face", percent(thick/face))}
}

func (m maker) madeSentence(c candidate) say.Sentence {
	show, made := m.Style().Show, c.made
	at := func(i int) string { return show(made.Scores[i].At) }
	switch c.id {
	case job.CutDown:
		if m.Job().Envelope.OneSide {
			return say.That("Take %s, cut [%s] off one side, and glue that side with a seam of [%s].", c.from.Name, at(0), show(made.Seam))
		}
		return say.That("Take %s, cut [%s] off either side, and glue both sides with a seam of [%s].", c.from.Name, at(0), show(made.Seam))
	case job.Box:
		return say.That("Cut [%s] square. From every corner of the sides score at [%s] and [%s], of top and bottom at [%s] and [%s].", show(made.SheetWidth), at(0), at(1), at(2), at(3))
	case job.Tuck:
		s := say.That("Cut [%s]. Score [%s] from both sides", m.by(made.SheetWidth, made.SheetHeight), at(0))
		if hem := len(made.Scores) - 1; made.Scores[hem].Name == "right hem" {
			s = s.Joined(say.That(" and [%s] for the hems", at(hem)))
		}
		s = s.Joined(say.That(", then from the bottom at [%s], [%s] and [%s]", at(2), at(3), at(4)))
		if len(made.Scores) > 5 && made.Scores[5].Name == "tuck" {
			s = s.Joined(say.That(", and at [%s] for the tuck", at(5)))
		}
		return s.Then(".")
	case job.Gusset:
		return say.That("Cut [%s]. Score twice, [%s] apart, at both sides, throat and bottom: the walls stand up.", m.by(made.SheetWidth, made.SheetHeight), show(made.Depth))
	}
	s := say.That("Cut [%s]. Score [%s] from both sides, [%s] from the flap's end and [%s] from the other", m.by(made.SheetWidth, made.SheetHeight), at(0), at(2), at(3))
	if made.Depth > 0 {
		return s.Joined(say.That(", and each again [%s] further in.", show(made.Depth)))
	}
	return s.Then(".")
}

// madeNotes says what is wrong with a construction, and what would help where
// the paper does not suffice.
func (m maker) madeNotes(c candidate, all []candidate) []Note {
	notes := []Note{}
	add := func(t Tone, format string, args ...any) { notes = append(notes, Note{t, fmt.Sprintf(format, args...)}) }
	show, unit := m.Style().Show, m.Style().Unit
	ease := min(c.made.EaseWidth, c.made.EaseHeight)
	switch {
	case ease < 0:
		add(Trouble, "The card does not go in: it is %s %s larger than the inside. Give it more ease.", show(-ease), unit)
	case ease < c.made.EaseError.RSS:
		add(Care, "If cuts and scores are %s %s off, the card may not go in: give it more ease.", m.fine().Show(m.Style().Tick/2), unit)
	}
	for _, f := range c.made.Faults {
		if f.ID == blank.OpenBack {
			add(Trouble, "%s", m.holeWords(c.made))
			continue
		}
		tone, text := m.faultWords(c.id, f)
		add(tone, "%s", text)
	}
	if groove := m.Shop().Tools.Groove; groove > 0 && c.id != job.CutDown {
		add(Fine, "Its sizes are chosen so that every score falls in a groove of your board, every %s.", m.fine().Show(groove))
	}
	if reach := m.Shop().Tools.Reach; reach > 0 && c.id != job.CutDown {
		for _, s := range c.made.Scores {
			if s.At > reach {
				add(Care, "The score of the %s, at %s, lies further out than your board reaches, %s: measure it from the other edge, or mark both ends and score along a ruler.", s.Name, show(s.At), show(reach))
				break
			}
		}
	}
	if c.made.Depth == 0 && m.Thick().Used > measure.Inch/8 {
		add(Care, "At %s thick, score every crease twice, that far apart, or take a construction with walls.", show(m.Thick().Used))
	}
	if stock, _ := m.Shop().Stock(m.Job().Envelope.Stock); c.id != job.CutDown {
		if stock.GSM > 170 && c.made.Depth == 0 {
			add(Care, "%s is heavy for an envelope: it folds badly round a card. 80 to 170 gsm folds well.", stock.Name)
		}
		notes = append(notes, m.stockNotes(stock, c.id)...)
	}
	notes = append(notes, m.stripNotes(c)...)
	if c.id == job.CutDown {
		add(Fine, "Without sums: lay the card in the middle, mark %s beyond each of its sides (one seam and half of ease and thickness), and cut on the marks.", show(c.made.Seam+(m.Job().Envelope.Ease+m.Thick().Used)/2))
		if whole := m.judge(closed{width: c.from.Outer.Width, height: c.from.Outer.Height, thickness: m.closed(c).thickness, stock: m.closed(c).stock, area: c.made.Net.Sheet.Area()}); whole.rank < c.post.rank {
			add(Trouble, "Whole it would go as %s; cut down it goes as %s: check the post before cutting.", whole.short, c.post.short)
		}
	}
	return append(notes, m.whatWould(c, all)...)
}

// stockNotes says what a stock asks for when an envelope is made of it.
func (m maker) stockNotes(stock paper.Stock, id job.Construction) (notes []Note) {
	if len(m.Job().Card.Outline) > 0 {
		notes = append(notes, Note{Fine, fmt.Sprintf("The card is an odd shape: cut its rectangle of %s from scrap, and fold the envelope round both together.", m.by(m.Job().Card.Width, m.Job().Card.Height))})
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
		notes = append(notes, Note{Trouble, fmt.Sprintf("%s does not hold on a face that is %s: %s.", a.Name, stock.Surface, better)})
	}
	if stock.Pattern == paper.Unknown && !m.Job().Envelope.PatternInside {
		return notes
	}
	if m.Job().Envelope.PatternInside {
		notes = append(notes, Note{Fine, "The patterned side shows inside: lay it up when you score, and write the address on the plain outside."})
	} else {
		notes = append(notes, Note{Fine, "The patterned side shows outside: lay it down when you score. A dark or busy outside wants a plain label for the address."})
	}
	if stock.Pattern != paper.Unknown {
		if id.HasTop() {
			notes = append(notes, Note{Fine, "Its pattern has a top: the closing flap is the top, so the blank lies on the sheet one way only."})
		} else {
			notes = append(notes, Note{Care, "Its pattern has a top, and on a square that stands on its point it runs slantwise over the face: for an upright one take a pocket. Pencil TOP on the throat's corner."})
		}
	}
	return notes
}

// madeDimensions are the measures drawn on a net: its face, and each score from
// the edge it is measured from.
func (m maker) madeDimensions(made blank.Made) []Dimension {
	x0, y0, x1, y1 := made.Net.Panels[0].Outline.Box()
	low, high := blank.Point{X: x0, Y: y0}, blank.Point{X: x1, Y: y1}
	mark := func(id string, a, b blank.Point, shift float64) Dimension {
		l := measure.Round((abs(a.X-b.X) + abs(a.Y-b.Y)) * float64(measure.Millimetre))
		return Dimension{ID: id, From: a, To: b, Shift: shift, Text: m.Style().Show(l), Nm: l}
	}
	y, x := low.Y+(high.Y-low.Y)*0.3, low.X+(high.X-low.X)*0.25
	list := []Dimension{
		mark("width", blank.Point{X: low.X, Y: y}, blank.Point{X: high.X, Y: y}, 0),
		mark("height", blank.Point{X: x, Y: low.Y}, blank.Point{X: x, Y: high.Y}, 0),
	}
	if made.Kind == blank.SquareBoxKind {
		return list
	}
	// Beside the sheet, the height of every panel in the face's column that has
	// room for its number.
	const room = 14 // mm
	_, _, right, _ := made.Net.Sheet.Box()
	middle := (low.X + high.X) / 2
	for _, p := range made.Net.Panels {
		left, top, far, end := p.Outline.Box()
		if left < middle && middle < far && end-top > room && p.ID != made.Net.Panels[0].ID {
			list = append(list, mark("beside "+p.ID, blank.Point{X: far, Y: top}, blank.Point{X: far, Y: end}, right-far+4))
		}
	}
	return list
}
