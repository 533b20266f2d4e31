package device

// caliper reads to a hundredth of a millimetre.
var caliper = Kind{ID: "caliper", Name: "caliper", Reads: Thickness, Units: []string{"mm", "in"}, Step: 0.01, Off: 0.96, Calm: "put the piece on something that stands still, and close the jaws gently", Most: map[string]float64{"mm": 300, "in": 12}}

// NewCaliper is the simulated caliper.
func NewCaliper(b Behaviour) (*Meter, *Simulated) { return caliper.Simulated(b) }
