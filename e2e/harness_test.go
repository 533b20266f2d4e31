// Package e2e drives the real program through its real interface in headless
// Chromium; each test starts its own.
package e2e

import (
	"flag"
	"fmt"
	"os"
	"os/exec"
	"sync"
	"testing"

	"yellowparcel/internal/running"

	"github.com/go-rod/rod"
	"github.com/go-rod/rod/lib/launcher"
	"github.com/go-rod/rod/lib/launcher/flags"
)

// patience bounds every wait; nothing sleeps for it.
const patience = running.Patience

type (
	program  = running.Program
	client   = running.Client
	body     = running.Job
	jobsList = running.Jobs
)

var start, startPlain = running.Demo, running.Plain

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
