package blank

import (
	"math"
	"slices"
	"strings"

	"yellowparcel/core/measure"
	"yellowparcel/core/say"
)

// WayID names a way of setting the score lines.
type WayID string

// Role is what a score is for: the crease that it makes.
type Role string

// From is the edge or the mark that a score is measured from.
type From string

// Where scores are measured from.
const (
	FromLeft      From = "left"
	FromRight     From = "right"
	FromTop       From = "top"
	FromBottom    From = "bottom"
	FromCorner    From = "corner"
	FromFar       From = "same corner, far" // beyond the middle
	FromCentre    From = "centre"
	FromEdgeMarks From = "corner, on the edges"
	FromNoEdge    From = "" // its role says it
)

// Froms lists what scores are measured from.
func Froms() []From {
	return []From{FromNoEdge, FromLeft, FromRight, FromTop, FromBottom, FromCorner, FromFar, FromCentre, FromEdgeMarks}
}

// Setting is one thing to set or mark: a score by its role, or a check.
type Setting struct {
	Role Role
	From From
	// At is the reading to set, a whole number of ticks; Exact what the sums ask for
	// before rounding.
	At, Exact measure.Length
	// Beside is how far to either side two creases lie in place of one.
	Beside measure.Length
	// Check is set for what is read, not scored; Twin for what is set as another one
	// already is.
	Check, Twin bool
}

// ToolID names a tool of the bench that a way goes by.
type ToolID string

// The tools that ways go by.
const (
	NoTool     ToolID = ""
	ScoreBoard ToolID = "board"
	PunchBoard ToolID = "punch"
)

// WayKind is what is said of a way of setting scores.
type WayKind struct {
	ID   WayID
	Name string
	// Tool is what it goes by, Asks the names of the tools' fields that it asks for.
	Tool ToolID
	Asks []string
	// Sentence goes on where that of the construction ends; Steps say how to set and
	// score, one act each.
	Sentence, Steps []say.Clause
	// InGrooves says what scores in the board's grooves do to ease and seam, NoGrooves
	// that none keep them right, Beyond what to do where the tool does not reach.
	InGrooves, NoGrooves, Beyond []say.Clause
}

// Way is one way of setting the scores of a blank, with what it gives, and what it
// costs when cuts and scores are off.
type Way struct {
	ID     WayID
	Scores []Setting
	// SheetWidth and SheetHeight are the paper to cut for it: another than for other
	// ways only where the board has grooves.
	SheetWidth, SheetHeight measure.Length
	// Far is set when no grooves keep ease and seam in range.
	Far bool
	// EaseWidth, EaseHeight and Seam are what it gives; EaseLoss and SeamLoss what an
	// error of half a tick on every cut and score takes off, HeightLoss what it takes off
	// the height's ease.
	EaseWidth, EaseHeight, Seam    measure.Length
	EaseLoss, HeightLoss, SeamLoss Loss
	// CardWidth and CardHeight are what the card's own size may be off.
	CardWidth, CardHeight Loss
	// Seams are the seams that an error takes differently much of, by the name of their
	// edge; none where all are alike.
	Seams []SeamOf
	// Overlap is what the closing flap covers and what errors take off it, where they are reckoned.
	Overlap SeamOf
	// Depth is that of two creases in place of each; Even is set where both pairs of
	// creases are set alike.
	Depth measure.Length
	Even  bool
}

// Both is the role that a score stands for where it is set for both pairs of creases
// alike.
func (s Setting) Both() Role {
	_, mark, _ := strings.Cut(string(s.Role), " ")
	return Role("both " + mark)
}

// Ease is the tighter of the two.
func (w Way) Ease() measure.Length { return min(w.EaseWidth, w.EaseHeight) }

// At is the reading of the score of a role; false where the way sets none.
func (w Way) At(role Role) (Setting, bool) {
	for _, s := range w.Scores {
		if s.Role == role {
			return s, true
		}
	}
	return Setting{}, false
}

// Readings are the readings of some roles, in their order; zero for one that the way
// does not set.
func (w Way) Readings(roles ...Role) []measure.Length {
	list := make([]measure.Length, len(roles))
	for i, role := range roles {
		if s, ok := w.At(role); ok {
			list[i] = s.At
		}
	}
	return list
}

// Furthest is the score that is set furthest out.
func (w Way) Furthest() (far Setting) {
	for _, s := range w.Scores {
		if !s.Check && s.At+s.Beside > far.At+far.Beside {
			far = s
		}
	}
	return far
}

// SeamOf is one seam of a way, with what errors take off it.
type SeamOf struct {
	Seam measure.Length
	Loss Loss
}

// Left is what is left when cuts and scores are off: usually, and at worst.
type Left struct{ Usual, Worst measure.Length }

// seams are the seams of a way, of which each is what it is.
func (w Way) seams() []SeamOf {
	if len(w.Seams) == 0 {
		return []SeamOf{{w.Seam, w.SeamLoss}}
	}
	return w.Seams
}

// EaseLosses are what errors take off the ease in width and in height, the card's own
// among them.
func (w Way) EaseLosses() (width, height Loss) {
	return w.EaseLoss.and(w.CardWidth), w.HeightLoss.and(w.CardHeight)
}

// EaseLeft is what is left of the ease where less is.
func (w Way) EaseLeft() Left {
	width, height := w.EaseLosses()
	return Left{min(w.EaseWidth-width.RSS, w.EaseHeight-height.RSS), min(w.EaseWidth-width.Worst, w.EaseHeight-height.Worst)}
}

// SeamLeft is what is left of the seam where least is.
func (w Way) SeamLeft() Left {
	left := Left{measure.Length(math.MaxInt64), measure.Length(math.MaxInt64)}
	for _, s := range w.seams() {
		left.Usual, left.Worst = min(left.Usual, s.Seam-s.Loss.RSS), min(left.Worst, s.Seam-s.Loss.Worst)
	}
	return left
}

// OverlapLeft is what is left of what the closing flap covers; false where it is not reckoned.
func (w Way) OverlapLeft() (Left, bool) {
	o := w.Overlap
	return Left{o.Seam - o.Loss.RSS, o.Seam - o.Loss.Worst}, o.Loss.Worst > 0
}

// Margin is what may run out of a way of scoring.
type Margin string

// The margins.
const (
	EaseMargin Margin = "ease"
	SeamMargin Margin = "seam" // over its adhesive
	FlapMargin Margin = "flap" // what it covers, over its adhesive
)

// Margins lists them.
func Margins() []Margin { return []Margin{EaseMargin, SeamMargin, FlapMargin} }

// Safety is how many times its usual loss the scarcest margin is: of the ease, and of
// every seam and of the flap over their adhesive.
func (w Way) Safety(adhesive measure.Length) float64 {
	_, times := w.Scarcest(adhesive)
	return times
}

// Scarcest is the margin that runs out first, and how many times its usual loss it is.
func (w Way) Scarcest(adhesive measure.Length) (of Margin, times float64) {
	width, height := w.EaseLosses()
	of, times = EaseMargin, math.Inf(1)
	look := func(is Margin, margin measure.Length, l Loss) {
		if l.RSS == 0 {
			return // without a loss there is nothing to fear
		}
		if t := float64(margin) / float64(l.RSS); t < times {
			of, times = is, t
		}
	}
	look(EaseMargin, w.EaseWidth, width)
	look(EaseMargin, w.EaseHeight, height)
	for _, s := range w.seams() {
		look(SeamMargin, s.Seam-adhesive, s.Loss)
	}
	look(FlapMargin, w.Overlap.Seam-adhesive, w.Overlap.Loss)
	return of, times
}

// safer is by how much, as a share, a way has to be safer than another to be called so.
const safer = 0.05

// Safer is the place of the way whose scarcest margin is the most of its usual loss; false
// where another one is as safe.
func Safer(ways []Way, adhesive measure.Length) (best int, ok bool) {
	for i, w := range ways {
		if w.Safety(adhesive) > ways[best].Safety(adhesive) {
			best = i
		}
	}
	top := ways[best].Safety(adhesive)
	for i, w := range ways {
		if i != best && w.Safety(adhesive) > top-safer*math.Abs(top) {
			return best, false
		}
	}
	return best, len(ways) > 1
}

// and is a loss with another one that is independent of it.
func (l Loss) and(m Loss) Loss {
	return Loss{l.Worst + m.Worst, measure.Round(math.Hypot(float64(l.RSS), float64(m.RSS)))}
}

// Loss is what errors take off in the worst case and as root-sum-square.
type Loss struct{ Worst, RSS measure.Length }

func root(n float64, t measure.Length) measure.Length {
	return measure.Round(math.Sqrt(n) * float64(t))
}

// way is a way whose scores give what the blank was made with.
func (m Made) way(id WayID, scores []Setting, ease, seam Loss) Way {
	return Way{
		ID: id, Scores: scores, SheetWidth: m.SheetWidth, SheetHeight: m.SheetHeight, EaseWidth: m.EaseWidth, EaseHeight: m.EaseHeight, Seam: m.Seam,
		EaseLoss: ease, HeightLoss: ease, SeamLoss: seam, Depth: m.Depth,
	}
}

// pick is the place of the way that is asked for, or the first where it is of another
// construction. Where none is asked for, it is the one that is safer than the others.
func pick(ways []Way, asked WayID, adhesive measure.Length) int {
	if i := slices.IndexFunc(ways, func(w Way) bool { return w.ID == asked }); i >= 0 {
		return i
	}
	if best, ok := Safer(ways, adhesive); ok && asked == "" {
		return best
	}
	return 0
}

// choose takes the way that the spec asks for.
func (m *Made) choose(s Spec, ways ...Way) {
	for i := range ways {
		ways[i].CardWidth, ways[i].CardHeight = s.CardWidth, s.CardHeight
	}
	m.Ways, m.Chosen = ways, pick(ways, s.Way, s.Adhesive)
}

// edgeScore is a score at a tick or a groove, from an edge.
func edgeScore(role Role, from From, at measure.Length) Setting {
	return Setting{Role: role, From: from, At: at, Exact: at}
}
