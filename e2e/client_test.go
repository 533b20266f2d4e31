package e2e

import (
	"bytes"
	"encoding/json"
	"io"
	"net/http"
)

// client speaks to a program as a window does.
type client struct {
	url  string
	http http.Client
}

func (c *client) ask(method, path string, in, out any) (status int, err error) {
	var body io.Reader
	if in != nil {
		raw, err := json.Marshal(in)
		if err != nil {
			return 0, err
		}
		body = bytes.NewReader(raw)
	}
	req, err := http.NewRequest(method, c.url+path, body)
	if err != nil {
		return 0, err
	}
	req.Header.Set("Content-Type", "application/json")
	res, err := c.http.Do(req)
	if err != nil {
		return 0, err
	}
	defer func() { _ = res.Body.Close() }()
	raw, err := io.ReadAll(res.Body)
	if err == nil && out != nil && res.StatusCode < 300 {
		err = json.Unmarshal(raw, out)
	}
	return res.StatusCode, err
}

// body is a stored job as it travels, as far as it is changed here.
type body struct {
	ID      string         `json:"id"`
	Version int64          `json:"version"`
	Job     map[string]any `json:"job"`
}

// save is what of it is sent to be saved.
func (b body) save() map[string]any { return map[string]any{"version": b.Version, "job": b.Job} }

type jobsList struct {
	Jobs []struct{ ID, Name string } `json:"jobs"`
}
