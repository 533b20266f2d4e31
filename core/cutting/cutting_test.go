package cutting

import (
	"context"
	"math/rand/v2"
	"reflect"
	"strings"
	"testing"
	"time"

	"yellowparcel/core/measure"
)

const in = measure.Inch

func piece(w, h measure.Length, n int, turn bool) Piece { return Piece{"piece", w, h, n, turn} }

func search(t *testing.T, o Order, steps int) Plan {
	t.Helper()
	p := Search(context.Background(), o, steps, nil)
	if err := Check(o, p); err != nil {
		t.Fatalf("the plan does not hold: %v", err)
	}
	return p
}

// most is the true most pieces from a rectangle, by trying a cut at every unit.
func most(memo map[[2]int]int, w, h, pw, ph int, turn bool) int {
	if n, ok := memo[[2]int{w, h}]; ok {
		return n
	}
	best := 0
	if w >= pw && h >= ph || turn && w >= ph && h >= pw {
		best = 1
	}
	for x := 1; x <= w/2; x++ {
		best = max(best, most(memo, x, h, pw, ph, turn)+most(memo, w-x, h, pw, ph, turn))
	}
	for y := 1; y <= h/2; y++ {
		best = max(best, most(memo, w, y, pw, ph, turn)+most(memo, w, h-y, pw, ph, turn))
	}
	memo[[2]int{w, h}] = best
	return best
}

func TestEqualGivesTheTrueMost(t *testing.T) {
	r := rand.New(rand.NewPCG(5, 6))
	for range 300 {
		w, h, pw, ph, turn := 6+r.IntN(20), 6+r.IntN(20), 2+r.IntN(5), 2+r.IntN(7), r.IntN(2) == 0
		want := most(map[[2]int]int{}, w, h, pw, ph, turn)
		l := func(n int) measure.Length { return measure.Length(n) * in / 2 }
		if got := len(Equal(Sheet{Width: l(w), Height: l(h)}, piece(l(pw), l(ph), 1, turn), long).Pieces); got != want {
			t.Errorf("%d x %d from %d x %d, turned %v: %d, want %d", pw, ph, w, h, turn, got, want)
		}
	}
}

func TestEqualOnKnownSheets(t *testing.T) {
	a4 := Sheet{Width: 210 * measure.Millimetre, Height: 297 * measure.Millimetre}
	for _, tt := range []struct {
		name  string
		sheet Sheet
		w, h  measure.Length
		want  int
	}{
		{"4 x 5, top fold, from letter", letter, 4 * in, 10 * in, 2},
		{"4 x 5, side fold, from letter", letter, 8 * in, 5 * in, 2},
		{"4 3/4 x 6 1/2, side fold, from letter", letter, 19 * in / 2, 13 * in / 2, 1},
		{"4 3/4 x 6 1/2, top fold, from letter", letter, 19 * in / 4, 13 * in, 0},
		{"105 x 148, side fold, from A4", a4, 210 * measure.Millimetre, 148 * measure.Millimetre, 2},
		{"105 x 148, top fold, from A4", a4, 105 * measure.Millimetre, 296 * measure.Millimetre, 2},
	} {
		t.Run(tt.name, func(t *testing.T) {
			if got := len(Equal(tt.sheet, piece(tt.w, tt.h, 1, true), long).Pieces); got != tt.want {
				t.Errorf("%s: %d, want %d", tt.name, got, tt.want)
			}
		})
	}
}

// An order of one size takes as many sheets as the true most a sheet says.
func TestManyEqualPieces(t *testing.T) {
	r := rand.New(rand.NewPCG(8, 9))
	for range 40 {
		p := piece(measure.Length(12+r.IntN(80))*tick, measure.Length(12+r.IntN(80))*tick, 1+r.IntN(300), r.IntN(3) > 0)
		o := Order{letter, []Piece{p}}
		each := len(Equal(letter, p, long).Pieces)
		got := search(t, o, quick)
		if want := (p.Count + each - 1) / each; got.Sheets != want || !got.Proven() {
			t.Errorf("%v: %d sheets, want %d; proven %v", p, got.Sheets, want, got.Proven())
		}
	}
}

// Twelve cards with two layers each, all of one stock: the layers fill what the
// bases leave.
func TestLayersFillWhatBasesLeave(t *testing.T) {
	o := Order{letter, []Piece{piece(11*in/2, 17*in/2, 12, true), piece(21*in/4, 4*in, 12, true), piece(5*in/2, 2*in, 12, true)}}
	// A base leaves 5 1/2 x 8 1/2 of each sheet, room for two layers and more.
	p := search(t, o, quick)
	if p.Sheets > 10 || p.Sheets < o.Bound() {
		t.Errorf("%d sheets, bound %d", p.Sheets, o.Bound())
	}
	if len(p.Steps) > 12 {
		t.Errorf("%d settings for three sizes", len(p.Steps))
	}
}

// Strips of one width are all cut before the guide moves.
func TestFewSettings(t *testing.T) {
	p := search(t, Order{letter, []Piece{piece(4*in, 5*in, 8, false)}}, quick)
	if p.Sheets != 2 || len(p.Steps) != 2 {
		t.Errorf("%d sheets, %d settings: %+v", p.Sheets, len(p.Steps), p.Steps)
	}
}

func TestTrimmerLength(t *testing.T) {
	long := Sheet{Width: 12 * in, Height: 24 * in, Cut: 12 * in}
	o := Order{long, []Piece{piece(5*in, 11*in, 4, false), piece(6*in, 24*in, 1, true)}}
	p := search(t, o, quick)
	// Down the sheet the trimmer cannot cut, so it is halved across first.
	if p.Sheets != 1 || !reflect.DeepEqual(p.Unfit, []int{1}) {
		t.Errorf("%d sheets, unfit %v", p.Sheets, p.Unfit)
	}
	for _, tt := range []struct {
		p    Piece
		want Reason
	}{
		{piece(6*in, 24*in, 1, true), BeyondTrimmer},
		{piece(12*in, 24*in, 1, false), Possible},
		{piece(24*in, 12*in, 1, false), OnlyTurned},
		{piece(13*in, 13*in, 1, true), TooLarge},
	} {
		if got := long.Possible(tt.p); got != tt.want {
			t.Errorf("%v: reason %v, want %v", tt.p, got, tt.want)
		}
	}
}

func TestPiecesThatDoNotFitLeaveTheRest(t *testing.T) {
	o := Order{letter, []Piece{piece(9*in, 12*in, 2, true), piece(4*in, 4*in, 3, true), piece(in, in, 0, true)}}
	p := search(t, o, quick)
	if p.Sheets != 1 || !reflect.DeepEqual(p.Unfit, []int{0}) {
		t.Errorf("%d sheets, unfit %v", p.Sheets, p.Unfit)
	}
	if p := search(t, Order{letter, nil}, quick); p.Sheets != 0 {
		t.Errorf("nothing takes %d sheets", p.Sheets)
	}
}

func TestSameOrderSamePlan(t *testing.T) {
	o := planted(rand.New(rand.NewPCG(1, 1)), letter, 3, 30, true, true)
	if a, b := search(t, o, quick), search(t, o, quick); !reflect.DeepEqual(a, b) {
		t.Error("two searches of one order differ")
	}
}

func TestCancelled(t *testing.T) {
	ctx, cancel := context.WithCancel(context.Background())
	o := planted(rand.New(rand.NewPCG(2, 2)), letter, 6, 180, true, false)
	told := 0
	p := Search(ctx, o, 1_000_000_000, func(now Progress) {
		if told++; now.Of != 1_000_000_000 || now.Sheets < now.Bound {
			t.Errorf("odd progress %+v", now)
		}
		if told == 3 {
			cancel()
		}
	})
	if !p.Unfinished || told < 3 {
		t.Errorf("unfinished %v after %d reports", p.Unfinished, told)
	}
	if err := Check(o, p); err != nil {
		t.Errorf("the plan of a stopped search does not hold: %v", err)
	}
}

// Ten thousand pieces are planned, and before anybody has put the paper down.
func TestTenThousandPieces(t *testing.T) {
	o := Order{letter, []Piece{piece(11*in/2, 17*in/2, 2500, true), piece(21*in/4, 4*in, 2500, true), piece(5*in, 15*in/4, 2500, true), piece(3*in, 3*in/2, 2500, true)}}
	start := time.Now()
	p := search(t, o, quick)
	if p.Sheets < o.Bound() || p.Sheets > o.Bound()*5/4 {
		t.Errorf("%d sheets, bound %d", p.Sheets, o.Bound())
	}
	if took := time.Since(start); took > 10*time.Second {
		t.Errorf("it took %v", took)
	}
}

// Check refuses plans that are wrong in one place.
func TestCheckRefuses(t *testing.T) {
	o := Order{letter, []Piece{piece(4*in, 5*in, 7, false), piece(2*in, 3*in, 4, true)}}
	for _, tt := range []struct {
		name, want string
		spoil      func(*Plan)
	}{
		{"a piece moved", "did not come loose", func(p *Plan) { p.Layouts[0].Pieces[0].X += in }},
		{"a piece missing", "pieces cut", func(p *Plan) { p.Layouts[0].Pieces = p.Layouts[0].Pieces[1:] }},
		{"a piece twice", "did not come loose", func(p *Plan) { p.Layouts[0].Pieces = append(p.Layouts[0].Pieces, p.Layouts[0].Pieces[0]) }},
		{"a piece turned", "turned", func(p *Plan) { p.Layouts[0].Pieces[0].Turned = true }},
		{"a cut beside its rectangle", "not there", func(p *Plan) { p.Layouts[0].Cuts[0].From.X += in }},
		{"a cut along the edge", "misses", func(p *Plan) { p.Layouts[0].Cuts[0].At = 0 }},
		{"a cut left out", "no layout has", func(p *Plan) { p.Layouts[0].Cuts = p.Layouts[0].Cuts[:len(p.Layouts[0].Cuts)-1] }},
		{"a setting that is none", "setting", func(p *Plan) { p.Steps[0].Setting += tick }},
		{"cuts in another order", "comes as number", func(p *Plan) { p.Steps[0], p.Steps[1] = p.Steps[1], p.Steps[0] }},
		{"a sheet too few", "sheets", func(p *Plan) { p.Sheets-- }},
		{"an offcut that is a piece", "not left over", func(p *Plan) { p.Layouts[0].Offcuts = append(p.Layouts[0].Offcuts, p.Layouts[0].Pieces[0].Rect) }},
		{"a piece called unfit", "said not to fit", func(p *Plan) { p.Unfit = []int{0} }},
	} {
		t.Run(tt.name, func(t *testing.T) {
			p := search(t, o, quick)
			tt.spoil(&p)
			if err := Check(o, p); err == nil || !strings.Contains(err.Error(), tt.want) && !strings.Contains(err.Error(), "did not come loose") {
				t.Errorf("%s: %v, want %q", tt.name, err, tt.want)
			}
		})
	}
	short := Order{Sheet{o.Sheet.Width, o.Sheet.Height, 8 * in}, o.Pieces}
	if err := Check(short, search(t, o, quick)); err == nil || !strings.Contains(err.Error(), "longer than the trimmer") {
		t.Errorf("a cut beyond the trimmer: %v", err)
	}
}

func FuzzSearch(f *testing.F) {
	f.Add(uint64(1), 5, 3, true)
	f.Fuzz(func(t *testing.T, seed uint64, lines, count int, limited bool) {
		r := rand.New(rand.NewPCG(seed, 1))
		o := Order{Sheet: letter}
		if limited {
			o.Sheet.Cut = measure.Length(4+r.IntN(10)) * in
		}
		for range 1 + max(0, lines)%8 {
			o.Pieces = append(o.Pieces, piece(measure.Length(8+r.IntN(180))*tick, measure.Length(8+r.IntN(180))*tick, r.IntN(1+max(0, count)%30), r.IntN(2) == 0))
		}
		if err := Check(o, Search(context.Background(), o, 20_000, nil)); err != nil {
			t.Fatal(err)
		}
	})
}

func BenchmarkSearch(b *testing.B) {
	for _, bench := range []struct {
		name  string
		steps int
		o     Order
	}{
		{"20 pieces, while typing", quick, planted(rand.New(rand.NewPCG(1, 2)), letter, 3, 20, true, false)},
		{"200 pieces, long", long, planted(rand.New(rand.NewPCG(1, 2)), letter, 8, 200, true, false)},
	} {
		b.Run(bench.name, func(b *testing.B) {
			for b.Loop() {
				Search(context.Background(), bench.o, bench.steps, nil)
			}
		})
	}
}
