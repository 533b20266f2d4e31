package format

import (
	"bytes"
	"encoding/binary"
	"hash/crc32"
	"image"
	"image/color"
	"image/draw"
	"image/png"
	"io"
	"math"
	"sync"

	"golang.org/x/image/font"
	"golang.org/x/image/font/opentype"
	"golang.org/x/image/math/fixed"
	"golang.org/x/image/vector"

	"yellowparcel/core/blank"
)

// pngFormat is a picture, for machines and programs that trace one, and to be sent.
var pngFormat = Format{ID: "png", Name: "PNG", For: "a picture, with its scale", Kind: "image/png", Draw: writePNG}

// The pixels of a picture: as fine as a trace wants it, and no more of them than can be held.
const (
	pixelsWanted = 300.0 / mmAnInch // a millimetre
	mostPixels   = 20_000_000
	pngMargin    = 3 // millimetres
)

// writePNG writes a drawing as a picture with a white margin; how large it really is stands in it.
func writePNG(w io.Writer, s Sheet, _ Settings) error {
	wide, high := s.Width+2*pngMargin, s.Height+2*pngMargin
	scale := min(pixelsWanted, math.Sqrt(mostPixels/(wide*high)))
	p := newPicture(int(math.Ceil(wide*scale)), int(math.Ceil(high*scale)), scale)
	paint(p, s.Moved(pngMargin, pngMargin), 3.4)
	var out bytes.Buffer
	if err := (&png.Encoder{CompressionLevel: png.BestSpeed}).Encode(&out, p.on); err != nil {
		return err
	}
	_, err := w.Write(withScale(out.Bytes(), scale))
	return err
}

// withScale puts the pixels a metre into a PNG, behind its header.
func withScale(file []byte, perMM float64) []byte {
	const header = 8 + 25 // the signature and the chunk IHDR
	chunk := make([]byte, 0, 21)
	chunk = binary.BigEndian.AppendUint32(chunk, 9)
	chunk = append(chunk, "pHYs"...)
	for range 2 {
		chunk = binary.BigEndian.AppendUint32(chunk, uint32(math.Round(perMM*1000)))
	}
	chunk = append(chunk, 1) // a metre
	chunk = binary.BigEndian.AppendUint32(chunk, crc32.ChecksumIEEE(chunk[4:]))
	return append(append(file[:header:header], chunk...), file[header:]...)
}

// picture is a surface of pixels.
type picture struct {
	on    *image.RGBA
	scale float64 // pixels a millimetre
}

func newPicture(w, h int, scale float64) picture {
	p := picture{image.NewRGBA(image.Rect(0, 0, w, h)), scale}
	draw.Draw(p.on, p.on.Bounds(), image.White, image.Point{}, draw.Src)
	return p
}

// area fills corners within the box round them: a picture has many, and is large.
func (p picture) area(corners blank.Polygon, fill colour) {
	x0, y0, x1, y1 := corners.Box()
	box := image.Rect(int(x0*p.scale)-1, int(y0*p.scale)-1, int(x1*p.scale)+2, int(y1*p.scale)+2).Intersect(p.on.Bounds())
	if box.Empty() {
		return
	}
	r := vector.NewRasterizer(box.Dx(), box.Dy())
	at := func(c blank.Point) (x, y float32) {
		return float32(c.X*p.scale - float64(box.Min.X)), float32(c.Y*p.scale - float64(box.Min.Y))
	}
	r.MoveTo(at(corners[0]))
	for _, c := range corners[1:] {
		r.LineTo(at(c))
	}
	r.ClosePath()
	r.Draw(p.on, box, image.NewUniform(color.RGBA{fill[0], fill[1], fill[2], 255}), image.Point{})
}

func (p picture) line(corners blank.Polygon, closed bool, stroke colour, width float64, dash []float64) {
	if closed {
		corners = append(corners[:len(corners):len(corners)], corners[0])
	}
	walk := dashes{pattern: dash}
	for i := range len(corners) - 1 {
		a, b := corners[i], corners[i+1]
		length := math.Hypot(b.X-a.X, b.Y-a.Y)
		if length == 0 {
			continue
		}
		ux, uy := (b.X-a.X)/length, (b.Y-a.Y)/length
		for _, d := range walk.along(length) {
			// Half a width further at both ends, so that corners are whole.
			from, to, h := d[0]-width/2, d[1]+width/2, width/2
			p.area(blank.Polygon{
				{X: a.X + ux*from - uy*h, Y: a.Y + uy*from + ux*h}, {X: a.X + ux*to - uy*h, Y: a.Y + uy*to + ux*h},
				{X: a.X + ux*to + uy*h, Y: a.Y + uy*to - ux*h}, {X: a.X + ux*from + uy*h, Y: a.Y + uy*from - ux*h},
			}, stroke)
		}
	}
}

// dashes walks a pattern of dashes and gaps along lines, one after the other.
type dashes struct {
	pattern []float64
	at      int     // its place in the pattern
	done    float64 // of that one
}

// along is where the dashes of the next line begin and end.
func (d *dashes) along(length float64) (list [][2]float64) {
	if len(d.pattern) == 0 {
		return [][2]float64{{0, length}}
	}
	for at := 0.0; at < length; {
		step := min(d.pattern[d.at]-d.done, length-at)
		if d.at%2 == 0 {
			list = append(list, [2]float64{at, at + step})
		}
		at += step
		if d.done += step; d.done >= d.pattern[d.at]-1e-9 {
			d.at, d.done = (d.at+1)%len(d.pattern), 0
		}
	}
	return list
}

// faces are the fonts, parsed once.
var faces = sync.OnceValues(func() (text, number *opentype.Font) {
	text, _ = opentype.Parse(textFont) // shipped, and read by a test
	number, _ = opentype.Parse(numberFont)
	return text, number
})

func (p picture) face(size float64, bold bool) font.Face {
	f, number := faces()
	if bold {
		f = number
	}
	face, _ := opentype.NewFace(f, &opentype.FaceOptions{Size: size * p.scale, DPI: 72})
	return face
}

func (p picture) text(at blank.Point, text string, size, align float64, bold bool, fill colour) {
	x := (at.X - align*p.wide(text, size, bold)) * p.scale
	for _, r := range runs(text) {
		face := p.face(size*r.scale, bold)
		d := font.Drawer{
			Dst: p.on, Src: image.NewUniform(color.RGBA{fill[0], fill[1], fill[2], 255}), Face: face,
			Dot: fixed.Point26_6{X: fixed.Int26_6(x * 64), Y: fixed.Int26_6((at.Y - r.rise*size) * p.scale * 64)},
		}
		d.DrawString(r.text)
		x = float64(d.Dot.X) / 64
	}
}

func (p picture) wide(text string, size float64, bold bool) (sum float64) {
	for _, r := range runs(text) {
		sum += float64(font.MeasureString(p.face(size*r.scale, bold), r.text)) / 64
	}
	return sum / p.scale
}
