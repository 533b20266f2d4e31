package e2e

import (
	"os"
	"testing"
)

func TestZZ(t *testing.T) {
	w := begin(t)
	shot := func(name string) {
		b, _ := w.Screenshot(false, nil)
		_ = os.WriteFile("/tmp/scratch/"+name+".png", b, 0o600)
	}
	for _, door := range []string{"job", "envelope", "paper", "recipe"} {
		w.goTo("/")
		w.see(test("job"), "")
		w.click(test("new-" + door))
		w.see(test("headline"), "")
		w.there(nothing)
		shot("door-" + door)
		switch door {
		case "envelope":
			w.choose("start-format", "A6")
			w.see(test("headline"), "These go into your A6.")
			w.saved()
			shot("door-envelope-2")
			w.click(`.strip a[href$="/mail"]`)
			w.there(nothing)
			shot("door-envelope-mail")
		case "paper":
			w.choose("have-sheet", "Letter")
			w.saved()
			shot("door-paper-2")
		case "recipe":
			w.fill("recipe-paste", "for a 5 x 7 card cut 8 3/4 square, score at 3 and 8 3/8")
			w.click(test("recipe-read"))
			w.saved()
			w.there(nothing)
			shot("door-recipe-2")
		}
	}
	w.goTo("/")
	w.see(test("job"), "No card yet")
	shot("front-waiting")
}
