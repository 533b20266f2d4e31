// Package running starts the built program for tests that drive it from outside: each on a free
// port, with a data directory of its own. The program is the one named by YELLOW_PARCEL, or
// bin/yellowparcel, built by make.
package running

import (
	"bufio"
	"context"
	"net/http"
	"os"
	"os/exec"
	"path/filepath"
	"regexp"
	"strings"
	"syscall"
	"testing"
	"time"
)

// Patience bounds every wait; nothing sleeps for it.
const Patience = 20 * time.Second

// Program is one running Yellow Parcel: where it is open, on which address and on which data.
type Program struct {
	URL, Addr, Data string

	t    testing.TB
	cmd  *exec.Cmd
	done chan struct{}
}

// Binary is the path of the program; the test ends where it is not built.
func Binary(t testing.TB) string {
	t.Helper()
	path := os.Getenv("YELLOW_PARCEL")
	for up := "."; path == "" && len(up) < 20; up = filepath.Join("..", up) {
		if _, err := os.Stat(filepath.Join(up, "go.mod")); err == nil {
			path, _ = filepath.Abs(filepath.Join(up, "bin", "yellowparcel"))
		}
	}
	if _, err := os.Stat(path); err != nil {
		t.Fatalf("the program to test is not built: run make build (%v)", err)
	}
	return path
}

var openAt = regexp.MustCompile(`open at (http://\S+)`)

// Demo runs the program with the demo data on a data directory; addr may end in :0.
func Demo(t testing.TB, data, addr string, more ...string) *Program {
	t.Helper()
	return Plain(t, data, addr, append([]string{"--demo"}, more...)...)
}

// Plain runs the program as it is for a user's own data.
func Plain(t testing.TB, data, addr string, more ...string) *Program {
	t.Helper()
	p := &Program{t: t, Data: data, done: make(chan struct{})}
	p.cmd = exec.Command(Binary(t), append([]string{"--data", data, "--addr", addr}, more...)...)
	out, err := p.cmd.StdoutPipe()
	if err != nil {
		t.Fatal(err)
	}
	p.cmd.Stderr = os.Stderr
	if err := p.cmd.Start(); err != nil {
		t.Fatal(err)
	}
	lines := bufio.NewScanner(out)
	for p.URL == "" && lines.Scan() {
		if m := openAt.FindStringSubmatch(lines.Text()); m != nil {
			p.URL = m[1]
		}
	}
	if p.URL == "" {
		t.Fatal("the program did not say where it is open")
	}
	p.Addr = strings.TrimPrefix(p.URL, "http://")
	go func() {
		for lines.Scan() {
			continue
		}
		_ = p.cmd.Wait()
		close(p.done)
	}()
	t.Cleanup(func() { p.Stop(os.Interrupt) })
	return p
}

// Stop ends the program with a signal and waits until it is gone.
func (p *Program) Stop(signal os.Signal) {
	select {
	case <-p.done:
		return
	default:
	}
	_ = p.cmd.Process.Signal(signal)
	select {
	case <-p.done:
	case <-time.After(Patience):
		_ = p.cmd.Process.Signal(syscall.SIGKILL)
		p.t.Errorf("the program did not stop on %v", signal)
	}
}

// Restart starts the program again on the same data and address.
func (p *Program) Restart() *Program { return Demo(p.t, p.Data, p.Addr) }

// Get asks for something of the program.
func (p *Program) Get(path string) (*http.Response, error) { return http.Get(p.URL + path) }

// Once runs the program until it ends by itself: what it said, and whether it ended well.
func Once(t testing.TB, args ...string) (out string, ok bool) {
	t.Helper()
	ctx, stop := context.WithTimeout(context.Background(), Patience)
	defer stop()
	said, err := exec.CommandContext(ctx, Binary(t), args...).CombinedOutput()
	if ctx.Err() != nil {
		t.Fatalf("%v does not end: %s", args, said)
	}
	return string(said), err == nil
}
