package compare_test

import (
	"fmt"
	"math/rand/v2"
	"reflect"
	"testing"

	"yellowparcel/core/piece"
	"yellowparcel/internal/anyjob"
	"yellowparcel/internal/golden"
)

// Every envelope for any piece is what it was on the day that it was written down: made
// and bought, what becomes of it in the post, what it weighs and how it bends.
func TestEnvelopesAreTheSame(t *testing.T) {
	t.Parallel()
	r := rand.New(rand.NewPCG(12, 8))
	var lines []string
	for range 70 {
		shop := anyjob.Shop(r)
		j := anyjob.Job(r, shop)
		if piece.Of(j, shop).Block() || len(j.Check(shop)) > 0 {
			continue
		}
		m := maker(j, shop)
		all := m.Candidates()
		for _, c := range m.Order(all) {
			two, joined := m.Joined(c)
			lines = append(lines, fmt.Sprintf("%s %v %v x %v ease %v %v strip %v refused %v; %s %s rank %d beyond %v shape %v; on %s %v %v %v; paper %s work %d sound %v; joint %v %s %v %v", c.Kind.ID, c.OK, c.Made.SheetWidth, c.Made.SheetHeight,
				c.Made.EaseWidth, c.Made.EaseHeight, c.Strip, c.Refused != nil, c.Mail.Ending, c.Mail.Class.ID, c.Mail.Rank, c.Mail.Beyond, c.Mail.Shape, c.Fits.ID, c.Found, c.Spare, c.Short,
				golden.Number(c.PaperUsed()), c.Work(), m.Sound(c), joined, two.Sheet.ID, two.At, two.Lap))
		}
		c := m.Chosen()
		if !reflect.DeepEqual(c, m.Choose(all)) {
			t.Errorf("made alone the %s is another", c.Kind.ID)
		}
		e := m.Closed(c)
		p := m.Mailed(e)
		list, grams := m.Weights(e)
		beam, scaled := m.Beam(e, grams)
		stiffer, bent := m.Stiffer(m.Bare(e), grams)
		lines = append(lines, fmt.Sprintf("  %s, serving %d: %v x %v x %v, %d layers, %s mm² %s; %d weigh %s; piece %v x %v x %v %s off %v %v %s lump %v uneven %v bends %s; beam %s scaled %v stiffer %s %v", c.Kind.ID, m.Serving(all), e.Width, e.Height, e.Thickness, e.Layers,
			golden.Number(e.Area), e.Stock.ID, len(list), golden.Number(grams), p.Width, p.Height, p.Thickness, golden.Number(p.Weight), p.SizeError, p.ThicknessError, golden.Number(p.WeightError), p.Lump, p.Uneven,
			golden.Numbers(p.Pull, p.PullAtMost, p.Strain), golden.Numbers(beam.Length, beam.Pull()), scaled, golden.Number(stiffer), bent))
		noted := m.Noting(e)
		lines = append(lines, fmt.Sprintf("  noted %v %v %s %s", noted.Card.ThicknessOf, noted.Mail.Measured.ThicknessOf, golden.Number(noted.Mail.Measured.GramsOf), golden.Number(noted.Mail.Measured.Stiffer)))
		fits, misses := m.Bought()
		line := fmt.Sprintf("  %d bought fit", len(fits))
		if len(fits) > 0 {
			line += fmt.Sprintf(", %s best, %s, %v %v", fits[0].Format.ID, fits[0].Verdict, fits[0].EaseWidth, fits[0].EaseHeight)
		}
		for _, f := range misses {
			line += fmt.Sprintf("; %s short by %v, rescue %q", f.Format.ID, f.ShortBy(), m.Rescue(f.Format))
		}
		if w, ok := m.PlainRectangle(); ok {
			line += fmt.Sprintf("; rectangle %v x %v", w.Width, w.Height)
		}
		lines = append(lines, line)
		if c.Kind.Bought {
			whole := m.Whole(c)
			lines = append(lines, fmt.Sprintf("  whole %v x %v, %s", whole.Width, whole.Height, m.Judge(whole).Ending))
		}
	}
	golden.Check(t, "envelopes", lines)
}
