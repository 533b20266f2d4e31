package plan

import (
	"yellowparcel/core/compare"
	"yellowparcel/core/say"
)

// endings say shortly what becomes of a piece in the post, and how that is meant:
// {class} is the one that takes it.
var endings = map[compare.Ending]struct {
	tone  say.Tone
	words say.Clause
}{
	compare.ByHand:      {say.Fine, say.Always("by hand")},
	compare.NotMailable: {say.Trouble, say.Always("not mailable")},
	compare.AskFirst:    {say.Care, say.Always("ask first")},
	compare.NoLetter:    {say.Trouble, say.Always("no letter")},
	compare.Goes:        {say.Fine, say.Always("{class}")},
	compare.Surcharged:  {say.Care, say.Always("{class} + surcharge")},
	compare.MayCost:     {say.Care, say.Always("{class} + surcharge?")},
	compare.Doubtful:    {say.Care, say.Always("{class}, ask first")},
}

// shortly is a forecast in a few words; empty for none.
func shortly(f compare.Forecast) string {
	return say.Slots{"class": f.Class.Name}.Text(endings[f.Ending].words)
}

// toneOf is how a forecast is meant: a class beyond the cheapest wants a look.
func toneOf(f compare.Forecast) say.Tone {
	if f.Ending == compare.Goes && f.Beyond {
		return say.Care
	}
	return endings[f.Ending].tone
}
