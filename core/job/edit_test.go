package job_test

import (
	"encoding/json"
	"fmt"
	"math/rand/v2"
	"slices"
	"strconv"
	"strings"
	"testing"
	"yellowparcel/internal/soak"
	"yellowparcel/internal/told"

	"yellowparcel/core/blank"
	"yellowparcel/core/card"
	"yellowparcel/core/field"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
)

const in = measure.Inch

// sample is a square card with two layers, the upper one on foam, a brad and a liner.
func sample() job.Job {
	return job.Job{
		Name: "Dome rota, thanks", Count: 12,
		Card: job.Card{Width: 6 * in, Height: 5 * in, Fold: card.SideFold},
		Parts: []job.Part{
			{ID: "base", Name: "Card base", Kind: job.BasePart, Stock: "cover-100"},
			{ID: "mat", Name: "Mat", Kind: job.LayerPart, Stock: "pattern-130", Border: in / 4},
			{ID: "panel", Name: "Panel", Kind: job.LayerPart, Stock: "cover-80", Border: in / 2, Foam: in / 16},
			{ID: "brad", Name: "Brad", Kind: job.ThingPart, Thing: &job.Thing{Type: "brad", X: in, Y: in, Width: in / 2, Height: in / 2, Disc: true, Caliper: measure.Millimetre, Grams: 1}},
			{ID: "liner", Name: "Liner", Kind: job.LinerPart, Stock: "text-105", Border: in / 8},
		},
		Envelope: job.EnvelopeWish{School: blank.ExactSeam, Way: blank.PairWay, Ease: in / 4, Seam: in / 2, ThumbGap: in / 2, Stock: "text-105", Adhesive: "glue"},
		Mail:     job.MailWish{Destination: "us-domestic", Class: "letter"},
	}
}

func ids(j job.Job) string {
	var list []string
	for _, p := range j.Parts {
		list = append(list, p.ID)
	}
	return strings.Join(list, " ")
}

func TestSampleIsWhole(t *testing.T) {
	if list := sample().Check(job.DefaultShop()); len(list) > 0 {
		t.Fatal(list)
	}
	if list := job.DefaultShop().Check(); len(list) > 0 {
		t.Fatal(list)
	}
}

// What is added has an ID of its own, lies where it belongs, and begins as the trade
// begins it.
func TestAdd(t *testing.T) {
	shop := job.DefaultShop()
	add := func(j job.Job, path, what string) job.Job {
		t.Helper()
		got, err := j.Apply(shop, field.Edit{Act: field.Add, Path: path, Text: what})
		if err != nil {
			t.Fatalf("%s %s: %v", path, what, err)
		}
		return got
	}
	j := add(sample(), "parts", "layer")
	if ids(j) != "base mat panel layer-1 brad liner" || j.Parts[3].Stock != "cover-80" || j.Parts[3].Border != in/8 || j.Parts[3].Name != "Layer 3" {
		t.Errorf("%s: %+v", ids(j), j.Parts[3])
	}
	if j = add(j, "parts", "liner"); ids(j) != "base mat panel layer-1 brad liner liner-1" {
		t.Errorf("%s", ids(j))
	}
	j = add(add(sample(), "parts", "gem-4"), "parts", "gem-4")
	first, second := j.Parts[5], j.Parts[6]
	if first.ID != "gem-4-1" || second.ID != "gem-4-2" || first.Name+" 2" != second.Name {
		t.Errorf("%+v, %+v", first, second)
	}
	// Near the middle, and the second one where it does not touch the first, nor the brad.
	if len(job.Overlaps(j)) > 0 || (first.Thing.X-(6*in-first.Thing.Width)/2).Abs() > in || *first.Thing == *second.Thing {
		t.Errorf("%+v, %+v", *first.Thing, *second.Thing)
	}
	if j = add(sample(), "parts", "shield"); j.Parts[5].Thing.Width != 6*in || j.Parts[5].Thing.Height != 5*in || !j.Parts[5].Thing.Over {
		t.Errorf("%+v", *j.Parts[5].Thing)
	}
	if j = add(sample(), "parts", "ribbon"); j.Parts[5].Thing.Width != 6*in {
		t.Errorf("a ribbon runs %v across", j.Parts[5].Thing.Width)
	}
	for what, want := range map[string]job.Item{
		"stamp":    {ID: "item-1", Name: "Stamp", Width: 3 * in, Height: 2 * in},
		"greeting": {ID: "item-1", Name: "Greeting", Width: 3 * in, Height: in / 2},
		"ribbon":   {ID: "item-1", Name: "Ribbon", Height: in / 2},
	} {
		t.Run(what, func(t *testing.T) {
			if got := add(sample(), "items", what).Items; len(got) != 1 || got[0] != want {
				t.Errorf("%s: %+v", what, got)
			}
		})
	}
	j = add(sample(), "parts.1.edges", "")
	if e := j.Parts[1].Edges; e == nil || *e != card.Even(in/4) {
		t.Errorf("%+v", e)
	}
	j = add(j, "parts.1.own", "")
	if s := j.Parts[1].Own; s == nil || *s != (card.Size{Width: 6*in - in/2, Height: 5*in - in/2}) || j.Parts[1].Edges != nil {
		t.Errorf("%+v", s)
	}
	j = add(sample(), "start", "own")
	if s := j.Start; s == nil || s.Width != 6*in+in/2 || s.Height != 5*in+in/2 {
		t.Errorf("%+v", s)
	}
	j = add(sample(), "card.outline", `[{"x":0,"y":0},{"x":100,"y":0},{"x":50,"y":80}]`)
	if len(j.Card.Outline) != 3 || j.Card.Width != (100*measure.Millimetre).Up(in/16) || j.Card.Height != (80*measure.Millimetre).Up(in/16) {
		t.Errorf("%v x %v", j.Card.Width, j.Card.Height)
	}
}

func TestRemoveAndMove(t *testing.T) {
	shop := job.DefaultShop()
	for _, tt := range told.Lines(t, "testdata/edits.txt", "removed, moved, added", 6) {
		steps, _ := strconv.Atoi(tt[2])
		edit, bad, want := field.Edit{Act: field.Act(tt[0]), Path: tt[1], Steps: steps, Text: tt[3]}, tt[4] == "refused", tt[5]
		j := sample()
		got, err := j.Apply(shop, edit)
		switch {
		case bad && (err == nil || !strings.Contains(err.Error(), want)):
			t.Errorf("%+v: %v, want %q", edit, err, want)
		case !bad && (err != nil || ids(got) != want):
			t.Errorf("%+v: %s, %v, want %s", edit, ids(got), err, want)
		}
		if a, b := text(t, j), text(t, sample()); a != b {
			t.Errorf("%+v wrote into the job that it was given", edit)
		}
	}
	full := sample()
	for len(full.Parts) < job.MostParts {
		full.Parts = append(full.Parts, job.Part{ID: fmt.Sprint("p", len(full.Parts)), Kind: job.LinerPart, Stock: "text-105"})
	}
	for len(full.Items) < job.MostItems {
		full.Items = append(full.Items, job.Item{ID: fmt.Sprint("i", len(full.Items)), Height: in})
	}
	for i, path := range []string{"parts", "items"} {
		if _, err := full.Apply(shop, field.Edit{Act: field.Add, Path: path, Text: []string{"layer", "stamp"}[i]}); err == nil || !full.Adds()[i].Full || sample().Adds()[i].Full {
			t.Errorf("%s: %v", path, err)
		}
	}
}

func text(t *testing.T, v any) string {
	t.Helper()
	raw, err := json.Marshal(v)
	if err != nil {
		t.Fatal(err)
	}
	return string(raw)
}

// What follows from a field follows: a disc is as high as wide, another destination
// has other classes, another reading is of the piece as it is now.
func TestWhatFollowsFromAField(t *testing.T) {
	shop := job.DefaultShop()
	j := sample()
	j.Card.ThicknessOf, j.Mail.Measured = in, job.Measured{ThicknessOf: in, GramsOf: 7, Stiffer: 2}
	for path, follows := range map[string]func(job.Job) bool{
		"parts.3.thing.width":     func(j job.Job) bool { return j.Parts[3].Thing.Height == in/4 },
		"card.thickness":          func(j job.Job) bool { return j.Card.ThicknessOf == 0 },
		"mail.measured.thickness": func(j job.Job) bool { return j.Mail.Measured.ThicknessOf == 0 && j.Mail.Measured.Stiffer == 2 },
		"mail.measured.grams":     func(j job.Job) bool { return j.Mail.Measured.GramsOf == 0 && j.Mail.Measured.Stiffer == 2 },
		"mail.measured.load":      func(j job.Job) bool { return j.Mail.Measured.Stiffer == 0 && j.Mail.Measured.GramsOf == 7 },
		"mail.measured.droop":     func(j job.Job) bool { return j.Mail.Measured.Stiffer == 0 && j.Mail.Measured.ThicknessOf == in },
	} {
		t.Run(path, func(t *testing.T) {
			got, err := j.Apply(shop, field.Edit{Act: field.Type, Path: path, Text: "1/4"})
			if strings.HasSuffix(path, "grams") || strings.HasSuffix(path, "load") {
				got, err = j.Apply(shop, field.Edit{Act: field.Type, Path: path, Text: "4 g"})
			}
			if err != nil || !follows(got) {
				t.Errorf("%s: %v, %+v", path, err, got.Mail.Measured)
			}
		})
	}
	got, err := j.Apply(shop, field.Edit{Act: field.Set, Path: "mail.destination", Text: "uk-inland"})
	if err != nil || got.Mail.Class != "" {
		t.Errorf("%q, %v", got.Mail.Class, err)
	}
	got, err = j.Apply(shop, field.Edit{Act: field.Set, Path: "paper.sheets.cover-100", Text: "a4"})
	if err != nil || got.Paper.Sheets["cover-100"] != "a4" || j.Paper.Sheets != nil {
		t.Errorf("%v, %v", got.Paper.Sheets, err)
	}
	if got, err = got.Apply(shop, field.Edit{Act: field.Set, Path: "paper.sheets.cover-100"}); err != nil || len(got.Paper.Sheets) != 0 {
		t.Errorf("%v, %v", got.Paper.Sheets, err)
	}
}

func TestCheckBetweenFields(t *testing.T) {
	shop := job.DefaultShop()
	for path, change := range map[string]func(*job.Job){
		"envelope.thumbGap":         func(j *job.Job) { j.Envelope.ThumbGap = 5*in/2 + 1 },
		"card.outline":              func(j *job.Job) { j.Card.Outline = blank.Polygon{{X: 1}, {X: 2}} },
		"parts.1.kind":              func(j *job.Job) { j.Parts[1].Kind = job.BasePart },
		"parts.0.kind":              func(j *job.Job) { j.Parts[0].Kind = job.LayerPart },
		"parts.3.kind":              func(j *job.Job) { j.Parts[3].Kind = job.LayerPart },
		"parts.3.thing.x":           func(j *job.Job) { j.Parts[3].Thing.X = 6 * in },
		"parts":                     func(j *job.Job) { j.Parts = nil },
		"card.thicknessOf":          func(j *job.Job) { j.Card.ThicknessOf = -1 },
		"mail.measured.thicknessOf": func(j *job.Job) { j.Mail.Measured.ThicknessOf = 101 * measure.Metre },
		"mail.measured.gramsOf":     func(j *job.Job) { j.Mail.Measured.GramsOf = -1 },
		"mail.measured.stiffer":     func(j *job.Job) { j.Mail.Measured.Stiffer = 1e13 },
		"items":                     func(j *job.Job) { j.Items = make([]job.Item, job.MostItems+1) },
	} {
		t.Run(path, func(t *testing.T) {
			j := sample().Clone()
			change(&j)
			if list := j.Check(shop); len(list) == 0 || !slices.ContainsFunc(list, func(p field.Problem) bool { return p.Path == path }) {
				t.Errorf("%s: %v", path, list)
			}
		})
	}
	j := sample()
	j.Envelope.ThumbGap, j.Parts[3].Thing.X = 5*in/2, 6*in-1
	if list := j.Check(shop); len(list) > 0 {
		t.Errorf("at their bounds: %v", list)
	}
	if err := j.Holds(card.Size{Width: 6*in - 1, Height: 5 * in}); err == nil {
		t.Error("a card is offered that a thing lies off")
	}
	if err := j.Holds(card.Size{Width: 6 * in, Height: 5 * in}); err != nil {
		t.Error(err)
	}
}

// Whatever is done to a shop in whatever order, it stays one that the check passes,
// no entry of the shelf is lost, and what is refused changes nothing.
func TestShopEditsInAnyOrder(t *testing.T) {
	t.Parallel()
	steps := soak.Of(6000)
	r := rand.New(rand.NewPCG(81, 82))
	pick := func(list ...string) string { return list[r.IntN(len(list))] }
	shop := job.DefaultShop()
	done, refused := 0, 0
	for n := range steps {
		if n%300 == 0 {
			shop = job.DefaultShop() // not all full
		}
		fields, lists, adds := shop.Fields(), job.ChoicesIn(shop), shop.Adds()
		var e field.Edit
		switch r.IntN(8) {
		case 0, 1:
			a := adds[r.IntN(len(adds))]
			e = field.Edit{Act: field.Add, Path: a.Path, Text: pick("Night post", "length;3 in;", "weight;;50", "moon;1;2", "")}
			for _, l := range a.Lists {
				if c := lists[l]; len(c) > 0 && r.IntN(3) > 0 {
					e.Text = c[r.IntN(len(c))].ID
				}
			}
		case 2:
			e = field.Edit{Act: field.Remove, Path: adds[r.IntN(len(adds))].Path + fmt.Sprintf(".%d", r.IntN(4))}
		case 3:
			e = field.Edit{Act: field.Take, Path: "style", Text: pick("in:1587500", "mm:500000", "mm:7")}
		default:
			f := fields[r.IntN(len(fields))]
			in := f.Input(shop.Style())
			e = field.Edit{Act: field.Type, Path: f.Path, Text: pick("5 1/2", "140 mm", "0", "", "-3", "moon", "2026-11-24", "120", "9999")}
			if c := lists[in.List]; len(c) > 0 {
				e = field.Edit{Act: field.Set, Path: f.Path, Text: c[r.IntN(len(c))].ID}
			} else if in.Kind == field.FlagKind {
				e = field.Edit{Act: field.Set, Path: f.Path, Text: pick(field.Yes, field.No)}
			}
		}
		before := text(t, shop)
		got, problems, _ := job.ApplyToShop(shop, []field.Edit{e})
		if text(t, shop) != before {
			t.Fatalf("%+v wrote into the shop that it was given", e)
		}
		if list := got.Check(); len(list) > 0 {
			t.Fatalf("%+v leaves a shop that is refused: %v", e, list)
		}
		if len(problems) > 0 {
			refused++
			if p := problems[0]; text(t, got) != before || p.Path != e.Path || !strings.HasSuffix(p.Message, ".") {
				t.Fatalf("%+v: %+v", e, p)
			}
			continue
		}
		done++
		for i, n := range [][2]int{{len(shop.Sheets), len(got.Sheets)}, {len(shop.Stocks), len(got.Stocks)}, {len(shop.Envelopes), len(got.Envelopes)}, {len(shop.Adhesives), len(got.Adhesives)}, {len(shop.Rulebooks), len(got.Rulebooks)}, {len(shop.Rates), len(got.Rates)}} {
			if n[1] < n[0] || n[1] > n[0]+1 {
				t.Fatalf("%+v: list %d had %d entries, has %d", e, i, n[0], n[1])
			}
		}
		shop = got
	}
	if done < steps/4 || refused < steps/20 {
		t.Errorf("%d done, %d refused", done, refused)
	}
}

// What lies in a list within an entry is known by its place alone: where another
// window has moved it, nothing is removed and nothing typed into what stands there now.
func TestNothingElseIsRemoved(t *testing.T) {
	shop := job.DefaultShop()
	price := text(t, shop.Rates[0].Rates[1])
	remove := field.Edit{Act: field.Remove, Path: "rates.0.rates.1", Was: &price}
	once, problems, _ := job.ApplyToShop(shop, []field.Edit{remove})
	if len(problems) > 0 || len(once.Rates[0].Rates) != len(shop.Rates[0].Rates)-1 {
		t.Fatal(problems)
	}
	was := shop.Inputs()["rates.0.rates.2.cents"].Text
	for _, e := range []field.Edit{remove, {Act: field.Type, Path: "rates.0.rates.2.cents", Text: "7.77", Was: &was}} {
		twice, problems, _ := job.ApplyToShop(once, []field.Edit{e})
		if len(problems) != 1 || !strings.Contains(problems[0].Message, "list changed meanwhile") || text(t, twice) != text(t, once) {
			t.Errorf("%s: %v", e.Act, problems)
		}
	}
	if _, problems, _ = job.ApplyToShop(shop, []field.Edit{{Act: field.Type, Path: "rates.0.rates.2.cents", Text: "7.77", Was: &was}}); len(problems) > 0 {
		t.Error(problems)
	}
}

// Every list that something may be added to is full at its bound, and not before.
func TestShopListsAreBounded(t *testing.T) {
	shop := job.DefaultShop()
	shop, problems, _ := job.ApplyToShop(shop, []field.Edit{{Act: field.Add, Path: "rulebooks", Text: "us-domestic"}})
	if len(problems) > 0 {
		t.Fatal(problems)
	}
	for path, what := range map[string]string{"adhesives": "", "rates": "uk-inland", "rates.0.rates": "price", "rulebooks.0.file.classes": "Night", "rulebooks.0.file.classes.1.limits": "weight;;50"} {
		t.Run(path, func(t *testing.T) {
			s := shop
			for n := 0; ; n++ {
				at := slices.IndexFunc(s.Adds(), func(a field.Addable) bool { return a.Path == path })
				full := s.Adds()[at].Full
				next, problems, _ := job.ApplyToShop(s, []field.Edit{{Act: field.Add, Path: path, Text: what}})
				if full != (len(problems) > 0) {
					t.Errorf("%s after %d: full %v, %v", path, n, full, problems)
				}
				if full || n > 100 {
					break
				}
				s = next
			}
		})
	}
}
