// Package anyjob makes jobs and shops that nobody would think of, for the tests of every
// room that answers to a job.
package anyjob

import (
	"fmt"
	"math/rand/v2"

	"yellowparcel/core/blank"
	"yellowparcel/core/card"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/paper"
	"yellowparcel/demo"
)

const in = measure.Inch

// DiamondWays are the ways of scoring a diamond.
var DiamondWays = []blank.WayID{blank.PairWay, blank.CornerWay, blank.CentreWay, blank.EdgeWay, blank.RoundWay, blank.NotchWay}

// Pick draws one of a list.
func Pick[T any](r *rand.Rand, list ...T) T { return list[r.IntN(len(list))] }

// Shop is the sample shop with papers turned and taken off, tools changed,
// and its unit drawn by lot.
func Shop(r *rand.Rand) job.Shop {
	s := demo.Shop()
	s.Unit = Pick(r, measure.Inches, measure.Millimetres)
	s.TickInches = Pick(r, measure.Ticks(measure.Inches)...)
	s.TickMillimetres = Pick(r, measure.Ticks(measure.Millimetres)...)
	s.Tools.TrimmerLength = Pick(r, 12*in, 8*in, 24*in)
	s.Tools.Groove = Pick(r, 0, 0, in/8, 5*measure.Millimetre)
	for i := range s.Stocks {
		k := &s.Stocks[i]
		k.Grain, k.Pattern = Pick(r, paper.Unknown, paper.AlongLong, paper.AlongShort), Pick(r, paper.Unknown, paper.Unknown, paper.AlongLong)
		k.Sheet, k.Have, k.Off = Pick(r, "", "letter", "12x12", "a4"), r.IntN(30), r.IntN(4) == 0
	}
	if r.IntN(6) == 0 {
		s.Sheets[r.IntN(len(s.Sheets))].Off = true
	}
	return s
}

// Job is a job that nobody would think of, and that passes Check.
func Job(r *rand.Rand, shop job.Shop) job.Job {
	j := Pick(r, demo.Jobs()...)
	side := func() measure.Length { return measure.Length(24+r.IntN(200)) * in / 16 }
	j.Count = Pick(r, 1, 2, 12, 37, 500)
	j.Card.Width, j.Card.Height, j.Card.Fold = side(), side(), Pick(r, card.Folds()...)
	if r.IntN(3) == 0 {
		t := measure.Length(1+r.IntN(40)) * in / 64
		j.Card.Thickness = &t
	}
	if r.IntN(4) == 0 {
		j.Card.OverWidth, j.Card.Room, j.Card.Towards = in/4, job.AsHeap, true
	}
	stock := func() string { return shop.Stocks[r.IntN(len(shop.Stocks))].ID }
	for i := range r.IntN(4) {
		p := job.Part{ID: fmt.Sprint("extra", i), Name: fmt.Sprint("Extra % ", i), Kind: Pick(r, job.LayerPart, job.LinerPart), Stock: stock(), Border: measure.Length(r.IntN(12)) * in / 16, Window: r.IntN(2) == 0, Ready: r.IntN(3)}
		switch r.IntN(4) {
		case 0:
			p.Edges = &card.Edges{Top: in / 8, Right: in / 4, Bottom: in / 2, Left: in / 16}
		case 1:
			p.Own = &card.Size{Width: side(), Height: side()}
		}
		j.Parts = append(j.Parts, p)
	}
	for i := range r.IntN(5) {
		kind := Pick(r, paper.Things()...)
		x, y := measure.Length(r.IntN(60)-10)*in/8, measure.Length(r.IntN(40)-10)*in/8
		j.Parts = append(j.Parts, job.Part{ID: fmt.Sprint("thing", i), Name: kind.Name, Kind: job.ThingPart, Thing: &job.Thing{
			Type: kind.ID, Disc: kind.Disc, X: x, Y: y, Width: kind.Width, Height: kind.Height, Caliper: kind.Caliper, Grams: kind.Grams,
			Draping: kind.Draping, Crushable: kind.Crushable, Inside: kind.Inside, Over: kind.Over, Keep: r.IntN(3) == 0,
		}})
	}
	p := &j.Mail
	p.Closure, p.AddressShort, p.Bare, p.HandCancel, p.Radius = Pick(r, paper.Closures()...).ID, r.IntN(3) == 0, r.IntN(5) == 0, r.IntN(4) == 0, measure.Length(r.IntN(4))*in/8
	if r.IntN(3) == 0 {
		p.Measured = job.Measured{Thickness: measure.Length(r.IntN(9)) * measure.Millimetre, Grams: float64(r.IntN(90)), Overhang: side(), Droop: measure.Length(r.IntN(40)) * measure.Millimetre, Apart: side(), Load: float64(r.IntN(200)), Sag: measure.Length(r.IntN(9)) * measure.Millimetre}
	}
	for i := range r.IntN(4) {
		j.Items = append(j.Items, job.Item{ID: fmt.Sprint(i), Name: "Thing", Width: measure.Length(r.IntN(80)) * in / 16, Height: side() / 4})
	}
	e := &j.Envelope
	e.Construction, e.School, e.Pocket, e.FlapShape = Pick(r, blank.IDs()...), Pick(r, blank.Schools()...), Pick(r, blank.PocketSchools()...), Pick(r, blank.FlapShapes()...)
	e.Sort, e.Mailable, e.OneSide, e.TabsOnBack, e.Double = Pick(r, job.LeastPaper, job.Quickest, job.Neatest, job.Cheapest), r.IntN(3) == 0, r.IntN(2) == 0, r.IntN(2) == 0, r.IntN(2) == 0
	e.FoldTips, e.PatternInside, e.Corner, e.Flap = r.IntN(2) == 0, r.IntN(2) == 0, measure.Length(r.IntN(8))*in/8, measure.Length(r.IntN(12))*in/4
	e.Stock, e.Liner, e.Adhesive = stock(), Pick(r, "", stock()), Pick(r, "tape-1-2", "tape-1-4", "glue")
	e.Way, e.Box, e.Walls = Pick(r, DiamondWays...), Pick(r, blank.BoxSchools()...), Pick(r, blank.WallSchools()...)
	j.Mail.Destination = Pick(r, "us-domestic", "us-abroad", "uk-inland", "germany-home", "canada-home", "australia-home", "universal", job.ByHand)
	j.Paper.AlongGrain, j.Paper.Have = r.IntN(2) == 0, Pick(r, "", "letter", "a4")
	if r.IntN(4) == 0 {
		j.Start = &job.Start{Format: Pick(r, "a7", "own-1", job.OwnEnvelope), Width: side() + 2*in, Height: side() + 2*in}
	}
	if r.IntN(4) == 0 {
		j.Recipe = &job.Recipe{Side1: side(), Side2: side(), Form: Pick(r, job.RecipeForms()...), Left: side() / 3, Right: side(), Top: side() / 3, Bottom: side(), Quoted: side(), Wall: measure.Length(r.IntN(9)) * in / 16, Notch: measure.Length(r.IntN(9)) * in / 16}
		if n := j.Recipe; r.IntN(2) == 0 {
			n.ClaimWidth, n.ClaimOf, n.Corner = side(), Pick(r, job.Claims()...), measure.Length(r.IntN(5)-2)*in/8
		}
	}
	return j
}

// Narrow makes a job's card a strip or a stamp, from half an inch to 25, with a finger gap that may be
// larger than it.
func Narrow(r *rand.Rand, j *job.Job) {
	c := &j.Card
	c.Width, c.Height = measure.Length(8+r.IntN(40))*in/16, measure.Length(100+r.IntN(300))*in/16
	switch r.IntN(5) {
	case 0:
		c.Height = c.Width
	case 1, 2:
		c.Width, c.Height = c.Height, c.Width
	}
	j.Envelope.ThumbGap = measure.Length(r.IntN(48)) * in / 16
}

// Star is a plain job of three star charts, with a card and a construction of one's own.
func Star(w, h measure.Length, id blank.ID) job.Job {
	return job.Job{
		Name: "Star chart", Count: 3, Card: job.Card{Width: w, Height: h, Fold: card.SideFold},
		Parts: []job.Part{{ID: "base", Name: "Card base", Kind: job.BasePart, Stock: "cover-80"}},
		Envelope: job.EnvelopeWish{
			School: blank.ExactSeam, Way: blank.PairWay, Ease: measure.Inch / 4, Seam: 3 * measure.Inch / 4, ThumbGap: measure.Inch / 2,
			Stock: "copy-80", Adhesive: "tape-1-2", Construction: id,
		},
		Mail: job.MailWish{Destination: "us-domestic"},
	}
}
