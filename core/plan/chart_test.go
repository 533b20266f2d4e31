package plan_test

import (
	"context"
	"slices"
	"testing"

	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/core/plan"
	"yellowparcel/demo"
)

// The pocket chart against the pencil: 1/4 less for the card, 1/8 to 1 less for the layers; in
// millimetres 6 less, and 3 to 24.
func TestPocketChart(t *testing.T) {
	t.Parallel()
	shop := job.DefaultShop()
	shop.Envelopes = []job.OwnedEnvelope{{ID: "a", Name: "Cream", Width: 29 * measure.Inch / 4, Height: 21 * measure.Inch / 4}}
	c, err := plan.Chart(context.Background(), shop)
	if err != nil || len(c.Rows) != 1 {
		t.Fatal(c, err)
	}
	row := c.Rows[0]
	if row.Card != "7 × 5" || row.Flat != "14 × 5" || row.Top != "7 × 10" || row.Mail != "Goes as a letter" {
		t.Errorf("%+v", row)
	}
	if want := []string{"6 7⁄8 × 4 7⁄8", "6 3⁄4 × 4 3⁄4", "6 5⁄8 × 4 5⁄8", "6 1⁄2 × 4 1⁄2", "6 3⁄8 × 4 3⁄8", "6 1⁄4 × 4 1⁄4", "6 1⁄8 × 4 1⁄8", "6 × 4"}; !slices.Equal(row.Layers, want) {
		t.Errorf("layers %q", row.Layers)
	}
	shop.Unit = measure.Millimetres
	shop.Envelopes[0].Width, shop.Envelopes[0].Height = 162*measure.Millimetre, 114*measure.Millimetre
	c, _ = plan.Chart(context.Background(), shop)
	if row := c.Rows[0]; row.Card != "156 × 108" || row.Layers[0] != "153 × 105" || row.Layers[7] != "132 × 84" || c.Less[7] != "24" {
		t.Errorf("%+v, %v", row, c.Less)
	}
	// Without any of one's own it is of those that are sold, no more than go on a page.
	shop.Envelopes = nil
	if c, _ = plan.Chart(context.Background(), shop); len(c.Rows) < 10 || len(c.Rows) > 24 {
		t.Errorf("%d rows", len(c.Rows))
	}
	// A tiny one has no card of every layer, and says nothing there.
	shop.Envelopes = []job.OwnedEnvelope{{ID: "b", Name: "Tiny", Width: 40 * measure.Millimetre, Height: 28 * measure.Millimetre}}
	if c, _ = plan.Chart(context.Background(), shop); c.Rows[0].Layers[7] != "" || c.Rows[0].Layers[0] == "" {
		t.Errorf("%q", c.Rows[0].Layers)
	}
	ctx, stop := context.WithCancel(context.Background())
	stop()
	if _, err := plan.Chart(ctx, demo.Shop()); err == nil {
		t.Error("nobody waits for it, and it goes on")
	}
}
