package device

import (
	"bytes"
	"encoding/xml"
	"errors"
	"fmt"
	"io"
	"math"
	"strconv"
	"strings"
)

// read takes the lines out of a drawing as a cutter does: in millimetres, by the size that the file says that it
// has; of the groups named score and cut, in the order of the file. It knows straight paths alone.
func read(svg []byte) (strokes []Stroke, err error) {
	d := xml.NewDecoder(bytes.NewReader(svg))
	scale, pass, depth, points := 0.0, "", 0, 0
	for {
		token, err := d.Token()
		if errors.Is(err, io.EOF) {
			break
		}
		if err != nil {
			line, _ := d.InputPos()
			return nil, fmt.Errorf("line %d of the file cannot be read", line)
		}
		switch t := token.(type) {
		case xml.Directive:
			return nil, errors.New("the file declares a document type, which it does not read")
		case xml.EndElement:
			if t.Name.Local == "g" {
				if depth--; depth == 0 {
					pass = ""
				}
			}
		case xml.StartElement:
			attr := map[string]string{}
			for _, a := range t.Attr {
				attr[a.Name.Local] = a.Value
			}
			switch t.Name.Local {
			case "svg":
				if scale, err = unitOf(attr["width"], attr["viewBox"]); err != nil {
					return nil, err
				}
			case "g":
				if depth++; depth == 1 {
					pass = attr["id"]
				}
			case "path":
				if pass != "score" && pass != "cut" {
					continue // for the eye alone
				}
				list, err := straight(attr["d"])
				if err != nil {
					return nil, err
				}
				for i := range list {
					list[i] = [2]float64{list[i][0] * scale, list[i][1] * scale}
				}
				for _, dash := range dashed(list, attr["stroke-dasharray"], scale) {
					if points += len(dash); len(strokes) >= mostStrokes || points > mostPoints {
						return nil, errors.New("the drawing has more lines than it can hold")
					}
					strokes = append(strokes, Stroke{pass, dash})
				}
			case "title", "desc":
			default:
				line, _ := d.InputPos()
				return nil, fmt.Errorf("it does not know the <%s> in line %d of the file", clip(t.Name.Local), line)
			}
		}
	}
	if len(strokes) == 0 {
		return nil, errors.New("nothing in the drawing is to be scored or cut")
	}
	return strokes, nil
}

// unitOf is how many millimetres a unit of the drawing is, by its width and its view box.
func unitOf(width, box string) (float64, error) {
	view := strings.Fields(box)
	var mm float64
	for unit, of := range map[string]float64{"mm": 1, "in": 25.4} {
		if number, ok := strings.CutSuffix(width, unit); ok {
			v, err := strconv.ParseFloat(number, 64)
			if err == nil {
				mm = v * of
			}
		}
	}
	if len(view) == 4 {
		if units, err := strconv.ParseFloat(view[2], 64); err == nil && units > 0 && mm > 0 && mm < 1e5 {
			return mm / units, nil
		}
	}
	return 0, errors.New("the drawing does not say how large it is in mm or in")
}

// straight reads a path of straight lines: M, L and Z, absolute.
func straight(d string) (list [][2]float64, err error) {
	d = strings.TrimSpace(d)
	for len(d) > 0 {
		command := d[0]
		end := strings.IndexAny(d[1:], "MLZmlzHhVvCcSsQqTtAa")
		body := d[1:]
		if end >= 0 {
			body = d[1 : 1+end]
		}
		d = d[1+len(body):]
		numbers, ok := numbers(strings.ReplaceAll(body, ",", " "))
		switch {
		case !ok:
			return nil, errors.New("a path of the drawing holds what is no number")
		case command == 'Z' && len(numbers) == 0 && len(list) > 2:
			list = append(list, list[0])
		case (command == 'M' && len(list) == 0 || command == 'L' && len(list) > 0) && len(numbers) == 2:
			list = append(list, [2]float64{numbers[0], numbers[1]})
		default:
			return nil, fmt.Errorf("it does not know the “%c” in a path of the drawing", command)
		}
	}
	if len(list) < 2 {
		return nil, errors.New("a path of the drawing leads nowhere")
	}
	return list, nil
}

// dashed are the dashes of a line that is drawn in dashes; else the line itself.
func dashed(line [][2]float64, array string, scale float64) [][][2]float64 {
	list, ok := numbers(strings.ReplaceAll(array, ",", " "))
	if !ok || len(list) != 2 || list[0] <= 0 || list[1] <= 0 || len(line) != 2 {
		return [][][2]float64{line}
	}
	dash, gap := list[0]*scale, list[1]*scale
	a, b := line[0], line[1]
	long := math.Hypot(b[0]-a[0], b[1]-a[1])
	if long/(dash+gap) > mostStrokes {
		return [][][2]float64{line}
	}
	along := func(at float64) [2]float64 {
		return [2]float64{a[0] + (b[0]-a[0])*at/long, a[1] + (b[1]-a[1])*at/long}
	}
	var dashes [][][2]float64
	const hair = 1e-3
	for at := 0.0; at < long-hair; at += dash + gap {
		dashes = append(dashes, [][2]float64{along(at), along(min(at+dash, long))})
	}
	return dashes
}
