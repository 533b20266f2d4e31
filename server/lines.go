package server

import (
	"context"
	"crypto/sha256"
	"encoding/hex"
	"errors"
	"fmt"
	"io"
	"os"
	"sync"

	"yellowparcel/core/job"
	"yellowparcel/core/plan"
	"yellowparcel/store"
)

// lister keeps the line of every job in the list true: each is stored with its
// job, and made anew in the background when another program or another shop would
// make another one.
type lister struct {
	wake chan struct{}
	// program is a mark of this very program; worked out when it is first asked for.
	program func() string
}

func newLister() lister {
	return lister{wake: make(chan struct{}, 1), program: sync.OnceValue(programMark)}
}

// programMark tells this program from every other build of it. Where it cannot be
// read, every start counts as another one.
func programMark() string {
	path, err := os.Executable()
	if err == nil {
		if f, err := os.Open(path); err == nil {
			sum := sha256.New()
			_, err = io.Copy(sum, f)
			_ = f.Close()
			if err == nil {
				return hex.EncodeToString(sum.Sum(nil)[:8])
			}
		}
	}
	return store.NewID()
}

// stale tells the lister to look for lines that are not true any more.
func (l lister) stale() {
	select {
	case l.wake <- struct{}{}:
	default: // it looks soon anyway
	}
}

// lineOf is what a line made now is made of.
func (s *Server) lineOf(shop store.Shop) string {
	return fmt.Sprintf("%s/%d", s.lister.program(), shop.Version)
}

// line is the line of a job as it is saved.
func (s *Server) line(j job.Job, shop store.Shop) store.Line {
	return store.Line{Of: s.lineOf(shop), Line: plan.Line(j, shop.Shop)}
}

// keepLines makes lines anew until the context ends: at the start, and whenever
// it is woken.
func (s *Server) keepLines(ctx context.Context) {
	for {
		if err := s.refreshLines(ctx); err != nil && ctx.Err() == nil {
			s.log.Error("the list of jobs could not be brought up to date", "error", err)
		}
		select {
		case <-s.lister.wake:
		case <-ctx.Done():
			return
		}
	}
}

// tellEvery is after how many lines made anew the windows that show the list are
// told.
const tellEvery = 200

// refreshLines makes every line anew that is made of something else, one after the
// other. A job that cannot be read gets a line that says so, and holds up nothing.
func (s *Server) refreshLines(ctx context.Context) error {
	shop, err := s.shop(ctx)
	if errors.Is(err, store.ErrMissing) {
		return nil
	}
	if err != nil {
		return err
	}
	ids, err := s.store.StaleLines(ctx, s.lineOf(shop))
	if err != nil {
		return err
	}
	for i, id := range ids {
		j, err := s.store.Job(ctx, id)
		line := store.Line{Of: s.lineOf(shop)}
		var unreadable store.ErrUnreadable
		switch {
		case errors.As(err, &unreadable):
			line.Line = plan.BrokenLine(unreadableWords(unreadable))
		case errors.Is(err, store.ErrMissing):
			continue
		case err != nil:
			return err
		default:
			line = s.line(j.Job, shop)
		}
		if err := s.store.SetLine(ctx, id, j.Version, line); err != nil {
			return err
		}
		if i%tellEvery == tellEvery-1 {
			s.events.tell(Event{Kind: "jobs"})
		}
	}
	if len(ids) > 0 {
		s.events.tell(Event{Kind: "jobs"})
	}
	return nil
}

// unreadableWords says what is wrong with a stored job.
func unreadableWords(e store.ErrUnreadable) string {
	return fmt.Sprintf("This job is stored but cannot be read: %v. It is kept as it is: restore a copy of the data, or remove the job from the list.", e.Why)
}
