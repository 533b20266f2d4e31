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
		State, Shown, Stored, Width, Shop string
		Behind, Kept                      bool
		ShopVersion                       int
	}
	Shows, Saves         [][]any
	Adds                 int
	Entries              []string
	Unit, ShownUnit      string
	Twice, Unasked, Gets int
	Bench, ShownBench    int
	Undo                 bool
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
			w.Header().Set("Content-Type", "text/javascript")
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
	in, err := json.Marshal(scripts)
	if err != nil {
		return nil, err
	}
	got, err := proto.RuntimeEvaluate{Expression: "run(" + string(in) + ").then(JSON.stringify)", AwaitPromise: true, ReturnByValue: true}.Call(page)
	if err != nil {
		return nil, err
	}
	if got.ExceptionDetails != nil {
		return nil, fmt.Errorf("%s", got.ExceptionDetails.Exception.Description)
	}
	var list []trace
	return list, json.Unmarshal([]byte(got.Result.Value.Str()), &list)
}

// kinds are the kinds of interleavings: what may happen in each, one word more often than once.
var kinds = map[string]string{
	// One window alone, with answers that are late, lost, or refused by a full disk.
	"alone": "type type type left step add drawer arrive answer answer answer answer lose full tick tick",
	// With refusals of the whole, and texts that cannot be used.
	"typed": "type type bad bad half left pair answer answer answer lose tick none",
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

type doc struct {
	Name, Width, Height string
	Parts               []struct{ ID, Border string }
}

func docOf(text string) (d doc) { _ = json.Unmarshal([]byte(text), &d); return d }

func (d doc) field(name string) string {
	return map[string]string{"name": d.Name, "width": d.Width, "height": d.Height}[name]
}

// judge says what is wrong with what an interleaving came to.
func judge(kind string, script []step, got trace) string {
	last := got.Seen[len(got.Seen)-1]
	at := func(pair []any) int { return int(pair[0].(float64)) }
	typed := map[string]string{} // what was typed last and could be used, by field
	lastTyped, lastText, base := "", "", ""
	away := false
	for i, s := range script {
		seen := got.Seen[i]
		what := s[0].(string)
		if i == 0 || got.Seen[i-1].Shown == "" { // nothing to work with yet
			if what != "leave" && what != "die" && what != "calm" && what != "return" {
				what = ""
			}
		}
		if i > 0 && seen.ShopVersion < got.Seen[i-1].ShopVersion {
			return fmt.Sprintf("step %d, %v: the shelf goes back from version %d to %d", i, s, got.Seen[i-1].ShopVersion, seen.ShopVersion)
		}
		switch what {
		case "type":
			if before := got.Seen[max(0, i-1)]; lastTyped != s[1] {
				base = ""
				if before.State == "saved" {
					base = docOf(before.Shown).field(s[1].(string))
				}
			}
			lastTyped, lastText = s[1].(string), s[2].(string)
			if !strings.ContainsAny(lastText, "!?") {
				typed[lastTyped] = strings.TrimSpace(lastText)
			} else if strings.Contains(lastText, "!") { // what is refused for good leaves what there was before
				delete(typed, lastTyped)
			}
		case "other":
			delete(typed, s[1].(string)) // either may win
		case "step", "add", "carry", "undo", "redo", "theirs", "return":
			base = ""
			lastTyped = ""
			if what == "step" {
				delete(typed, s[1].(string))
			}
			if what != "step" && what != "add" && what != "return" {
				clear(typed)
			}
		case "leave", "die":
			away, lastTyped = true, ""
		case "left":
			if lastTyped == s[1] && strings.ContainsAny(lastText, "!?") { // so does what stays unfinished
				delete(typed, lastTyped)
			} else if lastTyped == s[1] {
				lastTyped = "" // what is typed there next begins anew
			}
		}
		if seen.State == "conflict" && kind != "two" && kind != "follow" && kind != "left" {
			return fmt.Sprintf("step %d, %v: it asks which to keep, and nobody else was there", i, s)
		}
		// Saved is true: what is shown is what is stored, or another window went on from there.
		if seen.State == "saved" {
			good := false
			for k := len(got.Saves) - 1; k >= 0; k-- {
				if at(got.Saves[k]) > i {
					continue
				}
				if got.Saves[k][2] == seen.Shown {
					good = true
					break
				}
				if got.Saves[k][1].(bool) {
					break
				}
			}
			if !good {
				return fmt.Sprintf("step %d, %v: it says saved, and shows %s, where %s is stored", i, s, seen.Shown, seen.Stored)
			}
			if lastTyped != "" && kind != "two" && kind != "follow" {
				if strings.ContainsAny(lastText, "!?") {
					return fmt.Sprintf("step %d, %v: it says saved beside %q, which cannot be used", i, s, lastText)
				}
				if now := docOf(seen.Shown).field(lastTyped); now != strings.TrimSpace(lastText) {
					return fmt.Sprintf("step %d, %v: it says saved, and %s is %s where %s was typed", i, s, lastTyped, now, lastText)
				}
			}
		}
		if what == "calm" && lastTyped != "" && strings.Contains(lastText, "!") && base != "" {
			if now := docOf(seen.Shown).field(lastTyped); now != base {
				return fmt.Sprintf("step %d: what was typed in %s is refused, and leaves %q, where %q was", i, lastTyped, now, base)
			}
		}
		if what == "calm" && (seen.State == "saving" || seen.State == "unreachable" || seen.Shop == "saving" || seen.Shop == "unreachable" || !seen.Kept) {
			return fmt.Sprintf("step %d: all is answered, and it says %s, the shelf %s", i, seen.State, seen.Shop)
		}
	}
	// Nothing acknowledged is replaced unseen: what another window stored was shown here before
	// this one stores upon it, or one chose to keep one's own.
	for k, save := range got.Saves {
		if k == 0 || !save[1].(bool) || got.Saves[k-1][1].(bool) {
			continue
		}
		before := got.Saves[k-1]
		theirs, was, now := docOf(before[2].(string)), docOf(got.Saves[max(0, k-2)][2].(string)), docOf(save[2].(string))
		shown := !slices.ContainsFunc([]string{"name", "width", "height"}, func(field string) bool {
			here := slices.ContainsFunc(script, func(s step) bool { // it was changed here, too
				return s[0] == "type" && s[1] == field && strings.TrimSpace(s[2].(string)) == now.field(field) || s[0] == "step" && s[1] == field
			})
			return theirs.field(field) != was.field(field) && theirs.field(field) != now.field(field) && !here
		})
		chosen := slices.ContainsFunc(script[at(before):at(save)+1], func(s step) bool { return s[0] == "undo" })
		for i, s := range script[:at(save)+1] { // chosen, and the version to be kept was on its way
			kept := func(other []any) bool { return other[1].(bool) && at(other) > i && at(other) < at(save) }
			chosen = chosen || i > 0 && s[0] == "mine" && got.Seen[i-1].State == "conflict" && !slices.ContainsFunc(got.Saves, kept)
		}
		if !shown && !chosen {
			return fmt.Sprintf("step %d: %v of another window was replaced unseen by %v", at(save), before[2], save[2])
		}
	}
	if last.State != "saved" && last.State != "fresh" && last.State != "typed" && last.State != "refused" {
		return "in the end it says " + last.State
	}
	if last.State == "saved" && last.Shown != last.Stored {
		return fmt.Sprintf("in the end it shows %s, and %s is stored", last.Shown, last.Stored)
	}
	if alone := kind == "alone" || kind == "typed" || kind == "undo"; alone && got.Gets > 0 {
		return "it follows another window, and nobody else was there"
	}
	if got.Twice > 0 && kind != "left" || got.Unasked > 0 {
		return fmt.Sprintf("%d saves were sent beside another one, %d while it asks which to keep", got.Twice, got.Unasked)
	}
	switch kind {
	case "alone", "typed", "left", "follow":
		stored := docOf(last.Stored)
		lossy := away && slices.ContainsFunc(script, func(s step) bool { return s[0] == "lose" }) // a page that is left cannot try again
		for field, text := range typed {
			if got := stored.field(field); got != text && !lossy {
				return fmt.Sprintf("in the end %s is %q, where %q was typed last", field, got, text)
			}
		}
		if n := len(stored.Parts); n > got.Adds || n < got.Adds && !lossy {
			return fmt.Sprintf("%d were added, and there are %d", got.Adds, n)
		}
	case "shop":
		if len(got.Entries) != got.Adds && got.Adds > 0 {
			return fmt.Sprintf("%d entries were added on the shelf, and there are %d", got.Adds, len(got.Entries))
		}
		var want []string
		for _, s := range script {
			if s[0] == "shopAdd" {
				want = append(want, s[2].(string))
			}
		}
		if !slices.Equal(want, got.Entries) && len(want) > 0 {
			return fmt.Sprintf("on the shelf are %v, added were %v", got.Entries, want)
		}
		if got.ShownUnit != got.Unit && got.ShownUnit != "" {
			return fmt.Sprintf("the shelf shows %s, stored is %s", got.ShownUnit, got.Unit)
		}
	case "bench":
		for i := len(script) - 1; i >= 0; i-- {
			if what := script[i][0]; what == "bench" && script[i][1] != got.Bench && got.Seen[0].Shown != "" {
				return fmt.Sprintf("at the bench step %v was gone to last, kept is %d", script[i][1], got.Bench)
			} else if what == "bench" || what == "benchOther" {
				break
			}
		}
		if last.Kept && got.Bench != got.ShownBench {
			return fmt.Sprintf("at the bench it shows step %d, kept is %d", got.ShownBench, got.Bench)
		}
	}
	return ""
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

// race is one of the races that earlier work took out of the machines: where it was, and what
// brings it back.
type race struct {
	name, file string
	swaps      [][2]string
}

// races reads them from testdata: a name, a file of ui/src, and lines that take each other's place.
func races(t *testing.T) (list []race) {
	t.Helper()
	raw, err := os.ReadFile("testdata/races.txt")
	if err != nil {
		t.Fatal(err)
	}
	for block := range strings.SplitSeq(strings.TrimSpace(string(raw)), "\n\n") {
		lines := strings.Split(block, "\n")
		r := race{name: strings.TrimPrefix(lines[0], "# "), file: lines[1]}
		for i := 2; i+1 < len(lines); i += 2 {
			r.swaps = append(r.swaps, [2]string{lines[i][2:], lines[i+1][2:]})
		}
		list = append(list, r)
	}
	return list
}

// spoiled is a copy of the screen's sources with a race put back.
func spoiled(t *testing.T, r race) string {
	t.Helper()
	dir := t.TempDir()
	for _, part := range []string{"src", "machines"} {
		if err := os.CopyFS(filepath.Join(dir, part), os.DirFS("../ui/"+part)); err != nil {
			t.Fatal(err)
		}
	}
	for _, name := range []string{"vite.machines.ts", "package.json", "tsconfig.json", "node_modules"} {
		full, _ := filepath.Abs("../ui/" + name)
		if err := os.Symlink(full, filepath.Join(dir, name)); err != nil {
			t.Fatal(err)
		}
	}
	path := filepath.Join(dir, "src", r.file)
	raw, err := os.ReadFile(path)
	if err != nil {
		t.Fatal(err)
	}
	text := string(raw)
	for _, swap := range r.swaps {
		if strings.Count(text, swap[0]) != 1 {
			t.Fatalf("%s has %d times %q: testdata/races.txt follows what it says", r.file, strings.Count(text, swap[0]), swap[0])
		}
		text = strings.Replace(text, swap[0], swap[1], 1)
	}
	if err := os.WriteFile(path, []byte(text), 0o600); err != nil {
		t.Fatal(err)
	}
	return dir
}

// Each race of earlier work, put back, is noticed.
func TestRacesAreNoticed(t *testing.T) {
	t.Parallel()
	for _, r := range races(t) {
		t.Run(r.name, func(t *testing.T) {
			t.Parallel()
			page := machines(t, spoiled(t, r))
			for seed := uint64(1); seed <= 12; seed++ {
				if wrong := interleavings(t, page, 250, seed); len(wrong) > 0 {
					t.Logf("noticed among %d: %.300s", 250*seed, wrong[0])
					return
				}
			}
			t.Error("nothing went wrong with it in 3 000 interleavings")
		})
	}
}
