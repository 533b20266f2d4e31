package e2e

import (
	"io/fs"
	"os"
	"path/filepath"
	"regexp"
	"strings"
	"testing"
)

var (
	typeSizes = regexp.MustCompile(`(?:font-size|font):\s*([^;]+);`)
	gaps      = regexp.MustCompile(`(?m)(?:^|\s)(?:row-|column-)?gap:\s*([^;]+);`)
	sizeToken = regexp.MustCompile(`var\(--size-(?:title|number|text|note|small)\)`)
	gapToken  = regexp.MustCompile(`^(?:0|var\(--(?:near|gap|far)\))(?: (?:0|var\(--(?:near|gap|far)\)))?$`)
)

// Styles take their sizes of type and their gaps from one place: five sizes, three gaps. Only
// what is drawn at its true size is in millimetres, and a sign in a line is sized by that.
func TestStylesUseTheTokens(t *testing.T) {
	err := filepath.WalkDir("../ui/src", func(path string, d fs.DirEntry, err error) error {
		if err != nil || d.IsDir() || !strings.HasSuffix(path, ".vue") && !strings.HasSuffix(path, ".css") {
			return err
		}
		text, err := os.ReadFile(path)
		if err != nil {
			return err
		}
		style := string(text)
		if strings.HasSuffix(path, ".vue") {
			_, style, _ = strings.Cut(style, "<style")
		}
		for _, m := range typeSizes.FindAllStringSubmatch(style, -1) {
			trueSize := strings.Contains(path, "SwatchPage") || strings.Contains(path, "GaugePage") || strings.Contains(path, "CheckBar") || m[1] == "3.6px var(--body)"
			if !sizeToken.MatchString(m[1]) && m[1] != "inherit" && !strings.HasSuffix(m[1], "em") && !trueSize {
				t.Errorf("%s: type of %s", path, m[1])
			}
		}
		for _, m := range gaps.FindAllStringSubmatch(style, -1) {
			if !gapToken.MatchString(strings.TrimSpace(m[1])) {
				t.Errorf("%s: a gap of %s", path, m[1])
			}
		}
		return nil
	})
	if err != nil {
		t.Fatal(err)
	}
	look, err := os.ReadFile("../ui/src/frame/look.css")
	if err != nil {
		t.Fatal(err)
	}
	if n := len(regexp.MustCompile(`--size-\w+:`).FindAllString(string(look), -1)); n != 5 {
		t.Errorf("%d sizes of type", n)
	}
}
