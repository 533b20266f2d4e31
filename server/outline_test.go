package server

import (
	"runtime"
	"strings"
	"sync"
	"sync/atomic"
	"testing"
	"time"

	"yellowparcel/format"
)

// Ten large drawings at once take under 300 MB. (They took 4.7 GB.)
func TestTenImportsAtOnce(t *testing.T) {
	s := newSite(t)
	head, tail := `<svg xmlns="http://www.w3.org/2000/svg" width="100mm" viewBox="0 0 100 80"><path d="`, `"/></svg>`
	text := head + strings.Repeat("M0 0h9v9z", (format.MostBytes-len(head)-len(tail))/9) + tail
	runtime.GC()
	var before runtime.MemStats
	runtime.ReadMemStats(&before)
	var most atomic.Uint64
	done := make(chan struct{})
	var watch sync.WaitGroup
	watch.Go(func() {
		for {
			select {
			case <-done:
				return
			case <-time.After(2 * time.Millisecond):
				var now runtime.MemStats
				runtime.ReadMemStats(&now)
				most.Store(max(most.Load(), now.HeapInuse))
			}
		}
	})
	var asked sync.WaitGroup
	for range 10 {
		asked.Go(func() {
			if status := s.ask("POST", "/api/outline", map[string]string{"text": text}, nil); status != 422 && status != 200 {
				t.Errorf("it is answered with %d", status)
			}
		})
	}
	asked.Wait()
	close(done)
	watch.Wait()
	took := int64(most.Load()) - int64(before.HeapInuse)
	t.Logf("%d MB", took>>20)
	if took > 300<<20 {
		t.Errorf("they take %d MB", took>>20)
	}
}
