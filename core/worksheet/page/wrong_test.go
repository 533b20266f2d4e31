package page_test

import (
	"strings"
	"testing"

	"yellowparcel/core/measure"
	"yellowparcel/core/plan"
	"yellowparcel/core/worksheet"
	"yellowparcel/core/worksheet/page"
	"yellowparcel/demo"
)

const in = measure.Inch

// stepWhere is the first step of which something holds.
func stepWhere(t *testing.T, w worksheet.Worksheet, is func(worksheet.Step) bool) int {
	t.Helper()
	for i, s := range w.Steps {
		if is(s) {
			return i
		}
	}
	t.Fatal("no such step")
	return 0
}

func ways(m page.Mended) (text string) {
	for _, w := range m.Ways {
		text += w.Text + "\n"
	}
	return text
}

// What came out wrong, and what can still be made of it.
func TestCutWrong(t *testing.T) {
	t.Parallel()
	shop, j := demo.Shop(), demo.Jobs()[0] // 5 3/8 square, thickness 0.047, folds 5 11/16 apart: 17/64 of ease; seam 3/4, tape 1/2
	table := plan.TableOf(j, shop)
	w := worksheet.Write(table)
	base := stepWhere(t, w, func(s worksheet.Step) bool { return s.Keep == "base" })
	blank := stepWhere(t, w, func(s worksheet.Step) bool { return s.Keep == plan.BlankPiece })
	score := stepWhere(t, w, func(s worksheet.Step) bool { return s.Act == worksheet.Score && s.Piece == plan.BlankPiece })
	layer := stepWhere(t, w, func(s worksheet.Step) bool { return s.Act == worksheet.Cut && strings.Contains(s.Keep, "night") })
	for _, tt := range []struct {
		name string
		step int
		off  measure.Length
		fine bool
		says string
		way  string
	}{
		{"half a tick is nothing", base, in / 32, true, "as near as it has to be", ""},
		{"a base too high is cut again", base, in / 8, true, "with 9⁄64 in to spare", "Cut it again: it is 1⁄8 in too large."},
		{"one that is far too high does not go in", base, in / 2, false, "15⁄64 in too tight", "Cut it again"},
		{"a base too low makes a smaller card", base, -in / 8, true, "to spare", "Make the card 5 3⁄8 × 5 1⁄4"},
		{"a score a quarter inch further in", score, in / 4, false, "", "score it anew"},
		{"a blank an eighth too small", blank, -in / 8, true, "the seams hold", "Go on with it"},
		{"a layer too small shows more border", layer, -in / 8, false, "1⁄8 in off", "Keep “Night-sky layer” at 5"},
	} {
		m, ok := page.Wrong(table, tt.step, w.Steps[tt.step].At+tt.off)
		if !ok || m.Fine != tt.fine || !strings.Contains(m.Says, tt.says) || !strings.Contains(ways(m), tt.way) {
			t.Errorf("%s: %v, %q, fine %v\n%s", tt.name, ok, m.Says, m.Fine, ways(m))
		}
		// What is offered can be taken, and the steps to come follow.
		for _, way := range m.Ways {
			if way.Edits == nil {
				t.Errorf("%q travels with no list of edits", way.Text)
			}
			if len(way.Edits) == 0 || way.Edits[0].Path == "envelope.ease" { // which no step of the card is set to
				continue
			}
			changed, problems := plan.Apply(j, shop, way.Edits)
			if len(problems) > 0 {
				t.Errorf("%s: %v", way.Text, problems)
				continue
			}
			after := worksheet.Write(plan.TableOf(changed, shop))
			found := false
			for _, s := range after.Steps {
				found = found || s.At == w.Steps[tt.step].At+tt.off
			}
			if !found {
				t.Errorf("%s: no later step is set to %v", way.Text, w.Steps[tt.step].At+tt.off)
			}
		}
	}
	if _, ok := page.Wrong(table, 0, in); ok {
		t.Error("the first step sets something")
	}
	if _, ok := page.Wrong(table, 9999, in); ok {
		t.Error("there is a step 10000")
	}
	for text, told := range map[string]bool{"8 5/8": false, "elephant": true, "0": true, "900 m": true} {
		if _, ok, err := page.WrongAs(table, blank, text, false); !ok || (err != nil) != told {
			t.Errorf("%q: %v, %v", text, ok, err)
		}
	}
}

// Whoever has to cut another one is told of what paper, and whether there is some; what the next piece takes up is
// told; and a number that is surely a slip is asked about.
func TestWhatTheNextPieceTakes(t *testing.T) {
	t.Parallel()
	shop, j := demo.Shop(), demo.Jobs()[0]
	table := plan.TableOf(j, shop)
	w := worksheet.Write(table)
	base := stepWhere(t, w, func(s worksheet.Step) bool { return s.Keep == "base" })
	want := w.Steps[base].At
	m, _ := page.Wrong(table, base, want+in/2)
	if text := ways(m); !strings.Contains(text, "cut another one. ") || !strings.Contains(text, "more ease: its blank is not cut yet") {
		t.Errorf("too tight: %s", text)
	}
	for _, way := range m.Ways {
		if len(way.Edits) == 1 && way.Edits[0].Path == "envelope.ease" {
			changed, problems := plan.Apply(j, shop, way.Edits)
			if len(problems) > 0 {
				t.Fatal(problems)
			}
			again, _ := page.Wrong(plan.TableOf(changed, shop), base, want+in/2)
			if !again.Fine {
				t.Errorf("with more ease: %s", again.Says)
			}
		}
	}
	m, _ = page.Wrong(table, base, want-in/8)
	if text := ways(m); !strings.Contains(text, "The ease takes it up: ") || !strings.Contains(text, "1⁄16 in less border on two sides") {
		t.Errorf("a little low: %s", text)
	}
	for _, have := range []int{0, 3, 90} {
		s := shop.Clone()
		for i := range s.Stocks {
			s.Stocks[i].Have = have
		}
		m, _ := page.Wrong(plan.TableOf(j, s), base, want+in)
		said := map[int]string{0: "Count whether you have one left", 3: "Your 3 are all in this job: buy one", 90: "of your 90 this job takes"}[have]
		if text := ways(m); !strings.Contains(text, said) && !strings.Contains(text, "It goes out of the offcut of") {
			t.Errorf("of %d: %s", have, text)
		}
	}
	for text, slip := range map[string]bool{"1": true, "20": true, "5 1/4": false, "4 3/8": false, "6": false} {
		m, ok, err := page.WrongAs(table, base, text, false)
		if !ok || err != nil || (m.Ask != "") != slip || slip && len(m.Ways) > 0 {
			t.Errorf("%q: %+v, %v", text, m, err)
		}
		if sure, _, _ := page.WrongAs(table, base, text, true); sure.Ask != "" || sure.Says == "" {
			t.Errorf("%q, surely: %+v", text, sure)
		}
	}
}
