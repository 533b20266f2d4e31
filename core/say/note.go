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
}

// Says is a sentence in that tone.
func (t Tone) Says(text string) Note { return Note{t, text} }
