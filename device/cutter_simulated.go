package device

import (
	"bufio"
	"fmt"
	"io"
	"math"
	"net"
	"strings"
	"sync"
)

// SimulatedCutter is a cutter that exists in the program only: it takes drawings through a pipe as a real one
// would, works on them pass by pass, and says what it did.
type SimulatedCutter struct {
	// Behave is how it behaves; steady when empty.
	Behave Behaviour

	mu sync.Mutex
}

// NewCutter is the simulated cutter, with what drives it.
func NewCutter(b Behaviour) (*Cutter, *SimulatedCutter) {
	s := &SimulatedCutter{Behave: b}
	return &Cutter{Name: "cutter", Patience: patience, Open: s.Open}, s
}

// Turn makes it behave in another way.
func (s *SimulatedCutter) Turn(b Behaviour) {
	s.mu.Lock()
	defer s.mu.Unlock()
	s.Behave = b
}

// Open connects to it.
func (s *SimulatedCutter) Open() (io.ReadWriteCloser, error) {
	here, there := net.Pipe()
	go s.Serve(there)
	return here, nil
}

const (
	mostDrawing = 4 << 20 // bytes of a drawing that it takes
	// How fast it moves, in millimetres a second, and how long it takes to lift or set its tool.
	scoring, cutting, lifted = 120.0, 60.0, 250.0
	lifts                    = 0.25 // seconds
)

// Serve works for whoever is at the other end of a port, until that goes away.
func (s *SimulatedCutter) Serve(port io.ReadWriteCloser) {
	defer port.Close()
	in, out := bufio.NewReader(port), bufio.NewWriter(port)
	answer := func(format string, args ...any) { _, _ = fmt.Fprintf(out, format+"\n", args...) }
	var on Bed
	if _, err := fmt.Fscanf(in, "mat %g %g %g\n", &on.Width, &on.Height, &on.Margin); err != nil {
		return
	}
	var size int
	if _, err := fmt.Fscanf(in, "svg %d\n", &size); err != nil || size < 0 || size > mostDrawing {
		answer("error the drawing is larger than it can hold")
		_ = out.Flush()
		return
	}
	svg := make([]byte, size)
	if _, err := io.ReadFull(in, svg); err != nil {
		return
	}
	s.mu.Lock()
	behave := s.Behave
	s.mu.Unlock()
	switch behave {
	case Silent:
		_, _ = io.Copy(io.Discard, in) // until whoever waits has gone
		return
	case Rubbish:
		answer("?? 0x1f")
		_ = out.Flush()
		return
	case Restless: // it begins, and stops in the middle
		answer("pass score")
		_ = out.Flush()
		return
	}
	strokes, err := read(svg)
	if err == nil {
		err = on.check(strokes)
	}
	if err != nil {
		answer("error %v", err)
		_ = out.Flush()
		return
	}
	work(strokes, answer)
	_ = out.Flush()
}

// check refuses what lies outside the part of the mat that can be worked on.
func (b Bed) check(strokes []Stroke) error {
	const sure = 1e-3
	for i, s := range strokes {
		for _, p := range s.Points {
			over := max(b.Margin-p[0], p[0]-(b.Width-b.Margin), b.Margin-p[1], p[1]-(b.Height-b.Margin))
			if over > sure {
				return fmt.Errorf("line %d of the drawing goes %s mm beyond what can be worked on: it cuts %s × %s of this mat", i+1, short(math.Ceil(over*100)/100), short(hundredth(b.Width-2*b.Margin)), short(hundredth(b.Height-2*b.Margin)))
			}
		}
	}
	return nil
}

func hundredth(v float64) float64 { return math.Round(v*100) / 100 }

// work draws the strokes in their order, and says how far it went and how long it took.
func work(strokes []Stroke, answer func(string, ...any)) {
	at, pass := [2]float64{}, ""
	travel, seconds := 0.0, 0.0
	move := func(to [2]float64, speed float64) {
		far := math.Hypot(to[0]-at[0], to[1]-at[1])
		travel, seconds, at = travel+far, seconds+far/speed, to
	}
	for _, s := range strokes {
		if s.Pass != pass {
			pass = s.Pass
			answer("pass %s", pass)
		}
		speed := cutting
		if pass == "score" {
			speed = scoring
		}
		move(s.Points[0], lifted)
		seconds += lifts
		var line strings.Builder
		for i, p := range s.Points {
			if i > 0 {
				move(p, speed)
			}
			line.WriteString(" " + short(math.Round(p[0]*1e4)/1e4) + " " + short(math.Round(p[1]*1e4)/1e4))
		}
		answer("line%s", line.String())
	}
	move([2]float64{}, lifted)
	answer("travel %s", short(math.Round(travel*10)/10))
	answer("seconds %s", short(math.Ceil(seconds)))
	answer("done")
}
