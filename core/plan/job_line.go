package plan

import (
	"encoding/json"
	"math"
	"strings"

	"yellowparcel/core/compare"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/paper"
	"yellowparcel/core/say"
)

// JobLine is a job in the list of jobs: what is read of it at a glance, and what a
// small drawing of the card needs. It is stored beside the job, so that the list
// plans nothing; lengths are in no unit, so that it holds in any.
type JobLine struct {
	Width  measure.Length `json:"width"`
	Height measure.Length `json:"height"`
	Count  int            `json:"count"`
	Mail   string         `json:"mail"`
	Tone   say.Tone       `json:"tone"`
	// Papers are the card's papers and things where they lie on the face, from the
	// base up: LinePapers as JSON, since nothing but the drawing reads them.
	Papers json.RawMessage `json:"papers"`
	// Envelope is the closed envelope that it goes in, as wide and as high as it is laid
	// round the card, in millimetres; absent where it goes without one.
	Envelope *LineEnvelope `json:"envelope,omitempty"`
	// Words are what it is found by beside its name and size.
	Words string `json:"words,omitempty"`
	// Problem says why the job cannot be read or planned, or what it waits for; empty when it can.
	Problem string `json:"problem,omitempty"`
	// Door is where a job without a card is gone on with; empty for the others.
	Door string `json:"door,omitempty"`
}

// LinePaper is a paper or a thing on the face, in millimetres from its top left.
type LinePaper struct {
	X      float64 `json:"x"`
	Y      float64 `json:"y"`
	Width  float64 `json:"width"`
	Height float64 `json:"height"`
	Disc   bool    `json:"disc,omitempty"`
	Thing  bool    `json:"thing,omitempty"`
	// Colour is that of the side that is up, of a paper.
	Colour paper.Colour `json:"colour,omitempty"`
}

// LineEnvelope is the closed envelope of a job, in millimetres.
type LineEnvelope struct {
	Width  float64 `json:"width"`
	Height float64 `json:"height"`
	// Colour is that of its outside.
	Colour paper.Colour `json:"colour,omitempty"`
}

// Line is the job's line in the list. Whatever is wrong with the job, there is one.
func Line(j job.Job, shop job.Shop) (l JobLine) {
	l = JobLine{Width: j.Card.Width, Height: j.Card.Height, Count: j.Count, Tone: say.Fine, Papers: json.RawMessage("[]")}
	defer func() {
		if recover() != nil {
			l = BrokenLine("It cannot be planned: the program failed at it. It is kept as it is.")
		}
	}()
	if problems := Check(j, shop); len(problems) > 0 {
		l.Mail, l.Tone, l.Problem = "Cannot be planned", say.Trouble, problems[0].Message
		return l
	}
	m := newMaker(j, shop)
	if m.Waits() {
		cardless{m, j}.line(&l)
		return l
	}
	papers := []LinePaper{}
	for i, p := range m.Relief().Parts {
		if part := m.Job().Parts[m.Laid()[i]]; part.Kind != job.LinerPart && (part.Thing == nil || !part.Thing.Inside) {
			papers = append(papers, LinePaper{tenth(p.X0), tenth(p.Y0), tenth(p.X1 - p.X0), tenth(p.Y1 - p.Y0), p.Disc, part.Thing != nil, colourOf(m, part)})
		}
	}
	if raw, err := json.Marshal(papers); err == nil {
		l.Papers = raw
	}
	chosen := m.Chosen()
	if e := chosen.Made; !m.Job().Mail.WithoutEnvelope() && e.Width > 0 && e.Height > 0 {
		// It lies round the card, whichever way it was made.
		w, h := tenth(e.Width.Millimetres()), tenth(e.Height.Millimetres())
		if (e.Width < e.Height) != (l.Width < l.Height) {
			w, h = h, w
		}
		l.Envelope = &LineEnvelope{w, h, ""}
		if stock, ok := m.Shop().Stock(m.Job().Envelope.Stock); ok && !chosen.Kind.Bought {
			l.Envelope.Colour = stock.Up(m.Job().Envelope.PatternInside).Colour
		}
	}
	l.Words = foundBy(m, chosen)
	book, posted := m.Book()
	if !posted {
		l.Mail = "By hand"
	} else {
		f := compare.ForecastOf(m.VerdictOf(book, m.Mailed(m.Closed(chosen))))
		l.Mail, l.Tone = shortly(f), toneOf(f)
	}
	if n := len(m.Missing()); n > 0 {
		l.Tone, l.Problem = say.Care, m.Missing()[0].Text
	}
	return l
}

// line is the line of a job whose card is not chosen yet.
func (m cardless) line(l *JobLine) {
	l.Door, l.Mail = doorOf(m.raw), "No card yet"
	switch l.Problem = "No card yet."; l.Door {
	case envelopeDoor:
		name := "your envelopes"
		if f, ok := m.Job().Start.In(m.Shop()); ok && f.ID != job.OwnEnvelope {
			name = "your " + f.Name + " envelopes"
			l.Envelope = &LineEnvelope{tenth(f.Width.Millimetres()), tenth(f.Height.Millimetres()), ""}
		}
		l.Problem = "For " + name + ": no card yet."
	case paperDoor:
		if sheet, ok := m.Shop().Sheet(m.Job().Paper.Have); ok {
			l.Problem = "From your " + sheet.Name + ": no card yet."
		}
	case recipeDoor:
		l.Problem = "For a recipe: no card yet."
	}
	l.Words = strings.ToLower(l.Problem)
}

// colourOf is the colour of a paper that is up; none of a thing.
func colourOf(m maker, p job.Part) paper.Colour {
	if p.Thing != nil {
		return ""
	}
	stock, _ := m.Shop().Stock(p.Stock)
	return stock.Up(p.Turned).Colour
}

// foundBy is what a job is found by: its fold, papers, things, envelope and destination.
func foundBy(m maker, c compare.Candidate) string {
	j := m.Job()
	words := []string{j.Card.Fold.Kind().Words.Name, m.candidateName(c)}
	for _, p := range j.Parts {
		words = append(words, p.Name)
		if k, ok := m.Shop().Stock(p.Stock); ok {
			words = append(words, k.Name)
		}
	}
	if b, ok := m.Book(); ok {
		words = append(words, b.Region, b.Service)
	}
	return strings.ToLower(strings.Join(words, " "))
}

// tenth rounds to a tenth of a millimetre, finer than a small drawing shows.
func tenth(mm float64) float64 { return math.Round(mm*10) / 10 }

// BrokenLine is the line of a job that cannot even be read.
func BrokenLine(why string) JobLine {
	return JobLine{Mail: "Cannot be opened", Tone: say.Trouble, Papers: json.RawMessage("[]"), Problem: why}
}

// LineSize is a line's size in the shop's unit and tick.
func LineSize(l JobLine, shop job.Shop) string {
	if l.Width <= 0 || l.Height <= 0 {
		return ""
	}
	return inShop(shop).by(l.Width, l.Height)
}

// LineCount is how many cards a line says.
func LineCount(l JobLine) string {
	if l.Count < 1 {
		return ""
	}
	return say.Plural(l.Count, "card")
}
