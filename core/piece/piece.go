// Package piece is what follows from a job by itself: its parts laid on each other,
// its thickness, what sticks out past its edges, and what its thickness takes of an
// envelope.
//
// A Piece is worked out whole from a job and a shop and never changed: whoever
// changes the job has another piece. Lengths are nanometres, the relief is in
// millimetres. The formulas are in docs/sums.md, "Thickness" and "Relief".
//
//	p := piece.Of(j, shop)
//	p.Thick().Used
package piece

import (
	"maps"
	"slices"

	"yellowparcel/core/card"
	"yellowparcel/core/job"
	"yellowparcel/core/mail"
	"yellowparcel/core/measure"
	"yellowparcel/core/paper"
)

// Thickness is how thick the card is over everything.
type Thickness struct {
	// Used is what the sums count with: as measured, else as predicted.
	Used      measure.Length
	Predicted measure.Length
	Measured  bool
}

// Piece is a job with what follows from it by itself.
type Piece struct {
	job     job.Job
	shop    job.Shop
	style   measure.Style
	missing []job.Missing
	// laid are the places in the list of parts of what lies on each other, from the
	// table up.
	laid   []int
	relief mail.Relief
	thick  Thickness
	rise   measure.Length
	over   card.Size
	waits  bool
}

// Of works out the piece of a job. Whatever the shop has no longer has a stand-in.
func Of(j job.Job, shop job.Shop) Piece {
	waits := !j.Card.Sized()
	j, missing := j.StandIns(shop)
	if stocked := shop.Stocked(); len(missing) > 0 {
		shop = stocked
		j, _ = j.StandIns(shop)
	}
	p := of(j, shop, missing)
	p.waits = waits
	return p
}

// of is the piece of a job whose stand-ins are in place.
func of(j job.Job, shop job.Shop, missing []job.Missing) Piece {
	p := Piece{job: j, shop: shop, style: shop.Style(), missing: missing, laid: laid(j)}
	p.relief = lay(j, shop, p.laid)
	rise, _ := p.relief.Lump(LumpWithin)
	p.rise = measure.Round(rise * float64(measure.Millimetre))
	return p.measured()
}

// measured works out what follows from the relief and the card's own sizes.
func (p Piece) measured() Piece {
	p.thick, p.over = thickness(p.job, p.relief), overhang(p.job)
	return p
}

// With is the piece of another job in the same shop, which names nothing that the
// shop has not: as Of, but where the card is made as before its parts are not laid
// again.
func (p Piece) With(j job.Job) Piece {
	if !laidAlike(p.job, j) {
		return of(j, p.shop, p.missing)
	}
	p.job = j
	return p.measured()
}

// laidAlike reports whether the parts of two jobs lie on each other in the same way.
func laidAlike(a, b job.Job) bool {
	same := func(p, q job.Part) bool {
		if (p.Edges == nil) != (q.Edges == nil) || (p.Own == nil) != (q.Own == nil) || (p.Thing == nil) != (q.Thing == nil) {
			return false
		}
		if p.Edges != nil && *p.Edges != *q.Edges || p.Own != nil && *p.Own != *q.Own || p.Thing != nil && *p.Thing != *q.Thing {
			return false
		}
		p.Edges, p.Own, p.Thing = q.Edges, q.Own, q.Thing
		return p == q
	}
	c, d := a.Card, b.Card
	return c.Width == d.Width && c.Height == d.Height && c.Fold == d.Fold && c.Panels == d.Panels && c.Spine == d.Spine &&
		slices.Equal(c.Own, d.Own) && maps.Equal(c.Asked, d.Asked) && slices.EqualFunc(a.Parts, b.Parts, same)
}

// Job is the job that the piece is of, with stand-ins for what is missing; not to be
// written to.
func (p Piece) Job() job.Job { return p.job }

// Waits reports whether the job's card is not chosen yet: then all that follows from its size is of one that
// stands in, and is told to nobody.
func (p Piece) Waits() bool { return p.waits }

// Shop is the shop that it is made in.
func (p Piece) Shop() job.Shop { return p.shop }

// Style is how the shop reads and shows lengths.
func (p Piece) Style() measure.Style { return p.style }

// Missing is what the job goes by and the shop has no longer.
func (p Piece) Missing() []job.Missing { return p.missing }

// Laid are the places in the list of parts of the relief's parts.
func (p Piece) Laid() []int { return p.laid }

// Relief is the card's parts laid on each other.
func (p Piece) Relief() mail.Relief { return p.relief }

// Thick is how thick the card is.
func (p Piece) Thick() Thickness { return p.thick }

// Rise is the greatest rise within an inch.
func (p Piece) Rise() measure.Length { return p.rise }

// Over is how much what sticks out past the edges adds to the size.
func (p Piece) Over() card.Size { return p.over }

// Outer is the card with all that sticks out past its edges.
func (p Piece) Outer() card.Size {
	return card.Size{Width: p.job.Card.Width + p.over.Width, Height: p.job.Card.Height + p.over.Height}
}

// Block reports whether the card is thicker than its shorter side: a block, not a card.
// Nothing follows from one.
func (p Piece) Block() bool { return p.thick.Used >= p.short() }

// short is the shorter side of the card.
func (p Piece) short() measure.Length { return min(p.job.Card.Width, p.job.Card.Height) }

// thinnest is the least that a card may count as thick.
const thinnest = 10 * measure.Micrometre

// LumpWithin is the inch, in millimetres, within which a rise counts as a lump.
const LumpWithin = 25.4

// laid are the places in the list of parts of what lies on each other, from the
// table up: base, what lies in the card, layers and things in their order, and what
// lies over everything.
func laid(j job.Job) (list []int) {
	over := func(p job.Part) bool { return p.Thing != nil && p.Thing.Over }
	inside := func(p job.Part) bool {
		return p.Kind == job.LinerPart || p.Thing != nil && p.Thing.Inside && !p.Thing.Over
	}
	sizes := j.PartSizes()
	for _, take := range []func(job.Part) bool{
		func(p job.Part) bool { return p.Kind == job.BasePart },
		inside,
		func(p job.Part) bool { return p.Kind != job.BasePart && !inside(p) && !over(p) },
		over,
	} {
		for i, p := range j.Parts {
			if take(p) && sizes[i].Width > 0 {
				list = append(list, i)
			}
		}
	}
	return list
}

// lay lays the parts of the card on each other.
func lay(j job.Job, shop job.Shop, laid []int) mail.Relief {
	stacked := j.Stacked()
	place := map[int]card.Layer{0: stacked[0]}
	for i, at := range j.LayerParts() {
		if i+1 < len(stacked) {
			place[at] = stacked[i+1]
		}
	}
	for _, at := range j.PartsOf(job.LinerPart) {
		if l, _, ok := card.Stack(j.Page(), []card.Mount{j.Parts[at].Mount()}); ok {
			place[at] = l[0]
		}
	}
	var parts []mail.Part
	for _, at := range laid {
		p := j.Parts[at]
		if p.Thing != nil {
			parts = append(parts, thing(*p.Thing, p.Name))
			continue
		}
		stock, _ := shop.Stock(p.Stock)
		l, n := place[at], job.LayersOf(j, p)
		q := box(l.X, l.Y, l.Width, l.Height)
		q.Name, q.Foam = p.Name, p.Foam.Millimetres()
		q.Caliper = (stock.Caliper*measure.Length(n) + p.Foam).Millimetres()
		q.Bends = true
		q.Modulus, q.Grams = stock.Modulus(), stock.Weight(l.Width, l.Height)*float64(n)
		q.Loose = p.Kind == job.LinerPart // glued along one edge only
		parts = append(parts, q)
	}
	return mail.NewRelief(parts[:min(len(parts), mail.MostParts)])
}

func box(x, y, w, h measure.Length) mail.Part {
	return mail.Part{X0: x.Millimetres(), Y0: y.Millimetres(), X1: (x + w).Millimetres(), Y1: (y + h).Millimetres()}
}

// thing is a thing as it lies on the face.
func thing(t job.Thing, name string) mail.Part {
	p := box(t.X, t.Y, t.Width, t.Height)
	p.Name, p.Disc, p.Caliper, p.Draping = name, t.Disc, t.Caliper.Millimetres(), t.Draping
	p.Grams, p.Loose, p.Free = t.Grams, t.Inside || t.Over, !t.Keep && !t.Over
	p.Modulus = modulus(t.Type)
	p.Bends = t.Over
	return p
}

// modulus is the stiffness of what a kind of thing is made of, in GPa.
func modulus(id string) float64 {
	if t, ok := paper.ThingByID(id); ok {
		return t.Modulus
	}
	return 3
}

// thickness is the greatest height of the parts, or what the maker measured; what
// the parts grew or shrank since then is counted on.
func thickness(j job.Job, r mail.Relief) Thickness {
	t := Thickness{Predicted: measure.Round(r.Max * float64(measure.Millimetre))}
	t.Used = t.Predicted
	if j.Card.Thickness != nil {
		t.Used, t.Measured = *j.Card.Thickness, true
		if of := j.Card.ThicknessOf; of > 0 {
			t.Used = max(thinnest, t.Used+t.Predicted-of)
		}
	}
	return t
}

// AsMeasured is the relief made as high as the card was measured: what rises over
// the base is stretched.
func (p Piece) AsMeasured() mail.Relief {
	base, up := p.relief.Tops[0], p.relief.Max
	to := p.thick.Used.Millimetres()
	if !p.thick.Measured || p.thick.Used == p.thick.Predicted {
		return p.relief
	}
	parts := append([]mail.Part(nil), p.relief.Parts...)
	if up <= base || to <= base {
		// Nothing on the base, or pressed flat: a block.
		parts[0].Caliper = to
		for i := range parts[1:] {
			parts[i+1].Caliper, parts[i+1].Foam = 0, 0
		}
		return mail.NewRelief(parts)
	}
	factor := (to - base) / (up - base)
	for i := range parts[1:] {
		parts[i+1].Caliper *= factor
		parts[i+1].Foam *= factor
	}
	return mail.NewRelief(parts)
}

// reach is the rectangle round the face and all that lies on it.
func reach(j job.Job) (left, above, right, below measure.Length) {
	right, below = j.Card.Width, j.Card.Height
	for _, p := range j.Parts {
		if t := p.Thing; t != nil {
			left, above, right, below = min(left, t.X), min(above, t.Y), max(right, t.X+t.Width), max(below, t.Y+t.Height)
		}
	}
	return left, above, right, below
}

// overhang is how much what sticks out past the edges adds to the size.
func overhang(j job.Job) card.Size {
	left, above, right, below := reach(j)
	return card.Size{Width: max(j.Card.OverWidth, right-left-j.Card.Width), Height: max(j.Card.OverHeight, below-above-j.Card.Height)}
}

// Past is how far what sticks out reaches past the left and the top edge; what was
// typed without a side is shared out to both.
func (p Piece) Past() (left, above measure.Length) {
	left, above, right, below := reach(p.job)
	moreWide, moreHigh := p.over.Width-(right-left-p.job.Card.Width), p.over.Height-(below-above-p.job.Card.Height)
	return moreWide/2 - left, moreHigh/2 - above
}

// Heap is what the thickness takes of width and height as the card lies: half the
// way round it as it is seen from its end, less its size.
func (p Piece) Heap() card.Size {
	r := p.AsMeasured()
	room := func(wide bool) measure.Length {
		return measure.Round(max(0, r.EndOn(wide).Room()) * float64(measure.Millimetre))
	}
	return card.Size{Width: room(true), Height: room(false)}
}

// In is no piece at all, in a shop: for what is shown without a job.
func In(shop job.Shop) Piece { return Piece{shop: shop, style: shop.Style()} }
