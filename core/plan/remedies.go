package plan

import (
	"cmp"
	"fmt"
	"slices"
	"sync"

	"yellowparcel/core/blank"
	"yellowparcel/core/job"
	"yellowparcel/core/mail"
	"yellowparcel/core/measure"
	"yellowparcel/core/paper"
	"yellowparcel/core/say"
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
	change   func(*job.Job)
	// possible and post are what follows from it.
	possible bool
	post     posted
	// anyway remedies are kept though the verdict is no better.
	anyway bool
	// same is set where the piece itself stays as it is, so that what was measured
	// of it holds.
	same bool
	// made is the envelope that it leads to, where that is known without making it
	// anew.
	made *candidate
}

// remedies works out what would post the piece better: smallest change first.
func (m maker) remedies(c candidate, all []candidate, v mail.Verdict) []remedy {
	now := m.forecast(v)
	var list []remedy
	for _, find := range []func(candidate, mail.Verdict, posted) []remedy{m.leaveOff, m.flatter, m.lighter, m.shielded, m.stronger, m.addressed, m.reclosed, m.rectangled, m.atTheCounter} {
		list = append(list, find(c, v, now)...)
	}
	list = append(list, m.otherwiseMade(c, all, now)...)
	if m.Job().Card.Thickness != nil || m.Job().Post.Measured != (job.Measured{}) {
		noted := m.noting(m.closed(c))
		for i := range list {
			list[i].countedOn(noted)
		}
	}
	var tried sync.WaitGroup // none knows of another
	for i := range list {
		tried.Go(func() { m.tryRemedy(&list[i], c) })
	}
	tried.Wait()
	better := slices.DeleteFunc(list, func(r remedy) bool { return !r.possible || !r.anyway && r.post.compare(now) >= 0 })
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

// tryRemedy works a remedy out with all that follows from it.
func (m maker) tryRemedy(r *remedy, c candidate) {
	j := m.Job().Clone()
	r.change(&j)
	n := m.with(j)
	made := r.made
	if made == nil {
		anew := n.candidate(blank.ByID(n.Job().Construction()))
		made = &anew
	}
	if r.possible = made.ok; r.possible {
		r.post = n.judge(n.closed(*made))
		r.paper += made.paperUsed() - c.paperUsed()
	}
}

// countedOn keeps, with a change, what was measured of the piece before it, as the job
// that has it noted says: what the change does by the sums is counted on from the
// readings.
func (r *remedy) countedOn(noted job.Job) {
	if r.same {
		return
	}
	change := r.change
	r.change = func(j *job.Job) {
		j.Card.ThicknessOf, j.Post.Measured = noted.Card.ThicknessOf, noted.Post.Measured
		change(j)
	}
	r.text += " Counted on from your readings: measure again."
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

// breaks reports whether something of some kind is broken of a class.
func breaks(r mail.ClassResult, of func(*mail.MeasureKind) bool) bool {
	for m := range brokenMeasures(r) {
		if k, _ := m.Known(); of(k) {
			return true
		}
	}
	return false
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

// flatter takes thinner foam, or none.
func (m maker) flatter(_ candidate, _ mail.Verdict, _ posted) (list []remedy) {
	thin := measure.Inch / 16
	raised, thick := 0, 0
	for _, p := range m.Job().Parts {
		if p.Foam > 0 {
			raised++
		}
		if p.Foam > thin {
			thick++
		}
	}
	set := func(to measure.Length) func(*job.Job) {
		return func(j *job.Job) {
			for i := range j.Parts {
				j.Parts[i].Foam = min(j.Parts[i].Foam, to)
			}
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
		heavy = heavy || breaks(r, func(k *mail.MeasureKind) bool { return k.Lighter })
	}
	if !heavy {
		return nil
	}
	base, _ := m.Shop().Stock(m.Job().Parts[0].Stock)
	var lighter []paper.Stock
	for _, s := range m.Shop().Stocks {
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
			change: func(j *job.Job) { j.Parts[0].Stock = s.ID },
		})
	}
	return list
}

// shielded lays a stiff insert over what stands out, so that the outside is
// even.
func (m maker) shielded(_ candidate, v mail.Verdict, now posted) (list []remedy) {
	lumpy, sharp := false, false
	for _, r := range v.Results {
		for of, c := range brokenMeasures(r) {
			k, _ := of.Known()
			lumpy = lumpy || k.Shield && c.Surcharge
		}
	}
	for _, c := range m.cautions() {
		sharp = sharp || c.ID == paper.Sharp && c.Set
	}
	for _, p := range m.Job().Parts {
		if p.Thing != nil && p.Thing.Over {
			return nil
		}
	}
	if !lumpy && !sharp || len(m.Job().Parts) >= job.MostParts {
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
			change: func(j *job.Job) {
				j.Parts = append(j.Parts, job.Part{ID: id, Name: kind.Name, Kind: job.ThingPart, Thing: &job.Thing{
					Type: id, Width: j.Card.Width, Height: j.Card.Height, Caliper: kind.Caliper,
					Grams: kind.Grams * float64(j.Card.Width) * float64(j.Card.Height) / float64(kind.Width) / float64(kind.Height), Over: true,
				}})
			},
		})
	}
	return list
}

// stronger takes a heavier envelope where a point would come through.
func (m maker) stronger(_ candidate, _ mail.Verdict, _ posted) (list []remedy) {
	if !m.pierces() {
		return nil
	}
	best := paper.Stock{}
	for _, s := range m.Shop().Stocks {
		if !s.Off && s.GSM >= thinEnvelope && s.GSM <= 170 && (s.Surface == "" || s.Surface == paper.Uncoated) && (best.ID == "" || s.GSM < best.GSM) {
			best = s
		}
	}
	if best.ID == "" {
		return nil
	}
	return []remedy{{
		id: "envelope:" + best.ID, title: "Make the envelope of " + say.Lower(best.Name), text: "Strong enough that points stay inside.", anyway: true,
		change: func(j *job.Job) { j.Envelope.Stock = best.ID },
	}}
}

func (m maker) addressed(c candidate, _ mail.Verdict, _ posted) []remedy {
	if !m.Job().Post.AddressShort {
		return nil
	}
	return []remedy{{id: "address", title: "Write the address along the long edge", text: "Machines read it that way round.", made: &c, same: true, change: func(j *job.Job) { j.Post.AddressShort = false }}}
}

func (m maker) reclosed(c candidate, _ mail.Verdict, _ posted) []remedy {
	now := m.closure()
	if !now.Clasp && !now.Lump {
		return nil
	}
	return []remedy{{id: "closure", title: "Close it with gum or tape", text: fmt.Sprintf("In place of the %s, which machines catch.", say.Lower(now.Name)), made: &c, change: func(j *job.Job) { j.Post.Closure = "gum" }}}
}

// rectangled makes the envelope a plain rectangle, or says why none serves.
func (m maker) rectangled(_ candidate, v mail.Verdict, now posted) []remedy {
	shape := false
	for _, r := range m.upTo(v, now) {
		shape = shape || breaks(r, func(k *mail.MeasureKind) bool { return k.Rectangle })
	}
	if !shape || m.Job().Envelope.Mailable || m.Job().Post.Bare {
		return nil
	}
	r, ok := m.plainRectangle()
	if !ok {
		return nil
	}
	return []remedy{{
		id: "rectangle", title: fmt.Sprintf("Make the envelope a plain rectangle, %s", m.by(r.Width, r.Height)), text: "Two holding strips keep the card in the middle.",
		change: func(j *job.Job) { j.Envelope.Mailable = true },
	}}
}

// otherwiseMade takes another construction, a box above all for what is crushed
// or too thick.
func (m maker) otherwiseMade(c candidate, all []candidate, now posted) (list []remedy) {
	crushable := false
	for _, p := range m.Job().Parts {
		crushable = crushable || p.Thing != nil && p.Thing.Crushable
	}
	for _, k := range all {
		if !k.ok || k.kind == c.kind {
			continue
		}
		box := k.kind.Box
		if k.post.compare(now) >= 0 && !(box && (crushable || now.rank >= worst-1)) {
			continue
		}
		text := fmt.Sprintf("Of %s, %s thick closed.", m.by(k.made.SheetWidth, k.made.SheetHeight), m.fine().Show(m.closed(k).thickness))
		if !k.found {
			text += " No sheet on your shelf is large enough for it."
		}
		title := "Make it as a " + say.Lower(k.kind.Words.Name)
		if box {
			title = "Box it: " + say.Lower(k.kind.Words.Name)
		}
		list = append(list, remedy{
			id: "make:" + string(k.kind.ID), title: title, text: text, anyway: box && crushable && c.made.Depth == 0, made: &k,
			change: func(j *job.Job) { j.Envelope.Construction = k.kind.ID },
		})
	}
	return list
}

// atTheCounter asks for cancelling by hand, or pays for the next class.
func (m maker) atTheCounter(c candidate, v mail.Verdict, now posted) (list []remedy) {
	r, taken := v.Result()
	if !taken || r.Outcome == mail.Goes {
		return nil
	}
	if breaks(r, func(k *mail.MeasureKind) bool { return k.ByHand }) && !m.Job().Post.HandCancel {
		list = append(list, remedy{
			id: "hand", title: "Ask for cancelling by hand", text: "The surcharge stays; the drum is spared. Not every counter offers it: ask first.", anyway: true, made: &c, same: true,
			change: func(j *job.Job) { j.Post.HandCancel = true },
		})
	}
	past := false
	for _, k := range v.Results {
		if past && k.Outcome == mail.Goes {
			list = append(list, remedy{
				id: "class:" + k.Class.ID, title: "Pay for " + one(k.Class.Name), text: "The next class up takes it without asking.", anyway: true, made: &c, same: true,
				change: func(j *job.Job) { j.Post.Class = k.Class.ID },
			})
			break
		}
		past = past || k.Class.ID == r.Class.ID
	}
	return list
}
