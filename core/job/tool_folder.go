package job

import "yellowparcel/core/field"

// BaseFold is how the bases of cards are folded.
type BaseFold string

// The ways.
const (
	ScoredBases BaseFold = "scored"
	EdgeBases   BaseFold = "edges" // edge to edge, without a score, where the fold lies in the middle
)

// folder presses folds, and scores along a ruler.
var folder = Tool{ID: FolderTool, Name: "Bone folder", Fields: func(t *Tools) []field.Field {
	return []field.Field{have(t, FolderTool), {
		Path: "tools.bases", Label: "Card bases are", Note: "heavy card wants a score, or its fold cracks",
		Value: &field.One[BaseFold]{At: &t.Bases, List: field.ListOf("baseFolds", []BaseFold{ScoredBases, EdgeBases}), Or: ScoredBases},
	}}
}}
