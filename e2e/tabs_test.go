package e2e

import (
	"fmt"
	"net/http"
	"os"
	"slices"
	"strings"
	"testing"
	"time"

	"github.com/go-rod/rod/lib/input"
)

// Many tabs of one browser work beside each other: a browser opens six connections to the program, and
// one of all its tabs holds the stream of events. What is typed in any is stored soon, the others follow,
// and when the tab that holds it is closed another one does.
func TestTabsOfOneBrowser(t *testing.T) {
	t.Parallel()
	n := 8
	if os.Getenv("SOAK") != "" {
		n = 30
	}
	p := start(t, t.TempDir(), "127.0.0.1:0")
	b := newBetween(t, p)
	by := *p
	by.URL = b.URL
	c := &client{URL: p.URL}
	var list jobsList
	if _, err := c.Ask("GET", "/api/jobs", nil, &list); err != nil {
		t.Fatal(err)
	}
	br := browser(t)
	var tabs []*window
	var ids []string
	for i := range n {
		var copied body
		if _, err := c.Ask("POST", "/api/jobs", map[string]string{"copyOf": list.Jobs[i%len(list.Jobs)].ID}, &copied); err != nil {
			t.Fatal(err)
		}
		ids = append(ids, copied.ID)
		w := openIn(t, br, &by, "/jobs/"+copied.ID+"/card", 1280, 800)
		w.see(test("headline"), "")
		tabs = append(tabs, w)
	}
	var took []time.Duration
	for i, w := range tabs {
		want := float64(30 + i)
		w.fill("field-count", fmt.Sprint(want))
		began := time.Now()
		w.waitFor("what was typed to be stored", func() (string, bool) {
			var now body
			if _, err := c.Ask("GET", "/api/jobs/"+ids[i], nil, &now); err != nil {
				return err.Error(), false
			}
			return fmt.Sprint(now.Of["count"]), now.Of["count"] == want
		})
		took = append(took, time.Since(began))
		w.saved()
	}
	slices.Sort(took)
	t.Logf("%d tabs: stored after %v at the median, %v at most; %d streams at most", n, took[n/2], took[n-1], b.most)
	if took[n/2] > 2*time.Second {
		t.Errorf("what is typed is stored after %v", took[n/2])
	}
	if b.most != 1 {
		t.Errorf("%d streams were open at once", b.most)
	}
	// The first tab holds the stream: when it is closed, the second hears of a change all the same.
	if err := tabs[0].Page.Close(); err != nil {
		t.Fatal(err)
	}
	tabs[1].waitFor("another tab to hold the stream", func() (string, bool) {
		b.mu.Lock()
		defer b.mu.Unlock()
		return fmt.Sprint(b.streams), b.streams == 1
	})
	var now body
	if _, err := c.Ask("GET", "/api/jobs/"+ids[1], nil, &now); err != nil {
		t.Fatal(err)
	}
	now.Of["count"] = 77.0
	if status, err := c.Ask("PUT", "/api/jobs/"+ids[1], now.Save(), nil); status != 200 {
		t.Fatal(status, err)
	}
	tabs[1].waitFor("the change to be there", func() (string, bool) { v := tabs[1].value("field-count"); return v, v == "77" })
}

// What is changed at the bench is saved as anywhere: while the program stores nothing it is said,
// and where another window changed the job as well, which to keep is asked.
func TestTheBenchAsksWhichToKeep(t *testing.T) {
	w := begin(t)
	p := w.program
	id := strings.Split(w.openJob("Meteor-night thanks, square"), "/")[2]
	w.goTo("/jobs/" + id + "/table")
	w.see(test("table-says"), "")
	back := w.cutOff("/api/jobs/"+id, http.MethodPut)
	for range 20 {
		if w.there(test("cut-wrong")) {
			w.click(test("cut-wrong"))
			w.fill("wrong-is", "5 1/4")
			w.click(test("wrong-ask"))
			if w.there(test("wrong-take")) {
				break
			}
			w.Keyboard.MustType(input.Escape)
			w.waitFor("the step to be there again", func() (string, bool) { return "", !w.MustHas(test("wrong")) })
		}
		w.click(test("table-next"))
	}
	w.click(test("wrong-take"))
	w.see(".top", "What was changed is not saved yet")
	c := &client{URL: p.URL}
	var now body
	if _, err := c.Ask("GET", "/api/jobs/"+id, nil, &now); err != nil {
		t.Fatal(err)
	}
	now.Of["name"] = "Of another window"
	if status, err := c.Ask("PUT", "/api/jobs/"+id, now.Save(), nil); status != 200 {
		t.Fatal(status, err)
	}
	w.see(test("conflict"), "keeping this one leaves the other in the history")
	back()
	w.click(test("keep-mine"))
	w.waitFor("the bench's change to be stored", func() (string, bool) {
		_, err := c.Ask("GET", "/api/jobs/"+id, nil, &now)
		return fmt.Sprint(now.Version, err), err == nil && now.Of["name"] != "Of another window" && !w.MustHas(test("conflict"))
	})
}
