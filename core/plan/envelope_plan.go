package plan

import (
	"fmt"

	"yellowparcel/core/blank"
	"yellowparcel/core/envelope"
	"yellowparcel/core/measure"
)

// EnvelopePlan is the station Envelope: what is sold that takes the card, and
// the blank that is made for it.
type EnvelopePlan struct {
	Fits   []FitPlan `json:"fits"`
	Misses []FitPlan `json:"misses"`
	// FitsSentence sums up the standard envelopes.
	FitsSentence Sentence  `json:"fitsSentence"`
	Blank        BlankPlan `json:"blank"`
}

// FitPlan is one standard envelope with the card in it.
type FitPlan struct {
	ID         string           `json:"id"`
	Name       string           `json:"name"`
	Size       string           `json:"size"`
	Verdict    envelope.Verdict `json:"verdict"`
	Turned     bool             `json:"turned"`
	EaseWidth  Shown            `json:"easeWidth"`
	EaseHeight Shown            `json:"easeHeight"`
	// Why says in words what the verdict rests on.
	Why string `json:"why"`
}

// soldPaper is the stock that envelopes are sold in, as far as nobody says
// otherwise.
const soldPaper = "text-105"

// mostMisses is how many envelopes that just miss are told of.
const mostMisses = 3

func (m maker) envelope(d blank.Diamond, made blank.Envelope) EnvelopePlan {
	j := m.job
	stock, _ := m.shop.stock(soldPaper)
	c := envelope.Card{Width: j.Card.Width, Height: j.Card.Height, Thickness: m.thick.Used}
	p := EnvelopePlan{Fits: []FitPlan{}, Misses: []FitPlan{}}
	for _, f := range envelope.Rank(envelope.Formats(), c, stock.Caliper, measure.Inch/4) {
		fit := FitPlan{
			ID: f.Format.ID, Name: f.Format.Name, Size: m.by(f.Format.Width, f.Format.Height), Verdict: f.Verdict, Turned: f.Turned,
			EaseWidth: m.shown(f.EaseWidth), EaseHeight: m.shown(f.EaseHeight), Why: m.why(f),
		}
		switch {
		case f.Verdict != envelope.DoesNotFit:
			p.Fits = append(p.Fits, fit)
		case len(p.Misses) < mostMisses && f.ShortBy() <= measure.Inch/2:
			p.Misses = append(p.Misses, fit)
		}
	}
	p.FitsSentence = m.fitsSentence(p)
	p.Blank = m.blank(d, made)
	return p
}

func (m maker) why(f envelope.Fit) string {
	turned := ""
	if f.Turned {
		turned = ", card turned a quarter"
	}
	if (f.Verdict == envelope.Right || f.Verdict == envelope.Snug) && max(f.EaseWidth, f.EaseHeight) > 3*measure.Inch/4 {
		turned = ", but has room to slide the other way" + turned
	}
	switch f.Verdict {
	case envelope.DoesNotFit:
		side := "wide"
		if f.EaseHeight < f.EaseWidth {
			side = "high"
		}
		why := fmt.Sprintf("%s short: the card is too %s", m.style.Show(f.ShortBy()), side)
		switch foam := m.foam(); {
		case foam > 0 && m.fitsThinner(f.Format, foam):
			why += "; without the foam it fits"
		case m.fitsThinner(f.Format, m.thick.Used):
			why += " once its thickness is counted"
		}
		return why
	case envelope.TooTight:
		return "it scuffs and may not slide in" + turned
	case envelope.Snug:
		return "it goes in, with care" + turned
	case envelope.Loose:
		return "the card shifts about" + turned
	case envelope.Rattles:
		return "wants holding strips, or another envelope" + turned
	}
	return "slides in and lies still" + turned
}

// foam is how much of the card's thickness is foam.
func (m maker) foam() measure.Length {
	sum := measure.Length(0)
	for _, p := range m.job.Parts {
		sum += p.Foam
	}
	return min(sum, m.thick.Used)
}

// fitsThinner reports whether the card would go in if it were thinner by so
// much.
func (m maker) fitsThinner(f envelope.Format, by measure.Length) bool {
	stock, _ := m.shop.stock(soldPaper)
	c := envelope.Card{Width: m.job.Card.Width, Height: m.job.Card.Height, Thickness: m.thick.Used - by}
	return envelope.FitCard(f, c, stock.Caliper).Verdict != envelope.DoesNotFit
}

func (m maker) fitsSentence(p EnvelopePlan) Sentence {
	if len(p.Fits) == 0 {
		if len(p.Misses) > 0 {
			return say("No standard envelope takes this card; [%s] misses it by least. Make the envelope for it.", p.Misses[0].Name)
		}
		return say("No standard envelope comes near this card. Make the envelope for it.")
	}
	best := p.Fits[0]
	switch best.Verdict {
	case envelope.Right:
		return say("[%s] is right for it: ease %s across and %s down.", best.Name, best.EaseWidth.Text, best.EaseHeight.Text)
	case envelope.Snug, envelope.Loose:
		return say("None sits just right; [%s] is the nearest, and %s. A blank made for the card sits better.", best.Name, best.Verdict)
	}
	return say("None sits well: the nearest, [%s], is %s. Make the envelope for it.", best.Name, verdictWords[best.Verdict])
}

var verdictWords = map[envelope.Verdict]string{envelope.TooTight: "too tight", envelope.Rattles: "so large that the card rattles"}
