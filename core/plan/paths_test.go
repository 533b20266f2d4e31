package plan

import (
	"os"
	"regexp"
	"slices"
	"strings"
	"testing"

	"yellowparcel/core/field"
	"yellowparcel/core/job"
	"yellowparcel/demo"
)

// pathsFile is where the screen has its type of paths; make types writes it anew.
const pathsFile = "../../ui/src/api/paths.ts"

// everyPath are the paths that a plan and the shop name: fields, places where something may be
// added, entries, and offers; each numbered place as it stands in some job or shop.
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
		j, problems := Apply(j, shop, []field.Edit{
			{Act: field.Add, Path: "recipe", Text: []string{"pair", "pocket"}[i%2]}, {Act: field.Add, Path: "start", Text: "own"},
			{Act: field.Add, Path: "items", Text: "stamp"}, {Act: field.Add, Path: "parts", Text: "layer"}, {Act: field.Add, Path: "parts", Text: "brad"},
			{Act: field.Add, Path: "parts", Text: "knot"},
		})
		if len(problems) > 0 {
			t.Fatal(problems)
		}
		for _, how := range []string{"parts.1.edges", "parts.1.own"} {
			k, problems := Apply(j, shop, []field.Edit{{Act: field.Add, Path: how}})
			if len(problems) > 0 {
				t.Fatal(problems)
			}
			put(k.Fields(shop), k.Adds())
		}
	}
	return append(append(list, Offers()...), "style")
}

// The paths that the screen may name are those of the plan and the shop: its type of them is made
// from these.
func TestPathsOfTheScreen(t *testing.T) {
	place, stock := regexp.MustCompile(`\.\d+`), regexp.MustCompile(`^(paper\.sheets\.).+`)
	var paths, lines, leaves []string
	for _, path := range everyPath(t) {
		paths = append(paths, stock.ReplaceAllString(place.ReplaceAllString(path, ".$${number}"), "$1$${string}"))
	}
	slices.Sort(paths)
	for _, path := range slices.Compact(paths) {
		below := func(other string) bool { return strings.HasPrefix(other, path+".") }
		if strings.HasSuffix(path, ".${number}") && !slices.ContainsFunc(paths, below) {
			continue // what is added there is no entry of a list: it is removed where it was added
		}
		lines = append(lines, "  | `"+path+"`\n")
		for _, above := range []string{".", ".${number}."} {
			if at := strings.LastIndex(path, above); at >= 0 && !strings.HasSuffix(path, "}") {
				leaves = append(leaves, "  | '"+path[at+len(above):]+"'\n")
			}
		}
	}
	slices.Sort(leaves)
	now := "// Made by make types from the fields of the job and the shop. Do not change it by hand.\n\n" +
		"/** Where an edit is made: a field, a list, an entry of one, or an offer of the plan. */\n" +
		"export type FieldPath =\n" + strings.Join(lines, "") +
		"\n/** What stands last in a path below another. */\nexport type Leaf =\n" + strings.Join(slices.Compact(leaves), "")
	if os.Getenv("GOLDEN") == "update" {
		if err := os.WriteFile(pathsFile, []byte(now), 0o600); err != nil {
			t.Fatal(err)
		}
	}
	was, err := os.ReadFile(pathsFile)
	if err != nil || string(was) != now {
		t.Errorf("%s is not made from today's fields (%v): run make types", pathsFile, err)
	}
	if len(lines) < 150 {
		t.Errorf("only %d paths", len(lines))
	}
}
