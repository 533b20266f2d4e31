package piece_test

import (
	"fmt"
	"math/rand/v2"
	"reflect"
	"testing"

	"yellowparcel/core/card"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/piece"
	"yellowparcel/demo"
)

const (
	in = measure.Inch
	mm = measure.Millimetre
)

// whole compares two pieces by all that they say.
func whole(t *testing.T, what string, a, b piece.Piece) {
	t.Helper()
	for name, pair := range map[string][2]any{
		"job": {a.Job(), b.Job()}, "relief": {a.Relief(), b.Relief()}, "thickness": {a.Thick(), b.Thick()}, "rise": {a.Rise(), b.Rise()},
		"laid": {a.Laid(), b.Laid()}, "overhang": {a.Over(), b.Over()}, "outer": {a.Outer(), b.Outer()}, "heap": {a.Heap(), b.Heap()},
	} {
		t.Run(name, func(t *testing.T) {
			if !reflect.DeepEqual(pair[0], pair[1]) {
				t.Errorf("%s: the %s is another when it is worked out anew: %.80s", what, name, fmt.Sprint(pair))
			}
		})
	}
}

// A piece of a changed job is the same as one that is worked out anew, whatever was
// changed: it cannot be half of the old one.
func TestAChangedPieceIsWhole(t *testing.T) {
	r := rand.New(rand.NewPCG(91, 92))
	shop := demo.Shop()
	changes := map[string]func(*job.Job){
		"width":     func(j *job.Job) { j.Card.Width += in },
		"height":    func(j *job.Job) { j.Card.Height -= in / 2 },
		"fold":      func(j *job.Job) { j.Card.Fold = card.GateFold },
		"panels":    func(j *job.Job) { j.Card.Fold, j.Card.Panels = card.Accordion, 7 },
		"own":       func(j *job.Job) { j.Card.Fold, j.Card.Own = card.Accordion, []measure.Length{in, in, in, in, in} },
		"spine":     func(j *job.Job) { j.Card.Spine = in / 4 },
		"thickness": func(j *job.Job) { l := 3 * mm; j.Card.Thickness = &l },
		"over":      func(j *job.Job) { j.Card.OverWidth = in },
		"stock":     func(j *job.Job) { j.Parts[0].Stock = "copy-80" },
		"foam":      func(j *job.Job) { j.Parts[len(j.Parts)-1].Foam += in / 8 },
		"border":    func(j *job.Job) { j.Parts[len(j.Parts)-1].Border += in / 4 },
		"edges":     func(j *job.Job) { j.Parts[len(j.Parts)-1].Edges = &card.Edges{Left: in} },
		"ownSize":   func(j *job.Job) { j.Parts[len(j.Parts)-1].Own = &card.Size{Width: in, Height: in} },
		"part":      func(j *job.Job) { j.Parts = j.Parts[:len(j.Parts)-1] },
		"ease":      func(j *job.Job) { j.Envelope.Ease = in / 2 },
		"seam":      func(j *job.Job) { j.Envelope.Seam = in },
		"name":      func(j *job.Job) { j.Name = "Moon" },
		"thing": func(j *job.Job) {
			for i := range j.Parts {
				if j.Parts[i].Thing != nil {
					j.Parts[i].Thing.X -= in
				}
			}
		},
	}
	for _, j := range demo.Jobs() {
		p := piece.Of(j, shop)
		for what, change := range changes {
			if len(j.Parts) == 1 && what == "part" {
				continue
			}
			k := j.Clone()
			change(&k)
			whole(t, j.Name+", "+what, p.With(k), piece.Of(k, shop))
			if r.IntN(2) == 0 {
				whole(t, j.Name+", back from "+what, p.With(k).With(j), p)
			}
		}
	}
}

func TestThickness(t *testing.T) {
	shop := job.DefaultShop()
	stock, _ := shop.Stock("cover-100")
	j := job.Job{Card: job.Card{Width: 5 * in, Height: 5 * in, Fold: card.SideFold}, Parts: []job.Part{{ID: "base", Kind: job.BasePart, Stock: "cover-100"}}}
	if got := piece.Of(j, shop).Thick(); got.Used != 2*stock.Caliper || got.Predicted != got.Used || got.Measured {
		t.Errorf("a folded sheet is %+v thick, its stock %v", got, stock.Caliper)
	}
	j.Parts = append(j.Parts, job.Part{ID: "panel", Kind: job.LayerPart, Stock: "cover-100", Border: in, Foam: 3 * mm})
	sums := 3*stock.Caliper + 3*mm
	if got := piece.Of(j, shop).Thick(); got.Used != sums {
		t.Errorf("with a layer on foam it is %v, want %v", got.Used, sums)
	}
	// What was measured counts; what the parts changed by since is counted on.
	l := 5 * mm
	j.Card.Thickness = &l
	if got := piece.Of(j, shop).Thick(); got.Used != l || got.Predicted != sums || !got.Measured {
		t.Errorf("measured: %+v", got)
	}
	j.Card.ThicknessOf = sums
	j.Parts[1].Foam = mm
	if got := piece.Of(j, shop).Thick(); got.Used != 3*mm {
		t.Errorf("with 2 mm less foam it counts as %v, want 3 mm", got.Used)
	}
	j.Card.ThicknessOf = 20 * mm
	if got := piece.Of(j, shop).Thick(); got.Used != 10*measure.Micrometre {
		t.Errorf("counted below nothing: %v", got.Used)
	}
	j.Card.ThicknessOf = 0
	l = 5*in - 1
	if piece.Of(j, shop).Block() {
		t.Error("a card a hair wider than thick counts as a block")
	}
	l = 5 * in
	if !piece.Of(j, shop).Block() {
		t.Error("a card as thick as wide counts as none")
	}
}

// A measured relief is as high as was measured, and its base stays what it is.
func TestAsMeasured(t *testing.T) {
	shop := demo.Shop()
	for _, j := range demo.Jobs() {
		p := piece.Of(j, shop)
		for _, to := range []measure.Length{mm / 5, mm, 4 * mm, 12 * mm} {
			j.Card.Thickness = &to
			got := p.With(j).AsMeasured()
			if d := got.Max - to.Millimetres(); d > 1e-6 || d < -1e-6 {
				t.Errorf("%s measured %v is %v high", j.Name, to, got.Max)
			}
			if base := p.Relief().Parts[0].Caliper; to.Millimetres() > base && p.Relief().Max > base && got.Parts[0].Caliper != base {
				t.Errorf("%s: the base of %v becomes %v", j.Name, base, got.Parts[0].Caliper)
			}
		}
	}
}

func TestWhatSticksOut(t *testing.T) {
	shop := job.DefaultShop()
	j := job.Job{Card: job.Card{Width: 5 * in, Height: 4 * in, Fold: card.SideFold}, Parts: []job.Part{
		{ID: "base", Kind: job.BasePart, Stock: "cover-100"},
		{ID: "bow", Kind: job.ThingPart, Thing: &job.Thing{X: -in / 2, Y: 3 * in, Width: in, Height: 2 * in, Caliper: mm}},
	}}
	p := piece.Of(j, shop)
	if p.Over() != (card.Size{Width: in / 2, Height: in}) || p.Outer() != (card.Size{Width: 5*in + in/2, Height: 5 * in}) {
		t.Errorf("%v over, %v outside", p.Over(), p.Outer())
	}
	if left, above := p.Past(); left != in/2 || above != 0 {
		t.Errorf("past the left by %v, above by %v", left, above)
	}
	// What was typed without a side is shared out to both, where it is more.
	j.Card.OverWidth = 2*in + in/2
	p = p.With(j)
	if left, _ := p.Past(); p.Over().Width != 2*in+in/2 || left != in/2+in {
		t.Errorf("%v over, past the left by %v", p.Over(), left)
	}
}

// What the shop has not is replaced and told of, and the job that was given stays.
func TestStandIns(t *testing.T) {
	shop := demo.Shop()
	j := demo.Jobs()[0]
	j.Parts[0].Stock = "moonstone"
	p := piece.Of(j, shop)
	if len(p.Missing()) != 1 || p.Job().Parts[0].Stock == "moonstone" || j.Parts[0].Stock != "moonstone" || p.Thick().Used <= 0 {
		t.Errorf("%+v", p.Missing())
	}
	if q := p.With(p.Job()); len(q.Missing()) != 1 {
		t.Error("what is missing is forgotten")
	}
	if p := piece.In(shop); p.Style() != shop.Style() {
		t.Error("a piece of no job has no style")
	}
}
