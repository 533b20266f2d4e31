package e2e

import (
	"bytes"
	"fmt"
	"image"
	"image/color"
	"image/draw"
	"image/png"
	"os"
	"path/filepath"
	"strings"
	"testing"

	"github.com/go-rod/rod/lib/proto"

	"yellowparcel/core/job"
	"yellowparcel/core/plan"
	"yellowparcel/demo"
)

// looks are the ways in which everything is looked at.
var looks = []struct {
	name          string
	width, height int
	dark, metric  bool
}{
	{"light", 1280, 800, false, false},
	{"dark", 1280, 800, true, false},
	{"millimetres", 1280, 800, false, true},
	{"narrow", 820, 1180, false, false},
}

// TestLook takes a picture of every station, with every drawing that it can show,
// of every demo job, in light and dark, in millimetres, at 820 wide, of an empty
// start and of errors, and lays them on contact sheets in the folder that LOOK
// names: one a station and way of looking.
func TestLook(t *testing.T) {
	dir := os.Getenv("LOOK")
	if dir == "" {
		t.Skip("LOOK names no folder: make look sets it")
	}
	if err := os.MkdirAll(dir, 0o755); err != nil {
		t.Fatal(err)
	}
	p := start(t, t.TempDir(), "127.0.0.1:0")
	for _, look := range looks {
		w := openIn(t, browser(t), p, "/", look.width, look.height)
		w.see(test("job"), "Meteor-night thanks")
		w.MustEval(`(dark) => localStorage.setItem('yellow-parcel-light', dark ? 'lamp' : 'day')`, look.dark)
		if look.metric {
			w.openJob(demo.Jobs()[0].Name)
			w.MustEval(`() => document.activeElement.blur()`)
			w.Keyboard.MustType('m')
			w.see(test("ticket-card"), "136.5")
		}
		others := sheet{}
		for _, page := range append(pages, "/nowhere") {
			w.goToNow(page)
			w.see("h1", "")
			others.row(w.picture(t))
		}
		others.write(t, filepath.Join(dir, look.name+"-other.png"))
		more := sheet{}
		for n, j := range demo.Jobs() {
			w.goToNow("/")
			at := strings.TrimSuffix(w.openJob(j.Name), "card")
			var row []image.Image
			for _, page := range jobPages {
				w.goToNow(at + page)
				w.waitFor("the page of "+page, func() (string, bool) { return "", !w.MustHas("[aria-busy=true]") })
				row = append(row, w.picture(t))
			}
			more.row(row...)
			if look.name == "light" || look.metric {
				var pictures []image.Image
				for _, print := range prints {
					pictures = append(pictures, printedPages(t, p, "/api"+at+print)...)
				}
				if n == 0 {
					pictures = append(pictures, printedPages(t, p, "/api/chart/pdf")...)
				}
				for _, x := range plan.Make(j, demo.Shop()).Bench.Pieces {
					pictures = append(pictures, printedPages(t, p, "/api"+at+"pieces/"+x.ID+"/pdf")...)
				}
				printed := sheet{}
				printed.row(pictures...)
				printed.write(t, filepath.Join(dir, fmt.Sprintf("%s-prints-%d.png", look.name, n+1)))
			}
		}
		more.write(t, filepath.Join(dir, look.name+"-pages.png"))
		for _, station := range []string{"card", "layers", "envelope", "mail", "paper", "bench"} {
			s := sheet{}
			for _, j := range demo.Jobs() {
				w.goToNow("/")
				at := strings.TrimSuffix(w.openJob(j.Name), "card")
				w.goToNow(at + station)
				w.see(test("headline"), "")
				pictures := []image.Image{}
				for _, drawer := range drawersOf(station) {
					w.drawer(drawer)
					pictures = append(pictures, w.picture(t))
				}
				views := w.MustEval(`() => [...document.querySelectorAll('[data-test*=view-][type=radio]')].map(e => e.dataset.test)`)
				for _, v := range views.Arr()[min(1, len(views.Arr())):] {
					w.pick(v.Str())
					pictures = append(pictures, w.picture(t))
				}
				s.row(pictures...)
			}
			s.write(t, filepath.Join(dir, look.name+"-"+station+".png"))
		}
		if look.metric {
			w.MustEval(`() => document.activeElement.blur()`)
			w.Keyboard.MustType('m') // as it was
			w.waitFor("inches again", func() (string, bool) { s := w.text(test("ticket-card")); return s, !strings.Contains(s, "177.8") })
		}
	}

	empty := startPlain(t, t.TempDir(), "127.0.0.1:0")
	w := open(t, empty, "/")
	w.see(test("empty"), "")
	begin := sheet{}
	first := w.picture(t)
	w.click(test("new-job"))
	w.see(test("headline"), "")
	begin.row(first, w.picture(t))
	w.goToNow("/shelf")
	w.see("h1", "")
	begin.row(w.picture(t))
	begin.write(t, filepath.Join(dir, "empty.png"))

	w = open(t, p, "/")
	at := strings.TrimSuffix(w.openJob(demo.Jobs()[0].Name), "card")
	errors := sheet{}
	w.fill("field-card.width", "5 3 1/8")
	w.see(test("behind"), "")
	w.fill("field-card.height", "0")
	wrong := w.picture(t)
	w.goToNow(at + "envelope")
	w.see(test("headline"), "")
	w.fill("field-envelope.seam", "9 ft")
	w.MustEval(`() => document.activeElement.blur()`)
	errors.row(wrong, w.picture(t))
	w.goToNow(at + "card")
	w.see(test("headline"), "")
	w.fill("field-card.width", "30")
	w.fill("field-card.height", "28 63/64")
	w.see(test("ticket-card"), "30 ×")
	large := w.picture(t)
	w.goToNow(at + "envelope")
	w.see(test("headline"), "")
	errors.row(large, w.picture(t))
	w.goToNow("/jobs/0000000000000000/card")
	w.see(test("missing"), "")
	lost := w.picture(t)
	w.goToNow(at + "card")
	w.see(test("headline"), "")
	p.Stop(os.Interrupt)
	w.fill("field-card.width", "6")
	w.see(test("state"), "does not answer")
	errors.row(lost, w.picture(t))
	errors.write(t, filepath.Join(dir, "errors.png"))

	broken := damaged(t, start(t, t.TempDir(), "127.0.0.1:0"))
	repair := sheet{}
	for _, look := range looks {
		w := openIn(t, browser(t), broken, "/repair", look.width, look.height)
		w.MustEval(`(dark) => localStorage.setItem('yellow-parcel-light', dark ? 'lamp' : 'day')`, look.dark)
		w.goToNow("/repair")
		w.see(test("what"), "cannot be used")
		repair.row(w.picture(t))
	}
	repair.write(t, filepath.Join(dir, "repair.png"))
}

// drawersOf are the drawers of a station.
func drawersOf(station string) (ids []string) {
	for _, s := range job.Stations() {
		for _, d := range s.Drawers {
			if s.ID == station {
				ids = append(ids, d.ID)
			}
		}
	}
	return ids
}

// picture is the whole page, as far as three windows down.
func (w *window) picture(t *testing.T) image.Image {
	t.Helper()
	w.MustEval(`() => new Promise((done) => requestAnimationFrame(() => requestAnimationFrame(() => done(true))))`)
	size := w.MustEval(`() => [innerWidth, Math.min(document.documentElement.scrollHeight, 3 * innerHeight)]`).Arr()
	raw, err := w.Screenshot(true, &proto.PageCaptureScreenshot{Format: proto.PageCaptureScreenshotFormatPng, CaptureBeyondViewport: true, Clip: &proto.PageViewport{Width: size[0].Num(), Height: size[1].Num(), Scale: 1}})
	if err != nil {
		t.Fatal(err)
	}
	img, err := png.Decode(bytes.NewReader(raw))
	if err != nil {
		t.Fatal(err)
	}
	return half(img)
}

// half is a picture at half its size, each pixel the mean of four.
func half(img image.Image) image.Image {
	b := img.Bounds()
	out := image.NewRGBA(image.Rect(0, 0, b.Dx()/2, b.Dy()/2))
	for y := range out.Bounds().Dy() {
		for x := range out.Bounds().Dx() {
			var sum [3]uint32
			for _, d := range []image.Point{{0, 0}, {1, 0}, {0, 1}, {1, 1}} {
				r, g, b, _ := img.At(b.Min.X+2*x+d.X, b.Min.Y+2*y+d.Y).RGBA()
				sum[0], sum[1], sum[2] = sum[0]+r, sum[1]+g, sum[2]+b
			}
			out.SetRGBA(x, y, color.RGBA{uint8(sum[0] >> 10), uint8(sum[1] >> 10), uint8(sum[2] >> 10), 255})
		}
	}
	return out
}

// sheet is a contact sheet: pictures side by side, what belongs together first.
type sheet struct{ pictures []image.Image }

func (s *sheet) row(pictures ...image.Image) { s.pictures = append(s.pictures, pictures...) }

// write lays the pictures in rows no wider than a screen shows well.
func (s *sheet) write(t *testing.T, path string) {
	t.Helper()
	const gap, most = 10, 2000
	type place struct{ x, y int }
	var places []place
	x, y, high, width := gap, gap, 0, 0
	for _, p := range s.pictures {
		if x > gap && x+p.Bounds().Dx() > most {
			x, y, high = gap, y+high+gap, 0
		}
		places = append(places, place{x, y})
		x += p.Bounds().Dx() + gap
		high, width = max(high, p.Bounds().Dy()), max(width, x)
	}
	out := image.NewRGBA(image.Rect(0, 0, width, y+high+gap))
	draw.Draw(out, out.Bounds(), image.NewUniform(color.RGBA{120, 130, 140, 255}), image.Point{}, draw.Src)
	for i, p := range s.pictures {
		at := places[i]
		draw.Draw(out, image.Rect(at.x, at.y, at.x+p.Bounds().Dx(), at.y+p.Bounds().Dy()), p, p.Bounds().Min, draw.Src)
	}
	f, err := os.Create(path)
	if err != nil {
		t.Fatal(err)
	}
	if err := png.Encode(f, out); err != nil {
		t.Fatal(err)
	}
	if err := f.Close(); err != nil {
		t.Fatal(err)
	}
	fmt.Println(path)
}
