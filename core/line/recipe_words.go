package line

import (
	"strings"

	"yellowparcel/core/job"
	"yellowparcel/core/mail"
)

// starts are the words after which numbers are something.
var starts = map[string]place{
	"cut": atSheet, "sheet": atSheet, "paper": atSheet, "trim": atSheet, "start": atSheet,
	"score": atScores, "scores": atScores, "scored": atScores, "crease": atScores, "creases": atScores, "line": atScores, "lines": atScores, "reading": atScores, "readings": atScores,
	"punch": atMark, "mark": atMark, "notch": atNotch, "notches": atNotch,
	"for": atClaim, "fits": atClaim, "holds": atClaim, "makes": atClaim, "takes": atClaim,
	"limit": atLimit, "most": atLimit, "under": atLimit, "over": atLimit, "thicker": atLimit, "higher": atLimit, "longer": atLimit,
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

// limits are the words that say what a limit is of.
var limits = map[string]mail.Measure{
	"thicker": mail.Thickness, "thick": mail.Thickness, "longer": mail.Length, "long": mail.Length, "higher": mail.Height, "high": mail.Height, "tall": mail.Height,
}

// claims are the words that say what it is for.
var claims = map[string]job.Claim{"card": job.ForCard, "floor": job.ForFloor, "envelope": job.ForEnvelope}

// crosses stand between the two lengths of a size, between before a number that a word is
// said of.
var (
	crosses = strings.Fields("x × * by")
	between = strings.Fields("a an at from is are of up to than the score scores tab tabs flap")
)

// plain words are let be.
var plain = strings.Fields("a an the and at from to of on in with then by it is card cards envelope both one corner corners side sides end ends edge edges first second near far quarter way up down left right inch inches mm cm x × * both your you any no not than more be or so next mail mailer post letter note board fold folds folded floor size sized wide high long tall thick please use using make per only half its their this that")
