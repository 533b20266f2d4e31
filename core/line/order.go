package line

import (
	"slices"
	"strings"

	"yellowparcel/core/field"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
)

// Order is what a line asks for: a job to begin, or a change of the one in hand. Its edits
// are carried out in their order on the job that it was read for.
type Order struct {
	Said   []Said
	Unread []Unread
	// Station and Drawer are where it is seen; empty where the maker may stay.
	Station, Drawer string
}

// Said is one thing that was understood, at its place in the text. What of Lengths, Count
// and ID it has goes by its sense.
type Said struct {
	From, To int
	Sense    Sense
	Lengths  []measure.Length
	Count    int
	ID       string
	// Edits are what it does to the job.
	Edits []field.Edit
}

// Sense is what is said.
type Sense string

// The senses, in the order in which they are carried out.
const (
	Recipe      Sense = "recipe"  // somebody's sheet and scores
	CardSize    Sense = "size"    // Lengths are its width and height
	CardFold    Sense = "fold"    // ID
	BasePaper   Sense = "base"    // ID of a paper
	Layers      Sense = "layers"  // Count of them there are to be
	MoreLayers  Sense = "more"    // Count of them more
	Border      Sense = "border"  // Lengths[0], of every layer
	Liner       Sense = "liner"   // a sheet to write on
	Things      Sense = "things"  // Count of them, ID of the kind; Lengths[0] is how thick
	WithoutIt   Sense = "without" // ID of a kind of part that is taken off
	HaveOne     Sense = "have"    // ID of the bought envelope that the maker has; Lengths where it was measured
	HaveSheet   Sense = "sheet"   // ID of the sheet that the maker has
	TypeOf      Sense = "type"    // ID of an envelope type
	Bought      Sense = "bought"  // ID of a bought envelope
	BlankPaper  Sense = "paper"   // ID of a paper for the envelope
	OneLength   Sense = "length"  // Lengths[0] into the field whose path is ID
	Destination Sense = "to"      // ID of a rulebook, or by hand
	Bare        Sense = "bare"    // without an envelope
	HowMany     Sense = "count"   // Count of cards
	Name        Sense = "name"    // ID is the name
)

// Senses lists them, in the order in which they are carried out.
func Senses() []Sense {
	return []Sense{Recipe, HaveOne, HaveSheet, CardSize, CardFold, BasePaper, WithoutIt, Layers, MoreLayers, Border, Liner, Things, TypeOf, Bought, BlankPaper, OneLength, Destination, Bare, HowMany, Name}
}

// order goes through the tokens of a line.
type order struct {
	Order
	text  string
	shop  job.Shop
	from  job.Job
	begun bool // the job is in hand already
	words vocabulary
	list  []token
	style measure.Style
	sized bool // a size of the card was said
}

// ReadOrder reads a line for a job in a shop: a new one, or one that has begun, which it
// changes. Bare numbers are in the shop's unit.
func ReadOrder(text string, j job.Job, shop job.Shop, begun bool) Order {
	text = text[:min(len(text), Most)]
	r := order{text: text, shop: shop, from: j, begun: begun, style: shop.Style(), words: wordsOf(shop)}
	r.list, r.Unread = split(text, r.style)
	r.quotes()
	if r.isRecipe() {
		r.recipe()
		return r.Order
	}
	for i := 0; i < len(r.list); {
		i = max(i+1, r.next(i))
	}
	r.settle()
	r.edits()
	slices.SortStableFunc(r.Said, func(a, b Said) int { return a.From - b.From })
	slices.SortStableFunc(r.Unread, func(a, b Unread) int { return a.From - b.From })
	return r.Order
}

// Edits are those of everything that was understood, in the order of the senses.
func (o Order) Edits() (list []field.Edit) {
	for _, s := range o.InOrder() {
		list = append(list, s.Edits...)
	}
	return list
}

// InOrder is what was said in the order in which it is carried out.
func (o Order) InOrder() []*Said {
	list := make([]*Said, len(o.Said))
	for i := range o.Said {
		list[i] = &o.Said[i]
	}
	senses := Senses()
	slices.SortStableFunc(list, func(a, b *Said) int { return slices.Index(senses, a.Sense) - slices.Index(senses, b.Sense) })
	return list
}

// quotes makes what stands in quotation marks the name of the job.
func (r *order) quotes() {
	for _, pair := range [][2]string{{"“", "”"}, {"\"", "\""}, {"«", "»"}, {"„", "“"}} {
		from := strings.Index(r.text, pair[0])
		if from < 0 || from > 0 && strings.ContainsAny(r.text[from-1:from], "0123456789½¼¾⅛⅜⅝⅞⅓⅔") {
			continue // inches
		}
		inner, _, closed := strings.Cut(r.text[from+len(pair[0]):], pair[1])
		name := strings.TrimSpace(inner)
		if !closed || name == "" || !strings.ContainsFunc(name, isLetter) {
			continue
		}
		to := from + len(pair[0]) + len(inner) + len(pair[1])
		r.list = slices.DeleteFunc(r.list, func(t token) bool { return t.from >= from && t.from < to })
		r.Unread = slices.DeleteFunc(r.Unread, func(u Unread) bool { return u.From >= from && u.From < to })
		r.say(Said{From: from, To: to, Sense: Name, ID: name})
		return
	}
}

// isRecipe reports whether a line gives scores, which no job does.
func (r *order) isRecipe() bool {
	return slices.ContainsFunc(r.list, func(t token) bool {
		p, ok := starts[strings.ToLower(t.text)]
		return ok && (p == atScores || p == atMark)
	})
}

// recipe is the whole line as a recipe that is pasted.
func (r *order) recipe() {
	n := ReadRecipe(r.text, r.style)
	r.Unread = n.Unread
	if n.Recipe.Side1 == 0 && n.Recipe.Left == 0 && n.Recipe.Top == 0 {
		return
	}
	for i, c := range n.Chips {
		s := Said{From: c.From, To: c.To, Sense: Recipe, ID: string(c.Meaning)}
		if c.Length > 0 {
			s.Lengths = []measure.Length{c.Length}
		}
		if i == 0 {
			s.Edits = []field.Edit{{Act: field.Add, Path: "recipe.text", Text: r.text}}
		}
		r.Said = append(r.Said, s)
	}
	r.Station, r.Drawer = "envelope", "recipe"
}

func (r *order) say(s Said) { r.Said = append(r.Said, s) }

func (r *order) has(sense Sense) bool {
	return slices.ContainsFunc(r.Said, func(s Said) bool { return s.Sense == sense })
}

// once says what a line may say one time only.
func (r *order) once(s Said) {
	if i := slices.IndexFunc(r.Said, func(o Said) bool { return o.Sense == s.Sense && (s.Sense != OneLength || o.ID == s.ID) }); i >= 0 {
		r.Unread = append(r.Unread, Unread{From: s.From, To: s.To, Err: twice{r.text[r.Said[i].From:r.Said[i].To]}})
		return
	}
	r.say(s)
}

func (r *order) odd(from, to int, err error) {
	r.Unread = append(r.Unread, Unread{From: from, To: to, Err: err})
}

// next reads what stands at a token, and returns the place behind it.
func (r *order) next(i int) int {
	p, n := r.words.phraseAt(r.list[i:])
	// “6 square” is a card, where nothing says that it is an envelope.
	if _, _, size := r.sizeAt(i); n > 0 && (!size || p.sense != Bought || r.before(i, envelopes...) || slices.Contains(envelopes, r.wordAt(i+n))) {
		return r.phrase(p, i, i+n)
	}
	if r.list[i].number {
		return r.number(i)
	}
	return r.word(i)
}

// settle makes of a bought envelope what the rest of the line makes it: the beginning of a
// card, where nothing else begins it.
func (r *order) settle() {
	for i := range r.Said {
		if s := &r.Said[i]; s.Sense == Bought && !r.begun && !r.sized {
			s.Sense = HaveOne
		}
	}
	switch {
	case r.has(HaveOne):
		r.Station, r.Drawer = "card", "from-envelope"
	case r.has(HaveSheet) && !r.sized:
		r.Station, r.Drawer = "card", "from-paper"
	case !r.begun:
		r.Station = "card"
	}
}
