package device

import (
	"bufio"
	"fmt"
	"io"
	"math"
	"net"
	"strings"
	"sync"
	"time"
)

// Behaviour is how a simulated device behaves.
type Behaviour string

// The behaviours.
const (
	Steady   Behaviour = "steady"   // settles after a few readings
	Restless Behaviour = "restless" // never settles
	Silent   Behaviour = "silent"   // never answers
	Rubbish  Behaviour = "rubbish"  // sends what is no reading
)

// Behaviours lists the behaviours.
func Behaviours() []Behaviour { return []Behaviour{Steady, Restless, Silent, Rubbish} }

// Simulated is a caliper or a scale that exists in the program only: it speaks
// the same lines as a real one, through a pipe.
type Simulated struct {
	// Unit is what it reads in, Step its smallest step.
	Unit string
	Step float64
	// Behave is how it behaves; steady when empty.
	Behave Behaviour

	mu   sync.Mutex
	load float64 // what lies in or on it
	zero float64 // what it was tared with
}

// Put lays something of so much on it, or between its jaws.
func (s *Simulated) Put(value float64) {
	s.mu.Lock()
	defer s.mu.Unlock()
	s.load = value
}

// Turn makes it behave in another way.
func (s *Simulated) Turn(b Behaviour) {
	s.mu.Lock()
	defer s.mu.Unlock()
	s.Behave = b
}

// Open connects to it.
func (s *Simulated) Open() (io.ReadWriteCloser, error) {
	here, there := net.Pipe()
	go s.serve(there)
	return here, nil
}

func (s *Simulated) serve(port io.ReadWriteCloser) {
	defer port.Close()
	lines := bufio.NewScanner(port)
	for lines.Scan() {
		for _, line := range s.answer(strings.TrimSpace(lines.Text())) {
			if _, err := fmt.Fprintln(port, line); err != nil {
				return
			}
		}
	}
}

// settling are the readings before one settles, as shares of the load: jaws that
// are still closing, a pan that still swings.
var settling = []float64{1.08, 0.97, 1.01}

func (s *Simulated) answer(asked string) (lines []string) {
	s.mu.Lock()
	defer s.mu.Unlock()
	switch s.Behave {
	case Silent:
		return nil
	case Rubbish:
		return []string{"?? 0x1f", "", "6,1,5 mm", "stable", "NaN mm stable", strings.Repeat("#", 200)}
	case Restless:
		for i := range mostLines + 1 {
			lines = append(lines, s.reading(1+0.1*math.Sin(float64(i)), false).Line())
		}
		return lines
	}
	switch asked {
	case "tare":
		s.zero = s.load
		return []string{s.reading(1, true).Line()}
	case "read":
		for _, share := range settling {
			lines = append(lines, s.reading(share, false).Line())
		}
		return append(lines, s.reading(1, true).Line())
	}
	return []string{"error asked for " + clip(asked)}
}

func (s *Simulated) reading(share float64, stable bool) Reading {
	v := (s.load*share - s.zero)
	// To the step, and to the step's own digits.
	digits := math.Pow(10, math.Ceil(-math.Log10(s.Step)))
	v = math.Round(math.Round(v/s.Step)*s.Step*digits) / digits
	return Reading{Value: v, Unit: s.Unit, Stable: stable, Tared: s.zero != 0}
}

const patience = 2 * time.Second
