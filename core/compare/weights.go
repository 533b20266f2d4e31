package compare

import "yellowparcel/core/measure"

// GlueShare is what adhesive adds to the weight of the paper, foamError how far
// foam may give, weightError how far a predicted weight is off.
const (
	GlueShare   = 0.03
	foamError   = 0.15
	weightError = 0.05
	// What a caliper and a scale may be off.
	caliperError = 50 * measure.Micrometre
	scaleError   = 0.5
)

// Weight is what a thing of the piece is.
type Weight string

// What weighs.
const (
	PartWeight     Weight = "part" // of the card, which has a name of its own
	CardWeight     Weight = "card" // finished, as it was weighed
	EnvelopeWeight Weight = "envelope"
	AdhesiveWeight Weight = "adhesive"
	ClosureWeight  Weight = "closure"
)

// Weights lists what weighs of a piece that is no part of the card.
func Weights() []Weight { return []Weight{CardWeight, EnvelopeWeight, AdhesiveWeight, ClosureWeight} }

// Weighed is what one thing of the piece weighs.
type Weighed struct {
	Of    Weight
	Name  string
	Grams float64
}

// Weights is what the piece weighs, part by part.
func (m Posted) Weights(e Closed) (list []Weighed, sum float64) {
	put := func(of Weight, name string, grams float64) {
		if grams > 0 {
			list, sum = append(list, Weighed{of, name, grams}), sum+grams
		}
	}
	if c := m.Job().Card; c.Made && c.Grams > 0 {
		put(CardWeight, "", c.Grams)
	} else {
		for i := range m.Relief().Parts {
			put(PartWeight, m.Relief().Parts[i].Name, m.Relief().Parts[i].Grams)
		}
	}
	card := sum
	if !e.Bare {
		put(EnvelopeWeight, "", e.Area/1e6*e.Stock.GSM)
	}
	if m.Job().Card.Made {
		put(AdhesiveWeight, "", (sum-card)*GlueShare) // the card's own is on it already
	} else {
		put(AdhesiveWeight, "", sum*GlueShare)
	}
	put(ClosureWeight, "", m.Closure().Grams)
	return list, sum
}
