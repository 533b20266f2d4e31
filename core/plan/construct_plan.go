package plan

import (
	"cmp"
	"fmt"
	"slices"
	"strings"

	"yellowparcel/core/blank"
	"yellowparcel/core/envelope"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
)

// ConstructionPlan is one construction beside the others.
type ConstructionPlan struct {
	ID   blank.ID `json:"id"`
	Name string   `json:"name"`
	// OK is false when it cannot be made for this card; Text says why.
	OK          bool         `json:"ok"`
	Text        string       `json:"text"`
	Net         blank.Sketch `json:"net"`
	Sheet       string       `json:"sheet"`
	Fits        bool         `json:"fits"`
	FitText     string       `json:"fitText"`
	Seam        string       `json:"seam"`
	Work        string       `json:"work"`
	Depth       string       `json:"depth"`
	Closed      string       `json:"closed"`
	Paper       string       `json:"paper"`
	Post        string       `json:"post"`
	Tone        Tone         `json:"tone"`
	Faults      int          `json:"faults"`
	Chosen      bool         `json:"chosen"`
	Recommended bool         `json:"recommended"`
	Drawing     string       `json:"drawing"`
}

// ComparisonPlan sets the constructions side by side.
type ComparisonPlan struct {
	Sort     job.CompareSort    `json:"sort" enum:"paper,quick,neat,post"`
	Sentence string             `json:"sentence"`
	Rows     []ConstructionPlan `json:"rows"`
	// Rectangle offers the plain rectangle when the shape costs a surcharge.
	Rectangle string `json:"rectangle"`
}

func (m maker) sort() job.CompareSort {
	if s := m.Job().Envelope.Sort; slices.Contains([]job.CompareSort{job.Quickest, job.Neatest, job.Cheapest}, s) {
		return s
	}
	return job.LeastPaper
}

// paperUsed is the paper that goes into a construction, in square inches; for a
// bought envelope that is cut down, what it was made of.
func (c candidate) paperUsed() float64 {
	if c.kind.Bought {
		return c.made.Net.Sheet.Area() / (25.4 * 25.4)
	}
	return c.made.SheetWidth.Inches() * c.made.SheetHeight.Inches()
}

func (c candidate) work() int { return c.made.Cuts + c.made.Folds }

// sound reports whether nothing is wrong with a construction that would keep a
// maker from it.
func (m maker) sound(c candidate) bool {
	if !c.ok || c.refused != nil || !c.found || c.post.tone == Trouble || c.made.Ease() < c.made.Way().EaseLoss.RSS {
		return false
	}
	if !c.strip && max(c.made.EaseWidth, c.made.EaseHeight) > max(m.Job().Envelope.Ease, envelope.LooseUpTo) {
		return false // the card rattles in it
	}
	for _, f := range c.made.Faults {
		if slices.Contains([]blank.FaultID{blank.SeamUnderAdhesive, blank.SeamRounded, blank.OpenBack, blank.TabsMeet, blank.FlapTooLong}, f.ID) {
			return false
		}
	}
	// A card too thick for single creases wants walls.
	return c.made.Depth > 0 || m.Thick().Used <= measure.Inch/4
}

func (m maker) order(list []candidate) []candidate {
	sorted := slices.Clone(list)
	key := func(c candidate) float64 {
		switch m.sort() {
		case job.Quickest:
			return float64(c.work())
		case job.Neatest:
			return float64(len(c.made.Faults))*1e6 + c.made.Folded.Hole + float64(c.made.Folded.Layers)
		case job.Cheapest:
			return float64(c.post.rank)*1e6 + c.paperUsed()
		}
		return c.paperUsed()
	}
	slices.SortStableFunc(sorted, func(a, b candidate) int {
		no := map[bool]int{true: 0, false: 1}
		return cmp.Or(cmp.Compare(no[m.sound(a)], no[m.sound(b)]), cmp.Compare(no[a.ok], no[b.ok]), cmp.Compare(key(a), key(b)))
	})
	return sorted
}

func (m maker) comparison(list []candidate) ComparisonPlan {
	p := ComparisonPlan{Sort: m.sort(), Rows: []ConstructionPlan{}}
	sorted := m.order(list)
	for i, c := range sorted {
		row := m.row(c)
		row.Recommended = i == 0 && m.sound(c)
		p.Rows = append(p.Rows, row)
	}
	p.Sentence = m.reason(sorted)
	if r, ok := m.plainRectangle(); ok && !m.Job().Envelope.Mailable && m.choose(list).post.shape {
		p.Rectangle = fmt.Sprintf("In a plain rectangle of %s %s, held by two strips, it would not pay the surcharge.", m.by(r.Width, r.Height), m.Style().Unit)
	}
	return p
}

// reason says which construction is proposed, and cites two numbers.
func (m maker) reason(sorted []candidate) string {
	best := sorted[0]
	if !m.sound(best) {
		return "None of them serves this card as it is: see what each lacks."
	}
	sound := 0
	for _, c := range sorted {
		if m.sound(c) {
			sound++
		}
	}
	name, among := best.kind.Words.Name, fmt.Sprintf("of the %d that serve", sound)
	if sound == 1 {
		among = "and the only one that serves"
	}
	seam := fmt.Sprintf("its seam is %s", m.Style().Show(best.made.Seam))
	switch m.sort() {
	case job.Quickest:
		return fmt.Sprintf("%s: %d cuts and folds, the fewest %s, and %s.", name, best.work(), among, seam)
	case job.Neatest:
		return fmt.Sprintf("%s: %s that something is to be said against, the fewest %s, and %s.", name, plural(len(best.made.Faults), "point"), among, seam)
	case job.Cheapest:
		return fmt.Sprintf("%s: it goes as %s, %s thick, the cheapest %s, and %s.", name, best.post.short, m.fine().Show(m.closed(best).thickness), among, seam)
	}
	return fmt.Sprintf("%s: %.0f square inches of paper, the least %s, and %s.", name, best.paperUsed(), among, seam)
}

func (m maker) row(c candidate) ConstructionPlan {
	row := ConstructionPlan{ID: c.kind.ID, Name: c.kind.Words.Name, OK: c.ok, Chosen: c.kind.ID == m.Job().Construction(), Tone: Fine}
	if !c.ok {
		row.Text = c.kind.Words.Not
		row.Net = blank.Net{}.Sketch()
		return row
	}
	row.Net = c.made.Net.Sketch()
	row.Sheet, row.Fits = m.by(c.made.SheetWidth, c.made.SheetHeight), c.found
	row.FitText = fmt.Sprintf("from %s, %s to spare", c.fits.Name, m.Style().Show(c.spare.Down(m.Style().Tick)))
	switch {
	case c.kind.Bought:
		row.Sheet, row.FitText = m.format(c.made.From.ID).Name, "to buy"
		if c.made.From.Owned {
			row.FitText = "on your shelf"
		}
	case !c.found && c.fits.Name != "":
		row.FitText = fmt.Sprintf("%s too large for %s", m.Style().Show(c.short), c.fits.Name)
	case !c.found:
		row.FitText = "no sheet on your shelf"
	}
	row.Seam, row.Closed = m.Style().Show(c.made.Seam), m.by(c.made.Width, c.made.Height)
	row.Work = fmt.Sprintf("%d cuts, %d folds", c.made.Cuts, c.made.Folds)
	// Without walls folds stand square up to a quarter inch, creased twice.
	takes := min(m.Thick().Used+min(c.made.EaseWidth, c.made.EaseHeight), measure.Inch/4)
	if c.made.Depth > 0 && c.kind.Walled {
		takes = c.made.Depth - blank.WallOver
	}
	row.Depth = m.fine().Show(max(0, takes).Down(m.fine().Tick))
	row.Paper = percent(c.made.PaperUse())
	row.Post, row.Tone, row.Faults = c.post.short, c.post.tone, len(c.made.Faults)
	row.Drawing = fmt.Sprintf("%s lying flat: %s.", row.Name, m.partsWords(c.made))
	return row
}

// partsWords lists the panels of a net.
func (m maker) partsWords(made blank.Made) string {
	counts, names := map[string]int{}, []string{}
	for _, p := range made.Net.Panels {
		if counts[p.Name]++; counts[p.Name] == 1 {
			names = append(names, p.Name)
		}
	}
	for i, n := range names {
		names[i] = plural(counts[n], n)
	}
	return strings.Join(names, ", ")
}
