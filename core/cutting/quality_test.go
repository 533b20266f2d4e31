package cutting

import (
	"context"
	"fmt"
	"math/rand/v2"
	"os"
	"slices"
	"testing"
	"time"

	"yellowparcel/core/measure"
)

const tick = measure.Inch / 16

var (
	letter = Sheet{Width: 17 * measure.Inch / 2, Height: 11 * measure.Inch}
	square = Sheet{Width: 12 * measure.Inch, Height: 12 * measure.Inch}
)

// planted cuts whole sheets up by chance, from edge to edge at sixteenths, so
// that the fewest sheets that give its pieces are known. With spare, pieces are
// taken away again as long as their area still needs all the sheets.
func planted(r *rand.Rand, s Sheet, sheets, pieces int, turn, spare bool) Order {
	const least = measure.Inch / 2
	rects := make([]Rect, sheets)
	for i := range rects {
		rects[i] = Rect{Width: s.Width, Height: s.Height}
	}
	for tries := 0; len(rects) < pieces && tries < 50*pieces; tries++ {
		i := r.IntN(len(rects))
		if j := r.IntN(len(rects)); rects[j].area() > rects[i].area() {
			i = j
		}
		c := Cut{From: rects[i], Down: r.IntN(2) == 0}
		long := c.From.Height
		if c.Down {
			long = c.From.Width
		}
		if long < 2*least {
			continue
		}
		c.At = least + measure.Length(r.Int64N(int64((long-2*least)/tick)+1))*tick
		a, b := c.Parts()
		rects[i] = a
		rects = append(rects, b)
	}
	r.Shuffle(len(rects), func(i, j int) { rects[i], rects[j] = rects[j], rects[i] })
	o := Order{Sheet: s}
	for i, q := range rects {
		p := Piece{Name: fmt.Sprint(i), Width: q.Width, Height: q.Height, Count: 1, Turn: turn}
		if turn && r.IntN(2) == 0 && p.Height <= s.Width && p.Width <= s.Height {
			p.Width, p.Height = p.Height, p.Width
		}
		o.Pieces = append(o.Pieces, p)
	}
	for i := 0; spare && i < len(o.Pieces); i++ {
		if less := (Order{s, slices.Delete(slices.Clone(o.Pieces), i, i+1)}); len(less.Pieces) > 0 && less.Bound() == sheets && r.IntN(3) == 0 {
			o = less
		}
	}
	return o
}

// shelves is the plain method to compare with: pieces by height, each on the
// first shelf that takes it, shelves on the first sheet.
func shelves(o Order) int {
	type shelf struct{ height, used measure.Length }
	type sheet struct {
		used    measure.Length
		shelves []*shelf
	}
	pieces := slices.Clone(o.Pieces)
	for i, p := range pieces {
		if p.Turn && p.Height > p.Width && p.Height <= o.Sheet.Width {
			pieces[i].Width, pieces[i].Height = p.Height, p.Width
		}
	}
	slices.SortStableFunc(pieces, func(a, b Piece) int { return int((b.Height - a.Height) / tick) })
	var sheets []*sheet
	place := func(p Piece) {
		for _, s := range sheets {
			for _, sh := range s.shelves {
				if p.Height <= sh.height && sh.used+p.Width <= o.Sheet.Width {
					sh.used += p.Width
					return
				}
			}
			if s.used+p.Height <= o.Sheet.Height {
				s.used += p.Height
				s.shelves = append(s.shelves, &shelf{p.Height, p.Width})
				return
			}
		}
		sheets = append(sheets, &sheet{p.Height, []*shelf{{p.Height, p.Width}}})
	}
	for _, p := range pieces {
		for range p.Count {
			place(p)
		}
	}
	return len(sheets)
}

// steps are what the screen spends: on each keystroke, and on a long search.
const (
	quick = 150_000
	long  = 6_000_000
)

type score struct{ n, optimal, oneOver, more, shelfOptimal, shelfOver int }

func (s *score) add(t testing.TB, o Order, sheets, steps int) time.Duration {
	start := time.Now()
	p := Search(context.Background(), o, steps, nil)
	took := time.Since(start)
	if err := Check(o, p); err != nil {
		t.Fatalf("the plan does not hold: %v", err)
	}
	s.n++
	switch over := p.Sheets - sheets; {
	case over < 0:
		t.Fatalf("%d sheets, fewer than the %d it was cut from", p.Sheets, sheets)
	case over == 0:
		s.optimal++
	case over == 1:
		s.oneOver++
	default:
		s.more++
	}
	plain := shelves(o)
	if plain == sheets {
		s.shelfOptimal++
	}
	s.shelfOver += plain - sheets
	return took
}

// On whole sheets cut up by chance the search finds the fewest sheets nearly
// always up to 40 pieces, and never takes more than one too many.
func TestNearlyAlwaysTheFewestSheets(t *testing.T) {
	t.Parallel()
	r := rand.New(rand.NewPCG(3, 4))
	var s score
	for i := range 24 {
		n := 5 + r.IntN(36)
		k := 1 + r.IntN(min(12, n/2))
		s.add(t, planted(r, []Sheet{letter, square}[i%2], k, n, i%4 < 2, i%3 == 0), k, long/4)
	}
	if s.optimal < 22 || s.more > 0 {
		t.Errorf("the fewest sheets in %d of %d, more than one too many in %d", s.optimal, s.n, s.more)
	}
	if s.shelfOptimal >= s.optimal {
		t.Errorf("the plain shelf method finds %d, no fewer than the search's %d: the instances prove nothing", s.shelfOptimal, s.optimal)
	}
	for i := range 4 {
		k := 1 + 3*i
		s.add(t, planted(r, letter, k, 60*(i+1)-40, true, false), k, long/4)
	}
	if s.more > 0 {
		t.Errorf("%d of the large orders take more than one sheet too many", s.more)
	}
}

// TestQualityTable prints the table of docs/performance.md when QUALITY is set.
func TestQualityTable(t *testing.T) {
	if os.Getenv("QUALITY") == "" {
		t.Skip("QUALITY is not set")
	}
	for _, size := range [][2]int{{5, 10}, {11, 20}, {21, 40}, {41, 100}, {101, 200}} {
		for _, turn := range []bool{false, true} {
			for _, spare := range []bool{false, true} {
				r := rand.New(rand.NewPCG(uint64(size[0]), 7))
				var s score
				var times []time.Duration
				for range 40 {
					n := size[0] + r.IntN(size[1]-size[0]+1)
					k := 1 + r.IntN(min(12, n/2))
					sheet := []Sheet{letter, square}[r.IntN(2)]
					o := planted(r, sheet, k, n, turn, spare)
					times = append(times, s.add(t, o, k, long))
				}
				slices.Sort(times)
				fmt.Printf("| %d to %d | %v | %v | %d %% | %d %% | %d %% | %d %% | +%.1f | %v | %v |\n", size[0], size[1], turn, spare,
					100*s.optimal/s.n, 100*s.oneOver/s.n, 100*s.more/s.n, 100*s.shelfOptimal/s.n, float64(s.shelfOver)/float64(s.n),
					times[len(times)/2].Round(time.Millisecond), times[len(times)-1].Round(time.Millisecond))
			}
		}
	}
}
