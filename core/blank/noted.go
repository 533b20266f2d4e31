package blank

import (
	"math"

	"yellowparcel/core/measure"
	"yellowparcel/core/say"
)

// noted is an envelope exactly as a note's sheet and scores make it.
var noted = Construction{
	ID: NotedID,
	Words: Words{
		Name: "The recipe as it stands", Drawing: lyingFlat, Overlap: flapOverlap,
		Sentence: []say.Clause{say.Always("Cut [{sheet size}], as the recipe says.")},
		Roles: map[Role]string{
			LeftTab: "left tab", RightTab: "right tab", FlapScore: "flap", BackScore: "back", endScore: "back",
			leftCorner: "left corner", rightCorner: "right corner", topCorner: "top corner", bottomCorner: "bottom corner",
			SidesNear: "sides, near", SidesFar: "sides, far", EndsNear: "top & bottom, near", EndsFar: "top & bottom, far",
			SidesWall: "sides, wall", SidesFloor: "sides, floor", EndsWall: "top & bottom, wall", EndsFloor: "top & bottom, floor",
		},
		Seal: "To mail it, seal both edges.", Thick: "or take a construction with walls", Flap: "Closing flap", FlapNote: "0 for the usual",
	},
	Wishes:  always(),
	Options: []string{stockOption, adhesiveOption, linerOption, patternOption},
	Ways: []WayKind{{
		ID: AsNoted, Name: "as the recipe says", Tool: ScoreBoard, Asks: []string{"cornerAt"}, Beyond: edgesBeyond,
		Sentence: []say.Clause{
			say.Always(" Score from the left corner at [{left corner}], right [{right corner}], top [{top corner}] and bottom [{bottom corner}]."),
			say.Always(" From one corner score at [{sides near}] and [{sides far}]. Turn a quarter and score at [{ends near}] and [{ends far}]."),
			say.Always(" Score [{left tab}] and [{right tab}] from the sides, [{flap}] from the flap's end and [{back}] from the other."),
			say.Always(" Score [{left tab}] and [{right tab}] from the sides, [{flap}] and [{same end}] from the flap's end."),
			say.Always(" From every corner of the sides score at [{sides wall}] and [{sides floor}]. From top and bottom score at [{ends wall}] and [{ends floor}]."),
		},
		Steps: []say.Clause{
			say.Always("From the left corner score at {left corner}, from the right one at {right corner}."),
			say.Always("From the top corner score at {top corner}, from the bottom one at {bottom corner}."),
			say.Always("From one corner score at {sides near} and {sides far}."),
			say.Always("Turn a quarter and score at {ends near} and {ends far}."),
			say.Always("Score the tabs at {left tab} and {right tab} from the sides."),
			say.Always("Score {flap} from the flap's end and {back} from the other."),
			say.Always("Score {flap} and {same end} from the flap's end."),
			say.When("depth", "Score each again {depth} further in."),
			say.Always("From every corner of the sides score at {sides wall} and {sides floor}."),
			say.Always("From top and bottom score at {ends wall} and {ends floor}."),
		},
	}},
	Make: func(s Spec) (Made, bool) {
		if s.Noted == nil {
			return Made{}, false
		}
		return s.Noted.Make(s)
	},
}

// AsNoted is the one way of a recipe that is used as it stands.
const AsNoted WayID = "noted"

// The scores of a square, each from its own corner.
const leftCorner, rightCorner, topCorner, bottomCorner Role = "left corner", "right corner", "top corner", "bottom corner"

// endScore is the score of a pocket's back, measured from the flap's end.
const endScore Role = "same end"

// Noted is the envelope of a note: one of the three, what its own board reads at the sheet's
// corner taken off its scores. They are told as the maker's board reads them.
type Noted struct {
	Square *Recipe
	Pocket *PocketRecipe
	Box    *BoxRecipe
}

// Make works it out for the card of a spec; false where it makes no envelope, or none that
// closes.
func (n Noted) Make(s Spec) (Made, bool) {
	sound := func(m Made) (Made, bool) { return m, m.Seam > 0 && m.Net.Check() == nil }
	switch {
	case n.Square != nil && n.Square.Fault() == MakesOne:
		return sound(n.square(s))
	case n.Pocket != nil && n.Pocket.Fault() == MakesOne:
		return sound(n.pocket(s))
	case n.Box != nil && n.Box.Fault() == MakesOne:
		b := n.Box
		w, h := b.floor()
		m := squareBox(s, b.Side, w, h, b.Depth())
		m.ID = NotedID
		scores := make([]Setting, 0, 4)
		for _, c := range []struct {
			role Role
			at   measure.Length
		}{{SidesWall, b.SidesWall}, {SidesFloor, b.SidesFloor}, {EndsWall, b.EndsWall}, {EndsFloor, b.EndsFloor}} {
			scores = append(scores, edgeScore(c.role, FromCorner, c.at+s.Board.CornerAt))
		}
		m.choose(s, m.way(AsNoted, scores, m.Ways[0].EaseLoss, m.Ways[0].SeamLoss))
		return sound(m.Finished(s))
	}
	return Made{}, false
}

func (n Noted) square(s Spec) Made {
	r := *n.Square
	res, f, d := r.Make(0, 0), r.flaps(0, 0), r.diagonal()
	m := Made{ID: NotedID, SheetWidth: r.Side1, SheetHeight: r.Side2, Width: res.Width, Height: res.Height, Net: res.Net, Seam: res.Seam(), Cuts: 4 + 8}
	m.SeamMax = max(res.Seams[0], res.Seams[1], res.Seams[2], res.Seams[3])
	m.EaseWidth, m.EaseHeight = res.Width-2*s.Caliper-s.Width-s.Thickness, res.Height-2*s.Caliper-s.Height-s.Thickness
	m.Flap = measure.Round(f.Top)
	m.Overlap = measure.Round(f.Top+f.Bottom) - res.Height
	m.Shortest = measure.Round(shortestFlap(d, float64(res.Width), float64(res.Height), f.Bottom))
	m.Folds = len(m.Net.Creases)
	t := float64(s.Style.Tick) / 2
	scores := []Setting{
		edgeScore(leftCorner, FromCorner, measure.Round(f.Left)+s.Board.CornerAt), edgeScore(rightCorner, FromCorner, measure.Round(f.Right)+s.Board.CornerAt),
		edgeScore(topCorner, FromCorner, measure.Round(f.Top)+s.Board.CornerAt), edgeScore(bottomCorner, FromCorner, measure.Round(f.Bottom)+s.Board.CornerAt),
	}
	ease := Loss{measure.Round((2 + math.Sqrt2) * t), measure.Round(math.Sqrt(3) * t)}
	if r.Paired {
		scores = []Setting{edgeScore(SidesNear, FromCorner, r.Left+s.Board.CornerAt), edgeScore(SidesFar, FromFar, r.Right+s.Board.CornerAt), edgeScore(EndsNear, FromCorner, r.Top+s.Board.CornerAt), edgeScore(EndsFar, FromFar, r.Bottom+s.Board.CornerAt)}
		ease = Loss{measure.Round(2 * t), measure.Round(math.Sqrt2 * t)}
	}
	way := m.way(AsNoted, scores, ease, Loss{measure.Round((1 + 2*math.Sqrt2) * t), measure.Round(math.Sqrt(5) * t)})
	for i, seam := range res.Seams {
		loss := way.SeamLoss
		if r.Paired && i == 2 { // between the two corners that nothing is read from
			loss = Loss{measure.Round((3 + 2*math.Sqrt2) * t), measure.Round(3 * t)}
		}
		way.Seams = append(way.Seams, SeamOf{seam, loss})
	}
	m.choose(s, way)
	if m.Seam < s.Adhesive {
		m.fault(SeamUnderAdhesive, m.Seam, s.Adhesive)
	}
	m = m.Finished(s)
	if m.Folded.Overhang > sliver {
		m.fault(FlapTooLong, m.Flap, m.Height)
	}
	return m
}

func (n Noted) pocket(s Spec) Made {
	r := *n.Pocket
	res := r.Make()
	m := Made{
		ID: NotedID, SheetWidth: r.Width, SheetHeight: r.Length, Depth: r.Wall, Flap: r.Flap, Overlap: res.Overlap, Net: res.Net, Seam: res.Tab, Cuts: 4 + 8,
		Width: res.Width + max(0, r.Left-res.Width) + max(0, r.Right-res.Width), Height: max(res.Height, r.Flap, r.Bottom),
	}
	thick := max(0, s.Thickness-r.Wall)
	m.EaseWidth, m.EaseHeight = res.Width-2*s.Caliper-s.Width-thick, res.Height-2*s.Caliper-s.Height-thick
	scores := []Setting{edgeScore(LeftTab, FromLeft, r.Left), edgeScore(RightTab, FromRight, r.Right), edgeScore(FlapScore, FromTop, r.Flap), edgeScore(BackScore, FromBottom, r.Bottom)}
	m.Folds = len(m.Net.Creases)
	next := m.edgeWays(s, scores)[0]
	if r.OneEnd { // the height is what lies between two scores of one edge
		t := s.Style.Tick / 2
		next.Scores[3] = edgeScore(endScore, FromTop, r.Length-r.Bottom)
		next.HeightLoss = Loss{2 * t, root(2, t)}
	}
	next.ID = AsNoted
	m.choose(s, next)
	m.pocketFaults(s, pocketSizes{width: res.Width, front: res.Height, back: r.Bottom, tab: res.Tab, flap: r.Flap, wall: r.Wall})
	if r.Bottom > res.Height && !m.Faulty(FlapTooLong) {
		m.fault(FlapTooLong, r.Bottom, res.Height)
	}
	return m.Finished(s)
}
