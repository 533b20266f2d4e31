package measure

import (
	"math/big"
	"strings"
)

// number reads a whole number, a decimal, a fraction or a mixed number from
// the front of the text, and refuses what can be read in two ways.
func (p *parser) number() (*big.Rat, error) {
	if frac, ok := strings.CutPrefix(p.rest, glued); ok {
		p.rest = frac
		return p.fraction(p.digits())
	}
	whole := p.digits()
	if whole == "" && !strings.HasPrefix(p.rest, ".") && !strings.HasPrefix(p.rest, ",") {
		return nil, p.refuse("“%s” does not begin with a number: type something like %s.", p.text, p.example())
	}
	switch {
	case strings.HasPrefix(p.rest, "/"):
		return p.fraction(whole)
	case strings.HasPrefix(p.rest, "."), strings.HasPrefix(p.rest, ","):
		return p.decimal(whole)
	}
	return p.mixed(whole)
}

// digits takes the digits at the front of the text.
func (p *parser) digits() string {
	n := 0
	for n < len(p.rest) && p.rest[n] >= '0' && p.rest[n] <= '9' {
		n++
	}
	d := p.rest[:n]
	p.rest = p.rest[n:]
	return d
}

func rat(digits string) *big.Rat {
	r, _ := new(big.Rat).SetString(digits) // digits only, and at most forty of them
	return r
}

// decimal reads what follows the whole part from the point or comma on.
func (p *parser) decimal(whole string) (*big.Rat, error) {
	point := p.rest[:1]
	p.rest = p.rest[1:]
	after := p.digits()
	if whole == "" && after == "" {
		return nil, p.unfinished("There are no digits round the point yet: type something like %s.", p.example())
	}
	if point == "," {
		if after == "" {
			return nil, p.unfinished("There are no digits after the comma yet.")
		}
		if len(after) == 3 && strings.Trim(whole, "0") != "" {
			return nil, p.refuse("“%s” could be a thousand or a decimal: type %s.%s or %s%s.",
				p.text, whole, after, whole, after)
		}
	}
	if strings.HasPrefix(p.rest, ".") || strings.HasPrefix(p.rest, ",") {
		return nil, p.refuse("“%s” has two points: type one, as in 5.5.", p.text)
	}
	if p.rest != "" && (p.fractionAhead() || p.rest[0] == '/') {
		return nil, p.refuse("“%s” mixes a decimal with a fraction: type one or the other, as in 5.5 or 5 1/2.", p.text)
	}
	return rat("0" + whole + "." + after + "0"), nil
}

// fractionAhead reports whether a number stands next, perhaps after a space,
// dash or fraction mark.
func (p *parser) fractionAhead() bool {
	t := strings.TrimLeft(p.rest, " -"+glued)
	return t != "" && t[0] >= '0' && t[0] <= '9'
}

// fraction reads "/ denominator" after the numerator.
func (p *parser) fraction(num string) (*big.Rat, error) {
	p.rest = strings.TrimPrefix(p.rest, "/")
	den := p.digits()
	if den == "" {
		return nil, p.unfinished("The fraction has no lower number yet: type something like %s/8.", num)
	}
	if strings.Trim(den, "0") == "" {
		return nil, p.refuse("“%s” divides by nothing: type the lower number of the fraction, as in 1/8.", p.text)
	}
	if p.fractionAhead() || strings.HasPrefix(p.rest, "/") || strings.HasPrefix(p.rest, ".") || strings.HasPrefix(p.rest, ",") {
		return nil, p.refuse("“%s” goes on after its fraction: type one length, as in 5 1/2.", p.text)
	}
	return new(big.Rat).Quo(rat(num), rat(den)), nil
}

// mixed reads what may follow a whole number: nothing, or a fraction after a
// space, after a dash without spaces, or as one character.
func (p *parser) mixed(whole string) (*big.Rat, error) {
	if !p.fractionAhead() {
		if strings.HasPrefix(p.rest, "-") {
			return nil, p.unfinished("“%s” ends in a dash: finish the fraction, as in %s-1/2.", p.text, whole)
		}
		return rat(whole), nil
	}
	gap := p.rest[:len(p.rest)-len(strings.TrimLeft(p.rest, " -"+glued))]
	p.rest = p.rest[len(gap):]
	if strings.Contains(gap, "-") && gap != "-" {
		return nil, p.refuse("“%s” could be a sum with a minus: type %s 1/2 or %s-1/2 without spaces round the dash.", p.text, whole, whole)
	}
	num := p.digits()
	if !strings.HasPrefix(p.rest, "/") {
		if strings.Trim(p.rest, " ") == "" && strings.Trim(gap, " -") == "" {
			return nil, p.unfinished("“%s” is two numbers: finish the fraction, as in %s %s/8, or type one number.", p.text, whole, num)
		}
		return nil, p.refuse("“%s” has two whole numbers: type one, as in %s 1/8.", p.text, whole)
	}
	frac, err := p.fraction(num)
	if err != nil {
		return nil, err
	}
	sum := new(big.Rat).Add(rat(whole), frac)
	if frac.Cmp(big.NewRat(1, 1)) >= 0 {
		return nil, p.refuse("“%s” has a fraction of one or more after a whole number: type %s if that is what you mean.", p.text, mixedText(sum))
	}
	return sum, nil
}

// mixedText writes a positive rational as a mixed number.
func mixedText(r *big.Rat) string {
	whole := new(big.Int).Quo(r.Num(), r.Denom())
	rest := new(big.Rat).Sub(r, new(big.Rat).SetInt(whole))
	if rest.Sign() == 0 {
		return whole.String()
	}
	return whole.String() + " " + rest.String()
}
