package anyjob

import (
	"fmt"
	"reflect"

	"yellowparcel/core/job"
)

// Full is a job of which nothing is empty: every pointer points to something, every list and every
// table has an entry, every number is another one. It need not pass Check.
func Full() job.Job {
	var j job.Job
	n := 0
	fill(reflect.ValueOf(&j).Elem(), &n)
	return j
}

func fill(v reflect.Value, n *int) {
	*n++
	switch v.Kind() {
	case reflect.Pointer:
		v.Set(reflect.New(v.Type().Elem()))
		fill(v.Elem(), n)
	case reflect.Struct:
		for i := range v.NumField() {
			fill(v.Field(i), n)
		}
	case reflect.Slice:
		v.Set(reflect.MakeSlice(v.Type(), 2, 2))
		for i := range v.Len() {
			fill(v.Index(i), n)
		}
	case reflect.Map:
		key, value := reflect.New(v.Type().Key()).Elem(), reflect.New(v.Type().Elem()).Elem()
		fill(key, n)
		fill(value, n)
		v.Set(reflect.MakeMap(v.Type()))
		v.SetMapIndex(key, value)
	case reflect.String:
		v.SetString(fmt.Sprint("word", *n))
	case reflect.Bool:
		v.SetBool(true)
	case reflect.Float64:
		v.SetFloat(float64(*n))
	default:
		v.SetInt(int64(*n))
	}
}

// Leaf is one value of a job, by its path, and a way to change it in place.
type Leaf struct {
	Path   string
	Change func()
}

// Leaves are all values of a job, down to the last; changing one changes the job that is pointed to.
func Leaves(j *job.Job) (list []Leaf) {
	leaves(reflect.ValueOf(j).Elem(), "", &list)
	return list
}

func leaves(v reflect.Value, path string, list *[]Leaf) {
	switch v.Kind() {
	case reflect.Pointer:
		if !v.IsNil() {
			leaves(v.Elem(), path, list)
		}
	case reflect.Struct:
		for i := range v.NumField() {
			leaves(v.Field(i), path+"."+v.Type().Field(i).Name, list)
		}
	case reflect.Slice:
		for i := range v.Len() {
			leaves(v.Index(i), fmt.Sprint(path, ".", i), list)
		}
	case reflect.Map:
		for _, key := range v.MapKeys() {
			*list = append(*list, Leaf{path + "." + key.String(), func() {
				value := reflect.New(v.Type().Elem()).Elem()
				value.Set(v.MapIndex(key))
				change(value)
				v.SetMapIndex(key, value)
			}})
		}
	default:
		*list = append(*list, Leaf{path, func() { change(v) }})
	}
}

func change(v reflect.Value) {
	switch v.Kind() {
	case reflect.String:
		v.SetString(v.String() + "'")
	case reflect.Bool:
		v.SetBool(!v.Bool())
	case reflect.Float64:
		v.SetFloat(v.Float() + 1)
	default:
		v.SetInt(v.Int() + 1)
	}
}
