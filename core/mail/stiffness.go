package mail

import "math"

// The drum of the sorting machine that the letter rule speaks of, and what
// bends round it before it creases.
const (
	// DrumRadius is that of a drum of 11 in, in millimetres.
	DrumRadius = 5.5 * 25.4
	// FoamModulus is that of foam in GPa; in shear it is that over 2.6.
	FoamModulus = 0.002
	foamShear   = FoamModulus / 2.6
	// FoamCover is the share of a raised piece that foam usually holds.
	FoamCover = 0.25
	// Gravity is in metres a second squared.
	Gravity = 9.80665
)

// Beam is a piece as it is bent along its length: its stiffness from station to
// station. Lengths are millimetres, stiffness is EI in N·mm².
type Beam struct {
	Length float64
	// From is where the piece begins, in the coordinates of the face.
	From float64
	// EI is the stiffness in the middle of each of as many equal stretches.
	EI []float64
	// Strain is the greatest of an outermost fibre on the drum, Outer how far that lies
	// from the neutral axis.
	Strain, Outer float64
	// Rigid is the longest part that does not bend with the rest, by its place in
	// the relief, RigidLength how long it is; zero for none.
	Rigid       int
	RigidLength float64
}

// Sheet is paper of the envelope over the whole piece, or a part of its length.
type Sheet struct {
	From, To         float64 // along the length
	Breadth, Caliper float64
	Modulus          float64
	Times            int // how many lie loosely on each other
}

// stations is how many stretches a beam is divided into; docs/sums.md shows how
// the pull converges.
const stations = 60

// rigidOver is how much stiffer than the card under it a part is that does not
// bend with it.
const rigidOver = 20

// ply is one thing in a cross-section: its breadth, the height of its lower face
// and its thickness.
type ply struct {
	breadth, low, thick, modulus float64
	bends                        bool
}

// group is glued plies with a common neutral axis.
type group struct {
	plies []ply
	foam  float64 // the foam below it, that parts it from the group before
	area  float64 // breadth of that foam
}

// axis is the stiffness of a group in bending and in stretching, and the height
// of its neutral axis.
func (g group) axis() (ei, ea, at float64) {
	moment := 0.0
	for _, p := range g.plies {
		a := p.modulus * p.breadth * p.thick * 1e3 // N: GPa is kN/mm²
		ea += a
		moment += a * (p.low + p.thick/2)
	}
	if ea == 0 {
		return 0, 0, 0
	}
	at = moment / ea
	for _, p := range g.plies {
		d := p.low + p.thick/2 - at
		ei += 1e3 * p.modulus * p.breadth * p.thick * (p.thick*p.thick/12 + d*d)
	}
	return ei, ea, at
}

// outer is how far the outermost fibre of what has to bend lies from the neutral
// axis of it.
func (g group) outer() (c float64) {
	bent := group{}
	for _, p := range g.plies {
		if p.bends {
			bent.plies = append(bent.plies, p)
		}
	}
	_, _, at := bent.axis()
	for _, p := range bent.plies {
		c = math.Max(c, math.Max(math.Abs(p.low-at), math.Abs(p.low+p.thick-at)))
	}
	return c
}

// Sandwich is the stiffness of two faces with foam between them: what each has,
// and what they have together as far as the foam's shear lets them act as one.
// EI in N·mm², EA in N, lengths in mm; cover is the share of the breadth that
// foam holds. See "Stiffness" in docs/sums.md.
func Sandwich(ei1, ea1, ei2, ea2, apart, foam, breadth, length, cover float64) float64 {
	if ea1+ea2 == 0 {
		return ei1 + ei2
	}
	d := ea1 * ea2 / (ea1 + ea2) * apart * apart
	eta := 1.0
	if foam > 0 {
		s := cover * foamShear * 1e3 * breadth * apart * apart / foam
		eta = 1 / (1 + 9.6*d/(s*length*length))
	}
	return ei1 + ei2 + eta*d
}

// NewBeam bends a card with the sheets of its envelope along x when wide is set,
// else along y. The length is that of the whole piece, with the card in its middle;
// zero for that of a bare card with all that lies on it. The base has so many loose
// panels.
func NewBeam(r Relief, sheets []Sheet, length float64, wide bool, panels int) Beam {
	face := r.Parts[0]
	x0, y0, x1, y1 := r.Outer()
	along, low, begin, end := face.X1-face.X0, face.X0, x0, x1
	if !wide {
		along, low, begin, end = face.Y1-face.Y0, face.Y0, y0, y1
	}
	shift := low - (length-along)/2 // from the piece's own length to the face's
	if length == 0 {
		shift, length = begin, end-begin
	}
	b := Beam{Length: length, From: shift}
	card := math.Inf(1) // the softest station within the card
	// Where no disc lies, all places with the same parts are alike.
	type alike struct{ ei, strain float64 }
	known := map[uint64]alike{}
	for i := range stations {
		x := length * (float64(i) + 0.5) / stations
		here, round := r.under(x+shift, wide)
		one, ok := known[here]
		if !ok || round {
			one.ei, one.strain = r.station(x+shift, length, wide, panels)
			known[here] = one
		}
		ei, strain := one.ei, one.strain
		if x+shift > low && x+shift < low+along {
			card = math.Min(card, ei)
		}
		for _, s := range sheets {
			if x > s.From && x < s.To {
				ei += float64(s.Times) * 1e3 * s.Modulus * s.Breadth * math.Pow(s.Caliper, 3) / 12
			}
		}
		b.EI = append(b.EI, ei)
		b.Strain = math.Max(b.Strain, strain)
	}
	b.Outer = b.Strain * DrumRadius
	for i, p := range r.Parts[1:] {
		long, broad := p.X1-p.X0, p.Y1-p.Y0
		if !wide {
			long, broad = broad, long
		}
		own := 1e3 * p.Modulus * broad * math.Pow(p.Caliper-p.Foam, 3) / 12
		if !p.Draping && own > rigidOver*card && long > b.RigidLength {
			b.Rigid, b.RigidLength = i+1, long
		}
	}
	return b
}

// under are the parts at a place along the length, and whether a disc is among
// them.
func (r Relief) under(x float64, wide bool) (parts uint64, round bool) {
	for i := range r.Parts {
		if p := &r.Parts[i]; p.within(x, !wide) {
			parts |= 1 << i
			round = round || p.Disc
		}
	}
	return parts, round
}

// station is the stiffness of the card at a place along its length, and the
// strain of its outermost fibre on the drum. Parts glued to what they lie on
// bend with it about one neutral axis, loose ones by themselves; a part on foam
// begins a face of its own.
func (r Relief) station(x, length float64, wide bool, panels int) (ei, strain float64) {
	var stacks [][]group // loose stacks of glued groups, parted by foam
	for i := range r.Parts {
		p := &r.Parts[i]
		low, high, ok := p.span(x, !wide)
		if !ok {
			continue
		}
		thick := p.Caliper - p.Foam
		own := ply{high - low, r.Tops[i] - thick, thick, p.Modulus, p.Bends}
		switch {
		case i == 0 && panels > 1:
			// The panels of a folded card lie loosely on each other; what is glued on
			// the face bends with the uppermost.
			own.thick /= float64(panels)
			for range panels {
				stacks = append(stacks, []group{{plies: []ply{own}}})
				own.low += own.thick
			}
			stacks[len(stacks)-1][0].plies[0].low = r.Tops[0] - own.thick
		case i == 0 || p.Loose:
			stacks = append(stacks, []group{{plies: []ply{own}}})
		case len(stacks) == 0:
			// Past the edge of the face there is nothing to be glued to.
			stacks = append(stacks, []group{{plies: []ply{own}}})
		case p.Foam > 0:
			s := &stacks[len(stacks)-1]
			*s = append(*s, group{plies: []ply{own}, foam: p.Foam, area: high - low})
		default:
			s := stacks[len(stacks)-1]
			s[len(s)-1].plies = append(s[len(s)-1].plies, own)
		}
	}
	for _, s := range stacks {
		var ei1, ea1, at1 float64
		for k, g := range s {
			ei2, ea2, at2 := g.axis()
			strain = math.Max(strain, g.outer()/DrumRadius)
			if k == 0 {
				ei1, ea1, at1 = ei2, ea2, at2
				continue
			}
			ei1 = Sandwich(ei1, ea1, ei2, ea2, at2-at1, g.foam, g.area, length, FoamCover)
			if sum := ea1 + ea2; sum > 0 {
				at1 = (ea1*at1 + ea2*at2) / sum
				ea1 = sum
			}
		}
		ei += ei1
	}
	return ei, strain
}

// bow is the sag at the middle of the beam, lying on its ends, under a pull of
// one newton a millimetre all along: ∫ M·m/EI dx. Each stretch is integrated by
// Simpson's rule, which is exact for the cubic that M·m is.
func (b Beam) bow() float64 {
	l := b.Length
	return b.integrate(func(x float64) float64 {
		m := math.Min(x, l-x) / 2
		return x * (l - x) / 2 * m
	})
}

func (b Beam) integrate(f func(x float64) float64) (sum float64) {
	h := b.Length / float64(len(b.EI))
	for i, ei := range b.EI {
		x := h * float64(i)
		if ei <= 0 {
			return math.Inf(1)
		}
		sum += h / 6 * (f(x) + 4*f(x+h/2) + f(x+h)) / ei
	}
	return sum
}

// Pull is what a belt must pull, in newtons, to lay the piece round the drum: the
// uniform pull F/R that bows it by the drum's sagitta L²/(8R). For one stiffness
// all along it is 9.6 EI/L².
func (b Beam) Pull() float64 {
	q := b.Length * b.Length / (8 * DrumRadius) / b.bow()
	return q * DrumRadius
}

// How far the pull may be off: how the belt holds the ends decides.
const (
	PullAtLeast = 0.6
	PullAtMost  = 1.7
)

// The test over a table's edge: half of the piece stands out and is pressed an inch from
// its end; it has to bend an inch, or two where it is ten or longer and holds something
// that does not bend.
const (
	tableInch  = 25.4
	tableLong  = 10 * tableInch
	tableShort = 1e-3 // of a piece with nothing to press on
)

// TableStrain is the strain of the outermost fibre when half of the piece is bent over a
// table's edge: 3·δ·z/ℓ², δ how far it has to bend, z how far that fibre lies from the
// neutral axis, ℓ half the length less an inch.
func (b Beam) TableStrain() float64 {
	out := math.Max(tableShort, b.Length/2-tableInch)
	return math.Min(1, 3*b.TableBend()*b.Outer/(out*out))
}

// TableBend is how far half of the piece has to bend over a table's edge, in millimetres.
func (b Beam) TableBend() float64 {
	if b.RigidLength > 0 && b.Length >= tableLong {
		return 2 * tableInch
	}
	return tableInch
}

// Stiffest is where along its length the piece is stiffest.
func (b Beam) Stiffest() (at, ei float64) {
	for i, v := range b.EI {
		if v > ei {
			ei, at = v, b.Length*(float64(i)+0.5)/float64(len(b.EI))
		}
	}
	return at, ei
}

// Lift is how far the ends of a part that does not bend stand off the drum, in
// millimetres: ℓ²/(8R).
func (b Beam) Lift() float64 { return b.RigidLength * b.RigidLength / (8 * DrumRadius) }

// Droop is how far the end of the piece hangs, in millimetres, when so much of
// it stands out over the edge of a table; grams is the weight of all of it. It
// is ∫ M·m/EI over what hangs, with M = w u²/2 and m = u, u from the free end.
func (b Beam) Droop(overhang, grams float64) (sum float64) {
	const steps = 400
	w := grams / 1e3 * Gravity / b.Length // N/mm
	h := overhang / steps
	for i := range steps {
		u := h * (float64(i) + 0.5)
		sum += w * u * u / 2 * u / b.at(b.Length-u) * h
	}
	return sum
}

// at is the stiffness at a place.
func (b Beam) at(x float64) float64 {
	i := int(x / b.Length * float64(len(b.EI)))
	return b.EI[max(0, min(len(b.EI)-1, i))]
}

// Sag is how far the middle of the piece sinks, in millimetres, between two
// supports so far apart with a weight in the middle.
func (b Beam) Sag(apart, grams float64) (sum float64) {
	const steps = 400
	p := grams / 1e3 * Gravity
	h := apart / steps
	for i := range steps {
		x := h * (float64(i) + 0.5)
		m := math.Min(x, apart-x) / 2
		sum += p * m * m / b.at((b.Length-apart)/2+x) * h
	}
	return sum
}

// Scaled is the beam with its whole profile so much stiffer that a droop or a
// sag comes out as measured.
func (b Beam) Scaled(computed, measured float64) Beam {
	ei := make([]float64, len(b.EI))
	for i, v := range b.EI {
		ei[i] = v * computed / measured
	}
	b.EI = ei
	return b
}

// DroopEI is the stiffness of a uniform strip by the home test, in N·mm²:
// w·ℓ⁴/(8δ), with w in grams a millimetre.
func DroopEI(gramsPerMM, overhang, droop float64) float64 {
	return gramsPerMM / 1e3 * Gravity * math.Pow(overhang, 4) / (8 * droop)
}

// SagEI is the same between two supports: P·s³/(48·y).
func SagEI(apart, grams, sag float64) float64 {
	return grams / 1e3 * Gravity * math.Pow(apart, 3) / (48 * sag)
}
