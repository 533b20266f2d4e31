package plan

import (
	"fmt"
	"strings"

	"yellowparcel/core/blank"
	"yellowparcel/core/card"
	"yellowparcel/core/envelope"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/say"
)

// EnvelopePlan is the station Envelope: what is sold that takes the card, and
// the blank that is made for it.
type EnvelopePlan struct {
	Fits   []FitPlan `json:"fits"`
	Misses []FitPlan `json:"misses"`
	// FitsSentence sums up the standard envelopes.
	FitsSentence say.Sentence `json:"fitsSentence"`
	Blank        BlankPlan    `json:"blank"`
	// Construction is the one that is made; Comparison sets all side by side.
	Construction blank.ID       `json:"construction"`
	Comparison   ComparisonPlan `json:"comparison"`
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
	// Owned is set for one on the shelf; Have is how many, when counted.
	Owned bool `json:"owned"`
	Have  int  `json:"have"`
	// Outer and Inner are the envelope as the card lies in it; Sides is the ease
	// left on each side of the centred card.
	Outer     card.Size `json:"outer"`
	Inner     card.Size `json:"inner"`
	SideEase  Shown     `json:"sideEase"`
	AboveEase Shown     `json:"aboveEase"`
	// Drawing describes the card in the envelope in words.
	Drawing string `json:"drawing"`
}

// soldPaper is the stock that envelopes are sold in, as far as nobody says
// otherwise.
const soldPaper = "text-105"

// mostMisses is how many envelopes that just miss are told of.
const mostMisses = 3

func (m maker) envelope(chosen candidate, all []candidate) EnvelopePlan {
	j := m.Job()
	stock, _ := m.Shop().Stock(soldPaper)
	p := EnvelopePlan{Fits: []FitPlan{}, Misses: []FitPlan{}}
	for _, f := range envelope.Rank(m.Shop().Formats(), m.goesIn(m.room()), stock.Caliper, j.Envelope.Ease) {
		fit := m.fitPlan(f, stock.Caliper)
		switch {
		case f.Verdict != envelope.DoesNotFit:
			p.Fits = append(p.Fits, fit)
		case len(p.Misses) < mostMisses && f.ShortBy() <= measure.Inch/2:
			p.Misses = append(p.Misses, fit)
		}
	}
	p.FitsSentence = m.fitsSentence(p)
	p.Blank = m.blank(chosen, all)
	p.Blank.Notes = gathered(notAccepted(chosen), p.Blank.Notes)
	p.Blank.Net, p.Blank.Folding = p.Blank.Net.Drawn(), p.Blank.Folding.Drawn()
	p.Construction, p.Comparison = chosen.kind.ID, m.comparison(all)
	return p
}

// goesIn is the card as envelopes are fitted to it, its thickness counted in a
// way.
func (m maker) goesIn(room job.Room) envelope.Card {
	size := m.Outer()
	c := envelope.Card{Width: size.Width, Height: size.Height, Thickness: m.Thick().Used}
	if room == job.AsHeap {
		heap := m.Heap()
		c.Takes = &envelope.Size{Width: heap.Width, Height: heap.Height}
	}
	return c
}

func (m maker) fit(f envelope.Format, caliper measure.Length) envelope.Fit {
	return envelope.FitCard(f, m.goesIn(m.room()), caliper)
}

func (m maker) fitPlan(f envelope.Fit, caliper measure.Length) FitPlan {
	w, h := f.Format.Width, f.Format.Height
	if f.Turned {
		w, h = h, w
	}
	p := FitPlan{
		ID: f.Format.ID, Name: f.Format.Name, Size: m.by(f.Format.Width, f.Format.Height), Verdict: f.Verdict, Turned: f.Turned,
		EaseWidth: m.shown(f.EaseWidth), EaseHeight: m.shown(f.EaseHeight), Why: m.why(f), Owned: f.Format.Owned,
		Outer: card.Size{Width: w, Height: h}, Inner: card.Size{Width: w - 2*caliper, Height: h - 2*caliper},
		SideEase: m.shown(f.EaseWidth / 2), AboveEase: m.shown(f.EaseHeight / 2),
	}
	for _, e := range m.Shop().Envelopes {
		if e.ID == p.ID {
			p.Have = e.Have
		}
	}
	outer := m.Outer()
	p.Drawing = fmt.Sprintf("The card, %s over all, in the middle of the envelope %s, %s %s outside: %s left on the left and on the right, %s above and below. %s.",
		m.by(outer.Width, outer.Height), f.Format.Name, m.by(w, h), m.Style().Unit, p.SideEase.Text, p.AboveEase.Text, upperFirst(string(f.Verdict)))
	return p
}

func upperFirst(s string) string { return strings.ToUpper(s[:1]) + s[1:] }

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
		why := fmt.Sprintf("%s short: the card is too %s", m.Style().Show(f.ShortBy()), side)
		switch foam := m.foam(); {
		case foam > 0 && m.fitsThinner(f.Format, foam):
			why += "; without the foam it fits"
		case m.room() == job.AsBlock && m.fitsAs(f.Format, job.AsHeap):
			why += " counted as a block; as it lies it goes in"
		case m.fitsThinner(f.Format, m.Thick().Used):
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
	for _, p := range m.Job().Parts {
		sum += p.Foam
	}
	return min(sum, m.Thick().Used)
}

// fitsThinner reports whether the card would go in if it were thinner by so
// much.
func (m maker) fitsThinner(f envelope.Format, by measure.Length) bool {
	stock, _ := m.Shop().Stock(soldPaper)
	c := m.goesIn(job.AsBlock)
	c.Thickness -= by
	return envelope.FitCard(f, c, stock.Caliper).Verdict != envelope.DoesNotFit
}

func (m maker) fitsAs(f envelope.Format, room job.Room) bool {
	stock, _ := m.Shop().Stock(soldPaper)
	return envelope.FitCard(f, m.goesIn(room), stock.Caliper).Verdict != envelope.DoesNotFit
}

func (m maker) fitsSentence(p EnvelopePlan) say.Sentence {
	if len(p.Fits) == 0 {
		if len(p.Misses) > 0 {
			return say.That("No envelope you have or can buy takes this card; [%s] misses it by least. Make the envelope for it.", p.Misses[0].Name)
		}
		return say.That("No envelope you have or can buy comes near this card. Make the envelope for it.")
	}
	best := p.Fits[0]
	switch best.Verdict {
	case envelope.Right:
		have := ""
		if best.Owned {
			have = ", and on your shelf"
		}
		return say.That("[%s] is right for it%s: ease %s across and %s down.", best.Name, have, best.EaseWidth.Text, best.EaseHeight.Text)
	case envelope.Snug, envelope.Loose:
		return say.That("None sits just right; [%s] is the nearest, and %s. A blank made for the card sits better.", best.Name, best.Verdict)
	}
	return say.That("None sits well: the nearest, [%s], is %s. Make the envelope for it.", best.Name, verdictWords[best.Verdict])
}

var verdictWords = map[envelope.Verdict]string{envelope.TooTight: "too tight", envelope.Rattles: "so large that the card rattles"}
