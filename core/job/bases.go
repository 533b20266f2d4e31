package job

import (
	"yellowparcel/core/blank"
	"yellowparcel/core/card"
	"yellowparcel/core/paper"
)

// FoldsEdgeToEdge reports whether a job's base is folded edge to edge without a score: where its one fold
// lies in the middle, and that is the shop's way, or nothing scores it; heavy card is scored along a
// ruler all the same, since it cracks.
func FoldsEdgeToEdge(j Job, shop Shop) bool {
	if c := j.Card; c.Fold != card.SideFold && c.Fold != card.TopFold || c.Spine > 0 || len(j.Parts) == 0 {
		return false
	}
	t := shop.Tools
	if t.Bases == EdgeBases {
		return true
	}
	stock, _ := shop.Stock(j.Parts[0].Stock)
	scores := t.Has(blank.ScoreBoard) || t.Has(TrimmerTool) && t.Scores()
	return !scores && stock.GSM <= paper.HeavyFold
}
