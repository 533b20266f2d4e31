package plan

import (
	"cmp"
	"math"

	"yellowparcel/core/blank"
	"yellowparcel/core/job"
	"yellowparcel/core/mail"
	"yellowparcel/core/measure"
	"yellowparcel/core/paper"
)

// closed is a filled envelope as the post sees it, or a bare card.
type closed struct {
	width, height, thickness measure.Length
	layers                   int
	// area of the envelope's paper in mm², and its stock.
	area  float64
	stock paper.Stock
	// bare is set when there is no envelope.
	bare bool
	net  blank.Net
}

// wider is what its creases are set apart because a folded crease eats paper.
func (c closed) wider() measure.Length { return blank.Wider(c.stock.Caliper) }

func (m maker) closed(c candidate) closed {
	if m.Job().Post.Bare {
		size := m.Outer()
		return closed{width: size.Width, height: size.Height, thickness: m.Thick().Used, bare: true}
	}
	id := m.Job().Envelope.Stock
	if c.kind.Bought {
		id = soldPaper
	}
	stock, _ := m.Shop().Stock(id)
	return closed{
		width: c.made.Width, height: c.made.Height, layers: c.made.Folded.Layers, area: c.made.Net.Area(), stock: stock,
		thickness: max(m.Thick().Used, c.made.Depth) + stock.Caliper*measure.Length(c.made.Folded.Layers) + m.closure().Caliper,
		net:       c.made.Net,
	}
}

// whole is a bought envelope before it is cut down.
func (m maker) whole(c candidate) closed {
	e, from := m.closed(c), c.made.From
	return closed{width: from.Width, height: from.Height, thickness: e.thickness, stock: e.stock, area: c.made.Net.Sheet.Area()}
}

// closure is what closes the envelope; nothing on a bare card.
func (m maker) closure() paper.Closure {
	if m.Job().Post.Bare {
		return paper.Closure{}
	}
	c, _ := paper.ClosureByID(m.Job().Post.Closure)
	return c
}

// glueShare is what adhesive adds to the weight of the paper, foamError how far
// foam may give, weightError how far a predicted weight is off.
const (
	glueShare   = 0.03
	foamError   = 0.15
	weightError = 0.05
	// What a caliper and a scale may be off.
	caliperError = 50 * measure.Micrometre
	scaleError   = 0.5
)

// weightLine is what one thing of the piece weighs.
type weightLine struct {
	name  string
	grams float64
}

// weights is what the piece weighs, part by part.
func (m maker) weights(e closed) (list []weightLine, sum float64) {
	put := func(name string, grams float64) {
		if grams > 0 {
			list, sum = append(list, weightLine{name, grams}), sum+grams
		}
	}
	for i := range m.Relief().Parts {
		put(m.Relief().Parts[i].Name, m.Relief().Parts[i].Grams)
	}
	if !e.bare {
		put("Envelope", e.area/1e6*e.stock.GSM)
	}
	put("Adhesive", sum*glueShare)
	put("Closure", m.closure().Grams)
	return list, sum
}

// piece is the closed envelope with the card in it: what was measured where it
// was, else what the sums predict.
func (m maker) piece(e closed) mail.Piece {
	_, grams := m.weights(e)
	r := m.Relief()
	p := mail.Piece{
		Width: e.width, Height: e.height, Thickness: e.thickness, Weight: grams, AddressShort: m.Job().Post.AddressShort,
		SizeError:   m.Style().Tick, // two creases, each half a tick off
		WeightError: grams * weightError, ThicknessError: m.thicknessError(),
		Clasp: m.closure().Clasp, Plastic: e.stock.Surface == paper.Acetate, Bare: e.bare, Radius: m.Job().Post.Radius,
		Folded: !m.Job().Card.Fold.Kind().Unfolded, Odd: e.bare && len(m.Job().Card.Outline) > 0,
	}
	// What was measured counts, and what the sums say it changed by since.
	measured := m.Job().Post.Measured
	thick, weight := otherPiece(measured, e.thickness, grams)
	if measured.Thickness > 0 {
		p.Thickness, p.ThicknessError = measured.Thickness, caliperError
	}
	if thick {
		p.Thickness, p.ThicknessError = max(caliperError, measured.Thickness+e.thickness-measured.ThicknessOf), m.thicknessError()
	}
	if measured.Grams > 0 {
		p.Weight, p.WeightError = measured.Grams, scaleError
	}
	if weight {
		p.Weight = max(scaleError, measured.Grams+grams-measured.GramsOf)
		p.WeightError = scaleError + math.Abs(grams-measured.GramsOf)*weightError
	}
	const inch = 25.4
	p.Lump = m.Rise()
	if m.closure().Lump {
		p.Lump = max(p.Lump, m.closure().Caliper)
	}
	// An inch in from the envelope's edges, with the card in its middle.
	cx, cy := m.Job().Card.Width.Millimetres()/2, m.Job().Card.Height.Millimetres()/2
	if w, h := e.width.Millimetres()/2-inch, e.height.Millimetres()/2-inch; w > 0 && h > 0 {
		p.Uneven = nm(r.Uneven(cx-w, cy-h, cx+w, cy+h))
	}
	beam, scaled := m.beam(e, grams)
	p.Pull, p.Strain = beam.Pull(), beam.Strain
	p.PullAtMost = p.Pull * mail.PullAtMost
	if scaled {
		p.PullAtMost = p.Pull * pullMeasured
	}
	return p
}

func nm(mm float64) measure.Length { return measure.Round(mm * float64(measure.Millimetre)) }

// pullMeasured is how far the pull may be off when the stiffness was measured.
const pullMeasured = 1.25

// thicknessError is how far the predicted thickness may be off: foam gives, and
// papers differ.
func (m maker) thicknessError() measure.Length {
	if m.Thick().Measured {
		return caliperError
	}
	foam := 0.0
	for _, i := range m.Relief().Chain {
		foam += m.Relief().Parts[i].Foam
	}
	return max(caliperError, nm(foam*foamError))
}

// beam is the piece as it is bent along its length, scaled to what was measured
// of its stiffness at home.
func (m maker) beam(e closed, grams float64) (b mail.Beam, scaled bool) {
	b = m.bare(e)
	factor := m.Job().Post.Measured.Stiffer
	if factor == 0 {
		factor, _ = m.stiffer(b, grams)
	}
	if factor == 0 {
		return b, false
	}
	return b.Scaled(factor, 1), true
}

// bare is the piece as it is bent along its length, by the sums alone.
func (m maker) bare(e closed) mail.Beam {
	wide := e.width >= e.height
	panels := 1
	if !m.Job().Card.Fold.Kind().Unfolded {
		panels = m.Job().Spec(m.Job().Card.Fold, m.Shop()).Layers()
	}
	length := max(e.width, e.height).Millimetres()
	if e.bare {
		length = 0
	}
	return mail.NewBeam(m.Relief(), m.sheets(e, wide), length, wide, panels)
}

// stiffer is by how much the piece came out stiffer than the sums have it, when it
// was bent at home; false where it was not, or not so that it tells anything.
func (m maker) stiffer(b mail.Beam, grams float64) (float64, bool) {
	t := m.Job().Post.Measured
	if t.Grams > 0 {
		grams = t.Grams
	}
	switch {
	case t.Apart > 0 && t.Sag > 0 && t.Load > 0 && t.Apart.Millimetres() < b.Length:
		return b.Sag(t.Apart.Millimetres(), t.Load) / t.Sag.Millimetres(), true
	case t.Overhang > 0 && droopOK(t, b.Length):
		return b.Droop(t.Overhang.Millimetres(), grams) / t.Droop.Millimetres(), true
	}
	return 0, false
}

// droopOK reports whether a droop can be used: between 1 mm and a quarter of the
// overhang, which is shorter than the piece.
func droopOK(t job.Measured, length float64) bool {
	return t.Droop >= measure.Millimetre && t.Droop <= t.Overhang/4 && t.Overhang.Millimetres() < length
}

// envelopeModulus is that of envelope paper, in GPa: along the grain or across it
// nobody knows, so the stiffer counts.
const envelopeModulus = 5

// sheets are the envelope's own panels along the length of the piece, each as
// broad as it is on the whole.
func (m maker) sheets(e closed, wide bool) (list []mail.Sheet) {
	if e.bare || len(e.net.Panels) == 0 {
		return nil
	}
	x0, y0, _, _ := e.net.Panels[0].Outline.Box()
	for _, panel := range e.net.Lying() {
		left, top, right, end := panel.Box()
		low, high := left-x0, right-x0
		if !wide {
			low, high = top-y0, end-y0
		}
		if high-low > 0 {
			list = append(list, mail.Sheet{From: low, To: high, Breadth: panel.Area() / (high - low), Caliper: e.stock.Caliper.Millimetres(), Modulus: envelopeModulus, Times: 1})
		}
	}
	return list
}

// posted is the forecast for a closed envelope.
type posted struct {
	short string
	tone  Tone
	rank  int // cheaper classes first
	class string
	// shape is set when a surcharge falls due for the shape.
	shape bool
}

// book is a rulebook of the shop's own, or one that ships.
func (m maker) book() (mail.Rulebook, bool) { return m.Shop().Book(m.Job().Post.Destination) }

// worst is the rank of what no class takes.
const worst = 99

func (m maker) judge(c closed) posted {
	book, ok := m.book()
	if !ok {
		return posted{short: "by hand", tone: Fine}
	}
	return m.forecast(m.verdictOf(book, m.piece(c)))
}

// verdictOf judges a piece and goes up to the class that the maker wants it to
// go as at least.
func (m maker) verdictOf(book mail.Rulebook, p mail.Piece) mail.Verdict {
	v := book.Judge(p)
	if m.Job().Post.Class == "" || book.ID != m.Job().Post.Destination {
		return v
	}
	reached, taken := false, false
	for _, r := range v.Results {
		taken = taken || r.Class.ID == v.Class
		reached = reached || r.Class.ID == m.Job().Post.Class
		if ok := r.Outcome == mail.Goes || r.Outcome == mail.Surcharged || r.Outcome == mail.Doubtful; reached && taken && ok {
			v.Class = r.Class.ID
			break
		}
	}
	return v
}

func (m maker) forecast(v mail.Verdict) posted {
	r, taken := v.Result()
	switch {
	case !v.Mailable:
		return posted{short: "not mailable", tone: Trouble, rank: worst}
	case !taken && v.AskFirst:
		return posted{short: "ask first", tone: Care, rank: worst - 1}
	case !taken:
		return posted{short: "no letter", tone: Trouble, rank: worst - 1}
	}
	i := 0
	for k, class := range v.Results {
		if class.Class.ID == r.Class.ID {
			i = k
		}
	}
	first := 0
	for k, c := range v.Rulebook.Classes {
		if c.ID == v.Rulebook.Enveloped().ID {
			first = k
		}
	}
	p := posted{short: r.Class.Name, tone: Fine, rank: 3 * i, class: r.Class.ID}
	if i > first {
		p.tone = Care
	}
	switch r.Outcome {
	case mail.Surcharged:
		p.short, p.tone, p.rank = p.short+" + surcharge", Care, p.rank+1
		if onlyGuidance(r.Checks) {
			p.short += "?"
		}
		for _, c := range r.Checks {
			k, _ := c.Measure.Known()
			p.shape = p.shape || !c.OK && k.Shape
		}
	case mail.Doubtful:
		p.short, p.tone, p.rank = p.short+", ask first", Care, p.rank+2
	}
	return p
}

// onlyGuidance reports whether nothing but guidance is broken: the post may or
// may not see it so.
func onlyGuidance(checks []mail.Check) bool {
	for _, c := range checks {
		if !c.OK && !c.Guidance {
			return false
		}
	}
	return true
}

// compare ranks forecasts, cheapest first.
func (p posted) compare(q posted) int { return cmp.Compare(p.rank, q.rank) }
