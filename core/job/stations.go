package job

import "yellowparcel/core/field"

// Station is a page of a job's counter, in the order of the work; its drawers hold what is
// set and looked at there, one at a time.
type Station struct {
	field.Choice
	Drawers []field.Choice
}

// Stations lists them, each with its drawers.
func Stations() []Station {
	return []Station{
		{field.Choice{ID: "card", Name: "Card"}, words("base", "Base", "papers", "Papers", "shape", "Shape", "from-envelope", "From envelope", "from-paper", "From paper", "sums", "Sums")},
		{field.Choice{ID: "layers", Name: "Layers"}, words("layers", "Layers", "panel", "Panel", "things", "Things")},
		{field.Choice{ID: "envelope", Name: "Envelope"}, words("choose", "Choose", "sizes", "Sizes", "scoring", "Scoring", "finish", "Finish", "recipe", "Recipe", "sums", "Sums")},
		{field.Choice{ID: "mail", Name: "Mail"}, words("checks", "Checks", "fixes", "Fixes", "destinations", "Destinations", "things", "Things", "bending", "Bending", "measure", "Measure", "gauge", "Gauge")},
		{field.Choice{ID: "paper", Name: "Paper"}, words("cuts", "Cuts", "sheets", "Sheets", "leftovers", "Leftovers")},
		{field.Choice{ID: "bench", Name: "Bench"}, words("steps", "Steps", "pieces", "Pieces", "tools", "Tools", "mats", "Mats", "cutter", "Cutter")},
	}
}
