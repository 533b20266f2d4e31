package job_test

import (
	"reflect"
	"testing"

	"yellowparcel/core/job"
	"yellowparcel/internal/anyjob"
)

// A copy of a job shares nothing with it: whatever value of the copy is changed, down to the last, the
// job itself stays.
func TestCopyOfEveryField(t *testing.T) {
	original, untouched := anyjob.Full(), anyjob.Full()
	again := original.Clone()
	if !reflect.DeepEqual(again, untouched) {
		t.Fatal("the copy is another job")
	}
	leaves := anyjob.Leaves(&again)
	if len(leaves) < 100 {
		t.Fatalf("only %d values", len(leaves))
	}
	for _, leaf := range leaves {
		if leaf.Change(); !reflect.DeepEqual(original, untouched) {
			t.Fatalf("changing %s of a copy changes the job", leaf.Path)
		}
	}
}

// A turned card forgets nothing: whatever value of a job is another, its turned card is another too.
func TestTurnedCardKeepsEveryField(t *testing.T) {
	original := job.TurnCard(anyjob.Full())
	probe := anyjob.Full()
	for i := range anyjob.Leaves(&probe) {
		other := anyjob.Full()
		leaf := anyjob.Leaves(&other)[i]
		if leaf.Change(); reflect.DeepEqual(job.TurnCard(other), original) {
			t.Errorf("turning forgets %s", leaf.Path)
		}
	}
}
