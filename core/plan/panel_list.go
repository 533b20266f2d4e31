package plan

import (
	"strings"

	"yellowparcel/core/card"
	"yellowparcel/core/measure"
)

// panelList writes an accordion's own panels as they are typed: "5, 5, 4 1⁄2".
func (m maker) panelList() string {
	list := make([]string, len(m.job.Card.Own))
	for i, p := range m.job.Card.Own {
		list[i] = m.style.Show(p)
	}
	return strings.Join(list, ", ")
}

// applyPanelList reads an accordion's panels one by one. A note may give their
// sum behind an equals sign, which then has to be right to a tick.
func applyPanelList(j Job, shop Shop, e Edit) (Job, error) {
	style := shop.Style()
	if e.Text == nil || strings.TrimSpace(*e.Text) == "" {
		j.Card.Own = nil // all as wide as the card again
		return j, nil
	}
	text, total, summed := strings.Cut(*e.Text, "=")
	var list []measure.Length
	sum := measure.Length(0)
	for _, part := range strings.FieldsFunc(text, func(r rune) bool { return r == ',' || r == ';' || r == '+' }) {
		l, err := measure.Parse(part, shop.Unit)
		if err != nil {
			return j, err
		}
		list, sum = append(list, l), sum+l
	}
	if summed {
		t, err := measure.Parse(total, shop.Unit)
		if err != nil {
			return j, err
		}
		if (t - sum).Abs() > style.Tick {
			return j, refuse("The panels do not add up: together they are %s, not %s. Look which one is wrong.", style.ShowUnit(sum), style.ShowUnit(t))
		}
	}
	if err := checkPanelList(list, j, style); err != nil {
		return j, err
	}
	j.Card.Own = list
	return j, nil
}

// checkPanelList refuses panels that make no accordion.
func checkPanelList(list []measure.Length, j Job, s measure.Style) error {
	if n := len(list); n < card.LeastPanels || n > card.MostPanels {
		return refuse("An accordion has from %d to %d panels, and these are %d: type their widths parted by commas.", card.LeastPanels, card.MostPanels, n)
	}
	for i, p := range list {
		switch {
		case p < leastPanel:
			return refuse("Panel %d is %s wide: too narrow to fold.", i+1, s.ShowUnit(p))
		case p > j.Card.Width:
			return refuse("Panel %d of %s is wider than the card, %s: it would stick out when the card is closed.", i+1, s.ShowUnit(p), s.ShowUnit(j.Card.Width))
		}
	}
	return nil
}

// leastPanel is the narrowest panel that can be folded.
const leastPanel = measure.Inch / 4
