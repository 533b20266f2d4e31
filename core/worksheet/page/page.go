// Package page is a worksheet as a maker reads it: each step in words, with its number, how the
// piece lies, what to check, what to mind, and a drawing of that very step. The drawings are made by
// the simulated bench: what it has after a step is what the hand has.
//
//	sheet := page.Of(plan.TableOf(j, shop))
package page

import (
	"fmt"
	"slices"
	"strings"

	"yellowparcel/core/blank"
	"yellowparcel/core/drawing"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/paper"
	"yellowparcel/core/plan"
	"yellowparcel/core/say"
	"yellowparcel/core/worksheet"
	"yellowparcel/core/worksheet/bench"
)

// Worksheet is a worksheet in words.
type Worksheet struct {
	Sentence say.Sentence `json:"sentence"`
	Steps    []BenchStep  `json:"steps"`
	// Missing says what cannot be made from the shelf.
	Missing []string `json:"missing"`
}

// BenchStep is one step in words.
type BenchStep struct {
	Act  worksheet.Act `json:"act"`
	Name string        `json:"name"`
	// Piece is what it is done to, Count how many of it.
	Piece string `json:"piece"`
	Count int    `json:"count"`
	// Number is what is set, large; empty where nothing is.
	Number string       `json:"number"`
	Says   say.Sentence `json:"says"`
	// How says how it lies, what stays and what falls off.
	How []string `json:"how"`
	// Check is a measurement, or how to see it without a ruler; Caution what can hurt.
	Check   string `json:"check"`
	Caution string `json:"caution"`
	// Minutes are for the timer.
	Minutes int `json:"minutes"`
	// Size is what is drawn.
	Size string          `json:"size"`
	Flat drawing.Drawing `json:"flat"`
	// Drawing says what is drawn.
	Drawing string `json:"drawing"`
}

// teller tells the steps of one worksheet.
type teller struct {
	plan.Table
	style measure.Style
	bench *bench.Bench
	names map[string]string
	guide measure.Length // of the trimmer: where it stands
	// papers is how many papers are cut from sheets: sheets of one alone need no more than a letter.
	papers int
}

// Of writes the worksheet of a job and tells it.
func Of(t plan.Table) Worksheet {
	sheet := Worksheet{Sentence: say.That("Choose the card first: every step goes by it."), Steps: []BenchStep{}, Missing: []string{}}
	if t.Plan.Waits != nil {
		return sheet
	}
	w := worksheet.Write(t)
	p := &teller{Table: t, style: t.Shop.Style(), bench: benchOf(t), names: map[string]string{}}
	for _, x := range t.Pieces {
		p.names[x.ID] = x.Name
	}
	for _, part := range t.Job.Parts {
		p.names[part.ID] = part.Name
	}
	if line := t.Plan.Ticket[3]; t.Kind.Bought && line.ID == "sheet" {
		p.names[plan.BlankPiece] = line.Value
	}
	for _, stock := range t.Plan.Paper.Stocks {
		if stock.Sheets > 0 {
			p.papers++
		}
	}
	for _, id := range w.Missing {
		sheet.Missing = append(sheet.Missing, p.name(id))
	}
	for _, s := range w.Steps {
		sheet.Steps = append(sheet.Steps, p.step(s))
	}
	sheet.Sentence = say.That("[%s] for %s, with the tools on your shelf.", say.Plural(len(sheet.Steps), "step"), say.Plural(t.Job.Count, "card"))
	return sheet
}

// length writes what is set in the shop's unit: on the tick, else as near as it is read. What is on a tick of
// the other unit alone was typed so: that stands behind it in brackets.
func (p teller) length(l measure.Length) string {
	inches, half := measure.Style{Unit: measure.Inches, Tick: measure.Inch / 64}, measure.Style{Unit: measure.Millimetres, Tick: measure.Millimetre / 2}
	own, other := inches.Show(l.Near(inches.Tick)), half
	if p.style.Unit == measure.Millimetres {
		own, other = measure.Decimal(l.Near(10*measure.Micrometre), measure.Millimetre), inches
	}
	switch {
	case !p.style.Rounds(l):
		return p.style.Show(l)
	case p.style.Unit == measure.Inches && !inches.Rounds(l), other.Rounds(l):
		return own
	}
	return own + " (" + other.ShowUnit(l) + ")"
}

// upWords are what the sides of a piece are called.
func (p teller) upWords(piece string, up worksheet.Side) string {
	sides := [2]string{"front", "back"}
	switch piece {
	case p.Job.Parts[0].ID:
		sides = [2]string{"outside", "inside"}
	case plan.BlankPiece, plan.LinerPiece:
		sides = [2]string{"inside", "outside"}
	}
	if up == worksheet.Under {
		return sides[1]
	}
	return sides[0]
}

// step tells one step and lets the bench do it.
func (p *teller) step(s worksheet.Step) BenchStep {
	slots := p.slots(s)
	words := told[s.Act]
	if s.Tool == job.TrimmerTool && s.Act == worksheet.Cut {
		slots.Flag("set", p.guide == s.At)
		p.guide = s.At
	}
	t := BenchStep{
		Act: s.Act, Name: words.name, Piece: slots["piece"], Count: s.Count, Number: p.number(s), Says: slots.Sentence(words.says...), How: slots.Lines(words.how...),
		Check: slots.Text(words.check...), Caution: slots.Text(words.caution...), Minutes: s.Minutes,
	}
	if t.How == nil {
		t.How = []string{}
	}
	t.How = append(append(t.How, p.lines(s)...), p.folding(s)...)
	if why := slots.Text(whyWords[s.Why]...); why != "" {
		t.How = append(t.How, why)
	}
	if s.Act == worksheet.Before {
		t.How = p.before()
	}
	t.Flat = p.draw(s)
	t.Size = p.style.Show(measure.Round(t.Flat.Width*float64(measure.Millimetre))) + " × " + p.style.Show(measure.Round(t.Flat.Height*float64(measure.Millimetre)))
	t.Drawing = fmt.Sprintf("%s as it lies: %s", say.Capital(strings.Trim(slots["piece"], "“”")), t.Says.Text)
	return t
}

// folding is the order in which an envelope is folded, and what of it is glued in a step.
func (p teller) folding(s worksheet.Step) (list []string) {
	if s.Act == worksheet.Fold && s.Piece == plan.BlankPiece {
		for _, f := range p.Plan.Envelope.Blank.Folds {
			list = append(list, f.Text)
		}
	}
	if slices.ContainsFunc(s.Seams, func(q worksheet.Seam) bool { return q.Panel == blank.StripPanel }) {
		list = append(list, "Glue the two holding strips, and press front and back together on them.")
	}
	if text := plan.Gluing(p.Made, func(g blank.Glue) bool { return slices.Contains(s.Seams, worksheet.Seam{Panel: g.Panel, Onto: g.Onto}) }); text != "" && len(s.Seams) > 0 {
		list = append(list, text)
	}
	if s.Act == worksheet.Glue && len(s.Seams) > 0 {
		list = append(list, say.Capital(plan.Panels(p.Made, p.Made.Seen().Closing()))+" "+isOrAre(len(p.Made.Seen().Closing()))+" left open until the card is in.")
	}
	return list
}

func isOrAre(n int) string {
	if n == 1 {
		return "is"
	}
	return "are"
}

// number is what of a step is read from a metre off.
func (p teller) number(s worksheet.Step) string {
	switch {
	case s.At > 0:
		return p.length(s.At)
	case s.Act == worksheet.Machine:
		return strings.Replace(s.Template, "-", " ", 1)
	case s.Minutes > 0:
		return say.Plural(s.Minutes, "minute")
	case s.Act == worksheet.Take || s.Act == worksheet.Round:
		return p.style.Show(s.Size.Width) + " × " + p.style.Show(s.Size.Height)
	}
	return ""
}

// before is what is looked at before the first cut.
func (p teller) before() (list []string) {
	for _, line := range p.Plan.Ticket {
		switch line.ID {
		case "sheet", "ease", "mail":
			list = append(list, line.Label+": "+line.Value+".")
		}
	}
	if p.Enveloped {
		left := p.Made.Way().EaseLeft().Worst
		list = append(list, "Ease at worst, every cut half a tick off: "+p.style.Finest().Show(max(0, left))+" "+string(p.style.Unit)+".")
	}
	machined, held := worksheet.ByCutter(p.Table)
	for _, s := range p.Plan.Paper.Stocks {
		stock, _ := p.Shop.Stock(s.ID)
		sheets, sheet := s.Sheets, s.SheetName
		if at := slices.IndexFunc(machined, func(m plan.MatStock) bool { return m.Stock.ID == s.ID }); at >= 0 {
			sheets, sheet = machined[at].Laid.Sheets(), machined[at].Sheet.Name
		}
		text := fmt.Sprintf("Paper: %s of %s, %s", say.Plural(sheets, "sheet"), sheet, s.Name)
		switch {
		case sheets == 0:
			continue
		case stock.Off:
			text += ", which was taken off your shelf"
		case stock.Have > 0 && stock.Have < sheets:
			text += fmt.Sprintf(". You have %d: buy %d more", stock.Have, sheets-stock.Have)
		case stock.Have > 0:
			text += fmt.Sprintf(", of your %d", stock.Have)
		}
		list = append(list, text+".")
		if why := heldWords[held[s.ID]]; why != "" {
			list = append(list, say.Slots{"paper": s.Name}.Text(say.Always(why)))
		}
	}
	return list
}

// slots are what the words of a step are filled with.
func (p teller) slots(s worksheet.Step) say.Slots {
	out := say.Slots{
		"piece": p.name(s.Piece), "all": all(s.Count), "tool": toolName(s.Tool), "up": p.upWords(s.Piece, s.Up), "unit": string(p.style.Unit),
		"throat": p.style.ShowUnit(p.Shop.Tools.Throat), "radius": p.style.ShowUnit(p.Shop.Tools.RoundRadius),
		"tolerance": p.style.Finest().ShowUnit(p.style.Tick / 2), "trimmer": p.style.ShowUnit(p.Shop.Tools.TrimmerLength),
		"reach": p.style.ShowUnit(p.Shop.Tools.Reach), "groove": p.style.Finest().ShowUnit(p.Shop.Tools.Groove), "ruler": p.style.ShowUnit(p.Shop.Tools.Ruler),
	}
	set := func(name, text string, there bool) {
		if there {
			out[name] = text
		}
	}
	out["count"], out["short"] = fmt.Sprint(s.Count), p.short(s.Piece)
	of := func(name string) string {
		if s.Count == 1 {
			return name
		}
		return all(s.Count) + " of " + name
	}
	out["all pieces"], out["all short"], out["all onto"] = of(out["piece"]), of(out["short"]), of(p.name(s.Onto))
	if at := strings.Index(s.Piece, " of "); at >= 0 && s.Act == worksheet.Take {
		out["paper"] = strings.TrimPrefix(p.name(s.Piece)[at:], " of ")
	}
	set("at unit", p.withUnit(p.length(s.At)), s.At > 0)
	set("at", p.length(s.At), s.At > 0)
	set("edge", string(s.Fence), s.Fence != "")
	set("corner", string(s.Corner), s.Corner != "")
	set("keep", p.short(s.Keep), s.Keep != "")
	set("off", p.short(s.Off), s.Off != "")
	set("number", fmt.Sprint(s.Number), s.Number > 0)
	set("onto", p.name(s.Onto), s.Onto != "")
	set("size", p.style.Show(s.Size.Width)+" × "+p.style.Show(s.Size.Height), s.Size.Width > 0)
	set("minutes", say.Plural(s.Minutes, "minute"), s.Minutes > 0)
	set("from", p.length(s.From), s.To > 0 && s.From > 0)
	set("to", p.length(s.To), s.To > 0)
	set("start", fmt.Sprint(s.Between[0]), s.Between[0] > 0)
	set("stop", fmt.Sprint(s.Between[1]), s.Between[1] > 0)
	if n := len(s.Beside); n > 0 {
		row := 1
		first := measure.Length(0)
		if s.On != nil {
			first = s.On[1]
		}
		for _, q := range s.Beside {
			if q[1] == first {
				row++
			}
		}
		out["sheets"], out["columns"], out["rows"] = fmt.Sprint(n+1), fmt.Sprint(row), fmt.Sprint((n+row)/row)
	}
	if s.On != nil {
		out["on left"], out["on top"] = p.length(s.On[0]), p.length(s.On[1])
	}
	var outs []string
	for _, o := range s.Out {
		outs = append(outs, fmt.Sprintf("%d × %s", o.Count, p.name(o.Piece)))
	}
	set("out", say.And(outs), len(outs) > 0)
	set("load", strings.Replace(s.Template, "-", " ", 1), s.Act == worksheet.Machine)
	set("lines", say.Plural(len(s.Lines), "cut"), len(s.Lines) > 0)
	if a, ok := p.Shop.Adhesive(p.Job.Envelope.Adhesive); ok {
		out["adhesive"] = say.Lower(a.Name)
	}
	set("flaps", plan.Panels(p.Made, s.Flaps), len(s.Flaps) > 0)
	set("that", map[bool]string{true: "it", false: "them"}[len(s.Flaps) == 1], len(s.Flaps) > 0)
	set("foam", p.style.Finest().ShowUnit(s.Foam), s.Foam > 0)
	if c, ok := paper.ClosureByID(s.With); ok && s.Act == worksheet.Seal {
		set("close", c.Close, c.Close != "")
	}
	out.Flag("many", s.Count > 1)
	out.Flag("mats", s.Count > 1 && len(s.Beside) > 0)
	out.Flag("trimmer cut", s.Tool == job.TrimmerTool)
	out.Flag("by hand", s.Tool == job.KnifeTool || s.Tool == job.ScissorsTool)
	out.Flag("knife", s.Tool == job.KnifeTool)
	out.Flag("board", s.Tool == blank.ScoreBoard)
	out.Flag("folder", s.Tool == job.FolderTool)
	out.Flag("punch", s.Tool == blank.PunchBoard)
	out.Flag("gauge", s.Piece == plan.GaugePiece)
	out.Flag("onto gauge", s.Onto == plan.GaugePiece)
	out.Flag("embosser", s.Tool == job.EmbosserTool)
	out.Flag("rounder", s.Tool == job.RounderTool)
	out.Flag("middle", s.Middle)
	out.Flag("turned", s.KeepTurned)
	out.Flag("as it is", s.Act == worksheet.Cut && s.At == 0)
	out.Flag("both layers", s.Act == worksheet.Cut && s.Piece == plan.BlankPiece && p.Kind.Bought)
	out.Flag("card", s.Piece == p.Job.Parts[0].ID)
	out.Flag("blank", s.Piece == plan.BlankPiece)
	out.Flag("own", s.Piece == s.Onto && s.Onto != "")
	out.Flag("pegs", s.Tool == job.PegsTool)
	out.Flag("template", s.Template != "" && s.Act == worksheet.Trace)
	out.Flag("finished", s.Act == worksheet.Take && s.Piece == p.Job.Parts[0].ID && !job.MakesBase(p.Job))
	out.Flag("ready", s.Template != "" && s.Act == worksheet.Take)
	out.Flag("one fold", len(s.Folds) == 1 && s.Folds[0] > 0)
	out.Flag("bought", p.Kind.Bought)
	out.Flag("by scores", s.Between != [2]int{})
	out.Flag("no sheet", s.Why == worksheet.NoSheet)
	out.Flag("inside", s.Act == worksheet.Glue && (s.Up == worksheet.Under || s.Piece == plan.LinerPiece))
	out.Flag("envelope", s.Onto == plan.BlankPiece)
	out.Flag("box", s.Piece == plan.LinerPiece && p.Kind.Box)
	out.Flag("stuck", s.Stuck)
	out.Flag("posted", p.Job.Mail.Destination != job.ByHand)
	return out
}

// withUnit writes the shop's unit behind a length.
func (p teller) withUnit(text string) string {
	if own, other, found := strings.Cut(text, " ("); found {
		return own + " " + string(p.style.Unit) + " (" + other
	}
	return text + " " + string(p.style.Unit)
}

func all(n int) string {
	switch n {
	case 1:
		return "it"
	case 2:
		return "both"
	}
	return fmt.Sprintf("all %d", n)
}

func toolName(id blank.ToolID) string {
	for _, t := range job.BenchTools() {
		if t.ID == id {
			return say.Lower(t.Name)
		}
	}
	return "hand"
}
