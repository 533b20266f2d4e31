package line

import (
	"cmp"
	"slices"
	"strings"
	"unicode"

	"yellowparcel/core/blank"
	"yellowparcel/core/card"
	"yellowparcel/core/envelope"
	"yellowparcel/core/field"
	"yellowparcel/core/job"
	"yellowparcel/core/paper"
)

// abroad is how the service of a rulebook begins that is for mail to other countries;
// everywhere is the region of the one that holds where no other is known.
const (
	abroad     = "abroad"
	everywhere = "Universal"
)

// borders stands for the border of every layer.
const borders = "borders"

// lengths are the words that a length is said with, by the path of its field.
var lengths = map[string]string{
	"seam": "envelope.seam", "overlap": "envelope.seam", "ease": "envelope.ease", "finger gap": "envelope.thumbGap", "flap": "envelope.flap", "wall depth": "envelope.depth",
	"spine": "card.spine", "spine width": "card.spine", "thick": "card.thickness", "thickness": "card.thickness", "width": "card.width", "wide": "card.width", "height": "card.height", "high": "card.height", "tall": "card.height",
	"border": borders, "borders": borders,
}

// thicks say that the length before them is how thick a thing is.
var thicks = map[string]bool{"thick": true, "high": true, "deep": true, "raised": true}

// removing are the words that take something off.
var removing = strings.Fields("remove no without off minus less")

// envelopes are the words that make a size that of an envelope.
var envelopes = strings.Fields("envelope envelopes fits fit")

// small are words that mean nothing by themselves here.
var small = strings.Fields("a an the and with my is are of at to in on for from by it as its all please make made making send sent mailed post mail going what which does do fits fit holds into out have has add another one more plus put remove no off without size sized card cards envelope envelopes sheet sheets paper be want would like i we me around round about thats that this so called named use using top up bottom side")

// countries are other names of the regions of rulebooks.
var countries = map[string]string{"uk": "United Kingdom", "britain": "United Kingdom", "england": "United Kingdom", "scotland": "United Kingdom", "wales": "United Kingdom", "usa": "United States", "us": "United States", "america": "United States", "states": "United States"}

// envelopeTypes are short names of envelope types, in the words of the table.
var envelopeTypes = map[string]blank.ID{"diamond": blank.DiamondID, "pocket": blank.PocketID, "walls": blank.GussetID, "gusset": blank.GussetID, "box": blank.BoxID, "lid and tuck": blank.TuckID, "tuck box": blank.TuckID}

// phrase is the name of something, in the words that it is told by.
type phrase struct {
	words []string
	sense Sense
	id    string
}

// vocabulary is every name that a shop knows, the longest first.
type vocabulary []phrase

// wordsOf is what can be named in a shop.
func wordsOf(shop job.Shop) vocabulary {
	var v vocabulary
	add := func(sense Sense, id, name string) {
		if words := split1(name); len(words) > 0 {
			v.put(phrase{words, sense, id})
		}
	}
	add(Destination, job.ByHand, "by hand")
	for _, f := range card.Folds() {
		name := f.Kind().Words.Name
		add(CardFold, string(f), name)
		if first, _, many := strings.Cut(name, " "); !many {
			add(CardFold, string(f), first+" fold")
		}
	}
	for name, id := range envelopeTypes {
		add(TypeOf, string(id), name)
	}
	for _, id := range blank.IDs() {
		if id != blank.NotedID && id != blank.BoughtID {
			add(TypeOf, string(id), blank.ByID(id).Words.Name)
		}
	}
	for _, e := range shop.Envelopes {
		if !e.Off {
			add(Bought, e.ID, e.Name)
		}
	}
	for _, f := range envelope.Formats() {
		add(Bought, f.ID, f.Name)
	}
	for _, s := range slices.Concat(shop.OnShelf(), paper.Sheets()) {
		add(HaveSheet, s.ID, s.Name)
	}
	for _, k := range shop.Stocks {
		if !k.Off {
			add(BasePaper, k.ID, k.Name)
		}
	}
	for _, k := range paper.Things() {
		add(Things, k.ID, k.Name)
		add(Things, k.ID, strings.TrimRight(strings.SplitN(k.Name, ",", 2)[0], " "))
	}
	for _, b := range shop.Books() {
		if b.Region != everywhere {
			add(Destination, b.Region, b.Region)
		}
		add(Destination, b.ID, b.Region+" "+b.Service)
	}
	for name, region := range countries {
		add(Destination, region, name)
	}
	v.shorten()
	slices.SortStableFunc(v, func(a, b phrase) int {
		return cmp.Or(len(b.words)-len(a.words), strings.Compare(strings.Join(a.words, " "), strings.Join(b.words, " ")))
	})
	return v
}

// shorten adds to papers and things the beginnings of their names that no other name has:
// "kraft" for "Kraft 120 gsm".
func (v *vocabulary) shorten() {
	for _, p := range *v {
		if p.sense != BasePaper && p.sense != Things {
			continue
		}
		for n := 1; n < len(p.words); n++ {
			short := p.words[:n]
			if slices.Contains(small, short[0]) || slices.ContainsFunc(*v, func(q phrase) bool { return q.id != p.id && len(q.words) >= n && slices.Equal(q.words[:n], short) }) {
				continue
			}
			v.put(phrase{short, p.sense, p.id})
		}
		// A thing is told by the noun alone, too: "brad" for "Brass star brad".
		if last := p.words[len(p.words)-1:]; p.sense == Things && len(p.words) > 1 && !slices.Contains(small, last[0]) &&
			!slices.ContainsFunc(*v, func(q phrase) bool { return q.id != p.id && slices.Contains(q.words, last[0]) }) {
			v.put(phrase{last, Things, p.id})
		}
	}
}

// put adds a name that is not there yet.
func (v *vocabulary) put(p phrase) {
	if !slices.ContainsFunc(*v, func(q phrase) bool { return slices.Equal(q.words, p.words) }) {
		*v = append(*v, p)
	}
}

// split1 is a name in the words that a line is split into.
func split1(name string) (words []string) {
	for _, at := range tokens.FindAllStringIndex(name, -1) {
		words = append(words, said(name[at[0]:at[1]]))
	}
	return words
}

// said is a word as it is compared: small, with a plain bar in fractions.
func said(w string) string {
	return strings.ToLower(strings.ReplaceAll(strings.TrimSpace(w), "⁄", "/"))
}

// phraseAt is the longest name that a line goes on with, and of how many tokens it is.
func (v vocabulary) phraseAt(list []token) (phrase, int) {
	for _, p := range v {
		if len(p.words) > len(list) {
			continue
		}
		ok := true
		for i, w := range p.words {
			if s := said(list[i].text); s != w && (p.sense != Things || strings.TrimSuffix(s, "s") != w) {
				ok = false
				break
			}
		}
		if ok {
			return p, len(p.words)
		}
	}
	return phrase{}, 0
}

// nearest is the known word that is like one that is not known; empty where none is.
func (v vocabulary) nearest(w string) string {
	best, far := "", 3
	if len(w) < 5 {
		far = 2
	}
	try := func(known string) {
		if len(known) < 3 || !isLetter([]rune(known)[0]) {
			return
		}
		d := distance(w, known)
		if len(w) >= 3 && strings.HasPrefix(known, w) {
			d = 1
		}
		if d < far || d == far-1 && d > 0 && best == "" {
			best, far = known, d
		}
	}
	for _, p := range v {
		for _, known := range p.words {
			try(known)
		}
	}
	for _, known := range commonWords {
		try(known)
	}
	return best
}

// commonWords are what can be said beside names.
var commonWords = append(strings.Fields("square layer layers liner cards card envelope remove without thick wide high seam ease border spine flap abroad sheet fits score"), "finger")

func isLetter(r rune) bool { return unicode.IsLetter(r) }

// distance is how many letters have to be put in, left out, changed or swapped with the next
// to make one word of another.
func distance(a, b string) int {
	x, y := []rune(a), []rune(b)
	rows := make([][]int, len(x)+1)
	for i := range rows {
		rows[i] = make([]int, len(y)+1)
		rows[i][0] = i
	}
	for k := range y {
		rows[0][k+1] = k + 1
	}
	for i := 1; i <= len(x); i++ {
		for k := 1; k <= len(y); k++ {
			change := 1
			if x[i-1] == y[k-1] {
				change = 0
			}
			rows[i][k] = min(rows[i-1][k]+1, rows[i][k-1]+1, rows[i-1][k-1]+change)
			if i > 1 && k > 1 && x[i-1] == y[k-2] && x[i-2] == y[k-1] {
				rows[i][k] = min(rows[i][k], rows[i-2][k-2]+1)
			}
		}
	}
	return rows[len(x)][len(y)]
}

// fieldOf is an edit that types a text into a field.
func fieldOf(path, text string) field.Edit {
	return field.Edit{Act: field.Type, Path: path, Text: text}
}
