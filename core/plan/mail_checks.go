package plan

import (
	"fmt"
	"math"
	"strings"

	"yellowparcel/core/field"
	"yellowparcel/core/mail"
	"yellowparcel/core/measure"
	"yellowparcel/core/say"
)

// CheckPlan is one measure against its limit, as text and as places on a gauge
// that runs from 0 to 1.
type CheckPlan struct {
	Measure  mail.Measure `json:"measure"`
	Label    string       `json:"label"`
	About    string       `json:"about"` // which state was measured, or what breaking it costs
	Measured string       `json:"measured"`
	Limit    string       `json:"limit"`
	Margin   string       `json:"margin"`
	// Here are value, limit and margin in the shop's unit, where the limit was published in
	// another one.
	Here  *HerePlan `json:"here,omitempty"`
	OK    bool      `json:"ok"`
	Close bool      `json:"close"` // within measuring error of the limit
	// Worst is the margin when every measuring error goes the wrong way.
	Worst     string `json:"worst"`
	Surcharge bool   `json:"surcharge"`
	// Guidance is set where the post does not say the number.
	Guidance bool  `json:"guidance"`
	Gauge    Gauge `json:"gauge"`
}

// HerePlan is a check in the shop's own unit.
type HerePlan struct {
	Measured string `json:"measured"`
	Limit    string `json:"limit"`
	Margin   string `json:"margin"`
}

// Gauge places the allowed range and the value on a scale from 0 to 1.
type Gauge struct {
	From float64 `json:"from"`
	To   float64 `json:"to"`
	At   float64 `json:"at"`
}

// broken names the limits that a class's checks break: "too thick by 1/16".
func (m mailStation) broken(checks []mail.Check, surcharge bool) string {
	var list []string
	for _, c := range checks {
		if c.OK || c.Surcharge != surcharge {
			continue
		}
		k, _ := c.Measure.Known()
		words := k.Words.Low
		if c.Max != nil && (c.Open || c.Measured > float64(*c.Max)) {
			words = k.Words.High
		}
		switch {
		case c.Asked > 0:
			words = fmt.Sprintf("too stiff to bend %s over a table's edge", m.fine().ShowUnit(measure.Round(c.Asked)))
		case c.Open && c.Unsure:
			words = "perhaps " + words
		case c.Open:
		case k.Counted != mail.Flags:
			words = fmt.Sprintf("%s by %s", words, m.checkText(c, -c.Margin))
		}
		if c.Unsure && !c.Open {
			words = "filled it may be " + words
		}
		if c.Guidance || c.Asked > 0 {
			words += " (guidance)"
		}
		list = append(list, words)
	}
	return say.And(list)
}

func (m mailStation) checks(checks []mail.Check) []CheckPlan {
	list := make([]CheckPlan, 0, len(checks))
	for _, c := range checks {
		about := []string{}
		if c.Filled {
			about = append(about, "filled")
		}
		if c.Surcharge {
			about = append(about, "or a surcharge")
		}
		if c.Open {
			about = append(about, "as the gauge found it")
		}
		if c.Guidance || c.Asked > 0 {
			about = append(about, "guidance")
		}
		p := CheckPlan{
			Measure: c.Measure, Label: c.Measure.Words().Name, About: strings.Join(about, ", "), Measured: m.checkValue(c, c.Measured),
			Limit: limitWords(c, func(v float64) string { return m.checkValue(c, v) }), OK: c.OK, Close: c.OK && c.Worst < 0, Surcharge: c.Surcharge, Guidance: c.Guidance || c.Asked > 0, Gauge: gauge(c),
		}
		if kind, _ := c.Measure.Kind(); kind != mail.Flags {
			p.Margin, p.Worst = m.checkValue(c, c.Margin), m.checkValue(c, c.Worst)
		}
		switch {
		case c.Asked > 0:
			p.Measured, p.Limit, p.Margin, p.Worst = bends(m.fine(), c)
		case c.Open:
			p.Measured, p.Margin, p.Worst = "over "+p.Measured, "not known", "not known"
		}
		if own, ok := m.here(c); ok && !c.Open {
			p.Here = &HerePlan{own.text(c.Measured), limitWords(c, own.text), own.text(c.Margin)}
		}
		list = append(list, p)
	}
	return list
}

// bends says how far the piece bends over a table's edge unharmed, and how far it has to: the strain that
// decides says nothing to a maker.
func bends(fine measure.Style, c mail.Check) (measured, limit, margin, worst string) {
	const far = 3 // times what is asked
	bend := far * c.Asked
	if c.Max != nil && c.Measured*far > float64(*c.Max) {
		bend = c.Asked * float64(*c.Max) / c.Measured
		measured = fine.ShowUnit(measure.Round(bend))
	} else {
		measured = "over " + fine.ShowUnit(measure.Round(bend))
	}
	margin = fine.ShowUnit(measure.Round(bend - c.Asked))
	return measured, "from " + fine.ShowUnit(measure.Round(c.Asked)), margin, margin
}

// checkValue writes a value of a check as its limit was published.
func (m maker) checkValue(c mail.Check, v float64) string {
	if text, ok := ratioText(c, v); ok {
		return text
	}
	if k, _ := c.Measure.Known(); k.Counted != mail.Lengths && k.Counted != mail.Weights {
		return m.amount(c.Measure, v, false)
	}
	return m.published(c).text(v)
}

// limitWords say a limit, its bounds written in one way.
func limitWords(c mail.Check, text func(float64) string) string {
	if kind, _ := c.Measure.Kind(); kind == mail.Flags {
		if c.Max != nil {
			return text(float64(*c.Max))
		}
		return text(float64(*c.Min))
	}
	switch {
	case c.Min == nil:
		return "to " + text(float64(*c.Max))
	case c.Max == nil:
		return "from " + text(float64(*c.Min))
	}
	return text(float64(*c.Min)) + " to " + text(float64(*c.Max))
}

// amount writes a quantity of some measure in the shop's units.
func (m maker) amount(of mail.Measure, v float64, withUnit bool) string {
	minus := func(s string) string { return strings.Replace(s, "-", "−", 1) }
	switch kind, _ := of.Kind(); kind {
	case mail.Weights:
		return m.weight(v)
	case mail.Ratios:
		return minus(fmt.Sprintf("%.2f", v))
	case mail.Forces:
		return m.force(v)
	case mail.Percents:
		return minus(fmt.Sprintf("%.2f %%", 100*v))
	case mail.Flags:
		if v > 0.5 {
			return "yes"
		}
		return "no"
	}
	l := measure.Round(v)
	text := m.Style().Show(l)
	if k, _ := of.Known(); k.Fine {
		if text = m.fine().Show(l); l.Abs() < measure.Inch/16 && m.fine().Rounds(l) {
			text = minus(m.decimal(l))
		}
	}
	if withUnit {
		return text + " " + string(m.Style().Unit)
	}
	return text
}

func (m maker) weight(g float64) string {
	if m.Style().Unit == measure.Millimetres {
		digits := 1
		if math.Abs(g-math.Round(g)) < 0.05 || math.Abs(g) >= 1000 {
			digits = 0
		}
		return strings.Replace(fmt.Sprintf("%.*f g", digits, g), "-", "−", 1)
	}
	return strings.Replace(fmt.Sprintf("%.1f oz", g/field.Ounce), "-", "−", 1)
}

// force writes a pull in pounds or newtons.
func (m maker) force(n float64) string {
	unit := "N"
	if m.Style().Unit == measure.Inches {
		n, unit = n/mail.PoundForce, "lb"
	}
	digits := 1
	if math.Abs(n) < 1 {
		digits = 2
	}
	return strings.Replace(fmt.Sprintf("%.*f %s", digits, n, unit), "-", "−", 1)
}

// gauge lays the allowed range over the middle of a scale, and the value where
// it falls, held to the ends.
func gauge(c mail.Check) Gauge {
	low, high := 0.0, c.Measured*2
	if c.Max != nil {
		high = float64(*c.Max)
	}
	if c.Min != nil {
		low = float64(*c.Min)
	}
	span := math.Max(high-low, 1e-9)
	start, whole := math.Max(0, low-span/4), span*1.5
	if start == 0 {
		whole = high + span/4
	}
	place := func(v float64) float64 { return math.Min(1, math.Max(0, (v-start)/whole)) }
	g := Gauge{From: place(low), To: place(high), At: place(c.Measured)}
	if c.Max == nil {
		g.To = 1
	}
	return g
}
