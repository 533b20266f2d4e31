package format

import (
	"fmt"
	"runtime"
	"strings"
	"testing"

	"yellowparcel/core/measure"
)

// fill repeats a text up to the size that a file may have.
func fill(head, text, tail string) string {
	n := (MostBytes - len(head) - len(tail)) / len(text)
	return head + strings.Repeat(text, n) + tail
}

// hostile are files of the greatest size that are all parts.
func hostile() map[string]string {
	s := `<svg xmlns="http://www.w3.org/2000/svg" width="100mm" viewBox="0 0 100 80">`
	return map[string]string{
		"subpaths":      fill(s+`<path d="`, "M0 0h9v9z", `"/></svg>`),
		"round corners": fill(s+`<path d="`, "M0 0a9 9 0 1 1 9 9z", `"/></svg>`),
		"curves":        fill(s+`<path d="`, "M0 0c9 9 9 9 1 1z", `"/></svg>`),
		"circles":       fill(s, `<circle r="9"/>`, `</svg>`),
		"paths":         fill(s, `<path d="M0 0h9v9z"/>`, `</svg>`),
		"one path":      fill(s+`<path d="M0 0`, "h9v9", `"/></svg>`),
		"numbers":       fill(s+`<polygon points="`, "1 2 ", `"/></svg>`),
		"attributes":    fill(s+"<path ", `x1="" `, "/></svg>"),
		"words":         fill(s, "a ", "</svg>"),
		"polylines":     dxf("4", fill("", "0\nLWPOLYLINE\n10\n0\n20\n0\n10\n9\n20\n9\n10\n0\n20\n9\n", "")[:MostBytes-200]+"\n"),
		"dxf circles":   dxf("4", fill("", "0\nCIRCLE\n10\n0\n20\n0\n40\n3\n", "")[:MostBytes-300]+"\n0\nX\n"),
		"corners":       fill("", "1,2;", ""),
	}
}

// Whatever a file of the greatest size holds, reading it takes no more than 64 MB
// altogether, rubbish that was swept up meanwhile included; ten at once take ten
// times that at most. 494 MB it was for the subpaths.
func TestReadingTakesLittleMemory(t *testing.T) {
	for name, text := range hostile() {
		t.Run(name, func(t *testing.T) {
			var before, after runtime.MemStats
			runtime.ReadMemStats(&before)
			_, err := ReadOutline(text, measure.Millimetres)
			runtime.ReadMemStats(&after)
			took := after.TotalAlloc - before.TotalAlloc
			t.Logf("%d MB, %v", took>>20, err)
			if took > 64<<20 {
				t.Errorf("it takes %d MB: %v", took>>20, err)
			}
			if err != nil && !strings.HasSuffix(err.Error(), ".") {
				t.Errorf("it is refused without a sentence: %v", err)
			}
		})
	}
	if len(fmt.Sprint(hostile())) < MostBytes {
		t.Error("the files are too small to prove anything")
	}
}
