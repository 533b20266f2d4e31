package job

import (
	"encoding/json"
	"slices"
	"strconv"
	"strings"

	"yellowparcel/core/field"
)

// ChangeKind is what became of something between two states of a job.
type ChangeKind string

// The kinds.
const (
	FieldChanged ChangeKind = "changed" // a field has another value
	EntryAdded   ChangeKind = "added"
	EntryRemoved ChangeKind = "removed"
	OrderChanged ChangeKind = "order" // parts lie in another order
	OtherChanged ChangeKind = "other" // something that has no field, or whose field shows the same
)

// Change is one thing in which two states of a job differ.
type Change struct {
	Kind ChangeKind
	// Of is the part or thing that it belongs to, by its name; empty for the job itself.
	Of string
	// Field is what the field is called, Was and Now what it showed and shows; empty for
	// nothing.
	Field, Was, Now string
}

// Changes are the differences between two states of a job, as fields and entries: those of
// the job itself first, in the order of its table.
func Changes(before, after Job, shop Shop) (list []Change) {
	choices := ChoicesIn(shop)
	was, now := shown(before, shop, choices), shown(after, shop, choices)
	for _, id := range was.order {
		if _, here := now.names[id]; !here {
			list = append(list, Change{Kind: EntryRemoved, Of: was.names[id]})
		}
	}
	for _, id := range now.order {
		if _, there := was.names[id]; !there {
			list = append(list, Change{Kind: EntryAdded, Of: now.names[id]})
		}
	}
	for _, f := range now.fields {
		old, both := was.text[f.path]
		if both && old != now.text[f.path] {
			list = append(list, Change{FieldChanged, f.of, f.label, old, now.text[f.path]})
		}
	}
	if len(list) == 0 && !slices.Equal(was.order, now.order) {
		list = append(list, Change{Kind: OrderChanged})
	}
	if len(list) == 0 {
		for _, path := range differing(before, after) {
			label := ""
			for _, f := range now.fields { // the last one is the nearest
				if f.path == path || strings.HasPrefix(path, f.path+".") {
					label = f.label
				}
			}
			list = append(list, Change{Kind: OtherChanged, Of: path, Field: label})
		}
	}
	return list
}

// differing are the paths, of two steps, at which two jobs differ.
func differing(a, b Job) (list []string) {
	tree := func(j Job) map[string]map[string]json.RawMessage {
		var top map[string]json.RawMessage
		raw, err := json.Marshal(j)
		if err != nil || json.Unmarshal(raw, &top) != nil {
			return nil
		}
		two := map[string]map[string]json.RawMessage{}
		for key, value := range top {
			var below map[string]json.RawMessage
			if json.Unmarshal(value, &below) != nil {
				below = map[string]json.RawMessage{"": value}
			}
			two[key] = below
		}
		return two
	}
	x, y := tree(a), tree(b)
	for _, pair := range [][2]map[string]map[string]json.RawMessage{{x, y}, {y, x}} {
		for key, below := range pair[0] {
			for step, value := range below {
				path := strings.TrimSuffix(key+"."+step, ".")
				if string(pair[1][key][step]) != string(value) && !slices.Contains(list, path) {
					list = append(list, path)
				}
			}
		}
	}
	slices.Sort(list)
	return list
}

// shownState is a job as its fields show it, with entries by their IDs.
type shownState struct {
	fields []shownField
	text   map[string]string
	order  []string          // the entries
	names  map[string]string // of the entries
}

type shownField struct{ path, of, label string }

func shown(j Job, shop Shop, choices Choices) shownState {
	j = j.Clone()
	s := shownState{text: map[string]string{}, names: map[string]string{}}
	entry := func(list, id, name string) {
		s.order = append(s.order, list+"."+id)
		s.names[list+"."+id] = name
	}
	for _, p := range j.Parts {
		entry("parts", p.ID, p.Name)
	}
	for _, t := range j.Items {
		entry("items", t.ID, t.Name)
	}
	if j.Start != nil {
		entry("start", "", "the envelope that it began with")
	}
	if j.Recipe != nil {
		entry("recipe", "", "a recipe")
	}
	lists, style := j.lists(), shop.Style()
	for _, f := range j.Fields(shop) {
		path, of := f.Path, ""
		if steps := strings.SplitN(path, ".", 3); len(steps) == 3 && lists[steps[0]] != nil {
			if at, ok := entryAt(steps[1], lists[steps[0]]); ok {
				path = steps[0] + "." + at + "." + steps[2]
				of = s.names[steps[0]+"."+at]
			}
		}
		in := f.Input(style)
		text := in.Text
		if in.Unit != "" && text != "" {
			text += " " + in.Unit
		}
		if in.Kind == field.ChoiceKind || in.Kind == field.FlagKind {
			text = choiceName(choices[in.List], text)
		}
		label := f.Label
		if f.Name != "" {
			label = f.Name
		}
		s.fields = append(s.fields, shownField{path, of, label})
		s.text[path] = text
	}
	return s
}

// entryAt is the ID of the entry at a place.
func entryAt(place string, ids []string) (string, bool) {
	for i, id := range ids {
		if place == strconv.Itoa(i) {
			return id, true
		}
	}
	return "", false
}

func choiceName(list []field.Choice, id string) string {
	for _, c := range list {
		if c.ID == id {
			return c.Name
		}
	}
	return id
}
