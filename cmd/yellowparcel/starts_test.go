package main

import (
	"context"
	"encoding/json"
	"io"
	"net"
	"net/http"
	"os"
	"os/exec"
	"path/filepath"
	"strings"
	"testing"
	"yellowparcel/internal/running"
)

func TestForeignCallersAreRefused(t *testing.T) {
	t.Parallel()
	p := running.Demo(t, t.TempDir(), "127.0.0.1:0")
	ask := func(method, path, host, origin, body string) (int, string) {
		t.Helper()
		req, err := http.NewRequest(method, p.URL+path, strings.NewReader(body))
		if err != nil {
			t.Fatal(err)
		}
		if host != "" {
			req.Host = host
		}
		if origin != "" {
			req.Header.Set("Origin", origin)
		}
		req.Header.Set("Content-Type", "application/json")
		res, err := http.DefaultClient.Do(req)
		if err != nil {
			t.Fatal(err)
		}
		defer func() { _ = res.Body.Close() }()
		answer, err := io.ReadAll(res.Body)
		if err != nil {
			t.Fatal(err)
		}
		var problem struct{ Detail string }
		_ = json.Unmarshal(answer, &problem)
		return res.StatusCode, problem.Detail
	}
	for _, tt := range []struct {
		name, method, path, host, origin, body string
		status                                 int
		says                                   string
	}{
		{"another name", "GET", "/api/jobs", "cards.example", "", "", 403, "does not answer to the name “cards.example”"},
		{"another name for the page", "GET", "/", "cards.example:80", "", "", 403, "open it as http://127.0.0.1"},
		{"another site's page", "POST", "/api/jobs", "", "http://cards.example", "{}", 403, "another site"},
		{"not JSON", "POST", "/api/plan", "", "", "five by seven", 400, "could not be read"},
		{"far too large", "POST", "/api/plan", "", "", `{"job": "` + strings.Repeat("x", 2<<20) + `"}`, 413, "too much at once"},
		{"an unknown job", "GET", "/api/jobs/0123456789abcdef", "", "", "", 404, "There is no such job"},
		{"an unknown path", "GET", "/api/moon", "", "", "", 404, "nothing at /api/moon"},
		{"an unknown act", "DELETE", "/api/jobs", "", "", "", 405, "DELETE is not possible"},
		{"a job without sense", "POST", "/api/plan", "", "", `{"job": {}, "edits": []}`, 422, "Some fields cannot be used"},
	} {
		status, detail := ask(tt.method, tt.path, tt.host, tt.origin, tt.body)
		if status != tt.status || !strings.Contains(detail, tt.says) {
			t.Errorf("%s: %d %q, want %d and %q", tt.name, status, detail, tt.status, tt.says)
		}
	}
	if status, _ := ask("GET", "/api/jobs/new", "localhost", "", ""); status != 200 {
		t.Errorf("this machine's own name: %d", status)
	}
}

func TestStartsThatCannotBe(t *testing.T) {
	t.Parallel()
	taken, err := net.Listen("tcp", "127.0.0.1:0")
	if err != nil {
		t.Fatal(err)
	}
	defer func() { _ = taken.Close() }()
	file := filepath.Join(t.TempDir(), "file")
	if err := os.WriteFile(file, nil, 0o600); err != nil {
		t.Fatal(err)
	}
	for _, tt := range []struct {
		name string
		args []string
		env  string
		says string
	}{
		{"a port in use", []string{"--data", t.TempDir()}, "ADDR=" + taken.Addr().String(), "is in use"},
		{"no address", []string{"--data", t.TempDir()}, "ADDR=moon", "cannot listen on moon"},
		{"a data directory that cannot be", []string{"--data", filepath.Join(file, "x"), "--addr", "127.0.0.1:0"}, "", "cannot be made"},
		{"an unknown word", []string{"fly"}, "", "“fly” is not something it does"},
	} {
		ctx, stop := context.WithTimeout(t.Context(), running.Patience)
		cmd := exec.CommandContext(ctx, running.Binary(t), tt.args...)
		cmd.Env = append(os.Environ(), tt.env)
		out, err := cmd.CombinedOutput()
		stop()
		if err == nil || !strings.Contains(string(out), tt.says) {
			t.Errorf("%s: %v: %s", tt.name, err, out)
		}
	}
}
