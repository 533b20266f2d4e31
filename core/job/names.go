package job

import (
	"yellowparcel/core/card"
	"yellowparcel/core/mail"
	"yellowparcel/core/paper"
)

var foldNames = map[card.Fold]string{card.SideFold: "Side fold", card.TopFold: "Top fold", card.GateFold: "Gate", card.Accordion: "Accordion", card.RollFold: "Roll", card.FlatCard: "Flat card"}

// FoldName is what a fold is called.
func FoldName(f card.Fold) string { return foldNames[f] }

var measureNames = map[mail.Measure]string{
	mail.Length: "length", mail.Height: "height", mail.Thickness: "thickness", mail.Weight: "weight", mail.Aspect: "length ÷ height",
	mail.AddressAspect: "length ÷ height along the address", mail.Sum: "length + height + thickness", mail.Radius: "radius of the corners",
	mail.Lump: "rise within an inch", mail.Uneven: "unevenness", mail.Pull: "pull round the drum", mail.Strain: "strain on the drum",
	mail.Odd: "odd shape", mail.Square: "square", mail.Clasp: "clasp, string or button", mail.Plastic: "outside not of paper",
	mail.Bare: "without an envelope", mail.Folded: "folded",
}

// MeasureName is what is measured of a piece, in words.
func MeasureName(m mail.Measure) string { return measureNames[m] }

var cautionNames = map[paper.Caution]string{
	paper.Coin: "Coin cell", paper.Magnet: "Magnet", paper.Sharp: "Sharp or pointed parts", paper.Seeds: "Seeds or plants",
	paper.Glitter: "Loose glitter", paper.Liquid: "Liquid",
}

// CautionName is what a caution about the contents is called.
func CautionName(c paper.Caution) string { return cautionNames[c] }
