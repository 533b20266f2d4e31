// Package bench is a simulated bench: sheets with edges, sides and creases, and a hand that does
// what a step of a worksheet shows, and nothing more. It shares no code with the writer of
// worksheets, so that following one blind proves it.
//
// Lengths of steps are measure.Length, places on a piece millimetres from its top left corner.
//
//	b := bench.New(templates, tools)
//	for _, s := range sheet.Steps {
//		if err := b.Follow(s); err != nil { … }
//	}
package bench

import (
	"fmt"
	"math"
	"slices"

	"yellowparcel/core/blank"
	"yellowparcel/core/drawing"
	"yellowparcel/core/mat"
	"yellowparcel/core/measure"
	"yellowparcel/core/worksheet"
)

// Piece is a piece of paper on the bench, as many as there are alike.
type Piece struct {
	Count         int
	Width, Height float64
	// Creases are fold lines by the number that they were given, Loose those without one.
	Creases map[int][]Crease
	// Away are the outlines of what was cut off, Openings of what was cut out of it.
	Away, Openings []blank.Polygon
	Slits          [][2]blank.Point
	Folded         bool
	Embossed       bool
	// Round is the radius of its corners.
	Round measure.Length
	// On is what it is glued on, Side which side of that, Foam how thick what lies between.
	On   string
	Side worksheet.Side
	Foam measure.Length
	// Holds are what is glued on it, Things what was put on it, in their order.
	Holds, Things []string
	// Wet is how long what is glued on it, or of it, has still to be held.
	Wet int
}

// pieces are what lies on the bench, by what it is called.
type pieces map[string]*Piece

// wet reports whether something of a card is to be held still: the piece or what is glued on it.
func (l pieces) wet(id string) bool {
	p := l[id]
	return p != nil && (p.Wet > 0 || slices.ContainsFunc(p.Holds, l.wet))
}

// root is what lies under everything of a stack.
func (l pieces) root(id string) *Piece {
	p := l[id]
	for range l {
		if next := l[p.On]; next != nil {
			p = next
		}
	}
	return p
}

// Crease is a fold line, and the side that was up when it was pressed in.
type Crease struct {
	From, To blank.Point
	Up       worksheet.Side
}

// Tools are the tools as the hand knows them: the trimmer's longest cut, how far its ruler and the
// board reach, how far apart the board's grooves are, what its corner plate reads at the corner, how deep the punch notches;
// zero where that is no bound. Tick is what a hand can set.
type Tools struct {
	Cut, Ruler, Reach, Groove, CornerAt, Notch, Tick measure.Length
	// NotchAt is what the punch reads at the edge's end, Punches the longest edge that it takes, Round what the
	// corner rounder makes, Throat what goes through the embossing machine.
	NotchAt, Punches, Round, Throat measure.Length
	Plunges                         bool
	// Mat is the cutter's, with the margin that it leaves; Perforates is set where it goes through.
	Mat        mat.Mat
	Perforates bool
	// Minutes are how long adhesives have to be held, by their IDs.
	Minutes map[string]int
}

// Bench is what lies on the table.
type Bench struct {
	Pieces    pieces
	templates map[string]drawing.Drawing
	settings  map[setting]float64
	tools     Tools
	// Wrong is how far a setting comes out off, in millimetres; nil for a perfect hand. It is asked
	// for each cut, and once for all scores of one setting, whose error repeats.
	Wrong    func() float64
	envelope envelope
	looked   bool
}

// New is an empty bench with what was printed at true size, and the envelope as its panels hang on
// each other.
func New(templates map[string]drawing.Drawing, net blank.Net, tools Tools) *Bench {
	return &Bench{Pieces: pieces{}, settings: map[setting]float64{}, templates: templates, envelope: envelope{net: net, stuck: map[worksheet.Seam]bool{}}, tools: tools}
}

// Follow does one step, or says why a hand cannot.
func (b *Bench) Follow(s worksheet.Step) error {
	if !b.looked && s.Act != worksheet.Before {
		return fmt.Errorf("the first step is to look, not to %s", s.Act)
	}
	if s.Count <= 0 {
		return fmt.Errorf("nothing says how many to %s", s.Act)
	}
	does, ok := acts[s.Act]
	if !ok {
		return fmt.Errorf("nobody knows how to %q", s.Act)
	}
	return does(b, s)
}

// acts are what a hand can do.
var acts = map[worksheet.Act]func(*Bench, worksheet.Step) error{
	worksheet.Before: func(b *Bench, _ worksheet.Step) error {
		b.looked = true
		return nil
	},
	worksheet.Take: (*Bench).take, worksheet.Cut: (*Bench).cut, worksheet.CutOut: (*Bench).cutOut, worksheet.Score: (*Bench).score,
	worksheet.Punch: (*Bench).punch, worksheet.Round: (*Bench).round,
	worksheet.Slit: (*Bench).slit, worksheet.Snip: (*Bench).snip, worksheet.Trace: (*Bench).trace, worksheet.Machine: (*Bench).machine, worksheet.Halve: (*Bench).halve, worksheet.Emboss: (*Bench).emboss, worksheet.Corners: (*Bench).corners, worksheet.Fold: (*Bench).fold,
	worksheet.Try: (*Bench).try, worksheet.Glue: (*Bench).glue, worksheet.Dry: (*Bench).dryUp, worksheet.Clean: (*Bench).clean,
	worksheet.Decorate: (*Bench).decorate, worksheet.Address: (*Bench).address, worksheet.Fill: (*Bench).fill, worksheet.Seal: (*Bench).seal,
}

// piece finds what a step is done to: all that there are of it, since what is left out would come out
// otherwise.
func (b *Bench) piece(s worksheet.Step) (*Piece, error) {
	p, ok := b.Pieces[s.Piece]
	switch {
	case s.Piece == "":
		return nil, fmt.Errorf("nothing says what to %s", s.Act)
	case !ok || p.Count == 0:
		return nil, fmt.Errorf("there is no %q to %s", s.Piece, s.Act)
	case p.Count < s.Count, p.Count > s.Count && s.Act != worksheet.Cut: // what is over may stay uncut
		return nil, fmt.Errorf("%d of %q are to %s, and there are %d", s.Count, s.Piece, s.Act, p.Count)
	}
	return p, nil
}

// flat finds what a step shapes: a piece that lies flat by itself, with nothing on it.
func (b *Bench) flat(s worksheet.Step) (*Piece, error) {
	p, err := b.piece(s)
	switch {
	case err != nil:
		return nil, err
	case p.Folded:
		return nil, fmt.Errorf("%q is folded, and is to %s", s.Piece, s.Act)
	case p.On != "" || len(p.Holds) > 0 || len(p.Things) > 0:
		return nil, fmt.Errorf("%q is glued, and is to %s", s.Piece, s.Act)
	}
	return p, nil
}

// same is how far two pieces that are called the same may differ, in millimetres.
const same = 0.02

// put lays pieces on the bench; those of one name are alike.
func (b *Bench) put(name string, p Piece) error {
	if name == "" || p.Width <= 0 || p.Height <= 0 {
		return nil // it falls off
	}
	q, ok := b.Pieces[name]
	if !ok || q.Count == 0 {
		b.Pieces[name] = &p
		return nil
	}
	if b.Wrong == nil && (math.Abs(q.Width-p.Width) > same || math.Abs(q.Height-p.Height) > same) {
		return fmt.Errorf("%q is %.2f × %.2f here, and %.2f × %.2f there", name, p.Width, p.Height, q.Width, q.Height)
	}
	if len(q.Creases) != len(p.Creases) || len(q.Openings) != len(p.Openings) {
		return fmt.Errorf("%q is not alike: %d openings here, %d there", name, len(p.Openings), len(q.Openings))
	}
	q.Count += p.Count
	return nil
}

func (b *Bench) take(s worksheet.Step) error {
	if s.Piece == "" || s.Size.Width <= 0 || s.Size.Height <= 0 {
		return fmt.Errorf("nothing says which sheet to take, or how large it is")
	}
	p := Piece{Count: s.Count, Width: s.Size.Width.Millimetres(), Height: s.Size.Height.Millimetres(), Creases: map[int][]Crease{}}
	if s.Template != "" { // it is finished already
		for i, c := range b.templates[s.Template].Of(drawing.Cut) {
			if i > 0 {
				p.Openings = append(p.Openings, c.Corners)
			}
		}
	}
	return b.put(s.Piece, p)
}

// set is a setting that is made anew, as it comes out, in millimetres.
func (b *Bench) set(l measure.Length) float64 {
	mm := l.Millimetres()
	if b.Wrong != nil {
		mm += b.Wrong()
	}
	return mm
}

// kept is a setting that serves for every score that is made with it.
func (b *Bench) kept(s worksheet.Step) float64 {
	if b.Wrong == nil {
		return s.At.Millimetres()
	}
	key := setting{s.Tool, s.Corner != "", s.At}
	off, ok := b.settings[key]
	if !ok {
		off = b.Wrong()
		b.settings[key] = off
	}
	return s.At.Millimetres() + off
}

// setting is what a tool was set to, along an edge or across a corner.
type setting struct {
	tool   blank.ToolID
	corner bool
	at     measure.Length
}

// settable reports whether a hand can set a length: to a tick of the shop, or as a ruler shows
// it in half millimetres or in sixty-fourths.
func (b *Bench) settable(l measure.Length) error {
	if l <= 0 || l%b.tools.Tick != 0 && l%(measure.Millimetre/2) != 0 && l%(measure.Inch/64) != 0 {
		return fmt.Errorf("no ruler shows %.3f mm", l.Millimetres())
	}
	return nil
}

// cut divides a piece along a line that lies so far from the edge against the fence.
func (b *Bench) cut(s worksheet.Step) error {
	p, err := b.flat(s)
	if err != nil {
		return err
	}
	if s.Tool == blank.NoTool && s.Fence == "" && s.Keep != "" { // it is right as it is
		p.Count -= s.Count
		return b.put(s.Keep, turned(Piece{Count: s.Count, Width: p.Width, Height: p.Height, Creases: map[int][]Crease{}}, s.KeepTurned))
	}
	if s.At <= 0 {
		return fmt.Errorf("nothing says where to cut %q", s.Piece) // a size that was typed may be any
	}
	if len(p.Creases) > 0 || len(p.Away) > 0 || s.Up == "" {
		return fmt.Errorf("%q is scored already, or nothing says which side is up", s.Piece)
	}
	long, across := p.Height, p.Width
	if s.Fence == worksheet.Top || s.Fence == worksheet.Bottom {
		long, across = p.Width, p.Height
	} else if s.Fence != worksheet.Left && s.Fence != worksheet.Right {
		return fmt.Errorf("nothing says which edge of %q lies against the fence", s.Piece)
	}
	switch {
	case s.Tool == "trimmer" && long > b.tools.Cut.Millimetres()+same:
		return fmt.Errorf("the trimmer does not cut %.1f mm", long)
	case s.Tool == "trimmer" && b.tools.Ruler > 0 && s.At > b.tools.Ruler:
		return fmt.Errorf("the trimmer's guide does not stand at %.1f mm", s.At.Millimetres())
	case s.Tool == blank.NoTool:
		return fmt.Errorf("nothing says what to cut %q with", s.Piece)
	}
	at := b.set(s.At)
	if b.Wrong != nil {
		at = min(at, across) // a hand that is off cuts nothing there
	}
	if at > across+same {
		return fmt.Errorf("%q is only %.2f mm wide, and is to be cut at %.2f", s.Piece, across, at)
	}
	part := func(w float64) Piece {
		q := Piece{Count: s.Count, Width: w, Height: p.Height, Creases: map[int][]Crease{}}
		if across == p.Height && long == p.Width && (s.Fence == worksheet.Top || s.Fence == worksheet.Bottom) {
			q.Width, q.Height = p.Width, w
		}
		return q
	}
	p.Count -= s.Count
	if err := b.put(s.Keep, turned(part(at), s.KeepTurned)); err != nil {
		return err
	}
	return b.put(s.Off, turned(part(across-at), s.OffTurned))
}

// turned is a piece turned by a quarter, where it lies so.
func turned(p Piece, quarter bool) Piece {
	if quarter {
		p.Width, p.Height = p.Height, p.Width
	}
	return p
}
