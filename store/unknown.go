package store

import (
	"bytes"
	"encoding/json"
	"reflect"
	"strings"
)

// keepUnknown adds to a fresh body what the stored one holds and this program does
// not know: a newer program wrote it, and this one must not lose it. Objects are
// matched by their place, entries of lists by their IDs; what this program knows
// and left out stays left out. A stored body that cannot be read has nothing to
// keep.
func keepUnknown(stored, fresh []byte, known reflect.Type) []byte {
	old, err := tree(stored)
	if err != nil {
		return fresh
	}
	now, err := tree(fresh)
	if err != nil || !takeUnknown(old, now, known) {
		return fresh
	}
	kept, err := json.Marshal(now)
	if err != nil {
		return fresh
	}
	return kept
}

// tree reads JSON with its numbers as they are written.
func tree(body []byte) (v any, err error) {
	d := json.NewDecoder(bytes.NewReader(body))
	d.UseNumber()
	err = d.Decode(&v)
	return v, err
}

// takeUnknown takes over what the type does not know; it reports whether there
// was anything.
func takeUnknown(old, now any, known reflect.Type) (taken bool) {
	for known.Kind() == reflect.Pointer {
		known = known.Elem()
	}
	switch known.Kind() {
	case reflect.Struct:
		from, ok := old.(map[string]any)
		to, both := now.(map[string]any)
		if !ok || !both {
			return false
		}
		fields := fieldsOf(known)
		for key, v := range from {
			field, ours := fields[key]
			switch {
			case !ours:
				to[key], taken = v, true
			case to[key] != nil:
				taken = takeUnknown(v, to[key], field) || taken
			}
		}
	case reflect.Slice:
		from, ok := old.([]any)
		to, both := now.([]any)
		if !ok || !both || known.Elem().Kind() != reflect.Struct {
			return false
		}
		for _, entry := range to {
			if same := entryLike(from, entry); same != nil {
				taken = takeUnknown(same, entry, known.Elem()) || taken
			}
		}
	}
	return taken
}

// entryLike is the entry of a list with the same ID as another; nil for none.
func entryLike(list []any, entry any) any {
	object, _ := entry.(map[string]any)
	id, _ := object["id"].(string)
	if id == "" {
		return nil
	}
	for _, v := range list {
		if o, _ := v.(map[string]any); o["id"] == id {
			return v
		}
	}
	return nil
}

// fieldsOf are the JSON names of a struct's fields with their types.
func fieldsOf(t reflect.Type) map[string]reflect.Type {
	fields := map[string]reflect.Type{}
	for i := range t.NumField() {
		f := t.Field(i)
		name, _, _ := strings.Cut(f.Tag.Get("json"), ",")
		switch {
		case f.Anonymous && name == "":
			for key, inner := range fieldsOf(f.Type) {
				fields[key] = inner
			}
		case name != "" && name != "-":
			fields[name] = f.Type
		case name == "" && f.IsExported():
			fields[f.Name] = f.Type
		}
	}
	return fields
}
