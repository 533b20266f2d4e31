package page

import (
	"fmt"

	"yellowparcel/core/drawing"
)

// Print is the worksheet on paper: every step with its number, its drawing and a box to tick.
func (w Worksheet) Print(title string) drawing.Print {
	p := drawing.Print{Title: title}
	if len(w.Steps) == 0 {
		p.Blocks = append(p.Blocks, drawing.Block{Text: w.Sentence.Text})
	}
	for i, s := range w.Steps {
		b := drawing.Block{Head: fmt.Sprintf("%d. %s", i+1, s.Name), Large: s.Number, Text: s.Says.Text, Lines: s.How, Keep: true}
		if s.Check != "" {
			b.Lines = append(b.Lines, "Check: "+s.Check)
		}
		if s.Caution != "" {
			b.Lines = append(b.Lines, "Mind: "+s.Caution)
		}
		if len(s.Flat.Shapes) > 0 && s.Number != "" {
			b.Pictures = []drawing.Picture{{Drawing: s.Flat, Size: s.Size}}
		}
		p.Blocks = append(p.Blocks, b)
	}
	for _, m := range w.Missing {
		p.Blocks = append(p.Blocks, drawing.Block{Text: "No sheet on your shelf gives " + m + ": get paper for it, cut to size."})
	}
	return p
}
