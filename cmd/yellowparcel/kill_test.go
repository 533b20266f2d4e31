package main

import (
	"bytes"
	"compress/gzip"
	"fmt"
	"io"
	"math/rand/v2"
	"os"
	"os/exec"
	"path/filepath"
	"strings"
	"sync"
	"sync/atomic"
	"syscall"
	"testing"
	"time"
	"yellowparcel/internal/running"
)

// rounds is a tenth of a long run, and no more than takes a few seconds, or all of it in make soak.
func rounds(all int) int {
	if os.Getenv("SOAK") != "" {
		return all
	}
	return min(20, all/10)
}

// Eight writers, and every now and then a backup or a restore of one job, are killed with
// the program: what was acknowledged is there each time.
func TestKilledUnderWriters(t *testing.T) {
	t.Parallel()
	data := t.TempDir()
	const writers = 8
	p := running.Demo(t, data, "127.0.0.1:0")
	c := &running.Client{URL: p.URL}
	var list running.Jobs
	if _, err := c.Ask("GET", "/api/jobs", nil, &list); err != nil {
		t.Fatal(err)
	}
	ids := make([]string, writers)
	for i := range ids {
		var made running.Job
		if status, err := c.Ask("POST", "/api/jobs", map[string]string{"copyOf": list.Jobs[0].ID}, &made); err != nil || status != 201 {
			t.Fatal(status, err)
		}
		ids[i] = made.ID
	}
	sent, acknowledged := make([]int, writers), make([]int, writers)
	writes := 0
	for round := range rounds(500) {
		r := rand.New(rand.NewPCG(15, uint64(round)))
		var work sync.WaitGroup
		stop := make(chan struct{})
		var done atomic.Int64
		for i, id := range ids {
			work.Go(func() {
				c := &running.Client{URL: p.URL}
				for {
					select {
					case <-stop:
						return
					default:
					}
					var j running.Job
					if status, err := c.Ask("GET", "/api/jobs/"+id, nil, &j); err != nil || status != 200 {
						return
					}
					sent[i]++
					j.Of["name"] = fmt.Sprintf("writer %d, write %d", i, sent[i])
					j.Of["count"] = sent[i]%9000 + 1
					if status, err := c.Ask("PUT", "/api/jobs/"+id, j.Save(), nil); err == nil && status == 200 {
						acknowledged[i] = sent[i]
						done.Add(1)
					}
				}
			})
		}
		if round%5 == 4 {
			work.Go(func() { _, _ = (&running.Client{URL: p.URL}).Ask("POST", "/api/backups", nil, nil) })
		}
		// However slow the machine is, something was acknowledged before.
		for from, least := time.Now(), int64(2+r.IntN(20)); done.Load() < least && time.Since(from) < running.Patience; {
			time.Sleep(time.Millisecond)
		}
		time.Sleep(time.Duration(r.IntN(40)) * time.Millisecond)
		p.Stop(syscall.SIGKILL)
		close(stop)
		work.Wait()
		p = p.Restart()
		c = &running.Client{URL: p.URL}
		for i, id := range ids {
			var j running.Job
			if status, err := c.Ask("GET", "/api/jobs/"+id, nil, &j); err != nil || status != 200 {
				t.Fatalf("round %d: job %d: %d, %v", round, i, status, err)
			}
			var of, n int
			if acknowledged[i] == 0 {
				continue
			}
			if _, err := fmt.Sscanf(j.Of["name"].(string), "writer %d, write %d", &of, &n); err != nil || of != i || n < acknowledged[i] || n > sent[i] {
				t.Fatalf("round %d: job %d is %q, and write %d was acknowledged", round, i, j.Of["name"], acknowledged[i])
			}
			acknowledged[i], sent[i] = n, n
		}
	}
	for _, n := range acknowledged {
		writes += n
	}
	t.Logf("%d kills, %d writes", rounds(500), writes)
	if writes < rounds(500) {
		t.Error("too few writes to say anything")
	}
	// What stands among the backups is whole, however many were broken off.
	var page struct {
		Backups []struct{ Trouble, Name string }
	}
	if _, err := c.Ask("GET", "/api/backups", nil, &page); err != nil || len(page.Backups) == 0 {
		t.Fatal(page, err)
	}
	for _, b := range page.Backups {
		if b.Trouble != "" {
			t.Errorf("%s: %s", b.Name, b.Trouble)
		}
	}
}

// A restore that is killed was done or was not: never half.
func TestKilledDuringRestore(t *testing.T) {
	t.Parallel()
	p := running.Demo(t, t.TempDir(), "127.0.0.1:0")
	c := &running.Client{URL: p.URL}
	var list running.Jobs
	if _, err := c.Ask("GET", "/api/jobs", nil, &list); err != nil {
		t.Fatal(err)
	}
	for range 40 {
		if status, err := c.Ask("POST", "/api/jobs", map[string]string{"copyOf": list.Jobs[0].ID}, nil); err != nil || status != 201 {
			t.Fatal(status, err)
		}
	}
	if _, err := c.Ask("GET", "/api/jobs", nil, &list); err != nil {
		t.Fatal(err)
	}
	all := func(name string) {
		for _, l := range list.Jobs {
			var j running.Job
			if _, err := c.Ask("GET", "/api/jobs/"+l.ID, nil, &j); err != nil {
				t.Fatal(err)
			}
			j.Of["name"] = name
			if status, err := c.Ask("PUT", "/api/jobs/"+l.ID, j.Save(), nil); err != nil || status != 200 {
				t.Fatal(status, err)
			}
		}
	}
	all("before")
	var made struct{ Name string }
	if status, err := c.Ask("POST", "/api/backups", nil, &made); err != nil || status != 201 {
		t.Fatal(status, err)
	}
	seen := map[string]int{}
	for round := range rounds(100) {
		all("after")
		go func(c *running.Client) { _, _ = c.Ask("POST", "/api/backups/"+made.Name+"/restore", nil, nil) }(&running.Client{URL: p.URL})
		time.Sleep(time.Duration(rand.New(rand.NewPCG(3, uint64(round))).IntN(300)) * time.Millisecond)
		p.Stop(syscall.SIGKILL)
		p = p.Restart()
		c = &running.Client{URL: p.URL}
		var now running.Jobs
		if _, err := c.Ask("GET", "/api/jobs", nil, &now); err != nil || len(now.Jobs) != len(list.Jobs) {
			t.Fatalf("%d jobs, %v", len(now.Jobs), err)
		}
		names := map[string]bool{}
		for _, l := range now.Jobs {
			names[l.Name] = true
			seen[l.Name]++
		}
		if len(names) != 1 {
			t.Fatalf("round %d: half of it is restored: %v", round, names)
		}
		left, _ := filepath.Glob(filepath.Join(p.Data, ".reading-*"))
		if len(left) > 0 {
			t.Errorf("what it was reading is left: %v", left)
		}
	}
	t.Log(seen)
}

// An upgrade that is killed is gone on with at the next start, from every form there ever
// was.
func TestKilledDuringMigration(t *testing.T) {
	t.Parallel()
	olds, err := filepath.Glob("../../store/testdata/made-by-form-*.db.gz")
	if err != nil || len(olds) == 0 {
		t.Fatal(olds, err)
	}
	for round := range rounds(120) {
		dir := t.TempDir()
		packed, err := os.ReadFile(olds[round%len(olds)])
		if err != nil {
			t.Fatal(err)
		}
		z, err := gzip.NewReader(bytes.NewReader(packed))
		if err != nil {
			t.Fatal(err)
		}
		raw, err := io.ReadAll(z)
		if err != nil {
			t.Fatal(err)
		}
		if err := os.WriteFile(filepath.Join(dir, "yellow-parcel.db"), raw, 0o600); err != nil {
			t.Fatal(err)
		}
		cmd := exec.Command(running.Binary(t), "--data", dir, "--addr", "127.0.0.1:0")
		if err := cmd.Start(); err != nil {
			t.Fatal(err)
		}
		time.Sleep(time.Duration(rand.New(rand.NewPCG(4, uint64(round))).IntN(90)) * time.Millisecond)
		_ = cmd.Process.Kill()
		_ = cmd.Wait()
		p := running.Plain(t, dir, "127.0.0.1:0")
		c := &running.Client{URL: p.URL}
		var list running.Jobs
		if status, err := c.Ask("GET", "/api/jobs", nil, &list); err != nil || status != 200 || len(list.Jobs) != 6 {
			t.Fatalf("round %d, %s: %d, %d jobs, %v", round, olds[round%len(olds)], status, len(list.Jobs), err)
		}
		for _, l := range list.Jobs {
			if status, err := c.Ask("GET", "/api/jobs/"+l.ID, nil, nil); err != nil || status != 200 {
				t.Errorf("round %d: %d, %v", round, status, err)
			}
		}
		p.Stop(syscall.SIGTERM)
	}
}

// A second program on the same data says where the first is, and leaves; the first goes on.
func TestTwoPrograms(t *testing.T) {
	t.Parallel()
	p := running.Demo(t, t.TempDir(), "127.0.0.1:0")
	for range rounds(20) {
		if out, ok := running.Once(t, "--data", p.Data, "--addr", "127.0.0.1:0"); ok || !strings.Contains(out, "runs already") || !strings.Contains(out, p.URL) {
			t.Errorf("the second one says %q", out)
		}
		if status, err := (&running.Client{URL: p.URL}).Ask("GET", "/api/jobs", nil, nil); err != nil || status != 200 {
			t.Errorf("the first one: %d, %v", status, err)
		}
	}
	// A backup may be made beside it, a restore not.
	file := filepath.Join(t.TempDir(), "copy.db")
	if out, ok := running.Once(t, "backup", "--data", p.Data, file); !ok || !strings.Contains(out, "6 jobs") {
		t.Errorf("backup says %q", out)
	}
	if out, ok := running.Once(t, "restore", "--data", p.Data, file); ok || !strings.Contains(out, p.URL) {
		t.Errorf("restore says %q", out)
	}
	if out, ok := running.Once(t, "backup", "--data", p.Data, file); ok || !strings.Contains(out, "is there already") {
		t.Errorf("a second backup says %q", out)
	}
	p.Stop(syscall.SIGTERM)
	if out, ok := running.Once(t, "restore", "--data", p.Data, file); !ok || !strings.Contains(out, "Restored") {
		t.Errorf("restore says %q", out)
	}
	if out, ok := running.Once(t, "restore", "--data", p.Data); !ok || strings.Count(out, "6 jobs") < 2 {
		t.Errorf("the list says %q", out)
	}
	if out, ok := running.Once(t, "restore", "--data", p.Data, "nothing.db"); ok || !strings.Contains(out, "there is no backup nothing.db") {
		t.Errorf("a backup that is not there: %q", out)
	}
	// On a machine that has nothing yet it is all there is.
	fresh := filepath.Join(t.TempDir(), "fresh")
	if out, ok := running.Once(t, "restore", "--data", fresh, file); !ok || !strings.Contains(out, "6 jobs added") {
		t.Errorf("restore into a new directory says %q", out)
	}
	r := running.Plain(t, fresh, "127.0.0.1:0")
	var there running.Jobs
	if _, err := (&running.Client{URL: r.URL}).Ask("GET", "/api/jobs", nil, &there); err != nil || len(there.Jobs) != 6 {
		t.Errorf("%d jobs, %v", len(there.Jobs), err)
	}
	if err := os.Truncate(filepath.Join(p.Data, "yellow-parcel.db"), 9000); err != nil {
		t.Fatal(err)
	}
	if out, ok := running.Once(t, "restore", "--data", p.Data, file); !ok || !strings.Contains(out, "The damaged database is kept") {
		t.Errorf("restore of a damaged one says %q", out)
	}
	q := p.Restart()
	var list running.Jobs
	if _, err := (&running.Client{URL: q.URL}).Ask("GET", "/api/jobs", nil, &list); err != nil || len(list.Jobs) != 6 {
		t.Errorf("%d jobs, %v", len(list.Jobs), err)
	}
}

// Twenty windows change one job at once, each adding one to its count when it may: every
// change that was acknowledged is in it, and no other.
func TestTwentyWindowsOnOneJob(t *testing.T) {
	t.Parallel()
	p := running.Demo(t, t.TempDir(), "127.0.0.1:0")
	c := &running.Client{URL: p.URL}
	var list running.Jobs
	if _, err := c.Ask("GET", "/api/jobs", nil, &list); err != nil {
		t.Fatal(err)
	}
	id := list.Jobs[0].ID
	var began running.Job
	if _, err := c.Ask("GET", "/api/jobs/"+id, nil, &began); err != nil {
		t.Fatal(err)
	}
	var acknowledged, refused atomic.Int64
	var work sync.WaitGroup
	for range 20 {
		work.Go(func() {
			c := &running.Client{URL: p.URL}
			for range rounds(200) {
				var j running.Job
				if _, err := c.Ask("GET", "/api/jobs/"+id, nil, &j); err != nil {
					t.Error(err)
					return
				}
				j.Of["count"] = j.Of["count"].(float64) + 1
				switch status, err := c.Ask("PUT", "/api/jobs/"+id, j.Save(), nil); {
				case err != nil || status != 200 && status != 409:
					t.Errorf("%d, %v", status, err)
				case status == 200:
					acknowledged.Add(1)
				default:
					refused.Add(1)
				}
			}
		})
	}
	work.Wait()
	var now running.Job
	if _, err := c.Ask("GET", "/api/jobs/"+id, nil, &now); err != nil {
		t.Fatal(err)
	}
	want := began.Of["count"].(float64) + float64(acknowledged.Load())
	if now.Of["count"].(float64) != want || now.Version != began.Version+acknowledged.Load() || refused.Load() == 0 {
		t.Errorf("it counts %v at version %d, want %v; %d were refused", now.Of["count"], now.Version, want, refused.Load())
	}
	// However many changes there were, its history stays within its bound.
	var states []struct{ Version int64 }
	if _, err := c.Ask("GET", "/api/jobs/"+id+"/history", nil, &states); err != nil || len(states) == 0 || states[0].Version != now.Version {
		t.Errorf("%d states, %v", len(states), err)
	}
}
