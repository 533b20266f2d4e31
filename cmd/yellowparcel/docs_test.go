package main

import (
	"io/fs"
	"net"
	"os"
	"path/filepath"
	"regexp"
	"strings"
	"testing"
)

// Every test that the documents name is there.
func TestDocumentsNameTestsThatAreThere(t *testing.T) {
	there := map[string]bool{}
	test := regexp.MustCompile(`(?m)^func ((?:Test|Fuzz|Benchmark)\w+)\(`)
	err := filepath.WalkDir("../..", func(path string, e fs.DirEntry, err error) error {
		if e.IsDir() && e.Name() == "node_modules" {
			return fs.SkipDir
		}
		if err != nil || !strings.HasSuffix(path, "_test.go") {
			return err
		}
		body, err := os.ReadFile(path)
		for _, m := range test.FindAllStringSubmatch(string(body), -1) {
			there[m[1]] = true
		}
		return err
	})
	if err != nil {
		t.Fatal(err)
	}
	named := 0
	docs, _ := filepath.Glob("../../docs/*.md")
	for _, doc := range append(docs, "../../README.md") {
		body, err := os.ReadFile(doc)
		if err != nil {
			t.Fatal(err)
		}
		for _, m := range regexp.MustCompile("`((?:Test|Fuzz|Benchmark)[A-Z]\\w+)`").FindAllStringSubmatch(string(body), -1) {
			if named++; !there[m[1]] {
				t.Errorf("%s names %s, which is not there", filepath.Base(doc), m[1])
			}
		}
	}
	if named < 30 {
		t.Errorf("only %d tests are named", named)
	}
}

// Without being told otherwise it listens on this machine alone.
func TestItListensHereOnly(t *testing.T) {
	host, _, err := net.SplitHostPort(defaultAddr)
	if err != nil || !net.ParseIP(host).IsLoopback() {
		t.Errorf("%s, %v", defaultAddr, err)
	}
}

// Every picture of the README is there.
func TestPicturesAreThere(t *testing.T) {
	t.Parallel()
	readme, err := os.ReadFile(filepath.Join("..", "..", "README.md"))
	if err != nil {
		t.Fatal(err)
	}
	list, err := filepath.Glob(filepath.Join("..", "..", "docs", "screenshots", "*.png"))
	if err != nil || len(list) == 0 || len(list) >= 20 {
		t.Fatalf("%d pictures, %v", len(list), err)
	}
	for _, file := range list {
		if name := filepath.Base(file); !strings.Contains(string(readme), name) {
			t.Errorf("the README does not show %s", name)
		}
	}
}
