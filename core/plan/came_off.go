package plan

import (
	"fmt"
	"math"
	"slices"
	"strings"

	"yellowparcel/core/drawing"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/say"
)

// CutPlan is what a cutter did with a mat, and what comes off it.
type CutPlan struct {
	// Says whether that is what was drawn.
	Says   say.Note `json:"says"`
	Passes []string `json:"passes"`
	// Flat is what comes off, its lines in the order in which they were made.
	Flat  drawing.Drawing `json:"flat"`
	Size  string          `json:"size"`
	Words string          `json:"words"`
}

// asDrawn is how far what comes off may be from what was drawn, in millimetres.
const asDrawn = 0.02

// CameOff says what a cutter did with a piece or a mat of a job: travel is in millimetres.
func CameOff(x BenchPiece, shop job.Shop, made []drawing.Made, travel, seconds float64) CutPlan {
	style := shop.Style()
	show := func(mm float64) string {
		return style.ShowUnit(measure.Round(mm * float64(measure.Millimetre)).Near(style.Tick))
	}
	p := CutPlan{Passes: []string{}, Size: x.Size, Flat: drawing.CameOff(x.Flat.Width, x.Flat.Height, made).Drawn()}
	names := map[drawing.Kind]string{drawing.Score: "Score", drawing.Cut: "Cut"}
	for _, kind := range []drawing.Kind{drawing.Score, drawing.Cut} {
		n, long := 0, 0.0
		for _, m := range made {
			if m.Kind == kind {
				n, long = n+1, long+drawing.Shape{Corners: m.Corners}.Length()
			}
		}
		if n > 0 {
			p.Passes = append(p.Passes, fmt.Sprintf("%s: %s, %s.", names[kind], say.Plural(n, "line"), show(long)))
		}
	}
	p.Passes = append(p.Passes, fmt.Sprintf("It goes %s, and takes about %s.", show(travel), duration(seconds)))
	held := x.Flat.Hold(made, Scoring(shop))
	switch pieces := paperOf(p.Flat); {
	case held.Left > 0:
		p.Says = say.Trouble.Says(fmt.Sprintf("%s of the drawing %s not made. Check the units of your files.", say.Capital(say.Plural(held.Left, "line")), map[bool]string{true: "is", false: "are"}[held.Left == 1]))
	case held.More > 0 || held.Off > asDrawn:
		p.Says = say.Trouble.Says(fmt.Sprintf("What comes off is %.2f mm from the drawing. Check the units of your files.", held.Off))
	default:
		p.Says = say.Fine.Says(fmt.Sprintf("%s as drawn, to %.2f mm.", say.Capital(come(pieces)), max(0.01, math.Ceil(held.Off*100)/100)))
	}
	p.Words = fmt.Sprintf("What comes off the mat: %s.", x.Name)
	if named := loadNames(x, p.Flat); len(named) > 0 {
		p.Flat.Labels = named
		var come []string
		for i, n := range named {
			if first := slices.IndexFunc(named, func(l drawing.Label) bool { return l.Text == n.Text }); first < i {
				continue
			}
			count := 0
			for _, l := range named {
				if l.Text == n.Text {
					count++
				}
			}
			come = append(come, fmt.Sprintf("%d × %s", count, n.Text))
		}
		p.Words = fmt.Sprintf("What comes off the mat: %s.", say.And(come))
	}
	return p
}

// loadNames are the names of the pieces of a load, where they lie on what came off of it.
func loadNames(x BenchPiece, off drawing.Drawing) (list []drawing.Label) {
	if !strings.HasPrefix(x.ID, "mat-") {
		return nil
	}
	for _, l := range x.Flat.Labels {
		if slices.ContainsFunc(off.Shapes, func(s drawing.Shape) bool { return s.Paper && s.Corners.Holds(l.At) }) {
			list = append(list, l)
		}
	}
	return list
}

// come says how many pieces come off.
func come(n int) string {
	if n == 1 {
		return "one piece comes off"
	}
	return number(n) + " pieces come off"
}

// paperOf counts the pieces of a drawing.
func paperOf(d drawing.Drawing) (n int) {
	for _, s := range d.Shapes {
		if s.Paper {
			n++
		}
	}
	return n
}

// duration is a time as one says it.
func duration(seconds float64) string {
	if seconds < 90 {
		return say.Plural(int(math.Ceil(seconds)), "second")
	}
	return say.Plural(int(math.Ceil(seconds/60)), "minute")
}
