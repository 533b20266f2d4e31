package e2e

import (
	"cmp"
	"encoding/json"
	"fmt"
	"math/rand/v2"
	"net/http"
	"net/http/httptest"
	"os"
	"os/exec"
	"path/filepath"
	"slices"
	"strconv"
	"strings"
	"testing"

	"github.com/go-rod/rod"
	"github.com/go-rod/rod/lib/proto"
)

// The machines of the screen (planning, saving, typing, undo, following) run in an empty page,
// with a stand-in for the program and a clock that goes when it is told to: ui/machines. What
// happens is made up here, by seeds, and what came of it is judged here.

// step is one thing that happens: what, and of what.
type step []any

// trace is what one interleaving came to, see ui/machines/main.ts.
type trace struct {
	Seen []struct {
		State, Shown, Stored, Shop string
		Kept                       bool
		ShopVersion                int
	}
	Shows, Saves      [][]any
	Adds              int
	Entries           []string
	Unit, ShownUnit   string
	Twice, Unasked    int
	Bench, ShownBench int
	Undo              bool
}

// machines builds the machines from sources of the screen and opens them in an empty page.
func machines(t *testing.T, dir string) *rod.Page {
	t.Helper()
	out := t.TempDir()
	build := exec.Command("node", "node_modules/vite/bin/vite.js", "build", "-c", "vite.machines.ts", "--outDir", out, "--logLevel", "error")
	build.Dir = dir
	if said, err := build.CombinedOutput(); err != nil {
		t.Fatalf("the machines are not built: %v %s", err, said)
	}
	script, err := os.ReadFile(filepath.Join(out, "machines.js"))
	if err != nil {
		t.Fatal(err)
	}
	// An address of this machine: elsewhere a page makes up no names of acts.
	site := httptest.NewServer(http.HandlerFunc(func(w http.ResponseWriter, r *http.Request) {
		if r.URL.Path == "/machines.js" {
			w.Header().Set("Content-Type", "text/javascript; charset=utf-8")
			_, _ = w.Write(script)
			return
		}
		w.Header().Set("Content-Type", "text/html")
		_, _ = fmt.Fprint(w, `<!doctype html><script src="/machines.js"></script>`)
	}))
	t.Cleanup(site.Close)
	page := browser(t).MustPage(site.URL).WithPanic(func(v any) { t.Fatal(v) })
	page.MustWaitLoad()
	return page
}

// run runs interleavings.
func run(page *rod.Page, scripts [][]step) ([]trace, error) {
	var list []trace
	return list, interleave(page, "run", scripts, &list)
}

// interleave has the page do something with interleavings.
func interleave(page *rod.Page, what string, scripts [][]step, to any) error {
	in, err := json.Marshal(scripts)
	if err != nil {
		return err
	}
	got, err := proto.RuntimeEvaluate{Expression: what + "(" + string(in) + ").then(JSON.stringify)", AwaitPromise: true, ReturnByValue: true}.Call(page)
	if err != nil {
		return err
	}
	if got.ExceptionDetails != nil {
		return fmt.Errorf("%s", got.ExceptionDetails.Exception.Description)
	}
	return json.Unmarshal([]byte(got.Result.Value.Str()), to)
}

// kinds are the kinds of interleavings: what may happen in each, one word more often than once.
var kinds = map[string]string{
	// One window alone, with answers that are late, lost, or refused by a full disk.
	"alone": "type type type left step add drawer arrive answer answer answer answer lose full tick tick",
	// With refusals of the whole, and texts that cannot be used.
	"typed": "type type bad bad half left pair beside answer answer answer lose tick none",
	// With undo and redo.
	"undo": "type type step add undo undo redo answer answer answer arrive lose tick tick event",
	// Another window changes the same job.
	"two": "type type step other other event event event deaf opened arrive answer answer answer answer lose full tick theirs mine undo",
	// The same without a choice: what was typed wins wherever nobody else was at it.
	"follow": "type type step other other event event event opened arrive answer answer answer answer lose tick",
	// The page is hidden, left, and come back to.
	"left": "type type type step add hide die leave return arrive answer answer lose tick event",
	// The shelf, in two windows.
	"shop": "shopAdd shopAdd shopType shopType shopLeft shopLoad otherShop event event answer answer answer arrive arrive arrive lose full tick",
	// At the bench, in two windows.
	"bench": "bench bench benchOther event event deaf answer answer arrive lose full tick",
	// Every way of changing a job: only what it comes to is held, not judged.
	"ways": "type set stepAll stepAll step left add remove restore undo drawer shopSet shopAdd shopType shopLeft answer answer answer answer answer lose full tick tick other event opened bad half",
}

// madeUp is an interleaving of a kind, of some length, that ends when everything is answered and told.
func madeUp(r *rand.Rand, kind string) (script []step) {
	words := strings.Fields(kinds[kind])
	number := 0
	one := func(list ...string) string { return list[r.IntN(len(list))] }
	field := func() string { return one("width", "width", "height", "name") }
	text := func() string { number++; return fmt.Sprint(10 + number) }
	if r.IntN(4) > 0 {
		script = append(script, step{"calm"})
	}
	for range 3 + r.IntN(26) {
		switch what := words[r.IntN(len(words))]; what {
		case "type":
			script = append(script, step{"type", field(), text() + one("", "", " ")})
		case "bad":
			script = append(script, step{"type", field(), "!" + text()})
		case "half":
			script = append(script, step{"type", field(), "?" + text()})
		case "none":
			script = append(script, step{"carry", field(), "!!"})
		case "beside": // what is refused goes with what is not
			script = append(script, step{"calm"}, step{"type", "width", text()}, step{"carry", "height", "!!"}, step{"type", "name", text()}, step{"calm"})
		case "pair": // a number on the way to what is refused
			f := field()
			script = append(script, step{"left", f}, step{"calm"}, step{"type", f, text()}, step{"answer", 0}, step{"type", f, "!" + text()}, step{"calm"})
		case "left":
			script = append(script, step{"left", field()})
		case "step":
			script = append(script, step{"step", one("width", "height"), one("1", "-1", "8")})
		case "drawer":
			script = append(script, step{"drawer", one("mail/checks", "card/base")})
		case "arrive", "answer", "lose", "full":
			script = append(script, step{what, r.IntN(3) * r.IntN(2)})
		case "other":
			script = append(script, step{"other", field(), "o" + text()})
		case "tick":
			script = append(script, step{"tick", []int{100, 250, 450, 800, 1600, 6000}[r.IntN(6)]})
		case "shopAdd":
			script = append(script, step{"shopAdd", "", text()})
		case "shopType":
			script = append(script, step{"shopType", "", text() + one("", "", "", "!")})
		case "set":
			script = append(script, step{"set", field(), text() + one("", "!", "")})
		case "stepAll":
			script = append(script, step{"stepAll", field(), one("on", "")})
		case "shopSet":
			script = append(script, step{"shopSet", "", text()})
		case "bench", "benchOther":
			number++
			script = append(script, step{what, number})
		case "leave", "die":
			script = append(script, step{what}, step{one("return", "calm")})
		default:
			script = append(script, step{what})
		}
	}
	script = append(script, step{"return"}, step{"calm"}, step{"mine"}, step{"calm"})
	if slices.ContainsFunc(script, func(s step) bool { return s[0] == "deaf" }) { // the stream begins anew
		script = append(script, step{"opened"}, step{"calm"}, step{"mine"}, step{"calm"})
	}
	return script
}

// interleavings runs a number of them and gives what is wrong, one line each.
func interleavings(t *testing.T, page *rod.Page, count int, seed uint64) (wrong []string) {
	t.Helper()
	names := []string{"alone", "bench", "follow", "left", "shop", "two", "typed", "undo"}
	const together = 250
	for from := 0; from < count; from += together {
		var scripts [][]step
		var of []string
		for i := range min(together, count-from) {
			r := rand.New(rand.NewPCG(seed, uint64(from+i)))
			kind := names[(from+i)%len(names)]
			scripts, of = append(scripts, madeUp(r, kind)), append(of, kind)
		}
		got, err := run(page, scripts)
		if err != nil {
			t.Fatal(err)
		}
		for i := range got {
			if what := judge(of[i], scripts[i], got[i]); what != "" {
				told, _ := json.Marshal(scripts[i])
				wrong = append(wrong, fmt.Sprintf("%s, seed %d, number %d: %s\n\t%s", of[i], seed, from+i, what, told))
			}
		}
	}
	return wrong
}

// Whatever order answers, refusals, losses, other windows and leaving come in: saved is true,
// nothing acknowledged is replaced unseen, what was typed last wins, nothing is done twice.
func TestMachines(t *testing.T) {
	t.Parallel()
	count, _ := strconv.Atoi(cmp.Or(os.Getenv("SOAK"), "2000"))
	wrong := interleavings(t, machines(t, "../ui"), count, 1)
	for _, what := range wrong[:min(len(wrong), 5)] {
		t.Errorf("%.1500s", what)
	}
	if len(wrong) > 0 {
		t.Errorf("%d interleavings of %d go wrong", len(wrong), count)
	}
}
