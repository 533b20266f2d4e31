package e2e

import (
	"fmt"
	"os"
	"path/filepath"
	"strings"
	"syscall"
	"testing"
	"time"
	"yellowparcel/internal/running"
)

// disk is a small disk of its own, where the system lets tests have one.
func disk(t *testing.T, size string) string {
	t.Helper()
	dir := t.TempDir()
	if err := syscall.Mount("tmpfs", dir, "tmpfs", 0, "size="+size); err != nil {
		t.Skipf("a disk of its own cannot be had here (%v): run as root", err)
	}
	t.Cleanup(func() {
		for end := time.Now().Add(patience); syscall.Unmount(dir, 0) != nil && time.Now().Before(end); {
			time.Sleep(20 * time.Millisecond)
		}
	})
	return dir
}

// fillUp writes a file until the disk is full.
func fillUp(t *testing.T, path string) {
	t.Helper()
	f, err := os.Create(path)
	if err != nil {
		t.Fatal(err)
	}
	defer func() { _ = f.Close() }()
	for block := 64 << 10; block > 0; {
		if _, err := f.Write(make([]byte, block)); err != nil {
			block /= 2
		}
	}
}

// A full disk and one that can only be read are said for what they are; what was done is
// kept in the window and stored by itself later. At a start a full disk is no damage.
func TestFullDiskAndOneToReadOnly(t *testing.T) {
	t.Parallel()
	dir := disk(t, "6m")
	p := start(t, filepath.Join(dir, "data"), "127.0.0.1:0")
	w := open(t, p, "/")
	at := w.openJob("Meteor-night thanks, square")
	w.saved()
	time.Sleep(1200 * time.Millisecond) // so that the log is free to be written anew
	ballast := filepath.Join(dir, "ballast")
	fillUp(t, ballast)
	// Other jobs take what room there is left.
	c := &client{URL: p.URL}
	for status := 0; status != 507; {
		var err error
		if status, err = c.Ask("POST", "/api/jobs", map[string]string{"copyOf": strings.Split(at, "/")[2]}, nil); err != nil {
			t.Fatal(err)
		}
	}
	// What is still free takes small changes: they are made until none is taken any more.
	var mine body
	id := strings.Split(at, "/")[2]
	for status, from := 0, time.Now(); status != 507 && time.Since(from) < patience; {
		var list jobsList
		if _, err := c.Ask("GET", "/api/jobs", nil, &list); err != nil {
			t.Fatal(err)
		}
		for _, j := range list.Jobs {
			if j.ID == id {
				continue
			}
			if _, err := c.Ask("GET", "/api/jobs/"+j.ID, nil, &mine); err != nil {
				t.Fatal(err)
			}
			mine.Of["name"] = strings.Repeat(fmt.Sprint("star ", time.Now().UnixNano(), " "), 3)
			if status, _ = c.Ask("PUT", "/api/jobs/"+j.ID, mine.Save(), nil); status == 507 {
				break
			}
		}
	}
	w.fill("field-card.width", "6 3/8")
	w.fill("name", strings.Repeat("stars ", 13))
	w.see(test("why"), "the disk is full")
	w.see(test("state"), "not saved: trying again")
	v := open(t, p, "/backups")
	v.click(test("back-up"))
	v.see(test("failure"), "the disk is full")
	if err := os.Remove(ballast); err != nil {
		t.Fatal(err)
	}
	w.saved()
	last := w.value("name")

	p.Stop(syscall.SIGTERM)
	for name, disk := range map[string]struct {
		spoil, mend func() error
	}{
		"the disk is full": {func() error { fillUp(t, ballast); return nil }, func() error { return os.Remove(ballast) }},
		"only be read": {
			func() error { return syscall.Mount("", dir, "", syscall.MS_REMOUNT|syscall.MS_RDONLY, "") },
			func() error { return syscall.Mount("", dir, "", syscall.MS_REMOUNT, "") },
		},
	} {
		if err := disk.spoil(); err != nil {
			t.Fatal(err)
		}
		if out, ok := running.Once(t, "--demo", "--data", p.Data, "--addr", "127.0.0.1:0"); ok || !strings.Contains(out, name) || strings.Contains(out, "damaged") {
			t.Errorf("a start where %s says %q", name, out)
		}
		if err := disk.mend(); err != nil {
			t.Fatal(err)
		}
	}
	p = p.Restart()
	w.program = p
	w.goTo(at)
	w.see(test("headline"), "")
	if got := w.value("name"); got != last {
		t.Errorf("it is called %q, and was saved as %q", got, last)
	}
}
