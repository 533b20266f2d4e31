package measure

// Asked is a length that one kind of thing alone asks for: a fold or a construction
// brings it, the job keeps it by its name.
type Asked struct {
	Name, Label, Note  string
	Least, Most, Usual Length
	// Fine is set where thousandths decide, which a tick would hide.
	Fine bool
}

// In is the length as it was asked for, or the usual one.
func (a Asked) In(lengths map[string]Length) Length {
	if l, ok := lengths[a.Name]; ok {
		return l
	}
	return a.Usual
}
