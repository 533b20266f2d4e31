package blank

import "yellowparcel/core/measure"

// pocketNet draws the net; tabs, back and flap taper by a sliver at the free
// edge, so that nothing peeks out.
func pocketNet(p pocketSizes, s Spec) Net {
	mm := measure.Length.Millimetres
	tab, wall, w, sl := mm(p.tab), mm(p.wall), mm(p.width), mm(s.Sliver)
	x0 := tab + wall
	x1, far := x0+w, 2*tab+2*wall+w+mm(p.uneven)
	y0 := mm(p.flap) + wall
	y1 := y0 + mm(p.front)
	end := y1 + wall + mm(p.back)
	n := Net{Sheet: rectangle(0, 0, far, end)}
	n.Panels = []Panel{{"front", "front", rectangle(x0, y0, x1, y1)}}
	hang := func(id, name, on string, outline Polygon, from, to Point, order int) {
		angle := 180.0
		if wall > 0 {
			angle = 90
		}
		n.Panels = append(n.Panels, Panel{id, name, outline})
		n.Creases = append(n.Creases, Crease{Panel: id, On: on, From: from, To: to, Angle: angle, Order: order})
	}
	left, right, top, bottom := "front", "front", "front", "front"
	if wall > 0 {
		left, right, top, bottom = "left wall", "right wall", "throat wall", "bottom wall"
		hang(left, "wall", "front", rectangle(x0-wall, y0, x0, y1), Point{x0, y0}, Point{x0, y1}, 1)
		hang(right, "wall", "front", rectangle(x1, y0, x1+wall, y1), Point{x1, y0}, Point{x1, y1}, 1)
		hang(bottom, "wall", "front", rectangle(x0, y1, x1, y1+wall), Point{x0, y1}, Point{x1, y1}, 3)
		hang(top, "wall", "front", rectangle(x0, y0-wall, x1, y0), Point{x0, y0}, Point{x1, y0}, 5)
	}
	lx, rx, ty, by := x0-wall, x1+wall, y0-wall, y1+wall
	back := Polygon{{x0, by}, {x1, by}, {x1 - sl, end}, {x0 + sl, end}}
	if s.TabsOnBack && wall == 0 {
		// The tabs fold in first, then the back brings them down on the front.
		back = rectangle(x0, by, x1, end)
		hang("back", "back", bottom, back.notched(mm(s.Notch), 2), Point{x0, by}, Point{x1, by}, 4)
		hang("left", "tab", "back", Polygon{{lx, by}, {lx, end}, {0, end - sl}, {0, by + sl}}, Point{lx, by}, Point{lx, end}, 2)
		hang("right", "tab", "back", Polygon{{rx, by}, {far, by + sl}, {far, end - sl}, {rx, end}}, Point{rx, by}, Point{rx, end}, 2)
	} else {
		hang("left", "tab", left, Polygon{{lx, y0}, {lx, y1}, {0, y1 - sl}, {0, y0 + sl}}, Point{lx, y0}, Point{lx, y1}, 2)
		hang("right", "tab", right, Polygon{{rx, y0}, {far, y0 + sl}, {far, y1 - sl}, {rx, y1}}, Point{rx, y0}, Point{rx, y1}, 2)
		hang("back", "back", bottom, back.notched(mm(s.Notch), 2).rounded(mm(s.Corner), freeCorners(back, s)...), Point{x0, by}, Point{x1, by}, 4)
	}
	hang("top", "closing flap", top, s.FlapShape.outline(x0, x1, ty, 0, sl, mm(s.Corner)), Point{x0, ty}, Point{x1, ty}, 6)
	onto := "back"
	if s.TabsOnBack && wall == 0 {
		onto = "front"
	}
	n.Glue = n.glued([2]string{"left", onto}, [2]string{"right", onto}, [2]string{"top", "back"})
	return n
}

// freeCorners are the corners of the back at the throat, by their place once it
// has its notch.
func freeCorners(back Polygon, s Spec) []int {
	n := len(back.notched(s.Notch.Millimetres(), 2))
	return []int{2, n - 1}
}
