package mail

import "math"

// The measures of a piece that is bent: round the drum of a sorting machine, and over the
// edge of a table.

var pull = MeasureKind{
	ID: Pull, Words: MeasureWords{"stiffness", "too limp", "too stiff"}, Counted: Forces, Lighter: true, ByHand: true,
	Of:    one(func(p Piece) float64 { return p.Pull }),
	Error: func(p Piece) float64 { return math.Max(0, p.PullAtMost-p.Pull) },
}

var strain = MeasureKind{
	ID: Strain, Words: MeasureWords{"bending strain", "too limp", "too thick to bend"}, Counted: Percents, Lighter: true,
	Of: one(func(p Piece) float64 { return p.Strain }),
}

// tableBend is the test of whether a large envelope is flexible: the post asks for a bend, and the strain
// of it is the program's way to tell whether that would harm it.
var tableBend = MeasureKind{
	ID: TableBend, Words: MeasureWords{"bend over table", "too limp", "too stiff to bend over a table's edge"}, Counted: Percents, Lighter: true,
	Of:    one(func(p Piece) float64 { return p.TableStrain }),
	Asked: func(p Piece) float64 { return float64(p.TableBend) },
}
