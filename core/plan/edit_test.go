//go:build !race

package plan_test

import (
	"encoding/json"
	"fmt"
	"maps"
	"math/rand/v2"
	"reflect"
	"slices"
	"strconv"
	"strings"
	"testing"

	"yellowparcel/core/field"
	"yellowparcel/core/job"
	"yellowparcel/core/plan"
	"yellowparcel/demo"
	"yellowparcel/internal/anyjob"
	"yellowparcel/internal/soak"
)

var typedTexts = []string{"5 1/2", "140 mm", "0", "", "-3", "1/0", "9999", "5 1/", "moon", "1,000", "3 (76 mm)", "4 (90 mm)", "1e9", "½", "  7  ", "3, 3, 3", "yes", strings.Repeat("9", 60)}

// anyEdit is something that may be done to a job as its plan has it: mostly what the
// plan names, now and then what makes no sense.
func anyEdit(r *rand.Rand, j job.Job, p plan.Plan, lists job.Choices) field.Edit {
	ids := func(list string) string {
		if len(lists[list]) == 0 || r.IntN(12) == 0 {
			return anyjob.Pick(r, typedTexts...)
		}
		return lists[list][r.IntN(len(lists[list]))].ID
	}
	part := func() string {
		i := r.IntN(len(j.Parts) + 1)
		if i < len(j.Parts) && r.IntN(2) == 0 {
			return "parts." + j.Parts[i].ID
		}
		return fmt.Sprintf("parts.%d", i)
	}
	switch r.IntN(12) {
	case 0:
		return field.Edit{Act: field.Add, Path: "parts", Text: ids(anyjob.Pick(r, "papers", "things"))}
	case 1:
		return field.Edit{Act: field.Add, Path: anyjob.Pick(r, "items", "start", "recipe"), Text: ids(anyjob.Pick(r, "items", "formats", "recipes"))}
	case 2:
		return field.Edit{Act: field.Add, Path: part() + anyjob.Pick(r, ".edges", ".own", ".moon")}
	case 3:
		return field.Edit{Act: field.Remove, Path: anyjob.Pick(r, part(), part(), "items.0", "items.7", "start", "recipe", "card.outline", part()+".edges", part()+".own", "moon", "parts.moon")}
	case 4:
		return field.Edit{Act: field.Move, Path: part(), Steps: r.IntN(7) - 3}
	case 5, 6:
		var offered []field.Edit
		take := func(path, id string) {
			offered = append(offered, field.Edit{Act: field.Take, Path: path, Text: id})
		}
		for _, row := range p.Envelope.Comparison.Rows {
			take("envelope", row.ID)
		}
		for _, rem := range p.Mail.Remedies {
			take("mail.remedies", rem.ID)
		}
		if p.Start != nil {
			for _, s := range p.Start.Schools {
				take("start.schools", string(s.ID))
			}
		}
		if p.Paper.Have != nil {
			for _, row := range p.Paper.Have.Rows[:min(len(p.Paper.Have.Rows), 4)] {
				take("paper.have", row.ID)
			}
		}
		for _, row := range p.Layers.Rows {
			for _, g := range row.Rungs {
				take("layers.rungs", g.ID)
			}
		}
		take("recipe", "")
		take(anyjob.Pick(r, "moon", "paper.have"), "moon")
		return anyjob.Pick(r, offered...)
	}
	path := anyjob.Pick(r, slices.Sorted(maps.Keys(p.Fields))...)
	in := p.Fields[path]
	switch {
	case in.List != "" && r.IntN(3) > 0:
		return field.Edit{Act: field.Set, Path: path, Text: ids(in.List)}
	case in.Kind == field.FlagKind:
		return field.Edit{Act: field.Set, Path: path, Text: anyjob.Pick(r, field.Yes, field.No, "perhaps")}
	case r.IntN(3) == 0:
		return field.Edit{Act: field.Step, Path: path, Steps: r.IntN(40) - 20}
	}
	return field.Edit{Act: field.Type, Path: path, Text: anyjob.Pick(r, typedTexts...)}
}

// partIDs are the IDs of the parts, sorted.
func partIDs(j job.Job) []string {
	var ids []string
	for _, p := range j.Parts {
		ids = append(ids, p.ID)
	}
	slices.Sort(ids)
	return ids
}

// Whatever is done in whatever order, the job stays one that the check passes and a
// plan can be made of, no part is lost or doubled that was not to be, what is refused
// leaves the job as it was, and is told at its path in a sentence.
func TestEditsInAnyOrder(t *testing.T) {
	t.Parallel()
	const each = 40
	r := rand.New(rand.NewPCG(61, 65))
	acts := map[field.Act][2]int{}
	for range max(1, soak.Of(5000)/each) {
		shop := anyjob.Shop(r)
		j := anyjob.Job(r, shop)
		if len(plan.Check(j, shop)) > 0 {
			continue
		}
		lists := job.ChoicesIn(shop)
		p := plan.Make(j, shop)
		for range each {
			e := anyEdit(r, j, p, lists)
			before := plain(t, j)
			changed, problems := plan.Apply(j, shop, []field.Edit{e})
			told := fmt.Sprintf("%s %q %q %d", e.Act, e.Path, e.Text, e.Steps)
			if plain(t, j) != before {
				t.Fatalf("%s wrote into the job that it was given", told)
			}
			n := acts[e.Act]
			if len(problems) > 0 {
				n[1]++
				for _, p := range problems {
					if p.Path != e.Path || !strings.HasSuffix(p.Message, ".") || len(p.Message) < 15 {
						t.Errorf("%s: %+v", told, p)
					}
				}
				if plain(t, changed) != before {
					t.Fatalf("%s is refused, and changes the job all the same", told)
				}
				acts[e.Act] = n
				continue
			}
			n[0]++
			acts[e.Act] = n
			if list := plan.Check(changed, shop); len(list) > 0 {
				t.Fatalf("%s leaves a job that cannot be planned: %v", told, list)
			}
			partsKept(t, told, e, j, changed)
			fieldsKept(t, told, e, before, plain(t, changed))
			j, p = changed, plan.Make(changed, shop)
		}
	}
	for _, a := range []field.Act{field.Type, field.Step, field.Set, field.Add, field.Remove, field.Move, field.Take} {
		if n := acts[a]; n[0] < 3 || n[1] < 3 {
			t.Errorf("%s: %d done, %d refused: too few to tell", a, n[0], n[1])
		}
	}
}

// partsKept holds the parts after an edit against those before.
func partsKept(t *testing.T, told string, e field.Edit, j, changed job.Job) {
	t.Helper()
	was, is := partIDs(j), partIDs(changed)
	if len(slices.Compact(slices.Clone(is))) != len(is) {
		t.Fatalf("%s: two parts are called alike: %v", told, is)
	}
	more := 0
	_, _, entry := field.Entry(e.Path)
	switch {
	case e.Act == field.Take && e.Path == "mail.remedies":
		return // it may leave things off, or lay a shield over them
	case e.Act == field.Add && e.Path == "parts":
		more = 1
	case e.Act == field.Remove && strings.HasPrefix(e.Path, "parts.") && (entry || strings.Count(e.Path, ".") == 1):
		more = -1
	}
	if len(is) != len(was)+more {
		t.Fatalf("%s: %v becomes %v", told, was, is)
	}
	if more == 0 && !slices.Equal(was, is) {
		t.Fatalf("%s: %v becomes %v", told, was, is)
	}
}

// fieldsKept holds a typed, stepped or chosen field against all others: nothing but
// it changes, save for what is known to follow from it.
func fieldsKept(t *testing.T, told string, e field.Edit, before, after string) {
	t.Helper()
	if e.Act != field.Type && e.Act != field.Step && e.Act != field.Set {
		return
	}
	follows := func(path string) bool {
		for _, pair := range [][2]string{
			{".thing.width", ".thing.height"}, {"mail.destination", "mail.class"}, {"mail.measured.thickness", "mail.measured.thicknessOf"},
			{"mail.measured.grams", "mail.measured.gramsOf"}, {"mail.measured.through", "mail.measured.gaugeOf"}, {"mail.measured.", "mail.measured.stiffer"}, {"start.format", "start."},
			{"card.thickness", "card.thicknessOf"}, {"card.thickness", "mail.measured.thicknessOf"}, {"card.thickness", "mail.measured.gaugeOf"}, // of the same piece more is known
			{"envelope.", "envelope.wished"}, // what was wished for before a size was taken is no more
		} {
			if from, to := pair[0], pair[1]; (strings.HasSuffix(e.Path, from) || strings.HasPrefix(e.Path, from)) && strings.Contains(path, to) {
				return true
			}
		}
		return path == e.Path || strings.HasPrefix(path, e.Path+".")
	}
	for _, path := range differing(t, before, after) {
		if !follows(path) {
			t.Fatalf("%s changes %s as well", told, path)
		}
	}
}

func plain(t *testing.T, v any) string {
	t.Helper()
	raw, err := json.Marshal(v)
	if err != nil {
		t.Fatal(err)
	}
	return string(raw)
}

// differing are the paths at which two texts of JSON differ.
func differing(t *testing.T, a, b string) (paths []string) {
	t.Helper()
	flat := func(text string) map[string]any {
		var v any
		if err := json.Unmarshal([]byte(text), &v); err != nil {
			t.Fatal(err)
		}
		out := map[string]any{}
		var walk func(path string, v any)
		walk = func(path string, v any) {
			switch v := v.(type) {
			case map[string]any:
				for k, w := range v {
					walk(strings.TrimPrefix(path+"."+k, "."), w)
				}
			case []any:
				for i, w := range v {
					walk(fmt.Sprintf("%s.%d", path, i), w)
				}
			default:
				out[path] = v
			}
		}
		walk("", v)
		return out
	}
	x, y := flat(a), flat(b)
	for path := range x {
		if x[path] != y[path] {
			paths = append(paths, path)
		}
	}
	for path := range y {
		if _, ok := x[path]; !ok {
			paths = append(paths, path)
		}
	}
	return paths
}

// jsonPath reports whether a path is one of the JSON of a type.
func jsonPath(of reflect.Type, path string) bool {
	step, rest, more := strings.Cut(path, ".")
	for of.Kind() == reflect.Pointer {
		of = of.Elem()
	}
	switch of.Kind() {
	case reflect.Struct:
		for i := range of.NumField() {
			name, _, _ := strings.Cut(of.Field(i).Tag.Get("json"), ",")
			if name == step {
				return !more || jsonPath(of.Field(i).Type, rest)
			}
		}
	case reflect.Slice:
		if _, err := strconv.Atoi(step); err == nil {
			return !more || jsonPath(of.Elem(), rest)
		}
	case reflect.Map:
		return !more // what is kept by an ID, whatever points that has
	}
	return false
}

// Every field has the path of its value in the JSON, a label, and a list that is
// there; every choice of the list is one that the field takes.
func TestFieldsOfJobAndShop(t *testing.T) {
	shop := ownBook(t, "us-domestic")
	shop.Envelopes = demo.Shop().Envelopes
	jobs := demo.Jobs()
	for i := range jobs {
		jobs[i], _ = plan.Apply(jobs[i], shop, []field.Edit{
			{Act: field.Add, Path: "recipe", Text: []string{"pair", "corners", "pocket"}[i%3]}, {Act: field.Add, Path: "start", Text: "own"},
			{Act: field.Add, Path: "items", Text: "stamp"}, {Act: field.Add, Path: "parts", Text: "liner"},
			{Act: field.Add, Path: "parts.1." + []string{"edges", "own"}[i%2]},
		})
	}
	lists, kinds := job.ChoicesIn(shop), map[field.Kind]int{}
	check := func(fields []field.Field, of reflect.Type) {
		seen := map[string]bool{}
		for _, f := range fields {
			in := f.Input(shop.Style())
			kinds[in.Kind]++
			if !jsonPath(of, f.Path) || seen[f.Path] {
				t.Errorf("%s is no path of a %s, or stands twice", f.Path, of.Name())
			}
			seen[f.Path] = true
			if in.Label == "" || in.Label != strings.ToUpper(in.Label[:1])+in.Label[1:] && in.Label != "by" {
				t.Errorf("%s is called %q", f.Path, in.Label)
			}
			if in.List == "" && (in.Kind == field.ChoiceKind || in.Kind == field.ChoicesKind) {
				t.Errorf("%s is chosen from nothing", f.Path)
			}
			if in.List == "" {
				continue
			}
			if len(lists[in.List]) == 0 {
				t.Errorf("%s is chosen from %q, which is empty", f.Path, in.List)
			}
			for _, c := range lists[in.List] {
				if strings.HasSuffix(c.Name, "(put away)") || c.Name == "" {
					t.Errorf("%s: %+v", in.List, c)
				}
				if err := f.Apply(field.Edit{Act: field.Set, Path: f.Path, Text: c.ID}, shop.Style()); err != nil && f.Fits == nil {
					t.Errorf("%s refuses %q of its own list: %v", f.Path, c.ID, err)
				}
			}
			if in.Kind == field.ChoiceKind {
				if err := f.Apply(field.Edit{Act: field.Set, Path: f.Path, Text: "moon"}, shop.Style()); err == nil {
					t.Errorf("%s takes what is in no list", f.Path)
				}
			}
		}
	}
	for _, j := range jobs {
		check(j.Fields(shop), reflect.TypeFor[job.Job]())
	}
	shop = shop.Clone()
	check(shop.Fields(), reflect.TypeFor[job.Shop]())
	for _, k := range []field.Kind{
		field.LengthKind, field.LengthsKind, field.WeightKind, field.GrammageKind, field.CountKind, field.WordKind, field.ChoiceKind, field.ChoicesKind,
		field.FlagKind, field.PriceKind, field.DateKind,
	} {
		if kinds[k] == 0 {
			t.Errorf("no field of the kind %q", k)
		}
	}
}
