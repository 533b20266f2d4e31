package recipe_test

import (
	"context"
	"fmt"
	"math"
	"math/rand/v2"
	"testing"

	"yellowparcel/core/blank"
	"yellowparcel/core/compare"
	"yellowparcel/core/cutting"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/recipe"
	"yellowparcel/demo"
	"yellowparcel/internal/anyjob"
	"yellowparcel/internal/golden"
)

const in = measure.Inch

func maker(j job.Job, shop job.Shop) compare.Maker {
	return compare.New(j, shop, cutting.NewEffort(context.Background(), 1_000_000))
}

// noted is the sample job, 5 3/8 square, with a note.
func noted(n job.Recipe) recipe.Recipe {
	j := demo.Jobs()[0]
	j.Recipe = &n
	return recipe.In(maker(j, demo.Shop()))
}

// worked is a note of the sample job's own envelope, in a form.
func worked(t *testing.T, form job.RecipeForm) job.Recipe {
	t.Helper()
	m := maker(demo.Jobs()[0], demo.Shop())
	id := map[job.RecipeForm]blank.ID{job.PocketRecipe: blank.PocketID, job.WallsRecipe: blank.GussetID, job.BoxRecipe: blank.BoxID}[form]
	made, ok := blank.ByID(id).Make(m.BlankSpec())
	if !ok {
		t.Fatalf("no %s", id)
	}
	n := job.Recipe{Form: form, Side1: made.SheetWidth, Side2: made.SheetHeight}
	at := made.Ways[0].Readings
	switch form {
	case job.PocketRecipe, job.WallsRecipe:
		r := at(blank.LeftTab, blank.RightTab, blank.FlapScore, blank.BackScore)
		n.Left, n.Right, n.Top, n.Bottom, n.Wall = r[0], r[1], r[2], r[3], made.Depth
	case job.BoxRecipe:
		r := at(blank.SidesWall, blank.SidesFloor, blank.EndsWall, blank.EndsFloor)
		n.Left, n.Right, n.Top, n.Bottom = r[0], r[1], r[2], r[3]
	default:
		r := at(blank.SidesNear, blank.SidesFar, blank.EndsNear, blank.EndsFar)
		n.Left, n.Right, n.Top, n.Bottom = r[0], r[1], r[2], r[3]
		if form == job.CornersRecipe {
			d := measure.Round(float64(2*n.Side1) / math.Sqrt2)
			n.Right, n.Bottom = d-n.Right, d-n.Bottom
		}
	}
	return n
}

// A note that is worked out for a card is read back as that card's: it suits it, and nothing
// is wrong with it.
func TestWhatIsWorkedOutSuits(t *testing.T) {
	for _, form := range []job.RecipeForm{job.PairRecipe, job.CornersRecipe, job.PocketRecipe, job.WallsRecipe, job.BoxRecipe} {
		t.Run(string(form), func(t *testing.T) {
			shop := demo.Shop()
			n := worked(t, form)
			r := noted(n)
			readings, fault := r.Readings()
			if fault != blank.MakesOne || len(readings) != 1 || !readings[0].Suits || readings[0].Ease() < in/8 {
				t.Fatalf("fault %q, %+v", fault, readings)
			}
			if faults := r.Faults(readings[0]); len(faults) > 0 {
				t.Errorf("faults %+v", faults)
			}
			if s, stretched := r.Stretched(readings[0]); stretched {
				t.Errorf("stretched by %v", s.Factor)
			}
			if made := r.Rescaled(); (made.SheetWidth - n.Side1).Abs() > in/8 {
				t.Errorf("made for the same card it is cut %v wide, the note says %v", made.SheetWidth, n.Side1)
			}
			// Taken, the job's envelope is the one that was rescaled.
			taken := r.Take()
			if c := maker(taken, shop).Chosen(); c.Made.SheetWidth != r.Rescaled().SheetWidth || c.Kind.ID != taken.Construction() {
				t.Errorf("taken it is %v wide", c.Made.SheetWidth)
			}
		})
	}
}

// Scores that lie off the centre are read two ways, and the guide's corner put right is
// the better one.
func TestOffTheCentre(t *testing.T) {
	n := worked(t, job.PairRecipe)
	for _, s := range []*measure.Length{&n.Left, &n.Right, &n.Top, &n.Bottom} {
		*s += in / 2
	}
	readings, _ := noted(n).Readings()
	if len(readings) != 2 || readings[0].As != recipe.AtZero || readings[1].As != recipe.AtCorner || (readings[1].Corner-in/2).Abs() > in/16 {
		t.Fatalf("%+v", readings)
	}
	if readings[1].Seam <= readings[0].Seam {
		t.Errorf("put right its seam is %v, else %v", readings[1].Seam, readings[0].Seam)
	}
	if f := noted(n).Faults(readings[1]); len(f) == 0 || f[0].ID != recipe.OffCentre || f[0].A != readings[1].Corner {
		t.Errorf("faults %+v", f)
	}
}

// Each slip of a pocket's note is found, by as much as it was made.
func TestSlipsOfAPocket(t *testing.T) {
	good := worked(t, job.PocketRecipe)
	for _, tt := range []struct {
		name  string
		spoil func(*job.Recipe)
		want  recipe.FaultID
		a     measure.Length
	}{
		{"too narrow", func(n *job.Recipe) { n.Side1 -= in }, recipe.TightAcross, 0},
		{"too short", func(n *job.Recipe) { n.Side2 -= in; n.Bottom -= in / 4 }, recipe.TightDown, 0},
		{"tabs differ", func(n *job.Recipe) { n.Left += in / 8 }, recipe.TabsDiffer, good.Left + in/8},
		{"a tab too narrow", func(n *job.Recipe) { n.Side1 -= n.Left - in/4; n.Left = in / 4 }, recipe.NarrowTab, in / 4},
		{"the back stands out", func(n *job.Recipe) { n.Side2 += in; n.Bottom += in }, recipe.HighBack, 0},
		{"a short flap", func(n *job.Recipe) { n.Side2 -= n.Top - 3*in/4; n.Top = 3 * in / 4 }, recipe.ShortFlap, 0},
		{"a long flap", func(n *job.Recipe) { n.Side2 += 6 * in; n.Top += 6 * in }, recipe.FlapOver, good.Top + 6*in},
		{"tabs meet", func(n *job.Recipe) { n.Side1 += 6 * in; n.Left += 3 * in; n.Right += 3 * in }, recipe.TabsMeet, good.Left + good.Right + 6*in},
	} {
		t.Run(tt.name, func(t *testing.T) {
			n := good
			tt.spoil(&n)
			r := noted(n)
			readings, fault := r.Readings()
			if fault != blank.MakesOne {
				t.Fatalf("it makes nothing: %s", fault)
			}
			for _, f := range r.Faults(readings[0]) {
				if f.ID == tt.want && (tt.a == 0 || f.A == tt.a) {
					return
				}
			}
			t.Errorf("found %+v", r.Faults(readings[0]))
		})
	}
}

// Whatever a note says, it is read as on the day that this was written down.
func TestNotesAreTheSame(t *testing.T) {
	r := rand.New(rand.NewPCG(12, 10))
	length := func(least, most int) measure.Length { return measure.Length(least+r.IntN(most-least)) * in / 16 }
	var lines []string
	for range 160 {
		shop := anyjob.Shop(r)
		j := anyjob.Job(r, shop)
		n := job.Recipe{Form: job.CornersRecipe, Side1: length(110, 170), Side2: length(110, 170), Left: length(36, 64), Right: length(36, 64), Top: length(36, 64), Bottom: length(36, 64)}
		switch r.IntN(3) {
		case 0:
			n.Form, n.Right, n.Bottom = job.PairRecipe, n.Left+length(40, 100), n.Top+length(40, 100)
		case 1:
			n = job.Recipe{Form: job.PocketRecipe, Side1: length(90, 160), Side2: length(120, 240), Left: length(4, 24), Right: length(4, 24), Top: length(10, 50), Bottom: length(50, 110)}
			if r.IntN(2) == 0 {
				n.Right = n.Left
			}
		}
		if r.IntN(2) == 0 {
			n.Quoted = length(56, 190)
		}
		j.Recipe = &n
		if len(j.Check(shop)) > 0 {
			continue
		}
		m := recipe.In(maker(j, shop))
		readings, fault := m.Readings()
		line := fmt.Sprintf("fault “%s”, %s", fault, m.Form().ID)
		for _, k := range readings {
			line += fmt.Sprintf(" | %s at %v: %v x %v ease %v %v seams %v least %v gap %v hole %s suits %v", k.As, k.Corner, k.Width, k.Height, k.EaseWidth, k.EaseHeight, k.Seams, k.Seam, k.Gap, golden.Number(k.Hole), k.Suits)
			for _, f := range m.Faults(k) {
				line += fmt.Sprintf(" !%s %v %v %v", f.ID, f.A, f.B, f.C)
			}
			if s, ok := m.Stretched(k); ok {
				line += fmt.Sprintf(" stretched %s: %v to %v, loose %v", golden.Number(s.Factor), s.Seam, s.Grown, s.Loose)
			}
		}
		whose, here, names := m.Quoted()
		line += fmt.Sprintf(" | quoted %v: %d", names, len(whose))
		for _, b := range whose {
			line += fmt.Sprintf(" %s %s %v %v", b.Book.ID, b.Class.ID, b.Least, b.At)
		}
		if here != nil {
			line += fmt.Sprintf(" here %s %v", here.Class.ID, here.At)
		}
		w := m.Wish()
		lines = append(lines, line+fmt.Sprintf(" | wished %s %v %v, cut %v", w.Construction, w.Seam, w.ThumbGap, m.Rescaled().SheetWidth))
		b := recipe.Begin(m.Maker, job.RecipeForms()[r.IntN(8)])
		lines = append(lines, fmt.Sprintf("  begun %+v", b))
	}
	golden.Check(t, "notes", lines)
}

// A card that fills the envelope to the last nanometre goes in, and one a nanometre larger
// is told by how much; the ease of a reading is the tighter one.
func TestACardThatFillsIt(t *testing.T) {
	shop := demo.Shop()
	stock, _ := shop.Stock(demo.Jobs()[0].Envelope.Stock)
	// Scored at 3 and 8 3/8 from one corner: 5 3/8 between, of a square and of a pocket
	// between its tabs; both papers and the card's .01 mm off.
	inside := 43*in/8 - 2*stock.Caliper - 10*measure.Micrometre
	for name, tt := range map[string]struct {
		note       job.Recipe
		wide, high recipe.FaultID
	}{
		"square": {job.Recipe{Form: job.PairRecipe, Side1: 35 * in / 4, Left: 3 * in, Right: 67 * in / 8, Corner: in / 2}, recipe.TightSides, recipe.TightEnds},
		"pocket": {job.Recipe{Form: job.PocketRecipe, Side1: 51 * in / 8, Side2: 12 * in, Left: in / 2, Top: 17 * in / 8, Bottom: 9 * in / 2}, recipe.TightAcross, recipe.TightDown},
	} {
		for _, by := range []struct {
			wide, high measure.Length
			want       recipe.FaultID
		}{{0, -in, ""}, {-in, 0, ""}, {1, -in, tt.wide}, {-in, 1, tt.high}} {
			t.Run(fmt.Sprintf("%s %d %d", name, by.wide, by.high), func(t *testing.T) {
				r := flat(inside+by.wide, inside+by.high, tt.note)
				list, none := r.Readings()
				if none != blank.MakesOne || len(list) == 0 {
					t.Fatalf("%v: %+v", none, list)
				}
				of := list[len(list)-1]
				if of.EaseWidth != -by.wide || of.EaseHeight != -by.high || of.Ease() != -max(by.wide, by.high) {
					t.Errorf("ease %d and %d, %d", of.EaseWidth, of.EaseHeight, of.Ease())
				}
				told := recipe.FaultID("")
				for _, f := range r.Faults(of) {
					switch f.ID {
					case recipe.TightSides, recipe.TightEnds, recipe.TightAcross, recipe.TightDown:
						told = f.ID
						if f.A != 1 {
							t.Errorf("%s by %d", f.ID, f.A)
						}
					}
				}
				if told != by.want {
					t.Errorf("told %q, want %q", told, by.want)
				}
			})
		}
	}
}
