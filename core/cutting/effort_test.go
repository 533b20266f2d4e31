package cutting

import (
	"context"
	"testing"
)

// An effort is shared out as it is left, and never below nothing.
func TestEffortIsShared(t *testing.T) {
	ctx, leave := context.WithCancel(context.Background())
	e := NewEffort(ctx, 100)
	if e.Share(30) != 30 || e.Share(1000) != 100 || e.Left() != 100 || e.Used() != 0 {
		t.Errorf("at first %d, %d, %d", e.Share(30), e.Share(1000), e.Left())
	}
	e.Use(80)
	if e.Share(30) != 20 || e.Share(15) != 15 || e.Left() != 20 || e.Used() != 80 {
		t.Errorf("after 80 %d, %d, %d", e.Share(30), e.Share(15), e.Left())
	}
	e.Use(50)
	if e.Share(30) != 0 || e.Left() != 0 {
		t.Errorf("when all is used %d, %d", e.Share(30), e.Left())
	}
	if e.Unwanted() || e.Err() != nil {
		t.Error("nobody has left")
	}
	if leave(); !e.Unwanted() || e.Err() == nil {
		t.Error("that somebody left is not noticed")
	}
}

// What a search uses comes off, and a yield is the most that a sheet gives.
func TestEffortIsUsed(t *testing.T) {
	e := NewEffort(context.Background(), 50_000)
	if n := e.Yield(letter, piece(2*in, 3*in, 1, true)); n != 14 {
		t.Errorf("%d of 2 x 3 from letter", n)
	}
	yielded := e.Used()
	if yielded <= 0 || yielded > YieldSteps {
		t.Errorf("that used %d steps", yielded)
	}
	p := e.Search(Order{Sheet: letter, Pieces: []Piece{piece(3*in, 4*in, 7, true), piece(2*in, 5*in, 3, true)}}, 2000, nil)
	if p.Searched <= 0 || e.Used() != yielded+p.Searched {
		t.Errorf("searched %d, used %d of which %d before", p.Searched, e.Used(), yielded)
	}
}
