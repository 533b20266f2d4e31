package job

import (
	"fmt"
	"math"
	"slices"
	"strings"

	"yellowparcel/core/field"
	"yellowparcel/core/measure"
	"yellowparcel/core/paper"
	"yellowparcel/core/say"
)

// addThing lays a thing of the table on the card, with its usual measures.
func (j *Job) addThing(shop Shop, id string) error {
	kind, ok := paper.ThingByID(id)
	if !ok {
		return say.Refuse("There is no thing “%s” in the table: choose one of the list.", say.Clip(id))
	}
	own := field.NewID(id, j.lists()["parts"])
	n := 1
	_, _ = fmt.Sscanf(strings.TrimPrefix(own, id+"-"), "%d", &n)
	name := kind.Name
	if n > 1 {
		name = fmt.Sprintf("%s %d", name, n)
	}
	t := &Thing{
		Type: id, Disc: kind.Disc, Width: kind.Width, Height: kind.Height, Caliper: kind.Caliper, Grams: kind.Grams,
		Draping: kind.Draping, Crushable: kind.Crushable, Inside: kind.Inside, Over: kind.Over,
	}
	tick := shop.Style().Tick
	switch {
	case kind.Across:
		t.Width = j.Card.Width
	case kind.Over:
		t.Grams *= float64(j.Card.Width) * float64(j.Card.Height) / float64(kind.Width) / float64(kind.Height)
		t.Width, t.Height = j.Card.Width, j.Card.Height
	}
	t.X, t.Y = ((j.Card.Width - t.Width) / 2).Near(tick), ((j.Card.Height - t.Height) / 2).Near(tick)
	if x, y, free := freeSpot(*j, *t, "", tick); free {
		t.X, t.Y = x, y
	}
	j.Parts = append(j.Parts, Part{ID: own, Name: name, Kind: ThingPart, Thing: t})
	return nil
}

// beside reports whether a thing lies on the face, beside others.
func (t *Thing) beside() bool { return t != nil && !t.Inside && !t.Over }

// touches reports whether two things overlap, or come nearer than a gap.
func (t Thing) touches(u Thing, gap measure.Length) bool {
	if t.Disc && u.Disc {
		// By their middles.
		dx := float64(2*t.X+t.Width-2*u.X-u.Width) / 2
		dy := float64(2*t.Y+t.Height-2*u.Y-u.Height) / 2
		return math.Hypot(dx, dy) < float64(t.Width+u.Width)/2+float64(gap)
	}
	if u.Disc {
		t, u = u, t
	}
	if t.Disc {
		r := float64(t.Width) / 2
		x, y := float64(t.X)+r, float64(t.Y)+r
		nx, ny := math.Max(float64(u.X), math.Min(x, float64(u.X+u.Width))), math.Max(float64(u.Y), math.Min(y, float64(u.Y+u.Height)))
		return math.Hypot(x-nx, y-ny) < r+float64(gap)
	}
	return t.X < u.X+u.Width+gap && u.X < t.X+t.Width+gap && t.Y < u.Y+u.Height+gap && u.Y < t.Y+t.Height+gap
}

// spotStep is how far apart the spots are that are tried for a thing.
const spotStep = measure.Inch / 8

// freeSpot is the place for a thing that is nearest to the middle of the face, lies on it and
// touches nothing else that lies there, by a tick; the thing of an ID does not count. It is
// false where there is none.
func freeSpot(j Job, t Thing, id string, tick measure.Length) (x, y measure.Length, free bool) {
	if !t.beside() || t.Width > j.Card.Width || t.Height > j.Card.Height {
		return 0, 0, false
	}
	step := spotStep.Up(tick)
	midX, midY := ((j.Card.Width - t.Width) / 2).Near(tick), ((j.Card.Height - t.Height) / 2).Near(tick)
	best := measure.Length(0)
	for dy := -(midY / step) * step; midY+dy+t.Height <= j.Card.Height; dy += step {
		for dx := -(midX / step) * step; midX+dx+t.Width <= j.Card.Width; dx += step {
			far := dx.Abs() + dy.Abs()
			if free && far >= best {
				continue
			}
			t.X, t.Y = midX+dx, midY+dy
			if !slices.ContainsFunc(j.Parts, func(p Part) bool { return p.ID != id && p.Thing.beside() && t.touches(*p.Thing, tick) }) {
				x, y, best, free = t.X, t.Y, far, true
			}
		}
	}
	return x, y, free
}

// Overlap is a thing that lies over another one, by their places in the list of parts, where
// nobody said that they are glued on each other.
type Overlap struct{ Under, Over int }

// Overlaps are the things on the face that lie over each other.
func Overlaps(j Job) (list []Overlap) {
	for i, p := range j.Parts {
		for k, q := range j.Parts[:i] {
			if p.Thing.beside() && q.Thing.beside() && !p.Thing.Stacked && !q.Thing.Stacked && p.Thing.touches(*q.Thing, 0) {
				list = append(list, Overlap{k, i})
			}
		}
	}
	return list
}

// MoveApart moves a thing to where it touches nothing; it is refused where there is no room.
func MoveApart(j *Job, id string, tick measure.Length) error {
	for i := range j.Parts {
		p := &j.Parts[i]
		if p.ID != id || p.Thing == nil {
			continue
		}
		x, y, free := freeSpot(*j, *p.Thing, id, tick)
		if !free {
			return say.Refuse("There is no free place for “%s” on the face. Make it smaller, or glue it on what lies under it.", say.Clip(p.Name))
		}
		t := *p.Thing
		t.X, t.Y = x, y
		p.Thing = &t
		return nil
	}
	return say.Refuse("The thing that was to be moved is gone: look again.")
}
