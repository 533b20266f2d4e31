package job

import (
	"yellowparcel/core/blank"
	"yellowparcel/core/card"
	"yellowparcel/core/field"
	"yellowparcel/core/measure"
)

// Usual is what a new card begins with: what the maker makes most. What is empty is what
// most makers take.
type Usual struct {
	Width  measure.Length `json:"width,omitempty"`
	Height measure.Length `json:"height,omitempty"`
	Fold   card.Fold      `json:"fold,omitempty" maxLength:"40"`
	// Border is that of a layer which is put on, Layers how many a new card has.
	Border measure.Length `json:"border,omitempty"`
	Layers int            `json:"layers,omitempty"`
	// Paper and LayerPaper are the papers of base and layers, Envelope that of the
	// envelope, by their IDs.
	Paper      string `json:"paper,omitempty" maxLength:"40"`
	LayerPaper string `json:"layerPaper,omitempty" maxLength:"40"`
	Envelope   string `json:"envelope,omitempty" maxLength:"40"`
	// Construction is the envelope type, Adhesive what closes its seams.
	Construction blank.ID `json:"construction,omitempty" maxLength:"40"`
	Adhesive     string   `json:"adhesive,omitempty" maxLength:"40"`
	// Destination is where most cards go.
	Destination string `json:"destination,omitempty" maxLength:"40"`
}

// mostUsualLayers is how many layers a new card may begin with.
const mostUsualLayers = 6

// first is what most makers take who measure in a unit.
type first struct{ width, height, ease, seam, gap measure.Length }

var firsts = map[measure.Unit]first{
	measure.Inches:      {7 * measure.Inch, 5 * measure.Inch, measure.Inch / 4, 3 * measure.Inch / 4, measure.Inch / 2},
	measure.Millimetres: {148 * measure.Millimetre, 105 * measure.Millimetre, 6 * measure.Millimetre, 20 * measure.Millimetre, 12 * measure.Millimetre},
}

const firstDestination = "us-domestic"

// NewJob is a job for the card that is usual in a shop.
func NewJob(shop Shop) Job {
	u, most := shop.Usual, firsts[shop.Unit]
	j := Job{
		Name: "New card", Count: 1,
		Card:  Card{Width: most.width, Height: most.height, Fold: card.TopFold},
		Parts: []Part{{ID: "base", Name: "Card base", Kind: BasePart, Stock: onShelf(u.Paper, "cover-100", shop)}},
		Envelope: EnvelopeWish{
			School: blank.ExactSeam, Ease: most.ease, Seam: most.seam, ThumbGap: most.gap,
			Stock: onShelf(u.Envelope, "copy-80", shop), Adhesive: "tape-1-2", Construction: u.Construction,
		},
		Mail: MailWish{Destination: firstDestination},
	}
	if u.Width > 0 {
		j.Card.Width = u.Width
	}
	if u.Height > 0 {
		j.Card.Height = u.Height
	}
	if u.Fold != "" {
		j.Card.Fold = u.Fold
	}
	if _, ok := shop.Adhesive(u.Adhesive); ok && awayAdhesive(shop, u.Adhesive) == "" {
		j.Envelope.Adhesive = u.Adhesive
	}
	if destinationList(shop).Knows(u.Destination) {
		j.Mail.Destination = u.Destination
	}
	for range u.Layers {
		with := j.Clone()
		if with.addPaper(shop, LayerPart) != nil { // nothing is left of it
			break
		}
		j = with
	}
	return j
}

// Begun is what a job begins as: all that is usual in a shop, and no card yet.
func Begun(shop Shop) Job {
	j := NewJob(shop)
	j.Card.Width, j.Card.Height = 0, 0
	return j
}

// onShelf is a paper that the shop has: the usual one, or the first of its kind, or the one of the nearest
// weight.
func onShelf(id, or string, shop Shop) string {
	for _, want := range []string{id, or} {
		if want != "" && hasStock(shop, want) && awayStock(shop, want) == "" {
			return want
		}
	}
	near := baseGSM
	if k, ok := shop.Stock(or); ok {
		near = int(k.GSM)
	}
	if list := stocksNear(near)(shop); len(list) > 0 {
		return list[0].ID
	}
	return or
}

// fields are what of it is typed and chosen, at the shop's table.
func (u *Usual) fields(shop Shop) []field.Field {
	size := func(path, label string, at *measure.Length, or measure.Length) field.Field {
		return field.Field{Path: "usual." + path, Label: label, Name: "usual " + path, Value: &field.Length{At: at, Least: LeastCard, Most: MostCard, Zero: true, Or: or}}
	}
	pick := func(path, label string, v field.Value) field.Field {
		return field.Field{Path: "usual." + path, Label: label, Value: v}
	}
	paperOf := func(path, label string, at *string, or string) field.Field {
		return pick(path, label, &field.One[string]{At: at, List: stockList(shop), Or: or, Gone: true})
	}
	return []field.Field{
		size("width", "Width", &u.Width, firsts[shop.Unit].width), size("height", "Height", &u.Height, firsts[shop.Unit].height),
		pick("fold", "Fold", &field.One[card.Fold]{At: &u.Fold, List: field.ListOf("folds", card.Folds()), Or: card.TopFold}),
		pick("layers", "Layers", &field.Count{At: &u.Layers, Most: mostUsualLayers, Things: "layers"}),
		{Path: "usual.border", Label: "Border", Value: &field.Length{At: &u.Border, Most: 2 * measure.Inch, Or: classicBorder(shop)}},
		paperOf("paper", "Base paper", &u.Paper, "cover-100"),
		pick("layerPaper", "Layer paper", &field.One[string]{At: &u.LayerPaper, List: field.List{Name: "layerPapers", Knows: stockList(shop).Knows}, None: true, Gone: true}),
		pick("construction", "Envelope type", &field.One[blank.ID]{At: &u.Construction, List: field.ListOf("constructions", blank.IDs()), Or: blank.DiamondID}),
		paperOf("envelope", "Envelope paper", &u.Envelope, "copy-80"),
		pick("adhesive", "Adhesive", &field.One[string]{At: &u.Adhesive, List: adhesiveList(shop), Or: "tape-1-2", Gone: true}),
		pick("destination", "Destination", &field.One[string]{At: &u.Destination, List: destinationList(shop), Or: firstDestination, Gone: true}),
	}
}

// classicBorder is the border that is taken where the maker says nothing.
func classicBorder(shop Shop) measure.Length {
	for _, b := range card.Borders(shop.Unit) {
		if b.ID == "classic" {
			return b.Width
		}
	}
	return shop.Style().Tick
}

// usualBorder is the border that a layer begins with.
func usualBorder(shop Shop) measure.Length {
	if shop.Usual.Border > 0 {
		return shop.Usual.Border
	}
	return classicBorder(shop)
}

// usualLayer is the paper that a layer begins with: the maker's own choice, or that below.
func usualLayer(shop Shop, below string) string {
	if id := shop.Usual.LayerPaper; id != "" && hasStock(shop, id) && awayStock(shop, id) == "" {
		return id
	}
	return below
}
