package offer

import (
	"math"
	"slices"
	"strings"
	"testing"

	"yellowparcel/core/blank"
	"yellowparcel/core/compare"
	"yellowparcel/core/field"
	"yellowparcel/core/job"
	"yellowparcel/core/mail"
	"yellowparcel/core/measure"
	"yellowparcel/core/paper"
	"yellowparcel/internal/anyjob"
)

const inch = measure.Inch

type finder func(Offers, compare.Candidate, mail.Verdict, compare.Forecast) []Remedy

// found are what a finder offers to a star chart that was changed.
func found(find finder, shop job.Shop, change func(*job.Job)) []Remedy {
	j := anyjob.Star(7*inch, 5*inch, blank.DiamondID)
	change(&j)
	o := offersTo(j, shop)
	c := o.Choose(o.Candidates())
	book, _ := o.Book()
	v := o.VerdictOf(book, o.Mailed(o.Closed(c)))
	return find(o, c, v, compare.ForecastOf(v))
}

func ids(list []Remedy) string {
	names := []string{}
	for _, r := range list {
		names = append(names, r.ID())
	}
	return strings.Join(names, " ")
}

// Each finder offers what helps, and nothing where there is nothing to help with.
func TestWhatEachFinderOffers(t *testing.T) {
	shop := job.DefaultShop()
	with := func(kinds ...string) func(*job.Job) {
		return func(j *job.Job) {
			for _, k := range kinds {
				next, err := j.Apply(shop, field.Edit{Act: field.Add, Path: "parts", Text: k})
				if err != nil {
					t.Fatal(err)
				}
				*j = next
			}
		}
	}
	foam := func(heights ...measure.Length) func(*job.Job) {
		return func(j *job.Job) {
			for i, f := range heights {
				j.Parts = append(j.Parts, job.Part{ID: string(rune('a' + i)), Name: "Panel", Kind: job.LayerPart, Stock: "cover-80", Border: inch / 8, Foam: f})
			}
		}
	}
	square := func(more func(*job.Job)) func(*job.Job) {
		return func(j *job.Job) { j.Card.Width = j.Card.Height; more(j) }
	}
	plain := func(*job.Job) {}
	toUK := func(j *job.Job) { j.Mail.Destination = "uk-inland" }
	// 14 x 10 in of chipboard weigh 76 g a sheet: over 3.5 oz with envelope and two sheets.
	heavy := func(stock string) func(*job.Job) {
		return func(j *job.Job) {
			j.Card.Width, j.Card.Height, j.Parts[0].Stock = 11*inch, 6*inch, stock
			for _, id := range []string{"a", "b"} {
				j.Parts = append(j.Parts, job.Part{ID: id, Name: "Panel", Kind: job.LayerPart, Stock: "cover-130", Border: inch / 8})
			}
		}
	}
	for name, tt := range map[string]struct {
		find   finder
		change func(*job.Job)
		want   string
	}{
		"foam: none":                      {Offers.flatter, plain, ""},
		"foam: thick and thin":            {Offers.flatter, foam(inch/8, inch/16), "foam:thin foam:none"},
		"foam: thin":                      {Offers.flatter, foam(inch / 16), "foam:none"},
		"lighter: light already":          {Offers.lighter, toUK, ""},
		"lighter: two steps down":         {Offers.lighter, heavy("cover-130"), "stock:cover-110 stock:cover-100"},
		"lighter: made already":           {Offers.lighter, func(j *job.Job) { heavy("cover-130")(j); j.Card.Made = true }, ""},
		"lighter: the lightest":           {Offers.lighter, heavy("cover-65"), ""},
		"closure: a clasp":                {Offers.reclosed, func(j *job.Job) { j.Mail.Closure = "clasp" }, "closure"},
		"closure: a seal":                 {Offers.reclosed, func(j *job.Job) { j.Mail.Closure = "wax" }, "closure"},
		"closure: gum":                    {Offers.reclosed, func(j *job.Job) { j.Mail.Closure = "gum" }, ""},
		"address: long edge":              {Offers.addressed, plain, ""},
		"address: short edge":             {Offers.addressed, func(j *job.Job) { j.Mail.AddressShort = true }, "address"},
		"rectangle: it is one":            {Offers.rectangled, toUK, ""},
		"rectangle: a square":             {Offers.rectangled, square(plain), "rectangle"},
		"rectangle: chosen already":       {Offers.rectangled, square(func(j *job.Job) { j.Envelope.Mailable = true }), ""},
		"rectangle: a bare square":        {Offers.rectangled, square(func(j *job.Job) { j.Mail.Bare = true }), ""},
		"shield: flat":                    {Offers.shielded, plain, ""},
		"shield: a knot":                  {Offers.shielded, with("knot"), "shield shield-embossed"},
		"shield: there already":           {Offers.shielded, with("knot", "shield"), ""},
		"shield: flat but sharp":          {Offers.shielded, with("brad"), "shield shield-embossed"},
		"stronger: no points":             {Offers.stronger, plain, ""},
		"stronger: a brad":                {Offers.stronger, with("brad"), "envelope:text-105"},
		"stronger: strong already":        {Offers.stronger, func(j *job.Job) { with("brad")(j); j.Envelope.Stock = "kraft-120" }, ""},
		"stronger: a bought one":          {Offers.stronger, func(j *job.Job) { with("brad")(j); j.Envelope.Construction, j.Envelope.From = blank.BoughtID, "a7" }, ""},
		"counter: goes":                   {Offers.atTheCounter, plain, ""},
		"counter: a clasp":                {Offers.atTheCounter, func(j *job.Job) { j.Mail.Closure = "clasp" }, "hand class:parcel"},
		"counter: by hand already":        {Offers.atTheCounter, func(j *job.Job) { j.Mail.Closure, j.Mail.HandCancel = "clasp", true }, "class:parcel"},
		"counter: the next that takes it": {Offers.atTheCounter, square(plain), "class:parcel"},
		"counter: no surcharge":           {Offers.atTheCounter, square(toUK), ""},
	} {
		t.Run(name, func(t *testing.T) {
			if got := ids(found(tt.find, shop, tt.change)); got != tt.want {
				t.Errorf("offers %q, want %q", got, tt.want)
			}
		})
	}
	for name, tt := range map[string]struct {
		change func(*paper.Stock) // of the papers of 105 gsm
		want   string
	}{
		"all there":              {func(*paper.Stock) {}, "envelope:text-105"},
		"removed from the shelf": {func(s *paper.Stock) { s.Off = true }, "envelope:kraft-120"},
		"coated":                 {func(s *paper.Stock) { s.Surface = paper.Coated }, "envelope:kraft-120"},
		"uncoated":               {func(s *paper.Stock) { s.Surface = paper.Uncoated }, "envelope:text-105"},
		"just thin":              {func(s *paper.Stock) { s.GSM = 99.9 }, "envelope:kraft-120"},
		"just strong enough":     {func(s *paper.Stock) { s.GSM = 100 }, "envelope:text-105"},
	} {
		t.Run("the lightest that serves: "+name, func(t *testing.T) {
			shop := job.DefaultShop()
			for i := range shop.Stocks {
				if shop.Stocks[i].ID == "text-105" {
					tt.change(&shop.Stocks[i])
				}
			}
			if got := ids(found(Offers.stronger, shop, with("brad"))); got != tt.want {
				t.Errorf("offers %q, want %q", got, tt.want)
			}
		})
	}
	// Heavier than 170 gsm folds badly round a card.
	shop.Stocks = []paper.Stock{{ID: "copy-80", GSM: 80, Caliper: inch / 250}, {ID: "cover-80", GSM: 171, Caliper: inch / 100}}
	if got := ids(found(Offers.stronger, shop, with("brad"))); got != "" {
		t.Errorf("offers %q", got)
	}
	shop.Stocks[1].GSM = 170
	if got := ids(found(Offers.stronger, shop, with("brad"))); got != "envelope:cover-80" {
		t.Errorf("offers %q", got)
	}
}

// What is left off is counted by name, with what the card is thinner and lighter for it; a
// caliper that reads more than the sums takes more of it.
func TestWhatIsLeftOff(t *testing.T) {
	shop, mm := job.DefaultShop(), measure.Millimetre
	for name, tt := range map[string]struct {
		measured measure.Length
		things   []string
		want     []Left
		thinner  measure.Length
		lighter  float64
	}{
		// A base of .56 under gems of 4, in four papers of .1 and gum of .05: 5.01, and a letter
		// is 5 at most. Gems of 2 may stay.
		"both large gems":          {0, []string{"gem-4", "gem-4", "gem-2"}, []Left{{"Gem, large", 2}}, 2 * mm, 0.8},
		"one of each":              {0, []string{"gem-4", "gem-2"}, []Left{{"Gem, large", 1}}, 2 * mm, 0.4},
		"the caliper reads 3 more": {8*mm + 10*measure.Micrometre, []string{"gem-4", "gem-2"}, []Left{{"Gem, large", 1}, {"Gem, small", 1}}, 4 * mm, 0.5},
		"the caliper reads less":   {5*mm + 5*measure.Micrometre, []string{"gem-4", "gem-2"}, []Left{{"Gem, large", 1}}, 2 * mm, 0.4},
	} {
		t.Run(name, func(t *testing.T) {
			var job0 job.Job
			list := found(Offers.leaveOff, shop, func(j *job.Job) {
				for _, k := range tt.things {
					next, err := j.Apply(shop, field.Edit{Act: field.Add, Path: "parts", Text: k})
					if err != nil {
						t.Fatal(err)
					}
					*j = next
					last := &j.Parts[len(j.Parts)-1]
					last.Name = strings.TrimSuffix(last.Name, " 2") // as somebody may name them
				}
				j.Mail.Destination, j.Mail.Closure, j.Mail.Measured.Thickness = "uk-inland", "gum", tt.measured
				job0 = *j
			})
			if len(list) != 1 || list[0].Kind != LeaveOff || !slices.Equal(list[0].Left, tt.want) || list[0].Thinner != tt.thinner || math.Abs(list[0].Lighter-tt.lighter) > 1e-9 {
				t.Fatalf("%+v", list)
			}
			if after := list[0].Take(job0); len(job0.Parts)-len(after.Parts) != list[0].touched {
				t.Errorf("%d parts are left of %d", len(after.Parts), len(job0.Parts))
			}
		})
	}
}

// A shield weighs by its size: 3 g of 127 x 89 mm are 5.99 g of 7 x 5 in.
func TestAShieldWeighsByItsSize(t *testing.T) {
	shop := job.DefaultShop()
	list := found(Offers.shielded, shop, func(j *job.Job) { *j, _ = j.Apply(shop, field.Edit{Act: field.Add, Path: "parts", Text: "brad"}) })
	j := list[0].Take(anyjob.Star(7*inch, 5*inch, blank.DiamondID))
	if got := j.Parts[len(j.Parts)-1].Thing.Grams; math.Abs(got-3*177.8*127/127/89) > 1e-9 {
		t.Errorf("%v g", got)
	}
}
