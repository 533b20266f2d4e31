package format

import (
	"encoding/xml"
	"errors"
	"io"
	"math"
	"slices"
	"strconv"
	"strings"

	"yellowparcel/core/blank"
)

const (
	mostElements = 20_000
	// An element's attributes are read all at once.
	mostAttributes = 100_000
	mostDepth      = 64
	pixelsAnInch   = 96
)

// element is one part of an SVG file with what is in it.
type element struct {
	name string
	attr map[string]string
	line int
	kids []*element
}

// readSVG reads the shapes of a drawing as they stand on the page: moved by their transforms, and as often as they
// are used. Scripts, pictures, entities and what lies outside of the file are refused.
func readSVG(text string, best *largest) error {
	if strings.Count(text, "=") > mostAttributes {
		return errTooMany
	}
	root, ids, err := parseSVG(text)
	if err != nil {
		return err
	}
	w := svgWalk{ids: ids, best: best}
	for _, e := range root.kids {
		scale := 25.4 / pixelsAnInch
		if e.name == "svg" {
			if scale, err = svgScale(e.attr); err != nil {
				return err
			}
		}
		if err := w.element(e, shape{}, scaling(scale, scale), 0); err != nil {
			return err
		}
	}
	if !best.seen && best.gapLine == 0 {
		return refuse("There is no shape in the SVG: draw the outline as a path, polygon, rectangle, circle or ellipse.")
	}
	return nil
}

var errTooMany = refuse("The SVG has too many parts, or they are nested too deep: leave only the card's outline in it.")

// parseSVG reads the parts of a file, and which of them has which name.
func parseSVG(text string) (root *element, ids map[string]*element, err error) {
	d := xml.NewDecoder(strings.NewReader(text))
	root, ids = &element{}, map[string]*element{}
	elements, within := 0, []*element{root}
	for {
		token, err := d.Token()
		if errors.Is(err, io.EOF) {
			return root, ids, nil
		}
		line, _ := d.InputPos()
		if err != nil {
			return nil, nil, onLine(line, refuse("The SVG cannot be read (%v): save it anew as a plain SVG.", err))
		}
		switch t := token.(type) {
		case xml.Directive:
			return nil, nil, onLine(line, refuse("The SVG declares a document type or entities, which are not read: save it as a plain SVG."))
		case xml.EndElement:
			within = within[:max(1, len(within)-1)]
		case xml.StartElement:
			if elements++; elements > mostElements || len(within) > mostDepth {
				return nil, nil, onLine(line, errTooMany)
			}
			e := &element{name: strings.ToLower(t.Name.Local), attr: map[string]string{}, line: line}
			for _, a := range t.Attr {
				e.attr[a.Name.Local] = a.Value
			}
			if err := refused(e.name, e.attr); err != nil {
				return nil, nil, onLine(line, err)
			}
			if id := e.attr["id"]; id != "" && ids[id] == nil {
				ids[id] = e
			}
			in := within[len(within)-1]
			in.kids = append(in.kids, e)
			within = append(within, e)
		}
	}
}

// svgWalk goes through a drawing as it is seen.
type svgWalk struct {
	ids  map[string]*element
	best *largest
	seen int
}

// element shows the outlines of a part and of all in it, in the place that it is moved to.
func (w *svgWalk) element(e *element, in shape, m matrix, depth int) error {
	if w.seen++; w.seen > mostElements || depth > mostDepth { // what uses itself is nested for ever
		return onLine(e.line, errTooMany)
	}
	if hidden(e.attr) {
		return nil
	}
	as := named(in, e.attr)
	as.line = e.line
	moved, err := transform(e.attr["transform"])
	if err != nil {
		return onLine(e.line, err)
	}
	m = m.then(moved)
	switch e.name {
	case "defs", "symbol", "clippath", "mask", "pattern", "marker", "lineargradient", "radialgradient", "filter":
		return nil // drawn only where it is used
	case "use":
		return w.use(e, as, m, depth)
	case "svg":
		if depth > 0 && (e.attr["viewBox"] != "" || e.attr["x"]+e.attr["y"] != "") {
			return onLine(e.line, refuse("The SVG holds another one inside: ungroup it in your drawing program, and save it anew."))
		}
	}
	err = svgShape(e.name, e.attr, func(p blank.Polygon, open bool) error {
		for i := range p {
			if p[i] = m.point(p[i]); !(math.Abs(p[i].X) < mostAway && math.Abs(p[i].Y) < mostAway) {
				return refuse("A shape in the SVG lies beyond any sheet: look at its transforms.")
			}
		}
		of := as
		of.open = open
		return w.best.see(p, of)
	})
	if err != nil {
		return onLine(e.line, err)
	}
	for _, k := range e.kids {
		if err := w.element(k, as, m, depth+1); err != nil {
			return err
		}
	}
	return nil
}

// mostAway is how far from its corner anything of a drawing may lie, in millimetres.
const mostAway = 1e7

// use shows another part of the file where it is used.
func (w *svgWalk) use(e *element, as shape, m matrix, depth int) error {
	of := w.ids[strings.TrimPrefix(e.attr["href"], "#")]
	if of == nil {
		return onLine(e.line, refuse("The SVG uses “%.40s”, which is not in it: save it anew as a plain SVG.", e.attr["href"]))
	}
	x, err := userLength(e.attr["x"])
	if err != nil {
		return onLine(e.line, err)
	}
	y, err := userLength(e.attr["y"])
	if err != nil {
		return onLine(e.line, err)
	}
	m = m.then(matrix{1, 0, 0, 1, x, y})
	if of.name != "symbol" && of.name != "svg" {
		return w.element(of, as, m, depth+1)
	}
	if of.attr["viewBox"] != "" {
		return onLine(e.line, refuse("The SVG uses a symbol with a view of its own: ungroup it in your drawing program, and save it anew."))
	}
	for _, k := range of.kids {
		if err := w.element(k, as, m, depth+1); err != nil {
			return err
		}
	}
	return nil
}

// hidden reports whether a part is not shown.
func hidden(attr map[string]string) bool {
	style := strings.ReplaceAll(attr["style"], " ", "")
	return attr["display"] == "none" || attr["visibility"] == "hidden" || strings.Contains(style, "display:none") || strings.Contains(style, "visibility:hidden")
}

// What names fold lines, and what is for the eye alone, in the names of groups and shapes.
var (
	foldNames  = []string{"score", "fold", "crease", "valley", "mountain", "perf"}
	asideNames = []string{"guide", "grid", "label", "print", "check"}
)

// named is what a shape is by its own name and its dashes, or else by what it lies in.
func named(in shape, attr map[string]string) shape {
	name := strings.ToLower(attr["id"] + " " + attr["class"] + " " + attr["label"] + " " + attr["data-kind"])
	has := func(list []string) bool {
		return slices.ContainsFunc(list, func(s string) bool { return strings.Contains(name, s) })
	}
	dash := attr["stroke-dasharray"]
	if _, style, ok := strings.Cut(attr["style"], "stroke-dasharray:"); ok {
		dash, _, _ = strings.Cut(style, ";")
	}
	dash = strings.TrimSpace(dash)
	in.fold = in.fold || has(foldNames) || dash != "" && dash != "none"
	in.aside = in.aside || has(asideNames)
	return in
}

// refused names what is never followed or executed.
func refused(name string, attr map[string]string) error {
	switch name {
	case "script", "foreignobject", "image", "a", "iframe", "animate", "animatetransform", "set":
		return refuse("The SVG holds a <%s>, which is neither run nor followed: leave only the card's outline in it.", name)
	}
	for key, value := range attr {
		if strings.HasPrefix(strings.ToLower(key), "on") || key == "href" && !strings.HasPrefix(value, "#") {
			return refuse("The SVG holds links or scripts, which are neither run nor followed: save it as a plain SVG.")
		}
	}
	if strings.Contains(attr["style"], "transform") {
		return refuse("A shape in the SVG is moved by its style: save it anew as a plain SVG.")
	}
	return nil
}

// svgScale is how many millimetres a unit of the drawing is.
func svgScale(attr map[string]string) (float64, error) {
	width := strings.TrimSpace(attr["width"])
	units := []struct {
		suffix string
		mm     float64
	}{{"mm", 1}, {"cm", 10}, {"in", 25.4}, {"pt", 25.4 / 72}, {"px", 25.4 / pixelsAnInch}, {"", 25.4 / pixelsAnInch}}
	size := 0.0
	for _, u := range units {
		if number, ok := strings.CutSuffix(width, u.suffix); ok && width != "" {
			v, err := finite(number)
			if err != nil {
				return 25.4 / pixelsAnInch, nil // a percentage, say
			}
			size = v * u.mm
			break
		}
	}
	box, err := (&scanner{attr["viewBox"]}).all()
	if err != nil {
		return 0, err
	}
	if size > 0 && len(box) == 4 && box[2] > 0 {
		return size / box[2], nil
	}
	return 25.4 / pixelsAnInch, nil
}

// svgShape shows the outlines of an element, in the drawing's units.
func svgShape(name string, attr map[string]string, see func(p blank.Polygon, open bool) error) error {
	var v [6]float64
	keys := map[string][]string{"rect": {"x", "y", "width", "height", "rx", "ry"}, "line": {"x1", "y1", "x2", "y2"}, "circle": {"cx", "cy", "r"}, "ellipse": {"cx", "cy", "rx", "ry"}}
	for i, key := range keys[name] {
		var err error
		if v[i], err = userLength(attr[key]); err != nil {
			return err
		}
	}
	const round = 6.283185307179586
	switch name {
	case "rect":
		x, y, w, h := v[0], v[1], v[2], v[3]
		rx, ry := v[4], v[5]
		if attr["rx"] == "" || attr["rx"] == "auto" {
			rx = ry
		}
		if attr["ry"] == "" || attr["ry"] == "auto" {
			ry = rx
		}
		if rx, ry = min(rx, w/2), min(ry, h/2); rx > 0 && ry > 0 {
			return see(rounded(x, y, w, h, rx, ry), false)
		}
		return see(blank.Polygon{{X: x, Y: y}, {X: x + w, Y: y}, {X: x + w, Y: y + h}, {X: x, Y: y + h}}, false)
	case "line":
		return see(blank.Polygon{{X: v[0], Y: v[1]}, {X: v[2], Y: v[3]}}, true)
	case "circle":
		return see(arc(v[0], v[1], v[2], v[2], 0, 0, round), false)
	case "ellipse":
		return see(arc(v[0], v[1], v[2], v[3], 0, 0, round), false)
	case "polygon", "polyline":
		list, err := (&scanner{attr["points"]}).all()
		if err != nil {
			return err
		}
		var p blank.Polygon
		for i := 0; i+1 < len(list); i += 2 {
			p = append(p, blank.Point{X: list[i], Y: list[i+1]})
		}
		return see(p, name == "polyline")
	case "path":
		return readPath(attr["d"], see)
	}
	return nil
}

// rounded is a rectangle with round corners.
func rounded(x, y, w, h, rx, ry float64) (p blank.Polygon) {
	const quarter = math.Pi / 2
	for i, c := range []blank.Point{{X: x + w - rx, Y: y + ry}, {X: x + w - rx, Y: y + h - ry}, {X: x + rx, Y: y + h - ry}, {X: x + rx, Y: y + ry}} {
		from := quarter * float64(i-1)
		sin, cos := math.Sincos(from)
		p = append(p, blank.Point{X: c.X + rx*cos, Y: c.Y + ry*sin})
		p = append(p, arc(c.X, c.Y, rx, ry, 0, from, quarter)...)
	}
	return p
}

// userUnits are how many of a drawing's units the units of a length are.
var userUnits = []struct {
	suffix string
	units  float64
}{{"mm", pixelsAnInch / 25.4}, {"cm", pixelsAnInch / 2.54}, {"in", pixelsAnInch}, {"pt", pixelsAnInch / 72.0}, {"px", 1}}

// userLength is a length of a shape in the drawing's units; zero where none is given.
func userLength(text string) (float64, error) {
	if text = strings.TrimSpace(text); text == "" || text == "auto" {
		return 0, nil
	}
	for _, u := range userUnits {
		if number, ok := strings.CutSuffix(text, u.suffix); ok {
			v, err := finite(number)
			return v * u.units, err
		}
	}
	return finite(text)
}

// finite reads a number that is one and not beyond any sheet.
func finite(text string) (float64, error) {
	v, err := strconv.ParseFloat(strings.TrimSpace(text), 64)
	const most = 1e6
	if err != nil || !(v > -most && v < most) {
		return 0, refuse("“%.30s” is no usable number in a drawing of a card: look at the file.", text)
	}
	return v, nil
}
