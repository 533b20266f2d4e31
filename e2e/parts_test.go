package e2e

import (
	"encoding/json"
	"reflect"
	"testing"

	"github.com/go-rod/rod/lib/proto"

	"yellowparcel/internal/told"
)

// The small parts of the machines give what testdata/parts.txt says: see ui/machines/parts.ts.
func TestPartsOfTheMachines(t *testing.T) {
	t.Parallel()
	page := machines(t, "../ui")
	for _, line := range told.Lines(t, "testdata/parts.txt", "parts", 3) {
		call := "Promise.resolve(parts." + line[0] + "(..." + line[1] + ")).then(JSON.stringify)"
		got, err := proto.RuntimeEvaluate{Expression: call, AwaitPromise: true, ReturnByValue: true}.Call(page)
		if err != nil {
			t.Fatal(err)
		}
		if got.ExceptionDetails != nil {
			t.Errorf("%s %s: %s", line[0], line[1], got.ExceptionDetails.Exception.Description)
			continue
		}
		var is, want any
		if json.Unmarshal([]byte(line[2]), &want) != nil {
			want = line[2] // a text, without its marks
		}
		if err := json.Unmarshal([]byte(got.Result.Value.Str()), &is); err != nil || !reflect.DeepEqual(is, want) {
			t.Errorf("%s %s gives %s and not %s", line[0], line[1], got.Result.Value.Str(), line[2])
		}
	}
}
