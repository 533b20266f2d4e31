package e2e

import (
	"io/fs"
	"os"
	"regexp"
	"slices"
	"strings"
	"testing"

	"yellowparcel/core/field"
	"yellowparcel/core/job"
	"yellowparcel/core/plan"
	"yellowparcel/demo"
)

// sources are the texts of the front end, by their names, without what is made from
// the API's document.
func sources(t *testing.T) map[string]string {
	t.Helper()
	list := map[string]string{}
	dir := os.DirFS("../ui/src")
	err := fs.WalkDir(dir, ".", func(path string, d fs.DirEntry, err error) error {
		if err != nil || d.IsDir() || path == "api/schema.d.ts" || !strings.HasSuffix(path, ".vue") && !strings.HasSuffix(path, ".ts") {
			return err
		}
		raw, err := fs.ReadFile(dir, path)
		list[path] = string(raw)
		return err
	})
	if err != nil || len(list) < 40 {
		t.Fatalf("%d sources, %v", len(list), err)
	}
	return list
}

// everyPath are the paths that the plan and the shop name: fields, places where
// something may be added, entries, and offers; each numbered place as it stands in
// some job or shop.
func everyPath(t *testing.T) (list []string) {
	t.Helper()
	shop, problems, _ := job.ApplyToShop(demo.Shop(), []field.Edit{{Act: field.Add, Path: "rulebooks", Text: "us-domestic"}})
	if len(problems) > 0 {
		t.Fatal(problems)
	}
	put := func(fields []field.Field, adds []field.Addable) {
		for _, f := range fields {
			list = append(list, f.Path)
		}
		for _, a := range adds {
			list = append(list, a.Path, a.Path+".0") // what is added can be removed
		}
	}
	put(shop.Fields(), shop.Adds())
	for i, j := range demo.Jobs() {
		j, problems := plan.Apply(j, shop, []field.Edit{
			{Act: field.Add, Path: "recipe", Text: []string{"pair", "pocket"}[i%2]}, {Act: field.Add, Path: "start", Text: "own"},
			{Act: field.Add, Path: "items", Text: "stamp"}, {Act: field.Add, Path: "parts", Text: "layer"}, {Act: field.Add, Path: "parts", Text: "brad"},
			{Act: field.Add, Path: "parts", Text: "knot"},
		})
		if len(problems) > 0 {
			t.Fatal(problems)
		}
		for _, how := range []string{"parts.1.edges", "parts.1.own"} {
			k, problems := plan.Apply(j, shop, []field.Edit{{Act: field.Add, Path: how}})
			if len(problems) > 0 {
				t.Fatal(problems)
			}
			put(k.Fields(shop), k.Adds())
		}
	}
	list = append(append(list, plan.Offers()...), "style")
	slices.Sort(list)
	return slices.Compact(list)
}

// named is where a source names a path: as an attribute, as what an act is done at,
// or as the path of an edit.
var named = []*regexp.Regexp{
	regexp.MustCompile(`\spath="([^"]+)"`),
	regexp.MustCompile(`\s:path="\x60([^\x60]+)\x60"`),
	regexp.MustCompile(`\bpath: [\x60']([^\x60']+)[\x60']`),
	regexp.MustCompile(`\.(?:set|add|remove|move|take|type|step|textOf|inputAt|full)\(\s*[\x60']([^\x60']+)[\x60']`),
	regexp.MustCompile(`\bsetShop\(\s*'([^']+)'`),
	regexp.MustCompile(`\b(?:add|take)\('([^']+)'`),
}

// Every path that the screen names is one that the plan or the shop names: what stands
// in ${…} may be anything there.
func TestScreenNamesPathsOfThePlan(t *testing.T) {
	paths := everyPath(t)
	slot := regexp.MustCompile(`\$\{[^}]*\}`)
	found := 0
	for name, text := range sources(t) {
		for _, in := range named {
			for _, m := range in.FindAllStringSubmatch(text, -1) {
				path := m[1]
				if strings.HasPrefix(path, "/") || strings.HasPrefix(path, "M") || strings.HasPrefix(path, "$") && !strings.Contains(path, ".") && path != "${props.path}limits" {
					continue // an address, a drawing, or a path that the plan gave as it is
				}
				if slot.ReplaceAllString(path, "") == "" || !regexp.MustCompile(`^[\w.$ {}()'?&|/!-]+$`).MatchString(path) {
					continue
				}
				found++
				like := regexp.MustCompile("^" + slot.ReplaceAllString(regexp.QuoteMeta(slot.ReplaceAllString(path, "@@")), "") + "$")
				like = regexp.MustCompile(strings.ReplaceAll(like.String(), "@@", ".+"))
				if !slices.ContainsFunc(paths, like.MatchString) {
					t.Errorf("%s names %q, which no plan and no shop does", name, path)
				}
			}
		}
	}
	t.Logf("%d paths are named in the sources, %d by the plan", found, len(paths))
	if found < 70 {
		t.Errorf("only %d paths found in the sources", found)
	}
}

// written are the texts that a person reads: in a template between tags and in what names
// and describes, in a script what begins as a sentence does.
var (
	written = regexp.MustCompile(`>([^<>{}]*[A-Za-z][^<>{}]*)<|(?:label|placeholder|title|text|note)="([^"{}]+)"`)
	quoted  = regexp.MustCompile(`'([A-Z][^'\n]* [^'\n]*)'`)
)

// texts of a source of the screen.
func texts(source string) (list []string) {
	template, script := "", source
	if at := strings.Index(source, "<template>"); at >= 0 {
		script, template = source[:at], source[at:]
		template, _, _ = strings.Cut(template, "<style")
	}
	for _, m := range written.FindAllStringSubmatch(template, -1) {
		list = append(list, m[1]+m[2])
	}
	for _, m := range quoted.FindAllStringSubmatch(template+script, -1) {
		list = append(list, m[1])
	}
	return list
}

// What the screen says follows the voice of the program: short sentences, and none of the
// phrases of docs/phrases.txt.
func TestScreenFollowsTheVoice(t *testing.T) {
	raw, err := os.ReadFile("../docs/phrases.txt")
	if err != nil {
		t.Fatal(err)
	}
	var never []*regexp.Regexp
	for line := range strings.Lines(string(raw)) {
		if phrase, in, ok := strings.Cut(line, " | "); ok && strings.Contains(in, "screen") {
			never = append(never, regexp.MustCompile(`(?i)\b`+regexp.QuoteMeta(phrase)+`\b`))
		}
	}
	found := 0
	for name, source := range sources(t) {
		for _, said := range texts(source) {
			said = strings.Join(strings.Fields(said), " ")
			found++
			for _, re := range never {
				if re.MatchString(said) {
					t.Errorf("%s says %q, which has “%s”", name, said, re)
				}
			}
			for _, s := range regexp.MustCompile(`[.!?]\s`).Split(said, -1) {
				if n := len(strings.Fields(s)); n > 20 {
					t.Errorf("%s: %d words: %s", name, n, s)
				}
			}
		}
	}
	if found < 200 || len(never) < 10 {
		t.Errorf("only %d texts found, %d phrases", found, len(never))
	}
}
