// Package offer is what may be taken with one act: remedies that would post a piece
// better, what would bring a blank onto a sheet that there is, cards for an envelope
// and cards of a sheet.
//
// It answers with IDs and facts; whatever is offered is what one has after taking it.
// Lengths are nanometres, weights grams, areas mm².
//
//	for _, r := range offer.To(m).Remedies(chosen, all, verdict) {
//		j = r.Take(j)
//	}
package offer

import (
	"cmp"
	"slices"
	"sync"

	"yellowparcel/core/blank"
	"yellowparcel/core/compare"
	"yellowparcel/core/job"
	"yellowparcel/core/mail"
	"yellowparcel/core/measure"
	"yellowparcel/core/paper"
)

// Offers are what is offered to the job of a maker.
type Offers struct{ compare.Maker }

// To are the offers to the job of a maker.
func To(m compare.Maker) Offers { return Offers{m} }

func (o Offers) with(j job.Job) Offers {
	o.Maker = o.Maker.With(j)
	return o
}

// RemedyID names a kind of remedy.
type RemedyID string

// The kinds of remedy.
const (
	LeaveOff   RemedyID = "leave"
	LeaveEven  RemedyID = "leave-even" // so that it is even as well
	FoamThin   RemedyID = "foam:thin"
	FoamNone   RemedyID = "foam:none"
	BaseStock  RemedyID = "stock"
	Shield     RemedyID = "shield"
	Embossed   RemedyID = "shield-embossed"
	Paper      RemedyID = "envelope"
	Address    RemedyID = "address"
	Closure    RemedyID = "closure"
	Rectangle  RemedyID = "rectangle"
	Make       RemedyID = "make"
	HandCancel RemedyID = "hand"
	NextClass  RemedyID = "class"
)

// RemedyIDs lists them.
func RemedyIDs() []RemedyID {
	return []RemedyID{LeaveOff, LeaveEven, FoamThin, FoamNone, BaseStock, Shield, Embossed, Paper, Address, Closure, Rectangle, Make, HandCancel, NextClass}
}

// Remedy is a change to the job that may post it better, with the facts of it.
type Remedy struct {
	Kind RemedyID
	// Of is the class, the stock or the construction that it is for; empty for none.
	Of string
	// Left are the things that are left off, with Thinner and Lighter what that saves.
	Left    []Left
	Thinner measure.Length
	Lighter float64
	// Foam is the foam to take, Stock the paper in place of Instead, Class the one to
	// pay for, Closed what closes it now, and Width by Height the rectangle.
	Foam           measure.Length
	Stock, Instead paper.Stock
	Class          mail.Class
	Closed         paper.Closure
	Width, Height  measure.Length
	// Sparing is what the rectangle takes along.
	Sparing compare.Sparing
	// Made is the envelope that it leads to, where that is known without making it
	// anew.
	Made *compare.Candidate
	// Unproven is set where a smaller change might do too, Counted where it is counted
	// on from readings of the piece before it, Unsure where a thickness or a weight that it
	// brings under a limit may be over it still.
	Unproven, Counted, Unsure bool
	// Mail is what follows from it.
	Mail compare.Forecast

	// touched counts the parts of the card that are left off or changed, area is
	// what is lost of the face in mm², and paper what more is used, in square
	// inches.
	touched  int
	area     float64
	paper    float64
	change   func(*job.Job)
	possible bool
	// anyway remedies are kept though the verdict is no better.
	anyway bool
	// open is set where nobody knows whether it leads to the class that takes it: by how much
	// the piece is too thick was not measured.
	open bool
	// same is set where the piece itself stays as it is, so that what was measured
	// of it holds.
	same bool
}

// Left is a thing that is left off, so many times.
type Left struct {
	Name  string
	Times int
}

// ID names the remedy among those of a piece.
func (r Remedy) ID() string {
	if r.Of == "" {
		return string(r.Kind)
	}
	return string(r.Kind) + ":" + r.Of
}

// Take is the job with the remedy taken.
func (r Remedy) Take(j job.Job) job.Job {
	j = j.Clone()
	r.change(&j)
	return j
}

// Remedies works out what would post the piece better: smallest change first.
func (m Offers) Remedies(c compare.Candidate, all []compare.Candidate, v mail.Verdict) []Remedy {
	now := compare.ForecastOf(v)
	var list []Remedy
	for _, find := range []func(compare.Candidate, mail.Verdict, compare.Forecast) []Remedy{m.leaveOff, m.flatter, m.lighter, m.shielded, m.stronger, m.addressed, m.reclosed, m.rectangled, m.atTheCounter} {
		list = append(list, find(c, v, now)...)
	}
	list = append(list, m.otherwiseMade(c, all, now)...)
	if m.Job().Card.Thickness != nil || m.Job().Mail.Measured != (job.Measured{}) {
		noted := m.Noting(m.Closed(c))
		for i := range list {
			list[i].countedOn(noted)
		}
	}
	var tried sync.WaitGroup // none knows of another
	for i := range list {
		tried.Go(func() { m.tryRemedy(&list[i], c) })
	}
	tried.Wait()
	better := slices.DeleteFunc(list, func(r Remedy) bool {
		return !r.possible || !r.anyway && (r.Mail.Compare(now) >= 0 || r.open && r.Mail.Class.ID != now.Class.ID)
	})
	slices.SortStableFunc(better, func(a, b Remedy) int {
		// What changes the verdict stands before what is only wise.
		wise := func(r Remedy) int {
			if r.Mail.Compare(now) < 0 {
				return 0
			}
			return 1
		}
		return cmp.Or(cmp.Compare(wise(a), wise(b)), cmp.Compare(a.touched, b.touched), cmp.Compare(a.area, b.area), cmp.Compare(a.Mail.Rank, b.Mail.Rank), cmp.Compare(max(0, a.paper), max(0, b.paper)))
	})
	return better
}

// tryRemedy works a remedy out with all that follows from it.
func (m Offers) tryRemedy(r *Remedy, c compare.Candidate) {
	j := m.Job().Clone()
	r.change(&j)
	n := m.with(j)
	made := r.Made
	if made == nil {
		anew := n.Candidate(blank.ByID(n.Job().Construction()))
		made = &anew
	}
	if r.possible = made.OK; r.possible {
		e := n.Closed(*made)
		r.Mail = n.Judge(e)
		if book, posted := n.Book(); posted {
			after, _ := n.VerdictOf(book, n.Mailed(e)).Result()
			for _, check := range after.Checks {
				k, _ := check.Measure.Known()
				r.open = r.open || check.Open && !check.OK
				r.Unsure = r.Unsure || r.Counted && k.Exceeds && k.Lighter && check.Max != nil && check.OK && check.Worst < 0
			}
		}
		r.paper += made.PaperUsed() - c.PaperUsed()
		r.Counted = r.Counted && n.Reads(e)
	}
}

// countedOn keeps, with a change, what was measured of the piece before it, as the job
// that has it noted says: what the change does by the sums is counted on from the
// readings.
func (r *Remedy) countedOn(noted job.Job) {
	if r.same {
		return
	}
	change := r.change
	r.change = func(j *job.Job) {
		j.Card.ThicknessOf, j.Mail.Measured = noted.Card.ThicknessOf, noted.Mail.Measured
		change(j)
	}
	r.Counted = true
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
func (m Offers) upTo(v mail.Verdict, now compare.Forecast) (list []mail.ClassResult) {
	for i, r := range v.Results {
		if 3*i < now.Rank && r.Outcome != mail.NotNeeded {
			list = append(list, r)
		}
	}
	return list
}
