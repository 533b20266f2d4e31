// Package demo is the sample shop and its jobs: a hill-top observatory whose
// volunteers send meteor-night invitations and thank-you cards. Everything in
// it is made up; recipients are roles, never people.
package demo

import (
	"yellowparcel/core/blank"
	"yellowparcel/core/card"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/paper"
)

const in = measure.Inch

// Shop is the observatory's craft table: letter, 12 x 12 and A4 on the shelf.
func Shop() job.Shop {
	s := job.DefaultShop()
	s.Sheets = nil
	for _, id := range []string{"letter", "12x12", "a4"} {
		sheet, _ := paper.SheetByID(id)
		s.Sheets = append(s.Sheets, sheet)
	}
	s.Envelopes = []job.OwnedEnvelope{
		{ID: "own-1", Name: "Cream, from the star party", Width: 7*in + in/4, Height: 5*in + in/4, Have: 34},
		{ID: "own-2", Name: "Unlabelled blue pile", Width: 155 * measure.Millimetre, Height: 155 * measure.Millimetre, Have: 12},
	}
	for i := range s.Stocks {
		switch k := &s.Stocks[i]; k.ID {
		case "copy-80":
			k.Have = 180
		case "cover-100":
			k.Grain, k.Have = paper.AlongLong, 20
		case "pattern-130": // the night sky has its zenith at the top
			k.Sheet, k.Pattern, k.Have = "12x12", paper.AlongLong, 2
		}
	}
	return s
}

// Jobs are the sample jobs, the one to open first at the top.
func Jobs() []job.Job {
	return []job.Job{
		{
			Name: "Meteor-night thanks, square", Count: 12,
			Card:     job.Card{Width: 5*in + 3*in/8, Height: 5*in + 3*in/8, Fold: card.SideFold},
			Parts:    []job.Part{base("cover-100"), layer("night-sky", "Night-sky layer", "pattern-130", in/8, 0)},
			Envelope: envelope("copy-80"),
			Mail:     job.MailWish{Destination: "us-domestic"},
		},
		{
			Name: "Meteor-night invitation", Count: 40,
			Card:     job.Card{Width: 7 * in, Height: 5 * in, Fold: card.TopFold},
			Parts:    []job.Part{base("cover-80"), layer("programme", "Programme panel", "cover-65", in/4, 0)},
			Envelope: envelope("copy-80"),
			Mail:     job.MailWish{Destination: "us-domestic"},
		},
		{
			Name: "Lens fund thank-you, raised star", Count: 8,
			Card:     job.Card{Width: 5*in + in/2, Height: 4*in + in/4, Fold: card.TopFold},
			Parts:    []job.Part{base("cover-110"), layer("mat", "Brass mat", "pattern-200", in/16, 0), layer("star", "Star panel on foam", "cover-110", in/8, in/8)},
			Items:    []job.Item{{ID: "brad", Name: "Brass star", Width: 2 * in, Height: 2 * in}, {ID: "words", Name: "Thank you", Width: 3 * in, Height: in / 2}, {ID: "ribbon", Name: "Ribbon", Height: 3 * in / 8}},
			Envelope: envelope("kraft-120"),
			Mail:     job.MailWish{Destination: "us-domestic"},
		},
		{
			Name: "Supporter card, slim", Count: 25,
			Card:     job.Card{Width: 8*in + in/2, Height: 3*in + in/2, Fold: card.FlatCard},
			Parts:    []job.Part{base("cover-130")},
			Envelope: envelope("text-105"),
			Mail:     job.MailWish{Destination: "us-domestic"},
		},
		{
			Name: "Dome rota, holiday card", Count: 6,
			Card:     job.Card{Width: 105 * measure.Millimetre, Height: 148 * measure.Millimetre, Fold: card.SideFold},
			Parts:    []job.Part{base("cover-80"), layer("moon", "Moon layer", "pattern-130", 5*measure.Millimetre, 0)},
			Envelope: envelope("copy-80"),
			Mail:     job.MailWish{Destination: job.ByHand},
		},
		{
			Name: "Moon-watch invitation, brass and knot", Count: 10,
			Card: job.Card{Width: 7 * in, Height: 5 * in, Fold: card.TopFold},
			Parts: []job.Part{
				base("cover-100"), layer("mat", "Night mat", "cover-80", in/8, 0), layer("moon", "Moon panel on foam", "cover-100", in/2, in/16),
				thing("ribbon", "ribbon", 0, 4*in, 7*in, 3*in/8), stacked(thing("knot", "knot", in, 15*in/4, 0, 0)), thing("star-1", "brad", 5*in, 3*in/4, 0, 0),
				thing("star-2", "brad", 5*in+3*in/4, 5*in/4, 0, 0), thing("gem", "gem-2", 4*in+in/2, 3*in/2, 0, 0),
			},
			Envelope: envelope("text-105"),
			Mail:     job.MailWish{Destination: "us-domestic"},
		},
	}
}

func base(stock string) job.Part {
	return job.Part{ID: "base", Name: "Card base", Kind: job.BasePart, Stock: stock}
}

func layer(id, name, stock string, border, foam measure.Length) job.Part {
	return job.Part{ID: id, Name: name, Kind: job.LayerPart, Stock: stock, Border: border, Foam: foam}
}

// thing is a thing of the table at a place on the face; with sizes of its own
// where they are not zero.
func thing(id, kind string, x, y, w, h measure.Length) job.Part {
	t, _ := paper.ThingByID(kind)
	part := job.Part{ID: id, Name: t.Name, Kind: job.ThingPart, Thing: &job.Thing{
		Type: kind, Disc: t.Disc, X: x, Y: y, Width: t.Width, Height: t.Height, Caliper: t.Caliper, Grams: t.Grams, Draping: t.Draping, Crushable: t.Crushable, Inside: t.Inside, Over: t.Over,
	}}
	if w > 0 {
		part.Thing.Width, part.Thing.Height = w, h
	}
	return part
}

// stacked is a thing that is glued on what lies under it.
func stacked(p job.Part) job.Part {
	p.Thing.Stacked = true
	return p
}

func envelope(stock string) job.EnvelopeWish {
	return job.EnvelopeWish{
		School: blank.ExactSeam, Way: blank.PairWay, Ease: in / 4, Seam: 3 * in / 4, ThumbGap: in / 2,
		Stock: stock, Adhesive: "tape-1-2",
	}
}
