package format

import (
	"encoding/xml"
	"errors"
	"io"
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

// readSVG reads the shapes of a drawing. Scripts, links, pictures and entities
// are refused, and transforms, which would have to be undone by whoever drew it.
func readSVG(text string, best *largest) error {
	if strings.Count(text, "=") > mostAttributes {
		return refuse("The SVG has too many parts, or they are nested too deep: leave only the card's outline in it.")
	}
	d := xml.NewDecoder(strings.NewReader(text))
	scale := 25.4 / pixelsAnInch
	elements, within := 0, []shape{{}}
	for {
		token, err := d.Token()
		if errors.Is(err, io.EOF) {
			break
		}
		line, _ := d.InputPos()
		if err != nil {
			return onLine(line, refuse("The SVG cannot be read (%v): save it anew as a plain SVG.", err))
		}
		switch t := token.(type) {
		case xml.Directive:
			return onLine(line, refuse("The SVG declares a document type or entities, which are not read: save it as a plain SVG."))
		case xml.EndElement:
			within = within[:max(1, len(within)-1)]
		case xml.StartElement:
			if elements++; elements > mostElements || len(within) > mostDepth {
				return onLine(line, refuse("The SVG has too many parts, or they are nested too deep: leave only the card's outline in it."))
			}
			name := strings.ToLower(t.Name.Local)
			attr := map[string]string{}
			for _, a := range t.Attr {
				attr[a.Name.Local] = a.Value
			}
			if err := refused(name, attr); err != nil {
				return onLine(line, err)
			}
			as := named(within[len(within)-1], attr)
			as.line = line
			within = append(within, as)
			if name == "svg" {
				if scale, err = svgScale(attr); err != nil {
					return err
				}
				continue
			}
			err := svgShape(name, attr, func(p blank.Polygon, open bool) error {
				for i := range p {
					p[i].X, p[i].Y = p[i].X*scale, p[i].Y*scale
				}
				of := as
				of.open = open
				return best.see(p, of)
			})
			if err != nil {
				return onLine(line, err)
			}
		}
	}
	if !best.seen && best.gapLine == 0 {
		return refuse("There is no shape in the SVG: draw the outline as a path, polygon, rectangle, circle or ellipse.")
	}
	return nil
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
	case "script", "foreignobject", "image", "use", "a", "iframe", "animate", "set":
		return refuse("The SVG holds a <%s>, which is neither run nor followed: leave only the card's outline in it.", name)
	}
	for key := range attr {
		if key == "transform" {
			return refuse("A shape in the SVG is moved by a transform: flatten it in your drawing program, and save it anew.")
		}
		if strings.HasPrefix(strings.ToLower(key), "on") || key == "href" {
			return refuse("The SVG holds links or scripts, which are neither run nor followed: save it as a plain SVG.")
		}
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
	box, err := numbers(attr["viewBox"])
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
	get := func(key string) (float64, error) {
		if attr[key] == "" {
			return 0, nil
		}
		return finite(strings.TrimSuffix(attr[key], "px"))
	}
	var v [6]float64
	keys := map[string][]string{"rect": {"x", "y", "width", "height"}, "line": {"x1", "y1", "x2", "y2"}, "circle": {"cx", "cy", "r"}, "ellipse": {"cx", "cy", "rx", "ry"}}
	for i, key := range keys[name] {
		var err error
		if v[i], err = get(key); err != nil {
			return err
		}
	}
	const round = 6.283185307179586
	switch name {
	case "rect":
		x, y, w, h := v[0], v[1], v[2], v[3]
		return see(blank.Polygon{{X: x, Y: y}, {X: x + w, Y: y}, {X: x + w, Y: y + h}, {X: x, Y: y + h}}, false)
	case "line":
		return see(blank.Polygon{{X: v[0], Y: v[1]}, {X: v[2], Y: v[3]}}, true)
	case "circle":
		return see(arc(v[0], v[1], v[2], v[2], 0, 0, round), false)
	case "ellipse":
		return see(arc(v[0], v[1], v[2], v[3], 0, 0, round), false)
	case "polygon", "polyline":
		list, err := numbers(attr["points"])
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

// numbers reads a list of finite numbers parted by spaces or commas.
func numbers(text string) ([]float64, error) {
	var list []float64
	for f := range strings.FieldsFuncSeq(text, func(r rune) bool { return r == ' ' || r == ',' || r == '\n' || r == '\t' || r == '\r' }) {
		v, err := finite(f)
		if err != nil {
			return nil, err
		}
		if list = append(list, v); len(list) > 4*blank.MostCorners {
			return nil, refuse("A shape in the SVG has more corners than can be worked with: simplify it.")
		}
	}
	return list, nil
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
