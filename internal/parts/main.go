// Command parts runs the parts of the tests one after the other, says all along which part it
// is at and how far, and in its last lines what failed. A part is a name and a command,
// "unit=go test -json ./...": of go test -json it counts the tests, of anything else
// it shows what was printed only where that fails.
package main

import (
	"bufio"
	"bytes"
	"encoding/json"
	"fmt"
	"io"
	"os"
	"os/exec"
	"slices"
	"strings"
	"sync"
	"time"
)

// often is how often it says how far it is.
const often = 20 * time.Second

// part is one part of the tests, while it runs and after.
type part struct {
	name    string
	command []string

	mu            sync.Mutex
	of, tests     int     // how many tests there are, and are done
	lanes         float64 // seconds of all tests together
	slowest       string
	longest, took float64
	failed        []string
	said          map[string]*bytes.Buffer
}

// event is what go test -json writes.
type event struct {
	Action, Package, Test, Output string
	Elapsed                       float64
}

func (p *part) take(e event) {
	p.mu.Lock()
	defer p.mu.Unlock()
	at := strings.TrimPrefix(e.Package+"."+e.Test, "yellowparcel/")
	switch {
	case e.Action == "output" || e.Action == "build-output":
		if p.said[at] == nil {
			p.said[at] = &bytes.Buffer{}
		}
		if !strings.HasPrefix(e.Output, "=== ") && p.said[at].Len() < 20_000 {
			p.said[at].WriteString(e.Output)
		}
		return
	case e.Action == "fail":
		p.failed = append(p.failed, strings.TrimSuffix(at, "."))
	case e.Action != "pass" && (e.Action != "skip" || e.Test == ""):
		return
	}
	if e.Test != "" && !strings.Contains(e.Test, "/") {
		p.tests++
		p.lanes += e.Elapsed
	}
	if e.Test != "" && e.Elapsed > p.longest {
		p.longest, p.slowest = e.Elapsed, at
	}
}

// far says how far it is.
func (p *part) far() string {
	p.mu.Lock()
	defer p.mu.Unlock()
	if p.of == 0 {
		return "at work"
	}
	return fmt.Sprintf("%d of %d tests, %d failed", p.tests, p.of, len(p.failed))
}

// run runs the part and reports whether it holds.
func (p *part) run() bool {
	began := time.Now()
	defer func() { p.took = time.Since(began).Seconds() }()
	cmd := exec.Command(p.command[0], p.command[1:]...)
	var other bytes.Buffer
	cmd.Stderr = &other
	out, err := cmd.StdoutPipe()
	if err == nil {
		err = cmd.Start()
	}
	if err != nil {
		p.failed = append(p.failed, err.Error())
		return false
	}
	if p.counts() {
		lines := bufio.NewScanner(out)
		lines.Buffer(nil, 16<<20)
		for lines.Scan() {
			var e event
			if json.Unmarshal(lines.Bytes(), &e) == nil {
				p.take(e)
			} else {
				fmt.Fprintln(&other, lines.Text())
			}
		}
	} else {
		_, _ = io.Copy(&other, out)
	}
	err = cmd.Wait()
	if err == nil && len(p.failed) == 0 {
		return true
	}
	if len(p.failed) == 0 {
		p.failed = []string{p.name}
	}
	if broken := p.said["."]; broken != nil { // what does not build
		fmt.Print(broken)
	}
	// A package is named where none of its tests is.
	all := slices.Clone(p.failed)
	p.failed = slices.DeleteFunc(p.failed, func(name string) bool {
		return slices.ContainsFunc(all, func(other string) bool {
			return strings.HasPrefix(other, name+".") || strings.HasPrefix(other, name+"/")
		})
	})
	for _, name := range p.failed {
		for at, said := range p.said {
			if strings.TrimSuffix(at, ".") == name || strings.HasPrefix(at, name+"/") {
				fmt.Printf("--- %s\n%s", name, said)
			}
		}
	}
	fmt.Print(other.String())
	return false
}

// counts reports whether its command tells what it counts.
func (p *part) counts() bool { return strings.Contains(strings.Join(p.command, " "), "-json") }

// many is how many tests its command has, examples and seeds of fuzzing among them.
func (p *part) many() int {
	list := []string{"test", "-list", "."}
	for _, word := range p.command {
		if word == "-race" || strings.HasPrefix(word, "./") || strings.HasPrefix(word, "yellowparcel/") {
			list = append(list, word)
		}
	}
	out, _ := exec.Command("go", list...).Output() // what does not build is told when it is run
	n := 0
	for line := range strings.Lines(string(out)) {
		if strings.HasPrefix(line, "Test") || strings.HasPrefix(line, "Fuzz") || strings.HasPrefix(line, "Example") {
			n++
		}
	}
	return max(1, n)
}

func main() {
	var parts []*part
	for _, arg := range os.Args[1:] {
		name, command, _ := strings.Cut(arg, "=")
		parts = append(parts, &part{name: name, command: strings.Fields(command), said: map[string]*bytes.Buffer{}})
	}
	began, holds := time.Now(), true
	for i, p := range parts {
		if p.counts() {
			p.of = p.many()
		}
		fmt.Printf("%s (part %d of %d) begins\n", p.name, i+1, len(parts))
		done := make(chan struct{})
		go func() {
			for {
				select {
				case <-done:
					return
				case <-time.After(often):
					fmt.Printf("%s (part %d of %d), %.0f s: %s\n", p.name, i+1, len(parts), time.Since(began).Seconds(), p.far())
				}
			}
		}()
		holds = p.run() && holds
		close(done)
	}
	var failed []string
	for _, p := range parts {
		if p.of > 0 {
			fmt.Printf("%s: %d tests, %.0f s, %.0f s of tests side by side; the longest %s, %.1f s\n", p.name, p.tests, p.took, p.lanes, p.slowest, p.longest)
		} else {
			fmt.Printf("%s: %.0f s\n", p.name, p.took)
		}
		failed = append(failed, p.failed...)
	}
	if holds {
		fmt.Printf("All of it holds, in %.0f s.\n", time.Since(began).Seconds())
		return
	}
	if len(failed) > 5 {
		failed = append(failed[:5], fmt.Sprintf("and %d more", len(failed)-5))
	}
	fmt.Printf("What failed: %s\n", strings.Join(failed, ", "))
	os.Exit(1)
}
