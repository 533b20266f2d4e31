package plan

import (
	"encoding/json"
	"fmt"
	"reflect"
)

// MergeShop is what two windows made of one shop: mine and theirs both began as
// was. Entries are known by their IDs, so that what one window added, changed or
// put away stands beside what the other did. Where both changed the same thing mine
// stands, and a sentence says what it was; nothing is lost without a word.
func MergeShop(was, mine, theirs Shop) (Shop, []string, error) {
	var m merger
	var trees [3]any
	for i, s := range []Shop{was, mine, theirs} {
		raw, err := json.Marshal(s)
		if err != nil {
			return theirs, nil, err
		}
		if err := json.Unmarshal(raw, &trees[i]); err != nil {
			return theirs, nil, err
		}
	}
	raw, err := json.Marshal(m.merge(trees[0], trees[1], trees[2], "the shop"))
	if err != nil {
		return theirs, nil, err
	}
	var merged Shop
	if err := json.Unmarshal(raw, &merged); err != nil {
		return theirs, nil, err
	}
	return merged, m.told, nil
}

type merger struct{ told []string }

// merge joins three trees of JSON; in names the entry that they belong to.
func (m *merger) merge(was, mine, theirs any, in string) any {
	switch {
	case reflect.DeepEqual(mine, was) || reflect.DeepEqual(mine, theirs):
		return theirs
	case reflect.DeepEqual(theirs, was):
		return mine
	}
	a, isObject := mine.(map[string]any)
	b, bothObjects := theirs.(map[string]any)
	if isObject && bothObjects {
		base, _ := was.(map[string]any)
		return m.objects(base, a, b, in)
	}
	c, isList := mine.([]any)
	d, bothLists := theirs.([]any)
	if isList && bothLists {
		base, _ := was.([]any)
		if keyed(base) && keyed(c) && keyed(d) {
			return m.entries(base, c, d)
		}
	}
	m.told = append(m.told, fmt.Sprintf("Another window changed %s to %s meanwhile; what you entered here stands now.", in, worded(theirs)))
	return mine
}

func worded(v any) string {
	switch v := v.(type) {
	case map[string]any, []any:
		return "something else"
	case string:
		return "“" + clip(v) + "”"
	}
	return fmt.Sprint(v)
}

func (m *merger) objects(was, mine, theirs map[string]any, in string) any {
	if name, ok := theirs["name"].(string); ok {
		in = "“" + clip(name) + "”"
	}
	out := map[string]any{}
	for key := range mine {
		out[key] = nil
	}
	for key := range theirs {
		out[key] = nil
	}
	for key := range out {
		// A field that is left out is as good as null here: both read as nothing.
		if v := m.merge(was[key], mine[key], theirs[key], in); v != nil {
			out[key] = v
		} else {
			delete(out, key)
		}
	}
	return out
}

// idOf is the ID of an entry of a list; a rulebook has it in its file.
func idOf(v any) string {
	entry, _ := v.(map[string]any)
	if file, ok := entry["file"].(map[string]any); ok {
		entry = file
	}
	id, _ := entry["id"].(string)
	return id
}

// keyed reports whether every entry of a list has an ID of its own.
func keyed(list []any) bool {
	seen := map[string]bool{}
	for _, v := range list {
		id := idOf(v)
		if id == "" || seen[id] {
			return false
		}
		seen[id] = true
	}
	return true
}

func find(list []any, id string) any {
	for _, v := range list {
		if idOf(v) == id {
			return v
		}
	}
	return nil
}

// entries joins lists by the IDs of their entries, in their order, mine last.
func (m *merger) entries(was, mine, theirs []any) any {
	var out []any
	for _, t := range theirs {
		id := idOf(t)
		base, here := find(was, id), find(mine, id)
		switch {
		case base == nil && here != nil && !reflect.DeepEqual(here, t):
			out = append(out, t) // both added one: mine comes below, under another ID
		case base != nil && here == nil && reflect.DeepEqual(base, t):
			// removed here, and untouched there
		case here == nil:
			out = append(out, t)
		default:
			out = append(out, m.merge(base, here, t, "an entry"))
		}
	}
	for _, v := range mine {
		id := idOf(v)
		base, there := find(was, id), find(theirs, id)
		switch {
		case base == nil && (there == nil || !reflect.DeepEqual(there, v)):
			out = append(out, renamed(v, out))
		case base != nil && there == nil && !reflect.DeepEqual(base, v):
			out = append(out, v) // removed there, but changed here
		}
	}
	return out
}

// renamed is an entry under an ID that no other one has.
func renamed(v any, others []any) any {
	id := idOf(v)
	if find(others, id) == nil {
		return v
	}
	n := 2
	for find(others, fmt.Sprintf("%s-%d", id, n)) != nil {
		n++
	}
	entry := cloned(v.(map[string]any))
	if file, ok := entry["file"].(map[string]any); ok {
		file = cloned(file)
		file["id"], entry["file"] = fmt.Sprintf("%s-%d", id, n), file
		return entry
	}
	entry["id"] = fmt.Sprintf("%s-%d", id, n)
	return entry
}

func cloned(m map[string]any) map[string]any {
	out := make(map[string]any, len(m))
	for k, v := range m {
		out[k] = v
	}
	return out
}
