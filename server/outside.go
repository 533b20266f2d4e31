package server

import (
	"context"
	"sync"
	"time"
)

// outside are acts that change something outside the program: a mat that is cut, a scale that is set to
// zero. Each is done once by its name, however often it is sent, and goes on when the window that asked
// for it is gone; what came of it is told to whoever asks by that name.
type outside struct {
	mu    sync.Mutex
	acts  map[string]*outsideAct
	order []string
}

type outsideAct struct {
	done   chan struct{}
	answer any
}

// mostOutside is how many acts are remembered.
const mostOutside = 500

// do does an act, or waits for the one of that name, as long as the caller waits. It reports whether it
// is done; one without a name is a new one each time.
func (o *outside) do(ctx context.Context, name string, wait time.Duration, act func() any) (answer any, done bool) {
	one, began := o.begin(name)
	if began {
		go func() {
			one.answer = act()
			close(one.done)
		}()
	}
	late := time.NewTimer(wait)
	defer late.Stop()
	select {
	case <-one.done:
		return one.answer, true
	case <-late.C:
	case <-ctx.Done():
	}
	return nil, false
}

func (o *outside) begin(name string) (one *outsideAct, began bool) {
	o.mu.Lock()
	defer o.mu.Unlock()
	if one, known := o.acts[name]; known && name != "" {
		return one, false
	}
	one = &outsideAct{done: make(chan struct{})}
	if name == "" {
		return one, true
	}
	if o.acts == nil {
		o.acts = map[string]*outsideAct{}
	}
	if o.order = append(o.order, name); len(o.order) > mostOutside {
		delete(o.acts, o.order[0])
		o.order = o.order[1:]
	}
	o.acts[name] = one
	return one, true
}
