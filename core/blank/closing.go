package blank

import (
	"math"
	"slices"
)

// Closing are the panels that stay open until the card is in, by their IDs, in the order in which
// they are folded. A card slides in past the flap that is folded last, and past the wall that this
// hangs on. Where the walls hold each other it is laid in from above: then all that comes to lie
// over the face stays open. See "Closing" in docs/sums.md.
func (n Net) Closing() (ids []string) {
	hangs := map[string]Crease{}
	for _, c := range n.Creases {
		hangs[c.Panel] = c
	}
	over := n.over()
	boxed := slices.ContainsFunc(n.Glue, func(g Glue) bool { return !g.Joins && !over[g.Panel] && !over[g.Onto] && g.Onto != n.face() })
	closes := map[string]bool{}
	if boxed {
		for id := range hangs {
			closes[id] = over[id]
		}
	} else {
		last := Crease{}
		for _, c := range n.Creases {
			if c.Order >= last.Order {
				last = c
			}
		}
		for c, ok := last, last.Panel != ""; ok; c, ok = hangs[c.On] { // and the wall that it hangs on
			closes[c.Panel] = true
		}
	}
	order := slices.Clone(n.Creases)
	slices.SortStableFunc(order, func(a, b Crease) int { return a.Order - b.Order })
	for _, c := range order {
		for id, steps := c.Panel, 0; id != "" && steps <= len(hangs); id, steps = hangs[id].On, steps+1 { // what hangs on it goes with it
			if closes[id] {
				ids = append(ids, c.Panel)
				break
			}
		}
	}
	return ids
}

// Closes reports whether a seam is made when the card is in: it holds a panel that closes, and not a
// tip that is folded in on its own flap.
func (n Net) Closes(g Glue) bool {
	closing := n.Closing()
	for _, c := range n.Creases {
		if c.Panel == g.Panel && c.On == g.Onto {
			return false
		}
	}
	return slices.Contains(closing, g.Panel) || slices.Contains(closing, g.Onto)
}

// over are the panels that come to lie over the face, or under it, when all is folded.
func (n Net) over() map[string]bool {
	list := map[string]bool{}
	for i, p := range n.poses(all) {
		list[n.Panels[i].ID] = i > 0 && math.Abs(math.Abs(p.z.Z)-1) < level
	}
	return list
}

// face is the panel on which all others hang.
func (n Net) face() string {
	if len(n.Panels) == 0 {
		return ""
	}
	return n.Panels[0].ID
}
