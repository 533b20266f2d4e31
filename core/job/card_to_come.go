package job

import (
	"strings"

	"yellowparcel/core/card"
	"yellowparcel/core/field"
	"yellowparcel/core/measure"
)

// Sized reports whether the card has a size. A job may begin with an envelope, a sheet or a recipe: its
// card is chosen later, and until then width and height are absent.
func (c Card) Sized() bool { return c.Width > 0 && c.Height > 0 }

// Claimed is the card that a recipe says it is for; false where it names none.
func (r *Recipe) Claimed() (card.Size, bool) {
	if r == nil || r.For() != ForCard || r.ClaimWidth < LeastCard {
		return card.Size{}, false
	}
	size := card.Size{Width: r.ClaimWidth, Height: r.ClaimHeight}
	if size.Height == 0 {
		size.Height = size.Width
	}
	return size, min(size.Width, size.Height) >= LeastCard && max(size.Width, size.Height) <= MostCard
}

// BeginsAs is the size that stands in for one that is absent: of the card that the recipe names, or of
// the card that the shop makes most. What follows from it alone is told to nobody.
func BeginsAs(j Job, shop Shop) card.Size {
	if size, ok := j.Recipe.Claimed(); ok {
		return size
	}
	most := firsts[shop.Unit]
	size := card.Size{Width: most.width, Height: most.height}
	if w := shop.Usual.Width; w > 0 {
		size.Width = w
	}
	if h := shop.Usual.Height; h > 0 {
		size.Height = h
	}
	return size
}

// standing is the job with a size that stands in for what of its card's is absent.
func standing(j Job, shop Shop) Job {
	if j.Card.Sized() {
		return j
	}
	size := BeginsAs(j, shop)
	if j.Card.Width == 0 {
		j.Card.Width = size.Width
	}
	if j.Card.Height == 0 {
		j.Card.Height = size.Height
	}
	return j
}

// notChosen takes away again what stood in for a size that an edit did not give.
func notChosen(j *Job, before Job, e field.Edit) {
	if before.Card.Sized() {
		return
	}
	given := func(path string) bool { return e.Path == path || e.Path == "card.outline" && e.Act == field.Add }
	if before.Card.Width == 0 && !given("card.width") {
		j.Card.Width = 0
	}
	if before.Card.Height == 0 && !given("card.height") {
		j.Card.Height = 0
	}
	if j.Card.Sized() || j.Start == nil || e.Path == "start.width" || e.Path == "start.height" {
		return
	}
	// An envelope that nobody measured has no size either.
	j.Start.Width, j.Start.Height = 0, 0
	if before.Start != nil {
		j.Start.Width, j.Start.Height = before.Start.Width, before.Start.Height
	}
	if j.Envelope.From == OwnEnvelope {
		j.Envelope.OwnWidth, j.Envelope.OwnHeight = j.Start.Width, j.Start.Height
	}
}

// clearsSize reports whether an edit takes away a size that is absent already: it stays so.
func clearsSize(j Job, e field.Edit) bool {
	absent := map[string]measure.Length{"card.width": j.Card.Width, "card.height": j.Card.Height}
	at, is := absent[e.Path]
	return is && at == 0 && e.Act == field.Type && strings.TrimSpace(e.Text) == ""
}

// WithCard is the job, now that its card has been chosen: an own envelope that nobody measured is taken to be round it.
func WithCard(j Job) Job {
	if j.Start != nil && j.Start.Format == OwnEnvelope {
		s := *j.Start
		s.MeasureAs(j.Card)
		j.Start = &s
	}
	j.Envelope.measureAs(j.Card)
	return j
}
