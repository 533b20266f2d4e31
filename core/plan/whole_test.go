package plan_test

import (
	"fmt"
	"math"
	"reflect"
	"strings"
	"testing"

	"yellowparcel/core/job"
	"yellowparcel/core/plan"
	"yellowparcel/demo"
)

// whole fails when a value holds a number that is none, or a list that is null.
func whole(v reflect.Value, path string) error {
	switch v.Kind() {
	case reflect.Float64:
		if f := v.Float(); math.IsNaN(f) || math.IsInf(f, 0) {
			return fmt.Errorf("%s is %v", path, f)
		}
	case reflect.Slice:
		if v.IsNil() {
			return fmt.Errorf("%s is null", path)
		}
		for i := range v.Len() {
			if err := whole(v.Index(i), fmt.Sprintf("%s[%d]", path, i)); err != nil {
				return err
			}
		}
	case reflect.Map:
		for _, k := range v.MapKeys() {
			if err := whole(v.MapIndex(k), path+"."+k.String()); err != nil {
				return err
			}
		}
	case reflect.Pointer:
		if !v.IsNil() {
			return whole(v.Elem(), path)
		}
	case reflect.Struct:
		for i := range v.NumField() {
			f := v.Type().Field(i)
			name, more, _ := strings.Cut(f.Tag.Get("json"), ",")
			if !f.IsExported() || name == "-" || strings.HasPrefix(more, "omit") && v.Field(i).IsZero() {
				continue
			}
			if err := whole(v.Field(i), path+"."+f.Name); err != nil {
				return err
			}
		}
	}
	return nil
}

// Whatever drawer is open, no list of a plan is null: a screen goes through all of them.
func TestNoListIsNull(t *testing.T) {
	jobs := demo.Jobs()
	noted := jobs[0].Clone()
	noted.Recipe = &job.Recipe{Form: job.PairRecipe, Side1: 37 * in / 4, Left: 59 * in / 16, Right: 75 * in / 8}
	begun := jobs[0].Clone()
	begun.Recipe = &job.Recipe{Form: job.PocketRecipe}
	for _, j := range append(jobs, noted, begun) {
		for _, station := range job.Stations() {
			for _, drawer := range station.Drawers {
				p, err := plan.MakeFor(t.Context(), j, demo.Shop(), plan.Open(station.ID+"/"+drawer.ID))
				if err == nil {
					err = whole(reflect.ValueOf(p), "plan")
				}
				if err != nil {
					t.Errorf("%s, %s/%s: %v", j.Name, station.ID, drawer.ID, err)
				}
			}
		}
	}
}
