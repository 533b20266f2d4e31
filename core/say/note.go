package say

// Tone says how a sentence is meant, so that a screen can mark it.
type Tone string

// The tones.
const (
	Fine    Tone = "fine"
	Care    Tone = "care"
	Trouble Tone = "trouble"
)

// Note is a sentence with its tone.
type Note struct {
	Tone Tone   `json:"tone"`
	Text string `json:"text"`
	// Act is what changes it with one act; nil where nothing does.
	Act *Act `json:"act,omitempty"`
}

// Act is an offer of the plan that a note speaks of: where it stands, what is taken, and
// what its button says.
type Act struct {
	Path  string `json:"path" format:"field-path"`
	ID    string `json:"id"`
	Label string `json:"label"`
}

// Says is a sentence in that tone.
func (t Tone) Says(text string) Note { return Note{Tone: t, Text: text} }

// With is the note with an act.
func (n Note) With(a Act) Note {
	n.Act = &a
	return n
}
