package cutting

import (
	"context"
	"math/rand/v2"
	"slices"
)

// Progress is told of a search as it goes on.
type Progress struct {
	Steps int `json:"steps"`
	Of    int `json:"of"`
	// Sheets of the best plan so far, and what no plan can stay under.
	Sheets int `json:"sheets"`
	Bound  int `json:"bound"`
}

// searcher looks for the best plan of one order.
type searcher struct {
	filler
	ctx    context.Context
	budget int
	tell   func(Progress)
	told   int
	bound  int
	// byCount is set when it is the number of pieces that asks for so many sheets,
	// not their area.
	byCount bool
	want    []int // of each line; zero for those that do not fit
	best    Plan
	found   []repeated
	done    bool // cancelled
}

// Search returns the best plan that it finds in so many steps; a step is one
// look at whether something fits somewhere. It always returns a plan that
// Check proves, even with no steps at all. When the context ends before, the
// plan is marked unfinished. tell may be nil.
func Search(ctx context.Context, o Order, steps int, tell func(Progress)) Plan {
	s := &searcher{filler: filler{order: o, chance: rand.New(rand.NewPCG(1, 2))}, ctx: ctx, budget: steps, tell: tell}
	fits := Order{Sheet: o.Sheet}
	unfit := []int{}
	total := 0
	for i, p := range o.Pieces {
		s.want = append(s.want, p.Count)
		if p.Count > 0 && o.Sheet.Possible(p) != Possible {
			s.want[i] = 0
			unfit = append(unfit, i)
			continue
		}
		fits.Pieces = append(fits.Pieces, p)
		total += p.Count
	}
	s.bound, s.byCount = fits.leastSheets()
	if total == 0 {
		p := planOf(nil, 0)
		p.Unfit = unfit
		return p
	}
	s.offer(s.plainest())
	s.tired = s.over
	s.start()
	if s.single() < 0 {
		s.kits()
		s.match()
		s.improve()
	}
	s.best.Unfit, s.best.Bound, s.best.ByCount, s.best.Unfinished, s.best.Searched = unfit, s.bound, s.byCount, s.done, s.steps
	return s.best
}

// over reports whether the search should end.
func (s *searcher) over() bool {
	const every = 20_000
	if s.steps-s.told >= every {
		s.told = s.steps
		if s.ctx.Err() != nil {
			s.done = true
		}
		if s.tell != nil {
			s.tell(Progress{min(s.steps, s.budget), s.budget, s.best.Sheets, s.bound})
		}
	}
	return s.done || s.steps >= s.budget
}

// sequencing is what putting one rectangle's cut into its order costs, in steps.
const sequencing = 40

// offer keeps patterns when they make a better plan.
func (s *searcher) offer(patterns []repeated) {
	if patterns == nil {
		return
	}
	sheets := 0
	for _, p := range patterns {
		sheets += p.n
	}
	if s.found != nil && sheets > s.best.Sheets {
		return
	}
	if s.found != nil && sheets == s.best.Sheets && sheets > s.bound && s.steps < s.budget/2 {
		return // settings are worth counting when the sheets are few
	}
	for _, p := range patterns {
		s.steps += sequencing * len(p.nodes)
	}
	if p := planOf(patterns, s.order.Sheet.limit()); s.found == nil || p.better(s.best) {
		s.best, s.found = p, patterns
	}
}

// single is the only line of the order, or -1.
func (s *searcher) single() int {
	only := -1
	for i, n := range s.want {
		if n > 0 && only >= 0 {
			return -1
		}
		if n > 0 {
			only = i
		}
	}
	return only
}

// start tries the plain orders of lines, and each line's best sheet.
func (s *searcher) start() {
	if line := s.single(); line >= 0 {
		n, exact, used := s.order.Sheet.most(s.order.Pieces[line], s.budget-s.steps)
		if s.steps += used; exact && n > 0 {
			s.bound, s.byCount = (s.want[line]+n-1)/n, true
		}
	}
	s.offer(s.mono(false))
	if s.single() >= 0 {
		s.offer(s.mono(true))
		return
	}
	s.offer(s.mono(true))
	for _, by := range sorts {
		order := s.sorted(by)
		for split := range chanceRest {
			for _, exact := range [2]bool{false, true} {
				if s.over() {
					return
				}
				s.offer(s.all(s.want, rule{order, exact, split}))
			}
		}
	}
}

// mono cuts sheets of one line each as long as they come out full, and the rest
// together; strips run down, or across.
func (s *searcher) mono(down bool) []repeated {
	left := slices.Clone(s.want)
	var list []repeated
	for i, p := range s.order.Pieces {
		if left[i] == 0 {
			continue
		}
		if s.order.Sheet.grid(p.Width, p.Height) > left[i] {
			continue // they do not fill a sheet
		}
		if s.over() {
			return nil
		}
		full, used := equal(s.order.Sheet, p, i, len(left), down, s.budget-s.steps)
		s.steps += used
		if n := full.times(left); n > 0 {
			list = append(list, repeated{full, n})
			left[i] -= n * full.used[i]
		}
	}
	if slices.Max(left) == 0 {
		return list
	}
	if line := s.single(); line >= 0 && !s.over() {
		e := newEquals(s.order.Sheet, s.order.Pieces[line], line, down, s.budget-s.steps)
		e.most = left[line]
		last := s.blank()
		e.build(&last, 0)
		s.steps += e.used
		s.offer(append(slices.Clone(list), repeated{last, 1}))
	}
	rest := s.all(left, rule{order: s.sorted(sorts[0])})
	if rest == nil {
		return nil
	}
	return append(list, rest...)
}

// kits cuts whole sets: what one card takes, or a few cards, from one or two
// sheets, and that again and again. It serves orders in which every count is a
// multiple of the number of cards.
func (s *searcher) kits() {
	whole := 0
	for _, n := range s.want {
		whole = gcd(whole, n)
	}
	if whole < 2 {
		return
	}
	const mostSets = 24
	for sets := 1; sets <= min(whole, mostSets) && !s.over(); sets++ {
		kit := make([]int, len(s.want))
		for i, n := range s.want {
			kit[i] = n / whole * sets
		}
		for _, by := range sorts[:3] {
			for split := range chanceRest {
				s.offer(s.again(kit, whole/sets, rule{s.sorted(by), true, split}))
			}
		}
	}
}

// again cuts a kit so many times and what is left over as it comes.
func (s *searcher) again(kit []int, times int, r rule) []repeated {
	patterns := s.all(kit, r)
	if patterns == nil {
		return nil
	}
	left := slices.Clone(s.want)
	for i := range patterns {
		patterns[i].n *= times
		for line, u := range patterns[i].used {
			left[line] -= u * patterns[i].n
		}
	}
	if slices.Max(left) == 0 {
		return patterns
	}
	rest := s.all(left, r)
	if rest == nil {
		return nil
	}
	return append(patterns, rest...)
}

func gcd(a, b int) int {
	for b != 0 {
		a, b = b, a%b
	}
	return a
}

// improve takes some sheets apart and fills them anew by chance, keeping what is
// no worse, until the steps are used.
func (s *searcher) improve() {
	now := slices.Clone(s.found)
	worth := squares(now)
	for !s.over() {
		if s.best.Sheets <= s.bound && s.steps > s.budget/2 {
			return // no plan takes fewer; half the steps went into fewer settings
		}
		s.steps += 4 * len(now) // taken over, torn and put together again
		torn, left := s.tear(now)
		r := rule{s.shaken(s.chance.Float64() * 2), s.chance.IntN(4) != 0, splitRule(s.chance.IntN(int(splitRules)))}
		fresh := s.all(left, r)
		if fresh == nil {
			continue
		}
		next := append(torn, fresh...)
		if w := squares(next); sheetsOf(next) < sheetsOf(now) || sheetsOf(next) == sheetsOf(now) && w >= worth {
			now, worth = next, w
			s.offer(now)
		}
	}
}

// tear takes a few sheets away, the emptier the likelier, and returns the others
// with the pieces set free.
func (s *searcher) tear(now []repeated) (rest []repeated, left []int) {
	left = make([]int, len(s.want))
	rest = slices.Clone(now)
	for range 2 + s.chance.IntN(3) {
		if len(rest) == 0 {
			break
		}
		i := s.chance.IntN(len(rest))
		if j := s.chance.IntN(len(rest)); rest[j].fill < rest[i].fill {
			i = j
		}
		for line, u := range rest[i].used {
			left[line] += u
		}
		if rest[i].n--; rest[i].n == 0 {
			rest = slices.Delete(rest, i, i+1)
		}
	}
	return rest, left
}

func sheetsOf(list []repeated) (n int) {
	for _, p := range list {
		n += p.n
	}
	return n
}

// squares rates plans of the same number of sheets: full ones beside empty ones
// are worth more than all half full, since an empty one may vanish.
func squares(list []repeated) (sum float64) {
	for _, p := range list {
		sum += float64(p.n) * p.fill * p.fill
	}
	return sum
}
