package offer

import (
	"cmp"
	"slices"

	"yellowparcel/core/compare"
	"yellowparcel/core/job"
	"yellowparcel/core/mail"
	"yellowparcel/core/measure"
	"yellowparcel/core/paper"
	"yellowparcel/core/piece"
)

// flatter takes thinner foam, or none.
func (m Offers) flatter(_ compare.Candidate, _ mail.Verdict, _ compare.Forecast) (list []Remedy) {
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
		list = append(list, Remedy{Kind: FoamThin, Foam: thin, touched: thick, change: set(thin)})
	}
	if raised > 0 {
		list = append(list, Remedy{Kind: FoamNone, touched: raised, change: set(0)})
	}
	return list
}

// lighter takes a lighter stock for the base where weight or stiffness asks for
// it.
func (m Offers) lighter(_ compare.Candidate, v mail.Verdict, now compare.Forecast) (list []Remedy) {
	heavy := false
	for _, r := range m.upTo(v, now) {
		heavy = heavy || breaks(r, func(k *mail.MeasureKind) bool { return k.Lighter })
	}
	if !heavy || m.Job().Card.Made { // its base is what it is
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
		list = append(list, Remedy{
			Kind: BaseStock, Of: s.ID, Stock: s, Instead: base, touched: 1,
			change: func(j *job.Job) { j.Parts[0].Stock = s.ID },
		})
	}
	return list
}

// shielded lays a stiff insert over what stands out, so that the outside is
// even.
func (m Offers) shielded(_ compare.Candidate, v mail.Verdict, now compare.Forecast) (list []Remedy) {
	lumpy, sharp := false, m.Sharp()
	for _, r := range v.Results {
		for of, c := range brokenMeasures(r) {
			k, _ := of.Known()
			lumpy = lumpy || k.Shield && c.Surcharge
		}
	}
	if !lumpy && !sharp || m.Shielded() || len(m.Job().Parts) >= job.MostParts {
		return nil
	}
	for _, shield := range []RemedyID{Shield, Embossed} {
		id := string(shield)
		kind, _ := paper.ThingByID(id)
		list = append(list, Remedy{
			Kind: shield, touched: 1, anyway: sharp,
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
func (m Offers) stronger(c compare.Candidate, _ mail.Verdict, _ compare.Forecast) (list []Remedy) {
	stock, _ := m.Shop().Stock(m.Job().Envelope.Stock)
	if c.Kind.Bought || !m.Pierces(stock) { // it is of the paper that it is of
		return nil
	}
	best := paper.Stock{}
	for _, s := range m.Shop().Stocks {
		if !s.Off && s.GSM >= piece.ThinEnvelope && s.GSM <= 170 && (s.Surface == "" || s.Surface == paper.Uncoated) && (best.ID == "" || s.GSM < best.GSM) {
			best = s
		}
	}
	if best.ID == "" {
		return nil
	}
	return []Remedy{{
		Kind: Paper, Of: best.ID, Stock: best, anyway: true,
		change: func(j *job.Job) { j.Envelope.Stock = best.ID },
	}}
}

func (m Offers) addressed(c compare.Candidate, _ mail.Verdict, _ compare.Forecast) []Remedy {
	if !m.Job().Mail.AddressShort {
		return nil
	}
	return []Remedy{{Kind: Address, Made: &c, same: true, change: func(j *job.Job) { j.Mail.AddressShort = false }}}
}

func (m Offers) reclosed(c compare.Candidate, _ mail.Verdict, _ compare.Forecast) []Remedy {
	now := m.Closure()
	if !now.Clasp && !now.Lump {
		return nil
	}
	return []Remedy{{Kind: Closure, Closed: now, Made: &c, change: func(j *job.Job) { j.Mail.Closure = "gum" }}}
}

// rectangled makes the envelope a plain rectangle, or says why none serves.
func (m Offers) rectangled(c compare.Candidate, v mail.Verdict, now compare.Forecast) []Remedy {
	shape := false
	for _, r := range m.upTo(v, now) {
		shape = shape || breaks(r, func(k *mail.MeasureKind) bool { return k.Rectangle })
	}
	if !shape || m.Job().Envelope.Mailable || m.Job().Mail.WithoutEnvelope() {
		return nil
	}
	r, ok := m.PlainRectangle()
	if !ok {
		return nil
	}
	with, spares := m.Spares(m.Mailed(m.Closed(c)), v.Rulebook.Enveloped(), r.Width, r.Height)
	with.Gummed = with.Gummed && spares
	return []Remedy{{
		Kind: Rectangle, Width: r.Width, Height: r.Height, Sparing: with,
		change: func(j *job.Job) {
			j.Envelope.Mailable, j.Mail.AddressShort = true, false
			if with.Gummed {
				j.Mail.Closure = "gum"
			}
		},
	}}
}

// otherwiseMade takes another construction, a box above all for what is crushed
// or too thick.
func (m Offers) otherwiseMade(c compare.Candidate, all []compare.Candidate, now compare.Forecast) (list []Remedy) {
	crushable := false
	for _, p := range m.Job().Parts {
		crushable = crushable || p.Thing != nil && p.Thing.Crushable
	}
	for _, k := range all {
		if !k.OK || k.Kind == c.Kind || k.Kind.Whole && !m.Sound(k) {
			continue
		}
		box := k.Kind.Box
		if k.Mail.Compare(now) >= 0 && !(box && (crushable || now.Rank >= compare.Worst-1)) {
			continue
		}
		list = append(list, Remedy{
			Kind: Make, Of: k.ID(), anyway: box && crushable && c.Made.Depth == 0, Made: &k,
			change: func(j *job.Job) { *j = k.Take(*j) },
		})
	}
	return list
}

// atTheCounter asks for cancelling by hand, or pays for the next class.
func (m Offers) atTheCounter(c compare.Candidate, v mail.Verdict, now compare.Forecast) (list []Remedy) {
	r, taken := v.Result()
	if !taken || r.Outcome == mail.Goes {
		return nil
	}
	if breaks(r, func(k *mail.MeasureKind) bool { return k.ByHand }) && !m.Job().Mail.HandCancel {
		list = append(list, Remedy{
			Kind: HandCancel, anyway: true, Made: &c, same: true,
			change: func(j *job.Job) { j.Mail.HandCancel = true },
		})
	}
	past := false
	for _, k := range v.Results {
		if past && k.Outcome == mail.Goes {
			list = append(list, Remedy{
				Kind: NextClass, Of: k.Class.ID, Class: k.Class, anyway: true, Made: &c, same: true,
				change: func(j *job.Job) { j.Mail.Class = k.Class.ID },
			})
			break
		}
		past = past || k.Class.ID == r.Class.ID
	}
	return list
}
