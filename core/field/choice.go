package field

import (
	"slices"
	"strings"

	"yellowparcel/core/measure"
	"yellowparcel/core/say"
)

// Choice is one thing that can be chosen, by what it is called.
type Choice struct {
	ID   string `json:"id"`
	Name string `json:"name"`
}

// List is what a field is chosen from: the name that the screen finds it by, and
// what it knows.
type List struct {
	Name  string
	Knows func(id string) bool
}

// ListOf is a list of everything of a kind.
func ListOf[T ~string](name string, all []T) List {
	return List{name, func(id string) bool { return slices.Contains(all, T(id)) }}
}

// One is one of a list.
type One[T ~string] struct {
	untyped
	At *T
	List
	// None is set where nothing is an answer, too; Or is what nothing stands for.
	None bool
	Or   T
	// Gone is set where what is chosen may have gone from the list since: the plan
	// tells of it then, and the check lets it be.
	Gone bool
	// Told is what the check says of what is not known; %s is that.
	Told string
}

// Kind of the field.
func (*One[T]) Kind() Kind { return ChoiceKind }

func (o *One[T]) of() (string, bool) { return o.List.Name, o.None }

// Show is the ID of what is chosen.
func (o *One[T]) Show(measure.Style) (text, exact string) {
	if *o.At == "" {
		return string(o.Or), ""
	}
	return string(*o.At), ""
}

// Choose takes one of the list, or none.
func (o *One[T]) Choose(id, _ string, _ measure.Style) error {
	if !o.Knows(id) && !(id == "" && o.None) {
		return say.Refuse("“%s” is not there to be chosen: choose one of the list.", say.Clip(id))
	}
	*o.At = T(id)
	return nil
}

// Check refuses what the list does not know.
func (o *One[T]) Check(name string, _ measure.Style) error {
	id := string(*o.At)
	if o.Gone || o.Knows(id) || id == "" && (o.None || o.Or != "") {
		return nil
	}
	if o.Told != "" {
		return say.Refuse(o.Told, say.Clip(id))
	}
	return say.Refuse("The %s “%s” is not known: choose one of the list.", name, say.Clip(id))
}

// Some are some of a list; as a text their IDs parted by commas.
type Some[T ~string] struct {
	untyped
	At *[]T
	List
}

// Kind of the field.
func (*Some[T]) Kind() Kind { return ChoicesKind }

func (s *Some[T]) of() (string, bool) { return s.List.Name, true }

// Show is the IDs of what is chosen.
func (s *Some[T]) Show(measure.Style) (text, exact string) {
	ids := make([]string, len(*s.At))
	for i, id := range *s.At {
		ids[i] = string(id)
	}
	return strings.Join(ids, ","), ""
}

// Choose takes those of the list that are named, and no others.
func (s *Some[T]) Choose(ids, _ string, _ measure.Style) error {
	var list []T
	for _, id := range strings.FieldsFunc(ids, func(r rune) bool { return r == ',' }) {
		if !s.Knows(id) {
			return say.Refuse("“%s” is not there to be chosen: choose from the list.", say.Clip(id))
		}
		if !slices.Contains(list, T(id)) {
			list = append(list, T(id))
		}
	}
	*s.At = list
	return nil
}

// Check refuses what the list does not know.
func (s *Some[T]) Check(name string, _ measure.Style) error {
	for _, id := range *s.At {
		if !s.Knows(string(id)) {
			return say.Refuse("The %s “%s” is not known: choose from the list.", name, say.Clip(string(id)))
		}
	}
	return nil
}

// Yes and No are what a flag is set to.
const (
	Yes = "yes"
	No  = "no"
)

// Flag is yes or no.
type Flag struct {
	untyped
	At *bool
	// List names the list of what no and yes mean, where it is chosen rather than
	// ticked.
	List string
}

// Kind of the field.
func (*Flag) Kind() Kind { return FlagKind }

func (f *Flag) of() (string, bool) { return f.List, false }

// Show is yes or no.
func (f *Flag) Show(measure.Style) (text, exact string) {
	if *f.At {
		return Yes, ""
	}
	return No, ""
}

// Choose sets it to yes or no.
func (f *Flag) Choose(id, name string, _ measure.Style) error {
	if id != Yes && id != No {
		return say.Refuse("The %s is yes or no.", name)
	}
	*f.At = id == Yes
	return nil
}

// Check has nothing to refuse.
func (*Flag) Check(string, measure.Style) error { return nil }
