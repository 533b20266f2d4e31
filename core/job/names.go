package job

import (
	"yellowparcel/core/field"
	"yellowparcel/core/measure"
	"yellowparcel/core/paper"
)

var cautionNames = map[paper.Caution]string{
	paper.Coin: "Coin cell", paper.Magnet: "Magnet", paper.Sharp: "Sharp or pointed parts", paper.Seeds: "Seeds or plants",
	paper.Glitter: "Loose glitter", paper.Liquid: "Liquid",
}

// CautionName is what a caution about the contents is called.
func CautionName(c paper.Caution) string { return cautionNames[c] }

// mostJobName is how many characters the name of a job may have.
const mostJobName = 120

// NameOf is a job's name as it is typed.
func NameOf(text string) (name string, err error) {
	err = (&field.Word{At: &name, Most: mostJobName, Needed: true}).Type(text, "name", measure.Style{})
	return name, err
}

// Plain is a text of one line without what cannot be seen; see field.Plain.
func Plain(text string) string { return field.Plain(text) }
