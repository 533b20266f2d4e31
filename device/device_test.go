package device

import (
	"context"
	"errors"
	"fmt"
	"io"
	"strings"
	"testing"
	"time"
)

func TestLines(t *testing.T) {
	for _, tt := range []struct {
		line string
		want Reading
		ok   bool
	}{
		{"6.15 mm stable", Reading{6.15, "mm", true, false}, true},
		{"  22.4 g moving tared\r", Reading{22.4, "g", false, true}, true},
		{"-0.1 oz stable", Reading{-0.1, "oz", true, false}, true},
		{"6,15 mm stable", Reading{}, false},
		{"6.15 mm", Reading{}, false},
		{"6.15 mm perhaps", Reading{}, false},
		{"6.15 furlong stable", Reading{}, false},
		{"NaN mm stable", Reading{}, false},
		{"1e400 mm stable", Reading{}, false},
		{"6.15 mm stable tared again", Reading{}, false},
		{"6.15 mm stable " + strings.Repeat("x", 100), Reading{}, false},
		{"", Reading{}, false},
	} {
		t.Run(tt.line, func(t *testing.T) {
			got, err := ParseLine(tt.line)
			if (err == nil) != tt.ok || got != tt.want {
				t.Errorf("%q: %+v, %v", tt.line, got, err)
			}
		})
	}
	if _, err := ParseLine("error battery is low"); err == nil || !strings.Contains(err.Error(), "battery is low") {
		t.Errorf("%v", err)
	}
	r := Reading{6.15, "mm", true, true}
	if back, err := ParseLine(r.Line()); err != nil || back != r {
		t.Errorf("%q reads back as %+v, %v", r.Line(), back, err)
	}
}

func FuzzParseLine(f *testing.F) {
	f.Add("6.15 mm stable")
	f.Add("22.4 g moving tared")
	f.Fuzz(func(t *testing.T, line string) {
		if r, err := ParseLine(line); err == nil {
			if back, err := ParseLine(r.Line()); err != nil || back != r {
				t.Errorf("%q: %+v reads back as %+v, %v", line, r, back, err)
			}
		}
	})
}

func TestSimulatedDevices(t *testing.T) {
	ctx := context.Background()
	caliper, piece := NewCaliper(Steady)
	piece.Put(6.1234)
	if r, err := caliper.Take(ctx); err != nil || r.Text() != "6.12 mm" || !r.Stable {
		t.Errorf("%+v, %v", r, err)
	}
	scale, pan := NewScale(Steady)
	pan.Put(3.04)
	if r, err := scale.Tare(ctx); err != nil || r.Value != 0 || !r.Tared {
		t.Errorf("tared: %+v, %v", r, err)
	}
	pan.Put(25.44)
	if r, err := scale.Take(ctx); err != nil || r.Text() != "22.4 g" {
		t.Errorf("%+v, %v", r, err)
	}
	// What goes wrong afterwards does not take the last good reading away.
	for behave, says := range map[Behaviour]string{Restless: "never settles", Rubbish: "no reading", Silent: "is silent"} {
		pan.Turn(behave)
		scale.Patience = 200 * time.Millisecond
		if _, err := scale.Take(ctx); err == nil || !strings.Contains(err.Error(), says) {
			t.Errorf("%s: %v", behave, err)
		}
		if r, ok := scale.Last(); !ok || r.Text() != "22.4 g" {
			t.Errorf("%s: the last good reading is %+v", behave, r)
		}
	}
	// A restless scale has nothing to close; a caliper has its jaws.
	pan.Turn(Restless)
	if _, err := scale.Take(ctx); err == nil || strings.Contains(err.Error(), "close") {
		t.Errorf("%v", err)
	}
	piece.Turn(Restless)
	caliper.Patience = 200 * time.Millisecond
	if _, err := caliper.Take(ctx); err == nil || !strings.Contains(err.Error(), "close the jaws gently") {
		t.Errorf("%v", err)
	}
	if _, ok := caliper.Last(); !ok {
		t.Error("the caliper forgot")
	}
}

// fake is a device that says what a test wants.
type fake struct {
	io.Reader
	io.Writer
}

func (fake) Close() error { return nil }

func TestOddDevices(t *testing.T) {
	m := Meter{Name: "caliper", Kinds: []string{"mm"}, Patience: 10 * time.Second}
	for _, tt := range []struct{ sends, says string }{
		{"22 g stable\n", "it answers in g"},
		{"", "stopped in the middle"},
		{strings.Repeat("x", 10_000), "without an end"},
		{"error jaws open\n", "jaws open"},
	} {
		t.Run(tt.sends, func(t *testing.T) {
			m.Open = func() (io.ReadWriteCloser, error) { return fake{strings.NewReader(tt.sends), io.Discard}, nil }
			if _, err := m.Take(context.Background()); err == nil || !strings.Contains(err.Error(), tt.says) {
				t.Errorf("%.20q: %v", tt.sends, err)
			}
		})
	}
	// What no such device measures is no reading, and stands in the place of none.
	for _, k := range Kinds() {
		for unit, most := range k.Most {
			odd, _ := k.Simulated(Steady)
			for _, value := range []float64{-5, -0.01, most + 1, 999_999} {
				odd.Open = func() (io.ReadWriteCloser, error) {
					return fake{strings.NewReader(fmt.Sprintf("%g %s stable\n", value, unit)), io.Discard}, nil
				}
				r, err := odd.Take(context.Background())
				if _, last := odd.Last(); err == nil || !strings.Contains(err.Error(), "cannot measure") || last {
					t.Errorf("%s, %g %s: %+v, %v", k.Name, value, unit, r, err)
				}
			}
			odd.Open = func() (io.ReadWriteCloser, error) {
				return fake{strings.NewReader(fmt.Sprintf("%g %s stable\n", most/2, unit)), io.Discard}, nil
			}
			if r, err := odd.Take(context.Background()); err != nil || r.Value != most/2 {
				t.Errorf("%s: %+v, %v", k.Name, r, err)
			}
		}
	}
	m.Open = func() (io.ReadWriteCloser, error) { return nil, errors.New("no port") }
	if _, err := m.Take(context.Background()); err == nil || !strings.Contains(err.Error(), "cannot be reached") {
		t.Errorf("%v", err)
	}
	if _, ok := m.Last(); ok {
		t.Error("a reading that never was")
	}
}
