package plan

import (
	"fmt"
	"strings"

	"yellowparcel/core/blank"
	"yellowparcel/core/measure"
)

// whatWould says what would bring a blank onto a sheet that there is.
func (m maker) whatWould(c candidate, all []candidate) []Note {
	if c.found || c.id == CutDown {
		return nil
	}
	var ways []string
	try := func(text string, change func(*maker)) {
		n := m
		n.job = m.job.Clone()
		change(&n)
		if n.foundFor(c.id) {
			ways = append(ways, text)
		}
	}
	a, _ := m.shop.Adhesive(m.job.Envelope.Adhesive)
	try("an ease of "+m.style.Show(measure.Inch/8), func(n *maker) { n.job.Envelope.Ease = measure.Inch / 8 })
	try("a seam of "+m.style.Show(a.Width), func(n *maker) { n.job.Envelope.Seam = a.Width })
	if len(ways) == 0 {
		try("both an ease of "+m.style.Show(measure.Inch/8)+" and a seam of "+m.style.Show(a.Width), func(n *maker) {
			n.job.Envelope.Ease, n.job.Envelope.Seam = measure.Inch/8, a.Width
		})
	}
	for _, k := range all {
		if k.id != c.id && k.id != CutDown && k.ok && k.found && k.made.Depth == c.made.Depth {
			ways = append(ways, "a "+lower(constructionNames[k.id]))
		}
	}
	if size, ok := m.largestServed(c.id); ok {
		ways = append(ways, "a card of at most "+m.by(size.Width, size.Height))
	}
	if j, ok := m.joined(c); ok {
		ways = append(ways, m.jointWords(c, j))
	} else {
		ways = append(ways, "a larger sheet: two of yours joined would not do either")
	}
	name := c.fits.Name
	if name == "" {
		return []Note{{Trouble, "There is no sheet on your shelf to make it from: enter one there."}}
	}
	return []Note{{Trouble, fmt.Sprintf("It is %s too large for %s. What would do: %s.", m.style.Show(c.short), name, strings.Join(ways, "; "))}}
}

// again makes one construction of a job that was changed.
func (m maker) again(id Construction) candidate {
	var diamond blank.Made
	if id == Diamond {
		_, diamond = m.diamond()
	}
	return m.candidate(id, diamond)
}

// foundFor reports whether a sheet gives the blank of a construction.
func (m maker) foundFor(id Construction) bool {
	m.sizeOnly = true
	return m.again(id).found
}

// largestServed is the largest card of this shape that the sheets serve in a
// construction, to the tick of its longer side.
func (m maker) largestServed(id Construction) (size cardSize, ok bool) {
	long := max(m.job.Card.Width, m.job.Card.Height)
	low, high := measure.Length(0), long/m.style.Tick+1
	for high-low > 1 {
		middle := (low + high) / 2
		n := m
		n.job = m.job.Clone()
		n.job.Card.Width, n.job.Card.Height = m.scaled(middle*m.style.Tick, long)
		if min(n.job.Card.Width, n.job.Card.Height) >= LeastCard && n.foundFor(id) {
			low = middle
		} else {
			high = middle
		}
	}
	w, h := m.scaled(low*m.style.Tick, long)
	return cardSize{w, h}, low > 0
}

type cardSize struct{ Width, Height measure.Length }

// scaled is the card's size with its longer side made so long.
func (m maker) scaled(to, long measure.Length) (w, h measure.Length) {
	side := func(l measure.Length) measure.Length {
		return measure.Round(float64(l) * float64(to) / float64(long)).Down(m.style.Tick)
	}
	return side(m.job.Card.Width), side(m.job.Card.Height)
}
