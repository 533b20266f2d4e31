package job

import (
	"slices"

	"yellowparcel/core/card"
	"yellowparcel/core/measure"
)

// SampleJob is a card to look at before there is any: square, with a layer, in what the shop has.
func SampleJob(shop Shop) Job {
	j := NewJob(shop)
	j.Name, j.Count = "Star-party thanks, square", 12
	j.Card.Width, j.Card.Height, j.Card.Fold = 5*measure.Inch+3*measure.Inch/8, 5*measure.Inch+3*measure.Inch/8, card.SideFold
	if shop.Unit == measure.Millimetres {
		j.Card.Width, j.Card.Height = 135*measure.Millimetre, 135*measure.Millimetre
	}
	with := j.Clone()
	if len(j.LayerParts()) == 0 && with.addPaper(shop, LayerPart) == nil {
		return with
	}
	return j
}

// WithSamples is a shop with the envelopes of a sample shop that it does not know.
func WithSamples(shop, sample Shop) Shop {
	shop.Envelopes = slices.Clone(shop.Envelopes)
	for _, e := range sample.Envelopes {
		if !slices.ContainsFunc(shop.Envelopes, func(o OwnedEnvelope) bool { return o.ID == e.ID }) {
			shop.Envelopes = append(shop.Envelopes, e)
		}
	}
	return shop
}

// WithoutSamples takes away again what is just as the sample shop has it; what was changed since stays. Counts of papers
// are neither brought nor taken: the same number may be the maker's own.
func WithoutSamples(shop, sample Shop) Shop {
	shop.Envelopes = slices.DeleteFunc(slices.Clone(shop.Envelopes), func(e OwnedEnvelope) bool { return slices.Contains(sample.Envelopes, e) })
	return shop
}

// HasSamples reports whether something of the sample shop is on the shelf as it came.
func HasSamples(shop, sample Shop) bool {
	return slices.ContainsFunc(shop.Envelopes, func(e OwnedEnvelope) bool { return slices.Contains(sample.Envelopes, e) })
}
