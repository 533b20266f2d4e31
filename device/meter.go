package device

import (
	"bufio"
	"cmp"
	"context"
	"errors"
	"fmt"
	"io"
	"sync"
	"time"
)

// Meter takes readings of one device. It is safe for several windows at once;
// they wait for each other.
type Meter struct {
	// Name is what it is called in sentences: "caliper".
	Name string
	// Kinds are the units that it may answer in.
	Kinds []string
	// Most is the most that it measures, by unit; nothing for no bound.
	Most map[string]float64
	// Calm is what helps where it never settles.
	Calm string
	// Patience is how long it is waited for.
	Patience time.Duration
	// Open connects to it; it is closed after each reading.
	Open func() (io.ReadWriteCloser, error)

	mu   sync.Mutex
	last *Reading
}

// mostLines is how many lines are read before it counts as one that never
// settles or talks rubbish.
const mostLines = 60

// Take asks for a reading that has settled. Errors are sentences; the last good
// reading is kept and can be had from Last.
func (m *Meter) Take(ctx context.Context) (Reading, error) { return m.ask(ctx, "read") }

// Tare sets the device to zero and returns what it says then.
func (m *Meter) Tare(ctx context.Context) (Reading, error) { return m.ask(ctx, "tare") }

// Last is the last reading that had settled.
func (m *Meter) Last() (Reading, bool) {
	m.mu.Lock()
	defer m.mu.Unlock()
	if m.last == nil {
		return Reading{}, false
	}
	return *m.last, true
}

// errStopped is the middle of the sentence about a device that says no more.
var errStopped = errors.New("stopped in the middle")

type answer struct {
	reading Reading
	err     error
}

func (m *Meter) ask(ctx context.Context, what string) (Reading, error) {
	m.mu.Lock()
	defer m.mu.Unlock()
	ctx, cancel := context.WithTimeout(ctx, m.Patience)
	defer cancel()
	port, err := m.Open()
	if err != nil {
		return Reading{}, fmt.Errorf("the %s cannot be reached: look at its plug and its battery, then try again", m.Name)
	}
	defer port.Close()
	heard := make(chan answer, 1)
	go func() {
		r, err := m.listen(port, what)
		heard <- answer{r, err}
	}()
	select {
	case <-ctx.Done():
		port.Close() // lets the listener go, with what it heard so far
		select {
		case a := <-heard:
			if !errors.Is(a.err, errStopped) {
				return Reading{}, a.err
			}
		case <-time.After(m.Patience):
		}
		return Reading{}, fmt.Errorf("the %s is silent: look whether it is switched on, then try again", m.Name)
	case a := <-heard:
		if most, bound := m.Most[a.reading.Unit]; a.err == nil && bound && what == "read" && (a.reading.Value < 0 || a.reading.Value > most) {
			return Reading{}, fmt.Errorf("the %s says %s, which it cannot measure: set it to zero, then try again", m.Name, a.reading.Text())
		}
		if a.err == nil {
			m.last = &a.reading
		}
		return a.reading, a.err
	}
}

func (m *Meter) listen(port io.ReadWriter, what string) (Reading, error) {
	if _, err := io.WriteString(port, what+"\n"); err != nil {
		return Reading{}, fmt.Errorf("the %s does not listen: look at its plug, then try again", m.Name)
	}
	lines := bufio.NewScanner(io.LimitReader(port, mostLines*mostLine*4))
	lines.Buffer(make([]byte, 0, 256), 4096)
	rubbish, moving := error(nil), 0
	for n := 0; n < mostLines && lines.Scan(); n++ {
		r, err := ParseLine(lines.Text())
		switch {
		case err != nil:
			rubbish = err
		case !m.speaks(r.Unit):
			rubbish = fmt.Errorf("it answers in %s", r.Unit)
		case r.Stable:
			return r, nil
		default:
			moving++
		}
	}
	switch {
	case moving > mostLines/2:
		return Reading{}, fmt.Errorf("the %s never settles: %s", m.Name, cmp.Or(m.Calm, "put it on something that stands still"))
	case rubbish != nil:
		return Reading{}, fmt.Errorf("the %s sends something that is no reading (%w): switch it off and on, then try again", m.Name, rubbish)
	case errors.Is(lines.Err(), bufio.ErrTooLong):
		return Reading{}, fmt.Errorf("the %s sends something that is no reading, without an end: switch it off and on, then try again", m.Name)
	}
	return Reading{}, fmt.Errorf("the %s %w of a reading: try again", m.Name, errStopped)
}

func (m *Meter) speaks(unit string) bool {
	for _, k := range m.Kinds {
		if k == unit {
			return true
		}
	}
	return false
}
