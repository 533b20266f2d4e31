package plan

import (
	"yellowparcel/core/compare"
	"yellowparcel/core/say"
)

// endings say shortly what becomes of a piece in the mail, and how that is meant:
// {class} is the one that takes it, {a class} that with its article.
var endings = map[compare.Ending]struct {
	tone  say.Tone
	words say.Clause
}{
	compare.ByHand:      {say.Fine, say.Always("By hand")},
	compare.NotMailable: {say.Trouble, say.Always("Does not go")},
	compare.AskFirst:    {say.Care, say.Always("Ask first")},
	compare.NoLetter:    {say.Trouble, say.Always("Does not go as a letter")},
	compare.Goes:        {say.Fine, say.Always("Goes as {a class}")},
	compare.Surcharged:  {say.Care, say.Always("Goes as {a class} with a surcharge")},
	compare.MayCost:     {say.Care, say.Always("Ask first: {class}, surcharge?")},
	compare.Doubtful:    {say.Care, say.Always("Ask first: {class}")},
	compare.DoubtfulDue: {say.Care, say.Always("Ask first: {class} with a surcharge")},
}

// shortly is a forecast in a few words; empty for none.
func shortly(f compare.Forecast) string {
	return say.Slots{"class": f.Class.Name, "a class": one(f.Class.Name)}.Text(endings[f.Ending].words)
}

// toneOf is how a forecast is meant: a class beyond the cheapest wants a look.
func toneOf(f compare.Forecast) say.Tone {
	if f.Ending == compare.Goes && f.Beyond {
		return say.Care
	}
	return endings[f.Ending].tone
}
