package plan

import (
	"context"
	"fmt"
	"math"
	"slices"
	"strings"

	"yellowparcel/core/blank"
	"yellowparcel/core/card"
	"yellowparcel/core/compare"
	"yellowparcel/core/cutting"
	"yellowparcel/core/drawing"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/piece"
	"yellowparcel/core/say"
)

// BenchPlan is the station Bench: what is made of the job, at its true size.
type BenchPlan struct {
	Sentence say.Sentence `json:"sentence"`
	Pieces   []BenchPiece `json:"pieces"`
	// Cutter are the paths of what the files for a cutter go by.
	Cutter []string `json:"cutter" format:"field-path"`
	// Mats is the job laid on the cutter's mats; nil unless just that is looked at.
	Mats  *MatPlan   `json:"mats,omitempty"`
	Notes []say.Note `json:"notes"`
}

// BenchPiece is one thing that is drawn, printed and cut at its true size.
type BenchPiece struct {
	ID   string `json:"id"`
	Name string `json:"name"`
	Size string `json:"size"`
	// Width and Height are those of the rectangle that it is cut from.
	Width  measure.Length `json:"-"`
	Height measure.Length `json:"-"`
	// Count is how many the job takes; zero for what helps to make it.
	Count int `json:"count"`
	// Paper is the stock's name; empty where it is of none.
	Paper string          `json:"paper"`
	Flat  drawing.Drawing `json:"flat"`
	Words string          `json:"words"`
	// Singles are what it is written as one by one: a ladder's swatches.
	Singles []BenchSingle `json:"singles,omitempty"`
}

// BenchSingle is one of several that are drawn together, by itself.
type BenchSingle struct {
	ID   string `json:"id"`
	Name string `json:"name"`
}

// The pieces that are no parts of the card.
const (
	blankPiece  = "envelope"
	linerPiece  = "envelope-liner"
	shapePiece  = "outline"
	gaugePiece  = "gauge"
	ladderPiece = "swatches"
)

type benchStation struct{ maker }

// atBench are the station's drawers: each looks at a piece.
var atBench = []Open{"bench/steps", "bench/pieces", "bench/tools", "bench/mats", "bench/cutter"}

// bench is the station's account, for one who looks at it; empty for others.
func (m benchStation) bench(c compare.Candidate, p Plan) BenchPlan {
	b := BenchPlan{Pieces: []BenchPiece{}, Cutter: []string{}, Notes: []say.Note{}, Sentence: say.That("")}
	if !m.open.shows(atBench...) {
		return b
	}
	b.Pieces = m.pieces(c, p)
	if m.open == "bench/mats" { // asked for by name alone: nobody else needs the search
		b.Mats = m.withEffort().mats(c, b.Pieces)
	}
	for i := range b.Pieces {
		b.Pieces[i].Flat = b.Pieces[i].Flat.Drawn()
	}
	cut := 0
	for _, x := range b.Pieces {
		if x.Count > 0 {
			cut++
		}
	}
	b.Sentence = say.That("Print or cut [%s] at true size, for %s.", say.Plural(cut, "piece"), say.Plural(m.Job().Count, "card"))
	if cut == 0 {
		b.Sentence = say.That("There is nothing to cut: everything is cut already.")
	}
	for _, t := range job.BenchTools() {
		if t.ID == job.CutterTool {
			b.Cutter = t.Paths()[1:] // there is one, for whoever looks here
		}
	}
	b.Notes = append(b.Notes, say.Fine.Says("Measure the check bar on every print, and the 4 in line of every file, before you cut good paper."))
	return b
}

// withEffort is the station with searches of its own.
func (m benchStation) withEffort() benchStation {
	m.Effort = cutting.NewEffort(context.Background(), planSteps)
	return m
}

// benchShort is the station's line on the ticket.
func benchShort(p PaperPlan) string {
	n := 0
	for _, s := range p.Stocks {
		n += len(s.Pieces)
	}
	return say.Plural(n, "piece")
}

// pieces are what is cut of the job, then what helps to make it.
func (m benchStation) pieces(c compare.Candidate, p Plan) (list []BenchPiece) {
	for _, o := range (paperStation(m)).cuts(c) {
		for _, cut := range o.Cuts {
			x := BenchPiece{
				ID: cut.ID, Name: cutName(cut), Size: m.by(cut.Size.Width, cut.Size.Height), Width: cut.Size.Width, Height: cut.Size.Height, Count: m.Job().Count, Paper: o.Stock.Name,
				Flat: drawing.Piece(cut.Size, cut.Window),
			}
			x.Words = fmt.Sprintf("%s, a rectangle of %s.", x.Name, x.Size)
			if cut.Window != nil {
				x.Words = fmt.Sprintf("%s, a rectangle of %s with an opening of %s in its middle.", x.Name, x.Size, m.by(cut.Window.Width, cut.Window.Height))
			}
			switch {
			case cut.Role == piece.BlankRole:
				x.ID, x.Flat, x.Words = blankPiece, envelopeStation(m).flat(c), p.Envelope.Blank.Drawing
			case cut.Role == piece.LinerRole:
				x.ID, x.Flat, x.Words = linerPiece, drawing.Within("liner", c.Made.Lining, cut.Size), "The envelope's liner, "+x.Size+"."
			case cut.ID == m.Job().Parts[0].ID:
				x.Flat, x.Words = cardStation(m).flat(), p.Card.Drawing
			}
			list = append(list, x)
		}
	}
	if c.Kind.Bought && !c.Kind.Whole && job.MakesEnvelope(m.Job()) {
		list = append(list, BenchPiece{ID: blankPiece, Name: "Cuts on the envelope", Size: m.by(c.Made.From.Width, c.Made.From.Height), Width: c.Made.From.Width, Height: c.Made.From.Height, Count: m.Job().Count, Flat: envelopeStation(m).flat(c), Words: p.Envelope.Blank.Drawing})
	}
	if shape := m.Job().Card.Outline; len(shape) > 0 && job.MakesBase(m.Job()) {
		flat := drawing.Outline("outline", shape)
		list = append(list, BenchPiece{ID: shapePiece, Name: "Card's outline", Size: m.byMM(flat), Flat: flat, Words: "The outline of the card."})
	}
	if g := p.Mail.Gauge; g != nil && g.OK {
		list = append(list, BenchPiece{ID: gaugePiece, Name: "Thickness gauge", Size: m.by(g.Width.Nm, g.Height.Nm), Flat: g.Flat, Words: g.Text})
	}
	if !job.MakesLayers(m.Job()) {
		return list // swatches try layers
	}
	ladder := layersStation(m).ladder()
	swatches := BenchPiece{ID: ladderPiece, Name: "Swatches", Size: m.byMM(ladder.Flat), Flat: ladder.Flat, Words: ladder.Drawing}
	for i, s := range ladder.Swatches {
		swatches.Singles = append(swatches.Singles, BenchSingle{fmt.Sprintf("swatch-%d", i+1), s.Size})
	}
	return append(list, swatches)
}

// swatch is one swatch of the ladder by itself, with its size and its border on it.
func (m benchStation) swatch(id string) (BenchPiece, bool) {
	for i, s := range (layersStation(m)).ladder().Swatches {
		if id == fmt.Sprintf("swatch-%d", i+1) {
			size := card.Size{Width: s.Width.Nm, Height: s.Height.Nm}
			name := fmt.Sprintf("%s, border %s", s.Size, s.Border.Text)
			return BenchPiece{ID: id, Name: "Swatch", Size: s.Size, Width: size.Width, Height: size.Height, Flat: drawing.Swatch(size, name), Words: fmt.Sprintf("A swatch of %s, which leaves a border of %s.", s.Size, s.Border.Text)}, true
		}
	}
	return BenchPiece{}, false
}

// level is the piece with its sheet lying as it is cut, as wide as it is called.
func (x BenchPiece) level() BenchPiece {
	x.Flat = x.Flat.Level()
	if wide := x.Width.Millimetres(); wide > 0 && x.Flat.Width != x.Flat.Height && math.Abs(x.Flat.Width-wide) > 0.1 && math.Abs(x.Flat.Height-wide) < 0.1 {
		x.Flat = x.Flat.QuarterTurned()
	}
	return x
}

// byMM writes the size of a drawing.
func (m benchStation) byMM(d drawing.Drawing) string {
	to := func(mm float64) measure.Length { return measure.Round(mm * float64(measure.Millimetre)) }
	return m.by(to(d.Width), to(d.Height))
}

// PieceOf is one of a job's pieces as it is written to a file, exactly, and with its sheet lying
// level; false where the job has none of that name.
func PieceOf(j job.Job, shop job.Shop, id string) (BenchPiece, bool) {
	m, c, p := benchOf(j, shop)
	if m.Waits() {
		return BenchPiece{}, false
	}
	list := m.pieces(c, p)
	if on, ok := job.MatFor(shop, j); ok && strings.HasPrefix(id, "mat-") {
		for _, l := range m.matLoads(m.onMat(on, c, list)) {
			if l.ID == id {
				return BenchPiece{ID: l.ID, Name: l.Name, Size: l.Size, Width: on.Width, Height: on.Height, Count: l.Times, Paper: l.Paper, Flat: l.Flat, Words: l.Words}, true
			}
		}
	}
	if at := slices.IndexFunc(list, func(x BenchPiece) bool { return x.ID == id }); at >= 0 {
		return list[at].level(), true
	}
	if x, ok := m.swatch(id); ok {
		return x, true
	}
	return BenchPiece{}, false
}

// Table is all that a worksheet is written from: the plan, and the pieces exactly, each with its
// sheet lying level.
type Table struct {
	Plan   Plan
	Pieces []BenchPiece
	Job    job.Job
	Shop   job.Shop
	// Made is the envelope, Kind its construction.
	Made blank.Made
	Kind *blank.Construction
	// Enveloped is set unless the card goes without one.
	Enveloped bool
	// Thick is what the closed piece measures.
	Thick measure.Length
	// Mats is everything laid on the mat that the job is cut on; nothing without a cutter, or a mat.
	Mats []MatStock
}

// TableOf works a job out for the bench.
func TableOf(j job.Job, shop job.Shop) Table {
	m, c, p := benchOf(j, shop)
	if m.Waits() {
		return Table{Plan: p, Pieces: []BenchPiece{}, Job: j, Shop: shop, Kind: c.Kind}
	}
	t := Table{Plan: p, Pieces: m.pieces(c, p), Job: j, Shop: shop, Made: c.Made, Kind: c.Kind, Enveloped: job.MakesEnvelope(j), Thick: m.Thick().Used}
	for i := range t.Pieces {
		t.Pieces[i] = t.Pieces[i].level()
	}
	if on, ok := job.MatFor(shop, j); ok && shop.Tools.Has(job.CutterTool) {
		t.Mats = m.withEffort().onMat(on, c, t.Pieces)
	}
	return t
}

// Prints are the drawings that are printed or cut at true size, by the IDs of pieces and loads.
func (t Table) Prints() map[string]drawing.Drawing {
	prints := map[string]drawing.Drawing{}
	for _, x := range t.Pieces {
		prints[x.ID] = x.Flat
	}
	n := 0
	for _, m := range t.Mats {
		for _, d := range m.Drawn {
			n++
			prints[MatID(n)] = d
		}
	}
	return prints
}

// Piece is one of the pieces; false where there is none of that ID.
func (t Table) Piece(id string) (BenchPiece, bool) {
	for _, x := range t.Pieces {
		if x.ID == id {
			return x, true
		}
	}
	return BenchPiece{}, false
}

// The IDs of the pieces that are no parts of the card.
const (
	BlankPiece = blankPiece
	LinerPiece = linerPiece
	GaugePiece = gaugePiece
)

// benchOf works out what the files of a job are made of.
func benchOf(j job.Job, shop job.Shop) (benchStation, compare.Candidate, Plan) {
	m := newMaker(j, shop)
	p, _ := makeWith(cutting.NewEffort(context.Background(), planSteps), j, shop, "mail/gauge")
	return benchStation{m}, m.Chosen(), p
}

// Scoring is how the shop's cutter makes fold lines.
func Scoring(shop job.Shop) drawing.Scoring {
	dash, gap, inset := shop.Tools.Cutter.Perforation()
	return drawing.Scoring{Line: drawing.Line(shop.Tools.Cutter.Scores), Dash: dash, Gap: gap, Inset: inset}
}
