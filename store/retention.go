package store

import (
	"fmt"
	"slices"
	"time"
)

// How long backups are kept: every one of today, then the newest of each of so many days,
// weeks and months that have one. They take no more than MostBackups bytes together; then
// the oldest go first. The newest whole one always stays, and so does what was asked for by hand: that
// counts among the bytes, and nobody but who asked for it removes it.
const (
	DaysKept   = 7
	WeeksKept  = 8
	MonthsKept = 12
)

// MostBackups bounds what all backups may take together.
const MostBackups = 1 << 30

// spare are the backups that the rule does without: a list of the newest first, as it is on
// a day, bounded in bytes.
func spare(list []Backup, now time.Time, most int64) (gone []Backup) {
	day := func(t time.Time) string { return t.Format(time.DateOnly) }
	week := func(t time.Time) string {
		y, w := t.ISOWeek()
		return fmt.Sprintf("%d/%d", y, w)
	}
	month := func(t time.Time) string { return t.Format("2006-01") }
	kept := make([]bool, len(list))
	for _, rule := range []struct {
		of   func(time.Time) string
		most int
	}{{day, DaysKept}, {week, WeeksKept}, {month, MonthsKept}} {
		seen := map[string]bool{}
		for i, b := range list {
			span := rule.of(b.Made.In(now.Location()))
			if b.Whole && !seen[span] && len(seen) < rule.most {
				seen[span], kept[i] = true, true
			}
		}
	}
	total, newest := int64(0), slices.IndexFunc(list, func(b Backup) bool { return b.Whole })
	for _, b := range list {
		if b.Why == Asked {
			total += b.Bytes
		}
	}
	for i, b := range list {
		if b.Why == Asked {
			continue
		}
		ofToday := day(b.Made.In(now.Location())) == day(now)
		if i != newest && (!kept[i] && !ofToday || total+b.Bytes > most) {
			gone = append(gone, b)
			continue
		}
		total += b.Bytes
	}
	return gone
}
