package line

import "strings"

// starts are the words after which numbers are something.
var starts = map[string]place{
	"cut": atSheet, "sheet": atSheet, "paper": atSheet, "trim": atSheet, "start": atSheet,
	"score": atScores, "scores": atScores, "scored": atScores, "crease": atScores, "creases": atScores, "line": atScores, "lines": atScores,
	"punch": atMark, "mark": atMark, "notch": atNotch, "notches": atNotch,
	"for": atClaim, "fits": atClaim, "holds": atClaim, "makes": atClaim, "takes": atClaim,
	"limit": atLimit, "most": atLimit, "under": atLimit, "thicker": atLimit, "higher": atLimit, "longer": atLimit,
	"walls": atWalls, "wall": atWalls, "deep": atWalls, "gusset": atWalls,
}

// says are words that mean something by themselves.
var says = map[string]Meaning{
	"square": Square, "each": Corners, "every": Corners, "own": Corners, "all": Corners, "four": Corners,
	"repeat": Repeat, "again": Repeat, "turn": Repeat, "rotate": Repeat, "same": Repeat,
	"box": Box, "round": Round, "around": Round, "wrap": Round,
}

// parts are the words that say what a pocket's score is of.
var parts = map[string]Meaning{
	"side": Tabs, "sides": Tabs, "tab": Tabs, "tabs": Tabs, "flap": Flap, "top": Flap, "back": Back, "bottom": Back, "other": Back,
}

// plain words are let be.
var plain = strings.Fields("a an the and at from to of on in with then by it is card cards envelope both one corner corners side sides end ends edge edges first second near far quarter way up down left right inch inches mm cm x × * both your you any no not than more be or over so next mail post letter note board fold folds folded floor size sized wide high long tall thick please use using make per only half")
