package plan

import (
	"yellowparcel/core/compare"
	"yellowparcel/core/say"
)

// endings say shortly what becomes of a piece in the post, and how that is meant:
// {class} is the one that takes it.
var endings = map[compare.Ending]struct {
	tone  Tone
	words say.Clause
}{
	compare.ByHand:      {Fine, say.Always("by hand")},
	compare.NotMailable: {Trouble, say.Always("not mailable")},
	compare.AskFirst:    {Care, say.Always("ask first")},
	compare.NoLetter:    {Trouble, say.Always("no letter")},
	compare.Goes:        {Fine, say.Always("{class}")},
	compare.Surcharged:  {Care, say.Always("{class} + surcharge")},
	compare.MayCost:     {Care, say.Always("{class} + surcharge?")},
	compare.Doubtful:    {Care, say.Always("{class}, ask first")},
}

// shortly is a forecast in a few words; empty for none.
func shortly(f compare.Forecast) string {
	return say.Slots{"class": f.Class.Name}.Text(endings[f.Ending].words)
}

// toneOf is how a forecast is meant: a class beyond the cheapest wants a look.
func toneOf(f compare.Forecast) Tone {
	if f.Ending == compare.Goes && f.Beyond {
		return Care
	}
	return endings[f.Ending].tone
}
