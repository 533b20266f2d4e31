package plan

import (
	"strings"

	"yellowparcel/core/blank"
	"yellowparcel/core/card"
	"yellowparcel/core/field"
	"yellowparcel/core/job"
	"yellowparcel/core/line"
	"yellowparcel/core/measure"
	"yellowparcel/core/paper"
	"yellowparcel/core/say"
)

// Saying is a line as it was understood: every stretch of it, what it means in short
// words, and what it does to the job.
type Saying struct {
	Text  []Stretch    `json:"text"`
	Chips []SaidChip   `json:"chips"`
	Edits []field.Edit `json:"edits"`
	// Station and Drawer are where it is seen; empty where the maker may stay.
	Station string `json:"station"`
	Drawer  string `json:"drawer"`
	// Whole is set when all of it was understood and can be done.
	Whole bool `json:"whole"`
}

// Stretch is a part of the text. Of what was not understood Near is a word that is known
// and like it, Why the reason where there is one.
type Stretch struct {
	Text   string `json:"text"`
	Unread bool   `json:"unread,omitempty"`
	Near   string `json:"near,omitempty"`
	Why    string `json:"why,omitempty"`
}

// SaidChip is one thing that was understood; Why says why it cannot be done.
type SaidChip struct {
	Text string `json:"text"`
	Why  string `json:"why,omitempty"`
}

// Say reads a line for a job: a new one, or one that has begun.
func Say(text string, j job.Job, shop job.Shop, begun bool) Saying {
	o := line.ReadOrder(text, j, shop, begun)
	text = text[:min(len(text), line.Most)]
	s := Saying{Text: stretches(text, o.Unread), Chips: []SaidChip{}, Edits: o.Edits(), Station: o.Station, Drawer: o.Drawer, Whole: len(o.Unread) == 0 && len(o.Said) > 0}
	if s.Edits == nil {
		s.Edits = []field.Edit{}
	}
	w := lineWords{inShop(shop), text}
	refused := map[*line.Said]string{}
	now := j
	for _, said := range o.InOrder() {
		for _, e := range said.Edits {
			next, problems := Apply(now, shop, []field.Edit{e})
			if now = next; len(problems) > 0 && refused[said] == "" {
				refused[said] = problems[0].Message
			}
		}
	}
	for i, said := range o.Said {
		chip := SaidChip{Text: w.chip(said), Why: refused[&o.Said[i]]}
		if chip.Why != "" {
			s.Whole = false
		}
		s.Chips = append(s.Chips, chip)
	}
	return s
}

// mostLineName is how much of a line makes a name, in bytes.
const mostLineName = 80

// Begin is the job that a line begins; what of it cannot be used is told at the line. Where
// it says no name, the line is the name.
func Begin(text string, shop job.Shop) (job.Job, []field.Problem) {
	s := Say(text, job.Begun(shop), shop, false)
	if len(s.Edits) == 0 {
		return job.Job{}, []field.Problem{field.ProblemOf("", say.Refuse("Nothing of that is known here. Type a size, such as 5 x 7, or an envelope, such as A7."))}
	}
	j := job.Begun(shop)
	if j.Name = strings.TrimSpace(text); len(j.Name) > mostLineName {
		j.Name = strings.TrimSpace(strings.ToValidUTF8(j.Name[:mostLineName], "")) + "…"
	}
	return Apply(j, shop, s.Edits)
}

// stretches parts a text where what was not understood begins and ends.
func stretches(text string, unread []line.Unread) []Stretch {
	list, at := []Stretch{}, 0
	for _, u := range unread {
		if u.From < at {
			continue
		}
		if u.From > at {
			list = append(list, Stretch{Text: text[at:u.From]})
		}
		s := Stretch{Text: text[u.From:u.To], Unread: true, Near: u.Near}
		if u.Err != nil {
			s.Why = say.Capital(strings.TrimSuffix(u.Err.Error(), ".") + ".")
		}
		list, at = append(list, s), u.To
	}
	if at < len(text) {
		list = append(list, Stretch{Text: text[at:]})
	}
	return list
}

// lineWords say what was understood of a line.
type lineWords struct {
	maker
	text string
}

// chip is one thing that was understood in short words.
func (w lineWords) chip(s line.Said) string {
	size := func() string {
		return shownExactly(w.Style(), s.Lengths[0]) + " × " + shownExactly(w.Style(), s.Lengths[1])
	}
	switch s.Sense {
	case line.Recipe:
		return strings.TrimSpace(w.text[s.From:s.To] + ": " + meanings[line.Meaning(s.ID)])
	case line.CardSize:
		return "Card " + size()
	case line.CardFold:
		return card.Fold(s.ID).Kind().Words.Name
	case line.BasePaper:
		return w.stock(s.ID)
	case line.BlankPaper:
		return "Envelope of " + w.stock(s.ID)
	case line.Layers:
		if s.Count == 0 {
			return "No layers"
		}
		return say.Plural(s.Count, "layer")
	case line.MoreLayers:
		return "Add " + say.Plural(s.Count, "layer")
	case line.Border:
		return "Borders " + w.Style().Show(s.Lengths[0])
	case line.Liner:
		return "A liner"
	case line.Things:
		return w.things(s)
	case line.WithoutIt:
		if k, ok := paper.ThingByID(s.ID); ok {
			return "Remove " + strings.ToLower(k.Name[:1]) + k.Name[1:]
		}
		return "Remove a " + s.ID
	case line.HaveOne:
		if len(s.Lengths) == 2 {
			return "Your envelope, " + size()
		}
		return "You have " + w.Format(s.ID).Name
	case line.HaveSheet:
		sheet, _ := w.Shop().Sheet(s.ID)
		return "From " + sheet.Name
	case line.TypeOf:
		return blank.ByID(blank.ID(s.ID)).Words.Name
	case line.Bought:
		return "In " + w.Format(s.ID).Name
	case line.OneLength:
		return w.length(s)
	case line.Destination:
		if s.ID == job.ByHand {
			return "By hand"
		}
		b, _ := w.Shop().Book(s.ID)
		return b.Region + ", " + b.Service
	case line.Bare:
		return "Without envelope"
	case line.HowMany:
		return say.Plural(s.Count, "card")
	}
	return "Named “" + s.ID + "”"
}

func (w lineWords) stock(id string) string {
	k, _ := w.Shop().Stock(id)
	return k.Name
}

// things are so many of a kind, and how thick each is.
func (w lineWords) things(s line.Said) string {
	k, _ := paper.ThingByID(s.ID)
	for _, e := range s.Edits { // the very one that is put on
		if t, ok := paper.ThingByID(e.Text); e.Act == field.Add && ok {
			k = t
		}
	}
	text := k.Name
	if s.Count > 1 {
		text += ", " + say.Plural(s.Count, "piece")
	}
	if len(s.Lengths) > 0 {
		text += ", " + w.Style().Other(s.Lengths[0]) + " thick"
	}
	return text
}

// length is a number of the job by the name of its field.
func (w lineWords) length(s line.Said) string {
	j := job.NewJob(w.Shop())
	f, _ := field.Find(j.Fields(w.Shop()), s.ID)
	if len(s.Lengths) == 0 {
		return say.Plural(s.Count, "panel")
	}
	return f.Label + " " + shownExactly(w.Style(), s.Lengths[0])
}

// shownExactly is a length in the unit of the shop where its tick can say it, and in the
// unit that suits it otherwise.
func shownExactly(style measure.Style, l measure.Length) string {
	if style.Rounds(l) {
		return style.Other(l)
	}
	return style.Show(l)
}
