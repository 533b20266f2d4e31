package plan

import (
	"fmt"

	"yellowparcel/core/blank"
	"yellowparcel/core/card"
	"yellowparcel/core/compare"
	"yellowparcel/core/envelope"
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
	// Own is the card in the job's own envelope.
	Own FitPlan `json:"own"`
	// Construction is the one that is made; Comparison sets all side by side.
	// Sizes are the sheets that it may be made from.
	Sizes []SizePlan `json:"sizes"`
	// How is how it is worked out.
	How          []HowLine      `json:"how"`
	Construction blank.ID       `json:"construction"`
	Comparison   ComparisonPlan `json:"comparison"`
}

// FitPlan is one standard envelope with the card in it.
type FitPlan struct {
	ID      string           `json:"id"`
	Name    string           `json:"name"`
	Size    string           `json:"size"`
	Verdict envelope.Verdict `json:"verdict"`
	// Said is the verdict in words.
	Said       string `json:"said"`
	Turned     bool   `json:"turned"`
	EaseWidth  Shown  `json:"easeWidth"`
	EaseHeight Shown  `json:"easeHeight"`
	// Why says in words what the verdict rests on.
	Why string `json:"why"`
	// Owned is set for one on the shelf; Have is how many, when counted. Chosen is set
	// for the job's own.
	Owned  bool `json:"owned"`
	Have   int  `json:"have"`
	Chosen bool `json:"chosen"`
	// Takes is what the card's thickness takes of width and height.
	Takes card.Size `json:"takes"`
	// Outer and Inner are the envelope as the card lies in it; Sides is the ease
	// left on each side of the centred card.
	Outer     card.Size `json:"outer"`
	Inner     card.Size `json:"inner"`
	SideEase  Shown     `json:"sideEase"`
	AboveEase Shown     `json:"aboveEase"`
	// Strips hold the card in an envelope that is wider than it: where they lie in it, in millimetres from its
	// top left corner.
	Strips []Strip `json:"strips,omitempty"`
	// Drawing describes the card in the envelope in words.
	Drawing string `json:"drawing"`
}

// Strip is a rectangle of an envelope in which front and back are glued together, in millimetres.
type Strip struct {
	X      float64 `json:"x"`
	Y      float64 `json:"y"`
	Width  float64 `json:"width"`
	Height float64 `json:"height"`
}

func (m envelopeStation) envelope(chosen compare.Candidate, all func() []compare.Candidate) EnvelopePlan {
	p := EnvelopePlan{Fits: []FitPlan{}, Misses: []FitPlan{}, Comparison: ComparisonPlan{Rows: []ConstructionPlan{}, Matches: []MatchPlan{}}}
	fits, misses := m.Bought()
	for _, f := range fits {
		p.Fits = append(p.Fits, m.fitPlan(f))
	}
	for _, f := range misses {
		p.Misses = append(p.Misses, m.fitPlan(f))
	}
	p.FitsSentence = m.fitsSentence(p)
	p.Blank = m.blank(chosen, all)
	p.Blank.Notes = gathered(noneUsed(m.Job().Mail), mailStation(m).sizedFor(chosen), m.notAsChosen(chosen), m.notSuited(chosen, all), notAccepted(m, chosen), p.Blank.Notes)
	p.Blank.Folding = p.Blank.Folding.Drawn()
	if p.Construction = chosen.Kind.ID; m.open.shows("envelope/choose") {
		p.Comparison = m.comparison(all())
	}
	if p.How = []HowLine{}; m.open.shows("envelope/sums") {
		p.How = m.how(chosen)
	}
	if p.Sizes = []SizePlan{}; m.open.shows("envelope/sizes") {
		p.Sizes = sizes(m, chosen)
	}
	p.Own = m.ownFit(chosen)
	if chosen.Kind.Whole {
		for _, list := range [][]FitPlan{p.Fits, p.Misses} {
			for i := range list {
				list[i].Chosen = list[i].ID == chosen.Made.From.ID
			}
		}
	}
	if !m.open.shows("envelope/choose") {
		p.Fits, p.Misses = []FitPlan{}, []FitPlan{}
	}
	return p
}

// stripsIn are the holding strips of a candidate as its card lies in it.
func stripsIn(c compare.Candidate) []Strip {
	list := []Strip{}
	if !c.Strip {
		return list
	}
	left, top, _, _ := c.Made.Net.Panels[0].Outline.Box()
	for _, g := range c.Made.Net.Glue {
		if g.Panel != blank.StripPanel {
			continue
		}
		x0, y0, x1, y1 := g.Zone.Box()
		s := Strip{x0 - left, y0 - top, x1 - x0, y1 - y0}
		if c.Turned {
			s = Strip{s.Y, s.X, s.Height, s.Width}
		}
		list = append(list, s)
	}
	return list
}

// betweenStrips is the ease that holding strips leave a card, whose thickness takes so much.
func betweenStrips(m maker, c compare.Candidate, thick measure.Length) measure.Length {
	along := m.Outer().Width
	if c.Turned {
		along = m.Outer().Height
	}
	return c.Made.Throat() - along - thick
}

func (m envelopeStation) fitPlan(f envelope.Fit) FitPlan {
	caliper := m.SoldCaliper()
	w, h := f.Format.Width, f.Format.Height
	if f.Turned {
		w, h = h, w
	}
	p := FitPlan{
		ID: f.Format.ID, Name: f.Format.Name, Size: m.by(f.Format.Width, f.Format.Height), Verdict: f.Verdict, Said: verdicts[f.Verdict].good, Turned: f.Turned,
		EaseWidth: m.shown(f.EaseWidth), EaseHeight: m.shown(f.EaseHeight), Why: m.why(f), Owned: f.Format.Owned,
		Outer: card.Size{Width: w, Height: h}, Inner: card.Size{Width: w - 2*caliper, Height: h - 2*caliper}, Takes: card.Size(m.GoesIn(m.Room()).Room()),
	}
	if e, ok := m.Shop().Owned(p.ID); ok {
		p.Have = e.Have
	}
	return m.placed(p)
}

// placed says how much is left on each side of the card, in numbers and in words.
func (m envelopeStation) placed(p FitPlan) FitPlan {
	p.SideEase, p.AboveEase = m.shown(p.EaseWidth.Nm/2), m.shown(p.EaseHeight.Nm/2)
	outer := m.Outer()
	beside := "at each side"
	if len(p.Strips) > 0 {
		beside = "to each holding strip"
	}
	p.Drawing = fmt.Sprintf("The card, %s, in %s, %s %s outside. There is %s %s, %s above and below. %s.",
		m.by(outer.Width, outer.Height), p.Name, m.by(p.Outer.Width, p.Outer.Height), m.Style().Unit, p.SideEase.Text, beside, p.AboveEase.Text, verdicts[p.Verdict].name)
	return p
}

// rescues say what would let a card into an envelope that is too small for it.
var rescues = map[compare.Rescue]string{
	compare.NoRescue: "", compare.WithoutFoam: "; without the foam it fits", compare.AsItLies: " counted as a block; as it lies it goes in",
	compare.UncountedBut: " once its thickness is counted",
}

func (m maker) why(f envelope.Fit) string {
	turned := ""
	if f.Turned {
		turned = ", card turned a quarter"
	}
	if (f.Verdict == envelope.Right || f.Verdict == envelope.Snug) && max(f.EaseWidth, f.EaseHeight) > 3*measure.Inch/4 {
		turned = ", but has room to slide the other way" + turned
	}
	if f.Verdict == envelope.DoesNotFit {
		side := "wide"
		if f.EaseHeight < f.EaseWidth {
			side = "high"
		}
		return fmt.Sprintf("%s short: the card is too %s%s", m.Style().Show(f.ShortBy()), side, rescues[m.Rescue(f.Format)])
	}
	return verdicts[f.Verdict].why + turned
}

// verdicts are what is said of how an envelope sits: in a word, in a sentence that goes
// on, and why.
var verdicts = map[envelope.Verdict]struct{ name, good, sits, why string }{
	envelope.DoesNotFit: {"Too small", "too small", "too small", "the card does not go in"},
	envelope.TooTight:   {"Too tight", "too tight", "too tight", "it scuffs and may not slide in"},
	envelope.Snug:       {"Snug", "snug", "snug", "it goes in, with care"},
	envelope.Right:      {"Good fit", "good fit", "right", "slides in and lies still"},
	envelope.Loose:      {"Loose", "loose", "loose", "the card shifts about"},
	envelope.Rattles:    {"Much too big", "much too big", "so large that the card rattles", "wants holding strips, or another envelope"},
}

// ownFit is the card in the job's own envelope, as it lies in it.
func (m envelopeStation) ownFit(c compare.Candidate) FitPlan {
	if c.Kind.Whole {
		p := m.fitPlan(c.Fit)
		p.Chosen = true
		if p.Strips = stripsIn(c); len(p.Strips) == 0 {
			return p
		}
		w, h := betweenStrips(m.maker, c, p.Takes.Width), c.Made.EaseHeight
		if c.Turned {
			w, h = h, betweenStrips(m.maker, c, p.Takes.Height)
		}
		p.Verdict, p.EaseWidth, p.EaseHeight = envelope.Sits(w, h), m.shown(w), m.shown(h)
		p.Why, p.Said = verdicts[p.Verdict].why, verdicts[p.Verdict].good
		return m.placed(p)
	}
	e := m.Closed(c)
	w, h, thick := c.Made.EaseWidth, c.Made.EaseHeight, max(0, m.Thick().Used-c.Made.Depth)
	inner := card.Size{Width: w, Height: h}
	if c.Strip {
		w = betweenStrips(m.maker, c, thick)
	}
	if c.Turned {
		w, h, inner = h, w, card.Size{Width: h, Height: w}
	}
	outer := m.Outer()
	p := FitPlan{
		ID: "made", Name: m.candidateName(c), Size: m.by(e.Width, e.Height), Verdict: envelope.Sits(w, h), EaseWidth: m.shown(w), EaseHeight: m.shown(h), Chosen: true,
		Outer: card.Size{Width: e.Width, Height: e.Height}, Inner: card.Size{Width: inner.Width + outer.Width + thick, Height: inner.Height + outer.Height + thick}, Strips: stripsIn(c), Takes: card.Size{Width: thick, Height: thick},
	}
	p.Why, p.Said = verdicts[p.Verdict].why, verdicts[p.Verdict].good
	return m.placed(p)
}

func (m envelopeStation) fitsSentence(p EnvelopePlan) say.Sentence {
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
		return say.That("None sits just right; [%s] is the nearest, and %s. A blank made for the card sits better.", best.Name, verdicts[best.Verdict].sits)
	}
	return say.That("None sits well: the nearest, [%s], is %s. Make the envelope for it.", best.Name, verdicts[best.Verdict].sits)
}
