package device

// scale is a postal scale, to a tenth of a gram.
var scale = Kind{ID: "scale", Name: "scale", Reads: Weight, Tares: true, Units: []string{"g", "oz"}, Step: 0.1, Off: 1.02, Calm: "put it on something that stands still, out of draughts, and take your hands off", Most: map[string]float64{"g": 50_000, "oz": 1_760}}

// NewScale is the simulated postal scale.
func NewScale(b Behaviour) (*Meter, *Simulated) { return scale.Simulated(b) }
