package bench_test

import (
	"fmt"
	"math/rand/v2"
	"slices"
	"strings"
	"testing"

	"yellowparcel/core/blank"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/plan"
	"yellowparcel/core/worksheet"
	"yellowparcel/core/worksheet/bench"
	"yellowparcel/internal/anyjob"
	"yellowparcel/internal/soak"
)

// Of 300 worksheets spoiled by one number, one swap or one missing step, so that what is made comes
// out otherwise, the simulated bench refuses at least 290. What changes nothing does not count.
func TestSpoiledWorksheets(t *testing.T) {
	t.Parallel()
	wanted := soak.Of(3000)
	spoiled, refused, nothing := map[string]int{}, map[string]int{}, map[string]int{}
	count, passed := 0, []string{}
	for seed := uint64(0); count < wanted; seed++ {
		r := rand.New(rand.NewPCG(17, seed))
		shop := anyjob.Shop(r)
		anyTools(r, &shop)
		for i := range shop.Adhesives {
			shop.Adhesives[i].Minutes = anyjob.Pick(r, 0, 10)
		}
		j := anyjob.Job(r, shop)
		ordinary(r, &j, &shop)
		if len(plan.Check(j, shop)) > 0 {
			continue
		}
		table := plan.TableOf(j, shop)
		right := worksheet.Write(table)
		b, wrong := followed(table, right)
		if len(wrong) > 0 {
			t.Fatalf("seed %d: %v", seed, wrong)
		}
		want := lies(b)
		for _, kind := range []string{"number", "swap", "missing"} {
			w := worksheet.Worksheet{Steps: slices.Clone(right.Steps)}
			i, what := r.IntN(len(w.Steps)), ""
			switch kind {
			case "number":
				if what = spoilNumber(r, &w.Steps[i], shop.Style().Tick); what == "" {
					continue
				}
			case "swap":
				k := r.IntN(len(w.Steps))
				if i, k = min(i, k), max(i, k); i == k {
					continue
				}
				if commutes(w.Steps[i : k+1]) {
					nothing[fmt.Sprintf("swap of %s and %s", w.Steps[i].Act, w.Steps[k].Act)]++
					continue
				}
				w.Steps[i], w.Steps[k] = w.Steps[k], w.Steps[i]
				what = fmt.Sprintf("%s and %s", w.Steps[k].Act, w.Steps[i].Act)
			case "missing":
				what = string(w.Steps[i].Act)
				w.Steps = slices.Delete(w.Steps, i, i+1)
			}
			b, wrong := followed(table, w)
			if kind == "number" && len(wrong) == 0 && lies(b) == want {
				nothing["number: "+what]++
				continue
			}
			count++
			spoiled[kind]++
			if len(wrong) > 0 {
				refused[kind]++
			} else {
				passed = append(passed, fmt.Sprintf("seed %d, %s, step %d: %s", seed, kind, i+1, what))
			}
		}
	}
	t.Logf("spoiled %v, refused %v; what changed nothing: %v", spoiled, refused, nothing)
	if len(passed) > wanted/30 {
		t.Errorf("%d of %d are followed as if nothing were wrong:\n%s", len(passed), count, strings.Join(passed, "\n"))
	}
	for _, text := range passed {
		t.Log(text)
	}
}

// lies is all that lies on the bench, as text: two that are the same came out alike.
func lies(b *bench.Bench) string {
	var list []string
	for id, p := range b.Pieces {
		if p.Count > 0 {
			one, creases := *p, []string{} // a number alone is no crease
			for _, c := range p.Creases {
				creases = append(creases, fmt.Sprint(c))
			}
			slices.Sort(creases)
			one.Creases = nil
			list = append(list, fmt.Sprintf("%s %+v %v", id, one, creases))
		}
	}
	slices.Sort(list)
	return fmt.Sprint(list, b.Closed())
}

// spoilNumber changes one number of a step by a tick or more, and says which; nothing where the step
// has none.
func spoilNumber(r *rand.Rand, s *worksheet.Step, tick measure.Length) string {
	off := tick * measure.Length(1+r.IntN(4)) * anyjob.Pick[measure.Length](r, -1, 1)
	one := anyjob.Pick(r, -1, 1)
	lengths := map[string]*measure.Length{"at": &s.At, "from": &s.From, "to": &s.To, "width": &s.Size.Width, "height": &s.Size.Height, "foam": &s.Foam}
	counts := map[string]*int{"count": &s.Count, "score": &s.Number, "start": &s.Between[0], "stop": &s.Between[1], "minutes": &s.Minutes}
	var names []string
	for name, l := range lengths {
		if *l > 0 {
			names = append(names, name)
		}
	}
	for name, n := range counts {
		if *n > 0 {
			names = append(names, name)
		}
	}
	// Marks, folds and what comes off a mat are lists of the writer's: changed in a copy.
	s.Lines, s.Folds, s.Out = slices.Clone(s.Lines), slices.Clone(s.Folds), slices.Clone(s.Out)
	var mark *worksheet.Mark
	if len(s.Lines) > 0 {
		at := r.IntN(len(s.Lines))
		s.Lines[at] = slices.Clone(s.Lines[at])
		mark = &s.Lines[at][r.IntN(len(s.Lines[at]))]
		if mark.Along > 0 || mark.In != nil || mark.Scores[0] > 0 {
			names = append(names, "mark")
		}
	}
	if len(s.Folds) > 0 {
		names = append(names, "fold")
	}
	if len(s.Out) > 0 {
		names = append(names, "out")
	}
	if len(names) == 0 {
		return ""
	}
	slices.Sort(names)
	name := names[r.IntN(len(names))]
	switch {
	case lengths[name] != nil:
		*lengths[name] += off
	case counts[name] != nil:
		*counts[name] += one
	case name == "fold":
		s.Folds[r.IntN(len(s.Folds))] += 1
	case name == "out":
		s.Out[r.IntN(len(s.Out))].Count += one
	case mark.Along > 0:
		mark.Along += off
	case mark.In != nil:
		in := *mark.In
		in[r.IntN(2)] += off
		mark.In = &in
	default:
		mark.Scores[0] += one
	}
	return fmt.Sprintf("%s: %s", s.Act, name)
}

// commutes reports whether the first and the last of some steps can change places, and the same is
// made: neither needs what the other or one between them makes or does.
func commutes(steps []worksheet.Step) bool {
	first, last := steps[0], steps[len(steps)-1]
	for i, s := range steps {
		if i > 0 && !independent(first, s) || i < len(steps)-1 && !independent(s, last) {
			return false
		}
	}
	return true
}

// independent reports whether two steps have nothing to do with each other.
func independent(a, b worksheet.Step) bool {
	if a.Act == worksheet.Before || b.Act == worksheet.Before {
		return false
	}
	shapes := func(s worksheet.Step) bool {
		return slices.Contains([]worksheet.Act{worksheet.Score, worksheet.Snip, worksheet.Slit, worksheet.CutOut}, s.Act) && s.Off == ""
	}
	is := func(x, y worksheet.Act) bool { return a.Act == x && b.Act == y || a.Act == y && b.Act == x }
	own := func(s worksheet.Step) bool { return s.Piece == s.Onto }
	switch {
	case a.Piece == b.Piece && shapes(a) && shapes(b):
		return !refers(a, b.Number) && !refers(b, a.Number)
	case a.Piece == b.Piece && (a.Act == worksheet.Emboss && shapes(b) || b.Act == worksheet.Emboss && shapes(a)):
		return true
	case is(worksheet.Glue, worksheet.Glue) && !own(a) && !own(b): // a layer may be glued on another before that is on the card
		return true
	case is(worksheet.Fold, worksheet.Glue) && !own(a) && !own(b) && a.Piece != plan.BlankPiece && b.Piece != plan.BlankPiece:
		return true // folded before or after the layer is on
	case a.Piece == b.Piece && is(worksheet.Fold, worksheet.Emboss):
		return a.Tool != job.EmbosserTool && b.Tool != job.EmbosserTool
	}
	for _, x := range []worksheet.Act{worksheet.Try, worksheet.Glue, worksheet.Dry, worksheet.Clean, worksheet.Decorate, worksheet.Corners} {
		if is(worksheet.Address, x) { // written as soon as it is folded
			return true
		}
	}
	needs := func(s worksheet.Step) (list []string) {
		if s.Act != worksheet.Take {
			list = append(list, s.Piece)
		}
		return append(list, s.Onto)
	}
	makes := func(s worksheet.Step) (list []string) {
		list = []string{s.Keep, s.Off}
		if s.Act == worksheet.Take {
			list = append(list, s.Piece)
		}
		for _, o := range s.Out {
			list = append(list, o.Piece)
		}
		return list
	}
	meet := func(x, y []string) bool {
		return slices.ContainsFunc(x, func(id string) bool { return id != "" && slices.Contains(y, id) })
	}
	return !meet(needs(a), append(needs(b), makes(b)...)) && !meet(needs(b), makes(a))
}

// refers reports whether a step goes by a score.
func refers(s worksheet.Step, number int) bool {
	if number == 0 {
		return false
	}
	if slices.Contains(s.Between[:], number) {
		return true
	}
	for _, line := range s.Lines {
		for _, m := range line {
			if slices.Contains(m.Scores[:], number) {
				return true
			}
		}
	}
	return s.Act == worksheet.Snip && s.Tool == blank.PunchBoard
}
