package device

import (
	"context"
	"errors"
	"io"
	"math"
	"net"
	"strings"
	"testing"
	"time"
)

const small = `<?xml version="1.0"?>
<svg xmlns="http://www.w3.org/2000/svg" width="100mm" height="50mm" viewBox="0 0 100 50"><title>t</title><desc>d</desc>
<g id="guide"><path d="M0 0L99 0"/></g>
<g id="score"><path d="M20 30L20 40" stroke-dasharray="3 2"/></g>
<g id="cut"><path d="M10 30L40 30L40 40L10 40Z"/></g></svg>`

var bed = Bed{100, 100, 5}

// A drawing is worked on pass by pass as it stands in the file: dashes as strokes of their own, what is in the guide
// not at all; and how far it goes is the way from corner to corner, by the pencil.
func TestCutterDrawsThePasses(t *testing.T) {
	c, _ := NewCutter(Steady)
	d, err := c.Cut(context.Background(), bed, []byte(small))
	if err != nil {
		t.Fatal(err)
	}
	want := []Stroke{
		{"score", [][2]float64{{20, 30}, {20, 33}}},
		{"score", [][2]float64{{20, 35}, {20, 38}}},
		{"cut", [][2]float64{{10, 30}, {40, 30}, {40, 40}, {10, 40}, {10, 30}}},
	}
	if len(d.Strokes) != len(want) {
		t.Fatalf("%+v", d.Strokes)
	}
	for i, s := range d.Strokes {
		if s.Pass != want[i].Pass || len(s.Points) != len(want[i].Points) {
			t.Fatalf("stroke %d: %+v", i, s)
		}
		for k, p := range s.Points {
			if math.Hypot(p[0]-want[i].Points[k][0], p[1]-want[i].Points[k][1]) > 1e-6 {
				t.Errorf("stroke %d: %+v", i, s)
			}
		}
	}
	// Out to the first dash, dash, gap, dash, over to the outline, round it, and back.
	travel := math.Hypot(20, 30) + 3 + 2 + 3 + math.Hypot(10, 8) + 80 + math.Hypot(10, 30)
	if math.Abs(d.Travel-travel) > 0.1 || d.Seconds < 1 {
		t.Errorf("it went %.1f mm, not %.1f, in %v s", d.Travel, travel, d.Seconds)
	}
}

// The same drawing in units of 96 and of 72 an inch, and in inches, is the same strokes.
func TestCutterGoesByTheSizeOfTheFile(t *testing.T) {
	for _, head := range []string{
		`width="4in" height="4in" viewBox="0 0 384 384"><g id="cut"><path d="M96 96L192 96L192 192Z"/></g>`,
		`width="101.6mm" height="4in" viewBox="0 0 288 288"><g id="cut"><path d="M72 72L144 72L144 144Z"/></g>`,
	} {
		c, _ := NewCutter(Steady)
		d, err := c.Cut(context.Background(), Bed{200, 200, 0}, []byte(`<svg xmlns="http://www.w3.org/2000/svg" `+head+`</svg>`))
		if err != nil || math.Abs(d.Strokes[0].Points[1][0]-50.8) > 1e-3 {
			t.Errorf("%s: %+v, %v", head, d.Strokes, err)
		}
	}
}

// What cannot be cut is refused, with what is wrong and by how much, before the tool moves.
func TestCutterRefuses(t *testing.T) {
	svg := func(inner string) string {
		return `<svg xmlns="http://www.w3.org/2000/svg" width="100mm" height="100mm" viewBox="0 0 100 100">` + inner + `</svg>`
	}
	for _, tt := range []struct{ name, svg, says string }{
		{"beyond the margin", svg(`<g id="cut"><path d="M10 10L97.5 10L50 50Z"/></g>`), "line 1 of the drawing goes 2.5 mm beyond what can be worked on: it cuts 90 × 90"},
		{"a guide alone", svg(`<g id="guide"><path d="M10 10L20 20"/></g>`), "nothing in the drawing is to be scored or cut"},
		{"no size", `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 1 1"></svg>`, "does not say how large it is"},
		{"per cent", `<svg width="100%" viewBox="0 0 1 1"></svg>`, "does not say how large it is"},
		{"curves", svg(`<g id="cut"><path d="M10 10C1 1 2 2 3 3"/></g>`), "does not know the “C”"},
		{"what is no number", svg(`<g id="cut"><path d="M10 10LNaN 20"/></g>`), "holds what is no number"},
		{"a script", svg("\n<script>alert(1)</script>"), "does not know the <script> in line 2"},
		{"entities", `<!DOCTYPE svg [<!ENTITY a "b">]><svg/>`, "declares a document type"},
		{"no XML", svg(`<g id="cut">`), "cannot be read"},
		{"too large", svg(strings.Repeat(" ", mostDrawing)), "larger than it can hold"},
	} {
		t.Run(tt.name, func(t *testing.T) {
			c, _ := NewCutter(Steady)
			if _, err := c.Cut(context.Background(), bed, []byte(tt.svg)); err == nil || !strings.Contains(err.Error(), tt.says) {
				t.Errorf("%v", err)
			}
		})
	}
}

func FuzzCutterReads(f *testing.F) {
	f.Add([]byte(small))
	f.Add([]byte(`<svg width="1mm" viewBox="0 0 0.0000001 1"><g id="score"><path d="M0 0L9 9" stroke-dasharray="0.0000001 0.0000001"/></g></svg>`))
	f.Fuzz(func(t *testing.T, svg []byte) {
		strokes, err := read(svg)
		if err == nil && (len(strokes) == 0 || len(strokes) > mostStrokes+1) {
			t.Errorf("%d strokes of %q", len(strokes), svg)
		}
	})
}

// A cutter that is not there, silent, stops, or talks rubbish is told in a sentence, and soon.
func TestOddCutters(t *testing.T) {
	for behave, says := range map[Behaviour]string{Silent: "is silent", Rubbish: "no answer", Restless: "stopped in the middle"} {
		c, _ := NewCutter(behave)
		c.Patience = 100 * time.Millisecond
		if _, err := c.Cut(context.Background(), bed, []byte(small)); err == nil || !strings.Contains(err.Error(), says) {
			t.Errorf("%s: %v", behave, err)
		}
	}
	for sends, says := range map[string]string{
		"":                               "stopped in the middle",
		"done\n":                         "cut nothing",
		"pass sing\n":                    "no answer",
		"line 1 2 3 4\n":                 "no answer",
		"pass cut\nline 1 2 3\n":         "no answer",
		"pass cut\nline 1 2 NaN 4\n":     "no answer",
		"pass cut\nline 1 2 3 1e9\n":     "no answer",
		"travel -4\n":                    "no answer",
		"error out of paper\n":           "refuses it: out of paper",
		strings.Repeat("x", longestLine): "without an end",
	} {
		c := Cutter{Name: "cutter", Patience: 10 * time.Second, Open: func() (io.ReadWriteCloser, error) { return fake{strings.NewReader(sends), io.Discard}, nil }}
		if _, err := c.Cut(context.Background(), bed, []byte(small)); err == nil || !strings.Contains(err.Error(), says) {
			t.Errorf("%.30q: %v", sends, err)
		}
	}
	c := Cutter{Name: "cutter", Patience: time.Second, Open: func() (io.ReadWriteCloser, error) { return nil, errors.New("no port") }}
	if _, err := c.Cut(context.Background(), bed, []byte(small)); err == nil || !strings.Contains(err.Error(), "cannot be reached") {
		t.Errorf("%v", err)
	}
}

// Devices are reached at a place that is named, each served by its stand-in; a place that is none is refused.
func TestDevicesAtAnAddress(t *testing.T) {
	for _, place := range []string{"", "127.0.0.1:80", "tcp:nowhere", "tcp:host:", "usb:1"} {
		if _, err := Dial(place); err == nil || !strings.Contains(err.Error(), "tcp:host:port") {
			t.Errorf("%q: %v", place, err)
		}
	}
	listener, err := net.Listen("tcp", "127.0.0.1:0")
	if err != nil {
		t.Fatal(err)
	}
	defer listener.Close()
	serving := make(chan func(io.ReadWriteCloser), 1)
	go func() {
		for {
			port, err := listener.Accept()
			if err != nil {
				return
			}
			go (<-serving)(port)
		}
	}()
	open, err := Dial("tcp:" + listener.Addr().String())
	if err != nil {
		t.Fatal(err)
	}
	for _, id := range StandIns() {
		serve, err := StandIn(id, Steady, 6.1)
		if err != nil {
			t.Fatal(err)
		}
		serving <- serve
		if id == CutterID {
			c := Cutter{Name: "cutter", Patience: time.Second, Open: open}
			if d, err := c.Cut(context.Background(), bed, []byte(small)); err != nil || len(d.Strokes) != 3 {
				t.Errorf("%+v, %v", d, err)
			}
			continue
		}
		m := Meter{Name: id, Kinds: []string{"mm", "g"}, Patience: time.Second, Open: open}
		if r, err := m.Take(context.Background()); err != nil || r.Value != 6.1 {
			t.Errorf("%s: %+v, %v", id, r, err)
		}
	}
	if _, err := StandIn("caliper", "odd", 0); err == nil {
		t.Error("a device that behaves oddly")
	}
	_ = listener.Close()
	if _, err := (&Meter{Name: "caliper", Kinds: []string{"mm"}, Patience: time.Second, Open: open}).Take(context.Background()); err == nil || !strings.Contains(err.Error(), "cannot be reached") {
		t.Errorf("%v", err)
	}
}
