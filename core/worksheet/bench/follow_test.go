package bench_test

import (
	"fmt"
	"math/rand/v2"
	"strings"
	"testing"

	"yellowparcel/core/blank"
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
	"yellowparcel/internal/soak"
)

// benchOf is a bench with the tools of a shop, and the prints of a job's pieces.
func benchOf(t plan.Table) *bench.Bench {
	tools := t.Shop.Tools
	on, _ := job.MatFor(t.Shop, t.Job)
	b := bench.Tools{NotchAt: tools.PunchAt.Near(t.Shop.Style().Tick), Punches: tools.Punches(), Round: tools.RoundRadius, Throat: tools.Throat, Mat: on, Perforates: tools.Cutter.Perforates(), Ruler: tools.Ruler, Reach: tools.Reach, Groove: tools.Groove, CornerAt: tools.CornerAt, Notch: tools.NotchDepth, Tick: t.Shop.Style().Tick, Plunges: tools.Plunge()}
	b.Minutes = map[string]int{}
	for _, a := range t.Shop.Adhesives {
		b.Minutes[a.ID] = a.Minutes
	}
	if tools.Has(job.TrimmerTool) {
		b.Cut = tools.TrimmerLength
	}
	return bench.New(t.Prints(), t.Made.Seen(), b)
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
	_, wrong := followed(table, w)
	for _, text := range wrong {
		t.Errorf("%s (%s): %s", table.Job.Name, table.Kind.ID, text)
	}
	return w
}

// followed is the bench on which a worksheet was followed, and what is wrong with it.
func followed(table plan.Table, w worksheet.Worksheet) (*bench.Bench, complaints) {
	t := &complaints{}
	b := benchOf(table)
	for i, s := range w.Steps {
		if err := b.Follow(s); err != nil {
			t.Errorf("step %d, %s: %v\n%+v", i+1, s.Act, err, s)
			return b, *t
		}
		if !owned(table.Shop.Tools, s) {
			t.Errorf("step %d goes by a %s that nobody has", i+1, s.Tool)
		}
	}
	for id, p := range b.Pieces {
		if strings.HasPrefix(id, "sheet ") && !strings.Contains(id, ", ") && p.Count > 0 {
			t.Errorf("%d of %s were taken for nothing", p.Count, id)
		}
	}
	for _, x := range table.Pieces {
		p := b.Pieces[x.ID]
		if x.Count == 0 {
			continue
		}
		if p == nil || p.Count != x.Count {
			t.Errorf("%s: %d are there of %d", x.ID, count(p), x.Count)
			continue
		}
		if x.ID == plan.BlankPiece && table.Kind.Bought {
			narrower(t, table, p)
			continue
		}
		hold(t, x.ID, x.Flat, p)
	}
	finished(t, table, b)
	return b, *t
}

func count(p *bench.Piece) int {
	if p == nil {
		return 0
	}
	return p.Count
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
	runs := soak.Of(1200)
	gauges, notched := 0, 0
	acts, whys, traced := map[worksheet.Act]int{}, map[string]int{}, 0
	for i := range runs {
		r := rand.New(rand.NewPCG(6, uint64(i)))
		shop := anyjob.Shop(r)
		anyTools(r, &shop)
		j := anyjob.Job(r, shop)
		switch {
		case i%4 > 0:
			ordinary(r, &j, &shop)
		case i%8 > 0:
			anyjob.Narrow(r, &j)
		}
		if len(plan.Check(j, shop)) > 0 {
			continue
		}
		switch i % 12 { // a card that is finished, or one thing of it alone
		case 3:
			j.Card.Made = true
		case 6:
			j.Paper.Only = job.Onlys()[i/12%3]
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
