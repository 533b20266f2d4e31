package page

import (
	"fmt"

	"yellowparcel/core/blank"
	"yellowparcel/core/job"
	"yellowparcel/core/say"
	"yellowparcel/core/worksheet"
)

// words are what is said of an act: its name, the sentence with its number, how it lies, a check and
// a caution.
type words struct {
	name                      string
	says, how, check, caution []say.Clause
}

// The cautions of blades.
var (
	bladeCaution = []say.Clause{
		say.When("trimmer cut", "Keep your fingers behind the guard, and children away from the blade."),
		say.When("knife", "Cut away from the hand that holds the ruler. Cap the knife when you put it down."),
	}
	mayTear = say.When("by hand", "Let the knife cut twice lightly, not once hard.")
)

// told are the words of every act.
var told = map[worksheet.Act]words{
	worksheet.Before: {name: "Before you cut", says: []say.Clause{say.Always("Look before the first cut: is this still what you want?")}},
	worksheet.Take: {
		name: "Take",
		says: []say.Clause{
			{Text: "Take {count} of {paper}, [{size}] {unit}. This is {short}.", Unless: "ready"},
			{Text: "Take {count} of {piece}, [{size}] {unit}.", Unless: "ready,paper,gauge,no sheet"},
			say.When("no sheet", "Get {count} of {piece}, cut to [{size}] {unit}."),
			say.When("gauge", "Take stiff card of [{size}] {unit} for the gauge."),
			say.When("finished", "Take the {count} finished cards, [{size}] {unit}."),
			{Text: "Take the {count} of {piece} that are cut already, [{size}] {unit}.", If: "ready", Unless: "finished"},
		},
		how: []say.Clause{{Text: "It shows whether a card that is closed is thin enough.", If: "gauge"}, say.Unless("ready", "Pencil a small T at the top of the back: left, right, top and bottom are told from it.")},
	},
	worksheet.Cut: {
		name: "Cut",
		says: []say.Clause{
			{Text: "Set the guide to [{at}]. Cut {all short}.", If: "trimmer cut", Unless: "as it is,set"},
			{Text: "Leave the guide at [{at}]. Cut {all short}.", If: "trimmer cut,set", Unless: "as it is"},
			{Text: "Mark [{at}] from the {edge} edge at both ends. Cut {all short} from mark to mark.", If: "by hand", Unless: "as it is"},
			say.When("as it is", "{piece} is the right size as it is: cut nothing."),
		},
		how: []say.Clause{
			say.When("trimmer cut", "The {edge} edge of {short} lies against the guide."),
			say.When("by hand", "Lay the ruler over what stays of {short}."),
			{Text: "Cut both layers at once; what lies against the guide falls off.", If: "both layers"},
			{Text: "What is measured is {keep}.", Unless: "both layers,as it is"},
			{Text: "Turn it a quarter: it stands the other way.", If: "turned"},
			{Text: "The rest is {off}: keep it.", If: "off", Unless: "both layers"},
			{Text: "The rest falls off.", Unless: "off,both layers,as it is"},
		},
		check:   []say.Clause{{Text: "It measures {at unit}, give or take {tolerance}.", Unless: "both layers"}, say.When("both layers", "What fell off measures {at unit}, give or take {tolerance}.")},
		caution: bladeCaution,
	},
	worksheet.CutOut: {
		name: "Cut out", says: []say.Clause{say.Unless("gauge", "Cut the middle out of {all pieces}."), say.When("gauge", "Cut the slot into the gauge.")},
		how:     []say.Clause{say.Always("The {up} is up. Mark the four corners first."), mayTear, say.When("off", "Keep what comes out: it is {off}.")},
		check:   []say.Clause{say.Unless("gauge", "What is left all round is equally wide."), say.When("gauge", "The slot is not wider anywhere: measure it at both ends.")},
		caution: bladeCaution,
	},
	worksheet.Score: {
		name: "Score",
		says: []say.Clause{
			{Text: "Score {all pieces} at [{at}].", Unless: "folder"},
			{Text: "Mark [{at}] from the {edge} edge at both ends. Score along a ruler.", If: "folder", Unless: "corner"},
			{Text: "Mark [{at}] from the {corner} corner on both edges. Score from mark to mark.", If: "folder", Unless: "middle"},
			{Text: "Mark [{at}] from the middle, towards the {corner} corner. Score across there.", If: "folder,middle"},
			{Text: " Do so on {all pieces}.", If: "folder"},
		},
		how: []say.Clause{
			{Text: "The {edge} edge lies against the fence.", Unless: "folder"},
			{Text: "The {corner} corner lies in the corner plate.", If: "corner", Unless: "folder"},
			say.Always("The {up} is up. This is score {number}."),
			{Text: "Begin at {from} and stop at {to}."},
			{Text: "Begin at the edge and stop at {to}.", Unless: "from"},
			{Text: "Begin at score {start} and stop at score {stop}."},
			{Text: "Begin at score {start} and go on to the edge.", Unless: "stop"},
			{Text: "Begin at the edge and stop at score {stop}.", Unless: "start"},
		},
		check: []say.Clause{
			{Text: "The score is {at} from the {edge} edge at both ends, give or take {tolerance}."},
			{Text: "Fold the {corner} corner over lightly: its point lies square on the middle line.", Unless: "middle"},
		},
	},
	worksheet.Punch: {
		name: "Punch", says: []say.Clause{say.Always("Punch {all pieces} at [{at}] and score.")},
		how:     []say.Clause{say.Always("The {edge} edge is up, the {up} side towards you. This is score {number}.")},
		check:   []say.Clause{say.Always("The notch's point is {at} from the left end of that edge, give or take {tolerance}.")},
		caution: []say.Clause{say.Always("Keep fingers out of the punch.")},
	},
	worksheet.Slit: {
		name: "Slit", says: []say.Clause{say.Always("Cut {lines} into {all pieces}.")}, how: []say.Clause{mayTear},
		check: []say.Clause{say.Always("Each slit stops at its score.")}, caution: bladeCaution,
	},
	worksheet.Snip: {
		name: "Snip", says: []say.Clause{say.Always("Make {lines} at the edges of {all pieces}.")},
		how: []say.Clause{
			say.Always("The smaller part falls off each time."),
			say.When("punch", "Use the punch board: its punch's point lies where the scores cross."),
		},
		check:   []say.Clause{say.Always("Fold it lightly: no corner stands out.")},
		caution: bladeCaution,
	},
	worksheet.Machine: {
		name: "Cutter",
		says: []say.Clause{
			say.Unless("sheets", "Lay {short} on the mat, and cut [{load}]."), say.When("sheets", "Lay {sheets} of {short} on the mat, and cut [{load}]."), {Text: " Do {all} so.", If: "many", Unless: "sheets"}, say.When("mats", " Do {all} mats so."),
		},
		how: []say.Clause{
			say.When("sheets", "They lie edge on edge, {columns} across and {rows} down, none on another."),
			{Text: "Its top left corner lies {on left} from the left and {on top} from the top of the mat.", Unless: "sheets"},
			{Text: "The top left corner of the first lies {on left} from the left and {on top} from the top of the mat.", If: "sheets"},
			say.Unless("on left,sheets", "It covers the mat from its top left corner."),
			{Text: "The first lies in the top left corner of the mat.", If: "sheets", Unless: "on left"},
			say.Always("The {up} is up. Press it down all over."),
			say.Always("Off each mat come {out}."),
		},
		check:   []say.Clause{say.Always("Measure the first piece that comes off before you go on.")},
		caution: []say.Clause{say.Always("Keep fingers, hair and sleeves off while it moves. The blade is sharp.")},
	},
	worksheet.Trace: {
		name: "Trace", says: []say.Clause{say.Always("Lay the print of {piece} on {all}, edge on edge. Score and cut what it shows.")},
		how: []say.Clause{
			say.Always("Print it at 100 % and measure its check bar."), say.Always("The {up} is up. Prick through both ends of every line."),
			say.Always("Score the dashed lines first, then cut along the outline."),
		},
		check: []say.Clause{say.Always("The print's edges lie on the paper's edges all round.")}, caution: bladeCaution,
	},
	worksheet.Halve: {
		name: "Fold", says: []say.Clause{say.Always("Fold {all pieces}: lay the {edge} edge on the one across.")},
		how:   []say.Clause{say.Always("The {up} is up. Hold the edges together, and press from the middle outwards."), say.Always("This fold is score {number}.")},
		check: []say.Clause{say.Always("Both edges meet all along.")},
	},
	worksheet.Emboss: {
		name: "Emboss", says: []say.Clause{say.Always("Emboss {all pieces}.")},
		how: []say.Clause{
			say.When("embosser", "Lay it into its plate, and run it through the machine once."),
			say.Unless("embosser", "Lay it over a stencil, and rub along the edges with a round tip."), say.Always("The {up} is up."),
		},
		check: []say.Clause{say.Always("Measure its thickness again: it stands higher now.")}, caution: []say.Clause{say.When("embosser", "Keep fingers away from the rollers.")},
	},
	worksheet.Corners: {
		name: "Round corners", says: []say.Clause{say.Always("Make the corners of {all pieces} round, radius [{at}].")},
		how: []say.Clause{
			say.When("rounder", "Push each corner into the rounder as far as it goes."),
			say.Unless("rounder", "Draw round a disc twice as wide in each corner, and cut along it."),
		},
		check: []say.Clause{say.Always("All four corners look alike, laid on each other.")}, caution: bladeCaution,
	},
	worksheet.Fold: {
		name: "Fold", says: []say.Clause{say.When("one fold", "Fold {all pieces} on the score."), say.Unless("one fold", "Fold {all pieces} on every score.")},
		how: []say.Clause{
			say.When("card", "Fold away from the groove of each score."), say.When("blank", "Each flap folds up, over the inside."),
			say.Always("Press each fold with the {tool}, through scrap paper."),
		},
		check: []say.Clause{say.Always("The edges meet all along.")},
	},
	worksheet.Round: {
		name: "Fold round", says: []say.Clause{say.Always("Cut scrap of [{size}] {unit}. Lay it in the middle and fold the flaps over it.")},
		how:   []say.Clause{say.Always("Its edges lie square to the points of {piece}. Fold the sides first, {all}.")},
		check: []say.Clause{say.Always("Opposite points stand out by as much.")},
	},
	worksheet.Try: {
		name: "Try", says: []say.Clause{
			say.Unless("onto gauge", "Try one finished card in one of {onto}."),
			say.When("onto gauge", "Slide {all pieces} through the gauge."),
		},
		how: []say.Clause{{Text: "Nothing of it is glued yet: hold the flaps with your fingers.", Unless: "onto gauge,bought"}},
		check: []say.Clause{
			say.Unless("onto gauge", "It slides in and out without force."),
			say.When("onto gauge", "It slides through without being pushed. What sticks may cost more."),
		},
	},
	worksheet.Glue: {
		name: "Glue",
		says: []say.Clause{
			{Text: "Glue {all pieces} on {onto}.", Unless: "own,foam,inside"},
			say.When("foam", "Put foam of [{foam}] under {all pieces}, and press on {onto}."),
			{Text: "Glue {all pieces} inside {onto}.", If: "inside", Unless: "foam"},
			say.When("own", "Glue the seams of {all} with {adhesive}."),
		},
		how: []say.Clause{
			{Text: "The {up} is up. Lay it into one corner, slide it to its place, then press.", Unless: "own,inside"},
			say.When("foam", "Foam goes along all four edges and across the middle, a little in, so that none shows."),
			{Text: "Open the card: it goes on the page to write on.", If: "inside", Unless: "envelope"},
			{Text: "It lies over the front and the closing flap, a little inside every edge.", If: "inside,envelope", Unless: "box,bought"},
			say.When("box", "It lies on the floor, between the scores."),
			{Text: "Slide it in through the throat, and glue it to the flap alone.", If: "inside,envelope,bought"},
			say.When("own", "Glue thinly, and away from the inner edge."),
		},
		check: []say.Clause{
			{Text: "Slide it into the corner below: both its borders together show on the other two edges.", Unless: "own,inside"},
			say.When("own", "Nothing sticks inside: slide a strip of paper in."),
		},
		caution: []say.Clause{say.Always("Hot glue burns and solvents smoke: open a window, and keep children off.")},
	},
	worksheet.Dry: {
		name: "Dry", says: []say.Clause{say.Always("Hold for [{minutes}].")},
		how: []say.Clause{say.When("pegs", "Hold each with pegs, scrap between."), say.Unless("pegs", "Lay a book on them, with scrap between.")},
	},
	worksheet.Clean: {
		name: "Clean", says: []say.Clause{say.Always("Rub off what spread, before you fill {all}.")},
	},
	worksheet.Decorate: {name: "Decorate", says: []say.Clause{say.Always("Put {piece} on {all onto}.")}, how: []say.Clause{say.Always("Its place is on the station Mail.")}},
	worksheet.Address: {
		name: "Address", says: []say.Clause{say.Always("Write the address on {all}.")},
		how: []say.Clause{say.Always("On dark or patterned paper put a plain label.")}, check: []say.Clause{say.Always("Let the ink dry.")},
	},
	worksheet.Fill: {
		name: "Fill", says: []say.Clause{say.Unless("many", "Put the card into {onto}."), say.When("many", "Put a card each into {all onto}.")}, check: []say.Clause{say.Always("The flap comes down without force.")},
	},
	worksheet.Seal: {
		name: "Close",
		says: []say.Clause{
			{Text: "Close {all}: fold {flaps} down and stick {that} with {adhesive}.", If: "stuck", Unless: "bought"},
			{Text: "Close {all}: stick {flaps} down.", If: "stuck,bought"},
			{Text: "Close {all}: fold {flaps} down.", Unless: "stuck"},
		},
		how: []say.Clause{say.Always("{close}"), say.When("stuck,posted", "For the mail both edges have to be stuck, right to their ends.")},
	},
}

// whyWords say why a step is not done the usual way.
var whyWords = map[worksheet.Why][]say.Clause{
	worksheet.LongCut:     {say.Always("The cut is longer than your trimmer's {trimmer}.")},
	worksheet.BeyondRuler: {say.Always("Your trimmer's guide stands out to {ruler} at most.")},
	worksheet.BeyondReach: {say.Always("Your board reads to {reach} at most.")},
	worksheet.NoGroove:    {say.Always("No groove of your board lies there: they are {groove} apart.")},
	worksheet.NoTool:      {say.Always("There is no other tool for it on your shelf.")},
	worksheet.NoTick:      {say.Always("Not every line of it can be set on a ruler, so it goes by a print.")},
	worksheet.TooWide:     {say.Always("It does not go flat through your machine, which takes {throat}.")},
	worksheet.OtherRadius: {say.Always("Your rounder makes a radius of {radius}.")},
	worksheet.NoSheet:     {say.Always("No sheet on your shelf gives it.")},
	worksheet.InsideSheet: {say.Always("Your trimmer cannot begin inside a sheet.")},
}

// heldWords say why a paper is cut by hand although there is a cutter; nothing where one expects it.
var heldWords = map[worksheet.Held]string{
	worksheet.OffMat:    "{paper} is cut by hand: not all of it goes on the mat.",
	worksheet.TwoSides:  "{paper} is cut by hand: it is scored on both sides, which a cutter does only in dashes.",
	worksheet.FromAside: "{paper} is cut by hand: one piece comes out of the middle of another.",
}

// againstWords are what stands on the drawing at the edge that the piece is laid by, cornerWords at
// the corner.
var (
	againstWords = map[blank.ToolID]string{job.TrimmerTool: "guide", blank.ScoreBoard: "fence", blank.PunchBoard: "up", job.FolderTool: "measure", job.KnifeTool: "measure", job.ScissorsTool: "measure"}
	cornerWords  = map[blank.ToolID]string{blank.ScoreBoard: "plate", job.FolderTool: "measure"}
)

// edgeWords name an edge.
func edgeWords(e worksheet.Edge) string { return "the " + string(e) + " edge" }

// lines say each cut of a step from mark to mark.
func (p teller) lines(s worksheet.Step) (list []string) {
	for _, line := range s.Lines {
		text := ""
		for i, m := range line {
			switch {
			case i == 0:
				text = "From "
			case i == len(line)-1:
				text += " to "
			default:
				text += " by "
			}
			text += p.mark(m)
		}
		if s.Act == worksheet.CutOut {
			text += " and back"
		}
		list = append(list, text+".")
	}
	return list
}

// mark says where a mark is.
func (p teller) mark(m worksheet.Mark) string {
	switch {
	case m.In != nil:
		return fmt.Sprintf("%s from the left and %s from the top", p.length(m.In[0]), p.length(m.In[1]))
	case m.Corner != "":
		return "the " + string(m.Corner) + " corner"
	case m.Edge != "" && m.Scores[0] > 0 && m.Along > 0:
		return fmt.Sprintf("%s in from %s on score %d", p.length(m.Along), edgeWords(m.Edge), m.Scores[0])
	case m.Edge != "" && m.Scores[0] > 0:
		return fmt.Sprintf("where score %d meets %s", m.Scores[0], edgeWords(m.Edge))
	case m.Edge == worksheet.Left || m.Edge == worksheet.Right:
		return fmt.Sprintf("%s down %s", p.length(m.Along), edgeWords(m.Edge))
	case m.Edge != "":
		return fmt.Sprintf("%s along %s", p.length(m.Along), edgeWords(m.Edge))
	case m.Along > 0:
		return fmt.Sprintf("%s on from where score %d crosses score %d", p.length(m.Along), m.Scores[0], m.Scores[1])
	}
	return fmt.Sprintf("where scores %d and %d cross", m.Scores[0], m.Scores[1])
}
