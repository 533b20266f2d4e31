package plan_test

import (
	"fmt"
	"math"
	"reflect"
	"strings"
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
