package plan

import (
	"fmt"
	"slices"
	"strings"

	"yellowparcel/core/cutting"
	"yellowparcel/core/envelope"
	"yellowparcel/core/measure"
	"yellowparcel/core/piece"
	"yellowparcel/core/say"
)

// cutWords puts a cutting plan into words for the bench.
type cutWords struct {
	m maker
	o piece.Order
	t tried
	// made is what an offcut of a size still makes; sheets are full of equal ones.
	made map[[2]measure.Length]string
}

func layoutName(i int) string {
	if i < 26 {
		return string(rune('A' + i))
	}
	return fmt.Sprintf("%c%d", 'A'+i%26, i/26)
}

func (w cutWords) layouts() []LayoutPlan {
	list := []LayoutPlan{}
	for i, l := range w.t.plan.Layouts {
		p := LayoutPlan{Name: layoutName(i), Times: l.Times, Cuts: l.Cuts, Offcuts: []OffcutPlan{}}
		for _, q := range l.Pieces {
			q.Turned = q.Turned != w.t.on.Swapped[q.Piece] // as the maker knows the piece
			p.Pieces = append(p.Pieces, q)
		}
		for _, r := range l.Offcuts {
			p.Offcuts = append(p.Offcuts, OffcutPlan{r, w.m.by(r.Width, r.Height), w.makes(r)})
		}
		p.Drawing = fmt.Sprintf("Sheet %s of %s, cut %s: %s. It takes %s and leaves %s.", p.Name, w.t.sheet.Name, times(l.Times), w.contents(l), say.Plural(len(l.Cuts), "cut"), say.Plural(len(l.Offcuts), "piece"))
		list = append(list, p)
	}
	return list
}

func times(n int) string {
	if n == 1 {
		return "once"
	}
	return number(n) + " times"
}

func (w cutWords) contents(l cutting.Layout) string {
	counts := make([]int, len(w.o.Cuts))
	for _, p := range l.Pieces {
		counts[p.Piece]++
	}
	var words []string
	for i, n := range counts {
		if n > 0 {
			words = append(words, fmt.Sprintf("%d × %s", n, cutName(w.o.Cuts[i])))
		}
	}
	return strings.Join(words, ", ")
}

// makes says what an offcut is still good for: spare pieces of this job, else
// the largest flat card of the trade.
func (w cutWords) makes(r cutting.Rect) string {
	key := [2]measure.Length{r.Width, r.Height}
	text, known := w.made[key]
	if !known {
		text = w.stillMakes(r)
		w.made[key] = text
	}
	return text
}

func (w cutWords) stillMakes(r cutting.Rect) string {
	sheet := cutting.Sheet{Width: r.Width, Height: r.Height, Cut: w.t.on.Cutting.Sheet.Cut}
	best, area := "", 0.0
	for i, p := range w.t.on.Cutting.Pieces {
		if n := w.m.Effort.Yield(sheet, p); n > 0 && p.Width.Inches()*p.Height.Inches() > area {
			best, area = fmt.Sprintf("%d more × %s", n, cutName(w.o.Cuts[i])), p.Width.Inches()*p.Height.Inches()
		}
	}
	if best != "" {
		return best
	}
	var card envelope.Size
	for _, f := range envelope.Formats() {
		for _, c := range f.Cards {
			piece := cutting.Piece{Width: c.Width, Height: c.Height, Turn: true}
			if sheet.Possible(piece) == cutting.Possible && c.Width.Inches()*c.Height.Inches() > area {
				card, area = c, c.Width.Inches()*c.Height.Inches()
			}
		}
	}
	switch {
	case area > 0:
		return "a flat card " + w.m.by(card.Width, card.Height)
	case min(r.Width, r.Height) >= measure.Inch:
		return "tags and trials"
	}
	return "scrap"
}

func (w cutWords) steps() []StepPlan {
	cuts, layout := map[int]cutting.Cut{}, map[int]int{}
	for i, l := range w.t.plan.Layouts {
		for _, c := range l.Cuts {
			cuts[c.Number], layout[c.Number] = c, i
		}
	}
	list := []StepPlan{}
	for _, s := range w.t.plan.Steps {
		step := StepPlan{Setting: w.m.shown(s.Setting), Numbers: s.Cuts}
		for _, n := range s.Cuts {
			step.Cuts = append(step.Cuts, w.cut(n, cuts[n], layout[n], s.Setting))
		}
		list = append(list, step)
	}
	return list
}

// cut says one cut: which sheet, which way, what stays against the guide and
// what falls off.
func (w cutWords) cut(n int, c cutting.Cut, layout int, setting measure.Length) string {
	l := w.t.plan.Layouts[layout]
	kept, off := c.Parts()
	if c.At != setting {
		kept, off = off, kept
	}
	way, on := "across", ""
	if c.Down {
		way = "down"
	}
	if l.Times > 1 {
		on = fmt.Sprintf(" on all %d", l.Times)
	}
	return fmt.Sprintf("%d: sheet %s%s, %s through %s. Keep %s. %s", n, layoutName(layout), on, way, w.m.by(c.From.Width, c.From.Height), w.rect(l, kept), say.Capital(w.becomes(l, c, off)))
}

// becomes says what becomes of the part that the guide does not measure: it falls off only
// where it is not used again.
func (w cutWords) becomes(l cutting.Layout, c cutting.Cut, off cutting.Rect) string {
	used := slices.ContainsFunc(l.Pieces, func(p cutting.Placed) bool {
		return p.X >= off.X && p.Y >= off.Y && p.X+p.Width <= off.X+off.Width && p.Y+p.Height <= off.Y+off.Height
	})
	if !used {
		return w.rect(l, off) + " falls off"
	}
	return w.rect(l, off) + restWords[c.Rest]
}

// restWords say what becomes of a part that is used again.
var restWords = map[cutting.Rest]string{
	cutting.NoRest:    " is cut on",
	cutting.EqualRest: " is left: measure it, the sheet may be off",
	cutting.LeftRest:  " is left: check it against the first",
}

// rect names a rectangle of a layout: a piece, an offcut, or a strip to cut on.
func (w cutWords) rect(l cutting.Layout, r cutting.Rect) string {
	for _, p := range l.Pieces {
		if p.Rect == r {
			return "“" + cutName(w.o.Cuts[p.Piece]) + "”"
		}
	}
	for _, o := range l.Offcuts {
		if o == r {
			return "offcut " + w.m.by(r.Width, r.Height)
		}
	}
	return "strip " + w.m.by(r.Width, r.Height)
}
