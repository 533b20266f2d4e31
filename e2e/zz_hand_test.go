package e2e

import (
	"os"
	"strconv"
	"strings"
	"testing"

	"github.com/go-rod/rod/lib/proto"
)

// shots: SHOTS="job|station/drawer|view|w|h|dark;..."
func TestZZ(t *testing.T) {
	p := start(t, t.TempDir(), "127.0.0.1:0")
	b := browser(t)
	ids := map[string]string{}
	for i, line := range strings.Split(os.Getenv("SHOTS"), ";") {
		f := strings.Split(strings.TrimSpace(line), "|")
		for len(f) < 6 {
			f = append(f, "")
		}
		width, _ := strconv.Atoi(f[3])
		height, _ := strconv.Atoi(f[4])
		if width == 0 {
			width, height = 1280, 800
		}
		w := openIn(t, b, p, "/", width, height)
		w.MustEval(`(d) => localStorage.setItem('yellow-parcel-light', d ? 'lamp' : 'day')`, f[5] == "dark")
		if f[0] != "" {
			if ids[f[0]] == "" {
				at := w.openJob(f[0])
				ids[f[0]] = strings.Split(at, "/")[2]
			}
			w.goTo("/jobs/" + ids[f[0]] + "/" + f[1])
			w.see(test("headline"), "")
		} else {
			w.goTo(f[1])
			w.see("h1", "")
		}
		if f[2] != "" {
			w.pick("view-" + f[2])
		}
		w.MustEval(`() => new Promise((done) => requestAnimationFrame(() => setTimeout(() => done(true), 350)))`)
		raw, err := w.Screenshot(false, &proto.PageCaptureScreenshot{})
		if err != nil {
			t.Fatal(err)
		}
		_ = os.WriteFile("/tmp/yp/shot/"+strconv.Itoa(i)+".png", raw, 0o644)
		_ = w.Close()
	}
}
