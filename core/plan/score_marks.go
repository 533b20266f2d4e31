package plan

import (
	"math"
	"strings"

	"yellowparcel/core/blank"
	"yellowparcel/core/compare"
	"yellowparcel/core/measure"
)

// ScoreMark is a reading to set, at the crease on the drawing that it makes.
type ScoreMark struct {
	// Panel is the panel that is folded there.
	Panel string `json:"panel"`
	Text  string `json:"text"`
	// From says what it is measured from.
	From string `json:"from"`
	// Upright is set for a crease that runs up and down; First where it lies in the first
	// half of the sheet, left or above.
	Upright bool `json:"upright"`
	First   bool `json:"first"`
	// Start and End are the ends of the crease, in millimetres on the sheet.
	Start blank.Point `json:"start"`
	End   blank.Point `json:"end"`
}

// Where a reading begins that a crease is found by.
type reference struct {
	words string
	// reading is what is read at a crease that lies so far along a sheet of a length.
	reading func(at, length float64) float64
}

func fromLow(words string, offset float64) reference {
	return reference{words, func(at, _ float64) float64 { return at + offset }}
}

func fromHigh(words string, offset float64) reference {
	return reference{words, func(at, length float64) float64 { return length - at + offset }}
}

// furthestOff is how far a crease may lie from where a reading says, in millimetres: grooves
// and rounding move it.
const furthestOff = 2.5

// scoreMarks are the readings of the chosen way, each at its crease. Those of the other way
// round, after a quarter turn, stand at theirs.
func (m envelopeStation) scoreMarks(c compare.Candidate) []ScoreMark {
	marks := []ScoreMark{}
	way, net := c.Made.Way(), c.Made.Seen()
	_, _, width, height := net.Sheet.Box()
	pair := false
	for _, s := range way.Scores {
		pair = pair || s.From == blank.FromFar || strings.HasSuffix(string(s.Role), " far")
	}
	for _, s := range way.Scores {
		if s.Check || strings.HasSuffix(string(s.Role), "scrap") {
			continue
		}
		for _, upright := range axes(s) {
			length := width
			if !upright {
				length = height
			}
			for _, ref := range references(m, c, way, s, pair, upright) {
				k, ok := creaseAt(net, upright, length, ref, s)
				if !ok {
					continue
				}
				at := (k.From.X + k.To.X) / 2
				if !upright {
					at = (k.From.Y + k.To.Y) / 2
				}
				marks = append(marks, ScoreMark{Panel: k.Panel, Text: m.setting(s), From: ref.words, Upright: upright, First: at < length/2, Start: k.From, End: k.To})
			}
		}
	}
	return marks
}

// axes are the directions of the creases that a setting is for: its edge says it, or its role.
func axes(s blank.Setting) []bool {
	role := string(s.Role)
	switch {
	case s.From == blank.FromLeft, s.From == blank.FromRight:
		return []bool{true}
	case s.From == blank.FromTop, s.From == blank.FromBottom:
		return []bool{false}
	case strings.Contains(role, "sides"), strings.Contains(role, "left"), strings.Contains(role, "right"):
		return []bool{true}
	}
	return []bool{false}
}

// references are what a setting may be measured from.
func references(m envelopeStation, c compare.Candidate, way blank.Way, s blank.Setting, pair, upright bool) []reference {
	low, high := "top", "bottom"
	if upright {
		low, high = "left", "right"
	}
	offset := 0.0
	if k := c.Kind.Way(way.ID); c.Kind.OnPoint && k.Tool == blank.ScoreBoard {
		offset = m.Shop().Tools.CornerAt.Millimetres()
		if way.ID == blank.AsNoted && m.Job().Recipe != nil {
			offset = m.Job().Recipe.Corner.Millimetres()
		}
	}
	role := string(s.Role)
	along := func(words string, from func(string, float64) reference) reference {
		r := from(words, 0)
		return reference{words, func(at, length float64) float64 { return r.reading(at, length) * math.Sqrt2 }}
	}
	switch {
	case s.From == blank.FromLeft || s.From == blank.FromTop:
		return []reference{fromLow("from the "+low, 0)}
	case s.From == blank.FromRight || s.From == blank.FromBottom:
		return []reference{fromHigh("from the "+high, 0)}
	case s.From == blank.FromCentre || way.ID == blank.CentreWay:
		return []reference{{"from the centre", func(at, length float64) float64 { return at - length/2 }}, {"from the centre", func(at, length float64) float64 { return length/2 - at }}}
	case s.From == blank.FromEdgeMarks || way.ID == blank.EdgeWay:
		return []reference{along("on the edges", fromLow), along("on the edges", fromHigh)}
	case strings.HasSuffix(role, "punch"):
		any := func(from func(string, float64) reference) reference {
			r := from("punch", 0)
			return reference{"punch", func(at, length float64) float64 {
				if r.reading(at, length) > length/2 {
					return math.Inf(1)
				}
				return s.At.Millimetres()
			}}
		}
		return []reference{any(fromLow), any(fromHigh)}
	case pair:
		return []reference{fromLow("from "+low+" corner", offset)}
	case strings.HasPrefix(role, low):
		return []reference{fromLow("from "+low+" corner", offset)}
	case strings.HasPrefix(role, high):
		return []reference{fromHigh("from "+high+" corner", offset)}
	}
	return []reference{fromLow("from "+low+" corner", offset), fromHigh("from "+high+" corner", offset)}
}

// creaseAt is the crease of a direction whose reading is the nearest to the one that is set.
func creaseAt(net blank.Net, upright bool, length float64, ref reference, s blank.Setting) (best blank.Crease, ok bool) {
	off := furthestOff
	for _, k := range net.Creases {
		at, across := k.From.X, k.To.X-k.From.X
		if !upright {
			at, across = k.From.Y, k.To.Y-k.From.Y
		}
		if math.Abs(across) > 0.01 {
			continue
		}
		for _, set := range []measure.Length{s.At - s.Beside, s.At + s.Beside} {
			if d := math.Abs(ref.reading(at, length) - set.Millimetres()); d < off {
				best, off, ok = k, d, true
			}
		}
	}
	return best, ok
}

// alignment is what the other corners read when a sheet on its point lies right on the board;
// empty where nothing is aligned.
func alignment(m envelopeStation, c compare.Candidate) string {
	for _, s := range c.Made.Way().Scores {
		if s.Check && s.Role == "corners check" {
			return m.setting(s)
		}
	}
	return ""
}
