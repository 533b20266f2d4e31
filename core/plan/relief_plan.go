package plan

import (
	"fmt"
	"math"
	"slices"

	"yellowparcel/core/compare"
	"yellowparcel/core/drawing"
	"yellowparcel/core/mail"
	"yellowparcel/core/measure"
	"yellowparcel/core/piece"
	"yellowparcel/core/say"
)

// ReliefPlan is the thickness map of the card. Lengths are millimetres from the
// top left of the face.
type ReliefPlan struct {
	Width  float64       `json:"width"`
	Height float64       `json:"height"`
	Parts  []ReliefPart  `json:"parts"`
	Max    Shown         `json:"max"`
	Min    Shown         `json:"min"`
	At     mail.Spot     `json:"at"`
	Rows   []Reading     `json:"rows"`
	Cuts   []SectionPlan `json:"cuts"`
	Words  string        `json:"words"`
}

// ReliefPart is one part on the map.
type ReliefPart struct {
	// Part is the place in the job's list of parts.
	Part int    `json:"part"`
	Name string `json:"name"`
	Disc bool   `json:"disc"`
	// Thing parts can be dragged.
	Thing  bool    `json:"thing"`
	X      float64 `json:"x"`
	Y      float64 `json:"y"`
	Width  float64 `json:"width"`
	Height float64 `json:"height"`
	// Top is the height of its upper face, Level the same as a share of the greatest.
	Top   string  `json:"top"`
	Level float64 `json:"level"`
	// High parts stand under the highest place.
	High    bool `json:"high"`
	Draping bool `json:"draping"`
}

// SectionPlan is the card cut where it asks for most of an envelope.
type SectionPlan struct {
	ID string `json:"id" enum:"across,down"`
	// At is where it is cut, in millimetres along the other edge.
	At    float64     `json:"at"`
	Steps []mail.Step `json:"steps"`
	Hull  []mail.Spot `json:"hull"`
	Text  string      `json:"text"`
}

func (m mailStation) reliefPlan() ReliefPlan {
	r, fine := m.Relief(), m.fine()
	p := ReliefPlan{
		Width: m.Job().Card.Width.Millimetres(), Height: m.Job().Card.Height.Millimetres(), Parts: []ReliefPart{},
		Max: shownIn(m.fine(), measure.OfMillimetres(r.Max)), Min: shownIn(m.fine(), measure.OfMillimetres(r.Min)), At: r.At, Words: reliefWords(r, m.maker),
	}
	for i, q := range r.Parts {
		part := m.Job().Parts[m.Laid()[i]]
		p.Parts = append(p.Parts, ReliefPart{
			Part: m.Laid()[i], Name: q.Name, Disc: q.Disc, Thing: part.Thing != nil, X: q.X0, Y: q.Y0, Width: q.X1 - q.X0, Height: q.Y1 - q.Y0,
			Top: fine.Show(measure.OfMillimetres(r.Tops[i])), Level: r.Tops[i] / math.Max(r.Max, 1e-9), High: slices.Contains(r.Chain, i), Draping: q.Draping,
		})
	}
	p.Rows = []Reading{
		{"max", "Thickest", p.Max.Text, "where " + m.chainWords() + " lie on each other", ""},
		{"min", "Thinnest", p.Min.Text, "over the face", ""},
		{"difference", "Difference", fine.Show(measure.OfMillimetres(r.Max - r.Min)), m.lumpWords(), ""},
	}
	// What the card takes of an envelope goes by its measured height, as on the
	// Card station.
	as := m.AsMeasured()
	across, down := as.Girths(true), as.Girths(false)
	p.Cuts = []SectionPlan{m.cut("across", across, true), m.cut("down", down, false)}
	p.Rows = append(p.Rows,
		Reading{"girth-across", "Takes across", fine.Show(measure.OfMillimetres(across.EndOn.Room())), m.girthWords(as, true, across), ""},
		Reading{"girth-down", "Takes down", fine.Show(measure.OfMillimetres(down.EndOn.Room())), m.girthWords(as, false, down), ""})
	return p
}

func (m mailStation) chainWords() string {
	var names []string
	for _, i := range m.Relief().Chain {
		names = append(names, "“"+m.Relief().Parts[i].Name+"”")
	}
	return say.And(names)
}

func (m mailStation) lumpWords() string {
	rise, part := m.Relief().Lump(piece.LumpWithin)
	if rise < 0.01 {
		return "it is even"
	}
	return fmt.Sprintf("“%s” rises %s within an inch", m.Relief().Parts[part].Name, m.fine().Show(measure.OfMillimetres(rise)))
}

func (m mailStation) cut(id string, g mail.Girths, wide bool) SectionPlan {
	where, of := "from the top", m.Job().Card.Width
	if !wide {
		where, of = "from the left", m.Job().Card.Height
	}
	steps := g.Worst.Steps
	if steps == nil {
		steps = []mail.Step{}
	}
	return SectionPlan{
		ID: id, At: g.Worst.At, Steps: steps, Hull: g.Worst.Hull,
		Text: fmt.Sprintf("Section %s %s: half way round, %s.", m.Style().Show(measure.OfMillimetres(g.Worst.At)), where, m.fine().ShowUnit(of+measure.OfMillimetres(g.Worst.Room()))),
	}
}

// girthWords says which part costs most of the room that the thickness takes:
// the one without which it would be least.
func (m mailStation) girthWords(r mail.Relief, wide bool, g mail.Girths) string {
	part, most := r.Costly(wide, g.EndOn)
	if part < 0 || most < 0.05 {
		return "of the envelope, as it lies"
	}
	return fmt.Sprintf("of the envelope, as it lies; “%s” costs %s of it", m.Relief().Parts[part].Name, m.fine().Show(measure.OfMillimetres(most)))
}

// BeamPlan is the piece bent round the drum of a sorting machine.
type BeamPlan struct {
	// Length of the piece and Radius of the drum in millimetres.
	Length float64 `json:"length"`
	Radius float64 `json:"radius"`
	// Stiffness along the length, as a share of the stiffest place; At is where that
	// is, in millimetres.
	Stiffness []float64 `json:"stiffness"`
	At        float64   `json:"at"`
	// Pull is what it needs of the belt in pounds or newtons, with the band that it
	// lies in, and what the belt gives: as shares of that.
	Pull     string   `json:"pull"`
	Share    float64  `json:"share"`
	Least    float64  `json:"least"`
	Most     float64  `json:"most"`
	Tone     say.Tone `json:"tone"`
	Sentence string   `json:"sentence"`
	// RigidFrom and RigidTo are the part that does not bend; both zero for none.
	RigidFrom float64   `json:"rigidFrom"`
	RigidTo   float64   `json:"rigidTo"`
	Rows      []Reading `json:"rows"`
	Words     string    `json:"words"`
}

// What makers go by, and what the belt pulls, in pounds.
const (
	easyPull = 5.0
	askPull  = 15.0
	beltPull = 40.0
)

func (m mailStation) beamPlan(e compare.Closed, piece mail.Piece) BeamPlan {
	b, scaled := m.Beam(e, piece.Weight)
	at, most := b.Stiffest()
	lb := b.Pull() / mail.PoundForce
	least, high := mail.PullAtLeast, mail.PullAtMost
	about := "about; it may be from %s to %s"
	if scaled {
		least, high = 1/compare.PullMeasured, compare.PullMeasured
		about = "as measured at home; it may be from %s to %s"
	}
	p := BeamPlan{
		Length: b.Length, Radius: mail.DrumRadius, Stiffness: []float64{}, At: at, Pull: m.force(b.Pull()), Share: lb / beltPull, Least: lb * least / beltPull, Most: lb * high / beltPull, Tone: say.Fine,
	}
	for _, ei := range b.EI {
		p.Stiffness = append(p.Stiffness, ei/math.Max(most, 1e-9))
	}
	p.Rows = []Reading{
		{"pull", "Pull needed", p.Pull, fmt.Sprintf(about, m.force(b.Pull()*least), m.force(b.Pull()*high)), ""},
		{"belt", "Pull there is", m.force(beltPull * mail.PoundForce), "of the belt round an 11 in drum, as the rule has it", ""},
		{"strain", "Outer fibre", fmt.Sprintf("%.2f %%", 100*b.Strain), "strained on the drum; over 0.5 % it creases or refuses", ""},
		{"stiffest", "Stiffest", m.Style().Show(measure.OfMillimetres(at)), "from the left end", ""},
	}
	switch {
	case lb > beltPull:
		p.Tone, p.Sentence = say.Trouble, "The belt cannot lay it round the drum: it counts as rigid."
	case lb > askPull || b.Strain > 0.005:
		p.Tone, p.Sentence = say.Care, "Treat it as rigid: it is stiffer or thicker than makers trust to the drum."
	case lb > easyPull || lb*high > askPull:
		p.Tone, p.Sentence = say.Care, "It may be too stiff for the machine: ask first."
	default:
		p.Sentence = "It bends easily round the drum."
	}
	if b.RigidLength > 0 {
		part := m.Relief().Parts[b.Rigid]
		from := part.X0
		if e.Width < e.Height {
			from = part.Y0
		}
		from -= b.From
		p.RigidFrom, p.RigidTo = math.Max(0, from), math.Min(b.Length, from+b.RigidLength)
		p.Rows = append(p.Rows, Reading{"lift", "Stands off", m.fine().Show(measure.OfMillimetres(b.Lift())), fmt.Sprintf("the drum, at the ends of “%s”, which does not bend", part.Name), ""})
	}
	p.Words = fmt.Sprintf("The piece, %s long, bent round a drum of 11 in. It needs a pull of %s, and the belt has %s. %s", m.Style().ShowUnit(measure.OfMillimetres(b.Length)), p.Pull, m.force(beltPull*mail.PoundForce), p.Sentence)
	return p
}

// PostagePlan is what posting costs by the maker's own rate card.
type PostagePlan struct {
	// Each and Total are empty where no rate card has a price.
	Each  string     `json:"each"`
	Total string     `json:"total"`
	Notes []say.Note `json:"notes"`
}

func (m mailStation) postage(v mail.Verdict, piece mail.Piece) PostagePlan {
	p := PostagePlan{Notes: []say.Note{}}
	r, taken := v.Result()
	for _, card := range m.Shop().Rates {
		if card.Rulebook != v.Rulebook.ID || !taken {
			continue
		}
		cents, ok := card.Price(r.Class.ID, piece.Weight, r.Outcome == mail.Surcharged || len(r.Due()) > 0)
		if !ok {
			p.Notes = append(p.Notes, say.Care.Says(fmt.Sprintf("“%s” has no price for a %s of %s: add one on the page of rules.", card.Name, v.Class, m.weight(piece.Weight))))
			continue
		}
		p.Each, p.Total = money(card.Currency, cents), money(card.Currency, cents*m.Job().Count)
		if card.Example {
			p.Notes = append(p.Notes, say.Fine.Says("These prices are made up, as an example. Type your own on the page of rules."))
		}
		if mail.YearOld(card.Dated, m.Shop().Today) {
			p.Notes = append(p.Notes, say.Care.Says(fmt.Sprintf("“%s” is of %s, more than a year old: prices change.", card.Name, card.Dated)))
		}
		return p
	}
	return p
}

func money(currency string, cents int) string {
	return fmt.Sprintf("%s%d.%02d", currency, cents/100, cents%100)
}

// GaugePlan is the slot through which the closed piece has to slide.
type GaugePlan struct {
	Class  string `json:"class"`
	Width  Shown  `json:"width"`
	Height Shown  `json:"height"`
	Left   Shown  `json:"left"`
	Right  Shown  `json:"right"`
	Top    Shown  `json:"top"`
	Bottom Shown  `json:"bottom"`
	Slot   string `json:"slot"`
	// SlotHeight is how high the slot is.
	SlotHeight string `json:"slotHeight"`
	// Text says how to cut it, or what is wrong with the piece of card.
	Text string `json:"text"`
	OK   bool   `json:"ok"`
	// Decides is set where the class that the piece goes by has this limit.
	Decides bool `json:"-"`
	// Flat is the piece of card with its slot.
	Flat drawing.Drawing `json:"flat"`
}

// gaugeFaults say what is wrong with the piece of card for a gauge.
var gaugeFaults = map[mail.GaugeFault]string{
	mail.ThinLimit:  "The limit is thinner than the smallest step: a slot of it cannot be cut.",
	mail.ShortCard:  "The piece of card is too short for the slot. Half an inch should stay at either end.",
	mail.NarrowCard: "The piece of card is too narrow: half an inch should stay above and below the slot.",
}

// bareSlot says what slot gauges the card alone, before it is in its envelope.
func (m mailStation) bareSlot(g mail.SlotGauge, limit measure.Length, e compare.Closed) string {
	top, bottom, room, ok := g.Second(limit, e.Stock.Caliper*measure.Length(e.Layers), m.Style().Tick)
	layers := say.Plural(e.Layers, "layer")
	switch {
	case e.Layers == 0:
		return ""
	case !ok:
		return fmt.Sprintf(" The envelope's %s leave a bare card no slot that can be cut.", layers)
	case !room:
		return fmt.Sprintf(" For a bare card, without the envelope's %s, cut one of %s into a piece of its own.", layers, m.by(g.SlotWidth, bottom-top))
	}
	return fmt.Sprintf(" For a bare card, without the envelope's %s, cut a second one of %s. It lies an inch below, %s to %s across.", layers, m.by(g.SlotWidth, bottom-top), m.Style().Show(top), m.Style().Show(bottom))
}

// gaugePlan is the gauge for the thickness of the cheapest class that has a
// limit, from the piece of card that the maker named.
func (m mailStation) gaugePlan(book mail.Rulebook, e compare.Closed) *GaugePlan {
	for _, c := range book.Classes {
		if c.ID != book.Enveloped().ID {
			continue
		}
		for _, l := range c.Limits {
			if l.Measure != mail.Thickness || l.Max == nil {
				continue
			}
			short := min(e.Width, e.Height)
			w, h := m.Job().Mail.GaugeWidth, m.Job().Mail.GaugeHeight
			if w == 0 {
				w = (short + 3*measure.Inch).Up(m.Style().Tick)
			}
			if h == 0 {
				h = 4 * measure.Inch // room for both slots
			}
			g, fault := mail.NewSlotGauge(measure.Length(*l.Max), short, w, h, m.Style().Tick)
			p := &GaugePlan{
				Class: c.Name, Width: m.shown(g.Width), Height: m.shown(g.Height), Left: m.shown(g.Left), Right: m.shown(g.Right), Top: m.shown(g.Top), Bottom: m.shown(g.Bottom),
				Slot: m.by(g.SlotWidth, g.SlotHeight), SlotHeight: m.Style().Show(g.SlotHeight), OK: fault == mail.GaugeFits,
			}
			if fault != mail.GaugeFits {
				p.Text = gaugeFaults[fault]
				p.Flat = nothing
				return p
			}
			p.Flat = drawing.Gauge(g, fmt.Sprintf("%s: %s to %s along, %s to %s across", p.Slot, p.Left.Text, p.Right.Text, p.Top.Text, p.Bottom.Text)).Drawn()
			bare := m.bareSlot(g, measure.Length(*l.Max), e)
			p.Text = fmt.Sprintf("From stiff card of %s cut a slot of %s. Its length runs from %s to %s, its width from %s to %s. The closed, filled piece has to slide through by itself. Prove it on a stack of sheets whose thickness you know.%s",
				m.by(g.Width, g.Height), p.Slot, p.Left.Text, p.Right.Text, p.Top.Text, p.Bottom.Text, bare)
			return p
		}
	}
	return nil
}
