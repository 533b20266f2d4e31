package plan

import (
	"context"
	"fmt"

	"yellowparcel/core/card"
	"yellowparcel/core/mail"
	"yellowparcel/core/measure"
)

// newMaker gathers what every station of a plan needs.
func newMaker(j Job, shop Shop) maker {
	j, missing := j.StandIns(shop)
	shop = shop.Stocked()
	j, _ = j.StandIns(shop)
	r := j.relief(shop)
	rise, _ := r.Lump(lumpWithin)
	return maker{job: j, shop: shop, style: shop.Style(), thick: j.thickness(r), relief: r, pieces: j.pieces(), rise: nm(rise), missing: missing, effort: newEffort(context.Background(), planSteps)}
}

// lumpWithin is the inch, in millimetres, within which a rise counts as a lump.
const lumpWithin = 25.4

// pieces are the places in the list of parts of what lies on each other, from
// the table up: base, what lies in the card, layers and things in their order,
// and what lies over everything.
func (j Job) pieces() (list []int) {
	over := func(p Part) bool { return p.Thing != nil && p.Thing.Over }
	inside := func(p Part) bool { return p.Kind == LinerPart || p.Thing != nil && p.Thing.Inside && !p.Thing.Over }
	sizes := j.PartSizes()
	for _, take := range []func(Part) bool{
		func(p Part) bool { return p.Kind == BasePart },
		inside,
		func(p Part) bool { return p.Kind != BasePart && !inside(p) && !over(p) },
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

// relief lays the parts of the card on each other.
func (j Job) relief(shop Shop) mail.Relief {
	j, _ = j.StandIns(shop)
	stacked := j.Stacked()
	place := map[int]card.Layer{0: stacked[0]}
	for i, at := range j.LayerParts() {
		if i+1 < len(stacked) {
			place[at] = stacked[i+1]
		}
	}
	for _, at := range j.PartsOf(LinerPart) {
		if l, _, ok := card.Stack(j.Page(), []card.Mount{j.Parts[at].Mount()}); ok {
			place[at] = l[0]
		}
	}
	var parts []mail.Part
	for _, at := range j.pieces() {
		p := j.Parts[at]
		if p.Thing != nil {
			parts = append(parts, p.Thing.part(p.Name))
			continue
		}
		stock, _ := shop.Stock(p.Stock)
		l, n := place[at], LayersOf(j, p)
		q := box(l.X, l.Y, l.Width, l.Height)
		q.Name, q.Foam = p.Name, p.Foam.Millimetres()
		q.Caliper = (stock.Caliper*measure.Length(n) + p.Foam).Millimetres()
		q.Bends = true
		q.Modulus, q.Grams = stock.Modulus(), stock.Weight(l.Width, l.Height)*float64(n)
		q.Loose = p.Kind == LinerPart // glued along one edge only
		parts = append(parts, q)
	}
	return mail.NewRelief(parts[:min(len(parts), mail.MostParts)])
}

func box(x, y, w, h measure.Length) mail.Part {
	return mail.Part{X0: x.Millimetres(), Y0: y.Millimetres(), X1: (x + w).Millimetres(), Y1: (y + h).Millimetres()}
}

// part is the thing as it lies on the face.
func (t Thing) part(name string) mail.Part {
	p := box(t.X, t.Y, t.Width, t.Height)
	p.Name, p.Disc, p.Caliper, p.Draping = name, t.Disc, t.Caliper.Millimetres(), t.Draping
	p.Grams, p.Loose, p.Free = t.Grams, t.Inside || t.Over, !t.Keep && !t.Over
	p.Modulus = thingModulus(t.Type)
	p.Bends = t.Over
	return p
}

// thickness is the greatest height of the parts, or what the maker measured.
func (j Job) thickness(r mail.Relief) Thickness {
	t := Thickness{Predicted: measure.Round(r.Max * float64(measure.Millimetre))}
	t.Used = t.Predicted
	if j.Card.Thickness != nil {
		t.Used, t.Measured = *j.Card.Thickness, true
	}
	return t
}

// asMeasured is the relief made as high as the card was measured: what rises
// over the base is stretched.
func (m maker) asMeasured() mail.Relief {
	base, up := m.relief.Tops[0], m.relief.Max
	to := m.thick.Used.Millimetres()
	if !m.thick.Measured || m.thick.Used == m.thick.Predicted {
		return m.relief
	}
	parts := append([]mail.Part(nil), m.relief.Parts...)
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

// overhang is how much what sticks out past the edges adds to the size.
func (m maker) overhang() card.Size {
	c := m.job.Card
	var left, above measure.Length
	right, below := c.Width, c.Height
	for _, p := range m.job.Parts {
		if t := p.Thing; t != nil {
			left, above, right, below = min(left, t.X), min(above, t.Y), max(right, t.X+t.Width), max(below, t.Y+t.Height)
		}
	}
	return card.Size{Width: max(c.OverWidth, right-left-c.Width), Height: max(c.OverHeight, below-above-c.Height)}
}

// past is how far what sticks out reaches past the left and the top edge; what was
// typed without a side is shared out to both.
func (m maker) past() (left, above measure.Length) {
	right, below := m.job.Card.Width, m.job.Card.Height
	for _, p := range m.job.Parts {
		if t := p.Thing; t != nil {
			left, above, right, below = min(left, t.X), min(above, t.Y), max(right, t.X+t.Width), max(below, t.Y+t.Height)
		}
	}
	over := m.overhang()
	moreWide, moreHigh := over.Width-(right-left-m.job.Card.Width), over.Height-(below-above-m.job.Card.Height)
	return moreWide/2 - left, moreHigh/2 - above
}

// heap is what the thickness takes of width and height as the card lies: half
// the way round it as it is seen from its end, less its size.
func (m maker) heap() card.Size {
	r := m.asMeasured()
	room := func(wide bool) measure.Length {
		return measure.Round(max(0, r.EndOn(wide).Room()) * float64(measure.Millimetre))
	}
	return card.Size{Width: room(true), Height: room(false)}
}

// section is the card seen end-on, in millimetres from its left edge and up from
// the table.
func (m maker) section() (list []SectionPart) {
	r := m.asMeasured()
	for i, p := range r.Parts {
		name := m.job.Parts[m.pieces[i]].Name
		low := r.Tops[i] - p.Caliper
		if p.Foam > 0 {
			list = append(list, SectionPart{"foam", p.X0, low, p.X1 - p.X0, p.Foam, true})
		}
		list = append(list, SectionPart{name, p.X0, low + p.Foam, p.X1 - p.X0, p.Caliper - p.Foam, false})
	}
	return list
}

// thicknessFits refuses a card thicker than its shorter side.
func thicknessFits(j Job, shop Shop, s measure.Style) error {
	t, short := j.thickness(j.relief(shop)).Used, min(j.Card.Width, j.Card.Height)
	if t >= short {
		return refuse("The card would be thicker (%s) than it is wide or high (%s): check the unit, or type a smaller thickness.", s.ShowUnit(t), s.ShowUnit(short))
	}
	return nil
}

// onFace refuses a thing that lies wholly off the face.
func (t Thing) onFace(name string, j Job) error {
	if t.X >= j.Card.Width || t.Y >= j.Card.Height || t.X+t.Width <= 0 || t.Y+t.Height <= 0 {
		return refuse("“%s” lies wholly off the face of the card: move it so that some of it lies on it.", clip(name))
	}
	if t.Disc && t.Width != t.Height {
		return refuse("“%s” is round, so it is as high as it is wide: type one size for both.", clip(name))
	}
	return nil
}

func reliefWords(r mail.Relief, m maker) string {
	fine := m.fine()
	return fmt.Sprintf("The face with everything on it, stronger coloured where it is thicker: %s %s at most, %s at least.",
		fine.Show(measure.Round(r.Max*float64(measure.Millimetre))), fine.Unit, fine.Show(measure.Round(r.Min*float64(measure.Millimetre))))
}
