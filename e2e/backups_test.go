package e2e

import (
	"io"
	"os"
	"path/filepath"
	"strings"
	"syscall"
	"testing"
)

// A backup is made, looked into, and restored: one job, and everything; what was made since
// lies among the removed, and what a job was in its history.
func TestBackups(t *testing.T) {
	w := begin(t)
	p := w.program
	at := w.openJob("Meteor-night thanks, square")
	w.goTo("/backups")
	w.see(test("backups"), "daily") // of this start
	w.click(test("back-up"))
	w.see(test("done"), "Backed up: 6 jobs")
	w.goTo(at)
	w.fill("field-card.width", "6")
	w.saved()
	w.goTo("/backups")
	w.see(test("backups"), "asked for")
	w.click(test("look-in"))
	w.see(test("inside"), "changed since")
	w.see(test("inside"), "5 jobs are the same now")
	w.click(test("restore-one"))
	w.see(test("done"), "as it was in this backup")
	w.waitFor("nothing to restore", func() (string, bool) { return "a button", !w.MustHas(test("restore-one")) })
	w.goTo(at)
	w.see(test("ticket-card"), "5 3/8 × 5 3/8")

	w.goTo("/")
	w.click(test("new-job"))
	w.fill("field-card.width", "4")
	w.saved() // a job, though its card has no height yet
	// Another window that shows a job follows the restore.
	other := open(t, p, at)
	other.fill("field-card.width", "6 1/4")
	other.saved()
	w.goTo("/backups")
	w.see(test("backups"), "asked for")
	w.click(test("restore"))
	w.see(".ask", "A backup of what is here now is made first.")
	w.click(test("restore-all"))
	w.see(test("done"), "1 job made since, now among the removed")
	w.see(test("backups"), "before a restore")
	w.see(test("removed"), "job · just now")
	other.see(test("ticket-card"), "5 3/8 × 5 3/8")
	w.goTo(at + "/../history")
	w.see(test("states"), "Restored from a backup")
	w.quiet()
}

// Each change of a job is a state with a name; it survives a reload, can be looked at, and is
// brought back; what it was before stays.
func TestHistoryOfAJob(t *testing.T) {
	w := begin(t)
	at := w.openJob("Meteor-night invitation")
	w.fill("field-card.width", "6 1/8")
	w.saved()
	w.fill("field-card.height", "4 1/8")
	w.saved()
	w.fill("name", "Perseids")
	w.saved()
	w.goTo(at)
	w.click(test("history"))
	w.see(test("states"), "Card width: 6 1/8 in, was 7 in")
	w.see(test("states"), "Card height: 4 1/8 in, was 5 in")
	w.see(test("states"), "Name: Perseids, was Meteor-night invitation")
	w.see(test("states"), "The job begins")
	w.see(test("ticket-of-state"), "6 1/8 × 4 1/8")
	w.clickOn(test("state-of"), "Card width")
	w.see(test("ticket-of-state"), "6 1/8 × 5")
	w.see(".look", "The job as it was")
	w.goTo(w.address()) // it has an address of its own
	w.see(test("ticket-of-state"), "6 1/8 × 5")
	w.click(test("bring-back"))
	w.see(test("ticket-card"), "6 1/8 × 5")
	if got := w.value("name"); got != "Meteor-night invitation" {
		t.Errorf("it is called %q", got)
	}
	w.click(test("history"))
	w.see(test("states"), "An earlier state, brought back")
	w.clickOn(test("state-of"), "Name: Perseids")
	w.see(test("ticket-of-state"), "6 1/8 × 4 1/8")
	w.quiet()
}

// What was removed lies in one list with its day, after a reload as well, and is restored.
func TestRemovedThings(t *testing.T) {
	t.Parallel()
	p := start(t, t.TempDir(), "127.0.0.1:0")
	w := open(t, p, "/backups")
	w.see(test("nothing-removed"), "Nothing is removed")
	w.goTo("/")
	w.see(test("job"), "")
	w.act("Supporter card, slim", "Remove")
	w.see(test("gone"), "removed")
	w.goTo("/shelf")
	w.see(test("shelf-stocks-0"), "")
	name := w.value("name-stocks-0")
	w.clickOn(test("shelf-stocks-0")+" button", "^Remove$")
	w.saved()
	w.goTo("/rules")
	w.see(test("rules-title"), "")
	w.click(test("copy-rules"))
	w.click(test("rules-off"))
	w.see(test("rules-off"), "Restore this rulebook")
	w.goTo("/backups")
	w.see(test("removed"), "Supporter card, slim")
	w.see(test("removed"), "job · just now")
	w.see(test("removed"), name)
	w.see(test("removed"), "paper · today")
	w.see(test("removed"), "postal rules · today")
	for range 3 {
		n := len(w.MustElements(test("restore-removed")))
		w.click(test("restore-removed"))
		w.waitFor("one less", func() (string, bool) { return "", len(w.MustElements(test("restore-removed"))) == n-1 })
	}
	w.see(test("nothing-removed"), "Nothing is removed")
	w.goTo("/")
	w.see(test("job"), "Supporter card, slim")
	w.quiet()
}

// keptFrom is what an address of the program hands over as a file.
func keptFrom(t *testing.T, p *program, path, name string) string {
	t.Helper()
	res, err := p.Get(path)
	if err != nil {
		t.Fatal(err)
	}
	defer func() { _ = res.Body.Close() }()
	body, err := io.ReadAll(res.Body)
	if err != nil || res.StatusCode != 200 || !strings.HasPrefix(res.Header.Get("Content-Disposition"), "attachment; filename=") {
		t.Fatalf("%s: %d, %v, %v", path, res.StatusCode, res.Header, err)
	}
	file := filepath.Join(t.TempDir(), name)
	if err := os.WriteFile(file, body, 0o600); err != nil {
		t.Fatal(err)
	}
	return file
}

// Everything goes to another machine in one file; one job and one paper in files of their own.
func TestFilesOutAndIn(t *testing.T) {
	w := begin(t)
	p := w.program
	at := w.openJob("Meteor-night thanks, square")
	w.fill("name", "Perseids <& “stars”>")
	w.saved()
	everything := keptFrom(t, p, "/api/everything", "all.zip")
	job := keptFrom(t, p, "/api"+strings.TrimSuffix(at, "/card")+"/file", "job.json")

	q := startPlain(t, t.TempDir(), "127.0.0.1:0")
	v := open(t, q, "/backups")
	v.see(test("read-in"), "Read it in")
	give := func(file string) {
		v.element(test("read-file") + " input, input" + test("read-file")).MustSetFiles(file)
		v.click(test("read-in"))
	}
	give(job)
	v.see(test("done"), "1 job, ")
	v.see(test("came"), "is among your jobs")
	v.click(test("take-all") + " input")
	give(everything)
	v.see(test("done"), "5 jobs added")
	v.goTo("/")
	v.see(test("job"), "Perseids <& “stars”>")
	v.goTo("/backups")
	bad := filepath.Join(t.TempDir(), "bad.zip")
	if err := os.WriteFile(bad, []byte("PK no"), 0o600); err != nil {
		t.Fatal(err)
	}
	give(bad)
	v.see(test("failure"), "it is not a zip file")

	// A paper: written from a shelf, read into another.
	v.goTo("/shelf")
	v.see(test("shelf-stocks-0"), "")
	paper := filepath.Join(t.TempDir(), "paper.json")
	if err := os.WriteFile(paper, []byte(`{"id":"x","name":"Star vellum","gsm":112,"caliper":130000,"surface":"vellum"}`), 0o600); err != nil {
		t.Fatal(err)
	}
	v.element(test("file-stocks")).MustSetFiles(paper)
	v.waitFor("the paper", func() (string, bool) {
		return v.text("main"), v.MustEval(`() => [...document.querySelectorAll('input')].some((n) => n.value === 'Star vellum')`).Bool()
	})
	v.element(test("file-sheets")).MustSetFiles(paper)
	v.see(test("refused"), "This file cannot be used here")
	v.MustHas(test("write-stocks-0"))
	v.quietBut("422")
}

// damaged is a program begun anew on its data, which were spoiled between.
func damaged(t *testing.T, p *program) *program {
	t.Helper()
	p.Stop(syscall.SIGTERM)
	path := filepath.Join(p.Data, "yellow-parcel.db")
	body, err := os.ReadFile(path)
	if err != nil {
		t.Fatal(err)
	}
	spoiled := []byte(strings.ReplaceAll(string(body), "Supporter card, slim", "Supporter card, slum"))
	if err := os.WriteFile(path, spoiled, 0o600); err != nil {
		t.Fatal(err)
	}
	return p.Restart()
}

// A damaged database is said at the next start, with what can be done; nothing is lost by it.
func TestDamagedDataIsSaid(t *testing.T) {
	w := begin(t)
	p := w.program
	at := w.openJob("Meteor-night thanks, square")
	w.click(test("to-backups"))
	w.click(test("back-up"))
	w.see(test("done"), "Backed up")
	w.goToNow(at)
	w.fill("name", "Changed since")
	w.saved()
	other := open(t, p, at)
	other.see(test("headline"), "")
	p = damaged(t, p)
	w.program = p
	w.goToNow(at)
	w.waitFor("the page that says so", func() (string, bool) { return w.address(), w.address() == "/repair" })
	w.see(test("what"), "cannot be used: the database is damaged")
	w.see("main", "5 jobs in it can be read as they were saved, 1 cannot")
	if got := axe(w, ""); got != "" {
		t.Error(got)
	}
	// A window from before keeps what is done in it, and says why it is not stored.
	other.fill("field-card.width", "6 1/8")
	other.see(test("why"), "choose what to go on with")
	w.click(test("together"))
	w.see(test("job"), "Changed since")
	w.see(test("job"), "Supporter card, slim")
	kept, _ := filepath.Glob(filepath.Join(p.Data, "yellow-parcel.damaged-*.db"))
	if len(kept) != 1 {
		t.Errorf("the damaged file is not kept: %v", kept)
	}
	other.saved()
	w.see(test("job"), "6 1/8 × 5 3/8")
	w.goToNow("/repair") // nothing is wrong any more
	w.see(test("job"), "Changed since")

	// A database that is gone is said, and not begun anew in silence.
	p.Stop(syscall.SIGTERM)
	if err := os.Remove(filepath.Join(p.Data, "yellow-parcel.db")); err != nil {
		t.Fatal(err)
	}
	p = p.Restart()
	w.program = p
	w.goToNow("/shelf")
	w.see("h1", "Your data is missing.")
	w.click(test("anew"))
	w.see(test("job"), "") // this program begins with the sample jobs
}

// A data directory that is moved away is said at the next change; what was done is kept, and
// stored by itself when it is back.
func TestDataThatIsMovedAway(t *testing.T) {
	t.Parallel()
	p := start(t, filepath.Join(t.TempDir(), "data"), "127.0.0.1:0")
	w := open(t, p, "/")
	at := w.openJob("Meteor-night thanks, square")
	shelf := open(t, p, "/shelf")
	shelf.see(test("shelf-envelopes-0"), "")
	if err := os.Rename(p.Data, p.Data+"-moved"); err != nil {
		t.Fatal(err)
	}
	w.fill("field-card.width", "6 3/8")
	w.see(test("why"), "data directory was moved or deleted")
	w.see(test("state"), "not saved: trying again")
	shelf.fill("field-envelopes.0.have", "9")
	shelf.MustEval(`() => document.activeElement.blur()`)
	shelf.see(test("why"), "Put it back")
	idle := open(t, p, "/backups") // nothing is done there
	idle.see(test("why"), "write everything to a file under Backups")
	w.fill("field-card.width", "6 1/2") // one works on
	w.see(test("ticket-card"), "6 1/2")
	if err := os.Rename(p.Data+"-moved", p.Data); err != nil {
		t.Fatal(err)
	}
	w.saved()
	shelf.saved()
	for _, w := range []*window{w, idle} {
		w.waitFor("the reason to go", func() (string, bool) { return "", !w.MustHas(test("why")) })
	}
	w.goToNow(at)
	w.see(test("ticket-card"), "6 1/2")
	shelf.goTo("/shelf")
	shelf.waitFor("the shelf", func() (string, bool) { v := shelf.value("field-envelopes.0.have"); return v, v == "9" })
}
