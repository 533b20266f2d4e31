package plan

import (
	"context"
	"fmt"

	"yellowparcel/core/blank"
	"yellowparcel/core/card"
	"yellowparcel/core/drawing"
	"yellowparcel/core/envelope"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
)

// ChartPlan is the pocket chart: what goes into each of the maker's envelopes.
type ChartPlan struct {
	// Less names how much smaller each layer is, in the order of the rows' layers.
	Less []string   `json:"less"`
	Rows []ChartRow `json:"rows"`
	Text string     `json:"text"`
}

// ChartRow is one envelope.
type ChartRow struct {
	Name     string `json:"name"`
	Envelope string `json:"envelope"`
	Card     string `json:"card"`
	// Flat is the base folded at the side, Top at the top.
	Flat   string   `json:"flat"`
	Top    string   `json:"top"`
	Layers []string `json:"layers"`
	Mail   string   `json:"mail"`
}

// mostCharted is how many envelopes go on a chart.
const mostCharted = 24

// Chart works out the pocket chart of a shop: of its own envelopes, or of those that are sold
// where it has none.
func Chart(ctx context.Context, shop job.Shop) (ChartPlan, error) {
	style := shop.Style()
	school, step := envelope.Usual(style.Unit), measure.Inch/8
	if style.Unit == measure.Millimetres {
		step = 3 * measure.Millimetre
	}
	m := inShop(shop)
	p := ChartPlan{Less: []string{}, Rows: []ChartRow{}}
	const steps = 8
	for i := 1; i <= steps; i++ {
		p.Less = append(p.Less, style.Show(measure.Length(i)*step))
	}
	own, uneven := 0, false
	for _, f := range shop.Formats() {
		if f.Owned {
			own++
		}
	}
	for _, f := range shop.Formats() {
		if own > 0 && !f.Owned || len(p.Rows) == mostCharted {
			break
		}
		size, ok := envelope.CardFor(school, f, 0, 0, style.Tick)
		if !ok {
			continue
		}
		for _, gap := range []measure.Length{f.Width - size.Width, f.Height - size.Height} { // envelopes of the other unit
			uneven = uneven || gap.Near(style.Tick) != 2*step
		}
		row := ChartRow{Name: f.Name, Envelope: m.by(f.Width, f.Height), Card: m.by(size.Width, size.Height), Layers: []string{}}
		for fold, at := range map[card.Fold]*string{card.SideFold: &row.Flat, card.TopFold: &row.Top} {
			b := card.NewBase(card.Spec{Fold: fold, Width: size.Width, Height: size.Height, Tick: style.Tick})
			*at = m.by(b.Width, b.Height)
		}
		for i := 1; i <= steps; i++ {
			less := measure.Length(i) * step
			text := ""
			if size.Height-less >= card.LeastLayer {
				text = m.by(size.Width-less, size.Height-less)
			}
			row.Layers = append(row.Layers, text)
		}
		j := job.NewJob(shop)
		j.Card.Width, j.Card.Height = size.Width, size.Height
		j.Envelope.Construction, j.Envelope.From = blank.BoughtID, f.ID
		if len(Check(j, shop)) == 0 {
			made, err := MakeFor(ctx, j, shop, "mail/checks")
			if err != nil {
				return p, err
			}
			row.Mail = made.Mail.Short
		}
		p.Rows = append(p.Rows, row)
	}
	least := ""
	if uneven {
		least = "at least "
	}
	p.Text = fmt.Sprintf("Each card is %s%s smaller than its envelope, outside. A layer is so much smaller than the card, both ways.", least, style.ShowUnit(2*step))
	return p, nil
}

// mostBeside is how many envelopes stand beside each other: each in a column, so that the numbers are larger.
const mostBeside = 6

// acrossed is a table with its rows as columns.
func acrossed(rows [][]string) (list [][]string) {
	for c := range rows[0] {
		line := make([]string, len(rows))
		for r, row := range rows {
			line[r] = row[c]
		}
		list = append(list, line)
	}
	return list
}

// Print is the chart on one page.
func (p ChartPlan) Print() drawing.Print {
	head := append([]string{"Envelope", "Outside", "Card", "Side fold", "Top fold"}, p.Less...)
	for i := range p.Less {
		head[5+i] += " less"
	}
	rows := [][]string{append(head, "Mail")}
	for _, r := range p.Rows {
		rows = append(rows, append(append([]string{r.Name, r.Envelope, r.Card, r.Flat, r.Top}, r.Layers...), r.Mail))
	}
	if len(p.Rows) <= mostBeside {
		rows = acrossed(rows)
	}
	return drawing.Print{Title: "Pocket chart", OnePage: true, Wide: true, Fill: true, Blocks: []drawing.Block{{Text: p.Text}, {Table: rows}, {Text: "Mail is a forecast for a card without layers. Ask your own post office."}}}
}
