package plan

import (
	"fmt"
	"strings"

	"yellowparcel/core/blank"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/say"
)

// whatWould says what would bring a blank onto a sheet that there is.
func (m maker) whatWould(c candidate, all []candidate) []Note {
	if c.found || c.kind.Bought {
		return nil
	}
	var ways []string
	try := func(text string, change func(*job.Job)) {
		j := m.Job().Clone()
		change(&j)
		if m.with(j).foundFor(c.kind) {
			ways = append(ways, text)
		}
	}
	a, _ := m.Shop().Adhesive(m.Job().Envelope.Adhesive)
	try("an ease of "+m.Style().Show(measure.Inch/8), func(j *job.Job) { j.Envelope.Ease = measure.Inch / 8 })
	try("a seam of "+m.Style().Show(a.Width), func(j *job.Job) { j.Envelope.Seam = a.Width })
	if len(ways) == 0 {
		try("both an ease of "+m.Style().Show(measure.Inch/8)+" and a seam of "+m.Style().Show(a.Width), func(j *job.Job) {
			j.Envelope.Ease, j.Envelope.Seam = measure.Inch/8, a.Width
		})
	}
	for _, k := range all {
		if k.kind != c.kind && !k.kind.Bought && k.ok && k.found && k.made.Depth == c.made.Depth {
			ways = append(ways, "a "+say.Lower(k.kind.Words.Name))
		}
	}
	if size, ok := m.largestServed(c.kind); ok {
		ways = append(ways, "a card of at most "+m.by(size.Width, size.Height))
	}
	if two, ok := m.joined(c); ok {
		ways = append(ways, m.jointWords(c, two))
	} else {
		ways = append(ways, "a larger sheet: two of yours joined would not do either")
	}
	name := c.fits.Name
	if name == "" {
		return []Note{{Trouble, "There is no sheet on your shelf to make it from: enter one there."}}
	}
	return []Note{{Trouble, fmt.Sprintf("It is %s too large for %s. What would do: %s.", m.Style().Show(c.short), name, strings.Join(ways, "; "))}}
}

// foundFor reports whether a sheet gives the blank of a construction.
func (m maker) foundFor(k *blank.Construction) bool {
	m.sizeOnly = true
	return m.candidate(k).found
}

// largestServed is the largest card of this shape that the sheets serve in a
// construction, to the tick of its longer side.
func (m maker) largestServed(k *blank.Construction) (size cardSize, ok bool) {
	long := max(m.Job().Card.Width, m.Job().Card.Height)
	low, high := measure.Length(0), long/m.Style().Tick+1
	for high-low > 1 {
		middle := (low + high) / 2
		j := m.Job()
		j.Card.Width, j.Card.Height = m.scaled(middle*m.Style().Tick, long)
		if min(j.Card.Width, j.Card.Height) >= job.LeastCard && m.with(j).foundFor(k) {
			low = middle
		} else {
			high = middle
		}
	}
	w, h := m.scaled(low*m.Style().Tick, long)
	return cardSize{w, h}, low > 0
}

type cardSize struct{ Width, Height measure.Length }

// scaled is the card's size with its longer side made so long.
func (m maker) scaled(to, long measure.Length) (w, h measure.Length) {
	side := func(l measure.Length) measure.Length {
		return measure.Round(float64(l) * float64(to) / float64(long)).Down(m.Style().Tick)
	}
	return side(m.Job().Card.Width), side(m.Job().Card.Height)
}
