package store

import (
	"encoding/json"
	"errors"
	"reflect"
	"strings"
	"testing"
	"time"

	"yellowparcel/core/job"
	"yellowparcel/core/plan"
	"yellowparcel/demo"
	"yellowparcel/internal/race"
)

// Lines stand beside their jobs; a body that was changed behind the program's back
// has none that holds, and a job that cannot be read hides no other one.
func TestLines(t *testing.T) {
	s := open(t, t.TempDir())
	var ids []string
	for _, j := range demo.Jobs()[:3] {
		added, err := s.AddJob(ctx, NewID(), j, Line{"now", plan.Line(j, demo.Shop())})
		if err != nil {
			t.Fatal(err)
		}
		ids = append(ids, added.ID)
	}
	list, err := s.List(ctx, InHand)
	if err != nil || len(list) != 3 || list[1].Line.Line.Mail != "Goes" && list[1].Line.Line.Mail == "" || strings.Count(string(list[1].Line.Line.Papers), "width") != 2 {
		t.Fatalf("%+v, %v", list, err)
	}
	if stale, err := s.StaleLines(ctx, "now"); err != nil || len(stale) > 0 {
		t.Errorf("stale are %v, %v", stale, err)
	}
	if stale, _ := s.StaleLines(ctx, "another program"); len(stale) != 3 {
		t.Errorf("after an upgrade %d are stale", len(stale))
	}
	if _, err := s.db.Exec(`UPDATE jobs SET body = '{"card": {"width": "wide"}}' WHERE id = ?`, ids[1]); err != nil {
		t.Fatal(err)
	}
	if stale, _ := s.StaleLines(ctx, "now"); !reflect.DeepEqual(stale, ids[1:2]) {
		t.Errorf("stale are %v, want the one whose body was changed", stale)
	}
	unreadable := ErrUnreadable{}
	j, err := s.Job(ctx, ids[1])
	if !errors.As(err, &unreadable) || j.Version != 1 {
		t.Errorf("it reads as %+v, %v", j, err)
	}
	if err := s.SetLine(ctx, ids[1], 1, Line{"now", plan.BrokenLine("It cannot be read.")}); err != nil {
		t.Fatal(err)
	}
	if err := s.SetLine(ctx, ids[2], 7, Line{"late", plan.JobLine{}}); err != nil {
		t.Fatal(err)
	}
	if list, err = s.List(ctx, InHand); err != nil || len(list) != 3 || list[1].Line.Line.Problem == "" || list[2].Of != "now" {
		t.Errorf("%+v, %v", list, err)
	}
	// It can be put away, and it is all still there.
	if gone, err := s.SetRemoved(ctx, ids[1], 1, true); !errors.As(err, &unreadable) && (err != nil || !gone.Removed) {
		t.Errorf("%+v, %v", gone, err)
	}
}

// What this program does not know of a stored job or shop is there after it saves.
func TestUnknownIsKept(t *testing.T) {
	s := open(t, t.TempDir())
	added, err := s.AddJob(ctx, NewID(), demo.Jobs()[0], Line{})
	if err != nil {
		t.Fatal(err)
	}
	body, _ := json.Marshal(added.Job)
	newer := strings.Replace(string(body), `"count":`, `"ribbon":{"colour":"#ff0000","length":123456789012345678},"count":`, 1)
	newer = strings.Replace(newer, `"border":3175000`, `"border":3175000,"deckle":true`, 1)
	newer = strings.Replace(newer, `"ease":`, `"gum":[1,2],"ease":`, 1)
	if newer == string(body) {
		t.Fatal("nothing new stands in it")
	}
	if _, err := s.db.Exec("UPDATE jobs SET body = ? WHERE id = ?", newer, added.ID); err != nil {
		t.Fatal(err)
	}
	read, err := s.Job(ctx, added.ID)
	if err != nil {
		t.Fatal(err)
	}
	read.Job.Count = 77
	read.Job.Parts = append([]job.Part{read.Job.Parts[0], {ID: "new", Kind: job.LayerPart, Stock: "copy-80"}}, read.Job.Parts[1:]...) // moved by one
	if _, err := s.SaveJob(ctx, added.ID, 1, read.Job, Line{}); err != nil {
		t.Fatal(err)
	}
	var stored string
	if err := s.db.Get(&stored, "SELECT body FROM jobs WHERE id = ?", added.ID); err != nil {
		t.Fatal(err)
	}
	var got struct {
		Count  int
		Ribbon struct {
			Colour string
			Length json.Number
		}
		Parts []struct {
			ID     string
			Deckle bool
		}
		Envelope struct{ Gum []int }
	}
	if err := json.Unmarshal([]byte(stored), &got); err != nil {
		t.Fatal(err)
	}
	if got.Count != 77 || got.Ribbon.Colour != "#ff0000" || got.Ribbon.Length != "123456789012345678" || len(got.Envelope.Gum) != 2 || got.Parts[1].Deckle || !got.Parts[2].Deckle {
		t.Errorf("%+v", got)
	}
	// What is known and was removed does not come back.
	read.Job.Parts = read.Job.Parts[:1]
	read.Job.Items = nil
	if again, err := s.SaveJob(ctx, added.ID, 2, read.Job, Line{}); err != nil || !reflect.DeepEqual(again.Job.Parts, read.Job.Parts) {
		t.Errorf("%+v, %v", again.Job.Parts, err)
	}

	if err := s.Seed(ctx, demo.Shop(), nil); err != nil {
		t.Fatal(err)
	}
	if _, err := s.db.Exec(`UPDATE shop SET body = json_set(body, '$.looms', json('[3]'), '$.tools.press', 9)`); err != nil {
		t.Fatal(err)
	}
	shop, err := s.ChangeShop(ctx, "", func(now Shop) (job.Shop, error) {
		now.Shop.Tools.NotchDepth++
		return now.Shop, nil
	})
	if err != nil || shop.Version != 2 {
		t.Fatal(shop.Version, err)
	}
	if err := s.db.Get(&stored, "SELECT body FROM shop"); err != nil || !strings.Contains(stored, `"looms":[3]`) || !strings.Contains(stored, `"press":9`) {
		t.Errorf("%v: %.200s", err, stored)
	}
}

// Listing ten thousand jobs reads lines, and plans nothing.
func TestListIsQuick(t *testing.T) {
	race.Alone(t)
	s := open(t, t.TempDir())
	line := Line{"now", plan.Line(demo.Jobs()[5], demo.Shop())}
	for _, j := range demo.Jobs() {
		if _, err := s.AddJob(ctx, NewID(), j, line); err != nil {
			t.Fatal(err)
		}
	}
	for n := len(demo.Jobs()); n < 10_000; n *= 2 {
		if _, err := s.db.Exec(`INSERT INTO jobs (id, place, version, name, body, created, changed, line, line_of)
			SELECT lower(hex(randomblob(8))), place + ?, version, name, body, created, changed, line, line_of FROM jobs LIMIT ?`, n, 10_000-n); err != nil {
			t.Fatal(err)
		}
	}
	began := time.Now()
	list, err := s.List(ctx, InHand)
	took := time.Since(began)
	if err != nil || len(list) != 10_000 {
		t.Fatal(len(list), err)
	}
	if most := 5 * time.Second; took > most { // the race detector, and a busy machine
		t.Errorf("it takes %v", took)
	}
	t.Logf("10 000 lines in %v", took)
}
