package plan

import (
	"fmt"

	"yellowparcel/core/drawing"
)

// PrintJob is a job on one page for the table: what to do, the drawings with their sizes, cuts,
// scores in order, envelope, mail, and room for notes.
func PrintJob(t Table) drawing.Print {
	p := drawing.Print{Title: t.Job.Name, OnePage: true}
	put := func(b drawing.Block) { p.Blocks = append(p.Blocks, b) }
	if w := t.Plan.Waits; w != nil {
		put(drawing.Block{Text: w.Sentence.Text})
		put(drawing.Block{Head: "Notes", Rules: 4})
		return p
	}
	var ticket [][]string
	head, values := []string{}, []string{}
	for _, l := range t.Plan.Ticket {
		if l.ID != "bench" {
			head, values = append(head, l.Label), append(values, l.Value)
		}
	}
	put(drawing.Block{Table: append(ticket, head, values)})
	base := drawing.Block{Head: "Card", Text: t.Plan.Card.Sentence.Text}
	for _, x := range t.Pieces {
		if x.Count > 0 && len(base.Pictures) < mostPictures {
			base.Pictures = append(base.Pictures, drawing.Picture{Drawing: x.Flat, Name: x.Name, Size: fmt.Sprintf("%s, %d of %s", x.Size, x.Count, x.Paper)})
		}
	}
	put(base)
	if len(t.Plan.Layers.Rows) > 1 {
		put(drawing.Block{Head: "Layers", Text: t.Plan.Layers.Sentence.Text})
	}
	blank := t.Plan.Envelope.Blank
	env := drawing.Block{Head: "Envelope", Text: blank.Sentence.Text}
	if !t.Enveloped {
		env.Text = "None needed."
	}
	for _, w := range blank.Ways {
		if w.ID == blank.Way && t.Enveloped {
			env.Lines = append(env.Lines, w.Steps...)
		}
	}
	put(env)
	for _, s := range t.Plan.Paper.Stocks {
		cuts := drawing.Block{Head: "Cut from " + s.Name, Text: s.Text}
		for _, step := range s.Steps {
			for _, c := range step.Cuts {
				cuts.Lines = append(cuts.Lines, step.Setting.Text+": cut "+c)
			}
		}
		put(cuts)
	}
	put(drawing.Block{Head: "Mail", Text: t.Plan.Mail.Sentence.Text})
	put(drawing.Block{Head: "Notes", Rules: 4})
	return p
}

// mostPictures is how many pieces go beside each other.
const mostPictures = 4
