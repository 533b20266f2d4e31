package job

import (
	"yellowparcel/core/blank"
	"yellowparcel/core/field"
	"yellowparcel/core/measure"
)

// tools are what stands on a bench, in the order in which they are asked about: each is
// a value in a file of its own.
var tools = []*Tool{&trimmer, &scoreBoard, &punchBoard, &knife, &scissors, &folder, &rounder, &embosser, &pegs, &cutter}

// Tool is a tool of the bench: what it is called, and what of it is typed. Whoever adds
// one writes such a value and names it in the list above.
type Tool struct {
	ID   blank.ToolID
	Name string
	// Fields are those of the lengths that every job may go by; Asked are lengths that
	// this tool alone has.
	Fields func(*Tools) []field.Field
	Asked  []measure.Asked
	// Calibration is how two minutes with a scrap find some of them; nil where there is none.
	Calibration *Calibration
}

// BenchTools lists the tools of the bench.
func BenchTools() []*Tool { return tools }

// RegisterTool adds a tool to the bench, and returns what takes it off again: for
// tests, which are to find that nothing else need be done.
func RegisterTool(t *Tool) (remove func()) {
	before := tools
	tools = append(tools[:len(before):len(before)], t)
	return func() { tools = before }
}

// fields are the tool's fields in a shop.
func (t *Tool) fields(in *Tools) (list []field.Field) {
	if t.Fields != nil {
		list = t.Fields(in)
	}
	return append(list, askedFields("tools.", t.Asked, &in.Asked)...)
}

// Paths are where the tool's fields stand.
func (t *Tool) Paths() (list []string) {
	for _, f := range t.fields(&Tools{}) {
		list = append(list, f.Path)
	}
	return list
}

// fields are those of all tools.
func (t *Tools) fields() (list []field.Field) {
	for _, tool := range tools {
		list = append(list, tool.fields(t)...)
	}
	return list
}
