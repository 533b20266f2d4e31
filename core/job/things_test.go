package job_test

import (
	"testing"

	"yellowparcel/core/field"
	"yellowparcel/core/job"
	"yellowparcel/core/measure"
	"yellowparcel/demo"
)

// A thing that is added lands where it touches nothing, as long as there is such a place.
func TestThingsLandBesideEachOther(t *testing.T) {
	j, shop := job.NewJob(demo.Shop()), demo.Shop()
	add := func(id string) {
		t.Helper()
		var err error
		if j, err = j.Apply(shop, field.Edit{Act: field.Add, Path: "parts", Text: id}); err != nil {
			t.Fatal(err)
		}
	}
	for _, id := range []string{"gem-2", "brad", "knot", "gem-2", "wood", "gem-4", "brad", "charm", "gem-2", "gem-2"} {
		add(id)
		if list := job.Overlaps(j); len(list) > 0 {
			t.Fatalf("%s lies over another thing: %+v", id, list)
		}
		last := j.Parts[len(j.Parts)-1].Thing
		if last.X < 0 || last.Y < 0 || last.X+last.Width > j.Card.Width || last.Y+last.Height > j.Card.Height {
			t.Fatalf("%s lies off the face: %+v", id, last)
		}
	}
	if first := j.Parts[1].Thing; (first.X + first.Width/2 - j.Card.Width/2).Abs() > shop.Style().Tick {
		t.Errorf("the first does not lie in the middle: %+v", first)
	}
	// On a face that is full it lies in the middle, and is asked about.
	j.Card.Width, j.Card.Height = 30*measure.Millimetre, 30*measure.Millimetre
	j.Parts = j.Parts[:1]
	add("wood")
	add("wood")
	if list := job.Overlaps(j); len(list) != 1 || list[0] != (job.Overlap{Under: 1, Over: 2}) {
		t.Errorf("two slices of wood on a small face: %+v", list)
	}
	if err := job.MoveApart(&j, j.Parts[2].ID, shop.Style().Tick); err == nil {
		t.Error("moved apart where there is no room")
	}
	j.Card.Width = 100 * measure.Millimetre
	if err := job.MoveApart(&j, j.Parts[2].ID, shop.Style().Tick); err != nil || len(job.Overlaps(j)) != 0 {
		t.Errorf("%v, %+v", err, job.Overlaps(j))
	}
	j.Parts[2].Thing.X, j.Parts[2].Thing.Y = j.Parts[1].Thing.X, j.Parts[1].Thing.Y
	j.Parts[2].Thing.Stacked = true
	if list := job.Overlaps(j); len(list) != 0 {
		t.Errorf("glued on each other, and asked: %+v", list)
	}
}

func TestDemoThingsAreToldApart(t *testing.T) {
	for _, j := range demo.Jobs() {
		if list := job.Overlaps(j); len(list) > 0 {
			t.Errorf("%s: %+v", j.Name, list)
		}
	}
}
