package job

import (
	"cmp"
	"fmt"
	"slices"

	"yellowparcel/core/field"
	"yellowparcel/core/paper"
	"yellowparcel/core/say"
)

// Missing is something that a job goes by and that the shop has no longer: a
// paper, an adhesive, an envelope, a sheet or a rulebook. The job stays as it is;
// it is planned with a stand-in until the maker chooses.
type Missing struct {
	// Path is the field that names it: an edit of it with the ID of a choice takes
	// that choice.
	Path string `json:"path" format:"field-path"`
	Text string `json:"text"`
	// Choices are what may take its place, the stand-in first.
	Choices []field.Choice `json:"choices"`
}

// reference is a place in a job that names something of the shop by its ID.
type reference struct {
	path string
	// at is where the ID stands.
	at func(*Job) *string
	// what says what is missing, without its ID: "the paper of “Card base”".
	what string
	// has reports whether the shop knows an ID; choices are what it has instead, the
	// fittest first.
	has     func(Shop, string) bool
	choices func(Shop) []field.Choice
	// away is the name of what was put away and is known still, empty for what is on the shelf; nil where nothing is put away.
	away func(s Shop, id string) string
	// without says what is done when the shop has nothing else, or nothing is best.
	without string
	// empty is set where no ID is an answer, too.
	empty bool
}

// mostStandIns is how many are offered in place of what is missing.
const mostStandIns = 5

// The weights of paper that stand in are near, in gsm.
const (
	baseGSM     = 270
	layerGSM    = 176
	envelopeGSM = 105
)

// references are all places of a job that name something of the shop.
func (j Job) references() (list []reference) {
	for i, p := range j.Parts {
		if p.Kind == ThingPart || p.Thing != nil {
			continue
		}
		near := layerGSM
		if p.Kind == BasePart {
			near = baseGSM
		}
		list = append(list, reference{
			path: fmt.Sprintf("parts.%d.stock", i), what: "the paper of “" + say.Clip(p.Name) + "”",
			at: func(j *Job) *string { return &j.Parts[i].Stock }, has: hasStock, away: awayStock, choices: stocksNear(near),
		})
	}
	hasSheet := func(s Shop, id string) bool { _, ok := s.Sheet(id); return ok }
	hasAdhesive := func(s Shop, id string) bool { _, ok := s.Adhesive(id); return ok }
	hasRules := func(s Shop, id string) bool { _, ok := s.Book(id); return ok || id == ByHand }
	hasFormat := func(s Shop, id string) bool { _, ok := (Start{Format: id}).In(s); return ok }
	list = append(
		list,
		reference{path: "envelope.stock", what: "the envelope's paper", at: func(j *Job) *string { return &j.Envelope.Stock }, has: hasStock, away: awayStock, choices: stocksNear(envelopeGSM)},
		reference{path: "envelope.liner", what: "the liner's paper", at: func(j *Job) *string { return &j.Envelope.Liner }, has: hasStock, away: awayStock, choices: stocksNear(envelopeGSM), empty: true},
		reference{path: "envelope.adhesive", what: "the adhesive", at: func(j *Job) *string { return &j.Envelope.Adhesive }, has: hasAdhesive, away: awayAdhesive, choices: func(s Shop) (list []field.Choice) {
			for _, a := range s.Adhesives {
				if !a.Off {
					list = append(list, field.Choice{ID: a.ID, Name: a.Name})
				}
			}
			return list
		}},
		reference{path: "envelope.from", what: "the bought envelope", at: func(j *Job) *string { return &j.Envelope.From }, has: hasFormat, choices: formatChoices, empty: true, without: "the fittest one"},
		reference{path: "mail.destination", what: "the rulebook", at: func(j *Job) *string { return &j.Mail.Destination }, has: hasRules, choices: func(s Shop) []field.Choice {
			list := []field.Choice{{ID: ByHand, Name: "By hand"}} // nothing is promised of a post that nobody knows
			for _, b := range s.Books() {
				list = append(list, field.Choice{ID: b.ID, Name: b.Region + ", " + b.Service})
			}
			return list
		}},
		reference{path: "paper.have", what: "the sheet that you came with", at: func(j *Job) *string { return &j.Paper.Have }, has: hasSheet, choices: func(s Shop) (list []field.Choice) {
			for _, sh := range s.OnShelf() {
				list = append(list, field.Choice{ID: sh.ID, Name: sh.Name})
			}
			return list
		}, empty: true, without: "no sheet"},
	)
	if j.Start != nil {
		list = append(list, reference{path: "start.format", what: "the envelope that you came with", at: func(j *Job) *string { return &j.Start.Format }, has: hasFormat, choices: func(s Shop) []field.Choice {
			return append([]field.Choice{{ID: OwnEnvelope, Name: "Measured with a ruler"}}, formatChoices(s)...)
		}})
	}
	return list
}

func hasStock(s Shop, id string) bool { _, ok := s.Stock(id); return ok }

func awayStock(s Shop, id string) string {
	if k, ok := s.Stock(id); ok && k.Off {
		return k.Name
	}
	return ""
}

func awayAdhesive(s Shop, id string) string {
	if a, ok := s.Adhesive(id); ok && a.Off {
		return a.Name
	}
	return ""
}

func formatChoices(s Shop) (list []field.Choice) {
	for _, f := range s.Formats() {
		list = append(list, field.Choice{ID: f.ID, Name: f.Name})
	}
	return list
}

// stocksNear are the papers on the shelf, those of about a weight first.
func stocksNear(gsm int) func(Shop) []field.Choice {
	return func(s Shop) (list []field.Choice) {
		var stocks []paper.Stock
		for _, k := range s.Stocks {
			if !k.Off {
				stocks = append(stocks, k)
			}
		}
		if len(stocks) == 0 {
			stocks = s.Stocks // put away, but known
		}
		off := func(k paper.Stock) float64 { return max(k.GSM-float64(gsm), float64(gsm)-k.GSM) }
		stocks = slices.Clone(stocks)
		slices.SortStableFunc(stocks, func(a, b paper.Stock) int { return cmp.Compare(off(a), off(b)) })
		for _, k := range stocks {
			list = append(list, field.Choice{ID: k.ID, Name: k.Name})
		}
		return list
	}
}

// StandIns is the job with a stand-in for everything that the shop has no longer,
// and what that is; a card that is not chosen yet has a size that stands in, which is no loss to
// be told. Where all is there it is the same job.
func (j Job) StandIns(shop Shop) (Job, []Missing) {
	list := []Missing{}
	cloned := false
	j = standing(j, shop)
	for _, r := range j.references() {
		id := *r.at(&j)
		if r.away != nil && r.away(shop, id) != "" {
			list = putAway(j, list, r, shop, id)
			continue
		}
		if r.has(shop, id) || id == "" && r.empty {
			continue
		}
		if !cloned {
			j, cloned = j.Clone(), true
		}
		choices := r.choices(shop)
		m := Missing{Path: r.path, Choices: append([]field.Choice{}, choices[:min(len(choices), mostStandIns)]...)}
		with := r.without
		switch {
		case r.empty:
			*r.at(&j) = ""
		case len(choices) > 0:
			*r.at(&j), with = choices[0].ID, choices[0].Name
		}
		if r.path == "start.format" {
			j.Start.MeasureAs(j.Card)
		}
		m.Text = fmt.Sprintf("%s, “%s”, is gone.", say.Capital(r.what), say.Clip(id))
		if id == "" {
			m.Text = fmt.Sprintf("%s is not chosen.", say.Capital(r.what))
		}
		if with != "" {
			m.Text += fmt.Sprintf(" Until you choose another, this plan goes by: %s.", say.Lower(with))
		} else {
			m.Text += " There is nothing on the shelf to take its place: enter one there."
		}
		list = append(list, m)
	}
	return j, list
}

// Stocked is the shop with papers and adhesives to stand in where it has none at
// all.
func (s Shop) Stocked() Shop {
	if len(s.Stocks) > 0 && len(s.Adhesives) > 0 {
		return s
	}
	usual := DefaultShop()
	if len(s.Stocks) == 0 {
		s.Stocks = usual.Stocks
	}
	if len(s.Adhesives) == 0 {
		s.Adhesives = usual.Adhesives
	}
	return s
}
