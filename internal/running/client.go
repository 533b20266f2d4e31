package running

import (
	"bytes"
	"encoding/json"
	"io"
	"net/http"
)

// Client speaks to a program as a window does.
type Client struct {
	URL  string
	http http.Client
}

// Ask sends what is given as JSON and reads the answer into out, where there is one.
func (c *Client) Ask(method, path string, in, out any) (status int, err error) {
	var body io.Reader
	if in != nil {
		raw, err := json.Marshal(in)
		if err != nil {
			return 0, err
		}
		body = bytes.NewReader(raw)
	}
	req, err := http.NewRequest(method, c.URL+path, body)
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

// Job is a stored job as it travels, as far as it is changed here.
type Job struct {
	ID      string         `json:"id"`
	Version int64          `json:"version"`
	Of      map[string]any `json:"job"`
}

// Save is what of it is sent to be saved.
func (j Job) Save() map[string]any { return map[string]any{"version": j.Version, "job": j.Of} }

// Jobs is the list of them.
type Jobs struct {
	Jobs []struct{ ID, Name string } `json:"jobs"`
}
