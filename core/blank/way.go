package blank

import (
	"math"
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
	// error of half a tick on every cut and score takes off.
	EaseWidth, EaseHeight, Seam measure.Length
	EaseLoss, SeamLoss          Loss
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

// left is what the way leaves of what runs out first, ease or seam, when all is
// off.
func (w Way) left(adhesive measure.Length) measure.Length {
	return min(w.Ease()-w.EaseLoss.Worst, w.Seam-adhesive-w.SeamLoss.Worst)
}

// Safer is the place of the way that leaves most when all is off.
func Safer(ways []Way, adhesive measure.Length) (best int) {
	for i, w := range ways {
		if w.left(adhesive) > ways[best].left(adhesive) {
			best = i
		}
	}
	return best
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
		EaseLoss: ease, SeamLoss: seam, Depth: m.Depth,
	}
}

// choose takes the way that the spec asks for, or the first.
func (m *Made) choose(id WayID, ways ...Way) {
	m.Ways, m.Chosen = ways, 0
	for i, w := range ways {
		if w.ID == id {
			m.Chosen = i
		}
	}
}

// edgeScore is a score at a tick or a groove, from an edge.
func edgeScore(role Role, from From, at measure.Length) Setting {
	return Setting{Role: role, From: from, At: at, Exact: at}
}
