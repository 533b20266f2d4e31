package line

import (
	"slices"
	"strconv"
	"strings"

	"yellowparcel/core/job"
	"yellowparcel/core/measure"
)

// sizeAt is a size that begins at a token: "5 x 7", "5 3/8 square"; false where none does.
func (r *order) sizeAt(i int) (size []measure.Length, after int, ok bool) {
	if i >= len(r.list) || !r.list[i].number {
		return nil, i, false
	}
	t := r.list[i]
	switch {
	case i+2 < len(r.list) && slices.Contains(crosses, strings.ToLower(r.list[i+1].text)) && r.list[i+2].number:
		return []measure.Length{t.length, r.list[i+2].length}, i + 3, true
	case r.wordAt(i+1) == "square", r.wordAt(i+1) == "sq":
		return []measure.Length{t.length, t.length}, i + 2, true
	case r.wordAt(i-1) == "square" && (i < 2 || !r.list[i-2].number):
		return []measure.Length{t.length, t.length}, i + 1, true
	}
	return nil, i, false
}

func (r *order) wordAt(i int) string {
	if i < 0 || i >= len(r.list) || r.list[i].number {
		return ""
	}
	return strings.ToLower(r.list[i].text)
}

// before reports whether one of some words stands before a token, with small words at most
// between.
func (r *order) before(i int, words ...string) bool {
	for k := i - 1; k >= 0 && k >= i-3 && !r.list[k+1].breaks; k-- {
		if slices.Contains(words, r.wordAt(k)) {
			return true
		}
		if w := r.wordAt(k); w == "for" || !slices.Contains(small, w) {
			return false
		}
	}
	return false
}

// number reads what begins with a number.
func (r *order) number(i int) int {
	t := r.list[i]
	if size, after, ok := r.sizeAt(i); ok {
		from, to := t.from, r.list[after-1].to
		switch {
		case r.before(i, envelopes...) || slices.Contains(envelopes, r.wordAt(after)):
			r.once(Said{From: from, To: to, Sense: HaveOne, ID: job.OwnEnvelope, Lengths: size})
		case r.before(i, "from", "paper", "sheet", "on", "out") || r.wordAt(after) == "sheet" || r.wordAt(after) == "paper":
			r.sheetOf(from, to, size)
		default:
			r.once(Said{From: from, To: to, Sense: CardSize, Lengths: size})
			r.sized = true
		}
		return after
	}
	if n, whole := r.countAt(i); whole {
		if after, ok := r.counted(n, i); ok {
			return after
		}
	}
	if s := r.thingBefore(i); s != nil { // it says how thick that is
		s.Lengths, s.To = []measure.Length{t.length}, t.to
		if thicks[r.wordAt(i+1)] {
			return i + 2
		}
		return i + 1
	}
	if path, after, ok := r.lengthName(i + 1); ok {
		r.lengthOf(path, i, t.from, r.list[after-1].to)
		return after
	}
	if n, whole := r.countAt(i); whole && r.before(i, "make", "count", "times") {
		r.once(Said{From: t.from, To: t.to, Sense: HowMany, Count: n})
		return i + 1
	}
	r.odd(t.from, t.to, ofWhat{})
	return i + 1
}

// thingBefore is the thing that a number stands right behind, whose thickness it may be.
func (r *order) thingBefore(i int) *Said {
	n := len(r.Said) - 1
	if i == 0 || r.list[i].breaks || n < 0 || r.Said[n].Sense != Things || r.Said[n].Lengths != nil || r.Said[n].To != r.list[i-1].to {
		return nil
	}
	if path, _, ok := r.lengthName(i + 1); ok && !thicks[r.wordAt(i+1)] && path != "" {
		return nil
	}
	return &r.Said[n]
}

// countAt is a whole number without a unit.
func (r *order) countAt(i int) (int, bool) {
	n, err := strconv.Atoi(strings.TrimSpace(r.list[i].text))
	return n, err == nil
}

// counted reads "12 cards", "3 layers", "2 gems".
func (r *order) counted(n, i int) (after int, ok bool) {
	t, w := r.list[i], r.wordAt(i+1)
	if p, k := r.words.phraseAt(r.list[min(i+1, len(r.list)):]); k > 0 && p.sense == Things {
		return r.things(p, n, t.from, i+1+k), true
	}
	switch w {
	case "card", "cards", "copies", "pieces", "times":
		r.once(Said{From: t.from, To: r.list[i+1].to, Sense: HowMany, Count: n})
	case "layer", "layers", "mats", "mat":
		sense := Layers
		if r.before(i, "add", "another", "more", "plus", "put") {
			sense = MoreLayers
		}
		r.once(Said{From: t.from, To: r.list[i+1].to, Sense: sense, Count: n})
	case "panels", "panel":
		r.once(Said{From: t.from, To: r.list[i+1].to, Sense: OneLength, ID: "card.panels", Count: n})
	case "more":
		if w := r.wordAt(i + 2); w == "layer" || w == "layers" {
			r.once(Said{From: t.from, To: r.list[i+2].to, Sense: MoreLayers, Count: n})
			return i + 3, true
		}
		return i, false
	default:
		return i, false
	}
	return i + 2, true
}

// things are so many of a kind; a length behind the kind is how thick one is.
func (r *order) things(p phrase, n, from, after int) int {
	r.say(Said{From: from, To: r.list[after-1].to, Sense: Things, Count: n, ID: p.id})
	return after
}

// lengthName is the field that some words name: "seam", "finger gap", "thick".
func (r *order) lengthName(i int) (path string, after int, ok bool) {
	if w := r.wordAt(i); w != "" {
		if path, ok = lengths[w+" "+r.wordAt(i+1)]; ok {
			return path, i + 2, true
		}
		if path, ok = lengths[w]; ok {
			return path, i + 1, true
		}
	}
	return "", i, false
}

func (r *order) lengthOf(path string, number, from, to int) {
	l := r.list[number].length
	if path == borders {
		r.once(Said{From: from, To: to, Sense: Border, Lengths: []measure.Length{l}})
		return
	}
	r.once(Said{From: from, To: to, Sense: OneLength, ID: path, Lengths: []measure.Length{l}})
}

// sheetOf is a sheet that is told by its size.
func (r *order) sheetOf(from, to int, size []measure.Length) {
	for _, s := range r.shop.OnShelf() {
		if s.Width == size[0] && s.Height == size[1] || s.Width == size[1] && s.Height == size[0] {
			r.once(Said{From: from, To: to, Sense: HaveSheet, ID: s.ID})
			return
		}
	}
	r.odd(from, to, noSheet{})
}

// word reads a word that is no phrase and no number.
func (r *order) word(i int) int {
	t, w := r.list[i], r.wordAt(i)
	if path, after, ok := r.lengthName(i); ok {
		if k := r.numberAfter(after); k >= 0 {
			if _, _, size := r.sizeAt(k); !size {
				r.lengthOf(path, k, t.from, r.list[k].to)
				return k + 1
			}
		}
		return after // "6 mm thick" is read at its number
	}
	if _, ok := thicks[w]; ok || w == "square" && i+1 < len(r.list) && r.list[i+1].number {
		return i + 1 // said of a number beside it
	}
	switch {
	case w == "layer" || w == "mat":
		sense := Layers
		switch {
		case r.before(i, "add", "another", "more", "plus", "put"):
			sense = MoreLayers
		case r.before(i, removing...):
			r.once(Said{From: t.from, To: t.to, Sense: WithoutIt, ID: string(job.LayerPart)})
			return i + 1
		}
		r.once(Said{From: t.from, To: t.to, Sense: sense, Count: 1})
		return i + 1
	case w == "layers" && r.before(i, removing...):
		r.once(Said{From: t.from, To: t.to, Sense: Layers})
		return i + 1
	case w == "liner" || w == "lining":
		if r.before(i, removing...) {
			r.once(Said{From: t.from, To: t.to, Sense: WithoutIt, ID: string(job.LinerPart)})
			return i + 1
		}
		r.once(Said{From: t.from, To: t.to, Sense: Liner})
		return i + 1
	case w == "envelope" && r.before(i, "without", "no"):
		r.once(Said{From: t.from, To: t.to, Sense: Bare})
		return i + 1
	case w == "abroad":
		r.destination(t.from, t.to, abroad)
		return i + 1
	case slices.Contains(small, w), slices.Contains(plain, w):
		return i + 1
	}
	r.Unread = append(r.Unread, Unread{From: t.from, To: t.to, Near: r.words.nearest(w)})
	return i + 1
}

// numberAfter is the place of a number that follows, with small words at most between.
func (r *order) numberAfter(i int) int {
	for k := i; k < len(r.list) && k <= i+2 && (k == i || !r.list[k].breaks); k++ {
		if r.list[k].number {
			return k
		}
		if !slices.Contains(small, r.wordAt(k)) {
			return -1
		}
	}
	return -1
}

// phrase reads the name of something.
func (r *order) phrase(p phrase, i, after int) int {
	s := Said{From: r.list[i].from, To: r.list[after-1].to, Sense: p.sense, ID: p.id}
	next := r.wordAt(after)
	switch p.sense {
	case Things:
		if r.before(i, removing...) {
			s.Sense = WithoutIt
			r.once(s)
			return after
		}
		return r.things(p, 1, s.From, after)
	case Destination:
		r.destination(s.From, s.To, p.id)
		return after
	case Bought:
		if size, ok := r.cardOf(p.id); ok && (next == "card" || next == "cards") && !r.before(i, "fits", "fit", "in", "for") {
			r.once(Said{From: s.From, To: s.To, Sense: CardSize, Lengths: size})
			r.sized = true
			return after
		}
		if r.before(i, "fits", "fit", "have", "for", "into") {
			s.Sense = HaveOne
		}
	case HaveSheet:
		if size, ok := isoCard(p.id); ok && (next == "card" || next == "cards") {
			r.once(Said{From: s.From, To: s.To, Sense: CardSize, Lengths: size})
			r.sized = true
			return after
		}
		if _, ok := r.shop.Sheet(p.id); !ok {
			r.odd(s.From, s.To, noSheet{})
			return after
		}
	case BasePaper:
		if next == "envelope" || r.before(i, "envelope") {
			s.Sense = BlankPaper
		}
	}
	r.once(s)
	return after
}

// cardOf is the card that an envelope of a name is sold for: in a metric shop the paper size
// of that name.
func (r *order) cardOf(format string) ([]measure.Length, bool) {
	if r.style.Unit == measure.Millimetres {
		if size, ok := isoCard(format); ok {
			return size, true
		}
	}
	f, ok := (job.Start{Format: format}).In(r.shop)
	if !ok || len(f.Cards) == 0 {
		return nil, false
	}
	w, h := f.Cards[0].Width, f.Cards[0].Height
	return []measure.Length{max(w, h), min(w, h)}, true
}

// isoCard is a paper size of the A series.
func isoCard(name string) ([]measure.Length, bool) {
	i := slices.Index([]string{"a4", "a5", "a6", "a7"}, strings.ToLower(name))
	if i < 0 {
		return nil, false
	}
	mm := [][2]measure.Length{{210, 297}, {148, 210}, {105, 148}, {74, 105}}[i]
	return []measure.Length{mm[0] * measure.Millimetre, mm[1] * measure.Millimetre}, true
}
