package job

import (
	"encoding/json"
	"reflect"
	"strings"
	"testing"

	"yellowparcel/core/field"
)

// An entry that is written to a file comes back on another shelf as it was, under an ID of
// that shelf; what is no such file is refused.
func TestEntriesAsFiles(t *testing.T) {
	shop := DefaultShop()
	shop.Today = "2026-11-28"
	shop.Stocks[0].Have, shop.Stocks[0].Sheet = 7, shop.Sheets[0].ID
	for list, entry := range map[string]any{"stocks": shop.Stocks[0], "sheets": shop.Sheets[1], "adhesives": shop.Adhesives[0], "envelopes": OwnedEnvelope{ID: "x", Name: "Blue pile", Width: 155e6, Height: 155e6, Have: 12}} {
		file, err := json.Marshal(entry)
		if err != nil {
			t.Fatal(err)
		}
		for _, text := range []string{string(file), "\n " + string(file)} {
			made, problems, _ := ApplyToShop(shop, []field.Edit{{Act: field.Add, Path: list, Text: text}})
			if len(problems) > 0 {
				t.Fatalf("%s: %v", list, problems)
			}
			entries := reflect.ValueOf(made).FieldByName(strings.ToUpper(list[:1]) + list[1:])
			got := reflect.New(entries.Index(0).Type()).Elem()
			got.Set(entries.Index(entries.Len() - 1))
			if id := got.FieldByName("ID").String(); !strings.HasPrefix(id, list+"-own-") {
				t.Errorf("%s: its ID is %q", list, id)
			}
			got.FieldByName("ID").Set(reflect.ValueOf(entry).FieldByName("ID"))
			if !reflect.DeepEqual(got.Interface(), entry) {
				t.Errorf("%s: %+v, want %+v", list, got, entry)
			}
		}
		for _, bad := range []string{`{"id":"x","classes":[]}`, `{"name":`, `{"name":"x","width":-5,"height":1,"caliper":0}`} {
			if made, problems, _ := ApplyToShop(shop, []field.Edit{{Act: field.Add, Path: list, Text: bad}}); len(problems) != 1 || !reflect.DeepEqual(made, shop) {
				t.Errorf("%s: %s is taken: %v", list, bad, problems)
			}
		}
	}
}

// What is put away lies in one list with its day, and comes back without one; what another
// shelf has is added once.
func TestPutAwayAndTaken(t *testing.T) {
	shop := DefaultShop()
	shop.Today = "2026-11-28"
	away, problems, _ := ApplyToShop(shop, []field.Edit{{Act: field.Set, Path: "stocks.0.off", Text: "yes"}, {Act: field.Add, Path: "rulebooks", Text: "uk-inland"}, {Act: field.Set, Path: "rulebooks.0.off", Text: "yes"}})
	if len(problems) > 0 {
		t.Fatal(problems)
	}
	list := away.Removed()
	if len(list) != 2 || list[0].Path != "stocks."+shop.Stocks[0].ID || list[0].Since != "2026-11-28" || list[1].Kind != "postal rules" || list[1].Since != "2026-11-28" {
		t.Errorf("%+v", list)
	}
	back, problems, _ := ApplyToShop(away, []field.Edit{{Act: field.Set, Path: list[0].Path + ".off", Text: "no"}})
	if len(problems) > 0 || back.Stocks[0].OffSince != "" || len(back.Removed()) != 1 {
		t.Errorf("%+v, %v", back.Removed(), problems)
	}
	all := shop.PutAway("2026-12-01")
	if n := len(all.Removed()); n != len(shop.Stocks)+len(shop.Sheets)+len(shop.Adhesives)+len(shop.Mats) || shop.Stocks[0].Off {
		t.Errorf("%d are put away", n)
	}
	empty := Shop{}
	if n := empty.TakeEntries(away); n != len(away.Stocks)+len(away.Sheets)+len(away.Adhesives)+len(away.Rulebooks)+len(away.Envelopes)+len(away.Mats)+len(away.Rates) {
		t.Errorf("%d came", n)
	}
	if n := empty.TakeEntries(away); n != 0 {
		t.Errorf("%d came twice", n)
	}
}
