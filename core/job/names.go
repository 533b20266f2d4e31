package job

import (
	"yellowparcel/core/paper"
)

var cautionNames = map[paper.Caution]string{
	paper.Coin: "Coin cell", paper.Magnet: "Magnet", paper.Sharp: "Sharp or pointed parts", paper.Seeds: "Seeds or plants",
	paper.Glitter: "Loose glitter", paper.Liquid: "Liquid",
}

// CautionName is what a caution about the contents is called.
func CautionName(c paper.Caution) string { return cautionNames[c] }
