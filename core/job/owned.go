package job

import (
	"yellowparcel/core/blank"
	"yellowparcel/core/field"
	"yellowparcel/core/measure"
)

// Own is whether there is a tool, or something about it; what most makers have when it is empty.
type Own string

// Owned is which tools there are.
type Owned struct {
	Trimmer  Own `json:"trimmer,omitempty" maxLength:"4"`
	Board    Own `json:"board,omitempty" maxLength:"4"`
	Punch    Own `json:"punch,omitempty" maxLength:"4"`
	Knife    Own `json:"knife,omitempty" maxLength:"4"`
	Scissors Own `json:"scissors,omitempty" maxLength:"4"`
	Folder   Own `json:"folder,omitempty" maxLength:"4"`
	Rounder  Own `json:"rounder,omitempty" maxLength:"4"`
	Embosser Own `json:"embosser,omitempty" maxLength:"4"`
	Pegs     Own `json:"pegs,omitempty" maxLength:"4"`
	Cutter   Own `json:"cutter,omitempty" maxLength:"4"`
}

// The tools that no way of scoring goes by.
const (
	TrimmerTool  blank.ToolID = "trimmer"
	KnifeTool    blank.ToolID = "knife"
	ScissorsTool blank.ToolID = "scissors"
	FolderTool   blank.ToolID = "folder"
	RounderTool  blank.ToolID = "rounder"
	EmbosserTool blank.ToolID = "embosser"
	PegsTool     blank.ToolID = "pegs"
	CutterTool   blank.ToolID = "cutter"
)

// owned is where it is said of each tool, and what is taken where nobody said.
func (o *Owned) owned() map[blank.ToolID]struct {
	at    *Own
	usual Own
} {
	type one = struct {
		at    *Own
		usual Own
	}
	return map[blank.ToolID]one{
		TrimmerTool: {&o.Trimmer, field.Yes}, blank.ScoreBoard: {&o.Board, field.Yes}, blank.PunchBoard: {&o.Punch, field.Yes}, KnifeTool: {&o.Knife, field.Yes},
		ScissorsTool: {&o.Scissors, field.Yes}, FolderTool: {&o.Folder, field.Yes}, RounderTool: {&o.Rounder, field.No}, EmbosserTool: {&o.Embosser, field.No},
		PegsTool: {&o.Pegs, field.No}, CutterTool: {&o.Cutter, field.No},
	}
}

// Has reports whether there is a tool.
func (t Tools) Has(id blank.ToolID) bool {
	o, known := t.Owned.owned()[id]
	return known && o.at.or(o.usual)
}

// or is yes or no, where nobody said what is usual.
func (o *Own) or(usual Own) bool {
	if *o == "" {
		return usual == field.Yes
	}
	return *o == field.Yes
}

// Corner reports whether the score board has a corner plate, Scores whether the trimmer scores,
// Plunge whether it can begin inside the sheet.
func (t Tools) Corner() bool { return t.CornerPlate.or(field.Yes) }
func (t Tools) Scores() bool { return t.TrimmerScores.or(field.No) }
func (t Tools) Plunge() bool { return t.Plunges.or(field.No) }

// OnlyNotches reports whether the punch board is used only to notch what is scored already.
func (t Tools) OnlyNotches() bool { return t.NotchesOnly.or(field.No) }

// Punches is the longest edge that the punch board takes; zero where it does not matter.
func (t Tools) Punches() measure.Length {
	if t.PunchLargest > 0 {
		return t.PunchLargest
	}
	return t.Reach
}

// own asks whether something is there.
func own(path, label, note string, at *Own, usual Own) field.Field {
	return field.Field{Path: "tools." + path, Label: label, Note: note, Value: &field.One[Own]{At: at, List: field.ListOf("owned", []Own{field.Yes, field.No}), Or: usual}}
}

// have asks whether there is a tool.
func have(t *Tools, id blank.ToolID) field.Field {
	o := t.Owned.owned()[id]
	return own("owned."+string(id), "I have one", "", o.at, o.usual)
}
