package plan

import (
	"fmt"
	"slices"
	"strings"

	"yellowparcel/core/compare"
	"yellowparcel/core/drawing"
	"yellowparcel/core/job"
	"yellowparcel/core/mat"
	"yellowparcel/core/offer"
	"yellowparcel/core/piece"
	"yellowparcel/core/say"
)

// MatMisfit is a piece that does not go on the mat, and what would bring it there.
type MatMisfit struct {
	ID     string     `json:"id"`
	Text   string     `json:"text"`
	Offers []MatOffer `json:"offers"`
	// Sticks is by how much it sticks out, Flat how it lies there then.
	Sticks string          `json:"sticks"`
	Flat   drawing.Drawing `json:"flat"`
	Size   string          `json:"size"`
	Words  string          `json:"words"`
	name   string
}

// MatOffer is one way to bring a piece onto a mat.
type MatOffer struct {
	ID    string `json:"id"`
	Title string `json:"title"`
	// Text is what it costs.
	Text string `json:"text"`
}

// sticksOut draws a piece that does not go on the mat as it lies there best.
func (t MatStock) sticksOut(on mat.Mat, i int) drawing.Drawing {
	x := t.Pieces[i]
	outline := drawing.Worked(x.Flat).Corners()
	placed := on.Best(outline, t.Turns[i])
	placed.Piece = 0
	d := drawing.OnMat(t.Laid, mat.Load{Times: 1, Papers: []mat.Paper{t.Laid.Paper}, Placed: []mat.Placed{placed}}, []drawing.Laying{{Drawing: x.Flat, Part: x.ID, Name: x.Name}})
	_, _, right, bottom := d.Corners().Box()
	d.Width, d.Height = max(d.Width, right), max(d.Height, bottom)
	return d.Drawn()
}

// misfit says what does not go on the mat, and what would, each with what it costs.
func (m benchStation) misfit(on mat.Mat, c compare.Candidate, list []BenchPiece, t MatStock, miss mat.Misfit) MatMisfit {
	x, show := t.Pieces[miss.Piece], m.Style().Show
	outline, turns := drawing.Worked(x.Flat).Corners(), t.Turns[miss.Piece]
	of, goes := on.Goes(outline, turns)
	p := MatMisfit{
		ID: x.ID, name: x.Name, Offers: []MatOffer{}, Sticks: m.Style().Finest().ShowUnit((miss.Needs - miss.Has).Up(m.Style().Finest().Tick)) + " sticks out",
		Size: m.by(on.Width, on.Height), Flat: t.sticksOut(on, miss.Piece),
	}
	p.Words = fmt.Sprintf("“%s” on a mat of %s: %s.", x.Name, p.Size, p.Sticks)
	p.Size = m.byMM(p.Flat)
	size := func(on mat.Mat) string {
		w, h := on.Box(outline, turns)
		return m.by(w.Up(m.Style().Tick), h.Up(m.Style().Tick))
	}
	if goes {
		p.Text = fmt.Sprintf("“%s” goes on the mat, but on no sheet that you have for it. A sheet of %s would take it: enter one, or cut it by hand.", x.Name, size(on))
		return p
	}
	p.Text = fmt.Sprintf("“%s”: %s does not fit the %s that your mat can cut.", x.Name, show(of.Needs), show(of.Has))
	takes := ""
	orders := (paperStation(m)).cuts(c)
	for _, other := range job.OnMats(m.Shop()) {
		if other.ID == on.ID {
			continue
		}
		if _, goes := other.Goes(outline, turns); goes && takes == "" {
			takes = fmt.Sprintf(" Your %s takes it, of a sheet of %s.", say.Lower(other.Name), size(other))
		}
		at := slices.IndexFunc(orders, func(o piece.Order) bool { return o.Stock.ID == t.Stock.ID })
		s, ok := m.stockOnMat(other, orders[at], list)
		if ok && !slices.ContainsFunc(s.Laid.Misfits, func(q mat.Misfit) bool { return s.Pieces[q.Piece].ID == x.ID }) {
			p.Offers = append(p.Offers, MatOffer{"mat:" + other.ID, "Take the " + say.Lower(other.Name), fmt.Sprintf("This paper takes %s then, cut from %s.", say.Plural(s.Laid.Times(), "load"), s.Sheet.Name)})
		}
	}
	if takes == "" {
		w, h := on.Box(outline, turns)
		tick := m.Style().Tick
		takes = fmt.Sprintf(" A mat of %s would take it, with a sheet of %s.", m.by((w+2*on.Margin).Up(tick), (h+2*on.Margin).Up(tick)), m.by(w.Up(tick), h.Up(tick)))
	}
	p.Text += takes
	if x.ID == blankPiece {
		for _, o := range m.ontoMat(on, c, t) {
			p.Offers = append(p.Offers, m.ontoWords(o))
		}
	}
	if len(p.Offers) == 0 {
		p.Text = strings.TrimSuffix(p.Text, ".") + ", or cut it by hand."
	}
	return p
}

// ontoTold say each change, and what it costs.
var ontoTold = map[offer.WouldID]remedyTold{
	offer.LessSeam:  {[]say.Clause{say.Always("{less} less seam")}, []say.Clause{say.Always("The seam is {to} then; your adhesive is {tape} wide.")}},
	offer.LessEase:  {[]say.Clause{say.Always("{less} less ease")}, []say.Clause{say.Always("The card has {to} of room then.")}},
	offer.OtherKind: {[]say.Clause{say.Always("Use the {kind}")}, []say.Clause{say.Always("Its sheet is {sheet}, its seam {seam}.")}},
}

func (m benchStation) ontoWords(o offer.Onto) MatOffer {
	a, _ := m.Shop().Adhesive(m.Job().Envelope.Adhesive)
	show := m.Style().Show
	s := say.Slots{"less": show(o.Less), "to": show(o.To), "tape": show(a.Width), "sheet": m.by(o.Made.Made.SheetWidth, o.Made.Made.SheetHeight), "seam": show(o.Made.Made.Seam)}
	if o.Kind != nil {
		s["kind"] = say.Lower(o.Kind.Words.Name)
	}
	told := ontoTold[o.ID]
	return MatOffer{ontoID(o), s.Text(told.title...), s.Text(told.text...)}
}

// ontoID names a change among those of a piece.
func ontoID(o offer.Onto) string {
	if o.Kind != nil {
		return string(o.ID) + ":" + string(o.Kind.ID)
	}
	return string(o.ID)
}
