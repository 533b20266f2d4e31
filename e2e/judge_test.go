package e2e

import (
	"encoding/json"
	"fmt"
	"slices"
	"strings"
)

type doc struct {
	Name, Width, Height string
	Parts               []struct{ ID, Border string }
}

func docOf(text string) (d doc) { _ = json.Unmarshal([]byte(text), &d); return d }

func (d doc) field(name string) string {
	return map[string]string{"name": d.Name, "width": d.Width, "height": d.Height}[name]
}

// judge says what is wrong with what an interleaving came to.
func judge(kind string, script []step, got trace) string {
	last := got.Seen[len(got.Seen)-1]
	at := func(pair []any) int { return int(pair[0].(float64)) }
	typed := map[string]string{} // what was typed last and could be used, by field
	lastTyped, lastText, base := "", "", ""
	away := false
	for i, s := range script {
		seen := got.Seen[i]
		what := s[0].(string)
		if i == 0 || got.Seen[i-1].Shown == "" { // nothing to work with yet
			if what != "leave" && what != "die" && what != "calm" && what != "return" {
				what = ""
			}
		}
		if i > 0 && seen.ShopVersion < got.Seen[i-1].ShopVersion {
			return fmt.Sprintf("step %d, %v: the shelf goes back from version %d to %d", i, s, got.Seen[i-1].ShopVersion, seen.ShopVersion)
		}
		switch what {
		case "type":
			if before := got.Seen[max(0, i-1)]; lastTyped != s[1] {
				base = ""
				if before.State == "saved" {
					base = docOf(before.Shown).field(s[1].(string))
				}
			}
			lastTyped, lastText = s[1].(string), s[2].(string)
			if !strings.ContainsAny(lastText, "!?") {
				typed[lastTyped] = strings.TrimSpace(lastText)
			} else if strings.Contains(lastText, "!") { // what is refused for good leaves what there was before
				delete(typed, lastTyped)
			}
		case "other":
			delete(typed, s[1].(string)) // either may win
		case "step", "add", "carry", "undo", "redo", "theirs", "return":
			base = ""
			lastTyped = ""
			if what == "step" {
				delete(typed, s[1].(string))
			}
			if what != "step" && what != "add" && what != "return" {
				clear(typed)
			}
		case "leave", "die":
			away, lastTyped = true, ""
		case "left":
			if lastTyped == s[1] && strings.ContainsAny(lastText, "!?") { // so does what stays unfinished
				delete(typed, lastTyped)
			} else if lastTyped == s[1] {
				lastTyped = "" // what is typed there next begins anew
			}
		}
		if seen.State == "conflict" && kind != "two" && kind != "follow" && !away {
			return fmt.Sprintf("step %d, %v: it asks which to keep, and nobody else was there", i, s)
		}
		// Saved is true: what is shown is what is stored, or another window went on from there.
		if seen.State == "saved" {
			good := false
			for k := len(got.Saves) - 1; k >= 0; k-- {
				if at(got.Saves[k]) > i {
					continue
				}
				if got.Saves[k][2] == seen.Shown {
					good = true
					break
				}
				if got.Saves[k][1].(bool) {
					break
				}
			}
			if !good {
				return fmt.Sprintf("step %d, %v: it says saved, and shows %s, where %s is stored", i, s, seen.Shown, seen.Stored)
			}
			if lastTyped != "" && kind != "two" && kind != "follow" {
				if strings.ContainsAny(lastText, "!?") {
					return fmt.Sprintf("step %d, %v: it says saved beside %q, which cannot be used", i, s, lastText)
				}
				if now := docOf(seen.Shown).field(lastTyped); now != strings.TrimSpace(lastText) {
					return fmt.Sprintf("step %d, %v: it says saved, and %s is %s where %s was typed", i, s, lastTyped, now, lastText)
				}
			}
		}
		if what == "calm" && i > 2 && script[i-2][0] == "carry" && script[i-1][0] == "type" && script[i-3][0] == "type" && script[i-4][0] == "calm" && seen.State != "refused" {
			return fmt.Sprintf("step %d: something was refused beside something else, and it says %s", i, seen.State)
		}
		if what == "calm" && lastTyped != "" && strings.Contains(lastText, "!") && base != "" {
			if now := docOf(seen.Shown).field(lastTyped); now != base {
				return fmt.Sprintf("step %d: what was typed in %s is refused, and leaves %q, where %q was", i, lastTyped, now, base)
			}
		}
		if what == "calm" && (seen.State == "saving" || seen.State == "unreachable" || seen.Shop == "saving" || seen.Shop == "unreachable" || !seen.Kept) {
			return fmt.Sprintf("step %d: all is answered, and it says %s, the shelf %s", i, seen.State, seen.Shop)
		}
	}
	// Nothing acknowledged is replaced unseen: what another window stored was shown here before
	// this one stores upon it, or one chose to keep one's own.
	for k, save := range got.Saves {
		if k == 0 || !save[1].(bool) || got.Saves[k-1][1].(bool) {
			continue
		}
		before := got.Saves[k-1]
		theirs, was, now := docOf(before[2].(string)), docOf(got.Saves[max(0, k-2)][2].(string)), docOf(save[2].(string))
		shown := !slices.ContainsFunc([]string{"name", "width", "height"}, func(field string) bool {
			here := slices.ContainsFunc(script, func(s step) bool { // it was changed here, too
				return s[0] == "type" && s[1] == field && strings.TrimSpace(s[2].(string)) == now.field(field) || s[0] == "step" && s[1] == field
			})
			return theirs.field(field) != was.field(field) && theirs.field(field) != now.field(field) && !here
		})
		chosen := slices.ContainsFunc(script[at(before):at(save)+1], func(s step) bool { return s[0] == "undo" })
		for i, s := range script[:at(save)+1] { // chosen, and the version to be kept was on its way
			kept := func(other []any) bool { return other[1].(bool) && at(other) > i && at(other) < at(save) }
			chosen = chosen || i > 0 && s[0] == "mine" && got.Seen[i-1].State == "conflict" && !slices.ContainsFunc(got.Saves, kept)
		}
		if !shown && !chosen {
			return fmt.Sprintf("step %d: %v of another window was replaced unseen by %v", at(save), before[2], save[2])
		}
	}
	if last.State != "saved" && last.State != "fresh" && last.State != "typed" && last.State != "refused" {
		return "in the end it says " + last.State
	}
	if last.State == "saved" && last.Shown != last.Stored {
		return fmt.Sprintf("in the end it shows %s, and %s is stored", last.Shown, last.Stored)
	}
	if got.Twice > 0 && kind != "left" || got.Unasked > 0 {
		return fmt.Sprintf("%d saves were sent beside another one, %d while it asks which to keep", got.Twice, got.Unasked)
	}
	switch kind {
	case "alone", "typed", "left", "follow":
		stored := docOf(last.Stored)
		lossy := away && slices.ContainsFunc(script, func(s step) bool { return s[0] == "lose" }) // a page that is left cannot try again
		for field, text := range typed {
			if got := stored.field(field); got != text && !lossy {
				return fmt.Sprintf("in the end %s is %q, where %q was typed last", field, got, text)
			}
		}
		if n := len(stored.Parts); n > got.Adds || n < got.Adds && !lossy {
			return fmt.Sprintf("%d were added, and there are %d", got.Adds, n)
		}
	case "shop":
		if len(got.Entries) != got.Adds && got.Adds > 0 {
			return fmt.Sprintf("%d entries were added on the shelf, and there are %d", got.Adds, len(got.Entries))
		}
		var want []string
		for _, s := range script {
			if s[0] == "shopAdd" {
				want = append(want, s[2].(string))
			}
		}
		if !slices.Equal(want, got.Entries) && len(want) > 0 {
			return fmt.Sprintf("on the shelf are %v, added were %v", got.Entries, want)
		}
		if got.ShownUnit != got.Unit && got.ShownUnit != "" {
			return fmt.Sprintf("the shelf shows %s, stored is %s", got.ShownUnit, got.Unit)
		}
	case "bench":
		for i := len(script) - 1; i >= 0; i-- {
			if what := script[i][0]; what == "bench" && script[i][1] != got.Bench && got.Seen[0].Shown != "" {
				return fmt.Sprintf("at the bench step %v was gone to last, kept is %d", script[i][1], got.Bench)
			} else if what == "bench" || what == "benchOther" {
				break
			}
		}
		if last.Kept && got.Bench != got.ShownBench {
			return fmt.Sprintf("at the bench it shows step %d, kept is %d", got.ShownBench, got.Bench)
		}
	}
	return ""
}
