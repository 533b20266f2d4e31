package blank

import (
	"cmp"
	"errors"
	"math"
	"slices"
)

// Line is a straight line of a drawing that somebody else made.
type Line struct{ From, To Point }

// What keeps a drawing from being an envelope.
var (
	ErrNoCreases = errors.New("there is no fold line in it")
	ErrNoFront   = errors.New("its fold lines enclose no rectangle that could be a front")
	ErrTooMany   = errors.New("it has more lines than can be worked with")
)

const (
	mostLines  = 400 // after dashes were joined
	mostDashes = 20_000
	dashGap    = 8.0  // mm between two dashes of one line, at most
	reach      = 6.0  // mm that a fold line may end short of what it runs to, as a perforated one does
	touch      = 0.05 // mm within which two points are one
	widestWall = 26.0 // mm: a strip between two parallel folds is a wall up to here
	square     = 0.01 // how far from a right angle the corners of a front may be, as a cosine
)

// FromDrawing makes a net of an outline with its fold lines and slits, as somebody drew them: panels are what lies between
// the lines, the front is the rectangle that most of them hang on, and a narrow strip between two folds is a wall. It lies with
// the front level. See "A template from a file" in docs/sums.md.
func FromDrawing(outline Polygon, folds, slits []Line) (Net, error) {
	if len(folds)+len(slits) > mostDashes {
		return Net{}, ErrTooMany
	}
	if len(folds) == 0 {
		return Net{}, ErrNoCreases
	}
	folds, slits = undashed(folds), undashed(slits)
	if len(folds) == 0 || len(folds)+len(slits)+len(outline) > mostLines {
		return Net{}, ErrTooMany
	}
	g := newPlane(outline, folds, slits)
	faces := g.faces()
	front := g.front(faces)
	if front < 0 {
		return Net{}, ErrNoFront
	}
	n := g.net(faces, front)
	return n.levelled(), n.Check()
}

// undashed joins the dashes of one line; nil where there are more lines than can be worked with.
func undashed(list []Line) (whole []Line) {
	type run struct {
		from Point
		x, y float64      // the way that it runs
		on   [][2]float64 // its dashes, from and to along it
	}
	var runs []*run
	for _, l := range list {
		dx, dy := l.To.X-l.From.X, l.To.Y-l.From.Y
		long := math.Hypot(dx, dy)
		if long < touch {
			continue
		}
		dx, dy = dx/long, dy/long
		at := slices.IndexFunc(runs, func(r *run) bool {
			off := func(p Point) float64 { return math.Abs((p.X-r.from.X)*r.y - (p.Y-r.from.Y)*r.x) }
			return math.Abs(dx*r.y-dy*r.x) < 4e-3 && off(l.From) < 0.3 && off(l.To) < 0.3
		})
		if at < 0 {
			if len(runs) >= mostLines {
				return nil
			}
			runs, at = append(runs, &run{from: l.From, x: dx, y: dy}), len(runs)
		}
		r := runs[at]
		along := func(p Point) float64 { return (p.X-r.from.X)*r.x + (p.Y-r.from.Y)*r.y }
		r.on = append(r.on, [2]float64{min(along(l.From), along(l.To)), max(along(l.From), along(l.To))})
	}
	for _, r := range runs {
		slices.SortFunc(r.on, func(a, b [2]float64) int { return cmp.Compare(a[0], b[0]) })
		var joined [][2]float64
		for _, d := range r.on {
			if n := len(joined) - 1; n >= 0 && d[0]-joined[n][1] < dashGap {
				joined[n][1] = max(joined[n][1], d[1])
				continue
			}
			joined = append(joined, d)
		}
		at := func(t float64) Point { return Point{r.from.X + t*r.x, r.from.Y + t*r.y} }
		for _, d := range joined {
			whole = append(whole, Line{at(d[0]), at(d[1])})
		}
	}
	return whole
}

// plane is a drawing as points and the stretches between them.
type plane struct {
	points []Point
	next   map[int][]int   // the points that each is joined to
	fold   map[[2]int]bool // stretches that are folded
	around map[[2]int]bool // stretches of the outline
	face   map[[2]int]int  // what lies left of a stretch that is walked from a point to another
}

// newPlane puts the lines together: each runs on to what it ends short of, and is parted where another meets it.
func newPlane(outline Polygon, folds, slits []Line) *plane {
	var lines []Line
	for i, a := range outline {
		lines = append(lines, Line{a, outline[(i+1)%len(outline)]})
	}
	edges := len(lines)
	lines = append(append(lines, folds...), slits...)
	drawn := slices.Clone(lines)
	for i := edges; i < len(lines); i++ {
		lines[i] = runsOn(drawn[i], i, drawn, edges)
	}
	g := &plane{next: map[int][]int{}, fold: map[[2]int]bool{}, around: map[[2]int]bool{}, face: map[[2]int]int{}}
	for i, l := range lines {
		on := []Point{l.From, l.To}
		for k, m := range lines {
			if k == i {
				continue
			}
			if x, ok := meetAt(l.From, l.To, m.From, m.To); ok {
				on = append(on, x)
			}
			for _, q := range []Point{m.From, m.To} {
				if distance(q, l.From, l.To) < touch {
					on = append(on, q)
				}
			}
		}
		slices.SortFunc(on, func(a, b Point) int {
			return cmp.Compare(math.Hypot(a.X-l.From.X, a.Y-l.From.Y), math.Hypot(b.X-l.From.X, b.Y-l.From.Y))
		})
		for k := 1; k < len(on); k++ {
			g.join(g.point(on[k-1]), g.point(on[k]), i < edges, i >= edges && i < edges+len(folds))
		}
	}
	g.prune()
	return g
}

// runsOn is a line with both ends drawn out to the nearest line that they run to: two folds that both end short of the corner
// where they meet run on to it.
func runsOn(l Line, at int, lines []Line, edges int) Line {
	dx, dy := l.way()
	end := func(p Point, way float64) Point {
		best, least := p, reach
		ray := Line{Point{p.X - way*dx*reach/4, p.Y - way*dy*reach/4}, Point{p.X + way*dx*reach, p.Y + way*dy*reach}}
		try := func(x Point) {
			if far := math.Hypot(x.X-p.X, x.Y-p.Y); far < least {
				best, least = x, far
			}
		}
		for k, m := range lines {
			if k == at {
				continue
			}
			for _, q := range []Point{m.From, m.To} {
				if distance(q, ray.From, ray.To) < touch {
					try(q)
				}
			}
			if k >= edges {
				mx, my := m.way()
				m = Line{Point{m.From.X - mx*reach, m.From.Y - my*reach}, Point{m.To.X + mx*reach, m.To.Y + my*reach}}
			}
			if x, ok := meetAt(ray.From, ray.To, m.From, m.To); ok {
				try(x)
			}
		}
		return best
	}
	return Line{end(l.From, -1), end(l.To, 1)}
}

// long is how long it is.
func (l Line) long() float64 { return math.Hypot(l.To.X-l.From.X, l.To.Y-l.From.Y) }

// way is the way that a line runs, one millimetre of it.
func (l Line) way() (x, y float64) {
	long := l.long()
	return (l.To.X - l.From.X) / long, (l.To.Y - l.From.Y) / long
}

// point is the place of a point among the plane's.
func (g *plane) point(p Point) int {
	for i, q := range g.points {
		if math.Hypot(p.X-q.X, p.Y-q.Y) < touch {
			return i
		}
	}
	g.points = append(g.points, p)
	return len(g.points) - 1
}

func (g *plane) join(a, b int, outline, fold bool) {
	if a == b {
		return
	}
	key := [2]int{min(a, b), max(a, b)}
	if !slices.Contains(g.next[a], b) {
		g.next[a], g.next[b] = append(g.next[a], b), append(g.next[b], a)
	}
	g.fold[key] = g.fold[key] || fold
	g.around[key] = g.around[key] || outline
}

// prune drops what leads nowhere.
func (g *plane) prune() {
	for again := true; again; {
		again = false
		for a, list := range g.next {
			if len(list) != 1 {
				continue
			}
			b := list[0]
			g.next[a] = nil
			g.next[b] = slices.DeleteFunc(g.next[b], func(c int) bool { return c == a })
			again = true
		}
	}
}

// faces are the panels: each walked round with its inside on the left, as points.
func (g *plane) faces() (list [][]int) {
	angle := func(a, b int) float64 { return math.Atan2(g.points[b].Y-g.points[a].Y, g.points[b].X-g.points[a].X) }
	for a := range g.points {
		slices.SortFunc(g.next[a], func(b, c int) int { return cmp.Compare(angle(a, b), angle(a, c)) })
	}
	for a := range g.points {
		for _, b := range g.next[a] {
			if _, seen := g.face[[2]int{a, b}]; seen {
				continue
			}
			var walk []int
			for from, to := a, b; ; {
				if _, seen := g.face[[2]int{from, to}]; seen {
					break
				}
				g.face[[2]int{from, to}] = len(list)
				walk = append(walk, from)
				// Turn as sharply as can be at the next point.
				at := slices.Index(g.next[to], from)
				n := len(g.next[to])
				from, to = to, g.next[to][(at+n-1)%n]
			}
			list = append(list, walk)
		}
	}
	return list
}

func (g *plane) polygon(walk []int) (p Polygon) {
	for _, i := range walk {
		p = append(p, g.points[i])
	}
	return p
}

// inner reports whether a walk goes round a panel, and not round all of them.
func inner(p Polygon) bool { return signedArea(p) > 1 }

// hinges are the folds of a panel: the panel across each, and its two ends.
func (g *plane) hinges(walk []int, at int) map[int]Line {
	list := map[int]Line{}
	for i, a := range walk {
		b := walk[(i+1)%len(walk)]
		other, there := g.face[[2]int{b, a}]
		if !there || other == at || !g.fold[[2]int{min(a, b), max(a, b)}] {
			continue
		}
		l := Line{g.points[a], g.points[b]}
		if was, two := list[other]; two { // one line, in several stretches
			l = longest(was.From, was.To, l.From, l.To)
		}
		list[other] = l
	}
	return list
}

// longest is the stretch between the two of some points that are farthest apart.
func longest(list ...Point) (l Line) {
	far := -1.0
	for i, a := range list {
		for _, b := range list[:i] {
			if d := math.Hypot(a.X-b.X, a.Y-b.Y); d > far {
				far, l = d, Line{b, a}
			}
		}
	}
	return l
}

// front is the rectangle that most panels hang on, the largest of those.
func (g *plane) front(faces [][]int) int {
	best, hang, area := -1, 0, 0.0
	for i, walk := range faces {
		p := g.polygon(walk)
		if !inner(p) || !rectangular(p.straight()) {
			continue
		}
		if n, a := len(g.hinges(walk, i)), p.Area(); n > hang || n == hang && n > 0 && a > area {
			best, hang, area = i, n, a
		}
	}
	return best
}

// rectangular reports whether a panel is a rectangle that is no wall.
func rectangular(p Polygon) bool {
	if len(p) != 4 || min(math.Hypot(p[1].X-p[0].X, p[1].Y-p[0].Y), math.Hypot(p[2].X-p[1].X, p[2].Y-p[1].Y)) < widestWall {
		return false
	}
	for i, b := range p {
		a, c := p[(i+3)%4], p[(i+1)%4]
		dot := (a.X-b.X)*(c.X-b.X) + (a.Y-b.Y)*(c.Y-b.Y)
		if math.Abs(dot) > square*math.Hypot(a.X-b.X, a.Y-b.Y)*math.Hypot(c.X-b.X, c.Y-b.Y) {
			return false
		}
	}
	return true
}
