package job

// Only is what alone of a job is made; empty for all of it.
type Only string

// What may be made alone.
const (
	OnlyEnvelope Only = "envelope"
	OnlyLayers   Only = "layers"
	OnlyBase     Only = "base"
)

// Onlys lists them.
func Onlys() []Only { return []Only{OnlyEnvelope, OnlyLayers, OnlyBase} }

// only is what alone is made: of a card that is finished its envelope.
func only(j Job) Only {
	if j.Card.Made {
		return OnlyEnvelope
	}
	return j.Paper.Only
}

// MakesBase reports whether the card's base is still made, MakesLayers whether its layers and the sheet inside
// are, MakesEnvelope whether it goes into an envelope that is made, or taken, here.
func MakesBase(j Job) bool { return only(j) == "" || only(j) == OnlyBase }

// MakesLayers is for the layers.
func MakesLayers(j Job) bool { return only(j) == "" || only(j) == OnlyLayers }

// MakesEnvelope is for the envelope.
func MakesEnvelope(j Job) bool {
	return (only(j) == "" || only(j) == OnlyEnvelope) && !j.Mail.WithoutEnvelope()
}
