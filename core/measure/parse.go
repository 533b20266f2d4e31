package measure

import (
	"fmt"
	"math/big"
	"strings"
	"unicode/utf8"
)

// Longest is the greatest length that Parse reads. Paper comes on rolls, but
// nobody folds a card of a hundred metres; a bound keeps every later sum far
// from overflow.
const Longest = 100 * Metre

const longestText = 40

// ParseError says what is wrong with a typed length and what to type instead.
type ParseError struct {
	// Text is what was typed.
	Text string
	// Advice is a sentence for the person who typed it.
	Advice string
	// Unfinished is set when more typing could still make it right ("5 1/"),
	// so that a screen can wait before it complains.
	Unfinished bool
}

func (e *ParseError) Error() string { return e.Advice }

// Parse reads a length as people type it: "5 1/2", "5½", "5-1/2", "5.5",
// `5 1/2"`, "140mm", "14 cm", "14,5 cm", "1/4", "⅛ in", "9/8". A number without
// a unit counts in the given unit. Lengths are never negative; an ambiguous or
// absurd text is refused with a *ParseError. The result is exact, or rounded
// once to the nanometre when it has more digits than that.
func Parse(text string, bare Unit) (Length, error) {
	p := &parser{text: strings.TrimSpace(text), bare: bare}
	if utf8.RuneCountInString(p.text) > longestText {
		return 0, &ParseError{Text: text, Advice: fmt.Sprintf("That is too long for one length: type something like %s.", p.example())}
	}
	p.rest = plain(p.text)
	l, err := p.length()
	if err != nil {
		return 0, err
	}
	return l, nil
}

// ReadNumber reads the number at the front of a text as people type it, "1 1/2", "½" or "2,5", and what stands after it;
// refused with a *ParseError.
func ReadNumber(text string) (value float64, rest string, err error) {
	p := &parser{text: strings.TrimSpace(text), bare: Inches}
	if utf8.RuneCountInString(p.text) > longestText {
		return 0, "", &ParseError{Text: text, Advice: "That is too long for one number: type something like 2.5 or 1 1/2."}
	}
	p.rest = plain(p.text)
	if p.rest == "" {
		return 0, "", p.unfinished("There is no number here yet: type something like 2.5 or 1 1/2.")
	}
	r, err := p.number()
	if err != nil {
		return 0, "", err
	}
	value, _ = r.Float64()
	return value, strings.TrimSpace(strings.ReplaceAll(p.rest, glued, "")), nil
}

// plain replaces the typographic forms of digits, slashes and marks by the
// ones on a keyboard.
func plain(s string) string {
	var b strings.Builder
	for _, r := range s {
		if frac, ok := vulgar[r]; ok {
			b.WriteString(glued + frac + glued)
			continue
		}
		if string(r) == glued {
			r = utf8.RuneError
		}
		if p, ok := plainRune[r]; ok {
			b.WriteString(p)
			continue
		}
		b.WriteRune(r)
	}
	return strings.TrimSpace(strings.TrimPrefix(b.String(), "≈"))
}

// glued stands round a fraction that was one character, so that "5½" is five
// and a half but "5½3" is not 5 1/23.
const glued = "\x00"

var vulgar = map[rune]string{
	'½': "1/2", '¼': "1/4", '¾': "3/4", '⅛': "1/8", '⅜': "3/8", '⅝': "5/8", '⅞': "7/8",
	'⅓': "1/3", '⅔': "2/3", '⅕': "1/5", '⅖': "2/5", '⅗': "3/5", '⅘': "4/5", '⅙': "1/6",
	'⅚': "5/6", '⅐': "1/7", '⅑': "1/9", '⅒': "1/10",
}

var plainRune = map[rune]string{
	'⁄': "/", '∕': "/", '÷': "/", '″': `"`, '”': `"`, '“': `"`, '\'': "'", '′': "'", '’': "'",
	'−': "-", '–': "-", '—': "-", '‐': "-", '‑': "-",
	'\u00a0': " ", '\u2009': " ", '\u202f': " ", '\u2002': " ", '\u2003': " ", '\u2005': " ", '\u2006': " ", '\t': " ",
}

type parser struct {
	text string // as typed, trimmed
	rest string // what is still to be read, in plain characters
	bare Unit
}

func (p *parser) example() string {
	if p.bare == Millimetres {
		return "140, 14 cm or 5 1/2 in"
	}
	return "5 1/2, 5.5 or 140 mm"
}

func (p *parser) refuse(format string, args ...any) error {
	return &ParseError{Text: p.text, Advice: fmt.Sprintf(format, args...)}
}

func (p *parser) unfinished(format string, args ...any) error {
	return &ParseError{Text: p.text, Advice: fmt.Sprintf(format, args...), Unfinished: true}
}

func (p *parser) length() (Length, error) {
	if p.rest == "" {
		return 0, p.unfinished("There is no length here yet: type something like %s.", p.example())
	}
	if strings.HasPrefix(p.rest, "-") {
		return 0, p.refuse("A length cannot be negative: type it without the minus sign.")
	}
	value, err := p.number()
	if err != nil {
		return 0, err
	}
	unit, err := p.unit()
	if err != nil {
		return 0, err
	}
	value.Mul(value, new(big.Rat).SetInt64(int64(unit)))
	if value.Cmp(new(big.Rat).SetInt64(int64(Longest))) > 0 {
		return 0, p.refuse("“%s” is longer than any sheet: check the unit, or type a length under 100 m.", p.text)
	}
	return nearest(value), nil
}

// nearest rounds a non-negative rational to a whole number, halves up.
func nearest(r *big.Rat) Length {
	num := new(big.Int).Mul(r.Num(), big.NewInt(2))
	num.Add(num, r.Denom())
	den := new(big.Int).Mul(r.Denom(), big.NewInt(2))
	return Length(num.Quo(num, den).Int64())
}

// unit reads what stands after the number, which must be one unit and no more.
func (p *parser) unit() (Length, error) {
	word := strings.ToLower(strings.Trim(p.rest, " "+glued))
	switch word {
	case "":
		return p.bare.length(), nil
	case `"`, "''", "in", "in.", "inch", "inches":
		return Inch, nil
	case "mm", "mm.":
		return Millimetre, nil
	case "cm", "cm.":
		return Centimetre, nil
	case "i", "inc", "inche", "m", "c":
		return 0, p.unfinished("“%s” is not a unit yet: finish it as in, mm or cm.", word)
	}
	if word[0] == 'e' || word[0] == 'x' && len(word) == 1 {
		return 0, p.refuse("“%s” is not a way to write a length here: type something like %s.", p.text, p.example())
	}
	if strings.ContainsAny(word, "0123456789") {
		return 0, p.refuse("“%s” reads as more than one length: type one, such as %s.", p.text, p.example())
	}
	return 0, p.refuse("The unit “%s” is not known here: use in, mm or cm.", word)
}
