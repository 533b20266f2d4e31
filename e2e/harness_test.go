// Package e2e drives the real program through its real interface in headless
// Chromium. The program is the one named by YELLOW_PARCEL, built by make; each
// test starts its own, on a free port, with a data directory of its own.
package e2e

import (
	"bufio"
	"flag"
	"fmt"
	"net/http"
	"os"
	"os/exec"
	"path/filepath"
	"regexp"
	"strings"
	"sync"
	"syscall"
	"testing"
	"time"

	"github.com/go-rod/rod"
	"github.com/go-rod/rod/lib/launcher"
	"github.com/go-rod/rod/lib/launcher/flags"
)

// patience bounds every wait; nothing sleeps for it.
const patience = 20 * time.Second

// program is one running Yellow Parcel.
type program struct {
	t    *testing.T
	cmd  *exec.Cmd
	url  string
	data string
	addr string
	done chan struct{}
}

func binary(t testing.TB) string {
	t.Helper()
	path := os.Getenv("YELLOW_PARCEL")
	if path == "" {
		path, _ = filepath.Abs("../bin/yellowparcel")
	}
	if _, err := os.Stat(path); err != nil {
		t.Fatalf("the program to test is not built: run make build (%v)", err)
	}
	return path
}

var openAt = regexp.MustCompile(`open at (http://\S+)`)

// start runs the program with the demo data on a data directory; addr may end in
// :0.
func start(t *testing.T, data, addr string, more ...string) *program {
	t.Helper()
	return startPlain(t, data, addr, append([]string{"--demo"}, more...)...)
}

// startPlain runs the program as it is for a user's own data.
func startPlain(t *testing.T, data, addr string, more ...string) *program {
	t.Helper()
	p := &program{t: t, data: data, done: make(chan struct{})}
	p.cmd = exec.Command(binary(t), append([]string{"--data", data, "--addr", addr}, more...)...)
	out, err := p.cmd.StdoutPipe()
	if err != nil {
		t.Fatal(err)
	}
	p.cmd.Stderr = os.Stderr
	if err := p.cmd.Start(); err != nil {
		t.Fatal(err)
	}
	lines := bufio.NewScanner(out)
	for p.url == "" && lines.Scan() {
		if m := openAt.FindStringSubmatch(lines.Text()); m != nil {
			p.url = m[1]
		}
	}
	if p.url == "" {
		t.Fatal("the program did not say where it is open")
	}
	p.addr = strings.TrimPrefix(p.url, "http://")
	go func() {
		for lines.Scan() {
			continue
		}
		_ = p.cmd.Wait()
		close(p.done)
	}()
	t.Cleanup(func() { p.stop(os.Interrupt) })
	return p
}

// stop ends the program with a signal and waits until it is gone.
func (p *program) stop(signal os.Signal) {
	select {
	case <-p.done:
		return
	default:
	}
	_ = p.cmd.Process.Signal(signal)
	select {
	case <-p.done:
	case <-time.After(patience):
		_ = p.cmd.Process.Signal(syscall.SIGKILL)
		p.t.Errorf("the program did not stop on %v", signal)
	}
}

// restart starts the program again on the same data and address.
func (p *program) restart() *program { return start(p.t, p.data, p.addr) }

func (p *program) get(path string) (*http.Response, error) { return http.Get(p.url + path) }

var shared struct {
	once    sync.Once
	browser *rod.Browser
	close   func()
	err     error
}

func TestMain(m *testing.M) {
	code := m.Run()
	if missing := offersTaken.missing(); code == 0 && flag.Lookup("test.run").Value.String() == "" && len(missing) > 0 {
		fmt.Printf("--- FAIL: no test takes what the plan offers at %v\n", missing)
		code = 1
	}
	if shared.close != nil {
		shared.close()
	}
	os.Exit(code)
}

// browser is one Chromium for all tests; each test gets a context of its own.
func browser(t *testing.T) *rod.Browser {
	t.Helper()
	shared.once.Do(func() {
		bin := os.Getenv("CHROMIUM")
		for _, name := range []string{"chromium-headless-shell", "chromium"} { // the one without a desktop is twice as fast
			if bin == "" {
				bin, _ = exec.LookPath(name)
			}
		}
		if bin == "" {
			shared.err = fmt.Errorf("no Chromium: install it (Debian: apt-get install chromium-headless-shell) or set CHROMIUM")
			return
		}
		dir, err := os.MkdirTemp("", "yellow-parcel-chromium-")
		if err != nil {
			shared.err = err
			return
		}
		l := launcher.New().Bin(bin).Leakless(false).Headless(true).NoSandbox(true).UserDataDir(dir)
		for _, flag := range []string{"disable-gpu", "disable-quic", "no-first-run", "disable-background-networking", "disable-component-update", "disable-sync", "disable-dev-shm-usage", "hide-scrollbars"} {
			l.Set(flags.Flag(flag))
		}
		l.Set("force-color-profile", "srgb")
		url, err := l.Launch()
		if err != nil {
			shared.err = err
			return
		}
		b := rod.New().ControlURL(url)
		shared.err = b.Connect()
		shared.browser = b
		shared.close = func() {
			_ = b.Close()
			l.Kill()
			_ = os.RemoveAll(dir)
		}
	})
	if shared.err != nil {
		t.Fatal(shared.err)
	}
	b, err := shared.browser.Incognito()
	if err != nil {
		t.Fatal(err)
	}
	t.Cleanup(func() { _ = b.Close() }) // the context, not Chromium
	return b
}
