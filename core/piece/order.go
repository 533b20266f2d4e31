package piece

import (
	"yellowparcel/core/card"
	"yellowparcel/core/cutting"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/paper"
)

// Role is what something that is cut is for.
type Role string

// What is cut.
const (
	PartRole  Role = "part"  // a part of the card, which has a name of its own
	BlankRole Role = "blank" // the envelope's blank
	LinerRole Role = "liner" // the envelope's liner
)

// Cut is one line of what has to be cut from a stock.
type Cut struct {
	Role Role
	// ID and Name are those of a part; empty for what is no part.
	ID, Name string
	Size     card.Size
	Count    int
	// Upright is set when it must not be turned against the pattern.
	Upright bool
	// Fold is set for what is folded; Down says that its folds run up and down.
	Fold, Down bool
	// Window is what falls out of each, when windowed.
	Window *card.Size
}

// Order is everything that is cut from one stock.
type Order struct {
	Stock paper.Stock
	Cuts  []Cut
	// Saved is what windowing saves.
	Saved []Saved
}

// Saved is what comes out of the middle of a windowed paper, from which so many of
// another piece are cut; nil where nothing is small enough for it.
type Saved struct {
	Count int
	Of    *Cut
	// From is the name of the paper, FromID its ID.
	From, FromID string
	Size         card.Size
}

// Blank is an envelope that is cut from the job's own papers; zero for none.
type Blank struct {
	Width, Height measure.Length
	// Upright is set where its pattern has a top that its place on the sheet keeps.
	Upright bool
	Liner   card.Size
}

// Base is the flat base of the card in a fold.
func (p Piece) Base(fold card.Fold) card.Base { return card.NewBase(p.job.Spec(fold, p.shop)) }

// Orders gathers what the job takes, stock by stock in the order of the parts.
func (p Piece) Orders(blank Blank) []Order {
	var list []Order
	put := func(id string, c Cut) {
		if c.Count <= 0 {
			return
		}
		for i := range list {
			if list[i].Stock.ID == id {
				list[i].Cuts = append(list[i].Cuts, c)
				return
			}
		}
		stock, _ := p.shop.Stock(id)
		list = append(list, Order{Stock: stock, Cuts: []Cut{c}})
	}
	j, layers := p.job, p.job.Stacked()[1:]
	makes := func(id string) bool {
		return id == j.Parts[0].ID && job.MakesBase(j) || id != j.Parts[0].ID && job.MakesLayers(j)
	}
	for i, at := range append([]int{0}, j.LayerParts()...) {
		part := j.Parts[at]
		if !makes(part.ID) {
			continue
		}
		if i == 0 {
			put(part.Stock, baseCut(j, p.shop, j.Card.Fold))
			continue
		}
		if i > len(layers) {
			break // a border ate it, and what lies on it
		}
		c := Cut{Role: PartRole, ID: part.ID, Name: part.Name, Size: layers[i-1].Size, Count: j.Count - part.Ready, Upright: true}
		if part.Window && i < len(layers) {
			if s, ok := p.FallsOut(layers[i]); ok {
				c.Window = &s
			}
		}
		put(part.Stock, c)
	}
	for _, at := range j.PartsOf(job.LinerPart) {
		part := j.Parts[at]
		if l, _, ok := card.Stack(j.Page(), []card.Mount{part.Mount()}); ok && !j.Card.Fold.Kind().Unfolded && makes(part.ID) {
			put(part.Stock, Cut{Role: PartRole, ID: part.ID, Name: part.Name, Size: l[0].Size, Count: j.Count - part.Ready, Upright: true})
		}
	}
	if blank.Width > 0 {
		put(j.Envelope.Stock, Cut{Role: BlankRole, Size: card.Size{Width: blank.Width, Height: blank.Height}, Count: j.Count, Upright: blank.Upright})
	}
	if l := blank.Liner; j.Envelope.Liner != "" && l.Width > 0 {
		put(j.Envelope.Liner, Cut{Role: LinerRole, Size: l, Count: j.Count, Upright: true})
	}
	for i := range list {
		list[i].fromWindows()
	}
	return list
}

// baseCut is the base as it is cut.
func baseCut(j job.Job, shop job.Shop, fold card.Fold) Cut {
	b := card.NewBase(j.Spec(fold, shop))
	return Cut{Role: PartRole, ID: j.Parts[0].ID, Name: j.Parts[0].Name, Size: card.Size{Width: b.Width, Height: b.Height}, Count: j.Count, Upright: true, Fold: len(b.Scores) > 0, Down: !b.Across}
}

// fromWindows takes pieces that what falls out of windowed layers gives off the
// order: the largest that fits, one from each window.
func (o *Order) fromWindows() {
	for _, from := range o.Cuts {
		if from.Window == nil {
			continue
		}
		best := -1
		for i, c := range o.Cuts {
			fits := c.Size.Width <= from.Window.Width && c.Size.Height <= from.Window.Height ||
				o.Stock.Pattern == paper.Unknown && c.Size.Height <= from.Window.Width && c.Size.Width <= from.Window.Height
			if fits && c.Count > 0 && c.Window == nil && (best < 0 || c.Size.Width*c.Size.Height > o.Cuts[best].Size.Width*o.Cuts[best].Size.Height) {
				best = i
			}
		}
		if best < 0 {
			o.Saved = append(o.Saved, Saved{Count: from.Count, From: from.Name, FromID: from.ID, Size: *from.Window})
			continue
		}
		n := min(from.Count, o.Cuts[best].Count)
		o.Cuts[best].Count -= n
		o.Saved = append(o.Saved, Saved{Count: n, Of: &o.Cuts[best], From: from.Name, FromID: from.ID, Size: *from.Window})
	}
}

// On is an order as it lies on one sheet.
type On struct {
	Cutting cutting.Order
	// Swapped are the pieces that are given a quarter turn round.
	Swapped []bool
	// Against are those whose fold would go along the grain only with the pattern on
	// its side: the pattern goes first.
	Against []string
}

// On lays an order on a sheet: a pattern with a top is never turned; where folds are to
// go along the grain, folded pieces lie so.
func (p Piece) On(o Order, sheet paper.Sheet) (on On) {
	on.Cutting.Sheet = cutting.Sheet{Width: sheet.Width, Height: sheet.Height, Cut: p.shop.Tools.TrimmerLength}
	for _, c := range o.Cuts {
		as, turned := true, true
		if c.Upright && o.Stock.Pattern != paper.Unknown {
			as = o.Stock.Pattern.Upright(sheet)
			turned = !as
		}
		if c.Fold && p.job.Paper.AlongGrain && o.Stock.Grain != paper.Unknown {
			along := o.Stock.Grain.Upright(sheet) == c.Down
			if along && !as || !along && !turned {
				on.Against = append(on.Against, c.Name)
			} else {
				as, turned = along, !along
			}
		}
		w, h := c.Size.Width, c.Size.Height
		if !as {
			w, h = h, w
		}
		on.Cutting.Pieces = append(on.Cutting.Pieces, cutting.Piece{Name: c.Name, Width: w, Height: h, Count: c.Count, Turn: as && turned})
		on.Swapped = append(on.Swapped, !as)
	}
	return on
}

// BaseOn is the base in a fold as one piece on a sheet of its stock.
//
// It takes the job whose base it is, since many are tried whose pieces are not.
func (p Piece) BaseOn(j job.Job, stock paper.Stock, sheet paper.Sheet, fold card.Fold) (cutting.Sheet, cutting.Piece) {
	c := baseCut(j, p.shop, fold)
	c.Count = 1
	on := p.On(Order{Stock: stock, Cuts: []Cut{c}}, sheet)
	return on.Cutting.Sheet, on.Cutting.Pieces[0]
}

// leastLedge is what a layer is glued on at least where the one below it has its
// middle cut out.
const leastLedge = measure.Inch / 4

// Ledge is what is left to glue on round a window.
func (p Piece) Ledge() measure.Length {
	a, _ := p.shop.Adhesive(p.job.Envelope.Adhesive)
	return max(leastLedge, a.Width)
}

// FallsOut is the middle of a paper that may be cut out behind the layer on it: the
// frame left standing is the border that shows and the ledge. It is false where too
// little would fall out.
func (p Piece) FallsOut(on card.Layer) (card.Size, bool) {
	s := card.Size{Width: on.Width - 2*p.Ledge(), Height: on.Height - 2*p.Ledge()}
	return s, s.Width >= measure.Inch && s.Height >= measure.Inch
}
