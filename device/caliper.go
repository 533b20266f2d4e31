package device

// caliper reads to a hundredth of a millimetre.
var caliper = Kind{ID: "caliper", Name: "caliper", Reads: Thickness, Units: []string{"mm", "in"}, Step: 0.01, Off: 0.96}

// NewCaliper is the simulated caliper.
func NewCaliper(b Behaviour) (*Meter, *Simulated) { return caliper.Simulated(b) }
