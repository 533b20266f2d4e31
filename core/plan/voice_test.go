package plan

import (
	"fmt"
	"math/rand/v2"
	"os"
	"reflect"
	"regexp"
	"strings"
	"testing"
	"unicode"

	"yellowparcel/core/blank"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/say"
	"yellowparcel/internal/anyjob"
	"yellowparcel/internal/soak"
)

// oneWord are stretches that a reader takes in as one: sizes, numbers with their unit, and
// names that the maker gave.
var oneWord = regexp.MustCompile(`“[^”]*”|[−<>]? ?\d+(?:[.,]\d+)*(?: \d+⁄\d+|⁄\d+)?(?: × \d+(?:[.,]\d+)*(?: \d+⁄\d+|⁄\d+)?)?(?: (?:in|mm|cm|oz|lb|g|gsm|%))?`)

// ends are where a sentence does.
var ends = regexp.MustCompile(`[.!?]+(?:\s|$)`)

// wordsIn counts the words of a sentence; a sign between two numbers is none.
func wordsIn(s string) (n int) {
	for _, w := range strings.Fields(oneWord.ReplaceAllString(s, " 9 ")) {
		if strings.ContainsFunc(w, func(r rune) bool { return unicode.IsLetter(r) || unicode.IsDigit(r) }) {
			n++
		}
	}
	return n
}

// namesIn are what the maker called papers, envelopes and parts: each is read as one word.
func namesIn(j job.Job, shop job.Shop) *strings.Replacer {
	var list []string
	put := func(name string) {
		if strings.TrimSpace(name) != "" {
			list = append(list, name, "“”", say.Lower(name), "“”")
		}
	}
	for _, s := range shop.Stocks {
		put(s.Name)
	}
	for _, f := range shop.Envelopes {
		put(f.Name)
	}
	for _, p := range j.Parts {
		put(p.Name)
	}
	for _, k := range blank.Constructions() {
		put(k.Words.Name)
	}
	return strings.NewReplacer(list...)
}

// mostWords of a sentence, sentences of a note, words of a label.
const (
	mostWords  = 20
	mostInNote = 2
	mostLabel  = 3
	mostChoice = 6
)

// voice reports what nobody would say aloud.
func voice(kind reflect.Type, field, text string) string {
	list := []string{}
	for _, s := range ends.Split(oneWord.ReplaceAllString(text, "9"), -1) {
		if s = strings.TrimSpace(s); s != "" {
			list = append(list, s)
		}
	}
	for _, s := range list {
		if n := wordsIn(s); n > mostWords {
			return fmt.Sprintf("%d words in a sentence", n)
		}
	}
	switch {
	case kind == reflect.TypeFor[say.Note]() && len(list) > mostInNote:
		return fmt.Sprintf("%d sentences in a note", len(list))
	case field == "Label" && wordsIn(text) > mostLabel:
		return fmt.Sprintf("%d words in a label", wordsIn(text))
	case strings.Contains(text, "≈"):
		return "a number is about something"
	}
	return ""
}

// alien are the squares of the unit that a shop does not work in.
var alien = map[measure.Unit]*regexp.Regexp{
	measure.Inches: regexp.MustCompile(`[mc]m²`), measure.Millimetres: regexp.MustCompile(`square inch|in²`),
}

// unwanted are the phrases of docs/phrases.txt that must not be said somewhere.
func unwanted(t *testing.T, where string) (list []string) {
	t.Helper()
	raw, err := os.ReadFile("../../docs/phrases.txt")
	if err != nil {
		t.Fatal(err)
	}
	for line := range strings.Lines(string(raw)) {
		if phrase, in, ok := strings.Cut(line, " | "); ok && strings.Contains(in, where) {
			list = append(list, strings.ToLower(phrase))
		}
	}
	if len(list) < 10 {
		t.Fatalf("only %d phrases", len(list))
	}
	return list
}

// texts calls back with every text of a value, and the type and the field that it stands in.
func texts(v reflect.Value, in reflect.Type, field string, say func(in reflect.Type, field, text string)) {
	switch v.Kind() {
	case reflect.String:
		say(in, field, v.String())
	case reflect.Pointer, reflect.Interface:
		if !v.IsNil() {
			texts(v.Elem(), in, field, say)
		}
	case reflect.Slice, reflect.Array:
		for i := range v.Len() {
			texts(v.Index(i), in, field, say)
		}
	case reflect.Map:
		for _, k := range v.MapKeys() {
			texts(v.MapIndex(k), in, field, say)
		}
	case reflect.Struct:
		for i := range v.NumField() {
			texts(v.Field(i), v.Type(), v.Type().Field(i).Name, say)
		}
	}
}

// Everything that a plan says follows the voice of the program: short sentences, short
// notes, short labels, plain numbers.
func TestPlansFollowTheVoice(t *testing.T) {
	r := rand.New(rand.NewPCG(14, 1))
	told, never := map[string]string{}, unwanted(t, "plan")
	for i := range soak.Of(600) {
		shop := anyjob.Shop(r)
		shop.Unit = []measure.Unit{measure.Inches, measure.Millimetres}[i%2]
		j := anyjob.Job(r, shop)
		if len(Check(j, shop)) > 0 {
			continue
		}
		names := namesIn(j, shop)
		texts(reflect.ValueOf(Make(j, shop)), nil, "", func(in reflect.Type, field, text string) {
			text = names.Replace(text)
			wrong := voice(in, field, text)
			if alien[shop.Unit].MatchString(text) {
				wrong = "squares of the other unit"
			}
			for _, phrase := range never {
				if strings.Contains(strings.ToLower(text), phrase) {
					wrong = "it says “" + phrase + "”"
				}
			}
			if wrong != "" {
				key := fmt.Sprint(in, field) + regexp.MustCompile(`[\d⁄]+|“[^”]*”`).ReplaceAllString(text, "")
				if len(key) > 90 {
					key = key[:90]
				}
				told[key] = fmt.Sprintf("%v.%s: %s: %s", in, field, wrong, text)
			}
		})
	}
	for _, words := range told {
		t.Error(words)
	}
}

// What can be chosen is said in a few words, in both units.
func TestChoicesFollowTheVoice(t *testing.T) {
	for _, unit := range []measure.Unit{measure.Inches, measure.Millimetres} {
		shop := job.DefaultShop()
		shop.Unit = unit
		names := namesIn(job.Job{}, shop)
		for list, choices := range job.ChoicesIn(shop) {
			for _, c := range choices {
				if n := wordsIn(names.Replace(c.Name)); n > mostChoice {
					t.Errorf("%s, %s: %d words: %s", list, c.ID, n, c.Name)
				}
			}
		}
	}
}
