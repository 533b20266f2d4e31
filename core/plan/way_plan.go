package plan

import (
	"fmt"
	"maps"
	"math"
	"slices"
	"strings"

	"yellowparcel/core/blank"
	"yellowparcel/core/compare"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/say"
)

// WayPlan is one way of setting the scores.
type WayPlan struct {
	ID       blank.WayID   `json:"id"`
	Name     string        `json:"name"`
	Settings []SettingPlan `json:"settings"`
	Steps    []string      `json:"steps"`
	// Sheet is the square to cut for it.
	Sheet Shown `json:"sheet"`
	// Ease and Seam that the settings give, and what is left of each when cuts
	// and scores are off.
	Ease      Shown `json:"ease"`
	EaseWorst Shown `json:"easeWorst"`
	Seam      Shown `json:"seam"`
	SeamWorst Shown `json:"seamWorst"`
	SeamRSS   Shown `json:"seamRss"`
	EaseRSS   Shown `json:"easeRss"`
	// Safer marks the way that leaves more of what is scarcer; Why names the number that decides.
	Safer bool   `json:"safer"`
	Why   string `json:"why"`
	// Tools are the paths of the shop's fields that it goes by.
	Tools []string `json:"tools" format:"field-path"`
}

// SettingPlan is one reading to set.
type SettingPlan struct {
	Label string `json:"label"`
	// From says what it is measured from; empty where the label does.
	From string `json:"from"`
	At   Shown  `json:"at"`
	// Exact is what the sums ask for before rounding to the tick.
	Exact string `json:"exact"`
}

// fromWords say what a score is measured from.
var fromWords = map[blank.From]string{
	blank.FromNoEdge: "", blank.FromLeft: "from the left", blank.FromRight: "from the right", blank.FromTop: "from the top", blank.FromBottom: "from the bottom",
	blank.FromCorner: "from the corner", blank.FromFar: "from the same corner, far", blank.FromCentre: "from the centre", blank.FromEdgeMarks: "from the corner, on the edges",
}

// ways are all ways of setting the scores of a blank. The safer is the one that leaves
// more of what runs out first, ease or seam, when all is off.
func (m envelopeStation) ways(c compare.Candidate, slots say.Slots) []WayPlan {
	a, _ := m.Shop().Adhesive(m.Job().Envelope.Adhesive)
	list := []WayPlan{}
	for _, w := range c.Made.Ways {
		list = append(list, m.way(c, w, slots))
	}
	// One that shows the same numbers as another is not marked.
	if best, ok := blank.Safer(c.Made.Ways, a.Width); ok {
		shown := func(w WayPlan) [4]string {
			return [4]string{w.EaseRSS.Text, w.EaseWorst.Text, w.SeamRSS.Text, w.SeamWorst.Text}
		}
		alike := slices.ContainsFunc(list, func(w WayPlan) bool { return w.ID != list[best].ID && shown(w) == shown(list[best]) })
		if list[best].Safer = !alike; !alike {
			list[best].Why = whySafer(c.Made.Ways, best, a.Width)
		}
	}
	return list
}

// marginNames are what runs out of a way of scoring.
var marginNames = map[blank.Margin]string{blank.EaseMargin: "ease", blank.SeamMargin: "seam", blank.FlapMargin: "flap"}

// whySafer names the number that makes a way the safer one, against the next; and where it has less ease at worst
// than another all the same, that.
func whySafer(ways []blank.Way, best int, adhesive measure.Length) string {
	of, times := ways[best].Scarcest(adhesive)
	next, less := math.Inf(-1), false
	for i, w := range ways {
		if i != best {
			next = max(next, w.Safety(adhesive))
			less = less || w.EaseLeft().Worst > ways[best].EaseLeft().Worst
		}
	}
	s := say.Slots{"margin": marginNames[of], "times": fmt.Sprintf("%.1f", times), "next": fmt.Sprintf("%.1f", next)}
	s.Flag("less", less)
	s.Flag("none", next < 0)
	return s.Text(
		say.Unless("none", "Safer: its scarcest, the {margin}, has {times} times its usual error left; the next way {next}."),
		say.When("none", "Safer: its scarcest, the {margin}, has {times} times its usual error left; no other way has any."),
		say.When("less", " At worst it leaves less ease than another."),
	)
}

func (m envelopeStation) way(c compare.Candidate, w blank.Way, slots say.Slots) WayPlan {
	k, ease := c.Kind.Way(w.ID), w.Ease()
	// Ways are told apart by less than a tick.
	left := func(l measure.Length) Shown { return Shown{Nm: l, Text: m.decimal(l)} }
	p := WayPlan{
		ID: w.ID, Name: k.Name, Tools: []string{}, Sheet: m.shown(w.SheetWidth), Ease: left(ease), EaseWorst: left(w.EaseLeft().Worst), EaseRSS: left(w.EaseLeft().Usual),
		Seam: left(w.Seam), SeamWorst: left(w.SeamLeft().Worst), SeamRSS: left(w.SeamLeft().Usual),
		Settings: []SettingPlan{}, Steps: append([]string{}, m.waySlots(c, w, slots).Lines(k.Steps...)...),
	}
	for _, name := range k.Asks {
		p.Tools = append(p.Tools, "tools."+name)
	}
	for _, s := range w.Scores {
		if s.Twin {
			continue // the same as the one before it
		}
		label := c.Kind.Words.Roles[s.Role]
		if both, ok := c.Kind.Words.Roles[s.Both()]; ok && w.Even && strings.HasPrefix(string(s.Role), "sides ") {
			label = both
		}
		exact := ""
		if s.Exact != s.At {
			exact = m.decimal(s.Exact)
		}
		p.Settings = append(p.Settings, SettingPlan{label, fromWords[s.From], Shown{Nm: s.At, Text: m.setting(s)}, exact})
	}
	return p
}

// waySlots are what the words of a way of scoring are filled with: those of the blank, and
// its own.
func (m envelopeStation) waySlots(c compare.Candidate, w blank.Way, of say.Slots) say.Slots {
	s, show := maps.Clone(of), m.Style().Show
	for _, set := range w.Scores {
		s[string(set.Role)] = m.setting(set)
		s.Flag("twice", set.Beside > 0)
	}
	s.Flag("even", w.Even)
	s.Flag("thick", w.Depth > 0)
	far := w.Furthest()
	s["ease"], s["ease wanted"], s["seam wanted"] = m.by(w.EaseWidth, w.EaseHeight), show(m.Job().Envelope.Ease), show(m.Job().Envelope.Seam)
	s["at"], s["role"] = show(far.At+far.Beside), c.Kind.Words.Roles[far.Role]
	s["groove"], s["reach"] = m.fine().Show(m.Shop().Tools.Groove), show(reachOf(m.Shop(), c.Kind.Way(w.ID).Tool))
	return s
}

// toolNotes say what the tool that a way goes by does to the scores: grooves that
// move them, or a reach that is too short.
func (m envelopeStation) toolNotes(c compare.Candidate, of say.Slots) (notes []say.Note) {
	w := c.Made.Way()
	k := c.Kind.Way(w.ID)
	reach := reachOf(m.Shop(), k.Tool)
	slots := m.waySlots(c, w, of)
	told := func(tone say.Tone, words []say.Clause) {
		if text := slots.Text(words...); text != "" {
			notes = append(notes, tone.Says(text))
		}
	}
	switch {
	case m.Shop().Tools.Groove == 0 || k.Tool != blank.ScoreBoard:
	case w.Far:
		told(say.Care, k.NoGrooves)
	default:
		told(say.Fine, k.InGrooves)
	}
	far := w.Furthest()
	beyond := k.Tool == blank.ScoreBoard && far.At+far.Beside > reach || k.Tool == blank.PunchBoard && w.SheetWidth > reach
	if reach > 0 && beyond {
		told(say.Care, k.Beyond)
	}
	return notes
}

// setting writes what is set: one reading, or two for two creases in place of
// one. What is no tick of the shop, a groove of the other unit, is said as its own ruler has it.
func (m envelopeStation) setting(s blank.Setting) string {
	show := func(l measure.Length) string {
		if m.Style().Rounds(l) {
			return m.exact(l)
		}
		return m.Style().Show(l)
	}
	if s.Beside == 0 {
		return show(s.At)
	}
	return show(s.At-s.Beside) + " & " + show(s.At+s.Beside)
}

// decimal writes a length to the thousandth of an inch or the hundredth of a
// millimetre, for the reader who checks the sums.
func (m maker) decimal(l measure.Length) string {
	if m.Style().Unit == measure.Millimetres {
		return fmt.Sprintf("%.2f", l.Millimetres())
	}
	return fmt.Sprintf("%.3f", l.Inches())
}

// reachOf is how far a tool reaches; zero where it does not matter.
func reachOf(shop job.Shop, tool blank.ToolID) measure.Length {
	if tool == blank.PunchBoard {
		return shop.Tools.Punches()
	}
	return shop.Tools.Reach
}
