package plan

import (
	"cmp"
	"fmt"
	"slices"
	"strings"

	"yellowparcel/core/mail"
	"yellowparcel/core/measure"
	"yellowparcel/core/paper"
)

// RemedyPlan is one thing that would post the piece better, worked out with all
// that follows from it.
type RemedyPlan struct {
	ID    string `json:"id"`
	Title string `json:"title"`
	// Text says what it costs and saves.
	Text string `json:"text"`
	// Short and Tone are the new verdict.
	Short string `json:"short"`
	Tone  Tone   `json:"tone"`
	// Proven is false where a smaller change might do too.
	Proven bool `json:"proven"`
	// Possible is false where it is told only that it would not help.
	Possible bool `json:"possible"`
}

// remedy is a change to the job that may post it better.
type remedy struct {
	id, title, text string
	// touched counts the parts of the card that are left off or changed, area is
	// what is lost of the face in mm², and paper what more is used, in square
	// inches.
	touched  int
	area     float64
	paper    float64
	unproven bool
	change   func(*Job)
	post     posted
	// anyway remedies are kept though the verdict is no better.
	anyway bool
}

// remedies works out what would post the piece better: smallest change first.
func (m maker) remedies(c candidate, all []candidate, v mail.Verdict) []remedy {
	now := m.forecast(v)
	var list []remedy
	for _, find := range []func(candidate, mail.Verdict, posted) []remedy{m.leaveOff, m.flatter, m.lighter, m.shielded, m.addressed, m.reclosed, m.rectangled, m.atTheCounter} {
		list = append(list, find(c, v, now)...)
	}
	list = append(list, m.otherwiseMade(c, all, now)...)
	var better []remedy
	for _, r := range list {
		n := m
		n.job = m.job.clone()
		if r.change(&n.job); r.touched > 0 {
			n = newMaker(n.job, n.shop)
		}
		made := n.again(n.job.construction())
		if !made.ok {
			continue
		}
		r.post = n.judge(n.closed(made))
		r.paper += made.paperUsed() - c.paperUsed()
		if r.anyway || r.post.compare(now) < 0 {
			better = append(better, r)
		}
	}
	slices.SortStableFunc(better, func(a, b remedy) int {
		// What changes the verdict stands before what is only wise.
		wise := func(r remedy) int {
			if r.post.compare(now) < 0 {
				return 0
			}
			return 1
		}
		return cmp.Or(cmp.Compare(wise(a), wise(b)), cmp.Compare(a.touched, b.touched), cmp.Compare(a.area, b.area), cmp.Compare(a.post.rank, b.post.rank), cmp.Compare(max(0, a.paper), max(0, b.paper)))
	})
	return better
}

// broken lists what of a class is broken, by measure.
func brokenMeasures(r mail.ClassResult) map[mail.Measure]mail.Check {
	list := map[mail.Measure]mail.Check{}
	for _, c := range r.Checks {
		if !c.OK {
			list[c.Measure] = c
		}
	}
	return list
}

// upTo are the classes that are cheaper than the one the piece goes as now, and
// that one where it costs a surcharge or is doubtful.
func (m maker) upTo(v mail.Verdict, now posted) (list []mail.ClassResult) {
	for i, r := range v.Results {
		if 3*i < now.rank && r.Outcome != mail.NotNeeded {
			list = append(list, r)
		}
	}
	return list
}

// leaveOff finds, for every class that would be cheaper, the smallest set of
// things without which the piece goes as it.
func (m maker) leaveOff(c candidate, v mail.Verdict, now posted) (list []remedy) {
	e := m.closed(c)
	fixed := (e.thickness - m.thick.Used).Millimetres()
	if m.thick.Measured || m.job.Post.Measured.Thickness > 0 || m.job.Post.Measured.Grams > 0 {
		return nil // what was measured says nothing of the parts one by one
	}
	_, grams := m.weights(e)
	seen := map[string]bool{}
	for _, r := range m.upTo(v, now) {
		broken := brokenMeasures(r)
		thick, parts := 1e9, 1e9
		for _, l := range r.Checks {
			if l.Max == nil {
				continue
			}
			switch l.Measure {
			case mail.Thickness:
				thick = measure.Length(*l.Max).Millimetres() - fixed
			case mail.Weight:
				// What the parts may weigh, without envelope and closure, and the adhesive
				// that goes with them.
				parts = float64(*l.Max)/(1+glueShare) - (grams/(1+glueShare) - m.partGrams()) - m.closure().Grams
			}
		}
		_, tooThick := broken[mail.Thickness]
		_, tooHeavy := broken[mail.Weight]
		_, lumpy := broken[mail.Lump]
		var off mail.Removal
		ok := false
		switch {
		case tooThick || tooHeavy:
			off, ok = m.relief.LeaveOff(thick, parts)
		case lumpy:
			off, ok = m.smoothed(measure.Length(*broken[mail.Lump].Max).Millimetres())
		}
		if !ok || len(off.Parts) == 0 {
			continue
		}
		names, key := []string{}, fmt.Sprint(off.Parts)
		var places []int
		weight := 0.0
		for _, i := range off.Parts {
			names = append(names, "“"+m.relief.Parts[i].Name+"”")
			places = append(places, m.pieces[i])
			weight += m.relief.Parts[i].Grams
		}
		if seen[key] {
			continue
		}
		seen[key] = true
		left := m.relief.Without(off.Parts)
		text := fmt.Sprintf("Saves %s of thickness and %s.", m.fine().Show(max(0, nm(m.relief.Max-left))), m.fineWeight(weight))
		if !off.Proven {
			text += " Not proven to be the least that does."
		}
		list = append(list, remedy{
			id: "leave:" + r.Class.ID, title: "Leave off " + joinAnd(names), text: text, touched: len(places), area: off.Area, unproven: !off.Proven,
			change: func(j *Job) {
				j.Parts = slices.DeleteFunc(j.Parts, func(p Part) bool {
					return slices.ContainsFunc(places, func(i int) bool { return m.job.Parts[i].ID == p.ID && p.Thing != nil })
				})
			},
		})
	}
	return list
}

// partGrams is what the parts of the relief weigh together.
func (m maker) partGrams() (sum float64) {
	for _, p := range m.relief.Parts {
		sum += p.Grams
	}
	return sum
}

// smoothed leaves off what rises most, one thing after the other, until nothing
// rises more than a limit within an inch.
func (m maker) smoothed(limit float64) (off mail.Removal, ok bool) {
	r, places := m.relief, make([]int, len(m.relief.Parts))
	for i := range places {
		places[i] = i
	}
	for {
		rise, part := r.Lump(lumpWithin)
		if rise <= limit+1e-9 {
			// One thing alone is the least that can be left off.
			off.Proven = len(off.Parts) == 1
			return off, true
		}
		if !r.Parts[part].Free {
			return off, false
		}
		p := r.Parts[part]
		off.Parts = append(off.Parts, places[part])
		off.Area += (p.X1 - p.X0) * (p.Y1 - p.Y0)
		places = slices.Delete(slices.Clone(places), part, part+1)
		r = mail.NewRelief(slices.Concat(r.Parts[:part], r.Parts[part+1:]))
	}
}

// flatter takes thinner foam, or none.
func (m maker) flatter(_ candidate, _ mail.Verdict, _ posted) (list []remedy) {
	thin := measure.Inch / 16
	raised, thick := 0, 0
	for _, p := range m.job.Parts {
		if p.Foam > 0 {
			raised++
		}
		if p.Foam > thin {
			thick++
		}
	}
	set := func(to measure.Length) func(*Job) {
		return func(j *Job) {
			for i := range j.Parts {
				j.Parts[i].Foam = min(j.Parts[i].Foam, to)
			}
			j.Card.Thickness = nil
		}
	}
	if thick > 0 {
		list = append(list, remedy{id: "foam:thin", title: "Take foam of " + m.fine().ShowUnit(thin), text: "It raises less, and nothing is left off.", touched: thick, change: set(thin)})
	}
	if raised > 0 {
		list = append(list, remedy{id: "foam:none", title: "Glue it flat", text: "Without foam nothing is raised.", touched: raised, change: set(0)})
	}
	return list
}

// lighter takes a lighter stock for the base where weight or stiffness asks for
// it.
func (m maker) lighter(_ candidate, v mail.Verdict, now posted) (list []remedy) {
	heavy := false
	for _, r := range m.upTo(v, now) {
		for of := range brokenMeasures(r) {
			heavy = heavy || of == mail.Weight || of == mail.Pull || of == mail.Strain || of == mail.Thickness
		}
	}
	if !heavy {
		return nil
	}
	base, _ := m.shop.stock(m.job.Parts[0].Stock)
	var lighter []paper.Stock
	for _, s := range m.shop.Stocks {
		if !s.Off && s.GSM < base.GSM && s.GSM > 150 && s.Surface != paper.Acetate && s.Surface != paper.Vellum {
			lighter = append(lighter, s)
		}
	}
	slices.SortStableFunc(lighter, func(a, b paper.Stock) int { return cmp.Compare(b.GSM, a.GSM) })
	for i, s := range lighter {
		if i == 2 {
			break // the next two steps down; beyond them a card is another card
		}
		list = append(list, remedy{
			id: "stock:" + s.ID, title: "Take a lighter base: " + s.Name, text: fmt.Sprintf("In place of %s.", base.Name), touched: 1,
			change: func(j *Job) { j.Parts[0].Stock, j.Card.Thickness = s.ID, nil },
		})
	}
	return list
}

// shielded lays a stiff insert over what stands out, so that the outside is
// even.
func (m maker) shielded(_ candidate, v mail.Verdict, now posted) (list []remedy) {
	lumpy, sharp := false, false
	for _, r := range v.Results {
		if c, broken := brokenMeasures(r)[mail.Lump]; broken && c.Surcharge {
			lumpy = true
		}
	}
	for _, c := range m.cautions() {
		sharp = sharp || c.ID == paper.Sharp && c.Set
	}
	for _, p := range m.job.Parts {
		if p.Thing != nil && p.Thing.Over {
			return nil
		}
	}
	if !lumpy && !sharp {
		return nil
	}
	for _, id := range []string{"shield", "shield-embossed"} {
		kind, _ := paper.ThingByID(id)
		title, text := "Lay a plain shield insert over it", "It lies level on what stands highest, so that the outside is even; it adds its own thickness."
		if id == "shield-embossed" {
			title, text = "Lay an embossed shield insert over it", "Its relief keeps points from coming through; it adds its own millimetre."
		}
		list = append(list, remedy{
			id: id, title: title, text: text, touched: 1, anyway: sharp,
			change: func(j *Job) {
				j.Parts = append(j.Parts, Part{ID: id, Name: kind.Name, Kind: ThingPart, Thing: &Thing{
					Type: id, Width: j.Card.Width, Height: j.Card.Height, Caliper: kind.Caliper,
					Grams: kind.Grams * float64(j.Card.Width) * float64(j.Card.Height) / float64(kind.Width) / float64(kind.Height), Over: true,
				}})
				j.Card.Thickness = nil
			},
		})
	}
	return list
}

func (m maker) addressed(_ candidate, _ mail.Verdict, _ posted) []remedy {
	if !m.job.Post.AddressShort {
		return nil
	}
	return []remedy{{id: "address", title: "Write the address along the long edge", text: "Machines read it that way round.", change: func(j *Job) { j.Post.AddressShort = false }}}
}

func (m maker) reclosed(_ candidate, _ mail.Verdict, _ posted) []remedy {
	c := m.closure()
	if !c.Clasp && !c.Lump {
		return nil
	}
	return []remedy{{id: "closure", title: "Close it with gum or tape", text: fmt.Sprintf("In place of the %s, which machines catch.", lower(c.Name)), change: func(j *Job) { j.Post.Closure = "gum" }}}
}

// rectangled makes the envelope a plain rectangle, or says why none serves.
func (m maker) rectangled(_ candidate, v mail.Verdict, now posted) []remedy {
	shape := false
	for _, r := range m.upTo(v, now) {
		broken := brokenMeasures(r)
		for _, of := range []mail.Measure{mail.Aspect, mail.AddressAspect, mail.Square, mail.Length, mail.Height} {
			_, b := broken[of]
			shape = shape || b
		}
	}
	if !shape || m.job.Envelope.Mailable || m.job.Post.Bare {
		return nil
	}
	r, ok := m.plainRectangle(0)
	if !ok {
		return nil
	}
	return []remedy{{
		id: "rectangle", title: fmt.Sprintf("Make the envelope a plain rectangle, %s", m.by(r.Width, r.Height)), text: "Two holding strips keep the card in the middle.",
		change: func(j *Job) { j.Envelope.Mailable = true },
	}}
}

// otherwiseMade takes another construction, a box above all for what is crushed
// or too thick.
func (m maker) otherwiseMade(c candidate, all []candidate, now posted) (list []remedy) {
	crushable := false
	for _, p := range m.job.Parts {
		crushable = crushable || p.Thing != nil && p.Thing.Crushable
	}
	for _, k := range all {
		if !k.ok || k.id == c.id {
			continue
		}
		box := k.id == Box || k.id == Tuck
		if k.post.compare(now) >= 0 && !(box && (crushable || now.rank >= worst-1)) {
			continue
		}
		text := fmt.Sprintf("Of %s, %s thick closed.", m.by(k.made.SheetWidth, k.made.SheetHeight), m.fine().Show(m.closed(k).thickness))
		if !k.found {
			text += " No sheet on your shelf is large enough for it."
		}
		title := "Make it as a " + lower(constructionNames[k.id])
		if box {
			title = "Box it: " + lower(constructionNames[k.id])
		}
		list = append(list, remedy{
			id: "make:" + string(k.id), title: title, text: text, anyway: box && crushable && c.made.Depth == 0,
			change: func(j *Job) { j.Envelope.Construction = k.id },
		})
	}
	return list
}

// atTheCounter asks for cancelling by hand, or pays for the next class.
func (m maker) atTheCounter(_ candidate, v mail.Verdict, now posted) (list []remedy) {
	r, taken := v.Result()
	if !taken || r.Outcome == mail.Goes {
		return nil
	}
	broken := brokenMeasures(r)
	_, lumpy := broken[mail.Lump]
	_, stiff := broken[mail.Pull]
	_, clasp := broken[mail.Clasp]
	if (lumpy || stiff || clasp) && !m.job.Post.HandCancel {
		list = append(list, remedy{
			id: "hand", title: "Ask for cancelling by hand", text: "The surcharge stays; the drum is spared. Not every counter offers it: ask first.", anyway: true,
			change: func(j *Job) { j.Post.HandCancel = true },
		})
	}
	past := false
	for _, k := range v.Results {
		if past && k.Outcome == mail.Goes {
			list = append(list, remedy{
				id: "class:" + k.Class.ID, title: "Pay for a " + k.Class.Name, text: "The next class up takes it without asking.", anyway: true,
				change: func(j *Job) { j.Post.Class = k.Class.ID },
			})
			break
		}
		past = past || k.Class.ID == r.Class.ID
	}
	return list
}

// mostRemedies is how many are told.
const mostRemedies = 8

func (m maker) remedyPlans(c candidate, all []candidate, v mail.Verdict) []RemedyPlan {
	list := []RemedyPlan{}
	for _, r := range m.remedies(c, all, v) {
		if len(list) == mostRemedies {
			break
		}
		list = append(list, RemedyPlan{ID: r.id, Title: r.title, Text: r.text, Short: r.post.short, Tone: r.post.tone, Proven: !r.unproven, Possible: true})
	}
	if why := m.noRectangle(v); why != "" {
		list = append(list, RemedyPlan{ID: "no-rectangle", Title: "No rectangle helps", Text: why, Short: m.forecast(v).short, Tone: Care})
	}
	return list
}

// noRectangle says why no rectangle saves the surcharge for the shape.
func (m maker) noRectangle(v mail.Verdict) string {
	r, taken := v.Result()
	if !taken || m.job.Envelope.Mailable || m.job.Post.AddressShort {
		return ""
	}
	broken := brokenMeasures(r)
	_, a := broken[mail.AddressAspect]
	if _, b := broken[mail.Aspect]; !a && !b {
		return ""
	}
	need := m.thick.Used + m.job.Envelope.Ease
	rect := v.Rulebook.Enveloped().PlainRectangle(m.outer().Width+need, m.outer().Height+need, m.thick.Used, m.style.Tick, m.style.Tick)
	if rect.OK {
		return ""
	}
	return fmt.Sprintf("One of the right shape round this card would be over the limit for %s: the surcharge stays, or the card gets smaller.", measureNames[rect.Why])
}

// applyRemedy changes the job as one of its remedies says.
func applyRemedy(job Job, shop Shop, e Edit) (Job, error) {
	if e.Text == nil {
		return job, refuse("There is no remedy to apply: choose one of the list.")
	}
	m := newMaker(job, shop)
	book, ok := m.book()
	if !ok {
		return job, refuse("Given by hand it needs no remedy.")
	}
	_, made := m.diamond()
	all := m.candidates(made)
	c := m.choose(all)
	for _, r := range m.remedies(c, all, m.verdictOf(book, m.piece(m.closed(c)))) {
		if r.id == *e.Text {
			job = job.clone()
			r.change(&job)
			return job, nil
		}
	}
	return job, refuse("The remedy “%s” no longer belongs to this piece: look at the list again.", clip(strings.TrimSpace(*e.Text)))
}
