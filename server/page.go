package server

import (
	"bytes"
	"crypto/rand"
	"embed"
	"fmt"
	"io/fs"
	"mime"
	"net/http"
	"path"
	"strings"
)

// The built front end; the .gitkeep lets the program compile before it is
// built.
//
//go:embed all:dist
var dist embed.FS

// nonceMark stands in the built page where each answer's nonce goes.
const nonceMark = "__NONCE__"

// page serves the front end: a file by its name, and the one page for every
// other path, because the routes below it belong to the browser.
func (s *Server) page(w http.ResponseWriter, r *http.Request) {
	if strings.HasPrefix(r.URL.Path, "/api/") {
		writeProblem(w, http.StatusNotFound, fmt.Sprintf("There is nothing at %s.", r.URL.Path))
		return
	}
	if r.Method != http.MethodGet && r.Method != http.MethodHead {
		writeProblem(w, http.StatusMethodNotAllowed, fmt.Sprintf("%s is not possible on %s.", r.Method, r.URL.Path))
		return
	}
	name := strings.TrimPrefix(path.Clean(r.URL.Path), "/")
	if body, err := fs.ReadFile(dist, "dist/"+name); err == nil && name != "index.html" && name != ".gitkeep" {
		w.Header().Set("Content-Type", mime.TypeByExtension(path.Ext(name)))
		if strings.HasPrefix(name, "assets/") {
			// Built names carry a hash of their content.
			w.Header().Set("Cache-Control", "public, max-age=31536000, immutable")
		}
		_, _ = w.Write(body)
		return
	}
	if path.Ext(name) != "" || strings.HasPrefix(name, "assets/") {
		writeProblem(w, http.StatusNotFound, fmt.Sprintf("There is nothing at %s: reload the page.", r.URL.Path))
		return
	}
	index, err := fs.ReadFile(dist, "dist/index.html")
	if err != nil {
		writeProblem(w, http.StatusNotFound, "The front end is not built into this program: build it with make.")
		return
	}
	nonce := rand.Text()
	h := w.Header()
	h.Set("Content-Type", "text/html; charset=utf-8")
	h.Set("Cache-Control", "no-store")
	h.Set("Content-Security-Policy", "default-src 'none'; script-src 'self'; style-src 'self' 'nonce-"+nonce+"'; font-src 'self'; img-src 'self' data:; connect-src 'self'; base-uri 'none'; form-action 'none'; frame-ancestors 'none'")
	_, _ = w.Write(bytes.ReplaceAll(index, []byte(nonceMark), []byte(nonce)))
}
