package field

import (
	"slices"
	"strconv"
	"strings"

	"yellowparcel/core/say"
)

// Act is what an edit does.
type Act string

// The acts.
const (
	Type   Act = "type"   // a text into a field
	Step   Act = "step"   // a field by so many of its smallest steps
	Set    Act = "set"    // a field to one of its choices
	Add    Act = "add"    // something to a list, or what may be there or not
	Remove Act = "remove" // something from a list, or what may be there or not
	Move   Act = "move"   // an entry of a list by so many places
	Take   Act = "take"   // something that the plan offers
)

// Edit is one thing that the maker did to a job or to the shop.
type Edit struct {
	Act Act `json:"act" enum:"type,step,set,add,remove,move,take"`
	// Path is where: a field, a list, an entry of a list, or an offer of the plan. An
	// entry is named by its place or by its ID.
	Path string `json:"path" maxLength:"200" format:"field-path"`
	// Text is what was typed, or the ID of what is set, added or taken.
	Text string `json:"text,omitempty" maxLength:"400000"`
	// Steps is by how many ticks or places.
	Steps int `json:"steps,omitempty" minimum:"-1000" maximum:"1000"`
	// Was is what the field showed before, or what is removed as JSON, where that is
	// known: when it is another by now, another window has been there.
	Was *string `json:"was,omitempty" maxLength:"400000"`
}

// mostTyped is how long what is typed in a field may be; what is added may be a
// file.
const mostTyped = 300

// Check refuses an edit that no field takes.
func (e Edit) Check() error {
	switch {
	case !slices.Contains([]Act{Type, Step, Set, Add, Remove, Move, Take}, e.Act):
		return say.Refuse("“%s” is nothing that can be done to a field.", say.Clip(string(e.Act)))
	case (e.Act == Type || e.Act == Set) && len(e.Text) > mostTyped:
		return say.Refuse("That is too long for a field: type at most %d characters.", mostTyped)
	}
	return nil
}

// Addable is a place where something may be added.
type Addable struct {
	// Path is the list, or what may be there or not; Lists are the names of the lists of
	// what may be added to it, none where there is no choice.
	Path  string   `json:"path" format:"field-path"`
	Lists []string `json:"lists"`
	// Full is set where it holds as much as can be planned.
	Full bool `json:"full"`
}

// Lists are the IDs of the entries of lists, by the path of the list, in their
// order.
type Lists map[string][]string

// Place is a path with every entry named by its place: "parts.lining.border" is
// "parts.2.border" where the lining is the third part. What is not there is refused.
func (l Lists) Place(path string) (string, error) {
	steps := strings.Split(path, ".")
	for i := 1; i < len(steps); i++ {
		list := strings.Join(steps[:i], ".")
		ids, ok := l[list]
		if !ok {
			continue
		}
		if _, err := strconv.Atoi(steps[i]); err == nil {
			continue
		}
		at := slices.Index(ids, steps[i])
		if at < 0 {
			return "", say.Refuse("What this belongs to is not there any more: another act or another window removed it.")
		}
		steps[i] = strconv.Itoa(at)
	}
	return strings.Join(steps, "."), nil
}

// Entry is the list and the place that a path names: "parts" and 2 for "parts.2". It
// is false for the path of anything else.
func Entry(path string) (list string, at int, ok bool) {
	i := strings.LastIndexByte(path, '.')
	if i < 0 {
		return "", 0, false
	}
	at, err := strconv.Atoi(path[i+1:])
	return path[:i], at, err == nil && at >= 0
}

// Find is the field at a path.
func Find(fields []Field, path string) (Field, bool) {
	for _, f := range fields {
		if f.Path == path {
			return f, true
		}
	}
	return Field{}, false
}

// NewID is an ID that none of the taken ones is: the kind of thing with a number.
func NewID(kind string, taken []string) string {
	for n := 1; ; n++ {
		if id := kind + "-" + strconv.Itoa(n); !slices.Contains(taken, id) {
			return id
		}
	}
}
