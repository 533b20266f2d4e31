package device

import (
	"bufio"
	"context"
	"errors"
	"fmt"
	"io"
	"math"
	"strconv"
	"strings"
	"sync"
	"time"
)

// Cutter sends drawings to an electronic cutter. It is told the mat in millimetres, then given the very
// SVG that was exported:
//
//	mat 304.8 304.8 9.525     width, height, and the margin on every side
//	svg 12345                 so many bytes follow
//
// It answers with what it does, in its order, and ends with "done", or with a line that begins with
// "error" and says why not:
//
//	pass score
//	line 25.4 9.525 25.4 120.65      the tool is down from point to point; millimetres from the mat's corner
//	pass cut
//	line 9.5 9.5 50 9.5 50 80 9.5 80 9.5 9.5
//	travel 812.4              millimetres, lifted ways included
//	seconds 41
//	done
//
// It is safe for several windows at once; they wait for each other.
type Cutter struct {
	// Name is what it is called in sentences.
	Name string
	// Patience is how long it may say nothing.
	Patience time.Duration
	// Open connects to it; it is closed after each drawing.
	Open func() (io.ReadWriteCloser, error)

	mu sync.Mutex
}

// Bed is a mat, in millimetres.
type Bed struct{ Width, Height, Margin float64 }

// Stroke is one line that was drawn with the tool down, from point to point in millimetres.
type Stroke struct {
	// Pass is the group of the drawing: score or cut.
	Pass   string
	Points [][2]float64
}

// Done is what a cutter did.
type Done struct {
	Strokes []Stroke
	// Travel is in millimetres, lifted ways included.
	Travel  float64
	Seconds float64
}

// The bounds of what a cutter answers.
const (
	mostStrokes = 50_000
	mostPoints  = 500_000
	mostSaid    = 64 << 20
	longestLine = 4 << 20
)

// Cut sends a drawing and waits until it is cut. Errors are sentences.
func (c *Cutter) Cut(ctx context.Context, on Bed, svg []byte) (Done, error) {
	c.mu.Lock()
	defer c.mu.Unlock()
	port, err := c.Open()
	if err != nil {
		return Done{}, fmt.Errorf("the %s cannot be reached: look at its plug, then try again", c.Name)
	}
	defer port.Close()
	type answer struct {
		done Done
		err  error
	}
	heard, alive := make(chan answer, 1), make(chan struct{}, 1)
	go func() {
		d, err := c.listen(port, on, svg, alive)
		heard <- answer{d, err}
	}()
	quiet := time.NewTimer(c.Patience)
	defer quiet.Stop()
	for {
		select {
		case <-ctx.Done():
			return Done{}, fmt.Errorf("the %s was left in the middle: take the mat out and look at the paper", c.Name)
		case <-alive:
			quiet.Reset(c.Patience)
		case <-quiet.C:
			return Done{}, fmt.Errorf("the %s is silent: look whether it is switched on and its mat is in, then try again", c.Name)
		case a := <-heard:
			return a.done, a.err
		}
	}
}

func (c *Cutter) listen(port io.ReadWriter, on Bed, svg []byte, alive chan<- struct{}) (d Done, err error) {
	failed := make(chan error, 1)
	go func() { // a cutter may answer before it has taken everything
		_, err := fmt.Fprintf(port, "mat %s %s %s\nsvg %d\n%s", short(on.Width), short(on.Height), short(on.Margin), len(svg), svg)
		failed <- err
	}()
	lines := bufio.NewScanner(io.LimitReader(port, mostSaid))
	lines.Buffer(make([]byte, 0, 4096), longestLine)
	pass, points := "", 0
	for lines.Scan() {
		select {
		case alive <- struct{}{}:
		default:
		}
		what, rest, _ := strings.Cut(strings.TrimSpace(lines.Text()), " ")
		bad := func() (Done, error) {
			return Done{}, fmt.Errorf("the %s sends something that is no answer (“%s”): switch it off and on, then try again", c.Name, clip(lines.Text()))
		}
		switch what {
		case "error":
			return Done{}, fmt.Errorf("the %s refuses it: %s", c.Name, clipTo(rest, 200))
		case "done":
			if len(d.Strokes) == 0 {
				return Done{}, fmt.Errorf("the %s says that it is done, and cut nothing: look at the file", c.Name)
			}
			return d, nil
		case "pass":
			if pass = rest; pass != "score" && pass != "cut" {
				return bad()
			}
		case "line":
			list, ok := numbers(rest)
			if points += len(list); !ok || pass == "" || len(list) < 4 || len(list)%2 != 0 || len(d.Strokes) >= mostStrokes || points > mostPoints {
				return bad()
			}
			s := Stroke{Pass: pass}
			for i := 0; i < len(list); i += 2 {
				s.Points = append(s.Points, [2]float64{list[i], list[i+1]})
			}
			d.Strokes = append(d.Strokes, s)
		case "travel", "seconds":
			list, ok := numbers(rest)
			if !ok || len(list) != 1 || list[0] < 0 {
				return bad()
			}
			if what == "travel" {
				d.Travel = list[0]
			} else {
				d.Seconds = list[0]
			}
		default:
			return bad()
		}
	}
	select {
	case err := <-failed:
		if err != nil {
			return Done{}, fmt.Errorf("the %s does not listen: look at its plug, then try again", c.Name)
		}
	default:
	}
	if errors.Is(lines.Err(), bufio.ErrTooLong) {
		return Done{}, fmt.Errorf("the %s sends something that is no answer, without an end: switch it off and on, then try again", c.Name)
	}
	return Done{}, fmt.Errorf("the %s stopped in the middle: take the mat out and look at the paper", c.Name)
}

// numbers reads numbers in millimetres, parted by spaces.
func numbers(text string) (list []float64, ok bool) {
	for f := range strings.FieldsSeq(text) {
		v, err := strconv.ParseFloat(f, 64)
		if err != nil || math.IsNaN(v) || math.Abs(v) > 1e6 {
			return nil, false
		}
		list = append(list, v)
	}
	return list, true
}

func short(v float64) string { return strconv.FormatFloat(v, 'f', -1, 64) }

func clipTo(s string, most int) string {
	if r := []rune(s); len(r) > most {
		return string(r[:most]) + "…"
	}
	return s
}
