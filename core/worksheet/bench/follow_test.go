package bench_test

import (
	"fmt"
	"math"
	"math/rand/v2"
	"os"
	"strconv"
	"testing"

	"yellowparcel/core/blank"
	"yellowparcel/core/drawing"
	"yellowparcel/core/field"
	"yellowparcel/core/job"
	"yellowparcel/core/mat"
	"yellowparcel/core/measure"
	"yellowparcel/core/paper"
	"yellowparcel/core/plan"
	"yellowparcel/core/worksheet"
	"yellowparcel/core/worksheet/bench"
	"yellowparcel/demo"
	"yellowparcel/internal/anyjob"
)

// benchOf is a bench with the tools of a shop, and the prints of a job's pieces.
func benchOf(t plan.Table) *bench.Bench {
	tools := t.Shop.Tools
	on, _ := job.MatFor(t.Shop, t.Job)
	b := bench.Tools{NotchAt: tools.PunchAt.Near(t.Shop.Style().Tick), Punches: tools.Punches(), Round: tools.RoundRadius, Throat: tools.Throat, Mat: on, Perforates: tools.Cutter.Perforates(), Ruler: tools.Ruler, Reach: tools.Reach, Groove: tools.Groove, CornerAt: tools.CornerAt, Notch: tools.NotchDepth, Tick: t.Shop.Style().Tick, Plunges: tools.Plunge()}
	if tools.Has(job.TrimmerTool) {
		b.Cut = tools.TrimmerLength
	}
	return bench.New(t.Prints(), b)
}

// anyTools are tools that somebody may have.
func anyTools(r *rand.Rand, shop *job.Shop) {
	yes := func(of int) job.Own {
		if r.IntN(of) == 0 {
			return field.No
		}
		return field.Yes
	}
	t := &shop.Tools
	t.Owned = job.Owned{Trimmer: yes(4), Board: yes(3), Knife: yes(4), Scissors: yes(5), Folder: yes(5), Pegs: yes(2), Punch: yes(3), Cutter: anyjob.Pick[job.Own](r, "", "", field.Yes)}
	t.Cutter.Cuts, t.Cutter.Scores = anyjob.Pick(r, "", job.CutsAll), anyjob.Pick(r, "", job.DashedScores, job.SlitScores)
	shop.Mats = mat.Usual()
	t.CornerPlate, t.TrimmerScores, t.Plunges = yes(3), yes(2), yes(2)
	t.Ruler = anyjob.Pick(r, 0, 6*measure.Inch, 12*measure.Inch)
	t.Reach = anyjob.Pick(r, 0, 8*measure.Inch, 12*measure.Inch, 10*measure.Inch)
	t.Owned.Rounder, t.Owned.Embosser, t.NotchesOnly = anyjob.Pick[job.Own](r, "", field.Yes), anyjob.Pick[job.Own](r, "", field.Yes), anyjob.Pick[job.Own](r, "", "", field.Yes)
	t.RoundRadius, t.Throat = anyjob.Pick(r, 0, measure.Inch/8), anyjob.Pick(r, 0, 5*measure.Inch)
	t.Bases = anyjob.Pick(r, "", job.EdgeBases)
	t.PunchAt, t.PunchLargest = anyjob.Pick(r, 0, measure.Inch/4, -measure.Inch/2).Near(shop.Style().Tick), anyjob.Pick(r, 0, 8*measure.Inch)
	t.CornerAt = anyjob.Pick(r, 0, 0, measure.Inch/2, -measure.Inch/4).Near(shop.Style().Tick)
}

// ordinary makes a job one that the shelf has paper for, so that all of it is made.
func ordinary(r *rand.Rand, j *job.Job, shop *job.Shop) {
	side := func() measure.Length { return measure.Length(48+r.IntN(64)) * measure.Inch / 16 }
	j.Card.Width, j.Card.Height, j.Card.Spine, j.Count = side(), side(), 0, anyjob.Pick(r, 1, 2, 12)
	for i := range shop.Stocks {
		shop.Stocks[i].Off, shop.Stocks[i].Sheet, shop.Stocks[i].Pattern = false, "", ""
	}
	for i := range shop.Sheets {
		shop.Sheets[i].Off = false
	}
	shop.Sheets = append(shop.Sheets, paper.Sheet{ID: "large", Name: "Large", Width: 25 * measure.Inch, Height: 20 * measure.Inch})
	for i := range j.Parts {
		p := &j.Parts[i]
		if p.Thing != nil {
			p.Thing.X, p.Thing.Y, p.Thing.Over = measure.Inch/2, measure.Inch/2, false
		}
		p.Embossed = p.Thing == nil && r.IntN(4) == 0
		p.Edges, p.Own, p.Border = nil, nil, measure.Length(1+r.IntN(4))*measure.Inch/16
	}
	j.Envelope.Construction = anyjob.Pick(r, blank.DiamondID, blank.DiamondID, blank.DiamondID, blank.PocketID, blank.GussetID, blank.BoxID, blank.TuckID, blank.CutDownID, blank.BoughtID)
	j.Envelope.Corner = anyjob.Pick(r, 0, 0, 0, 5*measure.Millimetre)
	if r.IntN(3) > 0 {
		j.Envelope.FlapShape, j.Envelope.Corner, j.Envelope.Notch = "", 0, 0
	}
	j.Mail.Bare, j.Card.Thickness, j.Envelope.Way = r.IntN(10) == 0, nil, ""
	if j.Mail.Bare {
		j.Mail.Radius = anyjob.Pick(r, 0, measure.Inch/8)
	}
	if j.Envelope.Construction == blank.DiamondID {
		j.Envelope.Way, j.Envelope.Double = anyjob.Pick(r, anyjob.DiamondWays...), r.IntN(3) == 0
		if j.Envelope.Way == blank.NotchWay {
			j.Envelope.School = blank.NotchBoard
		}
	}
}

// owned reports whether a step goes by a tool that there is.
func owned(tools job.Tools, s worksheet.Step) bool {
	if s.Tool == blank.NoTool || tools.Has(s.Tool) {
		return true
	}
	// Where there is nothing to cut or to score with, hands and a ruler do it.
	return s.Tool == job.ScissorsTool && !tools.Has(job.KnifeTool) || s.Tool == job.KnifeTool && !tools.Has(job.ScissorsTool) || s.Tool == job.FolderTool
}

// prove follows a worksheet blind and holds what lies on the bench then against the drawings.
func prove(t *testing.T, table plan.Table) (w worksheet.Worksheet) {
	t.Helper()
	w = worksheet.Write(table)
	b := benchOf(table)
	for i, s := range w.Steps {
		if err := b.Follow(s); err != nil {
			t.Errorf("%s (%s): step %d, %s: %v\n%+v", table.Job.Name, table.Kind.ID, i+1, s.Act, err, s)
			return w
		}
		if !owned(table.Shop.Tools, s) {
			t.Errorf("%s: step %d goes by a %s that nobody has", table.Job.Name, i+1, s.Tool)
		}
	}
	missing := map[string]bool{}
	for _, id := range w.Missing {
		missing[id] = true
	}
	for _, x := range table.Pieces {
		if x.Count == 0 || missing[x.ID] {
			continue
		}
		p := b.Pieces[x.ID]
		if p == nil || p.Count != x.Count {
			t.Errorf("%s: %s: %d are there of %d", table.Job.Name, x.ID, count(p), x.Count)
			continue
		}
		if x.ID == plan.BlankPiece && table.Kind.Bought {
			narrower(t, table, p)
			continue
		}
		hold(t, table.Job.Name+", "+x.ID, x.Flat, p)
	}
	finished(t, table, b, missing)
	if whole := len(w.Missing) == 0; table.Enveloped && whole && !b.Done() || !b.Addressed() && whole {
		t.Errorf("%s: it is not closed and addressed at the end", table.Job.Name)
	}
	return w
}

func count(p *bench.Piece) int {
	if p == nil {
		return 0
	}
	return p.Count
}

// narrower holds a bought envelope against what it was to be cut down to.
func narrower(t *testing.T, table plan.Table, p *bench.Piece) {
	t.Helper()
	if math.Abs(p.Width-table.Made.Width.Millimetres()) > 0.02 || math.Abs(p.Height-table.Made.From.Height.Millimetres()) > 0.02 {
		t.Errorf("%s: the envelope is %.2f × %.2f, want %.2f × %.2f", table.Job.Name, p.Width, p.Height, table.Made.Width.Millimetres(), table.Made.From.Height.Millimetres())
	}
}

// hold compares a piece with its drawing: size, every crease on its side, what was cut off and out.
func hold(t *testing.T, name string, d drawing.Drawing, p *bench.Piece) {
	t.Helper()
	if math.Abs(p.Width-d.Width) > 0.02 || math.Abs(p.Height-d.Height) > 0.02 {
		t.Errorf("%s is %.3f × %.3f, want %.3f × %.3f", name, p.Width, p.Height, d.Width, d.Height)
	}
	sum := 0.0
	if out := d.Of(drawing.Cut)[0].Corners.Area(); len(p.Away) > 0 || out < d.Width*d.Height-1 {
		kept := p.Width * p.Height
		for _, a := range p.Away {
			kept -= a.Area()
		}
		if math.Abs(kept-out) > 0.02*(p.Width+p.Height)*2 {
			t.Errorf("%s: %.1f mm² stay, want %.1f", name, kept, out)
		}
	}
	for _, a := range p.Away {
		sum += a.Area()
	}
	want := 0.0
	for _, a := range d.Of(drawing.Away) {
		want += a.Corners.Area()
	}
	if math.Abs(sum-want) > 0.02*(p.Width+p.Height)*2 {
		t.Errorf("%s: %.2f mm² fall off, want %.2f", name, sum, want)
	}
	// Every crease of the drawing is scored, on the side that it asks for.
	for _, s := range d.Of(drawing.Score) {
		up := worksheet.Shown
		if s.Inside {
			up = worksheet.Under
		}
		for _, q := range []blank.Point{s.Corners[0], s.Corners[1], {X: (s.Corners[0].X + s.Corners[1].X) / 2, Y: (s.Corners[0].Y + s.Corners[1].Y) / 2}} {
			if !scored(p, q, up) {
				t.Errorf("%s: nothing is scored at %.2f, %.2f, %s up", name, q.X, q.Y, up)
				return
			}
		}
	}
	// And nothing else of what stays is.
	for n, list := range p.Creases {
		for _, c := range list {
			for i := range 41 {
				f := (float64(i) + 0.5) / 41
				q := blank.Point{X: c.From.X + f*(c.To.X-c.From.X), Y: c.From.Y + f*(c.To.Y-c.From.Y)}
				if !on(d, q) && !falls(d, q) {
					t.Errorf("%s: score %d runs over %.2f, %.2f, where nothing is folded", name, n, q.X, q.Y)
					return
				}
			}
		}
	}
	openings, slits := 0, 0
	for i, c := range d.Of(drawing.Cut) {
		switch {
		case i == 0:
		case c.Closed:
			openings++
			if found := 0; true {
				for _, o := range p.Openings {
					if math.Abs(o.Area()-c.Corners.Area()) < 0.02*(p.Width+p.Height) {
						found++
					}
				}
				if found != 1 {
					t.Errorf("%s: the opening is cut %d times", name, found)
				}
			}
		default:
			slits++
			if !slit(p, c.Corners) {
				t.Errorf("%s: the slit at %v is not there", name, c.Corners)
			}
		}
	}
	if openings != len(p.Openings) || slits != len(p.Slits) {
		t.Errorf("%s: %d openings and %d slits, want %d and %d", name, len(p.Openings), len(p.Slits), openings, slits)
	}
}

func apart(q, a, b blank.Point) float64 {
	long := math.Hypot(b.X-a.X, b.Y-a.Y)
	if long == 0 {
		return math.Hypot(q.X-a.X, q.Y-a.Y)
	}
	f := math.Max(0, math.Min(1, ((q.X-a.X)*(b.X-a.X)+(q.Y-a.Y)*(b.Y-a.Y))/long/long))
	return math.Hypot(a.X+f*(b.X-a.X)-q.X, a.Y+f*(b.Y-a.Y)-q.Y)
}

func scored(p *bench.Piece, q blank.Point, up worksheet.Side) bool {
	for _, list := range p.Creases {
		for _, c := range list {
			if c.Up == up && apart(q, c.From, c.To) < 0.02 {
				return true
			}
		}
	}
	return false
}

func on(d drawing.Drawing, q blank.Point) bool {
	for _, s := range d.Of(drawing.Score) {
		if apart(q, s.Corners[0], s.Corners[1]) < 0.05 {
			return true
		}
	}
	return false
}

func falls(d drawing.Drawing, q blank.Point) bool {
	for _, s := range d.Of(drawing.Away) {
		inside := false
		for i, a := range s.Corners {
			b := s.Corners[(i+1)%len(s.Corners)]
			if apart(q, a, b) < 0.05 {
				return true
			}
			if (a.Y > q.Y) != (b.Y > q.Y) && q.X < a.X+(b.X-a.X)*(q.Y-a.Y)/(b.Y-a.Y) {
				inside = !inside
			}
		}
		if inside {
			return true
		}
	}
	return false
}

func slit(p *bench.Piece, line blank.Polygon) bool {
	for _, s := range p.Slits {
		if math.Hypot(s[0].X-line[0].X, s[0].Y-line[0].Y) < 0.02 && math.Hypot(s[1].X-line[1].X, s[1].Y-line[1].Y) < 0.02 {
			return true
		}
	}
	return false
}

func TestSampleWorksheets(t *testing.T) {
	t.Parallel()
	for _, unit := range []measure.Unit{measure.Inches, measure.Millimetres} {
		shop := demo.Shop()
		shop.Unit = unit
		for _, j := range demo.Jobs() {
			for _, k := range blank.Constructions() {
				j.Envelope.Construction = k.ID
				if len(plan.Check(j, shop)) == 0 {
					prove(t, plan.TableOf(j, shop))
				}
			}
		}
	}
}

// Every way of setting a diamond's scores is followed to the same blank.
func TestEveryWayIsFollowed(t *testing.T) {
	t.Parallel()
	acts := map[blank.WayID]map[worksheet.Act]int{}
	for _, way := range anyjob.DiamondWays {
		acts[way] = map[worksheet.Act]int{}
		for _, j := range demo.Jobs() {
			shop := demo.Shop()
			j.Envelope.Construction, j.Envelope.Way, j.Envelope.Double = blank.DiamondID, way, false
			if j.Envelope.School = blank.ExactSeam; way == blank.NotchWay {
				j.Envelope.School = blank.NotchBoard
			}
			for _, s := range prove(t, plan.TableOf(j, shop)).Steps {
				if s.Piece == plan.BlankPiece {
					acts[way][s.Act]++
				}
			}
		}
	}
	for way, want := range map[blank.WayID]worksheet.Act{
		blank.PairWay: worksheet.Score, blank.CornerWay: worksheet.Score, blank.CentreWay: worksheet.Score, blank.EdgeWay: worksheet.Score,
		blank.RoundWay: worksheet.Round, blank.NotchWay: worksheet.Punch,
	} {
		if acts[way][want] == 0 {
			t.Errorf("%s: %v", way, acts[way])
		}
	}
}

// Whatever the job and whatever the tools, following every step blind makes the pieces.
func TestAnyWorksheet(t *testing.T) {
	t.Parallel()
	runs := 240
	if n, _ := strconv.Atoi(os.Getenv("SOAK")); n > 0 {
		runs = n
	}
	gauges, notched := 0, 0
	acts, whys, traced := map[worksheet.Act]int{}, map[string]int{}, 0
	for i := range runs {
		r := rand.New(rand.NewPCG(6, uint64(i)))
		shop := anyjob.Shop(r)
		anyTools(r, &shop)
		j := anyjob.Job(r, shop)
		if i%4 > 0 {
			ordinary(r, &j, &shop)
		}
		if len(plan.Check(j, shop)) > 0 {
			continue
		}
		table := plan.TableOf(j, shop)
		for _, s := range prove(t, table).Steps {
			if s.Act == worksheet.Try && s.Onto == plan.GaugePiece {
				gauges++
			}
			if s.Act == worksheet.Snip && s.Tool == blank.PunchBoard {
				notched++
			}
			if acts[s.Act]++; s.Act == worksheet.Trace {
				traced++
				whys[string(table.Kind.ID)+" "+s.Piece]++
			}
		}
		if t.Failed() {
			t.Fatalf("seed %d", i)
		}
	}
	t.Log(fmt.Sprint(acts, whys))
	if acts[worksheet.Halve] < runs/20 || acts[worksheet.Emboss] < runs/20 || acts[worksheet.Corners] < runs/80 || gauges < runs/80 {
		t.Errorf("little was finished: %v, %d gauges, %d notched", acts, gauges, notched)
	}
	if acts[worksheet.Machine] < runs/10 {
		t.Errorf("the cutter was hardly tried: %v", acts)
	}
	if acts[worksheet.Score] < runs/2 || acts[worksheet.Cut] < runs || acts[worksheet.Snip] < runs/40 || acts[worksheet.Seal] < runs/5 {
		t.Errorf("little was tried: %v", acts)
	}
	if traced > runs*3/4 {
		t.Errorf("%d of %d blanks go by a print", traced, runs)
	}
}
