package blank

import (
	"math"
	"strings"

	"yellowparcel/core/measure"
	"yellowparcel/core/say"
)

// The ways of setting the scores of a diamond.
const (
	PairWay   WayID = "pair"    // both of a pair from the same corner
	CornerWay WayID = "corners" // each from its own corner
	CentreWay WayID = "centre"  // from the centre of the sheet
	EdgeWay   WayID = "edges"   // marks on the sheet's edges, joined with a ruler
	RoundWay  WayID = "round"   // folded round the card, or round scrap as large as the room wanted
	NotchWay  WayID = "notch"   // the punch board's own stops
)

// The scores of a diamond, and of what else stands on its point: of the sides, left
// and right, and of the ends, top and bottom.
const (
	SidesNear, SidesFar, sidesEach, sidesPunch Role = "sides near", "sides far", "sides each", "sides punch"
	EndsNear, EndsFar, endsEach, endsPunch     Role = "ends near", "ends far", "ends each", "ends punch"
	topEach, bottomEach                        Role = "top each", "bottom each"
	cornersCheck                               Role = "corners check"
	SidesScrap, EndsScrap                      Role = "sides scrap", "ends scrap"
	sidesCheck, endsCheck                      Role = "sides check", "ends check"
)

// What both ways of the score board say where it has grooves, or does not reach.
var (
	inGrooves   = []say.Clause{say.Always("Every score falls in a groove of your board, every {groove}. So ease is {ease} for {ease wanted}, seam {seam} for {seam wanted}.")}
	noGrooves   = []say.Clause{say.Always("Grooves {groove} apart leave an ease of {ease} and a seam of {seam}, which is out of range. Edge marks need no board.")}
	beyondBoard = []say.Clause{say.Always("The score at {at} is past your board's reach, {reach}. Set each from its own corner, or mark the edges and use a ruler.")}
)

var pairWay = WayKind{
	ID: PairWay, Name: "one corner", Tool: ScoreBoard, Asks: []string{"cornerAt", "groove"}, InGrooves: inGrooves, NoGrooves: noGrooves, Beyond: beyondBoard,
	Sentence: []say.Clause{
		say.Unless("twice", " Score twice from one corner, at [{sides near}] and [{sides far}]. Turn a quarter and "),
		say.When("twice", " Score from one corner, at [{sides near}] and [{sides far}]. Turn a quarter and "),
		{Text: "score the same two again.", If: "even", Unless: "twice"}, say.When("even,twice", "score the same again."),
		say.Unless("even", "score at [{ends near}] and [{ends far}]."),
	},
	Steps: []say.Clause{
		say.Always("Set one corner on the diagonal guide. The corners to its left and right must both read {corners check}."),
		say.Always("Score at {sides near} and at {sides far}."),
		say.When("even", "Turn the sheet a quarter and score the same two again."),
		say.Unless("even", "Turn the sheet a quarter and score at {ends near} and {ends far}."),
	},
}

var cornerWay = WayKind{
	ID: CornerWay, Name: "each corner", Tool: ScoreBoard, Asks: []string{"cornerAt", "groove"}, InGrooves: inGrooves, NoGrooves: noGrooves, Beyond: beyondBoard,
	Sentence: []say.Clause{
		say.When("even", " Score once from every corner, at [{sides each}]."),
		say.Unless("even", " Score from the side corners at [{sides each}], from top and bottom at [{ends each}]."),
		say.Unless("even", " Score from the side corners at [{sides each}], from the bottom at [{bottom each}] and the top at [{top each}]."),
	},
	Steps: []say.Clause{
		say.When("even", "Set each of the four corners on the diagonal guide in turn and score at {sides each}."),
		say.Unless("even", "Left and right corner on the diagonal guide in turn: score at {sides each}."),
		say.Unless("even", "Top and bottom corner in turn: score at {ends each}."),
		say.Unless("even", "From the bottom corner score at {bottom each}, from the top one at {top each}."),
	},
}

var centreWay = WayKind{
	ID: CentreWay, Name: "from the centre",
	Sentence: []say.Clause{say.Always(" From its centre, score [{sides each}] either side, and [{ends each}] above and below.")},
	Steps: []say.Clause{
		say.Always("Draw both diagonals lightly; they cross at the centre."),
		say.Always("Score square to one diagonal, {sides each} either side of the centre."),
		say.Always("Score square to the other, {ends each} either side."),
	},
}

var edgeWay = WayKind{
	ID: EdgeWay, Name: "edge marks",
	Sentence: []say.Clause{say.Always(" Mark the edges [{sides each}] from the side corners and [{ends each}] from top and bottom. Join the marks.")},
	Steps: []say.Clause{
		say.Always("From the left and from the right corner, mark both edges at {sides each}."),
		say.Always("From the top and from the bottom corner, mark both edges at {ends each}."),
		say.Always("Join each pair of marks across its corner and score along the ruler."),
	},
}

var roundWay = WayKind{
	ID: RoundWay, Name: "round the card",
	Sentence: []say.Clause{say.Always(" Lay scrap of [{sides scrap} × {ends scrap}] in its middle and fold the flaps over it.")},
	Steps: []say.Clause{
		say.Unless("thick", "Cut a piece of scrap of {sides scrap} × {ends scrap}: the card, its thickness and the ease."),
		say.When("thick", "Cut board as thick as the card to {sides scrap} × {ends scrap}: the card, its thickness and the ease."),
		say.When("even", "Lay it in the middle, its edges square to the points. All four points stand out by {sides check}."),
		say.Unless("even", "Lay it in the middle, its edges square to the points. The side points stand out by {sides check}, the others by {ends check}."),
		say.Always("Fold the flaps over it, sides first, and burnish; then the card takes its place."),
	},
}

var notchWay = WayKind{
	ID: NotchWay, Name: "punch board", Tool: PunchBoard, Asks: []string{"notchDepth", "punchAt"},
	Beyond: []say.Clause{say.Always("A square of {sheet} is larger than your punch board takes, {reach}. Choose an exact seam, and mark its edges.")},
	Sentence: []say.Clause{
		say.Unless("even", " Punch in turn at [{sides punch}] and [{ends punch}], turning a quarter each time."),
		say.When("even", " Punch the first edge at [{sides punch}] and score. Lay each score at the board's mark to punch the next."),
	},
	Steps: []say.Clause{
		say.Always("Punch the first edge at {sides punch} and score along the board's rib."),
		say.Unless("even", "Turn a quarter, punch at {ends punch} and score; turn and punch at {sides punch}, then at {ends punch}."),
		say.When("even", "Turn a quarter. Lay the last score at the board's mark, punch and score. Do it twice more."),
		say.Always("The punch repeats its error, so measure the first one twice."),
	},
}

// DiamondWay is a way as it makes a diamond: with the flaps that its scores leave.
type DiamondWay struct {
	Way
	// far is what errors take off the seam between the two corners that no score is set
	// from; as off any other where it is nought.
	far   Loss
	flaps Flaps
	half  float64 // half the distance of two creases, in nanometres
}

func (d Diamond) way(id WayID, ease, seam Loss, scores ...Setting) DiamondWay {
	return DiamondWay{Way: Way{ID: id, Scores: scores, SheetWidth: d.Sheet, SheetHeight: d.Sheet, EaseLoss: ease, HeightLoss: ease, SeamLoss: seam, CardWidth: d.Spec.CardWidth, CardHeight: d.Spec.CardHeight}}
}

// score is a setting whose role says what it is measured from, check a reading.
func score(role Role, at, exact measure.Length) Setting {
	return Setting{Role: role, At: at, Exact: exact}
}

func check(role Role, exact, tick measure.Length) Setting {
	return Setting{Role: role, At: exact.Near(tick), Exact: exact, Check: true}
}

// twins marks what is set for the ends as for the sides: where both creases are as
// far apart.
func (w *DiamondWay) twins(even bool) {
	if w.Even = even; !even {
		return
	}
	for i, s := range w.Scores {
		w.Scores[i].Twin = strings.HasPrefix(string(s.Role), "ends ")
	}
}

// loss scales the two coefficients of docs/sums.md, "Tolerance", by an error t
// of half a tick.
func (d Diamond) loss(worst, rss float64) Loss {
	t := float64(d.Spec.Style.Tick) / 2
	return Loss{measure.Round(worst * t), measure.Round(rss * t)}
}

var ways = []func(Diamond) DiamondWay{pair, corners, centre, edges, round}

// lowWays are those of a rectangle that is moved along the diagonal.
var lowWays = []func(Diamond) DiamondWay{pair, corners}

// doubled sets two creases in place of each. Marks on the edges lie √2 times as
// far apart as the creases, so there the distance of the creases is what a tick
// on the edge makes of it.
func (d Diamond) doubled(w DiamondWay) DiamondWay {
	if d.half == 0 {
		return w
	}
	beside := measure.Round(d.half)
	w.half = d.half
	switch w.ID {
	case EdgeWay:
		beside = measure.Round(d.half * math.Sqrt2).Down(d.Spec.Style.Tick)
		w.half = float64(beside) / math.Sqrt2
	case PairWay, CornerWay:
		beside = beside.Down(d.Spec.step())
		w.half = float64(beside)
	case RoundWay:
		// Scrap as thick as the card makes both creases with its edges.
		for i := range w.Scores {
			if w.Scores[i].Role == SidesScrap || w.Scores[i].Role == EndsScrap {
				w.Scores[i].At -= 2 * beside
				w.Scores[i].Exact -= 2 * beside
			}
		}
		return w
	}
	for i := range w.Scores {
		if !w.Scores[i].Check {
			w.Scores[i].Beside = beside
		}
	}
	return w
}

// pair sets both lines of a pair from the same corner: one set-up a pair, and
// an ease that is free of the guide's error. Without grooves the two readings are
// whole ticks whose difference is the crease distance rounded up, centred as
// well as ticks allow.
func pair(d Diamond) DiamondWay {
	w := d.way(PairWay, d.loss(2, math.Sqrt2), d.loss(1+2*math.Sqrt2, math.Sqrt(5)))
	w.far = d.loss(3+2*math.Sqrt2, 3)
	tick, at := d.Spec.Style.Tick, d.Spec.Board.CornerAt
	centred := func(crease measure.Length, shift float64) scoring {
		apart := crease.Up(tick)
		n := measure.Round((d.Diagonal()-float64(apart))/2 + shift + float64(at)).Near(tick)
		return scoring{n, n + apart, float64(n - at), d.Diagonal() - float64(n+apart-at)}
	}
	sides, ends := centred(d.CreaseWidth, 0), centred(d.CreaseHeight, d.shift())
	if d.Spec.Board.Groove > 0 {
		d.Sheet, sides, ends, w.Far = d.inGrooves(Diamond.pairInGrooves)
	}
	set := func(near, far Role, crease measure.Length, s scoring, shift float64) {
		exact := (d.Diagonal()-float64(crease))/2 + shift
		w.Scores = append(w.Scores, score(near, s.near, measure.Round(exact)+at), score(far, s.far, measure.Round(exact+float64(crease))+at))
	}
	set(SidesNear, SidesFar, d.CreaseWidth, sides, 0)
	set(EndsNear, EndsFar, d.CreaseHeight, ends, d.shift())
	half := measure.Round(d.Diagonal()/2) + at
	w.Scores = append(w.Scores, check(cornersCheck, half, tick))
	w.SheetWidth, w.SheetHeight, w.flaps = d.Sheet, d.Sheet, Flaps{Left: sides.low, Right: sides.high, Bottom: ends.low, Top: ends.high}
	return w
}

// corners sets each line from its own corner, turning the sheet between.
func corners(d Diamond) DiamondWay {
	w := d.way(CornerWay, d.loss(2+math.Sqrt2, math.Sqrt(3)), d.loss(1+2*math.Sqrt2, math.Sqrt(5)))
	at := d.Spec.Board.CornerAt
	exact := func(crease measure.Length) measure.Length {
		return measure.Round((d.Diagonal()-float64(crease))/2) + at
	}
	down := func(crease measure.Length) scoring {
		n := exact(crease).Down(d.Spec.Style.Tick)
		return scoring{near: n, low: float64(n - at), high: float64(n - at)}
	}
	sides, ends := down(d.CreaseWidth), down(d.CreaseHeight)
	if d.Spec.Board.Groove > 0 {
		d.Sheet, sides, ends, w.Far = d.inGrooves(Diamond.eachInGrooves)
	}
	w.Scores = []Setting{score(sidesEach, sides.near, exact(d.CreaseWidth)), score(endsEach, ends.near, exact(d.CreaseHeight))}
	if shift := d.shift(); shift != 0 {
		top, bottom := exact(d.CreaseHeight)-measure.Round(shift), exact(d.CreaseHeight)+measure.Round(shift)
		up, low := top.Down(d.Spec.Style.Tick), bottom.Down(d.Spec.Style.Tick)
		w.Scores = []Setting{score(sidesEach, sides.near, exact(d.CreaseWidth)), score(bottomEach, low, bottom), score(topEach, up, top)}
		ends.low, ends.high = float64(low-at), float64(up-at)
	}
	w.SheetWidth, w.SheetHeight, w.flaps = d.Sheet, d.Sheet, Flaps{Left: sides.low, Right: sides.high, Bottom: ends.low, Top: ends.high}
	return w
}

// centre sets the lines either side of a cross drawn through the centre.
func centre(d Diamond) DiamondWay {
	w := d.way(CentreWay, d.loss(2, math.Sqrt2), d.loss(1+2*math.Sqrt2, math.Sqrt(5)))
	set := func(role Role, crease measure.Length) float64 {
		s := score(role, measure.Round(float64(crease)/2).Up(d.Spec.Style.Tick), measure.Round(float64(crease)/2))
		w.Scores = append(w.Scores, s)
		return d.Diagonal()/2 - float64(s.At)
	}
	w.flaps.Left = set(sidesEach, d.CreaseWidth)
	w.flaps.Bottom = set(endsEach, d.CreaseHeight)
	w.flaps.Right, w.flaps.Top = w.flaps.Left, w.flaps.Bottom
	return w
}

// edges marks the sheet's edges from each corner and joins the marks with a
// ruler; it needs no guide, and serves when the sheet is larger than the board.
func edges(d Diamond) DiamondWay {
	w := d.way(EdgeWay, d.loss(2*math.Sqrt2, math.Sqrt(1.5)), d.loss(3, math.Sqrt(3)))
	set := func(role Role, crease measure.Length) float64 {
		exact := measure.Round((d.Diagonal() - float64(crease)) / math.Sqrt2)
		s := score(role, exact.Down(d.Spec.Style.Tick), exact)
		w.Scores = append(w.Scores, s)
		return float64(s.At) / math.Sqrt2
	}
	w.flaps.Left = set(sidesEach, d.CreaseWidth)
	w.flaps.Bottom = set(endsEach, d.CreaseHeight)
	w.flaps.Right, w.flaps.Top = w.flaps.Left, w.flaps.Bottom
	return w
}

// round sets nothing: a piece of scrap as large as the room wanted is laid in the
// middle, the points of the square standing out alike, and the flaps are folded
// over it. Its two cuts are the ease's only errors; that it lies off the middle
// both ways is taken as one error t each.
func round(d Diamond) DiamondWay {
	w := d.way(RoundWay, d.loss(1, 1), d.loss(1+3*math.Sqrt2, math.Sqrt(6)))
	set := func(role Role, crease measure.Length) (flap float64) {
		across := crease.Up(d.Spec.Style.Tick)
		w.Scores = append(w.Scores, score(role, across, crease))
		return (d.Diagonal() - float64(across)) / 2
	}
	a, b := set(SidesScrap, d.CreaseWidth), set(EndsScrap, d.CreaseHeight)
	tick := d.Spec.Style.Tick
	w.Scores = append(w.Scores, check(sidesCheck, measure.Round(a), tick), check(endsCheck, measure.Round(b), tick))
	w.flaps = Flaps{Left: a, Right: a, Top: b, Bottom: b}
	return w
}

// stops returns the lowest and highest place of the punch, from a side corner,
// at which neither crease distance falls short on a sheet of the given side.
func (d Diamond) stops(sheet measure.Length) (low, high float64) {
	k := float64(d.Spec.Board.NotchDepth)
	return k + float64(d.CreaseHeight)/math.Sqrt2, float64(sheet) - k - float64(d.CreaseWidth)/math.Sqrt2
}

// notchSheet is the smallest sheet at the tick on which the punch can be set
// at a tick.
func (d Diamond) notchSheet() measure.Length {
	tick := d.Spec.Style.Tick
	sheet := d.Exact.Up(tick)
	for {
		low, high := d.stops(sheet)
		if float64(measure.Length(math.Ceil(low)).Up(tick)) <= high {
			return sheet
		}
		sheet += tick
	}
}

// notched sets the punch board: it notches in the middle of the gap between
// the two marks of an edge, so the seam is twice its depth whatever the card.
// Its error repeats on every edge, so the punch is measured twice; the seam
// knows only the error of the depth.
func (d Diamond) notched() DiamondWay {
	w := d.way(NotchWay, d.loss(3*math.Sqrt2, math.Sqrt(5)), d.loss(2, 2))
	tick, k := d.Spec.Style.Tick, float64(d.Spec.Board.NotchDepth)
	low, high := d.stops(d.Sheet)
	at := measure.Length(math.Ceil(low)).Up(tick)
	if mid := measure.Round((low + high) / 2).Near(tick); float64(mid) >= low && float64(mid) <= high {
		at = mid
	}
	other := d.Sheet - at
	w.Scores = []Setting{
		score(sidesPunch, at+d.Spec.Board.NotchAt, measure.Round((low+high)/2)+d.Spec.Board.NotchAt),
		score(endsPunch, other+d.Spec.Board.NotchAt, d.Sheet-measure.Round((low+high)/2)+d.Spec.Board.NotchAt),
	}
	w.flaps.Left = (float64(at) + k) / math.Sqrt2
	w.flaps.Bottom = (float64(other) + k) / math.Sqrt2
	w.flaps.Right, w.flaps.Top = w.flaps.Left, w.flaps.Bottom
	w.twins(at == other)
	return w
}
