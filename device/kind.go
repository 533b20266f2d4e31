package device

// kinds are the devices that may stand at the table: each is a value in a file of its
// own.
var kinds = []*Kind{&caliper, &scale}

// Quantity is what a device reads of a piece.
type Quantity string

// What devices read.
const (
	Thickness Quantity = "thickness" // in millimetres
	Weight    Quantity = "weight"    // in grams
)

// Kind is a kind of device: what it is called, what it reads, and the simulated one
// that ships. Whoever adds one writes such a value and names it in the list above.
type Kind struct {
	ID, Name string
	Reads    Quantity
	// Tares is set where it can be set to zero.
	Tares bool
	// Units are those that it may answer in; the first is that of the simulated one,
	// Step its smallest step, and Off what it says of a piece that the sums call one:
	// foam gives, and paper is damp.
	Units     []string
	Step, Off float64
	// Calm is what helps where it never settles.
	Calm string
	// Most is the most that one measures, by unit: what is more, or under nothing, is no reading.
	Most map[string]float64
}

// Kinds lists the devices.
func Kinds() []*Kind { return kinds }

// Register adds a device to the table, and returns what takes it off again: for tests,
// which are to find that nothing else need be done.
func Register(k *Kind) (remove func()) {
	before := kinds
	kinds = append(kinds[:len(before):len(before)], k)
	return func() { kinds = before }
}

// Simulated is a simulated device of the kind, with the meter that reads it.
func (k *Kind) Simulated(b Behaviour) (*Meter, *Simulated) {
	s := &Simulated{Unit: k.Units[0], Step: k.Step, Behave: b}
	return &Meter{Name: k.Name, Calm: k.Calm, Kinds: k.Units, Most: k.Most, Patience: patience, Open: s.Open}, s
}
