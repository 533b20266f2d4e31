package plan

import (
	"go/ast"
	"go/parser"
	"go/token"
	"io/fs"
	"path/filepath"
	"reflect"
	"regexp"
	"slices"
	"strconv"
	"strings"
	"testing"

	"yellowparcel/core/say"
)

// slot stands for what is put into a refusal.
var slot = regexp.MustCompile(`%(?:\[\d\])?[a-z]`)

// refusing are the functions whose text is said to the maker.
var refusing = []string{"Refuse", "Errorf", "New", "Error404NotFound", "Error409Conflict", "Error422UnprocessableEntity"}

// Every refusal follows the voice of the program, wherever it is written: read from the
// sources, so that none is missed.
func TestRefusalsFollowTheVoice(t *testing.T) {
	never, seen := unwanted(t, "plan"), 0
	for _, room := range []string{"../", "../../server", "../../format", "../../store"} {
		err := filepath.WalkDir(room, func(path string, d fs.DirEntry, err error) error {
			if err != nil || d.IsDir() || !strings.HasSuffix(path, ".go") || strings.HasSuffix(path, "_test.go") {
				return err
			}
			file, err := parser.ParseFile(token.NewFileSet(), path, nil, 0)
			if err != nil {
				return err
			}
			ast.Inspect(file, func(n ast.Node) bool {
				text, ok := refusalIn(n)
				if !ok {
					return true
				}
				seen++
				text = slot.ReplaceAllString(text, "9")
				if fault := voice(reflect.TypeFor[say.Sentence](), "", text); fault != "" {
					t.Errorf("%s: %s: %s", path, fault, text)
				}
				for _, phrase := range never {
					if strings.Contains(strings.ToLower(text), phrase) {
						t.Errorf("%s says “%s”: %s", path, phrase, text)
					}
				}
				return true
			})
			return nil
		})
		if err != nil {
			t.Fatal(err)
		}
	}
	if seen < 100 {
		t.Errorf("only %d refusals were read", seen)
	}
}

// refusalIn is the text of a call that refuses something; what begins with a small letter is
// put into another sentence.
func refusalIn(n ast.Node) (string, bool) {
	call, ok := n.(*ast.CallExpr)
	if !ok || len(call.Args) == 0 {
		return "", false
	}
	f, ok := call.Fun.(*ast.SelectorExpr)
	if !ok || !slices.Contains(refusing, f.Sel.Name) {
		return "", false
	}
	lit, ok := call.Args[0].(*ast.BasicLit)
	if !ok || lit.Kind != token.STRING {
		return "", false
	}
	text, err := strconv.Unquote(lit.Value)
	if err != nil || text == "" || !strings.HasPrefix(text, "“") && !strings.HasPrefix(text, "%") && !(text[0] >= 'A' && text[0] <= 'Z') {
		return "", false
	}
	return text, strings.HasSuffix(text, ".")
}
